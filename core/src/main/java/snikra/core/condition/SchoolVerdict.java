package snikra.core.condition;

import java.util.List;
import org.jspecify.annotations.Nullable;
import snikra.core.specimen.Sureness;

/**
 * What a school makes of a knife.
 *
 * @param best by what was found; null when nothing was looked at
 * @param atLeast if every point not looked at, or not surely, had its ordinary fault
 * @param atBest if the faults not seen surely were not there
 * @param likely the likeliest, from what such knives usually have where nobody looked
 * @param chances of every level, best first
 * @param reasons worst first
 * @param narrows looks that would tell most of what is open, the first most
 * @param open how many points were not looked at
 */
public record SchoolVerdict(
    String id,
    School.Kind kind,
    String label,
    String about,
    @Nullable Stand best,
    @Nullable Stand atLeast,
    @Nullable Stand atBest,
    @Nullable Stand likely,
    List<Chance> chances,
    List<Fault> reasons,
    List<Narrowing> narrows,
    int open) {

  /**
   * Where a knife stands.
   *
   * @param points of a hundred, where the school counts them
   */
  public record Stand(String id, String label, @Nullable Double points) {}

  /** How likely a level is. */
  public record Chance(String id, String label, double probability) {}

  /**
   * A fault that counts.
   *
   * @param of point of condition, or alteration
   * @param blade counted from 1; 0 where it is of the whole knife
   * @param probability that it is there
   * @param allows the best level it lets pass, by the worst fault
   * @param loses points it takes
   * @param counts false where a worse fault is the same loss, and is counted for both
   */
  public record Fault(
      String of,
      int blade,
      String label,
      String found,
      Sureness sureness,
      double probability,
      School.@Nullable Level allows,
      @Nullable Double loses,
      boolean counts,
      String part,
      String why) {
    Fault counted(boolean is) {
      return new Fault(
          of, blade, label, found, sureness, probability, allows, loses, is, part, why);
    }
  }

  /**
   * A look that was not taken, or not surely.
   *
   * @param gain how much of what is open it would settle, on average, from 0 to 1
   */
  public record Narrowing(String of, int blade, String station, String label, double gain) {}
}
