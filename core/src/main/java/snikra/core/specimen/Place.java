package snikra.core.specimen;

import org.jspecify.annotations.Nullable;

/**
 * A place on a drawn knife.
 *
 * @param blade counted from 1; null on the handle
 * @param along on the handle from the butt (0) to the main pivot (1), on a blade from the pivot to
 *     the point
 * @param across on the handle from the slot (-1) to the back (1), on a blade from the edge to the
 *     back
 */
public record Place(@Nullable Integer blade, double along, double across) {}
