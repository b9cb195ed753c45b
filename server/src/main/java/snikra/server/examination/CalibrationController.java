package snikra.server.examination;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;
import snikra.core.dating.Calibration;
import snikra.core.dating.Calibration.Report;
import snikra.core.dating.Calibration.Sharpness;
import snikra.core.dating.Sampler;
import snikra.core.examination.Examiner;
import snikra.server.reference.ReferenceDesk;

/**
 * {@code GET /api/calibration}: how often verdicts on made-up knives are right, by the packs in
 * use.
 */
@RestController
class CalibrationController {
  private static final int KNIVES = 1000;
  private static final int LOOKED_THROUGH = 100;
  private static final long SEED = 1917;
  private static final Sampler.Care CARE = new Sampler.Care(0.3, 0.3, 0);

  private final ReferenceDesk desk;
  private @Nullable Examiner workedOutFor;
  private @Nullable Calibrated last;

  CalibrationController(ReferenceDesk desk) {
    this.desk = desk;
  }

  /**
   * What came of it.
   *
   * @param sharpness middle length of the spans with all stations, then without each
   */
  record Calibrated(Report report, List<Sharpness> sharpness) {}

  /** One at a time, and once for the same packs: it takes seconds. */
  @GetMapping("/api/calibration")
  synchronized Calibrated calibration() {
    Examiner examiner = desk.examiner();
    if (last == null || workedOutFor != examiner) {
      Calibration calibration = new Calibration(examiner.shelf(), examiner.thisYear());
      last =
          new Calibrated(
              calibration.run(KNIVES, SEED, CARE),
              calibration.sharpness(LOOKED_THROUGH, SEED, CARE));
      workedOutFor = examiner;
    }
    return last;
  }
}
