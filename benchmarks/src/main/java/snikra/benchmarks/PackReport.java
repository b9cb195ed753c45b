package snikra.benchmarks;

import java.util.Locale;
import java.util.Random;
import snikra.core.examination.Examiner;
import snikra.core.reference.ReferenceShelf;
import snikra.formats.PackFormat;
import snikra.formats.PackFormat.Pack;

/** Reads a pack of 400 makers with fifteen marks each, the first time in this machine and later. */
public final class PackReport {
  private static final int MAKERS = 400;
  private static final int MARKS = 15;
  private static final int TIMES = 5;
  private static final double MEGABYTE = 1024.0 * 1024;

  private PackReport() {}

  /** Prints time and memory of reading, and the time of an examiner for it. */
  public static void main(String[] args) {
    String yaml = pack();
    ReferenceShelf shelf = SyntheticShelf.of(1);
    System.out.printf(
        Locale.ROOT,
        "Pack of %d makers and %d marks, %.1f MB of YAML%n",
        MAKERS,
        MAKERS * MARKS,
        yaml.length() / MEGABYTE);
    for (int i = 0; i < TIMES; i++) {
      long before = used();
      long start = System.nanoTime();
      Pack pack = PackFormat.read("large.yaml", yaml);
      double read = (System.nanoTime() - start) / 1e6;
      start = System.nanoTime();
      Examiner examiner = new Examiner(shelf.withMakers(pack.makers()), 2026);
      double built = (System.nanoTime() - start) / 1e6;
      System.out.printf(
          Locale.ROOT,
          "  read %.0f ms, examiner %.0f ms, kept %.0f MB (%d makers)%n",
          read,
          built,
          (used() - before) / MEGABYTE,
          examiner.shelf().makers().size());
    }
  }

  private static long used() {
    System.gc();
    Runtime runtime = Runtime.getRuntime();
    return runtime.totalMemory() - runtime.freeMemory();
  }

  private static String pack() {
    Random random = new Random(400);
    StringBuilder yaml =
        new StringBuilder(
            """
            schema: 1
            id: large
            title: Large
            note: ""
            sources:
              - {id: s, label: S, kind: catalogue, reliability: 0.9}
            makers:
            """);
    for (int m = 0; m < MAKERS; m++) {
      String name = SyntheticShelf.word(random, 7 + m % 4);
      yaml.append(
          "  - {id: m%d, name: %s, region: US, place: X, weight: 1, changes: [], note: \"\", marks: [\n"
              .formatted(m, name));
      for (int v = 0; v < MARKS; v++) {
        int from = 1850 + 6 * v;
        yaml.append(
            """
                  {id: m%d-%d, lines: [%s, %s], pile: [], technique: struck, everyBlade: false, \
            from: %d, to: %d, give: 2, note: A note of a few words., source: s},
            """
                .formatted(m, v, name, SyntheticShelf.word(random, 8), from, from + 12));
      }
      yaml.append("    ]}\n");
    }
    return yaml.toString();
  }
}
