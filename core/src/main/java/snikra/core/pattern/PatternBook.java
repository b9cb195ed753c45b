package snikra.core.pattern;

import java.util.List;
import java.util.Optional;

/** The shapes and the patterns known. */
public record PatternBook(
    List<Frame> frames,
    List<BladeType> blades,
    List<BolsterLayout> bolsters,
    List<Pattern> patterns) {

  public PatternBook {
    frames = List.copyOf(frames);
    blades = List.copyOf(blades);
    bolsters = List.copyOf(bolsters);
    patterns = List.copyOf(patterns);
  }

  /** The frame with this id. */
  public Optional<Frame> frame(String id) {
    return frames.stream().filter(f -> f.id().equals(id)).findFirst();
  }

  /** The blade form with this id. */
  public Optional<BladeType> blade(String id) {
    return blades.stream().filter(b -> b.id().equals(id)).findFirst();
  }

  /** The words for a layout of bolsters. */
  String bolsterWords(String id) {
    return bolsters.stream()
        .filter(b -> b.id().equals(id))
        .map(BolsterLayout::label)
        .findFirst()
        .orElse(id);
  }

  /** The pattern with this id. */
  public Optional<Pattern> pattern(String id) {
    return patterns.stream().filter(p -> p.id().equals(id)).findFirst();
  }
}
