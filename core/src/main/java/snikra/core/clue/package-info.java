/**
 * What a feature of a knife says about its year and country. A {@link snikra.core.clue.Feature} is
 * a question one asks of one part (what is the spacer at the tail?); a {@link
 * snikra.core.clue.Clue} is one answer with its bounds in time, its leaning to a country and its
 * reason. Everything here is data from the clue book; how clues are combined is the business of
 * {@code dating}.
 */
@NullMarked
package snikra.core.clue;

import org.jspecify.annotations.NullMarked;
