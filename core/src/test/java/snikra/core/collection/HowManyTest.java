package snikra.core.collection;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.stream.DoubleStream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;

class HowManyTest {

  // The oracle goes over all ways in which the knives may be of the kind or not.
  @Property(tries = 200)
  void agreesWithEveryWayItMayBe(
      @ForAll @Size(max = 10) List<@DoubleRange(min = 0, max = 1) Double> knives,
      @ForAll @DoubleRange(min = 0.01, max = 0.99) double asked) {
    double[] chances = knives.stream().mapToDouble(p -> p).toArray();
    double[] by = new double[chances.length + 1];
    for (int way = 0; way < 1 << chances.length; way++) {
      double chance = 1;
      for (int i = 0; i < chances.length; i++) {
        chance *= (way >> i & 1) == 1 ? chances[i] : 1 - chances[i];
      }
      by[Integer.bitCount(way)] += chance;
    }
    int told = HowMany.of(chances).quantile(asked);
    assertThat(Arrays.stream(by, 0, told).sum()).isLessThan(asked + 1e-9);
    assertThat(Arrays.stream(by, 0, told + 1).sum()).isGreaterThan(asked - 1e-9);
  }

  @Test
  void whatIsSureIsOneNumber() {
    assertThat(HowMany.of(new double[] {1, 1, 0}).quantile(0.05)).isEqualTo(2);
    assertThat(HowMany.of(new double[] {1, 1, 0}).quantile(0.95)).isEqualTo(2);
    assertThat(HowMany.of(new double[0]).quantile(0.95)).isZero();
  }

  @Test
  void veryManyAreAsABinomialSays() {
    double[] even = DoubleStream.generate(() -> 0.5).limit(10_000).toArray();
    // 5,000 less 1.645 standard deviations of 50.
    assertThat(HowMany.of(even).quantile(0.05)).isBetween(4917, 4918);
    assertThat(HowMany.of(even).quantile(0.95)).isBetween(5082, 5083);
  }
}
