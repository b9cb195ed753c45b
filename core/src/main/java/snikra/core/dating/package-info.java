/**
 * Who, when, and is it all of a piece. {@link snikra.core.dating.DatingModel} enumerates makers,
 * years and the ways a knife may have come to be as it is, and gives the exact posterior over them.
 * The model is written out in docs/model.md; there is no sampling, and the same evidence gives the
 * same answer to the last bit.
 */
@NullMarked
package snikra.core.dating;

import org.jspecify.annotations.NullMarked;
