package snikra.core.pattern;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import snikra.core.pattern.Pattern.Slot;
import snikra.core.pattern.PatternVerdict.Requirement;
import snikra.core.pattern.PatternVerdict.Standing;
import snikra.core.specimen.SeenBlade;

/**
 * The best way to set the blades found into a pattern's slots, by trying every way: with at most
 * {@value #MOST_BLADES} blades there are few enough. What is over on either side is counted by the
 * caller.
 */
final class SlotAssignment {
  static final double WRONG_PRESS = 0.02;
  private static final int MOST_BLADES = 6;
  private static final double WRONG_END = 0.02;
  private static final double WRONG_TYPE = 0.03;

  private final PatternBook book;
  private final Pattern pattern;
  private final List<SeenBlade> blades;
  private int[] best = {};
  private double bestLog = Double.NEGATIVE_INFINITY;

  SlotAssignment(PatternBook book, Pattern pattern, List<SeenBlade> blades) {
    this.book = book;
    this.pattern = pattern;
    this.blades = blades.subList(0, Math.min(blades.size(), MOST_BLADES));
    int[] slots = new int[this.blades.size()];
    Arrays.fill(slots, -1);
    place(0, slots, new boolean[pattern.slots().size()], 0, 0);
  }

  // Slots left over because there are more blades than slots cost nothing here.
  private void place(int blade, int[] slots, boolean[] taken, double log, int spare) {
    if (blade == blades.size()) {
      if (log > bestLog) {
        bestLog = log;
        best = slots.clone();
      }
      return;
    }
    for (int s = 0; s < taken.length; s++) {
      if (!taken[s]) {
        taken[s] = true;
        slots[blade] = s;
        double fit = fit(blades.get(blade), pattern.slots().get(s));
        place(blade + 1, slots, taken, log + fit, spare);
        taken[s] = false;
      }
    }
    slots[blade] = -1;
    if (spare < blades.size() - taken.length) {
      place(blade + 1, slots, taken, log, spare + 1);
    }
  }

  private static double fit(SeenBlade blade, Slot slot) {
    double type = blade.type() == null ? 1 : slot.types().getOrDefault(blade.type(), WRONG_TYPE);
    double end = blade.end() == null || blade.end() == slot.end() ? 1 : WRONG_END;
    double optional = slot.optional() ? 0.9 : 1;
    return Math.log(type * end * optional);
  }

  /** The log weight of the best way, with what each slot asked and found. */
  double score(List<Requirement> asked) {
    for (int s = 0; s < pattern.slots().size(); s++) {
      Slot slot = pattern.slots().get(s);
      int blade = bladeIn(s);
      if (blade >= 0) {
        asked.add(requirement(slot, blades.get(blade)));
      } else if (!slot.optional()) {
        asked.add(new Requirement(asks(slot), "none", Standing.MISSED));
      }
    }
    return bestLog;
  }

  private int bladeIn(int slot) {
    for (int b = 0; b < best.length; b++) {
      if (best[b] == slot) {
        return b;
      }
    }
    return -1;
  }

  private Requirement requirement(Slot slot, SeenBlade blade) {
    List<String> found = new ArrayList<>();
    boolean missed = blade.end() != null && blade.end() != slot.end();
    if (blade.type() != null) {
      missed |= !slot.types().containsKey(blade.type());
      found.add(typeName(blade.type()));
    }
    if (blade.end() != null) {
      found.add("at " + blade.end());
    }
    boolean known = blade.end() != null && blade.type() != null;
    Standing standing = missed ? Standing.MISSED : known ? Standing.MET : Standing.UNKNOWN;
    return new Requirement(asks(slot), found.isEmpty() ? null : String.join(" ", found), standing);
  }

  private String asks(Slot slot) {
    String types =
        slot.types().entrySet().stream()
            .sorted(Map.Entry.<String, Double>comparingByValue().reversed())
            .limit(2)
            .map(e -> typeName(e.getKey()))
            .collect(Collectors.joining(" or "));
    return types + " at " + slot.end();
  }

  private String typeName(String id) {
    return book.blade(id)
        .map(b -> b.name().toLowerCase(Locale.ROOT).replace(" blade", ""))
        .orElse(id);
  }
}
