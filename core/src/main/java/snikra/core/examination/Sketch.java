package snikra.core.examination;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import snikra.core.clue.Clue;
import snikra.core.measure.Length;
import snikra.core.pattern.BladeType;
import snikra.core.pattern.Pattern;
import snikra.core.pattern.PatternBook;
import snikra.core.profile.BladeWear;
import snikra.core.reference.ReferenceShelf;
import snikra.core.resemblance.Lookalike;
import snikra.core.specimen.End;
import snikra.core.specimen.Seen;
import snikra.core.specimen.SeenBlade;
import snikra.core.specimen.Specimen;

/**
 * What a drawing to scale needs to know of a knife. Lengths that were not measured are the usual
 * ones and are marked as such.
 *
 * @param frame null where not looked at
 * @param handle the texture its cover is drawn in
 * @param measured whether the closed length was measured
 */
public record Sketch(
    @Nullable String frame,
    double closedLengthMm,
    boolean measured,
    @Nullable String bolsters,
    @Nullable String handle,
    @Nullable String jigging,
    @Nullable String shield,
    @Nullable String shieldShape,
    @Nullable String bail,
    List<Blade> blades,
    Back back) {

  private static final String HANDLE = "handle_material";
  private static final double USUAL_CLOSED_MM = 89;

  /**
   * One blade of the drawing.
   *
   * @param pull null where not looked at
   * @param left what is left of it, where heights or its area were measured
   */
  public record Blade(
      @Nullable String type,
      End end,
      boolean endSeen,
      double lengthMm,
      boolean measured,
      @Nullable String pull,
      BladeWear.@Nullable Left left) {}

  static Sketch of(Specimen knife, ReferenceShelf shelf) {
    PatternBook book = shelf.patterns();
    boolean measured = knife.closedLength() != null;
    double closed = measured ? knife.closedLength().mm() : USUAL_CLOSED_MM;
    List<Blade> blades = new ArrayList<>();
    for (SeenBlade b : knife.blades()) {
      boolean known = b.length() != null;
      End end = Seen.valueOf(b.end());
      double length = known ? b.length().mm() : book.room().usual(blades.size()) * closed;
      blades.add(
          new Blade(
              Seen.valueOf(b.type()),
              end == null ? End.A : end,
              end != null,
              length,
              known,
              Seen.valueOf(
                  blades.isEmpty() ? knife.seen().get("nail_pull") : b.seen().get("other_pull")),
              left(b, shelf, length)));
    }
    String frame = Seen.valueOf(knife.frame());
    return new Sketch(
        frame != null && book.frame(frame).isPresent() ? frame : null,
        closed,
        measured,
        Seen.valueOf(knife.bolsters()),
        handle(knife, shelf),
        Seen.valueOf(knife.seen().get("jigging")),
        Seen.valueOf(knife.seen().get("shield_fixing")),
        Seen.valueOf(knife.seen().get("shield_shape")),
        Seen.valueOf(knife.seen().get("bail")),
        blades,
        Back.of(knife));
  }

  /** A model on file as its tells have it. */
  static Sketch of(Lookalike model, ReferenceShelf shelf) {
    List<Pattern.Slot> slots =
        Optional.ofNullable(model.pattern())
            .flatMap(shelf.patterns()::pattern)
            .map(Pattern::slots)
            .orElse(List.of());
    List<SeenBlade> blades = new ArrayList<>();
    for (int i = 0; i < slots.size(); i++) {
      Pattern.Slot slot = slots.get(i);
      if (!slot.optional()) {
        String type = model.usual("blade-" + (i + 1)).orElse(slot.usualType());
        blades.add(SeenBlade.sure(type, slot.end(), null, null));
      }
    }
    Map<String, Seen<String>> seen = new TreeMap<>();
    for (String drawn : List.of(HANDLE, "jigging", "shield_shape", "shield_fixing", "bail")) {
      model.usual(drawn).ifPresent(value -> seen.put(drawn, Seen.sure(value)));
    }
    Specimen knife =
        new Specimen(
            null,
            null,
            model.usual("frame").map(Seen::sure).orElse(null),
            model.usual("bolsters").map(Seen::sure).orElse(null),
            model
                .usualLength()
                .map(mm -> Length.parse(String.format(Locale.ROOT, "%.1f mm", mm)))
                .orElse(null),
            null,
            blades,
            List.of(),
            null,
            seen,
            Map.of(),
            List.of(),
            List.of());
    return of(knife, shelf);
  }

  private static BladeWear.@Nullable Left left(SeenBlade b, ReferenceShelf shelf, double length) {
    BladeType type =
        Optional.ofNullable(Seen.valueOf(b.type())).flatMap(shelf.patterns()::blade).orElse(null);
    if (type == null) {
      return null;
    }
    List<BladeWear.Height> heights =
        b.heights().stream()
            .map(h -> new BladeWear.Height(h.at().mm(), h.height().mm()))
            .filter(h -> h.atMm() < length)
            .toList();
    BladeWear wear = BladeWear.of(shelf.judgement());
    if (b.area() != null) {
      return wear.leftOfArea(type.outline(), length, heights, b.area().mm2(), b.area().spread());
    }
    return heights.isEmpty() ? null : wear.left(type.outline(), length, heights);
  }

  private static @Nullable String handle(Specimen knife, ReferenceShelf shelf) {
    String value = Seen.valueOf(knife.seen().get(HANDLE));
    return shelf
        .clues()
        .feature(HANDLE)
        .flatMap(feature -> feature.clue("" + value))
        .map(Clue::drawnAs)
        .orElse(value);
  }
}
