package snikra.core.dating;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
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
    List<Conflict> found = new ArrayList<>();
    for (int i = 0; i < curves.size(); i++) {
      for (int j = i + 1; j < curves.size(); j++) {
        double overlap = overlap(i, j);
        if (overlap < APART) {
          found.add(conflict(i, j, overlap));
        }
      }
    }
    for (int i = 0; i < curves.size(); i++) {
      oddOneOut(i, found);
    }
    found.sort(Comparator.comparingDouble(Conflict::overlap));
    return List.copyOf(found.subList(0, Math.min(MOST, found.size())));
  }

  private void oddOneOut(int i, List<Conflict> found) {
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
      if (j != i && overlap(i, j) < PULLING && !isNamed(found, i, j)) {
        found.add(conflict(i, j, overlap(i, j)));
      }
    }
  }

  private boolean isNamed(List<Conflict> found, int i, int j) {
    Set<String> pair = Set.of(curves.get(i).feature, curves.get(j).feature);
    return found.stream().anyMatch(c -> pair.equals(Set.of(c.feature(), c.rival())));
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
  private Conflict conflict(int i, int j, double overlap) {
    Span a = Distribution.highestDensity(curves.get(i).years, CORE, axis);
    Span b = Distribution.highestDensity(curves.get(j).years, CORE, axis);
    boolean firstIsYounger = a.from() >= b.from();
    Curve young = curves.get(firstIsYounger ? i : j);
    Curve old = curves.get(firstIsYounger ? j : i);
    int gap = firstIsYounger ? a.from() - b.to() : b.from() - a.to();
    return new Conflict(
        young.feature, old.feature, young.label, old.label, overlap, Math.max(0, gap), resolvedBy);
  }
}
