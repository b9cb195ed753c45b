package snikra.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import snikra.core.ledger.ExchangeRates;
import snikra.core.ledger.ExchangeRates.DatedRate;
import snikra.core.provenance.EdtfDate;
import snikra.core.wording.NotAccepted;

class ExchangeRatesTest {
  private static final ExchangeRates RATES = ShippedShelf.exchangeRates();

  private static DatedRate rate(String from, String to, String date) {
    return RATES.of(from, to, EdtfDate.parse(date));
  }

  // As they are commonly remembered, for a slip in the tables.
  @ParameterizedTest
  @CsvSource({
    "GBP,USD,1955,2.79",
    "USD,GBP,1985,0.771",
    "EUR,USD,2008,1.471",
    "USD,JPY,1960,360",
    "DEM,USD,1955,0.238",
    "USD,DEM,2000,2.118",
    "GBP,EUR,2015,1.378",
    "USD,CHF,2023,0.899",
    "CAD,GBP,1990,0.481",
    "FRF,USD,1985,0.111",
  })
  void aYearIsItsAverage(String from, String to, String year, double rate) {
    assertThat(rate(from, to, year).rate().doubleValue()).isCloseTo(rate, within(0.01 * rate));
  }

  @Test
  void aDayWithAParityIsThatParityAndAYearIsAnAverageWithItsDoubt() {
    DatedRate before = rate("GBP", "USD", "1967-11-17");
    DatedRate after = rate("GBP", "USD", "1967-11-18");
    assertThat(before.rate()).isEqualByComparingTo("2.8");
    assertThat(after.rate()).isEqualByComparingTo("2.4");
    assertThat(after.says()).isEqualTo("GBP at the parity of the day");
    assertThat(rate("GBP", "USD", "1967").says())
        .isEqualTo("GBP by the average of 1967; may be out by 0.4%");
    assertThat(rate("GBP", "USD", "1985-05-03").says()).contains("average of 1985");
  }

  @Test
  void thereAndBackIsOne() {
    for (String code : new String[] {"GBP", "EUR", "CHF", "JPY", "CAD"}) {
      for (int year = 1999; year <= 2025; year++) {
        double there = rate(code, "USD", "" + year).rate().doubleValue();
        double back = rate("USD", code, "" + year).rate().doubleValue();
        assertThat(there * back).as("%s %s", code, year).isCloseTo(1, within(1e-4));
      }
    }
  }

  @Test
  void theDoubtsOfBothAreAdded() {
    assertThat(rate("GBP", "CHF", "1985").says())
        .contains("GBP by the average of 1985")
        .contains("CHF by the average of 1985")
        .containsPattern("may be out by (0\\.[6-9]|[1-9])");
  }

  @Test
  void anOfficialRateIsCalledOne() {
    assertThat(rate("GBP", "USD", "1945").says()).contains("official, not what was paid freely");
    assertThat(rate("GBP", "USD", "1940").says()).contains("free rate 3.83");
  }

  @Test
  void aYearAfterTheLastOnFileSaysSo() {
    DatedRate later = rate("GBP", "USD", "2026-11-29");
    assertThat(later.rate()).isEqualByComparingTo(rate("GBP", "USD", "2025").rate());
    assertThat(later.says()).contains("the last on file, so look up the day's");
  }

  @ParameterizedTest
  @CsvSource({"DEM,USD,2026", "EUR,USD,1998", "JPY,USD,1930", "XAU,USD,2000"})
  void acrossAGapThereIsNone(String from, String to, String year) {
    assertThatThrownBy(() -> rate(from, to, year)).isInstanceOf(NotAccepted.class);
  }

  @Test
  void aDateOfManyYearsHasNone() {
    assertThatThrownBy(() -> rate("GBP", "USD", "193X")).hasMessageContaining("within one year");
    assertThat(rate("USD", "USD", "1936").rate()).isEqualByComparingTo("1");
  }
}
