package snikra.core.specimen;

/** Where a blade lies among its neighbours, looked at from the back. */
public enum Side {
  MARK,
  CENTRE,
  PILE;

  @Override
  public String toString() {
    return Kebab.of(this);
  }
}
