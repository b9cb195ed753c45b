package snikra.core.examination;

import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import snikra.core.condition.Alteration;
import snikra.core.condition.ConditionBook;
import snikra.core.condition.ConditionBook.Grade;
import snikra.core.condition.GradeVerdict;
import snikra.core.condition.Looked;
import snikra.core.dating.DatingVerdict;
import snikra.core.dating.DatingVerdict.Attribution;
import snikra.core.dating.DatingVerdict.ClueInfluence;
import snikra.core.dating.DatingVerdict.Contractor;
import snikra.core.dating.State;
import snikra.core.examination.Originality.Finding;
import snikra.core.examination.Originality.Tell;
import snikra.core.examination.Verdict.NumberVerdict;
import snikra.core.number.DecodedNumber;
import snikra.core.reference.History;
import snikra.core.reference.Maker;
import snikra.core.reference.ReferenceShelf;
import snikra.core.specimen.LookReliability;
import snikra.core.specimen.Seen;
import snikra.core.specimen.SeenFace;
import snikra.core.specimen.Specimen;
import snikra.core.value.ValueVerdict;
import snikra.core.wording.Wording;

/** Weighs in what a knife may not be as made. One for each knife. */
final class OriginalityJudge {
  private static final int MOST_TELLS = 5;

  private final ReferenceShelf shelf;
  private final LookReliability reliability;
  private final double toldFrom;
  private final double capsFrom;
  private final Specimen knife;
  private final DatingVerdict dated;
  private final @Nullable NumberVerdict number;
  private final Optional<MainBlade> main;

  OriginalityJudge(
      ReferenceShelf shelf,
      Specimen knife,
      DatingVerdict dated,
      @Nullable NumberVerdict number,
      Optional<MainBlade> main) {
    this.shelf = shelf;
    this.reliability = LookReliability.of(shelf.judgement());
    this.toldFrom = shelf.judgement().of("told.done");
    this.capsFrom = shelf.judgement().of("told.done-caps");
    this.knife = knife;
    this.dated = dated;
    this.number = number;
    this.main = main;
  }

  /** What may have been done, the likeliest first. */
  List<Finding> findings() {
    return shelf.condition().alterations().stream()
        .map(this::finding)
        .filter(f -> f.probability() >= toldFrom)
        .sorted(Comparator.comparingDouble((Finding f) -> -f.probability()))
        .toList();
  }

  /** The same as doubts, for those who grade. */
  List<Looked.Doubt> doubts(List<Finding> findings) {
    return shelf.condition().alterations().stream()
        .flatMap(
            a ->
                findings.stream()
                    .filter(f -> f.id().equals(a.id()))
                    .map(f -> new Looked.Doubt(a, f.probability())))
        .toList();
  }

  Originality judge(
      List<Finding> findings, GradeVerdict graded, ValueVerdict.@Nullable Range value) {
    double worth = 1;
    for (Finding f : findings) {
      worth *= 1 - f.probability() * (1 - f.worth());
    }
    return new Originality(
        findings,
        worth,
        graded.best() == null ? null : capped(graded.best(), findings),
        value == null ? null : value.low(),
        value == null ? null : value.high());
  }

  private Grade capped(Grade best, List<Finding> findings) {
    ConditionBook book = shelf.condition();
    return Stream.concat(
            Stream.of(best),
            findings.stream()
                .filter(f -> f.probability() >= capsFrom)
                .map(Finding::cap)
                .filter(Objects::nonNull))
        .max(Comparator.comparingInt(g -> book.rank(g.id())))
        .orElse(best);
  }

  private Finding finding(Alteration a) {
    double p =
        a.state() != null
            ? ofState(a)
            : a.point() != null ? ofPoint(a) : a.sign() == null ? 0 : ofSign(a.sign());
    p = spokenFor(a, a.often() == null ? p : Math.max(p, a.often()));
    Grade cap =
        a.cap() == null ? null : shelf.condition().grades().get(shelf.condition().rank(a.cap()));
    List<Tell> tells = p < toldFrom ? List.of() : tells(a).limit(MOST_TELLS).toList();
    return new Finding(a.id(), a.label(), p, cap, a.worth(), a.look(), a.why(), a.source(), tells);
  }

  // What else was looked at, each as so many times the odds.
  private double spokenFor(Alteration a, double p) {
    if (p <= 0 || p >= 1) {
      return p;
    }
    double odds = p / (1 - p);
    for (Alteration.Speaks s : a.speaks()) {
      Seen<String> seen = seen(s.of());
      Double times = seen == null ? null : s.answers().get("" + seen.value());
      if (times != null) {
        double q = reliability.of(seen.sureness());
        odds *= q * times + 1 - q;
      }
    }
    return odds / (1 + odds);
  }

  private @Nullable Seen<String> seen(String of) {
    Seen<String> seen = knife.seen().get(of);
    if (seen == null && !knife.blades().isEmpty()) {
      seen = knife.blades().get(0).seen().get(of);
    }
    return seen == null ? knife.condition().get(of) : seen;
  }

  // What speaks for it, as it was answered.
  private Stream<Tell> spoken(Alteration a) {
    return a.speaks().stream()
        .filter(
            s -> {
              Seen<String> seen = seen(s.of());
              return seen != null && s.answers().getOrDefault("" + seen.value(), 1.0) > 1;
            })
        .flatMap(s -> answered(s.of(), "" + seen(s.of()).value()).stream());
  }

  private Optional<Tell> answered(String of, String answer) {
    return shelf
        .clues()
        .feature(of)
        .flatMap(
            f ->
                f.clue(answer)
                    .map(
                        c ->
                            new Tell(
                                f.station(),
                                f.label() + ": " + Wording.lowerFirst(c.label()) + ".",
                                "")))
        .or(
            () ->
                shelf
                    .condition()
                    .point(of)
                    .flatMap(
                        p ->
                            p.found(knife.condition())
                                .map(
                                    f ->
                                        new Tell(
                                            p.station(), p.label() + ": " + f.label() + ".", ""))));
  }

  private double ofState(Alteration a) {
    return dated.states().stream()
        .filter(s -> is(s.state(), a))
        .mapToDouble(DatingVerdict.StateProbability::probability)
        .sum();
  }

  private static boolean is(State state, Alteration a) {
    return state.kind().toString().equals(a.state())
        && (a.part() == null || a.part().equals(state.part()));
  }

  private double ofPoint(Alteration a) {
    Seen<String> seen = knife.condition().get(a.point());
    return seen != null && a.findings().contains("" + seen.value())
        ? reliability.of(seen.sureness())
        : 0;
  }

  private double ofSign(Alteration.Sign sign) {
    return switch (sign) {
      case STRUCK_OUT ->
          knife.marks().stream().anyMatch(SeenFace::wasStruckOut)
              ? shelf.judgement().of("mark.struck-out-second")
              : 0;
      case SHORT_BLADE -> main.map(m -> m.may().shortened()).orElse(0.0);
      case CONTRACT ->
          houses()
              .flatMap(m -> m.contractors().stream())
              .mapToDouble(Contractor::probability)
              .sum();
    };
  }

  // Houses that sold under their own name what others made.
  private Stream<Attribution> houses() {
    return dated.makers().stream()
        .filter(m -> maker(m).filter(h -> !h.history().contracts().isEmpty()).isPresent());
  }

  private Optional<Maker> maker(Attribution m) {
    return Optional.ofNullable(m.maker()).flatMap(shelf::maker);
  }

  private Stream<Tell> tells(Alteration a) {
    if (a.point() != null) {
      return shelf.condition().point(a.point()).stream()
          .flatMap(
              p ->
                  p.found(knife.condition()).stream()
                      .map(f -> new Tell(p.station(), p.label() + ": " + f.label() + ".", "")));
    }
    if (a.sign() != null) {
      return Stream.concat(ofSignTold(a.sign()), spoken(a));
    }
    Stream<Tell> own =
        dated.clues().stream()
            .filter(c -> a.part() != null && isOf(c, a.part()))
            .map(OriginalityJudge::told);
    Stream<Tell> apart =
        dated.conflicts().stream()
            .filter(c -> a.part() == null || isOf(c.feature(), a) || isOf(c.rival(), a))
            .map(
                c ->
                    new Tell(
                        station(c.feature()),
                        c.label()
                            + " does not go with "
                            + Wording.lowerFirst(c.rivalLabel())
                            + (c.gap() > 0 ? ": about " + c.gap() + " years apart." : "."),
                        ""));
    Stream<Tell> changes = "older-part".equals(a.state()) ? houseChanges() : Stream.empty();
    return Stream.of(contradicted(a), apart, own, changes).flatMap(s -> s);
  }

  private Stream<Tell> contradicted(Alteration a) {
    return Stream.ofNullable(number)
        .map(NumberVerdict::decoded)
        .filter(Objects::nonNull)
        .flatMap(d -> d.fields().stream())
        .filter(f -> f.holds() == DecodedNumber.Holds.CONTRADICTS && isOf(f.meaning(), a))
        .map(
            f ->
                new Tell(
                    "number",
                    "The number's "
                        + Wording.lowerFirst(f.label())
                        + " "
                        + f.struck()
                        + " says "
                        + f.says()
                        + "; that is not what is there.",
                    ""));
  }

  private Stream<Tell> ofSignTold(Alteration.Sign sign) {
    return switch (sign) {
      case STRUCK_OUT ->
          knife.marks().stream()
              .filter(SeenFace::wasStruckOut)
              .map(f -> new Tell("marks", "Blade " + f.blade() + ": the mark is struck out.", ""));
      case SHORT_BLADE ->
          main.stream()
              .map(MainBlade::missing)
              .map(
                  m ->
                      new Tell(
                          "blades",
                          String.format(
                              Locale.ROOT,
                              "About %.0f%% of its length is missing against the room in the"
                                  + " handle (%.0f to %.0f).",
                              100 * m.share(),
                              100 * m.low(),
                              100 * m.high()),
                          ""));
      case CONTRACT ->
          houses()
              .flatMap(m -> maker(m).stream())
              .flatMap(m -> m.history().contracts().stream())
              .filter(c -> overlaps(c))
              .map(
                  c ->
                      new Tell(
                          "marks",
                          String.format(
                                  Locale.ROOT,
                                  "%s made %.0f%% of its knives from %d to %d. %s",
                                  c.by(),
                                  100 * c.share(),
                                  c.from(),
                                  c.to(),
                                  c.note())
                              .strip(),
                          c.source()));
    };
  }

  private boolean overlaps(History.Contract c) {
    return dated.nineTenths().from() <= c.to() && dated.nineTenths().to() >= c.from();
  }

  private Stream<Tell> houseChanges() {
    return dated.makers().stream()
        .limit(1)
        .flatMap(m -> maker(m).stream())
        .flatMap(m -> m.changes().stream().filter(y -> dated.nineTenths().holds(y)))
        .map(y -> new Tell("marks", "The house changed owner, models or works in " + y + ".", ""));
  }

  private boolean isOf(ClueInfluence c, String part) {
    return shelf.clues().feature(c.feature()).filter(f -> f.part().equals(part)).isPresent();
  }

  private boolean isOf(String feature, Alteration a) {
    return shelf.clues().feature(feature).filter(f -> f.part().equals(a.part())).isPresent();
  }

  private static Tell told(ClueInfluence c) {
    String when =
        c.notBefore() != null
            ? ", not before about " + c.notBefore()
            : c.notAfter() != null ? ", hardly later than about " + c.notAfter() : "";
    return new Tell(
        c.station(), c.label() + ": " + Wording.lowerFirst(c.value()) + when + ".", c.source());
  }

  private String station(String feature) {
    return dated.clues().stream()
        .filter(c -> c.feature().equals(feature))
        .map(ClueInfluence::station)
        .findFirst()
        .orElse("marks");
  }
}
