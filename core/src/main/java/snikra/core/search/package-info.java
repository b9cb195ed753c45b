/**
 * Finding knives by plain words and by what they have in common. Start with {@link
 * snikra.core.search.CardIndex}.
 */
@NullMarked
package snikra.core.search;

import org.jspecify.annotations.NullMarked;
