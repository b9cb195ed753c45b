/** Sets pages as PDF. */
@NullMarked
package snikra.server.paper;

import org.jspecify.annotations.NullMarked;
