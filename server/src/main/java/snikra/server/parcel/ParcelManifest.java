package snikra.server.parcel;

import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * What is in a parcel.
 *
 * @param parcel the version of the layout
 * @param knifeFormat the version of the format knives are written in
 * @param made when, as an instant
 * @param knives ids, in the order of their numbers
 * @param files all files but this one
 */
record ParcelManifest(
    int parcel, int knifeFormat, String made, List<String> knives, List<Piece> files) {
  static final String NAME = "manifest.json";
  static final int LAYOUT = 1;

  ParcelManifest {
    knives = List.copyOf(knives);
    files = List.copyOf(files);
  }

  /** A file by its name, with the sum of its bytes. */
  record Piece(String name, long bytes, String sha256) {}

  /** A knife as it is kept, by the schema of a knife. */
  static String knife(String id) {
    return "knives/" + id + ".json";
  }

  /** What hangs on a knife: its number, its journal and its photographs. */
  static String about(String id) {
    return "knives/" + id + ".about.json";
  }

  /** A photograph as it came, with the ending of its kind. */
  static String photograph(String id, String kind) {
    return "photographs/" + id + "." + (kind.equals("jpeg") ? "jpg" : kind);
  }

  private static final Pattern PHOTOGRAPH =
      Pattern.compile("photographs/([0-9a-zA-Z_-]{1,64})\\.[a-z0-9]{1,8}");

  /** The id of a photograph by the name of its file; null for any other file. */
  static @Nullable String photographOf(String name) {
    Matcher matcher = PHOTOGRAPH.matcher(name);
    return matcher.matches() ? matcher.group(1) : null;
  }

  /** What is known of the pictures of sales. */
  static final String SALE_PICTURES = "books/sale.photographs.json";

  /** The rows of a book. */
  static String rows(String table) {
    return "books/" + table + ".json";
  }
}
