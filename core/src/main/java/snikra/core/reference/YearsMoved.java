package snikra.core.reference;

import org.jspecify.annotations.Nullable;

/**
 * Other years for something one put on file oneself.
 *
 * @param maker id of the maker
 * @param mark id of a mark of one's own; null where it is another fact
 * @param fact key of another fact of one's own; null where it is a mark
 * @param from first year
 * @param to last year
 * @param give years by which either end may be out; of no effect on what has none
 */
public record YearsMoved(
    String maker, @Nullable String mark, @Nullable String fact, int from, int to, int give) {}
