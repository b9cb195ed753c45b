package snikra.core.provenance;

import java.time.Month;
import java.time.format.TextStyle;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** A date with its uncertainty as one would say it: by 1936, about 1936, the 1930s, May 1936. */
public final class DateWords {
  private static final List<String> SEASONS = List.of("spring", "summer", "autumn", "winter");
  private static final int FIRST_SEASON = 21;

  private static final Pattern ONE =
      Pattern.compile("(\\d{2})(\\d|X)(\\d|X)(?:-(\\d{2}|XX))?(?:-(\\d{2}|XX))?([?~%])?");

  private DateWords() {}

  /** The date in words, to stand within a sentence. */
  public static String of(EdtfDate date) {
    String written = date.written();
    boolean isOneOf = written.startsWith("[");
    if (isOneOf || written.startsWith("{")) {
      String members = written.substring(1, written.length() - 1);
      return Arrays.stream(members.split(",", -1))
          .map(m -> between(m.strip().split("\\.\\.", -1)))
          .collect(Collectors.joining(isOneOf ? " or " : " and "));
    }
    return between(written.split("/", -1));
  }

  private static String between(String[] ends) {
    if (ends.length == 1) {
      return one(ends[0]);
    }
    if (isOpen(ends[0])) {
      return "by " + one(ends[1]);
    }
    return isOpen(ends[1])
        ? "from " + one(ends[0]) + " on"
        : "from " + one(ends[0]) + " to " + one(ends[1]);
  }

  private static boolean isOpen(String end) {
    return end.isEmpty() || end.equals("..");
  }

  private static String one(String text) {
    Matcher m = ONE.matcher(text);
    if (!m.matches()) {
      return text;
    }
    String give = m.group(6) == null ? "" : m.group(6);
    String how =
        switch (give) {
          case "?" -> "perhaps ";
          case "~" -> "about ";
          case "%" -> "perhaps about ";
          default -> "";
        };
    return how + day(m.group(5)) + month(m.group(4)) + year(m);
  }

  private static String year(Matcher m) {
    String of = m.group(1);
    if (m.group(2).equals("X")) {
      return "the " + of + "00s";
    }
    return m.group(3).equals("X") ? "the " + of + m.group(2) + "0s" : of + m.group(2) + m.group(3);
  }

  private static String month(String month) {
    if (month == null || month.equals("XX")) {
      return "";
    }
    int number = Integer.parseInt(month);
    return (number >= FIRST_SEASON
            ? SEASONS.get(number - FIRST_SEASON)
            : Month.of(number).getDisplayName(TextStyle.FULL, Locale.ENGLISH))
        + " ";
  }

  private static String day(String day) {
    return day == null || day.equals("XX") ? "" : Integer.parseInt(day) + " ";
  }
}
