package snikra.server.keeping;

/** Nothing can be kept just now, for the disk is full; what is kept can be read. */
public class DiskFull extends RuntimeException {
  private static final long serialVersionUID = 1L;

  DiskFull(String sentence) {
    super(sentence);
  }

  DiskFull(String sentence, Throwable cause) {
    super(sentence, cause);
  }
}
