package snikra.server.parcel;

import java.util.Locale;
import java.util.Set;

/** How a knife of a parcel stands to the one that is here. */
enum Standing {
  /** Not here. */
  NEW,
  /** Here as it is there. */
  SAME,
  /** Changed there since both were the same. */
  THEIRS_NEWER,
  /** Changed here since both were the same. */
  OURS_NEWER,
  /** Changed in both places, or never known to have been the same. */
  BOTH_CHANGED,
  /** Taken out of the tray here: it stays out. */
  TAKEN_OUT;

  /**
   * How two stand to one another by what came with parcels before. A state that came has been in
   * both places: whoever still has it has changed nothing since.
   *
   * @param ours the sum of what is here
   * @param theirs the sum of what is in the parcel
   * @param came sums of what came with parcels before, to here or to there
   */
  static Standing of(String ours, String theirs, Set<String> came) {
    if (ours.equals(theirs)) {
      return SAME;
    }
    boolean isOursKnown = came.contains(ours);
    if (isOursKnown == came.contains(theirs)) {
      return BOTH_CHANGED;
    }
    return isOursKnown ? THEIRS_NEWER : OURS_NEWER;
  }

  @Override
  public String toString() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }
}
