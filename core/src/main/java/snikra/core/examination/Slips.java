package snikra.core.examination;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import snikra.core.dating.DatingVerdict;
import snikra.core.dating.Span;
import snikra.core.mark.Consensus;
import snikra.core.mark.MarkEra;
import snikra.core.reference.Maker;
import snikra.core.reference.MarkSlip;
import snikra.core.specimen.Face;
import snikra.core.specimen.FaceState;
import snikra.core.specimen.SeenFace;
import snikra.core.specimen.Specimen;

/** Slips that put on file what stands on a knife, filled in as far as the knife tells. */
final class Slips {
  private Slips() {}

  /**
   * A slip for the mark of this knife; none where no letters were read.
   *
   * @param maker the one on file whose mark it most likely is
   * @param dated what the knife tells
   * @param unmarked the same were no mark on file: the wording beside it is heard, but a mark is no
   *     witness of its own years
   * @param give years by which either end may be out
   */
  static Optional<MarkSlip> of(
      Specimen knife,
      @Nullable Maker maker,
      DatingVerdict dated,
      DatingVerdict unmarked,
      int give) {
    List<SeenFace> read = read(knife);
    Optional<SeenFace> main = main(knife);
    Span years = unmarked.clues().isEmpty() ? null : unmarked.opinion().years();
    return main.map(
        face ->
            new MarkSlip(
                maker == null ? null : maker.name(),
                maker == null ? region(dated) : null,
                null,
                letters(face.lines()),
                face.face() == Face.MARK ? on(read, face.blade(), Face.PILE) : List.of(),
                face.face() == Face.MARK ? on(read, face.blade(), Face.BLADE) : List.of(),
                face.layout(),
                face.technique(),
                isOnAll(knife, face.blade()),
                years == null ? null : years.from(),
                years == null ? null : years.to(),
                give,
                "own-knives",
                "My own knives",
                null));
  }

  private static List<SeenFace> read(Specimen knife) {
    return knife.marks().stream()
        .filter(f -> f.state() == FaceState.READ && !f.lines().isEmpty())
        .toList();
  }

  /** The face that bears the mark: the mark side of the first blade that has one. */
  static Optional<SeenFace> main(Specimen knife) {
    List<SeenFace> read = read(knife);
    return read.stream()
        .filter(f -> f.face() == Face.MARK)
        .min(Comparator.comparingInt(SeenFace::blade))
        .or(() -> read.stream().min(Comparator.comparingInt(SeenFace::blade)));
  }

  /**
   * A slip for a mark that several knives bear.
   *
   * @param first filled in from the first of them
   */
  static MarkSlip of(MarkSlip first, List<Consensus.Line> lines, @Nullable MarkEra era) {
    return new MarkSlip(
        first.maker(),
        first.region(),
        first.place(),
        lines.stream().map(Consensus.Line::text).toList(),
        first.pile(),
        first.etch(),
        first.layout(),
        first.technique(),
        first.everyBlade(),
        era == null ? first.from() : (Integer) era.first().middle(),
        era == null ? first.to() : (Integer) era.last().middle(),
        era == null ? first.give() : era.give(),
        first.sourceKind(),
        first.source(),
        first.note());
  }

  private static @Nullable String region(DatingVerdict dated) {
    return dated.explanations().isEmpty() ? null : dated.makers().get(0).region();
  }

  private static List<String> on(List<SeenFace> read, int blade, Face face) {
    return read.stream()
        .filter(f -> f.blade() == blade && f.face() == face)
        .findFirst()
        .map(f -> letters(f.lines()))
        .orElse(List.of());
  }

  // A doubtful letter is put down as read; what is lost is left for the collector to fill.
  private static List<String> letters(List<String> lines) {
    return lines.stream().map(l -> l.replace("?", "").strip()).filter(l -> !l.isEmpty()).toList();
  }

  // On every small blade that was looked at, where any was.
  private static boolean isOnAll(Specimen knife, int main) {
    List<SeenFace> others =
        knife.marks().stream().filter(f -> f.blade() != main && f.face() == Face.MARK).toList();
    return !others.isEmpty() && others.stream().allMatch(f -> f.state() == FaceState.READ);
  }
}
