package snikra.core.practice;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import snikra.core.dating.DatingVerdict;
import snikra.core.dating.Sampler;
import snikra.core.dating.State;
import snikra.core.examination.Verdict;
import snikra.core.pattern.PatternVerdict;

/**
 * What is so of a knife. Of a made-up one all of it is known; of one's own it is what everything
 * seen of it comes to, with the chance of each.
 *
 * @param makers by id, {@link #UNLISTED} for one who is not on file
 * @param names by id of the pattern
 * @param happened to a made-up knife, by what may be seen; nothing where it is as made
 * @param how by kind of state, of a knife of one's own; empty for a made-up one
 * @param years from {@code firstYear} on
 */
public record Truth(
    Map<String, Double> makers,
    Map<String, Double> names,
    List<State> happened,
    Map<String, Double> how,
    int firstYear,
    double[] years) {

  /** Stands for a maker who is not on file. */
  public static final String UNLISTED = "";

  private static final String AS_MADE = State.Kind.AS_MADE.toString();

  public Truth {
    makers = Map.copyOf(makers);
    names = Map.copyOf(names);
    happened = List.copyOf(happened);
    how = Map.copyOf(how);
  }

  /** Of a knife that was made up. */
  static Truth of(Sampler.Drawn drawn, String pattern) {
    return new Truth(
        Map.of(drawn.maker() == null ? UNLISTED : drawn.maker(), 1.0),
        Map.of(pattern, 1.0),
        drawn.happened(),
        Map.of(),
        drawn.year(),
        new double[] {1});
  }

  /** Of a knife of one's own, by the whole verdict on it. */
  static Truth of(Verdict verdict) {
    DatingVerdict dated = verdict.dating();
    return new Truth(
        makers(dated),
        names(verdict.pattern()),
        List.of(),
        how(dated),
        dated.firstYear(),
        dated.curve());
  }

  /** How likely each maker is; all who are not on file together. */
  static Map<String, Double> makers(DatingVerdict dated) {
    return dated.makers().stream()
        .collect(
            Collectors.groupingBy(
                a -> a.maker() == null ? UNLISTED : a.maker(),
                TreeMap::new,
                Collectors.summingDouble(DatingVerdict.Attribution::probability)));
  }

  /** How likely each name is. */
  static Map<String, Double> names(PatternVerdict pattern) {
    return pattern.names().stream()
        .filter(n -> n.probability() > 0)
        .collect(Collectors.toMap(PatternVerdict.Name::pattern, PatternVerdict.Name::probability));
  }

  /** How likely each kind of state is. */
  static Map<String, Double> how(DatingVerdict dated) {
    return dated.states().stream()
        .collect(
            Collectors.groupingBy(
                s -> s.state().kind().toString(),
                TreeMap::new,
                Collectors.summingDouble(DatingVerdict.StateProbability::probability)));
  }

  /**
   * How likely each kind of state is, as far as it can show: what befell a part nobody looked at
   * asks nothing of the one who guesses.
   *
   * @param looked ids of the looks that were taken
   * @param parts on which they lie
   */
  Map<String, Double> how(Set<String> looked, Set<String> parts) {
    if (!how.isEmpty()) {
      return how;
    }
    List<State> shows = happened.stream().filter(s -> canShow(s, looked, parts)).toList();
    return Map.of(
        switch (shows.size()) {
          case 0 -> AS_MADE;
          case 1 -> shows.get(0).kind().toString();
          default -> State.Kind.TWO_AT_ONCE.toString();
        },
        1.0);
  }

  private static boolean canShow(State state, Set<String> looked, Set<String> parts) {
    return switch (state.kind()) {
      case PART_REPLACED, OLDER_PART -> parts.contains(state.part());
      case MISJUDGED -> looked.contains(state.part());
      case MARK_UNTRUSTED -> looked.contains(Round.MARKS);
      default -> !looked.isEmpty();
    };
  }

  /** How likely it was made in these years, both included. */
  double between(int from, int to) {
    double sum = 0;
    for (int y = Math.max(0, from - firstYear); y < years.length && firstYear + y <= to; y++) {
      sum += years[y];
    }
    return sum;
  }
}
