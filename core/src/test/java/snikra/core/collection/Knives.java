package snikra.core.collection;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import snikra.core.search.Card;
import snikra.core.search.Facet;
import snikra.core.sets.Fit;

/** Cards of knives for tests. */
final class Knives {
  private Knives() {}

  static Card card(
      int number,
      Map<Facet, String> of,
      int from,
      List<Double> decades,
      @Nullable Double mm,
      List<Fit> fits) {
    Map<Facet, List<String>> facets = new HashMap<>();
    of.forEach((facet, value) -> facets.put(facet, List.of(value)));
    return new Card(number, List.of(), facets, from, decades, mm, null, null, null, fits);
  }
}
