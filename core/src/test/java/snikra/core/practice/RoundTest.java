package snikra.core.practice;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import snikra.core.dating.State;
import snikra.core.examination.Problem;
import snikra.core.fixture.Shelf;
import snikra.core.reference.ReferenceShelf;
import snikra.core.specimen.End;
import snikra.core.specimen.Face;
import snikra.core.specimen.FaceState;
import snikra.core.specimen.Presses;
import snikra.core.specimen.Seen;
import snikra.core.specimen.SeenBlade;
import snikra.core.specimen.SeenFace;
import snikra.core.specimen.Side;
import snikra.core.specimen.Specimen;
import snikra.core.specimen.Sureness;
import snikra.core.specimen.Technique;

class RoundTest {
  private static final ReferenceShelf SHELF = Shelf.invented();
  private static final SeenBlade BLADE = SeenBlade.sure("clip", End.A, Presses.ONE, Side.MARK);
  private static final Specimen KNIFE =
      new Specimen(
          "A title that would tell it",
          null,
          Seen.sure("jack"),
          null,
          null,
          Seen.sure(1),
          List.of(BLADE),
          List.of(
              new SeenFace(1, Face.MARK, FaceState.READ, Technique.STRUCK, List.of("GRIMB_OVE"))),
          "123",
          Map.of("jigging", Seen.sure("plain"), "lifter", Seen.sure("cap")),
          Map.of(),
          List.of(),
          List.of());

  private static Truth truth(State... happened) {
    return new Truth(
        Map.of("m", 1.0), Map.of("p", 1.0), List.of(happened), Map.of(), 1910, new double[] {1});
  }

  private static Round round(double glances, String... looked) {
    return new Round(
        new Dealt(KNIFE, truth()), List.of(looked), SHELF, Books.with(glances, 2, 1, 2, 0.3));
  }

  @Test
  void atFirstOnlyItsShapeIsSeen() {
    Specimen shown = round(6).shown();
    assertThat(shown.frame()).isEqualTo(KNIFE.frame());
    assertThat(shown.blades()).containsExactly(BLADE);
    assertThat(shown.marks()).isEmpty();
    assertThat(shown.seen()).isEmpty();
    assertThat(shown.title()).isNull();
    assertThat(shown.number()).isNull();
    assertThat(round(6).looks()).extracting(Round.Glance::answer).containsOnlyNulls();
  }

  @Test
  void eachLookShowsWhatItIsOfAndTakesItsGlances() {
    Round begun = round(6);
    Round.Glance lifter =
        begun.looks().stream().filter(l -> l.id().equals("lifter")).findFirst().orElseThrow();
    Round after = round(6, Round.MARKS, "lifter");
    assertThat(after.left()).isEqualTo(6 - 1.5 - lifter.glances());
    assertThat(after.shown().marks()).isEqualTo(KNIFE.marks());
    assertThat(after.shown().seen()).containsOnlyKeys("lifter");
    assertThat(after.looks())
        .filteredOn(l -> l.answer() != null)
        .extracting(Round.Glance::id)
        .containsExactlyInAnyOrder(Round.MARKS, "lifter");
    assertThat(begun.answer(Round.MARKS)).isEqualTo("GRIMB_OVE");
  }

  @Test
  void whereItsOwnerCouldNotTellThereIsNothingToLookAt() {
    SeenBlade told = Round.with(BLADE, Map.of("punch", new Seen<>(null, Sureness.CANNOT_TELL)));
    Specimen own = Round.bare(KNIFE, List.of(told), List.of(), KNIFE.seen());
    Round round = new Round(new Dealt(own, truth()), List.of(), SHELF, Books.BOOK);
    assertThat(round.looks())
        .extracting(Round.Glance::id)
        .containsExactlyInAnyOrder("jigging", "lifter");
    assertThat(round.answer("punch")).isNull();
  }

  @Test
  void noLookIsTakenThatIsNotThereOrForWhichNoGlanceIsLeft() {
    assertThat(round(6).against("jigging")).isNull();
    assertThat(round(6).against("no such look")).extracting(Problem::field).isEqualTo("look");
    assertThat(round(1).against(Round.MARKS))
        .extracting(Problem::accepted)
        .asString()
        .contains("time to guess");
    assertThat(round(1.5, Round.MARKS).against(Round.MARKS)).as("taken already").isNull();
  }

  @Test
  void whatBefellAPartNobodyLookedAtIsNotAskedFor() {
    State handle = new State(State.Kind.PART_REPLACED, "handle", "handle");
    State deceives = new State(State.Kind.MISJUDGED, "lifter", "");
    State mark = new State(State.Kind.MARK_UNTRUSTED, null, "");
    Truth knife = truth(handle, deceives, mark);
    assertThat(knife.how(Set.of(), Set.of())).containsOnlyKeys("as-made");
    assertThat(knife.how(Set.of("jigging"), Set.of("handle"))).containsOnlyKeys("part-replaced");
    assertThat(knife.how(Set.of("lifter"), Set.of("opener"))).containsOnlyKeys("misjudged");
    assertThat(knife.how(Set.of(Round.MARKS), Set.of())).containsOnlyKeys("mark-untrusted");
    assertThat(knife.how(Set.of(Round.MARKS, "jigging"), Set.of("handle")))
        .containsOnlyKeys("two-at-once");
    assertThat(truth(new State(State.Kind.OLD_STYLE, null, "")).how(Set.of("jigging"), Set.of()))
        .containsOnlyKeys("old-style");
  }

  @Test
  void aGuessSaysWhatIsWrongWithIt() {
    Guess.Choices among =
        new Guess.Choices(List.of("m", Truth.UNLISTED), List.of("p"), List.of("as-made"));
    assertThat(Guess.nothing().problems(among)).isEmpty();
    assertThat(new Guess("", 0.7, 1900, 1920, "as-made", 0.8, "p", 0.99).problems(among)).isEmpty();
    assertThat(new Guess("x", null, 1920, 1900, null, null, "p", 1.0).problems(among))
        .extracting(Problem::field)
        .containsExactly("maker", "makerSure", "nameSure", "to");
    assertThat(new Guess(null, null, 1900, null, null, null, null, null).problems(among))
        .extracting(Problem::field)
        .containsExactly("to");
    assertThat(new Guess(null, null, 19, 1900, null, null, null, null).problems(among))
        .extracting(Problem::given)
        .containsExactly("19");
  }
}
