package snikra.server.keeping;

import java.util.List;

/**
 * What a copy holds, as it stands beside it in {@code manifest.json}.
 *
 * @param made when, as ISO 8601
 * @param format newest format of the knives in it
 * @param database SHA-256 of the file with the database
 */
record Manifest(
    String made,
    Backup.Reason reason,
    int format,
    int knives,
    String database,
    List<Original> originals) {
  Manifest {
    originals = List.copyOf(originals);
  }

  /** A photograph, whose original lies beside the copies under its sum. */
  record Original(String id, String fileName, String type, String sha256) {}
}
