package snikra.core.dating;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;

class DistributionTest {
  private static final YearAxis AXIS = new YearAxis(2000, 2019);

  @Property(tries = 300)
  void aSpanHoldsAtLeastItsShareAndNoYearLessLikelyThanOneLeftOut(
      @ForAll @Size(20) List<@DoubleRange(min = 0, max = 1) Double> weights,
      @ForAll @DoubleRange(min = 0.1, max = 0.95) double share) {
    double[] p = Distribution.normalised(weights.stream().mapToDouble(w -> w).toArray());
    Span span = Distribution.highestDensity(p, share, AXIS);

    double held = 0;
    double leastIn = 1;
    double mostOut = 0;
    for (int y = 0; y < p.length; y++) {
      if (contains(span, AXIS.year(y))) {
        held += p[y];
        leastIn = Math.min(leastIn, p[y]);
      } else {
        mostOut = Math.max(mostOut, p[y]);
      }
    }
    assertThat(held).isGreaterThanOrEqualTo(share - 1e-9);
    assertThat(leastIn).isGreaterThanOrEqualTo(mostOut - 1e-9);
  }

  private static boolean contains(Span span, int year) {
    return span.pieces().stream().anyMatch(p -> year >= p.from() && year <= p.to());
  }

  @Test
  void twoHumpsGiveTwoPieces() {
    double[] p = new double[20];
    p[2] = 0.5;
    p[15] = 0.5;
    assertThat(Distribution.highestDensity(p, 0.9, AXIS).pieces())
        .containsExactly(new Span.Piece(2002, 2002), new Span.Piece(2015, 2015));
  }

  private static double[] row(double... values) {
    return Distribution.normalised(values);
  }

  private static List<Span.Piece> half(double... values) {
    return Distribution.highestDensity(row(values), 0.5, new YearAxis(2000, 1999 + values.length))
        .pieces();
  }

  @Test
  void ofYearsAsLikelyAsOneAnotherTheMiddleOnesStandIn() {
    assertThat(half(0, 1, 1, 1, 1, 1, 1, 1, 1, 0)).containsExactly(new Span.Piece(2003, 2006));
    double little = 1 + 1e-11;
    assertThat(half(0, little, 1, 1, little, 1, 1, little, 1, 0))
        .containsExactly(new Span.Piece(2003, 2006));
  }

  @Test
  void levelYearsBesideAHigherPieceStandInBeforeThoseAway() {
    assertThat(half(1, 1, 0, 0, 0, 1, 3, 1, 0, 1)).containsExactly(new Span.Piece(2005, 2006));
  }

  private static List<Span.Piece> told(double... values) {
    return Distribution.span(row(values), 0.9, new YearAxis(2000, 1999 + values.length)).pieces();
  }

  @Test
  void piecesAreToldOnlyWhereTheGapBetweenThemIsReal() {
    assertThat(told(9, 9, 1, 1, 9, 9)).containsExactly(new Span.Piece(2000, 2005));
    assertThat(told(9, 9, 1, 1, 1, 9, 9))
        .containsExactly(new Span.Piece(2000, 2001), new Span.Piece(2005, 2006));
    // Half of the lower edge is no real gap, however long; half of the higher edge is none to ask.
    assertThat(told(40, 9, 5, 5, 5, 40, 40)).containsExactly(new Span.Piece(2000, 2006));
    assertThat(told(40, 40, 5, 5, 5, 40, 40))
        .containsExactly(new Span.Piece(2000, 2001), new Span.Piece(2005, 2006));
  }

  @Test
  void exactlyHalfOfTheLowerEdgeIsNoGap() {
    YearAxis axis = new YearAxis(2000, 2006);
    assertThat(Distribution.span(row(8, 8, 4, 4, 4, 8, 8), 0.7, axis).pieces()).hasSize(1);
    assertThat(Distribution.span(row(8, 8, 3.9, 3.9, 3.9, 8, 8), 0.7, axis).pieces()).hasSize(2);
  }

  @Test
  void yearsClosedInLetTheSpanBeShorter() {
    YearAxis axis = new YearAxis(2000, 2004);
    double[] p = row(5, 5, 4, 5, 5);
    Span span = Distribution.span(p, 0.75, axis);
    assertThat(span.pieces()).hasSize(1);
    Span.Piece piece = span.pieces().get(0);
    assertThat(piece.to() - piece.from()).as("19 of 24 in four years").isEqualTo(3);
    assertThat(span.share()).isEqualTo(0.75);
  }

  @Property(tries = 300)
  void aSpanAsToldHoldsItsShareWithNoGapThatIsNoneAndIsNoLongerThanItNeeds(
      @ForAll @Size(20) List<@DoubleRange(min = 0, max = 1) Double> weights,
      @ForAll @DoubleRange(min = 0.1, max = 0.95) double share) {
    double[] p = Distribution.normalised(weights.stream().mapToDouble(w -> w).toArray());
    List<Span.Piece> told = Distribution.span(p, share, AXIS).pieces();
    List<Span.Piece> exact = Distribution.highestDensity(p, share, AXIS).pieces();
    assertThat(held(p, told)).isGreaterThanOrEqualTo(share - 1e-9);
    assertThat(length(told)).isBetween(length(exact), length(List.copyOf(closedUp(p, exact))));
    assertThat(closedUp(p, told)).isEqualTo(told);
  }

  private static double held(double[] p, List<Span.Piece> pieces) {
    double held = 0;
    for (int y = 0; y < p.length; y++) {
      int year = AXIS.year(y);
      held += pieces.stream().anyMatch(s -> year >= s.from() && year <= s.to()) ? p[y] : 0;
    }
    return held;
  }

  private static int length(List<Span.Piece> pieces) {
    return pieces.stream().mapToInt(s -> s.to() - s.from() + 1).sum();
  }

  // With each gap closed in which fewer than three years lie under half of the lower edge.
  private static List<Span.Piece> closedUp(double[] p, List<Span.Piece> pieces) {
    List<Span.Piece> out = new ArrayList<>();
    for (Span.Piece next : pieces) {
      Span.Piece last = out.isEmpty() ? null : out.get(out.size() - 1);
      if (last == null || low(p, last.to() - 2000, next.from() - 2000) >= 3) {
        out.add(next);
      } else {
        out.set(out.size() - 1, new Span.Piece(last.from(), next.to()));
      }
    }
    return out;
  }

  private static long low(double[] p, int from, int to) {
    return IntStream.range(from + 1, to).filter(y -> p[y] < Math.min(p[from], p[to]) / 2).count();
  }

  @Test
  void aLevelYearBesideWhatIsInGoesBeforeOneNearerTheMiddleOfAllThatAreLevel() {
    assertThat(half(1, 0, 0, 0, 1, 0, 0, 0, 2.9, 1)).containsExactly(new Span.Piece(2008, 2009));
    assertThat(half(1, 2.9, 0, 0, 0, 1, 0, 0, 0, 1)).containsExactly(new Span.Piece(2000, 2001));
    assertThat(half(2.9, 1, 0, 0, 0, 1, 0, 0, 0, 1)).containsExactly(new Span.Piece(2000, 2001));
  }

  @Test
  void sumsOverARowAreWhatTheyAreCalled() {
    double[] p = {0.1, 0.2, 0.7};
    assertThat(Distribution.quantile(p, 0.1)).isZero();
    assertThat(Distribution.quantile(p, 0.11)).isEqualTo(1);
    assertThat(Distribution.quantile(p, 0.9)).isEqualTo(2);
    assertThat(Distribution.quantile(p, 1.1)).isEqualTo(2);
    assertThat(Distribution.mode(new double[] {1, 3, 2, 3})).isEqualTo(1);
    assertThat(Distribution.overlap(p, new double[] {0.7, 0.2, 0.1})).isCloseTo(0.4, within(1e-12));
    double[] even = {0.5, 0.5};
    double[] sure = {1, 0};
    assertThat(Distribution.bitsLost(sure, even)).isCloseTo(1, within(1e-12));
    assertThat(Distribution.bitsLost(even, sure)).isZero();
    assertThat(Distribution.bitsLost(even, even)).isZero();
  }

  @Test
  void aRowOfZerosIsTakenAsEven() {
    assertThat(Distribution.normalised(new double[4])).containsOnly(0.25);
  }
}
