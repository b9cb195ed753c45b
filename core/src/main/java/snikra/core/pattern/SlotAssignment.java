package snikra.core.pattern;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import snikra.core.pattern.Pattern.Slot;
import snikra.core.pattern.PatternVerdict.Requirement;
import snikra.core.pattern.PatternVerdict.Standing;
import snikra.core.specimen.End;
import snikra.core.specimen.Seen;
import snikra.core.specimen.SeenBlade;
import snikra.core.specimen.Side;

/**
 * The best way to set the blades found into a pattern's slots. Every way is weighed: blades are
 * placed in order, and for each set of slots taken so far only the best way to have taken them is
 * kept, so the answer is the optimum. Blades and slots left over are counted by the caller.
 */
final class SlotAssignment {
  static final int MOST_BLADES = 12;

  private final PatternBook book;
  private final Pattern pattern;
  private final List<SeenBlade> blades;
  private final Tolerance tolerance;
  private final NamingRates rates;
  private final int[] slotOf;
  private final double log;

  SlotAssignment(
      PatternBook book,
      Pattern pattern,
      List<SeenBlade> blades,
      Tolerance tolerance,
      NamingRates rates) {
    this.rates = rates;
    this.book = book;
    this.pattern = pattern;
    this.blades = blades.subList(0, Math.min(blades.size(), MOST_BLADES));
    this.tolerance = tolerance;
    int sets = 1 << pattern.slots().size();
    double[][] best = new double[this.blades.size() + 1][sets];
    int[][] took = new int[this.blades.size()][sets];
    best[0][0] = 1;
    for (int b = 0; b < this.blades.size(); b++) {
      place(b, best[b], best[b + 1], took[b]);
    }
    slotOf = new int[this.blades.size()];
    log = Math.log(trace(best[this.blades.size()], took));
  }

  // Only as many blades stay over as there are more of them than slots.
  private void place(int b, double[] before, double[] after, int[] took) {
    int slots = pattern.slots().size();
    int mayStayOver = blades.size() - slots;
    double[] fit = new double[slots];
    for (int s = 0; s < slots; s++) {
      fit[s] = fit(blades.get(b), pattern.slots().get(s));
    }
    for (int set = 0; set < before.length; set++) {
      if (before[set] > 0) {
        placeBeside(set, before[set], fit, after, took);
        int over = b + 1 - Integer.bitCount(set);
        if (over <= mayStayOver && before[set] > after[set]) {
          after[set] = before[set];
          took[set] = -1;
        }
      }
    }
  }

  private static void placeBeside(
      int set, double before, double[] fit, double[] after, int[] took) {
    for (int s = 0; s < fit.length; s++) {
      int with = set | 1 << s;
      if (with != set && before * fit[s] > after[with]) {
        after[with] = before * fit[s];
        took[with] = s;
      }
    }
  }

  private double trace(double[] last, int[][] took) {
    int set = 0;
    for (int other = 0; other < last.length; other++) {
      set = last[other] > last[set] ? other : set;
    }
    double best = last[set];
    for (int b = slotOf.length - 1; b >= 0; b--) {
      slotOf[b] = took[b][set];
      set = slotOf[b] < 0 ? set : set & ~(1 << slotOf[b]);
    }
    return best;
  }

  private double fit(SeenBlade blade, Slot slot) {
    double type =
        Seen.meanWeight(
            blade.type(),
            rates.seen(),
            t -> slot.types().getOrDefault(t, tolerance.type()),
            t -> rates.bladeMisseen());
    double end =
        Seen.weight(
            blade.end(),
            rates.seen(),
            e -> fit(e, slot),
            e -> fit(e == End.A ? End.B : End.A, slot));
    double side =
        Seen.weight(
            blade.side(),
            rates.seen(),
            s -> s == slot.side() ? 1 : rates.otherSide(),
            s -> rates.otherSide());
    double spring =
        Seen.weight(
            blade.spring(),
            rates.seen(),
            n -> isOn(n, slot) ? 1 : rates.otherSpring(),
            n -> isOn(n, slot) ? 1 : rates.otherSpring());
    return type * end * side * spring * (slot.optional() ? rates.optionalBlade() : 1);
  }

  // Counted from either side: a knife may lie either way up.
  private boolean isOn(int spring, Slot slot) {
    return slot.bearsOn().isEmpty()
        || slot.bearsOn().contains(spring)
        || slot.bearsOn().contains(pattern.lastSpring() + 1 - spring);
  }

  private double fit(End end, Slot slot) {
    return end == slot.end() ? 1 : end == slot.endAlso() ? rates.otherEnd() : tolerance.end();
  }

  /** The log weight of the best way. */
  double log() {
    return log;
  }

  /** What each slot asked and found. */
  List<Requirement> requirements() {
    List<Requirement> asked = new ArrayList<>();
    for (int s = 0; s < pattern.slots().size(); s++) {
      Slot slot = pattern.slots().get(s);
      int blade = bladeIn(s);
      if (blade >= 0) {
        asked.add(requirement(slot, blades.get(blade)));
      } else if (!slot.optional()) {
        asked.add(new Requirement(asks(slot), "none", Standing.MISSED));
      }
    }
    return asked;
  }

  /** How this knife departs from the pattern without leaving it, in words. */
  List<String> departures() {
    List<String> out = new ArrayList<>();
    for (int b = 0; b < slotOf.length; b++) {
      int other = exchangedWith(b);
      if (other > b) {
        out.add(name(b) + " and " + name(other) + " exchanged");
      } else if (slotOf[b] >= 0 && other < 0) {
        replaced(blades.get(b), pattern.slots().get(slotOf[b])).ifPresent(out::add);
      }
    }
    for (int s = 0; s < pattern.slots().size(); s++) {
      if (bladeIn(s) < 0 && !pattern.slots().get(s).optional()) {
        out.add("without the " + usual(pattern.slots().get(s)));
      }
    }
    return out;
  }

  // Two blades that lie on each other's side.
  private int exchangedWith(int b) {
    for (int c = 0; c < slotOf.length; c++) {
      if (c != b && isOnSideOf(b, c) && isOnSideOf(c, b)) {
        return c;
      }
    }
    return -1;
  }

  private boolean isOnSideOf(int b, int c) {
    Side side = Seen.valueOf(blades.get(b).side());
    if (slotOf[b] < 0 || slotOf[c] < 0 || side == null) {
      return false;
    }
    Slot own = pattern.slots().get(slotOf[b]);
    Slot other = pattern.slots().get(slotOf[c]);
    return own.end() == other.end() && own.side() != other.side() && side == other.side();
  }

  private Optional<String> replaced(SeenBlade blade, Slot slot) {
    return Optional.ofNullable(Seen.valueOf(blade.type()))
        .filter(type -> !slot.types().containsKey(type))
        .map(book::bladeWords)
        .map(type -> article(type) + " in place of the " + usual(slot));
  }

  private String name(int b) {
    String type = Seen.valueOf(blades.get(b).type());
    return type == null ? "blade " + (b + 1) : book.bladeWords(type);
  }

  private String usual(Slot slot) {
    return book.bladeWords(usualType(slot));
  }

  static String usualType(Slot slot) {
    return slot.types().entrySet().stream()
        .max(
            Map.Entry.<String, Double>comparingByValue()
                .thenComparing(Map.Entry.comparingByKey(java.util.Comparator.reverseOrder())))
        .map(Map.Entry::getKey)
        .orElseThrow();
  }

  /** A noun with "a" or "an". */
  static String article(String noun) {
    return ("aeiou".indexOf(noun.charAt(0)) >= 0 ? "an " : "a ") + noun;
  }

  private int bladeIn(int slot) {
    for (int b = 0; b < slotOf.length; b++) {
      if (slotOf[b] == slot) {
        return b;
      }
    }
    return -1;
  }

  private Requirement requirement(Slot slot, SeenBlade blade) {
    List<String> found = new ArrayList<>();
    End end = Seen.valueOf(blade.end());
    String type = Seen.valueOf(blade.type());
    boolean missed = end != null && !slot.takes(end);
    if (type != null) {
      missed |= !slot.types().containsKey(type);
      found.add(book.bladeWords(type));
    }
    if (end != null) {
      found.add("at " + end);
    }
    boolean known = end != null && type != null;
    Standing standing = missed ? Standing.MISSED : known ? Standing.MET : Standing.UNKNOWN;
    return new Requirement(asks(slot), found.isEmpty() ? null : String.join(" ", found), standing);
  }

  private String asks(Slot slot) {
    String types =
        slot.types().entrySet().stream()
            .sorted(
                Map.Entry.<String, Double>comparingByValue()
                    .reversed()
                    .thenComparing(Map.Entry.comparingByKey()))
            .limit(2)
            .map(e -> book.bladeWords(e.getKey()))
            .collect(Collectors.joining(" or "));
    String end = slot.endAlso() == null ? " at " + slot.end() : " at either end";
    return types.toLowerCase(Locale.ROOT) + end;
  }
}
