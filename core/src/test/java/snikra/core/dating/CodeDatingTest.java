package snikra.core.dating;

import static org.assertj.core.api.Assertions.assertThat;
import static snikra.core.fixture.KnifeBuilder.aKnife;
import static snikra.core.fixture.KnifeBuilder.aKnifeOn;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import snikra.core.code.CodeScheme;
import snikra.core.code.Sign;
import snikra.core.fixture.KnifeBuilder;
import snikra.core.fixture.Shelf;
import snikra.core.reference.Maker;
import snikra.core.reference.ReferenceShelf;

class CodeDatingTest {
  private static final CodeScheme LETTERS =
      new CodeScheme(
          "l",
          "l",
          Sign.LETTER,
          CodeScheme.Kind.CYCLE,
          1895,
          1912,
          null,
          List.of("B", "D", "F", "H", "K", "M", "P", "R", "T"),
          null,
          Map.of(),
          "",
          "s");

  private static ReferenceShelf withLetters() {
    Maker coding =
        Shelf.maker(
            "thrale",
            List.of(),
            null,
            List.of(LETTERS),
            Shelf.mark("thrale-old", 1890, 1912, "THRALE", "WINDOVER"));
    Maker plain = Shelf.maker("zwick", List.of(), Shelf.mark("z", 1889, 1931, "ZWICKEL"));
    return Shelf.invented().withMakers(List.of(coding, plain));
  }

  private static KnifeBuilder knife() {
    return aKnifeOn(withLetters()).marked("THRALE", "WINDOVER");
  }

  @Test
  void aLetterLeavesTheYearsOfItsCycleInPieces() {
    Span half = knife().coded(Sign.LETTER, "H").dated().half();
    assertThat(half.pieces()).extracting(Span.Piece::from).containsExactlyInAnyOrder(1898, 1907);
    assertThat(knife().dated().half().pieces()).hasSize(1);
  }

  @Test
  void aLostLetterSaysOnlyThatTheSchemeWasInForce() {
    DatingVerdict lost = knife().coded(Sign.LETTER, "_").dated();
    assertThat(lost.notBefore()).isGreaterThanOrEqualTo(1894);
    assertThat(lost.nineTenths().pieces()).hasSize(1);
  }

  @Test
  void aCodeTellsForTheMakerThatStruckSuchCodes() {
    DatingVerdict uncoded = aKnifeOn(withLetters()).marked("T__A_E", "*").dated();
    DatingVerdict coded =
        aKnifeOn(withLetters()).marked("T__A_E", "*").coded(Sign.LETTER, "H").dated();
    assertThat(probability(coded)).isGreaterThan(probability(uncoded));
  }

  private static double probability(DatingVerdict verdict) {
    return verdict.makers().stream()
        .filter(m -> "thrale".equals(m.maker()))
        .mapToDouble(DatingVerdict.Attribution::probability)
        .sum();
  }

  @Test
  void aPatentNumberIsNotBeforeItsYearAndStandsAmongTheClues() {
    DatingVerdict verdict = aKnife().with("build", "west").notBefore(1931).dated();
    assertThat(verdict.notBefore()).isGreaterThanOrEqualTo(1930);
    assertThat(verdict.clues().get(0).notBefore()).isEqualTo(1931);
    assertThat(verdict.clues().get(0).station()).isEqualTo("number");
    assertThat(aKnife().with("build", "west").dated().notBefore()).isLessThan(1900);
  }

  @Test
  void aPatentYoungerThanTheMarkIsAConflict() {
    DatingVerdict verdict = knife().notBefore(1950).dated();
    assertThat(verdict.conflicts()).isNotEmpty();
    assertThat(verdict.conflicts().get(0).label()).contains("Patent");
  }
}
