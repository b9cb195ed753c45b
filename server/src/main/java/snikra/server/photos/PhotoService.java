package snikra.server.photos;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.locks.ReentrantLock;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import snikra.server.keeping.Disk;
import snikra.server.keeping.DiskFull;
import snikra.server.keeping.Sha256;
import snikra.server.knives.KnifeService;
import snikra.server.knives.NoSuchKnife;
import snikra.server.photos.PhotoEntity.Of;

/** Keeps photographs. An original is on the disk before its row says that it is there. */
public class PhotoService {
  private static final int LONGEST_NAME = 200;
  private static final int MOST_PHOTOS = 60;

  private final PhotoRepository photos;
  private final KnifeService knives;
  private final Disk disk;
  private final Path folder;
  private final TransactionTemplate transaction;
  private final Clock clock;

  /** One at a time: a large photograph takes much room while it is laid out. */
  private final ReentrantLock darkroom = new ReentrantLock();

  /** What of a photograph is asked for. */
  public enum Copy {
    ORIGINAL("original"),
    VIEW("view.jpg"),
    THUMBNAIL("thumbnail.jpg");

    private final String ending;

    Copy(String ending) {
      this.ending = ending;
    }

    /** The copy of this name: original, view or thumbnail. */
    static Optional<Copy> of(String name) {
      return Arrays.stream(values())
          .filter(c -> c.name().toLowerCase(Locale.ROOT).equals(name))
          .findFirst();
    }
  }

  /**
   * Bytes, what they are, and a sum by which a browser knows whether it has them.
   *
   * @param savedAs the name of a file that is only to be saved; null for what is shown
   */
  public record Content(byte[] bytes, String mediaType, String tag, @Nullable String savedAs) {}

  public PhotoService(
      PhotoRepository photos,
      KnifeService knives,
      Disk disk,
      Path folder,
      PlatformTransactionManager transactions,
      Clock clock) {
    this.photos = photos;
    this.knives = knives;
    this.disk = disk;
    this.folder = folder;
    this.transaction = new TransactionTemplate(transactions);
    this.clock = clock;
  }

  /** The photographs of a knife. */
  public List<Photo> of(String knife) {
    return photos.findByKnifeIdAndTakenAwayAtIsNullOrderByAddedAt(knife).stream()
        .map(PhotoEntity::shown)
        .toList();
  }

  /**
   * The photograph that shows each of these knives best: its mark side, or the first there is. A
   * paper shows none.
   */
  public Map<String, Photo> likenesses(Collection<String> knives) {
    Map<String, Photo> best = new HashMap<>();
    for (PhotoEntity photo : photos.findByKnifeIdInAndTakenAwayAtIsNullOrderByAddedAt(knives)) {
      if (PaperSheet.is(photo.type())) {
        continue;
      }
      best.merge("" + photo.of().knife(), photo.shown(), PhotoService::better);
    }
    return best;
  }

  /** A photograph and the sale it is of. */
  public record SalePicture(String sale, Photo photo) {}

  /** The photographs of all sales, in the order they came. */
  public List<SalePicture> ofSales() {
    return photos.findBySaleIdIsNotNullAndTakenAwayAtIsNullOrderByAddedAt().stream()
        .map(p -> new SalePicture("" + p.of().sale(), p.shown()))
        .toList();
  }

  private static Photo better(Photo first, Photo next) {
    boolean isSide = next.role() == PhotoRole.MARK_SIDE && first.role() != PhotoRole.MARK_SIDE;
    return isSide ? next : first;
  }

  /** Keeps a photograph of a knife. When this returns it is on the disk. */
  public Photo add(String knife, PhotoRole role, String fileName, byte[] bytes) {
    knives.text(knife);
    return add(new Of(knife, null), role, fileName, bytes);
  }

  /** Keeps a photograph of a sale in the sales book. When this returns it is on the disk. */
  public Photo addToSale(String sale, String fileName, byte[] bytes) {
    return add(new Of(null, sale), PhotoRole.OTHER, fileName, bytes);
  }

  private Photo add(Of of, PhotoRole role, String fileName, byte[] bytes) {
    String name = fileName.isBlank() ? "photograph" : fileName;
    String kept = name.substring(0, Math.min(LONGEST_NAME, name.length()));
    disk.requireRoomForPhotograph();
    if (bytes.length == 0 || bytes.length > Picture.MOST_BYTES) {
      throw Picture.refused(
          kept + ", " + bytes.length + " bytes",
          "must be a file of at most " + Picture.MOST_BYTES / (1024 * 1024) + " MB");
    }
    darkroom.lock();
    try {
      if (many(of) >= MOST_PHOTOS) {
        throw Picture.refused(
            kept, "must be one of at most " + MOST_PHOTOS + " of one knife or sale");
      }
      Picture picture = Picture.of(kept, bytes);
      boolean isPaper = PaperSheet.is(picture.type()) && role == PhotoRole.OTHER;
      return keep(of, isPaper ? PhotoRole.PAPER : role, kept, picture);
    } finally {
      darkroom.unlock();
    }
  }

  private long many(Of of) {
    return of.knife() != null
        ? photos.countByKnifeIdAndTakenAwayAtIsNull(of.knife())
        : photos.countBySaleIdAndTakenAwayAtIsNull("" + of.sale());
  }

  private Photo keep(Of of, PhotoRole role, String name, Picture picture) {
    String id = UUID.randomUUID().toString();
    PhotoEntity row = new PhotoEntity(id, of, role, name, picture, now());
    try {
      Disk.makeFolder(folder);
      Disk.write(file(id, Copy.ORIGINAL), picture.original());
      Disk.write(file(id, Copy.VIEW), picture.view());
      Disk.write(file(id, Copy.THUMBNAIL), picture.thumbnail());
      Disk.forceFolder(folder);
      return transaction.execute(status -> photos.save(row)).shown();
    } catch (IOException e) {
      letGo(id);
      throw Disk.isFull(e) ? disk.full(e) : new UncheckedIOException(e);
    } catch (DiskFull e) {
      letGo(id);
      throw e;
    }
  }

  private Path file(String id, Copy copy) {
    return folder.resolve(id + "." + copy.ending);
  }

  /** One copy of a photograph; one that was lost is made anew from the original. */
  public Content content(String id, Copy copy) {
    PhotoEntity photo = find(id);
    try {
      if (copy == Copy.ORIGINAL) {
        byte[] original = Files.readAllBytes(file(id, copy));
        String name = PaperSheet.is(photo.type()) ? photo.shown().fileName() : null;
        return new Content(original, PaperSheet.mediaType(photo.type()), id + "-o", name);
      }
      if (!Files.exists(file(id, copy))) {
        develop(photo);
      }
      byte[] shown = Files.readAllBytes(file(id, copy));
      return new Content(shown, "image/jpeg", id + "-" + copy.ending, null);
    } catch (IOException e) {
      throw new LostPhotograph(photo.shown().fileName(), e);
    }
  }

  private void develop(PhotoEntity photo) throws IOException {
    darkroom.lock();
    try {
      Picture picture =
          Picture.of(photo.shown().fileName(), Files.readAllBytes(file(photo.id(), Copy.ORIGINAL)));
      Disk.write(file(photo.id(), Copy.VIEW), picture.view());
      Disk.write(file(photo.id(), Copy.THUMBNAIL), picture.thumbnail());
    } finally {
      darkroom.unlock();
    }
  }

  /** Says what a photograph shows. */
  public Photo changeRole(String id, PhotoRole role) {
    return change(id, photo -> photo.setRole(role));
  }

  /** Takes a photograph away; {@link #restore} brings it back. */
  public void delete(String id) {
    find(id);
    change(id, photo -> photo.takeAway(now()));
  }

  /** Puts back a photograph that was taken away. */
  public Photo restore(String id) {
    return change(id, photo -> photo.takeAway(null));
  }

  private Photo change(String id, java.util.function.Consumer<PhotoEntity> change) {
    return transaction.execute(
        status -> {
          PhotoEntity photo = photos.findById(id).orElseThrow(() -> none(id));
          change.accept(photo);
          return photo.shown();
        });
  }

  /** Lets go, files and all, of what was taken away longer ago than it can be put back. */
  public void throwAway() {
    Instant longAgo = clock.instant().minus(KnifeService.KEPT_FOR);
    photos.findByTakenAwayAtBefore(longAgo).forEach(this::forget);
  }

  /** Lets go of every photograph of a knife, taken away or not. */
  public void forgetOf(String knife) {
    photos.findByKnifeId(knife).forEach(this::forget);
  }

  /** Lets go of every photograph of a sale, taken away or not. */
  public void forgetOfSale(String sale) {
    photos.findBySaleId(sale).forEach(this::forget);
  }

  private void forget(PhotoEntity photo) {
    transaction.executeWithoutResult(status -> photos.deleteById(photo.id()));
    letGo(photo.id());
  }

  private void letGo(String id) {
    for (Copy copy : Copy.values()) {
      delete(file(id, copy));
    }
  }

  private static void delete(Path file) {
    try {
      Files.deleteIfExists(file);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /**
   * Lets go of files that no row speaks of: half-written ones of a photograph that was never
   * acknowledged.
   *
   * @return how many
   */
  public int sweep() {
    Set<String> ids = new HashSet<>();
    photos.findAll().forEach(photo -> ids.add(photo.id()));
    List<Path> strays = new ArrayList<>();
    for (Path file : files()) {
      String name = file.getFileName().toString();
      int dot = name.indexOf('.');
      if (name.endsWith(".part") || dot < 0 || !ids.contains(name.substring(0, dot))) {
        strays.add(file);
      }
    }
    strays.forEach(PhotoService::delete);
    return strays.size();
  }

  private List<Path> files() {
    if (!Files.isDirectory(folder)) {
      return List.of();
    }
    try (Stream<Path> all = Files.list(folder)) {
      return all.filter(Files::isRegularFile).toList();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /**
   * What the originals are held against their sums comes to.
   *
   * @param lost names of photographs whose original is not there any more
   * @param changed names of photographs whose original is not what it was when it came
   */
  public record OriginalsChecked(int originals, List<String> lost, List<String> changed) {}

  /** Holds every original against the sum that was kept of it; one that had none gets it now. */
  public OriginalsChecked check() {
    List<String> lost = new ArrayList<>();
    List<String> changed = new ArrayList<>();
    List<PhotoEntity> all = photos.findAll();
    for (PhotoEntity photo : all) {
      String told = photo.shown().fileName() + " of " + photo.of();
      try {
        String sum = Sha256.of(Files.readAllBytes(file(photo.id(), Copy.ORIGINAL)));
        if (photo.sha256() == null) {
          change(photo.id(), row -> row.setSha256(sum));
        } else if (!photo.sha256().equals(sum)) {
          changed.add(told);
        }
      } catch (IOException e) {
        lost.add(told);
      }
    }
    return new OriginalsChecked(all.size(), lost, changed);
  }

  private PhotoEntity find(String id) {
    return photos.findByIdAndTakenAwayAtIsNull(id).orElseThrow(() -> none(id));
  }

  private static NoSuchKnife none(String id) {
    return new NoSuchKnife("with photograph " + id);
  }

  private Instant now() {
    return clock.instant().truncatedTo(ChronoUnit.MILLIS);
  }
}
