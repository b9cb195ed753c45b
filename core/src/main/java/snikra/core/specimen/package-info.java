/**
 * What was seen and measured on one knife, and nothing that was concluded from it. {@link
 * snikra.core.specimen.Specimen} is the whole; anything absent has not been looked at, which is not
 * the same as looked at and not to be told, nor as looked at and bare.
 */
@NullMarked
package snikra.core.specimen;

import org.jspecify.annotations.NullMarked;
