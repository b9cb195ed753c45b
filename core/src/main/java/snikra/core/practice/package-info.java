/** Practice: knives to judge for oneself, and how well one's own eye holds what it says. */
@NullMarked
package snikra.core.practice;

import org.jspecify.annotations.NullMarked;
