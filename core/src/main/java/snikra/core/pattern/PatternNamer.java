package snikra.core.pattern;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import snikra.core.pattern.PatternVerdict.Name;
import snikra.core.pattern.PatternVerdict.Requirement;
import snikra.core.pattern.PatternVerdict.Standing;
import snikra.core.specimen.Presses;
import snikra.core.specimen.Seen;
import snikra.core.specimen.SeenBlade;
import snikra.core.specimen.Specimen;

/** Names knives from a pattern book. Immutable. */
public final class PatternNamer {
  private static final int NAMES = 5;
  private static final int LOOKALIKES = 1;
  private static final double SHOWN_FROM = 0.02;
  private static final double LEADS_FROM = 0.5;
  private static final double FALLBACK = 0.5;

  private static final double FRAME_NOT_USED = 0.02;
  private static final double FRAME_MISSEEN = 0.1;
  private static final double BLADE_TOO_MANY = 0.02;
  private static final double BLADE_MISSING = 0.03;
  private static final double BOLSTER_NOT_USED = 0.08;
  private static final double SPRINGS_DIFFER = 0.3;
  private static final double TOO_LONG_OR_SHORT = 0.03;
  private static final double MEASURING_ERROR_MM = 2;
  private static final double LENGTH_SCALE_MM = 3;
  private static final double UNNAMED_BY_CHANCE = 0.25;

  private final PatternBook book;

  /** A namer for this book. */
  public PatternNamer(PatternBook book) {
    this.book = book;
  }

  private record Scored(Pattern pattern, double log, List<Requirement> requirements) {}

  /** The names this knife may bear. Unknowns are listed and never counted as missed. */
  public PatternVerdict name(Specimen knife) {
    List<Scored> scored = new ArrayList<>();
    for (Pattern p : book.patterns()) {
      scored.add(score(p, knife));
    }
    double unnamed = known(knife) * Math.log(UNNAMED_BY_CHANCE);
    double top = scored.stream().mapToDouble(Scored::log).max().orElse(unnamed);
    double shift = Math.max(top, unnamed);
    double sum =
        Math.exp(unnamed - shift) + scored.stream().mapToDouble(s -> Math.exp(s.log - shift)).sum();
    scored.sort(
        Comparator.comparingDouble((Scored s) -> -s.log).thenComparing(s -> s.pattern.id()));
    Scored leader = scored.get(0);
    List<Name> names =
        known(knife) == 0
            ? List.of()
            : Stream.concat(
                    scored.stream()
                        .limit(NAMES)
                        .filter(s -> Math.exp(s.log - shift) / sum >= SHOWN_FROM),
                    scored.stream().filter(s -> looksLike(s, leader)).limit(LOOKALIKES))
                .distinct()
                .map(s -> named(s, leader, Math.exp(s.log - shift) / sum))
                .toList();
    double lead = Math.exp(leader.log - shift) / sum;
    String title = lead >= LEADS_FROM ? leader.pattern.name() : describe(knife);
    return new PatternVerdict(title, names, Math.exp(unnamed - shift) / sum);
  }

  // What is commonly taken for the leader is worth the sentence that says why it is not.
  private static boolean looksLike(Scored s, Scored leader) {
    return leader.pattern.tellApart().containsKey(s.pattern.id());
  }

  private static int known(Specimen knife) {
    int known = knife.frame() != null && knife.frame().value() != null ? 1 : 0;
    known += knife.closedLength() != null ? 1 : 0;
    for (SeenBlade b : knife.blades()) {
      known += (b.type() != null ? 1 : 0) + (b.end() != null ? 1 : 0);
    }
    return known;
  }

  private Scored score(Pattern p, Specimen knife) {
    List<Requirement> asked = new ArrayList<>();
    double log = p.fallback() ? Math.log(FALLBACK) : 0;
    log += frame(p, knife.frame(), asked);
    if (!knife.blades().isEmpty()) {
      log += new SlotAssignment(book, p, knife.blades()).score(asked);
      log += count(p, knife.blades().size(), asked);
    } else {
      asked.add(new Requirement(blades(p), null, Standing.UNKNOWN));
    }
    log += press(p, knife, asked);
    log += springs(p, knife.springs(), asked);
    log += length(p, knife, asked);
    log += bolsters(p, knife.bolsters(), asked);
    return new Scored(p, log, List.copyOf(asked));
  }

  private double frame(Pattern p, Seen seen, List<Requirement> asked) {
    String usual =
        p.frames().entrySet().stream()
            .max(Comparator.comparingDouble(java.util.Map.Entry::getValue))
            .map(e -> frameName(e.getKey()))
            .orElse("any");
    String asks = usual.toLowerCase(Locale.ROOT) + " frame";
    if (seen == null || seen.value() == null) {
      asked.add(new Requirement(asks, null, Standing.UNKNOWN));
      return 0;
    }
    Double weight = p.frames().get(seen.value());
    asked.add(
        new Requirement(
            asks,
            frameName(seen.value()).toLowerCase(Locale.ROOT),
            weight == null ? Standing.MISSED : Standing.MET));
    double q = seen.sureness().reliability();
    return Math.log(q * (weight == null ? FRAME_NOT_USED : weight) + (1 - q) * FRAME_MISSEEN);
  }

  private String frameName(String id) {
    return book.frame(id).map(Frame::name).orElse(id);
  }

  private static double count(Pattern p, int blades, List<Requirement> asked) {
    boolean met = blades >= p.fewestBlades() && blades <= p.slots().size();
    asked.add(new Requirement(blades(p), number(blades), met ? Standing.MET : Standing.MISSED));
    int more = Math.max(0, blades - p.slots().size());
    int fewer = Math.max(0, p.fewestBlades() - blades);
    return more * Math.log(BLADE_TOO_MANY) + fewer * Math.log(BLADE_MISSING);
  }

  private static String blades(Pattern p) {
    int fewest = p.fewestBlades();
    int most = p.slots().size();
    String count = fewest == most ? number(most) : number(fewest) + " to " + number(most);
    return count + (most == 1 ? " blade" : " blades");
  }

  /** A small number in words. */
  static String number(int n) {
    String[] words = {"no", "one", "two", "three", "four", "five", "six"};
    return n >= 0 && n < words.length ? words[n] : Integer.toString(n);
  }

  private static double press(Pattern p, Specimen knife, List<Requirement> asked) {
    if (!p.isDecidedByPress() || knife.blades().size() < 3) {
      return 0;
    }
    boolean both = p.slots().get(0).presses() == Presses.BOTH;
    String asks = both ? "main bears on both springs" : "main bears on one spring only";
    Presses found = knife.blades().get(0).presses();
    if (found == null) {
      asked.add(new Requirement(asks, null, Standing.UNKNOWN));
      return 0;
    }
    boolean met = (found == Presses.BOTH) == both;
    String words =
        found == Presses.BOTH ? "main bears on both springs" : "main bears on one spring only";
    asked.add(new Requirement(asks, words, met ? Standing.MET : Standing.MISSED));
    return met ? 0 : Math.log(SlotAssignment.WRONG_PRESS);
  }

  private static double springs(Pattern p, Integer seen, List<Requirement> asked) {
    if (seen == null) {
      return 0;
    }
    boolean met = p.springs().contains(seen);
    String asks =
        p.springs().stream().sorted().map(PatternNamer::number).collect(Collectors.joining(" or "));
    asked.add(
        new Requirement(
            asks + (p.springs().equals(List.of(1)) ? " spring" : " springs"),
            number(seen),
            met ? Standing.MET : Standing.MISSED));
    return met ? 0 : Math.log(SPRINGS_DIFFER);
  }

  private static double length(Pattern p, Specimen knife, List<Requirement> asked) {
    if (knife.closedLength() == null) {
      asked.add(new Requirement("closed length in its size", null, Standing.UNKNOWN));
      return 0;
    }
    double mm = knife.closedLength().mm();
    Pattern.Range range = p.closedLengthMm();
    double over = Math.max(range.min() - mm, mm - range.max()) - MEASURING_ERROR_MM;
    String found = over <= 0 ? "in its size" : mm > range.max() ? "too long" : "too short";
    asked.add(
        new Requirement(
            "closed length in its size", found, over <= 0 ? Standing.MET : Standing.MISSED));
    double fit = Math.exp(-Math.pow(Math.max(0, over) / LENGTH_SCALE_MM, 2));
    return Math.log(Math.max(TOO_LONG_OR_SHORT, fit));
  }

  private double bolsters(Pattern p, Seen seen, List<Requirement> asked) {
    String asks = book.bolsterWords(p.bolsters().get(0));
    if (seen == null || seen.value() == null) {
      return 0;
    }
    boolean met = p.bolsters().contains(seen.value());
    asked.add(
        new Requirement(
            asks, book.bolsterWords(seen.value()), met ? Standing.MET : Standing.MISSED));
    double q = seen.sureness().reliability();
    return met ? 0 : Math.log(q * BOLSTER_NOT_USED + (1 - q));
  }

  private Name named(Scored s, Scored leader, double probability) {
    List<String> trade =
        s.pattern.alsoCalled().stream()
            .filter(a -> a.school() == Pattern.School.TRADE)
            .map(Pattern.Alias::name)
            .toList();
    boolean leads = s.pattern.id().equals(leader.pattern.id());
    String because = leads ? why(s) : whyNot(s, leader);
    return new Name(s.pattern.id(), s.pattern.name(), trade, probability, s.requirements, because);
  }

  private static String why(Scored s) {
    return s.pattern.tells().get(0);
  }

  private static String whyNot(Scored rival, Scored leader) {
    List<Requirement> missed =
        rival.requirements.stream().filter(r -> r.standing() == Standing.MISSED).toList();
    if (missed.isEmpty()) {
      return apart(rival.pattern, leader.pattern);
    }
    String name = rival.pattern.name().toLowerCase(Locale.ROOT);
    String article = "aeiou".indexOf(name.charAt(0)) >= 0 ? "an " : "a ";
    return "Not "
        + article
        + name
        + ": it asks for "
        + missed.stream()
            .map(r -> r.asks() + " (found: " + r.found() + ")")
            .collect(Collectors.joining("; "))
        + ".";
  }

  // What a pattern says of its look-alikes describes the look-alike.
  private static String apart(Pattern rival, Pattern leader) {
    if (leader.tellApart().containsKey(rival.id())) {
      return rival.name() + ": " + leader.tellApart().get(rival.id());
    }
    return rival.tellApart().containsKey(leader.id())
        ? leader.name() + ": " + rival.tellApart().get(leader.id())
        : rival.tells().get(0);
  }

  private String describe(Specimen knife) {
    String frame =
        knife.frame() == null || knife.frame().value() == null
            ? "Knife"
            : frameName(knife.frame().value());
    int n = knife.blades().size();
    return n == 0 ? frame : frame + ", " + number(n) + (n == 1 ? " blade" : " blades");
  }
}
