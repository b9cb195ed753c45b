package snikra.core.measure;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import snikra.core.wording.NotAccepted;

/**
 * A length as it was written, with its exact value in millimetres.
 *
 * @param written the text as given, trimmed, for example {@code 3 7/8 in} or {@code 84.1 mm}
 * @param mm the value in millimetres; more than 0 and at most {@value #MAX_MM}
 */
public record Length(String written, double mm) {

  /** Longer than any folding knife: what is above is a slip of the pen. */
  public static final double MAX_MM = 600;

  /** What {@link #parse} accepts, for messages. */
  public static final String ACCEPTED =
      "a length with its unit, such as 3 7/8 in, 3-7/8\", 3.875 in or 98.4 mm, up to 600 mm";

  private static final BigDecimal MM_PER_INCH = new BigDecimal("25.4");
  private static final String FRACTIONS = "½¼¾⅛⅜⅝⅞";
  private static final String[] FRACTIONS_WRITTEN = {
    "1/2", "1/4", "3/4", "1/8", "3/8", "5/8", "7/8"
  };
  private static final Pattern NOTATION =
      Pattern.compile(
          "(?:(\\d{1,4})(?:[.,](\\d{1,6}))?(?![\\d/]))?(?:[ -]*(\\d{1,3})/(\\d{1,3}))?\\s*"
              + "(mm|cm|in|inch|inches|\"|”|″)?",
          Pattern.CASE_INSENSITIVE);

  public Length {
    if (!(mm > 0 && mm <= MAX_MM)) {
      throw new NotAccepted("must be " + ACCEPTED, written);
    }
  }

  /**
   * Reads a length. A fraction without a unit is taken as inches; a plain number must name its
   * unit.
   *
   * @throws IllegalArgumentException when the text is not a length, is not above zero or is over
   *     {@value #MAX_MM} mm
   */
  public static Length parse(String text) {
    String written = text.strip();
    Matcher m = NOTATION.matcher(spellOutFractions(written));
    if (!m.matches() || (m.group(1) == null && m.group(3) == null)) {
      throw notALength(written);
    }
    boolean hasFraction = m.group(3) != null;
    boolean metric = m.group(5) != null && m.group(5).toLowerCase(Locale.ROOT).endsWith("m");
    boolean ambiguous = m.group(5) == null && !hasFraction;
    if (ambiguous || (hasFraction && (metric || m.group(2) != null || "0".equals(m.group(4))))) {
      throw notALength(written);
    }
    BigDecimal number = whole(m).add(fraction(m));
    return new Length(written, number.multiply(factor(m.group(5))).doubleValue());
  }

  private static String spellOutFractions(String written) {
    String text = written;
    for (int i = 0; i < FRACTIONS.length(); i++) {
      text = text.replace(FRACTIONS.substring(i, i + 1), " " + FRACTIONS_WRITTEN[i]);
    }
    return text.strip();
  }

  private static BigDecimal whole(Matcher m) {
    if (m.group(1) == null) {
      return BigDecimal.ZERO;
    }
    return new BigDecimal(m.group(1) + (m.group(2) == null ? "" : "." + m.group(2)));
  }

  private static BigDecimal fraction(Matcher m) {
    if (m.group(3) == null) {
      return BigDecimal.ZERO;
    }
    BigDecimal denominator = new BigDecimal(m.group(4));
    if (denominator.signum() == 0) {
      throw notALength(m.group());
    }
    return new BigDecimal(m.group(3)).divide(denominator, MathContext.DECIMAL64);
  }

  private static BigDecimal factor(String unit) {
    String known = unit == null ? "in" : unit.toLowerCase(Locale.ROOT);
    return switch (known) {
      case "mm" -> BigDecimal.ONE;
      case "cm" -> BigDecimal.TEN;
      default -> MM_PER_INCH;
    };
  }

  private static NotAccepted notALength(String written) {
    return new NotAccepted("must be " + ACCEPTED, written);
  }
}
