package snikra.server;

import java.io.IOException;
import java.net.URISyntaxException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.util.UUID;
import java.util.stream.Stream;
import snikra.core.examination.Examiner;
import snikra.formats.SpecimenFormat;
import snikra.server.keeping.Sha256;

/** Tells this build apart from others: what another one worked out may be told otherwise by it. */
final class Build {
  private static final String SUM = sum();

  private Build() {}

  /** The references in use, read by this build. */
  static String with(String references) {
    MessageDigest digest = Sha256.begin();
    Sha256.add(digest, SUM);
    Sha256.add(digest, references);
    return Sha256.end(digest);
  }

  // Run from folders, as in tests, every start is another build.
  private static String sum() {
    MessageDigest digest = Sha256.begin();
    for (Class<?> one : Stream.of(Examiner.class, SpecimenFormat.class, Build.class).toList()) {
      try {
        Path from = Path.of(one.getProtectionDomain().getCodeSource().getLocation().toURI());
        if (!Files.isRegularFile(from)) {
          return UUID.randomUUID().toString();
        }
        digest.update(Files.readAllBytes(from));
      } catch (IOException | URISyntaxException | RuntimeException e) {
        return UUID.randomUUID().toString();
      }
    }
    return Sha256.end(digest);
  }
}
