package snikra.core.mark;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.function.IntConsumer;
import java.util.random.RandomGenerator;
import snikra.core.reference.Lettering;

/**
 * P(line as read | line as struck), summed over all alignments.
 *
 * <p>A letter is the one that was struck, else one that is taken for it, else any; a lost letter
 * says only that a letter is there; a stretch stands for any number of letters. Now and then a
 * letter is overlooked or imagined.
 */
final class Channel {
  /** How many letters are told apart. */
  static final int ALPHABET = 40;

  /**
   * What is this much less likely than chance is left out: chance has its say in any mark, and with
   * ten thousand times the weight.
   */
  static final double NEGLIGIBLE = 1e-7;

  private static final String LETTERS = "ABCDEFGHIJKLMNOPQRSTUVWXYZ&0123456789";

  /** Of what is no letter on file, against all that are. */
  private static final double SELDOM = 1e-4;

  private final LetterRates rates;
  private final double[][] sure = new double[ALPHABET][ALPHABET];
  private final double[][] doubtful = new double[ALPHABET][ALPHABET];
  private final double[] frequency = new double[ALPHABET];

  Channel(Lettering lettering, LetterRates rates) {
    this.rates = rates;
    Map<Character, String> confusions = lettering.confusions();
    double total = lettering.often().values().stream().mapToDouble(often -> often).sum();
    for (int i = 0; i < ALPHABET; i++) {
      double often =
          i < LETTERS.length() ? lettering.often().getOrDefault(LETTERS.charAt(i), 0.0) : 0;
      frequency[i] = often > 0 ? often / total : SELDOM;
      String confused = i < LETTERS.length() ? confusions.getOrDefault(LETTERS.charAt(i), "") : "";
      fill(sure[i], i, rates.sureRight(), rates.sureConfused(), confused);
      fill(doubtful[i], i, rates.doubtfulRight(), rates.doubtfulConfused(), confused);
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

  /** All letters that are told apart by name. */
  static char[] letters() {
    return LETTERS.toCharArray();
  }

  /** How often a letter is met in marks. */
  double frequency(char letter) {
    return frequency[index(letter)];
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
   * @param emission P(glyph | letter struck) by glyph and letter, the first glyph at 1
   * @param isStretch by glyph, whether it stands for any number of letters
   * @param imagined P(glyph | nothing struck there) by glyph, the first at 1
   * @param overlooked P(a letter struck is not seen)
   * @param chance P(line) of an unlisted maker
   */
  record Read(
      List<Glyph> glyphs,
      double[][] emission,
      boolean[] isStretch,
      double[] imagined,
      double overlooked,
      double chance) {
    int length() {
      return isStretch.length;
    }

    boolean isLost(int glyph) {
      return glyphs.get(glyph).legibility() == Glyph.Legibility.LOST;
    }
  }

  Read read(String line) {
    List<Glyph> glyphs = Glyph.read(line);
    int n = glyphs.size();
    double[][] emission = new double[n + 1][ALPHABET];
    boolean[] isStretch = new boolean[n];
    double[] imagined = new double[n + 1];
    double chance = 1;
    for (int i = 0; i < n; i++) {
      Glyph glyph = glyphs.get(i);
      for (int struck = 0; struck < ALPHABET; struck++) {
        emission[i + 1][struck] = emission(glyph, struck);
      }
      isStretch[i] = glyph.legibility() == Glyph.Legibility.RUN;
      imagined[i + 1] = rates.imagined() * chance(glyph);
      chance *= chance(glyph);
    }
    return new Read(glyphs, emission, isStretch, imagined, rates.overlooked(), chance);
  }

  /**
   * P(first glyphs | letters so far) for many lines side by side, by the number of glyphs and by
   * line. Columns follow one another letter by letter. The loops are plain sums over rows: nothing
   * in them depends on what was found before, so that they run at the speed of the memory.
   */
  static final class Column {
    private final double[][] p;

    /** P(glyph | letter struck) by line, to work in. */
    private final double[] told;

    Column(Read read, int lines) {
      p = new double[read.length() + 1][lines];
      told = new double[lines];
    }

    /** Before the first letter. */
    void begin(Read read) {
      double sofar = 1;
      Arrays.fill(p[0], sofar);
      for (int i = 1; i < p.length; i++) {
        sofar *= read.isStretch[i - 1] ? 1 : read.imagined[i];
        Arrays.fill(p[i], sofar);
      }
    }

    /** With one letter more than another column in the first lines, each its own. */
    void strike(Read read, byte[] letters, int lines, Column before) {
      strike(read, lines, before, glyph -> look(read.emission[glyph], letters, lines));
    }

    /** With the same letter more than another column in the first lines. */
    void strike(Read read, int letter, int lines, Column before) {
      strike(
          read, lines, before, glyph -> Arrays.fill(told, 0, lines, read.emission[glyph][letter]));
    }

    private void look(double[] emission, byte[] letters, int lines) {
      for (int w = 0; w < lines; w++) {
        told[w] = emission[letters[w]];
      }
    }

    private void strike(Read read, int lines, Column before, IntConsumer tell) {
      double overlooked = read.overlooked;
      for (int w = 0; w < lines; w++) {
        p[0][w] = before.p[0][w] * overlooked;
      }
      for (int i = 1; i < p.length; i++) {
        if (read.isStretch[i - 1]) {
          swallow(p[i], before.p[i], p[i - 1], lines);
        } else if (read.isLost(i - 1)) {
          add(p[i], before.p[i], overlooked, before.p[i - 1], p[i - 1], read.imagined[i], lines);
        } else {
          tell.accept(i);
          add(
              p[i],
              before.p[i],
              overlooked,
              before.p[i - 1],
              told,
              p[i - 1],
              read.imagined[i],
              lines);
        }
      }
    }

    // A stretch may swallow any number of letters at no cost.
    private static void swallow(double[] to, double[] longer, double[] same, int lines) {
      for (int w = 0; w < lines; w++) {
        to[w] = Math.max(longer[w], same[w]);
      }
    }

    // Of a lost letter any letter may be left.
    private static void add(
        double[] to,
        double[] longer,
        double overlooked,
        double[] shorter,
        double[] same,
        double imagined,
        int lines) {
      for (int w = 0; w < lines; w++) {
        to[w] = longer[w] * overlooked + shorter[w] + same[w] * imagined;
      }
    }

    private static void add(
        double[] to,
        double[] longer,
        double overlooked,
        double[] shorter,
        double[] told,
        double[] same,
        double imagined,
        int lines) {
      for (int w = 0; w < lines; w++) {
        to[w] = longer[w] * overlooked + shorter[w] * told[w] + same[w] * imagined;
      }
    }

    /**
     * Takes up the first lines of another column where that tells more: it is the one or the other.
     */
    void join(Column other, int lines) {
      for (int i = 0; i < p.length; i++) {
        swallow(p[i], p[i], other.p[i], lines);
      }
    }

    /** What is so in the first line is so in all of these. */
    void spread(int lines) {
      for (double[] row : p) {
        Arrays.fill(row, 0, lines, row[0]);
      }
    }

    /** The same as another column in the first lines. */
    void copy(Column other, int lines) {
      for (int i = 0; i < p.length; i++) {
        System.arraycopy(other.p[i], 0, p[i], 0, lines);
      }
    }

    /** P(all glyphs | letters so far) of a line. */
    double whole(int line) {
      return p[p.length - 1][line];
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
      case SURE -> chance(glyph.letter(), rates.sureRight());
      case DOUBTFUL -> chance(glyph.letter(), rates.doubtfulRight());
      case LOST, RUN -> 1;
    };
  }

  private double chance(char letter, double right) {
    return right * frequency[index(letter)] + (1 - right) / ALPHABET;
  }

  /** How often a letter is read where none was struck. */
  double imagined() {
    return rates.imagined();
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
