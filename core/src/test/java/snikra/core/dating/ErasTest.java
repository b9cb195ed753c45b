package snikra.core.dating;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import snikra.core.fixture.Patterns;
import snikra.core.fixture.Shelf;
import snikra.core.judgement.Judgement;
import snikra.core.pattern.Pattern;
import snikra.core.pattern.Pattern.Era;
import snikra.core.reference.Maker;
import snikra.core.reference.MarkShares;
import snikra.core.reference.Region;

/** Eras of patterns, years of marks and spans, year by year against the same by hand. */
class ErasTest {
  private static final Judgement RATES = Shelf.judgement();
  private static final PatternEras ERAS = new PatternEras(RATES);
  private static final double BEFORE = RATES.of("pattern.before-its-time");
  private static final double AFTER = RATES.of("pattern.after-its-day");
  private static final double FADING = RATES.of("pattern.years-of-fading");
  private static final double ELSEWHERE = RATES.of("pattern.other-country");

  private static double at(@Nullable Era era, int year, boolean copy) {
    return ERAS.at(Patterns.of("jack", era, Map.of()), "W", year, copy);
  }

  @ParameterizedTest
  @CsvSource({"1879, 0", "1880, 0", "1885, 0.25", "1890, 0.5", "1899, 0.95", "1900, 1", "1930, 1"})
  void aPatternComesUpFromItsFirstYearToWhenItIsCommon(int year, double risen) {
    assertThat(at(new Era(1880, 1900, 1930), year, false))
        .isCloseTo(BEFORE + (1 - BEFORE) * risen, within(1e-12));
  }

  @Test
  void afterItsDayItFadesToWhatIsRevivedAndACopyDoesNot() {
    Era era = new Era(1880, 1900, 1930);
    double half = FADING / 2;
    assertThat(at(era, (int) (1930 + half), false))
        .isCloseTo(1 - (1 - AFTER) * (int) half / FADING, within(1e-12));
    assertThat(at(era, (int) (1930 + FADING), false)).isCloseTo(AFTER, within(1e-12));
    assertThat(at(era, 2020, false)).isCloseTo(AFTER, within(1e-12));
    assertThat(at(era, 2020, true)).isEqualTo(1);
    assertThat(at(era, 1870, true)).as("no copy is older than what it copies").isEqualTo(BEFORE);
    assertThat(at(new Era(1880, 1900, null), 2020, false)).isEqualTo(1);
    assertThat(at(null, 1700, false)).isEqualTo(1);
  }

  @Test
  void aPatternIsLessAtHomeInACountryThatIsNotItsOwn() {
    Pattern own = Patterns.of("jack", new Era(1880, 1900, null), Map.of("W", 0.8));
    assertThat(ERAS.at(own, "W", 1950, false)).isEqualTo(0.8);
    assertThat(ERAS.at(own, "E", 1950, false)).isEqualTo(ELSEWHERE);
    assertThat(ERAS.at(own, "E", 1870, false)).isCloseTo(ELSEWHERE * BEFORE, within(1e-12));
  }

  @Test
  void aMarkHoldsItsYearsWithTheirOutputAndNoOther() {
    Maker maker =
        Shelf.maker(
            "thrale",
            List.of(1905),
            Shelf.mark("old", 1900, 1909, "THRALE"),
            Shelf.mark("new", 1910, 1949, "THRALE & SON"));
    Region west = Shelf.region("W", 1);
    YearAxis axis = new YearAxis(1850, 2026);
    List<MarkUse> uses = MarkUse.of(maker, west, axis, RATES);
    double least = RATES.of("large.before-trade");
    for (int v = 0; v < 2; v++) {
      MarkUse use = uses.get(v);
      double[] byHand = new double[axis.size()];
      for (int y = 0; y < byHand.length; y++) {
        int year = axis.year(y);
        byHand[y] = maker.marks().get(v).useIn(year) * MarkShares.output(west, year, least);
      }
      double sum = Distribution.sum(byHand);
      for (int y = 0; y < byHand.length; y++) {
        assertThat(use.in(y)).as("year %s", axis.year(y)).isCloseTo(byHand[y] / sum, within(1e-12));
      }
      assertThat(use.share()[0]).isPositive();
      assertThat(use.share()[use.share().length - 1]).isPositive();
    }
    // A year of give on either side.
    assertThat(axis.year(uses.get(0).first())).isEqualTo(1899);
    assertThat(uses.get(0).share()).hasSize(12);
    assertThat(uses.get(0).weight() + uses.get(1).weight()).isCloseTo(1, within(1e-12));
    int around = (int) RATES.of("state.years-around-change");
    for (int i = 0; i < uses.get(0).near().length; i++) {
      boolean isNear = Math.abs(1899 + i - 1905) <= around;
      assertThat(uses.get(0).near()[i]).as("year %s", 1899 + i).isEqualTo(isNear ? 1 : 0);
    }
  }

  @Test
  void whatAHandIsSaidToShowIsWeighedByTheYears() {
    HandRecord.Said said = new HandRecord.Said("liners", new double[] {2, 4, 9});
    assertThat(said.over(new double[] {1, 3, 0})).isEqualTo(3.5);
    assertThat(said.over(new double[] {0, 0, 0.5})).isEqualTo(9);
    assertThat(said.over(new double[3])).isEqualTo(1);
  }

  @Test
  void aSpanHoldsTheYearsOfItsPiecesBothEndsIncluded() {
    Span span = new Span(0.9, List.of(new Span.Piece(1915, 1921), new Span.Piece(1952, 1952)));
    assertThat(List.of(1914, 1915, 1921, 1922, 1951, 1952, 1953))
        .map(span::holds)
        .containsExactly(false, true, true, false, false, true, false);
    assertThat(span.years()).isEqualTo(8);
    assertThat(span.written()).isEqualTo("1915\u20131921, 1952");
    assertThat(span.from()).isEqualTo(1915);
    assertThat(span.to()).isEqualTo(1952);
  }
}
