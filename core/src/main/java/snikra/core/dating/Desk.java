package snikra.core.dating;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;
import snikra.core.clue.Part;
import snikra.core.code.CodeRates;
import snikra.core.judgement.Judgement;
import snikra.core.number.GrammarRates;
import snikra.core.number.NumberErrors;
import snikra.core.pattern.Pattern;
import snikra.core.reference.History;
import snikra.core.reference.Maker;
import snikra.core.reference.MarkVariant;
import snikra.core.reference.ReferenceShelf;
import snikra.core.reference.Region;

/** What is worked out once for a shelf, ready for every knife. */
final class Desk {
  final ReferenceShelf shelf;
  final YearAxis axis;
  final ClueTables tables;
  final List<List<MarkUse>> uses;
  final List<List<Hand>> hands;

  /** By house, the share of its knives that each hand made. */
  final List<double[]> handShares = new ArrayList<>();

  final List<Part> parts;
  final Priors priors;
  final HandReader handReader;

  /** How often another maker on file made it without a contract on file. */
  final double noContract;

  /** How often a hand struck its own mark on a small blade. */
  final double othersMark;

  /** How a number goes wrong. */
  final NumberErrors numberErrors;

  /** How faithfully it follows its grammar. */
  final GrammarRates grammarRates;

  final CodeRates codeRates;

  final Limits limits;

  private final PatternEras patternEras;

  /** By pattern, region, style and year. */
  private final Map<String, double[][][]> eras;

  private final double ruledOut;
  private final double beforeRun;
  private final double afterRun;
  private final double fade;
  private final double shownOtherwise;
  private final double designHalves;
  private final double numberAbroad;
  private final double numberAfterTerm;
  private final double numberFades;
  private final double notListedFor;
  private final IdentityHashMap<History.Model, double[]> runs = new IdentityHashMap<>();

  /**
   * A desk with this shelf.
   *
   * @param like another, of which what follows from the books alone is taken over where they are
   *     the same: it is by far the most of what a desk holds in memory
   */
  Desk(ReferenceShelf shelf, int thisYear, @Nullable Desk like) {
    Judgement judgement = shelf.judgement();
    this.shelf = shelf;
    this.axis = new YearAxis(YearAxis.FIRST, thisYear);
    boolean isSame = like != null && like.axis.equals(axis) && like.shelf.hasBooksOf(shelf);
    this.tables = isSame ? like.tables : new ClueTables(shelf, axis);
    this.eras = isSame ? like.eras : new ConcurrentHashMap<>();
    this.uses =
        shelf.makers().stream()
            .map(m -> MarkUse.of(m, shelf.region(m.region()), axis, judgement))
            .toList();
    this.hands = shelf.makers().stream().map(m -> Hand.of(m, shelf, axis)).toList();
    for (int m = 0; m < hands.size(); m++) {
      handShares.add(shares(hands.get(m), uses.get(m)));
    }
    this.parts = shelf.clues().parts();
    this.priors = Priors.of(judgement, parts);
    this.handReader = new HandReader(shelf, axis);
    this.noContract = judgement.of("hand.no-contract");
    this.othersMark = judgement.of("hand.own-mark-on-small-blade");
    this.numberErrors = NumberErrors.of(judgement);
    this.grammarRates = GrammarRates.of(judgement);
    this.codeRates = CodeRates.of(judgement);
    this.limits = Limits.of(judgement);
    this.patternEras = new PatternEras(judgement);
    this.ruledOut = judgement.of("look.ruled-out");
    this.beforeRun = judgement.of("model.before-run");
    this.afterRun = judgement.of("model.after-run");
    this.notListedFor = judgement.of("model.mark-not-listed");
    this.fade = judgement.of("model.fade");
    this.shownOtherwise = judgement.of("statement.shown-otherwise");
    this.numberAbroad = judgement.of("registered.abroad");
    this.numberAfterTerm = judgement.of("registered.after-term");
    this.numberFades = judgement.of("registered.years-of-fading");
    this.designHalves = judgement.of("statement.design-halves");
    shelf
        .makers()
        .forEach(m -> m.history().models().forEach(model -> runs.put(model, runOf(model))));
  }

  private static double[] shares(List<Hand> hands, List<MarkUse> uses) {
    double[] shares = new double[hands.size()];
    for (int h = 0; h < shares.length; h++) {
      for (int v = 0; v < uses.size(); v++) {
        MarkUse use = uses.get(v);
        for (int i = 0; i < use.share().length; i++) {
          double made = hands.get(h).share().get(v)[use.first() + i];
          shares[h] += use.weight() * use.share()[i] * made;
        }
      }
    }
    return Distribution.normalised(shares);
  }

  /** What a look says. */
  Look look(Evidence.Observed o) {
    if (!o.either().isEmpty()) {
      return tables.look(o, parts.indexOf(shelf.clues().part(o.feature().part())));
    }
    return o.patterns().isEmpty()
        ? tables.look(o.feature(), o.clue(), o.sureness())
        : tables.look(o, parts.indexOf(shelf.clues().part(o.feature().part())), this::era);
  }

  // Worked out when first met: few of the patterns in the book are.
  private double[][][] era(Pattern pattern) {
    return eras.computeIfAbsent(
        pattern.id(),
        id -> {
          double[][][] rows = new double[shelf.regions().size()][2][];
          for (int r = 0; r < rows.length; r++) {
            String region = shelf.regions().get(r).id();
            for (int style = 0; style < 2; style++) {
              boolean copy = style == ClueTables.OLD_STYLE;
              rows[r][style] = axis.map(year -> patternEras.at(pattern, region, year, copy));
            }
          }
          return rows;
        });
  }

  /** What a statement says, misremembering included. */
  Look told(Evidence.Statement s) {
    double[] years =
        axis.map(
            year ->
                s.allows(year) ? Math.max(ruledOut, inDesign(s, year) * inUse(s, year)) : ruledOut);
    double[] abroad = Arrays.stream(years).map(p -> Math.max(ruledOut, numberAbroad * p)).toArray();
    double[] none = axis.map(year -> ruledOut);
    double all = shelf.regions().stream().mapToDouble(Region::share).sum();
    double[] shares = shelf.regions().stream().mapToDouble(r -> r.share() / all).toArray();
    double[][] allowed = new double[shares.length][];
    for (int r = 0; r < shares.length; r++) {
      String region = shelf.regions().get(r).id();
      boolean isAtHome = s.usual() == null || s.usual().region().equals(region);
      allowed[r] = s.allows(region) ? isAtHome ? years : abroad : none;
    }
    return Look.told(s.id(), parts.size(), s.reliability(), allowed, shares);
  }

  // What the law no longer protects is hardly struck any more, the longer ago the less.
  private double inUse(Evidence.Statement s, int year) {
    if (s.usual() == null || s.usual().to() == null || year <= s.usual().to()) {
      return 1;
    }
    double gone = Math.min(1, (year - s.usual().to()) / numberFades);
    return 1 - (1 - numberAfterTerm) * gone;
  }

  // A design shown in a year was usual about then, and another in its place was not.
  private double inDesign(Evidence.Statement s, int year) {
    double p = 1;
    for (Evidence.Statement.Design d : s.designs()) {
      double then = Math.pow(0.5, Math.abs(year - d.year()) / designHalves);
      p *=
          d.isSame()
              ? shownOtherwise + (1 - shownOtherwise) * then
              : 1 - (1 - shownOtherwise) * then;
    }
    return p;
  }

  /** P(said that it is by this maker | made by who), against what would be said of anyone. */
  double named(Evidence.Statement s, @Nullable Maker maker) {
    double byChance = 1.0 / (1 + shelf.makers().size());
    double right = s.maker().equals(maker == null ? null : maker.id()) ? 1 : ruledOut;
    return s.reliability() * right + (1 - s.reliability()) * byChance;
  }

  /**
   * How likely a knife made by this maker is said rightly, not by chance, to be by another or it.
   */
  double rightlyNamed(Evidence.Statement s, @Nullable Maker maker) {
    double right = s.maker().equals(maker == null ? null : maker.id()) ? 1 : ruledOut;
    return s.reliability() * right / named(s, maker);
  }

  /** P(year | a knife of this model), against a model made in any year alike. */
  double[] run(History.Model model) {
    return runs.get(model);
  }

  /** How likely a mark is on a model with a mark history of its own, against its other knives. */
  double struckOn(History.Model model, MarkVariant mark) {
    return model.marks().isEmpty() || model.marks().containsKey(mark.id()) ? 1 : notListedFor;
  }

  // Nearly all in its years; a set share outside, most of it close by, more where the run is
  // doubted.
  private double[] runOf(History.Model model) {
    double doubt = 1 / model.trust();
    double before = beforeRun * doubt;
    double after = afterRun * doubt;
    double inside = (1 - Math.min(0.9, before + after)) / (model.to() - model.from() + 1);
    double open = 1.0 / axis.size();
    return axis.map(
        year -> {
          double p =
              year < model.from()
                  ? before * (1 - fade) * Math.pow(fade, model.from() - year - 1)
                  : year > model.to()
                      ? after * (1 - fade) * Math.pow(fade, year - model.to() - 1)
                      : inside;
          return (model.trust() * p + (1 - model.trust()) * open) / open;
        });
  }
}
