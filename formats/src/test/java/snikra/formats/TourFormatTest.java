package snikra.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import snikra.core.dating.DatingVerdict;
import snikra.core.examination.Examiner;
import snikra.core.examination.Verdict;
import snikra.core.reference.ReferenceShelf;
import snikra.core.tour.Tour;

/** The tour says what the verdict did; here the verdict is asked. */
class TourFormatTest {
  private static final Pattern WORD = Pattern.compile("\\S+");
  private static final double WORDS_A_MINUTE = 200;
  // A beginner finds and presses a key, or points and clicks, in about this.
  private static final double SECONDS_A_KEY = 1.2;

  private final ReferenceShelf shelf = ShippedShelf.load().withMakers(List.of());
  private final Tour tour = ShippedShelf.tour(shelf);
  private final Map<String, Verdict> after = verdicts();

  private Map<String, Verdict> verdicts() {
    Examiner examiner = new Examiner(shelf, 2026);
    Map<String, Verdict> all = new HashMap<>();
    for (Tour.Step step : tour.steps()) {
      all.put(step.id(), examiner.examine(step.known()));
    }
    return all;
  }

  private Verdict after(String step) {
    return Objects.requireNonNull(after.get(step), step);
  }

  private static int from(Verdict verdict) {
    return verdict.dating().nineTenths().pieces().get(0).from();
  }

  private static int to(Verdict verdict) {
    return verdict.dating().nineTenths().pieces().get(0).to();
  }

  private static double later(Verdict verdict, int year) {
    double[] curve = verdict.dating().curve();
    return Arrays.stream(curve, year - verdict.dating().firstYear(), curve.length).sum();
  }

  @Test
  void theShapeSaysLittleOfTheYears() {
    assertThat(to(after("shape")) - from(after("shape"))).isGreaterThan(150);
  }

  @Test
  void theBladesNameIt() {
    assertThat(after("blades").pattern().title()).isEqualTo("Swell-end jack");
  }

  @Test
  void theMarkTellsTheCountryAndNoMaker() {
    DatingVerdict.Attribution first = after("mark").dating().makers().get(0);
    assertThat(first.maker()).isNull();
    assertThat(first.region()).isEqualTo("UK");
    assertThat(first.probability()).isGreaterThan(0.9);
  }

  @Test
  void theCoversAreTheLargestStepAndGiveOneBlock() {
    Verdict before = after("mark");
    Verdict now = after("handle");
    assertThat(now.dating().nineTenths().pieces()).hasSize(1);
    assertThat(from(now)).isBetween(1870, 1879);
    assertThat(to(now)).isBetween(1955, 1965);
    assertThat(to(before) - from(before)).isGreaterThan(to(now) - from(now) + 60);
  }

  @Test
  void thePinsLessenLateYearsALittle() {
    double before = later(after("handle"), 1946);
    double now = later(after("shield"), 1946);
    assertThat(now).isLessThan(before).isCloseTo(before, within(0.1));
  }

  @Test
  void wearAndPatinaAreVeryGood() {
    assertThat(after("condition").grade().best()).isNotNull();
    assertThat(after("condition").grade().best().label()).isEqualTo("Very good");
  }

  @Test
  void theWholeTakesTwoMinutes() {
    String said =
        tour.steps().stream().map(s -> s.asks() + " " + s.told()).collect(Collectors.joining(" "));
    double reading = WORD.matcher(said).results().count() / WORDS_A_MINUTE * 60;
    long answers = Json.mapper().valueToTree(tour.knife()).findValues("value").size();
    long typed = "QUAMBERTENGLAND".length();
    // A station, a field and an answer for each; a letter takes a fifth of what is looked for.
    double keying = SECONDS_A_KEY * (3 * answers + typed / 5.0);
    assertThat(reading + keying).isLessThanOrEqualTo(120);
  }
}
