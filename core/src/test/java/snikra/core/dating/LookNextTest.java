package snikra.core.dating;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static snikra.core.fixture.KnifeBuilder.aKnife;
import static snikra.core.fixture.KnifeBuilder.anOldLookingCampKnife;

import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import snikra.core.dating.DatingVerdict.NextLook;

class LookNextTest {
  private static final String MAIN_TANG = "the mark side of the main tang";

  private static double[] row(double... p) {
    return p;
  }

  private static Look answer(double[] years) {
    return Look.at("f", 0, false, 1, new double[][][] {{years, years}}, 0);
  }

  private static double[][][] weight(int way, double... years) {
    double[][][] weight = new double[1][Outlook.WAYS][years.length];
    weight[0][way] = years;
    return weight;
  }

  @Test
  void withNothingSeenTheMarkOnTheMainTangComesFirst() {
    List<NextLook> next =
        aKnife().notLookedAt(MAIN_TANG, "the pile side of the main tang").dated().lookNext();
    assertThat(next.get(0).station()).isEqualTo("marks");
    assertThat(next.get(0).label()).isEqualTo(MAIN_TANG);
    assertThat(next).extracting(NextLook::bits).allMatch(bits -> bits > 0);
  }

  @Test
  void wherePlacesTellTwoMarksApartTheFirstOfThemIsNamed() {
    DatingVerdict worn =
        aKnife().marked("ZWICKEL", "& DA_").notLookedAt("the pile side of the main tang").dated();
    NextLook mark =
        worn.lookNext().stream().filter(l -> l.feature().equals("marks")).findFirst().orElseThrow();
    assertThat(mark.label()).contains("again: line 2");
    DatingVerdict read =
        aKnife().marked("ZWICKEL", "& DAX").notLookedAt("the pile side of the main tang").dated();
    assertThat(read.lookNext())
        .filteredOn(l -> l.feature().equals("marks"))
        .allMatch(l -> l.bits() < 0.5 * mark.bits());
  }

  @Test
  void whatWasLookedAtIsNotAskedForAgain() {
    assertThat(anOldLookingCampKnife().dated().lookNext())
        .extracting(NextLook::feature)
        .contains("spacer")
        .doesNotContain("jigging", "punch", "opener", "lifter", "build");
  }

  @Test
  void aLookThatIsTheSameInAnyYearTellsNothing() {
    Outlook same = new Outlook(List.of(answer(row(0.3, 0.3)), answer(row(0.7, 0.7))), 8);
    assertThat(same.bits(new Weighed(weight(Outlook.AS_MADE, 0.5, 0.5), 8)))
        .isCloseTo(0, within(1e-12));
  }

  @Test
  void aLookThatTellsTwoYearsApartIsWorthOneBit() {
    Outlook sharp = new Outlook(List.of(answer(row(1, 0)), answer(row(0, 1))), 8);
    assertThat(sharp.bits(new Weighed(weight(Outlook.AS_MADE, 0.5, 0.5), 8)))
        .isCloseTo(1, within(1e-12));
    // By hand: H(0.9) of the answer, for the year is nearly known.
    double known = -(0.9 * Math.log(0.9) + 0.1 * Math.log(0.1)) / Math.log(2);
    assertThat(sharp.bits(new Weighed(weight(Outlook.AS_MADE, 0.9, 0.1), 8)))
        .isCloseTo(known, within(1e-12));
  }

  @Test
  void aPartPutOnLaterTellsLessOfTheKnife() {
    Outlook sharp = new Outlook(List.of(answer(row(1, 0)), answer(row(0, 1))), 8);
    // Put on in either year if the knife is of the first: H(3/4) - 1/2.
    double expected = -(0.75 * Math.log(0.75) + 0.25 * Math.log(0.25)) / Math.log(2) - 0.5;
    assertThat(sharp.bits(new Weighed(weight(Outlook.REPLACED, 0.5, 0.5), 8)))
        .isCloseTo(expected, within(1e-12));
  }

  @Test
  void whatALookTellsIsAsItIsYearByYear() {
    Random random = new Random(20261130);
    for (int round = 0; round < 200; round++) {
      int years = 1 + random.nextInt(40);
      double[][][][] p = steps(random, 2 + random.nextInt(4), years);
      List<Look> answers = Arrays.stream(p).map(a -> Look.at("f", 0, false, 1, a, 0)).toList();
      double[][][] weight = weights(random, years, 0);
      assertThat(new Outlook(answers, 8).bits(new Weighed(weight, 8)))
          .isCloseTo(yearByYear(p, weight), within(1e-12));
    }
  }

  @Test
  void yearsThatWeighNextToNothingChangeItByTenThousandthsOfABitAtMost() {
    Random random = new Random(20261201);
    double most = 0;
    for (int round = 0; round < 300; round++) {
      int years = 20 + random.nextInt(60);
      double[][][][] p = steps(random, 2 + random.nextInt(4), years);
      List<Look> answers = Arrays.stream(p).map(a -> Look.at("f", 0, false, 1, a, 0)).toList();
      double[][][] weight = weights(random, years, 9);
      double bits = new Outlook(answers, 8).bits(new Weighed(weight, 8));
      most = Math.max(most, Math.abs(bits - Math.max(0, yearByYear(p, weight))));
    }
    assertThat(most).isBetween(1e-9, 1e-4);
  }

  // By answer, region, style and year; it changes in some years and stands still in others.
  private static double[][][][] steps(Random random, int answers, int years) {
    double[][][][] p = new double[answers][2][2][years];
    boolean isOneStyle = random.nextBoolean();
    for (int region = 0; region < 2; region++) {
      for (int style = 0; style < 2; style++) {
        double[] now = new double[answers];
        for (int y = 0; y < years; y++) {
          if (y == 0 || random.nextInt(4) == 0) {
            Arrays.setAll(now, v -> random.nextDouble());
          }
          double sum = Arrays.stream(now).sum();
          for (int v = 0; v < answers; v++) {
            p[v][region][style][y] = now[v] / sum;
          }
        }
      }
      for (int v = 0; isOneStyle && v < answers; v++) {
        p[v][region][1] = p[v][region][0];
      }
    }
    return p;
  }

  // Of many years up to so many figures less than of others.
  private static double[][][] weights(Random random, int years, int figures) {
    double[][][] weight = new double[2][Outlook.WAYS][];
    double sum = 0;
    for (double[][] ofRegion : weight) {
      for (int way = 0; way < Outlook.WAYS; way++) {
        if (random.nextInt(3) > 0 || sum == 0) {
          ofRegion[way] =
              random
                  .doubles(years)
                  .map(w -> w * Math.pow(10, -figures * random.nextDouble()))
                  .toArray();
          sum += Arrays.stream(ofRegion[way]).sum();
        }
      }
    }
    for (double[][] ofRegion : weight) {
      for (double[] row : ofRegion) {
        for (int y = 0; row != null && y < years; y++) {
          row[y] /= sum;
        }
      }
    }
    return weight;
  }

  private static double yearByYear(double[][][][] p, double[][][] weight) {
    double[] told = new double[p.length];
    double left = 0;
    for (int region = 0; region < weight.length; region++) {
      for (int way = 0; way < Outlook.WAYS; way++) {
        for (int y = 0; weight[region][way] != null && y < weight[region][way].length; y++) {
          double by = weight[region][way][y];
          for (int v = 0; v < p.length; v++) {
            double shown = shown(p[v][region], way, y);
            told[v] += by * shown;
            left -= by * shown * Math.log(shown);
          }
        }
      }
    }
    return (-Arrays.stream(told).map(t -> t * Math.log(t)).sum() - left) / Math.log(2);
  }

  // A part put on later is of any year from then on, older stock of any of the eight before.
  private static double shown(double[][] styles, int way, int y) {
    double[] ofItsDay = styles[0];
    return switch (way) {
      case Outlook.OLD_STYLE -> styles[1][y];
      case Outlook.REPLACED -> mean(ofItsDay, y, ofItsDay.length);
      case Outlook.OLDER -> y == 0 ? ofItsDay[0] : mean(ofItsDay, Math.max(0, y - 8), y);
      default -> ofItsDay[y];
    };
  }

  private static double mean(double[] row, int from, int to) {
    return Arrays.stream(row, from, to).sum() / (to - from);
  }

  @Test
  void whatIsExpectedIsNoLessThanWhatTheYearsAloneWouldGain() {
    DatingVerdict before = anOldLookingCampKnife().dated();
    double bits =
        before.lookNext().stream()
            .filter(l -> l.feature().equals("spacer"))
            .mapToDouble(NextLook::bits)
            .sum();
    // The answers that would leave the years, taken together, as they are now.
    double[] none = anOldLookingCampKnife().with("spacer", "none").dated().curve();
    double[] plastic = anOldLookingCampKnife().with("spacer", "plastic").dated().curve();
    double[] metal = anOldLookingCampKnife().with("spacer", "metal").dated().curve();
    double least =
        Math.min(gained(none, before), Math.min(gained(plastic, before), gained(metal, before)));
    double most =
        Math.max(gained(none, before), Math.max(gained(plastic, before), gained(metal, before)));
    assertThat(bits).isBetween(least, most);
  }

  private static double gained(double[] after, DatingVerdict before) {
    double sum = 0;
    for (int y = 0; y < after.length; y++) {
      sum += after[y] > 0 ? after[y] * Math.log(after[y] / before.curve()[y]) : 0;
    }
    return sum / Math.log(2);
  }
}
