package snikra.core.dating;

import java.util.Arrays;
import java.util.List;
import org.jspecify.annotations.Nullable;
import snikra.core.dating.Weighed.Row;

/**
 * What a look at one feature may show, by region, by how the knife came to be and by year; ready to
 * say how much is to be learned from it.
 */
final class Outlook {
  /** The part is of the knife's year, in the style of the day or in an older one. */
  static final int AS_MADE = 0;

  static final int OLD_STYLE = 1;

  /** The part was put on later, or is older stock. */
  static final int REPLACED = 2;

  static final int OLDER = 3;

  static final int WAYS = 4;

  private static final double LOG_2 = Math.log(2);

  final int part;

  /** For each region the first of those that lean to the same answers. */
  private final int[] like;

  private final String alike;
  private final boolean isSilent;

  /** How many answers there are. */
  private final int answers;

  /**
   * By region, only the first of those that are alike, and way: of each answer after the other how
   * likely it is by year, and last, in nats, what is uncertain though all else be known. In one
   * row, since there are thousands of them and fetching them is what takes the time.
   */
  private final double[][][] shown;

  /**
   * An outlook.
   *
   * @param answers what each answer says when seen surely, misreading included
   */
  Outlook(List<Look> answers) {
    part = answers.get(0).part();
    this.answers = answers.size();
    int regions = answers.get(0).likelihood().length;
    like = new int[regions];
    shown = new double[regions][][];
    for (int r = 0; r < regions; r++) {
      like[r] = firstLike(answers, r);
      if (like[r] == r) {
        shown[r] = shown(answers, r);
      }
    }
    alike = Arrays.toString(like);
    isSilent = isSilent();
  }

  // Whether every answer is as likely in every country, way and year.
  private boolean isSilent() {
    for (double[][] ofRegion : shown) {
      for (int way = 0; ofRegion != null && way < WAYS; way++) {
        int years = ofRegion[way].length / (answers + 1);
        for (int i = 0; i < answers * years; i++) {
          if (Math.abs(ofRegion[way][i] - shown[0][AS_MADE][i / years * years]) > 1e-12) {
            return false;
          }
        }
      }
    }
    return true;
  }

  private static int firstLike(List<Look> answers, int region) {
    for (int r = 0; r < region; r++) {
      int other = r;
      if (answers.stream()
          .allMatch(
              a ->
                  a.likelihood()[other][AS_MADE] == a.likelihood()[region][AS_MADE]
                      && a.likelihood()[other][OLD_STYLE] == a.likelihood()[region][OLD_STYLE])) {
        return other;
      }
    }
    return region;
  }

  private static double[][] shown(List<Look> answers, int r) {
    int years = answers.get(0).likelihood()[r][AS_MADE].length;
    double[][] shown = new double[WAYS][(answers.size() + 1) * years];
    for (int v = 0; v < answers.size(); v++) {
      double[][] said = answers.get(v).likelihood()[r];
      System.arraycopy(said[AS_MADE], 0, shown[AS_MADE], v * years, years);
      System.arraycopy(said[OLD_STYLE], 0, shown[OLD_STYLE], v * years, years);
      System.arraycopy(meanOfLater(said[AS_MADE]), 0, shown[REPLACED], v * years, years);
      System.arraycopy(meanOfEarlier(said[AS_MADE]), 0, shown[OLDER], v * years, years);
    }
    for (double[] row : shown) {
      for (int y = 0; y < years; y++) {
        complete(row, y, years);
      }
    }
    return shown;
  }

  // Where answers are missing from the book, those that are there stand for all.
  private static void complete(double[] row, int year, int years) {
    int noise = row.length - years;
    double sum = 0;
    for (int i = year; i < noise; i += years) {
      sum += row[i];
    }
    for (int i = year; i < noise; i += years) {
      row[i] /= sum;
      row[noise + year] += surprise(row[i]);
    }
  }

  private static double[] meanOfLater(double[] row) {
    double[] mean = new double[row.length];
    double sum = 0;
    for (int y = row.length - 1; y >= 0; y--) {
      sum += row[y];
      mean[y] = sum / (row.length - y);
    }
    return mean;
  }

  private static double[] meanOfEarlier(double[] row) {
    double[] mean = new double[row.length];
    for (int y = 0; y < row.length; y++) {
      int from = Math.max(0, y - Voice.OLDER_BY);
      double sum = 0;
      for (int earlier = from; earlier < y; earlier++) {
        sum += row[earlier];
      }
      mean[y] = y == 0 ? row[0] : sum / (y - from);
    }
    return mean;
  }

  /** What one answer adds to an entropy, in nats. */
  static double surprise(double p) {
    return p > 0 ? -p * Math.log(p) : 0;
  }

  /** How many bits a look is expected to tell of who, when and how together; all weight is 1. */
  double bits(Weighed weight) {
    if (isSilent) {
      return 0;
    }
    double[] told = told(weight, answers + 1);
    double all = 0;
    for (int v = 0; v < answers; v++) {
      all += surprise(told[v]);
    }
    return Math.max(0, all - told[answers]) / LOG_2;
  }

  /** How likely each answer is; all weight is 1. */
  double[] answers(Weighed weight) {
    return told(weight, answers);
  }

  private double[] told(Weighed weight, int most) {
    double[] told = new double[most];
    @Nullable Row[][] rows = weight.together(alike, like);
    for (int r = 0; r < like.length; r++) {
      for (int way = 0; way < WAYS && like[r] == r; way++) {
        Row row = rows[r][way];
        for (int v = 0; row != null && v < most; v++) {
          told[v] += row.times(shown[r][way], v);
        }
      }
    }
    return told;
  }
}
