package snikra.core.value;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.hipparchus.distribution.continuous.NormalDistribution;
import org.junit.jupiter.api.Test;

class BellTest {
  private static final double BILLIONTH = 1e-9;

  @Property
  void isThatOfTheTablesToABillionth(@ForAll @DoubleRange(min = -9, max = 9) double away) {
    assertThat(Bell.below(away))
        .isCloseTo(new NormalDistribution().cumulativeProbability(away), within(BILLIONTH));
  }

  @Test
  void farAwayIsAllOrNothing() {
    assertThat(Bell.below(8)).isEqualTo(1);
    assertThat(Bell.below(-8)).isZero();
    assertThat(Bell.below(Math.nextDown(8))).isCloseTo(1, within(BILLIONTH));
    assertThat(Bell.below(Double.POSITIVE_INFINITY)).isEqualTo(1);
    assertThat(Bell.below(Double.NEGATIVE_INFINITY)).isZero();
  }
}
