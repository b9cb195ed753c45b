package snikra.server.ledger;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import snikra.core.ledger.ExchangeRates;
import snikra.core.ledger.KeptEntry;
import snikra.core.ledger.LedgerEntry.Piece;
import snikra.core.ledger.ToldPurchase;
import snikra.core.provenance.StoryEvent;
import snikra.server.knives.Catalogue;
import snikra.server.knives.FoundBy;
import snikra.server.ledger.Ledger.EntryTold;
import snikra.server.ledger.Ledger.LedgerTold;

/**
 * Purchases that stand in the stories of knives and not in the ledger, where they belong. Nothing
 * goes into the ledger of itself: the collector sees them first.
 */
public final class StoryPurchases {
  private final Catalogue catalogue;
  private final Ledger ledger;
  private final ExchangeRates rates;

  /** Those of this tray, for this ledger. */
  public StoryPurchases(Catalogue catalogue, Ledger ledger, ExchangeRates rates) {
    this.catalogue = catalogue;
    this.ledger = ledger;
    this.rates = rates;
  }

  /**
   * What became of them.
   *
   * @param ids of the entries that were made, to strike out again
   */
  record TakenOver(LedgerTold ledger, List<String> ids) {}

  /** Those the ledger does not have; one that was struck out there is not told again. */
  List<ToldPurchase> offered() {
    LedgerTold told = ledger.told();
    Set<String> known = new HashSet<>();
    for (EntryTold e : told.entries()) {
      known.add(e.id());
      if (!e.struck()) {
        e.entry().in().stream().map(Piece::knife).forEach(known::add);
      }
    }
    Map<String, StoryEvent> bought = new LinkedHashMap<>();
    catalogue.eachFound(
        FoundBy.of("", new String[0]),
        knife -> {
          if (!known.contains(knife.id())) {
            ToldPurchase.in(knife.story()).ifPresent(e -> bought.put(knife.id(), e));
          }
        });
    String currency = told.entries().isEmpty() ? commonest(bought) : null;
    String of = currency == null ? told.currency() : currency;
    List<ToldPurchase> all = new ArrayList<>();
    bought.forEach((id, e) -> all.add(ToldPurchase.of(id, e, of, rates, ledger.today())));
    all.removeIf(p -> known.contains(p.id()));
    return all;
  }

  private static @Nullable String commonest(Map<String, StoryEvent> bought) {
    Map<String, Integer> counts = new HashMap<>();
    bought.values().forEach(e -> counts.merge(e.currency(), 1, Integer::sum));
    return counts.entrySet().stream()
        .max(
            Map.Entry.<String, Integer>comparingByValue()
                .thenComparing(Map.Entry.<String, Integer>comparingByKey().reversed()))
        .map(Map.Entry::getKey)
        .orElse(null);
  }

  /** Takes over all that can be, in one go. */
  TakenOver takeOver() {
    List<KeptEntry> entries =
        offered().stream()
            .filter(p -> p.problem() == null)
            .map(p -> new KeptEntry(p.id(), p.entry()))
            .toList();
    List<KeptEntry> added = ledger.addAll(entries);
    return new TakenOver(ledger.told(), added.stream().map(KeptEntry::id).toList());
  }
}
