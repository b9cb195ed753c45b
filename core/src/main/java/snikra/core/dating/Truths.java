package snikra.core.dating;

import java.util.List;
import java.util.Set;
import snikra.core.dating.Evidence.Statement;
import snikra.core.dating.Hypotheses.Hypothesis;

/**
 * Holds what is told of a knife against all it shows. A statement is told rightly or by mistake;
 * under each hypothesis, region and year both parts of its likelihood are known, so that the share
 * of the right one, weighed by the posterior, is the chance that it is so.
 */
final class Truths {
  private static final double NINE_TENTHS = 0.9;

  private final Desk desk;
  private final Evidence evidence;
  private final Worked worked;

  Truths(Desk desk, Evidence evidence) {
    this.desk = desk;
    this.evidence = evidence;
    this.worked = new Worked(desk, evidence);
  }

  List<StoryTruth> of(Set<String> ids) {
    return evidence.statements().stream().filter(s -> ids.contains(s.id())).map(this::of).toList();
  }

  private StoryTruth of(Statement said) {
    double alone = 1;
    alone *= said.isOfOrigin() ? said.reliability() : 1;
    alone *= said.maker() != null ? said.reliability() : 1;
    double chance = chance(said);
    boolean isDoubted = chance < alone * desk.shelf.judgement().of("story.doubted");
    double[] years =
        isDoubted ? new Worked(desk, evidence.without(Set.of(said.id()))).years : worked.years;
    return new StoryTruth(
        said.id(),
        alone,
        chance,
        isDoubted,
        Distribution.span(years, NINE_TENTHS, desk.axis),
        desk.axis.year(Distribution.quantile(years, NINE_TENTHS)),
        isDoubted ? new Worked(desk, evidence.believing(said.id())).explainer.states() : List.of());
  }

  private double chance(Statement said) {
    Look look = worked.looks.get(evidence.observed().size() + evidence.statements().indexOf(said));
    double right = 0;
    double all = 0;
    for (Hypothesis h : worked.hypotheses.all) {
      double[][] weight = worked.inference.weight[h.group().index];
      double[] origin = said.isOfOrigin() ? rightly(said, look, h.group().voice.region) : null;
      double named = said.maker() == null ? 1 : desk.rightlyNamed(said, h.maker());
      for (int near = 0; near < 2; near++) {
        double[] mass = h.mass()[near];
        for (int y = h.from(); h.group().isMet(near) && y < h.to(); y++) {
          double p = mass[y] > 0 ? mass[y] * weight[near][y] : 0;
          all += p;
          right += p * named * (origin == null ? 1 : origin[y]);
        }
      }
    }
    return right / all;
  }

  // Told rightly, of all ways it may have come to be told, by year.
  private double[] rightly(Statement said, Look look, int region) {
    double[] told = look.likelihood()[region][ClueTables.AS_MADE];
    double[] so = look.compatibility()[region];
    return desk.axis.map(
        year -> {
          int y = year - desk.axis.first();
          return told[y] > 0 ? said.reliability() * so[y] / told[y] : 0;
        });
  }
}
