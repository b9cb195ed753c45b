package snikra.core.collection;

import static java.util.Comparator.comparing;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import snikra.core.search.Card;
import snikra.core.search.Facet;

/**
 * What knives are, taken together, in numbers to be drawn.
 *
 * @param knives how many there are
 * @param dated of how many something is known of their years
 * @param decades in their order, without gaps
 * @param kinds by what they have in common, the most frequent first
 */
public record Portrait(int knives, int dated, List<Decade> decades, List<Kind> kinds) {

  /** By what the knives are counted. */
  private static final List<Facet> COUNTED =
      List.of(Facet.MAKER, Facet.COUNTRY, Facet.FAMILY, Facet.HANDLE, Facet.GRADE, Facet.STATE);

  private static final int YEARS = 10;

  /** Nine times in ten the number lies between these. */
  private static final double LOW = 0.05;

  private static final double HIGH = 0.95;

  /**
   * How many are of a decade.
   *
   * @param from its first year
   * @param expected in the mean of all they may be
   * @param low nine times in ten there are at least so many
   * @param high and at most so many
   */
  public record Decade(int from, double expected, int low, int high) {}

  /**
   * The knives by one thing.
   *
   * @param of of how many it is known or said
   */
  public record Kind(Facet facet, String label, int of, List<Count> counts) {}

  /** So many have this in common. */
  public record Count(String value, int knives) {}

  /** Of these knives. */
  public static Portrait of(Collection<Card> cards) {
    List<Card> dated = cards.stream().filter(c -> !c.decades().isEmpty()).toList();
    return new Portrait(
        cards.size(),
        dated.size(),
        decades(dated),
        COUNTED.stream().map(f -> kind(f, cards)).filter(k -> !k.counts().isEmpty()).toList());
  }

  private static List<Decade> decades(List<Card> dated) {
    int first = Integer.MAX_VALUE;
    int last = Integer.MIN_VALUE;
    for (Card card : dated) {
      for (int i = 0; i < card.decades().size(); i++) {
        if (card.decades().get(i) > 0) {
          first = Math.min(first, card.firstDecade() + YEARS * i);
          last = Math.max(last, card.firstDecade() + YEARS * i);
        }
      }
    }
    List<Decade> all = new ArrayList<>();
    for (int from = first; from <= last; from += YEARS) {
      int decade = from;
      double[] chances =
          dated.stream().mapToDouble(c -> share(c, decade)).filter(p -> p > 0).toArray();
      HowMany many = HowMany.of(chances);
      double expected = 0;
      for (double chance : chances) {
        expected += chance;
      }
      all.add(new Decade(from, expected, many.quantile(LOW), many.quantile(HIGH)));
    }
    return all;
  }

  private static double share(Card card, int from) {
    int i = (from - card.firstDecade()) / YEARS;
    boolean isThere = from >= card.firstDecade() && i < card.decades().size();
    return isThere ? Math.min(1, card.decades().get(i)) : 0;
  }

  private static Kind kind(Facet facet, Collection<Card> cards) {
    Map<String, Integer> by = new TreeMap<>();
    int of = 0;
    for (Card card : cards) {
      List<String> values =
          card.facets().getOrDefault(facet, List.of()).stream()
              .filter(v -> !v.equals(Card.NOT_KNOWN))
              .toList();
      values.forEach(v -> by.merge(v, 1, Integer::sum));
      of += values.isEmpty() ? 0 : 1;
    }
    return new Kind(
        facet,
        facet.label(),
        of,
        by.entrySet().stream()
            .map(e -> new Count(e.getKey(), e.getValue()))
            .sorted(comparing(Count::knives).reversed().thenComparing(Count::value))
            .toList());
  }
}
