package snikra.core.profile;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import snikra.core.profile.BladeWear.Height;

class OutlineTest {
  private static final BladeWear WEAR = new BladeWear(0.08, 0.03, 0.12, 0.1);

  private static final Outline RECTANGLE =
      Outline.of(
          List.of(List.of(0.0, 0.1, -0.1), List.of(0.5, 0.1, -0.1), List.of(1.0, 0.1, -0.1)));

  @Test
  void aRectangleHasTheAreaOfARectangle() {
    assertThat(RECTANGLE.area()).isCloseTo(0.2, within(1e-12));
    assertThat(RECTANGLE.heightAt(0.37)).isCloseTo(0.2, within(1e-12));
  }

  @Test
  void aTriangleHasHalfTheAreaOfItsRectangle() {
    Outline triangle = Outline.of(List.of(List.of(0.0, 0.2, 0.0), List.of(1.0, 0.0, 0.0)));
    assertThat(triangle.area()).isCloseTo(0.1, within(1e-12));
  }

  @Test
  void anEllipseHasTheAreaOfAnEllipseToAThousandth() {
    List<List<Double>> rows = new ArrayList<>();
    int n = 48;
    for (int i = 0; i <= n; i++) {
      double x = 0.5 - 0.5 * Math.cos(Math.PI * i / n);
      double y = 0.1 * Math.sin(Math.PI * i / n);
      rows.add(List.of(x, y, -y));
    }
    assertThat(Outline.of(rows).area()).isCloseTo(Math.PI * 0.5 * 0.1, within(1.6e-4));
    assertThat(Outline.of(rows).greatestHeight()).isCloseTo(0.2, within(1e-6));
  }

  @Test
  void theCurveGoesThroughEveryRow() {
    Outline outline =
        Outline.of(
            List.of(List.of(0.0, 0.08, -0.08), List.of(0.7, 0.05, -0.09), List.of(1.0, 0.0, 0.0)));
    assertThat(outline.heightAt(0.7)).isCloseTo(0.14, within(1e-9));
    assertThat(outline.heightAt(1)).isCloseTo(0, within(1e-9));
    assertThat(outline.heightAt(-3)).isEqualTo(outline.heightAt(0));
  }

  @Test
  void rowsThatDoNotRiseAreRefusedWithTheValue() {
    assertThatThrownBy(() -> Outline.of(List.of(List.of(0.0, 0.1, 0.0), List.of(0.0, 0.1, 0.0))))
        .hasMessageContaining("x must rise; found 0.0");
  }

  @Test
  void aBladeAsHighAsItsOutlineIsWholeAndOneHalfAsHighIsHalfLeft() {
    BladeWear.Left whole = WEAR.left(RECTANGLE, 60, List.of(new Height(3, 12), new Height(30, 12)));
    BladeWear.Left half =
        WEAR.left(
            RECTANGLE, 60, List.of(new Height(3, 12), new Height(3.01, 6), new Height(50, 6)));

    assertThat(whole.share()).isCloseTo(1, within(1e-9));
    assertThat(half.share()).isCloseTo(0.5, within(0.03));
    assertThat(half.low()).isLessThan(half.share());
    assertThat(half.high()).isGreaterThan(half.share());
  }

  @Test
  void aHeightNearTheTangSetsTheScaleAndNarrowsTheInterval() {
    List<Height> slender = List.of(new Height(3, 9), new Height(30, 9), new Height(55, 9));
    BladeWear.Left scaled = WEAR.left(RECTANGLE, 60, slender);
    BladeWear.Left unscaled = WEAR.left(RECTANGLE, 60, slender.subList(1, 3));

    assertThat(scaled.share()).isCloseTo(1, within(1e-9));
    assertThat(unscaled.share()).isCloseTo(0.75, within(1e-9));
    assertThat(scaled.high() - scaled.low()).isLessThan(unscaled.high() - unscaled.low());
  }

  @Test
  void withoutAHeightNothingIsSaid() {
    assertThatThrownBy(() -> WEAR.left(RECTANGLE, 60, List.of()))
        .hasMessageContaining("one or more; found 0");
  }

  @Test
  void anAreaSaysWhatIsLeftMoreExactlyThanHeights() {
    List<Height> near = List.of(new Height(3, 12), new Height(30, 9));
    BladeWear.Left traced = WEAR.leftOfArea(RECTANGLE, 60, near, 0.75 * 60 * 12, 4);
    BladeWear.Left guessed = WEAR.leftOfArea(RECTANGLE, 60, List.of(), 0.75 * 60 * 12, 4);

    assertThat(traced.share()).isCloseTo(0.75, within(1e-6));
    assertThat(traced.along()).isEqualTo(WEAR.left(RECTANGLE, 60, near).along());
    assertThat(traced.high() - traced.low()).isLessThan(guessed.high() - guessed.low());
    assertThat(guessed.along()).hasSize(2);
    assertThat(WEAR.leftOfArea(RECTANGLE, 60, near, 2000, 4).share()).isEqualTo(1);
  }

  // The same curve by its tangents, in place of rounds of linear steps.
  @Test
  void betweenRowsItRunsAsByItsTangents() {
    double[][] p = {{0, 0.1}, {0.1, 0.3}, {0.55, 0.2}, {1, 0.25}};
    List<List<Double>> rows = new ArrayList<>();
    for (double[] row : p) {
      rows.add(List.of(row[0], row[1], 0.0));
    }
    Outline outline = Outline.of(rows);
    for (int i = 0; i < 3; i++) {
      double[] before = i > 0 ? p[i - 1] : mirrored(p[0], p[1]);
      double[] after = i < 2 ? p[i + 2] : mirrored(p[3], p[2]);
      for (double s : new double[] {0.25, 0.5, 0.875}) {
        double x = hermite(before, p[i], p[i + 1], after, s, 0);
        double y = hermite(before, p[i], p[i + 1], after, s, 1);
        assertThat(outline.heightAt(x)).as("at %s", x).isCloseTo(y, within(1e-12));
      }
    }
    assertThat(outline.heightAt(7)).isEqualTo(0.25);
  }

  private static double[] mirrored(double[] about, double[] other) {
    return new double[] {2 * about[0] - other[0], 2 * about[1] - other[1]};
  }

  private static double hermite(
      double[] p0, double[] p1, double[] p2, double[] p3, double s, int of) {
    double d01 = Math.pow(Math.hypot(p1[0] - p0[0], p1[1] - p0[1]), 0.5);
    double d12 = Math.pow(Math.hypot(p2[0] - p1[0], p2[1] - p1[1]), 0.5);
    double d23 = Math.pow(Math.hypot(p3[0] - p2[0], p3[1] - p2[1]), 0.5);
    double slope01 = (p1[of] - p0[of]) / d01;
    double slope12 = (p2[of] - p1[of]) / d12;
    double slope23 = (p3[of] - p2[of]) / d23;
    double m1 = d12 * (slope01 - (p2[of] - p0[of]) / (d01 + d12) + slope12);
    double m2 = d12 * (slope12 - (p3[of] - p1[of]) / (d12 + d23) + slope23);
    double s2 = s * s;
    double s3 = s2 * s;
    return (2 * s3 - 3 * s2 + 1) * p1[of]
        + (s3 - 2 * s2 + s) * m1
        + (3 * s2 - 2 * s3) * p2[of]
        + (s3 - s2) * m2;
  }

  @Test
  void whatIsLeftIsTheAreaUnderTheSharesAlongTheBlade() {
    Outline wedge = Outline.of(List.of(List.of(0.0, 0.1, -0.1), List.of(1.0, 0.0, 0.0)));
    // Full 9 mm at 0.1 of 50 mm, which is the scale; then 3/4 left at 0.5, a half at 0.8.
    List<Height> heights = List.of(new Height(40, 1), new Height(5, 9), new Height(25, 3.75));
    BladeWear.Left left = WEAR.left(wedge, 50, heights);
    double sum = 0;
    double whole = 0;
    for (int i = 0; i < 100_000; i++) {
      double x = (i + 0.5) / 100_000;
      double share =
          x < 0.1
              ? 1
              : x < 0.5
                  ? 1 - 0.25 * (x - 0.1) / 0.4
                  : x < 0.8 ? 0.75 - 0.25 * (x - 0.5) / 0.3 : 0.5;
      sum += share * (1 - x);
      whole += 1 - x;
    }
    assertThat(left.share()).isCloseTo(sum / whole, within(1e-4));
    double[] along = left.along().stream().flatMap(List::stream).mapToDouble(d -> d).toArray();
    assertThat(along).containsExactly(new double[] {0.1, 1, 0.5, 0.75, 0.8, 0.5}, within(1e-9));
    double read = (0.1 / 9 + 0.1 / 5 + 0.1 / 2) / 3 / Math.sqrt(3);
    double spread = Math.sqrt(Math.pow(left.share() * 0.03, 2) + read * read);
    assertThat(left.high() - left.share()).isCloseTo(1.645 * spread, within(1e-9));
    assertThat(left.share() - left.low()).isCloseTo(1.645 * spread, within(1e-9));
  }

  @Test
  void aHeightSetsTheScaleUpToItsPlaceAndNotBeyond() {
    List<Height> there = List.of(new Height(12, 15), new Height(50, 10));
    List<Height> beyond = List.of(new Height(12.01, 15), new Height(50, 10));
    assertThat(WEAR.left(RECTANGLE, 100, there).along().get(0).get(1)).isCloseTo(1, within(1e-9));
    assertThat(WEAR.left(RECTANGLE, 100, beyond).along().get(0).get(1))
        .isCloseTo(0.75, within(1e-9));
    double scaled = WEAR.leftOfArea(RECTANGLE, 100, there, 1200, 8).share();
    double plain = WEAR.leftOfArea(RECTANGLE, 100, beyond, 1200, 8).share();
    assertThat(scaled).isCloseTo(0.8, within(1e-9));
    assertThat(plain).isCloseTo(0.6, within(1e-9));
  }

  @Test
  void anAreaIsAsUnsureAsItsFormAndItsTracing() {
    BladeWear.Left left = WEAR.leftOfArea(RECTANGLE, 100, List.of(), 1000, 80);
    double spread = Math.sqrt(Math.pow(0.5 * 0.08, 2) + Math.pow(80.0 / 2000, 2));
    assertThat(left.high()).isCloseTo(0.5 + 1.645 * spread, within(1e-9));
    assertThat(left.low()).isCloseTo(0.5 - 1.645 * spread, within(1e-9));
  }

  @Test
  void aShortBladeLacksWhatOthersTakeOfTheirHandle() {
    BladeRoom room = new BladeRoom(List.of(0.75, 0.5), 0.05);
    BladeRoom.Missing missing = room.missing(45, 100, room.usual(0));

    assertThat(missing.share()).isCloseTo(0.4, within(1e-9));
    assertThat(missing.low()).isBetween(0.3, 0.4);
    assertThat(missing.high()).isBetween(0.4, 0.5);
    assertThat(room.missing(73, 100, room.usual(0)).low()).isZero();
    assertThat(room.usual(5)).isEqualTo(0.5);
    assertThatThrownBy(() -> new BladeRoom(List.of(), 0.05)).hasMessageContaining("found 0");
  }
}
