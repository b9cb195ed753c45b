package snikra.core.condition;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import snikra.core.specimen.Seen;
import snikra.core.specimen.Sureness;

/**
 * The points of condition and the grades, best grade first.
 *
 * @param grades best first
 * @param boxes what a box makes of a grade, the first that fits holds
 * @param alterations in which a knife may not be as made
 */
public record ConditionBook(
    List<Grade> grades, List<Point> points, List<Box> boxes, List<Alteration> alterations) {

  /**
   * A named grade.
   *
   * @param worth what it brings, relative to Very good
   */
  public record Grade(String id, String label, double worth) {}

  /**
   * A point one looks at.
   *
   * @param station where one looks at it: the condition, or the action
   * @param usualFault the grade its ordinary fault allows, for a point not looked at
   */
  public record Point(
      String id,
      String station,
      String label,
      String ask,
      String usualFault,
      List<Finding> findings) {
    public Point {
      findings = List.copyOf(findings);
    }

    /** The finding with this id. */
    public Optional<Finding> finding(String id) {
      return findings.stream().filter(f -> f.id().equals(id)).findFirst();
    }

    /** What was found of it on a knife. */
    public Optional<Finding> found(Map<String, Seen<String>> condition) {
      return Optional.ofNullable(Seen.valueOf(condition.get(id))).flatMap(this::finding);
    }
  }

  /**
   * What may be found, and the best grade it allows.
   *
   * @param left for findings that are drawn: places along a blade, 0 at the tang and 1 at the
   *     point, each with the share of its height that is left
   */
  public record Finding(
      String id, String label, String allows, String why, @Nullable List<List<Double>> left) {}

  /**
   * A knife with its box, or without it.
   *
   * @param words what is added to the grade
   * @param atLeast the grade it needs; null where any will do
   * @param when the answers it takes, by feature or point
   */
  public record Box(
      String id, String words, @Nullable String atLeast, Map<String, List<String>> when) {
    public Box {
      when = Map.copyOf(when);
    }

    private boolean fits(Map<String, Seen<String>> condition, Map<String, Seen<String>> seen) {
      return when.entrySet().stream()
          .allMatch(
              e -> {
                Seen<String> answer = seen.getOrDefault(e.getKey(), condition.get(e.getKey()));
                return Seen.valueOf(answer) != null && e.getValue().contains(answer.value());
              });
    }
  }

  public ConditionBook {
    grades = List.copyOf(grades);
    boxes = boxes == null ? List.of() : List.copyOf(boxes);
    points = List.copyOf(points);
    alterations = alterations == null ? List.of() : List.copyOf(alterations);
    for (Alteration a : alterations) {
      if (a.cap() != null) {
        requireGrade(grades, a.cap(), a.id());
      }
    }
    for (Box b : boxes) {
      if (b.atLeast() != null) {
        requireGrade(grades, b.atLeast(), b.id());
      }
    }
    for (Point p : points) {
      requireGrade(grades, p.usualFault(), p.id());
      for (Finding f : p.findings()) {
        requireGrade(grades, f.allows(), p.id() + "." + f.id());
      }
    }
  }

  private static void requireGrade(List<Grade> grades, String grade, String where) {
    if (grades.stream().noneMatch(g -> g.id().equals(grade))) {
      throw new IllegalArgumentException(
          "grade of " + where + " must be a grade of the book; found " + grade);
    }
  }

  /** A book in which nothing was ever altered. */
  public ConditionBook(List<Grade> grades, List<Point> points) {
    this(grades, points, List.of(), List.of());
  }

  /** The point with this id. */
  public Optional<Point> point(String id) {
    return points.stream().filter(p -> p.id().equals(id)).findFirst();
  }

  /** Place of a grade, 0 the best. */
  public int rank(String grade) {
    for (int i = 0; i < grades.size(); i++) {
      if (grades.get(i).id().equals(grade)) {
        return i;
      }
    }
    throw new IllegalArgumentException("grade must be a grade of the book; found " + grade);
  }

  /**
   * The grade by the worst fault found; how far what was not looked at, or not surely, could lower
   * it; and how far it would rise were the faults not seen surely not there. The box is told with
   * the grade and changes nothing of it.
   *
   * @param seen what else was seen, by feature
   */
  public GradeVerdict grade(Map<String, Seen<String>> condition, Map<String, Seen<String>> seen) {
    List<GradeVerdict.Reason> reasons = new ArrayList<>();
    List<String> unseen = new ArrayList<>();
    int best = 0;
    int usual = 0;
    int surely = 0;
    for (Point p : points) {
      Optional<Finding> found = p.found(condition);
      if (found.isEmpty()) {
        unseen.add(p.label());
        usual = Math.max(usual, rank(p.usualFault()));
        continue;
      }
      int rank = rank(found.get().allows());
      Sureness sureness = condition.get(p.id()).sureness();
      best = Math.max(best, rank);
      surely = Math.max(surely, sureness == Sureness.SURE ? rank : 0);
      usual = Math.max(usual, sureness == Sureness.SURE ? 0 : rank(p.usualFault()));
      if (rank > 0) {
        reasons.add(
            new GradeVerdict.Reason(
                p.id(),
                p.label(),
                found.get().label(),
                sureness,
                grades.get(rank),
                found.get().why()));
      }
    }
    reasons.sort(Comparator.comparingInt((GradeVerdict.Reason r) -> -rank(r.allows().id())));
    boolean graded = unseen.size() < points.size();
    return new GradeVerdict(
        graded ? boxed(grades.get(best), condition, seen) : null,
        graded ? grades.get(Math.max(best, usual)) : null,
        graded ? grades.get(surely) : null,
        reasons,
        unseen);
  }

  private Grade boxed(
      Grade grade, Map<String, Seen<String>> condition, Map<String, Seen<String>> seen) {
    int rank = rank(grade.id());
    return boxes.stream()
        .filter(b -> b.atLeast() == null || rank <= rank(b.atLeast()))
        .filter(b -> b.fits(condition, seen))
        .findFirst()
        .map(b -> new Grade(grade.id(), grade.label() + ", " + b.words(), grade.worth()))
        .orElse(grade);
  }
}
