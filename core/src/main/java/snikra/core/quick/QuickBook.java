package snikra.core.quick;

import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * What is looked at on a stall, in the order of the hand, and what it does to the price.
 *
 * @param spread how far prices of knives alike in all of this still differ, as the standard
 *     deviation of their logarithm
 * @param pay so many deviations above the middle is the most to pay
 * @param drop from so many deviations above the middle on it is put down
 * @param worthwhile without an asked price, a knife that may bring less than this share of an
 *     ordinary one is put down
 * @param steps in which amounts are told
 * @param cautions told beside it
 */
public record QuickBook(
    Rate spread,
    Rate pay,
    Rate drop,
    Rate worthwhile,
    List<Step> steps,
    List<String> cautions,
    List<Check> checks) {

  public QuickBook {
    steps = List.copyOf(steps);
    cautions = List.copyOf(cautions);
    checks = List.copyOf(checks);
  }

  /** A number of judgement with its reason. */
  public record Rate(double value, String why) {}

  /** Amounts below {@code to} are told in steps of {@code step}; the last has no limit. */
  public record Step(@Nullable Double to, double step) {}

  /**
   * Something to look at.
   *
   * @param byMaker whether a maker on file answers it: its price holds it already
   * @param missed how often a hurried look at it is wrong
   */
  public record Check(
      String id, String label, String ask, boolean byMaker, double missed, List<Answer> answers) {
    public Check {
      answers = List.copyOf(answers);
    }

    Optional<Answer> answer(@Nullable String id) {
      return answers.stream().filter(a -> a.id().equals(id)).findFirst();
    }
  }

  /**
   * What it may be like.
   *
   * @param look by what one knows it
   * @param share of the knives on stalls that are so
   * @param worth what such knives bring, relative to others alike in all else
   * @param why a sentence for the collector
   */
  public record Answer(
      String id, String label, String look, double share, double worth, String why) {}
}
