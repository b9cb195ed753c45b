package snikra.server.phone;

/** No line to a phone can be opened; the message says why. */
public class NoLine extends RuntimeException {
  private static final long serialVersionUID = 1L;

  NoLine(String message) {
    super(message);
  }
}
