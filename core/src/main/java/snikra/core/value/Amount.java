package snikra.core.value;

import java.math.BigDecimal;
import java.util.Currency;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import snikra.core.wording.NotAccepted;

/**
 * An amount of money as people write it.
 *
 * @param currency three letters by ISO 4217; null where none is written
 */
public record Amount(BigDecimal amount, @Nullable String currency) {
  /** What {@link #parse} accepts, for messages. */
  public static final String ACCEPTED =
      "one amount of 0 or more with its currency, such as 45 GBP, \u00a345, $1,200.50 or 1.200,50 EUR";

  private static final Map<String, String> SIGNS =
      Map.of("\u00a3", "GBP", "$", "USD", "\u20ac", "EUR");
  private static final String SIGN = "([\u00a3$\u20ac]|[A-Za-z]{3})";

  /** Figures in threes parted by one and the same sign, then at most two after the other sign. */
  private static final Pattern NOTATION =
      Pattern.compile(
          SIGN
              + "?\\s*(\\d{1,9}|\\d{1,3}(?:,\\d{3}){1,3}|\\d{1,3}(?:\\.\\d{3}){1,3}|\\d{1,3}(?:[ \u00a0']\\d{3}){1,3})"
              + "(?:([.,])(\\d{1,2}))?\\s*"
              + SIGN
              + "?");

  /**
   * Reads an amount. Nothing in it is passed over: a minus, a second figure or a word is refused.
   *
   * @throws NotAccepted when the text is not one amount, or its currency is none
   */
  public static Amount parse(String text) {
    Matcher m = NOTATION.matcher(text.strip());
    if (!m.matches() || (m.group(1) != null && m.group(5) != null)) {
      throw new NotAccepted("must be " + ACCEPTED, text);
    }
    String whole = m.group(2);
    String mark = m.group(3);
    if (mark != null && whole.contains(mark)) {
      throw new NotAccepted("must be " + ACCEPTED, text);
    }
    String figures = whole.replaceAll("\\D", "") + (mark == null ? "" : "." + m.group(4));
    String sign = m.group(1) == null ? m.group(5) : m.group(1);
    return new Amount(new BigDecimal(figures), sign == null ? null : currency(sign, text));
  }

  private static String currency(String sign, String text) {
    String code = SIGNS.getOrDefault(sign, sign.toUpperCase(Locale.ROOT));
    try {
      return Currency.getInstance(code).getCurrencyCode();
    } catch (IllegalArgumentException e) {
      throw new NotAccepted("must be " + ACCEPTED, text, e);
    }
  }
}
