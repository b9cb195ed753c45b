package snikra.core.condition;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import snikra.core.clue.Feature;
import snikra.core.specimen.Place;
import snikra.core.specimen.Seen;
import snikra.core.specimen.Sureness;

/**
 * The points of condition, and how collectors of different habits judge them.
 *
 * @param grades best first
 * @param schools the first heads every page
 * @param lives a knife may have had: faults keep company, and what was found tells of the rest
 * @param once points and alterations that are one loss, such as a blade worn and shortened: the
 *     worst of them counts
 * @param odd what hardly stands together on one knife
 * @param build how well a knife was made; null where nobody asks
 * @param box what came with it; null where nobody asks
 * @param texts on it that are paid for; null where nobody asks
 * @param boxes what a box makes of a grade, the first that fits holds
 * @param alterations in which a knife may not be as made
 */
public record ConditionBook(
    List<Grade> grades,
    List<Point> points,
    List<School> schools,
    List<Life> lives,
    List<List<String>> once,
    List<Odd> odd,
    List<Box> boxes,
    List<Alteration> alterations,
    @Nullable BuildBook build,
    @Nullable BoxBook box,
    @Nullable TextBook texts) {

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
   * @param part of the knife it belongs to, where points are counted
   * @param eachBlade whether it is asked of every blade; what is said of the knife is of its main
   *     one
   * @param onlyIf an answer of the clue book without which there is nothing to look at
   * @param usualFault its ordinary fault, for a point not looked at
   * @param at where it is on a drawn knife, of its main blade where every blade is asked; null
   *     where it is nowhere in particular
   */
  public record Point(
      String id,
      String station,
      String part,
      @Nullable Boolean eachBlade,
      Feature.@Nullable OnlyIf onlyIf,
      String label,
      String ask,
      String usualFault,
      List<Finding> findings,
      @Nullable Place at) {
    public Point {
      findings = List.copyOf(findings);
    }

    /** A point that is nowhere in particular. */
    public Point(
        String id,
        String station,
        String part,
        @Nullable Boolean eachBlade,
        Feature.@Nullable OnlyIf onlyIf,
        String label,
        String ask,
        String usualFault,
        List<Finding> findings) {
      this(id, station, part, eachBlade, onlyIf, label, ask, usualFault, findings, null);
    }

    /** Whether there is nothing to look at, as far as what was seen surely says. */
    boolean isBeside(Map<String, Seen<String>> seen) {
      Seen<String> answer = onlyIf == null ? null : seen.get(onlyIf.feature());
      return Seen.valueOf(answer) != null
          && answer.sureness() == Sureness.SURE
          && answer.or() == null
          && !onlyIf.values().contains(answer.value());
    }

    /** Whether it is asked of every blade. */
    public boolean isEachBlade() {
      return Boolean.TRUE.equals(eachBlade);
    }

    /** What was found, where it is a finding of this point. */
    @Nullable Finding found(@Nullable Seen<String> seen) {
      String value = Seen.valueOf(seen);
      return value == null ? null : finding(value).orElse(null);
    }

    /** The finding with this id. */
    public Optional<Finding> finding(String id) {
      return findings.stream().filter(f -> f.id().equals(id)).findFirst();
    }

    /** What was found of it on a knife. */
    public Optional<Finding> found(Map<String, Seen<String>> condition) {
      return Optional.ofNullable(found(condition.get(id)));
    }
  }

  /**
   * What may be found, and the best grade it allows.
   *
   * @param loses points of a hundred it takes
   * @param often how many of a hundred old knives show it
   * @param left for findings that are drawn: places along a blade, 0 at the tang and 1 at the
   *     point, each with the share of its height that is left
   * @param least share of the blade that is left at the least, for findings that can be measured
   */
  public record Finding(
      String id,
      String label,
      String allows,
      double loses,
      double often,
      String why,
      @Nullable List<List<Double>> left,
      @Nullable Double least) {

    /** A finding that cannot be measured. */
    public Finding(
        String id,
        String label,
        String allows,
        double loses,
        double often,
        String why,
        @Nullable List<List<Double>> left) {
      this(id, label, allows, loses, often, why, left, null);
    }
  }

  /**
   * The life a knife had.
   *
   * @param share of old knives that had it
   * @param tilt by what power of e each finding is met oftener than the one before it, beside how
   *     often it is met on any old knife
   */
  public record Life(String id, String label, double share, double tilt, String why) {
    /** How often each finding of a point is met after this life; sums to 1. */
    double[] rates(Point p) {
      double[] rates = new double[p.findings().size()];
      double sum = 0;
      for (int i = 0; i < rates.length; i++) {
        rates[i] = p.findings().get(i).often() * Math.exp(tilt * i);
        sum += rates[i];
      }
      for (int i = 0; i < rates.length; i++) {
        rates[i] = sum > 0 ? rates[i] / sum : 0;
      }
      return rates;
    }
  }

  /** Findings that hardly stand together, by point, and what is asked where they do. */
  public record Odd(String say, Map<String, List<String>> when) {
    public Odd {
      when = Map.copyOf(when);
    }

    /** Whether all of it was found. */
    public boolean isFound(Map<String, Seen<String>> condition) {
      return when.entrySet().stream()
          .allMatch(
              e -> {
                String found = Seen.valueOf(condition.get(e.getKey()));
                return found != null && e.getValue().contains(found);
              });
    }
  }

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
    schools = List.copyOf(schools);
    lives = lives == null || lives.isEmpty() ? List.of(ANY_LIFE) : List.copyOf(lives);
    once = once == null ? List.of() : once.stream().map(List::copyOf).toList();
    odd = odd == null ? List.of() : List.copyOf(odd);
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
      if (p.finding(p.usualFault()).isEmpty()) {
        throw new IllegalArgumentException(
            "usual fault of " + p.id() + " must be one of its findings; found " + p.usualFault());
      }
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

  /** What is left of the worth of a knife that was altered so; 1 where that is not of this book. */
  public double leftAfter(String alteration) {
    return alterations.stream()
        .filter(a -> a.id().equals(alteration))
        .mapToDouble(Alteration::worth)
        .findFirst()
        .orElse(1);
  }

  /** The answer that says something was done. */
  static final String DONE = "yes";

  private static final Life ANY_LIFE = new Life("any", "Any", 1, 0, "");

  /** A book that does not ask how well a knife was made. */
  public ConditionBook(
      List<Grade> grades,
      List<Point> points,
      List<School> schools,
      List<Life> lives,
      List<List<String>> once,
      List<Odd> odd,
      List<Box> boxes,
      List<Alteration> alterations) {
    this(grades, points, schools, lives, once, odd, boxes, alterations, null, null, null);
  }

  /** A book of one school, in which nothing was ever altered. */
  public ConditionBook(List<Grade> grades, List<Point> points) {
    this(grades, points, List.of(plain()), List.of(), List.of(), List.of(), List.of(), List.of());
  }

  private static School plain() {
    return new School(
        "usual", School.Kind.WORST_FAULT, "By the worst fault", "", null, null, 0, 0, null, null);
  }

  /** The levels of a school, best first. */
  public List<School.Level> levels(School school) {
    return school.levels() == null
        ? grades.stream().map(g -> new School.Level(g.id(), g.label())).toList()
        : school.levels();
  }

  /** Points that are one loss share a name; any other has its own. */
  String lossOf(String id) {
    return once.stream()
        .filter(g -> g.contains(id))
        .findFirst()
        .map(g -> String.join("+", g))
        .orElse(id);
  }

  /** Whose loss it is first of all, where several points are one. */
  int placeInLoss(String id) {
    return once.stream().filter(g -> g.contains(id)).findFirst().map(g -> g.indexOf(id)).orElse(0);
  }

  /** What every school makes of a knife, in the order of the book. */
  public List<SchoolVerdict> judge(Looked looked) {
    return schools.stream().map(s -> judge(s, looked)).toList();
  }

  /** What one school makes of a knife, of this book or not. */
  public SchoolVerdict judge(School school, Looked looked) {
    return Grading.by(this, school, looked);
  }

  /** The same book with schools of one's own besides, and the one that heads the page first. */
  public ConditionBook with(OwnSchools choice) {
    List<School> all = new ArrayList<>(schools);
    all.addAll(choice.own());
    all.sort(Comparator.comparing(s -> !s.id().equals(choice.heads())));
    return new ConditionBook(
        grades, points, all, lives, once, odd, boxes, alterations, build, box, texts);
  }

  /**
   * What a school lets pass, all of it said: of each finding of each point, and of each alteration
   * as the answer "yes".
   */
  public Map<String, Map<String, String>> caps(School school) {
    Map<String, Map<String, String>> all = new LinkedHashMap<>();
    String best = levels(school).get(0).id();
    boolean isOwnScale = school.levels() != null;
    for (Point p : points) {
      Map<String, String> own = school.caps().getOrDefault(p.id(), Map.of());
      Map<String, String> of = new LinkedHashMap<>();
      for (Finding f : p.findings()) {
        of.put(f.id(), own.getOrDefault(f.id(), isOwnScale ? best : f.allows()));
      }
      all.put(p.id(), of);
    }
    for (Alteration a : alterations) {
      String usual = isOwnScale || a.cap() == null ? best : a.cap();
      all.put(
          a.id(),
          Map.of(DONE, school.caps().getOrDefault(a.id(), Map.of()).getOrDefault(DONE, usual)));
    }
    return all;
  }

  /** The first school that uses the grades of the book: by it a knife is listed and valued. */
  private School priced() {
    return schools.stream().filter(s -> s.levels() == null).findFirst().orElse(schools.get(0));
  }

  /** The school with this id. */
  public Optional<School> school(String id) {
    return schools.stream().filter(s -> s.id().equals(id)).findFirst();
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
   * The grade by the school that heads the page, or the next that uses the grades of the book. The
   * box is told with the grade and changes nothing of it.
   */
  public GradeVerdict grade(Looked looked) {
    SchoolVerdict by = Grading.brief(this, priced(), looked);
    Grade best = by.best() == null ? null : grade(by.best());
    String boxed = best == null ? null : boxed(best, looked.condition(), looked.seen());
    return new GradeVerdict(
        best == null || boxed == null
            ? best
            : new Grade(best.id(), best.label() + ", " + boxed, best.worth()),
        boxed,
        by.atLeast() == null ? null : grade(by.atLeast()),
        by.atBest() == null ? null : grade(by.atBest()),
        by.reasons().stream().map(this::reason).toList(),
        unseen(looked));
  }

  /**
   * How likely each grade is by the school that heads the page, from what was found and from what
   * such knives usually have where nobody looked; empty where nobody looked at anything.
   */
  public Map<String, Double> chances(Looked looked) {
    return Grading.by(this, priced(), looked).chances().stream()
        .filter(c -> c.probability() > 0)
        .collect(Collectors.toMap(SchoolVerdict.Chance::id, SchoolVerdict.Chance::probability));
  }

  private Grade grade(SchoolVerdict.Stand stand) {
    return grades.get(rank(stand.id()));
  }

  private GradeVerdict.Reason reason(SchoolVerdict.Fault f) {
    Grade allows = f.allows() == null ? grades.get(0) : grades.get(rank(f.allows().id()));
    return new GradeVerdict.Reason(f.of(), f.label(), f.found(), f.sureness(), allows, f.why());
  }

  private List<String> unseen(Looked looked) {
    return points.stream()
        .filter(p -> p.found(looked.of(p.id(), 1)) == null && !p.isBeside(looked.seen()))
        .map(Point::label)
        .toList();
  }

  private @Nullable String boxed(
      Grade grade, Map<String, Seen<String>> condition, Map<String, Seen<String>> seen) {
    int rank = rank(grade.id());
    return boxes.stream()
        .filter(b -> b.atLeast() == null || rank <= rank(b.atLeast()))
        .filter(b -> b.fits(condition, seen))
        .findFirst()
        .map(Box::words)
        .orElse(null);
  }
}
