package snikra.server.photos;

/** A photograph whose file is not there any more. */
public class LostPhotograph extends RuntimeException {
  private static final long serialVersionUID = 1L;

  LostPhotograph(String name, Throwable cause) {
    super(
        "The file of "
            + name
            + " is not in the data folder any more. A backup may have it: see Safe keeping.",
        cause);
  }
}
