package snikra.benchmarks;

import java.util.ArrayList;
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
import snikra.core.examination.Examiner;
import snikra.core.reference.Maker;
import snikra.core.reference.ReferenceShelf;
import snikra.core.resemblance.Comparison;
import snikra.core.resemblance.Lookalike;
import snikra.core.specimen.Specimen;
import snikra.formats.ShippedShelf;

/** One knife held against as many models on file and as many other knives. */
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 4, time = 2)
@Measurement(iterations = 6, time = 2)
@Fork(1)
@State(Scope.Thread)
public class LikenessBenchmark {
  /** Models, and knives beside them. */
  @Param({"250", "1000"})
  int each;

  private Examiner examiner;
  private Specimen knife;
  private List<Lookalike> knives;

  @Setup(Level.Trial)
  public void layOut() {
    ReferenceShelf shelf = shelf(each);
    examiner = new Examiner(shelf, 2026);
    knife = SyntheticShelf.knife(shelf);
    knives = new ArrayList<>();
    for (int i = 0; i < each; i++) {
      knives.add(examiner.onFile("k" + i, "Knife " + i, SyntheticShelf.knife(shelf, i % 40)));
    }
  }

  // The makers of the shipped shelf who have models, again and again under other ids.
  private static ReferenceShelf shelf(int models) {
    ReferenceShelf shipped = ShippedShelf.load();
    List<Maker> made = new ArrayList<>(shipped.makers());
    int have = shipped.makers().stream().mapToInt(m -> m.history().models().size()).sum();
    for (int round = 0; have < models; round++) {
      for (Maker maker : shipped.makers()) {
        if (have < models && !maker.history().models().isEmpty()) {
          made.add(SyntheticShelf.again(maker, "r" + round + "-"));
          have += maker.history().models().size();
        }
      }
    }
    return shipped.withMakers(made);
  }

  @Benchmark
  public List<Comparison.Total> lookalikes() {
    return examiner.lookalikes(knife, knives);
  }
}
