package snikra.core.condition;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import snikra.core.clue.ClueBook;
import snikra.core.condition.BuildBook.Built;
import snikra.core.condition.BuildBook.Excuse;
import snikra.core.condition.BuildBook.Level;
import snikra.core.condition.BuildBook.Look;
import snikra.core.specimen.LookReliability;
import snikra.core.specimen.Seen;
import snikra.core.specimen.Sureness;

class BuildBookTest {
  private static final ClueBook NO_CLUES = new ClueBook(List.of(), List.of(), List.of());
  private static final LookReliability TRUST = new LookReliability(1, 0.5, 0.25);
  private final BuildBook book =
      new BuildBook(
          2,
          List.of(
              new Level("fine", "Finely made", 0.75, 1.2),
              new Level("plain", "Plainly made", 0, 0.9)),
          List.of(
              new Look("kicks", 1, Map.of("finished", 1.0, "as-cut", 0.0)),
              new Look("liners", 3, Map.of("milled", 1.0, "sheared", 0.0)),
              new Look("grind", 1, Map.of("flat", 0.5))),
          List.of(
              new Excuse(
                  "war", List.of("plain"), List.of(List.of(1940, 1946)), false, 0.4, "War.", ""),
              new Excuse("change", List.of("plain"), List.of(), true, 0.4, "A closing.", "")));

  private Built judge(Map<String, Seen<String>> seen) {
    return book.judge(seen, TRUST, NO_CLUES);
  }

  @Test
  void itIsTheShareOfGoodWorkEachLookByItsWeight() {
    Built built = judge(Map.of("kicks", Seen.sure("as-cut"), "liners", Seen.sure("milled")));
    assertThat(built.share()).isCloseTo(0.75, within(1e-12));
    assertThat(built.label()).isEqualTo("Finely made");
    assertThat(built.well()).containsExactly("liners");
    assertThat(built.poorly()).containsExactly("kicks");
    assertThat(judge(Map.of("kicks", Seen.sure("finished"), "liners", Seen.sure("sheared"))).id())
        .isEqualTo("plain");
  }

  @Test
  void aLookThatIsNotSureCountsLess() {
    Seen<String> perhaps = new Seen<>("milled", Sureness.UNSURE);
    Built built = judge(Map.of("kicks", Seen.sure("as-cut"), "liners", perhaps));
    assertThat(built.share()).isCloseTo(0.75 / 1.75, within(1e-12));
    assertThat(built.id()).isEqualTo("plain");
  }

  @Test
  void tooLittleLookedAtIsNoGradeAndWhatSaysNothingIsNotCounted() {
    Built one = judge(Map.of("kicks", Seen.sure("finished"), "grind", Seen.sure("hollow")));
    assertThat(one.id()).isNull();
    assertThat(one.looked()).isEqualTo(1);
    assertThat(one.of()).isEqualTo(3);
    assertThat(judge(Map.of("kicks", new Seen<>(null, Sureness.CANNOT_TELL))).looked()).isZero();
    assertThat(judge(Map.of()).share()).isZero();
  }

  @Test
  void workBringsWhatItsGradeSaysAndNothingWhereThereIsNone() {
    assertThat(book.worth("fine")).isEqualTo(1.2);
    assertThat(book.worth("plain")).isEqualTo(0.9);
    assertThat(book.worth("unheard-of")).isEqualTo(1);
  }

  @Test
  void poorWorkIsExplainedWhereItIsLikelyEnoughAndGoodWorkIsNot() {
    Built poor = judge(Map.of("kicks", Seen.sure("as-cut"), "liners", Seen.sure("sheared")));
    assertThat(book.excuse(poor, e -> e.change() ? 0.39 : 0.4).because()).containsExactly("War.");
    assertThat(book.excuse(poor, e -> 1).because()).containsExactly("War.", "A closing.");
    assertThat(book.excuse(poor, e -> 1).share()).isEqualTo(poor.share());
    Built fine = judge(Map.of("kicks", Seen.sure("finished"), "liners", Seen.sure("milled")));
    assertThat(book.excuse(fine, e -> 1).because()).isEmpty();
    assertThat(book.excuse(judge(Map.of()), e -> 1).because()).isEmpty();
  }
}
