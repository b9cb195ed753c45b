package snikra.core.profile;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;

class BladeRoomTest {
  private static final BladeRoom ROOM = new BladeRoom(List.of(0.74, 0.55), 0.045);
  private static final BladeRoom.Habits HABITS = new BladeRoom.Habits(0.06, 0.08, 0.15, 0.4, 0.3);

  private static BladeRoom.MayBe of(double mm) {
    return ROOM.weigh(mm, 100, 0.74, HABITS);
  }

  @Test
  void theSharesAddUp() {
    for (double mm = 20; mm < 95; mm += 2.5) {
      BladeRoom.MayBe may = of(mm);
      assertThat(may.whole() + may.byDesign() + may.shortened()).isCloseTo(1, within(1e-12));
    }
  }

  @Test
  void theShorterTheLessItMayBeWholeAndNoTenthOfAMillimetreDecides() {
    double before = of(80).whole();
    for (double mm = 79.9; mm > 30; mm -= 0.1) {
      double whole = of(mm).whole();
      assertThat(whole).isLessThanOrEqualTo(before + 1e-9);
      assertThat(before - whole).isLessThan(0.03);
      before = whole;
    }
    assertThat(of(74).whole()).isGreaterThan(0.9);
    assertThat(of(50).whole()).isLessThan(0.001);
  }

  @Test
  void aLittleShortIsRatherShortenedAndMuchShortRatherMadeSo() {
    BladeRoom.MayBe little = of(60);
    BladeRoom.MayBe much = of(30);
    assertThat(little.shortened()).isGreaterThan(little.byDesign());
    assertThat(much.byDesign()).isGreaterThan(much.shortened());
  }

  @Test
  void aBladeOfAPatternThatIsMadeShortIsWhole() {
    assertThat(ROOM.weigh(48, 100, 0.48, HABITS).whole()).isGreaterThan(0.9);
  }

  @Test
  void whatIsMeasuredRoughlySaysLess() {
    BladeRoom.Habits rough = new BladeRoom.Habits(0.06, 0.08, 0.15, 6, 0.3);
    assertThat(ROOM.weigh(58, 100, 0.74, rough).whole()).isGreaterThan(3 * of(58).whole());
  }

  // By summing over what was lost and over what was never there in far finer steps.
  @Test
  void theSharesAreThoseOfTheWholeIntegral() {
    for (double mm : new double[] {25, 34, 48, 61, 70, 78}) {
      double found = mm / 100;
      double error = Math.sqrt(0.045 * 0.045 + 2 * 0.004 * 0.004);
      double whole = 0.86 * density(found, 0.74, error);
      double design = 0;
      double cut = 0;
      int steps = 200_000;
      for (int i = 0; i < steps; i++) {
        double length = 0.3 + (0.74 - 0.3) * (i + 0.5) / steps;
        design += 0.06 * density(found, length, error) / steps;
        double lost = (i + 0.5) / steps;
        double often = Math.exp(-lost / 0.15) / 0.15 / steps;
        cut += 0.08 * often * density(found, 0.74 * (1 - lost), error);
      }
      double all = whole + design + cut;
      assertThat(of(mm).whole()).as("%s mm", mm).isCloseTo(whole / all, within(2e-3));
      assertThat(of(mm).byDesign()).as("%s mm", mm).isCloseTo(design / all, within(6e-3));
      assertThat(of(mm).shortened()).as("%s mm", mm).isCloseTo(cut / all, within(6e-3));
    }
  }

  private static double density(double x, double middle, double spread) {
    double z = (x - middle) / spread;
    return Math.exp(-0.5 * z * z) / (spread * Math.sqrt(2 * Math.PI));
  }

  @Test
  void aSpreadOfNothingIsRefused() {
    assertThat(new BladeRoom(List.of(0.7), 1e-9).spread()).isPositive();
    org.assertj.core.api.Assertions.assertThatThrownBy(() -> new BladeRoom(List.of(0.7), 0))
        .hasMessageContaining("above 0");
  }

  @Test
  void whatLiesFarFromAllThatIsMadeIsTakenAsWhole() {
    assertThat(ROOM.weigh(5000, 100, 0.74, HABITS)).isEqualTo(new BladeRoom.MayBe(1, 0, 0));
  }
}
