package snikra.core.value;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import snikra.core.specimen.ComparableSale;
import snikra.core.value.MadeUpMarket.Drawn;

/**
 * How often a range holds what a knife brings, and how far its middle is off, beside what one would
 * do without: take the sale most alike, or the middle of all; and beside how knives were valued
 * here at first.
 */
public final class MarketCheck {
  private MarketCheck() {}

  /**
   * What was found.
   *
   * @param half share of knives that brought what lies in the narrow range
   * @param nineTenths share that brought what lies in the wide one
   * @param error by what factor less one the middle is off, in the middle of all knives
   * @param nearest the same for the sale most alike
   * @param plain the same for the middle of all sales
   * @param former the same for sales weighed by what they have in common, as was done here at first
   * @param width of the wide range, as the factor from its low end to its high one, in the middle
   */
  public record Found(
      int knives,
      double half,
      double nineTenths,
      double error,
      double nearest,
      double plain,
      double former,
      double width) {}

  /**
   * Appraises knives of which all is known by sales of others.
   *
   * @param known sales that are known, as they were told
   * @param knives what was in truth paid for them
   * @param most at the most so many of the sales are at hand: those most alike in name
   */
  public static Found on(Appraiser appraiser, List<Drawn> known, List<Drawn> knives, int most) {
    Tally tally = new Tally(appraiser);
    for (Drawn knife : knives) {
      List<ComparableSale> sales = atHand(knife.whole(), known, most);
      tally.add(knife.whole(), sales, knife.paid());
    }
    return tally.found();
  }

  /** What was found so far. */
  private static final class Tally {
    private final Appraiser appraiser;
    private final LikelyMiddle atFirst;
    private int half;
    private int wide;
    private final List<Double> own = new ArrayList<>();
    private final List<Double> nearest = new ArrayList<>();
    private final List<Double> plain = new ArrayList<>();
    private final List<Double> former = new ArrayList<>();
    private final List<Double> widths = new ArrayList<>();

    Tally(Appraiser appraiser) {
      this.appraiser = appraiser;
      this.atFirst = new LikelyMiddle(appraiser.condition());
    }

    void add(ComparableSale knife, List<ComparableSale> sales, double paid) {
      ValueVerdict v = appraiser.appraise(MadeUpMarket.subject(knife), sales);
      if (v.middle() == null) {
        return;
      }
      half += within(paid, v.low(), v.high());
      wide += within(paid, v.lowest(), v.highest());
      own.add(off(v.middle().doubleValue(), paid));
      widths.add(v.highest().doubleValue() / v.lowest().doubleValue());
      ValueVerdict.Weighed closest =
          v.sales().stream()
              .max(Comparator.comparingDouble(ValueVerdict.Weighed::weight))
              .orElseThrow();
      nearest.add(off(closest.adjusted().doubleValue(), paid));
      double[] all = v.sales().stream().mapToDouble(s -> s.price().doubleValue()).toArray();
      plain.add(off(middle(all), paid));
      former.add(off(atFirst.of(knife, sales), paid));
    }

    Found found() {
      int n = own.size();
      return n == 0
          ? new Found(0, 0, 0, 0, 0, 0, 0, 0)
          : new Found(
              n,
              half / (double) n,
              wide / (double) n,
              middle(own),
              middle(nearest),
              middle(plain),
              middle(former),
              middle(widths));
    }
  }

  /**
   * Appraises each of some sales by all the others: how far one may trust what these sales say.
   *
   * @param most so many are left out in turn, spread evenly over the book
   */
  public static Found leavingOneOut(Appraiser appraiser, List<ComparableSale> sales, int most) {
    int step = Math.max(1, (sales.size() + most - 1) / most);
    Tally tally = new Tally(appraiser);
    for (int i = 0; i < sales.size(); i += step) {
      List<ComparableSale> others = new ArrayList<>(sales);
      ComparableSale left = others.remove(i);
      tally.add(left, others, appraiser.today(left));
    }
    return tally.found();
  }

  // Who looks for sales looks for the name first.
  private static List<ComparableSale> atHand(ComparableSale knife, List<Drawn> known, int most) {
    return known.stream()
        .map(Drawn::told)
        .sorted(Comparator.comparingInt((ComparableSale s) -> -alike(knife, s)))
        .limit(most)
        .toList();
  }

  private static int alike(ComparableSale a, ComparableSale b) {
    int maker = a.maker() != null && a.maker().equals(b.maker()) ? 2 : 0;
    return maker + (a.pattern() != null && a.pattern().equals(b.pattern()) ? 1 : 0);
  }

  private static int within(double paid, java.math.BigDecimal low, java.math.BigDecimal high) {
    return paid >= low.doubleValue() && paid <= high.doubleValue() ? 1 : 0;
  }

  private static double off(double said, double paid) {
    return Math.exp(Math.abs(Math.log(said / paid))) - 1;
  }

  private static double middle(List<Double> of) {
    return middle(of.stream().mapToDouble(d -> d).toArray());
  }

  private static double middle(double[] of) {
    double[] sorted = of.clone();
    Arrays.sort(sorted);
    int n = sorted.length;
    return n % 2 == 1 ? sorted[n / 2] : (sorted[n / 2 - 1] + sorted[n / 2]) / 2;
  }
}
