package snikra.core.examination;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.BiFunction;
import snikra.core.dating.DatingVerdict;
import snikra.core.examination.FactSlips.Shown;
import snikra.core.mark.MarkEra;
import snikra.core.reference.Maker;
import snikra.core.reference.ReferenceShelf;
import snikra.core.specimen.Specimen;

/** What knives of one maker show and nobody wrote down yet. */
final class NotOnFile {
  private final ReferenceShelf shelf;
  private final Maker maker;
  private final BiFunction<Specimen, Set<String>, DatingVerdict> dating;

  /**
   * Of this maker.
   *
   * @param dating dates a knife without some of its looks
   */
  NotOnFile(
      ReferenceShelf shelf, Maker maker, BiFunction<Specimen, Set<String>, DatingVerdict> dating) {
    this.shelf = shelf;
    this.maker = maker;
    this.dating = dating;
  }

  /** What most of them show first. */
  List<Witnessed> on(List<Specimen> knives) {
    Map<Shown, List<Integer>> shownBy = new LinkedHashMap<>();
    for (int i = 0; i < knives.size(); i++) {
      for (Shown shown : FactSlips.shown(knives.get(i), maker, shelf)) {
        shownBy.computeIfAbsent(shown, s -> new ArrayList<>()).add(i);
      }
    }
    DatingVerdict nothing = dating.apply(Specimen.unseen(), Set.of());
    return shownBy.entrySet().stream()
        .sorted(Comparator.comparing(e -> -e.getValue().size()))
        .map(e -> witnessed(e.getKey(), e.getValue(), knives, nothing))
        .toList();
  }

  // No knife is heard of what it shows itself here: its years are those of all else.
  private Witnessed witnessed(
      Shown shown, List<Integer> by, List<Specimen> knives, DatingVerdict nothing) {
    Set<String> itself = Set.of(shown.feature().id());
    List<double[]> likely =
        by.stream()
            .map(i -> dating.apply(knives.get(i), itself).curve())
            .map(curve -> MarkEra.over(curve, nothing.curve()))
            .toList();
    double mean = shelf.judgement().of("filing.fitting-years");
    MarkEra era = MarkEra.of(nothing.firstYear(), likely, mean);
    return new Witnessed(
        FactSlips.offered(maker, shown, era.first().middle(), era.last().middle(), era.give()),
        by,
        era);
  }
}
