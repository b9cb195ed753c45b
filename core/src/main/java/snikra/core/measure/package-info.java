/**
 * Lengths as collectors write them. Start with {@link snikra.core.measure.Length}, which keeps what
 * was written beside its exact value, so that switching units never moves a stored figure. What
 * money was worth in which year is a measure too.
 */
@NullMarked
package snikra.core.measure;

import org.jspecify.annotations.NullMarked;
