package snikra.core.dating;

import java.util.List;
import snikra.core.dating.DatingVerdict.StateProbability;

/**
 * How far something that is told of a knife holds, all the knife shows taken together.
 *
 * @param statement its id
 * @param alone how likely it is that all it says is so by its source alone, the knife not heard
 * @param chance how likely it is that all it says is true of this very knife
 * @param doubted whether the knife takes so much from its source's word that one asks how both can
 *     be
 * @param knife where it is doubted, the years of the knife without it, nine chances in ten; else
 *     those with it
 * @param thereBy the year by which such a knife was made, nine chances in ten, by the same
 * @param ifTrue where it is doubted, how the knife came to be as it is if it is so all the same,
 *     likeliest first; all of it is 1
 */
public record StoryTruth(
    String statement,
    double alone,
    double chance,
    boolean doubted,
    Span knife,
    int thereBy,
    List<StateProbability> ifTrue) {
  public StoryTruth {
    ifTrue = List.copyOf(ifTrue);
  }
}
