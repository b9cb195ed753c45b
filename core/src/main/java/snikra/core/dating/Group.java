package snikra.core.dating;

/** Hypotheses of one kind that hear the same voice, with their mass together. */
final class Group {
  /** Who made it, as far as the states differ. */
  enum Kind {
    /** On the shelf. */
    LISTED,
    UNLISTED,
    /** An unlisted hand under a mark that says nothing. */
    UNTRUSTED
  }

  /** Prior of a later knife in the old style, relative to one as made. */
  static final double OLD_STYLE_PRIOR = 0.10;

  static final double UNTRUSTED_PRIOR = 0.01;

  /** Its place among the groups. */
  final int index;

  final Kind kind;
  final Voice voice;

  /** Prior mass by nearness to a change (0 far, 1 near) and year. */
  final double[][] mass;

  private final boolean[] met = new boolean[2];

  Group(int index, Kind kind, Voice voice, int years) {
    this.index = index;
    this.kind = kind;
    this.voice = voice;
    mass = new double[2][years];
  }

  /** Takes up more mass in one year. */
  void add(int near, int y, double more) {
    mass[near][y] += more;
    met[near] |= more > 0;
  }

  /** Whether any of it is far from (0) or near (1) a change. */
  boolean isMet(int near) {
    return met[near];
  }

  /**
   * Weight of all states of one style together, relative to all parts of the knife's year, from the
   * symmetric sums of the weights of single parts.
   */
  double states(int style, double one, double two) {
    boolean alreadyTwo = style == ClueTables.OLD_STYLE && kind == Kind.UNTRUSTED;
    boolean alreadyOne = style == ClueTables.OLD_STYLE || kind == Kind.UNTRUSTED;
    return alreadyTwo ? 1 : alreadyOne ? 1 + one : 1 + one + two;
  }

  /** Prior of the style and of the trust in the mark. */
  double prior(int style) {
    return (style == ClueTables.OLD_STYLE ? OLD_STYLE_PRIOR : 1)
        * (kind == Kind.UNTRUSTED ? UNTRUSTED_PRIOR : 1);
  }
}
