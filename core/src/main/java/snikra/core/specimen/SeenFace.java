package snikra.core.specimen;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * One face of one tang as found.
 *
 * @param blade counted from 1, the main blade first
 * @param layout of its first line, null where it was not looked at
 * @param lines top to bottom; a letter is sure, followed by {@code ?} doubtful, {@code _} is a
 *     letter that cannot be read and {@code *} a stretch of unknown length
 * @param struckOut whether a mark was mashed or struck over by the maker, as seconds were; null
 *     where it was not
 */
public record SeenFace(
    int blade,
    Face face,
    FaceState state,
    @Nullable Technique technique,
    @Nullable Layout layout,
    List<String> lines,
    @Nullable Boolean struckOut) {

  /** A face whose layout was not looked at, and that was not struck out. */
  public SeenFace(
      int blade, Face face, FaceState state, @Nullable Technique technique, List<String> lines) {
    this(blade, face, state, technique, null, lines, null);
  }

  public SeenFace {
    lines = List.copyOf(lines);
    if (blade < 1) {
      throw new IllegalArgumentException("blade must be 1 or more; found " + blade);
    }
  }

  /** Whether the mark was struck out by its maker. */
  public boolean wasStruckOut() {
    return Boolean.TRUE.equals(struckOut);
  }
}
