package snikra.benchmarks;

import com.sun.management.ThreadMXBean;
import java.io.IOException;
import java.lang.management.ManagementFactory;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.function.IntFunction;
import snikra.core.examination.Examiner;
import snikra.core.specimen.Specimen;

/**
 * How an examination grows with makers, with clues and with years: a table, and a plot where a
 * folder is named. Each figure is the middle of many runs on one thread; bytes are what the thread
 * allocated.
 */
public final class ScalingReport {
  private static final int WARM = 60;
  private static final int FIRST_WARM = 600;
  private static final int RUNS = 60;
  private static final int YEAR = 2026;
  private static final int FIRST_YEAR = 1700;
  private static final int USUAL_MAKERS = 40;
  private static final int USUAL_CLUES = 20;
  private static final ThreadMXBean THREADS = (ThreadMXBean) ManagementFactory.getThreadMXBean();

  private ScalingReport() {}

  /** One point: how much there was, and what an examination took. */
  record Point(int of, double whole, double brief, double megabytes) {}

  /** What was varied. */
  record Series(String label, List<Point> points) {}

  private record Case(Examiner examiner, Specimen knife) {}

  public static void main(String[] args) throws IOException {
    Specimen usual = SyntheticShelf.knife(SyntheticShelf.of(USUAL_MAKERS), USUAL_CLUES);
    Examiner first = new Examiner(SyntheticShelf.of(USUAL_MAKERS), YEAR);
    for (int i = 0; i < FIRST_WARM; i++) {
      first.examine(usual);
      first.date(usual);
    }
    List<Series> all =
        List.of(
            series(
                "makers, ten marks each",
                new int[] {5, 10, 20, 40, 80, 160, 400},
                n -> {
                  var shelf = SyntheticShelf.of(n);
                  Specimen knife = SyntheticShelf.knife(shelf, USUAL_CLUES);
                  return new Case(new Examiner(shelf, YEAR), knife);
                }),
            series(
                "looks",
                new int[] {1, 5, 10, 20, 40},
                n -> {
                  var shelf = SyntheticShelf.of(USUAL_MAKERS);
                  return new Case(new Examiner(shelf, YEAR), SyntheticShelf.knife(shelf, n));
                }),
            series(
                "years",
                new int[] {100, 200, 326},
                n ->
                    new Case(
                        new Examiner(SyntheticShelf.of(USUAL_MAKERS), FIRST_YEAR + n - 1), usual)));
    print(all);
    if (args.length > 1) {
      Files.writeString(Path.of(args[1]), ScalingPlot.of(all));
    }
  }

  private static Series series(String label, int[] sizes, IntFunction<Case> laidOut) {
    List<Point> points = new ArrayList<>();
    for (int n : sizes) {
      Case c = laidOut.apply(n);
      long before = THREADS.getThreadAllocatedBytes(Thread.currentThread().getId());
      double whole = middle(() -> c.examiner.examine(c.knife));
      long bytes = THREADS.getThreadAllocatedBytes(Thread.currentThread().getId()) - before;
      double brief = middle(() -> c.examiner.date(c.knife));
      points.add(new Point(n, whole, brief, bytes / 1e6 / (WARM + RUNS)));
    }
    return new Series(label, points);
  }

  private static double middle(Runnable examination) {
    for (int i = 0; i < WARM; i++) {
      examination.run();
    }
    long[] nanos = new long[RUNS];
    for (int i = 0; i < RUNS; i++) {
      long begun = System.nanoTime();
      examination.run();
      nanos[i] = System.nanoTime() - begun;
    }
    Arrays.sort(nanos);
    return nanos[RUNS / 2] / 1e6;
  }

  private static void print(List<Series> all) {
    for (Series s : all) {
      System.out.println();
      System.out.println(
          "| " + s.label + " | whole, with look-next | when and who alone | allocated |");
      System.out.println("|---|---|---|---|");
      for (Point p : s.points) {
        System.out.printf(
            Locale.ROOT,
            "| %d | %.1f ms | %.1f ms | %.1f MB |%n",
            p.of,
            p.whole,
            p.brief,
            p.megabytes);
      }
    }
  }
}
