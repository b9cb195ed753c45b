package snikra.server.keeping;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.charset.StandardCharsets;
import java.nio.file.FileSystemException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * The data folder before anything in it is opened: whether the knives are there and whole as far as
 * can be told, and how a copy is put back when they are not. Nothing damaged is ever written over.
 */
public final class DataFolder {
  private static final Logger LOG = LoggerFactory.getLogger(DataFolder.class);
  private static final int BLOCK = 4096;
  private static final String HEADER = "H:";
  private static final int MOST_TOLD = 5;

  private final Path data;

  public DataFolder(Path data) {
    this.data = data;
  }

  private Path database() {
    return data.resolve(CopyOfDatabase.FILE);
  }

  /** What is wrong with it and which copies there are, in one sentence; empty where nothing is. */
  public Optional<String> damage() {
    try {
      Path file = database();
      if (!Files.exists(file)) {
        return isNew()
            ? Optional.empty()
            : Optional.of(told("is missing, though Snikra was here before"));
      }
      if (Files.size(file) == 0) {
        return isNew() || SteadyFiles.restoresAll(file)
            ? Optional.empty()
            : Optional.of(told("is empty"));
      }
      return hasHeader(file) ? Optional.empty() : Optional.of(told("is damaged"));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** That the knives cannot be opened, in one sentence with the copies there are. */
  public String damaged() {
    return told("is damaged");
  }

  private String told(String what) {
    List<Backup> copies = copies();
    String there =
        copies.isEmpty()
            ? "There is no copy in " + Settings.in(data).backupsOf(data) + "."
            : "Copies there are: "
                + copies.stream()
                    .limit(MOST_TOLD)
                    .map(c -> c.name() + " (" + knives(c.knives()) + ")")
                    .collect(Collectors.joining(", "))
                + "; put one back with ./snikra restore "
                + copies.get(0).name()
                + ".";
    return "The file with the knives, "
        + database()
        + ", "
        + what
        + "; nothing was touched. "
        + there;
  }

  private static String knives(int count) {
    return count == 1 ? "1 knife" : count + " knives";
  }

  /** All copies, the newest first. */
  public List<Backup> copies() {
    return Backups.in(Settings.in(data).backupsOf(data));
  }

  // A first start that was cut short leaves an empty file and nothing else.
  private boolean isNew() throws IOException {
    return !hasAny(data.resolve("photos"))
        && copies().isEmpty()
        && !Files.exists(data.resolve(Settings.FILE));
  }

  private static boolean hasAny(Path folder) throws IOException {
    if (!Files.isDirectory(folder)) {
      return false;
    }
    try (Stream<Path> inside = Files.list(folder)) {
      return inside.findAny().isPresent();
    }
  }

  // A store has its header twice, in the first two blocks: one of them is enough to open it.
  private static boolean hasHeader(Path file) throws IOException {
    byte[] start;
    try (var in = Files.newInputStream(file)) {
      start = in.readNBytes(2 * BLOCK);
    }
    String text = new String(start, StandardCharsets.ISO_8859_1);
    return text.startsWith(HEADER) || text.startsWith(HEADER, BLOCK);
  }

  /** Lets no one else look into the folder or at the knives. */
  public void closeToOthers() throws IOException {
    try {
      Disk.ownerOnly(data, true);
      if (Files.exists(database())) {
        Disk.ownerOnly(database(), false);
      }
    } catch (FileSystemException e) {
      // Whoever may write there but does not own it keeps the knives where others chose to.
      LOG.warn("{} stays as open as it is: {}", data, e.getMessage());
    }
  }

  /** Whether a Snikra that runs has the knives open. */
  public boolean isInUse() {
    if (!Files.exists(database())) {
      return false;
    }
    try (FileChannel channel = FileChannel.open(database(), StandardOpenOption.WRITE);
        FileLock lock = channel.tryLock()) {
      return lock == null;
    } catch (IOException | OverlappingFileLockException e) {
      return true;
    }
  }

  /**
   * Puts a copy back while no Snikra runs. What is there is moved aside, not thrown away.
   *
   * @param name of the copy; null for the newest
   * @return what was done, in one sentence
   * @throws BackupFailed when it cannot be; nothing was changed then
   */
  public String restore(@Nullable String name) {
    Path folder = Settings.in(data).backupsOf(data);
    Backup copy =
        copies().stream()
            .filter(c -> name == null || c.name().equals(name))
            .findFirst()
            .orElseThrow(
                () ->
                    new BackupFailed(
                        folder,
                        new IOException(
                            "there is no copy "
                                + (name == null ? "at all." : name + "; there are " + names()))));
    try {
      return restore(folder, copy);
    } catch (IOException e) {
      throw new BackupFailed(folder.resolve(copy.name()), e);
    }
  }

  private String names() {
    return copies().stream().map(Backup::name).collect(Collectors.joining(", ")) + ".";
  }

  private String restore(Path folder, Backup copy) throws IOException {
    Path part = data.resolve(CopyOfDatabase.FILE + ".part");
    Files.deleteIfExists(part);
    Manifest manifest = Backups.whole(folder.resolve(copy.name()));
    CopyOfDatabase.unpack(folder.resolve(copy.name()).resolve(Backups.DATABASE), part);
    Disk.ownerOnly(part, false);
    try (FileChannel channel = FileChannel.open(part, StandardOpenOption.WRITE)) {
      channel.force(true);
    }
    Backups.bringOriginals(manifest, folder.resolve(Backups.ORIGINALS), data.resolve("photos"));
    String aside = "";
    if (Files.exists(database())) {
      Path kept =
          data.resolve(
              "snikra-until-"
                  + DateTimeFormatter.ofPattern("uuuu-MM-dd'T'HH-mm-ss")
                      .withZone(ZoneOffset.UTC)
                      .format(Instant.now())
                  + ".mv.db");
      Files.move(database(), kept, StandardCopyOption.ATOMIC_MOVE);
      aside = " What was there is now " + kept.getFileName() + ".";
    }
    Files.deleteIfExists(data.resolve(CopyOfDatabase.FILE + SteadyFiles.BATCH));
    Files.move(part, database(), StandardCopyOption.ATOMIC_MOVE);
    Disk.forceFolder(data);
    return "Put back the copy " + copy.name() + " with " + knives(copy.knives()) + "." + aside;
  }
}
