package snikra.core.resemblance;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.IntStream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;
import snikra.core.reference.ModelTell;
import snikra.core.resemblance.Neighbours.Apart;
import snikra.core.resemblance.Neighbours.Neighbour;
import snikra.core.trait.Traits;

class NeighboursTest {

  private static ModelTell shows(String trait, String answer, double p) {
    return ModelTell.of(trait, Map.of(answer, p), "");
  }

  private static ModelTell length(double mm, double spread) {
    return new ModelTell(Traits.LENGTH, Map.of(), mm, spread, "");
  }

  private static Lookalike model(String id, ModelTell... tells) {
    return new Lookalike(id, id, "thrale", "pen", 1900, 1910, List.of(tells));
  }

  private static Lookalike bone(String id, String number) {
    return model(
        id,
        shows("cover", "bone", 0.9),
        shows("shield", "bar", 0.7),
        shows("spacer", "brass", 0.8),
        shows(Traits.NUMBER, number, 0.9));
  }

  private static final Lookalike OWN = bone("own", "12");

  // Every way in which one answer can be had: the oracle for what is left to all others too.
  @Property(tries = 300)
  void differenceIsWhatTheBetterGuesserWins(
      @ForAll @Size(3) List<@DoubleRange(min = 0, max = 1) Double> one,
      @ForAll @Size(3) List<@DoubleRange(min = 0, max = 1) Double> other) {
    double[] p = shares(one);
    double[] q = shares(other);
    double oracle = IntStream.range(0, 3).mapToDouble(i -> Math.max(p[i], q[i])).sum() - 1;
    double told = Neighbours.difference(tell(p), tell(q));
    assertThat(told).isCloseTo(oracle, within(1e-9));
    assertThat(Neighbours.difference(tell(q), tell(p))).isCloseTo(told, within(1e-12));
  }

  private static double[] shares(List<Double> of) {
    double[] all = of.stream().mapToDouble(p -> p + 0.01).toArray();
    double sum = Arrays.stream(all).sum();
    return Arrays.stream(all).map(p -> p / sum).toArray();
  }

  // The third answer is not told: it is what is left.
  private static ModelTell tell(double[] p) {
    return ModelTell.of("cover", new TreeMap<>(Map.of("a", p[0], "b", p[1])), "");
  }

  @Test
  void lengthsPartAsFarAsTheySpread() {
    assertThat(Neighbours.difference(length(80, 1), length(80, 1))).isZero();
    // Two normals two deviations apart overlap by 0.3173.
    assertThat(Neighbours.difference(length(80, 1), length(82, 1))).isCloseTo(0.6827, within(1e-4));
    assertThat(Neighbours.difference(length(80, 1), length(82, 3)))
        .isLessThan(Neighbours.difference(length(80, 1), length(82, 1)));
  }

  @Test
  void theMostAlikeComesFirstAndIsToldByWhatPartsItBest() {
    Lookalike near =
        model(
            "near",
            shows("cover", "bone", 0.9),
            shows("shield", "crest", 0.7),
            shows("spacer", "iron", 0.2),
            shows(Traits.NUMBER, "40", 0.9));
    Lookalike far =
        model(
            "far",
            shows("cover", "horn", 1),
            shows("shield", "crest", 1),
            shows("spacer", "iron", 1));
    List<Neighbour> found = Neighbours.of(OWN, List.of(far, OWN, near), 5);
    assertThat(found).extracting(n -> n.model().id()).containsExactly("near", "far");
    assertThat(found.get(0).tells())
        .extracting(Apart::trait)
        .containsExactly(Traits.NUMBER, "spacer", "shield");
    assertThat(found.get(0).tells())
        .extracting(Apart::difference)
        .isSortedAccordingTo((a, b) -> Double.compare(b, a));
  }

  @Test
  void aNumberDoesNotMakeTwoModelsUnlike() {
    Neighbour only = Neighbours.of(OWN, List.of(bone("other", "40")), 5).get(0);
    assertThat(only.difference()).isZero();
    assertThat(only.tells()).extracting(Apart::trait).containsExactly(Traits.NUMBER);
  }

  @Test
  void ofTooFewLooksNothingIsSaidAndNoMoreAreToldThanAsked() {
    Lookalike little = model("little", shows("cover", "bone", 0.9), shows("shield", "bar", 0.7));
    assertThat(Neighbours.of(OWN, List.of(little), 5)).isEmpty();
    Lookalike twin = bone("twin", "12");
    Lookalike another = bone("another", "12");
    assertThat(Neighbours.of(OWN, List.of(twin, another), 1))
        .extracting(n -> n.model().id())
        .containsExactly("another");
    assertThat(Neighbours.of(OWN, List.of(twin), 1).get(0).tells()).isEmpty();
  }
}
