package snikra.server.paper;

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
import java.util.Base64;
import java.util.Currency;
import java.util.Locale;
import java.util.Objects;
import java.util.concurrent.locks.ReentrantLock;
import java.util.logging.Level;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.jspecify.annotations.Nullable;
import snikra.formats.NoField;

/** A page of HTML without logic that is filled and set as PDF. */
public final class Paper {
  /** The typeface that comes with the library: Latin, Greek and Cyrillic letters. */
  private static final String TYPE = "/org/apache/pdfbox/resources/ttf/LiberationSans-Regular.ttf";

  /** One at a time: a long one takes much room while it is laid out. */
  private static final ReentrantLock PRESS = new ReentrantLock();

  static {
    // How fast a style sheet was read is nothing for the log of a collector.
    XRLog.listRegisteredLoggers().forEach(name -> XRLog.setLevel(name, Level.WARNING));
  }

  private final Class<?> beside;
  private final String name;

  /** Read when the first is asked for: most days none is. */
  private @Nullable Template page;

  /**
   * A page.
   *
   * @param beside the class it lies beside
   */
  public Paper(Class<?> beside, String name) {
    this.beside = beside;
    this.name = name;
  }

  /** A picture as it stands in a page: nothing is fetched from anywhere while it is set. */
  public static String picture(String mediaType, byte[] bytes) {
    return "data:" + mediaType + ";base64," + Base64.getEncoder().encodeToString(bytes);
  }

  /** An amount in whole units, as the country writes it. */
  public static String money(BigDecimal amount, String currency, Locale locale) {
    NumberFormat format = NumberFormat.getCurrencyInstance(locale);
    format.setCurrency(Currency.getInstance(currency));
    format.setMaximumFractionDigits(0);
    // The narrow space some countries write between thousands is in few typefaces.
    return format.format(amount).replace('\u202f', '\u00a0');
  }

  /** The page, filled and set. */
  public byte[] set(Object with) {
    PRESS.lock();
    try {
      ByteArrayOutputStream out = new ByteArrayOutputStream();
      PdfRendererBuilder builder = new PdfRendererBuilder();
      builder.useUriResolver((base, uri) -> uri.startsWith("data:") ? uri : null);
      builder.useFont(
          () -> Objects.requireNonNull(PDDocument.class.getResourceAsStream(TYPE)), "Sheet");
      builder.withHtmlContent(NoField.seen(page().execute(with)), null);
      builder.toStream(out);
      builder.run();
      return out.toByteArray();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } finally {
      PRESS.unlock();
    }
  }

  private Template page() {
    if (page == null) {
      page = Mustache.compiler().defaultValue("").compile(text());
    }
    return page;
  }

  private String text() {
    try (InputStream in = Objects.requireNonNull(beside.getResourceAsStream(name), name)) {
      return new String(in.readAllBytes(), StandardCharsets.UTF_8);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
