package snikra.core.dating;

import java.util.Arrays;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import snikra.core.clue.Clue;
import snikra.core.clue.Feature;
import snikra.core.clue.Floors;
import snikra.core.pattern.Pattern;
import snikra.core.reference.ReferenceShelf;
import snikra.core.reference.Region;
import snikra.core.specimen.LookReliability;
import snikra.core.specimen.Sureness;

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
  private final LookReliability reliability;
  private final Floors floors;
  private final int olderBy;
  private final double mistakenAtLarge;

  /** Output of all who are not on file, by region and year. */
  private final double[][] anyone;

  private final Map<String, Row> rows = new HashMap<>();
  private final Map<String, Outlook> outlooks = new HashMap<>();

  /**
   * One clue. Where neither region nor style makes a difference the rows are one and the same
   * array, so that what follows from them is worked out once.
   *
   * @param looks what it says when seen, by sureness
   * @param alone its years on their own, in a knife as made by anyone anywhere
   * @param p probability by region, style and year when seen rightly
   * @param mean of {@code p} over the prior
   */
  private record Row(Map<Sureness, Look> looks, double[] alone, double[][][] p, double mean) {}

  ClueTables(ReferenceShelf shelf, YearAxis axis) {
    this.axis = axis;
    this.reliability = LookReliability.of(shelf.judgement());
    this.floors = Floors.of(shelf.judgement());
    this.olderBy = Priors.olderBy(shelf.judgement());
    this.mistakenAtLarge = shelf.judgement().of("look.mistaken");
    this.regions = shelf.regions();
    this.output = new double[regions.size()][];
    for (int r = 0; r < output.length; r++) {
      Region region = regions.get(r);
      output[r] = Distribution.normalised(axis.map(region::outputIn));
    }
    anyone = new double[output.length][];
    for (int r = 0; r < anyone.length; r++) {
      double share = regions.get(r).share();
      anyone[r] = Arrays.stream(output[r]).map(amount -> share * amount).toArray();
    }
    for (Feature feature : shelf.clues().features()) {
      addRows(feature, shelf.clues().parts().indexOf(shelf.clues().part(feature.part())));
    }
  }

  /** P(year) for an unlisted maker of this region. */
  double[] output(int region) {
    return output[region];
  }

  /** What a clue says when seen this surely. */
  Look look(Feature feature, Clue clue, Sureness sureness) {
    return row(feature, clue).looks.get(sureness);
  }

  /**
   * What a pattern says that may be one of several.
   *
   * @param eras of a pattern, by region, style and year
   */
  Look look(Evidence.Observed o, int part, Function<Pattern, double[][][]> eras) {
    double named = 0;
    for (Evidence.Share share : o.patterns()) {
      named += share.share();
    }
    double[][][] p = new double[regions.size()][2][axis.size()];
    for (double[][] styles : p) {
      for (double[] row : styles) {
        Arrays.fill(row, Math.max(0, 1 - named));
      }
    }
    for (Evidence.Share share : o.patterns()) {
      double[][][] era = eras.apply(share.pattern());
      for (int r = 0; r < p.length; r++) {
        for (int style = 0; style < 2; style++) {
          for (int y = 0; y < axis.size(); y++) {
            p[r][style][y] += share.share() * era[r][style][y];
          }
        }
      }
    }
    double rightly = reliability.of(o.sureness());
    return Look.at(o.feature().id(), part, false, rightly, p, mean(p));
  }

  /** What a look at a feature may show. */
  Outlook outlook(Feature feature) {
    return outlooks.get(feature.id());
  }

  /** Years of knives by anyone anywhere. */
  double[] atLarge() {
    double[] row = new double[axis.size()];
    for (double[] ofRegion : anyone) {
      for (int y = 0; y < row.length; y++) {
        row[y] += ofRegion[y];
      }
    }
    return Distribution.normalised(row);
  }

  /** Years by this clue alone, in a knife as made by anyone anywhere. */
  double[] alone(Feature feature, Clue clue) {
    return row(feature, clue).alone;
  }

  /** Years by a look alone, in a knife as made by anyone anywhere. */
  double[] alone(Look look) {
    return alone(look.compatibility());
  }

  private double[] alone(double[][] compatibility) {
    double[] row = new double[axis.size()];
    for (int r = 0; r < anyone.length; r++) {
      for (int y = 0; y < row.length; y++) {
        row[y] += anyone[r][y] * compatibility[r][y];
      }
    }
    return Distribution.normalised(row);
  }

  private double rightly(Sureness sureness, Feature feature) {
    return reliability.of(sureness) * (1 - mistaken(feature)) / (1 - mistakenAtLarge);
  }

  /**
   * What an answer says that may be one of several: the mean of theirs, weighed by their shares.
   */
  Look look(Evidence.Observed o, int part) {
    double[][][] p = new double[regions.size()][2][axis.size()];
    double mean = 0;
    for (Evidence.Answer answer : o.either()) {
      Row row = row(o.feature(), answer.clue());
      mean += answer.share() * row.mean;
      for (int r = 0; r < p.length; r++) {
        for (int style = 0; style < 2; style++) {
          for (int y = 0; y < axis.size(); y++) {
            p[r][style][y] += answer.share() * row.p[r][style][y];
          }
        }
      }
    }
    double rightly = rightly(o.sureness(), o.feature());
    return Look.at(o.feature().id(), part, o.feature().markBorne(), rightly, p, mean);
  }

  private double mistaken(Feature feature) {
    return feature.mistaken() == null ? mistakenAtLarge : feature.mistaken();
  }

  private Row row(Feature feature, Clue clue) {
    return rows.get(feature.id() + "." + clue.id());
  }

  private void addRows(Feature feature, int part) {
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
      double mean = mean(p[c]);
      Map<Sureness, Look> looks = new EnumMap<>(Sureness.class);
      for (Sureness sureness : Sureness.values()) {
        double rightly = rightly(sureness, feature);
        looks.put(sureness, Look.at(feature.id(), part, feature.markBorne(), rightly, p[c], mean));
      }
      double[] alone = alone(looks.get(Sureness.SURE).compatibility());
      rows.put(feature.id() + "." + feature.clues().get(c).id(), new Row(looks, alone, p[c], mean));
    }
    List<Look> sure =
        feature.clues().stream().map(clue -> look(feature, clue, Sureness.SURE)).toList();
    outlooks.put(feature.id(), new Outlook(sure, olderBy));
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
    double[] often =
        feature.clues().stream()
            .mapToDouble(c -> c.base() * c.leaning(regions.get(r).id()))
            .toArray();
    for (int y = 0; y < axis.size(); y++) {
      double sum = 0;
      for (int c = 0; c < p.length; c++) {
        Clue clue = feature.clues().get(c);
        double s = clue.compatibility(axis.year(y), style == OLD_STYLE, floors);
        p[c][r][style][y] = often[c] * s;
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
