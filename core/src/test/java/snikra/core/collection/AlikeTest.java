package snikra.core.collection;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import snikra.core.collection.Alike.From;
import snikra.core.collection.Alike.Place;
import snikra.core.search.Card;
import snikra.core.search.Facet;
import snikra.core.sets.Fit;

class AlikeTest {
  private static final From FROM = new From(0.5, 1.6);

  private static final Map<Facet, String> JACK =
      Map.of(
          Facet.MAKER,
          "Thrale",
          Facet.PATTERN,
          "Pen",
          Facet.HANDLE,
          "Bone",
          Facet.BLADES,
          "2 blades");

  private static Card like(int number, @Nullable Double mm) {
    return Knives.card(number, JACK, 0, List.of(), mm, List.of());
  }

  private static Card but(int number, Facet facet, String value) {
    Map<Facet, String> of = new HashMap<>(JACK);
    of.put(facet, value);
    return Knives.card(number, of, 0, List.of(), 80.0, List.of());
  }

  private static Card fits(int number, @Nullable String model, @Nullable String mark, double p) {
    return Knives.card(
        number, JACK, 0, List.of(), 80.0, List.of(new Fit("thrale", model, mark, p)));
  }

  private static List<Alike> among(Card... cards) {
    return Alike.among(List.of(cards), FROM);
  }

  @Test
  void twoOfOneModelInOneMarkAreTheSameAndNotToldAgainAsAlike() {
    assertThat(among(fits(1, "12", "a", 0.9), fits(2, "12", "a", 0.5)))
        .containsExactly(
            new Alike(
                "Thrale",
                new Place("thrale", "12", "a"),
                List.of("Pen", "Bone", "2 blades"),
                List.of(1, 2)));
  }

  @Test
  void aKnifeThatMayBeOfAnotherMarkIsNotTheSame() {
    assertThat(among(fits(1, "12", "a", 0.9), fits(2, "12", "a", 0.49)))
        .extracting(Alike::what)
        .containsExactly((Place) null);
    assertThat(among(fits(1, "12", "a", 0.9), fits(2, "12", "b", 0.9)).get(0).what()).isNull();
    assertThat(among(fits(1, null, "a", 0.9), fits(2, null, "a", 0.9)).get(0).what()).isNull();
    assertThat(among(fits(1, "12", null, 0.9), fits(2, "12", null, 0.9)).get(0).what()).isNull();
  }

  @Test
  void whatDiffersInOneOfTheFourIsNotAlike() {
    Card jack = like(1, 80.0);
    assertThat(among(jack, but(2, Facet.PATTERN, "Jack"))).isEmpty();
    assertThat(among(jack, but(2, Facet.HANDLE, "Stag"))).isEmpty();
    assertThat(among(jack, but(2, Facet.BLADES, "3 blades"))).isEmpty();
    assertThat(among(jack, but(2, Facet.MAKER, "Alder"))).isEmpty();
    assertThat(among(jack, like(2, 80.0))).hasSize(1);
  }

  @Test
  void whatNobodyCouldTellMakesNoTwoAlike() {
    assertThat(among(but(1, Facet.MAKER, Card.NOT_KNOWN), but(2, Facet.MAKER, Card.NOT_KNOWN)))
        .isEmpty();
  }

  @Test
  void sizesPartThoseThatAreAlike() {
    assertThat(among(like(1, 80.0), like(2, 81.6), like(3, 83.3), like(4, 83.4)))
        .extracting(Alike::numbers)
        .containsExactly(List.of(2, 1), List.of(4, 3));
  }

  @Test
  void oneNotMeasuredStandsWithTheOthersWhereTheyAreOfOneSize() {
    assertThat(among(like(1, 80.0), like(2, null)).get(0).numbers()).containsExactly(1, 2);
    assertThat(among(like(1, 80.0), like(2, 90.0), like(3, null))).isEmpty();
    assertThat(among(like(1, null), like(2, null)).get(0).numbers()).containsExactly(1, 2);
  }

  @Test
  void thoseOfWhichThereAreMostComeFirst() {
    assertThat(among(like(1, 70.0), like(2, 70.0), like(3, 80.0), like(4, 80.0), like(5, 80.0)))
        .extracting(a -> a.numbers().size())
        .containsExactly(3, 2);
  }
}
