package snikra.core.value;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.math.BigDecimal;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import snikra.core.condition.ConditionBook;
import snikra.core.condition.ConditionBook.Grade;
import snikra.core.fixture.Shelf;
import snikra.core.pattern.PatternBook;
import snikra.core.specimen.ComparableSale;
import snikra.core.value.MadeUpMarket.Drawn;
import snikra.core.value.MarketCheck.Found;

/** The ranges are as wide as they say, on sales from a trade the model does not know. */
class MadeUpMarketTest {
  private static final List<Grade> GRADES =
      List.of(
          new Grade("mint", "", 2.2),
          new Grade("near-mint", "", 1.8),
          new Grade("excellent", "", 1.4),
          new Grade("very-good", "", 1),
          new Grade("good", "", 0.65),
          new Grade("fair", "", 0.4),
          new Grade("poor", "", 0.2),
          new Grade("parts", "", 0.1));
  private static final Appraiser APPRAISER =
      new Appraiser(
          PatternBook.empty(),
          new ConditionBook(GRADES, List.of()),
          Shelf.judgement(),
          List.of(),
          2026);

  @ParameterizedTest
  @CsvSource({"2, 0.83, 0.97", "5, 0.83, 0.97", "60, 0.83, 0.96"})
  void nineInTenBringWhatLiesInTheWideRange(int sales, double least, double most) {
    MadeUpMarket market = new MadeUpMarket(7, GRADES, 12, 10, 5, 2026);
    List<Drawn> known = market.sales(500);
    Found found = MarketCheck.on(APPRAISER, known, market.sales(250), sales);
    assertThat(found.nineTenths()).isBetween(least, most);
    assertThat(found.half()).isBetween(0.42, 0.68);
    assertThat(found.error()).isLessThan(found.plain());
    assertThat(found.error()).isLessThan(found.former());
    assertThat(found.error()).isLessThan(found.nearest() + 0.02);
  }

  @Test
  void atFirstSalesWereWeighedByWhatTheyHaveInCommonAndBroughtToTheGrade() {
    LikelyMiddle first = new LikelyMiddle(new ConditionBook(GRADES, List.of()));
    double worth = GRADES.get(0).worth() / GRADES.get(1).worth();
    ComparableSale knife = of("m", "p", "h", GRADES.get(0).id(), 1);
    ComparableSale same = of("m", "p", "h", GRADES.get(1).id(), 100);
    ComparableSale other = of("x", "y", "z", GRADES.get(0).id(), 5);
    assertThat(first.of(knife, List.of(same, other, other)))
        .as("0.8 beside twice 0.07")
        .isCloseTo(100 * worth, within(1e-9));
    ComparableSale untold = of(null, null, null, null, 7);
    assertThat(first.of(knife, List.of(untold, other, other))).isEqualTo(7);
    assertThat(first.of(knife, List.of(untold, same, other))).isCloseTo(100 * worth, within(1e-9));
    assertThatThrownBy(() -> first.of(knife, List.of())).hasMessageContaining("found none");
  }

  private static ComparableSale of(
      @Nullable String maker,
      @Nullable String pattern,
      @Nullable String handle,
      @Nullable String grade,
      double price) {
    return new ComparableSale(
        "a", BigDecimal.valueOf(price), "GBP", null, maker, pattern, grade, handle);
  }

  @ParameterizedTest
  @CsvSource({"1, 60", "2, 60"})
  void moreSalesMakeItNarrowerAndCloser(int few, int many) {
    MadeUpMarket market = new MadeUpMarket(8, GRADES, 12, 10, 5, 2026);
    List<Drawn> known = market.sales(500);
    List<Drawn> knives = market.sales(150);
    Found thin = MarketCheck.on(APPRAISER, known, knives, few);
    Found thick = MarketCheck.on(APPRAISER, known, knives, many);
    assertThat(thick.width()).isLessThan(thin.width());
    assertThat(thick.error()).isLessThan(thin.error());
  }
}
