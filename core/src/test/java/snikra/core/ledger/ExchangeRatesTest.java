package snikra.core.ledger;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import snikra.core.ledger.ExchangeRates.DatedRate;
import snikra.core.ledger.ExchangeRates.Kind;
import snikra.core.ledger.ExchangeRates.Quote;
import snikra.core.ledger.ExchangeRates.RatedCurrency;
import snikra.core.ledger.ExchangeRates.Regime;
import snikra.core.provenance.EdtfDate;
import snikra.core.wording.NotAccepted;

/** Two invented courses of currencies, with every kind of rate in them. */
class ExchangeRatesTest {
  private static Regime regime(String from, @Nullable String to, Kind kind, @Nullable String rate) {
    return new Regime(
        LocalDate.parse(from),
        to == null ? null : LocalDate.parse(to),
        kind,
        rate == null ? null : new BigDecimal(rate));
  }

  private static final RatedCurrency POUND =
      new RatedCurrency(
          "GBP",
          Quote.USD_PER_UNIT,
          List.of(
              regime("1900-01-01", "1914-07-31", Kind.FIXED, "4.86"),
              regime("1914-08-01", "1919-12-31", Kind.CONTROLLED, null),
              regime("1920-01-01", "1924-12-31", Kind.NONE, null),
              regime("1925-01-01", null, Kind.FLOATING, null)),
          Map.of(1900, 0.5, 1910, 2.0),
          Map.of(1926, "a strike fell into it"),
          Map.of(
              1905, new BigDecimal("4.87"),
              1914, new BigDecimal("4.93"),
              1922, new BigDecimal("4.4"),
              1926, new BigDecimal("4.8")));
  private static final RatedCurrency MARK =
      new RatedCurrency(
          "DEM",
          Quote.UNITS_PER_USD,
          List.of(regime("1900-01-01", "1914-07-31", Kind.FIXED, "4.2")),
          Map.of(),
          null,
          Map.of(
              1905, new BigDecimal("4"), 1914, new BigDecimal("5"), 1930, new BigDecimal("4.2")));

  private final ExchangeRates rates = new ExchangeRates(List.of(POUND, MARK));

  private DatedRate of(String from, String to, String date) {
    return rates.of(from, to, EdtfDate.parse(date));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        // From the first day of a parity to its last it is the parity; outside a year's average.
        "GBP | USD | 1900-01-01 | 4.86   | GBP at the parity of the day",
        "GBP | USD | 1914-07-31 | 4.86   | GBP at the parity of the day",
        "GBP | USD | 1914-08-01 | 4.93   | GBP by the average of 1914; official, not what was paid freely; may be out by 2.0%",
        "GBP | USD | 1905       | 4.87   | GBP by the average of 1905; may be out by 0.5%",
        "USD | GBP | 1905       | 0.20534 | GBP by the average of 1905; may be out by 0.5%",
        "GBP | DEM | 1905       | 19.48  | GBP by the average of 1905; DEM by the average of 1905; may be out by 0.5%",
        "GBP | DEM | 1905-06-02 | 20.412 | GBP at the parity of the day; DEM at the parity of the day",
        "DEM | USD | 1905       | 0.25   | DEM by the average of 1905",
        "DEM | DEM | 1914       | 1      | DEM by the average of 1914",
        // Without a regime the average of the year stands all the same.
        "DEM | USD | 1930       | 0.2381 | DEM by the average of 1930",
        "GBP | USD | 1926       | 4.8    | GBP by the average of 1926; a strike fell into it",
        "GBP | USD | 1990       | 4.8    | GBP by the average of 1926; the last on file, so look up the day's; a strike fell into it",
        "USD | USD | 1931       | 1      | ''"
      })
  void aRateIsTheParityOfTheDayOrTheAverageOfTheYearAndSaysHowSure(
      String from, String to, String date, BigDecimal rate, String says) {
    assertThat(of(from, to, date).rate()).isEqualByComparingTo(rate);
    assertThat(of(from, to, date).says()).isEqualTo(says);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "GBP | 1922 | GBP is known",
        "GBP | 1907 | GBP is known",
        "DEM | 1931 | DEM is known",
        "CHF | 1922 | one the tables have",
        "GBP | 1905/1906 | within one year"
      })
  void itAnswersOnlyWhereItKnows(String from, String date, String why) {
    assertThatThrownBy(() -> of(from, "USD", date))
        .isInstanceOf(NotAccepted.class)
        .hasMessageContaining(why);
  }

  @Test
  void aParityWithoutAFigureIsNone() {
    RatedCurrency bare =
        new RatedCurrency(
            "GBP",
            Quote.USD_PER_UNIT,
            List.of(regime("1900-01-01", null, Kind.FIXED, null)),
            Map.of(),
            null,
            Map.of(1905, new BigDecimal("4.87")));
    assertThat(
            new ExchangeRates(List.of(bare)).of("GBP", "USD", EdtfDate.parse("1905-03-01")).says())
        .isEqualTo("GBP by the average of 1905");
  }

  @Test
  void kindsAndQuotesAreWrittenAsTheTablesWriteThem() {
    assertThat(Quote.UNITS_PER_USD).hasToString("units-per-usd");
    assertThat(Kind.CONTROLLED).hasToString("controlled");
  }
}
