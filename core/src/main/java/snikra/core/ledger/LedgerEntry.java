package snikra.core.ledger;

import java.math.BigDecimal;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
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

  /** How the money is shared; equally where nobody said. */
  Sharing shared() {
    return sharing == null ? Sharing.EQUALLY : sharing;
  }

  /** The year it happened in. */
  public int year() {
    return date.earliestYear();
  }
}
