package snikra.core.specimen;

/** How a mark was put on the steel. */
public enum Technique {
  STRUCK,
  ETCHED,
  PRINTED,
  ENGRAVED;

  @Override
  public String toString() {
    return Kebab.of(this);
  }
}
