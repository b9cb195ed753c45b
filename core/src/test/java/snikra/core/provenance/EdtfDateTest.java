package snikra.core.provenance;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class EdtfDateTest {

  @ParameterizedTest
  @CsvSource({
    "1936,1936,1936",
    "1936-05,1936,1936",
    "1936-05-14,1936,1936",
    "193X,1930,1939",
    "19XX,1900,1999",
    "1936~,1931,1941",
    "1917/1919,1917,1919",
    "../1936,1000,1936",
    "193X/1945,1930,1945"
  })
  void spansTheYearsItCanMean(String written, int earliest, int latest) {
    EdtfDate date = EdtfDate.parse(written);
    assertThat(date.earliestYear()).isEqualTo(earliest);
    assertThat(date.latestYear()).isEqualTo(latest);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        "36",
        "about 1936",
        "1936-13",
        "1936-02-30",
        "1940/1936",
        "../..",
        "1/2/3",
        "193X-05"
      })
  void isRefusedWithWhatIsAccepted(String written) {
    assertThatThrownBy(() -> EdtfDate.parse(written))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("193X");
  }
}
