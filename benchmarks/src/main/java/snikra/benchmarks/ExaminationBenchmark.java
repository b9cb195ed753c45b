package snikra.benchmarks;

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
import snikra.core.dating.DatingVerdict;
import snikra.core.examination.Examiner;
import snikra.core.examination.Verdict;
import snikra.core.reference.ReferenceShelf;
import snikra.core.specimen.Specimen;

/**
 * One whole examination: twenty clues, a worn mark on two tangs, a number, against three shelves.
 */
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 4, time = 2)
@Measurement(iterations = 6, time = 2)
@Fork(1)
@State(Scope.Thread)
public class ExaminationBenchmark {
  /** Makers on the shelf; each has ten marks. 0 takes the shelf as shipped. */
  @Param({"0", "40", "600"})
  int makers;

  private Examiner examiner;
  private Specimen knife;

  @Setup(Level.Trial)
  public void layOut() {
    ReferenceShelf shelf = SyntheticShelf.of(makers);
    examiner = new Examiner(shelf, 2026);
    knife = SyntheticShelf.knife(shelf);
  }

  @Benchmark
  public Verdict examine() {
    return examiner.examine(knife);
  }

  @Benchmark
  public DatingVerdict whenWhoAndWhy() {
    return examiner.dateWithReasons(knife);
  }

  @Benchmark
  public DatingVerdict whenAndWhoAlone() {
    return examiner.date(knife);
  }

  @Benchmark
  public Examiner.Summary summarise() {
    return examiner.summarise(knife);
  }
}
