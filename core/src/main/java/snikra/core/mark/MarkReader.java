package snikra.core.mark;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import snikra.core.reference.ReferenceShelf;
import snikra.core.specimen.FaceState;
import snikra.core.specimen.Seen;
import snikra.core.specimen.SeenFace;

/** Holds readings against the marks of a shelf. Immutable; one for each shelf. */
public final class MarkReader {
  private final FiledMarks filed;
  private final MarkLikelihood likelihood;
  private final MarksShown shown;
  private final double unlistedWeight;

  /** A reader for the marks and the common words of this shelf. */
  public MarkReader(ReferenceShelf shelf) {
    Channel channel = new Channel(shelf.lettering(), LetterRates.of(shelf.judgement()));
    filed = new FiledMarks(shelf);
    likelihood = new MarkLikelihood(filed, channel, shelf.judgement());
    shown = new MarksShown(filed, likelihood, channel);
    unlistedWeight = shelf.unlistedWeight();
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
    Map<String, ReadFace.Line> read = new HashMap<>();
    List<ReadFace> telling =
        faces.stream()
            .filter(f -> f.state() != FaceState.WORN)
            .map(f -> likelihood.face(f, likelihood.lines(f.lines(), read)))
            .toList();
    double[] log = new double[filed.marks.size()];
    boolean[] told = new boolean[filed.marks.size()];
    double unlisted = 0;
    List<ReadFace> small = new ArrayList<>();
    for (ReadFace face : telling) {
      if (face.face().blade() > 1 && face.isRead()) {
        small.add(face);
      } else {
        likelihood.hold(face, log, told);
        unlisted += Math.log(likelihood.byChance(face));
      }
    }
    if (telling.stream().anyMatch(ReadFace::isRead)) {
      unlisted += likelihood.letterform(seen, log, told);
    }
    MarkEvidence.Seconds seconds = null;
    if (!small.isEmpty()) {
      double chance = 0;
      for (ReadFace face : small) {
        chance += Math.log(likelihood.byChance(face));
      }
      seconds = likelihood.seconds(small, log, told, unlisted, chance);
      double[] others = filed.others(seconds.other());
      double all = Arrays.stream(others).max().orElse(0);
      unlisted += likelihood.mixed(chance, all);
      for (int v = 0; v < log.length; v++) {
        log[v] += likelihood.mixed(seconds.own()[v], others[v]);
      }
      Arrays.fill(told, true);
    }
    double top = unlisted;
    for (double l : log) {
      top = Math.max(top, l);
    }
    double[] weight = filed.weights(log, told, top);
    double copied = Arrays.stream(weight).sum();
    double other = unlistedWeight * Math.exp(unlisted - top);
    for (int v = 0; v < weight.length; v++) {
      double trust = filed.marks.get(v).variant().trust();
      other += weight[v] * (1 - trust) / trust;
    }
    boolean anyRead = telling.stream().anyMatch(ReadFace::isRead);
    List<MarkCandidate> candidates =
        anyRead ? shown.candidates(telling, weight, copied + other) : List.of();
    return new MarkEvidence(
        !telling.isEmpty(),
        anyRead,
        log,
        unlisted,
        log.length == 0 ? unlisted : Math.log(copied) + top,
        candidates,
        MarkRival.of(candidates, faces, seen, filed.cut).orElse(null),
        other / (copied + other),
        anyRead ? shown.wordsIn(telling) : List.of(),
        seconds);
  }
}
