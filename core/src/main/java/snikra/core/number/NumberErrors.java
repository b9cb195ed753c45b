package snikra.core.number;

import snikra.core.judgement.Judgement;

/**
 * How often a number says something else of a part than what is there, though the part is its own;
 * and what it says of a part that is not.
 *
 * @param misread a figure read as one other
 * @param slip at the works, or in a year in which the numbers changed
 * @param anotherKnife the number, or the tang that bears it, is of another knife
 * @param agreesReplaced a part put on later is what the number asks for all the same
 * @param agreesOlder a part from older stock is what the number asks for
 */
public record NumberErrors(
    double misread, double slip, double anotherKnife, double agreesReplaced, double agreesOlder) {

  /** As they are judged. */
  public static NumberErrors of(Judgement judgement) {
    return new NumberErrors(
        judgement.of("number.misread"),
        judgement.of("number.slip"),
        judgement.of("number.another-knife"),
        judgement.of("number.agrees-replaced"),
        judgement.of("number.agrees-older"));
  }

  /** P(the number contradicts the part | it is its own). */
  public double contradicts(boolean inOneFigure) {
    return ofField(inOneFigure) + anotherKnife;
  }

  /** P(the number agrees with the part | it is its own). */
  public double agrees() {
    return 1 - contradicts(true);
  }

  /** What makes one field contradict and not the whole number. */
  double ofField(boolean inOneFigure) {
    return slip + (inOneFigure ? misread : 0);
  }
}
