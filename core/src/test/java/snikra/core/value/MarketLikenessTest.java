package snikra.core.value;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.assertj.core.data.Offset;
import org.hipparchus.distribution.continuous.NormalDistribution;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import snikra.core.fixture.Shelf;
import snikra.core.value.MarketLikeness.Traits;

/** Likeness and covariance by the numbers of judgement, worked out by hand or by summing. */
class MarketLikenessTest {
  private static final MarketRates RATES = MarketRates.of(Shelf.judgement());
  private static final MarketLikeness LIKENESS = new MarketLikeness(RATES);
  private static final Offset<Double> EXACT = within(1e-12);

  private static Traits made(double year, double spread) {
    return new Traits("a", "jack", "jacks", "bone", year, spread, null, null, 0, null);
  }

  private static Traits worth(double worth, @Nullable Double sold) {
    return new Traits("a", "jack", "jacks", "bone", 1900.0, 0, null, null, worth, sold);
  }

  @Test
  void yearsThatAreNotSureArePartedAsTheMeanOfAllTheyMayBe() {
    double length = RATES.years() / Math.sqrt(2 * Math.log(2));
    NormalDistribution first = new NormalDistribution(1900, 6);
    NormalDistribution second = new NormalDistribution(1925, 11);
    double mean = 0;
    double step = 0.5;
    for (double a = 1850; a < 1950; a += step) {
      for (double b = 1850; b < 2000; b += step) {
        mean +=
            first.density(a)
                * second.density(b)
                * Math.exp(-(a - b) * (a - b) / (2 * length * length))
                * step
                * step;
      }
    }
    assertThat(LIKENESS.parts(made(1900, 6), made(1925, 11)).years())
        .isCloseTo(RATES.otherYears() + (1 - RATES.otherYears()) * mean, within(1e-6));
    // As the number of judgement says it: half of what years part is gone.
    assertThat(LIKENESS.parts(made(1900, 0), made(1900 + RATES.years(), 0)).years())
        .isCloseTo(RATES.otherYears() + (1 - RATES.otherYears()) / 2, EXACT);
  }

  @Test
  void whatAGradeMayBeWorthOtherwiseAndTheTasteOfTheTradeArePartOfIt() {
    double level = RATES.level() * RATES.level();
    double kind = RATES.kind() * RATES.kind();
    double graded = 0.5 * 0.8 * RATES.gradeGive() * RATES.gradeGive();
    double drift = RATES.drift() * RATES.drift() * Math.exp(-4 / RATES.driftYears());
    double size = RATES.otherSize();
    assertThat(LIKENESS.covariance(worth(0.5, 2020.0), worth(0.8, 2016.0)))
        .isCloseTo(level + graded + kind * size + drift, EXACT);
    assertThat(LIKENESS.covariance(worth(0.5, null), worth(0.8, 2016.0)))
        .isCloseTo(level + graded + kind * size, EXACT);
    assertThat(LIKENESS.variance(worth(0.5, 2020.0)))
        .isCloseTo(
            level
                + 0.25 * RATES.gradeGive() * RATES.gradeGive()
                + kind
                + RATES.drift() * RATES.drift(),
            EXACT);
    assertThat(LIKENESS.perWorth(worth(0.5, null)))
        .isCloseTo(0.5 * RATES.gradeGive() * RATES.gradeGive(), EXACT);
  }

  @Test
  void aTradeMayLieFartherApartThanIsUsual() {
    MarketRates scaled = RATES.scaled(2, 3);
    assertThat(scaled.kind()).isEqualTo(2 * RATES.kind());
    assertThat(scaled.noise()).isEqualTo(3 * RATES.noise());
    assertThat(scaled.askedNoise()).isEqualTo(3 * RATES.askedNoise());
    assertThat(scaled.ungradedNoise()).isEqualTo(3 * RATES.ungradedNoise());
    assertThat(scaled.level()).isEqualTo(RATES.level());
    assertThat(scaled.drift()).isEqualTo(RATES.drift());
  }
}
