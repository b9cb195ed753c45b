package snikra.core.provenance;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import snikra.core.wording.NotAccepted;

/**
 * A date with its uncertainty, in the Extended Date/Time Format (ISO 8601-2), level 1 and the sets
 * of level 2: {@code 1936}, {@code 1936-05}, {@code 1936-05-14}, {@code 1936-21} (spring), {@code
 * 193X}, {@code 19XX}, {@code 1936-XX}, with {@code ?} uncertain, {@code ~} approximate or {@code
 * %} both, intervals such as {@code 1917/1919}, {@code ../1936} or {@code 1936/..}, and sets such
 * as {@code [1917,1919]} (one of them) or {@code {1917..1919}} (all of them). Years have four
 * figures and begin at 1000: no pocket knife is older.
 *
 * @param written as given
 * @param earliestYear first year it can mean, closed
 * @param latestYear last year it can mean, closed; far ahead where the end is open
 */
public record EdtfDate(String written, int earliestYear, int latestYear) {

  /** What {@link #parse} accepts, for messages. */
  public static final String ACCEPTED =
      "a date such as 1936, 1936-05, 1936-05-14, 193X, 1936~ (about), 1936? (perhaps), 1917/1919,"
          + " ../1936 (by 1936), 1936/.. (from 1936 on) or [1917,1919] (one of them)";

  /** Years either side that 'about' is taken to mean. */
  private static final int ABOUT = 5;

  private static final int FIRST_YEAR = 1000;
  private static final int LAST_YEAR = 2999;
  private static final int LAST_MONTH = 12;

  /** Year, then month (from 21 to 24: season) and day, each of which may be unspecified. */
  private static final Pattern ONE =
      Pattern.compile(
          "([12]\\d{3}|[12]\\d{2}X|[12]\\dXX)(?:-(\\d{2}|XX)(?:-(\\d{2}|XX))?)?([?~%])?");

  private static final Pattern SET = Pattern.compile("\\[(.+)]|\\{(.+)}");

  /** Both ends of what a part of a date can mean. */
  private record Years(int from, int to) {}

  /**
   * Reads a date.
   *
   * @throws IllegalArgumentException when the text is not a date of these forms, or runs backwards
   */
  public static EdtfDate parse(String text) {
    String written = text.strip();
    Matcher set = SET.matcher(written);
    Years years =
        set.matches()
            ? set(set.group(1) == null ? set.group(2) : set.group(1), written)
            : interval(written.split("/", -1), written);
    return new EdtfDate(written, years.from, years.to);
  }

  private static Years set(String members, String written) {
    int from = LAST_YEAR;
    int to = FIRST_YEAR;
    for (String member : members.split(",", -1)) {
      String[] ends = member.strip().split("\\.\\.", -1);
      Years years = interval(ends, written);
      from = Math.min(from, years.from);
      to = Math.max(to, years.to);
    }
    return new Years(from, to);
  }

  private static Years interval(String[] ends, String written) {
    if (ends.length > 2) {
      throw notADate(written);
    }
    boolean open = ends.length == 2;
    int from = open && isOpen(ends[0]) ? FIRST_YEAR : one(ends[0], written).from;
    int to = open && isOpen(ends[1]) ? LAST_YEAR : one(ends[ends.length - 1], written).to;
    if (from > to || (open && isOpen(ends[0]) && isOpen(ends[1]))) {
      throw notADate(written);
    }
    return new Years(from, to);
  }

  private static boolean isOpen(String end) {
    return end.isEmpty() || end.equals("..");
  }

  private static Years one(String text, String written) {
    Matcher m = ONE.matcher(text);
    if (!m.matches() || !isCalendar(m)) {
      throw notADate(written);
    }
    int give = m.group(4) == null ? 0 : ABOUT;
    return new Years(
        Integer.parseInt(m.group(1).replace('X', '0')) - give,
        Integer.parseInt(m.group(1).replace('X', '9')) + give);
  }

  private static boolean isCalendar(Matcher m) {
    String month = m.group(2);
    String day = m.group(3);
    if (month == null) {
      return true;
    }
    if (month.equals("XX")) {
      return day == null || day.equals("XX");
    }
    if (m.group(1).contains("X")) {
      return false;
    }
    if (SEASONS.contains(month)) {
      return day == null;
    }
    try {
      int first = day == null || day.equals("XX") ? 1 : Integer.parseInt(day);
      return Integer.parseInt(month) <= LAST_MONTH
          && LocalDate.of(Integer.parseInt(m.group(1)), Integer.parseInt(month), first)
                  .getDayOfMonth()
              == first;
    } catch (DateTimeException e) {
      return false;
    }
  }

  private static final Set<String> SEASONS = Set.of("21", "22", "23", "24");

  /** Whether it goes back without end: by 1936. */
  public boolean isOpenBefore() {
    return earliestYear == FIRST_YEAR;
  }

  /** Whether it has no end. */
  public boolean isOpenAfter() {
    return latestYear == LAST_YEAR;
  }

  /** Whether it is a stretch of time and not one point that may lie anywhere in it. */
  public boolean isThroughout() {
    boolean isOpen = isOpenBefore() || isOpenAfter();
    return !isOpen && (written.contains("/") || written.startsWith("{"));
  }

  /** The last year it can mean, where none is later than this one: an open end runs until today. */
  public int latestBy(int thisYear) {
    return Math.max(earliestYear, Math.min(latestYear, thisYear));
  }

  /** The day it means, where it means one. */
  public Optional<LocalDate> day() {
    Matcher m = ONE.matcher(written);
    return m.matches() && m.group(3) != null && !m.group(3).equals("XX") && m.group(4) == null
        ? Optional.of(LocalDate.parse(written))
        : Optional.empty();
  }

  private static NotAccepted notADate(String written) {
    return new NotAccepted("must be " + ACCEPTED, written);
  }
}
