package snikra.server.keeping;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.flywaydb.core.Flyway;
import org.jspecify.annotations.Nullable;

/** The database of a copy, laid out in a folder of its own to be looked at, and let go again. */
final class CopyOfDatabase implements AutoCloseable {
  static final String NAME = "snikra";
  static final String FILE = NAME + ".mv.db";

  private final Path folder;
  private final Connection connection;

  /** A knife in a copy. */
  record Kept(String id, int number, long version, String text, boolean isTakenOut) {}

  private CopyOfDatabase(Path folder, Connection connection) {
    this.folder = folder;
    this.connection = connection;
  }

  /**
   * Opens the copy in this file.
   *
   * @param upgraded whether to bring it to today's tables first
   * @throws IOException when it cannot be opened, and so is none
   */
  static CopyOfDatabase open(Path zip, boolean upgraded) throws IOException {
    Path folder = Files.createTempDirectory("snikra-copy");
    try {
      unpack(zip, folder.resolve(FILE));
      String url = "jdbc:h2:file:" + folder.resolve(NAME) + ";IFEXISTS=TRUE";
      if (upgraded) {
        Flyway.configure().dataSource(url, "snikra", "").load().migrate();
      }
      return new CopyOfDatabase(folder, DriverManager.getConnection(url, "snikra", ""));
    } catch (SQLException | RuntimeException e) {
      delete(folder);
      throw new IOException("The copy in " + zip + " cannot be opened.", e);
    }
  }

  /** Takes the database file out of a copy. */
  static void unpack(Path zip, Path file) throws IOException {
    try (ZipInputStream in = new ZipInputStream(Files.newInputStream(zip))) {
      for (ZipEntry e = in.getNextEntry(); e != null; e = in.getNextEntry()) {
        if (e.getName().equals(FILE)) {
          Files.copy(in, file);
          return;
        }
      }
    }
    throw new IOException("There is no database in " + zip + ".");
  }

  Connection connection() {
    return connection;
  }

  /** Every knife in it, by id. */
  Map<String, Kept> knives() throws SQLException {
    return knives(connection);
  }

  static Map<String, Kept> knives(Connection connection) throws SQLException {
    Map<String, Kept> all = new LinkedHashMap<>();
    try (Statement statement = connection.createStatement();
        ResultSet rows =
            statement.executeQuery(
                "select id, number, version, specimen, deleted_at from knife order by number")) {
      while (rows.next()) {
        String id = rows.getString(1);
        all.put(
            id,
            new Kept(
                id,
                rows.getInt(2),
                rows.getLong(3),
                rows.getString(4),
                rows.getTimestamp(5) != null));
      }
    }
    return all;
  }

  /** Every photograph in it; the sum where one is kept. */
  List<Row> photographs() throws SQLException {
    List<Row> all = new ArrayList<>();
    try (Statement statement = connection.createStatement();
        ResultSet rows = statement.executeQuery("select * from photo")) {
      boolean summed = has(rows, "SHA256");
      while (rows.next()) {
        all.add(
            new Row(
                rows.getString("id"),
                rows.getString("file_name"),
                rows.getString("type"),
                summed ? rows.getString("sha256") : null));
      }
    }
    return all;
  }

  /** A photograph by its row. */
  record Row(String id, String fileName, String type, @Nullable String sha256) {}

  private static boolean has(ResultSet rows, String column) throws SQLException {
    for (int i = 1; i <= rows.getMetaData().getColumnCount(); i++) {
      if (rows.getMetaData().getColumnName(i).equalsIgnoreCase(column)) {
        return true;
      }
    }
    return false;
  }

  @Override
  public void close() throws IOException {
    try {
      connection.close();
    } catch (SQLException e) {
      throw new IOException(e);
    } finally {
      delete(folder);
    }
  }

  static void delete(Path folder) throws IOException {
    if (Files.exists(folder)) {
      try (Stream<Path> all = Files.walk(folder)) {
        for (Path path : all.sorted(Comparator.reverseOrder()).toList()) {
          Files.deleteIfExists(path);
        }
      }
    }
  }
}
