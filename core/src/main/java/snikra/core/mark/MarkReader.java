package snikra.core.mark;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import snikra.core.clue.Clue;
import snikra.core.clue.Feature;
import snikra.core.judgement.Judgement;
import snikra.core.reference.Maker;
import snikra.core.reference.MarkShares;
import snikra.core.reference.MarkVariant;
import snikra.core.reference.ReferenceShelf;
import snikra.core.specimen.Face;
import snikra.core.specimen.FaceState;
import snikra.core.specimen.Layout;
import snikra.core.specimen.Seen;
import snikra.core.specimen.SeenFace;
import snikra.core.specimen.Technique;

/** Holds readings against the marks of a shelf. Immutable; one for each shelf. */
public final class MarkReader {
  private static final double WORD_IS_FOUND = 0.5;

  /** Logarithm of the likelihood of a face from which it may well be this mark. */
  private static final double WELL_READ = -6;

  private static final int CANDIDATES = 4;

  private final double lineWornAway;
  private final double lineNotOnFile;
  private final double outOfOrder;
  private final double commonWord;
  private final double bareThoughMarked;
  private final double markedThoughBare;
  private final double unusualPlace;
  private final double unlistedIsBare;
  private final double unlistedIsNotEtched;
  private final double techniqueAgrees;
  private final double techniqueDiffers;
  private final double layoutAgrees;
  private final double layoutDiffers;
  private final double letterformAgrees;

  /** Looks at how letters are cut of which anything is on file, with what they are called. */
  private final SortedMap<String, String> cut = new TreeMap<>();

  private final double anothersOnSmallBlade;

  private final List<Struck> marks = new ArrayList<>();
  private final List<Word> words = new ArrayList<>();

  private final StruckLines lines;

  /** On one face of a mark. */
  private final int mostLines;

  /** By mark its kind, and one mark of each kind. */
  private final int[] kind;

  private final List<Struck> ofKind = new ArrayList<>();

  /** What is struck on a face, by mark. */
  private final Map<Face, int[][]> onFace = new EnumMap<>(Face.class);

  private final double[] weights;

  private static final double EITHER = 0.5;

  private final Channel channel;
  private final double unlistedWeight;

  private record Struck(
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
      MarkVariant v = mark.variant;
      return new Kind(
          v.everyBlade(),
          v.technique(),
          v.layout(),
          mark.lines.length,
          mark.pile.length,
          mark.etch.length);
    }
  }

  private record Word(String feature, Clue clue, String word, int line) {}

  /**
   * A line as read.
   *
   * @param given its probability by line struck
   * @param byChance its probability when no mark on file accounts for it
   */
  private record Line(Channel.Read read, double[] given, double byChance) {
    double given(int struck) {
      return given[struck];
    }
  }

  /**
   * A face as read.
   *
   * @param inOrder the lines as they were read
   * @param swapped the same with a line and the next exchanged, by line
   * @param apart by number of lines struck, the probability when none of them is one of those read
   */
  private record ReadFace(
      SeenFace face, List<Line> lines, Order inOrder, Order[] swapped, double[] apart) {}

  /**
   * Lines in one order.
   *
   * @param given probability by line read and line struck
   * @param extra probability of a line read that is not on file
   */
  private record Order(List<Line> lines, double[][] given, double[] extra) {
    static Order of(List<Line> lines, double notOnFile) {
      return new Order(
          lines,
          lines.stream().map(Line::given).toArray(double[][]::new),
          lines.stream().mapToDouble(line -> notOnFile * line.byChance).toArray());
    }
  }

  /** A reader for the marks and the common words of this shelf. */
  public MarkReader(ReferenceShelf shelf) {
    Judgement judgement = shelf.judgement();
    lineWornAway = judgement.of("mark.line-worn-away");
    lineNotOnFile = judgement.of("mark.line-not-on-file");
    outOfOrder = judgement.of("mark.out-of-order");
    commonWord = judgement.of("mark.common-word");
    bareThoughMarked = judgement.of("mark.bare-though-marked");
    markedThoughBare = judgement.of("mark.marked-though-bare");
    unusualPlace = judgement.of("mark.unusual-place");
    unlistedIsBare = judgement.of("mark.unlisted-bare");
    unlistedIsNotEtched = judgement.of("mark.unlisted-not-etched");
    techniqueAgrees = judgement.of("mark.technique-agrees");
    techniqueDiffers = judgement.of("mark.technique-differs");
    layoutAgrees = judgement.of("mark.layout-agrees");
    layoutDiffers = judgement.of("mark.layout-differs");
    letterformAgrees = judgement.of("mark.letterform-agrees");
    anothersOnSmallBlade = judgement.of("hand.own-mark-on-small-blade");
    channel = new Channel(shelf.confusions());
    StruckLines.Collector known = new StruckLines.Collector(shelf.spellings());
    for (Maker maker : shelf.makers()) {
      double[] shares = MarkShares.of(maker, shelf.region(maker.region()));
      for (int i = 0; i < shares.length; i++) {
        MarkVariant v = maker.marks().get(i);
        marks.add(
            new Struck(
                maker,
                v,
                struck(v.lines(), known),
                struck(v.pile(), known),
                struck(v.etch(), known),
                maker.weight() * shares[i]));
      }
    }
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
    unlistedWeight = shelf.unlistedWeight();
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
      for (String point : mark.variant.letterform().keySet()) {
        shelf.clues().feature(point).ifPresent(f -> cut.put(point, f.label()));
      }
    }
  }

  private static int[] struck(List<String> texts, StruckLines.Collector known) {
    return texts.stream().mapToInt(known::add).toArray();
  }

  /** What these faces say. Worn faces say nothing; a bare face is evidence. */
  public MarkEvidence read(List<SeenFace> faces) {
    return read(faces, Map.of());
  }

  /**
   * The same, with how the letters are cut.
   *
   * @param seen what was looked at, by look of the clue book
   */
  public MarkEvidence read(List<SeenFace> faces, Map<String, Seen<String>> seen) {
    Map<String, Line> read = new HashMap<>();
    List<ReadFace> telling =
        faces.stream()
            .filter(f -> f.state() != FaceState.WORN)
            .map(f -> face(f, lines(f.lines(), read)))
            .toList();
    double[] log = new double[marks.size()];
    boolean[] told = new boolean[marks.size()];
    double unlisted = 0;
    List<ReadFace> small = new ArrayList<>();
    for (ReadFace face : telling) {
      if (face.face.blade() > 1 && face.face.state() == FaceState.READ) {
        small.add(face);
      } else {
        hold(face, log, told);
        unlisted += Math.log(byChance(face));
      }
    }
    if (telling.stream().anyMatch(f -> f.face.state() == FaceState.READ)) {
      unlisted += letterform(seen, log, told);
    }
    MarkEvidence.Seconds seconds = null;
    if (!small.isEmpty()) {
      double chance = 0;
      for (ReadFace face : small) {
        chance += Math.log(byChance(face));
      }
      seconds = seconds(small, log, told, unlisted, chance);
      double[] others = others(seconds.other());
      double all = Arrays.stream(others).max().orElse(0);
      unlisted += mixed(chance, all);
      for (int v = 0; v < log.length; v++) {
        log[v] += mixed(seconds.own()[v], others[v]);
      }
      Arrays.fill(told, true);
    }
    double top = unlisted;
    for (double l : log) {
      top = Math.max(top, l);
    }
    double[] weight = weights(log, told, top);
    double copied = Arrays.stream(weight).sum();
    double other = unlistedWeight * Math.exp(unlisted - top);
    for (int v = 0; v < weight.length; v++) {
      double trust = marks.get(v).variant.trust();
      other += weight[v] * (1 - trust) / trust;
    }
    boolean anyRead = telling.stream().anyMatch(f -> f.face.state() == FaceState.READ);
    List<MarkCandidate> candidates =
        anyRead ? candidates(telling, weight, copied + other) : List.of();
    return new MarkEvidence(
        !telling.isEmpty(),
        anyRead,
        log,
        unlisted,
        log.length == 0 ? unlisted : Math.log(copied) + top,
        candidates,
        MarkRival.of(candidates, faces, seen, cut).orElse(null),
        other / (copied + other),
        anyRead ? wordsIn(telling) : List.of(),
        seconds);
  }

  // How letters are cut tells dies of the same words apart; of a mark of which nobody wrote it
  // down,
  // and by chance, one way is as good as another.
  private double letterform(Map<String, Seen<String>> seen, double[] log, boolean[] told) {
    double byChance = 0;
    for (String point : cut.keySet()) {
      Seen<String> answer = seen.get(point);
      if (answer != null && answer.value() != null) {
        byChance += Math.log(EITHER);
        double q = answer.sureness().reliability();
        for (int v = 0; v < log.length; v++) {
          String onFile = marks.get(v).variant.letterform().get(point);
          double p =
              onFile == null
                  ? EITHER
                  : onFile.equals(answer.value()) ? letterformAgrees : 1 - letterformAgrees;
          log[v] += Math.log(q * p + (1 - q) * EITHER);
          told[v] = true;
        }
      }
    }
    return byChance;
  }

  // Small blades apart: they may bear the mark of who made the knife for the house.
  private MarkEvidence.Seconds seconds(
      List<ReadFace> small, double[] log, boolean[] told, double unlisted, double chance) {
    double[] own = new double[log.length];
    double[] other = new double[log.length];
    int[][] onTang = onFace.get(Face.MARK);
    double[] room = new double[mostLines + 1];
    for (ReadFace face : small) {
      hold(face, own, told);
      boolean[] read = mayBe(face.lines);
      for (int v = 0; v < other.length; v++) {
        other[v] +=
            isAny(read, onTang[v])
                ? Math.log(linesGiven(face, onTang[v], room))
                : Double.NEGATIVE_INFINITY;
      }
    }
    Set<String> makers = new HashSet<>();
    for (int v = 0; v < other.length; v++) {
      if (other[v] > WELL_READ * small.size()) {
        makers.add(marks.get(v).maker.id());
      }
    }
    return new MarkEvidence.Seconds(log.clone(), own, other, makers, unlisted, chance);
  }

  /** By mark, the likelihood of the small blades under the marks of all other makers together. */
  private double[] others(double[] other) {
    double all = Arrays.stream(weights).sum();
    double[] sums = new double[other.length];
    double total = 0;
    Map<String, Double> byMaker = new HashMap<>();
    for (int v = 0; v < other.length; v++) {
      double p = weights[v] / all * Math.exp(other[v]);
      total += p;
      byMaker.merge(marks.get(v).maker.id(), p, Double::sum);
    }
    for (int v = 0; v < sums.length; v++) {
      sums[v] = Math.log(Math.max(0, total - byMaker.get(marks.get(v).maker.id())));
    }
    return sums;
  }

  // The small blades bear what goes with the mark, or now and then another maker's mark.
  private double mixed(double own, double others) {
    return Math.log(
        (1 - anothersOnSmallBlade) * Math.exp(own) + anothersOnSmallBlade * Math.exp(others));
  }

  // Marks of which no line was read are alike where they are of a kind, and there are few kinds.
  private double[] weights(double[] log, boolean[] told, double top) {
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

  // Notes of which marks a line was read.
  private void hold(ReadFace face, double[] log, boolean[] told) {
    int[][] on = onFace.get(face.face.face());
    double[] manner = ofKind.stream().mapToDouble(mark -> manner(face.face, mark)).toArray();
    double[] apart = new double[manner.length];
    for (int k = 0; k < apart.length; k++) {
      Struck mark = ofKind.get(k);
      double given =
          manner[k] > 0
              ? manner[k] * face.apart[mark.on(face.face.face()).length]
              : elsewhere(face, mark);
      apart[k] = Math.log(given);
    }
    boolean[] read = mayBe(face.lines);
    int[][] onTang = onFace.get(Face.MARK);
    double[] room = new double[mostLines + 1];
    for (int v = 0; v < log.length; v++) {
      int k = kind[v];
      if (manner[k] > 0 && isAny(read, on[v])) {
        log[v] += Math.log(manner[k] * linesGiven(face, on[v], room));
        told[v] = true;
      } else if (manner[k] == 0 && isAny(read, onTang[v])) {
        // What a mark says it says wherever it stands.
        log[v] += Math.log(Math.exp(apart[k]) + inUnusualPlace(face, onTang[v], room));
        told[v] = true;
      } else {
        log[v] += apart[k];
      }
    }
  }

  private double inUnusualPlace(ReadFace face, int[] struck, double[] room) {
    return unusualPlace * markedThoughBare * linesGiven(face, struck, room);
  }

  /** By line struck, whether any of the lines read may be it. */
  private boolean[] mayBe(List<Line> all) {
    boolean[] read = new boolean[lines.size()];
    for (Line line : all) {
      double[] given = line.given;
      for (int struck = 0; struck < read.length; struck++) {
        read[struck] |= given[struck] > 0;
      }
    }
    return read;
  }

  private static boolean isAny(boolean[] read, int[] struck) {
    for (int line : struck) {
      if (read[line]) {
        return true;
      }
    }
    return false;
  }

  /** Of a face that was read and that the mark stands on; else 0. */
  private double manner(SeenFace face, Struck mark) {
    if (face.state() == FaceState.BARE || !isMarked(face, mark)) {
      return 0;
    }
    // How it was put on and how it runs is on file for the mark, not for what stands elsewhere.
    double manner =
        face.face() == Face.MARK
            ? fit(face.technique(), mark.variant.technique(), techniqueAgrees, techniqueDiffers)
                * fit(face.layout(), mark.variant.layout(), layoutAgrees, layoutDiffers)
            : 1;
    return (1 - bareThoughMarked) * manner;
  }

  private double elsewhere(ReadFace read, Struck mark) {
    if (read.face.state() == FaceState.BARE) {
      return isMarked(read.face, mark) ? bareThoughMarked : 1 - markedThoughBare;
    }
    return markedThoughBare * (1 - unusualPlace) * byChance(read.lines);
  }

  private static boolean isMarked(SeenFace face, Struck mark) {
    return (face.blade() == 1 || mark.variant.everyBlade()) && mark.on(face.face()).length > 0;
  }

  private static <T> double fit(@Nullable T seen, T onFile, double agrees, double differs) {
    return seen == null ? 1 : seen == onFile ? agrees : differs;
  }

  private ReadFace face(SeenFace face, List<Line> read) {
    double[] apart = new double[mostLines + 1];
    apart[0] = 1;
    for (Line line : read) {
      apart[0] *= lineNotOnFile * line.byChance;
    }
    // Nobody knows which of those struck stood between which of those read.
    for (int m = 1; m <= mostLines; m++) {
      apart[m] = apart[m - 1] * lineWornAway * (read.size() + m) / m;
    }
    Order[] swapped = new Order[Math.max(0, read.size() - 1)];
    for (int i = 0; i < swapped.length; i++) {
      List<Line> other = new ArrayList<>(read);
      Collections.swap(other, i, i + 1);
      swapped[i] = Order.of(other, lineNotOnFile);
    }
    return new ReadFace(face, read, Order.of(read, lineNotOnFile), swapped, apart);
  }

  // On a curve or round a circle one may begin to read at the wrong line.
  private double linesGiven(ReadFace face, int[] struck, double[] row) {
    double inOrder = linesGiven(face.inOrder, struck, row);
    double other = 0;
    for (int i = 0; i < face.swapped.length; i++) {
      if (cross(face.inOrder.given[i], face.inOrder.given[i + 1], struck)) {
        other += linesGiven(face.swapped[i], struck, row) / face.swapped.length;
      }
    }
    return other > 0 ? (1 - outOfOrder) * inOrder + outOfOrder * other : inOrder;
  }

  /** Whether a line may be one further down than the next line may be. */
  private static boolean cross(double[] line, double[] next, int[] struck) {
    boolean isAbove = false;
    for (int number : struck) {
      if (isAbove && line[number] > 0) {
        return true;
      }
      isAbove |= next[number] > 0;
    }
    return false;
  }

  // Lines keep their order; a line on file may be ground away, a line read may not be on file.
  private double linesGiven(Order read, int[] struck, double[] row) {
    int m = struck.length;
    row[0] = 1;
    for (int j = 0; j < m; j++) {
      row[j + 1] = row[j] * lineWornAway;
    }
    for (int i = 0; i < read.given.length; i++) {
      double[] given = read.given[i];
      double extra = read.extra[i];
      double before = row[0];
      row[0] = before * extra;
      for (int j = 0; j < m; j++) {
        double here = before * given[struck[j]] + row[j + 1] * extra;
        before = row[j + 1];
        row[j + 1] = here + row[j] * lineWornAway;
      }
    }
    return row[m];
  }

  private double byChance(ReadFace face) {
    double bare = face.face.face() == Face.BLADE ? unlistedIsNotEtched : unlistedIsBare;
    return face.face.state() == FaceState.BARE ? bare : (1 - bare) * byChance(face.lines);
  }

  private static double byChance(List<Line> lines) {
    double p = 1;
    for (Line line : lines) {
      p *= line.byChance;
    }
    return p;
  }

  // Blades often carry the same lines.
  private List<Line> lines(List<String> texts, Map<String, Line> read) {
    return texts.stream().map(text -> read.computeIfAbsent(text, this::line)).toList();
  }

  // Country and steel words are no maker's own: an unlisted maker strikes them too.
  private Line line(String text) {
    Channel.Read read = channel.read(text);
    double[] given = lines.given(read);
    double p = (1 - commonWord) * read.chance();
    for (Word word : words) {
      p += commonWord * given[word.line];
    }
    return new Line(read, given, p);
  }

  private List<MarkEvidence.WordFound> wordsIn(List<ReadFace> faces) {
    List<MarkEvidence.WordFound> found = new ArrayList<>();
    for (ReadFace face : faces) {
      for (Line line : face.lines) {
        for (Word word : words) {
          double p = commonWord * line.given(word.line) / line.byChance;
          if (p > WORD_IS_FOUND) {
            found.add(new MarkEvidence.WordFound(word.feature, word.clue.id(), word.word, p));
          }
        }
      }
    }
    return found;
  }

  private List<MarkCandidate> candidates(List<ReadFace> faces, double[] weight, double sum) {
    return likeliest(weight).stream()
        .map(v -> candidate(marks.get(v), weight[v] / sum, faces))
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

  private MarkCandidate candidate(Struck mark, double probability, List<ReadFace> faces) {
    int[] struck = mark.on(Face.MARK);
    List<Line> read =
        faces.stream()
            .filter(f -> f.face.face() == Face.MARK && f.face.blade() == 1)
            .findFirst()
            .map(face -> likeliestOrder(face, struck))
            .orElse(List.of());
    List<List<MarkLetter>> lines = new ArrayList<>();
    int[] match = matchLines(read, struck);
    for (int j = 0; j < struck.length; j++) {
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

  private List<Line> likeliestOrder(ReadFace face, int[] struck) {
    double[] row = new double[struck.length + 1];
    return Stream.concat(Stream.of(face.inOrder), Arrays.stream(face.swapped))
        .max(Comparator.comparingDouble(order -> linesGiven(order, struck, row)))
        .map(Order::lines)
        .orElse(face.lines);
  }

  // Which line read goes with which line on file: best in order, for showing only.
  private int[] matchLines(List<Line> read, int[] struck) {
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

  private double gain(Line line, int struck) {
    return Math.log(line.given(struck) / (lineNotOnFile * line.byChance));
  }
}
