package snikra.core.mark;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * Every line of every mark once: makers strike the same name and place over and over. They are held
 * against a reading side by side, a block at a time, letter after letter. Where a word has other
 * spellings a line forks and joins again, so that what follows is worked out once.
 */
final class StruckLines {
  /** So many lines side by side stay near the processor. */
  private static final int BLOCK = 128;

  private final int size;
  private final List<Block> blocks;

  /** By number of the fork the letters of each way through it. */
  private final int[][][] forks;

  /**
   * Lines that fork in the same places, the longest first.
   *
   * @param number where each stands in the order in which they were given
   * @param steps what comes next, for as many lines as are that long
   * @param together so many steps are the same in all lines
   */
  private record Block(int[] number, List<Step> steps, int together) {}

  /**
   * The next letters of some lines.
   *
   * @param letters by line; none where all fork
   * @param fork number of the fork, -1 where they do not
   * @param lines how many are that long
   */
  private record Step(byte[] letters, int fork, int lines) {}

  private StruckLines(List<int[]> given, List<int[][]> forks) {
    this.size = given.size();
    this.forks = forks.toArray(int[][][]::new);
    Map<List<Integer>, List<Integer>> alike =
        IntStream.range(0, size)
            .boxed()
            .sorted(Comparator.comparing(number -> -given.get(number).length))
            .collect(
                Collectors.groupingBy(
                    number -> forksOf(given.get(number)), LinkedHashMap::new, Collectors.toList()));
    blocks = new ArrayList<>();
    for (List<Integer> numbers : alike.values()) {
      for (int from = 0; from < numbers.size(); from += BLOCK) {
        blocks.add(block(numbers.subList(from, Math.min(numbers.size(), from + BLOCK)), given));
      }
    }
  }

  // Place and number of each fork.
  private static List<Integer> forksOf(int[] line) {
    return IntStream.range(0, line.length)
        .filter(j -> line[j] >= Channel.ALPHABET)
        .flatMap(j -> IntStream.of(j, line[j]))
        .boxed()
        .toList();
  }

  private static Block block(List<Integer> numbers, List<int[]> given) {
    List<int[]> lines = numbers.stream().map(given::get).toList();
    List<Step> steps = new ArrayList<>();
    for (int j = 0; j < lines.get(0).length; j++) {
      int place = j;
      int[] next = lines.stream().filter(l -> l.length > place).mapToInt(l -> l[place]).toArray();
      steps.add(
          next[0] < Channel.ALPHABET
              ? new Step(bytes(next), -1, next.length)
              : new Step(new byte[0], next[0] - Channel.ALPHABET, next.length));
    }
    int together = lines.stream().mapToInt(l -> inCommon(l, lines.get(0))).min().orElse(0);
    return new Block(numbers.stream().mapToInt(number -> number).toArray(), steps, together);
  }

  private static int inCommon(int[] a, int[] b) {
    int differ = Arrays.mismatch(a, b);
    return differ < 0 ? a.length : differ;
  }

  private static byte[] bytes(int[] letters) {
    byte[] bytes = new byte[letters.length];
    for (int w = 0; w < bytes.length; w++) {
      bytes[w] = (byte) letters[w];
    }
    return bytes;
  }

  /** Takes lines one by one; the same line gets the same number. */
  static final class Collector {
    private final Spellings spellings;
    private final Map<List<Integer>, Integer> known = new HashMap<>();
    private final List<int[]> lines = new ArrayList<>();
    private final Map<List<String>, Integer> knownForks = new HashMap<>();
    private final List<int[][]> forks = new ArrayList<>();

    /**
     * A collector for which these words are the same.
     *
     * @param spellings sets of words that are taken for one another
     */
    Collector(List<List<String>> spellings) {
      this.spellings = new Spellings(spellings);
    }

    int add(String text) {
      List<Integer> steps = new ArrayList<>();
      for (Spellings.Stretch stretch : spellings.of(text)) {
        if (stretch.ways().size() == 1) {
          Arrays.stream(Channel.indices(stretch.ways().get(0))).forEach(steps::add);
        } else {
          steps.add(Channel.ALPHABET + fork(stretch.ways()));
        }
      }
      return known.computeIfAbsent(
          steps,
          key -> {
            lines.add(key.stream().mapToInt(step -> step).toArray());
            return lines.size() - 1;
          });
    }

    private int fork(List<String> ways) {
      return knownForks.computeIfAbsent(
          ways,
          key -> {
            forks.add(key.stream().map(Channel::indices).toArray(int[][]::new));
            return forks.size() - 1;
          });
    }

    StruckLines all() {
      return new StruckLines(lines, forks);
    }
  }

  /** How many lines there are; their numbers run from 0. */
  int size() {
    return size;
  }

  /** P(read | line) by the number of the line; 0 where it is negligible beside chance. */
  double[] given(Channel.Read read) {
    double[] given = new double[size];
    Channel.Column[] room = new Channel.Column[4];
    Arrays.setAll(room, i -> new Channel.Column(read, Math.min(BLOCK, size)));
    double negligible = Channel.NEGLIGIBLE * read.chance();
    for (Block block : blocks) {
      fill(given, read, block, room, negligible);
    }
    return given;
  }

  private void fill(
      double[] given, Channel.Read read, Block block, Channel.Column[] room, double negligible) {
    Channel.Column now = room[0];
    Channel.Column next = room[1];
    now.begin(read);
    int left = block.number.length;
    for (int j = 0; j < block.steps.size(); j++) {
      Step step = block.steps.get(j);
      if (j == block.together) {
        now.spread(left);
      }
      take(given, now, block, step.lines, left, negligible);
      left = step.lines;
      int lines = j < block.together ? 1 : left;
      if (step.fork < 0) {
        next.strike(read, step.letters, lines, now);
      } else {
        fork(read, step.fork, lines, now, next, room);
      }
      Channel.Column done = now;
      now = next;
      next = done;
    }
    take(given, now, block, 0, left, negligible);
  }

  private static void take(
      double[] given, Channel.Column now, Block block, int from, int to, double negligible) {
    for (int w = from; w < to; w++) {
      double p = now.whole(w);
      given[block.number[w]] = p < negligible ? 0 : p;
    }
  }

  private void fork(
      Channel.Read read,
      int fork,
      int lines,
      Channel.Column now,
      Channel.Column next,
      Channel.Column[] room) {
    int[][] ways = forks[fork];
    for (int k = 0; k < ways.length; k++) {
      Channel.Column last = now;
      for (int i = 0; i < ways[k].length; i++) {
        Channel.Column spare = room[2 + i % 2];
        spare.strike(read, ways[k][i], lines, last);
        last = spare;
      }
      if (k == 0) {
        next.copy(last, lines);
      } else {
        next.join(last, lines);
      }
    }
  }
}
