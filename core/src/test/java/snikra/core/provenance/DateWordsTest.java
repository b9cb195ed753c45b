package snikra.core.provenance;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class DateWordsTest {
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "1936|1936",
        "1936-05|May 1936",
        "1936-05-14|14 May 1936",
        "1936-12-03|3 December 1936",
        "1936-05-01|1 May 1936",
        "1936-XX|1936",
        "1936-05-XX|May 1936",
        "1936-21|spring 1936",
        "1936-24|winter 1936",
        "193X|the 1930s",
        "19XX|the 1900s",
        "1936~|about 1936",
        "1936?|perhaps 1936",
        "1936-05%|perhaps about May 1936",
        "../1936|by 1936",
        "/1936~|by about 1936",
        "1936/..|from 1936 on",
        "1917/1919|from 1917 to 1919",
        "[1917,1919]|1917 or 1919",
        "{1917..1919,1925}|from 1917 to 1919 and 1925",
        "[..1917,1920]|by 1917 or 1920"
      })
  void aDateIsToldAsOneWouldSayIt(String edtf, String words) {
    assertThat(DateWords.of(EdtfDate.parse(edtf))).isEqualTo(words);
  }
}
