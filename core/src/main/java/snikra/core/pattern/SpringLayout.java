package snikra.core.pattern;

import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import snikra.core.specimen.End;
import snikra.core.specimen.Presses;
import snikra.core.specimen.Seen;
import snikra.core.specimen.SeenBlade;
import snikra.core.specimen.Specimen;

/**
 * How springs and blades are laid out, and how a knife so laid out acts when nothing is wrong.
 *
 * @param blades what it looks like
 * @param patterns laid out so whatever was counted
 * @param action what must not be taken for a fault
 */
public record SpringLayout(
    String id, String name, Blades blades, List<String> patterns, String explain, String action) {

  /**
   * How many blades on how many springs; what is null may be any.
   *
   * @param springs any of these
   * @param atA blades at the end of the main
   * @param main how many springs the main bears on
   * @param fullLength least number of blades that fill the handle
   */
  public record Blades(
      @Nullable List<Integer> springs,
      @Nullable Integer atA,
      @Nullable Integer atB,
      @Nullable Presses main,
      @Nullable Integer fullLength) {}

  public SpringLayout {
    patterns = patterns == null ? List.of() : List.copyOf(patterns);
  }

  /**
   * Whether this knife is laid out so.
   *
   * @param leading the patterns it surely is of
   * @param full share of the handle from which a blade is of full length
   */
  boolean isOf(Specimen knife, Set<String> leading, double full) {
    if (!patterns.isEmpty() && patterns.stream().anyMatch(leading::contains)) {
      return true;
    }
    // One of which only the springs would count is told by its pattern alone.
    boolean counts =
        blades.atA != null
            || blades.atB != null
            || blades.main != null
            || blades.fullLength != null;
    return (counts || patterns.isEmpty())
        && isSprung(knife)
        && (blades.atA == null || at(End.A, knife) == blades.atA)
        && (blades.atB == null || at(End.B, knife) == blades.atB)
        && (blades.main == null || blades.main == main(knife))
        && (blades.fullLength == null || full(knife, full) >= blades.fullLength);
  }

  private boolean isSprung(Specimen knife) {
    Integer seen = Seen.valueOf(knife.springs());
    return blades.springs == null || (seen != null && blades.springs.contains(seen));
  }

  // -1 where the ends of some are not known.
  private static long at(End end, Specimen knife) {
    if (knife.blades().stream().anyMatch(b -> Seen.valueOf(b.end()) == null)) {
      return -1;
    }
    return knife.blades().stream().filter(b -> Seen.valueOf(b.end()) == end).count();
  }

  private static @Nullable Presses main(Specimen knife) {
    return knife.blades().isEmpty() ? null : Seen.valueOf(knife.blades().get(0).presses());
  }

  private static long full(Specimen knife, double full) {
    return knife.closedLength() == null
        ? 0
        : knife.blades().stream()
            .map(SeenBlade::length)
            .filter(l -> l != null && l.mm() >= full * knife.closedLength().mm())
            .count();
  }
}
