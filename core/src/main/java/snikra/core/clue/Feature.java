package snikra.core.clue;

import java.util.List;
import java.util.Optional;

/**
 * A question asked of one part of the knife.
 *
 * @param part the part it is seen on; what a part shows is replaced together
 * @param complete whether the clues are all the answers there are, so that they share probability
 * @param markBorne whether it is struck with the mark, so that a known mark already accounts for it
 * @param eachBlade whether it is asked of every blade; only the main blade's answer dates the knife
 */
public record Feature(
    String id,
    String station,
    String part,
    String label,
    boolean complete,
    boolean markBorne,
    boolean eachBlade,
    List<Clue> clues) {

  /** A feature asked once of the knife. */
  public Feature(
      String id,
      String station,
      String part,
      String label,
      boolean complete,
      boolean markBorne,
      List<Clue> clues) {
    this(id, station, part, label, complete, markBorne, false, clues);
  }

  public Feature {
    clues = List.copyOf(clues);
    if (clues.isEmpty()) {
      throw new IllegalArgumentException("feature " + id + " must have at least one clue; found 0");
    }
  }

  /** The clue with this id. */
  public Optional<Clue> clue(String id) {
    return clues.stream().filter(c -> c.id().equals(id)).findFirst();
  }
}
