package snikra.core.examination;

import java.util.List;
import snikra.core.examination.FactSlips.FactOffered;
import snikra.core.mark.MarkEra;

/**
 * Something that knives of a maker show and nobody wrote down yet.
 *
 * @param offered a slip that puts it on file, with the years the knives give it
 * @param knives places of the knives that show it
 * @param era its years, by all else those knives show
 */
public record Witnessed(FactOffered offered, List<Integer> knives, MarkEra era) {}
