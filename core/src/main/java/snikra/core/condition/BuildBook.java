package snikra.core.condition;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import org.jspecify.annotations.Nullable;
import snikra.core.clue.ClueBook;
import snikra.core.clue.Feature;
import snikra.core.specimen.LookReliability;
import snikra.core.specimen.Seen;

/**
 * How well a knife was made, whatever became of it: looks of the clue book, each with what it says
 * of the work.
 *
 * @param enough of so many looks a grade is made
 * @param grades best first
 * @param excuses what explains poor work of a good house
 */
public record BuildBook(int enough, List<Level> grades, List<Look> looks, List<Excuse> excuses) {

  /**
   * A grade of the work.
   *
   * @param least share of good work it needs
   * @param worth what such work brings, relative to the usual
   */
  public record Level(String id, String label, double least, double worth) {}

  /**
   * A look, and what each of its answers says of the work.
   *
   * @param answers from 0, poor work, to 1, good work; an answer left out says nothing
   */
  public record Look(String feature, double weight, Map<String, Double> answers) {
    public Look {
      answers = Map.copyOf(answers);
    }
  }

  /**
   * What explains poor work of a good house.
   *
   * @param grades that it explains
   * @param years first and last of each span in which it holds; empty where it is of the maker
   * @param change whether it holds near a closing or a change of its maker
   * @param least told from this probability on
   * @param why it is held to be so
   */
  public record Excuse(
      String id,
      List<String> grades,
      List<List<Integer>> years,
      boolean change,
      double least,
      String say,
      String why) {
    public Excuse {
      grades = List.copyOf(grades);
      years = years == null ? List.of() : List.copyOf(years);
    }
  }

  /**
   * How well a knife was made.
   *
   * @param id of the grade; null where too little was looked at
   * @param share of good work among what was looked at
   * @param looked how many looks say something
   * @param well done, in words
   * @param poorly done, in words
   * @param because what explains poor work, in words
   */
  public record Built(
      @Nullable String id,
      @Nullable String label,
      double share,
      int looked,
      int of,
      List<String> well,
      List<String> poorly,
      List<String> because) {
    private Built excusedBy(List<String> excuses) {
      return new Built(id, label, share, looked, of, well, poorly, excuses);
    }
  }

  private static final double HALF = 0.5;

  public BuildBook {
    grades = List.copyOf(grades);
    looks = List.copyOf(looks);
    excuses = excuses == null ? List.of() : List.copyOf(excuses);
  }

  /** What work of this grade brings, relative to the usual. */
  public double worth(String id) {
    return grades.stream()
        .filter(l -> l.id().equals(id))
        .mapToDouble(Level::worth)
        .findFirst()
        .orElse(1);
  }

  /** The grade of the work by what was seen, each look as far as it is to be trusted. */
  public Built judge(Map<String, Seen<String>> seen, LookReliability reliability, ClueBook clues) {
    double weight = 0;
    double good = 0;
    int looked = 0;
    List<String> well = new ArrayList<>();
    List<String> poorly = new ArrayList<>();
    for (Look look : looks) {
      Seen<String> answer = seen.get(look.feature());
      Double says = Seen.valueOf(answer) == null ? null : look.answers().get(answer.value());
      if (says != null) {
        double trusted = look.weight() * reliability.of(answer.sureness());
        looked++;
        weight += trusted;
        good += trusted * says;
        String told = told(clues, look.feature(), answer.value());
        (says >= HALF ? well : poorly).add(told);
      }
    }
    double share = weight > 0 ? good / weight : 0;
    Level level = looked < enough ? null : level(share);
    return new Built(
        level == null ? null : level.id(),
        level == null ? null : level.label(),
        share,
        looked,
        looks.size(),
        well,
        poorly,
        List.of());
  }

  /**
   * The same with what explains poor work.
   *
   * @param probability that what an excuse needs holds of this knife
   */
  public Built excuse(Built built, ToDoubleFunction<Excuse> probability) {
    return built.excusedBy(
        excuses.stream()
            .filter(e -> built.id() != null && e.grades().contains(built.id()))
            .filter(e -> probability.applyAsDouble(e) >= e.least())
            .map(Excuse::say)
            .toList());
  }

  private Level level(double share) {
    return grades.stream()
        .filter(l -> share >= l.least())
        .findFirst()
        .orElse(grades.get(grades.size() - 1));
  }

  private static String told(ClueBook clues, String feature, String answer) {
    Function<Feature, String> words =
        f -> f.label() + ": " + f.clue(answer).map(c -> c.label()).orElse(answer);
    return clues.feature(feature).map(words).orElse(feature);
  }
}
