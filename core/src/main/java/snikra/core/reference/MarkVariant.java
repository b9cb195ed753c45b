package snikra.core.reference;

import java.util.List;
import java.util.Map;
import snikra.core.specimen.Face;
import snikra.core.specimen.Layout;
import snikra.core.specimen.Technique;

/**
 * One form of a maker's mark.
 *
 * @param lines as struck on the mark side of the main tang, top to bottom
 * @param pile as struck on the pile side, empty when that side is bare
 * @param etch as put on the flat of the main blade, empty when that is bare
 * @param layout how the first line runs
 * @param everyBlade whether the small blades carry it as well
 * @param from first year of use, closed
 * @param to last year of use, closed
 * @param give years by which either end may be out
 * @param trust how far the listing is to be believed, above 0 and below 1
 * @param letterform how its letters and figures are cut, by look of the clue book; empty where
 *     nobody wrote it down
 */
public record MarkVariant(
    String id,
    List<String> lines,
    List<String> pile,
    List<String> etch,
    Layout layout,
    Technique technique,
    boolean everyBlade,
    int from,
    int to,
    int give,
    String note,
    String source,
    double trust,
    Map<String, String> letterform) {

  /** A straight mark on the tang alone. */
  public MarkVariant(
      String id,
      List<String> lines,
      List<String> pile,
      Technique technique,
      boolean everyBlade,
      int from,
      int to,
      int give,
      String note,
      String source) {
    this(
        id,
        lines,
        pile,
        List.of(),
        Layout.STRAIGHT,
        technique,
        everyBlade,
        from,
        to,
        give,
        note,
        source,
        Trust.MOST,
        Map.of());
  }

  public MarkVariant {
    trust = Trust.orMost(trust);
    letterform = letterform == null ? Map.of() : Map.copyOf(letterform);
    lines = List.copyOf(lines);
    pile = List.copyOf(pile);
    etch = etch == null ? List.of() : List.copyOf(etch);
    layout = layout == null ? Layout.STRAIGHT : layout;
    if (!(from <= to)) {
      throw new IllegalArgumentException(
          "years of mark " + id + " must run forward; found " + from + " to " + to);
    }
    if (lines.isEmpty()) {
      throw new IllegalArgumentException("mark " + id + " must have at least one line; found 0");
    }
  }

  /** Relative use in a year: 1 inside, falling over {@code give} years, 0 beyond. */
  public double useIn(int year) {
    int outside = Math.max(from - year, year - to);
    if (outside <= 0) {
      return 1;
    }
    return outside > give ? 0 : 1 - outside / (give + 1.0);
  }

  /** The same mark in other years. */
  MarkVariant in(History.Years years) {
    return new MarkVariant(
        id,
        lines,
        pile,
        etch,
        layout,
        technique,
        everyBlade,
        years.from(),
        years.to(),
        give,
        note,
        source,
        trust,
        letterform);
  }

  /** The same listing, believed so far. */
  public MarkVariant believed(double other) {
    return new MarkVariant(
        id,
        lines,
        pile,
        etch,
        layout,
        technique,
        everyBlade,
        from,
        to,
        give,
        note,
        source,
        other,
        letterform);
  }

  /** What it has on one face of the main blade. */
  public List<String> on(Face face) {
    return switch (face) {
      case MARK -> lines;
      case PILE -> pile;
      case BLADE -> etch;
    };
  }
}
