package snikra.core.code;

import org.jspecify.annotations.Nullable;

/**
 * A patent, design or model number as seen.
 *
 * @param number figures as struck; null where only the wording can be read
 */
public record SeenNumber(String table, @Nullable String number) {}
