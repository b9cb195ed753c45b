package snikra.core.dating;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static snikra.core.fixture.KnifeBuilder.aKnife;
import static snikra.core.fixture.KnifeBuilder.aKnifeOn;
import static snikra.core.fixture.KnifeBuilder.anOldLookingCampKnife;
import static snikra.core.fixture.KnifeBuilder.probability;

import java.util.Comparator;
import java.util.List;
import org.junit.jupiter.api.Test;
import snikra.core.fixture.Shelf;
import snikra.core.reference.ReferenceShelf;
import snikra.core.specimen.Sureness;

/** Small stories with invented knives; each expectation was written before the model was asked. */
class DatingStoriesTest {

  @Test
  void aKnifeFromAYearOfChangeWithAnOlderHandleUsesUpOldStock() {
    // Signed by the firm of 1914 to 1931, with a jigging that had gone out by 1910.
    ReferenceShelf shelf =
        Shelf.invented()
            .withMakers(
                List.of(
                    Shelf.maker(
                        "zwick",
                        List.of(1914),
                        Shelf.mark("zwick-dal", 1914, 1916, "ZWICKEL", "& DAL"))));
    DatingVerdict plain =
        aKnifeOn(shelf).marked("ZWICKEL", "& DAL").with("jigging", "machine").dated();
    DatingVerdict older =
        aKnifeOn(shelf).marked("ZWICKEL", "& DAL").with("jigging", "worm").dated();

    assertThat(probability(older, State.Kind.OLDER_PART))
        .isGreaterThan(probability(plain, State.Kind.OLDER_PART));
    assertThat(older.nineTenths().from()).isBetween(1912, 1916);
    assertThat(older.nineTenths().to()).isLessThanOrEqualTo(1918);
  }

  @Test
  void aLateHandleAmongOldPartsWasEitherPutOnLaterOrMadeLaterInTheOldStyle() {
    DatingVerdict verdict =
        aKnife()
            .with("material", "acetal")
            .with("punch", "wing")
            .with("opener", "two-part")
            .dated();

    double later = probability(verdict, State.Kind.OLD_STYLE);
    double replaced = probability(verdict, State.Kind.PART_REPLACED);
    assertThat(later).isGreaterThan(0.1);
    assertThat(replaced).isGreaterThan(0.1);
    assertThat(later + replaced).isGreaterThan(0.6);
  }

  @Test
  void countryOfBuildMovesTheCountryAndNotTheYear() {
    DatingVerdict none = aKnife().dated();
    DatingVerdict west = aKnife().with("build", "west").dated();

    assertThat(west.median()).isCloseTo(none.median(), within(3));
    assertThat(west.makers().get(0).region()).isEqualTo("W");
    assertThat(west.makers().get(0).probability()).isGreaterThan(0.6);
  }

  @Test
  void aSureLookNobodyDisputesLeavesTheKnifeAsMade() {
    DatingVerdict verdict =
        aKnife()
            .marked("THRALE", "WINDOVER")
            .with("material", "bone")
            .with("spacer", "none")
            .dated();
    assertThat(verdict.states().get(0).state().kind()).isEqualTo(State.Kind.AS_MADE);
    assertThat(verdict.conflicts()).isEmpty();
    assertThat(verdict.opinion().strength()).isNotEqualTo(DatingVerdict.Strength.OPEN);
  }

  @Test
  void aMarkThatIsWornAwayLeavesEverythingAsItWas() {
    double[] without = aKnife().with("material", "bone").dated().curve();
    double[] stretch = aKnife().with("material", "bone").marked("*").dated().curve();
    // A stretch of unknown length is hardly more than nothing: the middle stays within a few years.
    assertThat(Distribution.quantile(stretch, 0.5))
        .isCloseTo(Distribution.quantile(without, 0.5), within(12));
  }

  @Test
  void tenLettersOfAnUnlistedNameAreNoMakerOnTheShelf() {
    DatingVerdict verdict = aKnife().marked("GOBRUNDEL", "QUAVE").dated();
    assertThat(verdict.makers()).allSatisfy(m -> assertThat(m.maker()).isNull());
  }

  @Test
  void agreeingCluesNarrowTheSpanAndContradictingOnesDoNotHideIt() {
    int one = width(anOldLookingCampKnife().without("jigging").without("opener").dated());
    int three = width(anOldLookingCampKnife().dated());
    DatingVerdict torn = anOldLookingCampKnife().with("spacer", "plastic").dated();

    assertThat(three).isLessThan(one);
    assertThat(torn.conflicts()).isNotEmpty();
    assertThat(torn.explanations()).hasSizeGreaterThan(1);
  }

  @Test
  void leavingOutAClueIsWhatItsInfluenceSays() {
    DatingVerdict with = anOldLookingCampKnife().with("spacer", "plastic").dated();
    DatingVerdict without = anOldLookingCampKnife().dated();
    DatingVerdict.ClueInfluence spacer = with.clues().get(0);

    assertThat(spacer.feature()).isEqualTo("spacer");
    assertThat(spacer.medianShift()).isEqualTo(with.median() - without.median());
    assertThat(spacer.bits())
        .isCloseTo(Distribution.bitsLost(with.curve(), without.curve()), within(1e-9));
  }

  @Test
  void leavingOutTheMarkIsWhatItsInfluenceSays() {
    DatingVerdict with =
        aKnife()
            .marked("THRALE", "WINDOVER")
            .with("material", "bone")
            .with("punch", "wing")
            .dated();
    DatingVerdict without = aKnife().with("material", "bone").with("punch", "wing").dated();

    assertThat(with.mark().medianShift()).isEqualTo(with.median() - without.median());
    assertThat(with.mark().bits())
        .isCloseTo(Distribution.bitsLost(with.curve(), without.curve()), within(1e-9));
    assertThat(with.mark().value()).isEqualTo("THRALE / WINDOVER");
    assertThat(with.mark().notBefore()).isBetween(1889, 1893);
    assertThat(with.mark().notAfter()).isBetween(1909, 1913);
    assertThat(without.mark()).isNull();
  }

  @Test
  void cluesThatAgreeAreWorthTogetherWhatLeavingThemAllOutSays() {
    DatingVerdict with = anOldLookingCampKnife().with("spacer", "plastic").dated();
    DatingVerdict.ClueGroup old =
        with.clueGroups().stream().filter(g -> g.features().size() > 1).findFirst().orElseThrow();
    var knife = anOldLookingCampKnife().with("spacer", "plastic");
    old.features().forEach(knife::without);
    DatingVerdict without = knife.dated();

    assertThat(old.features()).doesNotContain("spacer");
    assertThat(old.medianShift()).isEqualTo(with.median() - without.median());
    assertThat(old.bits())
        .isCloseTo(Distribution.bitsLost(with.curve(), without.curve()), within(1e-9));
    assertThat(with.clues())
        .filteredOn(c -> old.features().contains(c.feature()))
        .hasSize(old.features().size())
        .allSatisfy(c -> assertThat(c.bits()).isLessThan(old.bits()));
  }

  @Test
  void everyClueIsInOneGroupAndNeverWithOneItIsInConflictWith() {
    DatingVerdict verdict = anOldLookingCampKnife().with("spacer", "plastic").dated();

    assertThat(verdict.clueGroups().stream().flatMap(g -> g.features().stream()))
        .containsExactlyInAnyOrderElementsOf(
            verdict.clues().stream().map(DatingVerdict.ClueInfluence::feature).toList());
    assertThat(verdict.clueGroups())
        .isSortedAccordingTo(Comparator.comparingDouble(g -> -g.bits()))
        .noneMatch(
            g ->
                verdict.conflicts().stream()
                    .anyMatch(c -> g.features().containsAll(List.of(c.feature(), c.rival()))));
  }

  @Test
  void theBriefVerdictIsTheSameButForTheInfluences() {
    var model = new DatingModel(Shelf.invented(), Shelf.THIS_YEAR);
    var evidence =
        new Evidence(
            new snikra.core.mark.MarkReader(Shelf.invented()).read(List.of()),
            List.of(),
            List.of(snikra.core.fixture.KnifeBuilder.held(1930, 0.9)),
            null,
            List.of(),
            java.util.Map.of(),
            List.of(),
            java.util.Set.of());
    assertThat(model.dateBriefly(evidence).curve()).isEqualTo(model.date(evidence).curve());
    assertThat(model.dateBriefly(evidence).clues()).isEmpty();
    assertThat(model.date(evidence).clues()).hasSize(1);
  }

  @Test
  void aReplacedPartIsNeverOlderThanWhatItWasPutOn() {
    DatingVerdict verdict =
        aKnife().marked("THRALE", "WINDOVER").with("material", "acetal", Sureness.SURE).dated();
    DatingVerdict.StateProbability replaced =
        verdict.states().stream()
            .filter(s -> s.state().kind() == State.Kind.PART_REPLACED)
            .findFirst()
            .orElseThrow();
    assertThat(replaced.partSpan().from()).isGreaterThan(verdict.notBefore());
  }

  @Test
  void strengthsHaveTheirLimits() {
    assertThat(DatingVerdict.Strength.of(0.97)).isEqualTo(DatingVerdict.Strength.CERTAIN);
    assertThat(DatingVerdict.Strength.of(0.969)).isEqualTo(DatingVerdict.Strength.VERY_LIKELY);
    assertThat(DatingVerdict.Strength.of(0.7)).isEqualTo(DatingVerdict.Strength.LIKELY);
    assertThat(DatingVerdict.Strength.of(0.5))
        .isEqualTo(DatingVerdict.Strength.MORE_LIKELY_THAN_NOT);
    assertThat(DatingVerdict.Strength.of(0.499)).isEqualTo(DatingVerdict.Strength.OPEN);
  }

  private static int width(DatingVerdict verdict) {
    return verdict.nineTenths().pieces().stream().mapToInt(p -> p.to() - p.from() + 1).sum();
  }
}
