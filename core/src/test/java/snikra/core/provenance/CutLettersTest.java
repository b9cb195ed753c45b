package snikra.core.provenance;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class CutLettersTest {
  @ParameterizedTest
  @CsvSource({
    "J.B.R., John Bartle Rook",
    "JBR, John Bartle Rook",
    "J R, John Bartle Rook",
    "B.R., John Bartle Rook",
    "O.V., Aunt Odile Venn",
    "J R B, John Bartle Rook",
    "\u00c9.V., \u00c9mile Venn",
    "Presented to John Rook 1912, J. B. Rook",
    "ROOK, John Rook",
  })
  void goWithTheName(String letters, String holder) {
    assertThat(new CutLetters(letters).goWith(holder)).isTrue();
  }

  @ParameterizedTest
  @CsvSource({
    "J.B.R., John Rook",
    "J.B., John Bartle Rook",
    "R.J., John Rook",
    "J.T., John Rook",
    "BRJ, John Bartle Rook",
    "From the Mill Lane club, John Rook",
    "V, Odile Venn",
    "J.R., 1912",
    "To John, John Wu",
  })
  void doNotGoWithIt(String letters, String holder) {
    assertThat(new CutLetters(letters).goWith(holder)).isFalse();
  }

  @ParameterizedTest
  @ValueSource(strings = {"J.B.R.", "JR", "j. r.", "JBRT"})
  void initialsStandForSomebody(String letters) {
    assertThat(new CutLetters(letters).areInitials()).isTrue();
  }

  @ParameterizedTest
  @ValueSource(strings = {"R", "1912", "Rook", "FROM HOME", "JOHNS", "J.B.R.T.V.", "  "})
  void otherLettersNeedNot(String letters) {
    assertThat(new CutLetters(letters).areInitials()).isFalse();
  }

  @Test
  void aNameOfFourCapitalsMayBeInitialsAndGoesWithBoth() {
    assertThat(new CutLetters("ROOK").goWith("Rolf Otto Ode Kestle")).isTrue();
    assertThat(new CutLetters("ROOK").goWith("John Rook")).isTrue();
  }
}
