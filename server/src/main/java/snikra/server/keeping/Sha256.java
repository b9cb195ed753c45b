package snikra.server.keeping;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;

/** SHA-256 sums in small hexadecimal letters. */
public final class Sha256 {
  private Sha256() {}

  /** The sum of these bytes. */
  public static String of(byte[] bytes) {
    return HexFormat.of().formatHex(begin().digest(bytes));
  }

  /** A sum to add to. */
  public static MessageDigest begin() {
    try {
      return MessageDigest.getInstance("SHA-256");
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException("Every Java has SHA-256.", e);
    }
  }

  /** Adds a text and its end, so that two texts never pass for one. */
  public static void add(MessageDigest digest, String text) {
    digest.update(text.getBytes(StandardCharsets.UTF_8));
    digest.update((byte) 0);
  }

  /** The sum of all that was added. */
  public static String end(MessageDigest digest) {
    return HexFormat.of().formatHex(digest.digest());
  }
}
