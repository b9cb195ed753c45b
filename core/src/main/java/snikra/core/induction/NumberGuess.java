package snikra.core.induction;

import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * A way numbers may be built.
 *
 * @param fields in the order struck
 * @param share how likely it is, all ways being one
 */
public record NumberGuess(List<GuessedField> fields, double share) {

  /**
   * One field.
   *
   * @param meaning what it tells; null where it tells nothing one could see, or parts two fields
   * @param mark whether it only parts two fields
   * @param optional whether some numbers lack it
   * @param odd places of the examples whose code is another than the knife asks for
   */
  public record GuessedField(
      int width,
      @Nullable String meaning,
      boolean mark,
      boolean optional,
      List<GuessedCode> codes,
      List<Integer> odd) {
    public GuessedField {
      codes = List.copyOf(codes);
      odd = List.copyOf(odd);
    }
  }

  /**
   * A code.
   *
   * @param values what it stands for
   * @param supposed whether no example has it
   */
  public record GuessedCode(String code, List<String> values, boolean supposed) {
    public GuessedCode {
      values = List.copyOf(values);
    }
  }

  /**
   * A knife whose number would settle between the two likeliest ways.
   *
   * @param shows what it would be
   * @param first its number by the likelier; {@code ?} where that leaves a place open
   * @param second by the other
   */
  public record Settling(Map<String, String> shows, String first, String second) {}

  /**
   * What was found.
   *
   * @param guesses the likeliest first
   * @param unlike places of the examples that are built like none of the others
   */
  public record Found(
      List<NumberGuess> guesses, List<Integer> unlike, @Nullable Settling settling) {
    public Found {
      guesses = List.copyOf(guesses);
      unlike = List.copyOf(unlike);
    }
  }

  public NumberGuess {
    fields = List.copyOf(fields);
  }
}
