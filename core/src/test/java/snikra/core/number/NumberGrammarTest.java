package snikra.core.number;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.Test;
import snikra.core.fixture.Shelf;

class NumberGrammarTest {
  private final NumberGrammar grammar = Shelf.grammar();

  @Test
  void aNumberIsASentence() {
    DecodedNumber decoded = grammar.decode("581", Map.of("material", "bone")).orElseThrow();

    assertThat(decoded.fields())
        .extracting(DecodedNumber.Field::says)
        .containsExactly("frame 58", "bone");
    assertThat(decoded.holds("material")).isEqualTo(DecodedNumber.Holds.AGREES);
    assertThat(decoded.holds("frame")).isEqualTo(DecodedNumber.Holds.UNKNOWN);
  }

  @Test
  void aContradictionIsSaid() {
    assertThat(grammar.decode("583", Map.of("material", "bone")).orElseThrow().holds("material"))
        .isEqualTo(DecodedNumber.Holds.CONTRADICTS);
  }

  @Test
  void aWornFigureLeavesEveryCodeThatFits() {
    DecodedNumber decoded = grammar.decode("_81", Map.of()).orElseThrow();
    assertThat(decoded.fields().get(0).values()).containsExactly("f58");
    assertThat(grammar.decode("58_", Map.of()).orElseThrow().fields().get(1).values()).hasSize(3);
  }

  @Test
  void whatIsBuiltOtherwiseIsNotDecoded() {
    assertThat(grammar.decode("5812", Map.of())).isEmpty();
    assertThat(grammar.decode("991", Map.of())).isEmpty();
    assertThat(grammar.logLikelihood("991")).isLessThan(NumberGrammar.logByChance("991"));
    assertThat(grammar.logLikelihood("581")).isGreaterThan(NumberGrammar.logByChance("581"));
  }
}
