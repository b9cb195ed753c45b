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
import snikra.core.dating.DatingVerdict.ClueGroup;
import snikra.core.dating.DatingVerdict.ClueInfluence;
import snikra.core.dating.DatingVerdict.ForCountry;
import snikra.core.dating.Evidence.Observed;
import snikra.core.dating.Evidence.Statement;
import snikra.core.mark.MarkEvidence;
import snikra.core.reference.History;
import snikra.core.reference.Maker;

/** What each clue does to the verdict, alone and with those that agree with it. */
final class Influences {
  private static final double HALF = 0.5;
  private static final double NINE_TENTHS = 0.9;

  private static final double LEAST_SHARE = 1e-6;

  private final Desk desk;
  private final Worked worked;
  private final Evidence evidence;
  private final int median;

  /** Probability of each country. */
  private final double[] regions;

  Influences(Desk desk, Worked worked) {
    this.desk = desk;
    this.worked = worked;
    this.evidence = worked.evidence;
    this.median = Distribution.quantile(worked.years, HALF);
    this.regions = worked.inference.regions();
  }

  /** Of each look and each statement, what tells most first. */
  List<ClueInfluence> each() {
    Set<String> inConflict =
        worked.conflicts.stream()
            .flatMap(c -> Stream.of(c.feature(), c.rival()))
            .collect(Collectors.toSet());
    List<Look> looks = worked.looks;
    List<Inference.Without> without = worked.inference.withoutEach(looks);
    List<ClueInfluence> out = new ArrayList<>();
    for (int i = 0; i < looks.size(); i++) {
      Look look = looks.get(i);
      double[] years = without.get(i).years();
      int shift = median - Distribution.quantile(years, HALF);
      double bits = Distribution.bitsLost(worked.years, years);
      boolean conflict = inConflict.contains(look.id());
      ForCountry country = country(regions, without.get(i).regions());
      out.add(
          i < evidence.observed().size()
              ? influence(
                  evidence.observed().get(i),
                  shift,
                  bits,
                  conflict,
                  option(evidence.observed().get(i)),
                  country)
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
    double moved = desk.limits.countryMoved();
    for (int r = 0; r < Math.min(with.length, without.length); r++) {
      if (Math.max(with[r], without[r]) >= desk.limits.inQuestion()) {
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

  /** Of all marks together. */
  ClueInfluence ofMarks() {
    Hypotheses unmarked = worked.hypotheses.without(evidence.unmarked());
    double[] without = worked.inference.years(unmarked);
    boolean isRead = evidence.marks().anyRead();
    Span span = isRead ? Distribution.span(worked.markAlone(), NINE_TENTHS, desk.axis) : null;
    return new ClueInfluence(
        Worked.MARK,
        "marks",
        "Mark",
        "The mark",
        read(evidence.marks()),
        span == null ? null : span.from(),
        span == null ? null : span.to(),
        isRead ? Firmness.FIRM.toString() : null,
        median - Distribution.quantile(without, HALF),
        Distribution.bitsLost(worked.years, without),
        "What is read on tangs and blades, held against all marks on the shelf.",
        "",
        worked.conflicts.stream()
            .anyMatch(c -> c.feature().equals(Worked.MARK) || c.rival().equals(Worked.MARK)),
        country(regions, worked.inference.regions(unmarked)));
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

  /** Of those that agree, together. */
  List<ClueGroup> together(List<ClueInfluence> clues) {
    List<ClueGroup> out = new ArrayList<>();
    for (List<ClueInfluence> agreeing :
        Agreement.among(clues, worked.curves, desk.tables.atLarge(), desk.limits)) {
      List<String> ids = agreeing.stream().map(ClueInfluence::feature).toList();
      if (ids.size() == 1) {
        out.add(new ClueGroup(ids, agreeing.get(0).medianShift(), agreeing.get(0).bits()));
      } else {
        List<Look> left = worked.looks.stream().filter(look -> ids.contains(look.id())).toList();
        double[] without = worked.inference.yearsWithout(left);
        int shift = median - Distribution.quantile(without, HALF);
        out.add(new ClueGroup(ids, shift, Distribution.bitsLost(worked.years, without)));
      }
    }
    out.sort(Comparator.comparingDouble((ClueGroup g) -> -g.bits()));
    return out;
  }

  // What the house offered is no change: its own record is told beside the general reason.
  private String option(Observed o) {
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
        desk.shelf.clues().part(o.feature().part()).label(),
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
}
