package snikra.core.examination;

import java.util.List;
import org.jspecify.annotations.Nullable;
import snikra.core.mark.Consensus;
import snikra.core.mark.MarkEra;
import snikra.core.reference.MarkSlip;

/**
 * A mark that several knives bear, out of all of them.
 *
 * @param lines put together from what is read on each
 * @param era when it was in use by all else they show; null where nothing else was looked at
 * @param slip to put it on file
 */
public record OneMark(List<Consensus.Line> lines, @Nullable MarkEra era, MarkSlip slip) {}
