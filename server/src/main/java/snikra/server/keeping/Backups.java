package snikra.server.keeping;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import javax.sql.DataSource;
import org.jspecify.annotations.Nullable;
import snikra.core.examination.Problem;
import snikra.formats.InvalidInput;
import snikra.formats.Json;
import snikra.formats.SpecimenFormat;
import snikra.formats.UnreadableKnife;
import tools.jackson.core.JacksonException;

/**
 * Copies of all that is kept, made while Snikra runs. Each is a folder with the database and a
 * manifest; photographs never change, so all copies share one of each, under its sum. A copy counts
 * only once it was opened and every knife and photograph in it was found.
 */
public class Backups {
  /** So many of each kind are kept. */
  static final int KEPT = 14;

  /** What a copy holds, parents first. */
  static final List<String> TABLES =
      List.of(
          "knife",
          "pack",
          "sale",
          "photo",
          "journal_entry",
          "grading",
          "ledger_revision",
          "filed_step",
          "schedule",
          "saved_search",
          "want",
          "came_state",
          "practice_round");

  /** Tables that are worked out of the others: they go with what they were worked out of. */
  static final List<String> DERIVED = List.of("catalogue_row");

  static final String DATABASE = "database.zip";
  private static final String MANIFEST = "manifest.json";
  static final String ORIGINALS = "photographs";
  private static final String UNFINISHED = ".unfinished";
  private static final int MOST_TOLD = 40;
  private static final DateTimeFormatter NAME =
      DateTimeFormatter.ofPattern("uuuu-MM-dd'T'HH-mm-ss-SSS").withZone(ZoneOffset.UTC);

  private final DataSource database;
  private final Disk disk;
  private final Path data;
  private final Clock clock;

  public Backups(DataSource database, Disk disk, Path data, Clock clock) {
    this.database = database;
    this.disk = disk;
    this.data = data;
    this.clock = clock;
  }

  /** Where copies are kept. */
  public Path folder() {
    return Settings.in(data).backupsOf(data);
  }

  /**
   * Chooses where copies are kept from now on; those made before stay where they are.
   *
   * @throws InvalidInput when nothing can be written there
   */
  public synchronized void choose(String folder) {
    Path chosen;
    try {
      chosen = Path.of(folder.strip());
      if (folder.isBlank() || !chosen.isAbsolute()) {
        throw refusedFolder(folder);
      }
      Disk.makeFolder(chosen);
      Files.delete(Files.createTempFile(chosen, "write", ".test"));
      new Settings(chosen.toString(), Settings.in(data).format()).keepIn(data);
    } catch (IOException | java.nio.file.InvalidPathException e) {
      throw refusedFolder(folder);
    }
  }

  private static InvalidInput refusedFolder(String folder) {
    return new InvalidInput(
        List.of(
            new Problem(
                "folder",
                folder.isBlank() ? "nothing" : folder,
                "must be the whole path of a folder that can be written in")));
  }

  /** All copies, the newest first. */
  public List<Backup> all() {
    return in(folder());
  }

  /** All copies in a folder, the newest first; what is no whole copy is left out. */
  static List<Backup> in(Path folder) {
    if (!Files.isDirectory(folder)) {
      return List.of();
    }
    try (Stream<Path> inside = Files.list(folder)) {
      return inside
          .filter(f -> Files.exists(f.resolve(MANIFEST)) && !isUnfinished(f))
          .flatMap(f -> told(f).stream())
          .sorted(Comparator.comparing(Backup::made).reversed())
          .toList();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static boolean isUnfinished(Path folder) {
    return folder.getFileName().toString().startsWith(UNFINISHED);
  }

  private static List<Backup> told(Path folder) {
    try {
      Manifest m = manifest(folder);
      return List.of(
          new Backup(
              folder.getFileName().toString(),
              Instant.parse(m.made()),
              m.reason(),
              m.knives(),
              m.originals().size(),
              Files.size(folder.resolve(DATABASE))));
    } catch (IOException | JacksonException e) {
      return List.of();
    }
  }

  private static Manifest manifest(Path folder) throws IOException {
    return Json.mapper().readValue(Files.readString(folder.resolve(MANIFEST)), Manifest.class);
  }

  /**
   * What a copy holds, once its database is found to be what it was when it was made.
   *
   * @throws IOException when it is not
   */
  static Manifest whole(Path folder) throws IOException {
    Manifest manifest = manifest(folder);
    if (!Sha256.of(Files.readAllBytes(folder.resolve(DATABASE))).equals(manifest.database())) {
      throw new IOException("it is not what it was when it was made.");
    }
    return manifest;
  }

  /** Makes the copy of today, unless there is one or there is nothing to copy. */
  public void daily() {
    LocalDate today = LocalDate.ofInstant(clock.instant(), ZoneOffset.UTC);
    boolean made =
        all().stream()
            .anyMatch(
                b ->
                    b.reason() == Backup.Reason.DAILY
                        && LocalDate.ofInstant(b.made(), ZoneOffset.UTC).equals(today));
    if (!made && hasKnives()) {
      make(Backup.Reason.DAILY);
    }
  }

  private boolean hasKnives() {
    try (Connection connection = database.getConnection();
        Statement statement = connection.createStatement();
        ResultSet any = statement.executeQuery("select 1 from knife limit 1")) {
      return any.next();
    } catch (SQLException e) {
      throw new IllegalStateException(e);
    }
  }

  /** Makes a copy. When this returns it is on the disk, and was opened and found whole. */
  public synchronized Backup make(Backup.Reason reason) {
    Path folder = folder();
    Instant now = clock.instant().truncatedTo(ChronoUnit.MILLIS);
    Path part = folder.resolve(UNFINISHED + "-" + NAME.format(now));
    try {
      Disk.makeFolder(folder);
      Disk.makeFolder(folder.resolve(ORIGINALS));
      sweepUnfinished(folder);
      disk.requireRoom();
      Disk.makeFolder(part);
      Path zip = part.resolve(DATABASE);
      copyDatabase(zip);
      Manifest manifest = verified(zip, folder.resolve(ORIGINALS), reason, now);
      Disk.write(part.resolve(MANIFEST), Json.mapper().writeValueAsBytes(manifest));
      Disk.forceFolder(part);
      Path whole = folder.resolve(NAME.format(now));
      Files.move(part, whole, StandardCopyOption.ATOMIC_MOVE);
      Disk.forceFolder(folder);
      prune(folder);
      return told(whole).get(0);
    } catch (IOException | SQLException e) {
      throw Disk.isFull(e) ? disk.full(e) : new BackupFailed(folder, e);
    } finally {
      deleteQuietly(part);
    }
  }

  private static void sweepUnfinished(Path folder) throws IOException {
    try (Stream<Path> inside = Files.list(folder)) {
      for (Path left : inside.filter(Backups::isUnfinished).toList()) {
        CopyOfDatabase.delete(left);
      }
    }
  }

  private static void deleteQuietly(Path folder) {
    try {
      CopyOfDatabase.delete(folder);
    } catch (IOException e) {
      // It is unfinished by its name: the next copy lets go of it.
      folder.toFile().deleteOnExit();
    }
  }

  private void copyDatabase(Path zip) throws IOException, SQLException {
    try (Connection connection = database.getConnection();
        PreparedStatement backup = connection.prepareStatement("backup to ?")) {
      backup.setString(1, zip.toString());
      backup.execute();
    }
    Disk.ownerOnly(zip, false);
    try (var channel =
        java.nio.channels.FileChannel.open(zip, java.nio.file.StandardOpenOption.WRITE)) {
      channel.force(true);
    }
  }

  private Manifest verified(Path zip, Path originals, Backup.Reason reason, Instant now)
      throws IOException, SQLException {
    try (CopyOfDatabase copy = CopyOfDatabase.open(zip, false)) {
      Map<String, CopyOfDatabase.Kept> knives = copy.knives();
      List<Manifest.Original> kept = new ArrayList<>();
      for (CopyOfDatabase.Row row : copy.photographs()) {
        Path file = data.resolve("photos").resolve(row.id() + ".original");
        if (Files.exists(file)) {
          String sum = keep(file, row.sha256(), originals);
          kept.add(new Manifest.Original(row.id(), row.fileName(), row.type(), sum));
        }
      }
      Disk.forceFolder(originals);
      return new Manifest(
          now.toString(),
          reason,
          SpecimenFormat.current(),
          (int) knives.values().stream().filter(k -> !k.isTakenOut()).count(),
          Sha256.of(Files.readAllBytes(zip)),
          kept);
    }
  }

  private String keep(Path original, @Nullable String known, Path originals) throws IOException {
    if (known != null
        && Files.exists(originals.resolve(known))
        && Files.size(originals.resolve(known)) == Files.size(original)) {
      return known;
    }
    byte[] bytes = Files.readAllBytes(original);
    String sum = Sha256.of(bytes);
    if (!Files.exists(originals.resolve(sum))) {
      disk.requireRoom();
      Disk.write(originals.resolve(sum), bytes);
    }
    return sum;
  }

  private static void prune(Path folder) throws IOException {
    Map<Backup.Reason, List<Backup>> byReason =
        in(folder).stream().collect(Collectors.groupingBy(Backup::reason));
    for (List<Backup> ofOneKind : byReason.values()) {
      for (Backup old : ofOneKind.subList(Math.min(KEPT, ofOneKind.size()), ofOneKind.size())) {
        CopyOfDatabase.delete(folder.resolve(old.name()));
      }
    }
    Set<String> needed = new HashSet<>();
    for (Backup left : in(folder)) {
      manifest(folder.resolve(left.name())).originals().forEach(o -> needed.add(o.sha256()));
    }
    try (Stream<Path> originals = Files.list(folder.resolve(ORIGINALS))) {
      for (Path file : originals.toList()) {
        if (!needed.contains(file.getFileName().toString())) {
          Files.delete(file);
        }
      }
    }
  }

  /**
   * What bringing a copy back would do.
   *
   * @param back in the copy and not in the tray
   * @param changed in both, and not the same
   * @param away in the tray and not in the copy
   */
  public record CopyLook(
      Backup backup, int same, List<String> back, List<String> changed, List<String> away) {}

  /** Looks at a copy before it is brought back. */
  public CopyLook look(String name) {
    Path folder = find(name);
    try (CopyOfDatabase copy = CopyOfDatabase.open(folder.resolve(DATABASE), true);
        Connection connection = database.getConnection()) {
      Map<String, CopyOfDatabase.Kept> then = copy.knives();
      Map<String, CopyOfDatabase.Kept> now = CopyOfDatabase.knives(connection);
      List<String> back = new ArrayList<>();
      List<String> changed = new ArrayList<>();
      int same = 0;
      for (CopyOfDatabase.Kept k : then.values()) {
        CopyOfDatabase.Kept here = now.get(k.id());
        if (!k.isTakenOut() && (here == null || here.isTakenOut())) {
          back.add(title(k));
        } else if (!k.isTakenOut() && !here.text().equals(k.text())) {
          changed.add(title(k));
        } else if (!k.isTakenOut()) {
          same++;
        }
      }
      List<String> away =
          now.values().stream()
              .filter(k -> !k.isTakenOut())
              .filter(k -> !then.containsKey(k.id()) || then.get(k.id()).isTakenOut())
              .map(Backups::title)
              .toList();
      return new CopyLook(told(folder).get(0), same, shown(back), shown(changed), shown(away));
    } catch (IOException | SQLException e) {
      throw new BackupFailed(folder, e);
    }
  }

  private static List<String> shown(List<String> titles) {
    return titles.size() <= MOST_TOLD
        ? titles
        : Stream.concat(
                titles.stream().limit(MOST_TOLD),
                Stream.of("and " + (titles.size() - MOST_TOLD) + " more"))
            .toList();
  }

  private static String title(CopyOfDatabase.Kept knife) {
    String title = null;
    try {
      title = SpecimenFormat.readKept(knife.text()).title();
    } catch (UnreadableKnife e) {
      title = "cannot be read";
    }
    return "Knife " + knife.number() + (title == null ? "" : ", " + title);
  }

  private Path find(String name) {
    return all().stream()
        .filter(b -> b.name().equals(name))
        .findFirst()
        .map(b -> folder().resolve(b.name()))
        .orElseThrow(
            () ->
                new InvalidInput(
                    List.of(
                        new Problem(
                            "backup",
                            name,
                            "must be one of " + all().stream().map(Backup::name).toList()))));
  }

  /**
   * Brings a copy back in place of what is kept now, of which a copy is made first. All of it comes
   * back or nothing.
   *
   * @return the copy of what was kept until now
   */
  public synchronized Backup restore(String name) {
    Path folder = find(name);
    requireWhole(folder);
    Backup before = make(Backup.Reason.BEFORE_RESTORE);
    try (CopyOfDatabase copy = CopyOfDatabase.open(folder.resolve(DATABASE), true)) {
      bringOriginals(whole(folder), folder.resolveSibling(ORIGINALS), data.resolve("photos"));
      disk.beginWriting();
      try (Connection connection = database.getConnection()) {
        long begun = disk.timesOpened();
        connection.setAutoCommit(false);
        try {
          bringRows(copy.connection(), connection);
          connection.commit();
        } catch (SQLException e) {
          connection.rollback();
          throw e;
        } finally {
          connection.setAutoCommit(true);
        }
        disk.force(begun);
      } finally {
        disk.endWriting();
      }
      return before;
    } catch (IOException | SQLException e) {
      throw Disk.isFull(e) ? disk.full(e) : new BackupFailed(folder, e);
    }
  }

  private static void requireWhole(Path folder) {
    try {
      whole(folder);
    } catch (IOException e) {
      throw new BackupFailed(folder, e);
    }
  }

  static void bringOriginals(Manifest manifest, Path originals, Path photos) throws IOException {
    Disk.makeFolder(photos);
    for (Manifest.Original o : manifest.originals()) {
      Path file = photos.resolve(o.id() + ".original");
      if (!Files.exists(file)) {
        Disk.write(file, Files.readAllBytes(originals.resolve(o.sha256())));
      }
    }
    Disk.forceFolder(photos);
  }

  // Versions go on from the higher of the two: a page that still has the knife as it was finds out.
  private static void bringRows(Connection copy, Connection here) throws SQLException {
    Map<String, CopyOfDatabase.Kept> now = CopyOfDatabase.knives(here);
    try (Statement statement = here.createStatement()) {
      for (int i = TABLES.size() - 1; i >= 0; i--) {
        statement.execute("delete from " + TABLES.get(i));
      }
    }
    for (String table : TABLES) {
      try (Statement all = copy.createStatement();
          ResultSet rows = all.executeQuery("select * from " + table)) {
        int columns = rows.getMetaData().getColumnCount();
        List<String> names = new ArrayList<>();
        for (int c = 1; c <= columns; c++) {
          names.add(rows.getMetaData().getColumnName(c));
        }
        String sql =
            "insert into "
                + table
                + " ("
                + String.join(", ", names)
                + ") values ("
                + IntStream.range(0, columns).mapToObj(c -> "?").collect(Collectors.joining(", "))
                + ")";
        try (PreparedStatement insert = here.prepareStatement(sql)) {
          while (rows.next()) {
            for (int c = 1; c <= columns; c++) {
              insert.setObject(c, value(rows, names.get(c - 1), table, now));
            }
            insert.executeUpdate();
          }
        }
      }
    }
    try (Statement statement = here.createStatement();
        ResultSet most = statement.executeQuery("select coalesce(max(number), 0) from knife")) {
      most.next();
      int highest =
          Math.max(
              most.getInt(1),
              now.values().stream().mapToInt(CopyOfDatabase.Kept::number).max().orElse(0));
      statement.execute("alter sequence knife_number restart with " + (highest + 1));
    }
  }

  private static Object value(
      ResultSet row, String column, String table, Map<String, CopyOfDatabase.Kept> now)
      throws SQLException {
    if (table.equals("knife") && column.equalsIgnoreCase("version")) {
      CopyOfDatabase.Kept here = now.get(row.getString("id"));
      return Math.max(row.getLong(column), here == null ? -1 : here.version()) + 1;
    }
    Object value = row.getObject(column);
    return value instanceof java.sql.Clob ? row.getString(column) : value;
  }
}
