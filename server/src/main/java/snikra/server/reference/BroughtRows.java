package snikra.server.reference;

import java.util.Comparator;
import java.util.List;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;

/**
 * What became of the rows of a table of facts.
 *
 * @param told those that cannot be taken in first; at most {@value #MOST_TOLD}
 * @param anew those that can be and are not on file yet
 * @param rows how many there are
 * @param good how many can be taken in
 */
record BroughtRows<R>(List<R> told, List<R> anew, int rows, int good) {
  static final int MOST_TOLD = 100;

  static <R> BroughtRows<R> of(List<R> rows, Predicate<R> isGood, Predicate<R> isKnown) {
    List<R> good = rows.stream().filter(isGood).toList();
    return new BroughtRows<>(
        rows.stream().sorted(Comparator.comparing(isGood::test)).limit(MOST_TOLD).toList(),
        good.stream().filter(isKnown.negate()).toList(),
        rows.size(),
        good.size());
  }

  /** How many are on file already. */
  int known() {
    return good - anew.size();
  }

  /** How many cannot be taken in. */
  int refused() {
    return rows - good;
  }

  /** What holds for all rows, where anything was said. */
  static @Nullable String given(@Nullable String text) {
    return text == null || text.isBlank() ? null : text.strip();
  }
}
