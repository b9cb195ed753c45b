package snikra.benchmarks;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The packaged application as a process of its own, spoken to over HTTP as a program would. */
final class RunningApp implements AutoCloseable {
  private static final Pattern READY = Pattern.compile("ready at http://localhost:(\\d+)");
  private static final Duration PATIENCE = Duration.ofSeconds(60);

  private final Process process;
  private final int port;
  private final HttpClient http = HttpClient.newHttpClient();

  /** An answer; status 0 where none came. */
  record Answer(int status, String body, double seconds) {
    boolean isOk() {
      return status >= 200 && status < 300;
    }
  }

  private RunningApp(Process process, int port) {
    this.process = process;
    this.port = port;
  }

  /** Starts it from the folder it was laid out in and waits until it is ready. */
  static RunningApp start(Path app, Path data, String... options) throws IOException {
    List<String> command = new ArrayList<>();
    command.add(Path.of(System.getProperty("java.home"), "bin", "java").toString());
    command.addAll(List.of("-Xmx400m", "-XX:+UseSerialGC", "-Dspring.aot.enabled=true"));
    command.addAll(List.of("-Xshare:auto", "-Xlog:disable"));
    command.add("-XX:SharedArchiveFile=" + app.resolve("snikra.jsa"));
    command.addAll(List.of("-jar", app.resolve("snikra.jar").toString()));
    command.addAll(List.of("--data", data.toString(), "--port", "0"));
    command.addAll(List.of(options));
    Process process = new ProcessBuilder(command).redirectErrorStream(true).start();
    BufferedReader said =
        new BufferedReader(new InputStreamReader(process.getInputStream(), StandardCharsets.UTF_8));
    StringBuilder all = new StringBuilder();
    for (String line = said.readLine(); line != null; line = said.readLine()) {
      all.append(line).append('\n');
      Matcher ready = READY.matcher(line);
      if (ready.find()) {
        return new RunningApp(process, Integer.parseInt(ready.group(1)));
      }
    }
    throw new IOException("Snikra did not start: " + all);
  }

  Answer send(String method, String path, byte[] body, String type) {
    long begun = System.nanoTime();
    HttpRequest request =
        HttpRequest.newBuilder(URI.create("http://localhost:" + port + path))
            .timeout(PATIENCE)
            .header("Content-Type", type)
            .method(
                method,
                body == null
                    ? HttpRequest.BodyPublishers.noBody()
                    : HttpRequest.BodyPublishers.ofByteArray(body))
            .build();
    try {
      HttpResponse<String> answer = http.send(request, HttpResponse.BodyHandlers.ofString());
      return new Answer(answer.statusCode(), answer.body(), since(begun));
    } catch (IOException e) {
      return new Answer(0, "" + e.getMessage(), since(begun));
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      return new Answer(0, "interrupted", since(begun));
    }
  }

  Answer send(String method, String path, String json) {
    byte[] body = json == null ? null : json.getBytes(StandardCharsets.UTF_8);
    return send(method, path, body, "application/json");
  }

  private static double since(long begun) {
    return (System.nanoTime() - begun) / 1e9;
  }

  /** Ends it without a warning. */
  void kill() throws InterruptedException {
    process.destroyForcibly().waitFor();
  }

  /** Holds it still, or lets it go on. */
  void hold(boolean still) throws IOException {
    Shell.run("kill", still ? "-STOP" : "-CONT", "" + process.pid());
  }

  /** What is left of the heap after it was tidied, in megabytes. */
  double liveHeapMb() throws IOException {
    String pid = "" + process.pid();
    Shell.run("jcmd", pid, "GC.run");
    Matcher used = Pattern.compile("used (\\d+)K").matcher(Shell.run("jcmd", pid, "GC.heap_info"));
    double kb = 0;
    for (int generation = 0; generation < 2 && used.find(); generation++) {
      kb += Double.parseDouble(used.group(1));
    }
    return kb / 1024;
  }

  @Override
  public void close() {
    process.destroy();
    try {
      if (!process.waitFor(30, TimeUnit.SECONDS)) {
        process.destroyForcibly();
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }
}
