package snikra.core.code;

import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * A patent, design or model number as seen.
 *
 * @param number figures as struck; null where only the wording can be read
 */
public record SeenNumber(String table, @Nullable String number) {

  /** The year before which it was not given, or the series had not begun. */
  public int notBefore(NumberTable of) {
    return Optional.ofNullable(number)
        .flatMap(NumberTable::parse)
        .map(of::notBefore)
        .orElse(of.begins());
  }
}
