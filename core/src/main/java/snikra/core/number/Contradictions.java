package snikra.core.number;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;

/**
 * Why a number says something else than what is there. Every reason has a weight; what one reason
 * leaves unexplained must have reasons of its own, so that a number that is wrong in two places is
 * soon the number of another knife.
 */
public final class Contradictions {
  /** Weight of a figure read as another. */
  private static final double MISREAD = 0.01;

  /** Weight of a slip at the works, and of the year in which a model changed. */
  private static final double SLIP = 0.003;

  private static final double YEAR_OF_CHANGE = 0.03;

  /** Weight of a tang or a blade of another knife. */
  private static final double ANOTHER_KNIFE = 0.01;

  private Contradictions() {}

  /** One reason, by itself. */
  public record Reason(String says, double probability) {}

  /**
   * What is known of one contradicting field.
   *
   * @param replaced what its part is called when it was replaced, and the prior weight of that
   * @param inOneFigure whether a code one figure away says what is there
   */
  public record Against(
      DecodedNumber.Field field, String part, double replaced, boolean inOneFigure) {}

  /**
   * The reasons for these contradictions together, likeliest first; probabilities sum to 1.
   *
   * @param nearChange whether the knife may be of a year in which the maker changed models
   */
  public static List<Reason> reasons(List<Against> against, boolean nearChange) {
    if (against.isEmpty()) {
      return List.of();
    }
    List<Reason> weighed = new ArrayList<>();
    double change = nearChange ? YEAR_OF_CHANGE : SLIP;
    for (Against a : against) {
      double others = 1;
      for (Against o : against) {
        others *=
            o.equals(a) ? 1 : Math.max(o.replaced, Math.max(change, o.inOneFigure ? MISREAD : 0));
      }
      String label = a.field.label().toLowerCase(java.util.Locale.ROOT);
      if (a.replaced > 0) {
        weighed.add(
            new Reason(
                a.part.toLowerCase(java.util.Locale.ROOT) + " replaced", a.replaced * others));
      }
      if (a.inOneFigure) {
        weighed.add(new Reason("a figure of the " + label + " misread", MISREAD * others));
      }
      weighed.add(
          new Reason(
              nearChange
                  ? "made in a year of change, the " + label + " not as in the lists"
                  : "a slip at the works in the " + label,
              change * others));
    }
    weighed.add(
        new Reason("the number of another knife: its main blade is not its own", ANOTHER_KNIFE));
    double sum = weighed.stream().mapToDouble(Reason::probability).sum();
    return weighed.stream()
        .map(r -> new Reason(r.says, r.probability / sum))
        .sorted(Comparator.comparingDouble((Reason r) -> -r.probability))
        .toList();
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
