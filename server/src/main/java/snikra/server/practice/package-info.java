/** Practice, kept by player. */
@NullMarked
package snikra.server.practice;

import org.jspecify.annotations.NullMarked;
