package snikra.benchmarks;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.function.ToDoubleFunction;
import snikra.core.reference.ReferenceShelf;
import snikra.core.specimen.ComparableSale;
import snikra.core.value.Appraiser;
import snikra.core.value.MadeUpMarket;
import snikra.core.value.MadeUpMarket.Drawn;
import snikra.core.value.MarketCheck;
import snikra.core.value.MarketCheck.Found;
import snikra.formats.ShippedShelf;

/**
 * Appraises made-up knives by 2,000 made-up sales and prints how often the ranges hold what they
 * bring, and how long an appraisal against 5,000 sales takes.
 */
public final class MarketReport {
  private static final int SALES = 2000;
  private static final int KNIVES = 400;
  private static final int TRADES = 5;
  private static final int FIRST = 1917;
  private static final int MANY = 5000;
  private static final int TIMED = 60;
  private static final double NANOS_PER_MS = 1e6;

  private MarketReport() {}

  private static MadeUpMarket market(ReferenceShelf shelf, int trade) {
    return new MadeUpMarket(FIRST + trade, shelf.condition().grades(), 25, 20, 6, 2026);
  }

  private static double mean(List<Found> found, ToDoubleFunction<Found> of) {
    return found.stream().mapToDouble(of).average().orElse(0);
  }

  public static void main(String[] args) {
    ReferenceShelf shelf = ShippedShelf.load();
    Appraiser appraiser = new Appraiser(shelf, 2026);
    List<Drawn> knives = new ArrayList<>();
    for (int most : new int[] {1, 3, 10, 30, 100, SALES}) {
      List<Found> found = new ArrayList<>();
      for (int trade = 0; trade < TRADES; trade++) {
        MadeUpMarket market = market(shelf, trade);
        List<Drawn> known = market.sales(SALES);
        knives = market.sales(KNIVES);
        found.add(MarketCheck.on(appraiser, known, knives, most));
      }
      System.out.printf(
          Locale.ROOT,
          "%,d sales at hand: wide range holds %.1f%%, narrow %.1f%%, %.1f times from end to end;"
              + " middle off by %.0f%%, the sale most alike %.0f%%, the middle of all %.0f%%,"
              + " weighed by what they have in common %.0f%%%n",
          most,
          100 * mean(found, Found::nineTenths),
          100 * mean(found, Found::half),
          mean(found, Found::width),
          100 * mean(found, Found::error),
          100 * mean(found, Found::nearest),
          100 * mean(found, Found::plain),
          100 * mean(found, Found::former));
    }
    MadeUpMarket market = market(shelf, 0);
    List<ComparableSale> many = market.sales(MANY).stream().map(Drawn::told).toList();
    double[] took = new double[TIMED];
    for (int i = 0; i < TIMED; i++) {
      long begun = System.nanoTime();
      appraiser.appraise(MadeUpMarket.subject(knives.get(i).whole()), many);
      took[i] = (System.nanoTime() - begun) / NANOS_PER_MS;
    }
    double[] warm = Arrays.copyOfRange(took, TIMED / 2, TIMED);
    Arrays.sort(warm);
    System.out.printf(
        Locale.ROOT,
        "An appraisal against %,d sales: %.1f ms in the middle, %.1f at nine in ten%n",
        MANY,
        warm[warm.length / 2],
        warm[warm.length * 9 / 10]);
  }
}
