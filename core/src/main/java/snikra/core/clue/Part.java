package snikra.core.clue;

import java.util.Locale;

/** A part that may have come to the knife at another time than the rest. */
public record Part(String id, String label, Replaceable replaceable) {

  /** How readily the part is replaced; what that weighs is a number of judgement. */
  public enum Replaceable {
    NEVER,
    RARELY,
    SOMETIMES,
    EASILY;

    @Override
    public String toString() {
      return name().toLowerCase(Locale.ROOT);
    }
  }
}
