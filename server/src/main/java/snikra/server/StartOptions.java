package snikra.server;

import java.io.IOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * How to start: {@code --data DIR} (or SNIKRA_DATA), {@code --port N} (or SNIKRA_PORT; 0 takes any
 * free one) and {@code --demo} for the sample tin in an empty folder.
 */
record StartOptions(Path data, int port, boolean demo) {
  private static final int HIGHEST_PORT = 65_535;

  static StartOptions parse(List<String> args, Map<String, String> environment) {
    String data = environment.getOrDefault("SNIKRA_DATA", "snikra-data");
    String port = environment.getOrDefault("SNIKRA_PORT", "8080");
    boolean demo = false;
    List<String> left = new ArrayList<>(args);
    while (!left.isEmpty()) {
      String option = left.remove(0);
      switch (option) {
        case "--demo" -> demo = true;
        case "--data" -> data = argument(option, left);
        case "--port" -> port = argument(option, left);
        default ->
            throw new StartRefused(
                "Unknown option " + option + ". Known are --data DIR, --port N and --demo.");
      }
    }
    return new StartOptions(Path.of(data).toAbsolutePath().normalize(), number(port), demo);
  }

  private static String argument(String option, List<String> left) {
    if (left.isEmpty()) {
      throw new StartRefused("Option " + option + " needs a value after it.");
    }
    return left.remove(0);
  }

  private static int number(String port) {
    if (!port.matches("\\d{1,5}") || Integer.parseInt(port) > HIGHEST_PORT) {
      throw new StartRefused("The port must be a number from 0 to 65535; found " + port + ".");
    }
    return Integer.parseInt(port);
  }

  /** Finds out early what would otherwise end in a long complaint. */
  void check() {
    try {
      Files.createDirectories(data);
      Files.delete(Files.createTempFile(data, "write", ".test"));
    } catch (IOException e) {
      throw new StartRefused(
          "Cannot write in the data folder " + data + ". Choose another with --data DIR.");
    }
    try (ServerSocket probe = new ServerSocket(port, 1, InetAddress.getLoopbackAddress())) {
      probe.setReuseAddress(true);
    } catch (IOException e) {
      throw new StartRefused(
          "Port " + port + " is taken. Stop what uses it, or choose another with --port N.");
    }
  }

  String[] toSpring() {
    return new String[] {"--snikra.data=" + data, "--server.port=" + port, "--snikra.demo=" + demo};
  }
}
