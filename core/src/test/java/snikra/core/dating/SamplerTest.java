package snikra.core.dating;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import snikra.core.clue.Clue;
import snikra.core.dating.Sampler.Care;
import snikra.core.dating.Sampler.Drawn;
import snikra.core.fixture.Patterns;
import snikra.core.fixture.Shelf;
import snikra.core.pattern.Pattern;
import snikra.core.pattern.Pattern.Era;
import snikra.core.reference.ReferenceShelf;
import snikra.core.specimen.FaceState;
import snikra.core.specimen.SeenFace;

/**
 * Made-up knives of the small shelf: as often this and that as the model says, and dated by it as
 * rightly as it says.
 */
class SamplerTest {
  private static final ReferenceShelf SHELF = shelf();
  private static final Care HALF = new Care(0.5, 0.2, 0.1);
  private static final int MANY = 8_000;

  /** Four standard deviations of a share of so many knives: nothing but a fault is further off. */
  private static final double CHANCE = 4 * 0.5 / Math.sqrt(MANY);

  private static final List<Drawn> KNIVES = drawn(1917, MANY, HALF);

  private static ReferenceShelf shelf() {
    ReferenceShelf all = Shelf.invented();
    return all.withMakers(
        List.of(
            Shelf.maker("thrale", List.of(), Shelf.mark("old", 1890, 1912, "THRALE", "WINDOVER")),
            Shelf.maker(
                "zwick",
                List.of(1914),
                Shelf.mark("dax", 1889, 1914, "ZWICKEL", "& DAX"),
                Shelf.mark("dal", 1914, 1931, "ZWICKEL", "& DAL"))));
  }

  private static List<Drawn> drawn(long seed, int many, Care care) {
    Sampler sampler = new Sampler(SHELF, Shelf.THIS_YEAR);
    SplittableRandom random = new SplittableRandom(seed);
    return IntStream.range(0, many).mapToObj(i -> sampler.draw(random, care)).toList();
  }

  private static double share(Predicate<Drawn> of) {
    return KNIVES.stream().filter(of).count() / (double) MANY;
  }

  @Test
  void theSameSeedDrawsTheSameKnives() {
    assertThat(told(3)).isEqualTo(told(3)).isNotEqualTo(told(4));
  }

  private static List<String> told(long seed) {
    return drawn(seed, 40, HALF).stream()
        .map(
            k ->
                k.maker()
                    + k.region()
                    + k.year()
                    + k.happened()
                    + k.faces()
                    + k.answers().values().stream().map(Clue::id).toList())
        .toList();
  }

  @Test
  void makersAreMetByTheirWeightAndThoseNotOnFileByTheirs() {
    double trust = SHELF.makers().get(0).marks().get(0).trust();
    double listed = new Sampler(SHELF, Shelf.THIS_YEAR).listed();
    assertThat(listed).as("two makers of weight one").isCloseTo(2, within(1e-12));
    double untrusted = Priors.of(SHELF.judgement(), SHELF.clues().parts()).untrusted();
    double all =
        listed + SHELF.unlistedWeight() + untrusted * listed + listed * (1 - trust) / trust;
    assertThat(share(k -> "thrale".equals(k.maker()))).isCloseTo(1 / all, within(CHANCE));
    assertThat(share(k -> "zwick".equals(k.maker()))).isCloseTo(1 / all, within(CHANCE));
    assertThat(share(k -> k.maker() == null)).isCloseTo((all - 2) / all, within(CHANCE));
    assertThat(share(k -> k.state() == State.Kind.MARK_UNTRUSTED)).isPositive();
  }

  @Test
  void aListedKnifeIsOfYearsItsMakerStruckItsMarksIn() {
    assertThat(KNIVES)
        .filteredOn(k -> "thrale".equals(k.maker()))
        .allMatch(k -> k.year() >= 1889 && k.year() <= 1913)
        .anyMatch(k -> k.year() == 1890)
        .anyMatch(k -> k.year() == 1912);
    Map<Boolean, Integer> early = new HashMap<>();
    KNIVES.stream()
        .filter(k -> "zwick".equals(k.maker()) && !k.faces().isEmpty())
        .filter(k -> k.state() == State.Kind.AS_MADE)
        .forEach(k -> early.merge(k.year() < 1913, 1, Integer::sum));
    assertThat(early.get(true)).isGreaterThan(early.get(false) / 2);
  }

  @Test
  void countriesNotOnFileAreMetByTheirShare() {
    double none = share(k -> k.maker() == null);
    assertThat(share(k -> k.maker() == null && k.region().equals("W")) / none)
        .isCloseTo(0.5, within(2 * CHANCE));
  }

  @Test
  void halfOfTheLooksAreTakenAndNoneOfWhatIsStruckWithTheMark() {
    long asked = SHELF.clues().features().stream().filter(f -> !f.markBorne()).count();
    double seen = KNIVES.stream().mapToInt(k -> k.answers().size()).average().orElseThrow();
    assertThat(seen / asked).isCloseTo(0.5, within(CHANCE));
    assertThat(KNIVES).noneMatch(k -> k.answers().keySet().stream().anyMatch(f -> f.markBorne()));
    assertThat(drawn(5, 30, new Care(1, 0, 0))).allMatch(k -> k.answers().size() == asked);
    assertThat(drawn(5, 30, new Care(0, 0, 0))).allMatch(k -> k.answers().isEmpty());
  }

  @Test
  void oneMarkInThreeIsWornAwayAndOneUnlistedInFiveIsBare() {
    assertThat(share(k -> k.faces().isEmpty())).isCloseTo(0.35, within(CHANCE));
    Predicate<Drawn> bare =
        k -> k.faces().stream().map(SeenFace::state).anyMatch(s -> s == FaceState.BARE);
    assertThat(KNIVES).filteredOn(bare).allMatch(k -> k.maker() == null);
    assertThat(share(bare)).isBetween(0.1 * share(k -> k.maker() == null), 0.14);
    assertThat(KNIVES)
        .filteredOn(k -> k.maker() == null && k.state() == State.Kind.AS_MADE)
        .filteredOn(k -> k.faces().stream().anyMatch(f -> f.lines().size() == 2))
        .isNotEmpty();
  }

  @Test
  void whatBefellAPartIsToldOfPartsThatWereLookedAtAlone() {
    assertThat(KNIVES)
        .filteredOn(k -> k.part() != null && k.state() != State.Kind.MISJUDGED)
        .isNotEmpty()
        .allMatch(k -> k.answers().keySet().stream().anyMatch(f -> f.part().equals(k.part())));
    assertThat(KNIVES)
        .allMatch(k -> (k.state() == State.Kind.TWO_AT_ONCE) == (k.happened().size() > 1))
        .allMatch(k -> (k.state() == State.Kind.AS_MADE) == k.happened().isEmpty());
    for (State.Kind kind :
        Set.of(State.Kind.PART_REPLACED, State.Kind.OLDER_PART, State.Kind.OLD_STYLE)) {
      assertThat(share(k -> k.state() == kind)).as("%s", kind).isBetween(0.001, 0.12);
    }
    assertThat(share(k -> k.state() == State.Kind.AS_MADE)).isBetween(0.75, 0.97);
  }

  @Test
  void aPatternIsDrawnByHowOftenItIsMetAndWhetherItWasMadeThen() {
    Sampler sampler = new Sampler(SHELF, Shelf.THIS_YEAR);
    Pattern old = Patterns.of("old", new Era(1850, 1860, 1900), Map.of());
    Pattern young = Patterns.of("young", new Era(1990, 1995, null), Map.of());
    SplittableRandom random = new SplittableRandom(7);
    List<Drawn> early = KNIVES.stream().filter(k -> k.year() < 1900).limit(1000).toList();
    long olds =
        early.stream()
            .filter(k -> sampler.pattern(random, k, List.of(old, young)).id().equals("old"))
            .count();
    double before = SHELF.judgement().of("pattern.before-its-time");
    assertThat(olds / (double) early.size()).isCloseTo(1 / (1 + before), within(0.05));
  }

  @Test
  void theModelIsRightAsOftenAsItSaysOfKnivesDrawnFromIt() {
    AtomicInteger dated = new AtomicInteger();
    Calibration calibration = new Calibration(SHELF, Shelf.THIS_YEAR, dated::incrementAndGet);
    Calibration.Report report = calibration.run(1500, 1917, HALF);
    assertThat(report.knives()).isEqualTo(1500);
    assertThat(dated).hasValue(1500);
    for (Calibration.SpansHeld spans : List.of(report.half(), report.nineTenths())) {
      assertThat(spans.was()).isCloseTo(spans.said(), within(1.5 * spans.chance()));
      assertThat(spans.chance()).isBetween(0.005, 0.03);
    }
    assertThat(report.half().said()).isBetween(0.5, 0.6);
    assertThat(report.nineTenths().said()).isBetween(0.9, 0.95);
    assertThat(report.maker().expectedError()).isLessThan(0.05);
    assertThat(report.state().expectedError()).isLessThan(0.05);
  }

  @Test
  void withoutAStationSpansAreNoShorterByMoreThanChance() {
    Calibration calibration = new Calibration(SHELF, Shelf.THIS_YEAR);
    List<Calibration.Sharpness> all = calibration.sharpness(200, 5, new Care(1, 0, 0));
    assertThat(all.get(0).station()).isNull();
    assertThat(all.get(0).surely()).isTrue();
    long stations = SHELF.clues().features().stream().map(f -> f.station()).distinct().count();
    assertThat(calibration.datedForEach()).isEqualTo(1 + stations);
    assertThat(all).hasSizeBetween(3, (int) stations + 1);
    assertThat(all)
        .filteredOn(Calibration.Sharpness::surely)
        .allMatch(s -> s.years() >= all.get(0).years());
    assertThat(all).filteredOn(s -> s.station() != null && s.surely()).isNotEmpty();
    assertThat(calibration.sharpness(20, 5, new Care(0, 0, 0))).hasSize(1);
  }
}
