package snikra.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class PriceIndexTest {
  private static PriceIndex of(Map<Integer, Double> rows) {
    return new PriceIndex("GBP", "Prices", new TreeMap<>(rows));
  }

  @ParameterizedTest
  @CsvSource({
    "1900, 1920, 4",
    "1920, 1900, 0.25",
    "1900, 1910, 2",
    "1905, 1915, 2",
    "1850, 1920, 4",
    "1900, 2000, 4",
    "1920, 1920, 1"
  })
  void betweenTwoYearsPricesGrowEvenlyAndOutsideTheNearestYearIsTaken(
      int from, int to, double times) {
    assertThat(of(Map.of(1900, 50.0, 1920, 200.0)).between(from, to))
        .isCloseTo(times, within(1e-12));
  }

  @ParameterizedTest
  @ValueSource(doubles = {0, -1, Double.NaN})
  void aRowThatIsNotAboveNothingIsRefused(double row) {
    assertThatThrownBy(() -> of(Map.of(1900, 1.0, 1901, row)))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("GBP");
  }

  @Test
  void soIsATableWithoutRows() {
    assertThatThrownBy(() -> of(Map.of())).isInstanceOf(IllegalArgumentException.class);
    assertThat(of(Map.of(1900, 0.001)).between(1800, 2000)).isEqualTo(1);
  }
}
