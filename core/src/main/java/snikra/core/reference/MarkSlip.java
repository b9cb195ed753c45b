package snikra.core.reference;

import java.util.List;
import org.jspecify.annotations.Nullable;
import snikra.core.specimen.Layout;
import snikra.core.specimen.Technique;

/**
 * A mark as a collector puts it on file: as it stands on a knife, with whose it is, its years and
 * how it is known. While it is written much of it is still open.
 *
 * @param maker name of the maker
 * @param region country of a maker not on file yet
 * @param place town of a maker not on file yet
 * @param lines as struck on the mark side of the main tang, top to bottom
 * @param pile as struck on the pile side
 * @param etch as put on the flat of the main blade
 * @param layout how the first line runs
 * @param everyBlade whether the small blades carry it as well
 * @param from first year of use
 * @param to last year of use
 * @param give years by which either end may be out
 * @param sourceKind what kind of source it is known from
 * @param source the source by name
 */
public record MarkSlip(
    @Nullable String maker,
    @Nullable String region,
    @Nullable String place,
    List<String> lines,
    List<String> pile,
    List<String> etch,
    @Nullable Layout layout,
    @Nullable Technique technique,
    boolean everyBlade,
    @Nullable Integer from,
    @Nullable Integer to,
    int give,
    @Nullable String sourceKind,
    @Nullable String source,
    @Nullable String note) {

  public MarkSlip {
    lines = List.copyOf(lines);
    pile = pile == null ? List.of() : List.copyOf(pile);
    etch = etch == null ? List.of() : List.copyOf(etch);
  }

  /** The same of other years. */
  public MarkSlip in(int first, int last, int out) {
    return new MarkSlip(
        maker,
        region,
        place,
        lines,
        pile,
        etch,
        layout,
        technique,
        everyBlade,
        first,
        last,
        out,
        sourceKind,
        source,
        note);
  }

  /** The same with another note. */
  public MarkSlip noted(String other) {
    return new MarkSlip(
        maker,
        region,
        place,
        lines,
        pile,
        etch,
        layout,
        technique,
        everyBlade,
        from,
        to,
        give,
        sourceKind,
        source,
        other);
  }
}
