package snikra.server.knives;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import snikra.core.search.Card;
import snikra.core.search.CardIndex;
import snikra.core.search.Facet;
import snikra.core.search.Found;
import snikra.core.sets.Fit;
import snikra.core.sets.Struck;
import snikra.formats.Json;

/** Keeps the cards of the tray in step with its rows. */
final class Finder {
  private final CardIndex cards = new CardIndex();
  private final Map<Integer, CatalogueRow> indexed = new HashMap<>();
  private final Map<Integer, InSets> inSets = new HashMap<>();
  private long state = -1;
  private String by = "";

  /**
   * A knife that is taken for something on file of a maker.
   *
   * @param grade its name; null where it is not graded
   */
  record InSets(
      int number,
      List<Fit> fits,
      Map<String, String> shows,
      List<Struck> struck,
      @Nullable String grade) {}

  /** Whether the tray or the references are others than when the cards were brought up last. */
  synchronized boolean isBehind(long now, String references) {
    return state != now || !by.equals(references);
  }

  /** Brings in what is new and takes out what is no longer in the tray. */
  synchronized void bring(
      List<Catalogue.Standing> tray, Map<String, CatalogueRow> rows, long now, String references) {
    Map<Integer, CatalogueRow> wanted = new HashMap<>(2 * tray.size());
    for (Catalogue.Standing knife : tray) {
      CatalogueRow row = rows.get(knife.id());
      if (row != null) {
        wanted.put(knife.number(), row);
      }
    }
    for (Integer number : List.copyOf(indexed.keySet())) {
      if (!wanted.containsKey(number)) {
        cards.remove(number);
        indexed.remove(number);
        inSets.remove(number);
      }
    }
    wanted.forEach(
        (number, row) -> {
          if (indexed.put(number, row) != row) {
            put(Json.mapper().readValue(row.card(), Card.class));
          }
        });
    state = now;
    by = references;
  }

  private void put(Card card) {
    cards.put(card);
    inSets.remove(card.number());
    if (!card.fits().isEmpty()) {
      String grade =
          card.facets().getOrDefault(Facet.GRADE, List.of()).stream().findFirst().orElse(null);
      inSets.put(
          card.number(),
          new InSets(card.number(), card.fits(), card.shows(), card.struck(), grade));
    }
  }

  /** All that are taken for something on file of a maker. */
  synchronized List<InSets> inSets() {
    return List.copyOf(inSets.values());
  }

  /** The rows of what was found, as they were when the cards were brought up. */
  synchronized List<CatalogueRow> rows(Found found) {
    return found.hits().stream()
        .map(h -> indexed.get(h.number()))
        .filter(Objects::nonNull)
        .toList();
  }

  /** The cards of what was found, as they were brought up. */
  List<Card> cards(Found found) {
    return cards.cards(found.hits().stream().map(Found.Hit::number).toList());
  }

  Found find(String search, Map<Facet, Set<String>> ticked, double mayBe) {
    return cards.find(search, ticked, mayBe);
  }
}
