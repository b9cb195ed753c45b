package snikra.benchmarks;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import snikra.core.clue.Clue;
import snikra.core.pattern.Pattern;
import snikra.core.reference.ReferenceShelf;
import snikra.core.search.Card;
import snikra.core.search.CardIndex;
import snikra.core.search.Facet;
import snikra.formats.ShippedShelf;

/**
 * Puts so many made-up cards into an index and prints how long that takes, what it weighs, and how
 * long searches take that are typed letter by letter, ticked, misspelt or ask for years and sizes.
 */
public final class SearchReport {
  private static final int ROUNDS = 40;
  private static final int WARM = 10;
  private static final double MAY_BE = 0.05;
  private static final int WORDS = 20_000;
  private static final int SEED = 5;

  private SearchReport() {}

  public static void main(String[] args) {
    int[] sizes =
        args.length > 0
            ? Arrays.stream(args).mapToInt(Integer::parseInt).toArray()
            : new int[] {1000, 10_000, 100_000};
    for (int n : sizes) {
      measure(n);
    }
  }

  private static void measure(int n) {
    List<Card> all = cards(n);
    long before = heap();
    long begin = System.nanoTime();
    CardIndex index = new CardIndex();
    all.forEach(index::put);
    double put = (System.nanoTime() - begin) / 1e9;
    long weighs = heap() - before;
    List<Double> sets = new ArrayList<>();
    List<Double> byCard = new ArrayList<>();
    for (int round = 0; round < WARM + ROUNDS; round++) {
      for (Asked asked : SEARCHES) {
        long from = System.nanoTime();
        index.find(asked.words, asked.ticked, MAY_BE);
        if (round >= WARM) {
          (asked.isByCard ? byCard : sets).add((System.nanoTime() - from) / 1e6);
        }
      }
    }
    sets.sort(null);
    byCard.sort(null);
    long changed = System.nanoTime();
    for (int i = 0; i < ROUNDS; i++) {
      index.put(all.get(i));
    }
    System.out.printf(
        Locale.ROOT,
        "%,d knives: indexed in %.2f s, %d MB; words and facets %.1f ms in the middle, %.1f at 95 in"
            + " a hundred; years, lengths and prices %.1f and %.1f ms; one card again %.2f ms%n",
        n,
        put,
        weighs >> 20,
        at(sets, 0.5),
        at(sets, 0.95),
        at(byCard, 0.5),
        at(byCard, 0.95),
        (System.nanoTime() - changed) / 1e6 / ROUNDS);
  }

  /**
   * A search.
   *
   * @param isByCard whether cards are read one by one
   */
  private record Asked(String words, Map<Facet, Set<String>> ticked, boolean isByCard) {}

  private static final List<Asked> SEARCHES =
      List.of(
          asked(""),
          asked("j"),
          asked("ja"),
          asked("jack"),
          asked("jack bone"),
          asked("jack bone before 1930"),
          asked("1895-1910 3 to 4 in"),
          asked("handle stag two blades"),
          asked("congres"),
          asked("wharnclif stag"),
          asked("over 100 GBP"),
          new Asked("jack", Map.of(Facet.COUNTRY, Set.of("Germany")), false),
          new Asked(
              "",
              Map.of(Facet.DECADE, Set.of("1900s", "1910s"), Facet.MAKER, Set.of("Maker 7")),
              false));

  private static Asked asked(String words) {
    return new Asked(words, Map.of(), words.matches(".*\\d.*"));
  }

  private static double at(List<Double> sorted, double share) {
    return sorted.get((int) Math.min(sorted.size() - 1, share * sorted.size()));
  }

  private static long heap() {
    System.gc();
    Runtime runtime = Runtime.getRuntime();
    return runtime.totalMemory() - runtime.freeMemory();
  }

  private static List<Card> cards(int n) {
    ReferenceShelf shelf = ShippedShelf.load();
    List<Pattern> patterns = shelf.patterns().patterns();
    List<String> handles =
        shelf.clues().feature("handle_material").orElseThrow().clues().stream()
            .map(Clue::label)
            .toList();
    Random random = new Random(SEED);
    List<Card> all = new ArrayList<>();
    for (int i = 1; i <= n; i++) {
      all.add(card(i, patterns.get(random.nextInt(patterns.size())), handles, random));
    }
    return all;
  }

  // Words of one's own are drawn as they are in speech: few very often, most of them seldom.
  private static String word(Random random) {
    return "word" + (int) Math.pow(WORDS, random.nextDouble());
  }

  private static Card card(int number, Pattern pattern, List<String> handles, Random random) {
    List<String> words = new ArrayList<>(List.of(pattern.name(), "Knife of " + word(random)));
    pattern.alsoCalled().forEach(a -> words.add(a.name()));
    words.add(word(random) + " " + word(random) + " " + word(random) + " " + word(random));
    int decade = 1840 + 10 * random.nextInt(15);
    double low = 10 + random.nextInt(400);
    return new Card(
        number,
        words,
        Map.of(
            Facet.FAMILY, List.of(pattern.family()),
            Facet.PATTERN, List.of(pattern.name()),
            Facet.MAKER, List.of("Maker " + (int) Math.pow(600, random.nextDouble())),
            Facet.COUNTRY,
                List.of(List.of("United States", "Germany", "France").get(random.nextInt(3))),
            Facet.DECADE, List.of(decade + "s"),
            Facet.HANDLE, List.of(handles.get(random.nextInt(handles.size()))),
            Facet.BLADES, List.of(1 + random.nextInt(4) + " blades"),
            Facet.GRADE, List.of(List.of("Mint", "Good", "Poor").get(random.nextInt(3))),
            Facet.PLACE, List.of("Place " + (int) Math.pow(2000, random.nextDouble()))),
        decade - 10,
        List.of(0.1, 0.3, 0.35, 0.2, 0.05),
        60 + 60 * random.nextDouble(),
        low,
        2 * low,
        "GBP",
        List.of());
  }
}
