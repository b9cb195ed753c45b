package snikra.core.code;

import org.jspecify.annotations.Nullable;

/**
 * A silver hallmark as seen.
 *
 * @param letter the date letter as struck, {@code _} where it cannot be read
 * @param form of the letter and its shield, null where it was not looked at
 * @param duty whether the head for the duty is there, null where it was not looked for
 */
public record SeenHallmark(
    String office, String letter, @Nullable String form, @Nullable Boolean duty) {}
