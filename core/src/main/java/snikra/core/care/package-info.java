/**
 * How a knife is kept: what may be done that can be undone, and when it must be looked at again.
 */
@NullMarked
package snikra.core.care;

import org.jspecify.annotations.NullMarked;
