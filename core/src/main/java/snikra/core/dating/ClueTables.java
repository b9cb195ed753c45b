package snikra.core.dating;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import snikra.core.clue.Clue;
import snikra.core.clue.Feature;
import snikra.core.reference.ReferenceShelf;
import snikra.core.reference.Region;

/**
 * For every clue the probability of seeing it, by region, style and year. Worked out once for a
 * shelf, so that dating a knife is only multiplying rows.
 */
final class ClueTables {
  /** Made in the style of its day. */
  static final int AS_MADE = 0;

  /** Made later in an older style. */
  static final int OLD_STYLE = 1;

  private final YearAxis axis;
  private final List<Region> regions;
  private final double[][] output;
  private final Map<String, Row> rows = new HashMap<>();

  /**
   * One clue. Where neither region nor style makes a difference the rows are one and the same
   * array, so that what follows from them is worked out once.
   *
   * @param p probability by region, style and year
   * @param mean of {@code p} over the prior, for what was misread
   */
  record Row(double[][][] p, double mean) {}

  ClueTables(ReferenceShelf shelf, YearAxis axis) {
    this.axis = axis;
    this.regions = shelf.regions();
    this.output = new double[regions.size()][];
    for (int r = 0; r < output.length; r++) {
      Region region = regions.get(r);
      output[r] = Distribution.normalised(axis.map(region::outputIn));
    }
    for (Feature feature : shelf.clues().features()) {
      addRows(feature);
    }
  }

  /** P(year) for an unlisted maker of this region. */
  double[] output(int region) {
    return output[region];
  }

  Row row(Feature feature, Clue clue) {
    return rows.get(feature.id() + "." + clue.id());
  }

  private void addRows(Feature feature) {
    int n = feature.clues().size();
    boolean copied = feature.clues().stream().anyMatch(Clue::isCopied);
    double[][][][] p = new double[n][regions.size()][2][];
    for (int r = 0; r < regions.size(); r++) {
      for (int style = 0; style < 2; style++) {
        int sameRegion = firstLike(r, feature);
        int sameStyle = copied ? style : AS_MADE;
        if (sameRegion == r && sameStyle == style) {
          fill(feature, p, r, style);
        }
        for (double[][][] clue : p) {
          clue[r][style] = clue[sameRegion][sameStyle];
        }
      }
    }
    for (int c = 0; c < n; c++) {
      rows.put(feature.id() + "." + feature.clues().get(c).id(), new Row(p[c], mean(p[c])));
    }
  }

  // The first region that leans to the same answers.
  private int firstLike(int r, Feature feature) {
    int first = 0;
    while (!leanings(first, feature).equals(leanings(r, feature))) {
      first++;
    }
    return first;
  }

  private List<Double> leanings(int r, Feature feature) {
    return feature.clues().stream().map(c -> c.leaning(regions.get(r).id())).toList();
  }

  private void fill(Feature feature, double[][][][] p, int r, int style) {
    for (double[][][] clue : p) {
      clue[r][style] = new double[axis.size()];
    }
    for (int y = 0; y < axis.size(); y++) {
      double sum = 0;
      for (int c = 0; c < p.length; c++) {
        Clue clue = feature.clues().get(c);
        double s = clue.compatibility(axis.year(y), style == OLD_STYLE);
        p[c][r][style][y] = clue.base() * s * clue.leaning(regions.get(r).id());
        sum += p[c][r][style][y];
      }
      for (int c = 0; feature.complete() && c < p.length; c++) {
        p[c][r][style][y] /= sum;
      }
    }
  }

  private double mean(double[][][] p) {
    double shares = 0;
    double mean = 0;
    for (int r = 0; r < p.length; r++) {
      shares += regions.get(r).share();
      for (int y = 0; y < axis.size(); y++) {
        mean += regions.get(r).share() * output[r][y] * p[r][AS_MADE][y];
      }
    }
    return mean / shares;
  }
}
