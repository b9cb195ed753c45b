package snikra.server.parcel;

import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import snikra.core.specimen.Specimen;
import snikra.formats.Json;
import snikra.formats.SpecimenFormat;
import snikra.formats.UnreadableKnife;
import snikra.server.keeping.Backup;
import snikra.server.keeping.Backups;
import snikra.server.keeping.Disk;
import snikra.server.keeping.Sha256;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Writes the collection as one file, and takes one in by ids: what is here is never lost. */
public class Parcels {
  /** Books whose entries stand for themselves, by their ids. */
  static final List<String> BOOKS =
      List.of(
          "sale",
          "ledger_revision",
          "pack",
          "filed_step",
          "grading",
          "schedule",
          "saved_search",
          "want",
          "practice_round");

  static final String CAME = "came_state";
  private static final String KNIFE = "knife";

  /** No tray has a number beyond this. */
  private static final int HIGHEST = 100_000_000;

  private final JdbcTemplate database;
  private final Rows rows;
  private final TransactionTemplate transaction;
  private final Backups backups;
  private final Disk disk;
  private final Path photographs;
  private final Path incoming;
  private final Runnable whenTaken;
  private final Clock clock;

  /**
   * Parcels.
   *
   * @param whenTaken what has to be read anew once others' entries are here
   */
  public Parcels(
      JdbcTemplate database,
      PlatformTransactionManager transactions,
      Backups backups,
      Disk disk,
      Path data,
      Runnable whenTaken,
      Clock clock) {
    this.database = database;
    this.rows = new Rows(database);
    this.transaction = new TransactionTemplate(transactions);
    this.backups = backups;
    this.disk = disk;
    this.photographs = data.resolve("photos");
    this.incoming = data.resolve("incoming");
    this.whenTaken = whenTaken;
    this.clock = clock;
  }

  void write(OutputStream out) throws IOException {
    new ParcelOut(database, photographs).write(out, clock.instant());
  }

  /**
   * Takes a piece of a parcel that is on its way.
   *
   * @param at where it belongs; 0 begins anew and lets go of any other
   * @return how many bytes are here
   */
  synchronized long receive(UUID key, long at, byte[] piece) {
    disk.requireRoomForPhotograph();
    try {
      if (at == 0) {
        letGo();
      }
      Disk.makeFolder(incoming);
      Path file = file(key);
      long here = Files.exists(file) ? Files.size(file) : 0;
      if (at > here) {
        throw ParcelIn.refused("at " + at, "must be at most " + here + ": so much is here");
      }
      try (FileChannel to =
          FileChannel.open(file, StandardOpenOption.CREATE, StandardOpenOption.WRITE)) {
        to.truncate(at);
        to.position(at);
        ByteBuffer bytes = ByteBuffer.wrap(piece);
        while (bytes.hasRemaining()) {
          to.write(bytes);
        }
      }
      return Files.size(file);
    } catch (IOException e) {
      throw Disk.isFull(e) ? disk.full(e) : new UncheckedIOException(e);
    }
  }

  private Path file(UUID key) {
    return incoming.resolve(key + ".zip");
  }

  /** Lets go of what came and was not taken in. */
  synchronized void letGo() {
    if (!Files.isDirectory(incoming)) {
      return;
    }
    try (DirectoryStream<Path> all = Files.newDirectoryStream(incoming)) {
      for (Path one : all) {
        Files.delete(one);
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** What a parcel would bring. */
  synchronized ParcelTold look(UUID key) {
    try (ParcelIn parcel = open(key)) {
      Map<Standing, Integer> knives = new EnumMap<>(Standing.class);
      List<ParcelTold.Asked> asked = new ArrayList<>();
      int photos = 0;
      for (String id : parcel.manifest().knives()) {
        JsonNode about = parcel.json(ParcelManifest.about(id));
        ObjectNode here = here(id);
        Standing standing = standing(parcel, id, here, about);
        knives.merge(standing, 1, Integer::sum);
        photos += standing == Standing.TAKEN_OUT ? 0 : fresh("photo", about.path("photographs"));
        if (standing == Standing.BOTH_CHANGED && here != null) {
          asked.add(asked(parcel, id, here, about));
        }
      }
      photos += fresh("photo", ofSales(parcel));
      List<ParcelTold.BookTold> books = new ArrayList<>();
      for (String book : BOOKS) {
        ParcelTold.BookTold told = told(parcel, book);
        if (told.fresh() + told.different() > 0) {
          books.add(told);
        }
      }
      return new ParcelTold(parcel.manifest().made(), knives, asked, books, photos);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private ParcelIn open(UUID key) throws IOException {
    if (!Files.exists(file(key))) {
      throw ParcelIn.refused(key.toString(), "must be a parcel that was sent here");
    }
    return ParcelIn.open(file(key));
  }

  private @Nullable ObjectNode here(String id) {
    return rows.of(KNIFE, "id", id).stream().findFirst().orElse(null);
  }

  private Standing standing(ParcelIn parcel, String id, @Nullable ObjectNode here, JsonNode about)
      throws IOException {
    Specimen theirs = read(parcel, id);
    if (here == null) {
      return Standing.NEW;
    }
    if (!here.get("deleted_at").isNull()) {
      return Standing.TAKEN_OUT;
    }
    String ours = here.get("specimen").asString();
    Set<String> came = new HashSet<>();
    about.path("came").forEach(c -> came.add(c.path("sha256").asString("")));
    rows.of(CAME, "knife_id", id).forEach(c -> came.add(c.get("sha256").asString()));
    Standing standing =
        Standing.of(Sha256.of(utf8(ours)), parcel.sum(ParcelManifest.knife(id)), came);
    // Written in another format it may be the same all the same.
    return standing != Standing.SAME && isSame(ours, theirs) ? Standing.SAME : standing;
  }

  private static boolean isSame(String ours, Specimen theirs) {
    try {
      return SpecimenFormat.readKept(ours).equals(theirs);
    } catch (UnreadableKnife e) {
      return false;
    }
  }

  private static Specimen read(ParcelIn parcel, String id) throws IOException {
    try {
      return SpecimenFormat.readKept(parcel.text(ParcelManifest.knife(id)));
    } catch (UnreadableKnife e) {
      throw ParcelIn.refused(ParcelManifest.knife(id), "cannot be read: " + e.getMessage());
    }
  }

  private static byte[] utf8(String text) {
    return text.getBytes(StandardCharsets.UTF_8);
  }

  private static ParcelTold.Asked asked(ParcelIn parcel, String id, ObjectNode here, JsonNode about)
      throws IOException {
    return new ParcelTold.Asked(
        id,
        here.get("number").asInt(),
        title(here.get("specimen").asString()),
        title(parcel.text(ParcelManifest.knife(id))),
        here.get("updated_at").asString(),
        about.path("updated_at").asString(""));
  }

  private static String title(String specimen) {
    try {
      return Objects.requireNonNullElse(SpecimenFormat.readKept(specimen).title(), "");
    } catch (UnreadableKnife e) {
      return "";
    }
  }

  private int fresh(String table, JsonNode all) {
    int fresh = 0;
    for (JsonNode row : all) {
      fresh += isHere(table, id(row)) ? 0 : 1;
    }
    return fresh;
  }

  private boolean isHere(String table, String id) {
    return 0
        < Objects.requireNonNull(
            database.queryForObject(
                "select count(*) from " + table + " where id = ?", Integer.class, id));
  }

  private static String id(JsonNode row) {
    return row.path("id").asString("");
  }

  private ParcelTold.BookTold told(ParcelIn parcel, String book) throws IOException {
    int fresh = 0;
    int different = 0;
    for (ObjectNode row : entries(parcel, book)) {
      List<ObjectNode> here = rows.of(book, "id", id(row));
      if (here.isEmpty()) {
        fresh++;
      } else if (!here.get(0).toString().equals(row.toString())) {
        different++;
      }
    }
    return new ParcelTold.BookTold(book, fresh, different);
  }

  // The steps by which one's own references came to be mean something beside those alone, and of a
  // ledger entry that was corrected in both places the correction made here stands.
  private List<ObjectNode> entries(ParcelIn parcel, String book) throws IOException {
    List<ObjectNode> all = new ArrayList<>();
    if (!parcel.has(ParcelManifest.rows(book))) {
      return all;
    }
    boolean isFresh =
        !book.equals("filed_step")
            || 0
                == Objects.requireNonNull(
                    database.queryForObject("select count(*) from filed_step", Integer.class));
    for (JsonNode row : parcel.json(ParcelManifest.rows(book))) {
      if (row instanceof ObjectNode entry && isFresh && !isTwice(book, entry)) {
        all.add(entry);
      }
    }
    return all;
  }

  private boolean isTwice(String book, ObjectNode row) {
    return book.equals("ledger_revision")
        && !isHere(book, id(row))
        && 0
            < Objects.requireNonNull(
                database.queryForObject(
                    "select count(*) from ledger_revision where entry = ? and revision = ?",
                    Integer.class,
                    row.path("entry").asString(""),
                    row.path("revision").asInt(0)));
  }

  /**
   * Takes a parcel in, all of it or nothing. A copy of what was here is made before.
   *
   * @param theirs of the knives that were changed in both places, those to take from the parcel
   * @return the copy
   */
  synchronized Backup take(UUID key, Set<String> theirs) {
    try (ParcelIn parcel = open(key)) {
      Backup before = backups.make(Backup.Reason.BEFORE_PARCEL);
      countOnFrom(parcel);
      bringPhotographs(parcel);
      transaction.executeWithoutResult(
          status -> {
            try {
              bring(parcel, theirs);
            } catch (IOException e) {
              throw new UncheckedIOException(e);
            }
          });
      whenTaken.run();
      return before;
    } catch (IOException e) {
      throw Disk.isFull(e) ? disk.full(e) : new UncheckedIOException(e);
    } finally {
      letGo();
    }
  }

  private void bringPhotographs(ParcelIn parcel) throws IOException {
    Disk.makeFolder(photographs);
    for (ParcelManifest.Piece piece : parcel.manifest().files()) {
      String id = ParcelManifest.photographOf(piece.name());
      if (id != null) {
        Path file = photographs.resolve(id + ".original");
        if (!Files.exists(file)) {
          disk.requireRoomForPhotograph();
          Disk.write(file, parcel.bytes(piece.name()));
        }
      }
    }
    Disk.forceFolder(photographs);
  }

  private static boolean isAnId(String id) {
    return id.matches("[0-9a-zA-Z_-]{1,64}");
  }

  private void bring(ParcelIn parcel, Set<String> theirs) throws IOException {
    Instant now = clock.instant();
    for (String id : parcel.manifest().knives()) {
      if (!isAnId(id)) {
        throw ParcelIn.refused(id, "must be an id of letters, figures and hyphens");
      }
      knife(parcel, id, theirs.contains(id), now);
    }
    for (String book : BOOKS) {
      for (ObjectNode row : entries(parcel, book)) {
        if (!isHere(book, id(row))) {
          bring(book, row);
        }
      }
    }
    for (JsonNode row : ofSales(parcel)) {
      String sale = row.path("sale_id").asString("");
      if (row instanceof ObjectNode picture && isHere("sale", sale) && !isHere("photo", id(row))) {
        bring("photo", picture);
      }
    }
  }

  // A parcel made before sales had pictures has none.
  private static JsonNode ofSales(ParcelIn parcel) throws IOException {
    return parcel.has(ParcelManifest.SALE_PICTURES)
        ? parcel.json(ParcelManifest.SALE_PICTURES)
        : Json.mapper().createArrayNode();
  }

  // Ids become names of files.
  private void bring(String table, ObjectNode row) {
    if (!isAnId(id(row))) {
      throw ParcelIn.refused(id(row), "must be an id of letters, figures and hyphens");
    }
    try {
      rows.insert(table, row);
    } catch (DataAccessException | IllegalArgumentException e) {
      throw ParcelIn.refused(
          table + " " + id(row), "cannot be kept as it is: it is not as Snikra writes it");
    }
  }

  private void knife(ParcelIn parcel, String id, boolean isWanted, Instant now) throws IOException {
    JsonNode about = parcel.json(ParcelManifest.about(id));
    ObjectNode here = here(id);
    Standing standing = standing(parcel, id, here, about);
    String specimen = parcel.text(ParcelManifest.knife(id));
    boolean isTaken =
        standing == Standing.NEW
            || standing == Standing.THEIRS_NEWER
            || (standing == Standing.BOTH_CHANGED && isWanted);
    if (standing == Standing.TAKEN_OUT) {
      return;
    }
    if (here == null) {
      database.update(
          "insert into knife (id, number, version, specimen, created_at, updated_at)"
              + " values (?, ?, 0, ?, ?, ?)",
          id,
          number(about.path("number").asInt(0)),
          specimen,
          about.path("created_at").asString(now.toString()),
          about.path("updated_at").asString(now.toString()));
    } else if (isTaken) {
      database.update(
          "update knife set specimen = ?, version = version + 1, updated_at = ? where id = ?",
          specimen,
          Timestamp.from(now),
          id);
    }
    if (isTaken || standing == Standing.SAME) {
      cameWith(id, parcel.sum(ParcelManifest.knife(id)), now);
    }
    about.path("came").forEach(c -> cameWith(id, c.path("sha256").asString(""), now));
    for (String table : List.of("journal_entry", "photo")) {
      for (JsonNode row : about.path(table.equals("photo") ? "photographs" : "journal")) {
        boolean isOfThis = row.path("knife_id").asString("").equals(id);
        if (row instanceof ObjectNode entry && isOfThis && !isHere(table, id(row))) {
          bring(table, entry);
        }
      }
    }
  }

  // It keeps its number where that is free.
  private int number(int theirs) {
    Integer taken =
        database.queryForObject(
            "select count(*) from knife where number = ?", Integer.class, theirs);
    return theirs > 0 && theirs <= HIGHEST && taken != null && taken == 0
        ? theirs
        : Objects.requireNonNull(
            database.queryForObject("select next value for knife_number", Integer.class));
  }

  // Before anything is written: it ends a transaction.
  private void countOnFrom(ParcelIn parcel) throws IOException {
    int highest = 0;
    for (String id : parcel.manifest().knives()) {
      int number = parcel.json(ParcelManifest.about(id)).path("number").asInt(0);
      highest = Math.max(highest, Math.min(number, HIGHEST));
    }
    Integer next =
        database.queryForObject(
            "select base_value from information_schema.sequences"
                + " where lower(sequence_name) = 'knife_number'",
            Integer.class);
    if (next == null || next <= highest) {
      database.execute("alter sequence knife_number restart with " + (highest + 1));
    }
  }

  private void cameWith(String id, String sum, Instant now) {
    String key = id + "-" + sum;
    if (sum.matches("[0-9a-f]{64}") && !isHere(CAME, key)) {
      database.update(
          "insert into came_state (id, knife_id, sha256, came_at) values (?, ?, ?, ?)",
          key,
          id,
          sum,
          Timestamp.from(now));
    }
  }
}
