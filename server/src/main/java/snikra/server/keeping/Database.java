package snikra.server.keeping;

import com.zaxxer.hikari.HikariConfig;
import com.zaxxer.hikari.HikariDataSource;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.jdbc.datasource.AbstractDataSource;

/**
 * The database, opened anew by itself when it had to close. It closes when a write fails, as on a
 * disk that another program filled to the last byte; it is then opened to read, so that one can go
 * on looking, and to write again once there is room.
 */
public class Database extends AbstractDataSource implements AutoCloseable {
  private static final Logger LOG = LoggerFactory.getLogger(Database.class);
  private static final String TO_READ = ";ACCESS_MODE_DATA=r";
  private static final int MOST_CONNECTIONS = 8;
  private static final long PATIENCE_MS = 3000;
  private static final long GROWN = 1024L * 1024;
  private static final long AGAIN_AFTER_NANOS = 1_000_000_000L;

  private final String url;
  private final Path file;
  private @Nullable HikariDataSource pool;
  private boolean toReadOnly;
  private long lastTried;
  private long smallest;
  private volatile @Nullable Failure last;

  /** Why it was opened anew, and how often it had been opened until then. */
  private record Failure(long times, Exception why) {}

  /**
   * A database.
   *
   * @param file where it lies, to know how large it is
   */
  public Database(String url, Path file) {
    this.file = file;
    // Each connection is looked at before it is lent: those of a database that closed are let go.
    SteadyFiles.install();
    System.setProperty("com.zaxxer.hikari.aliveBypassWindowMs", "0");
    this.url = url;
    this.smallest = size();
  }

  @Override
  public Connection getConnection() throws SQLException {
    try {
      return pool().getConnection();
    } catch (SQLException e) {
      // Whoever was interrupted, or waited too long for its turn, says nothing of the database.
      if (Thread.currentThread().isInterrupted()) {
        throw e;
      }
      if (!opens()) {
        openAnew(e);
      }
      return pool().getConnection();
    }
  }

  private synchronized boolean opens() {
    try (Connection tried =
        DriverManager.getConnection(toReadOnly ? url + TO_READ : url, "snikra", "")) {
      return tried.isValid(1);
    } catch (SQLException e) {
      return false;
    }
  }

  @Override
  public Connection getConnection(String user, String password) throws SQLException {
    return getConnection();
  }

  private synchronized HikariDataSource pool() {
    if (pool == null) {
      pool = open(toReadOnly ? url + TO_READ : url);
    }
    return pool;
  }

  private static HikariDataSource open(String url) {
    HikariConfig config = new HikariConfig();
    config.setJdbcUrl(url);
    config.setUsername("snikra");
    config.setPassword("");
    config.setMaximumPoolSize(MOST_CONNECTIONS);
    config.setMinimumIdle(0);
    config.setConnectionTimeout(PATIENCE_MS);
    config.setInitializationFailTimeout(-1);
    return new HikariDataSource(config);
  }

  /**
   * Opens it anew after a failure, as it is on the disk: to write where that can be, else to read.
   */
  synchronized void openAnew(Exception why) {
    LOG.warn("The database is opened anew: {}", why.getMessage());
    last = new Failure(timesOpened(), why);
    shutDown("SHUTDOWN IMMEDIATELY");
    reopen(false);
  }

  /**
   * How often it was opened so far, by this or by itself when it had closed. What was committed in
   * an earlier time and not forced is gone with it.
   */
  long timesOpened() {
    try {
      return SteadyFiles.timesOpened(file);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** What failed since it had been opened this often. */
  Exception failureSince(long times) {
    Failure failure = last;
    return failure == null || failure.times < times
        ? new SQLException("It closed by itself.")
        : failure.why;
  }

  /**
   * Whether it can be written in just now; tries to open it to write again where it could not be.
   */
  synchronized boolean isWritable() {
    if (toReadOnly && System.nanoTime() - lastTried > AGAIN_AFTER_NANOS) {
      reopen(false);
    }
    return !toReadOnly;
  }

  private void reopen(boolean read) {
    letPoolGo();
    if (toReadOnly) {
      // A connection that lingers would keep it open to read, and every later one would join it.
      shutDown("SHUTDOWN IMMEDIATELY");
    }
    toReadOnly = read;
    lastTried = System.nanoTime();
    try (Connection tried = pool().getConnection()) {
      if (!read) {
        if (tried.isReadOnly()) {
          throw new SQLException("It is still open to read only.");
        }
        tried.setAutoCommit(true);
        try (Statement statement = tried.createStatement()) {
          statement.execute("CHECKPOINT SYNC");
        }
      }
    } catch (SQLException e) {
      if (!read) {
        LOG.warn("It can be opened to read only: {}", e.getMessage());
        reopen(true);
      }
    }
  }

  /** How large its file is. */
  long size() {
    try {
      return Files.exists(file) ? Files.size(file) : 0;
    } catch (IOException e) {
      return 0;
    }
  }

  /** Whether its file is much larger than it was when it was small last. */
  synchronized boolean hasGrown() {
    return size() > 2 * smallest + GROWN;
  }

  /**
   * Writes it anew without what is not needed any more. The new file is forced before it takes the
   * place of the old one; the database tidying its file in place is not safe from a power cut.
   */
  synchronized void compact() {
    letPoolGo();
    shutDown("SHUTDOWN COMPACT");
    smallest = size();
  }

  // Over a connection of its own, which the shutdown takes with it: that it cannot be closed is no
  // news.
  private void shutDown(String how) {
    try (Connection last =
            DriverManager.getConnection(toReadOnly ? url + TO_READ : url, "snikra", "");
        Statement statement = last.createStatement()) {
      statement.execute(how);
    } catch (SQLException e) {
      LOG.debug("{}: {}", how, e.getMessage());
    }
  }

  private void letPoolGo() {
    if (pool != null) {
      pool.close();
      pool = null;
    }
  }

  @Override
  public synchronized void close() {
    if (!toReadOnly && hasGrown()) {
      compact();
    }
    letPoolGo();
  }
}
