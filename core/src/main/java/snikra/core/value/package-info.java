/**
 * What a knife is worth, from comparable sales. {@link snikra.core.value.Appraiser} weights each
 * sale by its likeness, brings it to the knife's grade and shows every step; with fewer than three
 * sales it says that they are too few and shows what there is.
 */
@NullMarked
package snikra.core.value;

import org.jspecify.annotations.NullMarked;
