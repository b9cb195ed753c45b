package snikra.formats;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import snikra.core.measure.Length;
import snikra.core.pattern.PatternNamer;
import snikra.core.pattern.PatternVerdict;
import snikra.core.pattern.PatternVerdict.Standing;
import snikra.core.specimen.End;
import snikra.core.specimen.Presses;
import snikra.core.specimen.Seen;
import snikra.core.specimen.SeenBlade;
import snikra.core.specimen.Specimen;

class PatternNamingTest {
  private final PatternNamer namer = new PatternNamer(ShippedShelf.load().patterns());

  @ParameterizedTest
  @CsvSource({
    "regular-jack, regular-jack, both-ends, 86 mm, clip@A pen@A",
    "swell-end-jack, swell-end, both-ends, 89 mm, spear@A pen@A",
    "teardrop-jack, teardrop, both-ends, 92 mm, spear@A pen@A",
    "serpentine-jack, serpentine, both-ends, 83 mm, clip@A pen@A",
    "barlow, teardrop, long-front, 86 mm, clip@A pen@A",
    "barlow, regular-jack, long-front, 86 mm, spear@A",
    "dogleg-jack, dogleg, both-ends, 76 mm, clip@A pen@A",
    "equal-end-jack, equal-end, both-ends, 92 mm, spear@A pen@A",
    "sleeveboard-jack, sleeveboard, both-ends, 86 mm, spear@A pen@A",
    "senator-pen, equal-end-slim, tip, 76 mm, spear@A pen@B",
    "equal-end-pen, equal-end, both-ends, 90 mm, spear@A pen@B",
    "serpentine-pen, serpentine, both-ends, 70 mm, clip@A pen@B",
    "canoe, canoe, both-ends, 92 mm, spear@A pen@B",
    "congress-two, congress, both-ends, 79 mm, sheepfoot@A pen@B",
    "trapper, trapper-frame, both-ends, 105 mm, clip@A long-spey@A",
    "muskrat, serpentine-slim, both-ends, 98 mm, long-clip@A long-clip@B",
    "stockman-large, serpentine, both-ends, 102 mm, clip@A/one sheepfoot@B spey@B",
    "stockman-medium, serpentine, both-ends, 89 mm, clip@A/one sheepfoot@B spey@B",
    "stockman-small, serpentine, both-ends, 73 mm, clip@A/one sheepfoot@B spey@B",
    "cattle-knife, equal-end, both-ends, 92 mm, spear@A/one spey@B pen@B",
    "whittler-equal-end, equal-end, tip, 89 mm, spear@A/both pen@B coping@B",
    "whittler-swell-centre, swell-centre, both-ends, 89 mm, clip@A/both pen@B coping@B",
    "whittler-serpentine, serpentine, both-ends, 89 mm, clip@A/both pen@B coping@B",
    "camp-knife, camp-frame, both-ends, 92 mm, "
        + "spear@A can-opener-blade@B screwdriver-cap-lifter@A punch-flat@B"
  })
  void everyPatternInItsNormalFormIsNamed(
      String pattern, String frame, String bolsters, String length, String blades) {
    PatternVerdict verdict = namer.name(knife(frame, bolsters, length, blades));
    assertThat(verdict.names().get(0).pattern()).isEqualTo(pattern);
  }

  @Test
  void blindToTheSpringsAThreeBladeKnifeMayBeEither() {
    PatternVerdict verdict =
        namer.name(knife("serpentine", "both-ends", "89 mm", "clip@A sheepfoot@B pen@B"));

    assertThat(verdict.names().get(0).requirements())
        .anySatisfy(
            r -> {
              assertThat(r.asks()).contains("spring");
              assertThat(r.standing()).isEqualTo(Standing.UNKNOWN);
            });
  }

  @Test
  void smallBladesThatStraddleAMainOnBothSpringsMakeAWhittlerAndTheAnswerSaysWhyNotAStockman() {
    PatternVerdict verdict =
        namer.name(knife("serpentine", "both-ends", "89 mm", "clip@A/both pen@B pen@B"));

    assertThat(verdict.title()).isEqualTo("Serpentine whittler");
    PatternVerdict.Name stockman =
        verdict.names().stream()
            .filter(n -> n.pattern().equals("stockman-medium"))
            .findFirst()
            .orElseThrow();
    assertThat(stockman.because())
        .startsWith("Not a medium stockman")
        .contains("main bears on one spring only (found: main bears on both springs)");
  }

  @Test
  void theSameKnifeWithItsMainOnOneSpringIsAStockman() {
    PatternVerdict verdict =
        namer.name(knife("serpentine", "both-ends", "89 mm", "clip@A/one sheepfoot@B spey@B"));
    assertThat(verdict.title()).isEqualTo("Medium stockman");
  }

  @Test
  void whatIsNotLookedAtIsNeverCountedAsMissed() {
    PatternVerdict verdict = namer.name(knife("canoe", null, null, ""));

    assertThat(verdict.names().get(0).pattern()).isEqualTo("canoe");
    assertThat(verdict.names().get(0).requirements())
        .extracting(PatternVerdict.Requirement::standing)
        .doesNotContain(Standing.MISSED);
  }

  @Test
  void bladesAreSetIntoTheirSlotsWhateverTheOrder() {
    PatternVerdict verdict =
        namer.name(knife("serpentine", "both-ends", "89 mm", "clip@A/one spey@B sheepfoot@B"));
    assertThat(verdict.title()).isEqualTo("Medium stockman");
  }

  @Test
  void aKnifeLikeNothingInTheBookIsNotForcedIntoAName() {
    PatternVerdict verdict =
        namer.name(knife("canoe", null, "130 mm", "razor@A razor@A razor@B razor@B file@A"));
    assertThat(verdict.unnamed()).isGreaterThan(0.5);
    assertThat(verdict.title()).isEqualTo("Canoe, five blades");
  }

  @Test
  void nothingSeenHasNoName() {
    assertThat(namer.name(Specimen.unseen()).names()).isEmpty();
  }

  private static Specimen knife(String frame, String bolsters, String length, String blades) {
    return new Specimen(
        null,
        null,
        Seen.sure(frame),
        bolsters == null ? null : Seen.sure(bolsters),
        length == null ? null : Length.parse(length),
        null,
        blades(blades),
        List.of(),
        null,
        Map.of(),
        Map.of(),
        List.of(),
        List.of());
  }

  // "clip@A/both": kind, end and, after a stroke, the springs it presses.
  private static List<SeenBlade> blades(String text) {
    List<SeenBlade> blades = new ArrayList<>();
    for (String one : Arrays.stream(text.split(" ", -1)).filter(t -> !t.isEmpty()).toList()) {
      String[] parts = one.split("[@/]", -1);
      Presses presses =
          parts.length < 3 ? null : Presses.valueOf(parts[2].toUpperCase(java.util.Locale.ROOT));
      blades.add(new SeenBlade(parts[0], End.valueOf(parts[1]), presses, null));
    }
    return blades;
  }
}
