package snikra.core.condition;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A way in which a knife may be other than its maker sent it out, or than its name says.
 *
 * @param state the state of the dating model it is, where it is one
 * @param part the part, where the state is of a part
 * @param point the point of condition that shows it, where one does
 * @param findings of that point
 * @param sign what else shows it
 * @param cap the best grade it allows; null where it does not touch the grade
 * @param worth what is left of the value; 1 where it takes nothing, or the grade has it already
 * @param look what to look for
 * @param why it does so
 */
public record Alteration(
    String id,
    String label,
    @Nullable String state,
    @Nullable String part,
    @Nullable String point,
    List<String> findings,
    @Nullable Sign sign,
    @Nullable String cap,
    double worth,
    String look,
    String why,
    String source) {

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
    if (!(worth > 0)) {
      throw new IllegalArgumentException("worth of " + id + " must be above 0; found " + worth);
    }
  }
}
