package snikra.server.schedules;

import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.util.XRLog;
import com.samskivert.mustache.Mustache;
import com.samskivert.mustache.Template;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.text.NumberFormat;
import java.time.format.DateTimeFormatter;
import java.time.format.FormatStyle;
import java.util.ArrayList;
import java.util.Base64;
import java.util.Currency;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.logging.Level;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.jspecify.annotations.Nullable;
import snikra.core.value.Schedule;
import snikra.server.photos.LostPhotograph;
import snikra.server.photos.Photo;
import snikra.server.photos.PhotoRole;
import snikra.server.photos.PhotoService;

/** Sets a schedule on paper. */
public class SchedulePaper {
  /** The typeface that comes with the library: Latin, Greek and Cyrillic letters. */
  private static final String TYPE = "/org/apache/pdfbox/resources/ttf/LiberationSans-Regular.ttf";

  static {
    // How fast a style sheet was read is nothing for the log of a collector.
    XRLog.listRegisteredLoggers().forEach(name -> XRLog.setLevel(name, Level.WARNING));
  }

  private final PhotoService photos;

  /** Read when the first is asked for: most days none is. */
  private @Nullable Template page;

  public SchedulePaper(PhotoService photos) {
    this.photos = photos;
  }

  /** A line as it is set. */
  record SetLine(
      int number,
      String name,
      @Nullable String title,
      String about,
      String amount,
      String stands,
      @Nullable String picture) {}

  /** The whole as it is set. */
  record SetSchedule(
      String heading,
      @Nullable String title,
      String day,
      String method,
      List<SetLine> lines,
      List<String> totals,
      @Nullable String unvalued) {}

  // One at a time: a long one takes much room while it is laid out.
  synchronized byte[] of(Schedule schedule, Locale locale) {
    DateTimeFormatter day = DateTimeFormatter.ofLocalizedDate(FormatStyle.LONG).withLocale(locale);
    SetSchedule set =
        new SetSchedule(
            schedule.basis() == Schedule.Basis.INSURANCE
                ? "Schedule for insurance"
                : "Schedule for an estate",
            schedule.title(),
            day.format(schedule.asOf()),
            schedule.method(),
            schedule.lines().stream().map(l -> line(l, locale)).toList(),
            schedule.totals().entrySet().stream()
                .map(t -> money(t.getValue(), t.getKey(), locale))
                .toList(),
            unvalued(schedule.unvalued()));
    return pdf(page().execute(set));
  }

  private static @Nullable String unvalued(int knives) {
    return knives == 0
        ? null
        : knives == 1 ? "One knife has no amount." : knives + " knives have no amount.";
  }

  private SetLine line(Schedule.Line line, Locale locale) {
    String about =
        Stream.of(line.maker(), line.made(), line.grade(), line.box())
            .filter(Objects::nonNull)
            .collect(Collectors.joining(". "));
    boolean isValued = line.amount() != null && line.currency() != null;
    return new SetLine(
        line.number(),
        line.name(),
        line.title(),
        about.isEmpty() ? "Nothing more is known of it." : about + ".",
        isValued ? money(line.amount(), line.currency(), locale) : "none",
        isValued
            ? "half of like sales from %s to %s, from %d %s"
                .formatted(
                    money(Objects.requireNonNull(line.low()), line.currency(), locale),
                    money(Objects.requireNonNull(line.high()), line.currency(), locale),
                    line.counted(),
                    line.counted() == 1 ? "sale" : "sales")
            : "no sale of a like knife",
        picture(line.knife()));
  }

  private @Nullable String picture(String knife) {
    List<Photo> all = new ArrayList<>(photos.of(knife));
    all.sort((a, b) -> Boolean.compare(isNotSide(a), isNotSide(b)));
    if (all.isEmpty()) {
      return null;
    }
    try {
      PhotoService.Content small = photos.content(all.get(0).id(), PhotoService.Copy.THUMBNAIL);
      String bytes = Base64.getEncoder().encodeToString(small.bytes());
      return "data:" + small.mediaType() + ";base64," + bytes;
    } catch (LostPhotograph e) {
      return null;
    }
  }

  private static boolean isNotSide(Photo photo) {
    return photo.role() != PhotoRole.MARK_SIDE;
  }

  private static String money(BigDecimal amount, String currency, Locale locale) {
    NumberFormat format = NumberFormat.getCurrencyInstance(locale);
    format.setCurrency(Currency.getInstance(currency));
    format.setMaximumFractionDigits(0);
    // The narrow space some countries write between thousands is in few typefaces.
    return format.format(amount).replace('\u202f', '\u00a0');
  }

  private Template page() {
    if (page == null) {
      page = Mustache.compiler().defaultValue("").compile(resource("schedule.html"));
    }
    return page;
  }

  private static String resource(String name) {
    try (InputStream in =
        Objects.requireNonNull(SchedulePaper.class.getResourceAsStream(name), name)) {
      return new String(in.readAllBytes(), StandardCharsets.UTF_8);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static byte[] pdf(String html) {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try {
      PdfRendererBuilder builder = new PdfRendererBuilder();
      // Nothing is fetched from anywhere: a picture is in the page or is not there.
      builder.useUriResolver((base, uri) -> uri.startsWith("data:") ? uri : null);
      builder.useFont(
          () -> Objects.requireNonNull(PDDocument.class.getResourceAsStream(TYPE)), "Sheet");
      builder.withHtmlContent(html, null);
      builder.toStream(out);
      builder.run();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toByteArray();
  }
}
