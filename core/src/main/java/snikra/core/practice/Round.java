package snikra.core.practice;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import snikra.core.clue.Clue;
import snikra.core.clue.Feature;
import snikra.core.examination.Problem;
import snikra.core.examination.Station;
import snikra.core.reference.ReferenceShelf;
import snikra.core.specimen.Seen;
import snikra.core.specimen.SeenBlade;
import snikra.core.specimen.SeenFace;
import snikra.core.specimen.Specimen;

/**
 * One knife in hand: its shape is seen at once, each look at the rest takes a glance or more, and
 * the glances are counted.
 */
public final class Round {
  /** The look at the mark. */
  public static final String MARKS = "marks";

  private final Dealt dealt;
  private final Set<String> looked;
  private final ReferenceShelf shelf;
  private final double glances;

  /** A round as it stands after these looks. */
  public Round(Dealt dealt, List<String> looked, ReferenceShelf shelf, PracticeBook book) {
    this.dealt = dealt;
    this.looked = new LinkedHashSet<>(looked);
    this.shelf = shelf;
    this.glances = book.glances().value();
  }

  /**
   * Something there is to look at.
   *
   * @param glances it takes
   * @param answer what is seen; null while nobody looked
   */
  public record Glance(
      String id, String station, String label, double glances, @Nullable String answer) {}

  /** All there is to look at, in working order. */
  public List<Glance> looks() {
    return looks(looked);
  }

  /** What there is to see, whether or not anybody looked; null where there is no such look. */
  @Nullable String answer(String look) {
    return looks(Set.of(look)).stream()
        .filter(l -> l.id().equals(look))
        .map(Glance::answer)
        .findFirst()
        .orElse(null);
  }

  private List<Glance> looks(Set<String> by) {
    List<Glance> all = new ArrayList<>();
    if (!dealt.knife().marks().isEmpty()) {
      all.add(
          new Glance(
              MARKS,
              Station.MARKS.toString(),
              "The mark",
              Feature.Trouble.LOUPE.cost(),
              by.contains(MARKS) ? read() : null));
    }
    Map<String, Seen<String>> there = there();
    for (Feature feature : shelf.clues().features()) {
      Seen<String> seen = there.get(feature.id());
      if (seen != null) {
        all.add(
            new Glance(
                feature.id(),
                feature.station(),
                feature.label(),
                feature.trouble().cost(),
                by.contains(feature.id()) ? told(feature, seen) : null));
      }
    }
    return all;
  }

  private static String told(Feature feature, Seen<String> seen) {
    String value = "" + seen.value();
    return feature.clue(value).map(Clue::label).orElse(value);
  }

  private String read() {
    return dealt.knife().marks().stream()
        .flatMap(f -> f.lines().stream())
        .collect(Collectors.joining(", "));
  }

  private Map<String, Seen<String>> there() {
    Map<String, Seen<String>> there = new HashMap<>(dealt.knife().seen());
    dealt.knife().blades().stream().findFirst().ifPresent(b -> there.putAll(b.seen()));
    // Where its owner could not tell, there is nothing to show.
    there.values().removeIf(s -> s.value() == null);
    return there;
  }

  /** Glances that are left. */
  public double left() {
    return glances
        - looks().stream().filter(l -> looked.contains(l.id())).mapToDouble(Glance::glances).sum();
  }

  /** What stands against this look; null where nothing does. */
  public @Nullable Problem against(String look) {
    Glance asked = looks().stream().filter(l -> l.id().equals(look)).findFirst().orElse(null);
    if (asked == null) {
      return new Problem("look", look, "must be one of the looks there are on this knife");
    }
    boolean isTooMuch = !looked.contains(look) && asked.glances() > left();
    return isTooMuch
        ? new Problem("look", look, "takes more glances than are left: it is time to guess")
        : null;
  }

  /** Ids of the looks that were taken, in their order. */
  public List<String> looked() {
    return List.copyOf(looked);
  }

  /** Ids of the parts that were looked at. */
  Set<String> parts() {
    return shelf.clues().features().stream()
        .filter(f -> looked.contains(f.id()))
        .map(Feature::part)
        .collect(Collectors.toSet());
  }

  /** What is so, and is not shown. */
  Truth truth() {
    return dealt.truth();
  }

  /** The knife as far as it was looked at. */
  public Specimen shown() {
    return shown(looked);
  }

  /** The knife had it been looked at here as well. */
  Specimen shownWith(String look) {
    Set<String> more = new HashSet<>(looked);
    more.add(look);
    return shown(more);
  }

  private Specimen shown(Set<String> by) {
    Specimen all = dealt.knife();
    List<SeenBlade> blades = all.blades().stream().map(b -> with(b, only(b.seen(), by))).toList();
    return bare(all, blades, by.contains(MARKS) ? all.marks() : List.of(), only(all.seen(), by));
  }

  private static Map<String, Seen<String>> only(Map<String, Seen<String>> seen, Set<String> by) {
    Map<String, Seen<String>> some = new HashMap<>(seen);
    some.keySet().retainAll(by);
    return some;
  }

  /** A blade of which this was looked at, beside its shape. */
  static SeenBlade with(SeenBlade blade, Map<String, Seen<String>> seen) {
    return new SeenBlade(
        blade.type(),
        blade.end(),
        blade.presses(),
        blade.side(),
        blade.spring(),
        null,
        List.of(),
        null,
        seen);
  }

  /** A knife without its papers: what is in hand, and nothing that is known of it. */
  static Specimen bare(
      Specimen knife,
      List<SeenBlade> blades,
      List<SeenFace> marks,
      Map<String, Seen<String>> seen) {
    return new Specimen(
        null,
        null,
        knife.frame(),
        knife.bolsters(),
        knife.closedLength(),
        knife.springs(),
        blades,
        marks,
        null,
        seen,
        Map.of(),
        List.of(),
        List.of());
  }
}
