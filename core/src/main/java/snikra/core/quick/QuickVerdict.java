package snikra.core.quick;

import java.util.Locale;
import org.jspecify.annotations.Nullable;

/**
 * What a quick look comes to.
 *
 * @param pay the most to pay; null where no price is known
 * @param worth what the knife brings in the middle, relative to an ordinary one
 * @param reason what speaks loudest for it, a sentence; null where nothing was looked at
 * @param next id of what to look at next; null where all was looked at
 */
public record QuickVerdict(
    Call call, @Nullable Double pay, double worth, @Nullable String reason, @Nullable String next) {

  /** What to do with it. */
  public enum Call {
    PUT_DOWN,
    LOOK_CLOSER,
    BUY;

    @Override
    public String toString() {
      return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
  }
}
