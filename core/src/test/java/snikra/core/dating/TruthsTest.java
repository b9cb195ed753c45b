package snikra.core.dating;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import snikra.core.dating.DatingVerdict.StateProbability;
import snikra.core.dating.Evidence.Statement;
import snikra.core.fixture.KnifeBuilder;
import snikra.core.fixture.Shelf;

/** What is told of a knife, against what follows for its years if it is true and if it is not. */
class TruthsTest {
  private static final String ID = "story-1";
  private final DatingModel model = new DatingModel(Shelf.invented(), Shelf.THIS_YEAR);

  private StoryTruth truth(Evidence evidence) {
    return model.truths(evidence, Set.of(ID)).get(0);
  }

  private static Evidence saying(Evidence of, Statement said) {
    return new Evidence(
        of.marks(),
        of.observed(),
        List.of(said),
        of.number(),
        of.codes(),
        of.found(),
        of.facesLeft(),
        of.lookedInVain());
  }

  private static Statement saidOf(double reliability, Set<String> regions, String maker) {
    return new Statement(
        ID,
        "story",
        "Story",
        "Said",
        null,
        null,
        null,
        regions,
        maker,
        null,
        List.of(),
        reliability,
        "");
  }

  // Told rightly or by mistake: by mistake it says nothing of the knife, so that its years then are
  // those without it, and the whole is a mixture of the two.
  private void isTheShareOfTheMixture(Evidence evidence) {
    double chance = truth(evidence).chance();
    double[] all = model.dateBriefly(evidence).curve();
    double[] so = model.dateBriefly(evidence.believing(ID)).curve();
    double[] not = model.dateBriefly(evidence.without(Set.of(ID))).curve();
    for (int y = 0; y < all.length; y++) {
      assertThat(all[y]).isCloseTo(chance * so[y] + (1 - chance) * not[y], within(1e-9));
    }
  }

  @ParameterizedTest
  @CsvSource({"1890,0.7", "1905,0.4", "1917,0.97", "1950,0.3"})
  void theChanceIsExact(int year, double reliability) {
    isTheShareOfTheMixture(
        KnifeBuilder.anOldLookingCampKnife().heldBy(year, reliability).evidence());
    isTheShareOfTheMixture(KnifeBuilder.aKnife().heldBy(year, reliability).evidence());
  }

  @Test
  void theChanceOfACountryAndOfAMakerIsExactToo() {
    Evidence knife = KnifeBuilder.anOldLookingCampKnife().evidence();
    String region = Shelf.invented().regions().get(1).id();
    String maker = Shelf.invented().makers().get(0).id();
    isTheShareOfTheMixture(saying(knife, saidOf(0.6, Set.of(region), null)));
    isTheShareOfTheMixture(saying(knife, saidOf(0.6, null, maker)));
  }

  @Test
  void whatTheKnifeGoesWithIsBelievedMoreAndWhatItRulesOutIsNot() {
    Statement dated = new Statement(ID, "story", "Story", "Said", 1890, 1915, null, 0.5, "");
    Evidence old = saying(KnifeBuilder.anOldLookingCampKnife().evidence(), dated);
    assertThat(truth(old).alone()).isEqualTo(0.5);
    assertThat(truth(old).chance()).isGreaterThan(0.5);
    assertThat(truth(old).doubted()).isFalse();
    assertThat(truth(old).ifTrue()).isEmpty();
    Evidence early = KnifeBuilder.anOldLookingCampKnife().heldBy(1750, 0.5).evidence();
    assertThat(truth(early).chance()).isLessThan(0.05);
    assertThat(truth(early).doubted()).isTrue();
  }

  @Test
  void whatIsDoubtedIsToldWithTheYearsOfTheKnifeWithoutItAndHowBothCanBe() {
    Evidence evidence = KnifeBuilder.anOldLookingCampKnife().heldBy(1750, 0.5).evidence();
    StoryTruth truth = truth(evidence);
    DatingVerdict without = model.dateBriefly(evidence.without(Set.of(ID)));
    assertThat(truth.knife()).isEqualTo(without.nineTenths());
    assertThat(without.between(1700, truth.thereBy())).isGreaterThanOrEqualTo(0.9);
    assertThat(without.between(1700, truth.thereBy() - 1)).isLessThan(0.9);
    assertThat(truth.ifTrue().stream().mapToDouble(StateProbability::probability).sum())
        .isCloseTo(1, within(1e-9));
    assertThat(truth.ifTrue()).isEqualTo(model.dateBriefly(evidence.believing(ID)).states());
  }

  @Test
  void whatSaysTwoThingsIsSoOnlyWhereBothAre() {
    Evidence knife = KnifeBuilder.aKnife().evidence();
    String maker = Shelf.invented().makers().get(0).id();
    Statement both =
        new Statement(
            ID, "story", "Story", "Said", null, 1950, null, null, maker, null, List.of(), 0.5, "");
    assertThat(truth(saying(knife, both)).alone()).isEqualTo(0.25);
    assertThat(truth(saying(knife, both)).chance())
        .isLessThan(truth(saying(knife, saidOf(0.5, null, maker))).chance());
  }

  @Test
  void onlyWhatIsAskedForIsHeldAgainstIt() {
    Evidence evidence = KnifeBuilder.aKnife().heldBy(1917, 0.5).notBefore(1900).evidence();
    assertThat(model.truths(evidence, Set.of(ID)))
        .extracting(StoryTruth::statement)
        .containsExactly(ID);
    assertThat(model.truths(evidence, Set.of())).isEmpty();
  }
}
