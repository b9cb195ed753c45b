/**
 * One knife, one verdict: {@link snikra.core.examination.Examiner} runs a specimen past every
 * station in working order. The saved knife and the stateless request go through the same door.
 */
@NullMarked
package snikra.core.examination;

import org.jspecify.annotations.NullMarked;
