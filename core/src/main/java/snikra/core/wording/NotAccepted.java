package snikra.core.wording;

import org.jspecify.annotations.Nullable;

/** A text that is not what it should be: what is accepted and what was found, apart. */
public final class NotAccepted extends IllegalArgumentException {
  private static final long serialVersionUID = 1L;

  private final String accepted;

  /**
   * A text that is not accepted.
   *
   * @param accepted what must be, beginning with "must be"
   * @param given the text
   */
  public NotAccepted(String accepted, String given) {
    this(accepted, given, null);
  }

  /** The same, with what lies behind it. */
  public NotAccepted(String accepted, String given, @Nullable Throwable cause) {
    super(accepted + "; found " + given, cause);
    this.accepted = accepted;
  }

  /** What must be, beginning with "must be". */
  public String accepted() {
    return accepted;
  }
}
