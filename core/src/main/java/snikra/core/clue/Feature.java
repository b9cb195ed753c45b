package snikra.core.clue;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * A question asked of one part of the knife.
 *
 * @param part the part it is seen on; what a part shows is replaced together
 * @param complete whether the clues are all the answers there are, so that they share probability
 * @param markBorne whether it is struck with the mark, so that a known mark already accounts for it
 * @param asked of what; of blades only the main one's answer dates the knife
 * @param trouble what it takes to look
 * @param mistaken how often a careful person who is sure is wrong, where that is known of it
 * @param group what it is asked together with, in words; null where it stands by itself
 * @param onlyIf another answer without which there is nothing to look at
 * @param alike what, found on one blade, is usual on the next as well; null where nothing is
 */
public record Feature(
    String id,
    String station,
    String part,
    String label,
    boolean complete,
    boolean markBorne,
    Asked asked,
    Trouble trouble,
    @Nullable Double mistaken,
    @Nullable String group,
    @Nullable OnlyIf onlyIf,
    @Nullable Alike alike,
    List<Clue> clues) {

  /** What it takes to look at something, as a cost beside a glance. */
  public enum Trouble {
    GLANCE(1),
    LOUPE(1.5),
    MEASURE(2),
    OPEN(2),
    BOOK(4);

    private final double cost;

    Trouble(double cost) {
      this.cost = cost;
    }

    /** How many glances it costs. */
    public double cost() {
      return cost;
    }

    @Override
    public String toString() {
      return name().toLowerCase(Locale.ROOT);
    }
  }

  /** There is only something to look at where another feature shows one of these answers. */
  public record OnlyIf(String feature, List<String> values) {
    public OnlyIf {
      values = List.copyOf(values);
    }
  }

  /**
   * What blades of a knife have in common as a rule.
   *
   * @param answers answers that, found on one blade, are usual on the next as well
   * @param ofMain the feature under which the main blade is asked, where it is asked once of the
   *     knife
   */
  public record Alike(List<String> answers, @Nullable String ofMain) {
    public Alike {
      answers = List.copyOf(answers);
    }
  }

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
    this(
        id,
        station,
        part,
        label,
        complete,
        markBorne,
        Asked.ONCE,
        Trouble.GLANCE,
        null,
        null,
        null,
        null,
        clues);
  }

  public Feature {
    asked = asked == null ? Asked.ONCE : asked;
    trouble = trouble == null ? Trouble.GLANCE : trouble;
    clues = List.copyOf(clues);
    if (clues.isEmpty()) {
      throw new IllegalArgumentException("feature " + id + " must have at least one clue; found 0");
    }
    if (alike != null) {
      List<String> ids = clues.stream().map(Clue::id).toList();
      if (asked == Asked.ONCE || !ids.containsAll(alike.answers())) {
        throw new IllegalArgumentException(
            "alike of feature "
                + id
                + " must be answers of a question asked of blades, of "
                + ids
                + "; found "
                + alike.answers());
      }
    }
  }

  /** The clue with this id. */
  public Optional<Clue> clue(String id) {
    return clues.stream().filter(c -> c.id().equals(id)).findFirst();
  }
}
