/** What a collector looks for. */
@NullMarked
package snikra.server.wanted;

import org.jspecify.annotations.NullMarked;
