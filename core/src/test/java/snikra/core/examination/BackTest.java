package snikra.core.examination;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import snikra.core.examination.Back.Tang;
import snikra.core.specimen.End;
import snikra.core.specimen.Presses;
import snikra.core.specimen.Seen;
import snikra.core.specimen.SeenBlade;
import snikra.core.specimen.Side;
import snikra.core.specimen.Specimen;

class BackTest {
  private static SeenBlade blade(
      End end, @Nullable Presses presses, @Nullable Side side, @Nullable Integer spring) {
    return new SeenBlade(
        Seen.sure("pen"),
        Seen.sure(end),
        presses == null ? null : Seen.sure(presses),
        side == null ? null : Seen.sure(side),
        spring == null ? null : Seen.sure(spring),
        null,
        List.of(),
        null,
        Map.of());
  }

  private static Back back(@Nullable Integer springs, SeenBlade... blades) {
    return Back.of(
        new Specimen(
            null,
            null,
            null,
            null,
            null,
            springs == null ? null : Seen.sure(springs),
            List.of(blades),
            List.of(),
            null,
            Map.of("divider", Seen.sure("wedge")),
            Map.of(),
            List.of(),
            List.of()));
  }

  @Test
  void aMainThatBearsOnBothLiesOverTwoSpringsWithASmallBladeOnEach() {
    Back whittler =
        back(
            2,
            blade(End.A, Presses.BOTH, null, null),
            blade(End.B, null, Side.MARK, null),
            blade(End.B, null, Side.PILE, null));
    assertThat(whittler.tangs())
        .containsExactly(
            new Tang(End.A, List.of(1, 2), true),
            new Tang(End.B, List.of(1), false),
            new Tang(End.B, List.of(2), false));
    assertThat(whittler.divider()).isEqualTo("wedge");
    assertThat(whittler.counted()).isTrue();
  }

  @Test
  void bladesOnOneSpringShareIt() {
    assertThat(back(1, blade(End.A, null, null, null), blade(End.B, null, null, null)).tangs())
        .containsExactly(new Tang(End.A, List.of(1), true), new Tang(End.B, List.of(1), true));
    // One spring that nobody counted may be two.
    assertThat(back(null, blade(End.A, null, null, null)).tangs())
        .containsExactly(new Tang(End.A, List.of(1), false));
    assertThat(back(0, blade(End.A, null, null, null)).tangs())
        .containsExactly(new Tang(End.A, List.of(), true));
  }

  @Test
  void whereNobodyLookedBladesOfOneEndLieSideBySide() {
    SeenBlade one = blade(End.A, null, null, null);
    assertThat(back(2, one, one, one).tangs())
        .extracting(Tang::against)
        .containsExactly(List.of(1), List.of(2), List.of(2));
    assertThat(back(2, one, one).tangs()).noneMatch(Tang::seen);
    assertThat(back(3, blade(End.A, null, Side.CENTRE, null)).tangs().get(0).against())
        .containsExactly(2);
  }

  @ParameterizedTest
  @CsvSource({", , 1", "2, , 2", "3, , 3", ", BOTH, 2", ", ONE, 1"})
  void springsNobodyCountedAreAsManyAsTheBladesNeed(
      @Nullable Integer spring, @Nullable Presses presses, int drawn) {
    Back back = back(null, blade(End.A, presses, null, spring));
    assertThat(back.springs()).isEqualTo(drawn);
    assertThat(back.counted()).isFalse();
  }

  @ParameterizedTest
  @CsvSource({"1, ONE, 1", "2, ONE, 2", "3, ONE, 3", "1, BOTH, 12", "2, BOTH, 23", "3, BOTH, 23"})
  void aBladeWorksAgainstItsOwnSpringAndWhereItBearsOnTwoTheNext(
      int spring, Presses presses, String against) {
    Tang tang = back(3, blade(End.A, presses, null, spring)).tangs().get(0);
    assertThat(String.join("", tang.against().stream().map(n -> "" + n).toList()))
        .isEqualTo(against);
    assertThat(tang.seen()).isTrue();
  }
}
