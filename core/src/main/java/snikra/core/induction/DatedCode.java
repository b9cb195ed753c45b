package snikra.core.induction;

/**
 * A code on a knife whose years are known.
 *
 * @param written letters and figures as struck, or how many signs
 * @param from first year it may be of
 * @param to last year it may be of
 */
public record DatedCode(String written, int from, int to) {
  boolean mayBeOf(int year) {
    return year >= from && year <= to;
  }

  int years() {
    return to - from + 1;
  }
}
