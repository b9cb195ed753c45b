package snikra.core.sets;

import static java.util.Comparator.comparing;
import static java.util.Comparator.comparingInt;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;
import snikra.core.clue.Clue;
import snikra.core.clue.ClueBook;
import snikra.core.clue.Feature;
import snikra.core.code.CodeScheme;
import snikra.core.reference.History.Fitting;
import snikra.core.reference.Maker;
import snikra.core.sets.SetBoard.From;
import snikra.core.sets.SetBoard.Held;
import snikra.core.sets.SetBoard.Owned;
import snikra.core.sets.SetBoard.Stand;

/**
 * What a maker changed over its years, one thing after the other: its shields, its handles, its
 * date codes. A knife of the collection is in the place of what it shows.
 *
 * @param id a feature of the clue book, or a way of dating
 * @param owned places that a knife fills
 */
public record Series(String id, String label, List<Place> places, int owned) {

  /**
   * One of them, with its years.
   *
   * @param value the answer of the clue book; of a code, the year it stands for
   */
  public record Place(
      String value, String label, int from, int to, Stand stand, boolean gap, List<Held> held) {}

  /**
   * A knife of the collection.
   *
   * @param ofMaker chance that it is of each maker it may be of
   * @param shows its answers by feature
   * @param grade its rank, 0 the best; null where it is not graded
   */
  public record Piece(
      int number,
      Map<String, Double> ofMaker,
      Map<String, String> shows,
      List<Struck> struck,
      @Nullable Integer grade) {

    /** Of these fits. */
    public static Piece of(
        int number,
        List<Fit> fits,
        Map<String, String> shows,
        List<Struck> struck,
        @Nullable Integer grade) {
      Map<String, Double> ofMaker = new LinkedHashMap<>();
      fits.forEach(f -> ofMaker.merge(f.maker(), f.chance(), Double::sum));
      return new Piece(number, ofMaker, shows, struck, grade);
    }

    private double of(Maker maker) {
      return ofMaker.getOrDefault(maker.id(), 0.0);
    }
  }

  /** The features by which any of these makers has a series. */
  public static Set<String> features(List<Maker> makers) {
    Set<String> all = new TreeSet<>();
    makers.forEach(m -> m.history().allFittings().forEach(f -> all.add(f.feature())));
    return all;
  }

  /**
   * The series of one maker, those of the clue book in its order, then its codes.
   *
   * @param atLeast rank of the grade that is wanted; null where any will do
   */
  public static List<Series> of(
      Maker maker, ClueBook clues, List<Piece> knives, From from, @Nullable Integer atLeast) {
    List<Piece> own = knives.stream().filter(k -> k.of(maker) >= from.mayBe()).toList();
    List<Series> all = new ArrayList<>();
    for (Feature feature : clues.features()) {
      List<Place> places =
          maker.history().allFittings().stream()
              .filter(f -> f.feature().equals(feature.id()))
              .sorted(comparingInt(Fitting::from).thenComparing(Fitting::value))
              .map(f -> place(f, feature, of(maker, f, own, from), from, atLeast))
              .toList();
      if (!places.isEmpty()) {
        all.add(series(feature.id(), feature.label(), places));
      }
    }
    for (CodeScheme scheme : maker.codes()) {
      List<Place> places = places(maker, scheme, own, from, atLeast);
      if (!places.isEmpty()) {
        all.add(series(scheme.id(), scheme.label(), places));
      }
    }
    return all;
  }

  private static Series series(String id, String label, List<Place> places) {
    long owned =
        places.stream()
            .filter(p -> p.stand() == Stand.OWNED || p.stand() == Stand.BETTER_WANTED)
            .count();
    return new Series(id, label, places, (int) owned);
  }

  // What was in use twice does not tell by itself of which time it is.
  private static List<Owned> of(Maker maker, Fitting fitting, List<Piece> own, From from) {
    long times =
        maker.history().allFittings().stream()
            .filter(f -> f.feature().equals(fitting.feature()))
            .filter(f -> f.value().equals(fitting.value()))
            .count();
    return own.stream()
        .filter(k -> fitting.value().equals(k.shows().get(fitting.feature())))
        .map(k -> owned(maker, k, k.of(maker) / times))
        .filter(o -> o.fit().chance() >= from.mayBe())
        .toList();
  }

  private static Owned owned(Maker maker, Piece knife, double chance) {
    return new Owned(knife.number(), new Fit(maker.id(), null, null, chance), knife.grade());
  }

  private static Place place(
      Fitting fitting, Feature feature, List<Owned> here, From from, @Nullable Integer atLeast) {
    Stand stand = SetBoard.stand(here, true, from, atLeast);
    return new Place(
        fitting.value(),
        feature.clue(fitting.value()).map(Clue::label).orElse(fitting.value()),
        fitting.from(),
        fitting.to(),
        stand,
        stand.isGap(),
        SetBoard.held(here));
  }

  // A year of which nothing was struck has no place.
  private static List<Place> places(
      Maker maker, CodeScheme scheme, List<Piece> own, From from, @Nullable Integer atLeast) {
    List<Place> all = new ArrayList<>();
    for (int y = scheme.from(); y <= scheme.to(); y++) {
      int year = y;
      List<String> codes = scheme.codes(year);
      if (codes.isEmpty()) {
        continue;
      }
      List<Owned> here = new ArrayList<>();
      for (Piece knife : own) {
        knife.struck().stream()
            .filter(s -> s.maker().equals(maker.id()) && s.scheme().equals(scheme.id()))
            .filter(s -> s.year() == year && s.chance() >= from.mayBe())
            .max(comparing(Struck::chance))
            .ifPresent(s -> here.add(owned(maker, knife, s.chance())));
      }
      Stand stand = SetBoard.stand(here, true, from, atLeast);
      all.add(
          new Place(
              "" + year,
              String.join(", ", codes),
              year,
              year,
              stand,
              stand.isGap(),
              SetBoard.held(here)));
    }
    return all;
  }
}
