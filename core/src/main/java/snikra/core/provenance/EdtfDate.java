package snikra.core.provenance;

import java.time.LocalDate;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import snikra.core.wording.NotAccepted;

/**
 * A date with its uncertainty, in the Extended Date/Time Format (ISO 8601-2): {@code 1936}, {@code
 * 1936-05}, {@code 1936-05-14}, {@code 193X}, {@code 19XX}, with {@code ?} uncertain, {@code ~}
 * approximate or {@code %} both, and intervals such as {@code 1917/1919} or {@code ../1936}.
 *
 * @param written as given
 * @param earliestYear first year it can mean, closed
 * @param latestYear last year it can mean, closed
 */
public record EdtfDate(String written, int earliestYear, int latestYear) {

  /** What {@link #parse} accepts, for messages. */
  public static final String ACCEPTED =
      "a date such as 1936, 1936-05, 1936-05-14, 193X, 1936~ (about), 1936? (perhaps), 1917/1919 or"
          + " ../1936 (by 1936)";

  /** Years either side that 'about' is taken to mean. */
  private static final int ABOUT = 5;

  private static final int FIRST_YEAR = 1000;
  private static final int LAST_YEAR = 2999;
  private static final Pattern ONE =
      Pattern.compile("([12]\\d{3}|[12]\\d{2}X|[12]\\dXX)(?:-(\\d{2})(?:-(\\d{2}))?)?([?~%])?");

  /**
   * Reads a date.
   *
   * @throws IllegalArgumentException when the text is not a date of these forms, or runs backwards
   */
  public static EdtfDate parse(String text) {
    String written = text.strip();
    String[] ends = written.split("/", -1);
    if (ends.length > 2) {
      throw notADate(written);
    }
    boolean open = ends.length == 2;
    int from = open && isOpen(ends[0]) ? FIRST_YEAR : one(ends[0], written)[0];
    int to = open && isOpen(ends[1]) ? LAST_YEAR : one(ends[ends.length - 1], written)[1];
    if (from > to || (open && isOpen(ends[0]) && isOpen(ends[1]))) {
      throw notADate(written);
    }
    return new EdtfDate(written, from, to);
  }

  private static boolean isOpen(String end) {
    return end.isEmpty() || end.equals("..");
  }

  private static int[] one(String text, String written) {
    Matcher m = ONE.matcher(text);
    if (!m.matches() || !isCalendar(m)) {
      throw notADate(written);
    }
    int give = m.group(4) == null ? 0 : ABOUT;
    int from = Integer.parseInt(m.group(1).replace('X', '0')) - give;
    int to = Integer.parseInt(m.group(1).replace('X', '9')) + give;
    return new int[] {from, to};
  }

  private static boolean isCalendar(Matcher m) {
    if (m.group(2) == null) {
      return true;
    }
    if (m.group(1).contains("X")) {
      return false;
    }
    try {
      int day = m.group(3) == null ? 1 : Integer.parseInt(m.group(3));
      return java.time.LocalDate.of(Integer.parseInt(m.group(1)), Integer.parseInt(m.group(2)), day)
              .getDayOfMonth()
          == day;
    } catch (java.time.DateTimeException e) {
      return false;
    }
  }

  /** The day it means, where it means one. */
  public Optional<LocalDate> day() {
    Matcher m = ONE.matcher(written);
    return m.matches() && m.group(3) != null && m.group(4) == null
        ? Optional.of(LocalDate.parse(written))
        : Optional.empty();
  }

  private static NotAccepted notADate(String written) {
    return new NotAccepted("must be " + ACCEPTED, written);
  }
}
