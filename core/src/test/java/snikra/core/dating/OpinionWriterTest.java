package snikra.core.dating;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import snikra.core.clue.ClueBook;
import snikra.core.clue.Feature;
import snikra.core.clue.Part;
import snikra.core.dating.DatingVerdict.Attribution;
import snikra.core.dating.DatingVerdict.ClueInfluence;
import snikra.core.dating.DatingVerdict.Conflict;
import snikra.core.dating.DatingVerdict.Contractor;
import snikra.core.dating.DatingVerdict.Explanation;
import snikra.core.dating.DatingVerdict.Opinion;
import snikra.core.dating.DatingVerdict.StateProbability;
import snikra.core.dating.DatingVerdict.Strength;
import snikra.core.fixture.Shelf;
import snikra.core.mark.MarkEvidence;

/** Findings laid out by hand, and the sentences they are to become. */
class OpinionWriterTest {
  private static final Span YEARS = span(1900, 1920);
  private static final ClueBook BOOK =
      new ClueBook(
          List.of(
              new Part("bar", "Bar", Part.Replaceable.RARELY),
              new Part("bar-pins", "Bar pins", Part.Replaceable.RARELY)),
          List.of(feature("bar-form", "bar"), feature("pin-heads", "bar-pins")));

  private List<ClueInfluence> clues = List.of();
  private List<Conflict> conflicts = List.of();
  private List<Attribution> makers = List.of();
  private List<StateProbability> states = List.of();
  private MarkEvidence read = marks(Set.of());

  private static Span span(int from, int to) {
    return new Span(0.9, List.of(new Span.Piece(from, to)));
  }

  private static Feature feature(String id, String part) {
    return Shelf.feature(id, part, Shelf.plain("cast", 1));
  }

  private static MarkEvidence marks(Set<String> onSmall) {
    double[] none = {};
    var seconds = new MarkEvidence.Seconds(none, none, none, onSmall, 0, 0);
    return new MarkEvidence(true, true, none, 0, 0, List.of(), null, 1, List.of(), seconds);
  }

  private static Explanation by(
      @Nullable String maker, @Nullable String region, String label, State state, double p) {
    return new Explanation(maker, region, label, state, p, YEARS, null);
  }

  private static Explanation lead(State state) {
    return by("ombrake", "W", "Ombrake", state, 0.8);
  }

  private static State state(State.Kind kind) {
    return new State(kind, "bar", "bar replaced");
  }

  private static ClueInfluence clue(
      String feature, String station, @Nullable Integer from, @Nullable Integer to, int shift) {
    String firm = station.equals("build") ? "soft" : "hard";
    return new ClueInfluence(
        feature, station, "Bar", "Form", "Cast", from, to, firm, shift, 1, "", "", false, null);
  }

  private static Contractor hand(@Nullable String id, String label, double p, String... traits) {
    return new Contractor(id, label, p, YEARS, List.of(traits));
  }

  private Opinion opinion(Explanation... explanations) {
    return new OpinionWriter(Limits.of(Shelf.judgement()), BOOK)
        .write(
            explanations.length > 0,
            YEARS,
            states,
            List.of(explanations),
            clues,
            conflicts,
            makers,
            features -> features.size() == 2 ? 1894 : 1886,
            trait -> "Trait " + trait,
            read);
  }

  @Test
  void whereNothingWasLookedAtItSaysWhereToBegin() {
    Opinion none = opinion();

    assertThat(none.strength()).isEqualTo(Strength.OPEN);
    assertThat(none.held()).isNull();
    assertThat(none.sentences())
        .containsExactly("Begin with the pattern, or with the mark on the main tang.");
    assertThat(none.rivals()).isEmpty();
  }

  @Test
  void someoneSomewhereIsNobodyWhateverTheyAreCalled() {
    Opinion made = opinion(by(null, null, "Whoever", state(State.Kind.AS_MADE), 0.8));
    Opinion altered = opinion(by(null, null, "Whoever", state(State.Kind.PART_REPLACED), 0.8));
    Opinion there = opinion(by(null, "W", "Whoever", state(State.Kind.AS_MADE), 0.8));

    assertThat(made.headline()).isEqualTo("Maker not yet known");
    assertThat(made.held()).isNull();
    assertThat(made.strength()).isEqualTo(Strength.OPEN);
    assertThat(altered.headline()).isEqualTo("Maker not yet known; bar replaced");
    assertThat(altered.held()).isEqualTo(0.8);
    assertThat(there.headline()).isEqualTo("Whoever made it");
    assertThat(there.strength()).isEqualTo(Strength.LIKELY);
  }

  @ParameterizedTest
  @CsvSource({
    "AS_MADE, Ombrake made it",
    "OLD_STYLE, Ombrake made it later in an old style",
    "PART_REPLACED, Ombrake made it; bar replaced later",
    "OLDER_PART, Ombrake made it; bar replaced",
    "MARK_UNTRUSTED, Ombrake made it under a mark that is not its own",
    "TWO_AT_ONCE, Ombrake made it; bar replaced",
    "MISJUDGED, Ombrake made it; bar replaced",
    "UNTRUE, Ombrake made it; bar replaced",
    "ALL_ELSE, Ombrake made it",
  })
  void theHeadlineSaysHowItCameToBeSo(State.Kind kind, String headline) {
    assertThat(opinion(lead(state(kind))).headline()).isEqualTo(headline);
  }

  @Test
  void whoMadeItForAHouseIsNamedOnceNineInTenOfItAreClear() {
    makers = List.of(house(hand("quell", "Quell", 0.45, "a", "b"), hand(null, "Others", 0.02)));
    read = marks(Set.of("quell"));
    Opinion clear = opinion(lead(state(State.Kind.AS_MADE)));
    makers = List.of(house(hand("quell", "Quell", 0.44, "a"), hand(null, "Others", 0.005)));
    read = marks(Set.of());
    Opinion open = opinion(lead(state(State.Kind.AS_MADE)));

    assertThat(clear.headline()).isEqualTo("Quell made it for Ombrake");
    assertThat(clear.sentences())
        .containsExactly(
            "By the contracts on file its maker is Quell (90%) or Others (4%).",
            "For Quell speak the trait a and the trait b.",
            "Ombrake stands on the main blade, and the mark of Quell on a second one.");
    assertThat(open.headline()).isEqualTo("Ombrake put its name on it; who made it is open");
    assertThat(open.sentences())
        .containsExactly(
            "By the contracts on file its maker is Quell (88%) or itself (11%).",
            "For Quell speaks the trait a.");
  }

  private static Attribution house(Contractor... hands) {
    return new Attribution("ombrake", "W", "Ombrake", 0.5, YEARS, List.of(hands));
  }

  @ParameterizedTest
  @CsvSource(
      nullValues = "-",
      value = {
        "frame, 1900, 1910, 0, 'Of about 1900 to 1910: form, cast.'",
        "frame, 1900, 1900, 0, 'Of about 1900: form, cast.'",
        "frame, 1900, -, 0, 'Not before about 1900: form, cast.'",
        "build, 1900, -, 3, 'Seldom before about 1900: form, cast.'",
        "frame, -, 1910, 0, 'Hardly later than about 1910: form, cast.'",
        "build, -, 1910, -3, 'Seldom later than about 1910: form, cast.'",
        "frame, 1900, -, -1, 'What says most: form, cast.'",
        "frame, -, 1910, 1, 'What says most: form, cast.'",
        "frame, -, -, 0, 'What says most: form, cast.'",
        "story, 1900, -, 0, 'What is told of it says most: form, cast.'",
        "marks, 1900, -, 0, 'Not before about 1900: form, Cast.'",
      })
  void theBoundThatDecidesIsTold(
      String station, @Nullable Integer from, @Nullable Integer to, int shift, String said) {
    clues = List.of(clue("bar-form", station, from, to, shift));

    assertThat(opinion(lead(state(State.Kind.AS_MADE))).sentences()).containsExactly(said);
  }

  @Test
  void aLaterPartIsKnownByThePartItIsOfAndNotByHowThatIsCalled() {
    State pins = new State(State.Kind.PART_REPLACED, "bar-pins", "bar pins replaced");
    states = List.of(new StateProbability(pins, 0.7, span(1950, 1960)));
    clues = List.of(clue("bar-form", "frame", 1900, null, 0));
    Opinion ofTheBar = opinion(lead(pins));
    clues = List.of(clue("pin-heads", "frame", 1900, null, 0));
    Opinion ofThePins = opinion(lead(pins));

    assertThat(ofTheBar.sentences())
        .containsExactly(
            "Not before about 1900: form, cast.",
            "The bar pins put on later is of 1950\u20131960.");
    assertThat(ofThePins.sentences()).startsWith("The bar is later: cast, not before about 1900.");
  }

  @Test
  void anOlderFashionIsToldWithWhatMayHaveComeOfIt() {
    clues =
        List.of(
            clue("bar-form", "frame", 1900, null, 0),
            clue("pin-heads", "frame", null, 1890, 0),
            clue("told", "story", null, 1890, 0));
    conflicts =
        List.of(
            new Conflict("pin-heads", "bar-form", "Pins", "Bars", 0, 10, "", 0),
            new Conflict("bar-form", "told", "Pins", "Bars", 0, 10, "", 0));
    states =
        List.of(
            new StateProbability(state(State.Kind.AS_MADE), 0.3, null),
            new StateProbability(state(State.Kind.PART_REPLACED), 0.3, null),
            new StateProbability(state(State.Kind.OLD_STYLE), 0.2, null),
            new StateProbability(state(State.Kind.TWO_AT_ONCE), 0.09, null));
    Opinion told = opinion(lead(state(State.Kind.AS_MADE)));

    assertThat(told.sentences().get(1))
        .isEqualTo(
            "The form is in a fashion of about 1890, so either the bar was put on later (30%),"
                + " or it was made later in the old style (20%).");
    states = states.subList(0, 1);
    assertThat(opinion(lead(state(State.Kind.AS_MADE))).sentences().get(1))
        .isEqualTo("Pins does not go with bars.");
  }

  @ParameterizedTest
  @CsvSource({
    "0.5, Pins does not go with bars. Most likely: a swap (50%).",
    "0.49, Pins does not go with bars. It may be: a swap (49%).",
  })
  void whatDoesNotGoTogetherIsToldWithWhatWouldLiftIt(double p, String said) {
    conflicts = List.of(new Conflict("a", "b", "Pins", "Bars", 0, 10, "a swap", p));

    assertThat(opinion(lead(state(State.Kind.AS_MADE))).sentences()).containsExactly(said);
  }

  @Test
  void rivalsAreNamedFromOneChanceInTen() {
    Explanation other = by(null, "E", "A maker not on file", state(State.Kind.OLDER_PART), 0.1);
    Explanation little = by("x", "E", "Xarn", state(State.Kind.OLDER_PART), 0.09);

    assertThat(opinion(lead(state(State.Kind.AS_MADE)), other, little).rivals())
        .isEqualTo(
            "Bar replaced, 1900\u20131920 (80%); or a maker not on file, bar replaced,"
                + " 1900\u20131920 (10%).");
    assertThat(opinion(lead(state(State.Kind.AS_MADE)), little).rivals())
        .isEqualTo("Bar replaced, 1900\u20131920 (80%); no rival comes to one chance in ten.");
  }
}
