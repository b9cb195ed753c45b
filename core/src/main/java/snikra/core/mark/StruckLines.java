package snikra.core.mark;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
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

  /** Numbers of lines that are one and the same to the trade. */
  private final List<int[]> alike;

  private StruckLines(List<int[]> given, List<int[]> alike) {
    this.alike = alike;
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
    private static final Pattern APART = Pattern.compile("[\\s.,]+");
    private static final int MOST_SPELLINGS = 8;

    private final Map<List<Integer>, Integer> known = new HashMap<>();
    private final List<int[]> lines = new ArrayList<>();
    private final List<int[]> alike = new ArrayList<>();
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
      int[] numbers = spelled(text).stream().mapToInt(this::number).distinct().toArray();
      if (numbers.length > 1) {
        alike.add(numbers);
      }
      return numbers[0];
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

    // As it is, then with every word in its other spellings.
    private List<String> spelled(String text) {
      List<String> out = new ArrayList<>(List.of(text));
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
      return new StruckLines(lines, alike);
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
    for (int[] same : alike) {
      double best = Arrays.stream(same).mapToDouble(i -> given[i]).max().orElse(0);
      given[same[0]] = best;
    }
    return given;
  }
}
