package snikra.core.induction;

import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import snikra.core.code.CodeScheme;

/**
 * How often codes and numbers are built in which way, before any example is seen; as data.
 *
 * @param fields what numbers mostly tell
 * @param otherLook how often a field tells one other look, such as a bail
 * @param leftOut how often what may be left out is
 * @param saysNothing how often a field tells nothing one could see, as a running number does
 * @param otherWidth by how much each place more or less than is usual is seldomer
 * @param widest so many places a field has at most
 * @param sharedCode how often two things have the same code
 * @param slip how often a knife and its number do not go together: a miscoded one, or a mistake
 * @param kinds how often codes go with years in which way
 * @param alphabets which letters cycles go through
 */
public record ExampleBook(
    List<FieldHabit> fields,
    double otherLook,
    double leftOut,
    double saysNothing,
    double otherWidth,
    int widest,
    double sharedCode,
    double slip,
    List<KindHabit> kinds,
    List<Alphabet> alphabets) {

  /**
   * What numbers mostly tell.
   *
   * @param meaning a trait or a feature of the clue book
   * @param width how many places it usually has
   * @param share how often a field is of it
   * @param itself how often its codes are what they stand for, as a 2 for two blades; none where
   *     they never are
   */
  public record FieldHabit(String meaning, int width, double share, @Nullable Double itself) {
    double isItself() {
      return itself == null ? 0 : itself;
    }
  }

  /**
   * How often codes go with years so.
   *
   * @param why in a sentence, for who is shown such a way
   */
  public record KindHabit(CodeScheme.Kind kind, double share, String why) {}

  /**
   * Letters in the order used.
   *
   * @param share how often such a cycle has just these
   * @param why in a sentence
   */
  public record Alphabet(String letters, double share, String why) {}

  public ExampleBook {
    fields = List.copyOf(fields);
    kinds = List.copyOf(kinds);
    alphabets = List.copyOf(alphabets);
  }

  Optional<FieldHabit> habit(String meaning) {
    return fields.stream().filter(f -> f.meaning().equals(meaning)).findFirst();
  }

  KindHabit habit(CodeScheme.Kind kind) {
    return kinds.stream()
        .filter(k -> k.kind() == kind)
        .findFirst()
        .orElseThrow(() -> new IllegalArgumentException("nothing is told of " + kind));
  }
}
