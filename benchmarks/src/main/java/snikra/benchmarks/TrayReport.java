package snikra.benchmarks;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicInteger;
import snikra.core.reference.ReferenceShelf;
import snikra.formats.ShippedShelf;
import snikra.formats.SpecimenFormat;

/**
 * Fills a tray with so many knives, no two alike, starts anew and prints how long it takes until a
 * page is served, the tray is sent, and everything is worked out after the references changed.
 */
public final class TrayReport {
  private static final int WRITERS = 4;
  private static final int ASKED = 5;
  private static final List<String> PACKS = List.of("overwater-makers", "overwater-trade");
  private static final long LOOK_EVERY_MS = 1000;
  private static final long SETTLE_MS = 15_000;

  private TrayReport() {}

  public static void main(String[] args) throws Exception {
    Path app = Path.of(args[0]);
    int[] sizes =
        args.length > 1
            ? Arrays.stream(args).skip(1).mapToInt(Integer::parseInt).toArray()
            : new int[] {1000, 10_000};
    for (int n : sizes) {
      Path data = Files.createTempDirectory("tray");
      fill(app, data, n);
      measure(app, data, n);
      Shell.run("rm", "-rf", data.toString());
    }
  }

  private static void fill(Path app, Path data, int n) throws Exception {
    ReferenceShelf shelf = ShippedShelf.load();
    String knife = SpecimenFormat.write(SyntheticShelf.knife(shelf));
    try (RunningApp running = RunningApp.start(app, data)) {
      for (String pack : PACKS) {
        running.send("PUT", "/api/packs/" + pack + "?on=true", "");
      }
      ExecutorService writers = Executors.newFixedThreadPool(WRITERS);
      AtomicInteger next = new AtomicInteger();
      List<Future<?>> all = new ArrayList<>();
      for (int w = 0; w < WRITERS; w++) {
        all.add(
            writers.submit(
                () -> {
                  for (int i = next.getAndIncrement(); i < n; i = next.getAndIncrement()) {
                    if (!running.send("POST", "/api/knives", other(knife, i)).isOk()) {
                      throw new IOException("knife " + i + " was not kept");
                    }
                  }
                  return null;
                }));
      }
      for (Future<?> one : all) {
        one.get();
      }
      writers.shutdown();
      // Journals and rows are entered after the saves: only then it stops at once.
      while (open(running.send("GET", "/api/knives", null).body()) > 0) {
        Thread.sleep(LOOK_EVERY_MS);
      }
      Thread.sleep(SETTLE_MS);
    }
  }

  // The same knife of another name and another length.
  private static String other(String knife, int i) {
    String length = String.format(Locale.ROOT, "%.1f mm", 70 + (i * 7 % 500) / 10.0);
    return knife
        .replaceFirst("\\{", "{\"title\":\"Knife " + i + "\",")
        .replaceFirst("\"closedLength\":\"[^\"]*\"", "\"closedLength\":\"" + length + "\"");
  }

  private static void measure(Path app, Path data, int n) throws Exception {
    long begun = System.nanoTime();
    try (RunningApp running = RunningApp.start(app, data)) {
      RunningApp.Answer page = running.send("GET", "/tray", null);
      double served = since(begun);
      RunningApp.Answer first = running.send("GET", "/api/knives", null);
      double[] again = new double[ASKED];
      for (int i = 0; i < ASKED; i++) {
        again[i] = running.send("GET", "/api/knives", null).seconds();
      }
      Arrays.sort(again);
      System.out.printf(
          Locale.ROOT,
          "%,d knives: page served %.1f s after the start, tray first sent in %.2f s, then in %.2f s; %.1f MB,"
              + " %d still open; heap %.0f MB%n",
          n,
          page.isOk() ? served : Double.NaN,
          first.seconds(),
          again[ASKED / 2],
          first.body().getBytes(StandardCharsets.UTF_8).length / 1e6,
          open(first.body()),
          running.liveHeapMb());
      long switched = System.nanoTime();
      running.send("PUT", "/api/packs/overwater-trade?on=false", "");
      RunningApp.Answer meanwhile = running.send("GET", "/api/knives", null);
      int left = open(meanwhile.body());
      while (left > 0) {
        Thread.sleep(LOOK_EVERY_MS);
        left = open(running.send("GET", "/api/knives", null).body());
      }
      System.out.printf(
          Locale.ROOT,
          "%,d knives with other references: shown in %.2f s, all worked out anew in %.0f s%n",
          n,
          meanwhile.seconds(),
          since(switched));
    }
  }

  private static int open(String tray) {
    return count(tray, "\"stale\":true") + count(tray, "\"pending\":true");
  }

  private static int count(String text, String what) {
    int found = 0;
    for (int at = text.indexOf(what); at >= 0; at = text.indexOf(what, at + 1)) {
      found++;
    }
    return found;
  }

  private static double since(long begun) {
    return (System.nanoTime() - begun) / 1e9;
  }
}
