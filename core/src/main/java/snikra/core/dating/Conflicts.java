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
  /** Share in common under which two clues do not go together. */
  private static final double APART = 0.05;

  /** Two clues named for one against the rest must at least pull apart this far. */
  private static final double PULLING = 0.6;

  private static final double CORE = 0.9;
  private static final int MOST = 4;

  /** One clue's years on their own. */
  record Curve(String feature, String label, double[] years) {}

  private final YearAxis axis;
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
      List<Curve> curves,
      BiFunction<String, String, Optional<StateProbability>> resolves) {
    this.axis = axis;
    this.curves = curves;
    this.resolves = resolves;
    this.overlaps = new double[curves.size()][curves.size()];
  }

  List<Conflict> find() {
    List<Pair> found = new ArrayList<>();
    for (int i = 0; i < curves.size(); i++) {
      for (int j = i + 1; j < curves.size(); j++) {
        double overlap = Distribution.inCommon(curves.get(i).years, curves.get(j).years);
        overlaps[i][j] = overlap;
        overlaps[j][i] = overlap;
        if (overlap < APART) {
          found.add(new Pair(i, j, overlap));
        }
      }
    }
    if (curves.size() > 2) {
      oddOnesOut(found);
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

  private void oddOnesOut(List<Pair> found) {
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
      if (Distribution.inCommon(curves.get(i).years, rest) < APART) {
        setAgainstOthers(i, found);
      }
      before = Distribution.normalised(Distribution.product(before, curves.get(i).years));
    }
  }

  private void setAgainstOthers(int i, List<Pair> found) {
    for (int j = 0; j < curves.size(); j++) {
      int other = j;
      boolean isNamed = found.stream().anyMatch(p -> p.joins(i, other));
      if (j != i && overlaps[i][j] < PULLING && !isNamed) {
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
