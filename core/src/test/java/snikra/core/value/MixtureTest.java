package snikra.core.value;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.Size;
import org.hipparchus.distribution.continuous.NormalDistribution;
import org.junit.jupiter.api.Test;
import snikra.core.value.Mixture.Part;

class MixtureTest {
  @Test
  void ofOneBellTheQuantilesAreThoseOfTheTables() {
    Mixture one = new Mixture(List.of(new Part(1, 4, 0.25)));
    assertThat(one.quantile(0.5)).isCloseTo(4, within(1e-5));
    assertThat(one.quantile(0.95)).isCloseTo(4 + 0.5 * 1.6448536, within(1e-5));
    assertThat(one.quantile(0.25)).isCloseTo(4 - 0.5 * 0.6744898, within(1e-5));
  }

  @Test
  void whatIsSureIsSure() {
    Mixture sure = new Mixture(List.of(new Part(0.5, 2, 0), new Part(0.5, 6, 0)));
    assertThat(sure.quantile(0.25)).isCloseTo(2, within(1e-4));
    assertThat(sure.quantile(0.75)).isCloseTo(6, within(1e-4));
  }

  @Test
  void itsMeanAndVarianceAreThoseOfAllOfThemTogether() {
    Mixture two = new Mixture(List.of(new Part(0.25, 2, 0.5), new Part(0.75, 6, 0.1)));
    assertThat(two.mean()).isEqualTo(5);
    assertThat(two.variance()).isCloseTo(0.25 * (0.5 + 9) + 0.75 * (0.1 + 1), within(1e-12));
    // One in a hundred thousand far off is still looked for where one asks for it.
    Mixture rare = new Mixture(List.of(new Part(1 - 1e-5, 0, 0.01), new Part(1e-5, 50, 0.01)));
    assertThat(rare.quantile(1 - 5e-6)).isCloseTo(50, within(0.01));
  }

  /** Below a quantile lies as much as it says, by another way of telling what lies below. */
  @Property(tries = 200)
  void belowAQuantileLiesAsMuchAsItSays(
      @ForAll @Size(4) List<@DoubleRange(min = 1, max = 9) Double> means,
      @ForAll @Size(4) List<@DoubleRange(min = 0.05, max = 2) Double> spreads,
      @ForAll @DoubleRange(min = 0.01, max = 0.99) double q) {
    double[] shares = {0.4, 0.3, 0.2, 0.1};
    List<Part> parts =
        java.util.stream.IntStream.range(0, shares.length)
            .mapToObj(i -> new Part(shares[i], means.get(i), Math.pow(spreads.get(i), 2)))
            .toList();
    double x = new Mixture(parts).quantile(q);
    double below = 0;
    for (Part p : parts) {
      below +=
          p.probability()
              * new NormalDistribution(p.mean(), Math.sqrt(p.variance())).cumulativeProbability(x);
    }
    assertThat(below).isCloseTo(q, within(1e-5));
  }
}
