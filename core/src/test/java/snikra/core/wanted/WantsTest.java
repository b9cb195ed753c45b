package snikra.core.wanted;

import static org.assertj.core.api.Assertions.assertThat;
import static snikra.core.fixture.Shelf.mark;

import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import snikra.core.examination.Problem;
import snikra.core.fixture.Patterns;
import snikra.core.fixture.Shelf;
import snikra.core.pattern.Pattern;
import snikra.core.reference.History.Model;
import snikra.core.reference.ModelTell;
import snikra.core.reference.ReferenceShelf;
import snikra.core.resemblance.Likeness;
import snikra.core.search.Card;
import snikra.core.search.Facet;
import snikra.core.sets.Fit;
import snikra.core.sets.SetBoard.Held;
import snikra.core.sets.SetBoard.Stand;

class WantsTest {
  private static final ReferenceShelf SHELF =
      Shelf.invented(Patterns.invented())
          .withMakers(
              List.of(
                  Shelf.maker(
                      "thrale",
                      List.of(model("12", "bone", 1890, 1910), model("40", "horn", 1905, 1920)),
                      List.of(
                          mark("late", 1901, 1930, "THRALE", "WINDOVER"),
                          mark("early", 1880, 1900, "THRALE")))));

  private static final Likeness LIKENESS = new Likeness(SHELF);

  private static final Wants WANTS =
      new Wants(SHELF, LIKENESS.models(), LIKENESS::ofPattern, Shelf.THIS_YEAR);

  private static Model model(String number, String material, int from, int to) {
    ModelTell tell = ModelTell.of("material", Map.of(material, 0.8), "");
    return new Model(number, "Jack", "jack", from, to, Map.of(), List.of(tell), null, "", "", 0.9);
  }

  private static Want of(@Nullable String model, @Nullable String mark) {
    return new Want("thrale", model, mark, null, null, null, null, null, null, null, null);
  }

  private static Want years(@Nullable Integer from, @Nullable Integer to) {
    return new Want("thrale", "12", null, null, from, to, null, null, null, null, null);
  }

  private static Want priced(@Nullable String most, @Nullable String currency) {
    BigDecimal price = most == null ? null : new BigDecimal(most);
    return new Want("thrale", null, null, null, null, null, null, price, currency, null, null);
  }

  private static Card knife(int number, @Nullable String model, @Nullable String mark, double p) {
    return card(number, Map.of(), new Fit("thrale", model, mark, p));
  }

  private static Card card(int number, Map<Facet, List<String>> facets, Fit... fits) {
    return new Card(
        number,
        List.of(),
        facets,
        1890,
        List.of(0.25, 0.75),
        null,
        null,
        null,
        null,
        List.of(fits));
  }

  @Test
  void itIsToldByTheNamesOnFileAndTheYearsBothWereInUse() {
    Sought told = WANTS.told(of("12", "late"), List.of());
    assertThat(told.maker()).isEqualTo("thrale");
    assertThat(told.model()).isEqualTo("12 Jack");
    assertThat(told.lines()).containsExactly("THRALE", "WINDOVER");
    assertThat(told.from()).isEqualTo(1901);
    assertThat(told.to()).isEqualTo(1910);
    assertThat(told.stand()).isEqualTo(Stand.MISSING);
  }

  @Test
  void yearsAreThoseOfTheModelOrTheMarkAloneOrNone() {
    assertThat(WANTS.told(of("12", null), List.of()).from()).isEqualTo(1890);
    assertThat(WANTS.told(of(null, "late"), List.of()).to()).isEqualTo(1930);
    assertThat(WANTS.told(of(null, null), List.of()).from()).isNull();
    assertThat(WANTS.told(years(1900, null), List.of()).from()).isEqualTo(1900);
    assertThat(WANTS.told(years(null, 1899), List.of()).to()).isEqualTo(1899);
  }

  @Test
  void whatWasNeverMadeSoIsToldAsThat() {
    assertThat(WANTS.told(of("40", "early"), List.of()).stand()).isEqualTo(Stand.NEVER);
    Sought late = WANTS.told(years(1950, null), List.of());
    assertThat(late.stand()).isEqualTo(Stand.NEVER);
    assertThat(late.from()).isNull();
  }

  @Test
  void aKnifeThatIsItFillsItAndOneThatMayBeIsNamed() {
    List<Card> tray = List.of(knife(1, "12", "late", 0.3), knife(2, "12", "late", 0.7));
    Sought told = WANTS.told(of("12", "late"), tray);
    assertThat(told.stand()).isEqualTo(Stand.OWNED);
    assertThat(told.held()).containsExactly(new Held(2, 0.7), new Held(1, 0.3));
    assertThat(WANTS.told(of("12", "late"), List.of(tray.get(0))).stand()).isEqualTo(Stand.PERHAPS);
    assertThat(WANTS.told(of("40", null), tray).held()).isEmpty();
    assertThat(WANTS.told(of(null, "early"), tray).held()).isEmpty();
  }

  @Test
  void anyMarkOfAModelAddsUp() {
    Card open =
        card(
            3,
            Map.of(),
            new Fit("thrale", "12", "late", 0.3),
            new Fit("thrale", "12", "early", 0.3),
            new Fit("other", "12", "late", 0.4));
    assertThat(WANTS.told(of("12", null), List.of(open)).held()).containsExactly(new Held(3, 0.6));
  }

  @Test
  void theYearsAskedForWeighWhatAKnifeIsTakenFor() {
    List<Card> tray = List.of(knife(1, "12", "late", 1));
    assertThat(WANTS.told(years(1900, 1909), tray).held()).containsExactly(new Held(1, 0.75));
    assertThat(WANTS.told(years(null, 1899), tray).held()).containsExactly(new Held(1, 0.25));
  }

  @Test
  void aPatternIsAskedOfEachKnife() {
    Want pens = new Want(null, null, null, "jack", null, null, null, null, null, null, null);
    String name = SHELF.patterns().pattern("jack").orElseThrow().name();
    Card jack = card(1, Map.of(Facet.PATTERN, List.of(name)));
    Card other = card(2, Map.of(Facet.PATTERN, List.of("Another")));
    assertThat(WANTS.told(pens, List.of(jack, other)).held()).containsExactly(new Held(1, 1));
    assertThat(WANTS.told(pens, List.of()).pattern()).isEqualTo(name);
  }

  @Test
  void whatIsWantedByANoteAloneNoKnifeIsHeldToBe() {
    Want note = new Want(null, null, null, null, null, null, null, null, null, "A green one", null);
    assertThat(WANTS.told(note, List.of(knife(1, "12", "late", 1))).held()).isEmpty();
  }

  @Test
  void theModelOneMayTakeForItIsNamedWithTheLookThatPartsThem() {
    Sought.Neighbour near = WANTS.told(of("12", null), List.of()).neighbours().get(0);
    assertThat(near.label()).contains("40");
    assertThat(near.tells())
        .extracting(Sought.Tell::own, Sought.Tell::other)
        .contains(org.assertj.core.groups.Tuple.tuple("12", "40"));
    assertThat(near.tells()).hasSize(2);
    assertThat(WANTS.told(of(null, "late"), List.of()).neighbours()).isEmpty();
  }

  @Test
  void aPatternIsToldFromTheMostAlike() {
    Want pens = new Want(null, null, null, "pen-knife", null, null, null, null, null, null, null);
    List<Sought.Neighbour> near = WANTS.told(pens, List.of()).neighbours();
    assertThat(near).isNotEmpty();
    assertThat(near).extracting(Sought.Neighbour::label).doesNotContain("Pen knife");
    assertThat(near).allSatisfy(n -> assertThat(n.tells()).isNotEmpty());
    assertThat(near).extracting(Sought.Neighbour::otherSaid).containsOnlyNulls();
    assertThat(near)
        .flatExtracting(Sought.Neighbour::tells)
        .allSatisfy(t -> assertThat(t.own()).isNotEqualTo(t.other()));
  }

  @Test
  void whatThePatternBookSaysOfTwoThatAreAlikeIsToldOfTheOneItIsSaidOf() {
    String saying =
        SHELF.patterns().patterns().stream()
            .filter(p -> p.tellApart().containsKey("pen-knife"))
            .map(Pattern::id)
            .findFirst()
            .orElseThrow();
    Want one = new Want(null, null, null, saying, null, null, null, null, null, null, null);
    Want pens = new Want(null, null, null, "pen-knife", null, null, null, null, null, null, null);
    assertThat(WANTS.told(one, List.of()).neighbours())
        .filteredOn(n -> n.label().equals("Pen knife"))
        .extracting(Sought.Neighbour::otherSaid)
        .containsExactly("Both blades at one end.");
    assertThat(WANTS.told(pens, List.of()).neighbours())
        .extracting(Sought.Neighbour::ownSaid)
        .contains("Both blades at one end.");
  }

  @Test
  void whatIsNoLongerOnFileIsLeftOutAndNotRefused() {
    Want gone = new Want("gone", "1", "m", "p", null, null, "mint", null, null, "note", null);
    Sought told = WANTS.told(gone, List.of(knife(1, "12", "late", 1)));
    assertThat(told.maker()).isNull();
    assertThat(told.stand()).isEqualTo(Stand.MISSING);
  }

  private static List<String> fields(Want want) {
    return WANTS.problems(want).stream().map(Problem::field).toList();
  }

  @Test
  void whatCannotBeKeptIsToldByField() {
    assertThat(fields(of("12", "late"))).isEmpty();
    assertThat(fields(new Want(null, null, null, null, null, null, null, null, null, " ", null)))
        .containsExactly("maker");
    assertThat(fields(new Want("x", null, null, null, null, null, null, null, null, null, null)))
        .containsExactly("maker");
    assertThat(fields(of("99", null))).containsExactly("model");
    assertThat(fields(of(null, "none"))).containsExactly("mark");
    assertThat(
            fields(
                new Want(
                    "thrale",
                    null,
                    null,
                    null,
                    null,
                    null,
                    null,
                    null,
                    null,
                    null,
                    "x".repeat(81))))
        .containsExactly("set");
    assertThat(fields(new Want(null, null, null, "x", null, null, "x", null, null, null, null)))
        .containsExactly("pattern", "atLeast");
    assertThat(fields(years(1910, 1900))).containsExactly("to");
    assertThat(fields(years(900, 3000))).containsExactly("from", "to");
    assertThat(fields(priced("0", "GBP"))).containsExactly("most");
    assertThat(fields(priced("5", null))).containsExactly("currency");
    assertThat(fields(priced(null, "GBP"))).containsExactly("most");
    assertThat(fields(priced("5", "pounds"))).containsExactly("currency");
    assertThat(
            fields(
                new Want(
                    "thrale",
                    null,
                    null,
                    null,
                    null,
                    null,
                    null,
                    null,
                    null,
                    "x".repeat(401),
                    null)))
        .containsExactly("note");
  }
}
