/** The collection for those who read of it: a printed catalogue, and records for museums. */
@NullMarked
package snikra.server.readers;

import org.jspecify.annotations.NullMarked;
