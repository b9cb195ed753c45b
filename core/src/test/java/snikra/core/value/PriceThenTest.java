package snikra.core.value;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import snikra.core.value.PriceThen.Country;
import snikra.core.value.PriceThen.Gap;
import snikra.core.value.PriceThen.Today;
import snikra.core.value.PriceThen.Unit;
import snikra.core.wording.NotAccepted;

class PriceThenTest {
  private static final PriceThen BOOK =
      new PriceThen(
          List.of(
              new Country(
                  "xx",
                  "Somewhere",
                  "EUR",
                  "Prices",
                  List.of(
                      new Unit("marks", 1900, 1919, null),
                      new Unit("crowns", 1920, 2001, 4.0),
                      new Unit("euros", 1999, 2020, 1.0)),
                  List.of(new Gap(1915, 1919, "a war")),
                  Map.of(1900, "low", 1920, "medium", 2000, "high"),
                  Map.of(1900, 5.0, 1920, 2.0, 2020, 0.5),
                  Map.of(1910, 1.0, 1920, 10.0, 1930, 40.0, 2000, 50.0, 2020, 100.0))));

  private static Today today(String amount, int year, @Nullable String unit) {
    return BOOK.today("xx", new BigDecimal(amount), year, unit);
  }

  @Test
  void aPriceIsRestatedThroughIndexAndUnit() {
    Today t = today("8", 1920, null);
    assertThat(t.amount()).isEqualByComparingTo("20");
    assertThat(t.unit()).isEqualTo("crowns");
    assertThat(t.currency()).isEqualTo("EUR");
    assertThat(t.year()).isEqualTo(2020);
    assertThat(t.sure()).isEqualTo("medium");
    assertThat(t.within()).isCloseTo(2.5, within(1e-12));
  }

  @Test
  void betweenTwoRowsItIsInLogarithmsAndToThreeFigures() {
    assertThat(today("4", 1925, null).amount()).isEqualByComparingTo("5.00");
    assertThat(today("1234", 1930, null).amount()).isEqualByComparingTo("771");
  }

  @Test
  void whereTwoKindsOfMoneyWereInUseTheOlderIsTakenUnlessOneSaysSo() {
    assertThat(today("4", 2000, null).amount()).isEqualByComparingTo("2");
    assertThat(today("4", 2000, "euros").amount()).isEqualByComparingTo("8");
    assertThatThrownBy(() -> today("4", 1950, "euros"))
        .isInstanceOf(NotAccepted.class)
        .hasMessageContaining("crowns");
  }

  @Test
  void acrossAGapThereIsNoFigureAndTheReasonIsTold() {
    for (int year : new int[] {1910, 1915, 1919}) {
      assertThatThrownBy(() -> today("1", year, null))
          .isInstanceOf(NotAccepted.class)
          .hasMessageContaining("between 1915 and 1919 lies a war");
    }
  }

  @Test
  void beforeAndAfterTheTableThereIsNone() {
    assertThatThrownBy(() -> today("1", 1899, null)).hasMessageContaining("1900");
    assertThatThrownBy(() -> today("1", 2021, null)).hasMessageContaining("2020");
    assertThatThrownBy(() -> BOOK.today("yy", BigDecimal.ONE, 1950, null))
        .hasMessageContaining("xx");
  }

  @Test
  void growthIsByTheYearAndInMoneyOfOneWorth() {
    Today t = today("8", 1920, null);
    assertThat(t.growth(20, 2020)).isCloseTo(0, within(1e-12));
    assertThat(t.growth(20 * Math.pow(1.03, 100), 2020)).isCloseTo(0.03, within(1e-9));
    assertThat(t.growth(10, 2020)).isNegative();
  }
}
