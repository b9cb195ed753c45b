package snikra.server.keeping;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.PosixFilePermissions;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Set;
import java.util.concurrent.locks.ReentrantReadWriteLock;
import java.util.function.LongSupplier;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * The disk under the data folder. {@link #force} returns when everything committed before is on it;
 * {@link #requireRoom} refuses before it runs full, for a database that runs out of room amid a
 * write has to be opened anew.
 */
public class Disk implements AutoCloseable {
  /** Below this much free room nothing more is written. */
  static final long ROOM = 24L * 1024 * 1024;

  /** Below this much free room no photograph is taken in. */
  static final long ROOM_FOR_PHOTOGRAPHS = 100L * 1024 * 1024;

  private static final Logger LOG = LoggerFactory.getLogger(Disk.class);
  private static final long IDLE_NANOS = 30_000_000_000L;
  private static final long MB = 1024L * 1024;

  private final @Nullable Database database;
  private final String url;
  private final LongSupplier free;
  private final GroupForce group = new GroupForce(this::checkpoint);
  private final ReentrantReadWriteLock writers = new ReentrantReadWriteLock();
  private volatile long lastWritten = System.nanoTime();
  private volatile @Nullable Connection own;

  /**
   * A disk.
   *
   * @param url of the database; it is forced over a connection of its own, so that writers that
   *     wait for it never take up those that others need
   * @param free how many bytes can still be written
   */
  public Disk(@Nullable Database database, String url, LongSupplier free) {
    this.database = database;
    this.url = url;
    this.free = free;
  }

  private void closeQuietly() {
    try {
      close();
    } catch (SQLException e) {
      LOG.debug("It could not be closed either.", e);
    }
  }

  /** How many bytes can still be written in a folder. */
  public static LongSupplier freeIn(Path folder) {
    return () -> {
      try {
        return Files.getFileStore(folder).getUsableSpace();
      } catch (IOException e) {
        throw new UncheckedIOException(e);
      }
    };
  }

  /** Returns when all that was committed before is on the disk. */
  public void force() {
    force(timesOpened());
  }

  /**
   * Returns when all that was committed since a writer began is on the disk.
   *
   * @param begun what {@link #timesOpened} was then: a database that was opened anew since, because
   *     a write failed, knows nothing of what this one committed
   */
  void force(long begun) {
    group.await();
    if (database != null && database.timesOpened() != begun) {
      throw failed(database.failureSince(begun));
    }
  }

  /** How often the database was opened so far. */
  long timesOpened() {
    return database == null ? 0 : database.timesOpened();
  }

  private void checkpoint() {
    try {
      if (own == null || own.isClosed() || !own.isValid(1)) {
        own = DriverManager.getConnection(url, "snikra", "");
      }
      try (Statement statement = own.createStatement()) {
        statement.execute("CHECKPOINT SYNC");
      }
    } catch (SQLException e) {
      // What it has in memory is not on the disk: it is opened anew as it is there.
      closeQuietly();
      if (database != null) {
        database.openAnew(e);
      }
      throw failed(e);
    }
  }

  /** A failure to write because there is no more room, as it is told. */
  public DiskFull full(Exception e) {
    return new DiskFull(sentence("Nothing can be saved"), e);
  }

  /** A writer begins: while it writes the file is not tidied up. */
  void beginWriting() {
    writers.readLock().lock();
  }

  /** The writer that began is done. */
  void endWriting() {
    lastWritten = System.nanoTime();
    writers.readLock().unlock();
  }

  /**
   * Makes the file small again when nothing was written for a while. The database is written anew
   * beside the old file and takes its place at once; writers wait for it.
   */
  void tidyWhenIdle() {
    if (database != null
        && System.nanoTime() - lastWritten > IDLE_NANOS
        && database.hasGrown()
        && free.getAsLong() > ROOM + database.size()) {
      tidy();
    }
  }

  void tidy() {
    writers.writeLock().lock();
    try {
      force();
      closeQuietly();
      if (database != null) {
        database.compact();
      }
    } finally {
      writers.writeLock().unlock();
    }
  }

  /** What a failure to write means: a full disk, or that the database must be opened anew. */
  RuntimeException failed(Exception e) {
    if (free.getAsLong() < ROOM || isFull(e)) {
      return full(e);
    }
    LOG.error("The database could not be forced to the disk.", e);
    return new IllegalStateException("The database could not be forced to the disk.", e);
  }

  /** Whether a failure deep inside is that of a full disk. */
  public static boolean isFull(Throwable failure) {
    for (Throwable t = failure; t != null; t = t.getCause()) {
      if ((t.getMessage() + "").contains("No space left on device")) {
        return true;
      }
    }
    return false;
  }

  /**
   * Makes sure that there is room to write.
   *
   * @throws DiskFull when there is too little
   */
  public void requireRoom() {
    if (free.getAsLong() < ROOM || (database != null && !database.isWritable())) {
      throw new DiskFull(sentence("Nothing can be saved"));
    }
  }

  /**
   * Makes sure that there is room for a photograph.
   *
   * @throws DiskFull when there is too little
   */
  public void requireRoomForPhotograph() {
    if (free.getAsLong() < ROOM_FOR_PHOTOGRAPHS) {
      throw new DiskFull(
          "No photograph can be added: the disk has "
              + free.getAsLong() / MB
              + " MB left, and "
              + ROOM_FOR_PHOTOGRAPHS / MB
              + " MB are kept free for the knives. Make room, then try again.");
    }
  }

  private String sentence(String what) {
    return what
        + (free.getAsLong() < ROOM
            ? ": the disk has only " + free.getAsLong() / MB + " MB left"
            : ": the disk is full")
        + ". What is kept can be read; make room, and saving goes on by itself.";
  }

  /** How many bytes can still be written. */
  public long free() {
    return free.getAsLong();
  }

  /**
   * Writes a file whole or not at all, readable by its owner only; when this returns it is kept.
   */
  public static void write(Path file, byte[] bytes) throws IOException {
    Path part = file.resolveSibling(file.getFileName() + ".part");
    try {
      try (FileChannel channel =
          FileChannel.open(
              part,
              StandardOpenOption.CREATE,
              StandardOpenOption.WRITE,
              StandardOpenOption.TRUNCATE_EXISTING)) {
        ownerOnly(part, false);
        java.nio.ByteBuffer left = java.nio.ByteBuffer.wrap(bytes);
        while (left.hasRemaining()) {
          channel.write(left);
        }
        channel.force(true);
      }
      Files.move(part, file, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
    } catch (IOException e) {
      Files.deleteIfExists(part);
      throw e;
    }
  }

  /** Forces the names in a folder: a file whose name is not on the disk is lost with its bytes. */
  public static void forceFolder(Path folder) throws IOException {
    try (FileChannel names = FileChannel.open(folder, StandardOpenOption.READ)) {
      names.force(true);
    } catch (IOException e) {
      if (!System.getProperty("os.name", "").startsWith("Windows")) {
        throw e;
      }
      LOG.debug("Folders cannot be forced here.", e);
    }
  }

  /** Makes a folder, with those above it, that its owner alone can look into. */
  public static void makeFolder(Path folder) throws IOException {
    boolean isNew = !Files.isDirectory(folder);
    Files.createDirectories(folder);
    if (isNew) {
      ownerOnly(folder, true);
      if (folder.getParent() != null) {
        forceFolder(folder.getParent());
      }
    }
  }

  /** Lets no one but the owner read a file, or look into a folder. */
  public static void ownerOnly(Path path, boolean folder) throws IOException {
    if (path.getFileSystem().supportedFileAttributeViews().contains("posix")) {
      Files.setPosixFilePermissions(
          path, folder ? PosixFilePermissions.fromString("rwx------") : OWNERS_FILE);
    }
  }

  private static final Set<java.nio.file.attribute.PosixFilePermission> OWNERS_FILE =
      PosixFilePermissions.fromString("rw-------");

  @Override
  public void close() throws SQLException {
    Connection open = own;
    own = null;
    if (open != null) {
      open.close();
    }
  }
}
