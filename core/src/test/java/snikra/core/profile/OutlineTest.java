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
