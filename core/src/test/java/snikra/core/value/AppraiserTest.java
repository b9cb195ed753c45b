package snikra.core.value;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import snikra.core.condition.ConditionBook;
import snikra.core.condition.ConditionBook.Grade;
import snikra.core.pattern.PatternBook;
import snikra.core.specimen.ComparableSale;

class AppraiserTest {
  private static final Grade GOOD = new Grade("good", "Good", 1);
  private static final Grade MINT = new Grade("mint", "Mint", 2);
  private final Appraiser appraiser =
      new Appraiser(PatternBook.empty(), new ConditionBook(List.of(MINT, GOOD), List.of()));
  private final Appraiser.Subject knife =
      new Appraiser.Subject("thrale", "jack", GOOD, Set.of("bone"));

  @Test
  void fewerThanThreeSalesAreTooThinAndAreShown() {
    ValueVerdict verdict = appraiser.appraise(knife, List.of(sale(40, "good"), sale(50, "good")));

    assertThat(verdict.tooThin()).isTrue();
    assertThat(verdict.low()).isNull();
    assertThat(verdict.summary()).startsWith("Too thin: 2 sales");
    assertThat(verdict.sales()).hasSize(2);
  }

  @Test
  void salesAreBroughtToTheKnifesGradeBeforeTheyAreCompared() {
    ValueVerdict verdict =
        appraiser.appraise(knife, List.of(sale(40, "good"), sale(80, "mint"), sale(40, "good")));

    assertThat(verdict.middle()).isEqualByComparingTo("40");
    assertThat(verdict.sales().get(1).adjusted()).isEqualByComparingTo("40");
    assertThat(verdict.sales().get(1).weight()).isLessThan(verdict.sales().get(0).weight());
  }

  @Test
  void anUnlikeSalePullsLess() {
    ComparableSale other =
        new ComparableSale(
            "other", BigDecimal.valueOf(400), "GBP", null, "zwick", "pen", "good", "horn");
    ValueVerdict verdict =
        appraiser.appraise(
            knife, List.of(sale(40, "good"), sale(42, "good"), sale(44, "good"), other));

    assertThat(verdict.middle()).isLessThan(BigDecimal.valueOf(50));
    assertThat(verdict.sales().get(3).steps())
        .extracting(ValueVerdict.Step::likeness)
        .contains(0.4, 0.25);
  }

  @Test
  void aSaleInAnotherCurrencyIsShownAndNotCounted() {
    ComparableSale euros =
        new ComparableSale("abroad", BigDecimal.TEN, "EUR", null, null, null, null, null);
    ValueVerdict verdict =
        appraiser.appraise(knife, List.of(sale(40, "good"), sale(50, "good"), euros));

    assertThat(verdict.currency()).isEqualTo("GBP");
    assertThat(verdict.tooThin()).isTrue();
    assertThat(verdict.sales().get(2).counted()).isFalse();
  }

  @Test
  void noSalesAreSaidToBeNone() {
    assertThat(appraiser.appraise(knife, List.of()).summary())
        .isEqualTo("No comparable sales yet.");
  }

  private static ComparableSale sale(int price, String grade) {
    return new ComparableSale(
        "a jack", BigDecimal.valueOf(price), "GBP", null, "thrale", "jack", grade, "bone");
  }
}
