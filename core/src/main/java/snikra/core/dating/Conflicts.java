package snikra.core.dating;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import snikra.core.dating.DatingVerdict.Conflict;
import snikra.core.dating.DatingVerdict.StateProbability;

/**
 * Clues that do not go together in a knife as made: two whose years hardly overlap, or one that
 * hardly overlaps with all the others taken together, set against those that pull away from it.
 */
final class Conflicts {
  private static final double CORE = 0.9;
  private static final int MOST = 4;

  /** One clue's years on their own. */
  record Curve(String feature, String label, double[] years) {}

  /** A row of compatibility scaled to a top of 1, with its sum. */
  private record Topped(double[] row, double sum) {
    static Topped of(double[] years) {
      double top = years[Distribution.mode(years)];
      double[] row = new double[years.length];
      double sum = 0;
      for (int y = 0; y < row.length; y++) {
        row[y] = years[y] / top;
        sum += row[y];
      }
      return new Topped(row, sum);
    }

    /**
     * How far two go together: the share of the narrower one that lies under the other. A precise
     * date within a long window is wholly in it.
     */
    double inCommon(Topped other) {
      double both = 0;
      for (int y = 0; y < row.length; y++) {
        both += Math.min(row[y], other.row[y]);
      }
      return both / Math.min(sum, other.sum);
    }
  }

  private final YearAxis axis;
  private final Limits limits;
  private final List<Curve> curves;
  private final BiFunction<String, String, Optional<StateProbability>> resolves;
  private final double[][] overlaps;

  /**
   * Conflicts among these.
   *
   * @param resolves the likeliest way that lifts a conflict between two clues
   */
  Conflicts(
      YearAxis axis,
      Limits limits,
      List<Curve> curves,
      BiFunction<String, String, Optional<StateProbability>> resolves) {
    this.axis = axis;
    this.limits = limits;
    this.curves = curves;
    this.resolves = resolves;
    this.overlaps = new double[curves.size()][curves.size()];
  }

  List<Conflict> find() {
    List<Pair> found = new ArrayList<>();
    List<Topped> topped = curves.stream().map(c -> Topped.of(c.years)).toList();
    for (int i = 0; i < curves.size(); i++) {
      for (int j = i + 1; j < curves.size(); j++) {
        double overlap = topped.get(i).inCommon(topped.get(j));
        overlaps[i][j] = overlap;
        overlaps[j][i] = overlap;
        if (overlap < limits.apart()) {
          found.add(new Pair(i, j, overlap));
        }
      }
    }
    if (curves.size() > 2) {
      oddOnesOut(topped, found);
    }
    return found.stream()
        .sorted(Comparator.comparingDouble(Pair::overlap))
        .limit(MOST)
        .map(this::conflict)
        .toList();
  }

  private record Pair(int i, int j, double overlap) {
    boolean joins(int a, int b) {
      return (i == a && j == b) || (i == b && j == a);
    }
  }

  private void oddOnesOut(List<Topped> topped, List<Pair> found) {
    int n = curves.size();
    double[][] after = new double[n + 1][];
    after[n] = new double[axis.size()];
    Arrays.fill(after[n], 1);
    for (int i = n - 1; i > 0; i--) {
      after[i] = Distribution.normalised(Distribution.product(after[i + 1], curves.get(i).years));
    }
    double[] before = after[n];
    for (int i = 0; i < n; i++) {
      double[] rest = Distribution.normalised(Distribution.product(before, after[i + 1]));
      if (topped.get(i).inCommon(Topped.of(rest)) < limits.apart()) {
        setAgainstOthers(i, found);
      }
      before = Distribution.normalised(Distribution.product(before, curves.get(i).years));
    }
  }

  private void setAgainstOthers(int i, List<Pair> found) {
    for (int j = 0; j < curves.size(); j++) {
      int other = j;
      boolean isNamed = found.stream().anyMatch(p -> p.joins(i, other));
      if (j != i && overlaps[i][j] < limits.pulling() && !isNamed) {
        found.add(new Pair(i, j, overlaps[i][j]));
      }
    }
  }

  // Named from the younger: the youngest sound part governs.
  private Conflict conflict(Pair pair) {
    int i = pair.i;
    int j = pair.j;
    Span a = Distribution.highestDensity(curves.get(i).years, CORE, axis);
    Span b = Distribution.highestDensity(curves.get(j).years, CORE, axis);
    boolean firstIsYounger = a.from() >= b.from();
    Curve young = curves.get(firstIsYounger ? i : j);
    Curve old = curves.get(firstIsYounger ? j : i);
    int gap = firstIsYounger ? a.from() - b.to() : b.from() - a.to();
    StateProbability lifted = resolves.apply(young.feature, old.feature).orElse(null);
    return new Conflict(
        young.feature,
        old.feature,
        young.label,
        old.label,
        pair.overlap,
        Math.max(0, gap),
        lifted == null ? "" : lifted.state().label(),
        lifted == null ? 0 : lifted.probability());
  }
}
