package snikra.core.clue;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ClueTest {
  private static final Floors FLOORS = new Floors(1e-4, 0.01, 0.12, 0.25);

  @ParameterizedTest
  @CsvSource({"1891, 0.01", "1892, 0.25", "1902, 0.625", "1912, 1", "2000, 1"})
  void aNotBeforeRisesFromAQuarterOverItsRamp(int year, double expected) {
    Clue lifter = clue(new Bound(1892, 20, Firmness.FIRM), null, false);
    assertThat(lifter.compatibility(year, false, FLOORS)).isCloseTo(expected, within(1e-9));
  }

  @ParameterizedTest
  @CsvSource({"1800, 1", "1930, 1", "1940, 0.56", "1950, 0.12", "2026, 0.12"})
  void aNotAfterFallsToItsFloorOverItsRamp(int year, double expected) {
    Clue pull = clue(null, new Bound(1930, 20, Firmness.SOFT), true);
    assertThat(pull.compatibility(year, false, FLOORS)).isCloseTo(expected, within(1e-9));
  }

  @Test
  void onlyAnImitableNotAfterIsLiftedForALaterCopy() {
    Bound ended = new Bound(1930, 20, Firmness.SOFT);
    assertThat(clue(null, ended, true).compatibility(1990, true, FLOORS)).isEqualTo(1);
    assertThat(clue(null, ended, false).compatibility(1990, true, FLOORS)).isEqualTo(0.12);
  }

  @Test
  void aLaterCopyIsStillNotBeforeItsInvention() {
    Clue striker =
        clue(new Bound(1826, 0, Firmness.HARD), new Bound(1930, 10, Firmness.SOFT), true);
    assertThat(striker.compatibility(1800, true, FLOORS)).isEqualTo(1e-4);
  }

  @Test
  void usageThatCameBackIsAtHomeInEitherWindow() {
    Clue bare =
        new Clue(
            "germany",
            "Germany",
            "",
            1,
            null,
            null,
            false,
            List.of(
                new Clue.Window(1891, 1957, 6, Firmness.FIRM),
                new Clue.Window(1988, 2100, 6, Firmness.FIRM)),
            Map.of(),
            List.of("GERMANY"),
            "",
            "");
    assertThat(bare.compatibility(1930, false, FLOORS)).isEqualTo(1);
    assertThat(bare.compatibility(1975, false, FLOORS)).isEqualTo(0.01);
    assertThat(bare.compatibility(2005, false, FLOORS)).isEqualTo(1);
    assertThat(bare.isDated()).isTrue();
  }

  @Test
  void aClueWithoutABoundSaysNothingOfTheYear() {
    Clue plain = clue(null, null, false);
    assertThat(plain.isDated()).isFalse();
    assertThat(plain.compatibility(1700, false, FLOORS)).isEqualTo(1);
    assertThat(plain.leaning("anywhere")).isEqualTo(1);
  }

  @Property(tries = 300)
  void compatibilityIsNeverZeroAndNeverAboveOne(
      @ForAll @IntRange(min = 1700, max = 2026) int year,
      @ForAll @IntRange(min = 1700, max = 2026) int from,
      @ForAll @IntRange(max = 200) int ramp,
      @ForAll Firmness firmness,
      @ForAll boolean copy) {
    Clue clue = clue(new Bound(from, ramp, firmness), new Bound(from + 10, ramp, firmness), true);
    assertThat(clue.compatibility(year, copy, FLOORS)).isGreaterThan(0).isLessThanOrEqualTo(1);
  }

  @Test
  void whatCannotBeIsRefusedWithWhatWasGiven() {
    assertThatThrownBy(() -> new Bound(1900, -1, Firmness.SOFT)).hasMessageContaining("found -1");
    assertThatThrownBy(() -> new Feature("x", "frame", "frame", "X", true, false, List.of()))
        .hasMessageContaining("found 0");
    assertThatThrownBy(
            () ->
                new ClueBook(
                    List.of(),
                    List.of(
                        new Feature(
                            "x",
                            "frame",
                            "nowhere",
                            "X",
                            true,
                            false,
                            List.of(clue(null, null, false))))))
        .hasMessageContaining("found nowhere");
  }

  @Test
  void aSuddenEndStillHoldsItsLastYear() {
    Clue ended = clue(null, new Bound(1930, 0, Firmness.SOFT), false);
    assertThat(ended.compatibility(1930, false, FLOORS)).isEqualTo(1);
    assertThat(ended.compatibility(1931, false, FLOORS)).isEqualTo(0.12);
  }

  @ParameterizedTest
  @CsvSource({"ONCE, false, false", "EACH_BLADE, true, true", "OTHER_BLADES, false, true"})
  void aQuestionIsAskedOfTheKnifeOrOfItsBlades(
      Feature.Asked asked, boolean ofMain, boolean ofSecond) {
    assertThat(asked.ofBlade(0)).isEqualTo(ofMain);
    assertThat(asked.ofBlade(1)).isEqualTo(ofSecond);
  }

  @Test
  void onlyAnswersItHasGoFromBladeToBlade() {
    assertThat(ofBlades(Feature.Asked.EACH_BLADE, "c", null).alike().answers())
        .containsExactly("c");
    assertThatThrownBy(() -> ofBlades(Feature.Asked.EACH_BLADE, "gone", null))
        .hasMessageContaining("of [c]; found [gone]");
    assertThatThrownBy(() -> ofBlades(Feature.Asked.ONCE, "c", null))
        .hasMessageContaining("asked of blades");
  }

  @Test
  void whatGoesFromTheMainBladeIsAnAnswerThere() {
    List<Part> parts = List.of(new Part("blade", "Blade", Part.Replaceable.NEVER));
    Feature main =
        new Feature(
            "main", "blades", "blade", "Main", true, false, List.of(clue(null, null, false)));
    Feature other = ofBlades(Feature.Asked.OTHER_BLADES, "c", "main");
    assertThat(new ClueBook(parts, List.of(main, other)).features()).hasSize(2);
    assertThatThrownBy(() -> new ClueBook(parts, List.of(other)))
        .hasMessageContaining("asked once with the answers [c]; found main");
  }

  private static Feature ofBlades(Feature.Asked asked, String alike, String ofMain) {
    return new Feature(
        "stop",
        "blades",
        "blade",
        "Stop",
        true,
        false,
        asked,
        null,
        null,
        null,
        null,
        new Feature.Alike(List.of(alike), ofMain),
        List.of(clue(null, null, false)));
  }

  @Test
  void wordsOfTheFormatAreTheNamesInSmallLetters() {
    assertThat(Feature.Asked.OTHER_BLADES).hasToString("other-blades");
    assertThat(Feature.Trouble.LOUPE).hasToString("loupe");
    assertThat(Firmness.FIRM).hasToString("firm");
    assertThat(Feature.Trouble.BOOK.cost()).isGreaterThan(Feature.Trouble.GLANCE.cost());
  }

  @Test
  void aBookFindsWhatItHoldsAndRefusesWhatItDoesNot() {
    Clue plain = clue(null, null, false);
    Feature frame = new Feature("x", "frame", "frame", "X", true, false, List.of(plain));
    Caution glue = new Caution("glue", "frame", null, null, "Mind the glue.");
    Part part = new Part("frame", "Frame", Part.Replaceable.NEVER);
    ClueBook book = new ClueBook(List.of(part), List.of(frame), List.of(glue));
    assertThat(book.part("frame")).isEqualTo(part);
    assertThat(frame.trouble()).isEqualTo(Feature.Trouble.GLANCE);
    assertThat(glue.values()).isEmpty();
    assertThat(new Caution("a", "b", "x", List.of("c"), "d").values()).containsExactly("c");
    assertThatThrownBy(() -> book.part("spring")).hasMessageContaining("found spring");
    assertThatThrownBy(
            () ->
                new Clue(
                    "c", "c", "", 0, null, null, false, List.of(), Map.of(), List.of(), "", ""))
        .hasMessageContaining("above 0; found 0");
  }

  private static Clue clue(Bound before, Bound after, boolean imitable) {
    return new Clue(
        "c", "c", "", 1, before, after, imitable, List.of(), Map.of(), List.of(), "", "");
  }
}
