package snikra.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.math.BigDecimal;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import snikra.core.value.PriceThen;

/** The shipped prices of other years, against what is commonly told of single ones. */
class PriceThenDataTest {
  private static final PriceThen BOOK = ShippedShelf.priceThen();

  @ParameterizedTest
  @CsvSource({
    "us, 1, 1913, 32, 1.5",
    "us, 1, 1950, 13.3, 0.7",
    "uk, 1, 1914, 150, 20",
    "uk, 1, 1971, 19.5, 2.5",
    "de, 1, 1960, 2.8, 0.2",
    "fr, 1, 1914, 3.9, 0.4",
    "fr, 1, 1960, 1.87, 0.1",
  })
  void aUnitOfMoneyIsNowAboutWhatIsCommonlyTold(
      String country, BigDecimal amount, int year, double about, double give) {
    assertThat(BOOK.today(country, amount, year, null).amount().doubleValue())
        .isCloseTo(about, within(give));
  }

  @Test
  void everyYearHasAtMostOneKindOfMoneyButWhereOneTookOverFromAnother() {
    for (PriceThen.Country c : BOOK.countries()) {
      for (int year : c.rows().keySet()) {
        long kinds = c.units().stream().filter(u -> u.from() <= year && year <= u.to()).count();
        assertThat(kinds).as(c.id() + " " + year).isBetween(1L, 2L);
      }
    }
  }

  @Test
  void goldMarksAndWarYearsAreNotRestated() {
    assertThatThrownBy(() -> BOOK.today("de", BigDecimal.ONE, 1905, null))
        .hasMessageContaining("paper mark");
    assertThatThrownBy(() -> BOOK.today("de", BigDecimal.ONE, 1938, null))
        .hasMessageContaining("black market");
    assertThat(BOOK.today("de", BigDecimal.ONE, 1948, null).unit()).isEqualTo("reichsmarks");
  }
}
