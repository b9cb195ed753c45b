package snikra.core.condition;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import snikra.core.condition.SchoolVerdict.Fault;

/**
 * One thing a school counts: what it may be, how bad that is and how likely. Bad is the place of a
 * level, 0 the best, or points lost.
 *
 * @param found how bad what was found is; null where it was not looked at
 * @param surely how bad what was found surely is; 0 where nothing was
 * @param usual how bad its ordinary fault is; 0 where it was found surely
 * @param part of the knife it takes points from
 */
record Item(
    String of,
    int blade,
    String station,
    String label,
    String part,
    @Nullable Double found,
    double surely,
    double usual,
    boolean isOpen,
    List<Option> options,
    @Nullable Fault fault) {

  /** Which of what was found, or may be, is counted. */
  enum Counted {
    FOUND,
    FOUND_SURELY,
    /** What was found, and the ordinary fault of what is open. */
    ORDINARY
  }

  double counted(Counted which) {
    return switch (which) {
      case FOUND -> found == null ? 0 : found;
      case FOUND_SURELY -> surely;
      case ORDINARY -> Math.max(found == null ? 0 : found, usual);
    };
  }

  /** What it may be. */
  record Option(double bad, double probability) {}

  /**
   * The worst of several that are one loss of steel, so that it is counted once.
   *
   * @param all the first of them is whose part of the knife it is
   */
  static Item worstOf(List<Item> all) {
    Item first = all.get(0);
    List<Option> worst = first.options;
    for (Item next : all.subList(1, all.size())) {
      worst = worst(worst, next.options);
    }
    boolean isFound = all.stream().anyMatch(i -> i.found != null);
    return new Item(
        first.of,
        first.blade,
        first.station,
        first.label,
        first.part,
        isFound ? all.stream().mapToDouble(Item::foundOrNone).max().orElse(0) : null,
        all.stream().mapToDouble(Item::surely).max().orElse(0),
        all.stream().mapToDouble(Item::usual).max().orElse(0),
        all.stream().anyMatch(Item::isOpen),
        worst,
        null);
  }

  double foundOrNone() {
    return found == null ? -1 : found;
  }

  private static List<Option> worst(List<Option> a, List<Option> b) {
    List<Option> both = new ArrayList<>();
    for (Option x : a) {
      for (Option y : b) {
        both.add(new Option(Math.max(x.bad, y.bad), x.probability * y.probability));
      }
    }
    return both;
  }
}
