package snikra.core.profile;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import snikra.core.judgement.Judgement;

/**
 * How much of a blade is left, from heights measured along it or its traced area, and its full
 * outline.
 *
 * <p>Each height over the full height there is the share left at that place; between places the
 * share runs straight, beyond the last it stays. The shares weighed by full height give the share
 * of the whole. Near the tang a blade is hardly sharpened, so a height measured there sets the
 * scale of the outline; without one, blades of one form differ more among themselves.
 *
 * @param formSpread spread of heights among full blades of one form, as a share of them
 * @param scaledSpread what is left of that spread once a height near the tang set the scale
 * @param nearTang a height up to this far along the blade sets the scale, in blade lengths
 * @param caliperMm spread of one height measured with a caliper, in millimetres
 */
public record BladeWear(double formSpread, double scaledSpread, double nearTang, double caliperMm) {
  /** Standard deviations either side of the middle that hold nine in ten. */
  private static final double NINE_TENTHS = 1.645;

  private static final int SLICES = 200;

  /** As it is judged. */
  public static BladeWear of(Judgement judgement) {
    return new BladeWear(
        judgement.of("blade.form-spread"),
        judgement.of("blade.scaled-spread"),
        judgement.of("blade.near-tang"),
        judgement.of("blade.caliper-mm"));
  }

  /** A height so far from the tang shoulder, both in millimetres. */
  public record Height(double atMm, double heightMm) {}

  /**
   * What is left.
   *
   * @param share of the full outline, at most 1
   * @param low end of the nine-in-ten interval
   * @param high other end of it
   * @param along the share left at each place: x in blade lengths, and the share
   */
  public record Left(double share, double low, double high, List<List<Double>> along) {}

  /**
   * Works out what is left.
   *
   * @param full outline, x from the tang shoulder in blade lengths
   * @param lengthMm of the blade when it was full
   * @param heights at least one
   */
  public Left left(Outline full, double lengthMm, List<Height> heights) {
    if (heights.isEmpty()) {
      throw new IllegalArgumentException("heights must be one or more; found 0");
    }
    List<Height> sorted =
        heights.stream().sorted(Comparator.comparingDouble(Height::atMm)).toList();
    boolean scaled = sorted.get(0).atMm() <= nearTang * lengthMm;
    double scale = scaled ? ratio(full, lengthMm, sorted.get(0)) : 1;
    List<List<Double>> along = new ArrayList<>();
    double error = 0;
    for (Height h : sorted) {
      double fullMm = full.heightAt(h.atMm() / lengthMm) * lengthMm * scale;
      along.add(List.of(h.atMm() / lengthMm, Math.min(1, h.heightMm() / fullMm)));
      error += caliperMm / fullMm;
    }
    double share = weighed(full, along);
    double read = error / sorted.size() / Math.sqrt(sorted.size());
    double spread = Math.hypot(share * (scaled ? scaledSpread : formSpread), read);
    return within(share, spread, along);
  }

  /**
   * The same from the area of its outline, which is more exact than heights between which it is
   * guessed; a height near the tang sets the scale here too.
   *
   * @param heights for the scale and for the shares along the blade; there may be none
   * @param areaMm2 from the tang shoulder to the point
   * @param spreadMm2 standard deviation of the area
   */
  public Left leftOfArea(
      Outline full, double lengthMm, List<Height> heights, double areaMm2, double spreadMm2) {
    Height first =
        heights.stream()
            .min(Comparator.comparingDouble(Height::atMm))
            .filter(h -> h.atMm() <= nearTang * lengthMm)
            .orElse(null);
    double scale = first == null ? 1 : ratio(full, lengthMm, first);
    double whole = full.area() * lengthMm * lengthMm * scale;
    double share = Math.min(1, areaMm2 / whole);
    double form = share * (first == null ? formSpread : scaledSpread);
    List<List<Double>> along =
        heights.isEmpty()
            ? List.of(List.of(0.0, share), List.of(1.0, share))
            : left(full, lengthMm, heights).along;
    return within(share, Math.hypot(form, spreadMm2 / whole), along);
  }

  private static Left within(double share, double spread, List<List<Double>> along) {
    return new Left(
        share,
        Math.max(0, share - NINE_TENTHS * spread),
        Math.min(1, share + NINE_TENTHS * spread),
        List.copyOf(along));
  }

  private static double ratio(Outline full, double lengthMm, Height h) {
    return h.heightMm() / (full.heightAt(h.atMm() / lengthMm) * lengthMm);
  }

  private static double weighed(Outline full, List<List<Double>> along) {
    double whole = 0;
    double left = 0;
    for (int i = 0; i < SLICES; i++) {
      double x = (i + 0.5) / SLICES;
      double height = full.heightAt(x);
      whole += height;
      left += height * shareAt(along, x);
    }
    return left / whole;
  }

  private static double shareAt(List<List<Double>> along, double x) {
    if (x <= along.get(0).get(0)) {
      return along.get(0).get(1);
    }
    for (int i = 1; i < along.size(); i++) {
      double x0 = along.get(i - 1).get(0);
      double x1 = along.get(i).get(0);
      if (x <= x1 && x1 > x0) {
        double t = (x - x0) / (x1 - x0);
        return along.get(i - 1).get(1) * (1 - t) + along.get(i).get(1) * t;
      }
    }
    return along.get(along.size() - 1).get(1);
  }
}
