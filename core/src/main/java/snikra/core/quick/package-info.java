/** A quick look at a stall: put it down, look closer, or what to pay at most. */
@NullMarked
package snikra.core.quick;

import org.jspecify.annotations.NullMarked;
