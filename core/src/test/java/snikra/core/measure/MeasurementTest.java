package snikra.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import snikra.core.measure.MeasureBook.Quantity;
import snikra.core.measure.Measurement.Kind;

class MeasurementTest {

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "34.5 N | FORCE | 34.5",
        "3,6 kgf | FORCE | 35.30394",
        "8 lbf | FORCE | 35.5858",
        "6/10 | SCALE | 6",
        "62g | MASS | 62",
        "2.2 oz | MASS | 62.369",
        "0.1 mm | LENGTH | 0.1",
        "0 mm | LENGTH | 0",
        "-0.2 mm | LENGTH | -0.2",
        "1/64 in | LENGTH | 0.396875",
        "7/16 | LENGTH | 11.1125",
        "½\" | LENGTH | 12.7"
      })
  void isReadAsPeopleWriteItAndKeptAsWritten(String text, Kind kind, double value) {
    Measurement read = Measurement.parse(text);
    assertThat(read.kind()).isEqualTo(kind);
    assertThat(read.value()).isCloseTo(value, within(1e-3));
    assertThat(read.written()).isEqualTo(text);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        "34.5",
        "N",
        "-3 N",
        "3 furlongs",
        "--1 mm",
        "-6/10",
        "1/0 in",
        "1e9 N",
        "NaN N",
        "3..4 N"
      })
  void whatIsNoReadingIsRefusedWithWhatIsAccepted(String text) {
    assertThatThrownBy(() -> Measurement.parse(text))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("34.5 N")
        .hasMessageContaining("found " + text.strip());
  }

  @Test
  void aWeightIsNoForce() {
    assertThatThrownBy(() -> Measurement.parse("62 g", Kind.FORCE))
        .hasMessageContaining("a force with its unit")
        .hasMessageContaining("found 62 g");
  }

  @Test
  void whatMayBeSunkIsTakenWithItsSignAndNothingElse() {
    Quantity flush = new Quantity("flush", "action", "Flush", "", Kind.LENGTH, -0.5, 0.5);
    Quantity gap = new Quantity("gap", "action", "Gap", "", Kind.LENGTH, 0, 2);
    assertThat(flush.read("-0.2 mm").value()).isEqualTo(-0.2);
    assertThat(gap.read("0 mm").value()).isZero();
    MeasureBook book = new MeasureBook(List.of(flush, gap));
    assertThat(book.quantity("gap")).hasValue(gap);
    assertThat(book.quantity("width")).isEmpty();
    assertThat(MeasureBook.empty().quantities()).isEmpty();
    assertThatThrownBy(() -> gap.read("-0.2 mm")).hasMessageContaining("must be 0 or more");
  }

  @Test
  void threeReadingsMakeAMeanAndASpread() {
    Measurement.Mean mean = Measurement.Mean.of(List.of(34.0, 35.0, 36.0));
    assertThat(mean.mean()).isEqualTo(35);
    assertThat(mean.spread()).isEqualTo(1);
    assertThat(Measurement.Mean.of(List.of(1.0, 2.0, 6.0, 7.0)).spread())
        .isCloseTo(Math.sqrt(26.0 / 3), within(1e-12));
    assertThat(Measurement.Mean.of(List.of(34.0)).spread()).isZero();
  }

  @Test
  void whatIsOutsideWhatIsUsualIsQuestionedNotRefused() {
    Quantity pull = new Quantity("pull", "action", "Pull", "", Kind.FORCE, 5, 70);
    assertThat(pull.isQuestionable(34)).isFalse();
    assertThat(pull.isQuestionable(340)).isTrue();
    assertThat(pull.isQuestionable(5)).isFalse();
    assertThat(pull.isQuestionable(70)).isFalse();
    assertThat(pull.isQuestionable(Double.NaN)).isTrue();
  }

  @Test
  void readingsKeepTheUnitTheyShareAndElseTakeTheBaseUnit() {
    assertThat(inOneUnit("34 lbf", "36 lbf")).hasToString("35.0 lbf");
    assertThat(inOneUnit("84,10 mm", "84.14 mm")).hasToString("84.12 mm");
    assertThat(inOneUnit("-0.1 mm", "0.3 mm")).hasToString("0.1 mm");
    assertThat(inOneUnit("1 kgf", "9.80665 N")).hasToString("9.807 N");
    assertThat(inOneUnit("1 oz", "28.35 g")).hasToString("28.35 g");
    assertThat(inOneUnit("1 in", "25.4 mm")).hasToString("25.4 mm");
    assertThat(inOneUnit("6/10", "8/10")).hasToString("7.0 /10");
    assertThat(Measurement.inOneUnit(List.of(Measurement.parse("3 N"), Measurement.parse("3 g"))))
        .isEmpty();
    assertThat(Measurement.inOneUnit(List.of())).isEmpty();
  }

  private static String inOneUnit(String... readings) {
    Measurement.InUnit mean =
        Measurement.inOneUnit(java.util.Arrays.stream(readings).map(Measurement::parse).toList())
            .orElseThrow();
    return Math.round(1000 * mean.mean().mean()) / 1000.0 + " " + mean.unit();
  }
}
