package snikra.core.dating;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import snikra.core.dating.DatingVerdict.Conflict;

/**
 * Clues that do not go together in a knife as made: two whose years hardly overlap, or one that
 * hardly overlaps with all the others taken together, set against those that pull away from it.
 */
final class Conflicts {
  /** Overlap coefficient under which two clues do not go together. */
  private static final double APART = 0.05;

  /** Two clues named for one against the rest must at least pull apart this far. */
  private static final double PULLING = 0.6;

  private static final double CORE = 0.9;
  private static final int MOST = 4;

  /** One clue's years on their own. */
  record Curve(String feature, String label, double[] years) {}

  private final YearAxis axis;
  private final List<Curve> curves;
  private final String resolvedBy;

  Conflicts(YearAxis axis, List<Curve> curves, String resolvedBy) {
    this.axis = axis;
    this.curves = curves;
    this.resolvedBy = resolvedBy;
  }

  List<Conflict> find() {
    List<Pair> found = new ArrayList<>();
    for (int i = 0; i < curves.size(); i++) {
      for (int j = i + 1; j < curves.size(); j++) {
        double overlap = overlap(i, j);
        if (overlap < APART) {
          found.add(new Pair(i, j, overlap));
        }
      }
    }
    for (int i = 0; i < curves.size(); i++) {
      oddOneOut(i, found);
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

  private void oddOneOut(int i, List<Pair> found) {
    if (curves.size() < 3) {
      return;
    }
    double[] rest = new double[axis.size()];
    java.util.Arrays.fill(rest, 1);
    for (int j = 0; j < curves.size(); j++) {
      rest = j == i ? rest : Distribution.normalised(times(rest, curves.get(j).years));
    }
    double overlap = Distribution.overlap(curves.get(i).years, rest);
    for (int j = 0; overlap < APART && j < curves.size(); j++) {
      int other = j;
      boolean isNamed = found.stream().anyMatch(p -> p.joins(i, other));
      if (j != i && overlap(i, j) < PULLING && !isNamed) {
        found.add(new Pair(i, j, overlap(i, j)));
      }
    }
  }

  private double overlap(int i, int j) {
    return Distribution.overlap(curves.get(i).years, curves.get(j).years);
  }

  private static double[] times(double[] a, double[] b) {
    double[] out = new double[a.length];
    for (int y = 0; y < a.length; y++) {
      out[y] = a[y] * b[y];
    }
    return out;
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
    return new Conflict(
        young.feature,
        old.feature,
        young.label,
        old.label,
        pair.overlap,
        Math.max(0, gap),
        resolvedBy);
  }
}
