package snikra.core.wording;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class WordingTest {
  @ParameterizedTest
  @CsvSource({"Stag, stag, Stag", "GERMANY, GERMANY, GERMANY", "A jack, a jack, A jack", "x, x, X"})
  void aLabelFitsIntoASentenceAndMayBeginOne(String label, String within, String first) {
    assertThat(Wording.lowerFirst(label)).isEqualTo(within);
    assertThat(Wording.upperFirst(within)).isEqualTo(first);
  }

  @Test
  void nothingStaysNothing() {
    assertThat(Wording.lowerFirst("")).isEmpty();
    assertThat(Wording.upperFirst("")).isEmpty();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      value = {"1920;1920", "1920 1922;1920 and 1922", "1920 1922 1924;1920, 1922 and 1924"})
  void severalStandInARow(String parts, String told) {
    assertThat(Wording.joined(List.of(parts.split(" ")), " and ")).isEqualTo(told);
  }

  @ParameterizedTest
  @CsvSource({"0, 0%", "0.004, 0%", "0.005, 1%", "0.44, 44%", "1, 100%"})
  void aProbabilityIsToldInHundredths(double p, String told) {
    assertThat(Wording.percent(p)).isEqualTo(told);
  }
}
