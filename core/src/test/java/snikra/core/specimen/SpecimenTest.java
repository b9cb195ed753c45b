package snikra.core.specimen;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import snikra.core.measure.Length;
import snikra.core.measure.Measurement;

class SpecimenTest {
  private static final LookReliability RELIABILITY = new LookReliability(0.98, 0.8, 0.55);

  @Test
  void sharesOfWhatItMayBeAreOne() {
    assertThat(Seen.sure("horn").shares()).containsExactly(Map.entry("horn", 1.0));
    Seen<String> either = new Seen<>("horn", Sureness.LIKELY, Map.of("bone", 0.3, "ivory", 0.2));
    assertThat(either.shares()).hasSize(3).containsEntry("bone", 0.3);
    assertThat(either.shares().get("horn")).isCloseTo(0.5, within(1e-12));
    assertThat(new Seen<String>(null, Sureness.CANNOT_TELL).shares()).isEmpty();
  }

  @Test
  void whatMayBeOneOfTwoWeighsAsTheirMean() {
    Seen<String> either = new Seen<>("horn", Sureness.LIKELY, Map.of("bone", 0.25));
    double mean =
        Seen.meanWeight(
            either, RELIABILITY, v -> v.equals("horn") ? 1 : 0.2, v -> v.equals("horn") ? 0.1 : 1);
    assertThat(mean)
        .isCloseTo(0.75 * (0.8 * 1 + 0.2 * 0.1) + 0.25 * (0.8 * 0.2 + 0.2 * 1), within(1e-12));
    assertThat(Seen.meanWeight(null, RELIABILITY, v -> 0, v -> 0)).isEqualTo(1);
    assertThat(Seen.meanWeight(Seen.sure("horn"), RELIABILITY, v -> 0.5, v -> 1))
        .isEqualTo(Seen.weight(Seen.sure("horn"), RELIABILITY, v -> 0.5, v -> 1));
  }

  @Test
  void aValueGoesWithASurenessAndNoneWithCannotTell() {
    assertThatThrownBy(() -> new Seen<>("horn", Sureness.CANNOT_TELL))
        .hasMessageContaining("found horn");
    assertThatThrownBy(() -> new Seen<>(null, Sureness.SURE)).hasMessageContaining("found null");
    assertThat(new Seen<>("horn", Sureness.SURE, Map.of()).or()).isNull();
  }

  @Test
  void aMarkIsStruckOutOnlyWhereThatWasSeen() {
    for (Boolean seen : new Boolean[] {true, false, null}) {
      SeenFace face =
          new SeenFace(1, Face.MARK, FaceState.READ, Technique.STRUCK, null, List.of("X"), seen);
      assertThat(face.wasStruckOut()).isEqualTo(seen != null && seen);
    }
    assertThatThrownBy(() -> new SeenFace(0, Face.MARK, FaceState.WORN, null, List.of()))
        .hasMessageContaining("found 0");
  }

  @Test
  void aSaleHasAPriceAboveNothing() {
    assertThat(sale("0.01").price()).isEqualByComparingTo("0.01");
    for (String price : List.of("0", "-3")) {
      assertThatThrownBy(() -> sale(price)).hasMessageContaining("above 0; found " + price);
    }
  }

  private static ComparableSale sale(String price) {
    return new ComparableSale("A jack", new BigDecimal(price), "EUR", null, null, null, null, null);
  }

  @Test
  void aKnifeIsNotChangedFromOutside() {
    Map<String, Seen<String>> looks = new HashMap<>(Map.of("bail", Seen.sure("wire")));
    Map<String, Seen<String>> condition = new HashMap<>(Map.of("snap", Seen.sure("good")));
    Map<String, List<Measurement>> measured = new HashMap<>();
    EnumSet<Sought> notFound = EnumSet.of(Sought.NUMBER);
    List<SeenBlade> blades = new ArrayList<>();
    Map<String, Seen<String>> ofBlade = new HashMap<>(Map.of("pull", Seen.sure("long")));
    List<SeenBlade.BladeHeight> heights = new ArrayList<>();
    heights.add(new SeenBlade.BladeHeight(Length.parse("3 mm"), Length.parse("9 mm")));
    blades.add(new SeenBlade(null, null, null, null, null, null, heights, null, ofBlade));
    Specimen knife =
        new Specimen(
            null, null, null, null, null, null, blades, null, null, null, null, null, looks,
            condition, null, null, measured, notFound, null, null, null);
    looks.clear();
    condition.clear();
    notFound.clear();
    blades.clear();
    ofBlade.clear();
    heights.clear();
    assertThat(knife.seen()).containsOnlyKeys("bail");
    assertThat(knife.condition()).containsOnlyKeys("snap");
    assertThat(knife.notFound()).containsExactly(Sought.NUMBER);
    assertThat(knife.blades().get(0).seen()).containsOnlyKeys("pull");
    assertThat(knife.blades().get(0).heights()).hasSize(1);
    assertThat(knife.marks()).isEmpty();
  }

  @Test
  void whatLiesElsewhereIsTheSameKnife() {
    Specimen knife = Specimen.unseen();
    Specimen moved = knife.lying("Drawer 4", List.of("Carried", " carried ", "to sell"));
    assertThat(moved.place()).isEqualTo("Drawer 4");
    assertThat(moved.tags()).containsExactly("Carried", "to sell");
    assertThat(moved).isNotEqualTo(knife);
    assertThat(moved.lying(null, List.of())).isEqualTo(knife);
  }

  static Stream<Enum<?>> words() {
    return Stream.<Enum<?>[]>of(
            Side.values(),
            Presses.values(),
            FaceState.values(),
            Sureness.values(),
            Technique.values(),
            Face.values())
        .flatMap(Stream::of);
  }

  @ParameterizedTest
  @MethodSource("words")
  void wordsOfTheFormatAreTheNamesInSmallLettersWithHyphens(Enum<?> word) {
    assertThat(word).hasToString(word.name().toLowerCase(java.util.Locale.ROOT).replace('_', '-'));
  }
}
