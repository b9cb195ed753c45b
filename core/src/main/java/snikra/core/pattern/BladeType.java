package snikra.core.pattern;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A blade or tool form.
 *
 * @param profile rows of x, spine and edge in units of blade length, tang shoulder at 0
 */
public record BladeType(
    String id,
    String name,
    List<String> alsoCalled,
    boolean tool,
    String recognise,
    @Nullable Nick nick,
    List<List<Double>> profile) {

  /** Centre, length and drop below the spine of the usual pull, in units of blade length. */
  public record Nick(double at, double length, double drop) {}

  public BladeType {
    alsoCalled = alsoCalled == null ? List.of() : List.copyOf(alsoCalled);
  }
}
