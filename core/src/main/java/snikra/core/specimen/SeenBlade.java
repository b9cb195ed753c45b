package snikra.core.specimen;

import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import snikra.core.measure.Length;

/**
 * One blade or tool as found; null is not looked at. The first of a knife is its main blade.
 *
 * @param side where it lies among its neighbours
 * @param spring which back spring it works against, counted from the mark side
 * @param length from the tang shoulder to the point
 * @param heights measured along it, for how much is left
 * @param area of its outline, traced on a photograph
 * @param seen by look of the look book, such as its half stop or its etch
 * @param condition by point of condition that is asked of each blade; of the main blade it is kept
 *     with the knife
 */
public record SeenBlade(
    @Nullable Seen<String> type,
    @Nullable Seen<End> end,
    @Nullable Seen<Presses> presses,
    @Nullable Seen<Side> side,
    @Nullable Seen<Integer> spring,
    @Nullable Length length,
    List<BladeHeight> heights,
    @Nullable BladeArea area,
    Map<String, Seen<String>> seen,
    Map<String, Seen<String>> condition) {

  /** How high a blade is, spine to edge, so far from its tang shoulder. */
  public record BladeHeight(Length at, Length height) {}

  /**
   * The area of a blade from its tang shoulder to its point, in square millimetres.
   *
   * @param spread standard deviation of it
   */
  public record BladeArea(double mm2, double spread) {}

  public SeenBlade {
    heights = heights == null ? List.of() : List.copyOf(heights);
    seen = seen == null ? Map.of() : Map.copyOf(seen);
    condition = condition == null ? Map.of() : Map.copyOf(condition);
  }

  /** A blade whose condition nobody looked at. */
  public SeenBlade(
      @Nullable Seen<String> type,
      @Nullable Seen<End> end,
      @Nullable Seen<Presses> presses,
      @Nullable Seen<Side> side,
      @Nullable Seen<Integer> spring,
      @Nullable Length length,
      List<BladeHeight> heights,
      @Nullable BladeArea area,
      Map<String, Seen<String>> seen) {
    this(type, end, presses, side, spring, length, heights, area, seen, Map.of());
  }

  /** A blade of which only this was looked at, and seen surely. */
  public static SeenBlade sure(
      @Nullable String type, @Nullable End end, @Nullable Presses presses, @Nullable Side side) {
    return new SeenBlade(
        sure(type), sure(end), sure(presses), sure(side), null, null, List.of(), null, Map.of());
  }

  private static <T> @Nullable Seen<T> sure(@Nullable T value) {
    return value == null ? null : Seen.sure(value);
  }
}
