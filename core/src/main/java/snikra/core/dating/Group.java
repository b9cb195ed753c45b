package snikra.core.dating;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Hypotheses that share a region and the same standing to every clue, with the curves of the parts.
 * For each part three curves by year: all of it of the knife's year, replaced, and older stock.
 */
final class Group {
  /** Who made it, as far as the clues differ. */
  enum Kind {
    /** On the shelf: its mark accounts for what is struck with the mark. */
    LISTED,
    UNLISTED,
    /** An unlisted hand under a mark that says nothing. */
    UNTRUSTED
  }

  /** Prior of a later knife in the old style, relative to one as made. */
  static final double OLD_STYLE_PRIOR = 0.10;

  /** Prior of older parts used up, far from and near a change of owner, model or closing. */
  static final double[] OLDER_PRIOR = {0.02, 0.15};

  static final double UNTRUSTED_PRIOR = 0.01;

  /** How many years older stock may be. */
  private static final int OLDER_BY = 8;

  /** Below this a product of likelihoods is treated as this: it can no longer decide anything. */
  private static final double LEAST = 1e-280;

  final int region;
  final Kind kind;

  /** Prior mass by nearness to a change (0 far, 1 near) and year. */
  final double[][] mass;

  /** What the number says of a part that is original, and of one replaced; 1 where silent. */
  final double[] numberOriginal;

  final double[] numberReplaced;

  private final int years;
  private final double[] replacedPrior;
  private final PartCurves[] parts;

  /**
   * The curves of one part, by style and year.
   *
   * @param logOriginal log likelihood of the part being of the knife's year
   * @param replaced weight of replaced against original, its prior included
   * @param older weight of older stock against original, its prior left out
   */
  record PartCurves(double[][] logOriginal, double[][] replaced, double[][] older) {}

  Group(int region, Kind kind, int parts, int years, double[] replacedPrior) {
    this.region = region;
    this.kind = kind;
    this.years = years;
    this.replacedPrior = replacedPrior;
    this.parts = new PartCurves[parts];
    mass = new double[2][years];
    numberOriginal = ones(parts);
    numberReplaced = ones(parts);
  }

  private static double[] ones(int n) {
    double[] row = new double[n];
    java.util.Arrays.fill(row, 1);
    return row;
  }

  boolean hears(Look look) {
    return kind == Kind.UNLISTED || !look.markBorne();
  }

  /** Sets the curves of one part, null for a part that says nothing, and gives back the old. */
  @Nullable PartCurves swap(int part, @Nullable PartCurves curves) {
    PartCurves before = parts[part];
    parts[part] = curves;
    return before;
  }

  /** Works out the curves of one part from what was seen on it; null when nothing was. */
  @Nullable PartCurves curves(int part, List<Look> looks) {
    if (looks.stream().noneMatch(this::hears)) {
      return null;
    }
    PartCurves curves =
        new PartCurves(new double[2][years], new double[2][years], new double[2][years]);
    for (int style = 0; style < 2; style++) {
      fill(curves, part, style, own(style, looks));
    }
    return curves;
  }

  private double[] own(int style, List<Look> looks) {
    double[] own = new double[years];
    java.util.Arrays.fill(own, 1);
    for (Look look : looks) {
      if (hears(look)) {
        for (int y = 0; y < years; y++) {
          own[y] *= look.likelihood(region, style, y);
        }
      }
    }
    return own;
  }

  private void fill(PartCurves curves, int part, int style, double[] own) {
    double sum = 0;
    for (int y = years - 1; y >= 0; y--) {
      own[y] = Math.max(own[y], LEAST);
      sum += own[y];
      double original = own[y] * numberOriginal[part];
      double meanOfLater = numberReplaced[part] * sum / (years - y);
      curves.replaced[style][y] = replacedPrior[part] * meanOfLater / original;
      curves.logOriginal[style][y] = Math.log(original);
    }
    for (int y = 0; y < years; y++) {
      double best = 0;
      for (int z = Math.max(0, y - OLDER_BY); z < y; z++) {
        best = Math.max(best, own[z]);
      }
      curves.older[style][y] = replacedPrior[part] > 0 ? best / own[y] : 0;
    }
  }

  /** Log of the likelihood with all parts of the knife's year. */
  double logAsMade(int style, int y) {
    double log = 0;
    for (PartCurves part : parts) {
      log += part == null ? 0 : part.logOriginal[style][y];
    }
    return log;
  }

  /** Weight of all states of one style together, relative to all parts of the knife's year. */
  double states(int style, int near, int y) {
    double one = 0;
    double two = 0;
    for (PartCurves part : parts) {
      if (part != null) {
        double a = part.replaced[style][y] + OLDER_PRIOR[near] * part.older[style][y];
        two += one * a;
        one += a;
      }
    }
    boolean alreadyTwo = style == ClueTables.OLD_STYLE && kind == Kind.UNTRUSTED;
    boolean alreadyOne = style == ClueTables.OLD_STYLE || kind == Kind.UNTRUSTED;
    return alreadyTwo ? 1 : alreadyOne ? 1 + one : 1 + one + two;
  }

  /** Prior of the style and of the trust in the mark. */
  double prior(int style) {
    return (style == ClueTables.OLD_STYLE ? OLD_STYLE_PRIOR : 1)
        * (kind == Kind.UNTRUSTED ? UNTRUSTED_PRIOR : 1);
  }

  boolean speaks(int part) {
    return parts[part] != null;
  }

  double replaced(int part, int y) {
    return parts[part].replaced[ClueTables.AS_MADE][y];
  }

  double older(int part, int near, int y) {
    return OLDER_PRIOR[near] * parts[part].older[ClueTables.AS_MADE][y];
  }

  /** Likelihood of a part alone in the style of its day. */
  double original(int part, int y) {
    return Math.exp(parts[part].logOriginal[ClueTables.AS_MADE][y]);
  }
}
