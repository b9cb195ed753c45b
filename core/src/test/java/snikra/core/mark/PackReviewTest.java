package snikra.core.mark;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import snikra.core.code.CodeScheme;
import snikra.core.code.Sign;
import snikra.core.fixture.Shelf;
import snikra.core.reference.Maker;

class PackReviewTest {

  private static List<String> remarks(Maker... makers) {
    return PackReview.remarks(List.of(makers)).stream().map(PackReview.Remark::text).toList();
  }

  @Test
  void yearsWithoutAMarkAreNamedOnlyBeyondWhatTheEndsMayBeOut() {
    assertThat(
            remarks(
                Shelf.maker(
                    "a",
                    List.of(),
                    Shelf.mark("x", 1890, 1900, "X"),
                    Shelf.mark("y", 1911, 1920, "Y"))))
        .containsExactly("no mark from 1902 to 1909");
    assertThat(
            remarks(
                Shelf.maker(
                    "a",
                    List.of(),
                    Shelf.mark("x", 1890, 1900, "X"),
                    Shelf.mark("y", 1902, 1920, "Y"))))
        .isEmpty();
  }

  @Test
  void marksThatNothingTellsApartAreNamedAlsoBetweenMakers() {
    Maker one = Shelf.maker("a", List.of(), Shelf.mark("x", 1890, 1900, "ORBEL", "& CO"));
    Maker other = Shelf.maker("b", List.of(), Shelf.mark("y", 1899, 1920, "Orbel", "& Co."));
    assertThat(remarks(one, other))
        .containsExactly("nothing tells mark y from mark x in their years");
    Maker later = Shelf.maker("b", List.of(), Shelf.mark("y", 1901, 1920, "ORBEL", "& CO"));
    assertThat(remarks(one, later)).isEmpty();
  }

  @Test
  void codesThatStandForSeveralYearsAreNamed() {
    CodeScheme cycle =
        new CodeScheme(
            "c",
            "Letters",
            Sign.LETTER,
            CodeScheme.Kind.CYCLE,
            1920,
            1922,
            null,
            List.of("A", "B"),
            null,
            Map.of(),
            "",
            "");
    Maker maker =
        Shelf.maker("a", List.of(), null, List.of(cycle), Shelf.mark("x", 1890, 1930, "X"));
    assertThat(remarks(maker)).containsExactly("code A of c stands for 1920 and 1922");
  }
}
