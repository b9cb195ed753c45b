package snikra.core.specimen;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * One face of one tang as found.
 *
 * @param blade counted from 1, the main blade first
 * @param lines top to bottom; a letter is sure, followed by {@code ?} doubtful, {@code _} is a
 *     letter that cannot be read and {@code *} a stretch of unknown length
 */
public record SeenFace(
    int blade, Face face, FaceState state, @Nullable Technique technique, List<String> lines) {

  public SeenFace {
    lines = List.copyOf(lines);
    if (blade < 1) {
      throw new IllegalArgumentException("blade must be 1 or more; found " + blade);
    }
  }
}
