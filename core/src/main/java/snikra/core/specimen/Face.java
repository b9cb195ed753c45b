package snikra.core.specimen;

/** A side of a blade; the mark side faces you with the point to the left and the edge down. */
public enum Face {
  MARK,
  PILE;

  @Override
  public String toString() {
    return Kebab.of(this);
  }
}
