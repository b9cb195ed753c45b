package snikra.core.value;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import snikra.core.judgement.Judgement;

/**
 * Knives with what each is put down at, for an insurer or an estate, as known on a day.
 *
 * @param asOf the day on which it was worked out
 * @param method what the amounts are and why, as it was held on that day
 * @param title what it is of or for whom, in the collector's words
 */
public record Schedule(
    Basis basis, LocalDate asOf, String method, @Nullable String title, List<Line> lines) {

  private static final double LOW = 0.25;
  private static final double MIDDLE = 0.5;

  /** What the amounts are for. */
  public enum Basis {
    INSURANCE,
    ESTATE;

    /** The number of judgement that says which sale of all like ones its amounts are of. */
    public String rate() {
      return "schedule." + this;
    }

    @Override
    public String toString() {
      return name().toLowerCase(Locale.ROOT);
    }
  }

  /**
   * A knife with its amount.
   *
   * @param knife its id
   * @param name what it is called
   * @param made the years it is of, as far as they are known
   * @param amount in whole units of the currency; null where no sale counts
   * @param low half of like sales are between this and {@code high}
   * @param counted sales that count
   */
  public record Line(
      String knife,
      int number,
      @Nullable String title,
      String name,
      @Nullable String maker,
      @Nullable String made,
      @Nullable String grade,
      @Nullable String box,
      @Nullable BigDecimal amount,
      @Nullable BigDecimal low,
      @Nullable BigDecimal high,
      @Nullable String currency,
      int counted) {}

  /** What of a knife's value a schedule needs: the quarters of like sales. */
  public record Worth(BigDecimal low, BigDecimal middle, BigDecimal high) {}

  public Schedule {
    lines = List.copyOf(lines);
  }

  /** What the lines come to, by currency. */
  public Map<String, BigDecimal> totals() {
    Map<String, BigDecimal> totals = new TreeMap<>();
    lines.stream()
        .filter(l -> l.amount != null)
        .forEach(l -> totals.merge(Objects.requireNonNull(l.currency), l.amount, BigDecimal::add));
    return totals;
  }

  /** How many of them have no amount. */
  public int unvalued() {
    return (int) lines.stream().filter(l -> l.amount == null).count();
  }

  /**
   * What a knife is put down at: the price under which a certain share of like sales lies. Between
   * the quarters prices go as their logarithms do, as sales of knives do.
   */
  public static BigDecimal amount(Basis basis, Worth worth, Judgement judgement) {
    double share = judgement.of(basis.rate());
    boolean isBelow = share < MIDDLE;
    BigDecimal from = isBelow ? worth.low : worth.middle;
    BigDecimal to = isBelow ? worth.middle : worth.high;
    double way = Math.max(0, Math.min(1, (share - (isBelow ? LOW : MIDDLE)) / (MIDDLE - LOW)));
    if (way == 0 || way == 1) {
      return (way == 0 ? from : to).setScale(0, RoundingMode.HALF_UP);
    }
    double log = (1 - way) * Math.log(from.doubleValue()) + way * Math.log(to.doubleValue());
    return BigDecimal.valueOf(Math.exp(log)).setScale(0, RoundingMode.HALF_UP);
  }
}
