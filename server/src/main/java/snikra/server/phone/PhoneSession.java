package snikra.server.phone;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Base64;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import snikra.core.specimen.Face;
import snikra.server.photos.PhotoRole;

/**
 * One knife for one phone: a code that lets one phone in, once, and a pass that phone shows from
 * then on. Ends by itself.
 */
final class PhoneSession {
  static final Duration LASTS = Duration.ofMinutes(15);

  /** So many wrong codes are a guess, not a slip. */
  static final int MOST_WRONG = 10;

  private static final int SECRET_BYTES = 16;

  /**
   * What is to be photographed.
   *
   * @param blade whose tang is read, counted from 1; null where no letters are asked for
   */
  record Wanted(String knife, PhotoRole role, @Nullable Integer blade, @Nullable Face face) {}

  private final Wanted wanted;
  private final Instant endsAt;
  private final Clock clock;
  private final String code;
  private @Nullable String pass;
  private int wrong;
  private int taken;
  private boolean ended;

  PhoneSession(Wanted wanted, SecureRandom random, Clock clock) {
    this.wanted = wanted;
    this.clock = clock;
    this.endsAt = clock.instant().plus(LASTS);
    this.code = secret(random);
  }

  private static String secret(SecureRandom random) {
    byte[] bytes = new byte[SECRET_BYTES];
    random.nextBytes(bytes);
    return Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
  }

  /** Lets a phone in, if the code is right and was not used. */
  synchronized Optional<String> enter(String given, SecureRandom random) {
    if (isOver() || pass != null) {
      return Optional.empty();
    }
    if (!same(code, given)) {
      wrong++;
      ended = wrong >= MOST_WRONG;
      return Optional.empty();
    }
    pass = secret(random);
    return Optional.of(pass);
  }

  /** Whether this is the phone that was let in. */
  synchronized boolean knows(@Nullable String shown) {
    return !isOver() && pass != null && shown != null && same(pass, shown);
  }

  // In the same time wherever they differ.
  private static boolean same(String mine, String given) {
    return MessageDigest.isEqual(
        mine.getBytes(StandardCharsets.UTF_8), given.getBytes(StandardCharsets.UTF_8));
  }

  synchronized boolean isOver() {
    return ended || !clock.instant().isBefore(endsAt);
  }

  synchronized void end() {
    ended = true;
  }

  synchronized void count() {
    taken++;
  }

  synchronized int taken() {
    return taken;
  }

  synchronized boolean isEntered() {
    return pass != null;
  }

  Wanted wanted() {
    return wanted;
  }

  String code() {
    return code;
  }

  Instant endsAt() {
    return endsAt;
  }
}
