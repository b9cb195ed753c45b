package snikra.core.dating;

import java.util.Arrays;
import java.util.List;
import org.jspecify.annotations.Nullable;
import snikra.core.dating.Weighed.Row;
import snikra.core.dating.Weighed.UpTo;

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

  /** By region, only the first of those that are alike. */
  private final @Nullable Shown[] shown;

  /**
   * What is shown in one region.
   *
   * @param asMade in the style of the day
   * @param oneStyle whether it is the same in an older one
   * @param oldStyle in an older one
   * @param replaced in nats, what is uncertain by year of the knife if the part was put on later
   * @param older likewise, if it is older stock
   */
  private record Shown(
      Steps asMade, boolean oneStyle, Steps oldStyle, double[] replaced, double[] older) {}

  /**
   * How likely each answer is, over runs of years in which nothing changes: a clue comes up and
   * goes out within a few years and stands still for the rest.
   *
   * @param ends the last year of each run
   * @param p of each answer after the other by run, in one row, since fetching it takes the time
   * @param noise by run, in nats, what is uncertain though all else be known
   */
  private record Steps(int[] ends, double[] p, double[] noise) {
    static Steps of(double[][] byYear) {
      int years = byYear[0].length;
      int[] ends = new int[years];
      int n = 0;
      for (int y = 0; y < years; y++) {
        if (y == years - 1 || differ(byYear, y)) {
          ends[n++] = y;
        }
      }
      ends = Arrays.copyOf(ends, n);
      double[] p = new double[byYear.length * n];
      double[] noise = new double[n];
      for (int v = 0; v < byYear.length; v++) {
        for (int s = 0; s < n; s++) {
          p[v * n + s] = byYear[v][ends[s]];
          noise[s] += surprise(p[v * n + s]);
        }
      }
      return new Steps(ends, p, noise);
    }

    private static boolean differ(double[][] byYear, int year) {
      for (double[] row : byYear) {
        if (row[year] != row[year + 1]) {
          return true;
        }
      }
      return false;
    }

    private int runOf(int year) {
      int found = Arrays.binarySearch(ends, year);
      return found < 0 ? -found - 1 : found;
    }

    private Runs none() {
      return new Runs(new double[ends.length]);
    }
  }

  /** Weight by run; the runs before the first and after the last weigh nothing. */
  private static final class Runs {
    private final double[] weight;
    private int first;
    private int last = -1;

    Runs(double[] weight) {
      this.weight = weight;
      this.first = weight.length;
    }

    /** Adds what weighs so much up to each year. */
    Runs add(Steps steps, @Nullable UpTo more) {
      if (more == null) {
        return this;
      }
      double before = 0;
      int s = steps.runOf(more.from());
      first = Math.min(first, s);
      for (boolean isLast = false; !isLast; s++) {
        isLast = steps.ends[s] >= more.to();
        double now = more.weight()[isLast ? more.to() : steps.ends[s]];
        weight[s] += now - before;
        before = now;
      }
      last = Math.max(last, s - 1);
      return this;
    }

    /** Adds to each answer how likely it is with these weights. */
    void tell(Steps steps, double[] told) {
      for (int v = 0; v < told.length; v++) {
        told[v] += product(steps.p, v * weight.length);
      }
    }

    double noise(Steps steps) {
      return product(steps.noise, 0);
    }

    // In four sums, so that no addition waits for the one before: there are very many of them.
    private double product(double[] row, int from) {
      double one = 0;
      double two = 0;
      double three = 0;
      double four = 0;
      int s = first;
      for (; s < last - 2; s += 4) {
        one += row[from + s] * weight[s];
        two += row[from + s + 1] * weight[s + 1];
        three += row[from + s + 2] * weight[s + 2];
        four += row[from + s + 3] * weight[s + 3];
      }
      for (; s <= last; s++) {
        one += row[from + s] * weight[s];
      }
      return one + two + (three + four);
    }
  }

  /**
   * An outlook.
   *
   * @param answers what each answer says when seen surely, misreading included
   * @param olderBy years by which older stock may be older
   */
  Outlook(List<Look> answers, int olderBy) {
    part = answers.get(0).part();
    this.answers = answers.size();
    int regions = answers.get(0).likelihood().length;
    like = new int[regions];
    shown = new Shown[regions];
    for (int r = 0; r < regions; r++) {
      like[r] = firstLike(answers, r);
      if (like[r] == r) {
        shown[r] = shown(answers, r, olderBy);
      }
    }
    alike = Arrays.toString(like);
    isSilent = isSilent();
  }

  // Whether every answer is as likely in every country, style and year; then it is in other ways.
  private boolean isSilent() {
    for (Shown there : shown) {
      if (there != null
          && !(isAlways(there.asMade, shown[0].asMade)
              && isAlways(there.oldStyle, shown[0].asMade))) {
        return false;
      }
    }
    return true;
  }

  private static boolean isAlways(Steps steps, Steps other) {
    int answers = steps.p.length / steps.ends.length;
    for (int v = 0; v < answers; v++) {
      for (int s = 0; s < steps.ends.length; s++) {
        if (Math.abs(steps.p[v * steps.ends.length + s] - other.p[v * other.ends.length]) > 1e-12) {
          return false;
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

  private static Shown shown(List<Look> answers, int r, int olderBy) {
    double[][] asMade = complete(answers, r, AS_MADE);
    Steps ofItsDay = Steps.of(asMade);
    boolean isOneStyle = answers.stream().allMatch(a -> a.isOneStyle(r));
    return new Shown(
        ofItsDay,
        isOneStyle,
        isOneStyle ? ofItsDay : Steps.of(complete(answers, r, OLD_STYLE)),
        noise(Arrays.stream(asMade).map(Outlook::meanOfLater).toList()),
        noise(Arrays.stream(asMade).map(row -> meanOfEarlier(row, olderBy)).toList()));
  }

  // Where answers are missing from the book, those that are there stand for all.
  private static double[][] complete(List<Look> answers, int r, int style) {
    double[][] rows = new double[answers.size()][];
    for (int v = 0; v < rows.length; v++) {
      rows[v] = answers.get(v).likelihood()[r][style].clone();
    }
    for (int y = 0; y < rows[0].length; y++) {
      double sum = 0;
      for (double[] row : rows) {
        sum += row[y];
      }
      for (double[] row : rows) {
        row[y] /= sum;
      }
    }
    return rows;
  }

  private static double[] noise(List<double[]> answers) {
    double[] noise = new double[answers.get(0).length];
    for (double[] row : answers) {
      for (int y = 0; y < noise.length; y++) {
        noise[y] += surprise(row[y]);
      }
    }
    return noise;
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

  private static double[] meanOfEarlier(double[] row, int olderBy) {
    double[] mean = new double[row.length];
    for (int y = 0; y < row.length; y++) {
      int from = Math.max(0, y - olderBy);
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
    double all = 0;
    for (double p : answers(weight)) {
      all += surprise(p);
    }
    return Math.max(0, all - noise(weight)) / LOG_2;
  }

  /** How likely each answer is; all weight is 1. */
  double[] answers(Weighed weight) {
    double[] told = new double[answers];
    if (isSilent) {
      Steps always = shown[0].asMade;
      Arrays.setAll(told, v -> always.p[v * always.ends.length]);
      return told;
    }
    @Nullable Row[] rows = weight.together(alike, like);
    for (int r = 0; r < rows.length; r++) {
      if (rows[r] != null) {
        tell(shown[r], rows[r], told);
      }
    }
    return told;
  }

  private static void tell(Shown shown, Row row, double[] told) {
    Steps asMade = shown.asMade;
    Runs runs = asMade.none().add(asMade, row.asMade()).add(asMade, row.ofOtherYear());
    if (row.oldStyle() == null || shown.oneStyle) {
      runs.add(asMade, row.oldStyle()).tell(asMade, told);
    } else {
      runs.tell(asMade, told);
      shown.oldStyle.none().add(shown.oldStyle, row.oldStyle()).tell(shown.oldStyle, told);
    }
  }

  private double noise(Weighed weight) {
    double noise = 0;
    @Nullable Row[] rows = weight.together(alike, like);
    for (int r = 0; r < rows.length; r++) {
      if (rows[r] != null) {
        noise += noise(shown[r].asMade, rows[r].asMade());
        noise += noise(shown[r].oldStyle, rows[r].oldStyle());
        noise += product(shown[r].replaced, rows[r].replaced());
        noise += product(shown[r].older, rows[r].older());
      }
    }
    return noise;
  }

  private static double noise(Steps steps, @Nullable UpTo upTo) {
    return upTo == null ? 0 : steps.none().add(steps, upTo).noise(steps);
  }

  private static double product(double[] a, double @Nullable [] b) {
    double sum = 0;
    for (int y = 0; b != null && y < b.length; y++) {
      sum += a[y] * b[y];
    }
    return sum;
  }
}
