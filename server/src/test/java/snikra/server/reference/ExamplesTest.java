package snikra.server.reference;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import snikra.core.examination.Verdict;
import snikra.core.reference.Maker;
import snikra.formats.SpecimenFormat;
import snikra.server.TestApp;

/** Invented makers are no part of a real tray until its collector asks for them. */
class ExamplesTest {
  @RegisterExtension static final TestApp APP = new TestApp("--snikra.examples=false");

  private static final String MARKED =
      "{\"marks\":[{\"blade\":1,\"face\":\"mark\",\"state\":\"read\",\"lines\":[\"VELDRAKE\",\"TARNMOOR FALLS\"]}],"
          + "\"seen\":{\"spacer\":\"plastic\"}}";

  private static Verdict verdict(ReferenceDesk desk) {
    return desk.examiner().examine(SpecimenFormat.read(MARKED, desk.examiner().shelf()));
  }

  @Test
  void areOffUntilTheyAreSwitchedOnAndStaySo() {
    ReferenceDesk desk = APP.bean(ReferenceDesk.class);
    assertThat(desk.packs()).isNotEmpty().allMatch(p -> p.shipped() && !p.on());
    assertThat(desk.examiner().shelf().makers()).isEmpty();
    assertThat(verdict(desk).dating().makers()).isNotEmpty().allMatch(m -> m.maker() == null);
    assertThat(verdict(desk).dating().clues()).anyMatch(c -> c.feature().equals("spacer"));

    desk.packs().forEach(p -> desk.switchTo(p.id(), true));
    assertThat(desk.examiner().shelf().makers()).extracting(Maker::id).contains("veldrake");
    desk.reopen();
    assertThat(desk.packs()).allMatch(ReferenceDesk.Held::on);
    assertThat(verdict(desk).dating().makers().get(0).maker()).isEqualTo("veldrake");
    desk.packs().forEach(p -> desk.switchTo(p.id(), false));
    assertThat(desk.examiner().shelf().makers()).isEmpty();
  }
}
