package snikra.core.ledger;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import snikra.core.examination.Problem;
import snikra.core.provenance.StoryEvent;
import snikra.core.provenance.StoryEvent.Kind;
import snikra.core.provenance.StoryEvent.Source;
import snikra.core.wording.NotAccepted;

/**
 * What the collection itself paid for a knife as the story of the knife tells it, as an entry of
 * the ledger.
 *
 * @param id of the entry: the same purchase has the same each time it is asked for
 * @param problem why it cannot be taken over; null where it can
 */
public record ToldPurchase(String id, String knife, LedgerEntry entry, @Nullable Problem problem) {

  /** The last time the collection itself bought it, where the story tells the price and the day. */
  public static Optional<StoryEvent> in(List<StoryEvent> story) {
    return story.stream()
        .filter(e -> e.kind() == Kind.BOUGHT && e.source() == Source.OWN_RECORD)
        .filter(e -> e.holder() == null && e.date() != null)
        .filter(e -> e.price() != null && e.currency() != null)
        .reduce((first, last) -> last);
  }

  /**
   * That purchase as an entry.
   *
   * @param currency of the ledger
   */
  public static ToldPurchase of(
      String knife, StoryEvent bought, String currency, ExchangeRates rates, LocalDate today) {
    LedgerEntry bare =
        new LedgerEntry(
            LedgerEntry.Kind.BOUGHT,
            bought.date(),
            bought.place(),
            bought.price(),
            null,
            null,
            bought.currency(),
            null,
            null,
            List.of(new LedgerEntry.Piece(id("piece", knife, bought), knife, null, null)),
            List.of(),
            bought.note());
    String id = id("entry", knife, bought);
    Problem problem = bare.problems(today).stream().findFirst().orElse(null);
    if (problem != null || bought.currency().equals(currency)) {
      return new ToldPurchase(id, knife, bare, problem);
    }
    try {
      return new ToldPurchase(
          id, knife, bare.at(rates.of(bought.currency(), currency, bought.date()).rate()), null);
    } catch (NotAccepted e) {
      return new ToldPurchase(
          id,
          knife,
          bare,
          new Problem("rate", bought.currency() + " in " + currency, e.accepted()));
    }
  }

  private static String id(String of, String knife, StoryEvent bought) {
    String told =
        String.join(
            "\n",
            of,
            knife,
            bought.date().written(),
            bought.price().stripTrailingZeros().toPlainString(),
            bought.currency());
    return UUID.nameUUIDFromBytes(told.getBytes(StandardCharsets.UTF_8)).toString();
  }
}
