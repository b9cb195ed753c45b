package snikra.core.mark;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.stream.Stream;
import snikra.core.clue.Clue;
import snikra.core.clue.Feature;
import snikra.core.reference.Maker;
import snikra.core.reference.MarkShares;
import snikra.core.reference.MarkVariant;
import snikra.core.reference.ReferenceShelf;
import snikra.core.specimen.Face;
import snikra.core.specimen.Layout;
import snikra.core.specimen.Technique;

/** The marks and the common words of a shelf, laid out for reading. */
final class FiledMarks {
  /** Looks at how letters are cut of which anything is on file, with what they are called. */
  final SortedMap<String, String> cut = new TreeMap<>();

  final List<Struck> marks = new ArrayList<>();
  final List<Word> words = new ArrayList<>();
  final StruckLines lines;

  /** On one face of a mark. */
  final int mostLines;

  /** By mark its kind, and one mark of each kind. */
  final int[] kind;

  final List<Struck> ofKind = new ArrayList<>();

  /** What is struck on a face, by mark. */
  final Map<Face, int[][]> onFace = new EnumMap<>(Face.class);

  private final double[] weights;

  /** By mark the place of its maker, of so many. */
  private final int[] maker;

  private final int makers;

  record Struck(
      Maker maker, MarkVariant variant, int[] lines, int[] pile, int[] etch, double weight) {
    int[] on(Face face) {
      return switch (face) {
        case MARK -> lines;
        case PILE -> pile;
        case BLADE -> etch;
      };
    }
  }

  /** Marks that differ in nothing but their letters. */
  private record Kind(
      boolean everyBlade, Technique technique, Layout layout, int lines, int pile, int etch) {
    static Kind of(Struck mark) {
      MarkVariant v = mark.variant();
      return new Kind(
          v.everyBlade(),
          v.technique(),
          v.layout(),
          mark.lines().length,
          mark.pile().length,
          mark.etch().length);
    }
  }

  record Word(String feature, Clue clue, String word, int line) {}

  FiledMarks(ReferenceShelf shelf) {
    StruckLines.Collector known = new StruckLines.Collector(shelf.spellings());
    List<Integer> madeBy = new ArrayList<>();
    makers = shelf.makers().size();
    double least = shelf.judgement().of("large.before-trade");
    for (int m = 0; m < makers; m++) {
      Maker of = shelf.makers().get(m);
      double[] shares = MarkShares.of(of, shelf.region(of.region()), least);
      for (int i = 0; i < shares.length; i++) {
        MarkVariant v = of.marks().get(i);
        madeBy.add(m);
        marks.add(
            new Struck(
                of,
                v,
                struck(v.lines(), known),
                struck(v.pile(), known),
                struck(v.etch(), known),
                of.weight() * shares[i]));
      }
    }
    maker = madeBy.stream().mapToInt(m -> m).toArray();
    for (Feature feature : shelf.clues().features()) {
      if (feature.markBorne()) {
        for (Clue clue : feature.clues()) {
          for (String w : clue.words()) {
            words.add(new Word(feature.id(), clue, w, known.add(w)));
          }
        }
      }
    }
    lines = known.all();
    mostLines =
        marks.stream()
            .flatMap(m -> Stream.of(m.lines, m.pile, m.etch))
            .mapToInt(on -> on.length)
            .max()
            .orElse(0);
    Map<Kind, Integer> kinds = new HashMap<>();
    kind =
        marks.stream()
            .mapToInt(
                mark ->
                    kinds.computeIfAbsent(
                        Kind.of(mark),
                        k -> {
                          ofKind.add(mark);
                          return ofKind.size() - 1;
                        }))
            .toArray();
    for (Face face : Face.values()) {
      onFace.put(face, marks.stream().map(mark -> mark.on(face)).toArray(int[][]::new));
    }
    weights = marks.stream().mapToDouble(Struck::weight).toArray();
    for (Struck mark : marks) {
      for (String point : mark.variant().letterform().keySet()) {
        shelf.clues().feature(point).ifPresent(f -> cut.put(point, f.label()));
      }
    }
  }

  private static int[] struck(List<String> texts, StruckLines.Collector known) {
    return texts.stream().mapToInt(known::add).toArray();
  }

  // Marks of which no line was read are alike where they are of a kind, and there are few kinds.
  double[] weights(double[] log, boolean[] told, double top) {
    double[] alike = new double[ofKind.size()];
    double[] weight = new double[log.length];
    for (int v = 0; v < log.length; v++) {
      if (told[v]) {
        weight[v] = weights[v] * Math.exp(log[v] - top);
      } else {
        int k = kind[v];
        alike[k] = alike[k] > 0 ? alike[k] : Math.exp(log[v] - top);
        weight[v] = weights[v] * alike[k];
      }
    }
    return weight;
  }

  /** By mark, the likelihood of the small blades under the marks of all other makers together. */
  double[] others(double[] other) {
    double all = Arrays.stream(weights).sum();
    double[] byMaker = new double[makers];
    for (int v = 0; v < other.length; v++) {
      byMaker[maker[v]] += weights[v] / all * Math.exp(other[v]);
    }
    // Summed from both ends: taken from the sum of all, what is small beside its own is lost.
    double[] rest = new double[makers];
    double before = 0;
    double after = 0;
    for (int m = 0; m < makers; m++) {
      rest[m] += before;
      before += byMaker[m];
      rest[makers - 1 - m] += after;
      after += byMaker[makers - 1 - m];
    }
    double[] sums = new double[other.length];
    for (int v = 0; v < sums.length; v++) {
      sums[v] = Math.log(rest[maker[v]]);
    }
    return sums;
  }

  /** By line struck, whether any of the lines read may be it. */
  boolean[] mayBe(List<ReadFace.Line> all) {
    boolean[] read = new boolean[lines.size()];
    for (ReadFace.Line line : all) {
      for (int struck = 0; struck < read.length; struck++) {
        read[struck] |= line.given(struck) > 0;
      }
    }
    return read;
  }
}
