package snikra.core.reference;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import snikra.core.code.CodeScheme;

/** Makers of several packs together. */
public final class Makers {
  private Makers() {}

  /**
   * Makers with others laid over them: of a maker in both the later words hold, a mark or a code
   * with the same id takes the place of the older, and all others stay. What disagrees under
   * different ids stands side by side.
   */
  public static List<Maker> over(List<Maker> under, List<Maker> over) {
    Map<String, Maker> merged = new LinkedHashMap<>();
    under.forEach(m -> merged.put(m.id(), m));
    over.forEach(m -> merged.merge(m.id(), m, Makers::over));
    return List.copyOf(merged.values());
  }

  private static Maker over(Maker under, Maker over) {
    return new Maker(
        over.id(),
        over.name(),
        over.region(),
        over.place(),
        over.weight(),
        over.changes(),
        over.numbers() == null ? under.numbers() : over.numbers(),
        joined(under.codes(), over.codes(), CodeScheme::id),
        joined(under.marks(), over.marks(), MarkVariant::id),
        over.history().equals(History.NONE) ? under.history() : over.history(),
        over.note());
  }

  /** Makers with what is added to those that are there; what has the same id takes its place. */
  public static List<Maker> with(List<Maker> makers, List<Addition> additions) {
    Map<String, Maker> byId = new LinkedHashMap<>();
    makers.forEach(m -> byId.put(m.id(), m));
    for (Addition added : additions) {
      byId.computeIfPresent(added.to(), (id, m) -> with(m, added));
    }
    return List.copyOf(byId.values());
  }

  private static Maker with(Maker maker, Addition added) {
    return new Maker(
        maker.id(),
        maker.name(),
        maker.region(),
        maker.place(),
        maker.weight(),
        maker.changes(),
        added.numbers() == null ? maker.numbers() : added.numbers(),
        joined(maker.codes(), added.codes(), CodeScheme::id),
        joined(maker.marks(), added.marks(), MarkVariant::id),
        maker.history().with(added.history()),
        maker.note());
  }

  private static <T> List<T> joined(List<T> under, List<T> over, Function<T, String> id) {
    Map<String, T> byId = new LinkedHashMap<>();
    under.forEach(t -> byId.put(id.apply(t), t));
    over.forEach(t -> byId.put(id.apply(t), t));
    return new ArrayList<>(byId.values());
  }
}
