/**
 * Naming a knife by how it is laid out: which blades pivot at which end and press which springs, in
 * what frame. {@link snikra.core.pattern.PatternNamer} assigns the blades to a pattern's slots in
 * the best way and says of every requirement whether it is met, missed or not yet known.
 */
@NullMarked
package snikra.core.pattern;

import org.jspecify.annotations.NullMarked;
