package snikra.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class LengthTest {

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "3 5/16|84.1375",
        "3-5/16\"|84.1375",
        "3.3125 in|84.1375",
        "84.1 mm|84.1",
        "84,1 mm|84.1",
        "8.41 cm|84.1",
        "3⅝|92.075",
        "⅞ in|22.225",
        "15/16|23.8125",
        "4 inches|101.6"
      })
  void isReadAsPeopleWriteIt(String written, double mm) {
    assertThat(Length.parse(written).mm()).isCloseTo(mm, within(1e-9));
    assertThat(Length.parse(written).written()).isEqualTo(written);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        "3",
        "84.1",
        "-3 in",
        "0 mm",
        "601 mm",
        "3 5/0",
        "3 1/2 mm",
        "2.5 1/2 in",
        "long",
        "1e3 mm",
        "3 in 2",
        "99999999999 mm",
        "0/4 in"
      })
  void isRefusedWithWhatIsAccepted(String written) {
    assertThatThrownBy(() -> Length.parse(written))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("3 7/8 in")
        .hasMessageEndingWith("found " + written);
  }

  @Property
  void everyNotationOfOneLengthIsReadAsTheSameLength(
      @ForAll @IntRange(min = 0, max = 22) int whole,
      @ForAll @IntRange(min = 1, max = 31) int over) {
    double mm = (whole + over / 32.0) * 25.4;
    String decimal = java.math.BigDecimal.valueOf(whole + over / 32.0).toPlainString();
    for (String written :
        new String[] {
          whole + " " + over + "/32",
          whole + "-" + over + "/32\"",
          whole + " " + over + "/32 in",
          decimal + " in",
          decimal.replace('.', ',') + " inches"
        }) {
      Length read = Length.parse(written);
      assertThat(read.mm()).as(written).isCloseTo(mm, within(1e-9));
      assertThat(Length.parse(read.written())).isEqualTo(read);
    }
  }
}
