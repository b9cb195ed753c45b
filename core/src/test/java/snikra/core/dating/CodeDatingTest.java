package snikra.core.dating;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static snikra.core.fixture.KnifeBuilder.aKnife;
import static snikra.core.fixture.KnifeBuilder.aKnifeOn;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import snikra.core.code.CodeScheme;
import snikra.core.code.Sign;
import snikra.core.fixture.KnifeBuilder;
import snikra.core.fixture.Shelf;
import snikra.core.number.NumberGrammar;
import snikra.core.reference.Maker;
import snikra.core.reference.ReferenceShelf;
import snikra.core.specimen.Sought;

class CodeDatingTest {
  static final CodeScheme LETTERS =
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

  private static double worth(String look, KnifeBuilder knife) {
    return knife.dated().lookNext().stream()
        .filter(next -> next.feature().equals(look))
        .mapToDouble(DatingVerdict.NextLook::bits)
        .findFirst()
        .orElse(0);
  }

  @Test
  void aCodeIsWorthLookingForWhereTheMakerIsKnownToHaveStruckThem() {
    assertThat(worth("code", knife())).isGreaterThan(0.2);
    assertThat(worth("code", aKnifeOn(withLetters()).marked("ZWICKEL"))).isLessThan(0.02);
    assertThat(worth("code", knife().coded(Sign.LETTER, "H"))).isZero();
    assertThat(worth("code", knife().soughtInVain(Sought.CODE))).isZero();
    assertThat(knife().soughtInVain(Sought.CODE).dated().curve())
        .isEqualTo(knife().dated().curve());
  }

  @Test
  void aNumberIsWorthLookingForWhereItWouldTellMakersApart() {
    var grammar =
        new NumberGrammar(
            List.of(
                new NumberGrammar.Field(
                    "handle",
                    "Handle",
                    1,
                    "material",
                    Map.of("5", new NumberGrammar.Code("bone", List.of("bone"))))),
            "");
    Maker numbers =
        Shelf.maker("thrale", List.of(), grammar, Shelf.mark("t", 1890, 1912, "THRALE"));
    Maker none = Shelf.maker("zwick", List.of(), Shelf.mark("z", 1889, 1931, "THRALF"));
    ReferenceShelf shelf = Shelf.invented().withMakers(List.of(numbers, none));

    assertThat(worth("number", aKnifeOn(shelf).marked("THRAL_"))).isGreaterThan(0.1);
    assertThat(worth("number", aKnifeOn(shelf).marked("THRAL_").numbered("5"))).isZero();
    assertThat(worth("number", aKnifeOn(shelf).marked("THRAL_").soughtInVain(Sought.NUMBER)))
        .isZero();
  }

  @Test
  void whatIsStruckTellsAsMuchAsTheHandCount() {
    var one = new Strikes.Cell(0.5, Map.of("A", 0.5));
    var other = new Strikes.Cell(0.5, Map.of("B", 0.5));
    var silent = new Strikes.Cell(0.5, Map.of("A", 0.25, "B", 0.25));
    // Two decades of one maker each with its own letter, read in half of all cases: half a bit.
    assertThat(Strikes.bits(List.of(one, other), 0.5)).isCloseTo(0.5, within(1e-12));
    assertThat(Strikes.bits(List.of(one, other), 1)).isCloseTo(1, within(1e-12));
    // Both letters in both decades: nothing of the decade.
    assertThat(Strikes.bits(List.of(silent, silent), 0.5)).isCloseTo(0, within(1e-12));
  }
}
