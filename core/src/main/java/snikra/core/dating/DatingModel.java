package snikra.core.dating;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import snikra.core.clue.Bound;
import snikra.core.clue.Clue;
import snikra.core.clue.Firmness;
import snikra.core.clue.Part;
import snikra.core.dating.Conflicts.Curve;
import snikra.core.dating.DatingVerdict.ClueGroup;
import snikra.core.dating.DatingVerdict.ClueInfluence;
import snikra.core.dating.DatingVerdict.Conflict;
import snikra.core.dating.DatingVerdict.Explanation;
import snikra.core.dating.DatingVerdict.ForCountry;
import snikra.core.dating.DatingVerdict.StateProbability;
import snikra.core.dating.Evidence.Observed;
import snikra.core.dating.Evidence.Statement;
import snikra.core.dating.Hypotheses.Hypothesis;
import snikra.core.mark.MarkEvidence;
import snikra.core.reference.History;
import snikra.core.reference.Maker;
import snikra.core.reference.ReferenceShelf;
import snikra.core.trait.Traits;
import snikra.core.wording.Wording;

/** The dating model for one shelf. Immutable; safe for many threads. */
public final class DatingModel {
  private static final double HALF = 0.5;
  private static final double NINE_TENTHS = 0.9;
  private static final double TAIL = 0.01;

  /** A country less likely than this, with a clue and without, is not told of. */
  private static final double IN_QUESTION = 0.05;

  private static final double LEAST_DECIBANS = 1.5;
  private static final double LEAST_SHARE = 1e-6;
  private static final String MARK = "mark";

  private final Desk desk;
  private final ReferenceShelf shelf;
  private final YearAxis axis;
  private final ClueTables tables;
  private final List<Part> parts;
  private final LookNext lookNext;
  private final Deciders deciders;
  private final Traits traits;

  /** A model that knows this shelf and looks no further than {@code thisYear}. */
  public DatingModel(ReferenceShelf shelf, int thisYear) {
    this(shelf, new Desk(shelf, thisYear, null));
  }

  private DatingModel(ReferenceShelf shelf, Desk desk) {
    this.desk = desk;
    this.shelf = shelf;
    this.axis = desk.axis;
    this.tables = desk.tables;
    this.parts = desk.parts;
    this.lookNext = new LookNext(shelf, tables, axis);
    this.deciders = new Deciders(shelf, tables);
    this.traits = new Traits(shelf);
  }

  /** The same with another shelf; what follows from the books alone is shared. */
  public DatingModel with(ReferenceShelf other, int thisYear) {
    return new DatingModel(other, new Desk(other, thisYear, desk));
  }

  /** How much is told. */
  private enum Told {
    BRIEFLY,
    WITH_REASONS,
    WHOLE
  }

  /** The whole verdict. */
  public DatingVerdict date(Evidence evidence) {
    return date(evidence, Told.WHOLE);
  }

  /** The verdict without what to look at next. */
  public DatingVerdict dateWithReasons(Evidence evidence) {
    return date(evidence, Told.WITH_REASONS);
  }

  /** The verdict without the influence of each clue and without what to look at next. */
  public DatingVerdict dateBriefly(Evidence evidence) {
    return date(evidence, Told.BRIEFLY);
  }

  private DatingVerdict date(Evidence evidence, Told told) {
    List<Look> looks = looks(evidence);
    Hypotheses hypotheses = hypotheses(evidence);
    Inference inference = new Inference(hypotheses, axis.size(), byPart(looks));
    double[] post = inference.years();
    Explainer explainer = new Explainer(hypotheses, inference, desk, looks, evidence);
    List<StateProbability> states = explainer.states();
    List<Curve> curves = curves(evidence, looks, hypotheses);
    List<Conflict> conflicts =
        new Conflicts(axis, curves, (a, b) -> resolving(a, b, evidence, explainer)).find();
    List<ClueInfluence> clues =
        told == Told.BRIEFLY ? List.of() : influences(evidence, looks, inference, post, conflicts);
    List<ClueGroup> groups = groups(clues, looks, curves, inference, post);
    Span half = Distribution.span(post, HALF, axis);
    Span nineTenths = Distribution.span(post, NINE_TENTHS, axis);
    var makers = explainer.makers();
    boolean seen =
        !looks.isEmpty()
            || evidence.marks().anySeen()
            || evidence.number() != null
            || !evidence.codes().isEmpty();
    List<Explanation> explanations = seen ? explainer.explanations() : List.of();
    if (told == Told.WHOLE) {
      explanations = deciders.added(explanations, explainer, evidence, lookNext.left(evidence));
    }
    return new DatingVerdict(
        axis.first(),
        post,
        half,
        nineTenths,
        axis.year(Distribution.mode(post)),
        axis.year(Distribution.quantile(post, HALF)),
        axis.year(Distribution.quantile(post, TAIL)),
        axis.year(Distribution.quantile(post, 1 - TAIL)),
        makers,
        states,
        explanations,
        clues,
        told == Told.BRIEFLY || !evidence.marks().anySeen()
            ? null
            : ofMarks(evidence, hypotheses, inference, post, conflicts),
        groups,
        conflicts,
        OpinionWriter.write(
            seen,
            nineTenths,
            states,
            explanations,
            clues,
            conflicts,
            makers,
            features -> middle(features, curves),
            traits::label,
            evidence.marks()),
        told == Told.WHOLE ? lookNext.find(evidence, explainer, makers) : List.of());
  }

  private Hypotheses hypotheses(Evidence evidence) {
    return new Hypotheses(desk, evidence);
  }

  private List<Look> looks(Evidence evidence) {
    List<Look> looks = new ArrayList<>();
    for (Observed o : evidence.observed()) {
      looks.add(desk.look(o));
    }
    for (Statement s : evidence.statements()) {
      looks.add(desk.told(s));
    }
    return looks;
  }

  private List<List<Look>> byPart(List<Look> looks) {
    List<List<Look>> byPart = new ArrayList<>();
    for (int k = 0; k <= parts.size(); k++) {
      int part = k;
      byPart.add(looks.stream().filter(l -> l.part() == part).toList());
    }
    return byPart;
  }

  private List<ClueInfluence> influences(
      Evidence evidence,
      List<Look> looks,
      Inference inference,
      double[] post,
      List<Conflict> conflicts) {
    Set<String> inConflict =
        conflicts.stream()
            .flatMap(c -> Stream.of(c.feature(), c.rival()))
            .collect(Collectors.toSet());
    int median = Distribution.quantile(post, HALF);
    List<Inference.Without> without = inference.withoutEach(looks);
    double[] regions = looks.isEmpty() ? new double[0] : inference.regions();
    List<ClueInfluence> out = new ArrayList<>();
    for (int i = 0; i < looks.size(); i++) {
      Look look = looks.get(i);
      double[] years = without.get(i).years();
      int shift = median - Distribution.quantile(years, HALF);
      double bits = Distribution.bitsLost(post, years);
      boolean conflict = inConflict.contains(look.id());
      ForCountry country = country(regions, without.get(i).regions());
      out.add(
          i < evidence.observed().size()
              ? influence(
                  evidence.observed().get(i), shift, bits, conflict, option(evidence, i), country)
              : influence(
                  evidence.statements().get(i - evidence.observed().size()),
                  shift,
                  bits,
                  conflict,
                  country));
    }
    out.sort(Comparator.comparingDouble((ClueInfluence c) -> -c.bits()));
    return out;
  }

  // Of the countries that come into question, the one whose odds it moves most.
  private @Nullable ForCountry country(double[] with, double[] without) {
    int most = -1;
    double moved = LEAST_DECIBANS;
    for (int r = 0; r < Math.min(with.length, without.length); r++) {
      if (Math.max(with[r], without[r]) >= IN_QUESTION) {
        double decibans = 10 * Math.log10(odds(with[r]) / odds(without[r]));
        if (Math.abs(decibans) > Math.abs(moved) + 1e-9) {
          moved = decibans;
          most = r;
        }
      }
    }
    return most < 0 ? null : ForCountry.of(desk.shelf.regions().get(most), moved);
  }

  private static double odds(double p) {
    double held = Math.max(LEAST_SHARE, Math.min(1 - LEAST_SHARE, p));
    return held / (1 - held);
  }

  private ClueInfluence ofMarks(
      Evidence evidence,
      Hypotheses hypotheses,
      Inference inference,
      double[] post,
      List<Conflict> conflicts) {
    Hypotheses unmarked = hypotheses.without(evidence.unmarked());
    double[] without = inference.years(unmarked);
    boolean isRead = evidence.marks().anyRead();
    Span span = Distribution.span(markAlone(hypotheses), NINE_TENTHS, axis);
    return new ClueInfluence(
        MARK,
        "marks",
        "Mark",
        "The mark",
        read(evidence.marks()),
        isRead ? span.from() : null,
        isRead ? span.to() : null,
        isRead ? Firmness.FIRM.toString() : null,
        Distribution.quantile(post, HALF) - Distribution.quantile(without, HALF),
        Distribution.bitsLost(post, without),
        "What is read on tangs and blades, held against all marks on the shelf.",
        "",
        conflicts.stream().anyMatch(c -> c.feature().equals(MARK) || c.rival().equals(MARK)),
        country(inference.regions(), inference.regions(unmarked)));
  }

  private static String read(MarkEvidence marks) {
    if (!marks.anyRead()) {
      return "None, where a mark may stand";
    }
    boolean isClear =
        !marks.candidates().isEmpty() && marks.candidates().get(0).probability() >= HALF;
    return isClear
        ? String.join(" / ", marks.candidates().get(0).variant().lines())
        : marks.unlisted() >= HALF ? "Not on file" : "May be one of several on file";
  }

  private List<ClueGroup> groups(
      List<ClueInfluence> clues,
      List<Look> looks,
      List<Curve> curves,
      Inference inference,
      double[] post) {
    int median = Distribution.quantile(post, HALF);
    List<ClueGroup> out = new ArrayList<>();
    for (List<ClueInfluence> agreeing : Agreement.among(clues, curves, tables.atLarge())) {
      List<String> ids = agreeing.stream().map(ClueInfluence::feature).toList();
      if (ids.size() == 1) {
        out.add(new ClueGroup(ids, agreeing.get(0).medianShift(), agreeing.get(0).bits()));
      } else {
        List<Look> left = looks.stream().filter(look -> ids.contains(look.id())).toList();
        double[] without = inference.yearsWithout(left);
        int shift = median - Distribution.quantile(without, HALF);
        out.add(new ClueGroup(ids, shift, Distribution.bitsLost(post, without)));
      }
    }
    out.sort(Comparator.comparingDouble((ClueGroup g) -> -g.bits()));
    return out;
  }

  // What the house offered is no change: its own record is told beside the general reason.
  private String option(Evidence evidence, int i) {
    Observed o = evidence.observed().get(i);
    return evidence.marks().candidates().stream()
        .limit(1)
        .filter(c -> c.probability() >= HALF)
        .map(c -> c.maker())
        .flatMap(
            maker ->
                Stream.concat(
                    ofModel(maker, o, evidence.number()).stream(), fitted(maker, o).stream()))
        .findFirst()
        .orElse("");
  }

  private static Optional<String> fitted(Maker maker, Observed o) {
    return maker.history().allFittings().stream()
        .filter(f -> f.feature().equals(o.feature().id()) && f.value().equals(o.clue().id()))
        .map(f -> offered(maker.name(), f.from(), f.to(), f.note()))
        .findFirst();
  }

  // Of the model its number names, before any other.
  private static Optional<String> ofModel(Maker maker, Observed o, @Nullable String number) {
    return maker.history().models().stream()
        .sorted(Comparator.comparing((History.Model m) -> !m.number().equals(number)))
        .flatMap(
            model ->
                model.options().stream()
                    .filter(p -> p.feature().equals(o.feature().id()))
                    .filter(p -> p.value().equals(o.clue().id()))
                    .map(
                        p ->
                            offered(
                                "No. " + model.number() + " of " + maker.name(),
                                p.from() == null ? model.from() : p.from(),
                                p.to() == null ? model.to() : p.to(),
                                p.note())))
        .findFirst();
  }

  private static String offered(String by, int from, int to, String note) {
    return " An option of " + by + ", " + from + " to " + to + (note.isEmpty() ? "." : ": " + note);
  }

  private ClueInfluence influence(
      Observed o,
      int shift,
      double bits,
      boolean conflict,
      String option,
      @Nullable ForCountry country) {
    Clue clue = o.clue();
    Bound before = clue.notBefore();
    if (before == null && !clue.windows().isEmpty()) {
      Clue.Window first = clue.windows().get(0);
      before = new Bound(first.from(), first.ramp(), first.firmness());
    }
    Bound after = clue.notAfter();
    Bound firm = before == null ? after : before;
    return new ClueInfluence(
        o.feature().id(),
        o.feature().station(),
        shelf.clues().part(o.feature().part()).label(),
        o.feature().label(),
        clue.label(),
        before == null ? null : before.year(),
        after == null ? null : after.year(),
        firm == null ? null : firm.firmness().toString(),
        shift,
        bits,
        clue.why() + option,
        clue.source(),
        conflict,
        country);
  }

  private static ClueInfluence influence(
      Statement s, int shift, double bits, boolean conflict, @Nullable ForCountry country) {
    return new ClueInfluence(
        s.id(),
        s.station(),
        s.heading(),
        s.heading(),
        s.label(),
        s.notBefore(),
        s.byYear(),
        s.notBefore() == null ? "soft" : "hard",
        shift,
        bits,
        s.why(),
        "",
        conflict,
        country);
  }

  private List<Curve> curves(Evidence evidence, List<Look> looks, Hypotheses hypotheses) {
    List<Curve> curves = new ArrayList<>();
    int told = 0;
    for (Observed o : evidence.observed()) {
      Look look = looks.get(told++);
      if (o.clue().isDated()) {
        curves.add(new Curve(o.feature().id(), named(o), tables.alone(look)));
      }
    }
    for (Statement s : evidence.statements()) {
      Look look = looks.get(told++);
      if (s.isDated()) {
        curves.add(new Curve(s.id(), s.label(), tables.alone(look)));
      }
    }
    if (evidence.marks().anyRead()) {
      curves.add(new Curve(MARK, "The mark", markAlone(hypotheses)));
    }
    return curves;
  }

  private int middle(List<String> features, List<Curve> curves) {
    double[] together = axis.map(year -> 1);
    for (Curve curve : curves) {
      if (features.contains(curve.feature())) {
        together = Distribution.product(together, curve.years());
      }
    }
    return axis.year(Distribution.quantile(Distribution.normalised(together), HALF));
  }

  // Whatever lifts a conflict between two clues: a part that is not of the year, a misjudged look,
  // a
  // story that is not so, an older style, a mark of another.
  private Optional<StateProbability> resolving(
      String clue, String rival, Evidence evidence, Explainer explainer) {
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

  private double[] markAlone(Hypotheses hypotheses) {
    double[] row = new double[axis.size()];
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
