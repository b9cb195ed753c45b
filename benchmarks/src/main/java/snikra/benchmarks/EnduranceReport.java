package snikra.benchmarks;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.RandomAccessFile;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import snikra.benchmarks.RunningApp.Answer;

/**
 * Loops over the packaged application that show whether it keeps what it acknowledged, with their
 * figures: {@code cut}, {@code kill}, {@code full}, {@code mutate} and {@code soak}.
 */
public final class EnduranceReport {
  private static final int WRITERS = 4;
  private static final int KILLS_A_FOLDER = 50;
  private static final Pattern TITLE = Pattern.compile("\"title\":\"(\\d+)\"");
  private static final Pattern VERSION = Pattern.compile("\"version\":(\\d+)");

  private final Path app;
  private final Path work;

  private EnduranceReport(Path app) throws IOException {
    this.app = app;
    this.work = Files.createTempDirectory("snikra-endure");
  }

  /** Runs one loop: folder of the application, its name, how long. */
  public static void main(String[] args) throws Exception {
    EnduranceReport report = new EnduranceReport(Path.of(args[0]));
    int times = args.length > 2 ? Integer.parseInt(args[2]) : 0;
    try {
      switch (args.length > 1 ? args[1] : "all") {
        case "cut" -> report.cut(times > 0 ? times : 20);
        case "kill" -> report.kill(times > 0 ? times : 1000);
        case "full" -> report.full();
        case "mutate" -> report.mutate(times > 0 ? times : 10_000);
        case "soak" -> report.soak(times > 0 ? times : 30);
        default -> {
          report.cut(20);
          report.kill(30);
          report.full();
          report.mutate(2000);
          report.soak(2);
        }
      }
    } finally {
      report.tidy();
    }
  }

  /** Saves, one knife a writer after the other, and notes what was acknowledged. */
  private static final class Writers {
    private final RunningApp running;
    private final Map<String, Integer> acknowledged;
    private final AtomicBoolean goesOn = new AtomicBoolean(true);
    private final List<Thread> threads = new ArrayList<>();
    private final List<Double> seconds = Collections.synchronizedList(new ArrayList<>());

    Writers(RunningApp running, Map<String, Integer> acknowledged) {
      this.running = running;
      this.acknowledged = acknowledged;
      for (int w = 0; w < WRITERS; w++) {
        Thread writer = new Thread(this::write, "writer");
        writer.start();
        threads.add(writer);
      }
    }

    private void write() {
      String id = null;
      for (int i = 0; goesOn.get(); i = (i + 1) % 40) {
        if (i == 0) {
          id = UUID.randomUUID().toString();
        }
        Answer answer =
            i == 0
                ? running.send("POST", "/api/knives?id=" + id, "{\"title\":\"0\"}")
                : running.send(
                    "PUT",
                    "/api/knives/" + id,
                    "{\"version\":"
                        + (i - 1)
                        + ",\"specimen\":{\"title\":\""
                        + i
                        + "\",\"seen\":{\"spacer\":\"none\"}}}");
        if (answer.isOk()) {
          acknowledged.put(id, i);
          seconds.add(answer.seconds());
        } else {
          i = 39;
        }
      }
    }

    void stop() throws InterruptedException {
      goesOn.set(false);
      for (Thread thread : threads) {
        thread.join();
      }
    }
  }

  private static int lost(RunningApp running, Map<String, Integer> acknowledged) {
    int lost = 0;
    for (Map.Entry<String, Integer> e : acknowledged.entrySet()) {
      Answer kept = asked(running, "/api/knives/" + e.getKey());
      Matcher title = TITLE.matcher(kept.body());
      if (!kept.isOk() || !title.find() || Integer.parseInt(title.group(1)) < e.getValue()) {
        lost++;
        System.out.println("lost: knife " + e + ", answered " + kept);
      }
    }
    return lost;
  }

  // What was not answered at all, as when the machine held still, is no word on what is kept.
  private static Answer asked(RunningApp running, String path) {
    Answer answer = running.send("GET", path, null);
    for (int again = 0; answer.status() == 0 && again < 3; again++) {
      answer = running.send("GET", path, null);
    }
    return answer;
  }

  /** What is on the disk when the power goes: the image of a file system, copied amid the saves. */
  private void cut(int times) throws Exception {
    Path image = work.resolve("disk.img");
    Path mounted = Files.createDirectory(work.resolve("disk"));
    try (RandomAccessFile file = new RandomAccessFile(image.toFile(), "rw")) {
      file.setLength(192L << 20);
    }
    try {
      Shell.run("mkfs.ext4", "-q", image.toString());
      Shell.run("mount", "-o", "loop", image.toString(), mounted.toString());
    } catch (IOException e) {
      System.out.println(
          "power cut: not measured, no file system can be mounted here: " + e.getMessage());
      return;
    }
    Map<String, Integer> acknowledged = new ConcurrentHashMap<>();
    List<Map<String, Integer>> before = new ArrayList<>();
    Random chance = new Random(1);
    try (RunningApp running = RunningApp.start(app, mounted.resolve("data"))) {
      Writers writers = new Writers(running, acknowledged);
      for (int i = 0; i < times; i++) {
        Thread.sleep(1000 + chance.nextInt(2000));
        before.add(new HashMap<>(acknowledged));
        running.hold(true);
        Files.copy(image, work.resolve("cut-" + i + ".img"));
        running.hold(false);
      }
      writers.stop();
      System.out.printf("power cut: a save takes %s%n", spread(writers.seconds));
    }
    Shell.run("umount", mounted.toString());
    int held = 0;
    int lost = 0;
    for (int i = 0; i < times; i++) {
      Path copy = work.resolve("cut-" + i + ".img");
      Shell.run("mount", "-o", "loop", copy.toString(), mounted.toString());
      try (RunningApp again = RunningApp.start(app, mounted.resolve("data"))) {
        held += before.get(i).values().stream().mapToInt(n -> n + 1).sum();
        lost += lost(again, before.get(i));
      } finally {
        Shell.run("umount", mounted.toString());
      }
      Files.delete(copy);
    }
    System.out.printf(
        "power cut: %d cuts, %d of %d knives lost, after %d acknowledged saves in all%n",
        times, lost, before.stream().mapToInt(Map::size).sum(), held);
  }

  /** Kills the process amid saves, notes, photographs and copies, over and over on one folder. */
  private void kill(int times) throws Exception {
    Kills all = new Kills();
    // A new folder each time, so that what piles up does not make the later rounds slow ones.
    for (int done = 0; done < times; done += KILLS_A_FOLDER) {
      all.killed(work.resolve("killed-" + done), Math.min(KILLS_A_FOLDER, times - done));
      all.tell();
    }
  }

  /** What came of the kills so far. */
  private final class Kills {
    private final Map<String, Integer> acknowledged = new ConcurrentHashMap<>();
    private final Map<String, String> photographs = new ConcurrentHashMap<>();
    private final Map<String, String> notes = new ConcurrentHashMap<>();
    private final Random chance = new Random(2);
    private int noted;
    private int kills;
    private int saves;
    private int photographed;
    private int copies;
    private int lost;
    private int unsound;

    void killed(Path data, int times) throws Exception {
      for (int i = 0; i < times; i++) {
        RunningApp running = RunningApp.start(app, data);
        lookFor(running);
        Writers writers = new Writers(running, acknowledged);
        Thread others = new Thread(() -> others(running, acknowledged, photographs, notes));
        others.start();
        // A fresh process is slow with its first photograph: every second kill waits for it, the
        // others fall among the first saves.
        long patience = System.nanoTime() + (i % 2 == 0 ? 6_000_000_000L : 0);
        while ((photographs.isEmpty() || notes.isEmpty()) && System.nanoTime() < patience) {
          Thread.sleep(20);
        }
        Thread.sleep(chance.nextInt(1000));
        running.kill();
        writers.stop();
        others.join();
        saves += writers.seconds.size();
        photographed += photographs.size();
        noted += notes.size();
        kills++;
      }
      try (RunningApp running = RunningApp.start(app, data)) {
        lookFor(running);
        Answer checked = running.send("POST", "/api/keeping/check", "");
        if (!checked.isOk() || !checked.body().endsWith(",\"lost\":[],\"changed\":[]}")) {
          unsound++;
          System.out.println("kill: check answered " + checked.body());
        }
        Answer kept = running.send("GET", "/api/keeping", null);
        copies += kept.body().split("\"name\"", -1).length - 1;
      }
    }

    private void lookFor(RunningApp running) {
      lost += lost(running, acknowledged) + lostPhotographs(running, photographs);
      for (Map.Entry<String, String> note : notes.entrySet()) {
        Answer journal = asked(running, "/api/knives/" + note.getValue() + "/journal");
        if (!journal.body().contains('"' + note.getKey() + '"')) {
          lost++;
          System.out.println("lost: note " + note + ", answered " + journal);
        }
      }
      acknowledged.clear();
      photographs.clear();
      notes.clear();
    }

    void tell() {
      System.out.printf(
          "kill: %d kills amid %d saves, %d photographs, %d notes: %d of what was acknowledged lost;"
              + " %d folders not sound; %d whole copies%n",
          kills, saves, photographed, noted, lost, unsound, copies);
    }
  }

  private static void others(
      RunningApp running,
      Map<String, Integer> acknowledged,
      Map<String, String> photographs,
      Map<String, String> notes) {
    byte[] picture = picture();
    for (int i = 0; ; i++) {
      String knife = acknowledged.keySet().stream().findAny().orElse(null);
      if (knife == null) {
        if (running.send("GET", "/api/keeping", null).status() == 0) {
          return;
        }
        continue;
      }
      Answer photo = running.send("POST", "/api/knives/" + knife + "/photos", picture, "image/png");
      if (photo.status() == 0) {
        return;
      }
      Matcher id = Pattern.compile("\"id\":\"([^\"]+)\"").matcher(photo.body());
      if (photo.isOk() && id.find()) {
        photographs.put(id.group(1), knife);
      }
      String note = "seen " + UUID.randomUUID();
      String body = "{\"note\":\"" + note + "\",\"question\":false}";
      if (running.send("POST", "/api/knives/" + knife + "/journal", body).isOk()) {
        notes.put(note, knife);
      }
      if (i % 5 == 0) {
        running.send("POST", "/api/backups", "");
      }
    }
  }

  private static int lostPhotographs(RunningApp running, Map<String, String> photographs) {
    int lost = 0;
    for (String id : photographs.keySet()) {
      Answer original = asked(running, "/api/photos/" + id + "/original");
      if (!original.isOk()) {
        lost++;
        System.out.println("lost: photograph " + id + ", answered " + original.status());
      }
    }
    return lost;
  }

  private static byte[] picture() {
    try {
      ByteArrayOutputStream out = new ByteArrayOutputStream();
      ImageIO.write(new BufferedImage(80, 60, BufferedImage.TYPE_INT_RGB), "png", out);
      return out.toByteArray();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** A small disk that fills up to the last byte and has room again. */
  private void full() throws Exception {
    Path small = Files.createDirectory(work.resolve("small"));
    try {
      Shell.run("mount", "-t", "tmpfs", "-o", "size=160m", "tmpfs", small.toString());
    } catch (IOException e) {
      System.out.println("disk full: not measured, nothing can be mounted here: " + e.getMessage());
      return;
    }
    try (RunningApp running = RunningApp.start(app, small.resolve("data"))) {
      Answer made = running.send("POST", "/api/knives", "{\"title\":\"1\"}");
      String knife = "/api/knives/" + text(made.body(), "\"id\":\"([^\"]+)\"");
      String change = "{\"version\":0,\"specimen\":{\"title\":\"2\"}}";
      fill(small, 90);
      Answer photo = running.send("POST", knife + "/photos", picture(), "image/png");
      fill(small, 10);
      Answer low = running.send("PUT", knife, change);
      Answer lowRead = running.send("GET", knife, null);
      fill(small, 0);
      Thread.sleep(3000);
      Answer none = running.send("PUT", knife, change);
      Answer noneRead = running.send("GET", knife, null);
      Files.delete(small.resolve("filler"));
      Answer after = new Answer(0, "", 0);
      int tries = 0;
      while (!after.isOk() && tries++ < 20) {
        Thread.sleep(500);
        after = running.send("PUT", knife, change);
      }
      Answer read = running.send("GET", knife, null);
      System.out.printf(
          "disk full: photograph at 90 MB %d; at 10 MB save %d, read %d; at 0 save %d, read %d; room"
              + " again: save %d after %.1f s, read %s%n",
          photo.status(),
          low.status(),
          lowRead.status(),
          none.status(),
          noneRead.status(),
          after.status(),
          tries * 0.5,
          text(read.body(), TITLE.pattern()));
    } finally {
      Shell.run("umount", small.toString());
    }
  }

  private static void fill(Path disk, long leftMb) throws IOException {
    long free = Files.getFileStore(disk).getUsableSpace() - (leftMb << 20);
    try (var out =
        Files.newOutputStream(
            disk.resolve("filler"),
            java.nio.file.StandardOpenOption.CREATE,
            java.nio.file.StandardOpenOption.APPEND)) {
      byte[] piece = new byte[1 << 16];
      for (long done = 0; done < free; done += piece.length) {
        out.write(piece, 0, (int) Math.min(piece.length, free - done));
      }
    }
  }

  private static String text(String body, String pattern) {
    Matcher m = Pattern.compile(pattern).matcher(body);
    return m.find() ? m.group(1) : "none";
  }

  /** Bodies that were something once, changed at random, sent everywhere. */
  private void mutate(int times) throws Exception {
    Random chance = new Random(3);
    Map<Integer, Integer> byStatus = new TreeMap<>();
    double slowest = 0;
    String slowestWas = "";
    try (RunningApp running = RunningApp.start(app, work.resolve("mutated"), "--demo")) {
      Thread.sleep(8000);
      double heapBefore = running.liveHeapMb();
      List<EveryRequest.Sent> seeds = new EveryRequest(running, picture()).send();
      for (int i = 0; i < times; i++) {
        EveryRequest.Sent seed = seeds.get(i % seeds.size());
        byte[] body = mutated(seed.body(), chance);
        boolean isBent = chance.nextInt(body.length == 0 ? 2 : 6) == 0;
        String path = isBent ? bent(seed.path(), chance) : seed.path();
        Answer answer =
            running.send(seed.method(), path, body.length == 0 ? null : body, seed.type());
        byStatus.merge(answer.status(), 1, Integer::sum);
        if (answer.status() >= 500 || answer.status() == 0) {
          System.out.println(
              "  "
                  + seed.method()
                  + " "
                  + path
                  + " answered "
                  + answer.status()
                  + ": "
                  + answer.body().substring(0, Math.min(200, answer.body().length())));
        }
        if (answer.seconds() > slowest) {
          slowest = answer.seconds();
          slowestWas = seed.method() + " " + path;
        }
        if (i % 1000 == 999) {
          System.out.printf(
              "  %d: %s, slowest %.2f s (%s)%n", i + 1, byStatus, slowest, slowestWas);
        }
      }
      System.out.printf(
          "mutated: %d requests of %d kinds, by answer %s; slowest %.2f s (%s); live heap %.0f MB before, %.0f MB"
              + " after%n",
          times, seeds.size(), byStatus, slowest, slowestWas, heapBefore, running.liveHeapMb());
    }
  }

  private static String bent(String path, Random chance) {
    String[] odd = {"%00", "..", "%2e%2e%2f", "'", "%F0%9F%94%AA", "x".repeat(3000), "-1", "NaN"};
    int at = 1 + Math.max(path.lastIndexOf('/'), path.lastIndexOf('='));
    return path.substring(0, at) + odd[chance.nextInt(odd.length)];
  }

  private static byte[] mutated(byte[] body, Random chance) {
    byte[] out = body.clone();
    int changes = chance.nextInt(5);
    for (int c = 0; c < changes && out.length > 0; c++) {
      int at = chance.nextInt(out.length);
      switch (chance.nextInt(5)) {
        case 0 -> out[at] = (byte) chance.nextInt(256);
        case 1 -> out = java.util.Arrays.copyOf(out, at);
        case 2 -> {
          byte[] odd = Seeds.ODD[chance.nextInt(Seeds.ODD.length)].getBytes(StandardCharsets.UTF_8);
          byte[] longer = new byte[out.length + odd.length];
          System.arraycopy(out, 0, longer, 0, at);
          System.arraycopy(odd, 0, longer, at, odd.length);
          System.arraycopy(out, at, longer, at + odd.length, out.length - at);
          out = longer;
        }
        case 3 -> {
          int to = at + chance.nextInt(out.length - at);
          byte[] twice = new byte[out.length + to - at];
          System.arraycopy(out, 0, twice, 0, to);
          System.arraycopy(out, at, twice, to, out.length - at);
          out = twice;
        }
        default -> out[at] = "\"{}[]:,0-e.".getBytes(StandardCharsets.UTF_8)[chance.nextInt(11)];
      }
    }
    return out;
  }

  /** Work for a while, with the size of the file and of the heap told each minute. */
  private void soak(int minutes) throws Exception {
    Path data = work.resolve("soaked");
    try (RunningApp running = RunningApp.start(app, data, "--demo")) {
      Thread.sleep(8000);
      Map<String, Integer> acknowledged = new ConcurrentHashMap<>();
      String knife = text(running.send("POST", "/api/knives", "{}").body(), "\"id\":\"([^\"]+)\"");
      long end = System.nanoTime() + minutes * 60_000_000_000L;
      long minute = System.nanoTime();
      List<Double> seconds = new ArrayList<>();
      for (int i = 0; System.nanoTime() < end; i++) {
        String specimen = "{\"title\":\"" + i + "\",\"seen\":{\"spacer\":\"none\"}}";
        running.send("POST", "/api/examine", "{\"specimen\":" + specimen + "}");
        Answer saved =
            running.send(
                "PUT",
                "/api/knives/" + knife,
                "{\"version\":" + i + ",\"specimen\":" + specimen + "}");
        if (!saved.isOk()) {
          throw new IOException("a save was answered " + saved.status() + ": " + saved.body());
        }
        seconds.add(saved.seconds());
        acknowledged.put(knife, i);
        if (i % 10 == 0) {
          running.send("GET", "/api/knives", null);
        }
        Thread.sleep(20);
        if (System.nanoTime() - minute > 60_000_000_000L) {
          minute = System.nanoTime();
          System.out.printf(
              "soak: %d saves, a save takes %s, database %.1f MB, live heap %.0f MB%n",
              i + 1,
              spread(seconds),
              Files.size(data.resolve("snikra.mv.db")) / 1e6,
              running.liveHeapMb());
        }
      }
      System.out.printf("soak: %d lost%n", lost(running, acknowledged));
    }
    System.out.printf(
        "soak: stopped, database %.1f MB%n", Files.size(data.resolve("snikra.mv.db")) / 1e6);
  }

  private static String spread(List<Double> seconds) {
    List<Double> sorted = new ArrayList<>(seconds);
    Collections.sort(sorted);
    return sorted.isEmpty()
        ? "no time"
        : String.format(
            "%.0f ms in the middle, one in twenty over %.0f ms",
            1000 * sorted.get(sorted.size() / 2), 1000 * sorted.get(sorted.size() * 19 / 20));
  }

  private void tidy() throws IOException {
    try (Stream<Path> all = Files.walk(work)) {
      for (Path path : all.sorted(Comparator.reverseOrder()).toList()) {
        Files.deleteIfExists(path);
      }
    }
  }

  /** Requests that are in order, to be changed. */
  private static final class Seeds {
    static final String[] ODD = {
      "\"",
      "\\u0000",
      "1e999",
      "-0",
      "null",
      "[[[[[[[[",
      "\ud83d\udd2a",
      "&x *x",
      "<script>",
      "999999999999",
      "%s"
    };
  }
}
