package snikra.benchmarks;

import java.awt.image.BufferedImage;
import java.io.BufferedReader;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.openjdk.jmh.infra.BenchmarkParams;
import org.openjdk.jmh.results.RunResult;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.RunnerException;
import org.openjdk.jmh.runner.options.OptionsBuilder;
import org.openjdk.jmh.runner.options.VerboseMode;
import org.openjdk.jmh.util.Statistics;

/**
 * Prints what {@code ./snikra bench} measures: time of an examination, bytes sent, time to start.
 */
public final class Report {
  private static final int STARTS = 3;
  private static final int PHOTOGRAPHS = 5;
  private static final Pattern ASSET = Pattern.compile("(?:src|href)=\"(/assets/[^\"]+)\"");

  private Report() {}

  public static void main(String[] args) throws Exception {
    Path app = Path.of(args[0]);
    start(app);
    examination();
    PackReport.main(args);
    ReadingReport.main(args);
    ScalingReport.main(args);
  }

  private static void examination() throws RunnerException {
    System.out.println("One examination: 20 clues, a worn mark on two tangs (JMH)");
    var options =
        new OptionsBuilder()
            .include(ExaminationBenchmark.class.getSimpleName())
            .include(LikenessBenchmark.class.getSimpleName())
            .verbosity(VerboseMode.SILENT)
            .build();
    for (RunResult r : new Runner(options).run()) {
      Statistics times = r.getPrimaryResult().getStatistics();
      System.out.printf(
          Locale.ROOT,
          "  %-14s %-30s median %6.2f ms, one in ten over %6.2f ms%n",
          r.getPrimaryResult().getLabel(),
          against(r.getParams()),
          times.getPercentile(50),
          times.getPercentile(90));
    }
  }

  private static String against(BenchmarkParams of) {
    String makers = of.getParam("makers");
    if (makers == null) {
      return of.getParam("each") + " models and as many knives";
    }
    return makers.equals("0")
        ? "shelf as shipped"
        : makers + " makers, " + 10 * Integer.parseInt(makers) + " marks";
  }

  private static void start(Path app) throws IOException, InterruptedException {
    List<Long> times = new ArrayList<>();
    for (int i = 0; i < STARTS; i++) {
      long begun = System.nanoTime();
      Process process = launch(app);
      String address = address(process);
      get(address + "/tray");
      times.add((System.nanoTime() - begun) / 1_000_000);
      if (i == STARTS - 1) {
        bytes(address);
        photograph(address);
      }
      process.destroy();
      process.waitFor();
    }
    times.sort(null);
    System.out.println(
        "Start to a served page, already built: median "
            + times.get(STARTS / 2)
            + " ms of "
            + times);
    System.out.println();
  }

  private static Process launch(Path app) throws IOException {
    return new ProcessBuilder(
            Path.of(System.getProperty("java.home"), "bin", "java").toString(),
            "-Xmx400m",
            "-XX:+UseSerialGC",
            "-Dspring.aot.enabled=true",
            "-Xlog:disable",
            "-XX:SharedArchiveFile=" + app.resolve("snikra.jsa"),
            "-jar",
            app.resolve("snikra.jar").toString(),
            "--demo",
            "--port",
            "0",
            "--data",
            Files.createTempDirectory("snikra-bench").toString())
        .redirectErrorStream(true)
        .start();
  }

  private static String address(Process process) throws IOException {
    BufferedReader out =
        new BufferedReader(new InputStreamReader(process.getInputStream(), StandardCharsets.UTF_8));
    for (String line = out.readLine(); line != null; line = out.readLine()) {
      if (line.startsWith("Snikra is ready at ")) {
        return line.substring("Snikra is ready at ".length());
      }
    }
    throw new IllegalStateException("Snikra must start; found that it ended");
  }

  private static void bytes(String address) throws IOException, InterruptedException {
    byte[] page = get(address + "/tray");
    long sent = 0;
    Matcher asset = ASSET.matcher(new String(page, StandardCharsets.UTF_8));
    while (asset.find()) {
      sent += get(address + asset.group(1)).length;
    }
    System.out.printf(
        Locale.ROOT, "Script and style of the first page, compressed: %.1f kB%n", sent / 1000.0);
    for (String path : List.of("/api/book", "/api/knives")) {
      System.out.printf(
          Locale.ROOT, "%s, compressed: %.1f kB%n", path, get(address + path).length / 1000.0);
    }
  }

  // A picture with something on every pixel, so that nothing about it is easy.
  private static byte[] noise(int width, int height) throws IOException {
    BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
    Random random = new Random(12);
    for (int y = 0; y < height; y++) {
      for (int x = 0; x < width; x++) {
        int grey = (x / 16 + y / 16) % 200 + random.nextInt(24);
        image.setRGB(x, y, grey << 16 | grey << 8 | grey);
      }
    }
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    ImageIO.write(image, "jpg", out);
    return out.toByteArray();
  }

  private static void photograph(String address) throws IOException, InterruptedException {
    HttpClient http = HttpClient.newHttpClient();
    HttpResponse<String> tray =
        http.send(
            HttpRequest.newBuilder(URI.create(address + "/api/knives")).build(),
            HttpResponse.BodyHandlers.ofString());
    Matcher id = Pattern.compile("\"id\":\"([0-9a-f-]{36})").matcher(tray.body());
    if (!id.find()) {
      throw new IllegalStateException(
          "the tray must hold a knife; found " + tray.body().length() + " characters");
    }
    byte[] file = noise(4000, 3000);
    List<Long> times = new ArrayList<>();
    for (int i = 0; i < PHOTOGRAPHS; i++) {
      long begun = System.nanoTime();
      http.send(
          HttpRequest.newBuilder(URI.create(address + "/api/knives/" + id.group(1) + "/photos"))
              .header("Content-Type", "image/jpeg")
              .POST(HttpRequest.BodyPublishers.ofByteArray(file))
              .build(),
          HttpResponse.BodyHandlers.ofString());
      times.add((System.nanoTime() - begun) / 1_000_000);
    }
    times.sort(null);
    System.out.printf(
        Locale.ROOT,
        "Photograph of 12 million pixels (%.1f MB) kept, with view and thumbnail: median %d ms of %s%n",
        file.length / 1e6,
        times.get(PHOTOGRAPHS / 2),
        times);
  }

  private static byte[] get(String url) throws IOException, InterruptedException {
    boolean page = url.endsWith("/tray");
    HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(url));
    if (!page) {
      request.header("Accept-Encoding", "gzip");
    }
    return HttpClient.newHttpClient()
        .send(request.build(), HttpResponse.BodyHandlers.ofByteArray())
        .body();
  }
}
