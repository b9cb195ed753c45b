package snikra.core.specimen;

/** How the first line of a mark runs. */
public enum Layout {
  STRAIGHT,
  ARCHED,
  CIRCLED;

  @Override
  public String toString() {
    return Kebab.of(this);
  }
}
