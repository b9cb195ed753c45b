package snikra.formats;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.BiConsumer;
import java.util.stream.Stream;
import snikra.core.condition.ConditionBook;
import snikra.core.condition.OwnSchools;
import snikra.core.condition.School;
import snikra.core.examination.Problem;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;

/** How a collection judges condition, as JSON, by the schema {@code grading.schema.json}. */
public final class GradingFormat {
  private static final double ALL_POINTS = 100;
  private static final double ROUNDING = 1e-6;

  private GradingFormat() {}

  /**
   * Reads it and holds it against the book as shipped.
   *
   * @throws InvalidInput with every problem found
   */
  public static OwnSchools read(String json, ConditionBook book) {
    OwnSchools read = tree(SpecimenFormat.parse(json));
    List<Problem> problems = new ArrayList<>();
    Set<String> ids = new HashSet<>(book.schools().stream().map(School::id).toList());
    for (int i = 0; i < read.own().size(); i++) {
      School school = read.own().get(i);
      String at = "own[" + i + "]";
      if (!ids.add(school.id())) {
        problems.add(
            new Problem(at + ".id", school.id(), "must be other than every other school's"));
      }
      problems.addAll(new Check(book, school, at).problems());
    }
    if (!ids.contains(read.heads())) {
      problems.add(new Problem("heads", read.heads(), "must be one of " + listed(ids)));
    }
    if (!problems.isEmpty()) {
      throw new InvalidInput(problems);
    }
    return read;
  }

  /** The text of it, to keep. */
  public static String write(OwnSchools choice) {
    return Json.mapper().writeValueAsString(choice);
  }

  private static OwnSchools tree(JsonNode tree) {
    List<Problem> problems = Schemas.check("grading", tree);
    if (!problems.isEmpty()) {
      throw new InvalidInput(problems);
    }
    try {
      return Json.mapper().treeToValue(tree, OwnSchools.class);
    } catch (JacksonException e) {
      throw new InvalidInput(List.of(new Problem("the whole", "", e.getOriginalMessage())));
    }
  }

  private static String listed(Iterable<String> ids) {
    List<String> all = new ArrayList<>();
    ids.forEach(all::add);
    return String.join(", ", all.stream().sorted().toList());
  }

  /** One school against the book. */
  private static final class Check {
    private final ConditionBook book;
    private final School school;
    private final String at;
    private final List<String> levels;
    private final List<Problem> problems = new ArrayList<>();

    Check(ConditionBook book, School school, String at) {
      this.book = book;
      this.school = school;
      this.at = at;
      this.levels = book.levels(school).stream().map(School.Level::id).toList();
    }

    List<Problem> problems() {
      school.caps().forEach(this::caps);
      if (problems.isEmpty()) {
        worseNeverLetsMorePass();
      }
      if (school.kind() == School.Kind.POINTS) {
        parts();
        bands();
      }
      return problems;
    }

    private void refuse(String field, Object given, String accepted) {
      problems.add(new Problem(at + "." + field, given.toString(), accepted));
    }

    private void caps(String of, Map<String, String> caps) {
      Set<String> findings = book.caps(school).getOrDefault(of, Map.of()).keySet();
      if (findings.isEmpty()) {
        refuse("caps", of, "must be a point of condition, or what may have been done to a knife");
        return;
      }
      BiConsumer<String, String> hold =
          (finding, level) -> {
            if (!findings.contains(finding)) {
              refuse("caps." + of, finding, "must be one of " + listed(findings));
            } else if (!levels.contains(level)) {
              refuse("caps." + of + "." + finding, level, "must be one of " + listed(levels));
            }
          };
      caps.forEach(hold);
    }

    // Findings stand in the book from the best to the worst: what is worse never raises a grade.
    private void worseNeverLetsMorePass() {
      Map<String, Map<String, String>> all = book.caps(school);
      for (ConditionBook.Point p : book.points()) {
        String before = null;
        for (ConditionBook.Finding f : p.findings()) {
          String level = all.get(p.id()).get(f.id());
          if (before != null && levels.indexOf(level) < levels.indexOf(before)) {
            refuse(
                "caps." + p.id() + "." + f.id(),
                level,
                "must be "
                    + before
                    + " or worse: a milder finding of "
                    + p.label()
                    + " lets no more pass");
          }
          before = level;
        }
      }
    }

    private void parts() {
      Set<String> needed = new HashSet<>();
      book.points().forEach(p -> needed.add(p.part()));
      needed.add("originality");
      List<String> given = school.parts().stream().map(School.Part::id).toList();
      if (!Set.copyOf(given).equals(needed) || given.size() != needed.size()) {
        refuse("parts", listed(given), "must be each once of " + listed(needed));
      }
      double sum = school.parts().stream().mapToDouble(School.Part::points).sum();
      if (Math.abs(sum - ALL_POINTS) > ROUNDING) {
        refuse("parts", trimmed(sum) + " points", "must come to 100 points together");
      }
    }

    private void bands() {
      if (!school.bands().keySet().equals(Set.copyOf(levels))) {
        refuse("bands", listed(school.bands().keySet()), "must be each once of " + listed(levels));
        return;
      }
      String last = levels.get(levels.size() - 1);
      if (school.bands().get(last) != 0) {
        refuse(
            "bands." + last,
            trimmed(school.bands().get(last)),
            "must be 0: every knife has a grade");
      }
      Stream.iterate(1, i -> i < levels.size(), i -> i + 1)
          .filter(i -> school.bands().get(levels.get(i)) >= school.bands().get(levels.get(i - 1)))
          .forEach(
              i ->
                  refuse(
                      "bands." + levels.get(i),
                      trimmed(school.bands().get(levels.get(i))),
                      "must be less than "
                          + trimmed(school.bands().get(levels.get(i - 1)))
                          + ", that of "
                          + levels.get(i - 1)));
    }

    private static String trimmed(double number) {
      return number == Math.rint(number) ? String.valueOf((long) number) : String.valueOf(number);
    }
  }
}
