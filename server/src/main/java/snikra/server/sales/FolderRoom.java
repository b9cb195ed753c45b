package snikra.server.sales;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.stream.Stream;
import snikra.core.value.SaleRoom;

/**
 * What a room sold, as whatever fetches it has put it into a file; Snikra itself asks nobody. It is
 * told whole: what is in the book already is known by itself.
 */
record FolderRoom(Path file) implements SaleRoom {
  private static final long MOST_BYTES = 2_000_000;
  private static final String ENDING = ".tsv";

  /** The rooms of a folder, by name; none where there is no folder. */
  static List<SaleRoom> in(Path folder) {
    if (!Files.isDirectory(folder)) {
      return List.of();
    }
    try (Stream<Path> files = Files.list(folder)) {
      return files
          .filter(f -> Files.isRegularFile(f) && name(f).endsWith(ENDING))
          .sorted()
          .<SaleRoom>map(FolderRoom::new)
          .toList();
    } catch (IOException e) {
      throw new Silent("The folder of sale rooms cannot be read: " + e.getMessage());
    }
  }

  private static String name(Path file) {
    return "" + file.getFileName();
  }

  @Override
  public String id() {
    return label();
  }

  @Override
  public String label() {
    return name(file).substring(0, name(file).length() - ENDING.length());
  }

  @Override
  public boolean isStandIn() {
    return false;
  }

  @Override
  public String report(LocalDate from, LocalDate to) {
    try {
      if (Files.size(file) > MOST_BYTES) {
        throw new Silent(label() + " tells more than 2 MB at once, and is not read.");
      }
      return Files.readString(file, StandardCharsets.UTF_8);
    } catch (IOException e) {
      throw new Silent("What " + label() + " tells cannot be read.");
    }
  }
}
