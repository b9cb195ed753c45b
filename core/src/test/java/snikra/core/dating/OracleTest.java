package snikra.core.dating;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import snikra.core.clue.Clue;
import snikra.core.clue.Feature;
import snikra.core.clue.Floors;
import snikra.core.clue.Part;
import snikra.core.code.CodeRates;
import snikra.core.code.SeenCode;
import snikra.core.code.Sign;
import snikra.core.fixture.KnifeBuilder;
import snikra.core.fixture.Shelf;
import snikra.core.judgement.Judgement;
import snikra.core.number.GrammarRates;
import snikra.core.number.NumberGrammar;
import snikra.core.reference.Maker;
import snikra.core.reference.MarkVariant;
import snikra.core.reference.ReferenceShelf;
import snikra.core.reference.Region;
import snikra.core.specimen.LookReliability;
import snikra.core.specimen.Sureness;

/**
 * Every hypothesis, year and combination of states written out one by one, by the definition and
 * with nothing of the engine but how a mark is read: the engine must say the same.
 */
class OracleTest {
  private static final int FIRST = 1700;
  private static final int YEARS = Shelf.THIS_YEAR - FIRST + 1;

  private static final NumberGrammar NUMBERS = numbers();
  private ReferenceShelf shelf =
      Shelf.invented()
          .withMakers(
              List.of(
                  maker("thrale", "W", 1, List.of(), mark("t", 1890, 1912, 0.7, "THRALE")),
                  maker(
                      "zwick",
                      "E",
                      2.5,
                      List.of(1914),
                      mark("z1", 1889, 1914, 0.9, "ZWICKEL", "& DAX"),
                      mark("z2", 1914, 1931, 0.4, "ZWICKEL", "& DAL"))));
  private Judgement numbers = shelf.judgement();

  private static Maker maker(
      String id, String region, double weight, List<Integer> changes, MarkVariant... marks) {
    boolean coded = marks.length > 1;
    return new Maker(
        id,
        id,
        region,
        "",
        weight,
        changes,
        coded ? NUMBERS : null,
        coded ? List.of(CodeDatingTest.LETTERS) : List.of(),
        List.of(marks),
        "");
  }

  private static NumberGrammar numbers() {
    NumberGrammar.Code bone = new NumberGrammar.Code("bone", List.of("bone"));
    NumberGrammar.Code horn = new NumberGrammar.Code("horn", List.of("horn"));
    NumberGrammar.Code five = new NumberGrammar.Code("five", List.of());
    return new NumberGrammar(
        List.of(
            new NumberGrammar.Field(
                "handle", "Handle", 1, "material", Map.of("1", bone, "2", horn)),
            new NumberGrammar.Field("serial", "Serial", 1, null, Map.of("5", five))),
        "");
  }

  private static MarkVariant mark(String id, int from, int to, double trust, String... lines) {
    return Shelf.mark(id, from, to, lines).believed(trust);
  }

  /** What is said of a knife, by the definition. */
  private final class Naive {
    private final Evidence evidence;
    private final Map<String, double[]> rows = new HashMap<>();
    private final Map<String, Double> means = new HashMap<>();
    private final Map<String, double[]> outputs = new HashMap<>();
    private final double[] years = new double[YEARS];
    private final Map<String, Double> makers = new HashMap<>();
    private final Map<String, Double> states = new HashMap<>();
    private double total;
    private @Nullable Maker hand;

    Naive(Evidence evidence) {
      this.evidence = evidence;
      double shares = shelf.regions().stream().mapToDouble(Region::share).sum();
      int v = 0;
      for (Maker maker : shelf.makers()) {
        Region home = shelf.region(maker.region());
        double numbered = numbered(maker);
        double all = maker.marks().stream().mapToDouble(m -> struck(m, home)).sum();
        for (MarkVariant mark : maker.marks()) {
          double read = Math.exp(evidence.marks().logLikelihood()[v++]);
          double weight = maker.weight() * struck(mark, home) / all;
          for (int y = 0; y < YEARS; y++) {
            double use = mark.useIn(FIRST + y) * Math.max(0.01, home.outputIn(FIRST + y));
            double mass = weight * read * use / struck(mark, home);
            int near =
                maker.isNearChange(FIRST + y, (int) numbers.of("state.years-around-change"))
                    ? 1
                    : 0;
            double told = numbered * coded(maker, FIRST + y);
            hand = maker;
            addAll(maker.id(), home, mass * told, y, near, false, false);
            hand = null;
          }
          for (Region r : shelf.regions()) {
            double doubted = weight * read * (1 - mark.trust()) / mark.trust();
            double copied = weight * read;
            for (int y = 0; y < YEARS; y++) {
              double there = r.share() / shares * output(r, y) * coded(null, FIRST + y);
              addAll(r.id(), r, doubted * there, y, 0, true, false);
              if (evidence.marks().anyRead()) {
                double often = numbers.of("state.mark-untrusted");
                addAll(r.id(), r, often * copied * there, y, 0, false, true);
              }
            }
          }
        }
      }
      for (Region r : shelf.regions()) {
        double weight = shelf.unlistedWeight() * Math.exp(evidence.marks().logUnlisted());
        for (int y = 0; y < YEARS; y++) {
          double there = r.share() / shares * output(r, y) * coded(null, FIRST + y);
          addAll(r.id(), r, weight * there, y, 0, true, false);
        }
      }
    }

    private double numbered(Maker maker) {
      String number = evidence.number();
      return number == null || maker.numbers() == null
          ? 1
          : Math.exp(
              maker.numbers().logLikelihood(number, GrammarRates.of(numbers))
                  - NumberGrammar.logByChance(number));
    }

    private double coded(@Nullable Maker maker, int year) {
      double p = 1;
      for (SeenCode code : evidence.codes()) {
        CodeRates rates = CodeRates.of(numbers);
        p *= maker == null ? code.unexpected(rates) : maker.given(code, year, rates);
      }
      return p;
    }

    // What the number says of a part that is its own (0), replaced (1) or older (2).
    private double numberSays(Part part, int way) {
      String number = evidence.number();
      String is = evidence.found().get("material");
      if (hand == null || hand.numbers() == null || number == null || is == null) {
        return 1;
      }
      if (!part.id().equals("handle")) {
        return 1;
      }
      boolean agrees = is.equals(number.startsWith("1") ? "bone" : "horn");
      boolean isNear = is.equals("bone") || is.equals("horn");
      double slips = numbers.of("number.slip") + numbers.of("number.another-knife");
      double misread = numbers.of("number.misread");
      return switch (way) {
        case 0 -> agrees ? 1 - slips - misread : slips + (isNear ? misread : 0);
        case 1 -> either(agrees, numbers.of("number.agrees-replaced"));
        default -> either(agrees, numbers.of("number.agrees-older"));
      };
    }

    private static double either(boolean agrees, double p) {
      return agrees ? p : 1 - p;
    }

    private double struck(MarkVariant mark, Region home) {
      double sum = 0;
      for (int y = 0; y < YEARS; y++) {
        sum += mark.useIn(FIRST + y) * Math.max(0.01, home.outputIn(FIRST + y));
      }
      return sum;
    }

    // All ways this knife may have come to be, given who and when.
    private void addAll(
        String who, Region r, double mass, int y, int near, boolean hearsMark, boolean untrusted) {
      List<Part> parts = shelf.clues().parts();
      int[] ways = new int[parts.size()];
      for (int style = 0; style < 2; style++) {
        int atMost = 2 - (style == 1 ? 1 : 0) - (untrusted ? 1 : 0);
        combine(who, r, mass, y, near, hearsMark, untrusted, style, ways, 0, atMost);
      }
    }

    private void combine(
        String who,
        Region r,
        double mass,
        int y,
        int near,
        boolean hearsMark,
        boolean untrusted,
        int style,
        int[] ways,
        int k,
        int left) {
      if (k == ways.length) {
        add(who, r, mass, y, near, hearsMark, untrusted, style, ways);
        return;
      }
      for (int way = 0; way < (left > 0 ? 3 : 1); way++) {
        ways[k] = way;
        int more = left - (way > 0 ? 1 : 0);
        combine(who, r, mass, y, near, hearsMark, untrusted, style, ways, k + 1, more);
      }
      ways[k] = 0;
    }

    private void add(
        String who,
        Region r,
        double mass,
        int y,
        int near,
        boolean hearsMark,
        boolean untrusted,
        int style,
        int[] ways) {
      List<Part> parts = shelf.clues().parts();
      double p = mass * (style == 1 ? numbers.of("state.old-style") : 1);
      String departs = null;
      int departures = 0;
      for (int k = 0; k < ways.length; k++) {
        if (!spoken(parts.get(k), hearsMark)) {
          // A part nobody looked at cannot be told to be of another year.
          p *= ways[k] == 0 ? 1 : 0;
          continue;
        }
        p *= ofPart(parts.get(k), r, y, near, hearsMark, style, ways[k]);
        departures += ways[k] > 0 ? 1 : 0;
        departs = ways[k] > 0 ? parts.get(k).id() + ways[k] : departs;
      }
      if (p == 0) {
        return;
      }
      total += p;
      years[y] += p;
      makers.merge(who, p, Double::sum);
      if (untrusted) {
        String state = style == 0 && departures == 0 ? "untrusted" : "two";
        states.merge(state, p, Double::sum);
      } else if (departures == 0) {
        whole(r, p, y, hearsMark, style, mass);
      } else if (departures > 1) {
        states.merge("two", p, Double::sum);
      } else {
        String state = departs;
        if (style == 0) {
          states.merge(state, p, Double::sum);
        } else {
          // In the years of that style it is the part alone that is of another year.
          double plain = mass;
          for (int k = 0; k < ways.length; k++) {
            if (spoken(parts.get(k), hearsMark)) {
              plain *= ofPart(parts.get(k), r, y, near, hearsMark, 0, ways[k]);
            }
          }
          double same = Math.min(p, numbers.of("state.old-style") * plain);
          states.merge(state, same, Double::sum);
          states.merge("two", p - same, Double::sum);
        }
      }
    }

    // Nothing departs: as made, in an old style, or something misjudged.
    private void whole(Region r, double p, int y, boolean hearsMark, int style, double mass) {
      double asMade = mass;
      for (Part part : shelf.clues().parts()) {
        asMade *= spoken(part, hearsMark) ? numberSays(part, 0) : 1;
      }
      double rightly = 1;
      Map<String, Double> wrong = new HashMap<>();
      for (Evidence.Observed o : evidence.observed()) {
        if (!hearsMark && o.feature().markBorne()) {
          continue;
        }
        double l = likelihood(o, r, y, 0);
        asMade *= l;
        double seen = Math.min(l, p(o.feature(), o.clue(), r, y, 0));
        rightly *= seen / l;
        wrong.put(o.feature().id(), l / seen - 1);
      }
      double right = rightly;
      if (style == 0) {
        states.merge("as made", p * right, Double::sum);
        wrong.forEach((f, odds) -> states.merge("wrong " + f, p * right * odds, Double::sum));
        double single = wrong.values().stream().mapToDouble(d -> d).sum();
        states.merge("two", p * (1 - right * (1 + single)), Double::sum);
        return;
      }
      double same = Math.min(p, numbers.of("state.old-style") * asMade);
      states.merge("old style", p - same, Double::sum);
      states.merge("as made", same * right, Double::sum);
      wrong.forEach((f, odds) -> states.merge("wrong " + f, same * right * odds, Double::sum));
      double single = wrong.values().stream().mapToDouble(d -> d).sum();
      states.merge("two", same * (1 - right * (1 + single)), Double::sum);
    }

    private boolean spoken(Part part, boolean hearsMark) {
      return evidence.observed().stream()
          .anyMatch(
              o -> o.feature().part().equals(part.id()) && (hearsMark || !o.feature().markBorne()));
    }

    private double ofPart(
        Part part, Region r, int y, int near, boolean hearsMark, int style, int way) {
      String key = part.id() + r.id() + near + hearsMark + style + way;
      double[] row = rows.computeIfAbsent(key, k -> row(part, r, near, hearsMark, style, way));
      return row[y] * numberSays(part, way);
    }

    private double[] row(Part part, Region r, int near, boolean hearsMark, int style, int way) {
      double[] own = new double[YEARS];
      for (int z = 0; z < YEARS; z++) {
        own[z] = 1;
        for (Evidence.Observed o : evidence.observed()) {
          boolean heard = hearsMark || !o.feature().markBorne();
          if (heard && o.feature().part().equals(part.id())) {
            own[z] *= likelihood(o, r, z, style);
          }
        }
      }
      double often =
          part.replaceable() == Part.Replaceable.NEVER
              ? 0
              : numbers.of("replaced." + part.replaceable());
      String id = near == 1 ? "state.older-part-near-change" : "state.older-part";
      double[] out = new double[YEARS];
      for (int y = 0; y < YEARS; y++) {
        double later = 0;
        for (int z = y; z < YEARS; z++) {
          later += own[z] / (YEARS - y);
        }
        double earlier = 0;
        for (int z = Math.max(0, y - (int) numbers.of("state.years-of-older-stock")); z < y; z++) {
          earlier = Math.max(earlier, own[z]);
        }
        out[y] =
            switch (way) {
              case 0 -> own[y];
              case 1 -> often * later;
              default -> often > 0 ? numbers.of(id) * earlier : 0;
            };
      }
      return out;
    }

    private double likelihood(Evidence.Observed o, Region r, int y, int style) {
      double q = LookReliability.of(numbers).of(o.sureness());
      double m = o.feature().mistaken() == null ? 0.015 : o.feature().mistaken();
      q *= (1 - m) / (1 - 0.015);
      String key = o.feature().id() + o.clue().id();
      Double mean = means.get(key);
      if (mean == null) {
        mean = mean(o.feature(), o.clue());
        means.put(key, mean);
      }
      return q * p(o.feature(), o.clue(), r, y, style) + (1 - q) * mean;
    }

    private double mean(Feature feature, Clue clue) {
      double sum = 0;
      double shares = 0;
      for (Region r : shelf.regions()) {
        shares += r.share();
        for (int y = 0; y < YEARS; y++) {
          sum += r.share() * output(r, y) * p(feature, clue, r, y, 0);
        }
      }
      return sum / shares;
    }

    private double p(Feature feature, Clue clue, Region r, int y, int style) {
      double all = 0;
      for (Clue c : feature.clues()) {
        all +=
            c.base()
                * c.compatibility(FIRST + y, style == 1, Floors.of(numbers))
                * c.leaning(r.id());
      }
      double own =
          clue.base()
              * clue.compatibility(FIRST + y, style == 1, Floors.of(numbers))
              * clue.leaning(r.id());
      return feature.complete() ? own / all : own;
    }

    private double output(Region r, int y) {
      return outputs.computeIfAbsent(r.id(), id -> outputs(r))[y];
    }

    private double[] outputs(Region r) {
      double[] out = new double[YEARS];
      double sum = 0;
      for (int z = 0; z < YEARS; z++) {
        out[z] = r.outputIn(FIRST + z);
        sum += out[z];
      }
      for (int z = 0; z < YEARS; z++) {
        out[z] /= sum;
      }
      return out;
    }
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12})
  void theEngineSaysWhatTheDefinitionSays(long seed) {
    SplittableRandom random = new SplittableRandom(seed);
    // Reaches of years that are no power of two, and one year alone, besides those on file.
    if (seed % 2 == 0) {
      numbers =
          numbers
              .with("state.years-of-older-stock", (double) seed)
              .with("state.years-around-change", seed / 2.0 - 1)
              .with("bound.first-year", seed / 20.0);
      shelf = shelf.judgedBy(numbers);
    } else if (seed == 1) {
      numbers = numbers.with("state.years-of-older-stock", 1);
      shelf = shelf.judgedBy(numbers);
    }
    KnifeBuilder knife = KnifeBuilder.aKnifeOn(shelf);
    Sureness[] sure = {Sureness.SURE, Sureness.LIKELY, Sureness.UNSURE};
    for (Feature feature : shelf.clues().features()) {
      if (random.nextInt(3) > 0) {
        Clue clue = feature.clues().get(random.nextInt(feature.clues().size()));
        knife.with(feature.id(), clue.id(), sure[random.nextInt(3)]);
      }
    }
    String[][] marks = {{}, {"ZWICKEL", "& DA_"}, {"THR_LE"}, {"ORSKOLD"}};
    String[] lines = marks[random.nextInt(4)];
    if (lines.length > 0) {
      knife.marked(lines);
    }
    String[] numbers = {null, "15", "25", "1_"};
    knife.numbered(numbers[random.nextInt(4)]);
    if (random.nextBoolean()) {
      knife.coded(Sign.LETTER, "BHT_".substring(random.nextInt(4)).substring(0, 1));
    }
    Evidence evidence = knife.evidence();
    Naive naive = new Naive(evidence);
    DatingVerdict verdict = new DatingModel(shelf, Shelf.THIS_YEAR).dateBriefly(evidence);

    for (int y = 0; y < YEARS; y++) {
      assertThat(verdict.curve()[y]).isCloseTo(naive.years[y] / naive.total, within(1e-12));
    }
    for (DatingVerdict.Attribution who : verdict.makers()) {
      String id = who.maker() == null ? who.region() : who.maker();
      if (!who.label().equals(Explainer.OTHERS_ON_FILE)) {
        assertThat(who.probability())
            .as(id)
            .isCloseTo(naive.makers.getOrDefault(id, 0.0) / naive.total, within(1e-11));
      }
    }
    List<String> told = new ArrayList<>();
    for (DatingVerdict.StateProbability s : verdict.states()) {
      State state = s.state();
      String key =
          switch (state.kind()) {
            case AS_MADE -> "as made";
            case OLD_STYLE -> "old style";
            case PART_REPLACED -> state.part() + 1;
            case OLDER_PART -> state.part() + 2;
            case MARK_UNTRUSTED -> "untrusted";
            case TWO_AT_ONCE -> "two";
            case MISJUDGED -> "wrong " + state.part();
            default -> "";
          };
      if (!key.isEmpty()) {
        told.add(key);
        assertThat(s.probability())
            .as(key)
            .isCloseTo(naive.states.getOrDefault(key, 0.0) / naive.total, within(1e-10));
      }
    }
    assertThat(told).contains("as made");
  }
}
