package snikra.core.search;

import static java.util.Comparator.comparing;
import static java.util.Comparator.comparingInt;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.NavigableMap;
import java.util.Objects;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.BiPredicate;
import java.util.function.Predicate;
import org.apache.commons.text.similarity.LevenshteinDistance;
import org.jspecify.annotations.Nullable;
import org.roaringbitmap.RoaringBitmap;

/**
 * The cards of a collection, found by words, years, lengths, prices and facets. Kept in memory: for
 * each word and each value it holds a set of places, so that a search is a few set operations,
 * however many knives there are. Safe for many threads.
 */
public final class CardIndex {
  private static final int SHORT = 4;
  private static final int LONG = 8;

  private final Map<Integer, Integer> places = new HashMap<>();
  private final List<@Nullable Card> cards = new ArrayList<>();
  private final RoaringBitmap there = new RoaringBitmap();
  private final NavigableMap<String, RoaringBitmap> words = new TreeMap<>();
  private final Set<String> worn = new TreeSet<>();
  private final Map<Facet, NavigableMap<String, Having>> facets = new EnumMap<>(Facet.class);

  /** The knives that have a value of a facet, and the words it consists of. */
  private record Having(List<String> words, RoaringBitmap places) {}

  /** How many cards there are. */
  public synchronized int size() {
    return there.getCardinality();
  }

  /** The cards of these numbers, in their order, as far as they are there. */
  public synchronized List<Card> cards(Collection<Integer> numbers) {
    return numbers.stream()
        .map(places::get)
        .filter(Objects::nonNull)
        .map(cards::get)
        .filter(Objects::nonNull)
        .toList();
  }

  /** Puts a card in, in the place of the one of the same number. */
  public synchronized void put(Card card) {
    Integer old = places.get(card.number());
    if (old == null) {
      old = cards.size();
      cards.add(card);
      places.put(card.number(), old);
    } else {
      clear(old);
      cards.set(old, card);
    }
    int place = old;
    there.add(place);
    for (String word : wordsOf(card)) {
      words.computeIfAbsent(word, w -> new RoaringBitmap()).add(place);
      if (Words.isWorn(word)) {
        worn.add(word);
      }
    }
    card.facets()
        .forEach((facet, values) -> values.forEach(v -> having(facet, v).places().add(place)));
  }

  private Having having(Facet facet, String value) {
    return facets
        .computeIfAbsent(facet, f -> new TreeMap<>())
        .computeIfAbsent(value, v -> new Having(Words.of(v), new RoaringBitmap()));
  }

  /** Takes the card of a number out, if it is there. */
  public synchronized void remove(int number) {
    Integer place = places.get(number);
    if (place != null) {
      clear(place);
    }
  }

  private void clear(int place) {
    Card old = cards.get(place);
    if (old == null) {
      return;
    }
    there.remove(place);
    cards.set(place, null);
    for (String word : wordsOf(old)) {
      RoaringBitmap all = words.get(word);
      all.remove(place);
      if (all.isEmpty()) {
        words.remove(word);
        worn.remove(word);
      }
    }
    old.facets().forEach((facet, values) -> values.forEach(v -> drop(facet, v, place)));
  }

  private void drop(Facet facet, String value, int place) {
    RoaringBitmap all = having(facet, value).places();
    all.remove(place);
    if (all.isEmpty()) {
      facets.get(facet).remove(value);
    }
  }

  private static Set<String> wordsOf(Card card) {
    Set<String> all = new TreeSet<>();
    card.words().forEach(text -> all.addAll(Words.of(text)));
    card.facets().values().forEach(vs -> vs.forEach(v -> all.addAll(Words.of(v))));
    all.add(String.valueOf(card.number()));
    return all;
  }

  /**
   * Knives that answer to all that is asked.
   *
   * @param ticked of each facet any one of these will do
   * @param mayBe how likely a knife must be of the years asked for to answer
   */
  public synchronized Found find(String search, Map<Facet, Set<String>> ticked, double mayBe) {
    List<Phrase> phrases = new Ask(values()).read(search).stream().map(this::understood).toList();
    RoaringBitmap said = saying(phrases, mayBe);
    RoaringBitmap found = said.clone();
    ticked.forEach((facet, values) -> found.and(having(facet, (v, has) -> values.contains(v))));
    List<Condition.Years> years =
        phrases.stream()
            .map(Phrase::condition)
            .filter(Condition.Years.class::isInstance)
            .map(Condition.Years.class::cast)
            .toList();
    List<Found.Hit> hits = new ArrayList<>(found.getCardinality());
    found.forEach((int place) -> hits.add(hit(cards.get(place), years)));
    hits.sort(comparingInt(Found.Hit::number));
    return new Found(phrases, hits, counted(said, ticked));
  }

  private Map<Facet, List<List<String>>> values() {
    Map<Facet, List<List<String>>> all = new EnumMap<>(Facet.class);
    facets.forEach((facet, by) -> all.put(facet, by.values().stream().map(Having::words).toList()));
    return all;
  }

  // A word that is nowhere is taken for the nearest that is; where there is none, no knife answers.
  private Phrase understood(Phrase phrase) {
    if (!(phrase.condition() instanceof Condition.Said said) || !saying(said.word()).isEmpty()) {
      return phrase;
    }
    String near = nearest(said.word());
    return new Phrase(
        phrase.from(), phrase.to(), new Condition.Said(said.word(), near, near != null));
  }

  private @Nullable String nearest(String word) {
    if (word.length() < SHORT || Words.isWorn(word)) {
      return null;
    }
    int most = word.length() < LONG ? 1 : 2;
    LevenshteinDistance distance = new LevenshteinDistance(most);
    return words.keySet().stream()
        .filter(w -> Math.abs(w.length() - word.length()) <= most && !Words.isWorn(w))
        .filter(w -> distance.apply(word, w) >= 0)
        .min(
            comparingInt((String w) -> distance.apply(word, w))
                .thenComparing(w -> -words.get(w).getCardinality())
                .thenComparing(Comparator.naturalOrder()))
        .orElse(null);
  }

  // What must be read card by card comes last: then few cards are left.
  private RoaringBitmap saying(List<Phrase> phrases, double mayBe) {
    RoaringBitmap all = there.clone();
    List<Condition> byCard = new ArrayList<>();
    for (Phrase phrase : phrases) {
      if (phrase.condition() instanceof Condition.Said said) {
        all.and(said.isFound() ? saying(read(said)) : new RoaringBitmap());
      } else if (phrase.condition() instanceof Condition.Of of) {
        all.and(having(of.facet(), (v, has) -> Ask.HAS_ALL.test(has.words(), of.words())));
      } else {
        byCard.add(phrase.condition());
      }
    }
    return byCard.isEmpty()
        ? all
        : where(all, card -> byCard.stream().allMatch(c -> answers(card, c, mayBe)));
  }

  private static String read(Condition.Said said) {
    return said.readAs() == null ? said.word() : said.readAs();
  }

  private RoaringBitmap saying(String word) {
    List<RoaringBitmap> all =
        new ArrayList<>(words.subMap(word, word + Character.MAX_VALUE).values());
    worn.stream().filter(w -> Words.mayBegin(w, word)).map(words::get).forEach(all::add);
    return RoaringBitmap.or(all.iterator());
  }

  private RoaringBitmap having(Facet facet, BiPredicate<String, Having> value) {
    return RoaringBitmap.or(
        facets.getOrDefault(facet, new TreeMap<>()).entrySet().stream()
            .filter(e -> value.test(e.getKey(), e.getValue()))
            .map(e -> e.getValue().places())
            .iterator());
  }

  private RoaringBitmap where(RoaringBitmap among, Predicate<Card> asked) {
    RoaringBitmap all = new RoaringBitmap();
    among.forEach(
        (int place) -> {
          if (asked.test(cards.get(place))) {
            all.add(place);
          }
        });
    return all;
  }

  private static boolean answers(Card card, Condition asked, double mayBe) {
    if (asked instanceof Condition.Years years) {
      return chance(card, years) >= mayBe;
    }
    if (asked instanceof Condition.Lengths l) {
      return card.lengthMm() != null
          && card.lengthMm() >= l.fromMm()
          && card.lengthMm() <= l.toMm();
    }
    Condition.Prices prices = (Condition.Prices) asked;
    return card.low() != null
        && card.high() != null
        && prices.currency().equals(card.currency())
        && card.low() <= prices.to()
        && card.high() >= prices.from();
  }

  private static double chance(Card card, Condition.Years years) {
    return card.between(
        years.from() == null ? Integer.MIN_VALUE / 2 : years.from(),
        years.to() == null ? Integer.MAX_VALUE / 2 : years.to());
  }

  private static Found.Hit hit(Card card, List<Condition.Years> years) {
    Double chance =
        years.isEmpty() ? null : years.stream().mapToDouble(y -> chance(card, y)).min().orElse(0);
    return new Found.Hit(card.number(), chance);
  }

  // What is ticked in a facet does not count against its own other values.
  private List<Found.Counted> counted(RoaringBitmap said, Map<Facet, Set<String>> ticked) {
    List<Found.Counted> all = new ArrayList<>();
    facets.forEach(
        (facet, by) -> {
          RoaringBitmap base = said.clone();
          ticked.forEach(
              (other, values) -> {
                if (other != facet) {
                  base.and(having(other, (v, has) -> values.contains(v)));
                }
              });
          List<Found.Value> values =
              by.entrySet().stream()
                  .map(e -> value(e.getKey(), e.getValue().places(), base))
                  .sorted(order(facet))
                  .toList();
          if (!values.isEmpty()) {
            all.add(new Found.Counted(facet, values));
          }
        });
    return all;
  }

  private static Found.Value value(String value, RoaringBitmap of, RoaringBitmap base) {
    return new Found.Value(value, of.getCardinality(), RoaringBitmap.andCardinality(of, base));
  }

  // Years stand in their order, all else by how often it is met.
  private static Comparator<Found.Value> order(Facet facet) {
    return facet == Facet.DECADE || facet == Facet.BLADES
        ? comparing(Found.Value::value)
        : comparing(Found.Value::of).reversed().thenComparing(Found.Value::value);
  }
}
