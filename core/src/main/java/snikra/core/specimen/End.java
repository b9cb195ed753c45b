package snikra.core.specimen;

/** The end of the handle a blade pivots at; A is the end of the main blade. */
public enum End {
  A,
  B;

  @Override
  public String toString() {
    return name();
  }
}
