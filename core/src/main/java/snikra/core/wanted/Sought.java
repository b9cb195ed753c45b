package snikra.core.wanted;

import java.util.List;
import org.jspecify.annotations.Nullable;
import snikra.core.sets.SetBoard.Held;
import snikra.core.sets.SetBoard.Stand;

/**
 * What one looks for, as it is told.
 *
 * @param maker by name
 * @param model by number and what it is called
 * @param lines of the mark
 * @param pattern by name
 * @param from first year such a knife may be of; null where it may be of any, or never was
 * @param to its last year
 * @param stand how it stands in the collection
 * @param held knives that are it, or may be, the likeliest first
 * @param neighbours models, or patterns where it is wanted by its pattern, one may take for it, the
 *     most alike first
 */
public record Sought(
    @Nullable String maker,
    @Nullable String model,
    List<String> lines,
    @Nullable String pattern,
    @Nullable Integer from,
    @Nullable Integer to,
    Stand stand,
    List<Held> held,
    List<Neighbour> neighbours) {

  /**
   * A model or a pattern one may take for it.
   *
   * @param tells by which look it is known, the best first
   * @param otherSaid what the pattern book says the other is known by beside this one
   * @param ownSaid what it says this one is known by beside the other
   */
  public record Neighbour(
      String label, List<Tell> tells, @Nullable String otherSaid, @Nullable String ownSaid) {}

  /**
   * A look that parts two models.
   *
   * @param own how the one looked for has it most often
   * @param other how the other has it
   * @param ownMm where it is a length, in millimetres
   * @param otherMm where it is a length, in millimetres
   */
  public record Tell(
      String label, String own, String other, @Nullable Double ownMm, @Nullable Double otherMm) {}
}
