package snikra.core.pattern;

import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import snikra.core.profile.Outline;

/**
 * A blade or tool form.
 *
 * @param profile rows of x, spine and edge in units of blade length, tang shoulder at 0
 * @param rings the true outline as closed lists of x and y where hooks, forks or holes go beyond
 *     two edges; the outer one first
 * @param lines thin lines on the face, such as where a grind begins
 */
public record BladeType(
    String id,
    String name,
    List<String> alsoCalled,
    Kind kind,
    String recognise,
    String use,
    @Nullable Nick nick,
    List<List<Double>> profile,
    List<List<List<Double>>> rings,
    List<List<List<Double>>> lines,
    @Nullable Teeth teeth,
    @Nullable Texture texture) {

  /** What it is for: to cut, to work with, or to eat, write or groom with. */
  public enum Kind {
    BLADE,
    TOOL,
    IMPLEMENT;

    @Override
    public String toString() {
      return name().toLowerCase(Locale.ROOT);
    }
  }

  /** Centre, length and drop below the spine of the usual pull, in units of blade length. */
  public record Nick(double at, double length, double drop) {}

  /** Teeth cut into one side, from and to in units of blade length. */
  public record Teeth(String kind, String side, double from, double to, int count, double depth) {}

  /** What covers the face, from and to in units of blade length. */
  public record Texture(String kind, double from, double to) {}

  public BladeType {
    alsoCalled = alsoCalled == null ? List.of() : List.copyOf(alsoCalled);
    rings = rings == null ? List.of() : List.copyOf(rings);
    lines = lines == null ? List.of() : List.copyOf(lines);
  }

  /** The full outline. */
  public Outline outline() {
    return Outline.of(profile);
  }
}
