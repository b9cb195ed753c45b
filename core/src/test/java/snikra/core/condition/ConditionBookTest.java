package snikra.core.condition;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import snikra.core.condition.ConditionBook.Finding;
import snikra.core.condition.ConditionBook.Grade;
import snikra.core.condition.ConditionBook.Point;
import snikra.core.specimen.LookReliability;
import snikra.core.specimen.Seen;
import snikra.core.specimen.Sureness;

class ConditionBookTest {
  private static final List<Grade> GRADES =
      List.of(
          new Grade("mint", "Mint", 2),
          new Grade("good", "Good", 1),
          new Grade("poor", "Poor", 0.2));
  private final ConditionBook book =
      new ConditionBook(
          GRADES,
          List.of(
              point(
                  "blade",
                  "worn",
                  finding("full", "Full", "mint"),
                  finding("worn", "Worn", "good"),
                  finding("sliver", "Sliver", "poor")),
              point(
                  "snap",
                  "soft",
                  finding("strong", "Strong", "mint"),
                  finding("soft", "Soft", "good"))));

  private static Point point(String id, String usual, Finding... findings) {
    return new Point(id, "condition", "blades", null, null, id, "", usual, List.of(findings));
  }

  private static Finding finding(String id, String label, String allows) {
    return new Finding(id, label, allows, 0, 1, "", null);
  }

  private static Looked looked(
      Map<String, Seen<String>> condition, Map<String, Seen<String>> seen) {
    return new Looked(condition, List.of(), seen, List.of(), new LookReliability(1, 0.8, 0.5));
  }

  @Test
  void theWorstFaultSetsTheGradeAndComesFirst() {
    GradeVerdict verdict =
        book.grade(
            looked(Map.of("blade", Seen.sure("sliver"), "snap", Seen.sure("soft")), Map.of()));

    assertThat(verdict.best().label()).isEqualTo("Poor");
    assertThat(verdict.reasons())
        .extracting(GradeVerdict.Reason::point)
        .containsExactly("blade", "snap");
    assertThat(verdict.unseen()).isEmpty();
  }

  @Test
  void whatIsNotLookedAtLeavesARange() {
    GradeVerdict verdict = book.grade(looked(Map.of("snap", Seen.sure("strong")), Map.of()));

    assertThat(verdict.best().label()).isEqualTo("Mint");
    assertThat(verdict.atLeast().label()).isEqualTo("Good");
    assertThat(verdict.unseen()).containsExactly("blade");
  }

  @Test
  void aFaultNotSeenSurelyLeavesTheGradeOpenUpwards() {
    Seen<String> doubtful = new Seen<>("sliver", Sureness.UNSURE);
    GradeVerdict verdict =
        book.grade(looked(Map.of("blade", doubtful, "snap", Seen.sure("soft")), Map.of()));

    assertThat(verdict.best().label()).isEqualTo("Poor");
    assertThat(verdict.atBest().label()).isEqualTo("Good");
    assertThat(verdict.reasons().get(0).sureness()).isEqualTo(Sureness.UNSURE);
  }

  @Test
  void soundnessNotSeenSurelyLeavesItOpenDownwards() {
    Seen<String> doubtful = new Seen<>("full", Sureness.LIKELY);
    GradeVerdict verdict =
        book.grade(looked(Map.of("blade", doubtful, "snap", Seen.sure("strong")), Map.of()));

    assertThat(verdict.best().label()).isEqualTo("Mint");
    assertThat(verdict.atLeast().label()).isEqualTo("Good");
    assertThat(verdict.unseen()).isEmpty();
  }

  @Test
  void reasonsComeWorstFirstWhateverTheOrderOfTheBookAndSoundnessIsNone() {
    ConditionBook turned =
        new ConditionBook(GRADES, List.of(book.points().get(1), book.points().get(0)));
    GradeVerdict verdict =
        turned.grade(
            looked(Map.of("blade", Seen.sure("sliver"), "snap", Seen.sure("soft")), Map.of()));
    assertThat(verdict.reasons())
        .extracting(GradeVerdict.Reason::point)
        .containsExactly("blade", "snap");
    GradeVerdict sound =
        turned.grade(
            looked(Map.of("blade", Seen.sure("full"), "snap", Seen.sure("strong")), Map.of()));
    assertThat(sound.reasons()).isEmpty();
    assertThat(sound.atLeast().label()).isEqualTo("Mint");
  }

  @Test
  void pointsAndRanksAreFoundByTheirIds() {
    assertThat(book.point("snap"))
        .hasValueSatisfying(p -> assertThat(p.usualFault()).isEqualTo("soft"));
    assertThat(book.point("lock")).isEmpty();
    assertThat(book.rank("mint")).isZero();
    assertThat(book.rank("poor")).isEqualTo(2);
    assertThatThrownBy(() -> book.rank("fine")).hasMessageContaining("found fine");
  }

  @Test
  void nothingLookedAtIsNoGrade() {
    assertThat(book.grade(looked(Map.of(), Map.of())).best()).isNull();
  }

  private final ConditionBook boxed =
      new ConditionBook(
          GRADES,
          book.points().subList(0, 1),
          book.schools(),
          List.of(),
          List.of(),
          List.of(),
          List.of(
              new ConditionBook.Box(
                  "opened",
                  "like new, opened box",
                  "good",
                  Map.of("box", List.of("its-own"), "tabs", List.of("bent"))),
              new ConditionBook.Box(
                  "boxed", "with its box", null, Map.of("box", List.of("its-own")))),
          List.of());

  private String boxed(String blade, Map<String, Seen<String>> seen) {
    return boxed.grade(looked(Map.of("blade", Seen.sure(blade)), seen)).best().label();
  }

  @Test
  void theBoxIsToldWithTheGradeAndOnlyAsFarAsItWasLookedAt() {
    Seen<String> own = Seen.sure("its-own");
    assertThat(boxed("full", Map.of())).isEqualTo("Mint");
    assertThat(boxed("full", Map.of("box", own))).isEqualTo("Mint, with its box");
    assertThat(boxed("full", Map.of("box", own, "tabs", Seen.sure("bent"))))
        .isEqualTo("Mint, like new, opened box");
    assertThat(boxed("full", Map.of("box", own, "tabs", new Seen<>(null, Sureness.CANNOT_TELL))))
        .isEqualTo("Mint, with its box");
    assertThat(boxed("sliver", Map.of("box", own, "tabs", Seen.sure("bent"))))
        .isEqualTo("Poor, with its box");
  }

  @Test
  void whatABoxMakesOfTheGradeIsToldByItselfToo() {
    Map<String, Seen<String>> own = Map.of("box", Seen.sure("its-own"));
    Map<String, Seen<String>> full = Map.of("blade", Seen.sure("full"));
    assertThat(boxed.grade(looked(full, own)).boxed()).isEqualTo("with its box");
    assertThat(boxed.grade(looked(full, Map.of())).boxed()).isNull();
    assertThat(boxed.grade(looked(Map.of(), own)).boxed()).isNull();
  }

  @Test
  void aBoxNeedsTheGradeItAsksForOrABetterOne() {
    ConditionBook fine =
        new ConditionBook(
            GRADES,
            List.of(point("blade", "honed", finding("honed", "Honed", "good"))),
            book.schools(),
            List.of(),
            List.of(),
            List.of(),
            boxed.boxes(),
            List.of());
    Map<String, Seen<String>> opened =
        Map.of("box", Seen.sure("its-own"), "tabs", Seen.sure("bent"));
    assertThat(fine.grade(looked(Map.of("blade", Seen.sure("honed")), opened)).best().label())
        .isEqualTo("Good, like new, opened box");
  }

  @Test
  void aBoxOrAFindingWithAnUnknownGradeIsRefused() {
    assertThatThrownBy(
            () ->
                new ConditionBook(
                    GRADES,
                    List.of(),
                    book.schools(),
                    List.of(),
                    List.of(),
                    List.of(),
                    List.of(new ConditionBook.Box("b", "boxed", "superb", Map.of())),
                    List.of()))
        .hasMessageContaining("found superb");
    assertThatThrownBy(
            () -> new ConditionBook(GRADES, List.of(point("x", "a", finding("a", "A", "fine")))))
        .hasMessageContaining("grade of x.a")
        .hasMessageContaining("found fine");
  }

  @Test
  void aFindingWithAnUnknownGradeIsRefused() {
    assertThatThrownBy(
            () -> new ConditionBook(GRADES, List.of(point("x", "fine", finding("a", "A", "mint")))))
        .hasMessageContaining("found fine");
  }
}
