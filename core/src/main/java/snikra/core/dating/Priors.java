package snikra.core.dating;

import java.util.List;
import snikra.core.clue.Part;
import snikra.core.judgement.Judgement;

/**
 * How likely a knife came to be otherwise than as made, relative to that.
 *
 * @param oldStyle made later in an older style
 * @param untrusted under a mark that is not its maker's
 * @param older a part of older stock, far from (0) and near (1) a change of owner, model or closing
 * @param olderBy years by which older stock may be older
 * @param replaced by part; the last place is the story, which is told of the whole knife
 */
record Priors(double oldStyle, double untrusted, double[] older, int olderBy, double[] replaced) {

  static Priors of(Judgement judgement, List<Part> parts) {
    double[] replaced = new double[parts.size() + 1];
    for (int k = 0; k < parts.size(); k++) {
      replaced[k] = replaced(judgement, parts.get(k));
    }
    return new Priors(
        judgement.of("state.old-style"),
        judgement.of("state.mark-untrusted"),
        new double[] {
          judgement.of("state.older-part"), judgement.of("state.older-part-near-change")
        },
        olderBy(judgement),
        replaced);
  }

  /** Years by which older stock may be older. */
  static int olderBy(Judgement judgement) {
    return (int) judgement.of("state.years-of-older-stock");
  }

  private static double replaced(Judgement judgement, Part part) {
    return part.replaceable() == Part.Replaceable.NEVER
        ? 0
        : judgement.of("replaced." + part.replaceable());
  }
}
