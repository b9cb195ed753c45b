package snikra.server.photos;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.Clock;
import java.time.Duration;
import java.time.temporal.ChronoUnit;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import snikra.server.knives.KnifeService;
import snikra.server.knives.NoSuchKnife;

/** Keeps photographs. An original is on disk before its row says that it is there. */
public class PhotoService {
  private static final int LONGEST_NAME = 200;
  private static final int MOST_PHOTOS = 60;
  private static final Duration KEPT_FOR = Duration.ofDays(7);

  private final PhotoRepository photos;
  private final KnifeService knives;
  private final Path folder;
  private final Clock clock;

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

  /** Bytes and what they are. */
  public record Content(byte[] bytes, String mediaType) {}

  public PhotoService(PhotoRepository photos, KnifeService knives, Path folder, Clock clock) {
    this.photos = photos;
    this.knives = knives;
    this.folder = folder;
    this.clock = clock;
  }

  /** The photographs of a knife. */
  public List<Photo> of(String knife) {
    return photos.findByKnifeIdAndTakenAwayAtIsNullOrderByAddedAt(knife).stream()
        .map(PhotoEntity::shown)
        .toList();
  }

  /** Keeps a photograph. When this returns it is on disk. */
  public Photo add(String knife, PhotoRole role, String fileName, byte[] bytes) {
    String name = fileName.isBlank() ? "photograph" : fileName;
    String kept = name.substring(0, Math.min(LONGEST_NAME, name.length()));
    knives.get(knife);
    if (photos.findByKnifeIdAndTakenAwayAtIsNullOrderByAddedAt(knife).size() >= MOST_PHOTOS) {
      throw Picture.refused(kept, "must be one of at most " + MOST_PHOTOS + " of a knife");
    }
    if (bytes.length == 0 || bytes.length > Picture.MOST_BYTES) {
      throw Picture.refused(
          kept + ", " + bytes.length + " bytes",
          "must be a file of at most " + Picture.MOST_BYTES / (1024 * 1024) + " MB");
    }
    Picture picture = Picture.of(kept, bytes);
    String id = UUID.randomUUID().toString();
    try {
      Files.createDirectories(folder);
      write(id, Copy.ORIGINAL, picture.original());
      write(id, Copy.VIEW, picture.view());
      write(id, Copy.THUMBNAIL, picture.thumbnail());
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return photos
        .save(
            new PhotoEntity(
                id, knife, role, kept, picture, clock.instant().truncatedTo(ChronoUnit.MILLIS)))
        .shown();
  }

  private void write(String id, Copy copy, byte[] bytes) throws IOException {
    Path file = file(id, copy);
    Files.write(file, bytes);
    try (FileChannel channel = FileChannel.open(file, StandardOpenOption.WRITE)) {
      channel.force(true);
    }
  }

  private Path file(String id, Copy copy) {
    return folder.resolve(id + "." + copy.ending);
  }

  /** One copy of a photograph. */
  public Content content(String id, Copy copy) {
    PhotoEntity photo = find(id);
    try {
      boolean original = copy == Copy.ORIGINAL;
      return new Content(
          Files.readAllBytes(file(photo.id(), copy)),
          original ? "image/" + photo.type() : "image/jpeg");
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** Says what a photograph shows. */
  public Photo changeRole(String id, PhotoRole role) {
    PhotoEntity photo = find(id);
    photo.setRole(role);
    return photos.save(photo).shown();
  }

  /** Takes a photograph away; {@link #restore} brings it back. */
  public void delete(String id) {
    PhotoEntity photo = find(id);
    photo.takeAway(clock.instant().truncatedTo(ChronoUnit.MILLIS));
    photos.save(photo);
  }

  /** Puts back a photograph that was taken away. */
  public Photo restore(String id) {
    PhotoEntity photo = photos.findById(id).orElseThrow(() -> none(id));
    photo.takeAway(null);
    return photos.save(photo).shown();
  }

  /** Lets go, files and all, of what was taken away longer ago than anyone will want it back. */
  public void throwAway() {
    for (PhotoEntity photo : photos.findByTakenAwayAtBefore(clock.instant().minus(KEPT_FOR))) {
      photos.delete(photo);
      for (Copy copy : Copy.values()) {
        try {
          Files.deleteIfExists(file(photo.id(), copy));
        } catch (IOException e) {
          throw new UncheckedIOException(e);
        }
      }
    }
  }

  private PhotoEntity find(String id) {
    return photos.findByIdAndTakenAwayAtIsNull(id).orElseThrow(() -> none(id));
  }

  private static NoSuchKnife none(String id) {
    return new NoSuchKnife("with photograph " + id);
  }
}
