package snikra.core.clue;

import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * A question asked of one part of the knife.
 *
 * @param part the part it is seen on; what a part shows is replaced together
 * @param complete whether the clues are all the answers there are, so that they share probability
 * @param markBorne whether it is struck with the mark, so that a known mark already accounts for it
 * @param asked of what; of blades only the main one's answer dates the knife
 */
public record Feature(
    String id,
    String station,
    String part,
    String label,
    boolean complete,
    boolean markBorne,
    Asked asked,
    List<Clue> clues) {

  /** Of what it is asked. */
  public enum Asked {
    ONCE,
    EACH_BLADE,
    /** Of every blade but the main one, of which the knife is asked. */
    OTHER_BLADES;

    /** Whether it is asked of the blade at this place, the main blade being 0. */
    public boolean ofBlade(int place) {
      return this == EACH_BLADE || (this == OTHER_BLADES && place > 0);
    }

    @Override
    public String toString() {
      return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
  }

  /** A feature asked once of the knife. */
  public Feature(
      String id,
      String station,
      String part,
      String label,
      boolean complete,
      boolean markBorne,
      List<Clue> clues) {
    this(id, station, part, label, complete, markBorne, Asked.ONCE, clues);
  }

  public Feature {
    asked = asked == null ? Asked.ONCE : asked;
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
