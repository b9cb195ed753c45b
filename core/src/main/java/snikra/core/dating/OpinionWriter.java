package snikra.core.dating;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.ToIntFunction;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;
import snikra.core.clue.ClueBook;
import snikra.core.clue.Firmness;
import snikra.core.dating.DatingVerdict.Attribution;
import snikra.core.dating.DatingVerdict.ClueInfluence;
import snikra.core.dating.DatingVerdict.Conflict;
import snikra.core.dating.DatingVerdict.Contractor;
import snikra.core.dating.DatingVerdict.Explanation;
import snikra.core.dating.DatingVerdict.Opinion;
import snikra.core.dating.DatingVerdict.StateProbability;
import snikra.core.dating.DatingVerdict.Strength;
import snikra.core.mark.MarkCandidate;
import snikra.core.mark.MarkEvidence;
import snikra.core.wording.Wording;

/** Puts a verdict into sentences a person would say. */
final class OpinionWriter {
  private static final int MOST_NAMED = 3;

  /** Years of a fashion are told to ten. */
  private static final int ABOUT = 10;

  private static final String STORY = "story";
  private static final String MARKS = "marks";
  private static final double NAMED_FROM = 0.5;

  private final Limits limits;
  private final ClueBook book;

  OpinionWriter(Limits limits, ClueBook book) {
    this.limits = limits;
    this.book = book;
  }

  /**
   * The opinion.
   *
   * @param traits the name of a trait in words
   * @param nineTenths of all that it may be
   * @param read what the marks say
   * @param middle of the years of these clues together, in a knife as made by anyone anywhere
   */
  Opinion write(
      boolean seen,
      Span nineTenths,
      List<StateProbability> states,
      List<Explanation> explanations,
      List<ClueInfluence> clues,
      List<Conflict> conflicts,
      List<Attribution> makers,
      ToIntFunction<List<String>> middle,
      UnaryOperator<String> traits,
      MarkEvidence read) {
    if (!seen) {
      return new Opinion(
          Strength.OPEN,
          null,
          "Nothing looked at yet",
          nineTenths,
          List.of("Begin with the pattern, or with the mark on the main tang."),
          "");
    }
    Explanation lead = explanations.get(0);
    List<String> sentences = new ArrayList<>();
    read.candidates().stream().findFirst().flatMap(m -> mark(m, lead)).ifPresent(sentences::add);
    Attribution house =
        makers.stream()
            .filter(m -> lead.maker() != null && lead.maker().equals(m.maker()))
            .filter(m -> !m.contractors().isEmpty())
            .findFirst()
            .orElse(null);
    if (house != null) {
      sentences.add(contracts(house));
      speaksFor(house, traits).ifPresent(sentences::add);
      onSmallBlade(house, read).ifPresent(sentences::add);
    }
    decidingBound(clues, lead.state()).ifPresent(sentences::add);
    fashion(clues, conflicts, states, middle)
        .or(() -> conflicts.stream().findFirst().map(OpinionWriter::conflict))
        .ifPresent(sentences::add);
    states.stream()
        .limit(1)
        .filter(p -> p.partSpan() != null)
        .map(p -> "The " + named(p.state()) + " is of " + years(p.partSpan()) + ".")
        .forEach(sentences::add);
    // That somebody made it as it is says nothing of who: a number would be taken for the maker's.
    boolean isOpen = isNobody(lead) && lead.state().kind() == State.Kind.AS_MADE;
    return new Opinion(
        isOpen ? Strength.OPEN : Strength.of(lead.probability()),
        isOpen ? null : lead.probability(),
        headline(lead, house),
        lead.nineTenths(),
        sentences,
        rivals(explanations, lead));
  }

  private static Optional<String> mark(MarkCandidate read, Explanation lead) {
    boolean isIts = read.probability() >= NAMED_FROM && read.maker().id().equals(lead.maker());
    String lines = String.join(" / ", read.variant().lines());
    String when = read.variant().from() + " to " + read.variant().to();
    return isIts
        ? Optional.of("The mark reads as " + lines + ", a mark of " + when + ".")
        : Optional.empty();
  }

  private String named(State replaced) {
    return Wording.lowerFirst(book.part(replaced.part()).label()) + " put on later";
  }

  // That it was made by someone is no opinion about the maker.
  private static boolean isNobody(Explanation lead) {
    return lead.maker() == null && lead.region() == null;
  }

  private String headline(Explanation lead, @Nullable Attribution house) {
    if (isNobody(lead)) {
      String how = lead.state().kind() == State.Kind.AS_MADE ? "" : "; " + lead.state().label();
      return "Maker not yet known" + how;
    }
    String made = house == null ? lead.label() + " made it" : madeFor(house);
    return switch (lead.state().kind()) {
      case AS_MADE -> made;
      case OLD_STYLE -> made + " later in an old style";
      case PART_REPLACED -> made + "; " + lead.state().label() + " later";
      case OLDER_PART -> made + "; " + lead.state().label();
      case MARK_UNTRUSTED -> made + " under a mark that is not its own";
      case TWO_AT_ONCE -> made + "; " + lead.state().label();
      case MISJUDGED, UNTRUE -> made + "; " + lead.state().label();
      case ALL_ELSE -> made;
    };
  }

  private String madeFor(Attribution house) {
    Contractor likeliest = house.contractors().get(0);
    boolean isClear =
        likeliest.maker() != null
            && likeliest.probability() >= limits.clearHand() * house.probability();
    return isClear
        ? likeliest.label() + " made it for " + house.label()
        : house.label() + " put its name on it; who made it is open";
  }

  // What the contracts leave to the house itself is named too.
  private String contracts(Attribution house) {
    List<String> hands = new ArrayList<>();
    double own = house.probability();
    for (Contractor c : house.contractors()) {
      own -= c.probability();
      if (c.probability() / house.probability() >= limits.hand()) {
        hands.add(c.label() + share(c.probability() / house.probability()));
      }
    }
    if (own / house.probability() >= limits.otherwise()) {
      hands.add("itself" + share(own / house.probability()));
    }
    return "By the contracts on file its maker is " + Wording.joined(hands, " or ") + ".";
  }

  // What of its record tells the likeliest hand from the next.
  private static Optional<String> speaksFor(Attribution house, UnaryOperator<String> traits) {
    Contractor first = house.contractors().get(0);
    List<String> told =
        first.speaksFor().stream()
            .limit(MOST_NAMED)
            .map(trait -> "the " + Wording.lowerFirst(traits.apply(trait)))
            .toList();
    return told.isEmpty()
        ? Optional.empty()
        : Optional.of(
            "For "
                + first.label()
                + (told.size() == 1 ? " speaks " : " speak ")
                + Wording.joined(told, " and ")
                + ".");
  }

  private static Optional<String> onSmallBlade(Attribution house, MarkEvidence read) {
    return house.contractors().stream()
        .filter(c -> c.maker() != null && read.onSmallBlades().contains(c.maker()))
        .findFirst()
        .map(
            c ->
                house.label()
                    + " stands on the main blade, and the mark of "
                    + c.label()
                    + " on a second one.");
  }

  private static String share(double p) {
    return " (" + Wording.percent(p) + ")";
  }

  private Optional<String> decidingBound(List<ClueInfluence> clues, State state) {
    return clues.stream()
        .filter(c -> c.bits() >= limits.telling())
        .findFirst()
        .map(c -> isOf(state, c) ? later(c) : decides(c));
  }

  private boolean isOf(State state, ClueInfluence c) {
    return state.kind() == State.Kind.PART_REPLACED
        && book.feature(c.feature()).filter(f -> f.part().equals(state.part())).isPresent();
  }

  private static String later(ClueInfluence c) {
    String when = c.notBefore() == null ? "" : ", not before about " + c.notBefore();
    return "The "
        + c.part().toLowerCase(Locale.ROOT)
        + " is later: "
        + Wording.lowerFirst(c.value())
        + when
        + ".";
  }

  private static String decides(ClueInfluence c) {
    String what = what(c);
    if (c.station().equals(STORY)) {
      return ended("What is told of it says most: " + what);
    }
    boolean isSoft = Firmness.SOFT.toString().equals(c.firmness());
    if (c.notBefore() != null && c.notAfter() != null) {
      String from = c.notBefore().equals(c.notAfter()) ? "" : c.notBefore() + " to ";
      return ended("Of about " + from + c.notAfter() + ": " + what);
    }
    if (c.notBefore() != null && c.medianShift() >= 0) {
      return ended((isSoft ? "Seldom" : "Not") + " before about " + c.notBefore() + ": " + what);
    }
    if (c.notAfter() != null && c.medianShift() <= 0) {
      String how = isSoft ? "Seldom" : "Hardly";
      return ended(how + " later than about " + c.notAfter() + ": " + what);
    }
    return ended("What says most: " + what);
  }

  // The question and its answer; the answer alone where it names what was asked.
  private static String what(ClueInfluence c) {
    String value = c.station().equals(MARKS) ? c.value() : Wording.lowerFirst(c.value());
    String last = c.label().substring(c.label().lastIndexOf(' ') + 1);
    boolean namesIt = value.toLowerCase(Locale.ROOT).contains(last.toLowerCase(Locale.ROOT));
    // What is told or registered is said in full by itself.
    return namesIt || c.label().equals(c.part())
        ? value
        : Wording.lowerFirst(c.label()) + ", " + value;
  }

  private static String ended(String sentence) {
    return sentence.endsWith(".") ? sentence : sentence + ".";
  }

  // What is of an older fashion than the clue that decides, and what may have come of that.
  private Optional<String> fashion(
      List<ClueInfluence> clues,
      List<Conflict> conflicts,
      List<StateProbability> states,
      ToIntFunction<List<String>> middle) {
    ClueInfluence decides = clues.isEmpty() ? null : clues.get(0);
    if (decides == null || decides.notBefore() == null) {
      return Optional.empty();
    }
    List<ClueInfluence> older =
        clues.stream()
            .filter(c -> !c.station().equals(STORY))
            .filter(c -> c.notAfter() != null && c.notAfter() < decides.notBefore())
            .filter(c -> conflicts.stream().anyMatch(k -> joins(k, decides.feature(), c.feature())))
            .limit(MOST_NAMED)
            .toList();
    List<StateProbability> ways =
        states.stream()
            .filter(s -> s.state().kind() != State.Kind.AS_MADE)
            .filter(s -> s.probability() >= limits.otherwise())
            .limit(MOST_NAMED)
            .toList();
    if (older.isEmpty() || ways.isEmpty()) {
      return Optional.empty();
    }
    int year = middle.applyAsInt(older.stream().map(ClueInfluence::feature).toList());
    String what =
        Wording.joined(
            older.stream().map(c -> "the " + Wording.lowerFirst(c.label())).toList(), " and ");
    String how =
        Wording.joined(
            ways.stream()
                .map(s -> way(s.state(), decides) + " (" + Wording.percent(s.probability()) + ")")
                .toList(),
            ", or ");
    return Optional.of(
        sentence(what)
            + (older.size() == 1 ? " is" : " are")
            + " in a fashion of about "
            + ABOUT * Math.round(1.0 * year / ABOUT)
            + ", so "
            + (ways.size() > 1 ? "either " : "most likely ")
            + how
            + ".");
  }

  private static boolean joins(Conflict c, String a, String b) {
    return (c.feature().equals(a) && c.rival().equals(b))
        || (c.feature().equals(b) && c.rival().equals(a));
  }

  private String way(State state, ClueInfluence decides) {
    return switch (state.kind()) {
      case OLD_STYLE -> "it was made later in the old style";
      case PART_REPLACED ->
          isOf(state, decides)
              ? "the " + Wording.lowerFirst(decides.part()) + " was put on later"
              : "another part was replaced: " + state.label();
      case OLDER_PART -> "it is " + state.label();
      case MARK_UNTRUSTED -> "the mark is not its own";
      case TWO_AT_ONCE -> "it was " + state.label();
      case MISJUDGED, UNTRUE, ALL_ELSE -> state.label();
      case AS_MADE -> "it is as made";
    };
  }

  private static String conflict(Conflict c) {
    String resolved = "";
    if (!c.resolvedBy().isEmpty()) {
      String how = c.resolvedProbability() >= NAMED_FROM ? " Most likely: " : " It may be: ";
      resolved = how + c.resolvedBy() + " (" + Wording.percent(c.resolvedProbability()) + ").";
    }
    return c.label() + " does not go with " + Wording.lowerFirst(c.rivalLabel()) + "." + resolved;
  }

  private String rivals(List<Explanation> explanations, Explanation lead) {
    List<String> rivals =
        explanations.stream()
            .skip(1)
            .filter(e -> e.probability() >= limits.otherwise())
            .map(
                e ->
                    (e.maker() == null ? Wording.lowerFirst(e.label()) : e.label())
                        + ", "
                        + e.state().label()
                        + ", "
                        + years(e.nineTenths())
                        + " ("
                        + Wording.percent(e.probability())
                        + ")")
            .toList();
    String mine = years(lead.nineTenths()) + " (" + Wording.percent(lead.probability()) + ")";
    return rivals.isEmpty()
        ? sentence(lead.state().label())
            + ", "
            + mine
            + "; no rival comes to "
            + Wording.oneIn(limits.otherwise())
            + "."
        : sentence(lead.state().label())
            + ", "
            + mine
            + "; or "
            + String.join("; or ", rivals)
            + ".";
  }

  private static String sentence(String s) {
    return s.substring(0, 1).toUpperCase(Locale.ROOT) + s.substring(1);
  }

  static String years(Span span) {
    return span.from() == span.to() ? "" + span.from() : span.from() + "\u2013" + span.to();
  }
}
