package snikra.core.dating;

import java.util.Locale;
import org.jspecify.annotations.Nullable;

/** How a knife came to be as it is. */
public record State(Kind kind, @Nullable String part, String label) {

  /** The kinds of state. */
  public enum Kind {
    AS_MADE,
    OLD_STYLE,
    PART_REPLACED,
    OLDER_PART,
    MARK_UNTRUSTED,
    TWO_AT_ONCE;

    @Override
    public String toString() {
      return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
  }
}
