package snikra.core.pattern;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;
import snikra.core.pattern.Pattern.Asked;
import snikra.core.pattern.Pattern.Slot;
import snikra.core.pattern.PatternVerdict.Settle;
import snikra.core.specimen.Presses;
import snikra.core.specimen.Seen;
import snikra.core.specimen.Specimen;

/**
 * The one look, of those not yet taken, that would best tell two patterns apart: that in which what
 * the two would show overlaps least.
 */
final class Settler {
  private final PatternBook book;
  private final Specimen knife;
  private final NamingRates rates;

  Settler(PatternBook book, Specimen knife, NamingRates rates) {
    this.book = book;
    this.knife = knife;
    this.rates = rates;
  }

  private record Candidate(double apart, Settle settle) {}

  Optional<Settle> between(Pattern leader, Pattern rival) {
    List<Candidate> candidates = new ArrayList<>();
    frame(leader, rival).ifPresent(candidates::add);
    blades(leader, rival).ifPresent(candidates::add);
    types(leader, rival, candidates);
    press(leader, rival).ifPresent(candidates::add);
    springs(leader, rival).ifPresent(candidates::add);
    length(leader, rival).ifPresent(candidates::add);
    bolsters(leader, rival).ifPresent(candidates::add);
    asked(leader, rival, candidates);
    return candidates.stream()
        .filter(c -> c.apart >= rates.settles())
        .max(Comparator.comparingDouble(Candidate::apart))
        .map(Candidate::settle);
  }

  private Optional<Candidate> frame(Pattern leader, Pattern rival) {
    if (knife.frame() != null && knife.frame().value() != null) {
      return Optional.empty();
    }
    String look =
        "Choose the outline: "
            + book.frameWords(leader.usualFrame())
            + " or "
            + book.frameWords(rival.usualFrame())
            + ".";
    return candidate(apart(leader.frames(), rival.frames()), "pattern", look);
  }

  private Optional<Candidate> blades(Pattern leader, Pattern rival) {
    if (!knife.blades().isEmpty()) {
      return Optional.empty();
    }
    boolean overlap =
        leader.fewestBlades() <= rival.slots().size()
            && rival.fewestBlades() <= leader.slots().size();
    return candidate(overlap ? 0.35 : 1, "blades", "Count the blades, and see where each pivots.");
  }

  private void types(Pattern leader, Pattern rival, List<Candidate> out) {
    int shared = Math.min(leader.slots().size(), rival.slots().size());
    for (int b = 0; b < Math.min(shared, knife.blades().size()); b++) {
      Slot a = leader.slots().get(b);
      Slot c = rival.slots().get(b);
      if (knife.blades().get(b).type() == null) {
        String look =
            "Name blade "
                + (b + 1)
                + ": a "
                + book.bladeWords(SlotAssignment.usualType(a))
                + " or a "
                + book.bladeWords(SlotAssignment.usualType(c))
                + ".";
        candidate(apart(a.types(), c.types()), "blades", look).ifPresent(out::add);
      }
      if (knife.blades().get(b).end() == null && a.end() != c.end()) {
        candidate(1, "blades", "See which end blade " + (b + 1) + " pivots at.")
            .ifPresent(out::add);
      }
    }
  }

  private Optional<Candidate> press(Pattern leader, Pattern rival) {
    boolean asked = leader.isDecidedByPress() && rival.isDecidedByPress();
    boolean differ = both(leader) != both(rival);
    boolean known = !knife.blades().isEmpty() && knife.blades().get(0).presses() != null;
    return asked && differ && !known
        ? candidate(1, "blades", "See from the back whether the main bears on one spring or both.")
        : Optional.empty();
  }

  private static boolean both(Pattern p) {
    return p.slots().get(0).presses() == Presses.BOTH;
  }

  private Optional<Candidate> springs(Pattern leader, Pattern rival) {
    return knife.springs() != null
        ? Optional.empty()
        : candidate(
            apart(usual(leader.springs()), usual(rival.springs())),
            "pattern",
            "Count the springs at the back.");
  }

  private Optional<Candidate> length(Pattern leader, Pattern rival) {
    if (knife.closedLength() != null) {
      return Optional.empty();
    }
    Pattern.Range a = leader.closedLengthMm();
    Pattern.Range b = rival.closedLengthMm();
    double shared = Math.max(0, Math.min(a.max(), b.max()) - Math.max(a.min(), b.min()));
    double whole = Math.max(a.max(), b.max()) - Math.min(a.min(), b.min());
    double between = (a.typical() + b.typical()) / 2;
    String look =
        String.format(
            Locale.ROOT,
            "Measure it closed: %s than about %.0f mm speaks for this.",
            b.typical() > a.typical() ? "more" : "less",
            between);
    return candidate(1 - shared / whole, "pattern", look);
  }

  private Optional<Candidate> bolsters(Pattern leader, Pattern rival) {
    if (knife.bolsters() != null && knife.bolsters().value() != null) {
      return Optional.empty();
    }
    String look =
        "Look at the bolsters: "
            + book.bolsterWords(leader.bolsters().get(0))
            + " or "
            + book.bolsterWords(rival.bolsters().get(0))
            + ".";
    return candidate(apart(usual(leader.bolsters()), usual(rival.bolsters())), "pattern", look);
  }

  // What only one of the two asks for says nothing of how the other would look.
  private void asked(Pattern leader, Pattern rival, List<Candidate> out) {
    List<Asked> both = new ArrayList<>(book.asks(leader));
    both.addAll(book.asks(rival));
    for (Asked one : both) {
      Map<String, Double> a = answers(leader, one.feature());
      Map<String, Double> b = answers(rival, one.feature());
      if (Seen.valueOf(knife.seen().get(one.feature())) == null && a != null && b != null) {
        candidate(apart(a, b), one.station(), one.look()).ifPresent(out::add);
      }
    }
  }

  private @Nullable Map<String, Double> answers(Pattern of, String feature) {
    return book.asks(of).stream()
        .filter(asked -> asked.feature().equals(feature))
        .map(Asked::answers)
        .findFirst()
        .orElse(null);
  }

  private static Optional<Candidate> candidate(double apart, String station, String look) {
    return Optional.of(new Candidate(apart, new Settle(station, look)));
  }

  private <T> Map<T, Double> usual(List<T> values) {
    Map<T, Double> weights = new HashMap<>();
    for (int i = 0; i < values.size(); i++) {
      weights.put(values.get(i), i == 0 ? 1 : rates.lessUsual());
    }
    return weights;
  }

  // 1 less the overlap of the two as shares.
  private static <T extends Comparable<T>> double apart(Map<T, Double> a, Map<T, Double> b) {
    double sumA = a.values().stream().mapToDouble(v -> v).sum();
    double sumB = b.values().stream().mapToDouble(v -> v).sum();
    Set<T> all = new TreeSet<>(a.keySet());
    double overlap = 0;
    for (T value : all) {
      overlap += Math.min(a.get(value) / sumA, b.getOrDefault(value, 0.0) / sumB);
    }
    return 1 - overlap;
  }
}
