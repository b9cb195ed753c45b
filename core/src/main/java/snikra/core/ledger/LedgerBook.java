package snikra.core.ledger;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;
import org.jspecify.annotations.Nullable;
import snikra.core.examination.Problem;
import snikra.core.ledger.LedgerEntry.Gone;
import snikra.core.ledger.LedgerEntry.Kind;
import snikra.core.ledger.LedgerEntry.Piece;
import snikra.core.ledger.LedgerEntry.Sharing;

/**
 * The ledger worked out: what each knife has cost, what came back, by knife, by lot and by year.
 * All amounts are in one currency. Immutable.
 */
public final class LedgerBook {
  private final CurrencyUnit currency;
  private final Map<String, KeptEntry> entries = new LinkedHashMap<>();
  private final Map<String, Came> came = new LinkedHashMap<>();
  private final Map<String, Went> went = new HashMap<>();
  private final Map<String, Map<String, Money>> shares = new HashMap<>();
  private final List<Problem> problems = new ArrayList<>();

  private record Came(Piece piece, KeptEntry with) {}

  private record Went(Gone gone, KeptEntry with) {}

  /**
   * A knife in the ledger.
   *
   * @param piece its id in the ledger
   * @param knife its id in the tray; null for one that is not catalogued
   * @param lot the entry it came with
   * @param out the entry it went with; null while it is here
   * @param cost its share of what was paid
   * @param back what came back for it; null while it is here
   * @param gain {@code back} less {@code cost} where it was sold, given back or lost
   * @param days from the day it came to the day it went; null where one of them is no day
   */
  public record Holding(
      String piece,
      @Nullable String knife,
      @Nullable String name,
      String lot,
      @Nullable String out,
      BigDecimal cost,
      @Nullable BigDecimal back,
      @Nullable BigDecimal gain,
      @Nullable Long days) {}

  /**
   * Knives that came together.
   *
   * @param cost all that was paid for them
   * @param back all that came back for those that went
   * @param net what those that stayed have cost; below 0 where more came back than was paid
   * @param kept how many stayed
   */
  public record Lot(
      String entry,
      List<Holding> knives,
      BigDecimal cost,
      BigDecimal back,
      BigDecimal net,
      int kept) {}

  /**
   * A year.
   *
   * @param spent all that was paid
   * @param back all that came back, fees and postage taken off
   * @param gain on what was sold, given back or lost in it
   */
  public record Year(int year, BigDecimal spent, BigDecimal back, BigDecimal gain) {}

  private LedgerBook(List<KeptEntry> entries, String currency) {
    this.currency = CurrencyUnit.of(currency);
    entries.forEach(e -> this.entries.put(e.id(), e));
    entries.forEach(e -> rate(e.entry()));
    entries.forEach(this::enter);
    went.values().forEach(this::hold);
    if (problems.isEmpty() && !isInOrder()) {
      problems.add(new Problem("out", "swaps in a circle", "must be knives that came before"));
    }
  }

  /**
   * The currency of a ledger: that of the first entry without a rate to another.
   *
   * @param usual that of an empty one
   */
  public static String currencyOf(List<KeptEntry> entries, String usual) {
    return entries.stream()
        .map(KeptEntry::entry)
        .filter(e -> e.rate() == null)
        .map(LedgerEntry::currency)
        .findFirst()
        .orElse(usual);
  }

  /**
   * Works a ledger out.
   *
   * @param entries in any order
   * @param currency of the book
   */
  public static LedgerBook of(List<KeptEntry> entries, String currency) {
    return new LedgerBook(entries, currency);
  }

  private void rate(LedgerEntry e) {
    boolean isOwn = e.currency().equals(currency.getCode());
    if (isOwn && e.rate() != null) {
      problems.add(
          new Problem("rate", e.rate().toPlainString(), "must be left out in " + e.currency()));
    } else if (!isOwn && e.rate() == null) {
      problems.add(
          new Problem(
              "rate",
              "nothing",
              "must be what one " + e.currency() + " was in " + currency.getCode() + " that day"));
    }
  }

  private void enter(KeptEntry kept) {
    for (Piece piece : kept.entry().in()) {
      if (came.putIfAbsent(piece.id(), new Came(piece, kept)) != null) {
        problems.add(new Problem("in", piece.id(), "must be a knife that did not come before"));
      }
    }
    for (Gone gone : kept.entry().out()) {
      if (went.putIfAbsent(gone.piece(), new Went(gone, kept)) != null) {
        problems.add(new Problem("out", told(gone.piece()), "must be a knife that is still here"));
      }
    }
  }

  // A knife goes after it came; where only the year is known it may be the same.
  private void hold(Went out) {
    Came in = came.get(out.gone().piece());
    if (in == null) {
      problems.add(new Problem("out", out.gone().piece(), "must be a knife of the ledger"));
      return;
    }
    LedgerEntry from = in.with().entry();
    LedgerEntry to = out.with().entry();
    Long days = days(from, to);
    if (to.date().latestYear() < from.date().earliestYear() || (days != null && days < 0)) {
      problems.add(
          new Problem(
              "date",
              to.date().written(),
              "must not be before " + told(in.piece().id()) + " came, " + from.date().written()));
    }
  }

  private String told(String piece) {
    Came in = came.get(piece);
    return in == null || in.piece().name() == null ? piece : in.piece().name();
  }

  private static @Nullable Long days(LedgerEntry from, LedgerEntry to) {
    LocalDate first = from.date().day().orElse(null);
    LocalDate last = to.date().day().orElse(null);
    return first == null || last == null ? null : ChronoUnit.DAYS.between(first, last);
  }

  // What came by a swap is worth what went for it: that must not lead back to itself.
  private boolean isInOrder() {
    Set<String> sound = new HashSet<>();
    return entries.values().stream().allMatch(e -> isSound(e, sound, new HashSet<>()));
  }

  private boolean isSound(KeptEntry e, Set<String> sound, Set<String> above) {
    if (sound.contains(e.id()) || e.entry().kind() != Kind.SWAPPED) {
      return true;
    }
    boolean is =
        above.add(e.id())
            && e.entry().out().stream()
                .allMatch(g -> isSound(came.get(g.piece()).with(), sound, above));
    above.remove(e.id());
    if (is) {
      sound.add(e.id());
    }
    return is;
  }

  /** What does not hold together; the rest is only told where this is empty. */
  public List<Problem> problems() {
    return problems;
  }

  /** The currency of the book. */
  public String currency() {
    return currency.getCode();
  }

  // All of one entry is turned into the other currency at once, and rounded once.
  private Money all(LedgerEntry e, int priceTimes, int costsTimes) {
    BigDecimal price = orNothing(e.price()).multiply(BigDecimal.valueOf(priceTimes));
    BigDecimal costs = orNothing(e.postage()).add(orNothing(e.fees()));
    return converted(e, price.add(costs.multiply(BigDecimal.valueOf(costsTimes))));
  }

  private Money converted(LedgerEntry e, BigDecimal amount) {
    Money own = Money.of(CurrencyUnit.of(e.currency()), amount, RoundingMode.HALF_UP);
    return e.rate() == null ? own : own.convertedTo(currency, e.rate(), RoundingMode.HALF_UP);
  }

  private static BigDecimal orNothing(@Nullable BigDecimal amount) {
    return amount == null ? BigDecimal.ZERO : amount;
  }

  private Money cost(String piece) {
    KeptEntry with = came.get(piece).with();
    Map<String, Money> of = shares.get(with.id());
    if (of == null) {
      of = costs(with);
      shares.put(with.id(), of);
    }
    return of.get(piece);
  }

  private Map<String, Money> costs(KeptEntry with) {
    LedgerEntry e = with.entry();
    Map<String, Money> of = new LinkedHashMap<>();
    List<Money> parts =
        Shares.of(paid(e), e.in().stream().map(p -> weight(e.shared(), p.share())).toList());
    for (int i = 0; i < parts.size(); i++) {
      of.put(e.in().get(i).id(), parts.get(i));
    }
    return of;
  }

  // What was paid for all that came, with what went for it.
  private Money paid(LedgerEntry e) {
    Money paid = all(e, 1, 1);
    if (e.kind() == Kind.SWAPPED) {
      for (Gone gone : e.out()) {
        paid = paid.plus(cost(gone.piece()));
      }
    }
    return paid;
  }

  private static BigDecimal weight(Sharing sharing, @Nullable BigDecimal share) {
    return sharing == Sharing.EQUALLY ? BigDecimal.ONE : orNothing(share);
  }

  private Money back(Went out) {
    LedgerEntry e = out.with().entry();
    if (e.kind() == Kind.SWAPPED) {
      return cost(out.gone().piece());
    }
    List<Money> parts =
        Shares.of(
            all(e, e.kind().pays() ? 1 : 0, -1),
            e.out().stream().map(g -> weight(e.shared(), g.share())).toList());
    return parts.get(e.out().indexOf(out.gone()));
  }

  /**
   * What one entry gives each of its knives: of what was paid to each that came, else of what came
   * back.
   */
  public Map<String, BigDecimal> sharesOf(String entry) {
    LedgerEntry e = entries.get(entry).entry();
    Map<String, BigDecimal> of = new LinkedHashMap<>();
    e.in().forEach(p -> of.put(p.id(), cost(p.id()).getAmount()));
    if (!e.kind().comes()) {
      e.out().forEach(g -> of.put(g.piece(), back(went.get(g.piece())).getAmount()));
    }
    return of;
  }

  /** Every knife of the ledger, in the order they came. */
  public List<Holding> holdings() {
    return came.values().stream().map(this::holding).toList();
  }

  private Holding holding(Came in) {
    Piece piece = in.piece();
    Money cost = cost(piece.id());
    Went out = went.get(piece.id());
    Money back = out == null ? null : back(out);
    boolean gains = out != null && isGain(out.with().entry().kind());
    return new Holding(
        piece.id(),
        piece.knife(),
        piece.name(),
        in.with().id(),
        out == null ? null : out.with().id(),
        cost.getAmount(),
        back == null ? null : back.getAmount(),
        gains ? back.minus(cost).getAmount() : null,
        out == null ? null : days(in.with().entry(), out.with().entry()));
  }

  // What was given away or swapped is neither gained nor lost on.
  private static boolean isGain(Kind kind) {
    return kind.pays() || kind == Kind.LOST;
  }

  /** Knives that came together, in the order they came. */
  public List<Lot> lots() {
    Map<String, List<Holding>> byLot =
        holdings().stream()
            .collect(Collectors.groupingBy(Holding::lot, LinkedHashMap::new, Collectors.toList()));
    return byLot.entrySet().stream().map(e -> lot(e.getKey(), e.getValue())).toList();
  }

  private Lot lot(String entry, List<Holding> knives) {
    BigDecimal cost = Money.zero(currency).getAmount();
    BigDecimal back = cost;
    int kept = 0;
    for (Holding h : knives) {
      cost = cost.add(h.cost());
      back = back.add(orNothing(h.back()));
      kept += h.out() == null ? 1 : 0;
    }
    return new Lot(entry, knives, cost, back, cost.subtract(back), kept);
  }

  /** Every year something happened in. */
  public List<Year> years() {
    Map<Integer, Money[]> by = new TreeMap<>();
    for (KeptEntry kept : entries.values()) {
      LedgerEntry e = kept.entry();
      Money[] of = of(by, e.year());
      if (e.kind().pays()) {
        of[1] = of[1].plus(all(e, 1, -1));
      } else if (all(e, 1, 1).isNegative()) {
        of[1] = of[1].minus(all(e, 1, 1));
      } else {
        of[0] = of[0].plus(all(e, e.kind().comes() ? 1 : 0, 1));
      }
    }
    for (Holding h : holdings()) {
      if (h.gain() != null) {
        Money[] of = of(by, entries.get(h.out()).entry().year());
        of[2] = of[2].plus(h.gain());
      }
    }
    return by.entrySet().stream()
        .map(
            e ->
                new Year(
                    e.getKey(),
                    e.getValue()[0].getAmount(),
                    e.getValue()[1].getAmount(),
                    e.getValue()[2].getAmount()))
        .toList();
  }

  private Money[] of(Map<Integer, Money[]> by, int year) {
    Money none = Money.zero(currency);
    return by.computeIfAbsent(year, y -> new Money[] {none, none, none});
  }
}
