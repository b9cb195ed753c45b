package snikra.core.practice;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.function.Predicate;
import java.util.random.RandomGenerator;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import snikra.core.clue.Feature;
import snikra.core.dating.Sampler;
import snikra.core.examination.Examiner;
import snikra.core.examination.Station;
import snikra.core.measure.Length;
import snikra.core.pattern.Pattern;
import snikra.core.reference.ReferenceShelf;
import snikra.core.specimen.Face;
import snikra.core.specimen.FaceState;
import snikra.core.specimen.Seen;
import snikra.core.specimen.SeenBlade;
import snikra.core.specimen.SeenFace;
import snikra.core.specimen.Specimen;

/**
 * Deals knives to guess at: made-up ones, drawn from the references in use and worn as the marks
 * are read, or those of one's own.
 */
public final class Dealer {
  /** What a knife's length differs by from the usual one, as a share of the room there is. */
  private static final double SIXTH = 1.0 / 6;

  private final Examiner examiner;
  private final Examiner among;
  private final ReferenceShelf shelf;
  private final PracticeBook book;
  private final Sampler sampler;
  private final List<Pattern> patterns;

  /** By feature, answers that give some patterns their names: no other pattern shows them. */
  private final Map<String, Set<String>> naming = new HashMap<>();

  /** A dealer of knives out of these references. */
  public Dealer(Examiner examiner, PracticeBook book) {
    this.examiner = examiner;
    this.shelf = examiner.shelf();
    this.book = book;
    double listed = new Sampler(shelf, examiner.thisYear()).listed();
    double share = book.listed().value();
    this.among = examiner.with(shelf.withUnlisted(listed * (1 - share) / share));
    this.sampler = new Sampler(among.shelf(), examiner.thisYear());
    // What a name asks beside shape is drawn by itself and would not go with it.
    this.patterns =
        shelf.patterns().patterns().stream()
            .filter(p -> p.mechanism() == null && p.asks().isEmpty())
            .filter(p -> p.slots().stream().anyMatch(s -> !s.optional()))
            .filter(p -> p.role() == Pattern.Role.PATTERN || p.role() == Pattern.Role.VARIANT)
            .toList();
    for (Pattern pattern : shelf.patterns().patterns()) {
      if (pattern.mechanism() != null) {
        pattern
            .mechanism()
            .shows()
            .forEach((of, is) -> naming.computeIfAbsent(of, f -> new HashSet<>()).addAll(is));
      }
    }
  }

  /**
   * Who is asked about made-up knives: of them more are of makers on file than of those one meets,
   * and the examiner knows it as the player does.
   */
  public Examiner among() {
    return among;
  }

  /** A made-up knife; the same seed deals the same knife. */
  public Dealt deal(long seed) {
    RandomGenerator random = new SplittableRandom(seed);
    double from = book.worn().get(0).value();
    double to = book.worn().get(1).value();
    double lost = from + (to - from) * random.nextDouble();
    Sampler.Drawn drawn = sampler.draw(random, new Sampler.Care(1, lost, 0));
    Pattern pattern = sampler.pattern(random, drawn, patterns);
    return new Dealt(knife(random, pattern, drawn), Truth.of(drawn, pattern.id()));
  }

  /** The first of so many made-up knives of which this holds; where none does, the first of all. */
  public Dealt deal(long seed, Predicate<Truth> wanted) {
    SplittableRandom seeds = new SplittableRandom(seed);
    Dealt first = null;
    for (int i = 0; i < book.drawn().whole(); i++) {
      Dealt dealt = deal(seeds.nextLong());
      if (wanted.test(dealt.truth())) {
        return dealt;
      }
      first = first == null ? dealt : first;
    }
    return first == null ? deal(seeds.nextLong()) : first;
  }

  /**
   * A knife of one's own, with what all that was seen of it comes to; null where that is little.
   */
  public @Nullable Dealt deal(Specimen own) {
    Map<String, Seen<String>> seen = new HashMap<>(own.seen());
    seen.values().removeIf(s -> s.value() == null);
    long looks =
        seen.keySet().stream().filter(this::isOnFile).count() + (own.marks().isEmpty() ? 0 : 1);
    if (looks < book.leastLooks().value() || own.blades().isEmpty()) {
      return null;
    }
    Specimen bare = Round.bare(own, own.blades(), own.marks(), seen);
    return new Dealt(bare, Truth.of(examiner.examine(own)));
  }

  private boolean isOnFile(String feature) {
    return shelf.clues().features().stream().anyMatch(f -> f.id().equals(feature));
  }

  private Specimen knife(RandomGenerator random, Pattern pattern, Sampler.Drawn drawn) {
    Map<String, Seen<String>> seen = new HashMap<>();
    Map<String, Seen<String>> ofMain = new HashMap<>();
    drawn
        .answers()
        .forEach(
            (feature, answer) -> {
              // Tools are those of the pattern.
              if (!feature.station().equals(Station.TOOLS.toString())
                  && !naming.getOrDefault(feature.id(), Set.of()).contains(answer.id())) {
                boolean isOfBlade = feature.asked() == Feature.Asked.EACH_BLADE;
                (isOfBlade ? ofMain : seen).put(feature.id(), Seen.sure(answer.id()));
              }
            });
    List<SeenBlade> blades =
        pattern.slots().stream()
            .filter(s -> !s.optional())
            .map(s -> SeenBlade.sure(s.usualType(), s.end(), s.presses(), s.side()))
            .collect(Collectors.toCollection(ArrayList::new));
    blades.set(0, Round.with(blades.get(0), ofMain));
    List<SeenFace> faces =
        drawn.faces().isEmpty()
            ? List.of(new SeenFace(1, Face.MARK, FaceState.WORN, null, List.of()))
            : drawn.faces();
    Pattern.Range range = pattern.closedLengthMm();
    double room = (range.max() - range.min()) * SIXTH;
    double mm = Math.rint(range.typical() + room * random.nextGaussian());
    return new Specimen(
        null,
        null,
        Seen.sure(pattern.usualFrame()),
        pattern.bolsters().isEmpty() ? null : Seen.sure(pattern.bolsters().get(0)),
        Length.parse((int) Math.max(range.min(), Math.min(range.max(), mm)) + " mm"),
        Seen.sure(pattern.springs().get(0)),
        blades,
        faces,
        null,
        seen,
        Map.of(),
        List.of(),
        List.of());
  }
}
