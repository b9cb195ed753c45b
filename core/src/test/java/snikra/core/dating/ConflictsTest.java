package snikra.core.dating;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import snikra.core.dating.Conflicts.Curve;
import snikra.core.dating.DatingVerdict.Conflict;
import snikra.core.fixture.Shelf;

/** Clues that do not go together, on years counted by hand. */
class ConflictsTest {
  private static final YearAxis AXIS = new YearAxis(1900, 1939);
  private static final Limits LIMITS = Limits.of(Shelf.judgement());

  private static Curve years(String id, int from, int to) {
    double[] row = new double[AXIS.size()];
    Arrays.fill(row, from - AXIS.first(), to - AXIS.first() + 1, 0.25);
    return new Curve(id, id.toUpperCase(java.util.Locale.ROOT), Distribution.normalised(row));
  }

  private static List<Conflict> among(Limits limits, Curve... curves) {
    return new Conflicts(AXIS, limits, List.of(curves), (a, b) -> Optional.empty()).find();
  }

  @Test
  void twoApartAreNamedFromTheYoungerWithTheGapBetween() {
    assertThat(among(LIMITS, years("a", 1900, 1909), years("b", 1920, 1939)))
        .singleElement()
        .satisfies(
            c -> {
              assertThat(c.feature()).isEqualTo("b");
              assertThat(c.rival()).isEqualTo("a");
              // Nine tenths leave off a year of the ten and two of the twenty.
              assertThat(c.gap()).isBetween(11, 14);
              assertThat(c.overlap()).isZero();
              assertThat(c.resolvedProbability()).isZero();
            });
  }

  @Test
  void aPreciseDateWithinALongWindowIsNoConflict() {
    assertThat(among(LIMITS, years("a", 1900, 1939), years("b", 1920, 1920))).isEmpty();
  }

  /** One in twenty shared is the limit, and is not under it. */
  @Test
  void theLeastSharedIsANumberOfJudgement() {
    Curve a = years("a", 1900, 1919);
    Curve b = years("b", 1919, 1938);
    assertThat(among(LIMITS, a, b)).isEmpty();
    Limits stricter = parting(0.06, 0.6);
    assertThat(among(stricter, a, b)).hasSize(1);
  }

  /** Any two leave years that the third does not have, though each shares some with each. */
  @Test
  void oneAgainstTheRestIsNamedWithThoseThatPullAway() {
    Curve early = years("early", 1900, 1919);
    Curve late = years("late", 1915, 1934);
    Curve broken = years("broken", 1905, 1914);
    Arrays.fill(broken.years(), 25, 36, 0.1);
    assertThat(among(LIMITS, early, late, broken))
        .extracting(Conflict::feature, Conflict::rival)
        .containsExactly(tuple("late", "early"), tuple("broken", "early"), tuple("late", "broken"));
    Limits closer = parting(0.05, 0.5);
    assertThat(among(closer, early, late, broken))
        .extracting(Conflict::feature, Conflict::rival)
        .containsExactly(tuple("late", "early"));
  }

  private static Limits parting(double apart, double pulling) {
    return Limits.of(Shelf.judgement().with("told.apart", apart).with("told.pulling", pulling));
  }
}
