package snikra.formats;

/** A knife that is kept but cannot be read by this Snikra. Its text stays as it is. */
public class UnreadableKnife extends IllegalStateException {
  private static final long serialVersionUID = 1L;

  /** Why, in a sentence for the collector. */
  private UnreadableKnife(String sentence, Throwable cause) {
    super(sentence, cause);
  }

  static UnreadableKnife because(Throwable cause) {
    boolean newer =
        cause instanceof InvalidInput invalid
            && invalid.problems().stream().anyMatch(p -> p.field().equals(Upgrades.FORMAT));
    return new UnreadableKnife(
        newer
            ? "A newer Snikra wrote this knife. Its text is kept as it is."
            : "What is kept of this knife cannot be read. Its text is kept as it is.",
        cause);
  }
}
