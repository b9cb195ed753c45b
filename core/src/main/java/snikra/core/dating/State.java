package snikra.core.dating;

import java.util.Locale;
import org.jspecify.annotations.Nullable;

/**
 * How a knife came to be as it is.
 *
 * @param part the part it befell, or the feature that was misjudged, or the statement that is not
 *     so
 */
public record State(Kind kind, @Nullable String part, String label) {

  /** The kinds of state. */
  public enum Kind {
    AS_MADE,
    OLD_STYLE,
    PART_REPLACED,
    OLDER_PART,
    MARK_UNTRUSTED,
    TWO_AT_ONCE,
    /** Something was not what it was taken for. */
    MISJUDGED,
    /** Something said of it is not so. */
    UNTRUE,
    /** All that is not told one by one. */
    ALL_ELSE;

    @Override
    public String toString() {
      return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
  }
}
