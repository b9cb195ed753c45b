/** What several tables have in common. */
@NullMarked
package snikra.server.kept;

import org.jspecify.annotations.NullMarked;
