package snikra.server.parcel;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.zip.Deflater;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.springframework.jdbc.core.JdbcTemplate;
import snikra.formats.Json;
import snikra.formats.SpecimenFormat;
import snikra.server.keeping.Sha256;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Writes a parcel: all that is kept, as files anybody can read. */
final class ParcelOut {
  private static final String READ_ME =
      """
      This is a whole collection of pocket knives, written by Snikra.

      knives/ID.json         a knife as it was found, by the schema of a knife
      knives/ID.about.json   its number, its journal and what is known of its photographs
      photographs/ID.KIND    each photograph as it came, byte for byte
      books/                 sales, ledger, makers brought or made, schools, schedules, searches
      manifest.json          all files with their SHA-256 sums

      Snikra takes it in again under Keeping. All else is plain JSON, YAML within JSON, and pictures.
      """;

  private final JdbcTemplate database;
  private final Rows rows;
  private final Path photographs;
  private final List<ParcelManifest.Piece> pieces = new ArrayList<>();

  ParcelOut(JdbcTemplate database, Path photographs) {
    this.database = database;
    this.rows = new Rows(database);
    this.photographs = photographs;
  }

  /** Writes all knives in the tray and all books. */
  void write(OutputStream out, Instant now) throws IOException {
    List<String> ids =
        database.queryForList(
            "select id from knife where deleted_at is null order by number", String.class);
    try (ZipOutputStream zip = new ZipOutputStream(out, StandardCharsets.UTF_8)) {
      put(zip, "READ-ME.txt", READ_ME.getBytes(StandardCharsets.UTF_8));
      for (String id : ids) {
        knife(zip, id);
      }
      for (String book : Parcels.BOOKS) {
        put(zip, ParcelManifest.rows(book), json(array(rows.of(book, null, null))));
      }
      ofSales(zip);
      ParcelManifest manifest =
          new ParcelManifest(
              ParcelManifest.LAYOUT, SpecimenFormat.current(), now.toString(), ids, pieces);
      zip.putNextEntry(new ZipEntry(ParcelManifest.NAME));
      zip.write(Json.mapper().writerWithDefaultPrettyPrinter().writeValueAsBytes(manifest));
      zip.closeEntry();
    }
  }

  private void knife(ZipOutputStream zip, String id) throws IOException {
    ObjectNode knife = rows.of("knife", "id", id).get(0);
    ObjectNode about = Json.mapper().createObjectNode();
    for (String column : List.of("id", "number", "created_at", "updated_at")) {
      about.set(column, knife.get(column));
    }
    about.set("came", array(rows.of(Parcels.CAME, "knife_id", id)));
    about.set("journal", array(rows.of("journal_entry", "knife_id", id)));
    List<ObjectNode> photos = rows.of("photo", "knife_id", id);
    about.set("photographs", array(photos));
    put(zip, ParcelManifest.knife(id), bytes(knife.get("specimen").asString()));
    put(zip, ParcelManifest.about(id), json(about));
    photographs(zip, photos);
  }

  private void ofSales(ZipOutputStream zip) throws IOException {
    List<ObjectNode> pictures =
        database
            .queryForList(
                "select id from sale where id in (select sale_id from photo)", String.class)
            .stream()
            .flatMap(sale -> rows.of("photo", "sale_id", sale).stream())
            .toList();
    put(zip, ParcelManifest.SALE_PICTURES, json(array(pictures)));
    photographs(zip, pictures);
  }

  private void photographs(ZipOutputStream zip, List<ObjectNode> photos) throws IOException {
    for (ObjectNode photo : photos) {
      photograph(zip, photo.get("id").asString(), photo.get("type").asString());
    }
  }

  // One whose file is lost is told by what is known of it; the rest goes all the same.
  private void photograph(ZipOutputStream zip, String id, String kind) throws IOException {
    try {
      byte[] original = Files.readAllBytes(photographs.resolve(id + ".original"));
      // Photographs are pressed already.
      zip.setLevel(Deflater.NO_COMPRESSION);
      put(zip, ParcelManifest.photograph(id, kind), original);
    } catch (NoSuchFileException e) {
      return;
    } finally {
      zip.setLevel(Deflater.DEFAULT_COMPRESSION);
    }
  }

  private void put(ZipOutputStream zip, String name, byte[] bytes) throws IOException {
    zip.putNextEntry(new ZipEntry(name));
    zip.write(bytes);
    zip.closeEntry();
    pieces.add(new ParcelManifest.Piece(name, bytes.length, Sha256.of(bytes)));
  }

  private static ArrayNode array(List<ObjectNode> all) {
    return Json.mapper().createArrayNode().addAll(all);
  }

  private static byte[] json(Object value) {
    return Json.mapper().writerWithDefaultPrettyPrinter().writeValueAsBytes(value);
  }

  private static byte[] bytes(String text) {
    return text.getBytes(StandardCharsets.UTF_8);
  }
}
