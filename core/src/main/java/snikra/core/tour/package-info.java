/** A first knife, answered look by look. */
@NullMarked
package snikra.core.tour;

import org.jspecify.annotations.NullMarked;
