package snikra.core.examination;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import snikra.core.examination.Verdict.Finding;
import snikra.core.measure.Measurement;
import snikra.core.profile.BladeWear;
import snikra.core.reference.ReferenceShelf;
import snikra.core.specimen.SeenBlade;
import snikra.core.specimen.Specimen;

/**
 * What of the measures is worth a second look: sizes no pattern has, readings outside what is
 * usual, and what is left of a blade. Nothing is refused; a slip of the pen is only named.
 */
final class Questions {
  /** Beyond the smallest and largest pattern by this factor a closed length is questioned. */
  private static final double FAR = 1.15;

  /** A blade cannot be longer than its handle by more than the tang outside it. */
  private static final double LONGEST_BLADE = 1.0;

  /** A main blade is seldom shorter than this share of the closed length by design. */
  private static final double SHORT_BLADE = 0.58;

  private Questions() {}

  static List<Finding> of(Specimen knife, Sketch sketch, ReferenceShelf shelf) {
    List<Finding> out = new ArrayList<>();
    closedLength(knife, shelf, out);
    for (int b = 0; b < knife.blades().size(); b++) {
      blade(b, knife, sketch, out);
    }
    shelf
        .measures()
        .quantities()
        .forEach(
            q -> {
              List<Double> readings =
                  knife.measured().getOrDefault(q.id(), List.of()).stream()
                      .map(Measurement::value)
                      .toList();
              if (!readings.isEmpty() && q.isQuestionable(Measurement.Mean.of(readings).mean())) {
                out.add(
                    new Finding(
                        q.station(),
                        q.label() + ": outside what is usual. Is the unit right?",
                        false));
              }
            });
    return out;
  }

  private static void closedLength(Specimen knife, ReferenceShelf shelf, List<Finding> out) {
    if (knife.closedLength() == null || shelf.patterns().patterns().isEmpty()) {
      return;
    }
    double mm = knife.closedLength().mm();
    double least =
        shelf.patterns().patterns().stream()
            .mapToDouble(p -> p.closedLengthMm().min())
            .min()
            .orElse(0);
    double most =
        shelf.patterns().patterns().stream()
            .mapToDouble(p -> p.closedLengthMm().max())
            .max()
            .orElse(0);
    if (mm > most * FAR || mm < least / FAR) {
      out.add(
          new Finding(
              "pattern",
              knife.closedLength().written()
                  + " closed: no pattern in the book is of that size. Is the unit right?",
              false));
    }
  }

  private static void blade(int b, Specimen knife, Sketch sketch, List<Finding> out) {
    SeenBlade blade = knife.blades().get(b);
    if (blade.length() != null && knife.closedLength() != null) {
      double share = blade.length().mm() / knife.closedLength().mm();
      if (share > LONGEST_BLADE) {
        out.add(
            new Finding(
                "blades", "Blade " + (b + 1) + " is longer than the handle it folds into.", false));
      } else if (b == 0 && share < SHORT_BLADE) {
        out.add(
            new Finding(
                "blades",
                "The main blade fills little of its handle: short by design, or broken and reground.",
                false));
      }
    }
    BladeWear.Left left = sketch.blades().get(b).left();
    if (left != null) {
      out.add(
          new Finding(
              "blades",
              String.format(
                  Locale.ROOT,
                  "%.0f%% of blade %d is left (%.0f to %.0f).",
                  100 * left.share(),
                  b + 1,
                  100 * left.low(),
                  100 * left.high()),
              false));
    }
  }
}
