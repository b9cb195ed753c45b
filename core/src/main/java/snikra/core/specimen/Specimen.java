package snikra.core.specimen;

import static java.util.Collections.unmodifiableSet;

import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import snikra.core.code.SeenCode;
import snikra.core.code.SeenHallmark;
import snikra.core.code.SeenNumber;
import snikra.core.measure.Length;
import snikra.core.measure.Measurement;
import snikra.core.provenance.StoryEvent;

/**
 * A knife as found.
 *
 * @param title the collector's own name for it
 * @param number the pattern number as struck, {@code _} for a figure that cannot be read
 * @param codes date codes as seen
 * @param registered patent, design and model numbers
 * @param hallmarks on silver
 * @param seen by feature of the clue book
 * @param condition by point of the condition book
 * @param measured readings by quantity of the measure book
 * @param notFound what was looked for and is not there, or not any more: it says nothing of the
 *     date
 */
public record Specimen(
    @Nullable String title,
    @Nullable String note,
    @Nullable Seen<String> frame,
    @Nullable Seen<String> bolsters,
    @Nullable Length closedLength,
    @Nullable Seen<Integer> springs,
    List<SeenBlade> blades,
    List<SeenFace> marks,
    @Nullable String number,
    List<SeenCode> codes,
    List<SeenNumber> registered,
    List<SeenHallmark> hallmarks,
    Map<String, Seen<String>> seen,
    Map<String, Seen<String>> condition,
    List<StoryEvent> story,
    List<ComparableSale> comparables,
    Map<String, List<Measurement>> measured,
    Set<Sought> notFound) {

  public Specimen {
    notFound =
        notFound == null || notFound.isEmpty()
            ? Set.of()
            : unmodifiableSet(EnumSet.copyOf(notFound));
    measured = measured == null ? Map.of() : Map.copyOf(measured);
    blades = copy(blades);
    marks = copy(marks);
    codes = copy(codes);
    registered = copy(registered);
    hallmarks = copy(hallmarks);
    seen = seen == null ? Map.of() : Map.copyOf(seen);
    condition = condition == null ? Map.of() : Map.copyOf(condition);
    story = copy(story);
    comparables = copy(comparables);
  }

  /** A knife on which nothing but lengths was measured. */
  public Specimen(
      @Nullable String title,
      @Nullable String note,
      @Nullable Seen<String> frame,
      @Nullable Seen<String> bolsters,
      @Nullable Length closedLength,
      @Nullable Seen<Integer> springs,
      List<SeenBlade> blades,
      List<SeenFace> marks,
      @Nullable String number,
      Map<String, Seen<String>> seen,
      Map<String, Seen<String>> condition,
      List<StoryEvent> story,
      List<ComparableSale> comparables) {
    this(
        title,
        note,
        frame,
        bolsters,
        closedLength,
        springs,
        blades,
        marks,
        number,
        List.of(),
        List.of(),
        List.of(),
        seen,
        condition,
        story,
        comparables,
        Map.of(),
        Set.of());
  }

  /** A knife nobody has looked at yet. */
  public static Specimen unseen() {
    return new Specimen(
        null, null, null, null, null, null, List.of(), List.of(), null, Map.of(), Map.of(),
        List.of(), List.of());
  }

  // Files may leave a list out: absent and empty mean the same for lists.
  private static <T> List<T> copy(@Nullable List<T> list) {
    return list == null ? List.of() : List.copyOf(list);
  }
}
