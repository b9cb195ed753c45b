package snikra.benchmarks;

import java.util.List;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Level;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import snikra.core.reference.ReferenceShelf;
import snikra.core.specimen.ComparableSale;
import snikra.core.value.Appraiser;
import snikra.core.value.MadeUpMarket;
import snikra.core.value.MadeUpMarket.Drawn;
import snikra.core.value.ValueVerdict;
import snikra.formats.ShippedShelf;

/**
 * One appraisal of one of a hundred made-up knives by a sales book: no two after one another are
 * the same, so that with many sales each is held against others.
 */
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 4, time = 2)
@Measurement(iterations = 6, time = 2)
@Fork(1)
@State(Scope.Thread)
public class AppraisalBenchmark {
  private static final int KNIVES = 100;

  /** Sales in the book. */
  @Param({"40", "5000"})
  int sales;

  private Appraiser appraiser;
  private List<Appraiser.Subject> knives;
  private List<ComparableSale> book;
  private int next;

  @Setup(Level.Trial)
  public void layOut() {
    ReferenceShelf shelf = ShippedShelf.load();
    appraiser = new Appraiser(shelf, 2026);
    MadeUpMarket market = new MadeUpMarket(1917, shelf.condition().grades(), 25, 20, 6, 2026);
    book = market.sales(sales).stream().map(Drawn::told).toList();
    knives = market.sales(KNIVES).stream().map(Drawn::whole).map(MadeUpMarket::subject).toList();
  }

  @Benchmark
  public ValueVerdict appraise() {
    next = (next + 1) % KNIVES;
    return appraiser.appraise(knives.get(next), book);
  }
}
