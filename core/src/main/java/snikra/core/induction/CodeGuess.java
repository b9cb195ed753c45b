package snikra.core.induction;

import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import snikra.core.code.CodeScheme;

/**
 * A way codes may go with years.
 *
 * @param from first year the examples reach
 * @param to last year they reach
 * @param start count in the first year, for counts
 * @param letters from that of the first year on, for a cycle
 * @param figures how many of the last figures of the year
 * @param table by code its years, for a table
 * @param share how likely it is, all ways being one
 * @param odd places of the examples that do not go with it
 * @param years what is struck in each year
 * @param why what such a way is, in a sentence
 */
public record CodeGuess(
    CodeScheme.Kind kind,
    int from,
    int to,
    @Nullable Integer start,
    List<String> letters,
    @Nullable Integer figures,
    Map<String, List<Integer>> table,
    double share,
    List<Integer> odd,
    List<YearOf> years,
    String why) {

  /** What is struck in a year. */
  public record YearOf(int year, List<String> codes) {}

  /**
   * A code that would settle between the two likeliest ways.
   *
   * @param first its year by the likelier
   * @param second by the other; null where that strikes no such code
   */
  public record Settling(String written, int first, @Nullable Integer second) {}

  /** The ways found, the likeliest first. */
  public record Found(List<CodeGuess> guesses, @Nullable Settling settling) {
    public Found {
      guesses = List.copyOf(guesses);
    }
  }

  public CodeGuess {
    letters = List.copyOf(letters);
    table = Map.copyOf(table);
    odd = List.copyOf(odd);
    years = List.copyOf(years);
  }
}
