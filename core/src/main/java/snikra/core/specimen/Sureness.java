package snikra.core.specimen;

/** How well something was seen. */
public enum Sureness {
  SURE,
  LIKELY,
  UNSURE,
  /** Looked at, and not to be told. */
  CANNOT_TELL;

  @Override
  public String toString() {
    return Kebab.of(this);
  }
}
