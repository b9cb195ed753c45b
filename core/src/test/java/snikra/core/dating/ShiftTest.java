package snikra.core.dating;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static snikra.core.fixture.KnifeBuilder.aKnife;

import org.junit.jupiter.api.Test;
import snikra.core.fixture.Shelf;

class ShiftTest {

  @Test
  void theSameVerdictDoesNotMove() {
    DatingVerdict verdict = aKnife().with("material", "bone").dated();
    Shift shift = Shift.between(verdict, verdict);
    assertThat(shift.share()).isZero();
    assertThat(shift.years()).isZero();
    assertThat(shift.tells(Shelf.judgement().with("told.moved", 1e-9))).isFalse();
  }

  @Test
  void aLaterLookMovesTheMiddleAndTheWayBackIsAsLong() {
    DatingVerdict before = aKnife().dated();
    DatingVerdict after = aKnife().with("spacer", "plastic").dated();
    Shift there = Shift.between(before, after);
    Shift back = Shift.between(after, before);

    assertThat(there.years()).isPositive().isEqualTo(after.median() - before.median());
    assertThat(back.years()).isEqualTo(-there.years());
    assertThat(back.share()).isCloseTo(there.share(), within(1e-12));
    assertThat(there.before()).isEqualTo(back.after());
    assertThat(there.tells(Shelf.judgement())).isTrue();
    assertThat(there.tells(Shelf.judgement().with("told.moved", 0.999))).isFalse();
  }

  @Test
  void aMakerThatTakesOverIsProbabilityThatLiesElsewhere() {
    DatingVerdict before = aKnife().dated();
    DatingVerdict after = aKnife().marked("THRALE", "WINDOVER").dated();
    Shift shift = Shift.between(before, after);
    double gained =
        after.makers().get(0).probability()
            - before.makers().stream()
                .filter(m -> m.label().equals(after.makers().get(0).label()))
                .mapToDouble(DatingVerdict.Attribution::probability)
                .sum();
    assertThat(shift.share()).isGreaterThanOrEqualTo(gained - 1e-9).isLessThanOrEqualTo(1);
    assertThat(shift.after().maker()).isEqualTo(after.makers().get(0).label());
  }

  @Test
  void probabilityOfYearsIsTheirPartOfTheCurve() {
    DatingVerdict verdict = aKnife().with("spacer", "plastic").dated();
    int last = verdict.firstYear() + verdict.curve().length - 1;
    assertThat(verdict.between(verdict.firstYear(), last)).isCloseTo(1, within(1e-9));
    assertThat(verdict.between(1000, 3000)).isCloseTo(1, within(1e-9));
    assertThat(verdict.between(1960, 1960)).isEqualTo(verdict.curve()[1960 - verdict.firstYear()]);
    assertThat(verdict.between(1960, 1950)).isZero();
    assertThat(verdict.between(3000, 4000)).isZero();
  }
}
