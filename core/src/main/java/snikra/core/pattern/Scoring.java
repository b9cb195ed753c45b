package snikra.core.pattern;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import snikra.core.pattern.Pattern.Asked;
import snikra.core.pattern.Pattern.Mechanism;
import snikra.core.pattern.PatternVerdict.Requirement;
import snikra.core.pattern.PatternVerdict.Standing;
import snikra.core.specimen.Presses;
import snikra.core.specimen.Seen;
import snikra.core.specimen.SeenBlade;
import snikra.core.specimen.Specimen;

/** How well one knife fits one pattern by one school, and what was asked and found. */
final class Scoring {
  private static final String BOLSTERS = "bolsters";

  private final PatternBook book;
  private final Pattern pattern;
  private final Specimen knife;
  private final Tolerance tolerance;
  private final NamingRates rates;
  private final List<Mechanism> mechanisms;
  private final Pulls pulls;
  private final @Nullable SlotAssignment assignment;
  private final double log;

  /**
   * One pattern and one knife.
   *
   * @param mechanisms what some patterns are known by and this knife shows
   * @param pulls by pattern
   */
  Scoring(
      PatternBook book,
      Pattern pattern,
      Specimen knife,
      Tolerance tolerance,
      NamingRates rates,
      List<Mechanism> mechanisms,
      Pulls pulls) {
    this.rates = rates;
    this.pulls = pulls;
    this.mechanisms = mechanisms;
    this.book = book;
    this.pattern = pattern;
    this.knife = knife;
    this.tolerance = tolerance;
    this.assignment =
        knife.blades().isEmpty()
            ? null
            : new SlotAssignment(book, pattern, knife.blades(), tolerance, rates);
    double blades = assignment == null ? 0 : assignment.log() + count();
    double role =
        Math.log(pattern.role() == Pattern.Role.FALLBACK ? rates.fallback() : pattern.weight());
    this.log =
        role
            + blades
            + frame()
            + press()
            + springs()
            + length()
            + bolsters()
            + pulls()
            + asked()
            + mechanism();
  }

  Pattern pattern() {
    return pattern;
  }

  double log() {
    return log;
  }

  private double count() {
    int blades = knife.blades().size();
    int over = Math.max(0, blades - pattern.slots().size());
    int missing = Math.max(0, pattern.fewestBlades() - blades);
    return over * Math.log(tolerance.over()) + missing * Math.log(tolerance.missing());
  }

  private double frame() {
    return Math.log(
        Seen.meanWeight(
            knife.frame(),
            rates.seen(),
            f -> pattern.frames().getOrDefault(f, tolerance.frame()),
            f -> rates.frameMisseen()));
  }

  private double press() {
    if (!pattern.isDecidedByPress() || knife.blades().size() < 3) {
      return 0;
    }
    return Math.log(
        Seen.weight(
            knife.blades().get(0).presses(),
            rates.seen(),
            p -> (p == Presses.BOTH) == asksBoth() ? 1 : tolerance.press(),
            p -> (p == Presses.ONE) == asksBoth() ? 1 : tolerance.press()));
  }

  private boolean asksBoth() {
    return pattern.slots().get(0).presses() == Presses.BOTH;
  }

  private double springs() {
    return Math.log(
        Seen.weight(
            knife.springs(),
            rates.seen(),
            n -> pattern.springs().contains(n) ? 1 : tolerance.springs(),
            n -> 1));
  }

  private double length() {
    if (knife.closedLength() == null) {
      return 0;
    }
    Pattern.Range range = pattern.closedLengthMm();
    double mm = knife.closedLength().mm();
    double over = beyond(mm, range) - rates.measuringErrorMm();
    if (over > 0) {
      return Math.log(
          Math.max(tolerance.length(), Math.exp(-Math.pow(over / rates.lengthScaleMm(), 2))));
    }
    double half =
        mm < range.typical() ? range.typical() - range.min() : range.max() - range.typical();
    double off = Math.min(1, Math.abs(mm - range.typical()) / Math.max(1, half));
    return off * off * Math.log(rates.endOfRange());
  }

  private static double beyond(double mm, Pattern.Range range) {
    return Math.max(range.min() - mm, mm - range.max());
  }

  private double bolsters() {
    return Math.log(
        Seen.meanWeight(
            knife.bolsters(), rates.seen(), this::bolsters, b -> isKnownWith(b) ? bolsters(b) : 1));
  }

  // Those it is known with count in full, however surely they were seen.
  private double bolsters(String seen) {
    if (!isKnownWith(seen)) {
      return tolerance.bolsters();
    }
    return pattern.bolsters().get(0).equals(seen) ? 1 : rates.lessUsualBolsters();
  }

  private boolean isKnownWith(String bolsters) {
    return pattern.bolsters().contains(bolsters);
  }

  // What few knives show counts for the pattern that is known by it, and against all others.
  private double mechanism() {
    double log = 0;
    for (Mechanism of : mechanisms) {
      log += of.equals(pattern.mechanism()) || isItsOwn(of) ? 0 : Math.log(of.atLarge());
    }
    Mechanism own = pattern.mechanism();
    if (own != null && !mechanisms.contains(own)) {
      boolean looked = own.shows().keySet().stream().anyMatch(f -> seen(knife, f) != null);
      log += Math.log(looked ? own.atLarge() * tolerance.frame() : own.atLarge());
    }
    return log;
  }

  // Covers of metal make no utility knife of a pattern that has them itself.
  private boolean isItsOwn(Mechanism of) {
    String seen = seen(knife, BOLSTERS);
    return seen != null
        && of.shows().getOrDefault(BOLSTERS, List.of()).contains(seen)
        && pattern.bolsters().contains(seen);
  }

  // A pull that the pattern is not known with.
  private double pulls() {
    double log = 0;
    for (Map.Entry<String, Set<String>> asked : pulls.any().entrySet()) {
      Set<String> own = pulls.of(pattern, asked.getKey());
      log +=
          Math.log(
              Seen.meanWeight(
                  knife.seen().get(asked.getKey()),
                  rates.seen(),
                  a -> asked.getValue().contains(a) && !own.contains(a) ? rates.otherPull() : 1,
                  a -> 1));
    }
    return log;
  }

  // Covers, steel and dividers, where a name asks for them.
  private double asked() {
    double log = asked(book.divider(pattern));
    for (Asked asked : pattern.asks()) {
      log += asked(asked);
    }
    return log;
  }

  private double asked(Asked asked) {
    return Math.log(
        Seen.meanWeight(
            knife.seen().get(asked.feature()),
            rates.seen(),
            a -> asked.answers().getOrDefault(a, tolerance.asked()),
            a -> 1));
  }

  static boolean isShown(Mechanism of, Specimen knife) {
    return of.shows().entrySet().stream()
        .anyMatch(e -> e.getValue().contains("" + seen(knife, e.getKey())));
  }

  private static @Nullable String seen(Specimen knife, String feature) {
    return BOLSTERS.equals(feature)
        ? Seen.valueOf(knife.bolsters())
        : Seen.valueOf(knife.seen().get(feature));
  }

  /** What the pattern asks and what was found; unknowns are listed and never counted as missed. */
  List<Requirement> requirements() {
    List<Requirement> asked = new ArrayList<>();
    asked.add(askFrame());
    if (assignment == null) {
      asked.add(new Requirement(bladesAsked(), null, Standing.UNKNOWN));
    } else {
      asked.addAll(assignment.requirements());
      int blades = knife.blades().size();
      boolean met = blades >= pattern.fewestBlades() && blades <= pattern.slots().size();
      asked.add(requirement(bladesAsked(), Words.number(blades), met));
    }
    if (pattern.isDecidedByPress() && knife.blades().size() >= 3) {
      asked.add(askPress());
    }
    Integer springs = Seen.valueOf(knife.springs());
    if (springs != null) {
      boolean met = pattern.springs().contains(springs);
      asked.add(requirement(springsAsked(), Words.number(springs), met));
    }
    asked.add(askLength());
    Seen<String> bolsters = knife.bolsters();
    if (bolsters != null && bolsters.value() != null) {
      asked.add(
          requirement(
              book.bolsterWords(pattern.bolsters().get(0)),
              book.bolsterWords(bolsters.value()),
              pattern.bolsters().contains(bolsters.value())));
    }
    for (Asked one : book.asks(pattern)) {
      String answer = Seen.valueOf(knife.seen().get(one.feature()));
      if (one.words() != null && answer != null) {
        boolean met = one.answers().containsKey(answer);
        asked.add(requirement(one.words(), met ? one.words() : one.told(answer), met));
      }
    }
    return asked;
  }

  private static Requirement requirement(String asks, String found, boolean met) {
    return new Requirement(asks, found, met ? Standing.MET : Standing.MISSED);
  }

  private Requirement askFrame() {
    String asks = book.frameWords(pattern.usualFrame());
    Seen<String> seen = knife.frame();
    return seen == null || seen.value() == null
        ? new Requirement(asks, null, Standing.UNKNOWN)
        : requirement(
            asks, book.frameWords(seen.value()), pattern.frames().containsKey(seen.value()));
  }

  private Requirement askPress() {
    Presses found = Seen.valueOf(knife.blades().get(0).presses());
    String asks = Words.press(asksBoth());
    return found == null
        ? new Requirement(asks, null, Standing.UNKNOWN)
        : requirement(
            asks, Words.press(found == Presses.BOTH), (found == Presses.BOTH) == asksBoth());
  }

  private Requirement askLength() {
    String asks = "closed length in its size";
    if (knife.closedLength() == null) {
      return new Requirement(asks, null, Standing.UNKNOWN);
    }
    double mm = knife.closedLength().mm();
    boolean met = beyond(mm, pattern.closedLengthMm()) <= rates.measuringErrorMm();
    String found =
        met ? "in its size" : mm > pattern.closedLengthMm().max() ? "too long" : "too short";
    return requirement(asks, found, met);
  }

  private String bladesAsked() {
    int fewest = pattern.fewestBlades();
    int most = pattern.slots().size();
    String count =
        fewest == most ? Words.number(most) : Words.number(fewest) + " to " + Words.number(most);
    return count + (most == 1 ? " blade" : " blades");
  }

  private String springsAsked() {
    String counts =
        pattern.springs().stream().sorted().map(Words::number).collect(Collectors.joining(" or "));
    return counts + (pattern.springs().equals(List.of(1)) ? " spring" : " springs");
  }

  /** How this knife departs from the pattern without leaving it. */
  List<String> departures() {
    List<String> out = new ArrayList<>();
    if (assignment != null) {
      out.addAll(assignment.departures());
    }
    Integer springs = Seen.valueOf(knife.springs());
    if (springs != null && !pattern.springs().contains(springs)) {
      out.add("on " + Words.number(springs) + (springs == 1 ? " spring" : " springs"));
    }
    for (Asked one : book.asks(pattern)) {
      String answer = Seen.valueOf(knife.seen().get(one.feature()));
      if (answer != null && !one.answers().containsKey(answer)) {
        out.add(one.told(answer));
      }
    }
    return out;
  }

  /** How many things that tell patterns apart were seen. */
  static int known(Specimen knife, List<Mechanism> mechanisms) {
    int known = mechanisms.size();
    known += Seen.valueOf(knife.frame()) != null ? 1 : 0;
    known += knife.closedLength() != null ? 1 : 0;
    for (SeenBlade b : knife.blades()) {
      known += (Seen.valueOf(b.type()) != null ? 1 : 0) + (Seen.valueOf(b.end()) != null ? 1 : 0);
    }
    return known;
  }
}
