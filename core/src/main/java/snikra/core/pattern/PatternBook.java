package snikra.core.pattern;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import snikra.core.profile.BladeRoom;
import snikra.core.specimen.Specimen;

/**
 * The shapes and the patterns known.
 *
 * @param room how much of a handle its blades take
 */
public record PatternBook(
    List<Frame> frames,
    List<BladeType> blades,
    BladeRoom room,
    List<ShieldForm> shields,
    List<BolsterLayout> bolsters,
    List<Pull> pulls,
    Map<String, Pattern.Asked> dividers,
    List<SpringLayout> springLayouts,
    List<Modifier> modifiers,
    List<Pattern> patterns) {

  public PatternBook {
    frames = List.copyOf(frames);
    blades = List.copyOf(blades);
    shields = List.copyOf(shields);
    bolsters = List.copyOf(bolsters);
    pulls = List.copyOf(pulls);
    dividers = Map.copyOf(dividers);
    springLayouts = List.copyOf(springLayouts);
    modifiers = List.copyOf(modifiers);
    patterns = List.copyOf(patterns);
    Map<String, BladeType> bladesById = byId(blades, BladeType::id);
    Map<String, Frame> framesById = byId(frames, Frame::id);
    Map<String, Pattern> patternsById = byId(patterns, Pattern::id);
    Map<String, BolsterLayout> layoutsById = byId(bolsters, BolsterLayout::id);
    Map<String, Pull> pullsById = byId(pulls, Pull::id);
    springLayouts.forEach(
        l -> l.patterns().forEach(id -> known("pattern", id, l.id(), patternsById)));
    for (Pattern p : patterns) {
      known("dividers", p.dividers(), p.id(), dividers);
      String of = p.id();
      p.frames().keySet().forEach(id -> known("frame", id, of, framesById));
      p.tellApart().keySet().forEach(id -> known("look-alike", id, of, patternsById));
      p.slots().forEach(s -> s.types().keySet().forEach(id -> known("blade", id, of, bladesById)));
      p.bolsters().forEach(id -> known("bolsters", id, of, layoutsById));
      p.pulls().forEach(id -> known("pull", id, of, pullsById));
    }
  }

  /** A book without patterns. */
  public static PatternBook empty() {
    return new PatternBook(
        List.of(),
        List.of(),
        new BladeRoom(List.of(1.0), 1),
        List.of(),
        List.of(),
        List.of(),
        Map.of(),
        List.of(),
        List.of(),
        List.of());
  }

  private static <T> Map<String, T> byId(List<T> things, Function<T, String> id) {
    Map<String, T> byId = new HashMap<>();
    things.forEach(t -> byId.put(id.apply(t), t));
    return byId;
  }

  private static void known(String what, String id, String pattern, Map<String, ?> known) {
    if (!known.containsKey(id)) {
      throw new IllegalArgumentException(
          what + " of " + pattern + " must be in the book; found " + id);
    }
  }

  /** What some patterns are known by beside their shape. */
  public List<Pattern.Mechanism> mechanisms() {
    return patterns.stream().map(Pattern::mechanism).filter(Objects::nonNull).distinct().toList();
  }

  /** What a name asks beside shape: what stands between its springs, and what is its own. */
  List<Pattern.Asked> asks(Pattern pattern) {
    List<Pattern.Asked> asks = new ArrayList<>(pattern.asks());
    asks.add(divider(pattern));
    return asks;
  }

  /** What a name asks to stand between its springs. */
  Pattern.Asked divider(Pattern pattern) {
    return Objects.requireNonNull(dividers.get(pattern.dividers()));
  }

  /**
   * How this knife is laid out, as the first that fits; empty where too little was counted.
   *
   * @param full share of the handle from which a blade is of full length
   */
  public Optional<SpringLayout> layout(Specimen knife, Set<String> leading, double full) {
    return springLayouts.stream().filter(l -> l.isOf(knife, leading, full)).findFirst();
  }

  /** The frame with this id. */
  public Optional<Frame> frame(String id) {
    return frames.stream().filter(f -> f.id().equals(id)).findFirst();
  }

  /** The blade form with this id. */
  public Optional<BladeType> blade(String id) {
    return blades.stream().filter(b -> b.id().equals(id)).findFirst();
  }

  /** The pattern with this id. */
  public Optional<Pattern> pattern(String id) {
    return patterns.stream().filter(p -> p.id().equals(id)).findFirst();
  }

  /** The words for a layout of bolsters. */
  String bolsterWords(String id) {
    return bolsters.stream()
        .filter(b -> b.id().equals(id))
        .map(BolsterLayout::label)
        .findFirst()
        .orElse(id);
  }

  /** What a frame is called within a sentence. */
  String frameWords(String id) {
    String name = frame(id).map(Frame::name).orElse(id).toLowerCase(Locale.ROOT);
    return name.endsWith("frame") ? name : name + " frame";
  }

  /** What a blade form is called within a sentence. */
  String bladeWords(String id) {
    String name = blade(id).map(BladeType::name).orElse(id).toLowerCase(Locale.ROOT);
    return name.replace(" blade", "");
  }
}
