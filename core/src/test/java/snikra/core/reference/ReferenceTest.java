package snikra.core.reference;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import snikra.core.code.AssayOffice;
import snikra.core.code.CodeRates;
import snikra.core.code.CodeScheme;
import snikra.core.code.NumberTable;
import snikra.core.code.SeenCode;
import snikra.core.code.Sign;
import snikra.core.fixture.Patterns;
import snikra.core.fixture.Shelf;

class ReferenceTest {

  @ParameterizedTest
  @CsvSource({"1800, 0", "1840, 0.1", "1865, 0.55", "1890, 1", "2008, 0.8", "2040, 0.6"})
  void outputRunsStraightBetweenItsPoints(int year, double amount) {
    assertThat(Shelf.region("W", 1).outputIn(year)).isCloseTo(amount, within(1e-9));
  }

  @ParameterizedTest
  @CsvSource({"1888, 0", "1889, 0.5", "1890, 1", "1912, 1", "1913, 0.5", "1914, 0"})
  void aMarkIsInUseWithSoftShoulders(int year, double use) {
    assertThat(Shelf.mark("m", 1890, 1912, "M").useIn(year)).isCloseTo(use, within(1e-9));
  }

  @Test
  void yearsNearAChangeAreThreeEitherSide() {
    Maker maker = Shelf.maker("m", List.of(1914), Shelf.mark("m1", 1890, 1930, "M"));
    assertThat(maker.isNearChange(1911, 3)).isTrue();
    assertThat(maker.isNearChange(1917, 3)).isTrue();
    assertThat(maker.isNearChange(1910, 3)).isFalse();
  }

  @Test
  void whatCannotBeIsRefused() {
    assertThatThrownBy(() -> Shelf.mark("back", 1912, 1890, "M"))
        .hasMessageContaining("1912 to 1890");
    assertThatThrownBy(() -> Shelf.mark("bare", 1890, 1912)).hasMessageContaining("found 0");
    assertThatThrownBy(() -> Shelf.maker("m", List.of())).hasMessageContaining("at least one mark");
    ReferenceShelf shelf = Shelf.invented();
    Maker elsewhere =
        new Maker(
            "x",
            "x",
            "nowhere",
            "",
            1,
            List.of(),
            null,
            List.of(),
            List.of(Shelf.mark("x1", 1, 2, "X")),
            "");
    assertThatThrownBy(() -> shelf.withMakers(List.of(elsewhere)))
        .hasMessageContaining("found nowhere");
  }

  @Test
  void aShelfFindsWhatItHoldsByItsId() {
    ReferenceShelf shelf = stocked();
    assertThat(shelf.maker("zwick")).map(Maker::id).hasValue("zwick");
    assertThat(shelf.maker("nobody")).isEmpty();
    assertThat(shelf.numberTable("patents")).map(NumberTable::id).hasValue("patents");
    assertThat(shelf.numberTable("designs")).isEmpty();
    assertThat(shelf.assayOffice("hall")).map(AssayOffice::id).hasValue("hall");
    assertThat(shelf.assayOffice("other")).isEmpty();
    assertThat(shelf.region("W").id()).isEqualTo("W");
    assertThat(shelf.regionIndex("E")).isEqualTo(1);
    assertThatThrownBy(() -> shelf.regionIndex("X")).hasMessageContaining("found X");
  }

  private static ReferenceShelf stocked() {
    ReferenceShelf plain = Shelf.invented();
    NumberTable patents =
        new NumberTable(
            "patents", "", List.of("NO."), "W", "", "", "", null, new TreeMap<>(Map.of(1900, 1L)));
    AssayOffice hall = new AssayOffice("hall", "Hall", "", List.of(), null, List.of(), "", "");
    return new ReferenceShelf(
        plain.clues(),
        plain.patterns(),
        plain.condition(),
        plain.care(),
        plain.prices(),
        plain.measures(),
        List.of(patents),
        plain.regions(),
        plain.unlistedWeight(),
        plain.lettering(),
        plain.spellings(),
        List.of(hall),
        plain.makers(),
        plain.judgement());
  }

  @Test
  void otherMakersStandOnTheSameBooksAndOtherNumbersOfJudgementDoNot() {
    ReferenceShelf shelf = stocked();
    assertThat(shelf.hasBooksOf(shelf.withMakers(shelf.makers().subList(0, 1)))).isTrue();
    ReferenceShelf judged = shelf.judgedBy(shelf.judgement().with("look.sure", 0.5));
    assertThat(judged.judgement().of("look.sure")).isEqualTo(0.5);
    assertThat(judged.makers()).isEqualTo(shelf.makers());
    assertThat(shelf.hasBooksOf(judged)).isFalse();
    assertThat(shelf.hasBooksOf(other(shelf, shelf.regions().subList(0, 1)))).isFalse();
    assertThat(shelf.hasBooksOf(Shelf.invented(Patterns.invented()))).isFalse();
  }

  private static ReferenceShelf other(ReferenceShelf shelf, List<Region> regions) {
    return new ReferenceShelf(
        shelf.clues(),
        shelf.patterns(),
        shelf.condition(),
        shelf.care(),
        shelf.prices(),
        shelf.measures(),
        shelf.numberTables(),
        regions,
        shelf.unlistedWeight(),
        shelf.lettering(),
        shelf.spellings(),
        shelf.assayOffices(),
        shelf.makers(),
        shelf.judgement());
  }

  @Test
  void lettersAndWordsOfAPackAreTakenForOthersBesides() {
    ReferenceShelf shelf = stocked();
    ReferenceShelf more =
        shelf.reading(Map.of('V', "U", 'C', "O"), List.of(List.of("CO", "COMPANY")));
    assertThat(more.confusions()).containsEntry('V', "U").containsEntry('C', "O");
    assertThat(more.confusions()).containsEntry('G', shelf.confusions().get('G'));
    assertThat(more.spellings()).containsAll(shelf.spellings()).contains(List.of("CO", "COMPANY"));
  }

  @Test
  void aCodeSpeaksByTheLikeliestOfTheSchemesOfItsSignAsFarAsThatIsTrusted() {
    Maker maker =
        Shelf.maker(
            "m",
            List.of(),
            null,
            List.of(figures("half", Sign.FIGURE, 0.5), figures("dots", Sign.DOT, 0.9)),
            Shelf.mark("m1", 1890, 1930, "M"));
    SeenCode seen = new SeenCode(Sign.FIGURE, "07", null);
    assertThat(maker.codes(Sign.FIGURE, 1907)).isTrue();
    assertThat(maker.codes(Sign.FIGURE, 1950)).isFalse();
    assertThat(maker.codes(Sign.LETTER, 1907)).isFalse();
    CodeRates rates = CodeRates.of(Shelf.judgement());
    double byChance = seen.unexpected(rates);
    double given = figures("half", Sign.FIGURE, 0.5).given(seen, 1907, rates);
    assertThat(maker.given(seen, 1907, rates))
        .isCloseTo(0.5 * given + 0.5 * byChance, within(1e-12));
    assertThat(maker.given(seen, 1950, rates)).isEqualTo(byChance);
  }

  private static CodeScheme figures(String id, Sign sign, double trust) {
    return new CodeScheme(
        id,
        id,
        sign,
        sign == Sign.FIGURE ? CodeScheme.Kind.YEAR_FIGURES : CodeScheme.Kind.COUNT_UP,
        1900,
        1920,
        sign == Sign.FIGURE ? null : 1,
        List.of(),
        sign == Sign.FIGURE ? 2 : null,
        Map.of(),
        null,
        null,
        "",
        "",
        trust);
  }

  @Test
  void aMarkOfOneYearIsAMark() {
    assertThat(Shelf.mark("one", 1900, 1900, "ONE").useIn(1900)).isEqualTo(1);
  }
}
