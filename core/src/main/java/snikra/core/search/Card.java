package snikra.core.search;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import snikra.core.dating.DatingVerdict.NextLook;
import snikra.core.sets.Fit;
import snikra.core.sets.Struck;

/**
 * What a knife is found by.
 *
 * @param words all that is read of it or said of it
 * @param facets its values, as they are shown; most often one
 * @param decades how likely it was made in each, from {@code firstDecade} on; empty where nothing
 *     that dates it was looked at
 * @param lengthMm closed; null where not measured
 * @param low what it may bring, in {@code currency}; null where nothing is known
 * @param fits what it is taken for among what is on file of its maker
 * @param ahead what would tell most of it for its trouble, first things first
 * @param shows its answers, by feature, to what makers changed over the years
 * @param struck years its codes stand for
 */
public record Card(
    int number,
    List<String> words,
    Map<Facet, List<String>> facets,
    int firstDecade,
    List<Double> decades,
    @Nullable Double lengthMm,
    @Nullable Double low,
    @Nullable Double high,
    @Nullable String currency,
    List<Fit> fits,
    List<NextLook> ahead,
    Map<String, String> shows,
    List<Struck> struck) {

  /** A card of which no more is told. */
  public Card(
      int number,
      List<String> words,
      Map<Facet, List<String>> facets,
      int firstDecade,
      List<Double> decades,
      @Nullable Double lengthMm,
      @Nullable Double low,
      @Nullable Double high,
      @Nullable String currency,
      List<Fit> fits) {
    this(
        number,
        words,
        facets,
        firstDecade,
        decades,
        lengthMm,
        low,
        high,
        currency,
        fits,
        List.of(),
        Map.of(),
        List.of());
  }

  /** Stands in a facet for what nobody could tell yet. */
  public static final String NOT_KNOWN = "Not yet known";

  private static final int YEARS = 10;

  public Card {
    words = List.copyOf(words);
    facets = Map.copyOf(facets);
    decades = List.copyOf(decades);
    fits = List.copyOf(fits);
    // A card that an older Snikra kept has none; it is shown until it is made anew.
    ahead = ahead == null ? List.of() : List.copyOf(ahead);
    shows = shows == null ? Map.of() : Map.copyOf(shows);
    struck = struck == null ? List.of() : List.copyOf(struck);
  }

  /** The card of a knife that cannot be read: it is found by its number alone. */
  public static Card unread(int number) {
    return new Card(number, List.of(), Map.of(), 0, List.of(), null, null, null, null, List.of());
  }

  /** Its first value of a facet, where anything is known. */
  public Optional<String> known(Facet facet) {
    return facets.getOrDefault(facet, List.of()).stream()
        .filter(value -> !value.equals(NOT_KNOWN))
        .findFirst();
  }

  /** How likely it was made from one year to another, both included; within a decade evenly. */
  public double between(int from, int to) {
    double sum = 0;
    for (int i = 0; i < decades.size(); i++) {
      int begins = firstDecade + YEARS * i;
      int years = Math.min(to, begins + YEARS - 1) - Math.max(from, begins) + 1;
      if (years > 0) {
        sum += decades.get(i) * years / YEARS;
      }
    }
    return sum;
  }
}
