package snikra.core.dating;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import snikra.core.fixture.KnifeBuilder;
import snikra.core.fixture.Shelf;
import snikra.core.reference.History;
import snikra.core.reference.History.Fitting;
import snikra.core.reference.History.ShieldEra;
import snikra.core.reference.History.Tell;
import snikra.core.reference.Maker;
import snikra.core.reference.ReferenceShelf;
import snikra.core.specimen.Seen;
import snikra.core.specimen.Sureness;

class HandReaderTest {
  private static final int FIRST = 1700;

  private static Maker orbel(List<Integer> changes, double trust) {
    History history =
        new History(
            History.Kind.MAKER,
            List.of(),
            List.of(),
            List.of(
                new ShieldEra("bar", 1890, 1900, 1, null, null, "", "", trust),
                new ShieldEra("crest", 1901, 1930, 1, null, null, "", "", trust)),
            List.of(new Fitting("material", "bone", 1895, 1905, 0, "", "", trust)),
            List.of(),
            List.of(
                new Tell("Long and slender.", "closed-length", Map.of(), 95.0, 1.0, "", trust),
                new Tell("Brass.", "liner", Map.of("brass", 0.8), null, null, "", trust),
                new Tell("Neat work.", "")));
    return new Maker(
        "orbel",
        "Orbel",
        "W",
        "Windover",
        1,
        changes,
        null,
        List.of(),
        List.of(Shelf.mark("old", 1890, 1930, "ORBEL")),
        history,
        "");
  }

  private static HandRecord record(Maker maker, Shown shown) {
    ReferenceShelf shelf = Shelf.invented().withMakers(List.of(maker));
    Desk desk = new Desk(shelf, Shelf.THIS_YEAR, null);
    Evidence plain = KnifeBuilder.aKnifeOn(shelf).evidence();
    Evidence evidence =
        new Evidence(
            plain.marks(),
            plain.observed(),
            List.of(),
            null,
            List.of(),
            Map.of(),
            shown,
            List.of(),
            Set.of());
    return desk.handReader.of(maker, desk.hands.get(0), desk.handShares.get(0), evidence).get(0);
  }

  private static double given(String trait, String value, int year) {
    Shown shown = Shown.surely(Map.of(trait, value));
    return record(orbel(List.of(), 0.99), shown).whole()[year - FIRST];
  }

  @Test
  void whatAHandFittedIsLikelierOnItsWorkAndOnlyInItsYears() {
    Maker orbel = orbel(List.of(), 0.99);
    ReferenceShelf shelf = Shelf.invented().withMakers(List.of(orbel));
    Desk desk = new Desk(shelf, Shelf.THIS_YEAR, null);
    Hand itself = desk.hands.get(0).get(0);
    double[] bone = desk.handReader.likelier(orbel, itself, "material", "bone");
    double[] horn = desk.handReader.likelier(orbel, itself, "material", "horn");
    double[] brass = desk.handReader.likelier(orbel, itself, "liner", "brass");
    assertThat(bone[1900 - FIRST]).isGreaterThan(1).isGreaterThan(5 * bone[1930 - FIRST]);
    assertThat(horn[1900 - FIRST]).isLessThan(1);
    assertThat(brass[1900 - FIRST]).isGreaterThan(1);
    assertThat(desk.handReader.likelier(orbel, itself, "jigging", "worm")).containsOnly(1);
  }

  @Test
  void fittingsSpeakByTheirYears() {
    double inItsYears = given("shield_shape", "bar", 1895);
    assertThat(inItsYears).isBetween(0.9, 1.0);
    assertThat(given("shield_shape", "bar", 1901)).isBetween(0.2 * inItsYears, 0.8 * inItsYears);
    assertThat(given("shield_shape", "bar", 1920)).isLessThan(0.1 * inItsYears);
    assertThat(given("shield_shape", "oval", 1895)).isBetween(0.1, 0.3);
    assertThat(given("material", "bone", 1906)).isLessThan(0.1 * given("material", "bone", 1905));
  }

  @Test
  void whatIsNotOnFileIsLikelierNearAChange() {
    Shown oval = Shown.surely(Map.of("shield_shape", "oval"));
    double[] row = record(orbel(List.of(1914), 0.99), oval).whole();
    assertThat(row[1914 - FIRST]).isGreaterThan(2 * row[1905 - FIRST]);
  }

  @Test
  void aFittingIsBelievedAsFarAsItsSource() {
    Shown bar = Shown.surely(Map.of("shield_shape", "bar"));
    double[] sure = record(orbel(List.of(), 0.99), bar).whole();
    double[] rumour = record(orbel(List.of(), 0.3), bar).whole();
    assertThat(rumour[1920 - FIRST]).isGreaterThan(0.15 * rumour[1895 - FIRST]);
    assertThat(sure[1920 - FIRST]).isLessThan(0.1 * sure[1895 - FIRST]);
  }

  @Test
  void unsureLooksSayLess() {
    Shown unsure =
        new Shown(Map.of("shield_shape", List.of(new Seen<>("bar", Sureness.UNSURE))), null);
    Shown sure = Shown.surely(Map.of("shield_shape", "bar"));
    Maker maker = orbel(List.of(), 0.99);
    double[] little = record(maker, unsure).whole();
    double[] much = record(maker, sure).whole();
    assertThat(little[1920 - FIRST] / little[1895 - FIRST])
        .isGreaterThan(1.3 * much[1920 - FIRST] / much[1895 - FIRST]);
  }

  @Test
  void tellsSpeakByAnswersAndByLengths() {
    assertThat(given("liner", "brass", 1900)).isCloseTo(1, within(1e-12));
    assertThat(given("liner", "steel", 1900)).isLessThan(0.5);
    Maker maker = orbel(List.of(), 0.99);
    double near = record(maker, new Shown(Map.of(), 95.5)).whole()[1900 - FIRST];
    double far = record(maker, new Shown(Map.of(), 99.0)).whole()[1900 - FIRST];
    assertThat(near).isGreaterThan(10 * far);
  }

  @Test
  void nothingLookedAtSaysNothing() {
    assertThat(record(orbel(List.of(), 0.99), Shown.NOTHING).whole()).isNull();
    assertThat(record(orbel(List.of(), 0.99), Shown.surely(Map.of("bail", "wire"))).said())
        .isEmpty();
  }

  @Test
  void ofSeveralBladesOneThatShowsItIsEnough() {
    Maker maker = orbel(List.of(), 0.99);
    Shown mixed = new Shown(Map.of("liner", List.of(Seen.sure("steel"), Seen.sure("brass"))), null);
    assertThat(record(maker, mixed).whole()[0])
        .isCloseTo(given("liner", "brass", FIRST), within(1e-9));
  }
}
