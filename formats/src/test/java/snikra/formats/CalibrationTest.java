package snikra.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import snikra.core.dating.Calibration;
import snikra.core.dating.Reliability;
import snikra.core.dating.Sampler;

/** On the shelf as shipped: the model is right as often as it says. */
class CalibrationTest {
  private static final int KNIVES = 2000;
  private static final long SEED = 1917;
  private final Calibration calibration = new Calibration(ShippedShelf.load(), 2026);

  @Test
  void spansAndProbabilitiesAreRightAsOftenAsTheySay() {
    // More than the 2,000 asked for: with so few one seed in a hundred is out by chance alone.
    int many = 3 * KNIVES;
    Calibration.Report report = calibration.run(many, SEED, new Sampler.Care(0.3, 0.3, 0));
    assertThat(report.nineTenths().was()).isBetween(0.87, 0.93);
    assertThat(report.half().was()).isBetween(0.46, 0.54);
    for (Calibration.SpansHeld held : List.of(report.half(), report.nineTenths())) {
      // Twice what is let through nineteen times in twenty: once for these knives, never for a
      // fault.
      assertThat(held.was()).isCloseTo(held.said(), within(2 * held.chance()));
      assertThat(held.chance()).isBetween(0.3 / Math.sqrt(many), 1.01 / Math.sqrt(many));
    }
    assertThat(report.half().said()).isBetween(0.5, 0.58);
    assertThat(report.nineTenths().said()).isBetween(0.9, 0.93);
    assertThat(report.maker().expectedError()).isLessThan(0.03);
    assertThat(report.state().expectedError()).isLessThan(0.03);
    assertThat(report.maker().tenths().stream().mapToInt(Reliability.Tenth::count).sum())
        .isEqualTo(many);
  }

  @Test
  void spansStillHoldWhereATenthOfTheLooksIsTakenForSurerThanItIs() {
    Calibration.Report report = calibration.run(KNIVES, SEED, new Sampler.Care(0.3, 0.3, 0.1));
    assertThat(report.nineTenths().was()).isGreaterThan(0.85);
  }

  @Test
  void whatIsLookedAtMakesSpansShorter() {
    List<Calibration.Sharpness> sharpness =
        calibration.sharpness(120, SEED, new Sampler.Care(0.6, 0.3, 0));
    double all = sharpness.get(0).years();
    assertThat(sharpness.get(0).station()).isNull();
    assertThat(sharpness.subList(1, sharpness.size()))
        .hasSizeGreaterThan(3)
        .anyMatch(s -> s.years() > all + 2 && s.surely())
        .allMatch(s -> s.years() >= all - 2 || !s.surely());
  }

  @Test
  void theSameSeedDrawsTheSameKnives() {
    Sampler sampler = new Sampler(ShippedShelf.load(), 2026);
    Sampler.Care care = new Sampler.Care(0.5, 0.3, 0);
    SplittableRandom one = new SplittableRandom(SEED);
    SplittableRandom other = new SplittableRandom(SEED);
    for (int i = 0; i < 20; i++) {
      Sampler.Drawn a = sampler.draw(one, care);
      Sampler.Drawn b = sampler.draw(other, care);
      assertThat(a.year()).isEqualTo(b.year());
      assertThat(a.evidence().observed()).isEqualTo(b.evidence().observed());
    }
  }
}
