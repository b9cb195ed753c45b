package snikra.core.value;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import snikra.core.wording.NotAccepted;

class AmountTest {
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "£45|45|GBP",
        "45 GBP|45|GBP",
        "45|45|",
        "$1,200.50|1200.50|USD",
        "1,200.50 usd|1200.50|USD",
        "1.200,50 EUR|1200.50|EUR",
        "12,5|12.5|",
        "€ 12 500,00|12500.00|EUR",
        "1,200|1200|",
        "45.123 EUR|45123|EUR",
        "1.234.567 EUR|1234567|EUR",
        "0 SEK|0|SEK",
        "12'500 CHF|12500|CHF",
      })
  void anAmountIsReadAsPeopleWriteIt(String written, BigDecimal amount, String currency) {
    assertThat(Amount.parse(written)).isEqualTo(new Amount(amount, currency));
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "-45",
        "2 for 45",
        "45-50",
        "",
        "none",
        "£",
        "45 XQZ",
        "$45 USD",
        "1,20,000",
        "1,200,50",
        "12.345.6",
        "45 GBP each",
        "1e5",
        "45.1234",
        "~45",
        "1234567890"
      })
  void whatIsNotOneAmountIsRefusedAndNothingInItIsPassedOver(String written) {
    assertThatThrownBy(() -> Amount.parse(written))
        .isInstanceOfSatisfying(
            NotAccepted.class, e -> assertThat(e.accepted()).contains("45 GBP"));
  }
}
