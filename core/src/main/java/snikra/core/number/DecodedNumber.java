package snikra.core.number;

import java.util.List;
import java.util.Locale;

/** A pattern number taken apart and held against the knife. */
public record DecodedNumber(String struck, List<Field> fields) {

  /** How a field stands to what was found. */
  public enum Holds {
    AGREES,
    CONTRADICTS,
    UNKNOWN;

    @Override
    public String toString() {
      return name().toLowerCase(Locale.ROOT);
    }
  }

  /**
   * One field as read.
   *
   * @param meaning the feature or trait it speaks of
   * @param says in words
   * @param values the answers it allows
   */
  public record Field(
      String label, String meaning, String struck, String says, List<String> values, Holds holds) {}

  public DecodedNumber {
    fields = List.copyOf(fields);
  }

  /** The field that speaks of this, if it contradicts or agrees. */
  public Holds holds(String meaning) {
    return fields.stream()
        .filter(f -> f.meaning().equals(meaning))
        .map(Field::holds)
        .findFirst()
        .orElse(Holds.UNKNOWN);
  }
}
