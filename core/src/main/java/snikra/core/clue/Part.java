package snikra.core.clue;

import java.util.Locale;

/** A part that may have come to the knife at another time than the rest. */
public record Part(String id, String label, Replaceable replaceable) {

  /** How readily the part is replaced, with the prior weight of that state. */
  public enum Replaceable {
    NEVER(0),
    RARELY(0.01),
    SOMETIMES(0.04),
    EASILY(0.10);

    private final double prior;

    Replaceable(double prior) {
      this.prior = prior;
    }

    /** Weight relative to a knife as made. */
    public double prior() {
      return prior;
    }

    @Override
    public String toString() {
      return name().toLowerCase(Locale.ROOT);
    }
  }
}
