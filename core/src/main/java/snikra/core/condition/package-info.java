/**
 * Condition. {@link snikra.core.condition.ConditionBook} holds the points one looks at and the
 * grade each fault allows at best; the limiting-fault grade is the lowest of them, and points
 * nobody has looked at leave a range, not a guess.
 */
@NullMarked
package snikra.core.condition;

import org.jspecify.annotations.NullMarked;
