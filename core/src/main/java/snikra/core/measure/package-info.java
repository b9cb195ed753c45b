/**
 * Lengths as collectors write them. Start with {@link snikra.core.measure.Length}, which keeps what
 * was written beside its exact value, so that switching units never moves a stored figure.
 */
@NullMarked
package snikra.core.measure;

import org.jspecify.annotations.NullMarked;
