package snikra.server.phone;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.GeneralSecurityException;
import java.security.KeyStore;
import java.security.MessageDigest;
import java.security.cert.X509Certificate;
import java.time.Clock;
import java.util.Collection;
import java.util.HexFormat;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;
import snikra.server.keeping.Disk;

/**
 * The key and certificate a phone is answered with. They are made on first use and kept in the data
 * folder, so that the fingerprint stays what it was; for another address, or when they have run
 * out, they are made anew. No authority vouches for them: whoever holds the phone compares the
 * fingerprint.
 */
record PhoneKey(KeyStore keys, String fingerprint) {
  static final String ALIAS = "snikra";

  /** The file is its owner's alone; the password is what the format asks for, no secret. */
  static final String PASSWORD = "snikra";

  /** Phones take no certificate that holds for longer. */
  private static final int DAYS = 397;

  private static final int MOST_SECONDS = 30;
  private static final int SAN_IP = 7;

  /** The key for this address out of the file, or a new one. */
  static PhoneKey at(Path file, String address, Clock clock) throws IOException {
    try {
      PhoneKey kept = Files.exists(file) ? read(file) : null;
      if (kept == null || !kept.holds(address, clock)) {
        make(file, address);
        kept = read(file);
      }
      return kept;
    } catch (GeneralSecurityException e) {
      throw new IOException(e);
    }
  }

  private static @Nullable PhoneKey read(Path file) throws GeneralSecurityException {
    KeyStore keys = KeyStore.getInstance("PKCS12");
    try (InputStream in = Files.newInputStream(file)) {
      keys.load(in, PASSWORD.toCharArray());
    } catch (IOException e) {
      return null;
    }
    if (!(keys.getCertificate(ALIAS) instanceof X509Certificate certificate)) {
      return null;
    }
    byte[] sum = MessageDigest.getInstance("SHA-256").digest(certificate.getEncoded());
    return new PhoneKey(keys, HexFormat.ofDelimiter(":").formatHex(sum).toUpperCase(Locale.ROOT));
  }

  private boolean holds(String address, Clock clock) throws GeneralSecurityException {
    X509Certificate certificate = (X509Certificate) keys.getCertificate(ALIAS);
    Collection<List<?>> names = certificate.getSubjectAlternativeNames();
    boolean isFor =
        names != null
            && names.stream().anyMatch(n -> n.get(0).equals(SAN_IP) && address.equals(n.get(1)));
    return isFor && certificate.getNotAfter().toInstant().isAfter(clock.instant());
  }

  // Java can read certificates but has no public way to make one; its own tool does.
  private static void make(Path file, String address) throws IOException {
    Path made = file.resolveSibling(file.getFileName() + ".made");
    Files.deleteIfExists(made);
    Process tool =
        new ProcessBuilder(
                Path.of(System.getProperty("java.home"), "bin", "keytool").toString(),
                "-genkeypair",
                "-alias",
                ALIAS,
                "-keyalg",
                "EC",
                "-groupname",
                "secp256r1",
                "-dname",
                "CN=Snikra on this computer",
                "-validity",
                "" + DAYS,
                "-ext",
                "san=ip:" + address,
                "-ext",
                "eku=serverAuth",
                "-storetype",
                "PKCS12",
                "-storepass",
                PASSWORD,
                "-keystore",
                made.toString())
            .redirectErrorStream(true)
            .start();
    String said = new String(tool.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    try {
      if (!tool.waitFor(MOST_SECONDS, TimeUnit.SECONDS) || tool.exitValue() != 0) {
        tool.destroyForcibly();
        throw new IOException("No certificate could be made: " + said.strip());
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IOException(e);
    }
    Disk.write(file, Files.readAllBytes(made));
    Files.delete(made);
  }
}
