package snikra.server.parcel;

import java.io.Closeable;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipFile;
import snikra.core.examination.Problem;
import snikra.formats.InvalidInput;
import snikra.formats.Json;
import snikra.formats.SpecimenFormat;
import snikra.server.keeping.Sha256;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;

/** A parcel that came: nothing is read of it before every file is what the manifest says. */
final class ParcelIn implements Closeable {
  /** No file in a parcel is larger: a photograph, or a book of very many entries. */
  private static final long LARGEST = 256L * 1024 * 1024;

  private static final long LARGEST_MANIFEST = 64L * 1024 * 1024;
  private static final int PIECE = 64 * 1024;

  private final ZipFile zip;
  private final ParcelManifest manifest;
  private final Map<String, ParcelManifest.Piece> pieces = new HashMap<>();

  private ParcelIn(ZipFile zip, ParcelManifest manifest) {
    this.zip = zip;
    this.manifest = manifest;
    manifest.files().forEach(p -> pieces.put(p.name(), p));
  }

  /**
   * Opens a parcel.
   *
   * @throws InvalidInput when it is none, was written by a newer Snikra, or is damaged
   */
  static ParcelIn open(Path file) throws IOException {
    ZipFile zip;
    try {
      zip = new ZipFile(file.toFile());
    } catch (ZipException e) {
      throw refused("the file", "must be a whole collection as Snikra writes it, all of it");
    }
    try {
      ParcelIn parcel = new ParcelIn(zip, manifest(zip));
      parcel.requireWhole();
      return parcel;
    } catch (IOException | RuntimeException e) {
      zip.close();
      throw e;
    }
  }

  private static ParcelManifest manifest(ZipFile zip) throws IOException {
    ZipEntry entry = zip.getEntry(ParcelManifest.NAME);
    if (entry == null) {
      throw refused("the file", "must be a whole collection: it has no " + ParcelManifest.NAME);
    }
    try (InputStream in = zip.getInputStream(entry)) {
      JsonNode tree = Json.mapper().readTree(in.readNBytes((int) LARGEST_MANIFEST));
      boolean isNewer =
          tree.path("parcel").asInt(0) > ParcelManifest.LAYOUT
              || tree.path("knifeFormat").asInt(0) > SpecimenFormat.current();
      if (isNewer) {
        throw refused("the file", "was written by a newer Snikra: take it in with that one");
      }
      return Json.mapper().treeToValue(tree, ParcelManifest.class);
    } catch (JacksonException | NullPointerException e) {
      throw refused(ParcelManifest.NAME, "cannot be read");
    }
  }

  private void requireWhole() throws IOException {
    Set<String> needed = new HashSet<>();
    for (String id : manifest.knives()) {
      needed.add(ParcelManifest.knife(id));
      needed.add(ParcelManifest.about(id));
    }
    needed.removeAll(pieces.keySet());
    for (String name : needed) {
      throw refused(name, "is missing");
    }
    for (ParcelManifest.Piece piece : manifest.files()) {
      ZipEntry entry = zip.getEntry(piece.name());
      if (entry == null) {
        throw refused(piece.name(), "is missing");
      }
      if (piece.bytes() > LARGEST || !sum(entry, piece.bytes()).equals(piece.sha256())) {
        throw refused(piece.name(), "is damaged: it is not what it was when it was written");
      }
    }
  }

  private String sum(ZipEntry entry, long bytes) throws IOException {
    MessageDigest digest = Sha256.begin();
    byte[] piece = new byte[PIECE];
    long left = bytes;
    try (InputStream in = zip.getInputStream(entry)) {
      int read = in.read(piece);
      // A file that goes on past what it should have is not read to its end.
      while (read >= 0 && left >= 0) {
        left -= read;
        digest.update(piece, 0, read);
        read = in.read(piece);
      }
    } catch (ZipException e) {
      return "";
    }
    return left == 0 ? Sha256.end(digest) : "";
  }

  ParcelManifest manifest() {
    return manifest;
  }

  boolean has(String name) {
    return pieces.containsKey(name);
  }

  String sum(String name) {
    return pieces.get(name).sha256();
  }

  byte[] bytes(String name) throws IOException {
    try (InputStream in = zip.getInputStream(zip.getEntry(name))) {
      return in.readAllBytes();
    }
  }

  String text(String name) throws IOException {
    return new String(bytes(name), StandardCharsets.UTF_8);
  }

  JsonNode json(String name) throws IOException {
    try {
      return Json.mapper().readTree(bytes(name));
    } catch (JacksonException e) {
      throw refused(name, "cannot be read");
    }
  }

  static InvalidInput refused(String what, String why) {
    return new InvalidInput(List.of(new Problem("parcel", what, why)));
  }

  @Override
  public void close() throws IOException {
    zip.close();
  }
}
