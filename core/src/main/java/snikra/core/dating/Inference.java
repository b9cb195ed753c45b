package snikra.core.dating;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The posterior over years for a set of hypotheses, all states summed out. Sums run in logs and are
 * shifted by their largest term, so that evidence however unlikely never gives a division by zero.
 */
final class Inference {
  private final Hypotheses hypotheses;
  private final int years;
  private final List<List<Look>> looksByPart;

  /** Likelihood by group, nearness and year, scaled by a common factor. */
  final double[][][] weight;

  private double shift;

  Inference(Hypotheses hypotheses, int years, List<List<Look>> looksByPart) {
    this.hypotheses = hypotheses;
    this.years = years;
    this.looksByPart = looksByPart;
    for (Group group : hypotheses.groups) {
      for (int k = 0; k < looksByPart.size(); k++) {
        group.swap(k, group.curves(k, looksByPart.get(k)));
      }
    }
    weight = new double[hypotheses.groups.size()][2][years];
    weigh();
  }

  private void weigh() {
    shift = Double.NEGATIVE_INFINITY;
    for (int g = 0; g < weight.length; g++) {
      Group group = hypotheses.groups.get(g);
      for (int near = 0; near < 2; near++) {
        for (int y = 0; y < years; y++) {
          double log = Double.NEGATIVE_INFINITY;
          if (group.mass[near][y] > 0) {
            log = logLikelihood(group, near, y);
            shift = Math.max(shift, log + Math.log(group.mass[near][y]));
          }
          weight[g][near][y] = log;
        }
      }
    }
    for (double[][] byNear : weight) {
      for (double[] row : byNear) {
        for (int y = 0; y < years; y++) {
          row[y] = Math.exp(row[y] - shift);
        }
      }
    }
  }

  private static double logLikelihood(Group group, int near, int y) {
    double a = group.logAsMade(ClueTables.AS_MADE, y);
    double b = group.logAsMade(ClueTables.OLD_STYLE, y);
    double top = Math.max(a, b);
    double sum =
        group.prior(ClueTables.AS_MADE)
                * group.states(ClueTables.AS_MADE, near, y)
                * Math.exp(a - top)
            + group.prior(ClueTables.OLD_STYLE)
                * group.states(ClueTables.OLD_STYLE, near, y)
                * Math.exp(b - top);
    return top + Math.log(sum);
  }

  /** P(year), all else summed out. */
  double[] years() {
    double[] post = new double[years];
    for (int g = 0; g < weight.length; g++) {
      double[][] mass = hypotheses.groups.get(g).mass;
      for (int near = 0; near < 2; near++) {
        for (int y = 0; y < years; y++) {
          if (mass[near][y] > 0) {
            post[y] += mass[near][y] * weight[g][near][y];
          }
        }
      }
    }
    return Distribution.normalised(post);
  }

  /** P(year) if one look had not been taken. Leaves everything as it was. */
  double[] yearsWithout(Look left) {
    List<Look> rest =
        looksByPart.get(left.part()).stream().filter(l -> !l.id().equals(left.id())).toList();
    Group.@Nullable PartCurves[] kept = new Group.PartCurves[hypotheses.groups.size()];
    for (int g = 0; g < kept.length; g++) {
      Group group = hypotheses.groups.get(g);
      kept[g] = group.swap(left.part(), group.curves(left.part(), rest));
    }
    weigh();
    double[] post = years();
    for (int g = 0; g < kept.length; g++) {
      hypotheses.groups.get(g).swap(left.part(), kept[g]);
    }
    return post;
  }

  /** Takes up all looks again after {@link #yearsWithout}. */
  void restore() {
    weigh();
  }

  /** exp(log - shift): puts a log likelihood on the common scale of {@link #weight}. */
  double scaled(double log) {
    return Math.exp(log - shift);
  }
}
