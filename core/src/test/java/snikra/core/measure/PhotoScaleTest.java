package snikra.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import snikra.core.measure.PhotoScale.Known;
import snikra.core.measure.PhotoScale.Measured;
import snikra.core.measure.PhotoScale.Point;

class PhotoScaleTest {
  private static final double MM_PER_PIXEL = 0.05;

  @Test
  void twoPointsOfKnownLengthSetTheScale() {
    PhotoScale scale = PhotoScale.of(List.of(new Known(new Point(0, 0), new Point(300, 400), 25)));
    assertThat(scale.mmPerPixel()).isCloseTo(MM_PER_PIXEL, within(1e-12));
    assertThat(scale.distance(new Point(10, 10), new Point(1690, 10)).mm())
        .isCloseTo(84, within(1e-9));
  }

  @Test
  void withClicksAPixelOffALengthIsStillRightToHalfAPerCent() {
    Random random = new Random(7);
    for (int i = 0; i < 500; i++) {
      PhotoScale scale =
          PhotoScale.of(
              List.of(
                  new Known(clicked(random, 100, 900), clicked(random, 1100, 900), 50),
                  new Known(clicked(random, 100, 950), clicked(random, 1700, 950), 80)));
      Measured length = scale.distance(clicked(random, 200, 400), clicked(random, 1880, 400));
      assertThat(length.mm()).isCloseTo(84, within(84 * 0.005));
      assertThat(Math.abs(length.mm() - 84)).isLessThan(5 * length.spread());
    }
  }

  // Off by at most one pixel in any direction.
  private static Point clicked(Random random, double x, double y) {
    double angle = random.nextDouble() * 2 * Math.PI;
    return new Point(x + Math.cos(angle), y + Math.sin(angle));
  }

  @Test
  void aRulerOfManyMarksIsSurerThanOneShortLength() {
    Known inch = new Known(new Point(0, 0), new Point(508, 0), 25.4);
    List<Known> ruler = new ArrayList<>();
    for (int i = 1; i <= 6; i++) {
      ruler.add(new Known(new Point(0, 0), new Point(508 * i, 0), 25.4 * i));
    }
    assertThat(PhotoScale.of(ruler).spread()).isLessThan(PhotoScale.of(List.of(inch)).spread() / 5);
  }

  @Test
  void lengthsThatDisagreeAreToldAsTilt() {
    Known along = new Known(new Point(0, 0), new Point(1000, 0), 50);
    Known across = new Known(new Point(0, 0), new Point(0, 1000), 53);
    assertThat(PhotoScale.of(List.of(along)).isAslant()).isFalse();
    assertThat(PhotoScale.of(List.of(along, across)).isAslant()).isTrue();
  }

  @Test
  void theAreaOfATracedRectangleAndOfACircleAreThoseOfGeometry() {
    PhotoScale scale = new PhotoScale(MM_PER_PIXEL, 0, 0);
    List<Point> rectangle =
        List.of(new Point(0, 0), new Point(400, 0), new Point(400, 100), new Point(0, 100));
    List<Point> circle = new ArrayList<>();
    for (int i = 0; i < 360; i++) {
      double a = Math.toRadians(i);
      circle.add(new Point(500 + 200 * Math.cos(a), 500 + 200 * Math.sin(a)));
    }
    assertThat(scale.area(rectangle).mm()).isCloseTo(100, within(1e-9));
    assertThat(scale.area(circle).mm()).isCloseTo(Math.PI * 100, within(0.05));
  }

  @Test
  void theHeightOfATracedBladeIsTakenAcrossItsLengthWhicheverWayItLies() {
    PhotoScale scale = new PhotoScale(MM_PER_PIXEL, 0, 0);
    double c = Math.cos(0.5);
    double s = Math.sin(0.5);
    List<Point> turned = new ArrayList<>();
    for (double[] p : new double[][] {{0, -100}, {1000, -100}, {1200, 0}, {1000, 100}, {0, 100}}) {
      turned.add(new Point(p[0] * c - p[1] * s, p[0] * s + p[1] * c));
    }
    Point tip = new Point(1200 * c, 1200 * s);
    assertThat(scale.heightAt(turned, new Point(0, 0), tip, 25).mm()).isCloseTo(10, within(1e-9));
    assertThat(scale.heightAt(turned, new Point(0, 0), tip, 55).mm()).isCloseTo(5, within(1e-9));
    assertThat(scale.heightAt(turned, new Point(0, 0), tip, 900).mm()).isZero();
  }

  // By clicking thousands of times as people click, with a scale that is off each time.
  @Test
  void areasAndDistancesSpreadAsTheySay() {
    double scaleSpread = 0.0004;
    PhotoScale scale = new PhotoScale(MM_PER_PIXEL, scaleSpread, 0);
    List<Point> traced =
        List.of(
            new Point(40, 60),
            new Point(620, 10),
            new Point(900, 130),
            new Point(560, 230),
            new Point(90, 190));
    Random random = new Random(11);
    List<Double> areas = new ArrayList<>();
    List<Double> lengths = new ArrayList<>();
    for (int i = 0; i < 40_000; i++) {
      List<Point> clicked = traced.stream().map(p -> meant(p, random)).toList();
      double mm = MM_PER_PIXEL + scaleSpread * random.nextGaussian();
      double twice = 0;
      for (int k = 0; k < clicked.size(); k++) {
        Point a = clicked.get(k);
        Point b = clicked.get((k + 1) % clicked.size());
        twice += a.x() * b.y() - b.x() * a.y();
      }
      areas.add(Math.abs(twice) / 2 * mm * mm);
      lengths.add(
          Math.hypot(
                  clicked.get(2).x() - clicked.get(0).x(), clicked.get(2).y() - clicked.get(0).y())
              * mm);
    }
    Measurement.Mean area = Measurement.Mean.of(areas);
    Measurement.Mean length = Measurement.Mean.of(lengths);
    Measured told = scale.area(traced);
    assertThat(told.mm()).isCloseTo(area.mean(), within(0.003 * area.mean()));
    assertThat(told.spread()).isCloseTo(area.spread(), within(0.03 * area.spread()));
    Measured toldLength = scale.distance(traced.get(0), traced.get(2));
    assertThat(toldLength.spread()).isCloseTo(length.spread(), within(0.03 * length.spread()));
    double sharp = new PhotoScale(MM_PER_PIXEL, 0, 0).area(traced).spread();
    List<Double> ofClicks = new ArrayList<>();
    for (int i = 0; i < 40_000; i++) {
      List<Point> clicked = traced.stream().map(p -> meant(p, random)).toList();
      ofClicks.add(new PhotoScale(MM_PER_PIXEL, 0, 0).area(clicked).mm());
    }
    double spread = Measurement.Mean.of(ofClicks).spread();
    assertThat(sharp).isCloseTo(spread, within(0.03 * spread));
  }

  private static Point meant(Point p, Random random) {
    return new Point(
        p.x() + PhotoScale.CLICK_PIXELS * random.nextGaussian(),
        p.y() + PhotoScale.CLICK_PIXELS * random.nextGaussian());
  }

  @Test
  void aScaleIsAsUnsureAsTheClicksAtItsEnds() {
    Known known = new Known(new Point(10, 10), new Point(310, 410), 25);
    assertThat(PhotoScale.of(List.of(known)).spread())
        .isCloseTo(0.05 * 0.7 * Math.sqrt(2) / 500, within(1e-12));
    assertThat(new PhotoScale(1, 0, PhotoScale.TILT_TOLD).isAslant()).isFalse();
    assertThat(new Known(new Point(3, 3), new Point(4, 3), 0.01).mm()).isPositive();
    assertThatThrownBy(() -> new Known(new Point(0, 0), new Point(9, 0), 0))
        .hasMessageContaining("above 0; found 0.0");
  }

  @Test
  void aHeightSpreadsAsItsTwoClicksAndItsScale() {
    PhotoScale scale = new PhotoScale(MM_PER_PIXEL, 0.001, 0);
    List<Point> slope =
        List.of(new Point(20, 10), new Point(420, 110), new Point(420, 210), new Point(20, 310));
    Measured height = scale.heightAt(slope, new Point(20, 160), new Point(420, 160), 5);
    // A quarter of the way: 300 pixels high at the tang, 100 at the point.
    assertThat(height.mm()).isCloseTo(250 * 0.05, within(1e-9));
    assertThat(height.spread())
        .isCloseTo(Math.hypot(0.05 * 0.7 * Math.sqrt(2), 250 * 0.001), within(1e-9));
    assertThatThrownBy(
            () -> scale.heightAt(slope.subList(0, 2), new Point(0, 0), new Point(1, 0), 5))
        .hasMessageContaining("three places or more; found 2");
    assertThat(scale.area(slope.subList(0, 3)).mm()).isPositive();
  }

  @Test
  void aBladeThatLiesAnywhereAndAnyWayIsAsHigh() {
    PhotoScale scale = new PhotoScale(MM_PER_PIXEL, 0, 0);
    double[][] blade = {{0, -60}, {300, -90}, {800, -20}, {900, 30}, {500, 80}, {0, 70}};
    for (double turn : new double[] {0, 0.4, 1.9, 3.3, 5.5}) {
      List<Point> laid = new ArrayList<>();
      for (double[] p : blade) {
        laid.add(laid(p, turn));
      }
      Point tang = laid(new double[] {0, 0}, turn);
      Point tip = laid(new double[] {900, 0}, turn);
      // At 400: from -76 above, a fifth of the way from -90 to -20, to 78 below.
      assertThat(scale.heightAt(laid, tang, tip, 20).mm())
          .as("turned by %s", turn)
          .isCloseTo((76 + 78) * 0.05, within(1e-9));
    }
  }

  private static Point laid(double[] p, double turn) {
    double c = Math.cos(turn);
    double s = Math.sin(turn);
    return new Point(1500 + p[0] * c - p[1] * s, 700 + p[0] * s + p[1] * c);
  }

  @Test
  void whatCannotBeALengthIsRefusedWithTheValue() {
    assertThatThrownBy(() -> new Known(new Point(0, 0), new Point(10, 0), -1))
        .hasMessageContaining("above 0; found -1.0");
    assertThatThrownBy(() -> new Known(new Point(3, 3), new Point(3, 3), 5))
        .hasMessageContaining("a pixel or more");
    assertThatThrownBy(() -> PhotoScale.of(List.of())).hasMessageContaining("found 0");
    assertThatThrownBy(() -> new PhotoScale(1, 0, 0).area(List.of(new Point(0, 0))))
        .hasMessageContaining("three places or more; found 1");
  }
}
