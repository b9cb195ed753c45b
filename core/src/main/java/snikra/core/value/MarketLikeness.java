package snikra.core.value;

import java.util.Objects;
import org.jspecify.annotations.Nullable;

/**
 * How alike two knives are to those who pay for them: a covariance of their prices, in logarithms.
 * What is not told of a knife is like nothing else, beyond what all knives share: so it stays a
 * covariance whatever is told, however many there are.
 */
final class MarketLikeness {
  private final MarketRates rates;

  MarketLikeness(MarketRates rates) {
    this.rates = rates;
  }

  /**
   * A knife as the trade sees it.
   *
   * @param family of its pattern
   * @param handle null where it was not told
   * @param made the middle of its years; null where they were not told
   * @param madeSpread standard deviation of them
   * @param size how long it is closed, as a logarithm of millimetres; null where it was not told
   * @param text on it that is paid for; null where there is none
   * @param worth of its grade, what came with it, what is written on it and how seldom it is met,
   *     in logarithms
   * @param sold when, in years; null where it was not told
   */
  record Traits(
      @Nullable String maker,
      @Nullable String pattern,
      @Nullable String family,
      @Nullable String handle,
      @Nullable Double made,
      double madeSpread,
      @Nullable Double size,
      @Nullable String text,
      double worth,
      @Nullable Double sold) {
    /** The same, were it worth so much. */
    Traits worth(double other) {
      return new Traits(maker, pattern, family, handle, made, madeSpread, size, text, other, sold);
    }
  }

  /** Likeness in one respect after another, 1 the same. */
  record Parts(
      double maker, double pattern, double handle, double years, double size, double text) {
    double all() {
      return maker * pattern * handle * years * size * text;
    }
  }

  Parts parts(Traits a, Traits b) {
    return new Parts(
        same(a.maker(), b.maker(), rates.otherMaker()),
        pattern(a, b),
        same(a.handle(), b.handle(), rates.otherHandle()),
        years(a, b),
        size(a, b),
        // Who sells a knife with a text on it says so: where none is told there is none.
        Objects.equals(a.text(), b.text()) ? 1 : rates.otherText());
  }

  /** Of two different knives. */
  double covariance(Traits a, Traits b) {
    return shared(a, b)
        + square(rates.kind()) * parts(a, b).all()
        + square(rates.drift()) * drift(a.sold(), b.sold());
  }

  /** Of one knife with itself, without what parts equal knives. */
  double variance(Traits a) {
    return shared(a, a) + square(rates.kind()) + square(rates.drift());
  }

  private double shared(Traits a, Traits b) {
    return square(rates.level()) + a.worth() * perWorth(b);
  }

  /** How much the covariance with a knife grows with what another is worth. */
  double perWorth(Traits a) {
    return square(rates.gradeGive()) * a.worth();
  }

  private static double same(@Nullable String a, @Nullable String b, double other) {
    return a != null && a.equals(b) ? 1 : other;
  }

  private double pattern(Traits a, Traits b) {
    boolean isFamily = a.family() != null && a.family().equals(b.family());
    return same(a.pattern(), b.pattern(), isFamily ? rates.family() : rates.otherPattern());
  }

  // The mean of a bell over years that are themselves bells.
  private double years(Traits a, Traits b) {
    if (a.made() == null || b.made() == null) {
      return rates.otherYears();
    }
    double length = square(rates.years()) / (2 * Math.log(2));
    double spread = length + square(a.madeSpread()) + square(b.madeSpread());
    double bell =
        Math.sqrt(length / spread) * Math.exp(-square(a.made() - b.made()) / (2 * spread));
    return rates.otherYears() + (1 - rates.otherYears()) * bell;
  }

  private double size(Traits a, Traits b) {
    if (a.size() == null || b.size() == null) {
      return rates.otherSize();
    }
    double apart = (a.size() - b.size()) / rates.size();
    return rates.otherSize() + (1 - rates.otherSize()) * Math.exp(-Math.log(2) * square(apart));
  }

  private double drift(@Nullable Double a, @Nullable Double b) {
    return a == null || b == null ? 0 : Math.exp(-Math.abs(a - b) / rates.driftYears());
  }

  private static double square(double x) {
    return x * x;
  }
}
