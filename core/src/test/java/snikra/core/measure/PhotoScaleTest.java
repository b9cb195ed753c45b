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
