package snikra.core.pattern;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.function.ToDoubleFunction;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import snikra.core.fixture.Patterns;
import snikra.core.fixture.Shelf;
import snikra.core.judgement.Judgement;
import snikra.core.measure.Length;
import snikra.core.pattern.Pattern.Asked;
import snikra.core.pattern.Pattern.Slot;
import snikra.core.pattern.PatternVerdict.Name;
import snikra.core.pattern.PatternVerdict.Requirement;
import snikra.core.pattern.PatternVerdict.Settle;
import snikra.core.pattern.PatternVerdict.Standing;
import snikra.core.specimen.End;
import snikra.core.specimen.LookReliability;
import snikra.core.specimen.Presses;
import snikra.core.specimen.Seen;
import snikra.core.specimen.SeenBlade;
import snikra.core.specimen.Side;
import snikra.core.specimen.Specimen;
import snikra.core.specimen.Sureness;

class PatternNamerTest {
  private static final PatternBook BOOK = Patterns.invented();
  private static final Judgement RATES = Shelf.judgement();
  private static final LookReliability SEEN = LookReliability.of(RATES);

  private final PatternNamer namer = new PatternNamer(BOOK, RATES);

  // Every way of setting the blades into the slots is tried, and every weight multiplied out.
  @Test
  void namesAreWhatTryingEverythingGives() {
    Random chance = new Random(1895);
    int compared = 0;
    for (int i = 0; i < 400; i++) {
      Specimen knife = any(chance);
      PatternVerdict verdict = namer.name(knife);
      Map<String, Double> strict = oracle(knife, "strict");
      Map<String, Double> trade = oracle(knife, "trade");
      assertThat(verdict.unnamed()).isCloseTo(strict.get(""), within(1e-9));
      for (Name name : verdict.names()) {
        assertThat(name.probability())
            .as("%s of %s", name.pattern(), knife)
            .isCloseTo(strict.getOrDefault(name.pattern(), 0.0), within(1e-9));
        assertThat(name.tradeProbability()).isCloseTo(trade.get(name.pattern()), within(1e-9));
        compared++;
      }
    }
    assertThat(compared).isGreaterThan(900);
  }

  private static Specimen any(Random chance) {
    List<SeenBlade> blades = new ArrayList<>();
    for (int b = chance.nextInt(5); b > 0; b--) {
      blades.add(
          new SeenBlade(
              either(chance, "clip", "pen", "saw"),
              any(chance, End.A, End.B),
              any(chance, Presses.ONE, Presses.BOTH),
              any(chance, Side.MARK, Side.PILE),
              any(chance, 1, 2, 3),
              null,
              List.of(),
              null,
              Map.of()));
    }
    Map<String, Seen<String>> looks = new HashMap<>();
    put(looks, "pull", either(chance, "crescent", "lever", "none"));
    put(looks, "divider", either(chance, "none", "full", "wedge"));
    put(looks, "covers", either(chance, "white", "grey", "black"));
    return knife(
        either(chance, "round", "square", "odd"),
        either(chance, "both", "front", "metal"),
        chance.nextInt(4) == 0 ? null : (70 + chance.nextInt(60)) + " mm",
        any(chance, 1, 2, 3),
        blades,
        looks);
  }

  private static void put(Map<String, Seen<String>> looks, String of, @Nullable Seen<String> seen) {
    if (seen != null) {
      looks.put(of, seen);
    }
  }

  @SafeVarargs
  private static <T> @Nullable Seen<T> any(Random chance, T... values) {
    Sureness how = List.of(Sureness.values()).get(chance.nextInt(4));
    if (chance.nextInt(4) == 0) {
      return null;
    }
    return how == Sureness.CANNOT_TELL
        ? new Seen<>(null, how)
        : new Seen<>(values[chance.nextInt(values.length)], how);
  }

  // Now and then it may be one of two.
  private static @Nullable Seen<String> either(Random chance, String... values) {
    Seen<String> one = any(chance, values);
    String other = values[chance.nextInt(values.length)];
    return one == null || one.value() == null || other.equals(one.value()) || chance.nextBoolean()
        ? one
        : new Seen<>(one.value(), one.sureness(), Map.of(other, 0.1 + 0.8 * chance.nextDouble()));
  }

  private static Specimen knife(
      @Nullable Seen<String> frame,
      @Nullable Seen<String> bolsters,
      @Nullable String length,
      @Nullable Seen<Integer> springs,
      List<SeenBlade> blades,
      Map<String, Seen<String>> looks) {
    return new Specimen(
        null,
        null,
        frame,
        bolsters,
        length == null ? null : Length.parse(length),
        springs,
        blades,
        List.of(),
        null,
        looks,
        Map.of(),
        List.of(),
        List.of());
  }

  private static double rate(String id) {
    return RATES.of("name." + id);
  }

  /** The share of each name, and under no name that of none. */
  private static Map<String, Double> oracle(Specimen knife, String school) {
    Map<String, Double> out = new HashMap<>();
    int known =
        (Seen.valueOf(knife.frame()) == null ? 0 : 1) + (knife.closedLength() == null ? 0 : 1);
    for (SeenBlade b : knife.blades()) {
      known += (Seen.valueOf(b.type()) == null ? 0 : 1) + (Seen.valueOf(b.end()) == null ? 0 : 1);
    }
    boolean isMetal = "metal".equals(Seen.valueOf(knife.bolsters()));
    out.put("", Math.pow(rate("unnamed"), known + (isMetal ? 1 : 0)));
    for (Pattern p : BOOK.patterns()) {
      if (school.equals("trade") || p.role() != Pattern.Role.TRADE_LABEL) {
        out.put(p.id(), weight(p, knife, "name." + school + "."));
      }
    }
    double all = out.values().stream().mapToDouble(w -> w).sum();
    out.replaceAll((id, w) -> w / all);
    return out;
  }

  private static double weight(Pattern p, Specimen knife, String school) {
    ToDoubleFunction<String> missed = what -> RATES.of(school + what);
    double w = p.role() == Pattern.Role.FALLBACK ? rate("fallback") : p.weight();
    w *= blades(p, knife.blades(), school);
    w *=
        mean(
            knife.frame(),
            f -> p.frames().getOrDefault(f, missed.applyAsDouble("frame")),
            rate("frame-misseen"));
    if (p.slots().size() >= 3 && knife.blades().size() >= 3) {
      boolean both = p.slots().get(0).presses() == Presses.BOTH;
      Seen<Presses> seen = knife.blades().get(0).presses();
      if (Seen.valueOf(seen) != null) {
        double q = SEEN.of(seen.sureness());
        boolean isBoth = seen.value() == Presses.BOTH;
        double right = isBoth == both ? 1 : missed.applyAsDouble("press");
        double wrong = isBoth != both ? 1 : missed.applyAsDouble("press");
        w *= q * right + (1 - q) * wrong;
      }
    }
    w *= of(knife.springs(), n -> p.springs().contains(n) ? 1 : missed.applyAsDouble("springs"), 1);
    w *= length(p, knife, missed);
    w *= bolsters(p, knife.bolsters(), missed);
    Set<String> own = new HashSet<>();
    BOOK.pulls().stream()
        .filter(pull -> p.pulls().contains(pull.id()))
        .forEach(pull -> own.addAll(pull.shownBy().get("pull")));
    w *=
        mean(
            knife.seen().get("pull"),
            a -> a.equals("none") || own.contains(a) ? 1 : rate("other-pull"),
            1);
    for (Asked asked : BOOK.asks(p)) {
      w *=
          mean(
              knife.seen().get(asked.feature()),
              a -> asked.answers().getOrDefault(a, missed.applyAsDouble("asked")),
              1);
    }
    return w * mechanism(p, knife, missed);
  }

  private static double mechanism(Pattern p, Specimen knife, ToDoubleFunction<String> missed) {
    boolean isKnownByIt = p.mechanism() != null;
    if ("metal".equals(Seen.valueOf(knife.bolsters()))) {
      return isKnownByIt ? 1 : 0.05;
    }
    if (!isKnownByIt) {
      return 1;
    }
    return Seen.valueOf(knife.bolsters()) == null ? 0.05 : 0.05 * missed.applyAsDouble("frame");
  }

  // Those it is known with count in full, however surely they were seen.
  private static double bolsters(
      Pattern p, @Nullable Seen<String> seen, ToDoubleFunction<String> missed) {
    if (Seen.valueOf(seen) == null) {
      return 1;
    }
    double q = SEEN.of(seen.sureness());
    double sum = 0;
    for (Map.Entry<String, Double> one : seen.shares().entrySet()) {
      double fits = bolsters(p, one.getKey(), missed);
      boolean inFull = p.bolsters().contains(one.getKey());
      sum += one.getValue() * (inFull ? fits : q * fits + 1 - q);
    }
    return sum;
  }

  private static double bolsters(Pattern p, String seen, ToDoubleFunction<String> missed) {
    if (!p.bolsters().contains(seen)) {
      return missed.applyAsDouble("bolsters");
    }
    return p.bolsters().get(0).equals(seen) ? 1 : rate("less-usual-bolsters");
  }

  private static double length(Pattern p, Specimen knife, ToDoubleFunction<String> missed) {
    if (knife.closedLength() == null) {
      return 1;
    }
    double mm = knife.closedLength().mm();
    Pattern.Range r = p.closedLengthMm();
    double over = Math.max(r.min() - mm, mm - r.max()) - rate("measuring-error-mm");
    if (over > 0) {
      double scaled = over / rate("length-scale-mm");
      return Math.max(missed.applyAsDouble("length"), Math.exp(-scaled * scaled));
    }
    double half = mm < r.typical() ? r.typical() - r.min() : r.max() - r.typical();
    double off = Math.min(1, Math.abs(mm - r.typical()) / half);
    return Math.pow(rate("end-of-range"), off * off);
  }

  private static double blades(Pattern p, List<SeenBlade> blades, String school) {
    if (blades.isEmpty()) {
      return 1;
    }
    int fewest = (int) p.slots().stream().filter(s -> !s.optional()).count();
    int over = Math.max(0, blades.size() - p.slots().size());
    int missing = Math.max(0, fewest - blades.size());
    return best(p, blades, 0, new HashSet<>(), over, school)
        * Math.pow(RATES.of(school + "over"), over)
        * Math.pow(RATES.of(school + "missing"), missing);
  }

  private static double best(
      Pattern p, List<SeenBlade> blades, int b, Set<Integer> taken, int over, String school) {
    if (b == blades.size()) {
      return 1;
    }
    double best = over > 0 ? best(p, blades, b + 1, taken, over - 1, school) : 0;
    for (int s = 0; s < p.slots().size(); s++) {
      if (taken.add(s)) {
        double rest = best(p, blades, b + 1, taken, over, school);
        best = Math.max(best, fit(p, blades.get(b), p.slots().get(s), school) * rest);
        taken.remove(s);
      }
    }
    return best;
  }

  private static double fit(Pattern p, SeenBlade blade, Slot slot, String school) {
    int last = p.slots().stream().flatMap(s -> s.bearsOn().stream()).max(Integer::compare).get();
    ToDoubleFunction<End> end =
        e ->
            e == slot.end()
                ? 1
                : e == slot.endAlso() ? rate("other-end") : RATES.of(school + "end");
    double w = slot.optional() ? rate("optional-blade") : 1;
    w *=
        mean(
            blade.type(),
            t -> slot.types().getOrDefault(t, RATES.of(school + "type")),
            rate("blade-misseen"));
    if (Seen.valueOf(blade.end()) != null) {
      double q = SEEN.of(blade.end().sureness());
      End other = blade.end().value() == End.A ? End.B : End.A;
      w *= q * end.applyAsDouble(blade.end().value()) + (1 - q) * end.applyAsDouble(other);
    }
    w *= of(blade.side(), s -> s == slot.side() ? 1 : rate("other-side"), rate("other-side"));
    if (Seen.valueOf(blade.spring()) != null) {
      int n = blade.spring().value();
      boolean isOn = slot.bearsOn().contains(n) || slot.bearsOn().contains(last + 1 - n);
      w *= isOn ? 1 : rate("other-spring");
    }
    return w;
  }

  // What may be one of two counts by the mean of both.
  private static double mean(
      @Nullable Seen<String> seen, ToDoubleFunction<String> right, double wrong) {
    if (seen == null || seen.or() == null) {
      return of(seen, right, wrong);
    }
    double q = SEEN.of(seen.sureness());
    double sum = 0;
    double left = 1;
    for (Map.Entry<String, Double> other : seen.or().entrySet()) {
      sum += other.getValue() * (q * right.applyAsDouble(other.getKey()) + (1 - q) * wrong);
      left -= other.getValue();
    }
    return sum + left * (q * right.applyAsDouble(seen.value()) + (1 - q) * wrong);
  }

  private static <T> double of(@Nullable Seen<T> seen, ToDoubleFunction<T> right, double wrong) {
    if (Seen.valueOf(seen) == null) {
      return 1;
    }
    double q = SEEN.of(seen.sureness());
    return q * right.applyAsDouble(seen.value()) + (1 - q) * wrong;
  }

  private static SeenBlade blade(String type, End end) {
    return SeenBlade.sure(type, end, null, null);
  }

  private static Specimen knife(
      String frame, String bolsters, String length, int springs, SeenBlade... blades) {
    return knife(
        Seen.sure(frame),
        Seen.sure(bolsters),
        length,
        Seen.sure(springs),
        List.of(blades),
        Map.of());
  }

  private PatternVerdict.Name name(Specimen knife, String pattern) {
    return namer.name(knife).names().stream()
        .filter(n -> n.pattern().equals(pattern))
        .findFirst()
        .orElseThrow();
  }

  @Test
  void whatIsAskedIsToldAsMetMissedOrNotKnown() {
    Specimen knife =
        knife(
            "square",
            "both",
            "92 mm",
            2,
            blade("clip", End.A),
            blade("pen", End.B),
            blade("pen", End.B));
    List<Requirement> whittler = name(knife, "whittler").requirements();
    assertThat(whittler)
        .containsExactly(
            new Requirement("square frame", "square frame", Standing.MET),
            new Requirement("clip at A", "clip at A", Standing.MET),
            new Requirement("pen or saw at B", "pen at B", Standing.MET),
            new Requirement("pen at B", "pen at B", Standing.MET),
            new Requirement("three blades", "three", Standing.MET),
            new Requirement("main bears on both springs", null, Standing.UNKNOWN),
            new Requirement("two or three springs", "two", Standing.MET),
            new Requirement("closed length in its size", "in its size", Standing.MET),
            new Requirement("both bolsters", "both bolsters", Standing.MET));
    assertThat(name(knife, "stock").requirements())
        .contains(new Requirement("two springs", "two", Standing.MET));
  }

  @Test
  void departuresAreToldAndRivalsSayWhatTheyMiss() {
    Specimen knife =
        new Specimen(
            null,
            null,
            Seen.sure("square"),
            null,
            Length.parse("92 mm"),
            Seen.sure(1),
            List.of(
                SeenBlade.sure("clip", End.A, Presses.BOTH, null),
                SeenBlade.sure("clip", End.B, null, null),
                SeenBlade.sure("pen", End.B, null, null)),
            List.of(),
            null,
            Map.of("divider", Seen.sure("none")),
            Map.of(),
            List.of(),
            List.of());
    PatternVerdict verdict = namer.name(knife);
    assertThat(verdict.title()).isEqualTo("Whittler");
    Name whittler = verdict.names().get(0);
    assertThat(whittler.departures())
        .containsExactly(
            "a clip in place of the pen", "on one spring", "no wedge between the springs");
    assertThat(whittler.definition()).containsExactly("Whittler by the book.");
    assertThat(whittler.soldAs()).containsExactly("Whittler to sellers.");
    assertThat(whittler.because()).isEqualTo("Whittler tells.");
    assertThat(whittler.settle()).isNull();
    assertThat(whittler.requirements())
        .contains(
            new Requirement("a wedge", "no wedge between the springs", Standing.MISSED),
            new Requirement(
                "main bears on both springs", "main bears on both springs", Standing.MET));
    Name stock = name(knife, "stock");
    assertThat(stock.because())
        .startsWith("Not a stock knife: it asks for ")
        .contains(
            "main bears on one spring only (found: main bears on both springs)",
            "two springs (found: one)");
    assertThat(stock.definition()).isEmpty();
    assertThat(stock.departures()).isEmpty();
  }

  @Test
  void bladesTooFewAndTooLargeAreNamed() {
    Name jack = name(knife("round", "both", "102 mm", 1, blade("clip", End.A)), "jack");
    assertThat(jack.requirements())
        .contains(
            new Requirement("one to two blades", "one", Standing.MET),
            new Requirement("closed length in its size", "too long", Standing.MISSED));
    Name pen = name(knife("round", "both", "66 mm", 1, blade("clip", End.A)), "pen-knife");
    assertThat(pen.requirements())
        .contains(
            new Requirement("pen at either end", "none", Standing.MISSED),
            new Requirement("two blades", "one", Standing.MISSED),
            new Requirement("closed length in its size", "too short", Standing.MISSED));
  }

  @Test
  void aModifierStandsBeforeTheNameOfItsFamilyOnly() {
    assertThat(namer.name(knife("round", "front", "86 mm", 1, blade("clip", End.A))).title())
        .isEqualTo("Barehead jack");
    assertThat(namer.name(knife("round", "both", "86 mm", 1, blade("clip", End.A))).title())
        .isEqualTo("Jack");
    Specimen notched =
        knife(
            Seen.sure("round"),
            Seen.sure("both"),
            "86 mm",
            Seen.sure(1),
            List.of(blade("clip", End.A)),
            Map.of("cut", Seen.sure("notch")));
    assertThat(namer.name(notched).title()).isEqualTo("Barehead jack");
  }

  @Test
  void whereOnlyItsSizeIsOpenTheSharedNameHeadsThePage() {
    Specimen knife =
        knife(
            Seen.sure("round"),
            Seen.sure("both"),
            "96 mm",
            Seen.sure(1),
            List.of(blade("clip", End.A), blade("pen", End.B)),
            Map.of());
    PatternVerdict verdict = namer.name(knife);
    assertThat(verdict.names()).extracting(Name::pattern).contains("pen-knife", "pen-large");
    assertThat(verdict.names()).allMatch(n -> n.probability() < 0.9);
    assertThat(verdict.title()).isIn("Pen", "Pen knife", "Large pen knife");
    assertThat(namer.name(Specimen.unseen()).title()).isEqualTo("Knife");
    assertThat(namer.name(Specimen.unseen()).names()).isEmpty();
  }

  @Test
  void theLookThatSettlesTwoNamesIsTheOneTheyShareLeast() {
    Specimen counted =
        knife(
            Seen.sure("square"),
            Seen.sure("both"),
            "92 mm",
            Seen.sure(2),
            List.of(blade("clip", End.A), blade("pen", End.B), blade("pen", End.B)),
            Map.of());
    PatternVerdict verdict = namer.name(counted);
    String rival = verdict.names().get(0).pattern().equals("stock") ? "whittler" : "stock";
    assertThat(name(counted, rival).settle())
        .isEqualTo(
            new Settle(
                "blades", "See from the back whether the main bears on one spring or both."));
    Specimen ends =
        knife(
            Seen.sure("round"),
            Seen.sure("both"),
            "86 mm",
            Seen.sure(1),
            List.of(
                blade("clip", End.A),
                new SeenBlade(
                    Seen.sure("pen"), null, null, null, null, null, List.of(), null, Map.of())),
            Map.of());
    PatternVerdict either = namer.name(ends);
    String other = either.names().get(0).pattern().equals("jack") ? "pen-knife" : "jack";
    assertThat(name(ends, other).settle())
        .isEqualTo(new Settle("blades", "See which end blade 2 pivots at."));
    assertThat(name(ends, other).because()).contains("Both blades at one end.");
  }

  @Test
  void anAnswerThatMayBeAnotherCountsByTheShareOfEach() {
    Seen<String> white = Seen.sure("white");
    Seen<String> black = Seen.sure("black");
    Seen<String> either = new Seen<>("white", Sureness.SURE, Map.of("black", 0.3));
    double q = SEEN.of(Sureness.SURE);
    double missed = RATES.of("name.strict.asked");
    double odds = oddsOfPen(white);
    assertThat(oddsOfPen(black) / odds).isCloseTo(q * missed + 1 - q, within(1e-9));
    assertThat(oddsOfPen(either) / odds).isCloseTo(q * (0.7 + 0.3 * missed) + 1 - q, within(1e-9));
  }

  // Against all other names, which ask nothing of the covers.
  private double oddsOfPen(Seen<String> covers) {
    Specimen knife =
        knife(
            Seen.sure("round"),
            Seen.sure("both"),
            "86 mm",
            Seen.sure(1),
            List.of(blade("clip", End.A), blade("pen", End.B)),
            Map.of("covers", covers));
    double p = name(knife, "pen-knife").probability();
    return p / (1 - p);
  }

  @Test
  void theLayoutOfSpringsIsTheFirstThatFits() {
    Specimen whittler =
        knife(
            Seen.sure("square"),
            null,
            "92 mm",
            Seen.sure(2),
            List.of(SeenBlade.sure("clip", End.A, Presses.BOTH, null)),
            Map.of());
    assertThat(BOOK.layout(whittler, Set.of(), 0.6)).map(SpringLayout::id).hasValue("lifting");
    Specimen pen = knife("round", "both", "86 mm", 1, blade("clip", End.A), blade("pen", End.B));
    assertThat(BOOK.layout(pen, Set.of(), 0.6)).map(SpringLayout::id).hasValue("ends");
    assertThat(BOOK.layout(pen, Set.of("pen-knife"), 0.6))
        .map(SpringLayout::id)
        .hasValue("two-long");
    Specimen jack = knife("round", "both", "86 mm", 1, blade("clip", End.A), blade("pen", End.A));
    assertThat(BOOK.layout(jack, Set.of(), 0.6)).isEmpty();
  }
}
