package snikra.server.photos;

import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Set;

/**
 * What it would cost to open a picture, told from its outline alone: a small file can be made to
 * take minutes, by hundreds of passes over one image or by texts that swell to gigabytes.
 */
final class PictureCost {
  /** A camera makes one pass, a picture for the web about ten. */
  static final int MOST_SCANS = 40;

  private static final int JPEG = 0xFFD8;
  private static final int START_OF_SCAN = 0xDA;
  private static final int MARKER = 0xFF;
  private static final byte[] PNG = {(byte) 0x89, 'P', 'N', 'G', '\r', '\n', 0x1A, '\n'};
  private static final int CHUNK = 12;
  private static final Set<String> TEXTS = Set.of("tEXt", "zTXt", "iTXt", "iCCP");

  private PictureCost() {}

  /** Refuses a picture of more passes than any camera or program makes. */
  static void require(String fileName, byte[] bytes) {
    int scans = scans(bytes);
    if (scans > MOST_SCANS) {
      throw Picture.refused(
          fileName + ", " + scans + " scans", "must be a JPEG of at most " + MOST_SCANS + " scans");
    }
  }

  // Within the data of a scan a marker's first byte is always followed by 0, or by a restart.
  static int scans(byte[] bytes) {
    if (bytes.length < 2 || !isJpeg(bytes)) {
      return 0;
    }
    int scans = 0;
    for (int i = 2; i + 1 < bytes.length; i++) {
      if ((bytes[i] & 0xFF) == MARKER && (bytes[i + 1] & 0xFF) == START_OF_SCAN) {
        scans++;
      }
    }
    return scans;
  }

  private static boolean isJpeg(byte[] bytes) {
    return (((bytes[0] & 0xFF) << 8) | (bytes[1] & 0xFF)) == JPEG;
  }

  /** A PNG without the texts in it, which may swell; anything else as it is. */
  static byte[] withoutTexts(byte[] bytes) {
    if (bytes.length < PNG.length
        || !ByteBuffer.wrap(bytes, 0, PNG.length).equals(ByteBuffer.wrap(PNG))) {
      return bytes;
    }
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    out.write(bytes, 0, PNG.length);
    int at = PNG.length;
    while (at + CHUNK <= bytes.length) {
      long length = ByteBuffer.wrap(bytes, at, 4).getInt() & 0xFFFFFFFFL;
      long end = at + CHUNK + length;
      if (end > bytes.length) {
        break;
      }
      String type = new String(bytes, at + 4, 4, StandardCharsets.US_ASCII);
      if (!TEXTS.contains(type)) {
        out.write(bytes, at, (int) (end - at));
      }
      at = (int) end;
    }
    return out.toByteArray();
  }
}
