package snikra.core.wording;

import org.jspecify.annotations.Nullable;

/** A text that is not what it should be: what is accepted and what was found, apart. */
public final class NotAccepted extends IllegalArgumentException {
  private static final long serialVersionUID = 1L;

  private final @Nullable String field;
  private final String accepted;
  private final String given;

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
    this(null, accepted, given, cause);
  }

  private NotAccepted(
      @Nullable String field, String accepted, String given, @Nullable Throwable cause) {
    super((field == null ? "" : field + " ") + accepted + "; found " + given, cause);
    this.field = field;
    this.accepted = accepted;
    this.given = given;
  }

  /** One of several things that were given together. */
  public static NotAccepted at(String field, String accepted, String given) {
    return new NotAccepted(field, accepted, given, null);
  }

  /** Which of several it is; null where one alone was given. */
  public @Nullable String field() {
    return field;
  }

  /** The text. */
  public String given() {
    return given;
  }

  /** What must be, beginning with "must be". */
  public String accepted() {
    return accepted;
  }
}
