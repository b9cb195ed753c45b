package snikra.core.mark;

import java.util.List;
import java.util.Map;

/**
 * P(line as read | line as struck), summed over all alignments.
 *
 * <p>A sure letter is right with 0.97, a doubtful one with 0.75, else one it is confused with, else
 * any; a lost letter says only that a letter is there; a stretch stands for any number of letters.
 * Now and then a letter is overlooked or imagined.
 */
final class Channel {
  private static final int ALPHABET = 40;
  private static final double SURE_RIGHT = 0.97;
  private static final double SURE_CONFUSED = 0.024;
  private static final double DOUBTFUL_RIGHT = 0.75;
  private static final double DOUBTFUL_CONFUSED = 0.17;
  private static final double OVERLOOKED = 0.004;
  private static final double IMAGINED = 0.002;

  private static final String LETTERS = "ABCDEFGHIJKLMNOPQRSTUVWXYZ&0123456789";

  /**
   * How often a letter is met in cutlers' marks, in per mille, in the order of {@link #LETTERS}.
   */
  private static final int[] FREQUENCY = {
    75, 20, 35, 38, 110, 16, 24, 34, 62, 4, 14, 52, 26, 66, 66, 20, 3, 72, 64, 62, 30, 12, 14, 4,
    14, 6, 14, 4, 6, 5, 4, 4, 4, 4, 4, 5, 5
  };

  private final double[][] sure = new double[ALPHABET][ALPHABET];
  private final double[][] doubtful = new double[ALPHABET][ALPHABET];
  private final double[] frequency = new double[ALPHABET];

  Channel(Map<Character, String> confusions) {
    double total = 0;
    for (int f : FREQUENCY) {
      total += f;
    }
    for (int i = 0; i < ALPHABET; i++) {
      frequency[i] = i < FREQUENCY.length ? FREQUENCY[i] / total : 1e-4;
      String confused = i < LETTERS.length() ? confusions.getOrDefault(LETTERS.charAt(i), "") : "";
      fill(sure[i], i, SURE_RIGHT, SURE_CONFUSED, confused);
      fill(doubtful[i], i, DOUBTFUL_RIGHT, DOUBTFUL_CONFUSED, confused);
    }
  }

  private static void fill(double[] row, int right, double pRight, double pConfused, String set) {
    double rest = (1 - pRight - (set.isEmpty() ? 0 : pConfused)) / (ALPHABET - 1);
    java.util.Arrays.fill(row, rest);
    for (int i = 0; i < set.length(); i++) {
      row[index(set.charAt(i))] += pConfused / set.length();
    }
    row[right] = pRight;
  }

  /** Place in the alphabet; what is not Latin, a figure or &amp; shares the last place. */
  static int index(char c) {
    int i = LETTERS.indexOf(c);
    return i < 0 ? ALPHABET - 1 : i;
  }

  double emission(Glyph glyph, int struck) {
    return switch (glyph.legibility()) {
      case SURE -> sure[struck][index(glyph.letter())];
      case DOUBTFUL -> doubtful[struck][index(glyph.letter())];
      case LOST, RUN -> 1;
    };
  }

  /**
   * A line as read, ready to be held against many.
   *
   * @param emission P(glyph | letter struck) by glyph and letter; null for a lost stretch
   * @param imagined P(glyph | nothing struck there) by glyph
   * @param chance P(line) of an unlisted maker
   */
  record Read(List<Glyph> glyphs, double[][] emission, double[] imagined, double chance) {}

  Read read(String line) {
    List<Glyph> glyphs = Glyph.read(line);
    double[][] emission = new double[glyphs.size()][];
    double[] imagined = new double[glyphs.size()];
    double chance = 1;
    for (int i = 0; i < emission.length; i++) {
      Glyph glyph = glyphs.get(i);
      if (glyph.legibility() != Glyph.Legibility.RUN) {
        emission[i] = new double[ALPHABET];
        for (int struck = 0; struck < ALPHABET; struck++) {
          emission[i][struck] = emission(glyph, struck);
        }
      }
      imagined[i] = IMAGINED * chance(glyph);
      chance *= chance(glyph);
    }
    return new Read(glyphs, emission, imagined, chance);
  }

  /** Room to work in, so that nothing is laid out anew for each line. */
  static final class Room {
    private double[] row = new double[0];
    private double[] next = new double[0];

    private void makeFor(int letters) {
      if (row.length <= letters) {
        row = new double[letters + 1];
        next = new double[letters + 1];
      }
    }
  }

  /** P(read | letters), above 0 for any pair of lines. */
  static double probability(Read read, int[] struck, Room room) {
    int m = struck.length;
    room.makeFor(m);
    double[] row = room.row;
    double[] next = room.next;
    row[0] = 1;
    for (int j = 0; j < m; j++) {
      row[j + 1] = row[j] * OVERLOOKED;
    }
    for (int i = 0; i < read.imagined.length; i++) {
      if (read.emission[i] == null) {
        stretch(row, m);
        continue;
      }
      double[] emission = read.emission[i];
      double imagined = read.imagined[i];
      next[0] = row[0] * imagined;
      for (int j = 0; j < m; j++) {
        next[j + 1] = row[j] * emission[struck[j]] + row[j + 1] * imagined + next[j] * OVERLOOKED;
      }
      double[] above = row;
      row = next;
      next = above;
    }
    return row[m];
  }

  // A stretch may swallow any number of letters at no cost.
  private static void stretch(double[] row, int letters) {
    double best = 0;
    for (int j = 0; j <= letters; j++) {
      best = Math.max(best, row[j]);
      row[j] = best;
    }
  }

  /** Probability of a glyph when the letter struck is not known. */
  private double chance(Glyph glyph) {
    return switch (glyph.legibility()) {
      case SURE -> SURE_RIGHT * frequency[index(glyph.letter())] + (1 - SURE_RIGHT) / ALPHABET;
      case DOUBTFUL ->
          DOUBTFUL_RIGHT * frequency[index(glyph.letter())] + (1 - DOUBTFUL_RIGHT) / ALPHABET;
      case LOST, RUN -> 1;
    };
  }

  static int[] indices(String line) {
    char[] letters = Glyph.letters(line);
    int[] out = new int[letters.length];
    for (int i = 0; i < letters.length; i++) {
      out[i] = index(letters[i]);
    }
    return out;
  }
}
