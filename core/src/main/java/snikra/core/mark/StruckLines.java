package snikra.core.mark;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;

/**
 * Every line of every mark once: makers strike the same name and place over and over. They are held
 * against a reading in the order of a dictionary, so that what lines begin with in common is worked
 * out once, and a beginning that cannot come to anything ends all lines that begin so.
 */
final class StruckLines {
  private final int[][] letters;

  /** How many letters each begins with in common with the one before. */
  private final int[] shared;

  /** Where each stands in the order in which they were given. */
  private final int[] index;

  private final int longest;

  private StruckLines(List<int[]> given) {
    index =
        IntStream.range(0, given.size())
            .boxed()
            .sorted(Comparator.comparing(given::get, Arrays::compare))
            .mapToInt(i -> i)
            .toArray();
    letters = Arrays.stream(index).mapToObj(given::get).toArray(int[][]::new);
    shared = new int[letters.length];
    for (int k = 1; k < letters.length; k++) {
      int differ = Arrays.mismatch(letters[k - 1], letters[k]);
      shared[k] = differ < 0 ? letters[k].length : differ;
    }
    longest = given.stream().mapToInt(l -> l.length).max().orElse(0);
  }

  /** Takes lines one by one; the same line gets the same number. */
  static final class Collector {
    private final Map<List<Integer>, Integer> known = new HashMap<>();
    private final List<int[]> lines = new ArrayList<>();

    int add(String text) {
      int[] letters = Channel.indices(text);
      return known.computeIfAbsent(
          Arrays.stream(letters).boxed().toList(),
          key -> {
            lines.add(letters);
            return lines.size() - 1;
          });
    }

    StruckLines all() {
      return new StruckLines(lines);
    }
  }

  /** P(read | line) by the number of the line; 0 where it is negligible beside chance. */
  double[] given(Channel.Read read) {
    double[] given = new double[letters.length];
    Channel.Column[] columns = new Channel.Column[longest + 1];
    Arrays.setAll(columns, i -> new Channel.Column(read));
    columns[0].begin(read);
    int ended = longest + 1;
    for (int k = 0; k < letters.length; k++) {
      if (shared[k] < ended) {
        int[] line = letters[k];
        int done = shared[k];
        ended = longest + 1;
        while (done < line.length && ended > longest) {
          columns[done + 1].strike(read, line[done], columns[done]);
          done++;
          ended = columns[done].isEnded() ? done : ended;
        }
        given[index[k]] = ended > longest ? columns[done].whole() : 0;
      }
    }
    return given;
  }
}
