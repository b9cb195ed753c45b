package snikra.core.search;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What answers to a search.
 *
 * @param phrases as they were understood, in their order
 * @param hits by number
 * @param facets all that the collection has, with how many of each answer
 */
public record Found(List<Phrase> phrases, List<Hit> hits, List<Counted> facets) {

  /**
   * A knife that answers.
   *
   * @param chance that it is of the years asked for; null where none were
   */
  public record Hit(int number, @Nullable Double chance) {}

  /** A facet with its values, the most frequent first. */
  public record Counted(Facet facet, List<Value> values) {}

  /**
   * A value of a facet.
   *
   * @param of how many knives have it
   * @param found how many of them answer to the search and to what is ticked in the other facets
   */
  public record Value(String value, int of, int found) {}
}
