package snikra.core.mark;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import snikra.core.judgement.Judgement;
import snikra.core.specimen.Face;
import snikra.core.specimen.FaceState;
import snikra.core.specimen.LookReliability;
import snikra.core.specimen.Seen;
import snikra.core.specimen.SeenFace;

/** P(faces as read | a mark on file), and by chance. */
final class MarkLikelihood {
  private static final double EITHER = 0.5;

  private final LookReliability reliability;
  private final double lineWornAway;
  private final double lineNotOnFile;
  private final double outOfOrder;
  private final double commonWord;
  private final double wordIsFound;

  /** Logarithm of the likelihood of a face from which it may well be this mark. */
  private final double wellRead;

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

  private final double anothersOnSmallBlade;
  private final FiledMarks filed;
  private final Channel channel;

  MarkLikelihood(FiledMarks filed, Channel channel, Judgement judgement) {
    this.filed = filed;
    this.channel = channel;
    reliability = LookReliability.of(judgement);
    lineWornAway = judgement.of("mark.line-worn-away");
    lineNotOnFile = judgement.of("mark.line-not-on-file");
    outOfOrder = judgement.of("mark.out-of-order");
    commonWord = judgement.of("mark.common-word");
    wordIsFound = judgement.of("mark.word-found");
    wellRead = Math.log(judgement.of("mark.well-read"));
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
  }

  /** A line not on file against one by chance. */
  double lineNotOnFile() {
    return lineNotOnFile;
  }

  /** Share of lines that are common words. */
  double commonWord() {
    return commonWord;
  }

  /** From which odds against chance on a line is taken for a common word. */
  double wordIsFound() {
    return wordIsFound;
  }

  // How letters are cut tells dies of the same words apart; of a mark of which nobody wrote it
  // down, and by chance, one way is as good as another.
  double letterform(Map<String, Seen<String>> seen, double[] log, boolean[] told) {
    double byChance = 0;
    for (String point : filed.cut.keySet()) {
      Seen<String> answer = seen.get(point);
      if (answer != null && answer.value() != null) {
        byChance += Math.log(EITHER);
        double q = reliability.of(answer.sureness());
        for (int v = 0; v < log.length; v++) {
          String onFile = filed.marks.get(v).variant().letterform().get(point);
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
  MarkEvidence.Seconds seconds(
      List<ReadFace> small, double[] log, boolean[] told, double unlisted, double chance) {
    double[] own = new double[log.length];
    double[] other = new double[log.length];
    int[][] onTang = filed.onFace.get(Face.MARK);
    double[] room = new double[filed.mostLines + 1];
    for (ReadFace face : small) {
      hold(face, own, told);
      boolean[] read = filed.mayBe(face.lines());
      for (int v = 0; v < other.length; v++) {
        other[v] +=
            isAny(read, onTang[v])
                ? Math.log(linesGiven(face, onTang[v], room))
                : Double.NEGATIVE_INFINITY;
      }
    }
    Set<String> makers = new HashSet<>();
    for (int v = 0; v < other.length; v++) {
      if (other[v] > wellRead * small.size()) {
        makers.add(filed.marks.get(v).maker().id());
      }
    }
    return new MarkEvidence.Seconds(log.clone(), own, other, makers, unlisted, chance);
  }

  // The small blades bear what goes with the mark, or now and then another maker's mark.
  double mixed(double own, double others) {
    return Math.log(
        (1 - anothersOnSmallBlade) * Math.exp(own) + anothersOnSmallBlade * Math.exp(others));
  }

  // Notes of which marks a line was read.
  void hold(ReadFace face, double[] log, boolean[] told) {
    int[][] on = filed.onFace.get(face.where());
    double[] manner =
        filed.ofKind.stream().mapToDouble(mark -> manner(face.face(), mark)).toArray();
    double[] apart = new double[manner.length];
    for (int k = 0; k < apart.length; k++) {
      FiledMarks.Struck mark = filed.ofKind.get(k);
      double given =
          manner[k] > 0
              ? manner[k] * face.apart()[mark.on(face.where()).length]
              : elsewhere(face, mark);
      apart[k] = Math.log(given);
    }
    boolean[] read = filed.mayBe(face.lines());
    int[][] onTang = filed.onFace.get(Face.MARK);
    double[] room = new double[filed.mostLines + 1];
    for (int v = 0; v < log.length; v++) {
      int k = filed.kind[v];
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

  private static boolean isAny(boolean[] read, int[] struck) {
    for (int line : struck) {
      if (read[line]) {
        return true;
      }
    }
    return false;
  }

  /** Of a face that was read and that the mark stands on; else 0. */
  private double manner(SeenFace face, FiledMarks.Struck mark) {
    if (face.state() == FaceState.BARE || !isMarked(face, mark)) {
      return 0;
    }
    // How it was put on and how it runs is on file for the mark, not for what stands elsewhere.
    double manner =
        face.face() == Face.MARK
            ? fit(face.technique(), mark.variant().technique(), techniqueAgrees, techniqueDiffers)
                * fit(face.layout(), mark.variant().layout(), layoutAgrees, layoutDiffers)
            : 1;
    return (1 - bareThoughMarked) * manner;
  }

  private double elsewhere(ReadFace read, FiledMarks.Struck mark) {
    if (read.face().state() == FaceState.BARE) {
      return isMarked(read.face(), mark) ? bareThoughMarked : 1 - markedThoughBare;
    }
    return markedThoughBare * (1 - unusualPlace) * ReadFace.byChance(read.lines());
  }

  private static boolean isMarked(SeenFace face, FiledMarks.Struck mark) {
    return (face.blade() == 1 || mark.variant().everyBlade()) && mark.on(face.face()).length > 0;
  }

  private static <T> double fit(@Nullable T seen, T onFile, double agrees, double differs) {
    return seen == null ? 1 : seen == onFile ? agrees : differs;
  }

  ReadFace face(SeenFace face, List<ReadFace.Line> read) {
    double[] apart = new double[filed.mostLines + 1];
    apart[0] = 1;
    for (ReadFace.Line line : read) {
      apart[0] *= lineNotOnFile * line.byChance();
    }
    // Nobody knows which of those struck stood between which of those read.
    for (int m = 1; m <= filed.mostLines; m++) {
      apart[m] = apart[m - 1] * lineWornAway * (read.size() + m) / m;
    }
    ReadFace.Order[] swapped = new ReadFace.Order[Math.max(0, read.size() - 1)];
    for (int i = 0; i < swapped.length; i++) {
      List<ReadFace.Line> other = new ArrayList<>(read);
      Collections.swap(other, i, i + 1);
      swapped[i] = ReadFace.Order.of(other, lineNotOnFile);
    }
    return new ReadFace(face, read, ReadFace.Order.of(read, lineNotOnFile), swapped, apart);
  }

  // On a curve or round a circle one may begin to read at the wrong line.
  private double linesGiven(ReadFace face, int[] struck, double[] row) {
    double inOrder = linesGiven(face.inOrder(), struck, row);
    double other = 0;
    for (int i = 0; i < face.swapped().length; i++) {
      if (cross(face.inOrder().given()[i], face.inOrder().given()[i + 1], struck)) {
        other += linesGiven(face.swapped()[i], struck, row) / face.swapped().length;
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
  double linesGiven(ReadFace.Order read, int[] struck, double[] row) {
    int m = struck.length;
    row[0] = 1;
    for (int j = 0; j < m; j++) {
      row[j + 1] = row[j] * lineWornAway;
    }
    for (int i = 0; i < read.given().length; i++) {
      double[] given = read.given()[i];
      double extra = read.extra()[i];
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

  double byChance(ReadFace face) {
    double bare = face.where() == Face.BLADE ? unlistedIsNotEtched : unlistedIsBare;
    return face.face().state() == FaceState.BARE
        ? bare
        : (1 - bare) * ReadFace.byChance(face.lines());
  }

  // Blades often carry the same lines.
  List<ReadFace.Line> lines(List<String> texts, Map<String, ReadFace.Line> read) {
    return texts.stream().map(text -> read.computeIfAbsent(text, this::line)).toList();
  }

  // Country and steel words are no maker's own: an unlisted maker strikes them too.
  ReadFace.Line line(String text) {
    Channel.Read read = channel.read(text);
    double[] given = filed.lines.given(read);
    double p = (1 - commonWord) * read.chance();
    for (FiledMarks.Word word : filed.words) {
      p += commonWord * given[word.line()];
    }
    return new ReadFace.Line(read, given, p);
  }
}
