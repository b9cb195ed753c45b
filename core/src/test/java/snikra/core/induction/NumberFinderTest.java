package snikra.core.induction;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import snikra.core.induction.NumberGuess.GuessedField;

class NumberFinderTest {
  private static final NumberFinder FINDER = new NumberFinder(CodeFinderTest.book());

  private static NumberedKnife knife(String number, String blades, String frame, String handle) {
    return new NumberedKnife(number, Map.of("blades", blades, "frame", frame, "handle", handle));
  }

  private static final List<NumberedKnife> FIVE =
      List.of(
          knife("14/41", "2", "swell-end", "bone"),
          knife("22/61", "3", "equal-end", "bone"),
          knife("58/43", "2", "serpentine", "stag"),
          knife("14/25", "1", "swell-end", "celluloid"),
          knife("22/63", "3", "equal-end", "stag"));

  @Test
  void fiveNumbersTellTheirFieldsAndWhatTheCodesStandFor() {
    NumberGuess best = FINDER.find(FIVE).guesses().get(0);
    assertThat(best.fields())
        .extracting(GuessedField::meaning)
        .containsExactly("frame", null, "blades", "handle");
    assertThat(best.fields()).extracting(GuessedField::width).containsExactly(2, 1, 1, 1);
    assertThat(best.fields().get(1).mark()).isTrue();
    assertThat(best.fields().get(2).codes())
        .extracting(c -> c.code() + c.values())
        .containsExactly("2[1]", "4[2]", "6[3]");
    assertThat(best.share()).isGreaterThan(0.5);
  }

  @Test
  void countsThatAreThemselvesAreSupposedOfTheOthersToo() {
    NumberGuess best =
        FINDER
            .find(
                List.of(
                    knife("2141", "2", "swell-end", "bone"),
                    knife("3225", "3", "equal-end", "stag"),
                    knife("1145", "1", "swell-end", "stag"),
                    knife("2221", "2", "equal-end", "bone")))
            .guesses()
            .get(0);
    GuessedField blades = best.fields().get(0);
    assertThat(blades.meaning()).isEqualTo("blades");
    assertThat(blades.codes())
        .filteredOn(NumberGuess.GuessedCode::supposed)
        .extracting(NumberGuess.GuessedCode::code)
        .containsExactly("4", "5", "6");
  }

  @Test
  void aLetterSomeNumbersLackIsAFieldOfItsOwn() {
    List<NumberedKnife> knives = new ArrayList<>();
    for (int i = 0; i < FIVE.size(); i++) {
      Map<String, String> shows = new HashMap<>(FIVE.get(i).shows());
      shows.put("bail", i % 2 == 0 ? "none" : "wire");
      knives.add(new NumberedKnife((i % 2 == 0 ? "" : "Q") + FIVE.get(i).number(), shows));
    }
    GuessedField front = FINDER.find(knives).guesses().get(0).fields().get(0);
    assertThat(front.optional()).isTrue();
    assertThat(front.meaning()).isEqualTo("bail");
    assertThat(front.codes()).extracting(c -> c.code() + c.values()).containsExactly("Q[wire]");
  }

  @Test
  void oneThatIsMiscodedIsNamedAndOneBuiltOtherwiseIsLeftOut() {
    List<NumberedKnife> knives = new ArrayList<>(FIVE);
    knives.addAll(FIVE);
    knives.add(knife("22/41", "3", "equal-end", "bone"));
    knives.add(knife("A-9", "1", "equal-end", "bone"));
    NumberGuess.Found found = FINDER.find(knives);
    assertThat(found.unlike()).containsExactly(11);
    assertThat(found.guesses().get(0).fields().get(2).meaning()).isEqualTo("blades");
    assertThat(found.guesses().get(0).fields().get(2).odd()).containsExactly(10);
  }

  @Test
  void whereTwoThingsGoTogetherAKnifeIsNamedThatPartsThem() {
    NumberGuess.Found found =
        FINDER.find(
            List.of(
                knife("57", "2", "teardrop", "bone"),
                knife("68", "3", "teardrop", "stag"),
                knife("57", "2", "teardrop", "bone")));
    assertThat(found.settling()).isNotNull();
    assertThat(found.settling().first()).isNotEqualTo(found.settling().second());
  }

  @Test
  void numbersWithoutFiguresAreNone() {
    NumberGuess.Found found = FINDER.find(List.of(knife("QX", "2", "teardrop", "bone")));
    assertThat(found.guesses()).isEmpty();
    assertThat(found.unlike()).containsExactly(0);
    assertThat(FINDER.find(List.of()).guesses()).isEmpty();
  }

  private static final List<NumberedKnife> THREE =
      List.of(
          knife("214", "2", "a", "bone"),
          knife("224", "2", "b", "bone"),
          knife("315", "3", "a", "stag"));

  // All ways of three places written out, for each thing all the codes there are.
  private static void ways(
      String so, int at, List<String> left, double p, Map<String, Double> all) {
    if (at == 3) {
      all.merge(so, p, Double::sum);
      return;
    }
    for (int width = 1; at + width <= 3; width++) {
      int to = at + width;
      List<String> codes = THREE.stream().map(k -> k.number().substring(at, to)).toList();
      ways(so + "-" + width, to, left, p * 0.12 * width(width, 1) * table(codes, width), all);
      for (String look : left) {
        List<String> others = left.stream().filter(l -> !l.equals(look)).toList();
        double share = look.equals("handle") ? 0.25 : 0.28;
        double fits = width(width, look.equals("frame") ? 2 : 1) * given(codes, look, width);
        ways(so + look + width, to, others, p * share * fits, all);
      }
    }
  }

  private static double width(int is, int usual) {
    return 0.85 * Math.pow(0.15, Math.abs(is - usual));
  }

  private static double table(List<String> codes, int width) {
    double p = 1;
    for (int i = 0; i < codes.size(); i++) {
      long before = Collections.frequency(codes.subList(0, i), codes.get(i));
      p *= (before == 0 ? Math.pow(10, -width) : before) / (i + 1);
    }
    return p;
  }

  private static double given(List<String> codes, String look, int width) {
    double p = 1;
    List<String> spent = new ArrayList<>();
    for (String value : THREE.stream().map(k -> k.shows().get(look)).distinct().toList()) {
      double sum = 0;
      String last = "";
      for (int c = 0; c < (int) Math.pow(10, width); c++) {
        String code = String.format("%0" + width + "d", c);
        double itself = look.equals("blades") && width == 1 ? 0.5 : 0;
        double one = (1 - itself) * Math.pow(10, -width) + (code.equals(value) ? itself : 0);
        for (int i = 0; i < 3; i++) {
          if (THREE.get(i).shows().get(look).equals(value)) {
            one *= (codes.get(i).equals(code) ? 0.98 : 0) + 0.02 * Math.pow(10, -width);
            last = usual(codes, look, value);
          }
        }
        sum += one;
      }
      p *= sum * (spent.contains(last) ? 0.1 : 0.9);
      spent.add(last);
    }
    return p;
  }

  private static String usual(List<String> codes, String look, String value) {
    List<String> of = new ArrayList<>();
    for (int i = 0; i < 3; i++) {
      if (THREE.get(i).shows().get(look).equals(value)) {
        of.add(codes.get(i));
      }
    }
    Collections.sort(of);
    return Collections.max(of, Comparator.comparingInt(c -> Collections.frequency(of, c)));
  }

  @Test
  void sharesAreThoseOfAllWaysWrittenOut() {
    Map<String, Double> all = new HashMap<>();
    ways("", 0, List.of("blades", "frame", "handle"), 1, all);
    double sum = all.values().stream().mapToDouble(p -> p).sum();
    List<NumberGuess> guesses = FINDER.find(THREE).guesses();
    assertThat(guesses).hasSizeGreaterThan(1);
    for (NumberGuess guess : guesses) {
      StringBuilder way = new StringBuilder();
      guess
          .fields()
          .forEach(f -> way.append(f.meaning() == null ? "-" : f.meaning()).append(f.width()));
      assertThat(guess.share()).isCloseTo(all.get(way.toString()) / sum, within(1e-12));
    }
  }

  /** A scheme: its fields in order, by meaning codes, a separator or none, a letter for a bail. */
  private record Scheme(
      List<String> order, Map<String, Map<String, String>> codes, int partedAfter, boolean bail) {
    private String number(Map<String, String> knife) {
      StringBuilder out = new StringBuilder();
      if (bail && knife.get("bail").equals("wire")) {
        out.append('Q');
      }
      for (int i = 0; i < order.size(); i++) {
        out.append(codes.get(order.get(i)).get(knife.get(order.get(i))));
        out.append(i == partedAfter ? "-" : "");
      }
      return out.toString();
    }

    private boolean isFound(NumberGuess guess) {
      List<GuessedField> fields = new ArrayList<>(guess.fields());
      fields.removeIf(GuessedField::mark);
      // A letter none of the examples has cannot be found.
      if (!fields.isEmpty() && fields.get(0).optional()) {
        if (!"bail".equals(fields.get(0).meaning())) {
          return false;
        }
        fields.remove(0);
      }
      if (fields.size() != order.size()) {
        return false;
      }
      for (int i = 0; i < fields.size(); i++) {
        String is = order.get(i);
        if (!is.equals(fields.get(i).meaning())
            || fields.get(i).width() != codes.get(is).values().iterator().next().length()) {
          return false;
        }
      }
      return true;
    }
  }

  private static Scheme madeUp(Random random) {
    List<String> order = new ArrayList<>(List.of("blades", "frame", "handle"));
    Collections.shuffle(order, random);
    Map<String, Map<String, String>> codes = new TreeMap<>();
    boolean itself = random.nextBoolean();
    codes.put(
        "blades", itself ? Map.of("1", "1", "2", "2", "3", "3", "4", "4") : code(4, 1, random));
    codes.put("frame", code(10, random.nextInt(5) == 0 ? 1 : 2, random));
    codes.put("handle", code(6, 1, random));
    int parted = random.nextInt(3) == 0 ? random.nextInt(2) : -1;
    return new Scheme(order, codes, parted, random.nextInt(3) == 0);
  }

  // So many things, each with a code of its own.
  private static Map<String, String> code(int things, int width, Random random) {
    List<String> all = new ArrayList<>();
    for (int i = 0; i < (int) Math.pow(10, width); i++) {
      all.add(String.format("%0" + width + "d", i));
    }
    Collections.shuffle(all, random);
    Map<String, String> codes = new TreeMap<>();
    for (int i = 1; i <= things; i++) {
      codes.put(Integer.toString(i), all.get(i - 1));
    }
    return codes;
  }

  private static int foundAmongTwo(int examples, long seed) {
    Random random = new Random(seed);
    int found = 0;
    for (int trial = 0; trial < 100; trial++) {
      Scheme scheme = madeUp(random);
      List<NumberedKnife> knives = new ArrayList<>();
      for (int i = 0; i < examples; i++) {
        Map<String, String> knife = new HashMap<>();
        knife.put("blades", List.of("1", "2", "2", "2", "3", "4").get(random.nextInt(6)));
        knife.put("frame", Integer.toString(1 + random.nextInt(10)));
        knife.put("handle", Integer.toString(1 + random.nextInt(6)));
        knife.put("bail", random.nextInt(4) == 0 ? "wire" : "none");
        knives.add(new NumberedKnife(scheme.number(knife), knife));
      }
      List<NumberGuess> guesses = FINDER.find(knives).guesses();
      found += guesses.stream().limit(2).anyMatch(scheme::isFound) ? 1 : 0;
    }
    return found;
  }

  @Test
  void fromFiveExamplesTheRightWayIsAmongTheFirstTwoInEightyOfAHundred() {
    assertThat(foundAmongTwo(5, 11)).isGreaterThanOrEqualTo(80);
  }

  @Test
  void fromTenExamplesInNinetyFive() {
    assertThat(foundAmongTwo(10, 12)).isGreaterThanOrEqualTo(95);
  }
}
