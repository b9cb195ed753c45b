package snikra.core.mark;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * Words that the trade takes for one another: a word short and in full, an umlaut in two letters.
 */
final class Spellings {
  private static final Pattern APART = Pattern.compile("[\\s.,]+");
  private static final int MOST = 8;

  private final List<Set<String>> sets;

  /**
   * Letters of a line that may be struck in any of these ways.
   *
   * @param ways in letters; one where there is no other
   */
  record Stretch(List<String> ways) {}

  Spellings(List<List<String>> sets) {
    this.sets =
        sets.stream()
            .map(set -> set.stream().map(Spellings::folded).collect(Collectors.toSet()))
            .toList();
  }

  /** A line by stretches, none of them empty where it has but one way. */
  List<Stretch> of(String line) {
    List<Stretch> stretches = new ArrayList<>();
    for (String word : APART.split(line.strip(), -1)) {
      stretches.addAll(stretches(ways(word)));
    }
    return stretches;
  }

  private List<String> ways(String word) {
    String folded = folded(word);
    Set<String> ways = new TreeSet<>();
    ways.add(folded);
    ways.add(folded(Glyph.umlautsApart(word)));
    sets.stream().filter(set -> set.contains(folded)).forEach(ways::addAll);
    return ways.stream().limit(MOST).toList();
  }

  // Only where the ways differ is there more than one.
  private static List<Stretch> stretches(List<String> ways) {
    int begin = ways.size() == 1 ? ways.get(0).length() : inCommon(ways);
    List<String> rest = ways.stream().map(way -> way.substring(begin)).toList();
    int end = inCommon(rest.stream().map(Spellings::reversed).toList());
    String first = rest.get(0);
    List<Stretch> stretches = new ArrayList<>();
    stretches.add(new Stretch(List.of(ways.get(0).substring(0, begin))));
    if (ways.size() > 1) {
      stretches.add(
          new Stretch(rest.stream().map(way -> way.substring(0, way.length() - end)).toList()));
      stretches.add(new Stretch(List.of(first.substring(first.length() - end))));
    }
    return stretches.stream().filter(s -> !s.ways().equals(List.of(""))).toList();
  }

  /** How many letters all begin with in common. */
  private static int inCommon(List<String> ways) {
    char[] first = ways.get(0).toCharArray();
    return ways.stream()
        .skip(1)
        .mapToInt(way -> Arrays.mismatch(first, way.toCharArray()))
        .min()
        .orElse(0);
  }

  private static String reversed(String way) {
    return new StringBuilder(way).reverse().toString();
  }

  private static String folded(String word) {
    return new String(Glyph.letters(word));
  }
}
