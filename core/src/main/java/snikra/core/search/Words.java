package snikra.core.search;

import java.text.Normalizer;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Words as they are compared: without capitals, accents and what stands between. */
final class Words {
  private static final Pattern MARKS = Pattern.compile("\\p{M}+");

  // An underscore is a letter that could not be read, a star a stretch of unknown length.
  private static final Pattern WORD = Pattern.compile("[\\p{L}\\p{N}_*]+(?:\\?[\\p{L}\\p{N}_*]*)*");

  private Words() {}

  static String folded(String text) {
    String apart = Normalizer.normalize(text, Normalizer.Form.NFD);
    return MARKS.matcher(apart).replaceAll("").toLowerCase(Locale.ROOT).replace("ß", "ss");
  }

  static List<String> of(String text) {
    List<String> words = new ArrayList<>();
    Matcher word = WORD.matcher(folded(text));
    while (word.find()) {
      words.add(word.group().replace("?", ""));
    }
    return words;
  }

  static boolean isWorn(String word) {
    return word.indexOf('_') >= 0 || word.indexOf('*') >= 0;
  }

  /** Whether a worn word may begin with this one, letter by letter. */
  static boolean mayBegin(String worn, String begin) {
    int letters = 0;
    for (int i = 0; i < begin.length(); i++) {
      if (i == worn.length()) {
        return false;
      }
      char read = worn.charAt(i);
      if (read == '*') {
        return letters > 1;
      }
      if (read != '_' && read != begin.charAt(i)) {
        return false;
      }
      letters += read == '_' ? 0 : 1;
    }
    return letters > 1;
  }
}
