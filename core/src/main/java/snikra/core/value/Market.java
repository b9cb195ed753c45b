package snikra.core.value;

import java.util.Arrays;
import java.util.List;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import org.jspecify.annotations.Nullable;
import snikra.core.value.MarketLikeness.Traits;

/**
 * What sales say of the price of another knife: a Gaussian process over likeness, in logarithms of
 * price, worked out exactly. Prices have long tails: a sale the others do not bear out is trusted
 * less, in steps until nothing moves (the mean of the variance each would have by Student's t).
 */
final class Market {
  private static final int ROUNDS = 8;
  private static final double SETTLED = 1e-7;

  /** How far apart this trade may be from what is usual: tried beside one another. */
  private static final double[] SCALES = {0.6, 0.8, 1, 1.25, 1.6};

  private final List<Sold> sales;
  private final MarketLikeness likeness;
  private final MarketRates rates;
  private final double mean;
  private final double[] trust;
  private final CholeskyDecomposition solver;
  private final RealVector pull;

  /** Likeness to each sale that goes with what a knife is worth by its grade. */
  private final RealVector grading;

  private final RealVector gradingWeights;

  /**
   * A sale.
   *
   * @param price in logarithms, in today's money, less what its grade and what came with it are
   *     worth
   * @param noise how far it may be off by itself, as a variance
   */
  record Sold(Traits traits, double price, double noise) {}

  /**
   * What the sales say of a knife.
   *
   * @param variance of the middle of what it would bring
   * @param weights how much each sale counts in it
   */
  record Said(double mean, double variance, double[] weights) {}

  /** Sales in a trade as it usually is. */
  Market(List<Sold> sales, MarketRates rates) {
    this(sales, rates, 1, shared(sales, rates), null);
  }

  private Market(
      List<Sold> sales,
      MarketRates rates,
      double noise,
      double[][] shared,
      double @Nullable [] trusted) {
    this.rates = rates;
    this.likeness = new MarketLikeness(rates);
    this.sales =
        sales.stream()
            .map(s -> new Sold(s.traits(), s.price(), s.noise() * noise * noise))
            .toList();
    double[] by = new double[sales.size()];
    Arrays.fill(by, 1);
    double[] start = trusted == null ? by : trusted;
    Worked worked = work(shared, start);
    by = start;
    for (int round = 0; round < ROUNDS && trusted == null; round++) {
      double[] next = trusted(worked, by);
      double moved = 0;
      for (int i = 0; i < next.length; i++) {
        moved = Math.max(moved, Math.abs(next[i] - by[i]));
      }
      by = next;
      worked = work(shared, by);
      if (moved < SETTLED) {
        break;
      }
    }
    this.trust = by;
    this.mean = worked.mean;
    this.solver = worked.solver;
    this.pull = worked.pull;
    this.grading = new ArrayRealVector(sales.size());
    for (int i = 0; i < sales.size(); i++) {
      grading.setEntry(i, likeness.perWorth(sales.get(i).traits()));
    }
    this.gradingWeights = solver.getSolver().solve(grading);
  }

  /**
   * The same sales in the trade that bears them out best: how far unlike and equal knives are apart
   * in it, as far as the sales tell (by marginal likelihood, weighed with what is usual).
   */
  Market fitted() {
    Market best = this;
    double most = likelihood();
    for (double unlike : SCALES) {
      // How far equal knives are apart is no part of what they share.
      double[][] shared = shared(sales, rates.scaled(unlike, 1));
      for (double equal : SCALES) {
        Market other = new Market(sales, rates.scaled(unlike, equal), equal, shared, trust);
        double likely = other.likelihood() - usual(unlike) - usual(equal);
        if (likely > most) {
          most = likely;
          best = other;
        }
      }
    }
    return best;
  }

  private double usual(double scale) {
    double off = Math.log(scale) / rates.otherTrade();
    return off * off / 2;
  }

  // How likely the prices are, all told, as a logarithm, but for what is the same for every trade.
  // Their own mean is taken out of them first, and with it what it explains (restricted
  // likelihood):
  // one sale alone says nothing of how far apart prices are.
  private double likelihood() {
    double sum = 0;
    RealMatrix root = solver.getL();
    for (int i = 0; i < sales.size(); i++) {
      sum -= (sales.get(i).price() - mean) * pull.getEntry(i) / 2 + Math.log(root.getEntry(i, i));
    }
    RealVector ones = new ArrayRealVector(sales.size(), 1.0);
    return sum - Math.log(ones.dotProduct(solver.getSolver().solve(ones))) / 2;
  }

  private static double[][] shared(List<Sold> sales, MarketRates rates) {
    MarketLikeness likeness = new MarketLikeness(rates);
    int n = sales.size();
    double[][] shared = new double[n][n];
    for (int i = 0; i < n; i++) {
      Traits a = sales.get(i).traits();
      for (int j = 0; j < i; j++) {
        shared[i][j] = likeness.covariance(a, sales.get(j).traits());
        shared[j][i] = shared[i][j];
      }
      shared[i][i] = likeness.variance(a);
    }
    return shared;
  }

  /** By which it is read. */
  MarketRates rates() {
    return rates;
  }

  private record Worked(double mean, CholeskyDecomposition solver, RealVector pull) {}

  private Worked work(double[][] shared, double[] by) {
    int n = sales.size();
    RealMatrix all = new Array2DRowRealMatrix(shared);
    double sum = 0;
    double weight = 0;
    for (int i = 0; i < n; i++) {
      all.addToEntry(i, i, sales.get(i).noise() / by[i]);
      sum += by[i] * sales.get(i).price();
      weight += by[i];
    }
    double middle = sum / weight;
    RealVector off = new ArrayRealVector(n);
    for (int i = 0; i < n; i++) {
      off.setEntry(i, sales.get(i).price() - middle);
    }
    CholeskyDecomposition solved = new CholeskyDecomposition(all);
    return new Worked(middle, solved, solved.getSolver().solve(off));
  }

  // Held against what all the others say of it.
  private double[] trusted(Worked worked, double[] by) {
    double tails = rates.tails();
    int n = sales.size();
    RealMatrix inverse = worked.solver.getSolver().getInverse();
    double[] next = new double[n];
    for (int i = 0; i < n; i++) {
      double own = inverse.getEntry(i, i);
      double off = worked.pull.getEntry(i) / own;
      double noise = sales.get(i).noise();
      double expected = 1 / own - noise / by[i] + noise;
      next[i] = (tails + 1) / (tails + off * off / expected);
    }
    return next;
  }

  /** How far each sale is trusted; 1 as it stands, near 0 where the others do not bear it out. */
  double[] trust() {
    return trust.clone();
  }

  /** What they say of a knife. */
  Said of(Traits knife) {
    return asked(knife).at(knife.worth());
  }

  /** What they say of a knife, whatever its grade and what came with it are worth. */
  Asked asked(Traits knife) {
    int n = sales.size();
    RealVector with = new ArrayRealVector(n);
    for (int i = 0; i < n; i++) {
      with.setEntry(i, likeness.covariance(knife.worth(0), sales.get(i).traits()));
    }
    return new Asked(knife, with, solver.getSolver().solve(with));
  }

  /** A knife held against the sales once for whatever it is worth, in which likeness is linear. */
  final class Asked {
    private final Traits knife;

    /** Likeness to each sale, were it worth nothing more or less, and how much that then counts. */
    private final RealVector with;

    private final RealVector weights;

    private Asked(Traits knife, RealVector with, RealVector weights) {
      this.knife = knife;
      this.with = with;
      this.weights = weights;
    }

    Said at(double worth) {
      RealVector now = with.combine(1, worth, grading);
      RealVector counted = weights.combine(1, worth, gradingWeights);
      double left = likeness.variance(knife.worth(worth)) - now.dotProduct(counted);
      return new Said(mean + now.dotProduct(pull), Math.max(0, left), counted.toArray());
    }
  }
}
