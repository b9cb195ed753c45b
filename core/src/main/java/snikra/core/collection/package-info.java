/** The collection as a whole: what it is made of, and what of it is there more than once. */
@NullMarked
package snikra.core.collection;

import org.jspecify.annotations.NullMarked;
