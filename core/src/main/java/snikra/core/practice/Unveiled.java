package snikra.core.practice;

import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;

/**
 * What came of a guess.
 *
 * @param answers to each thing that was guessed at, beside what the model says of the same looks
 * @param maker who most likely made it, by id; empty for one who is not on file
 * @param year it was most likely made in
 * @param headline what the model says of the same looks
 * @param missed looks left out that would have told most, the most telling first
 */
public record Unveiled(
    List<Scored> answers, String maker, int year, String headline, List<Missed> missed) {

  public Unveiled {
    answers = List.copyOf(answers);
    missed = List.copyOf(missed);
  }

  /** What is guessed at. */
  public enum Question {
    MAKER,
    YEARS,
    HOW,
    NAME,
    GRADE;

    @Override
    public String toString() {
      return name().toLowerCase(Locale.ROOT);
    }
  }

  /**
   * One answer.
   *
   * @param said by the player: an id, or years as from/to
   * @param sure with this chance
   * @param right the chance that it is so: 0 or 1 of a made-up knife
   * @param was what is most likely so: an id, or a year
   * @param model what the model says: an id, or years as from/to
   * @param own score, in bits, of years in years, of a grade in levels; the smaller the better
   * @param models the score of the model
   */
  public record Scored(
      Question question,
      String said,
      double sure,
      double right,
      String was,
      String model,
      double own,
      double models) {}

  /**
   * A look that was left out.
   *
   * @param answer what there was to see
   * @param bits by which it would have raised what is so
   */
  public record Missed(
      String look, String station, String label, @Nullable String answer, double bits) {}
}
