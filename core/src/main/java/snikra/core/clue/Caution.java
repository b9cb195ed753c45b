package snikra.core.clue;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What may hurt someone or break a law, told at the step it belongs to.
 *
 * @param feature told only once this feature has one of the values; always where there is none
 */
public record Caution(
    String id, String station, @Nullable String feature, List<String> values, String text) {

  public Caution {
    values = values == null ? List.of() : List.copyOf(values);
  }
}
