/** Sets: all there may be of a maker by what is on file, held against what is owned. */
@NullMarked
package snikra.core.sets;

import org.jspecify.annotations.NullMarked;
