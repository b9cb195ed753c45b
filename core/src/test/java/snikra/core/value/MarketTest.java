package snikra.core.value;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import snikra.core.fixture.Shelf;
import snikra.core.value.Market.Said;
import snikra.core.value.Market.Sold;
import snikra.core.value.MarketLikeness.Traits;

/** The exact process, held against the textbook form of it worked out by elimination. */
class MarketTest {
  private static final MarketRates RATES = MarketRates.of(Shelf.judgement());

  /** With so many degrees of freedom a price is never far off: all are trusted as they stand. */
  private static final MarketRates NO_TAILS =
      MarketRates.of(Shelf.judgement().with("value.tails", 1e12));

  private static final MarketLikeness LIKENESS = new MarketLikeness(RATES);

  private static Market market(List<Sold> sales, MarketRates rates) {
    return new Market(sales, rates);
  }

  private static Traits traits(String maker, double made, double worth) {
    return new Traits(maker, "jack", "jacks", "bone", made, 2, null, null, worth, 2020.0);
  }

  private static Sold sold(String maker, double made, double worth, double price) {
    return new Sold(traits(maker, made, worth), price, 0.1);
  }

  private static List<Sold> some(Random random, int n) {
    List<Sold> all = new ArrayList<>();
    for (int i = 0; i < n; i++) {
      String maker = random.nextInt(3) == 0 ? null : "m" + random.nextInt(3);
      all.add(
          sold(
              maker,
              1880 + random.nextInt(80),
              random.nextGaussian() / 2,
              4 + random.nextGaussian()));
    }
    return all;
  }

  @Test
  void itIsWhatTheTextbookFormGives() {
    Random random = new Random(5);
    for (int n = 1; n <= 12; n++) {
      List<Sold> sales = some(random, n);
      Traits knife = traits("m1", 1905, 0.3);
      Said said = market(sales, NO_TAILS).of(knife);
      double[] textbook = textbook(sales, knife);
      assertThat(said.mean()).isCloseTo(textbook[0], within(1e-9));
      assertThat(said.variance()).isCloseTo(textbook[1], within(1e-9));
    }
  }

  // Mean and variance of a bell of many dimensions, where all but the last are known.
  private static double[] textbook(List<Sold> sales, Traits knife) {
    int n = sales.size();
    double[][] k = new double[n][n];
    double mean = sales.stream().mapToDouble(Sold::price).average().orElseThrow();
    double[] off = new double[n];
    double[] with = new double[n];
    for (int i = 0; i < n; i++) {
      Traits a = sales.get(i).traits();
      for (int j = 0; j < n; j++) {
        k[i][j] =
            i == j
                ? LIKENESS.variance(a) + sales.get(i).noise()
                : LIKENESS.covariance(a, sales.get(j).traits());
      }
      off[i] = sales.get(i).price() - mean;
      with[i] = LIKENESS.covariance(knife, a);
    }
    double[] pull = eliminated(k, off);
    double[] weights = eliminated(k, with);
    double middle = mean;
    double left = LIKENESS.variance(knife);
    for (int i = 0; i < n; i++) {
      middle += with[i] * pull[i];
      left -= with[i] * weights[i];
    }
    return new double[] {middle, left};
  }

  private static double[] eliminated(double[][] of, double[] right) {
    int n = right.length;
    double[][] a = new double[n][n + 1];
    for (int i = 0; i < n; i++) {
      System.arraycopy(of[i], 0, a[i], 0, n);
      a[i][n] = right[i];
    }
    for (int c = 0; c < n; c++) {
      for (int r = 0; r < n; r++) {
        double by = r == c ? 0 : a[r][c] / a[c][c];
        for (int x = c; by != 0 && x <= n; x++) {
          a[r][x] -= by * a[c][x];
        }
      }
    }
    double[] solved = new double[n];
    for (int i = 0; i < n; i++) {
      solved[i] = a[i][n] / a[i][i];
    }
    return solved;
  }

  @Property(tries = 200)
  void oneSaleMoreOfTheSameTrustNeverWidens(@ForAll @IntRange(max = 100_000) int seed) {
    Random random = new Random(seed);
    List<Sold> sales = some(random, 1 + random.nextInt(8));
    Traits knife = traits("m0", 1900 + random.nextInt(60), random.nextGaussian() / 2);
    double before = market(sales, NO_TAILS).of(knife).variance();
    List<Sold> more = new ArrayList<>(sales);
    more.addAll(some(random, 1));
    assertThat(market(more, NO_TAILS).of(knife).variance()).isLessThanOrEqualTo(before + 1e-9);
  }

  @Property(tries = 200)
  void theOrderOfTheSalesNeverMatters(@ForAll @IntRange(max = 100_000) int seed) {
    Random random = new Random(seed);
    List<Sold> sales = some(random, 2 + random.nextInt(8));
    List<Sold> turned = new ArrayList<>(sales);
    java.util.Collections.shuffle(turned, random);
    Traits knife = traits("m0", 1910, 0);
    Said one = market(sales, RATES).of(knife);
    Said other = market(turned, RATES).of(knife);
    assertThat(one.mean()).isCloseTo(other.mean(), within(1e-6));
    assertThat(one.variance()).isCloseTo(other.variance(), within(1e-6));
  }

  @Test
  void oneOddSaleDoesNotRuleAndIsTrustedLess() {
    List<Sold> sales = new ArrayList<>();
    for (double price : new double[] {4, 4.1, 3.9, 4.05, 3.95, 8}) {
      sales.add(sold("m0", 1900, 0, price));
    }
    Market market = market(sales, RATES);
    assertThat(market.trust()[5]).isLessThan(0.1);
    assertThat(market.trust()[0]).isGreaterThan(0.9);
    assertThat(market.of(traits("m0", 1900, 0)).mean()).isBetween(3.9, 4.2);
    double plain = market(sales, NO_TAILS).of(traits("m0", 1900, 0)).mean();
    assertThat(plain).isGreaterThan(4.4);
  }

  @Test
  void farFromAllSalesItIsAsWideAsIfThereWereHardlyAny() {
    List<Sold> near = List.of(sold("m0", 1900, 0, 4), sold("m0", 1900, 0, 4.1));
    Market market = market(near, RATES);
    double alike = market.of(traits("m0", 1900, 0)).variance();
    double unlike =
        market
            .of(new Traits("other", "whittler", null, "pearl", 1700.0, 2, null, null, 0, 2020.0))
            .variance();
    assertThat(unlike).isGreaterThan(4 * alike);
  }

  @Test
  void itStaysACovarianceHoweverMuchIsNotTold() {
    Random random = new Random(9);
    List<Sold> sales = new ArrayList<>();
    for (int i = 0; i < 120; i++) {
      sales.add(
          new Sold(
              new Traits(
                  some(random, "m", 40),
                  some(random, "p", 40),
                  some(random, "f", 5),
                  some(random, "h", 40),
                  random.nextInt(3) == 0 ? null : 1850.0 + random.nextInt(120),
                  random.nextInt(10),
                  random.nextInt(3) == 0 ? null : 4 + random.nextGaussian() / 5,
                  some(random, "t", 3),
                  random.nextGaussian(),
                  random.nextInt(3) == 0 ? null : 1980.0 + random.nextInt(45)),
              random.nextGaussian(),
              1e-4));
    }
    Market market = market(sales, NO_TAILS);
    for (Sold s : sales) {
      assertThat(market.of(s.traits()).variance()).isGreaterThanOrEqualTo(0);
    }
  }

  private static String some(Random random, String of, int n) {
    return random.nextInt(3) == 0 ? null : of + random.nextInt(n);
  }

  @Test
  void whereEqualKnivesBringTheSameTheTradeIsReadAsSteadyAndElseAsUnsteady() {
    List<Sold> steady = new ArrayList<>();
    List<Sold> unsteady = new ArrayList<>();
    Random random = new Random(3);
    for (int i = 0; i < 30; i++) {
      double off = random.nextGaussian();
      steady.add(sold("m0", 1900, 0, 4 + 0.02 * off));
      unsteady.add(sold("m0", 1900, 0, 4 + 1.2 * off));
    }
    double usual = RATES.noise();
    assertThat(market(steady, RATES).fitted().rates().noise()).isCloseTo(0.6 * usual, within(1e-9));
    assertThat(market(unsteady, RATES).fitted().rates().noise())
        .isCloseTo(1.6 * usual, within(1e-9));
  }

  @Test
  void oneSaleTellsNothingOfTheTradeSoItStaysAsUsual() {
    Market one = market(List.of(sold("m0", 1900, 0, 4)), RATES);
    assertThat(one.fitted().rates()).isEqualTo(RATES);
  }
}
