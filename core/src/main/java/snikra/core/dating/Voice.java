package snikra.core.dating;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.function.ObjIntConsumer;
import org.jspecify.annotations.Nullable;

/**
 * What the clues say to all who hear them alike: of one region, with or without what is struck with
 * the mark, and with the same said by the number. For each part three curves by year: all of it of
 * the knife's year, replaced, and older stock.
 */
final class Voice {
  /** Its place among the voices. */
  final int index;

  final int region;

  /** Whether clues struck with the mark are heard; a listed mark accounts for them already. */
  final boolean hearsMark;

  /** What the number says of a part that is original, replaced, or older; 1 where silent. */
  final double[] numberOriginal;

  final double[] numberReplaced;

  final double[] numberOlder;

  /** By feature, what the hand's own record says of what was seen, by year, against anyone's. */
  final Map<String, double[]> own;

  private final Priors priors;
  private final boolean[] met = new boolean[2];
  private final int years;
  private final @Nullable PartCurves[] parts;

  /** One over the count of years from each year on. */
  private final double[] shareOfLater;

  /** Room to work in, so that nothing is laid out anew for each look. */
  private final double[] inverse;

  private final double[] greatest;

  private final double[] spare;

  /**
   * The curves of one part, by style and year.
   *
   * @param original likelihood of the part being of the knife's year
   * @param replaced weight of replaced against original, its prior included
   * @param older weight of older stock against original, its prior left out
   * @param departs weight of replaced or older against original, by nearness to a change
   * @param least of {@code original}, by style
   */
  record PartCurves(
      double[][] original,
      double[][] replaced,
      double[][] older,
      double[][][] departs,
      double[] least) {

    /** With room for both styles, or with the same rows for both. */
    static PartCurves empty(int years, boolean oneStyle) {
      return new PartCurves(
          rows(years, oneStyle),
          rows(years, oneStyle),
          rows(years, oneStyle),
          new double[][][] {rows(years, oneStyle), rows(years, oneStyle)},
          new double[2]);
    }

    private static double[][] rows(int years, boolean oneStyle) {
      double[] row = new double[years];
      return new double[][] {row, oneStyle ? row : new double[years]};
    }

    /** Of a part that says nothing. */
    static PartCurves silent(int years) {
      PartCurves silent = empty(years, true);
      Arrays.fill(silent.original[ClueTables.AS_MADE], 1);
      return silent;
    }
  }

  Voice(
      int index,
      int region,
      boolean hearsMark,
      int years,
      Priors priors,
      Map<String, double[]> own) {
    this.index = index;
    this.region = region;
    this.hearsMark = hearsMark;
    this.years = years;
    this.priors = priors;
    this.own = own;
    this.parts = new PartCurves[priors.replaced().length];
    inverse = new double[years];
    greatest = new double[years];
    spare = new double[years];
    shareOfLater = new double[years];
    for (int y = 0; y < years; y++) {
      shareOfLater[y] = 1.0 / (years - y);
    }
    numberOriginal = ones(parts.length);
    numberReplaced = ones(parts.length);
    numberOlder = ones(parts.length);
  }

  private static double[] ones(int n) {
    double[] row = new double[n];
    Arrays.fill(row, 1);
    return row;
  }

  boolean hears(Look look) {
    return hearsMark || !look.markBorne();
  }

  /** Takes up what a part says; null when it is silent. */
  void hear(int part, @Nullable PartCurves curves) {
    parts[part] = curves;
  }

  /** Notes that one who hears it is far from (0) or near (1) a change. */
  void meet(int near) {
    met[near] = true;
  }

  /** Whether another hears the very same of a part in these looks. */
  boolean hearsLike(Voice other, int part, List<Look> looks) {
    if (numberOriginal[part] != other.numberOriginal[part]
        || numberReplaced[part] != other.numberReplaced[part]
        || numberOlder[part] != other.numberOlder[part]) {
      return false;
    }
    for (Look look : looks) {
      double[][] mine = look.likelihood()[region];
      double[][] theirs = look.likelihood()[other.region];
      boolean same = mine[0] == theirs[0] && mine[1] == theirs[1];
      if (hears(look) != other.hears(look) || (hears(look) && !same)) {
        return false;
      }
      if (own.get(look.id()) != other.own.get(look.id())) {
        return false;
      }
    }
    return true;
  }

  /** Works out the curves of one part from what was seen on it; null when nothing was. */
  @Nullable PartCurves curves(int part, List<Look> looks) {
    if (looks.stream().noneMatch(this::hears)) {
      return null;
    }
    boolean oneStyle = looks.stream().allMatch(look -> !hears(look) || look.isOneStyle(region));
    PartCurves curves = PartCurves.empty(years, oneStyle);
    for (int style = 0; style < (oneStyle ? 1 : 2); style++) {
      boolean first = true;
      for (Look look : looks) {
        if (hears(look)) {
          multiply(curves.original[style], look.likelihood()[region][style], first);
          first = false;
          double[] said = own.get(look.id());
          if (said != null) {
            multiply(curves.original[style], said, false);
          }
        }
      }
      fill(curves, part, style);
    }
    if (oneStyle) {
      curves.least[ClueTables.OLD_STYLE] = curves.least[ClueTables.AS_MADE];
    }
    return curves;
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
    double least = 1;
    for (int y = 0; y < years; y++) {
      own[y] = own[y] > Sums.LEAST ? own[y] : Sums.LEAST;
      inverse[y] = 1 / own[y];
      least = own[y] < least ? own[y] : least;
    }
    double sum = 0;
    double prior = priors.replaced()[part] * numberReplaced[part] / numberOriginal[part];
    double[] replaced = curves.replaced[style];
    for (int y = years - 1; y >= 0; y--) {
      sum += own[y];
      replaced[y] = prior * sum * inverse[y] * shareOfLater[y];
    }
    double[] older = curves.older[style];
    double[] greatest = greatestBefore(own);
    double ever = priors.replaced()[part] > 0 ? numberOlder[part] / numberOriginal[part] : 0;
    for (int y = 0; y < years; y++) {
      older[y] = ever * greatest[y] * inverse[y];
    }
    for (int near = 0; near < 2; near++) {
      double[] departs = curves.departs[near][style];
      double often = priors.older()[near];
      for (int y = 0; y < years; y++) {
        departs[y] = replaced[y] + often * older[y];
      }
    }
    double told = numberOriginal[part];
    curves.least[style] = told * least;
    for (int y = 0; y < years; y++) {
      own[y] *= told;
    }
  }

  // The greatest of the years of older stock, by pairs, fours and eights; what is left of a reach
  // that is none of these overlaps.
  private double[] greatestBefore(double[] own) {
    double[] from = greatest;
    double[] to = spare;
    from[0] = 0;
    System.arraycopy(own, 0, from, 1, years - 1);
    int left;
    for (int reach = 1; reach < priors.olderBy(); reach += left) {
      left = Math.min(reach, priors.olderBy() - reach);
      System.arraycopy(from, 0, to, 0, left);
      for (int y = left; y < years; y++) {
        to[y] = from[y] > from[y - left] ? from[y] : from[y - left];
      }
      double[] done = to;
      to = from;
      from = done;
    }
    return from;
  }

  /** Sums over all parts. */
  Sums sums() {
    return sums(new PartCurves[parts.length][]);
  }

  /**
   * Sums over all parts, some of them otherwise.
   *
   * @param others by part and voice, in place of what was heard; null where that holds
   */
  Sums sums(@Nullable PartCurves @Nullable [][] others) {
    Sums sums = new Sums(years);
    for (int k = 0; k < parts.length; k++) {
      PartCurves part = others[k] == null ? parts[k] : others[k][index];
      if (part != null) {
        sums.set(sums, part, met);
      }
    }
    return sums;
  }

  /** Room for {@link #withoutEach}: the sums before each part, those after it, and their union. */
  static Sums[] room(int parts, int years) {
    Sums[] room = new Sums[parts + 3];
    Arrays.setAll(room, i -> new Sums(years));
    return room;
  }

  /**
   * Shows for each part that says something the sums over all others.
   *
   * @param room to work in; what is shown lies there and holds until the next is shown
   */
  void withoutEach(Sums[] room, ObjIntConsumer<Sums> show) {
    Sums after = room[parts.length + 1].setNone();
    Sums rest = room[parts.length + 2];
    int spoke = 0;
    room[0].setNone();
    for (PartCurves part : parts) {
      if (part != null) {
        room[spoke + 1].set(room[spoke], part, met);
        spoke++;
      }
    }
    for (int k = parts.length - 1; k >= 0; k--) {
      if (parts[k] != null) {
        show.accept(rest.set(room[--spoke], after, met), k);
        after.set(after, parts[k], met);
      }
    }
  }

  boolean speaks(int part) {
    return parts[part] != null;
  }

  /** Weight of a part replaced against original, by year. */
  double[] replaced(int part, int style) {
    return parts[part].replaced[style];
  }

  /** Weight of an older part against one of the knife's year, its prior left out, by year. */
  double[] older(int part, int style) {
    return parts[part].older[style];
  }

  /** Likelihood of a part alone in the style of its day. */
  double original(int part, int y) {
    return parts[part].original[ClueTables.AS_MADE][y];
  }
}
