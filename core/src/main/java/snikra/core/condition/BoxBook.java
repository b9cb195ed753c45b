package snikra.core.condition;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import snikra.core.clue.ClueBook;
import snikra.core.clue.Feature;
import snikra.core.specimen.Seen;
import snikra.core.specimen.Specimen;

/**
 * What came with a knife: its box, its papers, its sheath. A grade of its own, and no part of the
 * knife's.
 *
 * @param grades the best first; the first that fits holds
 * @param beside looks of the clue book told with it
 */
public record BoxBook(List<Level> grades, List<String> beside) {

  /**
   * A grade.
   *
   * @param worth what it brings, relative to neither box nor papers
   * @param when the answers it takes, by look or point; all of them
   */
  public record Level(
      String id, String label, String why, double worth, Map<String, List<String>> when) {
    public Level {
      when = Map.copyOf(when);
    }

    private boolean fits(Specimen knife) {
      return when.entrySet().stream()
          .allMatch(e -> e.getValue().contains(given(knife, e.getKey())));
    }
  }

  /**
   * What came with one knife.
   *
   * @param beside what else was seen of it, in words
   */
  public record Boxed(String id, String label, String why, List<String> beside) {}

  public BoxBook {
    grades = List.copyOf(grades);
    beside = List.copyOf(beside);
  }

  /** The grade with this id. */
  public Optional<Level> level(String id) {
    return grades.stream().filter(l -> l.id().equals(id)).findFirst();
  }

  /** The grade by what was seen; null where nobody looked. */
  public @Nullable Boxed judge(Specimen knife, ClueBook clues) {
    return grades.stream()
        .filter(l -> l.fits(knife))
        .findFirst()
        .map(l -> new Boxed(l.id(), l.label(), l.why(), told(knife, clues)))
        .orElse(null);
  }

  private List<String> told(Specimen knife, ClueBook clues) {
    List<String> told = new ArrayList<>();
    for (String look : beside) {
      Feature feature = clues.feature(look).orElse(null);
      if (feature != null) {
        feature
            .clue(given(knife, look))
            .ifPresent(c -> told.add(feature.label() + ": " + c.label()));
      }
    }
    return told;
  }

  private static String given(Specimen knife, String id) {
    Seen<String> seen = knife.seen().getOrDefault(id, knife.condition().get(id));
    return "" + Seen.valueOf(seen);
  }
}
