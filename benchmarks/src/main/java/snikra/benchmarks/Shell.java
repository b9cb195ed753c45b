package snikra.benchmarks;

import java.io.IOException;
import java.nio.charset.StandardCharsets;

/** Commands of the machine. */
final class Shell {
  private Shell() {}

  /** Runs a command and gives back what it said. */
  static String run(String... command) throws IOException {
    Process process = new ProcessBuilder(command).redirectErrorStream(true).start();
    String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    try {
      if (process.waitFor() != 0) {
        throw new IOException(String.join(" ", command) + ": " + said.strip());
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IOException(e);
    }
    return said;
  }
}
