package snikra.server.trial;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import snikra.core.condition.School;
import snikra.core.examination.Examiner;
import snikra.core.specimen.Specimen;
import snikra.formats.ShippedShelf;
import snikra.formats.SpecimenFormat;
import snikra.server.knives.SavedKnife;

class TrialTest {
  private static final Examiner NOW = new Examiner(ShippedShelf.load(), 2026);
  private static final Examiner WITHOUT_MAKERS = NOW.with(NOW.shelf().withMakers(List.of()));
  private static final Specimen VELDRAKE =
      SpecimenFormat.read(
          """
          {"title": "One", "marks": [{"blade": 1, "face": "mark", "state": "read",
            "lines": ["VELDRAKE", "TARNMOOR FALLS"]}]}
          """,
          NOW.shelf());

  private static List<SavedKnife> knives(int count) {
    return IntStream.range(0, count)
        .mapToObj(
            i ->
                new SavedKnife(
                    "k" + i, i + 1, 0, Instant.EPOCH, i == 0 ? VELDRAKE : Specimen.unseen()))
        .toList();
  }

  @Test
  void aKnifeWhoseMakerLeavesTheShelfMoves() {
    Trial trial = new Trial(knives(1), Weighings.references(NOW, WITHOUT_MAKERS));
    trial.work();

    Trial.Progress done = trial.progress();
    assertThat(done.state()).isEqualTo(Trial.State.DONE);
    assertThat(done.most()).hasSize(1);
    assertThat(done.most().get(0).title()).isEqualTo("One");
    assertThat(done.most().get(0).shift().before().maker()).startsWith("Veldrake");
    assertThat(done.most().get(0).shift().after().maker()).doesNotStartWith("Veldrake");
    assertThat(done.most().get(0).shift().share()).isGreaterThan(0.5);
  }

  @Test
  void theSameReferencesMoveNothing() {
    Trial trial =
        new Trial(knives(2), Weighings.references(NOW, new Examiner(ShippedShelf.load(), 2026)));
    trial.work();
    assertThat(trial.progress().done()).isEqualTo(2);
    assertThat(trial.progress().moving()).isZero();
  }

  @Test
  void aKnifeNobodyLookedAtHasNoVerdictToMove() {
    Trial trial = new Trial(knives(3).subList(1, 3), Weighings.references(NOW, WITHOUT_MAKERS));
    trial.work();
    assertThat(trial.progress().done()).isEqualTo(2);
    assertThat(trial.progress().moving()).isZero();
  }

  @Test
  void stoppedItStaysWhereItIsAndGoesOnFromThere() {
    Trial trial = new Trial(knives(3), Weighings.references(NOW, WITHOUT_MAKERS));
    trial.stop();
    trial.work();
    assertThat(trial.progress().state()).isEqualTo(Trial.State.STOPPED);
    assertThat(trial.progress().done()).isZero();

    trial.goOn();
    trial.work();
    assertThat(trial.progress().state()).isEqualTo(Trial.State.DONE);
    assertThat(trial.progress().done()).isEqualTo(3);
  }

  @Test
  void aKnifeThatCannotBeExaminedIsToldAndTheOthersGoOn() {
    List<SavedKnife> knives =
        List.of(new SavedKnife("bad", 7, 0, Instant.EPOCH, null), knives(1).get(0));
    Trial trial = new Trial(knives, Weighings.references(NOW, WITHOUT_MAKERS));
    trial.work();
    assertThat(trial.progress().state()).isEqualTo(Trial.State.DONE);
    assertThat(trial.progress().failed()).containsExactly(7);
    assertThat(trial.progress().moving()).isEqualTo(1);
  }

  private static SavedKnife worn(String id, int number, String wear) {
    String knife =
        "{\"title\":\"Worn %s\",\"condition\":{\"blade-wear\":{\"value\":\"%s\",\"sureness\":\"sure\"}}}"
            .formatted(wear, wear);
    return new SavedKnife(id, number, 0, Instant.EPOCH, SpecimenFormat.read(knife, NOW.shelf()));
  }

  private static School school(String id) {
    return NOW.shelf().condition().schools().stream()
        .filter(s -> s.id().equals(id))
        .findFirst()
        .orElseThrow();
  }

  @Test
  void anotherSchoolTellsWhichKnivesItWouldGradeOtherwiseTheFurthestFirst() {
    List<SavedKnife> knives =
        List.of(
            worn("a", 1, "honed"), worn("b", 2, "tenth"), worn("c", 3, "sliver"), knives(2).get(1));
    Trial trial = new Trial(knives, Weighings.schools(NOW, school("usual"), school("club")));
    trial.work();
    assertThat(trial.progress().most()).extracting(Trial.Moved::id).containsExactly("a", "b");
    Trial.Regraded honed = trial.progress().most().get(0).regraded();
    assertThat(honed.before().label()).isEqualTo("Excellent");
    assertThat(honed.after().label()).isEqualTo("Near mint");
    assertThat(honed.much()).isCloseTo(1 / 7.0, within(1e-9));
  }

  @Test
  void theSameSchoolGradesNothingOtherwise() {
    Trial trial =
        new Trial(
            List.of(worn("a", 1, "half")),
            Weighings.schools(NOW, school("points"), school("points")));
    trial.work();
    assertThat(trial.progress().moving()).isZero();
  }

  @Test
  void gradesOnScalesOfTheirOwnAreComparedByTheirPlace() {
    Trial trial =
        new Trial(
            List.of(worn("a", 1, "sliver")),
            Weighings.schools(NOW, school("usual"), school("pocket")));
    trial.work();
    Trial.Regraded to = trial.progress().most().get(0).regraded();
    assertThat(to.after().id()).isEqualTo("repair");
    assertThat(to.much()).isCloseTo(6 / 7.0 - 2 / 3.0, within(1e-9));
  }
}
