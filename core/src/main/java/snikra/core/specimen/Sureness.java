package snikra.core.specimen;

/** How well something was seen. */
public enum Sureness {
  SURE(0.985),
  LIKELY(0.85),
  UNSURE(0.55),
  /** Looked at, and not to be told. */
  CANNOT_TELL(0);

  private final double reliability;

  Sureness(double reliability) {
    this.reliability = reliability;
  }

  /** Probability that what was seen is what is there. */
  public double reliability() {
    return reliability;
  }

  @Override
  public String toString() {
    return Kebab.of(this);
  }
}
