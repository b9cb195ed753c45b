package snikra.core.code;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import snikra.core.code.CodeScheme.Kind;
import snikra.core.fixture.Shelf;

class CodeSchemeTest {
  private static final CodeRates RATES = CodeRates.of(Shelf.judgement());

  private static CodeScheme scheme(
      Sign sign,
      Kind kind,
      int from,
      int to,
      Integer start,
      List<String> letters,
      Integer figures) {
    return new CodeScheme(
        "c", "c", sign, kind, from, to, start, letters, figures, Map.of(), "", "ledger");
  }

  private static final CodeScheme BARS =
      scheme(Sign.BAR, Kind.COUNT_DOWN, 1948, 1956, 9, List.of(), null);
  private static final CodeScheme LETTERS =
      scheme(Sign.LETTER, Kind.CYCLE, 1921, 1939, null, List.of("B", "D", "F", "H", "K"), null);
  private static final CodeScheme FIGURES =
      scheme(Sign.FIGURE, Kind.YEAR_FIGURES, 1919, 1931, null, List.of(), 2);

  private static List<Integer> years(CodeScheme scheme, Sign sign, String written) {
    return scheme.years(new SeenCode(sign, written), RATES).stream()
        .map(CodeScheme.YearShare::year)
        .toList();
  }

  @Property
  void theCodeOfAYearAllowsThatYearAboveOthers(@ForAll @IntRange(min = 1948, max = 1956) int year) {
    String code = BARS.codes(year).get(0);
    assertThat(years(BARS, Sign.BAR, code)).first().isEqualTo(year);
    assertThat(
            BARS.years(new SeenCode(Sign.BAR, code), RATES).stream()
                .mapToDouble(s -> s.share())
                .sum())
        .isBetween(0.9, 1 + 1e-9);
  }

  @Test
  void aWornCountIsAtLeastSoMany() {
    assertThat(BARS.codes(1948)).containsExactly("9");
    assertThat(years(BARS, Sign.BAR, "7+")).containsExactly(1948, 1949, 1950);
    // A bar is sooner worn away than imagined, so more were struck sooner than fewer.
    CodeScheme.YearShare second = BARS.years(new SeenCode(Sign.BAR, "7"), RATES).get(1);
    assertThat(second.year()).isEqualTo(1949);
  }

  @Test
  void aCycleComesRoundAgain() {
    assertThat(years(LETTERS, Sign.LETTER, "F")).startsWith(1923, 1928, 1933, 1938);
    assertThat(years(LETTERS, Sign.LETTER, "_")).hasSize(19);
    assertThat(LETTERS.codes(1920)).isEmpty();
    assertThat(LETTERS.given(new SeenCode(Sign.FIGURE, "1"), 1923, RATES)).isZero();
  }

  @Test
  void lostFiguresLeaveTheYearsTheyMayStandFor() {
    assertThat(years(FIGURES, Sign.FIGURE, "2_")).hasSize(10).first().isEqualTo(1920);
    assertThat(years(FIGURES, Sign.FIGURE, "_3")).first().isEqualTo(1923);
    assertThat(FIGURES.given(new SeenCode(Sign.FIGURE, "23"), 1923, RATES)).isGreaterThan(0.9);
    double doubtful = FIGURES.given(new SeenCode(Sign.FIGURE, "2?3"), 1923, RATES);
    assertThat(doubtful).isBetween(0.7, 0.75);
    assertThat(FIGURES.given(new SeenCode(Sign.FIGURE, "193"), 1923, RATES)).isLessThan(0.001);
  }

  @Test
  void aTableMayGiveOneCodeToSeveralYears() {
    CodeScheme crosses =
        new CodeScheme(
            "x",
            "x",
            Sign.CROSS,
            Kind.TABLE,
            1952,
            1955,
            null,
            null,
            null,
            Map.of("1", List.of(1952), "2", List.of(1953, 1954)),
            "",
            "s");
    assertThat(years(crosses, Sign.CROSS, "2")).startsWith(1953, 1954);
    assertThat(crosses.codes(1955)).isEmpty();
  }

  private static CodeScheme quarters(String form) {
    return new CodeScheme(
        "q",
        "q",
        Sign.LETTERS_AND_FIGURES,
        Kind.YEAR_FIGURES,
        1912,
        1926,
        null,
        null,
        2,
        null,
        form,
        new CodeScheme.Parts(
            false,
            List.of(
                new CodeScheme.Part("K", "first quarter"),
                new CodeScheme.Part("N", "second quarter"))),
        "",
        "s",
        0.9);
  }

  @Test
  void aQuarterIsToldWithItsYearWhereItCanBeRead() {
    CodeScheme scheme = quarters(null);
    assertThat(scheme.codes(1923)).containsExactly("23K", "23N");
    CodeScheme.YearShare read =
        scheme.years(new SeenCode(Sign.LETTERS_AND_FIGURES, "23N"), RATES).get(0);
    assertThat(read.year()).isEqualTo(1923);
    assertThat(read.part()).isEqualTo("second quarter");
    CodeScheme.YearShare worn =
        scheme.years(new SeenCode(Sign.LETTERS_AND_FIGURES, "23_"), RATES).get(0);
    assertThat(worn.year()).isEqualTo(1923);
    assertThat(worn.part()).isNull();
  }

  @Property
  void whatIsStruckInAYearIsReadBackAsThatYear(
      @ForAll @IntRange(min = 1912, max = 1926) int year, @ForAll boolean second) {
    CodeScheme scheme = quarters(null);
    String struck = scheme.codes(year).get(second ? 1 : 0);
    assertThat(years(scheme, Sign.LETTERS_AND_FIGURES, struck)).first().isEqualTo(year);
  }

  @Test
  void theFormOfALetterTellsTwoCyclesApart() {
    CodeScheme plain = quarters("plain");
    SeenCode pointed = new SeenCode(Sign.LETTERS_AND_FIGURES, "23N", "pointed");
    SeenCode notLooked = new SeenCode(Sign.LETTERS_AND_FIGURES, "23N");
    assertThat(plain.given(pointed, 1923, RATES))
        .isLessThan(0.03 * plain.given(notLooked, 1923, RATES));
    assertThat(quarters("pointed").given(pointed, 1923, RATES))
        .isGreaterThan(0.9 * plain.given(notLooked, 1923, RATES));
    assertThat(plain.reads(pointed)).isFalse();
    assertThat(plain.reads(notLooked)).isTrue();
    assertThat(pointed.byChance(RATES)).isLessThan(notLooked.byChance(RATES));
  }

  @Test
  void whereASignStandsMayTellTheYear() {
    CodeScheme placed =
        new CodeScheme(
            "p",
            "p",
            Sign.PLACEMENT,
            Kind.TABLE,
            1949,
            1955,
            null,
            null,
            null,
            Map.of("left", List.of(1949, 1950), "above", List.of(1951)),
            "",
            "s");
    assertThat(years(placed, Sign.PLACEMENT, "left")).startsWith(1949, 1950);
    assertThat(years(placed, Sign.PLACEMENT, "above")).first().isEqualTo(1951);
    assertThatThrownBy(() -> SeenCode.parse(Sign.PLACEMENT, "behind"))
        .hasMessageContaining("left, right, above");
  }

  @Test
  void whatIsMissingOrRunsBackwardsIsRefused() {
    assertThatThrownBy(() -> scheme(Sign.BAR, Kind.COUNT_UP, 1950, 1960, null, null, null))
        .hasMessageContaining("must have start");
    assertThatThrownBy(() -> scheme(Sign.FIGURE, Kind.YEAR_FIGURES, 1960, 1950, null, null, 2))
        .hasMessageContaining("1960 to 1950");
    assertThatThrownBy(() -> SeenCode.parse(Sign.DOT, "many")).hasMessageContaining("how many");
    assertThatThrownBy(() -> SeenCode.parse(Sign.FIGURE, "A")).hasMessageContaining("figures");
    assertThatThrownBy(() -> SeenCode.parse(Sign.LETTER, "7")).hasMessageContaining("letters");
    assertThat(SeenCode.parse(Sign.LETTER, "K?")).isEqualTo("K?");
  }

  @Test
  void byChanceALegibleCodeIsRarerThanALostOne() {
    assertThat(new SeenCode(Sign.LETTER, "_").byChance(RATES)).isEqualTo(1);
    assertThat(new SeenCode(Sign.LETTER, "K").byChance(RATES)).isCloseTo(1 / 26.0, within(1e-12));
    assertThat(new SeenCode(Sign.FIGURE, "2?3").byChance(RATES)).isCloseTo(0.01, within(1e-12));
  }
}
