package snikra.core.mark;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** When a mark was in use, out of knives that bear it. */
class MarkEraTest {
  private static final double MEAN = 18;

  private static double[] around(int years, double middle, double spread) {
    double[] likely = new double[years];
    for (int y = 0; y < years; y++) {
      double z = (y - middle) / spread;
      likely[y] = Math.exp(-z * z / 2);
    }
    return likely;
  }

  /** As the sums are written, without a shortcut. */
  private static double[][] byHand(List<double[]> likely, double mean) {
    int years = likely.get(0).length;
    double[][] p = new double[years][years];
    double all = 0;
    for (int a = 0; a < years; a++) {
      for (int b = a; b < years; b++) {
        p[a][b] = Math.exp(-(b - a) / mean);
        for (double[] knife : likely) {
          double sum = 0;
          for (int y = a; y <= b; y++) {
            sum += knife[y];
          }
          p[a][b] *= sum / (b - a + 1);
        }
        all += p[a][b];
      }
    }
    for (double[] row : p) {
      for (int b = 0; b < years; b++) {
        row[b] /= all;
      }
    }
    return p;
  }

  @Test
  void itIsExactAgainstEveryUseThereMayBe() {
    Random random = new Random(3);
    for (int trial = 0; trial < 30; trial++) {
      int years = 14;
      List<double[]> likely = new ArrayList<>();
      for (int k = 0; k < 1 + trial % 4; k++) {
        double[] knife = new double[years];
        for (int y = 0; y < years; y++) {
          knife[y] = random.nextDouble();
        }
        likely.add(knife);
      }
      double[][] p = byHand(likely, MEAN);
      MarkEra told = MarkEra.of(1900, likely, MEAN);
      assertThat(within(p, told.within().from() - 1900, told.within().to() - 1900))
          .isGreaterThanOrEqualTo(0.9);
      int wide = told.within().to() - told.within().from();
      for (int a = 0; a < years; a++) {
        for (int b = a; b < Math.min(years, a + wide); b++) {
          assertThat(within(p, a, b)).as("a shorter one").isLessThan(0.9);
        }
      }
      assertThat(told.first().middle()).isEqualTo(1900 + firstHalf(p));
    }
  }

  private static double within(double[][] p, int from, int to) {
    double sum = 0;
    for (int a = from; a <= to; a++) {
      for (int b = a; b <= to; b++) {
        sum += p[a][b];
      }
    }
    return sum;
  }

  private static int firstHalf(double[][] p) {
    double sum = 0;
    for (int a = 0; a < p.length; a++) {
      for (double q : p[a]) {
        sum += q;
      }
      if (sum >= 0.5) {
        return a;
      }
    }
    throw new AssertionError();
  }

  @Test
  void theTrueUseLiesWithinAsOftenAsItSays() {
    Random random = new Random(1912);
    int held = 0;
    int trials = 600;
    for (int trial = 0; trial < trials; trial++) {
      int years = 160;
      int length = 1 + (int) Math.floor(-MEAN * Math.log(1 - random.nextDouble()));
      int first = random.nextInt(years);
      int last = first + length - 1;
      if (last >= years) {
        trial--;
        continue;
      }
      List<double[]> likely = new ArrayList<>();
      for (int k = 0; k < 1 + random.nextInt(5); k++) {
        double spread = 3 + 10 * random.nextDouble();
        double made = first + random.nextInt(length);
        likely.add(around(years, made + spread * random.nextGaussian(), spread));
      }
      MarkEra told = MarkEra.of(0, likely, MEAN);
      held += told.within().from() <= first && last <= told.within().to() ? 1 : 0;
    }
    assertThat(100.0 * held / trials).isBetween(87.0, 93.0);
  }

  @Test
  void withEachKnifeTheYearsCloseIn() {
    List<double[]> likely = new ArrayList<>();
    int before = Integer.MAX_VALUE;
    for (int k = 0; k < 4; k++) {
      likely.add(around(160, 70 + 3 * k, 4));
      MarkEra told = MarkEra.of(1850, List.copyOf(likely), MEAN);
      int wide = told.within().to() - told.within().from();
      assertThat(wide).isLessThanOrEqualTo(before);
      before = wide;
    }
  }

  @Test
  void howLongAMarkIsUsedInTheMeanCounts() {
    List<double[]> one = List.of(around(160, 80, 5));
    MarkEra brief = MarkEra.of(1850, one, 5);
    MarkEra lasting = MarkEra.of(1850, one, 40);
    assertThat(lasting.within().to() - lasting.within().from())
        .isGreaterThan(brief.within().to() - brief.within().from());
    assertThat(lasting.give()).isGreaterThan(brief.give());
  }
}
