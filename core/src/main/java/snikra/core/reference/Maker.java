package snikra.core.reference;

import java.util.List;
import org.jspecify.annotations.Nullable;
import snikra.core.number.NumberGrammar;

/**
 * A firm that made knives, with its marks.
 *
 * @param weight how much of it is met today, relative to an ordinary maker
 * @param changes years in which owner, models or works changed, when older parts were used up
 * @param numbers how its pattern numbers are built, if it struck any
 */
public record Maker(
    String id,
    String name,
    String region,
    String place,
    double weight,
    List<Integer> changes,
    @Nullable NumberGrammar numbers,
    List<MarkVariant> marks,
    String note) {

  /** Years either side of a change in which older parts are likely. */
  private static final int YEARS_AROUND_CHANGE = 3;

  public Maker {
    changes = List.copyOf(changes);
    marks = List.copyOf(marks);
    if (marks.isEmpty()) {
      throw new IllegalArgumentException("maker " + id + " must have at least one mark; found 0");
    }
  }

  /** Whether a change of owner, model or works is close to this year. */
  public boolean isNearChange(int year) {
    return changes.stream().anyMatch(c -> Math.abs(c - year) <= YEARS_AROUND_CHANGE);
  }
}
