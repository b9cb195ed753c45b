/** Schedules of values for insurers and estates, kept as they were made. */
@NullMarked
package snikra.server.schedules;

import org.jspecify.annotations.NullMarked;
