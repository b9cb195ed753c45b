package snikra.core.search;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.BiPredicate;
import java.util.function.Function;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import snikra.core.measure.Length;

/** Reads a search: years, lengths, prices and named facets first, and the rest word by word. */
final class Ask {
  private static final String LENGTH =
      "((?:\\d+[ -])?\\d+(?:/\\d+|[.,]\\d+)?)(?: ?(in|inch|inches|mm|cm|\")(?![\\p{L}]))";
  private static final String BARE = "((?:\\d+[ -])?\\d+(?:/\\d+|[.,]\\d+)?)(?: ?(?:in|mm|cm|\"))?";
  private static final String MONEY =
      "(?:(gbp|usd|eur|chf|[£$€]) ?(\\d+)|(\\d+) ?(gbp|usd|eur|chf|[£$€]))";
  private static final String YEAR = "(1[5-9]\\d\\d|20\\d\\d)";
  private static final Map<String, String> CURRENCIES = Map.of("£", "GBP", "$", "USD", "€", "EUR");
  private static final Map<String, Integer> NUMBERS =
      Map.of("one", 1, "two", 2, "three", 3, "four", 4, "five", 5, "six", 6);

  /** A length that is named without "under" or "over" is met this closely: a thirty-second. */
  private static final double ABOUT_MM = 25.4 / 32;

  private static final Pattern WORD = Pattern.compile("[^\\s,;]+");

  /** How a kind of phrase is written, and what it asks; null where it only looked like one. */
  private record Form(Pattern written, Function<MatchResult, @Nullable Condition> read) {}

  private static final List<Form> FORMS =
      List.of(
          form("before " + YEAR, m -> new Condition.Years(null, year(m, 1) - 1)),
          form("(?:after|since) " + YEAR, m -> new Condition.Years(year(m, 1) + 1, null)),
          form(YEAR + " ?(?:-|–|to|until) ?" + YEAR, m -> years(year(m, 1), year(m, 2))),
          form(
              "(?:in |the )?(1[5-9]\\d|20\\d)0s", m -> years(10 * year(m, 1), 10 * year(m, 1) + 9)),
          form("(?:in |from )?" + YEAR + "(?![\\d/.])", m -> years(year(m, 1), year(m, 1))),
          form("(?:under|below|up to) " + MONEY, m -> prices(0, amount(m, 1), m, 1)),
          form(
              "(?:over|above|at least) " + MONEY,
              m -> prices(amount(m, 1), Double.MAX_VALUE, m, 1)),
          form("(?:under|below|shorter than|up to) " + LENGTH, m -> lengths(0, mm(m, 1, 2))),
          form(
              "(?:over|above|longer than|at least) " + LENGTH,
              m -> lengths(mm(m, 1, 2), Length.MAX_MM)),
          form(BARE + " ?(?:-|–|to) ?" + LENGTH, m -> lengths(mm(m, 1, 3), mm(m, 2, 3))),
          form("(?:about )?" + LENGTH, m -> about(mm(m, 1, 2))),
          form(
              "(one|two|three|four|five|six|\\d) ?-?blades?",
              m -> new Condition.Of(Facet.BLADES, List.of(count(m.group(1))))));

  private final Map<Facet, List<List<String>>> values;

  /**
   * A reader.
   *
   * @param values of each facet, as the words they consist of
   */
  Ask(Map<Facet, List<List<String>>> values) {
    this.values = values;
  }

  /** All phrases of a search in their order; of words only what they are. */
  List<Phrase> read(String search) {
    String lower = search.toLowerCase(Locale.ROOT);
    List<Phrase> phrases = new ArrayList<>();
    for (Form form : FORMS) {
      Matcher m = form.written.matcher(lower);
      while (m.find()) {
        Condition asked =
            phrases.stream().anyMatch(p -> p.from() < m.end() && m.start() < p.to())
                ? null
                : form.read.apply(m.toMatchResult());
        if (asked != null) {
          phrases.add(new Phrase(m.start(), m.end(), asked));
        }
      }
    }
    words(lower, phrases);
    phrases.sort(Comparator.comparingInt(Phrase::from));
    return phrases;
  }

  private void words(String lower, List<Phrase> phrases) {
    List<MatchResult> free =
        WORD.matcher(lower)
            .results()
            .filter(w -> phrases.stream().noneMatch(p -> p.from() < w.end() && w.start() < p.to()))
            .toList();
    int at = 0;
    while (at < free.size()) {
      Phrase named = named(free, at);
      if (named == null) {
        MatchResult word = free.get(at);
        for (String w : Words.of(word.group())) {
          phrases.add(new Phrase(word.start(), word.end(), new Condition.Said(w, null, true)));
        }
        at++;
      } else {
        phrases.add(named);
        while (at < free.size() && free.get(at).start() < named.to()) {
          at++;
        }
      }
    }
  }

  // "handle stag": the name of a facet, and as many words after it as are together in one value.
  private @Nullable Phrase named(List<MatchResult> free, int at) {
    for (Facet facet : Facet.values()) {
      for (String name : facet.words()) {
        int begins = at + name.split(" ", -1).length;
        List<String> asked = new ArrayList<>();
        int end = begins;
        if (isNamed(free, at, name)) {
          while (end < free.size() && isValue(facet, asked, free.get(end).group())) {
            asked.addAll(Words.of(free.get(end).group()));
            end++;
          }
        }
        if (end > begins) {
          return new Phrase(
              free.get(at).start(), free.get(end - 1).end(), new Condition.Of(facet, asked));
        }
      }
    }
    return null;
  }

  private static boolean isNamed(List<MatchResult> free, int at, String name) {
    String[] parts = name.split(" ", -1);
    for (int i = 0; i < parts.length; i++) {
      if (at + i >= free.size() || !free.get(at + i).group().replace(":", "").equals(parts[i])) {
        return false;
      }
    }
    return true;
  }

  private boolean isValue(Facet facet, List<String> before, String word) {
    List<String> asked = new ArrayList<>(before);
    asked.addAll(Words.of(word));
    return !asked.equals(before)
        && values.getOrDefault(facet, List.of()).stream().anyMatch(v -> HAS_ALL.test(v, asked));
  }

  /** Whether each word asked for begins one of a value. */
  static final BiPredicate<List<String>, List<String>> HAS_ALL =
      (value, asked) -> asked.stream().allMatch(a -> value.stream().anyMatch(v -> v.startsWith(a)));

  private static Form form(String written, Function<MatchResult, @Nullable Condition> read) {
    return new Form(Pattern.compile("(?<![\\p{L}\\d/.])" + written + "(?![\\p{L}\\d])"), read);
  }

  private static int year(MatchResult m, int group) {
    return Integer.parseInt(m.group(group));
  }

  private static Condition years(int from, int to) {
    return new Condition.Years(Math.min(from, to), Math.max(from, to));
  }

  private static String count(String written) {
    return String.valueOf(NUMBERS.getOrDefault(written, written.charAt(0) - '0'));
  }

  private static double amount(MatchResult m, int group) {
    String first = m.group(group + 1);
    return Double.parseDouble(first == null ? m.group(group + 2) : first);
  }

  private static Condition prices(double from, double to, MatchResult m, int group) {
    String said = m.group(group) == null ? m.group(group + 3) : m.group(group);
    return new Condition.Prices(
        from, to, CURRENCIES.getOrDefault(said, said.toUpperCase(Locale.ROOT)));
  }

  private static @Nullable Double mm(MatchResult m, int group, int unit) {
    String number = m.group(group).replace(',', '.').replace('-', ' ');
    try {
      return switch (m.group(unit)) {
        case "mm" -> Length.parse(number + " mm").mm();
        case "cm" -> 10 * Length.parse(number + " mm").mm();
        default -> Length.parse(number + " in").mm();
      };
    } catch (IllegalArgumentException e) {
      // 3/0 in, or longer than any knife: then these are words.
      return null;
    }
  }

  private static @Nullable Condition lengths(@Nullable Double from, @Nullable Double to) {
    return from == null || to == null
        ? null
        : new Condition.Lengths(Math.min(from, to), Math.max(from, to));
  }

  private static @Nullable Condition lengths(int from, @Nullable Double to) {
    return lengths(Double.valueOf(from), to);
  }

  private static @Nullable Condition lengths(@Nullable Double from, double to) {
    return lengths(from, Double.valueOf(to));
  }

  private static @Nullable Condition about(@Nullable Double mm) {
    return mm == null ? null : new Condition.Lengths(mm - ABOUT_MM, mm + ABOUT_MM);
  }
}
