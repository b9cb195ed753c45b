package snikra.core.pattern;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import snikra.core.fixture.Patterns;
import snikra.core.fixture.Shelf;
import snikra.core.measure.Length;
import snikra.core.pattern.PatternVerdict.Settle;
import snikra.core.specimen.End;
import snikra.core.specimen.Presses;
import snikra.core.specimen.Seen;
import snikra.core.specimen.SeenBlade;
import snikra.core.specimen.Specimen;
import snikra.core.specimen.Sureness;

/** One look at a time left open, so that each is proposed by what it alone would tell. */
class SettlerTest {
  private static final PatternBook BOOK = Patterns.invented();
  private static final SeenBlade MAIN = SeenBlade.sure("clip", End.A, Presses.ONE, null);
  private static final SeenBlade SECOND = SeenBlade.sure("pen", End.B, null, null);

  /** Everything looked at but these. */
  private static Specimen knife(String... open) {
    return knife(List.of(open).contains("frame") ? null : Seen.sure("round"), open);
  }

  private static Specimen knife(@Nullable Seen<String> frame, String... open) {
    List<String> left = List.of(open);
    return new Specimen(
        null,
        null,
        frame,
        left.contains("bolsters") ? null : Seen.sure("both"),
        left.contains("length") ? null : Length.parse("90 mm"),
        left.contains("springs") ? null : Seen.sure(1),
        blades(left),
        List.of(),
        null,
        left.contains("divider") ? Map.of() : Map.of("divider", Seen.sure("none")),
        Map.of(),
        List.of(),
        List.of());
  }

  private static List<SeenBlade> blades(List<String> left) {
    if (left.contains("blades")) {
      return List.of();
    }
    SeenBlade main = left.contains("press") ? SeenBlade.sure("clip", End.A, null, null) : MAIN;
    SeenBlade second =
        left.contains("type")
            ? SeenBlade.sure(null, End.B, null, null)
            : left.contains("end") ? SeenBlade.sure("pen", null, null, null) : SECOND;
    return List.of(main, second, SECOND);
  }

  private static Optional<Settle> settle(String leader, String rival, Specimen knife) {
    return new Settler(BOOK, knife, NamingRates.of(Shelf.judgement()))
        .between(BOOK.pattern(leader).orElseThrow(), BOOK.pattern(rival).orElseThrow());
  }

  static Stream<Arguments> looks() {
    return Stream.of(
        look(
            "jack",
            "stock",
            "pattern",
            "Choose the outline: round frame or square frame.",
            "frame"),
        look(
            "stock",
            "jack",
            "pattern",
            "Choose the outline: square frame or round frame.",
            "frame"),
        look(
            "jack",
            "stock",
            "pattern",
            "Measure it closed: more than about 90 mm speaks for this.",
            "length"),
        look(
            "stock",
            "jack",
            "pattern",
            "Measure it closed: less than about 90 mm speaks for this.",
            "length"),
        look(
            "jack",
            "giant",
            "pattern",
            "Measure it closed: more than about 101 mm speaks for this.",
            "length"),
        look("pen-knife", "whittler", "pattern", "Count the springs at the back.", "springs"),
        look("jack", "stock", "pattern", "Count the springs at the back.", "springs"),
        look(
            "jack",
            "tool",
            "pattern",
            "Look at the bolsters: both bolsters or metal bolsters.",
            "bolsters"),
        look(
            "tool",
            "jack",
            "pattern",
            "Look at the bolsters: metal bolsters or both bolsters.",
            "bolsters"),
        look(
            "jack", "whittler", "blades", "Count the blades, and see where each pivots.", "blades"),
        look(
            "jack",
            "pen-knife",
            "blades",
            "Count the blades, and see where each pivots.",
            "blades"),
        look("pen-knife", "stock", "blades", "Name blade 2: a pen or a saw.", "type"),
        look("jack", "pen-knife", "blades", "See which end blade 2 pivots at.", "end"),
        look(
            "whittler",
            "stock",
            "blades",
            "See from the back whether the main bears on one spring or both.",
            "press"),
        look("whittler", "pen-knife", "frame", "Look between the springs.", "divider"),
        look("jack", "whittler", "frame", "Look between the springs.", "divider"));
  }

  private static Arguments look(
      String leader, String rival, String station, String text, String open) {
    return Arguments.of(leader, rival, new Settle(station, text), open);
  }

  @ParameterizedTest(name = "{0} or {1}: {3}")
  @MethodSource("looks")
  void theOneLookLeftIsProposedWhereItTells(String leader, String rival, Settle told, String open) {
    assertThat(settle(leader, rival, knife(open))).hasValue(told);
    assertThat(settle(leader, rival, knife())).isEmpty();
  }

  @ParameterizedTest(name = "{0} or {1}: {2}")
  @org.junit.jupiter.params.provider.CsvSource({
    "jack, pen-large, frame",
    "jack, pen-knife, length",
    "stock, whittler, frame",
    "jack, pen-knife, springs",
    "jack, pen-knife, bolsters",
    "jack, pen-knife, type",
    "whittler, stock, end",
    "jack, pen-knife, press",
    "jack, whittler, press"
  })
  void aLookByWhichTheTwoAreMuchAlikeSettlesNothing(String leader, String rival, String open) {
    assertThat(settle(leader, rival, knife(open))).isEmpty();
  }

  @Test
  void ofSeveralLooksThatTellsMostWhichTheTwoShareLeast() {
    // A count of blades that both may have tells little: 0.35, against 0.77 of the outline.
    assertThat(settle("jack", "tool", knife("blades", "frame")).map(Settle::look))
        .hasValueSatisfying(look -> assertThat(look).startsWith("Choose the outline"));
    // Three blades are none of a jack's: 1, against 0.77.
    assertThat(settle("jack", "stock", knife("blades", "frame")).map(Settle::look))
        .hasValueSatisfying(look -> assertThat(look).startsWith("Count the blades"));
    // The springs 0.71, the length 0.61.
    assertThat(settle("jack", "stock", knife("springs", "length")).map(Settle::look))
        .hasValueSatisfying(look -> assertThat(look).startsWith("Count the springs"));
    // The outline 0.77, the springs 0.71.
    assertThat(settle("jack", "stock", knife("springs", "frame")).map(Settle::look))
        .hasValueSatisfying(look -> assertThat(look).startsWith("Choose the outline"));
    // Between the springs 0.58, the length of 80 to 100 against 76 to 95 mm 0.38.
    assertThat(settle("jack", "whittler", knife("divider", "length")).map(Settle::look))
        .hasValueSatisfying(look -> assertThat(look).startsWith("Look between"));
  }

  @Test
  void whatCouldNotBeToldIsNotAskedAgainOfABladeButOfAnOutline() {
    Seen<String> cannot = new Seen<>(null, Sureness.CANNOT_TELL);
    assertThat(settle("jack", "stock", knife(cannot))).isPresent();
    assertThat(settle("jack", "stock", knife(Seen.sure("round")))).isEmpty();
  }
}
