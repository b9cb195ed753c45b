package snikra.server.knives;

/** A change to a knife that was changed elsewhere since it was read. */
public class KnifeChangedMeanwhile extends RuntimeException {
  private static final long serialVersionUID = 1L;

  private final transient SavedKnife current;

  KnifeChangedMeanwhile(long given, SavedKnife current) {
    super(
        "This knife was changed elsewhere: you have version "
            + given
            + ", kept is version "
            + current.version()
            + ".");
    this.current = current;
  }

  /** The knife as it is kept now. */
  public SavedKnife current() {
    return current;
  }
}
