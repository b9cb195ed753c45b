package snikra.core.mark;

/** Lines as the trade compares them. */
public final class Lettering {
  private Lettering() {}

  /** A line without spaces, points and accents, in capitals. */
  public static String plain(String line) {
    return new String(Glyph.letters(line));
  }
}
