package snikra.core.induction;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import snikra.core.code.CodeScheme.Kind;
import snikra.core.code.Sign;

/**
 * How a maker's date codes go with years, from a few of known years. Each rule, with each of its
 * starting points as likely as the next, is weighed by how the years of the examples go with it; a
 * table that gives each code a year of its own goes with any examples, and pays for it by leaving
 * each of those years to chance.
 */
public final class CodeFinder {
  private static final int TOLD = 4;

  /** What is less likely than this is not told. */
  private static final double WORTH_TELLING = 0.005;

  /** A scheme may begin or end so long before or after the examples. */
  private static final int REACH = 30;

  private final ExampleBook book;

  public CodeFinder(ExampleBook book) {
    this.book = book;
  }

  /** A rule: the years a code may be of between the first and last the examples allow. */
  private record Rule(Kind kind, int anchor, String alphabet, String why, double prior) {
    private boolean strikes(String code, int year) {
      return switch (kind) {
        case COUNT_DOWN -> count(code) == anchor - year;
        case COUNT_UP -> count(code) == year - anchor;
        case YEAR_FIGURES -> Integer.toString(year).endsWith(code) && code.length() == anchor;
        case CYCLE ->
            code.equals(
                alphabet.substring(
                    Math.floorMod(year - anchor, alphabet.length()),
                    Math.floorMod(year - anchor, alphabet.length()) + 1));
        case TABLE -> false;
      };
    }
  }

  private static boolean isSmall(String code) {
    return code.equals(code.toLowerCase(Locale.ROOT));
  }

  private String why(Kind kind) {
    return book.habit(kind).why();
  }

  private static int count(String code) {
    return code.matches("[1-9][0-9]?") ? Integer.parseInt(code) : Integer.MIN_VALUE;
  }

  /** The likeliest ways the codes go with years, as far as the examples reach. */
  public CodeGuess.Found find(Sign sign, List<DatedCode> examples) {
    return find(sign, examples, Use.OPEN);
  }

  /**
   * When the codes were in use, as far as that is known besides.
   *
   * @param from null where the first example tells it
   * @param to null where the last does
   */
  public record Use(@Nullable Integer from, @Nullable Integer to) {
    static final Use OPEN = new Use(null, null);
  }

  /** The likeliest ways the codes go with years. */
  public CodeGuess.Found find(Sign sign, List<DatedCode> examples, Use use) {
    int first = examples.stream().mapToInt(DatedCode::from).min().orElse(0);
    int last = examples.stream().mapToInt(DatedCode::to).max().orElse(0);
    int span = last - first + 1 + REACH;
    List<Weighed> all = new ArrayList<>();
    for (Rule rule : rules(sign, examples, first, span)) {
      double likely = rule.prior;
      for (DatedCode example : examples) {
        likely *= given(example, years(rule, example.written(), first, last), span);
      }
      all.add(new Weighed(rule, likely));
    }
    all.add(
        new Weighed(
            new Rule(Kind.TABLE, 0, "", why(Kind.TABLE), book.habit(Kind.TABLE).share()),
            table(examples, first, last, span)));
    double sum = all.stream().mapToDouble(Weighed::likely).sum();
    List<Weighed> likeliest =
        all.stream()
            .sorted(Comparator.comparingDouble(w -> -w.likely))
            .limit(TOLD)
            .filter(w -> w.likely >= WORTH_TELLING * sum)
            .toList();
    List<CodeGuess> guesses =
        likeliest.stream()
            .map(w -> guess(w.rule, w.likely / sum, examples, first, last, use))
            .toList();
    Set<String> shown = examples.stream().map(DatedCode::written).collect(Collectors.toSet());
    return new CodeGuess.Found(guesses, settling(likeliest, guesses, shown));
  }

  private record Weighed(Rule rule, double likely) {}

  private List<Rule> rules(Sign sign, List<DatedCode> examples, int first, int span) {
    List<Rule> rules = new ArrayList<>();
    if (sign.isCounted() || sign == Sign.FIGURE) {
      for (Kind kind : List.of(Kind.COUNT_DOWN, Kind.COUNT_UP)) {
        examples.stream()
            .filter(e -> count(e.written()) > 0)
            .flatMapToInt(
                e ->
                    IntStream.rangeClosed(e.from(), e.to())
                        .map(
                            y ->
                                kind == Kind.COUNT_UP
                                    ? y - count(e.written())
                                    : y + count(e.written())))
            .distinct()
            .forEach(
                a -> rules.add(new Rule(kind, a, "", why(kind), book.habit(kind).share() / span)));
      }
    }
    if (sign == Sign.FIGURE) {
      int longest = examples.stream().mapToInt(e -> e.written().length()).max().orElse(1);
      rules.add(
          new Rule(
              Kind.YEAR_FIGURES,
              longest,
              "",
              why(Kind.YEAR_FIGURES),
              book.habit(Kind.YEAR_FIGURES).share()));
    }
    if (sign == Sign.LETTER) {
      boolean small = examples.stream().allMatch(e -> isSmall(e.written()));
      for (ExampleBook.Alphabet alphabet : book.alphabets()) {
        String letters = small ? alphabet.letters().toLowerCase(Locale.ROOT) : alphabet.letters();
        int n = letters.length();
        for (int a = 0; a < n; a++) {
          double prior = book.habit(Kind.CYCLE).share() * alphabet.share() / n;
          rules.add(
              new Rule(
                  Kind.CYCLE, first + a, letters, why(Kind.CYCLE) + " " + alphabet.why(), prior));
        }
      }
    }
    return rules;
  }

  private static int[] years(Rule rule, String code, int first, int last) {
    return IntStream.rangeClosed(first, last).filter(y -> rule.strikes(code, y)).toArray();
  }

  // P(its years are these | the code, these years of it), all of a span being one.
  private double given(DatedCode example, int[] years, int span) {
    double right = 0;
    for (int year : years) {
      right += example.mayBeOf(year) ? 1.0 / years.length : 0;
    }
    return (1 - book.slip()) * right + book.slip() * example.years() / span;
  }

  // Each code has one year of its own, any of them as likely as the next.
  private double table(List<DatedCode> examples, int first, int last, int span) {
    Map<String, List<DatedCode>> byCode = new HashMap<>();
    examples.forEach(e -> byCode.computeIfAbsent(e.written(), c -> new ArrayList<>()).add(e));
    double likely = book.habit(Kind.TABLE).share();
    for (List<DatedCode> same : byCode.values()) {
      double sum = 0;
      for (int year = first; year <= last; year++) {
        double all = 1;
        for (DatedCode example : same) {
          all *= given(example, new int[] {year}, span);
        }
        sum += all / span;
      }
      likely *= sum;
    }
    return likely;
  }

  private static CodeGuess guess(
      Rule rule, double share, List<DatedCode> examples, int first, int last, Use use) {
    if (rule.kind == Kind.TABLE) {
      return tabled(rule.why, share, examples);
    }
    List<Integer> odd = new ArrayList<>();
    TreeSet<Integer> reached = new TreeSet<>();
    for (int i = 0; i < examples.size(); i++) {
      DatedCode example = examples.get(i);
      int[] may =
          IntStream.of(years(rule, example.written(), first, last))
              .filter(example::mayBeOf)
              .toArray();
      if (may.length == 0) {
        odd.add(i);
      } else {
        reached.add(may[0]);
      }
    }
    int from = use.from != null ? use.from : reached.isEmpty() ? first : reached.first();
    int to = use.to != null ? use.to : reached.isEmpty() ? last : reached.last();
    boolean counts = rule.kind == Kind.COUNT_DOWN || rule.kind == Kind.COUNT_UP;
    List<CodeGuess.YearOf> years =
        IntStream.rangeClosed(from, to)
            .filter(y -> !counts || count(struck(rule, y)) > 0)
            .mapToObj(y -> new CodeGuess.YearOf(y, List.of(struck(rule, y))))
            .toList();
    List<String> letters =
        rule.kind == Kind.CYCLE
            ? IntStream.range(0, rule.alphabet.length())
                .mapToObj(i -> struck(rule, from + i))
                .toList()
            : List.of();
    return new CodeGuess(
        rule.kind,
        from,
        to,
        counts ? (Integer) Math.max(0, counted(rule, from)) : null,
        letters,
        rule.kind == Kind.YEAR_FIGURES ? rule.anchor : null,
        Map.of(),
        share,
        odd,
        years,
        rule.why);
  }

  private static int counted(Rule rule, int year) {
    return rule.kind == Kind.COUNT_DOWN ? rule.anchor - year : year - rule.anchor;
  }

  private static String struck(Rule rule, int year) {
    return switch (rule.kind) {
      case COUNT_DOWN, COUNT_UP -> Integer.toString(counted(rule, year));
      case YEAR_FIGURES -> {
        String all = Integer.toString(year);
        yield all.substring(Math.max(0, all.length() - rule.anchor));
      }
      case CYCLE ->
          String.valueOf(
              rule.alphabet.charAt(Math.floorMod(year - rule.anchor, rule.alphabet.length())));
      case TABLE -> "";
    };
  }

  // The years a code may be of are those all its examples allow; where none are, those of the
  // first.
  private static CodeGuess tabled(String why, double share, List<DatedCode> examples) {
    Map<String, List<Integer>> table = new TreeMap<>();
    List<Integer> odd = new ArrayList<>();
    for (int i = 0; i < examples.size(); i++) {
      DatedCode e = examples.get(i);
      List<Integer> may = IntStream.rangeClosed(e.from(), e.to()).boxed().toList();
      List<Integer> so = table.get(e.written());
      List<Integer> both = so == null ? may : so.stream().filter(may::contains).toList();
      if (both.isEmpty()) {
        odd.add(i);
      } else {
        table.put(e.written(), both);
      }
    }
    Map<Integer, List<String>> byYear = new TreeMap<>();
    table.forEach(
        (code, years) ->
            years.forEach(y -> byYear.computeIfAbsent(y, k -> new ArrayList<>()).add(code)));
    List<CodeGuess.YearOf> years =
        byYear.entrySet().stream()
            .map(e -> new CodeGuess.YearOf(e.getKey(), List.copyOf(e.getValue())))
            .toList();
    int from = years.stream().mapToInt(CodeGuess.YearOf::year).min().orElse(0);
    int to = years.stream().mapToInt(CodeGuess.YearOf::year).max().orElse(0);
    return new CodeGuess(
        Kind.TABLE, from, to, null, List.of(), null, table, share, odd, years, why);
  }

  // A code nobody has shown yet, of the years the examples reach if there is one, whose years by
  // the two likeliest are
  // farthest apart.
  private static CodeGuess.@Nullable Settling settling(
      List<Weighed> likeliest, List<CodeGuess> guesses, Set<String> shown) {
    if (guesses.size() < 2) {
      return null;
    }
    CodeGuess first = guesses.get(0);
    CodeGuess.Settling best = null;
    int most = 0;
    for (int year = first.from(); year <= first.to() + REACH; year++) {
      if (best != null && year > first.to()) {
        break;
      }
      for (String code : struck(likeliest.get(0).rule, first, year)) {
        Integer other = nearest(likeliest.get(1).rule, guesses.get(1), code, year);
        int apart = other == null ? 1 : 2 * Math.abs(other - year);
        if (apart > most && !shown.contains(code)) {
          most = apart;
          best = new CodeGuess.Settling(code, year, other);
        }
      }
    }
    return best;
  }

  private static List<String> struck(Rule rule, CodeGuess guess, int year) {
    if (rule.kind == Kind.TABLE) {
      return guess.years().stream()
          .filter(y -> y.year() == year)
          .flatMap(y -> y.codes().stream())
          .toList();
    }
    String code = struck(rule, year);
    boolean counts = rule.kind == Kind.COUNT_DOWN || rule.kind == Kind.COUNT_UP;
    return counts && count(code) < 1 ? List.of() : List.of(code);
  }

  private static @Nullable Integer nearest(Rule rule, CodeGuess guess, String code, int year) {
    return IntStream.rangeClosed(guess.from() - REACH, guess.to() + REACH)
        .filter(y -> struck(rule, guess, y).contains(code))
        .boxed()
        .min(Comparator.comparingInt(y -> Math.abs(y - year)))
        .orElse(null);
  }
}
