package snikra.core.induction;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import snikra.core.code.CodeScheme;
import snikra.core.code.CodeScheme.Kind;
import snikra.core.code.Sign;

class CodeFinderTest {
  private static final String ALL = "ABCDEFGHIJKLMNOPQRSTUVWXYZ";
  private static final String NO_J = "ABCDEFGHIKLMNOPQRSTUVWXYZ";

  static ExampleBook book() {
    return new ExampleBook(
        List.of(
            new ExampleBook.FieldHabit("blades", 1, 0.28, 0.5),
            new ExampleBook.FieldHabit("frame", 2, 0.28, null),
            new ExampleBook.FieldHabit("handle", 1, 0.25, null)),
        0.04,
        0.5,
        0.12,
        0.15,
        3,
        0.1,
        0.02,
        List.of(
            new ExampleBook.KindHabit(Kind.COUNT_DOWN, 0.2, "one fewer"),
            new ExampleBook.KindHabit(Kind.COUNT_UP, 0.2, "one more"),
            new ExampleBook.KindHabit(Kind.YEAR_FIGURES, 0.2, "figures"),
            new ExampleBook.KindHabit(Kind.CYCLE, 0.25, "letters"),
            new ExampleBook.KindHabit(Kind.TABLE, 0.15, "whatever")),
        List.of(
            new ExampleBook.Alphabet(ALL, 0.6, "all"),
            new ExampleBook.Alphabet(NO_J, 0.4, "no J")));
  }

  private static CodeGuess.Found find(Sign sign, DatedCode... examples) {
    return new CodeFinder(book()).find(sign, List.of(examples));
  }

  private static DatedCode code(String written, int from, int to) {
    return new DatedCode(written, from, to);
  }

  @Test
  void threeCountsThatFallByOneAYearAreACountDown() {
    CodeGuess best =
        find(Sign.BAR, code("8", 1949, 1949), code("5", 1951, 1953), code("3", 1953, 1956))
            .guesses()
            .get(0);
    assertThat(best.kind()).isEqualTo(Kind.COUNT_DOWN);
    assertThat(best.start()).isEqualTo(8);
    assertThat(best.from()).isEqualTo(1949);
    assertThat(best.to()).isEqualTo(1954);
    assertThat(best.share()).isGreaterThan(0.9);
    assertThat(best.years())
        .hasSize(6)
        .last()
        .extracting(CodeGuess.YearOf::codes)
        .isEqualTo(List.of("3"));
  }

  @Test
  void twoCountsLeaveMoreOpenThanThree() {
    double two =
        find(Sign.RING, code("1", 1957, 1957), code("3", 1959, 1959)).guesses().get(0).share();
    double three =
        find(Sign.RING, code("1", 1957, 1957), code("3", 1959, 1959), code("6", 1962, 1962))
            .guesses()
            .get(0)
            .share();
    assertThat(three).isGreaterThan(two);
  }

  @Test
  void theLastFiguresOfTheYearAreNoCount() {
    CodeGuess best =
        find(Sign.FIGURE, code("19", 1918, 1920), code("23", 1923, 1923), code("27", 1925, 1930))
            .guesses()
            .get(0);
    assertThat(best.kind()).isEqualTo(Kind.YEAR_FIGURES);
    assertThat(best.figures()).isEqualTo(2);
  }

  @Test
  void lettersTellWhichOfThemWereLeftOut() {
    CodeGuess best =
        find(Sign.LETTER, code("A", 1921, 1921), code("H", 1928, 1928), code("K", 1930, 1930))
            .guesses()
            .get(0);
    assertThat(best.kind()).isEqualTo(Kind.CYCLE);
    assertThat(best.letters()).hasSize(25).doesNotContain("J").startsWith("A", "B");
    assertThat(best.why()).isEqualTo("letters no J");
  }

  @Test
  void smallLettersAreACycleOfSmallLetters() {
    CodeGuess best =
        find(Sign.LETTER, code("a", 1921, 1921), code("h", 1928, 1928), code("k", 1930, 1930))
            .guesses()
            .get(0);
    assertThat(best.letters()).startsWith("a", "b").doesNotContain("j");
  }

  @Test
  void whatFollowsNoRuleIsATableOfWhatIsKnown() {
    CodeGuess best =
        find(
                Sign.CROSS,
                code("1", 1952, 1952),
                code("2", 1960, 1960),
                code("3", 1955, 1955),
                code("2", 1960, 1961))
            .guesses()
            .get(0);
    assertThat(best.kind()).isEqualTo(Kind.TABLE);
    assertThat(best.table())
        .isEqualTo(Map.of("1", List.of(1952), "2", List.of(1960), "3", List.of(1955)));
  }

  @Test
  void oneThatDoesNotGoWithTheOthersIsNamed() {
    CodeGuess best =
        find(
                Sign.BAR,
                code("9", 1948, 1948),
                code("7", 1950, 1950),
                code("4", 1970, 1972),
                code("5", 1952, 1952),
                code("2", 1955, 1955))
            .guesses()
            .get(0);
    assertThat(best.kind()).isEqualTo(Kind.COUNT_DOWN);
    assertThat(best.odd()).containsExactly(2);
  }

  @Test
  void whereTwoWaysAreOpenACodeIsNamedThatSettlesIt() {
    CodeGuess.Found found =
        find(Sign.LETTER, code("A", 1921, 1921), code("C", 1923, 1923), code("F", 1926, 1926));
    assertThat(found.guesses()).hasSizeGreaterThan(1);
    assertThat(found.settling()).isNotNull();
    assertThat(found.settling().first()).isNotEqualTo(found.settling().second());
  }

  @Test
  void whatIsKnownOfItsUseReachesFurtherThanTheExamples() {
    CodeGuess best =
        new CodeFinder(book())
            .find(
                Sign.BAR,
                List.of(code("8", 1949, 1949), code("5", 1952, 1952), code("6", 1951, 1951)),
                new CodeFinder.Use(1946, 1960))
            .guesses()
            .get(0);
    assertThat(best.start()).isEqualTo(11);
    assertThat(best.years()).last().isEqualTo(new CodeGuess.YearOf(1956, List.of("1")));
    assertThat(best.to()).isEqualTo(1960);
  }

  @Test
  void nothingGivenIsNoWay() {
    assertThat(find(Sign.BAR).guesses()).isNotEmpty();
    assertThat(find(Sign.PLACEMENT, code("left", 1950, 1952)).guesses())
        .extracting(CodeGuess::kind)
        .containsExactly(Kind.TABLE);
  }

  // Made-up schemes, six dated codes of each, their years known within three. Windows leave phase
  // and letters of
  // some cycles open; then nobody can have the right one first each time, and the shares must say
  // so.
  @ParameterizedTest
  @EnumSource(value = Kind.class, names = "TABLE", mode = EnumSource.Mode.EXCLUDE)
  void ofMadeUpSchemesTheRightOneIsAmongTheFirstTwoAndSharesAreHonest(Kind kind) {
    Random random = new Random(kind.toString().length() + 41L);
    int first = 0;
    int amongTwo = 0;
    double told = 0;
    for (int trial = 0; trial < 100; trial++) {
      CodeScheme scheme = madeUp(kind, random);
      List<CodeGuess> guesses =
          new CodeFinder(book()).find(scheme.sign(), examples(scheme, random)).guesses();
      first += isOf(guesses.get(0), scheme) ? 1 : 0;
      amongTwo += guesses.stream().limit(2).anyMatch(g -> isOf(g, scheme)) ? 1 : 0;
      told += guesses.get(0).share();
    }
    assertThat(amongTwo).isGreaterThanOrEqualTo(95);
    assertThat((double) first).isBetween(told - 15, told + 15).isGreaterThan(65);
  }

  private static List<DatedCode> examples(CodeScheme scheme, Random random) {
    List<DatedCode> examples = new ArrayList<>();
    for (int i = 0; i < 6; i++) {
      int year = scheme.from() + random.nextInt(scheme.to() - scheme.from() + 1);
      int from = year - random.nextInt(3);
      String code = scheme.codes(year).get(0);
      examples.add(new DatedCode(code, from, Math.max(year, from + random.nextInt(3))));
    }
    return examples;
  }

  private static boolean isOf(CodeGuess guess, CodeScheme scheme) {
    return guess.kind() == scheme.kind()
        && guess.years().stream().allMatch(y -> scheme.codes(y.year()).equals(y.codes()));
  }

  private static CodeScheme madeUp(Kind kind, Random random) {
    int from = 1890 + random.nextInt(60);
    return switch (kind) {
      case COUNT_DOWN ->
          scheme(Sign.BAR, kind, from, from + 9, 10 + random.nextInt(3), List.of(), null);
      case COUNT_UP -> scheme(Sign.RING, kind, from, from + 11, 1, List.of(), null);
      case YEAR_FIGURES -> scheme(Sign.FIGURE, kind, from, from + 15, null, List.of(), 2);
      case CYCLE, TABLE ->
          scheme(
              Sign.LETTER,
              kind,
              from,
              from + 18,
              null,
              List.of((random.nextBoolean() ? ALL : NO_J).split("")),
              null);
    };
  }

  private static CodeScheme scheme(
      Sign sign,
      Kind kind,
      int from,
      int to,
      Integer start,
      List<String> letters,
      Integer figures) {
    return new CodeScheme(
        "x", "X", sign, kind, from, to, start, letters, figures, Map.of(), "made up", "nobody");
  }
}
