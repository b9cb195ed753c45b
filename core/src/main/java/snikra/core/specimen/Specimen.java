package snikra.core.specimen;

import static java.util.Collections.unmodifiableSet;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import snikra.core.code.SeenCode;
import snikra.core.code.SeenHallmark;
import snikra.core.code.SeenNumber;
import snikra.core.measure.Length;
import snikra.core.measure.Measurement;
import snikra.core.provenance.CareDone;
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
 * @param care what was done to keep or mend it
 * @param place where it lies now: a cabinet, a drawer, a box
 * @param tags the collector's own words to sort by; none twice
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
    Set<Sought> notFound,
    List<CareDone> care,
    @Nullable String place,
    List<String> tags) {

  public Specimen {
    tags = tags == null ? List.of() : distinct(tags);
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
    care = copy(care);
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
        Set.of(),
        List.of(),
        null,
        List.of());
  }

  /**
   * What was answered to one question.
   *
   * @param blade the place of the blade it was asked of, the main one 1; 0 for the knife
   * @param of the name of a field of the first look, or the id of a look of the clue book
   */
  public record Answered(int blade, String of, boolean isLook, Seen<?> seen) {
    /** The same with its value in words. */
    public Seen<String> written() {
      return new Seen<>(
          seen.value() == null ? null : seen.value().toString(), seen.sureness(), seen.or());
    }
  }

  /**
   * Everything that was asked and answered, in working order: the one walk over a knife for all
   * that hold it against something.
   */
  public List<Answered> answers() {
    List<Answered> out = new ArrayList<>();
    field(out, 0, "frame", frame);
    field(out, 0, "bolsters", bolsters);
    field(out, 0, "springs", springs);
    for (int b = 0; b < blades.size(); b++) {
      int place = b + 1;
      SeenBlade blade = blades.get(b);
      field(out, place, "type", blade.type());
      field(out, place, "end", blade.end());
      field(out, place, "spring", blade.spring());
      field(out, place, "presses", blade.presses());
      field(out, place, "side", blade.side());
      looks(out, place, blade.seen());
    }
    looks(out, 0, seen);
    return out;
  }

  private static void field(List<Answered> out, int blade, String of, @Nullable Seen<?> seen) {
    if (seen != null) {
      out.add(new Answered(blade, of, false, seen));
    }
  }

  private static void looks(List<Answered> out, int blade, Map<String, Seen<String>> seen) {
    new TreeMap<>(seen).forEach((of, answer) -> out.add(new Answered(blade, of, true, answer)));
  }

  /** A knife nobody has looked at yet. */
  public static Specimen unseen() {
    return new Specimen(
        null, null, null, null, null, null, List.of(), List.of(), null, Map.of(), Map.of(),
        List.of(), List.of());
  }

  /** The same knife, lying elsewhere or sorted otherwise. */
  public Specimen lying(@Nullable String where, List<String> sortedBy) {
    return with(codes, story, where, sortedBy);
  }

  /** The same knife as if nobody had looked for its date codes. */
  public Specimen withoutCodes() {
    return with(List.of(), story, place, tags);
  }

  /** The same knife as strangers may be told of it: where it was found is kept vague. */
  public Specimen withFindsKeptVague() {
    return with(codes, story.stream().map(StoryEvent::keptVague).toList(), place, tags);
  }

  private Specimen with(
      List<SeenCode> seenCodes,
      List<StoryEvent> toldStory,
      @Nullable String where,
      List<String> sortedBy) {
    return new Specimen(
        title,
        note,
        frame,
        bolsters,
        closedLength,
        springs,
        blades,
        marks,
        number,
        seenCodes,
        registered,
        hallmarks,
        seen,
        condition,
        toldStory,
        comparables,
        measured,
        notFound,
        care,
        where,
        sortedBy);
  }

  // "Carried" and "carried" are one word to whoever sorts by it: the first way of writing stays.
  private static List<String> distinct(List<String> tags) {
    Map<String, String> byFolded = new LinkedHashMap<>();
    tags.forEach(tag -> byFolded.putIfAbsent(tag.strip().toLowerCase(Locale.ROOT), tag.strip()));
    return List.copyOf(byFolded.values());
  }

  // Files may leave a list out: absent and empty mean the same for lists.
  private static <T> List<T> copy(@Nullable List<T> list) {
    return list == null ? List.of() : List.copyOf(list);
  }
}
