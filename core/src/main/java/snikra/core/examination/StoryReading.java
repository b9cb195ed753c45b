package snikra.core.examination;

import java.util.List;
import org.jspecify.annotations.Nullable;
import snikra.core.dating.Span;
import snikra.core.dating.State;
import snikra.core.examination.Verdict.Finding;
import snikra.core.provenance.Chain;

/**
 * The story of a knife on its own years, each link held against all else the knife shows.
 *
 * @param from first year of the axis
 * @param to last year of the axis
 * @param made the years of the knife, nine chances in ten; null while nothing was looked at
 * @param links one for each event, in the order they were put down
 * @param chain who had it, and the years nothing is known of
 * @param holders who had it in each of the chain's tenures, in words
 * @param toldGaps each gap in words, in the order of the chain
 * @param questions what is worth asking again
 */
public record StoryReading(
    int from,
    int to,
    @Nullable Span made,
    List<StoryLink> links,
    Chain chain,
    List<String> holders,
    List<String> toldGaps,
    List<Finding> questions) {
  public StoryReading {
    links = List.copyOf(links);
    holders = List.copyOf(holders);
    toldGaps = List.copyOf(toldGaps);
    questions = List.copyOf(questions);
  }

  /**
   * One event.
   *
   * @param when its date in words; null where it has none
   * @param from first year it can mean; null where it has no date
   * @param to last year it can mean
   * @param alone how likely it is that it is so by its source alone
   * @param chance how likely it is that it is true of this very knife
   * @param doubted whether the knife speaks against it
   * @param with places of other events one and the same witness tells, so that they stand or fall
   *     together
   * @param text in a sentence
   * @param ways where it is doubted, what would reconcile the two
   * @param vaguely the event as strangers may be told it, where that is less; null where it is not
   * @param letters whom the letters cut then go with, in a sentence; null where nobody
   */
  public record StoryLink(
      @Nullable String when,
      @Nullable Integer from,
      @Nullable Integer to,
      double alone,
      double chance,
      boolean doubted,
      List<Integer> with,
      String text,
      List<Reconciling> ways,
      @Nullable Vaguely vaguely,
      @Nullable String letters) {
    public StoryLink {
      with = List.copyOf(with);
      ways = List.copyOf(ways);
    }
  }

  /**
   * A find as strangers may be told it.
   *
   * @param place null where nothing of it may be told
   */
  public record Vaguely(@Nullable String place) {}

  /**
   * How both the knife and what is told can be as they are.
   *
   * @param kind how the knife came to be as it is; untrue where what is told is not so
   * @param part the part it befell
   * @param chance of the first, of all; of the others, if what is told is so all the same
   */
  public record Reconciling(State.Kind kind, @Nullable String part, double chance, String text) {}
}
