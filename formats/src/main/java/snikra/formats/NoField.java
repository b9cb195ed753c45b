package snikra.formats;

import java.math.BigDecimal;
import java.util.List;
import java.util.stream.Collectors;
import snikra.core.examination.Problem;
import tools.jackson.databind.JsonNode;

/**
 * What no field of any format takes: numbers beyond all measure, which not even their schema could
 * be held against, and characters nobody can see, which no paper and no XML can hold.
 */
public final class NoField {
  private static final BigDecimal MOST = new BigDecimal("1e15");

  private NoField() {}

  /** Adds what is wrong in a document, each with its path. */
  static void check(JsonNode at, String path, List<Problem> problems) {
    if (at.isObject()) {
      at.properties()
          .forEach(
              e ->
                  check(
                      e.getValue(),
                      path.isEmpty() ? e.getKey() : path + "." + e.getKey(),
                      problems));
    } else if (at.isArray()) {
      for (int i = 0; i < at.size(); i++) {
        check(at.path(i), path + "[" + i + "]", problems);
      }
    } else if (at.isNumber() && at.decimalValue().abs().compareTo(MOST) > 0) {
      problems.add(
          new Problem(
              path, Accepted.shown(at.toString()), "must be a number of fifteen figures or fewer"));
    } else if (at.isString() && isUnseen(at.stringValue())) {
      problems.add(new Problem(path, Accepted.shown(at.toString()), Accepted.SEEN_TEXT));
    }
  }

  /** Whether a text has characters nobody can see, other than the end of a line and a tab. */
  public static boolean isUnseen(String text) {
    return text.codePoints().anyMatch(NoField::isUnseen);
  }

  /** A text without them: what was kept before they were refused is still set and sent. */
  public static String seen(String text) {
    return isUnseen(text)
        ? text.codePoints()
            .filter(c -> !isUnseen(c))
            .mapToObj(Character::toString)
            .collect(Collectors.joining())
        : text;
  }

  // Half a character is none either.
  private static boolean isUnseen(int c) {
    boolean isControl = c < ' ' && c != '\n' && c != '\t' && c != '\r';
    boolean isHalf = c >= Character.MIN_SURROGATE && c <= Character.MAX_SURROGATE;
    return isControl || isHalf || c == '\ufffe' || c == '\uffff';
  }
}
