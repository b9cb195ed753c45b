package snikra.core.dating;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import snikra.core.dating.Voice.PartCurves;

class SumsTest {
  private static final int YEARS = 7;

  private static PartCurves part(double original, double departs) {
    PartCurves part = PartCurves.empty(YEARS);
    for (int style = 0; style < 2; style++) {
      Arrays.fill(part.original()[style], original);
      for (int near = 0; near < 2; near++) {
        Arrays.fill(part.departs()[near][style], departs);
      }
    }
    return part;
  }

  @Test
  void ofThreePartsAreTheSymmetricSumsOfTheirWeights() {
    Sums sums = new Sums(YEARS).and(part(0.5, 2)).and(part(0.5, 3)).and(part(0.5, 5));

    assertThat(sums.one[0][0][3]).isEqualTo(2 + 3 + 5);
    assertThat(sums.two[1][1][3]).isEqualTo(2 * 3 + 2 * 5 + 3 * 5);
    assertThat(sums.asMade(0, 0)[3]).isEqualTo(0.125);
  }

  @Test
  void joinedFromTwoHalvesAreThoseOfTheWhole() {
    Random random = new Random(3);
    List<PartCurves> parts = random.doubles(8).mapToObj(d -> part(0.01 + d, 10 * d)).toList();
    Sums left = new Sums(YEARS);
    Sums right = new Sums(YEARS);
    Sums whole = new Sums(YEARS);
    for (int i = 0; i < parts.size(); i++) {
      left = i < 4 ? left.and(parts.get(i)) : left;
      right = i < 4 ? right : right.and(parts.get(i));
      whole = whole.and(parts.get(i));
    }
    Sums joined = left.and(right);

    assertThat(joined.one[0][0][0]).isCloseTo(whole.one[0][0][0], within(1e-9));
    assertThat(joined.two[0][0][0]).isCloseTo(whole.two[0][0][0], within(1e-7));
    assertThat(joined.asMade(0, 0)[0] / whole.asMade(0, 0)[0]).isCloseTo(1, within(1e-12));
  }

  @Test
  void loseNothingHoweverUnlikelyTheParts() {
    Sums sums = new Sums(YEARS);
    for (int i = 0; i < 12; i++) {
      sums = sums.and(part(Sums.LEAST, 0));
    }
    int scale = sums.chunks[0][0];

    assertThat(scale).isEqualTo(7);
    assertThat(sums.asMade(0, scale)[0]).isGreaterThan(0).isLessThan(1);
    double log = Math.log10(sums.asMade(0, scale)[0]) - 600 * scale * Math.log10(2);
    assertThat(log).isCloseTo(-120 * 12, within(1e-6));
  }

  @Test
  void wideApartInLikelihoodTheLesserIsNothingOnTheScaleOfTheGreater() {
    Sums unlikely = new Sums(YEARS).and(part(Sums.LEAST, 0)).and(part(Sums.LEAST, 0));
    assertThat(unlikely.asMade(1, 0)[2]).isLessThan(1e-200);
    assertThat(unlikely.asMade(1, unlikely.chunks[1][2])[2]).isGreaterThan(1e-100);
  }
}
