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

  /** Its place among the groups. */
  final int index;

  /** By which it is the same whatever the marks say. */
  final String key;

  final Kind kind;
  final Voice voice;
  private final Priors priors;

  /** Prior mass by nearness to a change (0 far, 1 near) and year. */
  final double[][] mass;

  private final boolean[] met = new boolean[2];

  Group(int index, String key, Kind kind, Voice voice, int years, Priors priors) {
    this.index = index;
    this.key = key;
    this.kind = kind;
    this.voice = voice;
    this.priors = priors;
    mass = new double[2][years];
  }

  /** Takes up mass in one year. */
  void add(int near, int y, double more) {
    mass[near][y] += more;
    meet(near);
  }

  /** Is weighed far from (0) or near (1) a change, even where it has no mass. */
  void meet(int near) {
    met[near] = true;
    voice.meet(near);
  }

  /** Whether any of it is far from (0) or near (1) a change. */
  boolean isMet(int near) {
    return met[near];
  }

  /**
   * Adds the weight of all states of one style together, by year, of some parts and one more.
   *
   * @param asMade likelihood of all but the one part being of the knife's year
   * @param own likelihood of the one
   * @param one symmetric sum over all but the one part of the weights of not being so
   * @param two the same of pairs, in the style of the day
   * @param departs weight of the one part not being so
   */
  void addStates(
      int style,
      double[] asMade,
      double[] own,
      double[] one,
      double[] two,
      double[] departs,
      double[] weights) {
    boolean oldStyle = style == ClueTables.OLD_STYLE;
    boolean untrusted = kind == Kind.UNTRUSTED;
    double prior = prior(style);
    // The style and the mark count among the two things that may have happened at once.
    if (oldStyle && untrusted) {
      for (int y = 0; y < weights.length; y++) {
        weights[y] += prior * asMade[y] * own[y];
      }
    } else if (oldStyle || untrusted) {
      for (int y = 0; y < weights.length; y++) {
        weights[y] += prior * asMade[y] * own[y] * (1 + one[y] + departs[y]);
      }
    } else {
      for (int y = 0; y < weights.length; y++) {
        double pairs = two[y] + one[y] * departs[y];
        weights[y] += prior * asMade[y] * own[y] * (1 + one[y] + departs[y] + pairs);
      }
    }
  }

  /** Prior of the style and of the trust in the mark. */
  double prior(int style) {
    return (style == ClueTables.OLD_STYLE ? priors.oldStyle() : 1)
        * (kind == Kind.UNTRUSTED ? priors.untrusted() : 1);
  }
}
