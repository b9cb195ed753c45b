package snikra.server;

/** A start that cannot be, told in one plain sentence. */
class StartRefused extends RuntimeException {
  private static final long serialVersionUID = 1L;

  StartRefused(String sentence) {
    super(sentence);
  }

  /** The plain sentence behind a failure deep inside. */
  static String explain(Throwable failure) {
    StringBuilder all = new StringBuilder();
    for (Throwable t = failure; t != null; t = t.getCause()) {
      if (t instanceof StartRefused) {
        return t.getMessage();
      }
      all.append(t.getMessage()).append('\n');
    }
    if (all.toString().contains("may be already in use")) {
      return "The data folder is in use by another Snikra. Stop it, or choose another with --data"
          + " DIR.";
    }
    if (all.toString().contains("Unsupported database file version")) {
      return newer();
    }
    String first = all.toString().lines().findFirst().orElse("no reason given");
    return "Snikra cannot start: " + first;
  }

  static String newer() {
    return "The knives in the data folder were written by a newer Snikra. Start that one, or choose"
        + " another folder with --data DIR.";
  }
}
