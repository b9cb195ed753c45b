package snikra.core.trait;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import snikra.core.fixture.Patterns;
import snikra.core.fixture.Shelf;
import snikra.core.reference.ModelTell;
import snikra.core.reference.ReferenceShelf;
import snikra.core.specimen.End;
import snikra.core.specimen.Seen;
import snikra.core.specimen.SeenBlade;
import snikra.core.specimen.Specimen;
import snikra.core.specimen.Sureness;

class TraitsTest {
  private static final ReferenceShelf SHELF = Shelf.invented(Patterns.invented());
  private final Traits traits = new Traits(SHELF);

  private static Specimen knife(
      @Nullable String number, Map<String, Seen<String>> looks, SeenBlade... blades) {
    return new Specimen(
        null,
        null,
        new Seen<>("round", Sureness.LIKELY),
        new Seen<>(null, Sureness.CANNOT_TELL),
        null,
        new Seen<>(2, Sureness.UNSURE),
        List.of(blades),
        List.of(),
        number,
        looks,
        Map.of(),
        List.of(),
        List.of());
  }

  private static SeenBlade blade(String type, Map<String, Seen<String>> looks) {
    return new SeenBlade(
        Seen.sure(type), Seen.sure(End.A), null, null, null, null, List.of(), null, looks);
  }

  @Test
  void whatWasSeenIsATraitAsSurelyAsItWasSeen() {
    Map<String, Seen<String>> of =
        Traits.of(
            knife(
                "12",
                Map.of(
                    "spacer", Seen.sure("metal"), "lifter", new Seen<>(null, Sureness.CANNOT_TELL)),
                blade("clip", Map.of("etch", Seen.sure("acid"))),
                blade("saw", Map.of("etch", Seen.sure("laser"))),
                blade("pen", Map.of())),
            SHELF.patterns());
    assertThat(of)
        .containsExactlyInAnyOrderEntriesOf(
            Map.of(
                "frame", new Seen<>("round", Sureness.LIKELY),
                "springs", new Seen<>("2", Sureness.UNSURE),
                "blades", Seen.sure("3"),
                "blade-1", Seen.sure("clip"),
                "blade-3", Seen.sure("pen"),
                "number", Seen.sure("12"),
                "spacer", Seen.sure("metal"),
                "etch", Seen.sure("acid")));
  }

  @ParameterizedTest
  @CsvSource({"1_", "1?", "[12]"})
  void aNumberWithGapsIsNoTrait(String number) {
    assertThat(Traits.of(knife(number, Map.of()), SHELF.patterns())).doesNotContainKey("number");
  }

  @Test
  void onlyTheFirstFourBladesSpeak() {
    SeenBlade pen = blade("pen", Map.of());
    Map<String, Seen<String>> of =
        Traits.of(knife(null, Map.of(), pen, pen, pen, pen, pen), SHELF.patterns());
    assertThat(of).containsKeys("blade-1", "blade-4").doesNotContainKey("blade-5");
    assertThat(of.get("blades").value()).isEqualTo("5");
  }

  @ParameterizedTest
  @CsvSource({
    "frame, Outline",
    "blade-1, Main blade",
    "blade-3, Blade 3",
    "number, Number",
    "spacer, spacer",
    "unheard, unheard"
  })
  void traitsHaveTheBooksLabels(String trait, String label) {
    assertThat(traits.label(trait)).isEqualTo(label);
  }

  @ParameterizedTest
  @CsvSource({
    "frame, round, round frame",
    "frame, odd, odd",
    "bolsters, front, front bolsters",
    "bolsters, odd, odd",
    "springs, 2, 2",
    "blade-1, clip, clip blade",
    "blade-1, odd, odd",
    "spacer, plastic, plastic",
    "spacer, odd, odd"
  })
  void answersHaveTheBooksWords(String trait, String value, String words) {
    assertThat(traits.words(trait, value)).isEqualTo(words);
  }

  @Test
  void aPatternTellsItsShapeAndNothingOfToolsNoBookDraws() {
    var pattern = SHELF.patterns().pattern("tool").orElseThrow();
    List<ModelTell> shape = PatternTells.of(pattern, SHELF.patterns(), SHELF.judgement());
    assertThat(shape)
        .extracting(ModelTell::trait)
        .containsExactly("frame", "closed-length", "bolsters", "springs", "blades", "blade-1");
    assertThat(PatternTells.withTools(pattern, SHELF)).isEqualTo(shape);
  }

  @Test
  void besideAnotherAnswerARateIsAmongTheKnivesThatShowIt() {
    AtLarge atLarge = new AtLarge(SHELF);
    double least = SHELF.judgement().of("large.rare");
    assertThat(atLarge.rate("spacer", "no such", Map.of())).isEqualTo(least);
    assertThat(atLarge.rate("number", "12", Map.of()))
        .isEqualTo(SHELF.judgement().of("large.number"));
    assertThat(atLarge.rate("spacer", "metal", Map.of())).isCloseTo(3 / 9.5, within(1e-12));
  }

  @Test
  void densitiesOfLengthsAddUpToOneOverTheSizesThereAre() {
    AtLarge atLarge = new AtLarge(SHELF);
    double none = SHELF.judgement().of("large.length-of-no-pattern");
    double floor = none / SHELF.judgement().of("large.sizes-mm");
    double sum = 0;
    for (double mm = -200; mm < 400; mm += 0.05) {
      sum += 0.05 * (atLarge.density(mm) - floor);
    }
    assertThat(sum).isCloseTo(1 - none, within(1e-6));
    assertThat(atLarge.density(1000)).isCloseTo(floor, within(1e-12));
  }
}
