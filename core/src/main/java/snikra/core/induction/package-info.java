/**
 * What a maker's codes and numbers mean, found from a few on knives that are known: every rule of a
 * kind is weighed by what it leaves to chance, and the likeliest are told with what would settle
 * between them.
 */
@NullMarked
package snikra.core.induction;

import org.jspecify.annotations.NullMarked;
