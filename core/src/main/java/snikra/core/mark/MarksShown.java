package snikra.core.mark;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;
import snikra.core.specimen.Face;

/** What of a reading is shown: the likeliest marks, letter by letter, and the common words. */
final class MarksShown {
  private static final int CANDIDATES = 4;

  private final FiledMarks filed;
  private final MarkLikelihood likelihood;
  private final Channel channel;

  MarksShown(FiledMarks filed, MarkLikelihood likelihood, Channel channel) {
    this.filed = filed;
    this.likelihood = likelihood;
    this.channel = channel;
  }

  List<MarkEvidence.WordFound> wordsIn(List<ReadFace> faces) {
    List<MarkEvidence.WordFound> found = new ArrayList<>();
    for (ReadFace face : faces) {
      for (ReadFace.Line line : face.lines()) {
        for (FiledMarks.Word word : filed.words) {
          double p = likelihood.commonWord() * line.given(word.line()) / line.byChance();
          if (p > likelihood.wordIsFound()) {
            found.add(new MarkEvidence.WordFound(word.feature(), word.clue().id(), word.word(), p));
          }
        }
      }
    }
    return found;
  }

  List<MarkCandidate> candidates(List<ReadFace> faces, double[] weight, double sum) {
    return likeliest(weight).stream()
        .map(v -> candidate(filed.marks.get(v), weight[v] / sum, faces))
        .toList();
  }

  // Of equals the first.
  private static List<Integer> likeliest(double[] weight) {
    List<Integer> order = new ArrayList<>();
    double least = -1;
    for (int v = 0; v < weight.length; v++) {
      if (weight[v] > least) {
        int place = order.size();
        while (place > 0 && weight[order.get(place - 1)] < weight[v]) {
          place--;
        }
        order.add(place, v);
        if (order.size() > CANDIDATES) {
          order.remove(CANDIDATES);
        }
        least = order.size() < CANDIDATES ? -1 : weight[order.get(CANDIDATES - 1)];
      }
    }
    return order;
  }

  private MarkCandidate candidate(
      FiledMarks.Struck mark, double probability, List<ReadFace> faces) {
    int[] struck = mark.on(Face.MARK);
    List<ReadFace.Line> read =
        faces.stream()
            .filter(f -> f.where() == Face.MARK && f.face().blade() == 1)
            .findFirst()
            .map(face -> likeliestOrder(face, struck))
            .orElse(List.of());
    List<List<MarkLetter>> lines = new ArrayList<>();
    int[] match = matchLines(read, struck);
    for (int j = 0; j < struck.length; j++) {
      List<Glyph> line = match[j] < 0 ? List.of() : read.get(match[j]).read().glyphs();
      lines.add(Alignment.of(channel, line, mark.variant().lines().get(j)));
    }
    int legible = 0;
    for (ReadFace.Line line : read) {
      legible +=
          (int) line.read().glyphs().stream().filter(g -> Glyph.isLetter(g.letter())).count();
    }
    int agreeing =
        (int)
            lines.stream()
                .flatMap(List::stream)
                .filter(l -> l.fit() == MarkLetter.Fit.READ)
                .count();
    return new MarkCandidate(mark.maker(), mark.variant(), probability, lines, legible, agreeing);
  }

  private List<ReadFace.Line> likeliestOrder(ReadFace face, int[] struck) {
    double[] row = new double[struck.length + 1];
    return Stream.concat(Stream.of(face.inOrder()), Arrays.stream(face.swapped()))
        .max(Comparator.comparingDouble(order -> likelihood.linesGiven(order, struck, row)))
        .map(ReadFace.Order::lines)
        .orElse(face.lines());
  }

  // Which line read goes with which line on file: best in order, for showing only.
  private int[] matchLines(List<ReadFace.Line> read, int[] struck) {
    int n = read.size();
    int m = struck.length;
    double[][] best = new double[n + 1][m + 1];
    for (int i = 0; i <= n; i++) {
      for (int j = 0; j <= m; j++) {
        if (i > 0 && j > 0) {
          double pair = best[i - 1][j - 1] + gain(read.get(i - 1), struck[j - 1]);
          best[i][j] = Math.max(pair, Math.max(best[i - 1][j], best[i][j - 1]));
        }
      }
    }
    int[] match = new int[m];
    Arrays.fill(match, -1);
    for (int i = n, j = m; i > 0 && j > 0; ) {
      if (best[i][j] == best[i - 1][j]) {
        i--;
      } else if (best[i][j] == best[i][j - 1]) {
        j--;
      } else {
        match[--j] = --i;
      }
    }
    return match;
  }

  private double gain(ReadFace.Line line, int struck) {
    return Math.log(line.given(struck) / (likelihood.lineNotOnFile() * line.byChance()));
  }
}
