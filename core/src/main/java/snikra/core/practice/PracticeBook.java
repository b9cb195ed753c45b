package snikra.core.practice;

import java.util.List;

/**
 * How one practises.
 *
 * @param glances that may be spent on one knife
 * @param ten how many knives a day deals to everyone alike
 * @param leastLooks a knife of one's own with fewer looks is not dealt
 * @param drawn how many knives are drawn at most until one comes of what one gets wrong
 * @param weakest how many makers, and how many decades, a drill is made from
 * @param leastRounds so many rounds of a maker or a decade are needed before it counts as weak
 * @param worthTelling bits from which a look that was left out is told
 * @param listed share of the knives dealt that are of makers on file
 * @param worn share of the letters of a mark that is lost, from and to
 * @param how what may have been done to a knife, the ordinary first
 */
public record PracticeBook(
    Setting glances,
    Setting ten,
    Setting leastLooks,
    Setting drawn,
    Setting weakest,
    Setting leastRounds,
    Setting worthTelling,
    Setting listed,
    List<Setting> worn,
    List<HowMade> how) {

  public PracticeBook {
    worn = List.copyOf(worn);
    how = List.copyOf(how);
  }

  /** A number of judgement with its reason. */
  public record Setting(double value, String why) {
    int whole() {
      return (int) value;
    }
  }

  /**
   * What may have been done to a knife.
   *
   * @param id of the kind of state
   * @param look by what one knows it
   */
  public record HowMade(String id, String label, String look) {}
}
