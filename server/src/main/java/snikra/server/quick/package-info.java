/** A quick look at a stall. */
@NullMarked
package snikra.server.quick;

import org.jspecify.annotations.NullMarked;
