package snikra.core.sets;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import snikra.core.judgement.Judgement;
import snikra.core.reference.History.Model;
import snikra.core.reference.History.Years;
import snikra.core.reference.Maker;
import snikra.core.reference.MarkVariant;

/**
 * Every mark of a maker against every model: what is owned, what is missing, and what was never
 * made so, as far as is on file.
 *
 * @param rows the first of them any knife of the maker, by its mark alone; then the models
 * @param owned places that a knife of the collection fills, those a better one is wanted for among
 *     them
 * @param possible places there are
 * @param better places for which a better knife is wanted
 */
public record SetBoard(
    String maker,
    String name,
    List<Column> marks,
    List<Row> rows,
    int owned,
    int possible,
    int better) {

  /** A mark and its years. */
  public record Column(String mark, List<String> lines, int from, int to) {}

  /**
   * A model with each mark.
   *
   * @param model its number; null for any knife of the maker
   * @param pattern of the pattern book; null for any
   * @param unread knives of it of whose mark nothing was read
   * @param between knives that are in one of two marks that follow one another, and in neither
   *     alone
   */
  public record Row(
      @Nullable String model,
      String label,
      @Nullable String pattern,
      int from,
      int to,
      List<Cell> cells,
      List<Held> unread,
      List<Between> between) {}

  /**
   * A piece of a time of change.
   *
   * @param before the earlier mark
   * @param after the later one
   * @param held the knife, with the chance that it is in either
   */
  public record Between(String before, String after, Held held) {}

  /**
   * A place in the set.
   *
   * @param gap whether something is still to be found for it
   * @param from first year such a knife may be of; of what was never made so, of the mark
   */
  public record Cell(String mark, Stand stand, boolean gap, int from, int to, List<Held> held) {}

  /** A knife that is in a place, or may be. */
  public record Held(int number, double chance) {}

  /** How a place stands. */
  public enum Stand {
    OWNED,
    BETTER_WANTED,

    /** A knife may be it, and is not held to be. */
    PERHAPS,
    MISSING,

    /** Mark and model were never in use together. */
    NEVER,

    /** A knife is held to be what was never made so: it, or what is on file, is not right. */
    AGAINST;

    /** Whether something is still to be found. */
    public boolean isGap() {
      return this == BETTER_WANTED || this == PERHAPS || this == MISSING;
    }

    @Override
    public String toString() {
      return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
  }

  /**
   * A knife of the collection.
   *
   * @param grade its rank, 0 the best; null where it is not graded
   */
  public record Owned(int number, Fit fit, @Nullable Integer grade) {}

  /**
   * From when on a knife counts.
   *
   * @param held chance from which it fills a place
   * @param mayBe chance from which it may
   */
  public record From(double held, double mayBe) {
    public static From of(Judgement judgement) {
      return new From(judgement.of("sets.held"), judgement.of("sets.may-be"));
    }
  }

  /**
   * The board of one maker.
   *
   * @param knives of the whole collection; those of others are passed over
   * @param atLeast rank of the grade that is wanted; null where any will do
   */
  public static SetBoard of(Maker maker, List<Owned> knives, From from, @Nullable Integer atLeast) {
    List<Owned> own = knives.stream().filter(k -> k.fit().maker().equals(maker.id())).toList();
    List<MarkVariant> marks =
        maker.marks().stream()
            .sorted(Comparator.comparingInt(MarkVariant::from).thenComparingInt(MarkVariant::to))
            .toList();
    List<Row> rows = new ArrayList<>();
    rows.add(row(null, marks, own, from, atLeast));
    maker.history().models().stream()
        .sorted(Comparator.comparingInt(Model::from).thenComparing(Model::number))
        .forEach(model -> rows.add(row(model, marks, own, from, atLeast)));
    List<Cell> counted =
        (rows.size() > 1 ? rows.subList(1, rows.size()) : rows)
            .stream().flatMap(r -> r.cells().stream()).toList();
    return new SetBoard(
        maker.id(),
        maker.name(),
        marks.stream().map(m -> new Column(m.id(), m.lines(), m.from(), m.to())).toList(),
        rows,
        count(counted, Stand.OWNED) + count(counted, Stand.BETTER_WANTED),
        counted.size() - count(counted, Stand.NEVER) - count(counted, Stand.AGAINST),
        count(counted, Stand.BETTER_WANTED));
  }

  private static int count(List<Cell> cells, Stand stand) {
    return (int) cells.stream().filter(c -> c.stand() == stand).count();
  }

  private static Row row(
      @Nullable Model model,
      List<MarkVariant> marks,
      List<Owned> own,
      From from,
      @Nullable Integer atLeast) {
    List<Owned> of =
        own.stream()
            .filter(k -> model == null || model.number().equals(k.fit().model()))
            .filter(k -> k.fit().chance() >= from.mayBe())
            .toList();
    List<Cell> cells = new ArrayList<>();
    for (MarkVariant mark : marks) {
      List<Owned> here = of.stream().filter(k -> mark.id().equals(k.fit().mark())).toList();
      Years years = together(model, mark);
      Stand stand = stand(here, years != null, from, atLeast);
      cells.add(
          new Cell(
              mark.id(),
              stand,
              stand.isGap(),
              years == null ? mark.from() : years.from(),
              years == null ? mark.to() : years.to(),
              held(here)));
    }
    return new Row(
        model == null ? null : model.number(),
        model == null ? "Any knife of theirs" : model.label(),
        model == null ? null : model.pattern(),
        model == null ? marks.get(0).from() : model.from(),
        model == null ? marks.stream().mapToInt(MarkVariant::to).max().orElseThrow() : model.to(),
        cells,
        held(of.stream().filter(k -> k.fit().mark() == null).toList()),
        between(marks, of, from));
  }

  // In the order of the marks, and of their knives by number.
  private static List<Between> between(List<MarkVariant> marks, List<Owned> of, From from) {
    Map<String, Map<Integer, Double>> byMark = new HashMap<>();
    of.stream()
        .filter(k -> k.fit().mark() != null)
        .forEach(
            k ->
                byMark
                    .computeIfAbsent(k.fit().mark(), m -> new TreeMap<>())
                    .merge(k.number(), k.fit().chance(), Double::sum));
    List<Between> all = new ArrayList<>();
    for (int i = 1; i < marks.size(); i++) {
      String before = marks.get(i - 1).id();
      String after = marks.get(i).id();
      Map<Integer, Double> later = byMark.getOrDefault(after, Map.of());
      byMark
          .getOrDefault(before, Map.of())
          .forEach(
              (number, chance) -> {
                double other = later.getOrDefault(number, 0.0);
                boolean isInOne = Math.max(chance, other) >= from.held();
                if (other > 0 && !isInOne && chance + other >= from.held()) {
                  all.add(new Between(before, after, new Held(number, chance + other)));
                }
              });
    }
    return all;
  }

  /** Knives of a place, the likeliest first. */
  public static List<Held> held(List<Owned> knives) {
    return knives.stream()
        .sorted(Comparator.comparingDouble(k -> -k.fit().chance()))
        .map(k -> new Held(k.number(), k.fit().chance()))
        .toList();
  }

  /**
   * How a place stands.
   *
   * @param here knives that are in it, or may be
   * @param isPossible whether there may be such a knife
   * @param atLeast rank of the grade that is wanted; null where any will do
   */
  public static Stand stand(
      List<Owned> here, boolean isPossible, From from, @Nullable Integer atLeast) {
    List<Owned> held = here.stream().filter(k -> k.fit().chance() >= from.held()).toList();
    if (!isPossible) {
      return held.isEmpty() ? Stand.NEVER : Stand.AGAINST;
    }
    if (held.isEmpty()) {
      return here.isEmpty() ? Stand.MISSING : Stand.PERHAPS;
    }
    // One that is not graded may be good enough.
    boolean isGoodEnough =
        atLeast == null || held.stream().map(Owned::grade).anyMatch(g -> g == null || g <= atLeast);
    return isGoodEnough ? Stand.OWNED : Stand.BETTER_WANTED;
  }

  /**
   * The years both were in use; null where they never were, even if the mark's years are out by
   * what they may be.
   *
   * @param model null for any
   */
  public static @Nullable Years together(@Nullable Model model, MarkVariant mark) {
    if (model == null) {
      return new Years(mark.from(), mark.to());
    }
    if (!model.marks().isEmpty()) {
      return model.marks().get(mark.id());
    }
    int from = Math.max(model.from(), mark.from());
    int to = Math.min(model.to(), mark.to());
    if (from <= to) {
      return new Years(from, to);
    }
    return from - to <= mark.give() ? new Years(to, from) : null;
  }
}
