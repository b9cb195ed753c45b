package snikra.core.value;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import snikra.core.wording.NotAccepted;

/**
 * What a price of another time is today: catalogue prices, bills, a label on a box. No figure is
 * given across a gap, where money meant nothing that a yearly index could follow.
 */
public record PriceThen(List<Country> countries) {
  private static final MathContext SHOWN = new MathContext(3, RoundingMode.HALF_UP);
  private static final int DECADE = 10;

  /**
   * A country.
   *
   * @param currency today's, in which figures are told
   * @param title what the series is
   * @param sure by the first year of a decade: high, medium or low
   * @param within by the first year of a decade: how far in per cent a row may be off
   * @param rows index number by year
   */
  public record Country(
      String id,
      String label,
      String currency,
      String title,
      List<Unit> units,
      List<Gap> gaps,
      Map<Integer, String> sure,
      Map<Integer, Double> within,
      Map<Integer, Double> rows) {
    public Country {
      units = List.copyOf(units);
      gaps = List.copyOf(gaps);
      sure = Map.copyOf(sure);
      within = Map.copyOf(within);
      rows = Map.copyOf(rows);
    }

    private TreeMap<Integer, Double> byYear() {
      return new TreeMap<>(rows);
    }

    private Optional<Gap> gap(int from, int to) {
      return gaps.stream().filter(g -> g.from() <= to && g.to() >= from).findFirst();
    }
  }

  /**
   * What money was called, in closed years.
   *
   * @param per so many of it are one of today's; null where the year does not tell
   */
  public record Unit(String name, int from, int to, @Nullable Double per) {}

  /** Closed years across which no figure is given. */
  public record Gap(int from, int to, String why) {}

  /**
   * What a price is in money of a later year.
   *
   * @param amount in the currency of that year, to three figures
   * @param unit of the price then
   * @param year in whose money it is told: the newest there is
   * @param within how far in per cent it may be off, two chances in three
   * @param sure how sure the series is of the year of the price
   */
  public record Today(
      BigDecimal amount,
      String currency,
      String unit,
      String country,
      String title,
      int from,
      int year,
      double within,
      String sure) {

    /** By how much a year a value of today is above the price then, in money of one worth. */
    public double growth(double worth, int thisYear) {
      int years = Math.max(1, thisYear - from);
      return Math.pow(worth / amount.doubleValue(), 1.0 / years) - 1;
    }
  }

  public PriceThen {
    countries = List.copyOf(countries);
  }

  /**
   * Restates a price.
   *
   * @param unit what money it was; null for the one of that year, the older where there are two
   * @throws NotAccepted where there is no figure, with the reason
   */
  public Today today(String country, BigDecimal amount, int year, @Nullable String unit) {
    Country of =
        countries.stream()
            .filter(c -> c.id().equals(country))
            .findFirst()
            .orElseThrow(() -> refused("be one of " + ids(), country));
    TreeMap<Integer, Double> rows = of.byYear();
    int newest = rows.lastKey();
    Unit then = unit(of, year, unit);
    Optional<Gap> gap = of.gap(year, newest);
    if (gap.isPresent()) {
      Gap g = gap.get();
      throw refused(
          "lie after " + g.to() + ": between " + g.from() + " and " + g.to() + " lies " + g.why(),
          "" + year);
    }
    if (year < rows.firstKey() || year > newest || then.per() == null) {
      throw refused("be a year from " + rows.firstKey() + " to " + newest, "" + year);
    }
    double times = rows.get(newest) / at(rows, year) / then.per();
    return new Today(
        amount.multiply(BigDecimal.valueOf(times)).round(SHOWN),
        of.currency(),
        then.name(),
        of.label(),
        of.title(),
        year,
        newest,
        ofDecade(of.within(), year) + ofDecade(of.within(), newest),
        ofDecade(of.sure(), year));
  }

  private static Unit unit(Country of, int year, @Nullable String name) {
    List<Unit> there = of.units().stream().filter(u -> u.from() <= year && year <= u.to()).toList();
    if (there.isEmpty()) {
      int first = of.units().stream().mapToInt(Unit::from).min().orElse(year);
      int last = of.units().stream().mapToInt(Unit::to).max().orElse(year);
      throw refused("be a year from " + first + " to " + last, "" + year);
    }
    if (name == null) {
      return there.get(0);
    }
    return there.stream()
        .filter(u -> u.name().equals(name))
        .findFirst()
        .orElseThrow(
            () ->
                refused(
                    "be money of that year: "
                        + there.stream().map(Unit::name).collect(Collectors.joining(", ")),
                    name));
  }

  // Between two years of the table in logarithms.
  private static double at(TreeMap<Integer, Double> rows, int year) {
    int before = rows.floorKey(year);
    int after = rows.ceilingKey(year);
    if (before == after) {
      return rows.get(year);
    }
    double part = (year - before) / (double) (after - before);
    return Math.exp((1 - part) * Math.log(rows.get(before)) + part * Math.log(rows.get(after)));
  }

  private static <T> T ofDecade(Map<Integer, T> by, int year) {
    TreeMap<Integer, T> decades = new TreeMap<>(by);
    Map.Entry<Integer, T> decade = decades.floorEntry(year / DECADE * DECADE);
    return decade == null ? decades.firstEntry().getValue() : decade.getValue();
  }

  private String ids() {
    return countries.stream().map(Country::id).collect(Collectors.joining(", "));
  }

  private static NotAccepted refused(String must, String given) {
    return new NotAccepted("must " + must, given);
  }
}
