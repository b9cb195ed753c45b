package snikra.core.measure;

import java.util.List;

/**
 * The scale of a photograph, from lengths known on it: millimetres to a pixel by least squares over
 * all of them, with the uncertainty that clicking leaves. A photograph taken aslant has no one
 * scale; a second known length shows it.
 *
 * @param mmPerPixel the scale
 * @param spread standard deviation of the scale; 0 or more
 * @param tilt how far the known lengths disagree, as a share of the scale; 0 where only one is
 *     known
 */
public record PhotoScale(double mmPerPixel, double spread, double tilt) {

  /** Spread of a click about the place it was meant for, in pixels, along each axis. */
  public static final double CLICK_PIXELS = 0.7;

  /** Known lengths that disagree by more than this are told as tilt. */
  public static final double TILT_TOLD = 0.02;

  /** A place on a photograph, in pixels from its upper left corner. */
  public record Point(double x, double y) {
    double distance(Point other) {
      return Math.hypot(other.x - x, other.y - y);
    }
  }

  /** Two places and the true distance between them. */
  public record Known(Point from, Point to, double mm) {
    public Known {
      if (!(mm > 0)) {
        throw new IllegalArgumentException("a known length must be above 0; found " + mm);
      }
      if (!(from.distance(to) >= 1)) {
        throw new IllegalArgumentException(
            "a known length must be a pixel or more on the photograph; found " + from.distance(to));
      }
    }

    private double pixels() {
      return from.distance(to);
    }
  }

  /**
   * A length measured on a photograph.
   *
   * @param spread standard deviation, of clicks and scale together
   */
  public record Measured(double mm, double spread) {}

  /**
   * The scale by which the known lengths are met best.
   *
   * @throws IllegalArgumentException when none is given
   */
  public static PhotoScale of(List<Known> known) {
    if (known.isEmpty()) {
      throw new IllegalArgumentException("known lengths must be one or more; found 0");
    }
    double products = 0;
    double squares = 0;
    for (Known k : known) {
      products += k.mm * k.pixels();
      squares += k.pixels() * k.pixels();
    }
    double scale = products / squares;
    double least = Double.POSITIVE_INFINITY;
    double most = 0;
    for (Known k : known) {
      least = Math.min(least, k.mm / k.pixels());
      most = Math.max(most, k.mm / k.pixels());
    }
    // Each end of each length is a click: along the length they add up to root two of one.
    double spread = scale * CLICK_PIXELS * Math.sqrt(2) / Math.sqrt(squares);
    return new PhotoScale(scale, spread, (most - least) / scale);
  }

  /** Whether the known lengths disagree so far that the photograph was taken aslant. */
  public boolean isAslant() {
    return tilt > TILT_TOLD;
  }

  /** The distance between two places. */
  public Measured distance(Point a, Point b) {
    double pixels = a.distance(b);
    double clicks = mmPerPixel * CLICK_PIXELS * Math.sqrt(2);
    return new Measured(pixels * mmPerPixel, Math.hypot(clicks, pixels * spread));
  }

  /**
   * The area within a traced outline, in square millimetres (the shoelace sum), and its spread.
   *
   * @throws IllegalArgumentException for fewer than three places
   */
  public Measured area(List<Point> outline) {
    requireOutline(outline);
    double twice = 0;
    double clicks = 0;
    for (int i = 0; i < outline.size(); i++) {
      Point before = outline.get((i + outline.size() - 1) % outline.size());
      Point p = outline.get(i);
      Point after = outline.get((i + 1) % outline.size());
      twice += p.x * after.y - after.x * p.y;
      double reach = before.distance(after);
      clicks += reach * reach;
    }
    double pixels = Math.abs(twice) / 2;
    double square = mmPerPixel * mmPerPixel;
    double ofClicks = square * CLICK_PIXELS * Math.sqrt(clicks) / 2;
    double ofScale = 2 * pixels * mmPerPixel * spread;
    return new Measured(pixels * square, Math.hypot(ofClicks, ofScale));
  }

  /**
   * How high a traced blade is at so far from its tang: across the line from tang to point, between
   * the outermost crossings of the outline; 0 where it does not reach.
   */
  public Measured heightAt(List<Point> outline, Point tang, Point tip, double mmFromTang) {
    requireOutline(outline);
    double length = tang.distance(tip);
    double ux = (tip.x - tang.x) / length;
    double uy = (tip.y - tang.y) / length;
    double at = mmFromTang / mmPerPixel;
    double low = Double.POSITIVE_INFINITY;
    double high = Double.NEGATIVE_INFINITY;
    for (int i = 0; i < outline.size(); i++) {
      Point a = outline.get(i);
      Point b = outline.get((i + 1) % outline.size());
      double alongA = (a.x - tang.x) * ux + (a.y - tang.y) * uy;
      double alongB = (b.x - tang.x) * ux + (b.y - tang.y) * uy;
      if ((alongA <= at) != (alongB <= at)) {
        double t = (at - alongA) / (alongB - alongA);
        double across =
            (a.x + t * (b.x - a.x) - tang.x) * -uy + (a.y + t * (b.y - a.y) - tang.y) * ux;
        low = Math.min(low, across);
        high = Math.max(high, across);
      }
    }
    double pixels = Math.max(0, high - low);
    double clicks = mmPerPixel * CLICK_PIXELS * Math.sqrt(2);
    return new Measured(pixels * mmPerPixel, Math.hypot(clicks, pixels * spread));
  }

  private static void requireOutline(List<Point> outline) {
    if (outline.size() < 3) {
      throw new IllegalArgumentException(
          "an outline must have three places or more; found " + outline.size());
    }
  }
}
