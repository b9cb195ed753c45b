package snikra.core.number;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import snikra.core.fixture.Shelf;
import snikra.core.number.Contradictions.Against;
import snikra.core.number.NumberGrammar.Code;
import snikra.core.number.NumberGrammar.Field;

class NumberGrammarTest {
  private static final GrammarRates RATES = new GrammarRates(0.02, 0.5, 0.05);

  private final NumberGrammar grammar = Shelf.grammar();

  @Test
  void aNumberIsASentence() {
    DecodedNumber decoded = grammar.decode("581", Map.of("material", "bone"), RATES).orElseThrow();

    assertThat(decoded.fields())
        .extracting(DecodedNumber.Field::says)
        .containsExactly("frame 58", "bone");
    assertThat(decoded.holds("material")).isEqualTo(DecodedNumber.Holds.AGREES);
    assertThat(decoded.holds("frame")).isEqualTo(DecodedNumber.Holds.UNKNOWN);
  }

  @Test
  void aContradictionIsSaid() {
    assertThat(
            grammar
                .decode("583", Map.of("material", "bone"), RATES)
                .orElseThrow()
                .holds("material"))
        .isEqualTo(DecodedNumber.Holds.CONTRADICTS);
  }

  @Test
  void aWornFigureLeavesEveryCodeThatFits() {
    DecodedNumber decoded = grammar.decode("_81", Map.of(), RATES).orElseThrow();
    assertThat(decoded.fields().get(0).values()).containsExactly("f58");
    assertThat(grammar.decode("58_", Map.of(), RATES).orElseThrow().fields().get(1).values())
        .hasSize(3);
  }

  @Test
  void whatIsBuiltOtherwiseIsNotDecoded() {
    assertThat(grammar.decode("5812", Map.of(), RATES)).isEmpty();
    assertThat(grammar.decode("991", Map.of(), RATES)).isEmpty();
    assertThat(grammar.logLikelihood("991", RATES)).isLessThan(NumberGrammar.logByChance("991"));
    assertThat(grammar.logLikelihood("581", RATES)).isGreaterThan(NumberGrammar.logByChance("581"));
  }

  private static final NumberGrammar LONG =
      new NumberGrammar(
          List.of(
              new Field(
                  "prefix",
                  "Prefix",
                  1,
                  "shield",
                  true,
                  Map.of("B", new Code("bar", List.of("bar")))),
              new Field("handle", "Handle", 1, "material", codes("5 bone", "6 horn", "7 acetal")),
              new Field("blades", "Blades", 1, "blades", codes("1 one", "2 two", "3 three")),
              new Field("frame", "Frame", 2, "frame", codes("04 a", "31 b", "34 c")),
              new Field("steel", "Steel", 2, "steel", true, codes("SS stainless"))),
          "");

  private static Map<String, Code> codes(String... given) {
    Map<String, Code> codes = new TreeMap<>();
    for (String g : given) {
      String[] both = g.split(" ", 2);
      codes.put(both[0], new Code(both[1], List.of(both[1])));
    }
    return codes;
  }

  @Property
  void whatIsEncodedReadsBack(
      @ForAll @IntRange(max = 1) int prefix,
      @ForAll @IntRange(max = 2) int handle,
      @ForAll @IntRange(max = 2) int blades,
      @ForAll @IntRange(max = 2) int frame,
      @ForAll @IntRange(max = 1) int steel) {
    Map<String, String> knife = new TreeMap<>();
    knife.put("material", List.of("bone", "horn", "acetal").get(handle));
    knife.put("blades", List.of("one", "two", "three").get(blades));
    knife.put("frame", List.of("a", "b", "c").get(frame));
    if (prefix == 1) {
      knife.put("shield", "bar");
    }
    if (steel == 1) {
      knife.put("steel", "stainless");
    }
    String number = LONG.encode(knife).orElseThrow();
    DecodedNumber decoded = LONG.decode(number, knife, RATES).orElseThrow();
    assertThat(decoded.fields()).hasSize(3 + prefix + steel);
    assertThat(decoded.fields())
        .allMatch(f -> f.holds() == DecodedNumber.Holds.AGREES && f.values().size() == 1);
    assertThat(LONG.completions(number, knife, RATES)).isEmpty();
  }

  @Test
  void aWornNumberIsCompletedByWhatTheKnifeShows() {
    List<NumberGrammar.Completion> completions =
        LONG.completions("7?3[14]", Map.of("blades", "two", "frame", "c"), RATES);
    assertThat(completions).hasSize(6);
    assertThat(completions.get(0).number()).isEqualTo("7234");
    assertThat(completions.get(0).probability()).isGreaterThan(0.9);
    assertThat(completions.stream().mapToDouble(NumberGrammar.Completion::probability).sum())
        .isCloseTo(1, within(1e-9));
    assertThat(LONG.completions("?304", Map.of(), RATES)).hasSize(3);
    assertThat(LONG.decode("B7304SS", Map.of(), RATES).orElseThrow().fields()).hasSize(5);
    assertThat(LONG.decode("7304", Map.of(), RATES).orElseThrow().fields()).hasSize(3);
  }

  @Test
  void whatTheKnifeDoesNotSayStaysOpenAndWhatHasNoCodeHasNoNumber() {
    assertThat(LONG.encode(Map.of("material", "horn"))).hasValue("6___");
    assertThat(LONG.encode(Map.of("material", "pearl"))).isEmpty();
  }

  private static final NumberErrors ERRORS = new NumberErrors(0.01, 0.003, 0.005, 0.3, 0.7);

  @Test
  void oneContradictionIsAPartReplacedAndTwoAreAnotherKnife() {
    Map<String, String> found = Map.of("material", "horn", "frame", "b");
    DecodedNumber decoded = LONG.decode("7104", found, RATES).orElseThrow();
    Against handle = new Against(decoded.fields().get(0), "Handle", 0.5, 0.1, true);
    Against frame = new Against(decoded.fields().get(2), "Frame", 0, 0, false);

    List<Contradictions.Reason> one = Contradictions.reasons(List.of(handle), false, ERRORS);
    assertThat(one.get(0).says()).isEqualTo("handle replaced");
    assertThat(one.get(0).probability()).isCloseTo(0.5, within(1e-9));
    assertThat(one)
        .filteredOn(r -> r.says().equals("an older handle from stock"))
        .singleElement()
        .satisfies(r -> assertThat(r.probability()).isCloseTo(0.1, within(1e-9)));
    assertThat(one)
        .filteredOn(r -> r.says().endsWith("misread"))
        .singleElement()
        .satisfies(r -> assertThat(r.probability()).isCloseTo(0.4 * 10 / 18, within(1e-9)));
    assertThat(one.stream().mapToDouble(Contradictions.Reason::probability).sum())
        .isCloseTo(1, within(1e-9));
    List<Contradictions.Reason> both =
        Contradictions.reasons(List.of(handle, frame), false, ERRORS);
    assertThat(both.get(0).says()).startsWith("the number of another knife");
    assertThat(Contradictions.reasons(List.of(frame), true, ERRORS))
        .extracting(Contradictions.Reason::says)
        .containsExactly(
            "the number of another knife: its main blade is not its own",
            "made in a year of change, the frame not as in the lists");
    assertThat(Contradictions.isInOneFigure(LONG, decoded.fields().get(0), found)).isTrue();
    assertThat(Contradictions.isInOneFigure(LONG, decoded.fields().get(2), found)).isFalse();
    assertThat(Contradictions.reasons(List.of(), true, ERRORS)).isEmpty();
  }

  @Test
  void aCodeOfCertainYearsSpeaksOfThem() {
    Code late = new Code("celluloid", List.of("celluloid"), 1908, null);
    Code ever = new Code("bone", List.of("bone"));
    NumberGrammar dated =
        new NumberGrammar(
            List.of(new Field("h", "Handle", 1, "material", Map.of("C", late, "B", ever))), "");
    assertThat(dated.eras("C", RATES).orElseThrow().in(1907)).isLessThan(0.1);
    assertThat(dated.eras("C", RATES).orElseThrow().in(1908)).isEqualTo(1);
    assertThat(dated.eras("B", RATES)).isEmpty();
    assertThat(dated.eras("_", RATES)).isEmpty();
  }
}
