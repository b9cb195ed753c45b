package snikra.core.condition;

import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * How some collectors judge: what each fault lets pass, or what it takes, and how faults add up.
 *
 * @param about what sets it apart, for someone who chooses
 * @param levels of a scale of its own, best first; null where it uses the grades of the book
 * @param caps by point (or alteration, answer "yes") and finding: the best level it lets pass,
 *     where this school does not hold what most do; with levels of its own all that counts
 * @param together so many faults as bad as the worst lower it by one; 0 where they never do
 * @param otherBlades for a fault of a blade that is not the main one: levels it counts less, or the
 *     part of its points it takes
 * @param parts of a hundred points
 * @param bands least points of each level
 */
public record School(
    String id,
    Kind kind,
    String label,
    String about,
    @Nullable List<Level> levels,
    Map<String, Map<String, String>> caps,
    int together,
    double otherBlades,
    List<Part> parts,
    Map<String, Double> bands) {

  /** How it is worked out. */
  public enum Kind {
    WORST_FAULT,
    POINTS;

    @Override
    public String toString() {
      return name().toLowerCase(java.util.Locale.ROOT).replace('_', '-');
    }
  }

  /** A level of a scale. */
  public record Level(String id, String label) {}

  /** A part of the knife, and how many points it has to lose. */
  public record Part(String id, String label, double points) {}

  public School {
    levels = levels == null ? null : List.copyOf(levels);
    caps = caps == null ? Map.of() : Map.copyOf(caps);
    parts = parts == null ? List.of() : List.copyOf(parts);
    bands = bands == null ? Map.of() : Map.copyOf(bands);
  }
}
