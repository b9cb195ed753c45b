package snikra.core.provenance;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import snikra.core.wording.NotAccepted;

class WrittenDateTest {
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "1936|1936",
        "[1917,1919]|[1917,1919]",
        "c. 1936|1936~",
        "ca 1936|1936~",
        "Circa 1936|1936~",
        "about  1936|1936~",
        "perhaps 1936|1936?",
        "1936 ?|1936?",
        "1930s|193X",
        "the 1930's|193X",
        "c. 1930s|193X~",
        "early 1930s|1930/1933",
        "mid-1930s|1934/1936",
        "late 1930s|1936/1939",
        "19th century|18XX",
        "May 1936|1936-05",
        "Sept. 1936|1936-09",
        "M\u00e4rz 1936|1936-03",
        "f\u00e9vrier 1936|1936-02",
        "Spring 1936|1936-21",
        "14 May 1936|1936-05-14",
        "14th May, 1936|1936-05-14",
        "May 14, 1936|1936-05-14",
        "14. Mai 1936|1936-05-14",
        "14.5.1936|1936-05-14",
        "4. 12. 1936|1936-12-04",
        "1936/5/4|1936-05-04",
        "14/5/1936|1936-05-14",
        "5/14/1936|1936-05-14",
        "5/5/1936|1936-05-05",
        "before 1936|../1935",
        "by 1936|../1936",
        "to 1941|../1941",
        "after 1936|1937/..",
        "since 1936|1936/..",
        "1895-1910|1895/1910",
        "1895 \u2013 1910|1895/1910",
        "1895 to 1910|1895/1910",
        "between 1895 and 1910|1895/1910",
        "1895-97|1895/1897",
        "WWII|1939/1945",
        "First World War|1914/1918",
      })
  void isReadAsPeopleWriteIt(String written, String edtf) {
    assertThat(WrittenDate.read(written).written()).isEqualTo(edtf);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        "36",
        "yesterday",
        "Foo 1936",
        "31.2.1936",
        "1910-1895",
        "soon 1930s",
        "99-12",
        "14 Mumble 1936",
        "1936 1937"
      })
  void whatIsNoDateIsRefused(String written) {
    assertThatThrownBy(() -> WrittenDate.read(written))
        .isInstanceOf(NotAccepted.class)
        .hasMessageContaining("c. 1936");
  }

  @ParameterizedTest
  @ValueSource(strings = {"4/5/1936", "04-05-1936"})
  void whereDayAndMonthMayBeEitherItIsAsked(String written) {
    assertThatThrownBy(() -> WrittenDate.read(written))
        .isInstanceOf(NotAccepted.class)
        .hasMessageContaining("1936-04-05 or 1936-05-04");
  }
}
