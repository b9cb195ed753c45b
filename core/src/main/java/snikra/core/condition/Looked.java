package snikra.core.condition;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import snikra.core.specimen.LookReliability;
import snikra.core.specimen.Seen;
import snikra.core.specimen.SeenBlade;
import snikra.core.specimen.Specimen;

/**
 * All of a knife that is graded.
 *
 * @param condition by point: of the knife, and of its main blade
 * @param otherBlades by point, of the second blade and those after it
 * @param seen by look of the clue book
 * @param doubts what may have been done to it
 * @param reliability how far a look that is not sure is to be trusted
 */
public record Looked(
    Map<String, Seen<String>> condition,
    List<Map<String, Seen<String>>> otherBlades,
    Map<String, Seen<String>> seen,
    List<Doubt> doubts,
    LookReliability reliability) {

  /** Something that may have been done, and how likely it was. */
  public record Doubt(Alteration alteration, double probability) {}

  public Looked {
    condition = Map.copyOf(condition);
    otherBlades = List.copyOf(otherBlades);
    seen = Map.copyOf(seen);
    doubts = List.copyOf(doubts);
  }

  /** What was looked at on a knife, with nothing done to it. */
  public static Looked at(Specimen knife, LookReliability reliability) {
    return new Looked(
        knife.condition(),
        knife.blades().stream().skip(1).map(SeenBlade::condition).toList(),
        knife.seen(),
        List.of(),
        reliability);
  }

  /** The same with what may have been done. */
  public Looked with(List<Doubt> done) {
    return new Looked(condition, otherBlades, seen, done, reliability);
  }

  boolean isAnything() {
    return Stream.concat(Stream.of(condition), otherBlades.stream())
        .flatMap(found -> found.values().stream())
        .anyMatch(seen -> seen.value() != null);
  }

  /** What was found of a point, of the knife or its main blade; empty where nobody looked. */
  public Optional<ConditionBook.Finding> found(ConditionBook.Point point) {
    return Optional.ofNullable(point.found(of(point.id(), 1)));
  }

  /** What was found of a point: of the knife or its main blade (1), or of another blade. */
  @Nullable Seen<String> of(String point, int blade) {
    return blade <= 1 ? condition.get(point) : otherBlades.get(blade - 2).get(point);
  }
}
