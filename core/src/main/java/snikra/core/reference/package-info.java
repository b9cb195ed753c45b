/**
 * The reference shelf: regions, makers and their marks, beside the clue book and the pattern book.
 * {@link snikra.core.reference.ReferenceShelf} is the whole of what is known; it judges nothing.
 */
@NullMarked
package snikra.core.reference;

import org.jspecify.annotations.NullMarked;
