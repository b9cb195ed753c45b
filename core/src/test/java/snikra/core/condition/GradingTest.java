package snikra.core.condition;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import snikra.core.clue.Feature;
import snikra.core.condition.ConditionBook.Finding;
import snikra.core.condition.ConditionBook.Grade;
import snikra.core.condition.ConditionBook.Life;
import snikra.core.condition.ConditionBook.Point;
import snikra.core.condition.Looked.Doubt;
import snikra.core.condition.SchoolVerdict.Stand;
import snikra.core.specimen.LookReliability;
import snikra.core.specimen.Seen;
import snikra.core.specimen.Sureness;

/** Schools at work on random knives, held against summing over all a knife may be. */
class GradingTest {
  private static final List<String> SCALE = List.of("a", "b", "c", "d", "e");
  private static final LookReliability TRUST = new LookReliability(1, 0.8, 0.55);
  private static final List<Life> LIVES =
      List.of(new Life("kept", "Kept", 0.4, -0.7, ""), new Life("worked", "Worked", 0.6, 0.5, ""));
  private static final List<String> PARTS = List.of("blades", "covers");

  /** A book of so many points with findings that get worse, and all three ways of judging. */
  private static ConditionBook book(Random random, int points) {
    List<Grade> grades = SCALE.stream().map(g -> new Grade(g, g, 1)).toList();
    List<Point> all = new ArrayList<>();
    for (int p = 0; p < points; p++) {
      List<Finding> findings = new ArrayList<>();
      int rank = 0;
      double loses = 0;
      for (int f = 0; f < 3; f++) {
        findings.add(
            new Finding("f" + f, "f" + f, SCALE.get(rank), loses, 1 + random.nextInt(9), "", null));
        rank = Math.min(SCALE.size() - 1, rank + 1 + random.nextInt(2));
        loses += 1 + random.nextInt(24) / 2.0;
      }
      String part = PARTS.get(random.nextInt(2));
      boolean each = random.nextInt(3) == 0;
      all.add(new Point("p" + p, "condition", part, each, null, "P" + p, "", "f1", findings));
    }
    School worst =
        new School(
            "worst",
            School.Kind.WORST_FAULT,
            "Worst",
            "",
            null,
            null,
            2 + random.nextInt(2),
            random.nextInt(2),
            null,
            null);
    School alone =
        new School(
            "alone",
            School.Kind.WORST_FAULT,
            "Alone",
            "",
            List.of(new School.Level("yes", "Yes"), new School.Level("no", "No")),
            Map.of("p0", Map.of("f2", "no"), "p1", Map.of("f1", "no", "f2", "no")),
            0,
            1,
            null,
            null);
    School counted =
        new School(
            "counted",
            School.Kind.POINTS,
            "Counted",
            "",
            null,
            null,
            0,
            0.5,
            List.of(
                new School.Part("blades", "Blades", 25),
                new School.Part("covers", "Covers", 20),
                new School.Part("originality", "Originality", 55)),
            Map.of("a", 95.0, "b", 85.0, "c", 75.0, "d", 60.0, "e", 0.0));
    List<List<String>> once = random.nextBoolean() ? List.of(List.of("p0", "p1")) : List.of();
    return new ConditionBook(
        grades, all, List.of(worst, alone, counted), LIVES, once, List.of(), List.of(), List.of());
  }

  private static Seen<String> seen(Random random) {
    return random.nextInt(6) == 0
        ? new Seen<>(null, Sureness.CANNOT_TELL)
        : new Seen<>(
            "f" + random.nextInt(3),
            List.of(Sureness.SURE, Sureness.LIKELY, Sureness.UNSURE).get(random.nextInt(3)));
  }

  private static Looked looked(Random random, ConditionBook book) {
    Map<String, Seen<String>> main = new HashMap<>();
    Map<String, Seen<String>> second = new HashMap<>();
    for (Point p : book.points()) {
      if (random.nextInt(3) > 0) {
        main.put(p.id(), seen(random));
      }
      if (p.isEachBlade() && random.nextBoolean()) {
        second.put(p.id(), seen(random));
      }
    }
    main.put("p0", new Seen<>("f1", Sureness.SURE));
    return new Looked(main, List.of(second), Map.of(), List.of(), TRUST);
  }

  private static Looked with(Looked looked, String point, Seen<String> found) {
    Map<String, Seen<String>> main = new HashMap<>(looked.condition());
    main.put(point, found);
    return new Looked(main, looked.otherBlades(), looked.seen(), looked.doubts(), TRUST);
  }

  private static int rank(ConditionBook book, int school, Stand stand) {
    return book.levels(book.schools().get(school)).stream()
        .map(School.Level::id)
        .toList()
        .indexOf(stand.id());
  }

  /** Every life and every way a knife may be after it, each graded as if all of it were seen. */
  private static double[] byHand(ConditionBook book, int school, Looked looked) {
    double[] chances = new double[book.levels(book.schools().get(school)).size()];
    List<Map.Entry<String, Integer>> all = new ArrayList<>();
    for (Point p : book.points()) {
      all.add(Map.entry(p.id(), 1));
      if (p.isEachBlade()) {
        all.add(Map.entry(p.id(), 2));
      }
    }
    double sum = 0;
    for (Life life : LIVES) {
      double weight = life.share();
      for (Map.Entry<String, Integer> one : all) {
        Seen<String> seen = looked.of(one.getKey(), one.getValue());
        String value = Seen.valueOf(seen);
        if (value != null) {
          List<Finding> findings = book.point(one.getKey()).orElseThrow().findings();
          double any = 0;
          for (Life l : LIVES) {
            any += l.share() * rate(l, findings, value);
          }
          double trusted = TRUST.of(seen.sureness());
          weight *= trusted * rate(life, findings, value) / any + 1 - trusted;
        }
      }
      sum += weight;
      add(book, school, looked, life, all, new HashMap<>(), new HashMap<>(), weight, chances);
    }
    for (int g = 0; g < chances.length; g++) {
      chances[g] /= sum;
    }
    return chances;
  }

  private static double rate(Life life, List<Finding> findings, String id) {
    double all = 0;
    double mine = 0;
    for (int i = 0; i < findings.size(); i++) {
      double rate = findings.get(i).often() * Math.exp(life.tilt() * i);
      all += rate;
      mine = findings.get(i).id().equals(id) ? rate : mine;
    }
    return mine / all;
  }

  private static void add(
      ConditionBook book,
      int school,
      Looked looked,
      Life life,
      List<Map.Entry<String, Integer>> open,
      Map<String, Seen<String>> main,
      Map<String, Seen<String>> second,
      double weight,
      double[] chances) {
    if (open.isEmpty()) {
      Looked whole = new Looked(main, List.of(second), Map.of(), List.of(), TRUST);
      chances[rank(book, school, book.judge(whole).get(school).best())] += weight;
      return;
    }
    String point = open.get(0).getKey();
    int blade = open.get(0).getValue();
    List<Finding> findings = book.point(point).orElseThrow().findings();
    Seen<String> was = looked.of(point, blade);
    for (Finding f : findings) {
      double share = share(life, findings, f, was);
      if (share > 0) {
        Map<String, Seen<String>> into = blade == 1 ? main : second;
        into.put(point, Seen.sure(f.id()));
        add(
            book,
            school,
            looked,
            life,
            open.subList(1, open.size()),
            main,
            second,
            weight * share,
            chances);
        into.remove(point);
      }
    }
  }

  private static double share(Life life, List<Finding> findings, Finding f, Seen<String> was) {
    String value = Seen.valueOf(was);
    double trusted = value == null ? 0 : TRUST.of(was.sureness());
    if (f.id().equals(value)) {
      return trusted;
    }
    double taken = value == null ? 0 : rate(life, findings, value);
    return (1 - trusted) * rate(life, findings, f.id()) / (1 - taken);
  }

  @ParameterizedTest
  @ValueSource(ints = {0, 1, 2})
  void chancesAreThoseOfAllTheKnifeMayBe(int school) {
    Random random = new Random(11 + school);
    for (int i = 0; i < 60; i++) {
      ConditionBook book = book(random, 4);
      Looked looked = looked(random, book);
      double[] byHand = byHand(book, school, looked);
      List<SchoolVerdict.Chance> chances = book.judge(looked).get(school).chances();
      for (int g = 0; g < byHand.length; g++) {
        assertThat(chances.get(g).probability()).isCloseTo(byHand[g], within(1e-12));
      }
    }
  }

  @Test
  void aWorseFindingNeverRaisesAGradeInAnySchool() {
    Random random = new Random(5);
    for (int i = 0; i < 1000; i++) {
      ConditionBook book = book(random, 5);
      Looked looked = looked(random, book);
      String point = "p" + random.nextInt(5);
      int worse = 1 + random.nextInt(2);
      List<SchoolVerdict> before =
          book.judge(with(looked, point, Seen.sure("f" + random.nextInt(worse))));
      List<SchoolVerdict> after = book.judge(with(looked, point, Seen.sure("f" + worse)));
      for (int s = 0; s < before.size(); s++) {
        assertThat(rank(book, s, after.get(s).best()))
            .isGreaterThanOrEqualTo(rank(book, s, before.get(s).best()));
      }
      assertThat(after.get(2).best().points()).isLessThanOrEqualTo(before.get(2).best().points());
    }
  }

  @Test
  void lookingAtMoreNeverWidensTheRange() {
    Random random = new Random(6);
    int narrowed = 0;
    for (int i = 0; i < 1000; i++) {
      ConditionBook book = book(random, 5);
      Looked looked = looked(random, book);
      String point = "p" + (1 + random.nextInt(4));
      if (Seen.valueOf(looked.condition().get(point)) != null) {
        continue;
      }
      List<SchoolVerdict> before = book.judge(looked);
      List<SchoolVerdict> after =
          book.judge(with(looked, point, Seen.sure("f" + random.nextInt(3))));
      for (int s = 0; s < 2; s++) {
        int was = rank(book, s, before.get(s).atLeast()) - rank(book, s, before.get(s).best());
        int is = rank(book, s, after.get(s).atLeast()) - rank(book, s, after.get(s).best());
        assertThat(is).isLessThanOrEqualTo(was);
        narrowed += is < was ? 1 : 0;
      }
      double was = before.get(2).best().points() - before.get(2).atLeast().points();
      double is = after.get(2).best().points() - after.get(2).atLeast().points();
      assertThat(is).isLessThanOrEqualTo(was + 1e-9);
    }
    assertThat(narrowed).isPositive();
  }

  @Test
  void theOrderInWhichPointsStandDoesNotMatter() {
    Random random = new Random(7);
    for (int i = 0; i < 300; i++) {
      ConditionBook book = book(random, 5);
      Looked looked = looked(random, book);
      List<Point> turned = new ArrayList<>(book.points());
      Collections.shuffle(turned, random);
      ConditionBook other =
          new ConditionBook(
              book.grades(),
              turned,
              book.schools(),
              LIVES,
              book.once(),
              List.of(),
              List.of(),
              List.of());
      for (int s = 0; s < 3; s++) {
        SchoolVerdict a = book.judge(looked).get(s);
        SchoolVerdict b = other.judge(looked).get(s);
        assertThat(b.best()).isEqualTo(a.best());
        assertThat(b.atLeast()).isEqualTo(a.atLeast());
        assertThat(b.likely().id()).isEqualTo(a.likely().id());
      }
    }
  }

  private static final Random PLAIN = new Random(1);

  @Test
  void soManyFaultsTogetherLowerItByOne() {
    ConditionBook book = of("b", "b", "b", "c");
    assertThat(best(book, 0, "f0", "f0", "f1", "f0")).isEqualTo("b");
    assertThat(best(book, 0, "f1", "f0", "f1", "f0")).isEqualTo("b");
    assertThat(best(book, 0, "f1", "f1", "f1", "f0")).isEqualTo("c");
    assertThat(best(book, 0, "f1", "f1", "f0", "f1")).isEqualTo("c");
    assertThat(best(book, 0, "f1", "f1", "f1", "f1")).isEqualTo("c");
    assertThat(best(book, 0, "f0", "f0", "f0", "f1")).isEqualTo("c");
  }

  /** Four points whose only fault lets this pass; three together count. */
  private static ConditionBook of(String... allows) {
    List<Point> points = new ArrayList<>();
    for (int p = 0; p < allows.length; p++) {
      points.add(
          new Point(
              "p" + p,
              "condition",
              "blades",
              p == 0,
              null,
              "P" + p,
              "",
              "f1",
              List.of(
                  new Finding("f0", "none", "a", 0, 5, "", null),
                  new Finding("f1", "fault", allows[p], 10, 5, "", null))));
    }
    ConditionBook any = book(PLAIN, 2);
    School three =
        new School("three", School.Kind.WORST_FAULT, "Three", "", null, null, 3, 1, null, null);
    return new ConditionBook(
        any.grades(),
        points,
        List.of(three, any.schools().get(2)),
        List.of(),
        List.of(List.of("p0", "shortened")),
        List.of(),
        List.of(),
        List.of());
  }

  private static Map<String, Seen<String>> found(String... findings) {
    Map<String, Seen<String>> found = new HashMap<>();
    for (int p = 0; p < findings.length; p++) {
      found.put("p" + p, Seen.sure(findings[p]));
    }
    return found;
  }

  private static String best(ConditionBook book, int school, String... findings) {
    return book.judge(new Looked(found(findings), List.of(), Map.of(), List.of(), TRUST))
        .get(school)
        .best()
        .id();
  }

  @Test
  void aFaultOfAnotherBladeCountsLess() {
    ConditionBook book = of("c", "a", "a", "a");
    Map<String, Seen<String>> sound = found("f0", "f0", "f0", "f0");
    Looked second =
        new Looked(sound, List.of(Map.of("p0", Seen.sure("f1"))), Map.of(), List.of(), TRUST);
    List<SchoolVerdict> verdicts = book.judge(second);
    assertThat(verdicts.get(0).best().id()).isEqualTo("b");
    assertThat(verdicts.get(1).best().points()).isEqualTo(95);
    assertThat(verdicts.get(0).reasons().get(0).label()).isEqualTo("P0 of blade 2");
  }

  private static Alteration shortened(String cap, double loses) {
    return new Alteration(
        "shortened",
        "Shortened",
        null,
        null,
        null,
        List.of(),
        Alteration.Sign.SHORT_BLADE,
        null,
        List.of(),
        cap,
        loses,
        0.5,
        "",
        "",
        "judgement",
        null);
  }

  @Test
  void whatMayHaveBeenDoneIsASpreadAndCountsOnceLikelierThanNot() {
    ConditionBook book = of("b", "a", "a", "a");
    Looked sound = new Looked(found("f0", "f0", "f0", "f0"), List.of(), Map.of(), List.of(), TRUST);
    SchoolVerdict perhaps =
        book.judge(sound.with(List.of(new Doubt(shortened("d", 6), 0.44)))).get(0);
    assertThat(perhaps.best().id()).isEqualTo("a");
    assertThat(perhaps.atLeast().id()).isEqualTo("d");
    assertThat(perhaps.chances().get(3).probability()).isCloseTo(0.44, within(1e-12));
    SchoolVerdict likely =
        book.judge(sound.with(List.of(new Doubt(shortened("d", 6), 0.7)))).get(0);
    assertThat(likely.best().id()).isEqualTo("d");
    assertThat(likely.atBest().id()).isEqualTo("a");
    assertThat(likely.reasons().get(0).probability()).isEqualTo(0.7);
  }

  @Test
  void oneLossOfSteelCountsOnce() {
    ConditionBook book = of("b", "b", "b", "a");
    Looked worn = new Looked(found("f1", "f1", "f0", "f0"), List.of(), Map.of(), List.of(), TRUST);
    List<SchoolVerdict> both = book.judge(worn.with(List.of(new Doubt(shortened("b", 6), 0.9))));
    // Worn and shortened are one fault: with that of the second point they are two, not three.
    assertThat(both.get(0).best().id()).isEqualTo("b");
    assertThat(both.get(1).best().points()).isEqualTo(80);
    assertThat(both.get(1).reasons())
        .extracting(SchoolVerdict.Fault::of, SchoolVerdict.Fault::counts)
        .containsExactly(tuple("p0", true), tuple("p1", true), tuple("shortened", false));
  }

  @Test
  void noPartLosesMoreThanItHas() {
    ConditionBook book = of("b", "b", "b", "b");
    assertThat(
            book.judge(
                    new Looked(
                        found("f1", "f1", "f1", "f1"), List.of(), Map.of(), List.of(), TRUST))
                .get(1)
                .best()
                .points())
        .isEqualTo(75);
  }

  @Test
  void whatWouldTellMostComesFirstAndWhatIsSureTellsNothing() {
    ConditionBook book = of("e", "b", "a", "a");
    Looked begun = new Looked(Map.of("p2", Seen.sure("f0")), List.of(), Map.of(), List.of(), TRUST);
    SchoolVerdict open = book.judge(begun).get(0);
    assertThat(open.narrows()).extracting(SchoolVerdict.Narrowing::of).containsExactly("p0", "p1");
    assertThat(open.narrows().get(0).gain()).isGreaterThan(open.narrows().get(1).gain());
    assertThat(open.open()).isEqualTo(3);
    Looked whole = new Looked(found("f0", "f1", "f0", "f0"), List.of(), Map.of(), List.of(), TRUST);
    assertThat(book.judge(whole).get(0).narrows()).isEmpty();
    assertThat(book.judge(whole).get(0).open()).isZero();
  }

  // A point whose two findings cost nothing tells all the same how the other is.
  @Test
  void faultsKeepCompany() {
    ConditionBook any = of("b", "c", "a", "a");
    Point harmless =
        new Point(
            "p9",
            "condition",
            "blades",
            null,
            null,
            "P9",
            "",
            "f1",
            List.of(
                new Finding("f0", "none", "a", 0, 5, "", null),
                new Finding("f1", "carried", "a", 0, 5, "", null)));
    ConditionBook book =
        new ConditionBook(
            any.grades(),
            List.of(harmless, any.points().get(1)),
            any.schools(),
            LIVES,
            List.of(),
            List.of(),
            List.of(),
            List.of());
    double afterNone = faultless(book, Seen.sure("f0"));
    double perhaps = faultless(book, new Seen<>("f1", Sureness.UNSURE));
    double afterCarried = faultless(book, Seen.sure("f1"));
    assertThat(afterNone).isGreaterThan(perhaps);
    assertThat(perhaps).isGreaterThan(afterCarried);
  }

  private static double faultless(ConditionBook book, Seen<String> found) {
    return book.judge(new Looked(Map.of("p9", found), List.of(), Map.of(), List.of(), TRUST))
        .get(0)
        .chances()
        .get(0)
        .probability();
  }

  @Test
  void whatIsNotThereIsNotAskedForAndTakesNothing() {
    Feature.OnlyIf celluloid = new Feature.OnlyIf("handle", List.of("celluloid"));
    ConditionBook plain = of("b", "c", "a", "a");
    Point p1 = plain.points().get(1);
    Point only =
        new Point(
            p1.id(),
            p1.station(),
            p1.part(),
            null,
            celluloid,
            p1.label(),
            p1.ask(),
            p1.usualFault(),
            p1.findings());
    ConditionBook book =
        new ConditionBook(
            plain.grades(),
            List.of(plain.points().get(0), only),
            plain.schools(),
            List.of(),
            List.of(),
            List.of(),
            List.of(),
            List.of());
    Map<String, Seen<String>> found = Map.of("p0", Seen.sure("f0"));
    Map<String, Boolean> isOpen = new HashMap<>();
    Map.of(
            "sure", Seen.sure("bone"),
            "likely", new Seen<>("bone", Sureness.LIKELY),
            "itself", Seen.sure("celluloid"))
        .forEach(
            (name, handle) -> {
              Looked looked =
                  new Looked(found, List.of(), Map.of("handle", handle), List.of(), TRUST);
              isOpen.put(name, book.judge(looked).get(0).open() > 0);
            });
    assertThat(isOpen).isEqualTo(Map.of("sure", false, "likely", true, "itself", true));
  }

  @Test
  void nobodyLookedIsNoGrade() {
    ConditionBook book = of("b", "b", "b", "b");
    Looked nothing = new Looked(Map.of(), List.of(), Map.of(), List.of(), TRUST);
    assertThat(book.judge(nothing))
        .allSatisfy(
            s -> {
              assertThat(s.best()).isNull();
              assertThat(s.chances()).isEmpty();
              assertThat(s.open()).isEqualTo(4);
            });
  }
}
