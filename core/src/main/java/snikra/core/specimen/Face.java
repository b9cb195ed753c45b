package snikra.core.specimen;

/** Where on a blade; the mark side faces you with the point to the left and the edge down. */
public enum Face {
  /** The tang, mark side. */
  MARK,
  /** The tang, pile side. */
  PILE,
  /** The flat of the blade, mark side. */
  BLADE;

  @Override
  public String toString() {
    return Kebab.of(this);
  }
}
