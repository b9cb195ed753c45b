package snikra.core.ledger;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import snikra.core.examination.Problem;
import snikra.core.provenance.EdtfDate;

/**
 * One thing that happened to knives and money.
 *
 * @param date a day, a month or a year
 * @param who it was with
 * @param price of all together; of a swap what was paid on top, below 0 where money came back
 * @param postage paid
 * @param fees paid
 * @param currency all amounts are in, three letters by ISO 4217
 * @param rate what one of that currency was in the currency of the book; null where it is the same
 * @param sharing how the money is shared among the knives
 * @param in knives that came
 * @param out knives that went
 */
public record LedgerEntry(
    Kind kind,
    EdtfDate date,
    @Nullable String who,
    @Nullable BigDecimal price,
    @Nullable BigDecimal postage,
    @Nullable BigDecimal fees,
    String currency,
    @Nullable BigDecimal rate,
    @Nullable Sharing sharing,
    List<Piece> in,
    List<Gone> out,
    @Nullable String note) {

  public LedgerEntry {
    in = in == null ? List.of() : List.copyOf(in);
    out = out == null ? List.of() : List.copyOf(out);
  }

  /** What happened. */
  public enum Kind {
    BOUGHT(true, false),
    GOT(true, false),
    INHERITED(true, false),
    FOUND(true, false),
    SWAPPED(true, true),
    SOLD(false, true),
    RETURNED(false, true),
    GAVE(false, true),
    LOST(false, true);

    private final boolean comes;
    private final boolean goes;

    Kind(boolean comes, boolean goes) {
      this.comes = comes;
      this.goes = goes;
    }

    /** Whether knives come with it. */
    public boolean comes() {
      return comes;
    }

    /** Whether knives go with it. */
    public boolean goes() {
      return goes;
    }

    /** Whether money is had for what goes. */
    public boolean pays() {
      return this == SOLD || this == RETURNED;
    }

    @Override
    public String toString() {
      return name().toLowerCase(Locale.ROOT);
    }
  }

  /** How money is shared among several knives. */
  public enum Sharing {
    EQUALLY,
    BY_VALUE,
    BY_HAND;

    @Override
    public String toString() {
      return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
  }

  /**
   * A knife that came.
   *
   * @param id by which it is known in the ledger
   * @param knife its id in the tray; null for one that is not catalogued
   * @param name of one that is not catalogued
   * @param share its estimate, or its amount by hand
   */
  public record Piece(
      String id, @Nullable String knife, @Nullable String name, @Nullable BigDecimal share) {}

  /**
   * A knife that went.
   *
   * @param piece its id in the ledger
   * @param share its estimate, or its amount by hand
   */
  public record Gone(String piece, @Nullable BigDecimal share) {}

  /**
   * What does not hold together in it by itself.
   *
   * @param today no entry is of a day after it
   */
  public List<Problem> problems(LocalDate today) {
    List<Problem> found = new ArrayList<>();
    if (date.earliestYear() != date.latestYear()) {
      found.add(new Problem("date", date.written(), "must be a day, a month or a year"));
    }
    if (date.earliestYear() > today.getYear() || date.day().filter(today::isBefore).isPresent()) {
      found.add(new Problem("date", date.written(), "must not be after today, " + today));
    }
    pieces(found, "in", kind.comes(), in.size());
    pieces(found, "out", kind.goes(), out.size());
    if (price != null && (kind == Kind.GAVE || kind == Kind.LOST)) {
      found.add(
          new Problem("price", price.toPlainString(), "must be left out of what brought none"));
    }
    if (price != null && price.signum() < 0 && kind != Kind.SWAPPED) {
      found.add(
          new Problem(
              "price", price.toPlainString(), "must be 0 or more, but for a swap that paid"));
    }
    byHand(found);
    return found;
  }

  private static void pieces(List<Problem> found, String field, boolean wanted, int many) {
    if (wanted == (many == 0)) {
      found.add(
          new Problem(
              field,
              many + " knives",
              wanted ? "must be one knife or more" : "must be left out of this kind of entry"));
    }
  }

  // What is shared by hand adds up, so that nothing is left over and nothing is made up.
  private void byHand(List<Problem> found) {
    if (shared() != Sharing.BY_HAND || kind == Kind.SWAPPED) {
      return;
    }
    List<BigDecimal> shares =
        kind.comes()
            ? in.stream().map(p -> orNothing(p.share())).toList()
            : out.stream().map(g -> orNothing(g.share())).toList();
    BigDecimal sum = shares.stream().reduce(BigDecimal.ZERO, BigDecimal::add);
    BigDecimal whole =
        kind.comes()
            ? orNothing(price).add(orNothing(postage)).add(orNothing(fees))
            : orNothing(price);
    if (sum.compareTo(whole) != 0) {
      found.add(
          new Problem(
              "sharing",
              "amounts of " + sum.toPlainString() + " in all",
              "must add up to "
                  + whole.toPlainString()
                  + (kind.comes() ? ", postage and fees included" : ", before postage and fees")));
    }
  }

  private static BigDecimal orNothing(@Nullable BigDecimal amount) {
    return amount == null ? BigDecimal.ZERO : amount;
  }

  /** The same at a rate to the currency of the book. */
  LedgerEntry at(BigDecimal to) {
    return new LedgerEntry(
        kind, date, who, price, postage, fees, currency, to, sharing, in, out, note);
  }

  /** How the money is shared; equally where nobody said. */
  Sharing shared() {
    return sharing == null ? Sharing.EQUALLY : sharing;
  }

  /** The year it happened in. */
  public int year() {
    return date.earliestYear();
  }
}
