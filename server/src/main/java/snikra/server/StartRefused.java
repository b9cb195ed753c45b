package snikra.server;

import java.nio.file.Path;
import org.jspecify.annotations.Nullable;
import snikra.server.keeping.BackupFailed;
import snikra.server.keeping.DataFolder;
import snikra.server.keeping.Disk;
import snikra.server.keeping.DiskFull;

/** A start that cannot be, told in one plain sentence. */
class StartRefused extends RuntimeException {
  private static final long serialVersionUID = 1L;

  StartRefused(String sentence) {
    super(sentence);
  }

  /** The plain sentence behind a failure deep inside. */
  static String explain(Throwable failure, @Nullable Path data) {
    StringBuilder all = new StringBuilder();
    for (Throwable t = failure; t != null; t = t.getCause()) {
      if (t instanceof StartRefused || t instanceof BackupFailed || t instanceof DiskFull) {
        return t.getMessage();
      }
      all.append(t.getMessage()).append('\n');
    }
    if (all.toString().contains("may be already in use")) {
      return inUse().getMessage();
    }
    if (Disk.isFull(failure)) {
      return "The disk is full: Snikra cannot start. Make room in the data folder, then start again.";
    }
    if (data != null
        && all.toString()
            .matches("(?s).*(File corrupted|is corrupted|is corrupt|General error).*")) {
      return new DataFolder(data).damaged();
    }
    if (all.toString().contains("Unsupported database file version")) {
      return newer();
    }
    String first = all.toString().lines().findFirst().orElse("no reason given");
    return "Snikra cannot start: " + first;
  }

  static StartRefused inUse() {
    return new StartRefused(
        "The data folder is in use by another Snikra. Stop it, or choose another with --data DIR.");
  }

  static String newer() {
    return "The knives in the data folder were written by a newer Snikra. Start that one, or choose"
        + " another folder with --data DIR.";
  }
}
