/** Labels for knives, their boxes and their drawers. */
@NullMarked
package snikra.server.labels;

import org.jspecify.annotations.NullMarked;
