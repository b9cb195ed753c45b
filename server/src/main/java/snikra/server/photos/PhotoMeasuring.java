package snikra.server.photos;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import snikra.core.examination.Problem;
import snikra.core.measure.Length;
import snikra.core.measure.PhotoScale;
import snikra.core.measure.PhotoScale.Known;
import snikra.core.measure.PhotoScale.Measured;
import snikra.core.measure.PhotoScale.Point;
import snikra.core.wording.NotAccepted;
import snikra.formats.InvalidInput;

/**
 * What was clicked on a photograph, in pixels of the copy that is shown.
 *
 * @param known lengths that set the scale
 * @param distances pairs of places to measure between
 * @param outline of a blade, traced; its first place is the tang shoulder at the spine
 * @param tip of the traced blade
 */
record PhotoMeasuring(
    List<KnownLength> known,
    List<Pair> distances,
    List<Point> outline,
    @Nullable Point tang,
    @Nullable Point tip) {
  private static final int STATIONS = 5;
  private static final int MOST = 2000;

  /** A length as people write it, between two places. */
  record KnownLength(Point from, Point to, String length) {}

  /** Two places. */
  record Pair(Point from, Point to) {}

  /** The height of a traced blade so far from its tang. */
  record Station(double atMm, Measured height) {}

  /**
   * What comes of it.
   *
   * @param aslant whether the known lengths disagree: the camera was not square to the knife
   * @param area of the traced outline in square millimetres
   * @param length of the traced blade, from its tang shoulder to its point
   */
  record Answer(
      PhotoScale scale,
      boolean aslant,
      List<Measured> distances,
      @Nullable Measured area,
      @Nullable Measured length,
      List<Station> heights) {}

  PhotoMeasuring {
    known = known == null ? List.of() : List.copyOf(known);
    distances = distances == null ? List.of() : List.copyOf(distances);
    outline = outline == null ? List.of() : List.copyOf(outline);
  }

  Answer answer() {
    if (known.isEmpty() || known.size() + distances.size() + outline.size() > MOST) {
      throw refused("known", known.size() + " lengths", "must be one known length or more");
    }
    List<Known> lengths = new ArrayList<>();
    for (int i = 0; i < known.size(); i++) {
      KnownLength k = known.get(i);
      try {
        lengths.add(new Known(k.from, k.to, Length.parse(k.length).mm()));
      } catch (NotAccepted e) {
        String accepted = e.accepted();
        throw refused("known[" + i + "].length", k.length, accepted);
      }
    }
    PhotoScale scale = PhotoScale.of(lengths);
    return new Answer(
        scale,
        scale.isAslant(),
        distances.stream().map(d -> scale.distance(d.from, d.to)).toList(),
        outline.size() < 3 ? null : scale.area(outline),
        tang == null || tip == null ? null : scale.distance(tang, tip),
        heights(scale));
  }

  private List<Station> heights(PhotoScale scale) {
    List<Station> heights = new ArrayList<>();
    if (outline.size() >= 3 && tang != null && tip != null) {
      double length = scale.distance(tang, tip).mm();
      for (int i = 0; i < STATIONS; i++) {
        double at = length * (0.06 + 0.8 * i / (STATIONS - 1));
        heights.add(new Station(at, scale.heightAt(outline, tang, tip, at)));
      }
    }
    return heights;
  }

  private static InvalidInput refused(String field, String given, String accepted) {
    return new InvalidInput(List.of(new Problem(field, given, accepted)));
  }
}
