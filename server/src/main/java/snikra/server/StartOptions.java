package snikra.server;

import java.io.IOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import snikra.server.keeping.DataFolder;
import snikra.server.keeping.Disk;

/**
 * How to start: {@code --data DIR} (or SNIKRA_DATA), {@code --port N} (or SNIKRA_PORT; 0 takes any
 * free one) and {@code --demo} for the sample tin in an empty folder; or what else to do with the
 * knives: {@code --backup}, {@code --restore NAME} (or {@code newest}) and {@code --check}.
 *
 * @param copy name of the copy to put back; null for the newest
 */
record StartOptions(Path data, int port, boolean demo, Task task, @Nullable String copy) {
  /** What to do. */
  enum Task {
    SERVE,
    BACKUP,
    RESTORE,
    CHECK,
    /** Starts, goes through what is done first and ends, so that later starts find it prepared. */
    REHEARSE
  }

  private static final int HIGHEST_PORT = 65_535;

  static StartOptions parse(List<String> args, Map<String, String> environment) {
    String data = environment.getOrDefault("SNIKRA_DATA", "snikra-data");
    String port = environment.getOrDefault("SNIKRA_PORT", "8080");
    boolean demo = false;
    Task task = Task.SERVE;
    String copy = null;
    List<String> left = new ArrayList<>(args);
    while (!left.isEmpty()) {
      String option = left.remove(0);
      switch (option) {
        case "--demo" -> demo = true;
        case "--backup" -> task = Task.BACKUP;
        case "--rehearse" -> task = Task.REHEARSE;
        case "--check" -> task = Task.CHECK;
        case "--restore" -> {
          task = Task.RESTORE;
          copy = argument(option, left);
        }
        case "--data" -> data = argument(option, left);
        case "--port" -> port = argument(option, left);
        default ->
            throw new StartRefused(
                "Unknown option "
                    + option
                    + ". Known are --data DIR, --port N, --demo, --backup, --restore NAME and"
                    + " --check.");
      }
    }
    return new StartOptions(
        Path.of(data).toAbsolutePath().normalize(),
        task == Task.SERVE ? number(port) : 0,
        demo,
        task,
        "newest".equals(copy) ? null : copy);
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
      if (task != Task.SERVE && task != Task.REHEARSE && !Files.isDirectory(data)) {
        throw new StartRefused("There is no data folder " + data + ". Name it with --data DIR.");
      }
      Disk.makeFolder(data);
      new DataFolder(data).closeToOthers();
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
