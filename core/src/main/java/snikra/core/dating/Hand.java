package snikra.core.dating;

import static snikra.core.reference.History.Kind.MAKER;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import snikra.core.reference.History;
import snikra.core.reference.Maker;
import snikra.core.reference.MarkVariant;
import snikra.core.reference.ReferenceShelf;

/**
 * One who made knives that bear a name: the house itself, or another under contract.
 *
 * @param label who, null for the house itself
 * @param maker who, null where not on the shelf
 * @param share of what was made under the name, by mark and year
 */
record Hand(@Nullable String label, @Nullable Maker maker, List<double[]> share) {
  private static final String NOT_KNOWN = "makers not known";

  /** All who made for a house. */
  static List<Hand> of(Maker house, ReferenceShelf shelf, YearAxis axis) {
    if (house.history().contracts().isEmpty()) {
      double[] whole = axis.map(year -> 1);
      return List.of(new Hand(null, house, Collections.nCopies(house.marks().size(), whole)));
    }
    Map<String, List<double[]>> shares = new LinkedHashMap<>();
    for (MarkVariant mark : house.marks()) {
      byHand(house, mark, axis)
          .forEach((by, row) -> shares.computeIfAbsent(by, b -> new ArrayList<>()).add(row));
    }
    List<Hand> hands = new ArrayList<>();
    shares.forEach(
        (by, share) ->
            hands.add(
                by.equals(house.name())
                    ? new Hand(null, house, share)
                    : new Hand(by, named(by, shelf), share)));
    return hands;
  }

  /**
   * The shares of each under one mark. Contracts on file that come to more than the whole are
   * brought down to it together; what they leave open a maker made itself, and a house that made
   * nothing had from makers not known.
   */
  private static Map<String, double[]> byHand(Maker house, MarkVariant mark, YearAxis axis) {
    List<History.Contract> all = house.history().contracts();
    boolean isNamed = all.stream().anyMatch(c -> c.marks().contains(mark.id()));
    Map<String, double[]> shares = new LinkedHashMap<>();
    String others = house.history().kind() == MAKER ? house.name() : NOT_KNOWN;
    shares.put(others, new double[axis.size()]);
    all.forEach(c -> shares.putIfAbsent(c.by(), new double[axis.size()]));
    double[] total = new double[axis.size()];
    for (History.Contract contract : all) {
      if (isNamed ? contract.marks().contains(mark.id()) : contract.marks().isEmpty()) {
        double[] row = shares.get(contract.by());
        for (int y = 0; y < row.length; y++) {
          boolean isThen = contract.from() <= axis.year(y) && axis.year(y) <= contract.to();
          row[y] += isThen ? contract.share() * contract.trust() : 0;
          total[y] += isThen ? contract.share() * contract.trust() : 0;
        }
      }
    }
    shares.values().forEach(row -> Arrays.setAll(row, y -> row[y] / Math.max(1, total[y])));
    Arrays.setAll(shares.get(others), y -> shares.get(others)[y] + Math.max(0, 1 - total[y]));
    return shares;
  }

  private static @Nullable Maker named(String name, ReferenceShelf shelf) {
    return shelf.makers().stream().filter(m -> m.name().equals(name)).findFirst().orElse(null);
  }

  /** One who made a knife for a house with which no contract is on file. */
  static Hand withoutContract(Maker maker, Maker house, YearAxis axis) {
    double[] whole = new double[axis.size()];
    Arrays.fill(whole, 1);
    return new Hand(maker.name(), maker, Collections.nCopies(house.marks().size(), whole));
  }

  /** Whether it is the house itself. */
  boolean isItself() {
    return label == null;
  }

  /** Whether it stands for all who are not known, who are many. */
  boolean isAnyone() {
    return NOT_KNOWN.equals(label);
  }

  /** Whose numbers stand on the knives of a house: its own, or those of who made them. */
  Maker numbersOf(Maker house) {
    boolean isItsOwn = house.numbers() != null || !house.history().models().isEmpty();
    return maker == null || isItsOwn ? house : maker;
  }

  /** Whose date codes stand on the knives of a house. */
  Maker codesOf(Maker house) {
    return maker == null || !house.codes().isEmpty() ? house : maker;
  }

  /** Where it was made; a maker not known worked in the country of the house. */
  String regionFor(Maker house) {
    return maker == null ? house.region() : maker.region();
  }
}
