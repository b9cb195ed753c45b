package snikra.core.reference;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import snikra.core.fixture.Shelf;

class ReferenceTest {

  @ParameterizedTest
  @CsvSource({"1800, 0", "1840, 0.1", "1865, 0.55", "1890, 1", "2008, 0.8", "2040, 0.6"})
  void outputRunsStraightBetweenItsPoints(int year, double amount) {
    assertThat(Shelf.region("W", 1).outputIn(year)).isCloseTo(amount, within(1e-9));
  }

  @ParameterizedTest
  @CsvSource({"1888, 0", "1889, 0.5", "1890, 1", "1912, 1", "1913, 0.5", "1914, 0"})
  void aMarkIsInUseWithSoftShoulders(int year, double use) {
    assertThat(Shelf.mark("m", 1890, 1912, "M").useIn(year)).isCloseTo(use, within(1e-9));
  }

  @Test
  void yearsNearAChangeAreThreeEitherSide() {
    Maker maker = Shelf.maker("m", List.of(1914), Shelf.mark("m1", 1890, 1930, "M"));
    assertThat(maker.isNearChange(1911)).isTrue();
    assertThat(maker.isNearChange(1917)).isTrue();
    assertThat(maker.isNearChange(1910)).isFalse();
  }

  @Test
  void whatCannotBeIsRefused() {
    assertThatThrownBy(() -> Shelf.mark("back", 1912, 1890, "M"))
        .hasMessageContaining("1912 to 1890");
    assertThatThrownBy(() -> Shelf.mark("bare", 1890, 1912)).hasMessageContaining("found 0");
    assertThatThrownBy(() -> Shelf.maker("m", List.of())).hasMessageContaining("at least one mark");
    ReferenceShelf shelf = Shelf.invented();
    Maker elsewhere =
        new Maker(
            "x",
            "x",
            "nowhere",
            "",
            1,
            List.of(),
            null,
            List.of(),
            List.of(Shelf.mark("x1", 1, 2, "X")),
            "");
    assertThatThrownBy(() -> shelf.withMakers(List.of(elsewhere)))
        .hasMessageContaining("found nowhere");
  }
}
