package snikra.core.wanted;

import java.math.BigDecimal;
import org.jspecify.annotations.Nullable;

/**
 * A knife one looks for: all that is given must be so, what is null may be any.
 *
 * @param maker id of one on file
 * @param model number of one of its models
 * @param mark id of one of its marks
 * @param pattern of the pattern book
 * @param from first year it may be of
 * @param to last year it may be of
 * @param atLeast id of the grade from which it is good enough
 * @param most what one would pay at most, above 0, with its currency
 * @param currency three letters by ISO 4217
 * @param note in one's own words
 * @param set name of a set of one's own, of which it is one
 */
public record Want(
    @Nullable String maker,
    @Nullable String model,
    @Nullable String mark,
    @Nullable String pattern,
    @Nullable Integer from,
    @Nullable Integer to,
    @Nullable String atLeast,
    @Nullable BigDecimal most,
    @Nullable String currency,
    @Nullable String note,
    @Nullable String set) {}
