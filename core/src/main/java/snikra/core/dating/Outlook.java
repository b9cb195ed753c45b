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

  /** By answer, region, way and year; only for the first of regions that are alike. */
  private final double[][][][] shown;

  /** By region, way and year, in nats: what is uncertain though all else be known. */
  private final double[][][] noise;

  /**
   * An outlook.
   *
   * @param answers what each answer says when seen surely, misreading included
   */
  Outlook(List<Look> answers) {
    part = answers.get(0).part();
    int regions = answers.get(0).likelihood().length;
    like = new int[regions];
    shown = new double[answers.size()][regions][][];
    noise = new double[regions][][];
    for (int r = 0; r < regions; r++) {
      like[r] = firstLike(answers, r);
      if (like[r] == r) {
        fill(answers, r);
      }
    }
    alike = Arrays.toString(like);
    isSilent = isSilent();
  }

  // Whether every answer is as likely in every country, way and year.
  private boolean isSilent() {
    for (double[][][] answer : shown) {
      double first = answer[0][AS_MADE][0];
      for (double[][] ofRegion : answer) {
        for (int way = 0; ofRegion != null && way < WAYS; way++) {
          if (Arrays.stream(ofRegion[way]).anyMatch(p -> Math.abs(p - first) > 1e-12)) {
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

  private void fill(List<Look> answers, int r) {
    int years = answers.get(0).likelihood()[r][AS_MADE].length;
    for (int v = 0; v < shown.length; v++) {
      double[][] said = answers.get(v).likelihood()[r];
      shown[v][r] =
          new double[][] {
            said[AS_MADE].clone(),
            said[OLD_STYLE].clone(),
            meanOfLater(said[AS_MADE]),
            meanOfEarlier(said[AS_MADE])
          };
    }
    noise[r] = new double[WAYS][years];
    for (int way = 0; way < WAYS; way++) {
      for (int y = 0; y < years; y++) {
        double sum = 0;
        for (double[][][] answer : shown) {
          sum += answer[r][way][y];
        }
        for (double[][][] answer : shown) {
          // Where answers are missing from the book, those that are there stand for all.
          answer[r][way][y] /= sum;
          noise[r][way][y] += surprise(answer[r][way][y]);
        }
      }
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
    double[] answers = new double[shown.length];
    double noisy = 0;
    @Nullable Row[][] rows = weight.together(alike, like);
    for (int r = 0; r < like.length; r++) {
      for (int way = 0; way < WAYS && like[r] == r; way++) {
        Row row = rows[r][way];
        if (row != null) {
          for (int v = 0; v < answers.length; v++) {
            answers[v] += row.times(shown[v][r][way]);
          }
          noisy += row.times(noise[r][way]);
        }
      }
    }
    double all = Arrays.stream(answers).map(Outlook::surprise).sum();
    return Math.max(0, all - noisy) / LOG_2;
  }

  /** How likely each answer is; all weight is 1. */
  double[] answers(Weighed weight) {
    double[] answers = new double[shown.length];
    @Nullable Row[][] rows = weight.together(alike, like);
    for (int r = 0; r < like.length; r++) {
      for (int way = 0; way < WAYS && like[r] == r; way++) {
        Row row = rows[r][way];
        for (int v = 0; row != null && v < answers.length; v++) {
          answers[v] += row.times(shown[v][r][way]);
        }
      }
    }
    return answers;
  }
}
