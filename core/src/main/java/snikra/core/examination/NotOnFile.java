package snikra.core.examination;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Stream;
import snikra.core.dating.DatingVerdict;
import snikra.core.examination.FactSlips.Shown;
import snikra.core.mark.MarkEra;
import snikra.core.reference.History;
import snikra.core.reference.Maker;
import snikra.core.reference.ReferenceShelf;
import snikra.core.specimen.Specimen;

/** What knives of one maker show and nobody wrote down yet. */
final class NotOnFile {
  private final ReferenceShelf shelf;
  private final Maker maker;
  private final DatingVerdict nothing;
  private final Function<Specimen, Function<String, double[]>> without;

  /**
   * Of this maker.
   *
   * @param nothing what is held of a knife of which nothing is known
   * @param without dates a knife without each of its looks, by their ids
   */
  NotOnFile(
      ReferenceShelf shelf,
      Maker maker,
      DatingVerdict nothing,
      Function<Specimen, Function<String, double[]>> without) {
    this.shelf = shelf;
    this.maker = maker;
    this.nothing = nothing;
    this.without = without;
  }

  /** What most of them show first. */
  List<Witnessed> on(List<Specimen> knives) {
    Map<Shown, List<Integer>> shownBy = new LinkedHashMap<>();
    List<Function<String, double[]>> withoutEach = new ArrayList<>();
    for (int i = 0; i < knives.size(); i++) {
      List<Shown> shown = FactSlips.shown(knives.get(i), maker, shelf);
      for (Shown one : shown) {
        shownBy.computeIfAbsent(one, s -> new ArrayList<>()).add(i);
      }
      withoutEach.add(shown.isEmpty() ? id -> nothing.curve() : without.apply(knives.get(i)));
    }
    return shownBy.entrySet().stream()
        .sorted(Comparator.comparing(e -> -e.getValue().size()))
        .map(e -> witnessed(e.getKey(), e.getValue(), withoutEach))
        .toList();
  }

  // No knife is heard of what it shows itself here: its years are those of all else. What a maker
  // fitted it fitted while there was one.
  private Witnessed witnessed(
      Shown shown, List<Integer> by, List<Function<String, double[]>> withoutEach) {
    String itself = shown.feature().id();
    int first = nothing.firstYear();
    int from = Math.max(0, begun() - first);
    int to = Math.min(nothing.curve().length, ended() - first + 1);
    List<double[]> likely =
        by.stream()
            .map(i -> withoutEach.get(i).apply(itself))
            .map(curve -> Arrays.copyOfRange(MarkEra.over(curve, nothing.curve()), from, to))
            .toList();
    double mean = shelf.judgement().of("filing.fitting-years");
    MarkEra era = MarkEra.of(first + from, likely, mean);
    return new Witnessed(
        FactSlips.offered(maker, shown, era.first().middle(), era.last().middle(), era.give()),
        by,
        era);
  }

  private int begun() {
    return Stream.concat(
            maker.marks().stream().map(m -> m.from() - m.give()),
            maker.history().owners().stream().map(History.Owner::from))
        .mapToInt(Integer::intValue)
        .min()
        .orElseThrow();
  }

  private int ended() {
    return Stream.concat(
            maker.marks().stream().map(m -> m.to() + m.give()),
            maker.history().owners().stream().map(History.Owner::to))
        .mapToInt(Integer::intValue)
        .max()
        .orElseThrow();
  }
}
