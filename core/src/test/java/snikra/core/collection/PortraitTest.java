package snikra.core.collection;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import snikra.core.collection.Portrait.Count;
import snikra.core.collection.Portrait.Decade;
import snikra.core.search.Card;
import snikra.core.search.Facet;

class PortraitTest {

  private static Card knife(int number, Map<Facet, String> of, int from, Double... decades) {
    return Knives.card(number, of, from, List.of(decades), null, List.of());
  }

  @Test
  void aKnifeOfWhichTheDecadeIsOpenCountsInEachByItsShare() {
    Portrait of =
        Portrait.of(
            List.of(
                knife(1, Map.of(), 1890, 0.5, 0.5),
                knife(2, Map.of(), 1900, 1.0),
                knife(3, Map.of(), 1920, 0.0, 1.0),
                knife(4, Map.of(), 0)));
    assertThat(of.knives()).isEqualTo(4);
    assertThat(of.dated()).isEqualTo(3);
    assertThat(of.decades())
        .containsExactly(
            new Decade(1890, 0.5, 0, 1),
            new Decade(1900, 1.5, 1, 2),
            new Decade(1910, 0, 0, 0),
            new Decade(1920, 0, 0, 0),
            new Decade(1930, 1, 1, 1));
  }

  @Test
  void theExpectedNumbersAddUpToTheDatedKnives() {
    Portrait of =
        Portrait.of(
            List.of(
                knife(1, Map.of(), 1880, 0.2, 0.3, 0.5), knife(2, Map.of(), 1860, 0.6, 0.1, 0.3)));
    assertThat(of.decades().stream().mapToDouble(Decade::expected).sum())
        .isCloseTo(2, within(1e-12));
  }

  @Test
  void kindsAreCountedMostFrequentFirstAndWhatIsNotKnownIsNone() {
    Portrait of =
        Portrait.of(
            List.of(
                knife(1, Map.of(Facet.MAKER, "Thrale", Facet.HANDLE, "Bone"), 0),
                knife(2, Map.of(Facet.MAKER, "Alder"), 0),
                knife(3, Map.of(Facet.MAKER, "Thrale"), 0),
                knife(4, Map.of(Facet.MAKER, Card.NOT_KNOWN), 0)));
    assertThat(of.kinds())
        .extracting(Portrait.Kind::facet)
        .containsExactly(Facet.MAKER, Facet.HANDLE);
    Portrait.Kind makers = of.kinds().get(0);
    assertThat(makers.of()).isEqualTo(3);
    assertThat(makers.counts()).containsExactly(new Count("Thrale", 2), new Count("Alder", 1));
  }

  @Test
  void ofNoKnivesThereIsNothingToDraw() {
    Portrait of = Portrait.of(List.of());
    assertThat(of.decades()).isEmpty();
    assertThat(of.kinds()).isEmpty();
  }
}
