package snikra.core.code;

import java.util.List;
import java.util.NavigableMap;
import java.util.Optional;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import snikra.core.wording.NotAccepted;

/**
 * Numbers that run by year: of patents, designs or models.
 *
 * @param wording how it is struck before the number
 * @param term years for which the law protected what is numbered; null where that is not known
 * @param firstOfYear by year the first number given in it; one row alone dates only the wording
 */
public record NumberTable(
    String id,
    String label,
    List<String> wording,
    String region,
    String note,
    String why,
    String source,
    @Nullable Integer term,
    NavigableMap<Integer, Long> firstOfYear) {

  public NumberTable {
    wording = List.copyOf(wording);
    firstOfYear = java.util.Collections.unmodifiableNavigableMap(new TreeMap<>(firstOfYear));
    long before = 0;
    for (var row : firstOfYear.entrySet()) {
      if (row.getValue() <= before) {
        throw new IllegalArgumentException(
            "numbers of "
                + id
                + " must rise by year; found "
                + row.getValue()
                + " in "
                + row.getKey());
      }
      before = row.getValue();
    }
  }

  /** Whether numbers of single years are known. */
  public boolean isNumbered() {
    return firstOfYear.size() > 1;
  }

  /** The first year of the series: no thing marked as of it is older. */
  public int begins() {
    return firstOfYear.firstKey();
  }

  /** The year before which this number was not given. */
  public int notBefore(long number) {
    int year = begins();
    for (var row : firstOfYear.entrySet()) {
      year = row.getValue() <= number ? row.getKey() : year;
    }
    return year;
  }

  /**
   * The figures of a number as struck, with commas, points or spaces between them; empty when there
   * is none.
   *
   * @throws IllegalArgumentException when there is anything else
   */
  public static Optional<Long> parse(String number) {
    String figures = number.replaceAll("[\\s,.'\u2019]", "").replaceFirst("(?i)^(no|d|nr)", "");
    if (figures.isEmpty()) {
      return Optional.empty();
    }
    if (!figures.matches("[1-9][0-9]{0,9}")) {
      throw new NotAccepted("must be figures, such as 1,521,590", number);
    }
    return Optional.of(Long.parseLong(figures));
  }
}
