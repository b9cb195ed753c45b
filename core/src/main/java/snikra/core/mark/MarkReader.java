package snikra.core.mark;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import snikra.core.clue.Clue;
import snikra.core.clue.Feature;
import snikra.core.reference.Maker;
import snikra.core.reference.MarkVariant;
import snikra.core.reference.ReferenceShelf;
import snikra.core.specimen.Face;
import snikra.core.specimen.FaceState;
import snikra.core.specimen.SeenFace;
import snikra.core.specimen.Technique;

/** Holds readings against the marks of a shelf. Immutable; one for each shelf. */
public final class MarkReader {
  private static final double LINE_GROUND_AWAY = 0.12;
  private static final double LINE_NOT_ON_FILE = 0.02;
  private static final double COMMON_WORD = 0.04;
  private static final double WORD_IS_FOUND = 0.5;
  private static final double TECHNIQUE_AGREES = 0.97;
  private static final double TECHNIQUE_DIFFERS = 0.01;
  private static final double BARE_THOUGH_MARKED = 0.05;
  private static final double MARKED_THOUGH_BARE = 0.1;
  private static final double UNLISTED_IS_BARE = 0.2;
  private static final int CANDIDATES = 4;

  private final List<Struck> marks = new ArrayList<>();
  private final List<Word> words = new ArrayList<>();
  private final Channel channel;
  private final double unlistedWeight;

  private record Struck(
      Maker maker, MarkVariant variant, List<int[]> lines, List<int[]> pile, double weight) {}

  private record Word(String feature, Clue clue, String word, int[] letters) {}

  /**
   * A line as read.
   *
   * @param byChance its probability when no mark on file accounts for it
   */
  private record Line(Channel.Read read, double byChance) {
    double given(int[] struck) {
      return Channel.probability(read, struck);
    }
  }

  private record ReadFace(SeenFace face, List<Line> lines) {}

  /** A reader for the marks and the common words of this shelf. */
  public MarkReader(ReferenceShelf shelf) {
    channel = new Channel(shelf.confusions());
    for (Maker maker : shelf.makers()) {
      double share = maker.weight() / maker.marks().size();
      for (MarkVariant v : maker.marks()) {
        marks.add(new Struck(maker, v, letters(v.lines()), letters(v.pile()), share));
      }
    }
    for (Feature feature : shelf.clues().features()) {
      if (feature.markBorne()) {
        for (Clue clue : feature.clues()) {
          clue.words().forEach(w -> words.add(new Word(feature.id(), clue, w, Channel.indices(w))));
        }
      }
    }
    unlistedWeight = shelf.unlistedWeight();
  }

  private static List<int[]> letters(List<String> lines) {
    return lines.stream().map(Channel::indices).toList();
  }

  /** What these faces say. Worn faces say nothing; a bare face is evidence. */
  public MarkEvidence read(List<SeenFace> faces) {
    List<ReadFace> telling =
        faces.stream()
            .filter(f -> f.state() != FaceState.WORN)
            .map(f -> new ReadFace(f, f.lines().stream().map(this::line).toList()))
            .toList();
    double[] log = new double[marks.size()];
    double copied = 0;
    for (int v = 0; v < log.length; v++) {
      for (ReadFace face : telling) {
        log[v] += Math.log(given(face, marks.get(v)));
      }
    }
    double unlisted = 0;
    for (ReadFace face : telling) {
      unlisted += Math.log(byChance(face));
    }
    double top = unlisted;
    for (double l : log) {
      top = Math.max(top, l);
    }
    double sum = unlistedWeight * Math.exp(unlisted - top);
    for (int v = 0; v < log.length; v++) {
      double w = marks.get(v).weight * Math.exp(log[v] - top);
      sum += w;
      copied += w;
    }
    boolean anyRead = telling.stream().anyMatch(f -> f.face.state() == FaceState.READ);
    return new MarkEvidence(
        !telling.isEmpty(),
        anyRead,
        log,
        unlisted,
        log.length == 0 ? unlisted : Math.log(copied) + top,
        anyRead ? candidates(telling, log, top, sum) : List.of(),
        unlistedWeight * Math.exp(unlisted - top) / sum,
        anyRead ? wordsIn(telling) : List.of());
  }

  private double given(ReadFace read, Struck mark) {
    SeenFace face = read.face;
    boolean onFile = face.blade() == 1 || mark.variant.everyBlade();
    List<int[]> struck = face.face() == Face.MARK ? mark.lines : mark.pile;
    boolean marked = onFile && !struck.isEmpty();
    if (face.state() == FaceState.BARE) {
      return marked ? BARE_THOUGH_MARKED : 1 - MARKED_THOUGH_BARE;
    }
    double technique = techniqueFit(face.technique(), mark.variant.technique());
    return marked
        ? (1 - BARE_THOUGH_MARKED) * technique * linesGiven(read.lines, struck)
        : MARKED_THOUGH_BARE * byChance(read.lines);
  }

  private static double techniqueFit(Technique seen, Technique onFile) {
    if (seen == null) {
      return 1;
    }
    return seen == onFile ? TECHNIQUE_AGREES : TECHNIQUE_DIFFERS;
  }

  // Lines keep their order; a line on file may be ground away, a line read may not be on file.
  private static double linesGiven(List<Line> read, List<int[]> struck) {
    double[] row = new double[struck.size() + 1];
    row[0] = 1;
    for (int j = 0; j < struck.size(); j++) {
      row[j + 1] = row[j] * LINE_GROUND_AWAY;
    }
    for (Line line : read) {
      double[] next = new double[row.length];
      double extra = LINE_NOT_ON_FILE * line.byChance;
      next[0] = row[0] * extra;
      for (int j = 0; j < struck.size(); j++) {
        next[j + 1] =
            row[j] * line.given(struck.get(j)) + row[j + 1] * extra + next[j] * LINE_GROUND_AWAY;
      }
      row = next;
    }
    return row[struck.size()];
  }

  private static double byChance(ReadFace face) {
    return face.face.state() == FaceState.BARE
        ? UNLISTED_IS_BARE
        : (1 - UNLISTED_IS_BARE) * byChance(face.lines);
  }

  private static double byChance(List<Line> lines) {
    double p = 1;
    for (Line line : lines) {
      p *= line.byChance;
    }
    return p;
  }

  // Country and steel words are no maker's own: an unlisted maker strikes them too.
  private Line line(String text) {
    Channel.Read read = channel.read(text);
    double p = (1 - COMMON_WORD) * read.chance();
    for (Word word : words) {
      p += COMMON_WORD * Channel.probability(read, word.letters);
    }
    return new Line(read, p);
  }

  private List<MarkEvidence.WordFound> wordsIn(List<ReadFace> faces) {
    List<MarkEvidence.WordFound> found = new ArrayList<>();
    for (ReadFace face : faces) {
      for (Line line : face.lines) {
        for (Word word : words) {
          double p = COMMON_WORD * line.given(word.letters) / line.byChance;
          if (p > WORD_IS_FOUND) {
            found.add(new MarkEvidence.WordFound(word.feature, word.clue.id(), word.word, p));
          }
        }
      }
    }
    return found;
  }

  private List<MarkCandidate> candidates(
      List<ReadFace> faces, double[] log, double top, double sum) {
    List<Integer> order = new ArrayList<>();
    for (int v = 0; v < log.length; v++) {
      order.add(v);
    }
    order.sort(
        Comparator.comparingDouble((Integer v) -> -(log[v] + Math.log(marks.get(v).weight)))
            .thenComparing(v -> v));
    return order.stream()
        .limit(CANDIDATES)
        .map(
            v -> candidate(marks.get(v), marks.get(v).weight * Math.exp(log[v] - top) / sum, faces))
        .toList();
  }

  private MarkCandidate candidate(Struck mark, double probability, List<ReadFace> faces) {
    List<Line> read =
        faces.stream()
            .filter(f -> f.face.face() == Face.MARK && f.face.blade() == 1)
            .map(ReadFace::lines)
            .findFirst()
            .orElse(List.of());
    List<List<MarkLetter>> lines = new ArrayList<>();
    int[] match = matchLines(read, mark.lines);
    for (int j = 0; j < mark.lines.size(); j++) {
      List<Glyph> line = match[j] < 0 ? List.of() : read.get(match[j]).read.glyphs();
      lines.add(Alignment.of(channel, line, mark.variant.lines().get(j)));
    }
    int legible = 0;
    for (Line line : read) {
      legible += (int) line.read.glyphs().stream().filter(g -> Glyph.isLetter(g.letter())).count();
    }
    int agreeing =
        (int)
            lines.stream()
                .flatMap(List::stream)
                .filter(l -> l.fit() == MarkLetter.Fit.READ)
                .count();
    return new MarkCandidate(mark.maker, mark.variant, probability, lines, legible, agreeing);
  }

  // Which line read goes with which line on file: best in order, for showing only.
  private static int[] matchLines(List<Line> read, List<int[]> struck) {
    int n = read.size();
    int m = struck.size();
    double[][] best = new double[n + 1][m + 1];
    for (int i = 0; i <= n; i++) {
      for (int j = 0; j <= m; j++) {
        if (i > 0 && j > 0) {
          double pair = best[i - 1][j - 1] + gain(read.get(i - 1), struck.get(j - 1));
          best[i][j] = Math.max(pair, Math.max(best[i - 1][j], best[i][j - 1]));
        }
      }
    }
    int[] match = new int[m];
    java.util.Arrays.fill(match, -1);
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

  private static double gain(Line line, int[] struck) {
    return Math.log(line.given(struck) / (LINE_NOT_ON_FILE * line.byChance));
  }
}
