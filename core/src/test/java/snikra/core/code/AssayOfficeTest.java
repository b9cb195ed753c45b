package snikra.core.code;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import snikra.core.code.AssayOffice.Duty;
import snikra.core.code.AssayOffice.LetterCycle;

class AssayOfficeTest {
  private static final AssayOffice OFFICE =
      new AssayOffice(
          "o",
          "Office",
          "",
          List.of(),
          new Duty(1784, 1890),
          List.of(
              new LetterCycle(1880, "capital", List.of("A", "B", "C")),
              new LetterCycle(1889, "small", List.of("a", "b", "c"))),
          "",
          "");

  private static List<Integer> years(String letter, String form, Boolean duty) {
    return OFFICE.years(new SeenHallmark("o", letter, form, duty));
  }

  @Test
  void aLetterAllowsItsYearInEveryCycleOfItsCase() {
    assertThat(years("B", null, null)).containsExactly(1881);
    assertThat(years("b", null, null)).containsExactly(1890);
    assertThat(years("b", "capital", null)).isEmpty();
    assertThat(years("_", null, null)).containsExactly(1880, 1881, 1882, 1889, 1890, 1891);
    assertThat(years("b", "small", null)).containsExactly(1890);
    assertThat(years("B", "capital", null)).containsExactly(1881);
  }

  @Test
  void theHeadForTheDutyTellsCyclesApart() {
    assertThat(years("c", null, true)).isEmpty();
    assertThat(years("_", "small", true)).containsExactly(1889, 1890);
  }

  @Test
  void aHeadThatIsNotSeenSaysLittle() {
    assertThat(years("C", null, false)).containsExactly(1882);
    assertThat(years("_", "small", false)).isEqualTo(years("_", "small", null));
  }

  @Test
  void whatNeverWasTogetherAllowsNoYear() {
    assertThat(years("C", "small", true)).isEmpty();
    assertThat(years("Z", null, null)).isEmpty();
  }
}
