package snikra.core.condition;

import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import snikra.core.specimen.Place;

/**
 * A way in which a knife may be other than its maker sent it out, or than its name says.
 *
 * @param state the state of the dating model it is, where it is one
 * @param part the part, where the state is of a part
 * @param point the point of condition that shows it, where one does
 * @param findings of that point
 * @param sign what else shows it
 * @param often how often it is met where nothing shows it; null where it is never guessed
 * @param speaks what makes it likelier or less likely
 * @param cap the best grade it allows; null where it does not touch the grade
 * @param loses points of a hundred it takes; null where it takes none
 * @param worth what is left of the value; 1 where it takes nothing, or the grade has it already
 * @param look what to look for
 * @param why it does so
 * @param at where it is on a drawn knife; null where it is nowhere in particular
 */
public record Alteration(
    String id,
    String label,
    @Nullable String state,
    @Nullable String part,
    @Nullable String point,
    List<String> findings,
    @Nullable Sign sign,
    @Nullable Double often,
    List<Speaks> speaks,
    @Nullable String cap,
    @Nullable Double loses,
    double worth,
    String look,
    String why,
    String source,
    @Nullable Place at) {

  /**
   * A look of the clue book, or a point of condition, that speaks for it or against it.
   *
   * @param answers by answer, how much oftener it is met where the knife was altered so
   */
  public record Speaks(String of, Map<String, Double> answers) {
    public Speaks {
      answers = Map.copyOf(answers);
    }
  }

  /** Signs that are neither a state nor a point of condition. */
  public enum Sign {
    SHORT_BLADE,
    STRUCK_OUT,
    CONTRACT;

    @Override
    public String toString() {
      return name().toLowerCase(java.util.Locale.ROOT).replace('_', '-');
    }
  }

  public Alteration {
    findings = findings == null ? List.of() : List.copyOf(findings);
    speaks = speaks == null ? List.of() : List.copyOf(speaks);
    if (!(worth > 0)) {
      throw new IllegalArgumentException("worth of " + id + " must be above 0; found " + worth);
    }
  }
}
