package snikra.core.search;

import java.util.List;
import org.jspecify.annotations.Nullable;

/** One thing a search asks of a knife. */
public sealed interface Condition {

  /**
   * Made in these years, both included.
   *
   * @param from null where any year before will do
   * @param to null where any year after will do
   */
  record Years(@Nullable Integer from, @Nullable Integer to) implements Condition {}

  /** Closed length, both ends included. */
  record Lengths(double fromMm, double toMm) implements Condition {}

  /** What it may bring. */
  record Prices(double from, double to, String currency) implements Condition {}

  /** A value of one facet, by words that are in it. */
  record Of(Facet facet, List<String> words) implements Condition {
    public Of {
      words = List.copyOf(words);
    }
  }

  /**
   * A word that is read of it or said of it.
   *
   * @param readAs the word on file it was taken for; null where it is there as it is asked for
   * @param isFound whether any knife answers to it
   */
  record Said(String word, @Nullable String readAs, boolean isFound) implements Condition {}
}
