package snikra.formats;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import snikra.core.condition.BuildBook;
import snikra.core.condition.ConditionBook;
import snikra.core.condition.ConditionBook.Finding;
import snikra.core.condition.ConditionBook.Point;
import snikra.core.condition.Looked;
import snikra.core.condition.School;
import snikra.core.condition.SchoolVerdict;
import snikra.core.examination.Examiner;
import snikra.core.practice.Described;
import snikra.core.practice.GradingDrill;
import snikra.core.reference.ReferenceShelf;
import snikra.core.specimen.LookReliability;
import snikra.core.specimen.Seen;

/**
 * Described knives and the grades that collectors of each habit give them; and the shipped data.
 */
class GradedTest {
  private static final ReferenceShelf SHELF = ShippedShelf.load();
  private static final ConditionBook BOOK = SHELF.condition();

  private static Looked looked(Map<String, String> found) {
    return GradingDrill.looked(new Described("", found, Map.of()), SHELF);
  }

  @Test
  void whatIsDescribedStandsInTheBook() {
    for (Described d : ShippedShelf.graded()) {
      d.found()
          .forEach(
              (at, finding) ->
                  assertThat(
                          BOOK.point(at.replaceFirst("^2[.]", "")).flatMap(p -> p.finding(finding)))
                      .as(d.what() + ": " + at)
                      .isPresent());
    }
  }

  private static int apart(SchoolVerdict given, String expected) {
    List<String> levels = given.chances().stream().map(SchoolVerdict.Chance::id).toList();
    return Math.abs(levels.indexOf(given.best().id()) - levels.indexOf(expected));
  }

  @Test
  void collectorsOfEveryHabitAgreeWithItInEightyFiveOfAHundredAndWithinOneGradeInAll() {
    List<Described> all = ShippedShelf.graded();
    assertThat(all).hasSizeGreaterThanOrEqualTo(80);
    Map<String, Integer> agreed = new HashMap<>();
    List<String> off = new ArrayList<>();
    List<String> far = new ArrayList<>();
    for (Described d : all) {
      assertThat(d.grades()).hasSize(BOOK.schools().size());
      for (SchoolVerdict given : BOOK.judge(GradingDrill.looked(d, SHELF))) {
        String expected = d.grades().get(given.id());
        int apart = apart(given, expected);
        agreed.merge(given.id(), apart == 0 ? 1 : 0, Integer::sum);
        String told = given.id() + ": " + d.what() + ": " + given.best() + ", not " + expected;
        if (apart > 0) {
          off.add(told);
        }
        if (apart > 1) {
          far.add(told);
        }
      }
    }
    assertThat(far).isEmpty();
    assertThat(agreed)
        .as(String.join("\n", off))
        .allSatisfy((s, n) -> assertThat(n).isGreaterThanOrEqualTo((85 * all.size() + 99) / 100));
  }

  static Stream<School> schools() {
    return BOOK.schools().stream();
  }

  @ParameterizedTest
  @MethodSource("schools")
  void findingsGetWorseInTheOrderTheyStandIn(School school) {
    for (Point p : BOOK.points()) {
      int worst = 0;
      double points = 100;
      for (Finding f : p.findings()) {
        SchoolVerdict v =
            BOOK.judge(looked(Map.of(p.id(), f.id()))).stream()
                .filter(s -> s.id().equals(school.id()))
                .findFirst()
                .orElseThrow();
        int rank =
            v.chances().stream().map(SchoolVerdict.Chance::id).toList().indexOf(v.best().id());
        assertThat(rank).as(p.id() + "." + f.id()).isGreaterThanOrEqualTo(worst);
        worst = rank;
        if (v.best().points() != null) {
          assertThat(v.best().points()).isLessThanOrEqualTo(points);
          points = v.best().points();
        }
      }
    }
  }

  @Test
  void everyCapIsOfAFindingAndALevelThereIsAndEveryPointBelongsToAPart() {
    for (School s : BOOK.schools()) {
      List<String> levels = BOOK.levels(s).stream().map(School.Level::id).toList();
      s.caps()
          .forEach(
              (of, caps) ->
                  caps.forEach(
                      (finding, level) -> {
                        boolean isPoint = BOOK.point(of).isPresent();
                        assertThat(
                                isPoint
                                    ? BOOK.point(of).flatMap(p -> p.finding(finding)).isPresent()
                                    : finding.equals("yes")
                                        && BOOK.alterations().stream()
                                            .anyMatch(a -> a.id().equals(of)))
                            .as(s.id() + " " + of + " " + finding)
                            .isTrue();
                        assertThat(levels).contains(level);
                      }));
    }
    School points = BOOK.schools().get(3);
    assertThat(points.parts().stream().mapToDouble(School.Part::points).sum()).isEqualTo(100);
    List<String> parts = points.parts().stream().map(School.Part::id).toList();
    assertThat(BOOK.points()).allSatisfy(p -> assertThat(parts).contains(p.part()));
  }

  @Test
  void everyNumberOfTheBookChangesAVerdict() {
    List<SchoolVerdict> open =
        BOOK.judge(
            new Looked(
                Map.of("shield", Seen.sure("sound")),
                List.of(),
                Map.of(),
                List.of(),
                LookReliability.of(SHELF.judgement())));
    for (Point p : BOOK.points()) {
      for (Finding f : p.findings()) {
        if (f.loses() > 0) {
          assertThat(BOOK.judge(looked(Map.of(p.id(), f.id()))).get(3).best().points())
              .as(p.id() + "." + f.id())
              .isLessThan(100);
        }
      }
      if (!p.id().equals("shield")) {
        assertThat(open.get(0).chances())
            .as("often of " + p.id())
            .isNotEqualTo(otherRates(p).judge(lookedAtShield()).get(0).chances());
      }
    }
  }

  private static Looked lookedAtShield() {
    return new Looked(
        Map.of("shield", Seen.sure("sound")),
        List.of(),
        Map.of(),
        List.of(),
        LookReliability.of(SHELF.judgement()));
  }

  // The same book with the worst finding of this point met ten times as often.
  private static ConditionBook otherRates(Point changed) {
    List<Point> points =
        BOOK.points().stream()
            .map(
                p ->
                    p.equals(changed)
                        ? new Point(
                            p.id(),
                            p.station(),
                            p.part(),
                            p.eachBlade(),
                            p.onlyIf(),
                            p.label(),
                            p.ask(),
                            p.usualFault(),
                            worstOftener(p.findings()))
                        : p)
            .toList();
    return new ConditionBook(
        BOOK.grades(),
        points,
        BOOK.schools(),
        BOOK.lives(),
        BOOK.once(),
        BOOK.odd(),
        BOOK.boxes(),
        BOOK.alterations());
  }

  @Test
  void everyNumberOfALifeChangesWhatIsLikely() {
    for (int l = 0; l < BOOK.lives().size(); l++) {
      ConditionBook.Life was = BOOK.lives().get(l);
      for (ConditionBook.Life other :
          List.of(
              new ConditionBook.Life(was.id(), "", was.share() * 2, was.tilt(), ""),
              new ConditionBook.Life(was.id(), "", was.share(), was.tilt() + 0.5, ""))) {
        List<ConditionBook.Life> lives = new ArrayList<>(BOOK.lives());
        lives.set(l, other);
        ConditionBook book =
            new ConditionBook(
                BOOK.grades(),
                BOOK.points(),
                BOOK.schools(),
                lives,
                BOOK.once(),
                BOOK.odd(),
                BOOK.boxes(),
                BOOK.alterations());
        assertThat(book.judge(lookedAtShield()).get(0).chances())
            .as(was.id())
            .isNotEqualTo(BOOK.judge(lookedAtShield()).get(0).chances());
      }
    }
  }

  private static List<Finding> worstOftener(List<Finding> findings) {
    Finding worst = findings.get(findings.size() - 1);
    return findings.stream()
        .map(
            f ->
                f.equals(worst)
                    ? new Finding(
                        f.id(), f.label(), f.allows(), f.loses(), 10 * f.often(), f.why(), f.left())
                    : f)
        .toList();
  }

  @Test
  void everyLookOfTheWorkIsInTheClueBookAndChangesTheGrade() {
    BuildBook build = BOOK.build();
    LookReliability trust = LookReliability.of(SHELF.judgement());
    for (BuildBook.Look look : build.looks()) {
      var feature = SHELF.clues().feature(look.feature()).orElseThrow();
      look.answers().keySet().forEach(a -> assertThat(feature.clue(a)).as(a).isPresent());
      double best = look.answers().values().stream().mapToDouble(d -> d).max().orElse(0);
      double worst = look.answers().values().stream().mapToDouble(d -> d).min().orElse(0);
      assertThat(worst).as(look.feature()).isLessThan(best);
    }
    Map<String, Seen<String>> good = new HashMap<>();
    Map<String, Seen<String>> poor = new HashMap<>();
    build
        .looks()
        .forEach(
            look -> {
              good.put(look.feature(), Seen.sure(byWork(look, true)));
              poor.put(look.feature(), Seen.sure(byWork(look, false)));
            });
    assertThat(build.judge(good, trust, SHELF.clues()).id()).isEqualTo("fine");
    assertThat(build.judge(poor, trust, SHELF.clues()).id()).isEqualTo("poor");
    assertThat(build.judge(poor, trust, SHELF.clues()).poorly().get(0)).contains(": ");
  }

  /** A cheap knife, whatever else it is: three looks at poor work. */
  private static final String CHEAP =
      """
      {"seen": {"kick_corners": {"value": "as-cut", "sureness": "sure"},
        "cover_fit": {"value": "proud", "sureness": "sure"},
        "transitions": {"value": "felt", "sureness": "sure"}%s}
      """;

  private static List<String> because(String more) {
    Examiner examiner = new Examiner(SHELF, 2026);
    return examiner.examine(SpecimenFormat.read(CHEAP.formatted(more), SHELF)).built().because();
  }

  @Test
  void poorWorkIsExplainedByYearsOfWarOnlyWhereTheKnifeIsLikelyOfThem() {
    assertThat(because("}")).isEmpty();
    String war =
        "}, \"marks\": [{\"blade\": 1, \"face\": \"mark\", \"state\": \"read\", \"technique\": \"struck\", \"lines\": [\"%s\", \"%s\"]}]";
    assertThat(because(war.formatted("QUASTENBECK NACHF.", "GERMANY"))).isEmpty();
    assertThat(because(war.formatted("Q.W.O.", "1943")))
        .containsExactly(BOOK.build().excuses().get(0).say());
    for (BuildBook.Excuse excuse : BOOK.build().excuses()) {
      List<String> grades = BOOK.build().grades().stream().map(BuildBook.Level::id).toList();
      assertThat(grades).as(excuse.id()).containsAll(excuse.grades());
    }
  }

  @Test
  void everyPointHasAPlaceOfItsOwnOnTheDrawnKnife() {
    assertThat(BOOK.points()).allMatch(p -> p.at() != null);
    assertThat(BOOK.points().stream().map(Point::at)).doesNotHaveDuplicates();
    assertThat(BOOK.points())
        .filteredOn(p -> p.isEachBlade() && p.part().equals("blades"))
        .allMatch(p -> Integer.valueOf(1).equals(p.at().blade()));
    assertThat(BOOK.alterations()).filteredOn(a -> a.part() != null).allMatch(a -> a.at() != null);
  }

  private static String byWork(BuildBook.Look look, boolean best) {
    var order = Map.Entry.<String, Double>comparingByValue();
    return look.answers().entrySet().stream()
        .max(best ? order : order.reversed())
        .orElseThrow()
        .getKey();
  }

  @Test
  void whatHardlyStandsTogetherIsAskedAboutAndNothingElseIs() {
    assertThat(BOOK.odd())
        .allSatisfy(
            o ->
                o.when()
                    .forEach(
                        (point, findings) ->
                            assertThat(findings)
                                .allSatisfy(
                                    f ->
                                        assertThat(BOOK.point(point).flatMap(p -> p.finding(f)))
                                            .isPresent())));
    assertThat(odd(Map.of("steel", "bright", "cleaning", "buffed"))).hasSize(1);
    assertThat(odd(Map.of("steel", "patina", "cleaning", "none"))).isEmpty();
  }

  private static List<ConditionBook.Odd> odd(Map<String, String> found) {
    return BOOK.odd().stream().filter(o -> o.isFound(looked(found).condition())).toList();
  }
}
