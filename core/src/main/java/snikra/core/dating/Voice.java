package snikra.core.dating;

import java.util.Arrays;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What the clues say to all who hear them alike: of one region, with or without what is struck with
 * the mark, and with the same said by the number. For each part three curves by year: all of it of
 * the knife's year, replaced, and older stock.
 */
final class Voice {
  /** Prior of older parts used up, far from and near a change of owner, model or closing. */
  static final double[] OLDER_PRIOR = {0.02, 0.15};

  /** How many years older stock may be. */
  private static final int OLDER_BY = 8;

  /** Its place among the voices. */
  final int index;

  final int region;

  /** Whether clues struck with the mark are heard; a listed mark accounts for them already. */
  final boolean hearsMark;

  /** What the number says of a part that is original, and of one replaced; 1 where silent. */
  final double[] numberOriginal;

  final double[] numberReplaced;

  private final int years;
  private final double[] replacedPrior;
  private final @Nullable PartCurves[] parts;

  /** One over the count of years from each year on. */
  private final double[] shareOfLater;

  /** Room to work in, so that nothing is laid out anew for each look. */
  private final double[] inverse;

  private final double[] greatest;

  /**
   * The curves of one part, by style and year.
   *
   * @param original likelihood of the part being of the knife's year
   * @param replaced weight of replaced against original, its prior included
   * @param older weight of older stock against original, its prior left out
   * @param departs weight of replaced or older against original, by nearness to a change
   */
  record PartCurves(
      double[][] original, double[][] replaced, double[][] older, double[][][] departs) {

    static PartCurves empty(int years) {
      return new PartCurves(
          new double[2][years],
          new double[2][years],
          new double[2][years],
          new double[2][2][years]);
    }
  }

  Voice(int index, int region, boolean hearsMark, int years, double[] replacedPrior) {
    this.index = index;
    this.region = region;
    this.hearsMark = hearsMark;
    this.years = years;
    this.replacedPrior = replacedPrior;
    this.parts = new PartCurves[replacedPrior.length];
    inverse = new double[years];
    greatest = new double[years];
    shareOfLater = new double[years];
    for (int y = 0; y < years; y++) {
      shareOfLater[y] = 1.0 / (years - y);
    }
    numberOriginal = ones(parts.length);
    numberReplaced = ones(parts.length);
  }

  private static double[] ones(int n) {
    double[] row = new double[n];
    Arrays.fill(row, 1);
    return row;
  }

  private boolean hears(Look look) {
    return hearsMark || !look.markBorne();
  }

  /** Takes up what a part says; null when it is silent. */
  void hear(int part, @Nullable PartCurves curves) {
    parts[part] = curves;
  }

  /** Whether all of a region hear the same of a part in these looks. */
  boolean hearsLikeOthers(int part, List<Look> looks) {
    return numberOriginal[part] == 1 && looks.stream().noneMatch(Look::markBorne);
  }

  /** Works out the curves of one part from what was seen on it; null when nothing was. */
  @Nullable PartCurves curves(int part, List<Look> looks) {
    return curves(part, looks, PartCurves.empty(years));
  }

  /** The same, written over curves that are no longer needed. */
  @Nullable PartCurves curves(int part, List<Look> looks, PartCurves over) {
    boolean silent = true;
    for (Look look : looks) {
      if (hears(look)) {
        for (int style = 0; style < 2; style++) {
          multiply(over.original[style], look.likelihood()[region][style], silent);
        }
        silent = false;
      }
    }
    for (int style = 0; style < 2 && !silent; style++) {
      fill(over, part, style);
    }
    return silent ? null : over;
  }

  private void multiply(double[] row, double[] by, boolean first) {
    if (first) {
      System.arraycopy(by, 0, row, 0, years);
      return;
    }
    for (int y = 0; y < years; y++) {
      row[y] *= by[y];
    }
  }

  private void fill(PartCurves curves, int part, int style) {
    double[] own = curves.original[style];
    for (int y = 0; y < years; y++) {
      own[y] = own[y] > Sums.LEAST ? own[y] : Sums.LEAST;
      inverse[y] = 1 / own[y];
    }
    double sum = 0;
    double prior = replacedPrior[part] * numberReplaced[part] / numberOriginal[part];
    double[] replaced = curves.replaced[style];
    for (int y = years - 1; y >= 0; y--) {
      sum += own[y];
      replaced[y] = prior * sum * inverse[y] * shareOfLater[y];
    }
    double[] older = curves.older[style];
    setGreatestBefore(own);
    double ever = replacedPrior[part] > 0 ? 1 : 0;
    for (int y = 0; y < years; y++) {
      older[y] = ever * greatest[y] * inverse[y];
    }
    for (int near = 0; near < 2; near++) {
      double[] departs = curves.departs[near][style];
      double often = OLDER_PRIOR[near];
      for (int y = 0; y < years; y++) {
        departs[y] = replaced[y] + often * older[y];
      }
    }
    double told = numberOriginal[part];
    for (int y = 0; y < years; y++) {
      own[y] *= told;
    }
  }

  // The greatest of the years of older stock, by pairs, fours and eights.
  private void setGreatestBefore(double[] own) {
    greatest[0] = 0;
    System.arraycopy(own, 0, greatest, 1, years - 1);
    for (int reach = 1; reach < OLDER_BY; reach *= 2) {
      for (int y = years - 1; y >= reach; y--) {
        double earlier = greatest[y - reach];
        greatest[y] = earlier > greatest[y] ? earlier : greatest[y];
      }
    }
  }

  /** Sums over all parts. */
  Sums sums() {
    Sums sums = new Sums(years);
    for (PartCurves part : parts) {
      sums = part == null ? sums : sums.and(part);
    }
    return sums;
  }

  /** For each part that says something the sums over all others; null for the silent. */
  @Nullable Sums[] sumsWithoutEach() {
    Sums[] without = new Sums[parts.length];
    Sums before = new Sums(years);
    for (int k = 0; k < parts.length; k++) {
      if (parts[k] != null) {
        without[k] = before;
        before = before.and(parts[k]);
      }
    }
    Sums after = new Sums(years);
    for (int k = parts.length - 1; k >= 0; k--) {
      if (parts[k] != null) {
        without[k] = without[k].and(after);
        after = after.and(parts[k]);
      }
    }
    return without;
  }

  boolean speaks(int part) {
    return parts[part] != null;
  }

  /** Weight of a part replaced against original, by year. */
  double[] replaced(int part) {
    return parts[part].replaced[ClueTables.AS_MADE];
  }

  /** Weight of an older part against one of the knife's year, its prior left out, by year. */
  double[] older(int part) {
    return parts[part].older[ClueTables.AS_MADE];
  }

  /** Likelihood of a part alone in the style of its day. */
  double original(int part, int y) {
    return parts[part].original[ClueTables.AS_MADE][y];
  }
}
