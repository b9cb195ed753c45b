package snikra.server.photos;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Collections;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import snikra.formats.InvalidInput;

class PhotoNamesTest {
  private final PhotoNames names =
      new PhotoNames(
          () -> Map.of(3, "three", 12, "twelve", 240, "many"),
          words ->
              switch (words) {
                case "keeper's jack" -> List.of("three");
                case "jack" -> List.of("three", "twelve");
                default -> List.of();
              });

  @ParameterizedTest
  @CsvSource(
      nullValues = "-",
      value = {
        "12.jpg, twelve, other",
        "12 front.JPG, twelve, mark-side",
        "0012_pile-side (2).png, twelve, pile-side",
        "No. 3 tang stamp 1.jpeg, three, tang",
        "knife 240 - box.webp, many, box",
        "Keeper's Jack back 2.jpg, three, back",
        "keeper's jack-b.jpg, three, other",
        "jack.jpg, -, other",
        "IMG_0012.jpg, -, other",
        "20240312_101500.jpg, -, other",
        "3.5 inch.jpg, -, other",
        "13 front.jpg, -, mark-side",
        "12 keeper/IMG_7.jpg, twelve, other",
        "tin/12/3 shield.jpg, three, shield",
        "stamped.jpg, -, other",
        "../12.jpg, twelve, other",
      })
  void aNameTellsItsKnifeAndWhatItShows(String name, String knife, String role) {
    PhotoNames.NamedPhoto told = names.read(List.of(name)).get(0);
    assertThat(told.knife()).isEqualTo(knife);
    assertThat(told.role()).hasToString(role);
    assertThat(told.name()).isEqualTo(name);
  }

  @Test
  void eachIsAnsweredInItsPlaceAndNotTooManyAreAsked() {
    assertThat(names.read(List.of("x.jpg", "12.jpg", "x.jpg")))
        .extracting(PhotoNames.NamedPhoto::knife)
        .containsExactly(null, "twelve", null);
    assertThatThrownBy(() -> names.read(Collections.nCopies(1001, "12.jpg")))
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining("at most 1000");
    assertThat(names.read(List.of("", "/", "x".repeat(5000)))).hasSize(3);
  }
}
