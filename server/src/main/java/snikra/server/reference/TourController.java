package snikra.server.reference;

import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;
import snikra.core.examination.Examiner;
import snikra.core.examination.Sketch;
import snikra.core.specimen.Specimen;
import snikra.core.tour.Tour;
import snikra.formats.ShippedShelf;

/** {@code GET /api/tour}: a first knife, answered look by look. */
@RestController
class TourController {
  private final ReferenceDesk desk;

  TourController(ReferenceDesk desk) {
    this.desk = desk;
  }

  /**
   * A tour as it is drawn and said.
   *
   * @param sketch the whole knife, for one who has none at hand
   * @param begins with which it is laid on the bench
   */
  record TourTold(Sketch sketch, Specimen begins, List<Tour.Step> steps) {}

  /** A first knife, answered look by look. */
  @GetMapping("/api/tour")
  TourTold tour() {
    Examiner examiner = desk.examiner();
    Tour tour = ShippedShelf.tour(examiner.shelf());
    return new TourTold(examiner.sketch(tour.knife()), tour.begins(), tour.steps());
  }
}
