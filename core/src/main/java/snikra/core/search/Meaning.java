package snikra.core.search;

/** Says how a phrase of a search was understood. */
public final class Meaning {
  private Meaning() {}

  /** In a few words, to stand beneath the phrase; empty for a word that is there as it is. */
  public static String of(Condition asked) {
    if (asked instanceof Condition.Said said) {
      if (!said.isFound()) {
        return "in no knife here";
      }
      return said.readAs() == null ? "" : "read as " + said.readAs();
    }
    if (asked instanceof Condition.Of of) {
      return of.facet().label();
    }
    if (asked instanceof Condition.Years years) {
      return years.from() != null && years.from().equals(years.to())
          ? "may be of that year"
          : "may be of those years";
    }
    return asked instanceof Condition.Lengths ? "closed length" : "what it may bring";
  }
}
