package snikra.core.provenance;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * Who had a knife, one after the other, with the years nothing is known of. Dates are as uncertain
 * as they are: what is sure of a holder may be less than what is possible, or nothing.
 *
 * @param tenures in the order in which they began
 * @param gaps in the order of time
 */
public record Chain(List<Tenure> tenures, List<Blank> gaps) {

  /**
   * A time in which one had it.
   *
   * @param holder who, null where it is not told; then by the collection itself where {@code own}
   * @param own whether it came into the collection then
   * @param from first year it may have begun in
   * @param to last year it may have ended in
   * @param surely the years in which that one had it whatever the dates mean; null where there are
   *     none
   * @param events places in the story that tell of it, from 0
   */
  public record Tenure(
      @Nullable String holder,
      boolean own,
      int from,
      int to,
      @Nullable Stretch surely,
      List<Integer> events) {
    public Tenure {
      events = List.copyOf(events);
    }
  }

  /** A stretch of years, both included. */
  public record Stretch(int from, int to) {}

  /**
   * Stretch without a word of where it was.
   *
   * @param first whether it reaches back to where the knife was made
   */
  public record Blank(int from, int to, boolean first) {}

  /** Two that surely had it in the same years. */
  public record Both(Tenure one, Tenure other, Stretch years) {}

  public Chain {
    tenures = List.copyOf(tenures);
    gaps = List.copyOf(gaps);
  }

  /**
   * The chain a story tells.
   *
   * @param made years in which the knife was made, as far as it is known
   * @param thisYear nothing is known of later years
   * @param gap years without a word from which they are one
   */
  public static Chain of(List<StoryEvent> story, @Nullable Stretch made, int thisYear, int gap) {
    List<Told> told =
        IntStream.range(0, story.size())
            .filter(i -> tells(story.get(i)))
            .mapToObj(i -> Told.of(i, story.get(i), made, thisYear))
            .sorted(Comparator.comparingInt(Told::from).thenComparingInt(Told::to))
            .toList();
    List<List<Told>> spells = new ArrayList<>();
    for (Told t : told) {
      List<Told> last = spells.isEmpty() ? null : spells.get(spells.size() - 1);
      if (last != null && t.isOf(last.get(0))) {
        last.add(t);
      } else {
        spells.add(new ArrayList<>(List.of(t)));
      }
    }
    List<Tenure> tenures = new ArrayList<>();
    for (int i = 0; i < spells.size(); i++) {
      Told next = i + 1 < spells.size() ? spells.get(i + 1).get(0) : null;
      tenures.add(tenure(spells.get(i), next, thisYear));
    }
    return new Chain(tenures, gaps(tenures, made, gap));
  }

  /** Those who surely had it at once, for more than the year it changed hands in. */
  public List<Both> atOnce() {
    List<Both> out = new ArrayList<>();
    for (int i = 0; i < tenures.size(); i++) {
      for (int j = i + 1; j < tenures.size(); j++) {
        Stretch one = tenures.get(i).surely;
        Stretch other = tenures.get(j).surely;
        if (one != null && other != null) {
          int from = Math.max(one.from, other.from);
          int to = Math.min(one.to, other.to);
          if (from < to) {
            out.add(new Both(tenures.get(i), tenures.get(j), new Stretch(from, to)));
          }
        }
      }
    }
    return out;
  }

  private static boolean tells(StoryEvent e) {
    boolean isSomebody =
        e.kind().isHeld()
            || e.kind() == StoryEvent.Kind.FOUND
            || (e.kind() == StoryEvent.Kind.ENGRAVED && e.holder() != null);
    return isSomebody && e.date() != null;
  }

  /** An event that tells of a holder, with the years its date can mean. */
  private record Told(int place, StoryEvent event, int from, int to, boolean isThroughout) {
    static Told of(int place, StoryEvent e, @Nullable Stretch made, int thisYear) {
      EdtfDate date = e.date();
      int to = date.latestBy(thisYear);
      // An open beginning reaches back to the making, where that is known.
      int from =
          made == null || !date.isOpenBefore()
              ? date.earliestYear()
              : Math.min(to, Math.max(date.earliestYear(), made.from));
      return new Told(
          place, e, made == null && date.isOpenBefore() ? to : from, to, date.isThroughout());
    }

    boolean isOwn() {
      return event.holder() == null
          && event.source() == StoryEvent.Source.OWN_RECORD
          && (event.kind().isHandedOn() || event.kind() == StoryEvent.Kind.FOUND);
    }

    /** The latest year in which it must have begun. */
    int surelyBy() {
      return isThroughout ? from : to;
    }

    /** The earliest year until which it must have gone on. */
    int surelyAt() {
      return isThroughout ? to : from;
    }

    // Whoever is named is the same by name; a hand without a name is another each time.
    boolean isOf(Told other) {
      return event.holder() != null
          && other.event.holder() != null
          && folded(event.holder()).equals(folded(other.event.holder()));
    }

    private static String folded(String name) {
      return name.strip().toLowerCase(Locale.ROOT);
    }
  }

  private static Tenure tenure(List<Told> spell, @Nullable Told next, int thisYear) {
    Told first = spell.get(0);
    Told last = spell.get(spell.size() - 1);
    boolean isLast = next == null;
    boolean isOurs = isLast && last.event.source() == StoryEvent.Source.OWN_RECORD;
    int surelyFrom = spell.stream().mapToInt(Told::surelyBy).min().orElseThrow();
    int surelyTo = isOurs ? thisYear : spell.stream().mapToInt(Told::surelyAt).max().orElseThrow();
    int to = isOurs ? thisYear : spell.stream().mapToInt(Told::to).max().orElseThrow();
    if (!isLast && next.event.kind().isFromTheOneBefore()) {
      to = Math.max(to, next.to);
    }
    return new Tenure(
        first.event.holder(),
        first.isOwn(),
        first.from,
        to,
        surelyFrom <= surelyTo ? new Stretch(surelyFrom, surelyTo) : null,
        spell.stream().map(Told::place).toList());
  }

  private static List<Blank> gaps(List<Tenure> tenures, @Nullable Stretch made, int least) {
    List<Blank> out = new ArrayList<>();
    if (tenures.isEmpty()) {
      return out;
    }
    int known = made == null ? tenures.get(0).from : made.to;
    for (Tenure h : tenures) {
      if (h.from - known >= least) {
        out.add(new Blank(known, h.from, h.equals(tenures.get(0))));
      }
      known = h.equals(tenures.get(0)) ? h.to : Math.max(known, h.to);
    }
    return out;
  }
}
