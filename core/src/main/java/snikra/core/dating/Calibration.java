package snikra.core.dating;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import snikra.core.clue.Feature;
import snikra.core.reference.ReferenceShelf;

/**
 * Whether the model is right as often as it says: knives drawn from it are dated by it, and its
 * spans and probabilities are held against what the knives are.
 */
public final class Calibration {
  private static final String MARKS = "marks";

  private final DatingModel model;
  private final Sampler sampler;
  private final ReferenceShelf shelf;
  private final Runnable dated;

  /**
   * A station and the middle length of the nine-tenths spans without it.
   *
   * @param station null with all stations
   * @param surely whether more knives have a longer span without it than a shorter one, or fewer,
   *     by more than chance would have it
   */
  public record Sharpness(@Nullable String station, double years, boolean surely) {}

  /**
   * What came of it.
   *
   * @param half of the fifty-per-cent spans
   * @param nineTenths of the ninety-per-cent spans
   */
  public record Report(
      int knives, SpansHeld half, SpansHeld nineTenths, Reliability maker, Reliability state) {}

  /**
   * How many spans held the year.
   *
   * @param said share that should, by what the spans hold of the probability: whole years make it
   *     somewhat more than was asked of them
   * @param was share that did
   * @param chance how far from what was said a model that is right may be with so many knives,
   *     nineteen times in twenty
   */
  public record SpansHeld(double said, double was, double chance) {}

  /** A calibration of the model of one shelf. */
  public Calibration(ReferenceShelf shelf, int thisYear) {
    this(shelf, thisYear, () -> {});
  }

  /**
   * A calibration of the model of one shelf.
   *
   * @param dated is told of every knife that was dated
   */
  public Calibration(ReferenceShelf shelf, int thisYear, Runnable dated) {
    this.shelf = shelf;
    this.dated = dated;
    model = new DatingModel(shelf, thisYear);
    sampler = new Sampler(shelf, thisYear);
  }

  /** Draws so many knives and dates them; the same seed draws the same knives. */
  public Report run(int knives, long seed, Sampler.Care care) {
    SplittableRandom random = new SplittableRandom(seed);
    Reliability.Diagram maker = new Reliability.Diagram();
    Reliability.Diagram state = new Reliability.Diagram();
    Spans half = new Spans();
    Spans nineTenths = new Spans();
    for (int i = 0; i < knives; i++) {
      Sampler.Drawn knife = sampler.draw(random, care);
      DatingVerdict verdict = date(knife.evidence());
      half.add(verdict, verdict.half(), knife.year());
      nineTenths.add(verdict, verdict.nineTenths(), knife.year());
      DatingVerdict.Attribution who = verdict.makers().get(0);
      boolean isOurs =
          who.maker() == null
              ? knife.maker() == null && who.region().equals(knife.region())
              : who.maker().equals(knife.maker());
      maker.add(who.probability(), isOurs ? 1 : 0);
      DatingVerdict.StateProbability how = verdict.states().get(0);
      boolean isSo =
          how.state().kind() == knife.state()
              && (how.state().part() == null || how.state().part().equals(knife.part()));
      state.add(how.probability(), isSo ? 1 : 0);
    }
    return new Report(
        knives, half.held(), nineTenths.held(), maker.reliability(), state.reliability());
  }

  /** How many knives {@link #sharpness} dates at most for each it draws. */
  public int datedForEach() {
    return 1 + (int) shelf.clues().features().stream().map(Feature::station).distinct().count();
  }

  /** The length of spans with all stations, then without each: what each look is worth. */
  public List<Sharpness> sharpness(int knives, long seed, Sampler.Care care) {
    SplittableRandom random = new SplittableRandom(seed);
    List<Evidence> drawn =
        IntStream.range(0, knives).mapToObj(i -> sampler.draw(random, care).evidence()).toList();
    int[] all = lengths(drawn);
    List<Sharpness> out = new ArrayList<>();
    out.add(new Sharpness(null, middle(all), true));
    shelf.clues().features().stream()
        .map(Feature::station)
        .distinct()
        .filter(station -> drawn.stream().anyMatch(e -> !seenAt(e, station).isEmpty()))
        .forEach(station -> out.add(without(station, drawn, all)));
    return out;
  }

  private Sharpness without(String station, List<Evidence> drawn, int[] all) {
    int[] left = lengths(drawn.stream().map(e -> without(e, station)).toList());
    return new Sharpness(station, middle(left), differ(all, left));
  }

  /** Whether one is the longer more often than not, by more than twice what chance would have. */
  static boolean differ(int[] some, int[] others) {
    int longer = 0;
    int shorter = 0;
    for (int i = 0; i < some.length; i++) {
      longer += some[i] > others[i] ? 1 : 0;
      shorter += some[i] < others[i] ? 1 : 0;
    }
    return Math.abs(longer - shorter) > 2 * Math.sqrt(longer + shorter);
  }

  private static Set<String> seenAt(Evidence evidence, String station) {
    return evidence.observed().stream()
        .map(Evidence.Observed::feature)
        .filter(f -> f.station().equals(station))
        .map(Feature::id)
        .collect(Collectors.toSet());
  }

  private Evidence without(Evidence evidence, String station) {
    Evidence rest = evidence.without(seenAt(evidence, station));
    return station.equals(MARKS) ? sampler.unmarked(rest) : rest;
  }

  private int[] lengths(List<Evidence> drawn) {
    return drawn.stream().mapToInt(e -> date(e).nineTenths().years()).toArray();
  }

  private static double middle(int[] lengths) {
    int[] sorted = lengths.clone();
    Arrays.sort(sorted);
    return sorted[sorted.length / 2];
  }

  private DatingVerdict date(Evidence evidence) {
    DatingVerdict verdict = model.dateBriefly(evidence);
    dated.run();
    return verdict;
  }

  /** Counts spans that hold the year. */
  private static final class Spans {
    private int count;
    private int held;
    private double said;
    private double variance;

    void add(DatingVerdict verdict, Span span, int year) {
      double holds =
          span.pieces().stream().mapToDouble(p -> verdict.between(p.from(), p.to())).sum();
      count++;
      held += span.holds(year) ? 1 : 0;
      said += holds;
      variance += holds * (1 - holds);
    }

    SpansHeld held() {
      return new SpansHeld(
          said / count, (double) held / count, 2 * Math.sqrt(Math.max(0, variance)) / count);
    }
  }
}
