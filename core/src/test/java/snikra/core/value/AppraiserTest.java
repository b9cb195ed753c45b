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

  private static ComparableSale by(int price, String maker, String pattern, String handle) {
    return new ComparableSale(
        "a knife", BigDecimal.valueOf(price), "GBP", null, maker, pattern, "good", handle);
  }

  private void ranges(ValueVerdict verdict, String low, String middle, String high) {
    assertThat(verdict.low()).isEqualByComparingTo(low);
    assertThat(verdict.middle()).isEqualByComparingTo(middle);
    assertThat(verdict.high()).isEqualByComparingTo(high);
  }

  @Test
  void ofSalesAllAlikeTheRangeLiesBetweenTheMiddlesOfTheirWeights() {
    ValueVerdict verdict =
        appraiser.appraise(
            knife,
            List.of(
                sale(30, "good"),
                sale(10, "good"),
                sale(50, "good"),
                sale(20, "good"),
                sale(40, "good")));
    ranges(verdict, "15", "30", "45");
    assertThat(verdict.tooThin()).isFalse();
    assertThat(verdict.summary()).isEqualTo("5 sales, with the weight of 5 equally alike.");
  }

  @Test
  void aHeavySaleHoldsTheRangeAtItsPrice() {
    ComparableSale far = by(100, "zwick", "pen", "bone");
    ValueVerdict verdict = appraiser.appraise(knife, List.of(sale(20, "good"), far, far));
    // Weights 1, 0.1 and 0.1: a fifth of 1.2 lies within the first, four fifths between it and 100.
    ranges(verdict, "20", "35", "87");
    assertThat(verdict.sales().get(1).weight())
        .isCloseTo(0.1, org.assertj.core.api.Assertions.within(1e-12));
    assertThat(verdict.summary()).isEqualTo("3 sales, with the weight of 1 equally alike.");
  }

  @Test
  void everyStepOfALikenessTakesItsShare() {
    ValueVerdict verdict =
        appraiser.appraise(
            knife,
            List.of(
                by(40, "thrale", "jack", "bone"),
                by(40, "zwick", "jack", "bone"),
                by(40, "thrale", "pen", "bone"),
                by(40, "thrale", "jack", "horn"),
                by(40, null, "jack", null),
                sale(80, "mint")));
    assertThat(verdict.sales())
        .extracting(w -> Math.round(1e6 * w.weight()) / 1e6)
        .containsExactly(1.0, 0.4, 0.25, 0.7, 0.49, 0.8);
    assertThat(verdict.sales().get(5).gradeFactor()).isEqualTo(0.5);
    assertThat(verdict.sales().get(0).steps())
        .extracting(ValueVerdict.Step::what)
        .containsExactly("maker", "pattern", "handle", "grade");
  }

  @Test
  void whatIsNotKnownOfTheKnifeCountsAsUnknownInEverySale() {
    Appraiser.Subject strange = new Appraiser.Subject(null, null, null, Set.of());
    ValueVerdict verdict = appraiser.appraise(strange, List.of(sale(40, "good")));
    assertThat(verdict.sales().get(0).weight())
        .isCloseTo(Math.pow(0.7, 4), org.assertj.core.api.Assertions.within(1e-12));
    assertThat(verdict.sales().get(0).adjusted()).isEqualByComparingTo("40");
    assertThat(verdict.summary()).isEqualTo("Too thin: 1 sale counts, a range needs at least 3.");
  }

  private static ComparableSale sale(int price, String grade) {
    return new ComparableSale(
        "a jack", BigDecimal.valueOf(price), "GBP", null, "thrale", "jack", grade, "bone");
  }
}
