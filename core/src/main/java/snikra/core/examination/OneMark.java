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
public record OneMark(List<Consensus.Line> lines, @Nullable MarkEra era, MarkSlip slip) {
  /** Whether any line of it is on a knife; its place in the order of the knives. */
  public boolean isOn(int knife) {
    return isOn(lines, knife);
  }

  static boolean isOn(List<Consensus.Line> lines, int knife) {
    return lines.stream().anyMatch(l -> l.isOn(knife));
  }

  /** The same with this note on its slip. */
  public OneMark noted(String note) {
    return new OneMark(lines, era, slip.noted(note));
  }
}
