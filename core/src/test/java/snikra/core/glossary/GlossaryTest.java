package snikra.core.glossary;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import snikra.core.glossary.Glossary.Term;
import snikra.core.specimen.Place;
import snikra.core.specimen.Specimen;

class GlossaryTest {
  private static Term term(String id, String word, List<String> also, @Nullable Place at) {
    return new Term(id, word, also, "What it is, in a sentence.", at, List.of("blades"));
  }

  @Test
  void aNameBelongsToOneWord() {
    List<Term> terms =
        List.of(term("kick", "Kick", List.of(), null), term("tang", "Tang", List.of("kick"), null));
    assertThatThrownBy(() -> new Glossary(Specimen.unseen(), terms))
        .hasMessageContaining("a name must be of one word; found kick of kick and tang");
  }

  @Test
  void aPlaceIsOnABladeThatIsThere() {
    List<Term> terms = List.of(term("kick", "Kick", List.of(), new Place(1, 0.1, -1)));
    assertThatThrownBy(() -> new Glossary(Specimen.unseen(), terms))
        .hasMessageContaining("blade of kick must be on the knife; found 1");
    assertThat(
            new Glossary(
                    Specimen.unseen(),
                    List.of(term("slot", "Slot", List.of(), new Place(null, 0.4, -1))))
                .terms())
        .hasSize(1);
  }

  @Test
  void aWordIsFoundByAllItsNames() {
    assertThat(term("pin", "Pins", List.of("pin"), null).names()).containsExactly("Pins", "pin");
    assertThat(new Term("pin", "Pins", null, "What it is, in a sentence.", null, List.of()).names())
        .containsExactly("Pins");
  }
}
