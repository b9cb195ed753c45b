package snikra.core.collection;

import static java.util.Comparator.comparing;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import snikra.core.judgement.Judgement;
import snikra.core.search.Card;
import snikra.core.search.Facet;
import snikra.core.sets.Fit;

/**
 * Knives of which there is more than one.
 *
 * @param maker by name, as the knives are found by it
 * @param what model and mark on file; null where they are only much alike
 * @param looks what else they have in common, as it is shown
 * @param numbers of the knives, the longest first where they were measured
 */
public record Alike(String maker, @Nullable Place what, List<String> looks, List<Integer> numbers) {

  /** A place in the set of a maker, by ids. */
  public record Place(String maker, String model, String mark) {}

  /**
   * From where on.
   *
   * @param held a knife is taken for a place in a set from this chance on
   * @param apartMm knives much alike are of one size where no two neighbours differ by more
   */
  public record From(double held, double apartMm) {
    /** As it is judged. */
    public static From of(Judgement judgement) {
      return new From(judgement.of("sets.held"), judgement.of("sets.alike-mm"));
    }
  }

  private static final List<Facet> LOOKS = List.of(Facet.PATTERN, Facet.HANDLE, Facet.BLADES);

  public Alike {
    looks = List.copyOf(looks);
    numbers = List.copyOf(numbers);
  }

  /**
   * Those of which there are most first; what is of one place on file before what is only alike.
   */
  public static List<Alike> among(Collection<Card> cards, From from) {
    List<Alike> same = same(cards, from);
    Set<Set<Integer>> told = new HashSet<>();
    same.forEach(a -> told.add(Set.copyOf(a.numbers())));
    List<Alike> all = new ArrayList<>(same);
    near(cards, from).stream()
        .filter(a -> told.stream().noneMatch(t -> t.containsAll(a.numbers())))
        .forEach(all::add);
    return all;
  }

  private static List<Alike> same(Collection<Card> cards, From from) {
    Map<Place, List<Card>> by = new TreeMap<>(comparing(Place::toString));
    for (Card card : cards) {
      for (Fit fit : card.fits()) {
        if (fit.model() != null && fit.mark() != null && fit.chance() >= from.held()) {
          by.computeIfAbsent(
                  new Place(fit.maker(), fit.model(), fit.mark()), p -> new ArrayList<>())
              .add(card);
        }
      }
    }
    List<Alike> all = new ArrayList<>();
    by.forEach(
        (place, of) -> {
          if (of.size() > 1) {
            all.add(alike(place, of));
          }
        });
    all.sort(MOST_FIRST);
    return all;
  }

  private static final Comparator<Alike> MOST_FIRST =
      comparing((Alike a) -> -a.numbers().size()).thenComparing(a -> a.numbers().get(0));

  // What nobody could tell of two knives does not make them alike.
  private static List<Alike> near(Collection<Card> cards, From from) {
    Map<String, List<Card>> by = new TreeMap<>();
    for (Card card : cards) {
      String maker = only(card, Facet.MAKER);
      List<@Nullable String> looks = LOOKS.stream().map(f -> only(card, f)).toList();
      if (maker != null && looks.stream().noneMatch(l -> l == null)) {
        by.computeIfAbsent(maker + looks, k -> new ArrayList<>()).add(card);
      }
    }
    List<Alike> all = new ArrayList<>();
    by.values().stream()
        .flatMap(of -> bySize(of, from.apartMm()).stream())
        .filter(of -> of.size() > 1)
        .forEach(of -> all.add(alike(null, of)));
    all.sort(MOST_FIRST);
    return all;
  }

  private static @Nullable String only(Card card, Facet facet) {
    List<String> values = card.facets().getOrDefault(facet, List.of());
    return values.size() == 1 && !values.get(0).equals(Card.NOT_KNOWN) ? values.get(0) : null;
  }

  // One not measured may be of any size: it stands with the others only where they are of one.
  private static List<List<Card>> bySize(List<Card> cards, double apartMm) {
    List<Card> measured =
        cards.stream().filter(c -> c.lengthMm() != null).sorted(LONGEST_FIRST).toList();
    List<List<Card>> all = new ArrayList<>();
    double last = Double.NaN;
    for (Card card : measured) {
      double mm = lengthOf(card);
      if (all.isEmpty() || (last - mm > apartMm)) {
        all.add(new ArrayList<>());
      }
      all.get(all.size() - 1).add(card);
      last = mm;
    }
    List<Card> unmeasured = cards.stream().filter(c -> c.lengthMm() == null).toList();
    if (all.size() == 1) {
      all.get(0).addAll(unmeasured);
    } else {
      all.add(unmeasured);
    }
    return all;
  }

  private static final Comparator<Card> LONGEST_FIRST =
      comparing((Card c) -> -lengthOf(c)).thenComparing(Card::number);

  private static double lengthOf(Card card) {
    return card.lengthMm() == null ? 0 : card.lengthMm();
  }

  private static Alike alike(@Nullable Place place, List<Card> of) {
    List<Card> ordered = of.stream().sorted(LONGEST_FIRST).toList();
    Card first = ordered.get(0);
    String maker = only(first, Facet.MAKER);
    return new Alike(
        maker == null ? Card.NOT_KNOWN : maker,
        place,
        LOOKS.stream()
            .filter(f -> ordered.stream().map(c -> only(c, f)).distinct().count() == 1)
            .map(f -> only(first, f))
            .filter(l -> l != null)
            .toList(),
        ordered.stream().map(Card::number).toList());
  }
}
