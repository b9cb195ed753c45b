/** What a collector looks for, and how to know it when it is met. */
@NullMarked
package snikra.core.wanted;

import org.jspecify.annotations.NullMarked;
