package snikra.core.sets;

import static org.assertj.core.api.Assertions.assertThat;
import static snikra.core.fixture.Shelf.mark;

import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import snikra.core.clue.ClueBook;
import snikra.core.code.CodeScheme;
import snikra.core.code.Sign;
import snikra.core.fixture.Shelf;
import snikra.core.reference.History;
import snikra.core.reference.History.Fitting;
import snikra.core.reference.Maker;
import snikra.core.sets.Series.Piece;
import snikra.core.sets.Series.Place;
import snikra.core.sets.SetBoard.From;
import snikra.core.sets.SetBoard.Held;
import snikra.core.sets.SetBoard.Stand;

class SeriesTest {
  private static final From FROM = new From(0.5, 0.1);
  private static final ClueBook CLUES = Shelf.invented().clues();

  private static Fitting fitting(String feature, String value, int from, int to) {
    return new Fitting(feature, value, from, to, 0, "", "a list", 0.9);
  }

  private static Maker maker(List<CodeScheme> codes, Fitting... fittings) {
    History history =
        new History(
            History.Kind.MAKER,
            List.of(),
            List.of(),
            List.of(),
            List.of(fittings),
            List.of(),
            List.of());
    return new Maker(
        "thrale",
        "Thrale",
        "W",
        "Windover",
        1,
        List.of(),
        null,
        codes,
        List.of(mark("m", 1890, 1930, "THRALE")),
        history,
        "");
  }

  private static final Maker THRALE =
      maker(
          List.of(
              new CodeScheme(
                  "dots",
                  "Dots",
                  Sign.DOT,
                  CodeScheme.Kind.COUNT_DOWN,
                  1910,
                  1912,
                  2,
                  List.of(),
                  null,
                  Map.of(),
                  "",
                  "a list")),
          fitting("material", "horn", 1900, 1910),
          fitting("material", "bone", 1890, 1905),
          fitting("jigging", "worm", 1895, 1905));

  private static Piece knife(
      int number, double chance, Map<String, String> shows, @Nullable Integer grade) {
    return Piece.of(
        number,
        List.of(
            new Fit("thrale", null, "m", chance / 2), new Fit("thrale", null, null, chance / 2)),
        shows,
        List.of(),
        grade);
  }

  private static List<Series> of(@Nullable Integer atLeast, Piece... knives) {
    return Series.of(THRALE, CLUES, List.of(knives), FROM, atLeast);
  }

  @Test
  void seriesStandInTheOrderOfTheBookAndTheirPlacesByYears() {
    assertThat(of(null)).extracting(Series::id).containsExactly("jigging", "material", "dots");
    assertThat(of(null).get(1).places()).extracting(Place::value).containsExactly("bone", "horn");
    assertThat(of(null).get(1).places()).allMatch(p -> p.stand() == Stand.MISSING && p.gap());
    assertThat(Series.features(List.of(THRALE))).containsExactly("jigging", "material");
  }

  @Test
  void aKnifeOfTheMakerFillsThePlaceOfWhatItShows() {
    Series handles =
        of(
                null,
                knife(1, 0.9, Map.of("material", "bone"), null),
                knife(2, 0.3, Map.of("material", "horn"), null),
                knife(3, 0.05, Map.of("material", "horn"), null),
                knife(4, 0.9, Map.of("material", "acetal"), null))
            .get(1);
    assertThat(handles.places().get(0).stand()).isEqualTo(Stand.OWNED);
    assertThat(handles.places().get(0).held()).containsExactly(new Held(1, 0.9));
    assertThat(handles.places().get(1).stand()).isEqualTo(Stand.PERHAPS);
    assertThat(handles.places().get(1).held()).containsExactly(new Held(2, 0.3));
    assertThat(handles.owned()).isEqualTo(1);
  }

  @Test
  void aBetterOneIsWantedWhereTheGradeIsLowerThanAsked() {
    Series handles = of(2, knife(1, 0.9, Map.of("material", "bone"), 4)).get(1);
    assertThat(handles.places().get(0).stand()).isEqualTo(Stand.BETTER_WANTED);
    assertThat(handles.owned()).isEqualTo(1);
  }

  @Test
  void whatWasInUseTwiceDoesNotTellOfWhichTimeItIs() {
    Maker twice =
        maker(
            List.of(),
            fitting("material", "bone", 1890, 1905),
            fitting("material", "bone", 1920, 1930));
    List<Place> places =
        Series.of(
                twice, CLUES, List.of(knife(1, 0.9, Map.of("material", "bone"), null)), FROM, null)
            .get(0)
            .places();
    assertThat(places).extracting(Place::stand).containsOnly(Stand.PERHAPS);
  }

  @Test
  void aCodeFillsTheYearItStandsForAndAYearWithoutOneHasNoPlace() {
    Piece coded =
        Piece.of(
            7,
            List.of(new Fit("thrale", null, "m", 1)),
            Map.of(),
            List.of(
                new Struck("thrale", "dots", 1911, 0.9),
                new Struck("thrale", "dots", 1910, 0.05),
                new Struck("thrale", "lines", 1910, 0.9),
                new Struck("zwick", "dots", 1910, 0.9)),
            null);
    List<Place> years = of(null, coded).get(2).places();
    assertThat(years).extracting(Place::value).containsExactly("1910", "1911");
    assertThat(years).extracting(Place::label).containsExactly("2", "1");
    assertThat(years).extracting(Place::stand).containsExactly(Stand.MISSING, Stand.OWNED);
  }
}
