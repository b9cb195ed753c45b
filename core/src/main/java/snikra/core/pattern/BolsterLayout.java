package snikra.core.pattern;

import java.util.Locale;

/**
 * Where a handle has bolsters.
 *
 * @param label the words for it after "it asks for"
 * @param front how much of the closed length its metal takes at the main pivot, as a share
 * @param rear the same at the other end
 * @param form what its metal is like
 */
public record BolsterLayout(
    String id, String label, String recognise, double front, double rear, Form form) {

  public BolsterLayout {
    form = form == null ? Form.BOLSTER : form;
  }

  /** What the metal of a handle is like, as one sees it. */
  public enum Form {
    /** Ends of their own, with a joint to the cover. */
    BOLSTER,
    /** A band with an edge at either side. */
    BAND,
    /** Ends that are pressed in one sheet with the cover. */
    PRESSED,
    /** The cover itself. */
    COVER;

    @Override
    public String toString() {
      return name().toLowerCase(Locale.ROOT);
    }
  }
}
