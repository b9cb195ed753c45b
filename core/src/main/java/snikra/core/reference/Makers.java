package snikra.core.reference;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import java.util.function.Function;
import snikra.core.code.CodeScheme;
import snikra.core.mark.Lettering;
import snikra.core.specimen.Face;

/** Makers of several packs together, and what is odd about them. */
public final class Makers {
  private Makers() {}

  /** Something odd about a maker that is no mistake by itself. */
  public record Remark(String maker, String text) {}

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
        over.note());
  }

  private static <T> List<T> joined(List<T> under, List<T> over, Function<T, String> id) {
    Map<String, T> byId = new LinkedHashMap<>();
    under.forEach(t -> byId.put(id.apply(t), t));
    over.forEach(t -> byId.put(id.apply(t), t));
    return new ArrayList<>(byId.values());
  }

  /** Years without a mark, marks nothing tells apart, and codes that stand for several years. */
  public static List<Remark> remarks(List<Maker> makers) {
    List<Remark> out = new ArrayList<>();
    for (Maker maker : makers) {
      gaps(maker, out);
      codes(maker, out);
    }
    Map<String, MarkVariant> looks = new LinkedHashMap<>();
    for (Maker maker : makers) {
      for (MarkVariant mark : maker.marks()) {
        MarkVariant same = looks.putIfAbsent(look(mark), mark);
        if (same != null && same.from() <= mark.to() && mark.from() <= same.to()) {
          out.add(
              new Remark(
                  maker.id(),
                  "nothing tells mark "
                      + mark.id()
                      + " from mark "
                      + same.id()
                      + " in their years"));
        }
      }
    }
    return out;
  }

  private static void gaps(Maker maker, List<Remark> out) {
    List<MarkVariant> byStart =
        maker.marks().stream().sorted(java.util.Comparator.comparing(MarkVariant::from)).toList();
    int reached = byStart.get(0).to() + byStart.get(0).give();
    for (MarkVariant mark : byStart) {
      if (mark.from() - mark.give() > reached + 1) {
        out.add(
            new Remark(
                maker.id(),
                "no mark from " + (reached + 1) + " to " + (mark.from() - mark.give() - 1)));
      }
      reached = Math.max(reached, mark.to() + mark.give());
    }
  }

  private static void codes(Maker maker, List<Remark> out) {
    for (CodeScheme scheme : maker.codes()) {
      Map<String, List<Integer>> years = new TreeMap<>();
      for (int year = scheme.from(); year <= scheme.to(); year++) {
        for (String code : scheme.codes(year)) {
          years.computeIfAbsent(code, k -> new ArrayList<>()).add(year);
        }
      }
      years.values().removeIf(y -> y.size() < 2);
      if (!years.isEmpty()) {
        String first = years.keySet().iterator().next();
        String more =
            years.size() > 1 ? ", and " + (years.size() - 1) + " codes more likewise" : "";
        out.add(
            new Remark(
                maker.id(),
                "code " + first + " of " + scheme.id() + " stands for " + years.get(first) + more));
      }
    }
  }

  private static String look(MarkVariant mark) {
    StringBuilder look = new StringBuilder();
    for (Face face : Face.values()) {
      look.append(mark.on(face).stream().map(Lettering::plain).toList());
    }
    return look.append(
            Arrays.asList(mark.technique(), mark.layout(), mark.everyBlade()).stream()
                .map(Objects::toString)
                .toList())
        .toString();
  }
}
