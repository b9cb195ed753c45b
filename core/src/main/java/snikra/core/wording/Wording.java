package snikra.core.wording;

import java.util.List;
import java.util.Locale;

/** How labels go into sentences. */
public final class Wording {
  private static final List<String> IN_WORDS =
      List.of(
          "none", "one", "two", "three", "four", "five", "six", "seven", "eight", "nine", "ten",
          "eleven", "twelve");

  private Wording() {}

  /** A label within a sentence; what goes on in capitals is a name and stays as it is. */
  public static String lowerFirst(String label) {
    boolean isName = label.length() > 1 && Character.isUpperCase(label.charAt(1));
    return label.isEmpty() || isName
        ? label
        : label.substring(0, 1).toLowerCase(Locale.ROOT) + label.substring(1);
  }

  /** Several in a row, with a word before the last of them. */
  public static String joined(List<String> parts, String last) {
    int n = parts.size();
    return n == 1
        ? parts.get(0)
        : String.join(", ", parts.subList(0, n - 1)) + last + parts.get(n - 1);
  }

  /** Words that begin a sentence. */
  public static String upperFirst(String words) {
    return words.isEmpty()
        ? words
        : words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1);
  }

  /** A probability in whole hundredths, but never none and never all where it is not. */
  public static String chance(double probability) {
    long hundredths = Math.round(100 * probability);
    return hundredths == 0 && probability > 0
        ? "under 1%"
        : hundredths == 100 && probability < 1 ? "over 99%" : hundredths + "%";
  }

  /** A probability in whole hundredths. */
  public static String percent(double probability) {
    return Math.round(100 * probability) + "%";
  }

  /** A probability as people say it: "one chance in ten". */
  public static String oneIn(double probability) {
    long times = Math.round(1 / probability);
    return "one chance in " + (times < IN_WORDS.size() ? IN_WORDS.get((int) times) : "" + times);
  }
}
