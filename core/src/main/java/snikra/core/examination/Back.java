package snikra.core.examination;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import snikra.core.specimen.End;
import snikra.core.specimen.Presses;
import snikra.core.specimen.Seen;
import snikra.core.specimen.SeenBlade;
import snikra.core.specimen.Side;
import snikra.core.specimen.Specimen;

/**
 * A knife from its back, as far as it was looked at: its springs, what stands between them, and
 * which of them each blade works against. The layout of springs decides many a name.
 *
 * @param springs how many are drawn: those counted, else as many as the blades need
 * @param counted whether anyone counted them
 * @param divider what stands between them, null where not looked at
 * @param tangs of the blades, in their order
 */
public record Back(int springs, boolean counted, @Nullable String divider, List<Tang> tangs) {

  /**
   * The tang of one blade.
   *
   * @param against the springs it works against, counted from the mark side
   * @param seen whether that was looked at or can only be so; else it is drawn as it may be
   */
  public record Tang(End end, List<Integer> against, boolean seen) {}

  static Back of(Specimen knife) {
    Integer counted = Seen.valueOf(knife.springs());
    int springs = counted != null ? counted : needed(knife.blades());
    Map<End, Integer> before = new EnumMap<>(End.class);
    List<Tang> tangs = new ArrayList<>();
    for (SeenBlade blade : knife.blades()) {
      End seen = Seen.valueOf(blade.end());
      End end = seen == null ? End.A : seen;
      tangs.add(tang(blade, end, before.merge(end, 1, Integer::sum), springs, counted != null));
    }
    return new Back(
        springs, counted != null, Seen.valueOf(knife.seen().get("divider")), List.copyOf(tangs));
  }

  private static int needed(List<SeenBlade> blades) {
    int springs = 1;
    for (SeenBlade blade : blades) {
      Integer own = Seen.valueOf(blade.spring());
      springs = Math.max(springs, own == null ? 1 : own);
      springs = Math.max(springs, Seen.valueOf(blade.presses()) == Presses.BOTH ? 2 : 1);
    }
    return springs;
  }

  // Where nobody looked, blades of one end lie side by side, each against a spring of its own.
  private static Tang tang(SeenBlade blade, End end, int place, int springs, boolean counted) {
    if (springs == 0) {
      return new Tang(end, List.of(), true);
    }
    Integer own = Seen.valueOf(blade.spring());
    boolean both = Seen.valueOf(blade.presses()) == Presses.BOTH && springs > 1;
    if (own != null || both || springs == 1) {
      int first = Math.min(own == null ? 1 : own, springs - (both ? 1 : 0));
      boolean isSo = own != null || both || counted;
      return new Tang(end, both ? List.of(first, first + 1) : List.of(first), isSo);
    }
    Side side = Seen.valueOf(blade.side());
    int likely =
        side == Side.MARK
            ? 1
            : side == Side.PILE
                ? springs
                : side == Side.CENTRE ? (springs + 1) / 2 : Math.min(place, springs);
    return new Tang(end, List.of(likely), false);
  }
}
