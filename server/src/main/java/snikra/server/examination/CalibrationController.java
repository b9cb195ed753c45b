package snikra.server.examination;

import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RestController;
import snikra.core.dating.Calibration;
import snikra.core.dating.Calibration.Report;
import snikra.core.dating.Calibration.Sharpness;
import snikra.core.dating.Sampler;
import snikra.core.examination.Examiner;
import snikra.server.reference.ReferenceDesk;

/**
 * {@code /api/calibration}: how often verdicts on made-up knives are right, by the packs in use.
 * {@code POST} begins it, {@code GET} tells how far it is.
 */
@RestController
class CalibrationController {
  private static final int KNIVES = 1000;
  private static final int LOOKED_THROUGH = 100;
  private static final long SEED = 1917;
  private static final Sampler.Care CARE = new Sampler.Care(0.3, 0.3, 0);

  private final ReferenceDesk desk;
  private @Nullable Examiner begunFor;
  private Work work = new Work();

  CalibrationController(ReferenceDesk desk) {
    this.desk = desk;
  }

  /**
   * What came of it, or how far it is.
   *
   * @param report null until it is done
   * @param sharpness middle length of the spans with all stations, then without each
   */
  record Calibrated(int done, int of, @Nullable Report report, List<Sharpness> sharpness) {}

  private static final class Work {
    private final AtomicInteger done = new AtomicInteger();
    private volatile int of = 1;
    private volatile @Nullable Calibrated found;

    void run(Examiner examiner) {
      var calibration =
          new Calibration(examiner.shelf(), examiner.thisYear(), done::incrementAndGet);
      of = KNIVES + LOOKED_THROUGH * calibration.datedForEach();
      Report report = calibration.run(KNIVES, SEED, CARE);
      List<Sharpness> sharpness = calibration.sharpness(LOOKED_THROUGH, SEED, CARE);
      found = new Calibrated(of, of, report, sharpness);
    }

    Calibrated told() {
      Calibrated all = found;
      return all == null ? new Calibrated(done.get(), of, null, List.of()) : all;
    }
  }

  /** How far it is, or what came of it. */
  @GetMapping("/api/calibration")
  synchronized Calibrated calibration() {
    return desk.examiner().equals(begunFor) ? work.told() : new Work().told();
  }

  /** Begins it in the background, once for the same packs, and tells how far it is. */
  @PostMapping("/api/calibration")
  synchronized Calibrated begin() {
    Examiner examiner = desk.examiner();
    if (!examiner.equals(begunFor)) {
      Work anew = new Work();
      Thread thread = new Thread(() -> anew.run(examiner), "calibration");
      thread.setDaemon(true);
      thread.start();
      work = anew;
      begunFor = examiner;
    }
    return work.told();
  }
}
