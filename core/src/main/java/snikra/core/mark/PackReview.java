package snikra.core.mark;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import snikra.core.code.CodeScheme;
import snikra.core.reference.History;
import snikra.core.reference.Maker;
import snikra.core.reference.MarkVariant;
import snikra.core.specimen.Face;
import snikra.core.wording.Wording;

/** What is odd about the makers of a pack. */
public final class PackReview {
  private PackReview() {}

  /** Something odd about a maker that is no mistake by itself. */
  public record Remark(String maker, String text) {}

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
    for (History.Years gap : unmarked(maker)) {
      out.add(new Remark(maker.id(), "no mark from " + gap.from() + " to " + gap.to()));
    }
  }

  /** Years between its first mark and its last of which none is on file, doubt about them aside. */
  public static List<History.Years> unmarked(Maker maker) {
    List<MarkVariant> byStart =
        maker.marks().stream().sorted(java.util.Comparator.comparing(MarkVariant::from)).toList();
    List<History.Years> out = new ArrayList<>();
    int reached = byStart.get(0).to() + byStart.get(0).give();
    for (MarkVariant mark : byStart) {
      if (mark.from() - mark.give() > reached + 1) {
        out.add(new History.Years(reached + 1, mark.from() - mark.give() - 1));
      }
      reached = Math.max(reached, mark.to() + mark.give());
    }
    return out;
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
                "code "
                    + first
                    + " of "
                    + scheme.id()
                    + " stands for "
                    + Wording.joined(
                        years.get(first).stream().map(String::valueOf).toList(), " and ")
                    + more));
      }
    }
  }

  private static String look(MarkVariant mark) {
    StringBuilder look = new StringBuilder();
    for (Face face : Face.values()) {
      look.append(mark.on(face).stream().map(PackReview::plain).toList());
    }
    return look.append(
            Arrays.asList(
                    mark.technique(),
                    mark.layout(),
                    mark.everyBlade(),
                    new TreeMap<>(mark.letterform()))
                .stream()
                .map(Objects::toString)
                .toList())
        .toString();
  }

  private static String plain(String line) {
    return new String(Glyph.letters(line));
  }
}
