package snikra.server.phone;

import java.io.IOException;
import java.nio.file.Path;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.ScheduledFuture;
import java.util.concurrent.TimeUnit;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import snikra.core.examination.Problem;
import snikra.core.examination.Verdict.MarkVerdict;
import snikra.core.mark.MarkRival;
import snikra.core.specimen.SeenFace;
import snikra.core.specimen.Specimen;
import snikra.formats.InvalidInput;
import snikra.server.knives.KnifeService;
import snikra.server.knives.SavedKnife;
import snikra.server.phone.PhoneSession.Wanted;
import snikra.server.photos.Photo;
import snikra.server.photos.PhotoRole;
import snikra.server.photos.PhotoService;
import snikra.server.reference.Verdicts;

/** Opens the line to a phone when asked, for one knife at a time, and shuts it again. */
public class PhoneCamera implements AutoCloseable {
  private final KnifeService knives;
  private final PhotoService photos;
  private final Verdicts verdicts;
  private final Path keyFile;
  private final Supplier<List<String>> addresses;
  private final Clock clock;
  private final SecureRandom random = new SecureRandom();
  private final ScheduledExecutorService timer =
      Executors.newSingleThreadScheduledExecutor(
          task -> {
            Thread thread = new Thread(task, "phone-timer");
            thread.setDaemon(true);
            return thread;
          });

  private @Nullable Open open;

  /** The line while it is open. */
  record Open(
      PhoneSession session,
      PhoneLine line,
      String address,
      String fingerprint,
      ScheduledFuture<?> end) {
    String host() {
      return address + ":" + line.port();
    }
  }

  /**
   * What the phone shows.
   *
   * @param lines of the tang, as far as they were read
   * @param wouldTell letters that would tell what it could read apart
   */
  record Asked(
      String knife,
      PhotoRole role,
      List<PhotoRole.RoleChoice> roles,
      @Nullable String tang,
      List<String> lines,
      List<String> wouldTell,
      long secondsLeft,
      int taken) {}

  public PhoneCamera(
      KnifeService knives,
      PhotoService photos,
      Verdicts verdicts,
      Path keyFile,
      Supplier<List<String>> addresses,
      Clock clock) {
    this.knives = knives;
    this.photos = photos;
    this.verdicts = verdicts;
    this.keyFile = keyFile;
    this.addresses = addresses;
    this.clock = clock;
  }

  /** By what addresses a phone may reach this computer. */
  List<String> addresses() {
    return addresses.get();
  }

  /** Opens the line for one knife; one that was open for another ends. */
  synchronized Open begin(Wanted wanted, @Nullable String asked) {
    knives.text(wanted.knife());
    String address = address(asked);
    end();
    PhoneSession session = new PhoneSession(wanted, random, clock);
    try {
      PhoneKey key = PhoneKey.at(keyFile, address, clock);
      PhonePages pages = new PhonePages(this, session, random);
      PhoneLine line = PhoneLine.open(address, key, pages);
      Duration left = Duration.between(clock.instant(), session.endsAt());
      ScheduledFuture<?> end =
          timer.schedule(() -> end(session), left.toMillis(), TimeUnit.MILLISECONDS);
      open = new Open(session, line, address, key.fingerprint(), end);
      return open;
    } catch (IOException e) {
      throw new NoLine("No phone can be let in at " + address + ": " + e.getMessage() + ".");
    }
  }

  private String address(@Nullable String asked) {
    List<String> all = addresses.get();
    if (all.isEmpty()) {
      throw new NoLine(
          "This computer is in no network at home that a phone could reach it by. Join one, then try"
              + " again.");
    }
    if (asked != null && !all.contains(asked)) {
      throw new InvalidInput(
          List.of(new Problem("address", asked, "must be one of " + String.join(", ", all))));
    }
    return asked == null ? all.get(0) : asked;
  }

  /** The line, where one is open. */
  synchronized Optional<Open> now() {
    if (open != null && open.session.isOver()) {
      end();
    }
    return Optional.ofNullable(open);
  }

  /** Shuts the line. */
  synchronized void end() {
    Open last = open;
    open = null;
    if (last != null) {
      last.session.end();
      last.end.cancel(false);
      last.line.close();
    }
  }

  private synchronized void end(PhoneSession session) {
    if (open != null && open.session == session) {
      end();
    }
  }

  Photo keep(PhoneSession session, PhotoRole role, byte[] picture) {
    Photo kept =
        photos.add(session.wanted().knife(), role, "phone-" + (session.taken() + 1), picture);
    session.count();
    return kept;
  }

  Asked asked(PhoneSession session) {
    Wanted wanted = session.wanted();
    SavedKnife knife = knives.get(wanted.knife());
    String title = knife.specimen().title();
    return new Asked(
        title == null ? "Knife " + knife.number() : title,
        wanted.role(),
        PhotoRole.choices(),
        wanted.blade() == null
            ? null
            : "Tang "
                + wanted.blade()
                + (wanted.face() == null ? "" : ", " + wanted.face() + " side"),
        lines(knife.specimen(), wanted),
        wanted.blade() == null ? List.of() : wouldTell(knife.specimen()),
        Math.max(0, Duration.between(clock.instant(), session.endsAt()).toSeconds()),
        session.taken());
  }

  private static List<String> lines(Specimen knife, Wanted wanted) {
    return knife.marks().stream()
        .filter(f -> wanted.blade() != null && f.blade() == wanted.blade())
        .filter(f -> wanted.face() == null || f.face() == wanted.face())
        .map(SeenFace::lines)
        .findFirst()
        .orElse(List.of());
  }

  private List<String> wouldTell(Specimen knife) {
    MarkVerdict mark = verdicts.of(knife).mark();
    MarkRival rival = mark.rival();
    return rival == null ? List.of() : rival.wouldTell();
  }

  @Override
  public void close() {
    end();
    timer.shutdownNow();
  }
}
