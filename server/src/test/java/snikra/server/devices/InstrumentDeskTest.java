package snikra.server.devices;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import snikra.core.examination.Examiner;
import snikra.core.examination.Sketch;
import snikra.core.measure.Length;
import snikra.core.measure.Measurement;
import snikra.core.measure.Measurement.Kind;
import snikra.core.measure.MeasuringDevice;
import snikra.core.specimen.Specimen;
import snikra.formats.InvalidInput;
import snikra.formats.ShippedShelf;

class InstrumentDeskTest {
  private final InstrumentDesk desk = new InstrumentDesk(InstrumentDesk.standIns());
  private final Examiner examiner = new Examiner(ShippedShelf.load(), 2026);
  private final Specimen knife = measuring("98.4 mm");
  private final Sketch sketch = examiner.sketch(knife);

  private static Specimen measuring(String length) {
    Specimen none = Specimen.unseen();
    return new Specimen(
        null,
        null,
        null,
        null,
        Length.parse(length),
        null,
        none.blades(),
        none.marks(),
        null,
        none.seen(),
        none.condition(),
        none.story(),
        none.comparables());
  }

  @Test
  void theCaliperReadsTheKnifeWithLittleNoise() {
    List<Double> readings =
        IntStream.range(0, 40)
            .mapToObj(i -> desk.read(Kind.LENGTH, "closedLength", knife, sketch).value())
            .toList();
    Measurement.Mean mean = Measurement.Mean.of(readings);

    assertThat(mean.mean()).isCloseTo(98.4, within(0.02));
    assertThat(mean.spread()).isBetween(0.005, 0.06);
  }

  @Test
  void theSameDeskReadsTheSameEachTimeItIsStarted() {
    InstrumentDesk again = new InstrumentDesk(InstrumentDesk.standIns());
    assertThat(again.read(Kind.FORCE, "measured.pull", knife, sketch))
        .isEqualTo(desk.read(Kind.FORCE, "measured.pull", knife, sketch));
  }

  @Test
  void linesAreTakenAndNonsenseIsToldWithItsLine() {
    List<InstrumentDesk.Posted> heard = new ArrayList<>();
    desk.listen(heard::add);

    InstrumentDesk.Taken taken =
        desk.post(
            "caliper 84.12 mm\n\nE R R\ngauge 34.5 N\r\nscale 62\ncaliper " + "9".repeat(500));

    assertThat(taken.taken()).isEqualTo(2);
    assertThat(heard)
        .containsExactly(
            new InstrumentDesk.Posted("caliper", "84.12 mm"),
            new InstrumentDesk.Posted("gauge", "34.5 N"));
    assertThat(taken.problems())
        .extracting(p -> p.field())
        .containsExactly("line 3", "line 5", "line 6");
    assertThat(taken.problems().get(2).given()).hasSizeLessThan(90);
  }

  @Test
  void anInstrumentThatIsNotThereIsNamedWithThoseThatAre() {
    assertThatThrownBy(() -> desk.read(Kind.SCALE, "measured.pull-felt", knife, sketch))
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining("length, force, mass; found scale");
  }

  @Test
  void aLostInstrumentSaysSo() {
    MeasuringDevice lost = mock(MeasuringDevice.class);
    when(lost.kind()).thenReturn(Kind.LENGTH);
    when(lost.read(98.4)).thenThrow(new MeasuringDevice.DeviceLost("The caliper does not answer."));
    InstrumentDesk withIt = new InstrumentDesk(List.of(lost));

    assertThatThrownBy(() -> withIt.read(Kind.LENGTH, "closedLength", knife, sketch))
        .hasMessage("The caliper does not answer.");
  }
}
