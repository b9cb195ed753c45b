package snikra.core.practice;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import snikra.core.condition.ConditionBook.Point;
import snikra.core.condition.Looked;
import snikra.core.condition.SchoolVerdict;
import snikra.core.examination.Problem;
import snikra.core.practice.Unveiled.Question;
import snikra.core.practice.Unveiled.Scored;
import snikra.core.reference.ReferenceShelf;
import snikra.core.specimen.LookReliability;
import snikra.core.specimen.Seen;

/** Described knives to grade by a school, with grades that were agreed on beforehand. */
public final class GradingDrill {
  private static final String SECOND = "2.";

  private final List<Described> knives;
  private final ReferenceShelf shelf;

  /** A drill with these knives, graded by the schools of this shelf. */
  public GradingDrill(List<Described> knives, ReferenceShelf shelf) {
    this.knives = List.copyOf(knives);
    this.shelf = shelf;
  }

  /**
   * A knife to grade.
   *
   * @param number among all, from 1
   * @param faults what is not sound; all else is
   */
  public record ToGrade(int number, String what, List<FaultTold> faults, List<GradedBy> schools) {}

  /** A point and what was found of it. */
  public record FaultTold(String point, String found) {}

  /** A school to grade by, with its levels, best first. */
  public record GradedBy(
      String id, String label, String about, List<SchoolVerdict.Chance> levels) {}

  /** A level of a school, in words. */
  public record Agreed(String school, String level, String label) {}

  /** How many knives there are. */
  public int size() {
    return knives.size();
  }

  /** One of them. */
  public ToGrade knife(int number) {
    Described knife = knives.get(number - 1);
    return new ToGrade(
        number,
        knife.what(),
        knife.found().entrySet().stream()
            .sorted(Map.Entry.comparingByKey())
            .map(e -> told(e.getKey(), e.getValue()))
            .toList(),
        judged(knife).stream()
            .map(
                s ->
                    new GradedBy(
                        s.id(),
                        s.label(),
                        s.about(),
                        // Which is likely is not told before it is graded.
                        s.chances().stream()
                            .map(c -> new SchoolVerdict.Chance(c.id(), c.label(), 0))
                            .toList()))
            .toList());
  }

  private FaultTold told(String at, String finding) {
    boolean isSecond = at.startsWith(SECOND);
    Point point =
        shelf.condition().point(isSecond ? at.substring(SECOND.length()) : at).orElseThrow();
    String found = point.finding(finding).orElseThrow().label();
    return new FaultTold(point.label() + (isSecond ? ", second blade" : ""), found);
  }

  private List<SchoolVerdict> judged(Described knife) {
    return shelf.condition().judge(looked(knife, shelf)).stream()
        .filter(s -> knife.grades().containsKey(s.id()))
        .toList();
  }

  /** A described knife as one that was looked at all over: what is not named is sound. */
  public static Looked looked(Described knife, ReferenceShelf shelf) {
    Map<String, Seen<String>> main = new HashMap<>();
    Map<String, Seen<String>> second = new HashMap<>();
    for (Point p : shelf.condition().points()) {
      main.put(p.id(), Seen.sure(p.findings().get(0).id()));
      if (p.isEachBlade()) {
        second.put(p.id(), Seen.sure(p.findings().get(0).id()));
      }
    }
    knife
        .found()
        .forEach(
            (at, finding) -> {
              boolean isSecond = at.startsWith(SECOND);
              (isSecond ? second : main)
                  .put(isSecond ? at.substring(SECOND.length()) : at, Seen.sure(finding));
            });
    return new Looked(
        main, List.of(second), Map.of(), List.of(), LookReliability.of(shelf.judgement()));
  }

  /** What is wrong with a grade that was given. */
  public List<Problem> problems(int number, String school, String level, double sure) {
    List<Problem> found = new ArrayList<>();
    if (number < 1 || number > size()) {
      found.add(new Problem("number", "" + number, "must be from 1 to " + size()));
      return found;
    }
    SchoolVerdict by =
        judged(knives.get(number - 1)).stream()
            .filter(s -> s.id().equals(school))
            .findFirst()
            .orElse(null);
    if (by == null) {
      found.add(new Problem("school", school, "must be one of those this knife was graded by"));
    } else if (by.chances().stream().noneMatch(c -> c.id().equals(level))) {
      found.add(new Problem("level", level, "must be one of the levels of this school"));
    }
    if (!(sure > 0 && sure < 1)) {
      found.add(
          new Problem("sure", "" + sure, "must be a chance above 0 and below 1, such as 0.8"));
    }
    return found;
  }

  /**
   * Scores a grade against the one agreed on, beside the chances Snikra gives each level.
   *
   * @param sure the rest of the chance lies one level to either side
   */
  public Scored score(int number, String school, String level, double sure) {
    SchoolVerdict by =
        judged(knives.get(number - 1)).stream()
            .filter(s -> s.id().equals(school))
            .findFirst()
            .orElseThrow();
    List<String> levels = by.chances().stream().map(SchoolVerdict.Chance::id).toList();
    double[] model = by.chances().stream().mapToDouble(SchoolVerdict.Chance::probability).toArray();
    String agreed = knives.get(number - 1).grades().get(school);
    int was = levels.indexOf(agreed);
    return new Scored(
        Question.GRADE,
        level,
        sure,
        level.equals(agreed) ? 1 : 0,
        agreed,
        by.best() == null ? "" : by.best().id(),
        Scores.ranked(Scores.around(levels.indexOf(level), levels.size(), sure), was),
        Scores.ranked(model, was));
  }

  /** What each school gives a knife, as it was agreed on. */
  public List<Agreed> agreed(int number) {
    Described knife = knives.get(number - 1);
    return judged(knife).stream()
        .map(
            s -> {
              String level = knife.grades().get(s.id());
              String label =
                  s.chances().stream()
                      .filter(c -> c.id().equals(level))
                      .findFirst()
                      .map(SchoolVerdict.Chance::label)
                      .orElse(level);
              return new Agreed(s.id(), level, label);
            })
        .toList();
  }
}
