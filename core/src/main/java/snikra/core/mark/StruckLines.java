package snikra.core.mark;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * Every line of every mark once: makers strike the same name and place over and over. They are held
 * against a reading in the order of a dictionary, so that what lines begin with in common is worked
 * out once, and a beginning that cannot come to anything ends all lines that begin so.
 */
final class StruckLines {
  /** So many lines are worth the trouble of sharing them out among the cores. */
  private static final int WORTH_SHARING = 1500;

  private static final int HANDS = Runtime.getRuntime().availableProcessors();

  private final int[][] letters;

  /** How many letters each begins with in common with the one before. */
  private final int[] shared;

  /** Where each stands in the order in which they were given. */
  private final int[] index;

  private final int longest;

  /** Lines that have other spellings, by number. */
  private final int[] spelled;

  /** The other spellings of each of these. */
  private final List<List<int[]>> spellings;

  private StruckLines(List<int[]> given, SortedMap<Integer, List<int[]>> others) {
    spelled = others.keySet().stream().mapToInt(number -> number).toArray();
    spellings = List.copyOf(others.values());
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
    longest =
        Stream.concat(given.stream(), spellings.stream().flatMap(List::stream))
            .mapToInt(l -> l.length)
            .max()
            .orElse(0);
  }

  /** Takes lines one by one; the same line gets the same number. */
  static final class Collector {
    private static final Pattern APART = Pattern.compile("[\\s.,]+");
    private static final int MOST_SPELLINGS = 8;

    private final Map<List<Integer>, Integer> known = new HashMap<>();
    private final List<int[]> lines = new ArrayList<>();
    private final SortedMap<Integer, List<int[]>> others = new TreeMap<>();
    private final List<Set<String>> spellings;

    /**
     * A collector for which these words are the same.
     *
     * @param spellings sets of words that are taken for one another
     */
    Collector(List<List<String>> spellings) {
      this.spellings =
          spellings.stream()
              .map(set -> set.stream().map(Collector::folded).collect(Collectors.toSet()))
              .toList();
    }

    int add(String text) {
      int number = number(text);
      List<String> spelled = spelled(text);
      if (!spelled.isEmpty()) {
        others.put(number, spelled.stream().map(Channel::indices).toList());
      }
      return number;
    }

    private int number(String text) {
      int[] letters = Channel.indices(text);
      return known.computeIfAbsent(
          Arrays.stream(letters).boxed().toList(),
          key -> {
            lines.add(letters);
            return lines.size() - 1;
          });
    }

    // With every word in its other spellings.
    private List<String> spelled(String text) {
      List<String> out = new ArrayList<>();
      List<String> words = List.of(APART.split(text.strip()));
      for (int w = 0; w < words.size(); w++) {
        for (String other : others(words.get(w))) {
          List<String> changed = new ArrayList<>(words);
          changed.set(w, other);
          out.add(String.join(" ", changed));
        }
      }
      return out.subList(0, Math.min(MOST_SPELLINGS, out.size()));
    }

    private Set<String> others(String word) {
      Set<String> others = new TreeSet<>();
      String folded = folded(word);
      spellings.stream().filter(set -> set.contains(folded)).forEach(others::addAll);
      String umlauts = Glyph.umlautsApart(word);
      if (!umlauts.equals(word)) {
        others.add(umlauts);
      }
      others.remove(folded);
      return others;
    }

    private static String folded(String word) {
      return new String(Glyph.letters(word));
    }

    StruckLines all() {
      return new StruckLines(lines, others);
    }
  }

  /** How many lines there are; their numbers run from 0. */
  int size() {
    return letters.length;
  }

  /** P(read | line) by the number of the line; 0 where it is negligible beside chance. */
  double[] given(Channel.Read read) {
    double[] given = new double[letters.length];
    int parts = Math.max(1, Math.min(HANDS, letters.length / WORTH_SHARING));
    if (parts == 1) {
      fill(given, read, 0, letters.length);
    } else {
      IntStream.range(0, parts)
          .parallel()
          .forEach(p -> fill(given, read, part(p, parts), part(p + 1, parts)));
    }
    spell(given, read);
    return given;
  }

  private int part(int p, int parts) {
    return (int) ((long) letters.length * p / parts);
  }

  private void fill(double[] given, Channel.Read read, int from, int to) {
    Channel.Column[] columns = columns(read);
    int ended = longest + 1;
    for (int k = from; k < to; k++) {
      int common = k == from ? 0 : shared[k];
      if (common < ended) {
        int[] line = letters[k];
        int done = common;
        ended = longest + 1;
        while (done < line.length && ended > longest) {
          columns[done + 1].strike(read, line[done], columns[done]);
          done++;
          ended = columns[done].isEnded() ? done : ended;
        }
        given[index[k]] = ended > longest ? columns[done].whole() : 0;
      }
    }
  }

  private Channel.Column[] columns(Channel.Read read) {
    Channel.Column[] columns = new Channel.Column[longest + 1];
    Arrays.setAll(columns, i -> new Channel.Column(read));
    columns[0].begin(read);
    return columns;
  }

  // A spelling only matters where the line as it is on file is not hopeless already.
  private void spell(double[] given, Channel.Read read) {
    Channel.Column[] columns = columns(read);
    for (int i = 0; i < spelled.length; i++) {
      if (given[spelled[i]] > 0) {
        for (int[] line : spellings.get(i)) {
          given[spelled[i]] = Math.max(given[spelled[i]], alone(read, line, columns));
        }
      }
    }
  }

  private static double alone(Channel.Read read, int[] line, Channel.Column[] columns) {
    for (int j = 0; j < line.length; j++) {
      columns[j + 1].strike(read, line[j], columns[j]);
      if (columns[j + 1].isEnded()) {
        return 0;
      }
    }
    return columns[line.length].whole();
  }
}
