package snikra.core.specimen;

/** What a face of a tang showed. */
public enum FaceState {
  READ,
  BARE,
  WORN;

  @Override
  public String toString() {
    return Kebab.of(this);
  }
}
