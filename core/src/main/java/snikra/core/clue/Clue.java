package snikra.core.clue;

import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * One answer to the question a feature asks.
 *
 * @param test how to make sure without harm
 * @param drawnAs the blade or tool whose outline shows it, or for the material of a handle the
 *     texture it is drawn in
 * @param opens how a knife that shows it is opened without harm, where that is not plain
 * @param base how often the answer is met where nothing speaks against it, relative to its
 *     alternatives
 * @param imitable whether a later maker can copy what the not-after bound belongs to
 * @param windows where usage came back: the clue is at home in any of these, beside its bounds
 * @param regions leaning to a country, 1 where none is given
 * @param words how the answer is spelled where it is struck as text
 * @param why the reason for the bounds
 */
public record Clue(
    String id,
    String label,
    String lookFor,
    @Nullable String test,
    @Nullable String drawnAs,
    @Nullable String opens,
    double base,
    @Nullable Bound notBefore,
    @Nullable Bound notAfter,
    boolean imitable,
    List<Window> windows,
    Map<String, Double> regions,
    List<String> words,
    String why,
    String source) {

  /** A closed span of years in which usage was at home, with soft shoulders. */
  public record Window(int from, int to, int ramp, Firmness firmness) {
    double at(int year, Floors floors) {
      return Math.min(
          new Bound(from, ramp, firmness).asNotBefore(year, floors),
          new Bound(to, ramp, firmness).asNotAfter(year, floors));
    }
  }

  /** A clue without a test or an outline of its own. */
  public Clue(
      String id,
      String label,
      String lookFor,
      double base,
      @Nullable Bound notBefore,
      @Nullable Bound notAfter,
      boolean imitable,
      List<Window> windows,
      Map<String, Double> regions,
      List<String> words,
      String why,
      String source) {
    this(
        id, label, lookFor, null, null, null, base, notBefore, notAfter, imitable, windows, regions,
        words, why, source);
  }

  public Clue {
    windows = windows == null ? List.of() : List.copyOf(windows);
    regions = regions == null ? Map.of() : Map.copyOf(regions);
    words = words == null ? List.of() : List.copyOf(words);
    if (!(base > 0)) {
      throw new IllegalArgumentException("base must be above 0; found " + base + " in " + id);
    }
  }

  /**
   * Compatibility with a year: 1 where fully at home, never 0.
   *
   * @param laterCopy whether the knife copies an older style, which lifts an imitable not-after
   * @param floors what is left outside its bounds
   */
  public double compatibility(int year, boolean laterCopy, Floors floors) {
    double s = notBefore == null ? 1 : notBefore.asNotBefore(year, floors);
    if (notAfter != null && !(laterCopy && isCopied())) {
      s *= notAfter.asNotAfter(year, floors);
    }
    double window = windows.isEmpty() ? 1 : 0;
    for (Window w : windows) {
      window = Math.max(window, w.at(year, floors));
    }
    return s * window;
  }

  /** Whether a later knife in the old style may have it although its day is over. */
  public boolean isCopied() {
    return notAfter != null && imitable;
  }

  /** Leaning to a region; 1 is neutral. */
  public double leaning(String region) {
    return regions.getOrDefault(region, 1.0);
  }

  /** Whether the clue says anything about the year. */
  public boolean isDated() {
    return notBefore != null || notAfter != null || !windows.isEmpty();
  }
}
