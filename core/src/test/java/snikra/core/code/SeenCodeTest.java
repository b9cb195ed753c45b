package snikra.core.code;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** A code as it is read, against what was struck; no two rates are alike. */
class SeenCodeTest {
  private static final CodeRates RATES =
      new CodeRates(0.9, 0.6, 0.8, 0.12, 0.04, 0.01, 0.003, 0.95, 0.02, 0.4, 0.07, 0.01);

  private static double given(Sign sign, String seen, String struck) {
    return new SeenCode(sign, seen).given(struck, null, RATES);
  }

  @ParameterizedTest
  @CsvSource({
    "7,7,0.8",
    "6,7,0.12",
    "5,7,0.06",
    "4,7,0.03",
    "8,7,0.04",
    "9,7,0.02",
    "0,0,0.8",
    "0,1,0.12",
    "7+,7,1",
    "7+,9,1",
    "7+,6,0.01"
  })
  void countsWearAwayAndAreImaginedByHalves(String seen, String struck, double p) {
    assertThat(given(Sign.BAR, seen, struck)).isCloseTo(p, within(1e-12));
  }

  @ParameterizedTest
  @CsvSource({
    "F,F,0.9",
    "f,F,0.9",
    "F?,F,0.6",
    "G,F,0.004",
    "G?,F,0.016",
    "_,F,1",
    "FB,FB,0.81",
    "F?B,FB,0.54",
    "F_,FB,0.9",
    "FB?,FB,0.54",
    "FG,FB,0.0036",
    "FB,F,0.003",
    "F,FB,0.003",
    "F?,FB,0.003"
  })
  void eachLetterIsReadByItself(String seen, String struck, double p) {
    assertThat(given(Sign.LETTER, seen, struck)).isCloseTo(p, within(1e-12));
  }

  @ParameterizedTest
  @CsvSource({"FIGURE,4,3,0.0111111111111", "LETTERS_AND_FIGURES,4,3,0.00285714285714"})
  void amongMoreKindsOneIsTakenForEachOtherMoreSeldom(
      Sign sign, String seen, String struck, double p) {
    assertThat(given(sign, seen, struck)).isCloseTo(p, within(1e-12));
  }

  @Test
  void whereASignStandsIsSeenRightOrAnywhereElse() {
    assertThat(given(Sign.PLACEMENT, "left", "left")).isCloseTo(0.9, within(1e-12));
    assertThat(given(Sign.PLACEMENT, "left", "below")).isCloseTo(0.02, within(1e-12));
  }

  @Test
  void theFormIsHeldAgainstTheFormThatWasStruck() {
    SeenCode plain = new SeenCode(Sign.LETTER, "F", "plain");
    assertThat(plain.given("F", "plain", RATES)).isCloseTo(0.9 * 0.95, within(1e-12));
    assertThat(plain.given("F", "pointed", RATES)).isCloseTo(0.9 * 0.02, within(1e-12));
    assertThat(plain.given("F", null, RATES)).isCloseTo(0.9, within(1e-12));
  }

  @ParameterizedTest
  @CsvSource({
    "BAR,7,0.0416666666667",
    "BAR,0,0.0416666666667",
    "LETTER,F,0.0384615384615",
    "LETTER,F_?,0.0384615384615",
    "LETTER,FB,0.00147928994083",
    "FIGURE,12,0.01",
    "LETTERS_AND_FIGURES,F1,0.000771604938272",
    "PLACEMENT,left,0.166666666667"
  })
  void byChanceEveryReadingOfItsKindIsAsLikely(Sign sign, String written, double p) {
    SeenCode seen = new SeenCode(sign, written);
    assertThat(seen.byChance(RATES)).isCloseTo(p, within(1e-12));
    assertThat(new SeenCode(sign, written, "plain").byChance(RATES))
        .isCloseTo(0.4 * p, within(1e-12));
    assertThat(seen.unexpected(RATES))
        .isCloseTo(written.equals("0") ? 0.93 : 0.07 * p, within(1e-12));
  }

  @Test
  void noneIsToldOfSignsThatAreCountedAlone() {
    assertThat(new SeenCode(Sign.BAR, "0").tellsOfNone()).isTrue();
    assertThat(new SeenCode(Sign.BAR, "1").tellsOfNone()).isFalse();
    assertThat(new SeenCode(Sign.FIGURE, "0").tellsOfNone()).isFalse();
  }

  @ParameterizedTest
  @CsvSource({
    "BAR,7",
    "BAR,12+",
    "BAR,0",
    "FIGURE,1944",
    "FIGURE,1?_",
    "LETTER,AB?",
    "LETTERS_AND_FIGURES,A12?",
    "PLACEMENT,pile-side"
  })
  void whatMakesSenseIsTakenAsItStands(Sign sign, String written) {
    assertThat(SeenCode.parse(sign, written)).isEqualTo(written);
  }

  @ParameterizedTest
  @CsvSource({
    "BAR,07,how many",
    "BAR,A,how many",
    "FIGURE,12345,four figures",
    "FIGURE,A,four figures",
    "LETTER,1,four letters",
    "LETTERS_AND_FIGURES,ABCDEFG,six letters",
    "PLACEMENT,middle,pile-side"
  })
  void whatMakesNoneIsRefused(Sign sign, String written, String accepted) {
    assertThatThrownBy(() -> SeenCode.parse(sign, written)).hasMessageContaining(accepted);
  }

  @ParameterizedTest
  @ValueSource(strings = {"c", "Ä", "_"})
  void aDateLetterOfAnAssayIsOne(String letter) {
    assertThat(SeenHallmark.parseLetter(letter)).isEqualTo(letter);
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "ab", "1"})
  void moreOrNoneIsNoDateLetter(String letter) {
    assertThatThrownBy(() -> SeenHallmark.parseLetter(letter)).hasMessageContaining("one letter");
  }
}
