package snikra.core.mark;

import java.util.ArrayList;
import java.util.List;

/** The best alignment of one line as read with one line as struck, letter by letter. */
final class Alignment {
  /** Of two alignments equally good, the one that leaves less to a stretch. */
  private static final double LOST_IN_RUN = -1e-6;

  private Alignment() {}

  /** One entry for every letter of {@code line}, spaces and points included as {@code BARE}. */
  static List<MarkLetter> of(Channel channel, List<Glyph> read, String line) {
    char[] struck = Glyph.letters(line);
    int[] taken = trace(channel, read, struck);
    List<MarkLetter> letters = new ArrayList<>();
    int j = 0;
    for (String shown : line.codePoints().mapToObj(Character::toString).toList()) {
      char[] folded = Glyph.letters(shown);
      if (folded.length == 0) {
        letters.add(new MarkLetter(shown, MarkLetter.Fit.BARE));
        continue;
      }
      letters.add(new MarkLetter(shown, fit(read, taken[j], struck[j])));
      j += folded.length;
    }
    return letters;
  }

  private static MarkLetter.Fit fit(List<Glyph> read, int glyph, char struck) {
    if (glyph < 0) {
      return MarkLetter.Fit.SUPPLIED;
    }
    Glyph g = read.get(glyph);
    return switch (g.legibility()) {
      case LOST, RUN -> MarkLetter.Fit.SUPPLIED;
      case SURE, DOUBTFUL -> g.letter() == struck ? MarkLetter.Fit.READ : MarkLetter.Fit.AGAINST;
    };
  }

  // Best path by dynamic programming; the answer is the glyph index for each struck letter, or -1.
  static int[] trace(Channel channel, List<Glyph> read, char[] struck) {
    int n = read.size();
    int m = struck.length;
    double[][] best = new double[n + 1][m + 1];
    byte[][] from = new byte[n + 1][m + 1];
    for (int i = 0; i <= n; i++) {
      for (int j = 0; j <= m; j++) {
        if (i + j > 0) {
          choose(channel, read, struck, best, from, i, j);
        }
      }
    }
    int[] taken = new int[m];
    java.util.Arrays.fill(taken, -1);
    for (int i = n, j = m; i + j > 0; ) {
      byte step = from[i][j];
      if (step != UP) {
        j--;
        taken[j] = step == LEFT ? -1 : i - 1;
      }
      if (step == UP || step == DIAGONAL) {
        i--;
      }
    }
    return taken;
  }

  private static final byte DIAGONAL = 0;
  private static final byte UP = 1;
  private static final byte LEFT = 2;

  private static void choose(
      Channel channel,
      List<Glyph> read,
      char[] struck,
      double[][] best,
      byte[][] from,
      int i,
      int j) {
    double top = Double.NEGATIVE_INFINITY;
    double gap = Math.log(channel.imagined());
    boolean run = i > 0 && read.get(i - 1).legibility() == Glyph.Legibility.RUN;
    // In the order DIAGONAL, UP, LEFT, and last a letter inside a lost stretch.
    double[] candidates = {
      i > 0 && j > 0 && !run
          ? best[i - 1][j - 1]
              + Math.log(channel.emission(read.get(i - 1), Channel.index(struck[j - 1])))
          : top,
      i > 0 ? best[i - 1][j] + (run ? 0 : gap) : top,
      j > 0 ? best[i][j - 1] + gap : top,
      j > 0 && run ? best[i][j - 1] + LOST_IN_RUN : top
    };
    for (byte step = 0; step < candidates.length; step++) {
      if (candidates[step] > top) {
        top = candidates[step];
        from[i][j] = step;
      }
    }
    best[i][j] = top;
  }
}
