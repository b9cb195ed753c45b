package snikra.core.code;

import org.jspecify.annotations.Nullable;
import snikra.core.wording.NotAccepted;

/**
 * A silver hallmark as seen.
 *
 * @param letter the date letter as struck, {@code _} where it cannot be read
 * @param form of the letter and its shield, null where it was not looked at
 * @param duty whether the head for the duty is there, null where it was not looked for
 */
public record SeenHallmark(
    String office, String letter, @Nullable String form, @Nullable Boolean duty) {

  /**
   * Reads a date letter, so that it is known to make sense.
   *
   * @throws IllegalArgumentException when it does not
   */
  public static String parseLetter(String letter) {
    if (!letter.matches("\\p{L}|_")) {
      throw new NotAccepted("must be one letter, _ for one that cannot be read", letter);
    }
    return letter;
  }
}
