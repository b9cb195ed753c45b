package snikra.core.dating;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import snikra.core.dating.Conflicts.Curve;
import snikra.core.dating.DatingVerdict.Conflict;
import snikra.core.dating.DatingVerdict.StateProbability;
import snikra.core.dating.Evidence.Observed;
import snikra.core.dating.Evidence.Statement;
import snikra.core.dating.Hypotheses.Hypothesis;
import snikra.core.wording.Wording;

/** What follows from the evidence of one knife, before any of it is told. */
final class Worked {
  /** Stands for all marks together. */
  static final String MARK = "mark";

  private static final double HALF = 0.5;

  final Evidence evidence;

  /** What each look says, then each statement, in the order of the evidence. */
  final List<Look> looks;

  final Hypotheses hypotheses;
  final Inference inference;

  /** Probability of each year. */
  final double[] years;

  final Explainer explainer;

  /** The years each clue speaks for on its own. */
  final List<Curve> curves;

  final List<Conflict> conflicts;
  private final Desk desk;

  Worked(Desk desk, Evidence evidence) {
    this.desk = desk;
    this.evidence = evidence;
    this.looks = looks();
    this.hypotheses = new Hypotheses(desk, evidence);
    this.inference = new Inference(hypotheses, desk.axis.size(), byPart());
    this.years = inference.years();
    this.explainer = new Explainer(hypotheses, inference, desk, looks, evidence);
    this.curves = curves();
    this.conflicts = new Conflicts(desk.axis, desk.limits, curves, this::resolving).find();
  }

  /** Whether anything was seen that dates or names it. */
  boolean isSeen() {
    return !looks.isEmpty()
        || evidence.marks().anySeen()
        || evidence.number() != null
        || !evidence.codes().isEmpty();
  }

  private List<Look> looks() {
    List<Look> looks = new ArrayList<>();
    for (Observed o : evidence.observed()) {
      looks.add(desk.look(o));
    }
    for (Statement s : evidence.statements()) {
      looks.add(desk.told(s));
    }
    return looks;
  }

  private List<List<Look>> byPart() {
    List<List<Look>> byPart = new ArrayList<>();
    for (int k = 0; k <= desk.parts.size(); k++) {
      int part = k;
      byPart.add(looks.stream().filter(l -> l.part() == part).toList());
    }
    return byPart;
  }

  private List<Curve> curves() {
    List<Curve> out = new ArrayList<>();
    int told = 0;
    for (Observed o : evidence.observed()) {
      Look look = looks.get(told++);
      if (o.clue().isDated()) {
        out.add(new Curve(o.feature().id(), named(o), desk.tables.alone(look)));
      }
    }
    for (Statement s : evidence.statements()) {
      Look look = looks.get(told++);
      if (s.isDated()) {
        out.add(new Curve(s.id(), s.label(), desk.tables.alone(look)));
      }
    }
    if (evidence.marks().anyRead()) {
      out.add(new Curve(MARK, "The mark", markAlone()));
    }
    return out;
  }

  /** The middle of the years that some clues speak for together. */
  int middle(List<String> features) {
    double[] together = desk.axis.map(year -> 1);
    for (Curve curve : curves) {
      if (features.contains(curve.feature())) {
        together = Distribution.product(together, curve.years());
      }
    }
    return desk.axis.year(Distribution.quantile(Distribution.normalised(together), HALF));
  }

  // Whatever lifts a conflict between two clues: a part that is not of the year, a misjudged look,
  // a story that is not so, an older style, a mark of another.
  private Optional<StateProbability> resolving(String clue, String rival) {
    Set<String> both = Set.of(clue, rival);
    List<Observed> seen =
        evidence.observed().stream().filter(o -> both.contains(o.feature().id())).toList();
    Set<String> of = seen.stream().map(o -> o.feature().part()).collect(Collectors.toSet());
    boolean copied = seen.stream().anyMatch(o -> o.clue().isCopied());
    return explainer.likeliest(
        state ->
            switch (state.kind()) {
              case PART_REPLACED, OLDER_PART -> of.contains(state.part());
              case MISJUDGED, UNTRUE -> both.contains(state.part());
              case OLD_STYLE -> copied;
              case MARK_UNTRUSTED -> both.contains(MARK);
              default -> false;
            });
  }

  private static String named(Observed o) {
    return o.feature().label()
        + " ("
        + (o.feature().markBorne() ? o.clue().label() : Wording.lowerFirst(o.clue().label()))
        + ")";
  }

  /** The years all marks together speak for. */
  double[] markAlone() {
    double[] row = new double[desk.axis.size()];
    for (Hypothesis h : hypotheses.all) {
      if (h.group().kind != Group.Kind.UNTRUSTED) {
        for (int y = h.from(); y < h.to(); y++) {
          row[y] += h.mass()[0][y] + h.mass()[1][y];
        }
      }
    }
    return Distribution.normalised(row);
  }
}
