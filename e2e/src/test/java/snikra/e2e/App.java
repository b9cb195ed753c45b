package snikra.e2e;

import java.io.BufferedReader;
import java.io.File;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The packaged application as a process of its own, on a free port. */
final class App implements AutoCloseable {
  private static final Pattern READY = Pattern.compile("ready at http://localhost:(\\d+)");
  private static final long PATIENCE_S = 120;

  /** For one that lives a minute: compiling with all one's might would not pay in that time. */
  private static final String BRIEF = "-XX:TieredStopAtLevel=1";

  private static Path laidOut;

  private final Process process;
  private final List<String> said = Collections.synchronizedList(new ArrayList<>());
  private volatile int port;

  private App(Process process) {
    this.process = process;
  }

  /** Starts and waits until it is ready. */
  static App start(Path data, String... options) {
    return launch(data, options).ready();
  }

  /** Starts one that is asked so much that all compilers pay. */
  static App lasting(Path data, String... options) {
    return launch(data, List.of(), options).ready();
  }

  private App ready() {
    if (port == 0) {
      throw new IllegalStateException("Snikra did not start: " + said);
    }
    return this;
  }

  /** Starts without the demo, but with the invented makers in use. */
  static App startWithExamples(Path data) {
    return startSet(data, "-Dsnikra.examples=true");
  }

  /** Starts with these settings of the machine it runs on. */
  static App startSet(Path data, String... settings) {
    List<String> machine = new ArrayList<>(List.of(settings));
    machine.add(BRIEF);
    return launch(data, machine).ready();
  }

  /** Starts and waits until it is ready or has ended. */
  static App launch(Path data, String... options) {
    return launch(data, List.of(BRIEF), options);
  }

  private static App launch(Path data, List<String> machine, String... options) {
    try {
      List<String> command = new ArrayList<>(command());
      command.addAll(1, machine);
      command.addAll(List.of("--data", data.toString()));
      if (!List.of(options).contains("--port")) {
        command.addAll(List.of("--port", "0"));
      }
      command.addAll(List.of(options));
      App app = new App(new ProcessBuilder(command).redirectErrorStream(true).start());
      app.listen();
      return app;
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private void listen() {
    Thread reader =
        new Thread(
            () -> {
              try (BufferedReader out =
                  new BufferedReader(
                      new InputStreamReader(process.getInputStream(), StandardCharsets.UTF_8))) {
                out.lines().forEach(this::heard);
              } catch (IOException | UncheckedIOException e) {
                said.add("(" + e.getMessage() + ")");
              }
            });
    reader.setDaemon(true);
    reader.start();
    long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(PATIENCE_S);
    while (port == 0 && System.nanoTime() < end && process.isAlive()) {
      pause();
    }
    try {
      if (!process.isAlive()) {
        reader.join(2000);
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  private void heard(String line) {
    said.add(line);
    Matcher ready = READY.matcher(line);
    if (ready.find()) {
      port = Integer.parseInt(ready.group(1));
    }
  }

  private static void pause() {
    try {
      Thread.sleep(20);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  // Unpacked and with its classes archived it starts in a third of the time: here that counts.
  private static synchronized List<String> command() throws IOException {
    Path java = Path.of(System.getProperty("java.home"), "bin", "java");
    if (laidOut == null) {
      Path folder = Path.of("target", "app").toAbsolutePath();
      delete(folder);
      String jar = System.getProperty("snikra.jar");
      run(java.toString(), "-Djarmode=tools", "-jar", jar, "extract", "--destination", "" + folder);
      Path unpacked = folder.resolve(Path.of(jar).getFileName());
      Path scratch = Files.createTempDirectory("snikra-train");
      run(
          java.toString(),
          "-XX:+UseSerialGC",
          BRIEF,
          "-Dspring.aot.enabled=true",
          "-XX:ArchiveClassesAtExit=" + folder.resolve("app.jsa"),
          "-jar",
          unpacked.toString(),
          "--data",
          scratch.toString(),
          "--rehearse",
          "--demo");
      laidOut = unpacked;
    }
    return List.of(
        java.toString(),
        "-XX:+UseSerialGC",
        "-Xmx400m",
        "-Dspring.aot.enabled=true",
        "-Xshare:auto",
        "-Xlog:disable",
        "-XX:SharedArchiveFile=" + laidOut.resolveSibling("app.jsa"),
        "-jar",
        laidOut.toString());
  }

  private static void run(String... command) throws IOException {
    try {
      Process p =
          new ProcessBuilder(command)
              .redirectErrorStream(true)
              .redirectOutput(ProcessBuilder.Redirect.DISCARD)
              .start();
      p.waitFor(PATIENCE_S, TimeUnit.SECONDS);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  private static void delete(Path folder) throws IOException {
    if (Files.exists(folder)) {
      try (var all = Files.walk(folder)) {
        all.sorted(java.util.Comparator.reverseOrder()).map(Path::toFile).forEach(File::delete);
      }
    }
  }

  String url(String path) {
    return "http://localhost:" + port + path;
  }

  int port() {
    return port;
  }

  /** All it has said so far. */
  String said() {
    return String.join("\n", said);
  }

  /** Its exit value, once it has ended by itself. */
  int exit() throws InterruptedException {
    process.waitFor(PATIENCE_S, TimeUnit.SECONDS);
    return process.exitValue();
  }

  /** Ends it without a warning, as a power cut would end a program. */
  void kill() throws InterruptedException {
    process.destroyForcibly().waitFor();
  }

  @Override
  public void close() {
    process.destroy();
    try {
      if (!process.waitFor(20, TimeUnit.SECONDS)) {
        process.destroyForcibly();
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }
}
