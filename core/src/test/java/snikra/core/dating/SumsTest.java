package snikra.core.dating;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.Random;
import org.junit.jupiter.api.Test;
import snikra.core.dating.Voice.PartCurves;

class SumsTest {
  private static final int YEARS = 7;

  private static PartCurves part(double original, double departs) {
    PartCurves part = PartCurves.empty(YEARS, false);
    for (int style = 0; style < 2; style++) {
      Arrays.fill(part.original()[style], original);
      part.least()[style] = original;
      for (int near = 0; near < 2; near++) {
        Arrays.fill(part.departs()[near][style], departs);
      }
    }
    return part;
  }

  private static Sums of(PartCurves... parts) {
    Sums sums = new Sums(YEARS);
    for (PartCurves part : parts) {
      sums.set(sums, part, true, true);
    }
    return sums;
  }

  private static Sums both(Sums some, Sums others) {
    return new Sums(YEARS).set(some, others, true, true);
  }

  @Test
  void ofThreePartsAreTheSymmetricSumsOfTheirWeights() {
    Sums sums = of(part(0.5, 2), part(0.5, 3), part(0.5, 5));

    assertThat(sums.one[0][0][3]).isEqualTo(2 + 3 + 5);
    assertThat(sums.two[1][3]).isEqualTo(2 * 3 + 2 * 5 + 3 * 5);
    assertThat(sums.asMade(0, 0)[3]).isEqualTo(0.125);
  }

  @Test
  void joinedFromTwoHalvesAreThoseOfTheWhole() {
    Random random = new Random(3);
    PartCurves[] parts =
        random.doubles(8).mapToObj(d -> part(0.01 + d, 10 * d)).toArray(PartCurves[]::new);
    Sums whole = of(parts);
    Sums joined = both(of(Arrays.copyOf(parts, 4)), of(Arrays.copyOfRange(parts, 4, 8)));

    assertThat(joined.one[0][0][0]).isCloseTo(whole.one[0][0][0], within(1e-9));
    assertThat(joined.two[0][0]).isCloseTo(whole.two[0][0], within(1e-7));
    assertThat(joined.asMade(0, 0)[0] / whole.asMade(0, 0)[0]).isCloseTo(1, within(1e-12));
  }

  @Test
  void loseNothingHoweverUnlikelyTheParts() {
    PartCurves[] parts = new PartCurves[12];
    Arrays.fill(parts, part(Sums.LEAST, 0));
    Sums sums = of(parts);
    int scale = sums.chunks[0][0];

    assertThat(scale).isEqualTo(7);
    assertThat(sums.asMade(0, scale)[0]).isGreaterThan(0).isLessThan(1);
    double log = Math.log10(sums.asMade(0, scale)[0]) - 600 * scale * Math.log10(2);
    assertThat(log).isCloseTo(-120 * 12, within(1e-6));
  }

  @Test
  void wideApartInLikelihoodTheLesserIsNothingOnTheScaleOfTheGreater() {
    Sums unlikely = of(part(Sums.LEAST, 0), part(Sums.LEAST, 0));
    assertThat(unlikely.asMade(1, 0)[2]).isLessThan(1e-200);
    assertThat(unlikely.asMade(1, unlikely.chunks[1][2])[2]).isGreaterThan(1e-100);
    assertThat(both(both(unlikely, of()), unlikely).chunks[1][2]).isEqualTo(2);
  }
}
