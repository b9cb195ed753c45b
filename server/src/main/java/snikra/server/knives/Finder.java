package snikra.server.knives;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import snikra.core.search.Card;
import snikra.core.search.CardIndex;
import snikra.core.search.Facet;
import snikra.core.search.Found;
import snikra.formats.Json;

/** Keeps the cards of the tray in step with its rows. */
final class Finder {
  private final CardIndex cards = new CardIndex();
  private final Map<Integer, CatalogueRow> indexed = new HashMap<>();
  private long state = -1;
  private String by = "";

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
      }
    }
    wanted.forEach(
        (number, row) -> {
          if (indexed.put(number, row) != row) {
            cards.put(Json.mapper().readValue(row.card(), Card.class));
          }
        });
    state = now;
    by = references;
  }

  /** The rows of what was found, as they were when the cards were brought up. */
  synchronized List<CatalogueRow> rows(Found found) {
    return found.hits().stream()
        .map(h -> indexed.get(h.number()))
        .filter(Objects::nonNull)
        .toList();
  }

  Found find(String search, Map<Facet, Set<String>> ticked, double mayBe) {
    return cards.find(search, ticked, mayBe);
  }
}
