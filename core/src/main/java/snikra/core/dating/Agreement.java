package snikra.core.dating;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import snikra.core.dating.Conflicts.Curve;
import snikra.core.dating.DatingVerdict.ClueInfluence;

/** Clues whose years, each alone, are much the same. */
final class Agreement {
  private Agreement() {}

  /**
   * The clues by what they say; each agrees with every other of its group.
   *
   * @param clues most influential first; a group forms around the first that is in none yet
   * @param curves the years of each alone; those without years stand by themselves
   * @param atLarge the years of knives at large
   */
  static List<List<ClueInfluence>> among(
      List<ClueInfluence> clues, List<Curve> curves, double[] atLarge, Limits limits) {
    Map<String, double[]> years =
        curves.stream()
            .filter(c -> Distribution.overlap(c.years(), atLarge) < limits.sayingLittle())
            .collect(Collectors.toMap(Curve::feature, Curve::years));
    List<List<ClueInfluence>> groups = new ArrayList<>();
    for (ClueInfluence clue : clues) {
      groups.stream()
          .filter(group -> group.stream().allMatch(other -> agree(clue, other, years, limits)))
          .findFirst()
          .orElseGet(
              () -> {
                groups.add(new ArrayList<>());
                return groups.get(groups.size() - 1);
              })
          .add(clue);
    }
    return groups;
  }

  private static boolean agree(
      ClueInfluence a, ClueInfluence b, Map<String, double[]> years, Limits limits) {
    double[] ofA = years.get(a.feature());
    double[] ofB = years.get(b.feature());
    return ofA != null && ofB != null && Distribution.overlap(ofA, ofB) >= limits.agreeing();
  }
}
