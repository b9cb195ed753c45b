package snikra.core.mark;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.random.RandomGenerator;

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

  /**
   * What is this much less likely than chance is left out: chance has its say in any mark, and with
   * ten thousand times the weight.
   */
  static final double NEGLIGIBLE = 1e-7;

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
    Arrays.fill(row, rest);
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
   * @param emission P(glyph | letter struck) by letter and glyph, the first glyph at 1
   * @param isStretch by glyph, whether it stands for any number of letters
   * @param imagined P(glyph | nothing struck there) by glyph, the first at 1
   * @param negligible by number of glyphs, what of them comes to nothing beside chance, whatever
   *     the others are
   * @param anyStretch whether any stretch is left in it
   * @param chance P(line) of an unlisted maker
   */
  record Read(
      List<Glyph> glyphs,
      double[][] emission,
      boolean[] isStretch,
      double[] imagined,
      double[] negligible,
      boolean anyStretch,
      double chance) {
    int length() {
      return isStretch.length;
    }
  }

  Read read(String line) {
    List<Glyph> glyphs = Glyph.read(line);
    int n = glyphs.size();
    double[][] emission = new double[ALPHABET][n + 1];
    boolean[] isStretch = new boolean[n];
    double[] imagined = new double[n + 1];
    double[] rest = new double[n + 1];
    rest[n] = 1;
    double chance = 1;
    for (int i = n - 1; i >= 0; i--) {
      Glyph glyph = glyphs.get(i);
      double most = 0;
      for (int struck = 0; struck < ALPHABET; struck++) {
        emission[struck][i + 1] = emission(glyph, struck);
        most = Math.max(most, emission[struck][i + 1]);
      }
      isStretch[i] = glyph.legibility() == Glyph.Legibility.RUN;
      imagined[i + 1] = IMAGINED * chance(glyph);
      rest[i] = rest[i + 1] * most;
      chance *= chance(glyph);
    }
    double least = NEGLIGIBLE * chance / (n + 1);
    double[] negligible = Arrays.stream(rest).map(r -> least / r).toArray();
    boolean anyStretch = glyphs.stream().anyMatch(g -> g.legibility() == Glyph.Legibility.RUN);
    return new Read(glyphs, emission, isStretch, imagined, negligible, anyStretch, chance);
  }

  /**
   * P(first glyphs | letters so far), by the number of glyphs. Columns follow one letter struck
   * after the other, so that lines which begin alike share theirs. Only those from {@code first} to
   * {@code last} are told; the others are negligible.
   */
  static final class Column {
    private final double[] p;
    private int first;
    private int last;

    Column(Read read) {
      p = new double[read.length() + 1];
    }

    /** Before the first letter. */
    void begin(Read read) {
      first = 0;
      last = 0;
      p[0] = 1;
      for (int i = 0; i < read.length(); i++) {
        p[i + 1] = read.isStretch[i] ? p[i] : p[i] * read.imagined[i + 1];
        last = p[i + 1] >= read.negligible[i + 1] ? i + 1 : last;
      }
    }

    /** With one letter more than another column. */
    void strike(Read read, int letter, Column before) {
      first = before.first;
      last =
          read.anyStretch ? overStretches(read, letter, before) : overGlyphs(read, letter, before);
      while (first <= last && p[first] < read.negligible[first]) {
        first++;
      }
      while (last >= first && p[last] < read.negligible[last]) {
        last--;
      }
    }

    // What is added last is what the next sum waits for.
    private int overGlyphs(Read read, int letter, Column before) {
      double[] emission = read.emission[letter];
      double[] imagined = read.imagined;
      double[] q = before.p;
      double shorter = 0;
      double same = 0;
      int i = before.first;
      for (; i <= before.last; i++) {
        double longer = q[i];
        same = longer * OVERLOOKED + shorter * emission[i] + same * imagined[i];
        p[i] = same;
        shorter = longer;
      }
      for (; i < p.length; i++) {
        same = shorter * emission[i] + same * imagined[i];
        p[i] = same;
        shorter = 0;
        if (same < read.negligible[i]) {
          return i;
        }
      }
      return p.length - 1;
    }

    // A stretch may swallow any number of letters at no cost.
    private int overStretches(Read read, int letter, Column before) {
      double[] emission = read.emission[letter];
      double shorter = 0;
      double same = 0;
      for (int i = before.first; i < p.length; i++) {
        double longer = i <= before.last ? before.p[i] : 0;
        same =
            i > 0 && read.isStretch[i - 1]
                ? Math.max(longer, same)
                : longer * OVERLOOKED + shorter * emission[i] + same * read.imagined[i];
        p[i] = same;
        shorter = longer;
        if (i > before.last && same < read.negligible[i]) {
          return i;
        }
      }
      return p.length - 1;
    }

    /** Whether whatever may follow comes to nothing beside chance. */
    boolean isEnded() {
      return last < first;
    }

    /** P(all glyphs | letters so far); 0 where negligible. */
    double whole() {
      return last == p.length - 1 ? p[last] : 0;
    }
  }

  /** A letter as it is read by one who is sure of it. */
  char readAs(char struck, RandomGenerator random) {
    return drawn(sure[index(struck)], random);
  }

  /** A letter as letters are met in marks. */
  char anyLetter(RandomGenerator random) {
    return drawn(frequency, random);
  }

  private static char drawn(double[] p, RandomGenerator random) {
    double left = random.nextDouble();
    int i = 0;
    while (i < LETTERS.length() - 1 && left >= p[i]) {
      left -= p[i++];
    }
    return LETTERS.charAt(i);
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
