package snikra.server.keeping;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.jspecify.annotations.Nullable;
import snikra.formats.Json;
import tools.jackson.core.JacksonException;

/**
 * What is set for one data folder. It stands in a file of its own, {@code settings.json}, so that
 * it can be read when the database cannot.
 *
 * @param backups where copies are kept; null for {@code backups} in the data folder
 * @param format the newest format of knives that was written here
 */
record Settings(@Nullable String backups, int format) {
  static final String FILE = "settings.json";

  /** Says that Snikra was here, and which format it writes. */
  static void beginIn(Path data, int format) throws IOException {
    Settings now = in(data);
    if (now.format() != format || !Files.exists(data.resolve(FILE))) {
      new Settings(now.backups(), format).keepIn(data);
    }
  }

  /** What is set in this folder; the usual where nothing is, or it cannot be read. */
  static Settings in(Path data) {
    try {
      Path file = data.resolve(FILE);
      return Files.exists(file)
          ? Json.mapper().readValue(Files.readString(file), Settings.class)
          : new Settings(null, 1);
    } catch (IOException | JacksonException e) {
      return new Settings(null, 1);
    }
  }

  void keepIn(Path data) throws IOException {
    Disk.write(data.resolve(FILE), Json.mapper().writeValueAsBytes(this));
    Disk.forceFolder(data);
  }

  Path backupsOf(Path data) {
    return backups == null ? data.resolve("backups") : Path.of(backups);
  }
}
