package snikra.server.photos;

import com.drew.imaging.ImageMetadataReader;
import com.drew.imaging.ImageProcessingException;
import com.drew.metadata.Metadata;
import com.drew.metadata.MetadataException;
import com.drew.metadata.exif.ExifIFD0Directory;
import com.drew.metadata.exif.ExifSubIFDDirectory;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.Duration;
import java.util.Iterator;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicReference;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import net.coobird.thumbnailator.Thumbnails;
import net.coobird.thumbnailator.filters.Flip;
import org.jspecify.annotations.Nullable;
import snikra.core.examination.Problem;
import snikra.formats.InvalidInput;

/**
 * A photograph taken apart: what it is by its own bytes, whatever its name says, and the upright
 * copies that are shown. Nothing larger than what is shown is ever laid out in memory.
 *
 * @param type jpeg or png; pdf of a paper, of which a drawn sheet is shown
 * @param width of the copy that is shown
 * @param takenAt by the camera's clock
 */
record Picture(
    byte[] original,
    String type,
    int width,
    int height,
    byte[] view,
    byte[] thumbnail,
    @Nullable String takenAt) {

  static final int MOST_BYTES = 30 * 1024 * 1024;
  static final long MOST_PIXELS = 60_000_000L;
  private static final Duration MOST_WORK = Duration.ofSeconds(5);
  private static final int VIEW = 2000;
  private static final int THUMBNAIL = 320;
  private static final int LEAST_SIDE = 16;
  private static final double QUALITY = 0.88;
  private static final Set<String> TYPES = Set.of("jpeg", "png");
  private static final String ACCEPTED =
      "must be a whole JPEG or PNG photograph, or a paper as a whole PDF";

  /**
   * Takes a photograph apart.
   *
   * @throws InvalidInput when it is none, is cut off or is too large
   */
  static Picture of(String fileName, byte[] bytes) {
    if (PaperSheet.is(bytes)) {
      return paper(fileName, bytes);
    }
    PictureCost.require(fileName, bytes);
    try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(bytes))) {
      Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
      if (!readers.hasNext()) {
        throw refused(fileName, ACCEPTED);
      }
      ImageReader reader = readers.next();
      try {
        String type = reader.getFormatName().toLowerCase(Locale.ROOT);
        if (!TYPES.contains(type)) {
          throw refused(fileName + ", " + type, ACCEPTED);
        }
        reader.setInput(in, true, true);
        return of(fileName, bytes, type, reader);
      } finally {
        reader.dispose();
      }
    } catch (IOException | IllegalArgumentException | IndexOutOfBoundsException e) {
      throw e instanceof InvalidInput invalid ? invalid : refused(fileName, ACCEPTED);
    }
  }

  private static Picture paper(String fileName, byte[] bytes) {
    if (!PaperSheet.isWhole(bytes)) {
      throw refused(fileName + ", cut off", ACCEPTED);
    }
    BufferedImage sheet = PaperSheet.drawn();
    try {
      return new Picture(
          bytes,
          PaperSheet.TYPE,
          PaperSheet.WIDTH,
          PaperSheet.HEIGHT,
          jpeg(sheet, 1),
          jpeg(sheet, (double) THUMBNAIL / PaperSheet.HEIGHT),
          null);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static Picture of(String fileName, byte[] bytes, String type, ImageReader reader)
      throws IOException {
    long width = reader.getWidth(0);
    long height = reader.getHeight(0);
    if (width * height > MOST_PIXELS || Math.min(width, height) < LEAST_SIDE) {
      throw refused(
          fileName + ", " + width + " by " + height + " pixels",
          "must be from "
              + LEAST_SIDE
              + " pixels a side to "
              + MOST_PIXELS / 1_000_000
              + " million pixels");
    }
    BufferedImage shown = read(fileName, reader, (int) Math.max(width, height));
    Metadata metadata = metadata(bytes);
    BufferedImage upright = upright(shown, orientation(metadata));
    double fit = Math.min(1, (double) VIEW / Math.max(upright.getWidth(), upright.getHeight()));
    BufferedImage view = fit < 1 ? Thumbnails.of(upright).scale(fit).asBufferedImage() : upright;
    return new Picture(
        bytes,
        type,
        view.getWidth(),
        view.getHeight(),
        jpeg(view, 1),
        jpeg(view, Math.min(1, (double) THUMBNAIL / Math.max(view.getWidth(), view.getHeight()))),
        takenAt(metadata));
  }

  // Every so many-th pixel, so that even the largest fits; a cut-off file is told and refused.
  private static BufferedImage read(String fileName, ImageReader reader, int longest)
      throws IOException {
    ImageReadParam param = reader.getDefaultReadParam();
    int step = Math.max(1, longest / (2 * VIEW));
    param.setSourceSubsampling(step, step, 0, 0);
    AtomicReference<String> warned = new AtomicReference<>();
    reader.addIIOReadWarningListener((source, warning) -> warned.set(warning));
    AtomicBoolean aborted = new AtomicBoolean();
    BufferedImage read =
        Deadline.within(
            MOST_WORK,
            () -> {
              aborted.set(true);
              reader.abort();
            },
            () -> reader.read(0, param));
    if (aborted.get()) {
      throw refused(
          fileName + ", too much work",
          "must be a photograph that can be opened in " + MOST_WORK.toSeconds() + " seconds");
    }
    if (warned.get() != null && warned.get().toLowerCase(Locale.ROOT).contains("premature")) {
      throw refused(fileName + ", cut off", ACCEPTED);
    }
    BufferedImage plain =
        new BufferedImage(read.getWidth(), read.getHeight(), BufferedImage.TYPE_INT_RGB);
    plain.createGraphics().drawImage(read, 0, 0, java.awt.Color.WHITE, null);
    return plain;
  }

  private static byte[] jpeg(BufferedImage image, double scale) throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    Thumbnails.of(image)
        .scale(scale)
        .outputFormat("jpg")
        .outputQuality(QUALITY)
        .toOutputStream(out);
    return out.toByteArray();
  }

  // The eight ways a camera may have been held, as the standard numbers them.
  private static BufferedImage upright(BufferedImage image, int orientation) throws IOException {
    boolean mirrored = orientation == 2 || orientation == 4 || orientation == 5 || orientation == 7;
    double turn =
        switch (orientation) {
          case 3, 4 -> 180;
          case 6, 7 -> 90;
          case 5, 8 -> 270;
          default -> 0;
        };
    BufferedImage flipped = mirrored ? Flip.HORIZONTAL.apply(image) : image;
    return turn == 0 ? flipped : Thumbnails.of(flipped).scale(1).rotate(turn).asBufferedImage();
  }

  private static @Nullable Metadata metadata(byte[] bytes) {
    try {
      byte[] plain = PictureCost.withoutTexts(bytes);
      return ImageMetadataReader.readMetadata(new ByteArrayInputStream(plain), plain.length);
    } catch (ImageProcessingException | IOException e) {
      return null;
    }
  }

  private static int orientation(@Nullable Metadata metadata) {
    ExifIFD0Directory exif =
        metadata == null ? null : metadata.getFirstDirectoryOfType(ExifIFD0Directory.class);
    try {
      return exif == null || !exif.containsTag(ExifIFD0Directory.TAG_ORIENTATION)
          ? 1
          : exif.getInt(ExifIFD0Directory.TAG_ORIENTATION);
    } catch (MetadataException e) {
      return 1;
    }
  }

  private static @Nullable String takenAt(@Nullable Metadata metadata) {
    ExifSubIFDDirectory exif =
        metadata == null ? null : metadata.getFirstDirectoryOfType(ExifSubIFDDirectory.class);
    String told = exif == null ? null : exif.getString(ExifSubIFDDirectory.TAG_DATETIME_ORIGINAL);
    return told != null && told.matches("\\d{4}:\\d{2}:\\d{2} .*")
        ? told.substring(0, 10).replace(':', '-')
        : null;
  }

  static InvalidInput refused(String given, String accepted) {
    return new InvalidInput(List.of(new Problem("photograph", given, accepted)));
  }
}
