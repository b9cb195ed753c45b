/** Sentences a person would say: {@link snikra.core.wording.Wording}. */
@NullMarked
package snikra.core.wording;

import org.jspecify.annotations.NullMarked;
