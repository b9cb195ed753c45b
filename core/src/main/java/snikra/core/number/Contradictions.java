package snikra.core.number;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/**
 * Why a number says something else than what is there. That a part was replaced, or came from older
 * stock, is as likely as the dating model finds it; what is left falls on the number itself. What
 * one reason leaves unexplained must have reasons of its own, so that a number that is wrong in two
 * places is soon the number of another knife.
 */
public final class Contradictions {
  private static final double LEAST_LEFT = 1e-6;

  private Contradictions() {}

  /** One reason, by itself. */
  public record Reason(String says, double probability) {}

  /**
   * What is known of one contradicting field.
   *
   * @param part what its part is called
   * @param replaced how likely that part was replaced, all that was seen of the knife considered
   * @param older the same of its having come from older stock
   * @param inOneFigure whether a code one figure away says what is there
   */
  public record Against(
      DecodedNumber.Field field, String part, double replaced, double older, boolean inOneFigure) {

    private String partInWords() {
      return part.toLowerCase(Locale.ROOT);
    }
  }

  /**
   * The reasons for these contradictions together, likeliest first; probabilities sum to 1.
   *
   * @param nearChange whether the knife may be of a year in which the maker changed models
   */
  public static List<Reason> reasons(
      List<Against> against, boolean nearChange, NumberErrors errors) {
    if (against.isEmpty()) {
      return List.of();
    }
    List<Reason> weighed = new ArrayList<>();
    for (Against a : against) {
      double others = 1;
      for (Against o : against) {
        boolean isSamePart = o.part.equals(a.part);
        others *= isSamePart ? 1 : errors.ofField(o.inOneFigure);
      }
      double odds =
          errors.contradicts(a.inOneFigure) / Math.max(LEAST_LEFT, 1 - a.replaced - a.older);
      String label = a.field.label().toLowerCase(Locale.ROOT);
      add(weighed, a.partInWords() + " replaced", a.replaced * odds * others);
      add(
          weighed,
          "an older "
              + a.partInWords()
              + " from stock"
              + (nearChange ? ", in a year of change" : ""),
          a.older * odds * others);
      double misread = a.inOneFigure ? errors.misread() : 0;
      add(weighed, "a figure of the " + label + " misread", misread * others);
      String slip =
          nearChange
              ? "made in a year of change, the " + label + " not as in the lists"
              : "a slip at the works in the " + label;
      add(weighed, slip, errors.slip() * others);
    }
    add(
        weighed,
        "the number of another knife: its main blade is not its own",
        errors.anotherKnife());
    double sum = weighed.stream().mapToDouble(Reason::probability).sum();
    return weighed.stream()
        .map(r -> new Reason(r.says, r.probability / sum))
        .sorted(Comparator.comparingDouble((Reason r) -> -r.probability))
        .toList();
  }

  private static void add(List<Reason> weighed, String says, double weight) {
    if (weight > 0) {
      weighed.add(new Reason(says, weight));
    }
  }

  /** Whether a code that differs in one figure from the one struck says what was found. */
  public static boolean isInOneFigure(
      NumberGrammar grammar, DecodedNumber.Field field, Map<String, String> found) {
    return grammar.fields().stream()
        .filter(f -> field.meaning().equals(f.meaning()))
        .flatMap(f -> f.codes().entrySet().stream())
        .filter(e -> e.getValue().values().contains(found.get(field.meaning())))
        .anyMatch(e -> differences(e.getKey(), field.struck()) == 1);
  }

  private static int differences(String code, String struck) {
    if (code.length() != struck.length()) {
      return code.length();
    }
    int differ = 0;
    for (int i = 0; i < code.length(); i++) {
      differ += code.charAt(i) == struck.charAt(i) ? 0 : 1;
    }
    return differ;
  }
}
