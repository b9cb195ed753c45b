package snikra.core.mark;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import snikra.core.reference.MarkVariant;
import snikra.core.specimen.Face;
import snikra.core.specimen.FaceState;
import snikra.core.specimen.Seen;
import snikra.core.specimen.SeenFace;
import snikra.core.wording.Wording;

/**
 * What sets the likeliest mark apart from the next.
 *
 * @param mark the next
 * @param decides what was read that speaks for the one and not for the other
 * @param wouldTell places not read yet that would tell the two apart
 */
public record MarkRival(
    String mark, String makerName, List<String> decides, List<String> wouldTell) {

  /**
   * The first of these against the second.
   *
   * @param seen what was looked at, by look of the clue book
   * @param cut looks at how letters are cut, with what they are called
   */
  static Optional<MarkRival> of(
      List<MarkCandidate> candidates,
      List<SeenFace> faces,
      Map<String, Seen<String>> seen,
      Map<String, String> cut) {
    if (candidates.size() < 2) {
      return Optional.empty();
    }
    Comparison both = new Comparison(candidates.get(0), candidates.get(1), faces);
    both.lines();
    both.place(Face.PILE, "the pile side of the main tang");
    both.place(Face.BLADE, "the flat of the main blade");
    both.manner("put on", v -> v.technique().toString(), f -> f.technique() != null);
    both.manner("its first line", v -> v.layout().toString(), f -> f.layout() != null);
    both.smallBlades();
    cut.forEach((point, label) -> both.letterform(point, label, seen.get(point)));
    MarkCandidate rival = candidates.get(1);
    return Optional.of(
        new MarkRival(
            rival.variant().id(),
            rival.maker().name(),
            List.copyOf(both.decides),
            List.copyOf(both.wouldTell)));
  }

  private static final class Comparison {
    private final MarkCandidate lead;
    private final MarkVariant one;
    private final MarkVariant other;
    private final List<SeenFace> faces;
    private final List<String> decides = new ArrayList<>();
    private final List<String> wouldTell = new ArrayList<>();

    Comparison(MarkCandidate lead, MarkCandidate rival, List<SeenFace> faces) {
      this.lead = lead;
      this.one = lead.variant();
      this.other = rival.variant();
      this.faces = faces;
    }

    void lines() {
      int n = one.lines().size();
      int m = other.lines().size();
      for (int j = 0; j < Math.min(n, m); j++) {
        if (!same(one.lines().get(j), other.lines().get(j))) {
          line(j);
        }
      }
      if (n != m) {
        List<String> more = n > m ? one.lines() : other.lines();
        String text = String.join(" ", more.subList(Math.min(n, m), more.size()));
        boolean read = n > m && lead.lines().subList(m, n).stream().anyMatch(Comparison::isRead);
        say(
            read,
            "below line " + Math.min(n, m),
            n > m ? text : "nothing",
            n > m ? "nothing" : text);
      }
    }

    // Where two lines part, between what they begin and what they end with in common.
    private void line(int j) {
      char[] a = Glyph.letters(one.lines().get(j));
      char[] b = Glyph.letters(other.lines().get(j));
      int from = Arrays.mismatch(a, b);
      int end = 0;
      while (end < Math.min(a.length, b.length) - from
          && a[a.length - 1 - end] == b[b.length - 1 - end]) {
        end++;
      }
      List<MarkLetter> letters =
          lead.lines().get(j).stream().filter(l -> l.fit() != MarkLetter.Fit.BARE).toList();
      int to = Math.min(letters.size(), a.length - end);
      boolean read = from < to && isRead(letters.subList(from, to));
      String place = "line " + (j + 1) + (from == 0 ? "" : ", from letter " + (from + 1));
      say(read, place, part(a, from, end), part(b, from, end));
    }

    private static String part(char[] letters, int from, int end) {
      int to = letters.length - end;
      return from >= to ? "nothing" : new String(letters, from, to - from);
    }

    private static boolean isRead(List<MarkLetter> letters) {
      return letters.stream().anyMatch(l -> l.fit() == MarkLetter.Fit.READ);
    }

    void place(Face face, String place) {
      String a = String.join(" ", one.on(face));
      String b = String.join(" ", other.on(face));
      if (!same(a, b)) {
        boolean seen =
            faces.stream()
                .anyMatch(f -> f.blade() == 1 && f.face() == face && f.state() != FaceState.WORN);
        say(seen, place, a.isEmpty() ? "nothing" : a, b.isEmpty() ? "nothing" : b);
      }
    }

    void manner(
        String place,
        Function<MarkVariant, String> manner,
        java.util.function.Predicate<SeenFace> seen) {
      if (!manner.apply(one).equals(manner.apply(other))) {
        say(faces.stream().anyMatch(seen), place, manner.apply(one), manner.apply(other));
      }
    }

    void smallBlades() {
      if (one.everyBlade() != other.everyBlade()) {
        boolean seen = faces.stream().anyMatch(f -> f.blade() > 1 && f.state() != FaceState.WORN);
        say(
            seen,
            "the small blades",
            one.everyBlade() ? "marked" : "bare",
            other.everyBlade() ? "marked" : "bare");
      }
    }

    void letterform(String point, String label, @Nullable Seen<String> seen) {
      String mine = one.letterform().get(point);
      String others = other.letterform().get(point);
      if (mine != null && others != null && !mine.equals(others)) {
        say(seen != null, Wording.lowerFirst(label), mine, others);
      }
    }

    private void say(boolean seen, String place, String mine, String others) {
      String where = place.substring(0, 1).toUpperCase(java.util.Locale.ROOT) + place.substring(1);
      (seen ? decides : wouldTell).add(where + ": " + mine + ", not " + others + ".");
    }

    private static boolean same(String a, String b) {
      return Arrays.equals(Glyph.letters(a), Glyph.letters(b));
    }
  }
}
