package snikra.core.mark;

import java.text.Normalizer;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;

/** One place in a line as read: a letter with its legibility, a lost letter or a lost stretch. */
record Glyph(char letter, Legibility legibility) {

  private static final Pattern ACCENT = Pattern.compile("\\p{M}");

  private static final String[][] LIGATURES = {
    {"\u00df", "SS"}, {"\u00c6", "AE"}, {"\u00e6", "AE"}, {"\u0152", "OE"}, {"\u0153", "OE"}
  };

  private static final String[][] UMLAUTS = {{"\u00c4", "AE"}, {"\u00d6", "OE"}, {"\u00dc", "UE"}};

  enum Legibility {
    SURE,
    DOUBTFUL,
    LOST,
    RUN
  }

  /**
   * Reads the notation of {@link snikra.core.specimen.SeenFace}: {@code _} lost letter, {@code ?}
   * after a doubtful one, {@code *} a stretch. Spaces and points are not evidence and are dropped.
   */
  static List<Glyph> read(String line) {
    List<Glyph> glyphs = new ArrayList<>();
    for (char c : fold(line).toCharArray()) {
      if (c == '?' && !glyphs.isEmpty()) {
        Glyph last = glyphs.remove(glyphs.size() - 1);
        boolean letter = last.legibility == Legibility.SURE;
        glyphs.add(letter ? new Glyph(last.letter, Legibility.DOUBTFUL) : last);
      } else if (c == '_') {
        glyphs.add(new Glyph('_', Legibility.LOST));
      } else if (c == '*') {
        glyphs.add(new Glyph('*', Legibility.RUN));
      } else if (isLetter(c)) {
        glyphs.add(new Glyph(c, Legibility.SURE));
      }
    }
    return glyphs;
  }

  /** The letters of a mark as it was struck, without spaces, points and accents. */
  static char[] letters(String line) {
    StringBuilder kept = new StringBuilder();
    fold(line).chars().filter(c -> isLetter((char) c)).forEach(c -> kept.append((char) c));
    return kept.toString().toCharArray();
  }

  static boolean isLetter(char c) {
    return Character.isLetterOrDigit(c) || c == '&';
  }

  private static boolean isAscii(String line) {
    for (int i = 0; i < line.length(); i++) {
      if (line.charAt(i) > 127) {
        return false;
      }
    }
    return true;
  }

  // Accents wear off first, so they are no evidence either way.
  static String fold(String line) {
    if (isAscii(line)) {
      return line.toUpperCase(Locale.ROOT);
    }
    String apart = line;
    for (String[] ligature : LIGATURES) {
      apart = apart.replace(ligature[0], ligature[1]);
    }
    apart = Normalizer.normalize(apart, Normalizer.Form.NFD);
    return ACCENT.matcher(apart).replaceAll("").toUpperCase(Locale.ROOT);
  }

  /** With umlauts in two letters, as they are often struck. */
  static String umlautsApart(String line) {
    String apart = line.toUpperCase(Locale.ROOT);
    for (String[] umlaut : UMLAUTS) {
      apart = apart.replace(umlaut[0], umlaut[1]);
    }
    return apart.equals(line.toUpperCase(Locale.ROOT)) ? line : apart;
  }
}
