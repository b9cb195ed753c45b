package snikra.core.condition;

import static org.assertj.core.api.Assertions.assertThat;
import static snikra.core.fixture.Shelf.feature;
import static snikra.core.fixture.Shelf.plain;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import snikra.core.clue.ClueBook;
import snikra.core.clue.Part;
import snikra.core.condition.BoxBook.Boxed;
import snikra.core.condition.BoxBook.Level;
import snikra.core.specimen.Seen;
import snikra.core.specimen.Specimen;

class BoxBookTest {
  private static final ClueBook CLUES =
      new ClueBook(
          List.of(new Part("box", "Box", Part.Replaceable.EASILY)),
          List.of(feature("tabs", "box", plain("bent", 1))));
  private static final BoxBook BOOK =
      new BoxBook(
          List.of(
              new Level(
                  "unhandled",
                  "Unhandled",
                  "Nobody touched it.",
                  1.3,
                  Map.of("box", List.of("own"), "handling", List.of("none"))),
              new Level("boxed", "Boxed", "", 1.1, Map.of("box", List.of("own"))),
              new Level("bare", "Bare", "", 1, Map.of("box", List.of("none")))),
          List.of("tabs", "unheard-of"));

  private static Boxed judge(Map<String, String> seen, Map<String, String> condition) {
    return BOOK.judge(knife(seen, condition), CLUES);
  }

  private static Specimen knife(Map<String, String> seen, Map<String, String> condition) {
    return new Specimen(
        null,
        null,
        null,
        null,
        null,
        null,
        List.of(),
        List.of(),
        null,
        sure(seen),
        sure(condition),
        List.of(),
        List.of());
  }

  private static Map<String, Seen<String>> sure(Map<String, String> answers) {
    Map<String, Seen<String>> seen = new java.util.HashMap<>();
    answers.forEach((of, answer) -> seen.put(of, Seen.sure(answer)));
    return seen;
  }

  @Test
  void theFirstThatFitsHoldsAndAllOfItMustFit() {
    assertThat(judge(Map.of("box", "own"), Map.of("handling", "none")).id()).isEqualTo("unhandled");
    assertThat(judge(Map.of("box", "own"), Map.of("handling", "worked")).id()).isEqualTo("boxed");
    assertThat(judge(Map.of("box", "own"), Map.of()).id()).isEqualTo("boxed");
    assertThat(judge(Map.of("box", "none"), Map.of("handling", "none")).id()).isEqualTo("bare");
  }

  @Test
  void whereNobodyLookedThereIsNoGrade() {
    assertThat(judge(Map.of(), Map.of("handling", "none"))).isNull();
  }

  @Test
  void whatElseWasSeenIsToldBesideIt() {
    Boxed boxed = judge(Map.of("box", "own", "tabs", "bent"), Map.of("handling", "none"));
    assertThat(boxed.beside()).containsExactly("tabs: bent");
    assertThat(boxed.label()).isEqualTo("Unhandled");
    assertThat(boxed.why()).isEqualTo("Nobody touched it.");
    assertThat(judge(Map.of("box", "own", "tabs", "torn"), Map.of()).beside()).isEmpty();
  }
}
