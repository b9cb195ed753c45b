package snikra.core.mark;

import java.util.List;
import snikra.core.reference.Maker;
import snikra.core.reference.MarkVariant;

/**
 * A mark on file that the reading may be.
 *
 * @param probability among all marks on file and an unlisted one, before anything else is known
 * @param lines the lines of the mark, letter by letter
 * @param letters legible letters of the reading
 * @param agreeing legible letters that agree
 */
public record MarkCandidate(
    Maker maker,
    MarkVariant variant,
    double probability,
    List<List<MarkLetter>> lines,
    int letters,
    int agreeing) {}
