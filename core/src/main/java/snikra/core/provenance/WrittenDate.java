package snikra.core.provenance;

import java.text.Normalizer;
import java.time.Month;
import java.time.format.TextStyle;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import snikra.core.wording.NotAccepted;

/**
 * Dates as people write them, put into the form they are kept in: {@code c. 1936}, {@code early
 * 1930s}, {@code May 1936}, {@code 14.5.1936}, {@code before 1936}, {@code 1895-1910}, {@code
 * WWII}. Months are read in English, German and French.
 */
public final class WrittenDate {
  /** What {@link #read} accepts, for messages. */
  public static final String ACCEPTED =
      "a date such as 1936, c. 1936, 1930s, May 1936, 14.5.1936, before 1936, 1917-1919, or "
          + "as EDTF writes it: 193X, 1936~, ../1936, [1917,1919]";

  private static final int TENS = 10;
  private static final int HUNDRED = 100;
  private static final int MONTHS = 12;
  private static final Map<String, Integer> MONTH_NAMES = months();
  private static final Map<String, String> SEASONS =
      Map.of("spring", "21", "summer", "22", "autumn", "23", "fall", "23", "winter", "24");
  private static final Map<String, int[]> PARTS_OF_A_DECADE =
      Map.of("early", new int[] {0, 3}, "mid", new int[] {4, 6}, "late", new int[] {6, 9});

  private static final String YEAR = "([12]\\d{3})";
  private static final String ABOUT = "(?:c|ca|circa|about|around|abt|um|vers)\\.?\\s*";
  private static final String WORD = "(\\p{L}+)\\.?";
  private static final String TO = "\\s*(?:-|\u2013|\u2014|to|until|and|bis)\\s*";

  private record Form(Pattern pattern, Reading reading) {}

  /** What a form means in EDTF; null where its words are not what they must be. */
  @FunctionalInterface
  private interface Reading {
    @Nullable String of(MatchResult m);
  }

  private static final List<Form> FORMS =
      List.of(
          form(ABOUT + YEAR, m -> m.group(1) + "~"),
          form("(?:perhaps|possibly|maybe)\\s+" + YEAR, m -> m.group(1) + "?"),
          form(YEAR + "\\s*\\?", m -> m.group(1) + "?"),
          form("(?:the\\s+)?([12]\\d{2})0'?s", m -> m.group(1) + "X"),
          form(
              "(?:c|ca|circa|about|around)\\.?\\s*(?:the\\s+)?([12]\\d{2})0'?s",
              m -> m.group(1) + "X~"),
          form("(?:the\\s+)?" + WORD + "[\\s-]+([12]\\d{2})0'?s", WrittenDate::partOfDecade),
          form("(?:the\\s+)?(\\d{2})(?:st|nd|rd|th)\\s+century", WrittenDate::century),
          form("(?:before|vor|avant)\\s+" + YEAR, m -> "../" + (year(m, 1) - 1)),
          form("(?:by|until|till|to|up to|bis)\\s+" + YEAR, m -> "../" + m.group(1)),
          form("(?:after|nach|apr\u00e8s)\\s+" + YEAR, m -> (year(m, 1) + 1) + "/.."),
          form("(?:since|from|seit)\\s+" + YEAR, m -> m.group(1) + "/.."),
          form("(?:between\\s+|from\\s+)?" + YEAR + TO + YEAR, m -> m.group(1) + "/" + m.group(2)),
          form(ABOUT + YEAR + TO + YEAR, m -> m.group(1) + "~/" + m.group(2)),
          form(YEAR + TO + ABOUT + YEAR, m -> m.group(1) + "/" + m.group(2) + "~"),
          form(ABOUT + YEAR + TO + ABOUT + YEAR, m -> m.group(1) + "~/" + m.group(2) + "~"),
          form(YEAR + TO + "(?:present|today|now|date|heute)", m -> m.group(1) + "/.."),
          form(YEAR + TO + "(\\d{2})", WrittenDate::shortEnd),
          form(WORD + "\\s+" + YEAR, WrittenDate::monthOrSeason),
          form(
              "(\\d{1,2})(?:st|nd|rd|th|\\.)?\\s+" + WORD + ",?\\s+" + YEAR,
              m -> day(m.group(3), month(m.group(2)), m.group(1))),
          form(
              WORD + "\\s+(\\d{1,2})(?:st|nd|rd|th)?,?\\s+" + YEAR,
              m -> day(m.group(3), month(m.group(1)), m.group(2))),
          form(
              "(\\d{1,2})\\.\\s?(\\d{1,2})\\.\\s?" + YEAR,
              m -> day(m.group(3), number(m, 2), m.group(1))),
          form(
              YEAR + "[/.](\\d{1,2})[/.](\\d{1,2})",
              m -> day(m.group(1), number(m, 2), m.group(3))),
          form("(\\d{1,2})[/-](\\d{1,2})[/-]" + YEAR, WrittenDate::dayOrMonthFirst),
          form("(?:first world war|great war|world war i|world war 1|wwi|ww1)", m -> "1914/1918"),
          form("(?:second world war|world war ii|world war 2|wwii|ww2)", m -> "1939/1945"));

  private WrittenDate() {}

  /**
   * Reads a date.
   *
   * @throws NotAccepted when it is none, or may be two: both orders of day and month with strokes
   */
  public static EdtfDate read(String text) {
    String written = text.strip();
    try {
      return EdtfDate.parse(written);
    } catch (NotAccepted e) {
      // Not as EDTF writes it: as people do.
    }
    String plain = written.toLowerCase(Locale.ROOT).replaceAll("\\s+", " ");
    for (Form form : FORMS) {
      Matcher m = form.pattern.matcher(plain);
      String edtf = m.matches() ? form.reading.of(m) : null;
      if (edtf != null) {
        try {
          return EdtfDate.parse(edtf);
        } catch (NotAccepted e) {
          throw new NotAccepted("must be " + ACCEPTED, text, e);
        }
      }
    }
    throw new NotAccepted("must be " + ACCEPTED, text);
  }

  private static Form form(String pattern, Reading reading) {
    return new Form(Pattern.compile(pattern), reading);
  }

  private static int year(MatchResult m, int group) {
    return Integer.parseInt(m.group(group));
  }

  private static @Nullable String partOfDecade(MatchResult m) {
    int[] part = PARTS_OF_A_DECADE.get(m.group(1));
    return part == null ? null : m.group(2) + part[0] + "/" + m.group(2) + part[1];
  }

  private static String century(MatchResult m) {
    return (year(m, 1) - 1) + "XX";
  }

  // 1895-97: what is no month ends a span of the same century.
  private static @Nullable String shortEnd(MatchResult m) {
    int from = year(m, 1);
    int to = from / HUNDRED * HUNDRED + year(m, 2);
    return to > from ? from + "/" + to : null;
  }

  private static @Nullable String monthOrSeason(MatchResult m) {
    String season = SEASONS.get(m.group(1));
    Integer month = month(m.group(1));
    return season != null
        ? m.group(2) + "-" + season
        : month == null ? null : m.group(2) + "-" + two(month);
  }

  private static @Nullable String dayOrMonthFirst(MatchResult m) {
    int first = number(m, 1);
    int second = number(m, 2);
    if (first <= MONTHS && second <= MONTHS && first != second) {
      throw new NotAccepted(
          "must say which is the month: "
              + day(m.group(3), first, m.group(2))
              + " or "
              + day(m.group(3), second, m.group(1)),
          m.group());
    }
    return first > MONTHS
        ? day(m.group(3), second, m.group(1))
        : day(m.group(3), first, m.group(2));
  }

  private static int number(MatchResult m, int group) {
    return Integer.parseInt(m.group(group));
  }

  private static @Nullable String day(String year, @Nullable Integer month, String day) {
    return month == null ? null : year + "-" + two(month) + "-" + two(Integer.parseInt(day));
  }

  private static String two(int number) {
    return number < TENS ? "0" + number : "" + number;
  }

  private static @Nullable Integer month(String name) {
    return MONTH_NAMES.get(folded(name));
  }

  private static Map<String, Integer> months() {
    Map<String, Integer> names = new HashMap<>();
    for (Locale locale : List.of(Locale.ENGLISH, Locale.GERMAN, Locale.FRENCH)) {
      for (Month month : Month.values()) {
        for (TextStyle style : List.of(TextStyle.FULL, TextStyle.SHORT)) {
          names.put(folded(month.getDisplayName(style, locale)), month.getValue());
        }
      }
    }
    names.put("sept", Month.SEPTEMBER.getValue());
    return names;
  }

  // As it is written without accents and full stops.
  private static String folded(String name) {
    return Normalizer.normalize(name.toLowerCase(Locale.ROOT), Normalizer.Form.NFD)
        .replaceAll("[\\p{M}.]", "");
  }
}
