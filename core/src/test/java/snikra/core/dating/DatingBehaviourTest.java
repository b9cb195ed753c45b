package snikra.core.dating;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static snikra.core.fixture.KnifeBuilder.aKnife;
import static snikra.core.fixture.KnifeBuilder.aKnifeOn;
import static snikra.core.fixture.KnifeBuilder.anOldLookingCampKnife;
import static snikra.core.fixture.KnifeBuilder.probability;

import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import snikra.core.fixture.KnifeBuilder;
import snikra.core.fixture.Shelf;
import snikra.core.reference.ReferenceShelf;
import snikra.core.specimen.Sureness;

class DatingBehaviourTest {

  @Test
  void anOldLookWithAPlasticSpacerWasMadeLaterInTheOldStyle() {
    DatingVerdict verdict = anOldLookingCampKnife().with("spacer", "plastic").dated();

    assertThat(verdict.half().from()).isGreaterThan(1955);
    assertThat(verdict.states().get(0).state().kind()).isEqualTo(State.Kind.OLD_STYLE);
    assertThat(verdict.states().get(0).probability()).isGreaterThan(0.6);
    assertThat(verdict.states())
        .extracting(s -> s.state().kind())
        .contains(State.Kind.AS_MADE, State.Kind.PART_REPLACED);
    assertThat(verdict.makers().get(0).region()).isEqualTo("W");
    assertThat(verdict.makers().get(0).probability()).isBetween(0.6, 0.85);
  }

  @Test
  void theSameKnifeWithoutTheSpacerIsOld() {
    assertThat(anOldLookingCampKnife().dated().half().to()).isLessThan(1935);
  }

  @Test
  void theSpacerIsNamedAsTheClueThatDecidesAndItsConflictWithThePunchIsShown() {
    DatingVerdict verdict = anOldLookingCampKnife().with("spacer", "plastic").dated();

    assertThat(verdict.clues().get(0).feature()).isEqualTo("spacer");
    assertThat(verdict.conflicts())
        .anySatisfy(c -> assertThat(List.of(c.feature(), c.rival())).contains("spacer", "punch"));
    assertThat(verdict.opinion().sentences().get(0)).contains("1955");
    assertThat(verdict.opinion().sentences().get(1))
        .matches(".* in a fashion of about 1900, so either .*")
        .contains("made later in the old style (");
  }

  @Test
  void anUnsureClueMovesTheAnswerLessThanASureOne() {
    int none = aKnife().dated().median();
    int unsure = aKnife().with("spacer", "plastic", Sureness.UNSURE).dated().median();
    int likely = aKnife().with("spacer", "plastic", Sureness.LIKELY).dated().median();
    int sure = aKnife().with("spacer", "plastic").dated().median();

    assertThat(none).isLessThan(unsure);
    assertThat(unsure).isLessThan(likely);
    assertThat(likely).isLessThan(sure);
  }

  @Test
  void aLateMaterialUnderASureOldMarkRaisesAReplacedPartAndAnUntrustedMark() {
    DatingVerdict plain = aKnife().marked("THRALE", "WINDOVER").with("material", "bone").dated();
    DatingVerdict late = aKnife().marked("THRALE", "WINDOVER").with("material", "acetal").dated();

    assertThat(probability(late, State.Kind.PART_REPLACED))
        .isGreaterThan(0.5)
        .isGreaterThan(probability(plain, State.Kind.PART_REPLACED));
    assertThat(probability(late, State.Kind.MARK_UNTRUSTED))
        .isGreaterThan(5 * probability(plain, State.Kind.MARK_UNTRUSTED));
    DatingVerdict.StateProbability handle = late.states().get(0);
    assertThat(handle.state().part()).isEqualTo("handle");
    assertThat(handle.partSpan().from()).isGreaterThan(1956);
    assertThat(late.makers().get(0).maker()).isEqualTo("thrale");
  }

  @Test
  void nothingSeenGivesThePrior() {
    DatingVerdict verdict = aKnife().dated();

    assertThat(verdict.opinion().strength()).isEqualTo(DatingVerdict.Strength.OPEN);
    assertThat(verdict.opinion().held()).isNull();
    assertThat(verdict.makers().get(0).probability())
        .isCloseTo(verdict.makers().get(1).probability(), within(1e-9));
    assertThat(probability(verdict, State.Kind.AS_MADE)).isGreaterThan(0.9);
    assertThat(verdict.clues()).isEmpty();
    assertThat(verdict.explanations()).isEmpty();
    assertThat(Arrays.stream(verdict.curve()).sum()).isCloseTo(1, within(1e-9));
  }

  @Test
  void impossibleInputNeverGivesNaN() {
    ReferenceShelf shelf = Shelf.invented();
    KnifeBuilder knife =
        aKnifeOn(shelf)
            .marked("THRALE".repeat(6), "WINDOVER".repeat(5), "0000000000000000000000000000")
            .marked("ZWICKEL".repeat(5), "77777777777777777777777777777777777")
            .with("material", "acetal")
            .with("spacer", "plastic")
            .numbered("________9999")
            .heldBy(1200, 1.0);
    DatingVerdict verdict = knife.dated();

    assertThat(verdict.curve()).doesNotContain(Double.NaN);
    assertThat(Arrays.stream(verdict.curve()).sum()).isCloseTo(1, within(1e-9));
    assertThat(verdict.states()).allSatisfy(s -> assertThat(s.probability()).isBetween(0.0, 1.0));
  }

  @Test
  void theSameEvidenceGivesTheSameAnswerToTheLastBit() {
    assertThat(anOldLookingCampKnife().dated().curve())
        .isEqualTo(anOldLookingCampKnife().dated().curve());
  }

  @Test
  void aWornMarkThatFitsTwoFirmsGivesBoth() {
    DatingVerdict verdict = aKnife().marked("ZWICKEL", "& DA_").dated();

    assertThat(verdict.half().from()).isGreaterThanOrEqualTo(1888);
    assertThat(verdict.nineTenths().to()).isLessThanOrEqualTo(1932);
    assertThat(verdict.makers().get(0).maker()).isEqualTo("zwick");
  }

  @Test
  void theStatesOfAKnifeAddUpToOne() {
    DatingVerdict verdict =
        anOldLookingCampKnife().with("spacer", "plastic").with("material", "acetal").dated();

    // States below the half per cent that is shown are left out of the list.
    double shown =
        verdict.states().stream().mapToDouble(DatingVerdict.StateProbability::probability).sum();
    assertThat(shown).isBetween(0.95, 1.0 + 1e-9);
  }

  @Test
  void aHandleThatTheNumberContradictsIsMoreLikelyReplaced() {
    ReferenceShelf shelf = withNumbers();
    DatingVerdict agrees =
        aKnifeOn(shelf).marked("THRALE").with("material", "bone").numbered("581").dated();
    DatingVerdict contradicts =
        aKnifeOn(shelf).marked("THRALE").with("material", "bone").numbered("583").dated();

    assertThat(probability(agrees, State.Kind.PART_REPLACED)).isLessThan(0.05);
    assertThat(probability(contradicts, State.Kind.PART_REPLACED)).isGreaterThan(0.3);
  }

  @Test
  void aTrustedStoryBoundsTheYearAndHearsayBarely() {
    int document = aKnife().heldBy(1917, 0.95).dated().median();
    int hearsay = aKnife().heldBy(1917, 0.4).dated().median();

    assertThat(document).isLessThan(1917);
    assertThat(hearsay).isBetween(document, aKnife().dated().median());
  }

  private static ReferenceShelf withNumbers() {
    return Shelf.invented()
        .withMakers(
            List.of(
                Shelf.maker(
                    "thrale",
                    List.of(),
                    Shelf.grammar(),
                    Shelf.mark("thrale-old", 1890, 1912, "THRALE"))));
  }
}
