package snikra.core.dating;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static snikra.core.fixture.KnifeBuilder.aKnifeOn;
import static snikra.core.fixture.KnifeBuilder.anOldLookingCampKnife;

import java.util.List;
import org.junit.jupiter.api.Test;
import snikra.core.dating.DatingVerdict.Decider;
import snikra.core.dating.DatingVerdict.Explanation;
import snikra.core.fixture.Shelf;
import snikra.core.reference.ReferenceShelf;

class DecidersTest {

  private static Decider against(List<Explanation> all, State.Kind rival) {
    return all.stream()
        .skip(1)
        .filter(e -> e.state().kind() == rival)
        .findFirst()
        .orElseThrow()
        .decider();
  }

  @Test
  void theLeadingExplanationNeedsNoDeciderAndItsRivalsNameALookNotYetTaken() {
    DatingVerdict verdict = anOldLookingCampKnife().with("material", "bone").dated();
    assertThat(verdict.explanations().get(0).decider()).isNull();
    Decider decider = against(verdict.explanations(), State.Kind.OLD_STYLE);
    assertThat(decider.feature()).isEqualTo("spacer");
    assertThat(decider.speaksFor()).isEqualTo("plastic");
    assertThat(decider.speaksAgainst()).isEqualTo("none");
  }

  @Test
  void whatWasLookedAtDecidesNoMore() {
    DatingVerdict verdict = anOldLookingCampKnife().with("spacer", "none").dated();
    assertThat(verdict.explanations())
        .extracting(Explanation::decider)
        .allMatch(d -> d == null || !d.feature().equals("spacer"));
    assertThat(verdict.explanations()).hasSizeGreaterThan(1);
  }

  @Test
  void twoMarksThatBothFitAreToldApartOnTheTang() {
    ReferenceShelf shelf =
        Shelf.invented()
            .withMakers(
                List.of(
                    Shelf.maker("thrale", List.of(), Shelf.mark("t", 1890, 1912, "THRALE")),
                    Shelf.maker("thralf", List.of(), Shelf.mark("z", 1889, 1931, "THRALF"))));
    List<Explanation> open = aKnifeOn(shelf).marked("THRAL_").dated().explanations();
    assertThat(open)
        .filteredOn(e -> e.state().kind() == State.Kind.AS_MADE && e.decider() != null)
        .anySatisfy(e -> assertThat(e.decider().label()).startsWith("The mark again: line 1"));
    assertThat(aKnifeOn(shelf).marked("THRALE").dated().explanations())
        .allMatch(e -> e.maker() == null || !e.maker().equals("thralf"));
  }

  @Test
  void aLookIsWorthWhatItTellsOfWhichOfTheTwoItIs() {
    assertThat(Deciders.bits(new double[] {1, 0}, new double[] {0, 1}, 0.5))
        .isCloseTo(1, within(1e-12));
    assertThat(Deciders.bits(new double[] {0.3, 0.7}, new double[] {0.3, 0.7}, 0.5))
        .isCloseTo(0, within(1e-12));
    // By hand: H(0.9) of which of the two it is, for the answer settles it.
    double known = -(0.9 * Math.log(0.9) + 0.1 * Math.log(0.1)) / Math.log(2);
    assertThat(Deciders.bits(new double[] {1, 0}, new double[] {0, 1}, 0.1))
        .isCloseTo(known, within(1e-12));
  }
}
