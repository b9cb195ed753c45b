package snikra.core.practice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Scores against values worked out by hand, and whether one gains by saying what one believes. */
class ScoresTest {
  private static final int OTHERS = 4;

  @Test
  void aChanceGivenToWhatIsSoLosesItsBits() {
    assertThat(Scores.bits(1)).isZero();
    assertThat(Scores.bits(0.5)).isEqualTo(1);
    assertThat(Scores.bits(0.25)).isEqualTo(2);
    assertThat(Scores.bits(0)).as("nobody loses all").isCloseTo(9.966, within(0.001));
  }

  @Test
  void aChoiceLosesByHowSureOneWasAndAWrongOneByWhatWasLeftForTheRest() {
    assertThat(Scores.bits("a", 0.5, OTHERS, Map.of("a", 1.0))).isEqualTo(1);
    assertThat(Scores.bits("a", 0.5, OTHERS, Map.of("b", 1.0))).isEqualTo(3);
    assertThat(Scores.bits("a", 0.5, OTHERS, Map.of("a", 0.5, "b", 0.5))).isEqualTo(2);
    Map<String, Double> model = Map.of("a", 0.25, "b", 0.75);
    assertThat(Scores.bits(model, Map.of("a", 1.0))).isEqualTo(2);
  }

  @Test
  void oneGainsMostByBeingAsSureAsOneIsRight() {
    for (double right : List.of(0.3, 0.5, 0.7, 0.9, 0.97)) {
      double best = 0;
      double least = Double.MAX_VALUE;
      for (int sure = 1; sure < 100; sure++) {
        double said = sure / 100.0;
        double lost =
            right * Scores.bits("a", said, OTHERS, Map.of("a", 1.0))
                + (1 - right) * Scores.bits("a", said, OTHERS, Map.of("b", 1.0));
        if (lost < least) {
          least = lost;
          best = said;
        }
      }
      assertThat(best).isCloseTo(right, within(0.005));
    }
  }

  @Test
  void aGradeLosesByHowManyLevelsItIsOff() {
    assertThat(Scores.ranked(new double[] {0, 1, 0, 0}, 1)).isZero();
    assertThat(Scores.ranked(new double[] {0, 1, 0, 0}, 2)).isEqualTo(1);
    assertThat(Scores.ranked(new double[] {1, 0, 0, 0}, 3)).isEqualTo(3);
    assertThat(Scores.ranked(new double[] {0.25, 0.5, 0.25, 0}, 1)).isEqualTo(0.125);
    assertThat(Scores.around(1, 4, 0.5)).containsExactly(0.25, 0.5, 0.25, 0);
    assertThat(Scores.around(0, 4, 0.5)).containsExactly(0.5, 0.5, 0, 0);
    assertThat(Scores.around(3, 4, 0.5)).containsExactly(0, 0, 0.5, 0.5);
  }

  @Test
  void chancesOfLevelsLoseLeastWhereTheyAreWhatOneBelieves() {
    Random random = new Random(1911);
    for (int trial = 0; trial < 50; trial++) {
      double[] believed = chances(random);
      double own = expected(believed, believed);
      for (int other = 0; other < 40; other++) {
        assertThat(own).isLessThanOrEqualTo(expected(chances(random), believed) + 1e-12);
      }
    }
  }

  private static double expected(double[] said, double[] believed) {
    double sum = 0;
    for (int was = 0; was < believed.length; was++) {
      sum += believed[was] * Scores.ranked(said, was);
    }
    return sum;
  }

  private static double[] chances(Random random) {
    double[] of = new double[5];
    double all = 0;
    for (int i = 0; i < of.length; i++) {
      of[i] = random.nextDouble();
      all += of[i];
    }
    for (int i = 0; i < of.length; i++) {
      of[i] /= all;
    }
    return of;
  }

  @Test
  void yearsLoseTheirLengthAndTwentyForEachYearTheKnifeLiesOutside() {
    assertThat(Scores.years(1900, 1919, 1900)).isEqualTo(20);
    assertThat(Scores.years(1900, 1919, 1919)).isEqualTo(20);
    assertThat(Scores.years(1900, 1919, 1922)).isEqualTo(80);
    assertThat(Scores.years(1900, 1919, 1899)).isEqualTo(40);
  }

  @Test
  void theYearsThatLoseLeastLeaveOutFiveInAHundredOnEitherSide() {
    Random random = new Random(1907);
    for (int trial = 0; trial < 20; trial++) {
      double[] years = new double[60];
      double all = 0;
      for (int y = 0; y < years.length; y++) {
        years[y] = random.nextDouble() * Math.exp(-Math.pow((y - 25) / 12.0, 2));
        all += years[y];
      }
      Truth truth = new Truth(Map.of(), Map.of(), List.of(), Map.of(), 1880, years);
      int from = 0;
      int to = 0;
      double least = Double.MAX_VALUE;
      for (int a = 1880; a < 1940; a++) {
        for (int b = a; b < 1940; b++) {
          if (Scores.years(a, b, truth) < least) {
            least = Scores.years(a, b, truth);
            from = a;
            to = b;
          }
        }
      }
      assertThat(truth.between(1880, from - 1) / all).isLessThanOrEqualTo(0.05);
      assertThat(truth.between(1880, from) / all).isGreaterThanOrEqualTo(0.05);
      assertThat(truth.between(to + 1, 1940) / all).isLessThanOrEqualTo(0.05);
      assertThat(truth.between(to, 1940) / all).isGreaterThanOrEqualTo(0.05);
    }
  }
}
