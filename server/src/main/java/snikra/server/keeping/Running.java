package snikra.server.keeping;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import snikra.formats.Json;
import tools.jackson.core.JacksonException;

/** Says in the data folder where the Snikra listens that has it open. */
public record Running(int port) {
  private static final String FILE = "running.json";

  /** Says so until it stops. */
  public void sayIn(Path data) throws IOException {
    Disk.write(data.resolve(FILE), Json.mapper().writeValueAsBytes(this));
    data.resolve(FILE).toFile().deleteOnExit();
  }

  /** Where the Snikra listens that last had this folder open. */
  public static Optional<Running> in(Path data) {
    try {
      return Optional.of(
          Json.mapper().readValue(Files.readString(data.resolve(FILE)), Running.class));
    } catch (IOException | JacksonException e) {
      return Optional.empty();
    }
  }
}
