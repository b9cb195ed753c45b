package snikra.core.mark;

import java.util.Locale;

/** One letter of a mark on file, and how the reading stands to it. */
public record MarkLetter(String letter, Fit fit) {

  /** How a reading stands to one letter. */
  public enum Fit {
    /** Read as this letter. */
    READ,
    /** Not read; the mark on file supplies it. */
    SUPPLIED,
    /** Read as another letter. */
    AGAINST,
    /** A space or a point, which is no evidence. */
    BARE;

    @Override
    public String toString() {
      return name().toLowerCase(Locale.ROOT);
    }
  }
}
