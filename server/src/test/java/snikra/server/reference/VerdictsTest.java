package snikra.server.reference;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import snikra.core.examination.Examiner;
import snikra.core.examination.Verdict;
import snikra.core.specimen.Specimen;
import snikra.formats.ShippedShelf;
import snikra.formats.SpecimenFormat;

class VerdictsTest {
  private static final Examiner SHIPPED = new Examiner(ShippedShelf.load(), 2026);
  private Examiner examiner = SHIPPED;
  private final Verdicts verdicts = new Verdicts(() -> examiner);

  private static Specimen knife(int number) {
    return SpecimenFormat.readKept(
        "{\"title\":\"" + number + "\",\"frame\":\"canoe\",\"seen\":{\"spacer\":\"none\"}}");
  }

  @Test
  void aKnifeThatWasJudgedIsNotJudgedAgain() {
    assertThat(verdicts.atHand(SHIPPED, knife(1))).isEmpty();
    Verdict first = verdicts.of(knife(1));
    assertThat(verdicts.of(knife(1))).isSameAs(first);
    assertThat(verdicts.atHand(SHIPPED, knife(1)).orElseThrow()).isSameAs(first);
  }

  @Test
  void otherReferencesJudgeAnew() {
    Verdict first = verdicts.of(knife(1));
    examiner = new Examiner(ShippedShelf.load(), 2026);
    assertThat(verdicts.of(knife(1))).isNotSameAs(first);
  }

  @Test
  void onlyTheLastOnesAreAtHand() {
    for (int i = 0; i < 70; i++) {
      verdicts.of(knife(i));
    }
    assertThat(verdicts.atHand(SHIPPED, knife(0))).isEmpty();
    assertThat(verdicts.atHand(SHIPPED, knife(69))).isPresent();
  }

  @Test
  void whatTheTraySaysOfAKnifeIsTheSameOutOfTheVerdictAtHand() {
    Specimen knife =
        SpecimenFormat.readKept(
            """
            {"frame":"canoe","closedLength":"3 5/8 in","number":"3",
             "seen":{"handle_material":"acetal","spacer":"none"},
             "marks":[{"blade":1,"face":"mark","state":"read","lines":["VELDRAKE","TARNMOOR FALLS"]}]}
            """);
    assertThat(SHIPPED.enter(7, knife, verdicts.of(knife))).isEqualTo(SHIPPED.enter(7, knife));
    assertThat(SHIPPED.summarise(knife).span()).isNotNull();
    Specimen unseen = Specimen.unseen();
    assertThat(SHIPPED.enter(7, unseen, verdicts.of(unseen)).summary().span()).isNull();
  }
}
