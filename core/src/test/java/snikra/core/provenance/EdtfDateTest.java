package snikra.core.provenance;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
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
    "193X/1945,1930,1945",
    "1936-XX,1936,1936",
    "1936-XX-XX,1936,1936",
    "1936-05-XX,1936,1936",
    "1936-21,1936,1936",
    "193X~,1925,1944",
    "1936/..,1936,2999",
    "1936/,1936,2999",
    "/1936,1000,1936",
    "{1917..1919},1917,1919",
    "[1936..],1936,2999"
  })
  void spansTheYearsItCanMean(String written, int earliest, int latest) {
    EdtfDate date = EdtfDate.parse(written);
    assertThat(date.earliestYear()).isEqualTo(earliest);
    assertThat(date.latestYear()).isEqualTo(latest);
  }

  @Test
  void aSetMeansAnyOfItsMembers() {
    EdtfDate set = EdtfDate.parse("[1919, 1917,193X]");
    assertThat(set.earliestYear()).isEqualTo(1917);
    assertThat(set.latestYear()).isEqualTo(1939);
    assertThat(EdtfDate.parse("[..1936,1940]").earliestYear()).isEqualTo(1000);
  }

  @Test
  void anOpenEndRunsUntilToday() {
    assertThat(EdtfDate.parse("1936/..").latestBy(2026)).isEqualTo(2026);
    assertThat(EdtfDate.parse("1936").latestBy(2026)).isEqualTo(1936);
    assertThat(EdtfDate.parse("2030").latestBy(2026)).isEqualTo(2030);
  }

  @Test
  void onlyADayThatIsOneIsADay() {
    assertThat(EdtfDate.parse("1936-05-14").day()).contains(java.time.LocalDate.of(1936, 5, 14));
    assertThat(EdtfDate.parse("1936-05-XX").day()).isEmpty();
    assertThat(EdtfDate.parse("1936-05-14~").day()).isEmpty();
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
        "193X-05",
        "1936-25",
        "1936-21-05",
        "1936-XX-05",
        "[1917,1919",
        "[]",
        "[1919..1917]",
        "{1917,x}"
      })
  void isRefusedWithWhatIsAccepted(String written) {
    assertThatThrownBy(() -> EdtfDate.parse(written))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("193X");
  }
}
