package snikra.core.dating;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
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
  void aRowOfZerosIsTakenAsEven() {
    assertThat(Distribution.normalised(new double[4])).containsOnly(0.25);
  }
}
