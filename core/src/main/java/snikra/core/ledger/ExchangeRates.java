package snikra.core.ledger;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import snikra.core.provenance.EdtfDate;
import snikra.core.wording.NotAccepted;

/**
 * What currencies were worth in one another, by year, and by the day where a parity held: all
 * through the dollar. It answers only where it knows; a figure across a gap would be made up.
 */
public final class ExchangeRates {
  private static final String DOLLAR = "USD";
  private static final MathContext SHOWN = new MathContext(5, RoundingMode.HALF_UP);
  private static final MathContext EXACT = MathContext.DECIMAL64;
  private static final int DECADE = 10;

  private final Map<String, RatedCurrency> currencies;

  /** Which way round the numbers of a currency are. */
  public enum Quote {
    USD_PER_UNIT,
    UNITS_PER_USD;

    @Override
    public String toString() {
      return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
  }

  /** What kind of rate held. */
  public enum Kind {
    FIXED,
    FLOATING,
    CONTROLLED,
    NONE;

    @Override
    public String toString() {
      return name().toLowerCase(Locale.ROOT);
    }
  }

  /**
   * From one day to another.
   *
   * @param to null where it still holds
   * @param rate the parity, in the quote of the currency
   */
  public record Regime(
      LocalDate from, @Nullable LocalDate to, Kind kind, @Nullable BigDecimal rate) {
    boolean holds(LocalDate day) {
      return !day.isBefore(from) && (to == null || !day.isAfter(to));
    }

    boolean touches(int year) {
      return from.getYear() <= year && (to == null || to.getYear() >= year);
    }
  }

  /**
   * One currency.
   *
   * @param wrongByPercent by the first year of a decade, how far a year may be out
   * @param doubtful why a single year is weaker than its decade
   * @param rows averages by year
   */
  public record RatedCurrency(
      String currency,
      Quote quote,
      List<Regime> regimes,
      Map<Integer, Double> wrongByPercent,
      @Nullable Map<Integer, String> doubtful,
      Map<Integer, BigDecimal> rows) {}

  /**
   * A rate.
   *
   * @param rate what one of the first is in the second
   * @param says how it is known and how far it may be out
   */
  public record DatedRate(BigDecimal rate, String says) {}

  /** What one currency was in dollars. */
  private record InDollars(BigDecimal rate, double wrongBy, List<String> says) {}

  /** Rates by these tables. */
  public ExchangeRates(List<RatedCurrency> currencies) {
    this.currencies =
        currencies.stream()
            .collect(
                java.util.stream.Collectors.toUnmodifiableMap(RatedCurrency::currency, c -> c));
  }

  /**
   * What one of a currency was in another.
   *
   * @param date a day, or a date within one year
   * @throws NotAccepted where it is not known
   */
  public DatedRate of(String from, String to, EdtfDate date) {
    if (date.earliestYear() != date.latestYear()) {
      throw new NotAccepted("must lie within one year", date.written());
    }
    int year = date.earliestYear();
    LocalDate day = date.day().orElse(null);
    InDollars one = inDollars(from, year, day);
    InDollars other = inDollars(to, year, day);
    List<String> says = new ArrayList<>(one.says);
    other.says.stream().filter(s -> !says.contains(s)).forEach(says::add);
    double wrong = one.wrongBy + other.wrongBy;
    if (wrong > 0) {
      says.add(String.format(Locale.ROOT, "may be out by %.1f%%", wrong));
    }
    return new DatedRate(one.rate.divide(other.rate, SHOWN), String.join("; ", says));
  }

  private InDollars inDollars(String code, int year, @Nullable LocalDate day) {
    if (code.equals(DOLLAR)) {
      return new InDollars(BigDecimal.ONE, 0, List.of());
    }
    RatedCurrency of =
        Optional.ofNullable(currencies.get(code))
            .orElseThrow(() -> new NotAccepted("must be one the tables have", code));
    Regime regime =
        of.regimes.stream()
            .filter(r -> day == null ? r.touches(year) : r.holds(day))
            .findFirst()
            .orElse(null);
    if (day != null && regime != null && regime.kind == Kind.FIXED && regime.rate != null) {
      return new InDollars(
          dollars(of, regime.rate), 0, List.of(code + " at the parity of the day"));
    }
    int last = of.rows.keySet().stream().mapToInt(y -> y).max().orElse(year);
    boolean isLater = year > last && regime != null;
    BigDecimal average = of.rows.get(isLater ? last : year);
    if (average == null || (regime != null && regime.kind == Kind.NONE)) {
      throw new NotAccepted("must be of a year for which " + code + " is known", "" + year);
    }
    List<String> says = new ArrayList<>();
    says.add(code + " by the average of " + (isLater ? last : year));
    if (isLater) {
      says.add("the last on file, so look up the day's");
    }
    if (regime != null && regime.kind == Kind.CONTROLLED) {
      says.add("official, not what was paid freely");
    }
    if (of.doubtful != null && of.doubtful.containsKey(isLater ? last : year)) {
      says.add(of.doubtful.get(isLater ? last : year));
    }
    double wrong = of.wrongByPercent.getOrDefault(year / DECADE * DECADE, 0.0);
    return new InDollars(dollars(of, average), wrong, says);
  }

  private static BigDecimal dollars(RatedCurrency of, BigDecimal quoted) {
    return of.quote == Quote.USD_PER_UNIT ? quoted : BigDecimal.ONE.divide(quoted, EXACT);
  }
}
