package snikra.core.specimen;

/** How many back springs the tang bears on, as seen from the back. */
public enum Presses {
  ONE,
  BOTH;

  @Override
  public String toString() {
    return Kebab.of(this);
  }
}
