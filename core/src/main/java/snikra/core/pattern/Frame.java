package snikra.core.pattern;

import java.util.List;

/**
 * A handle outline.
 *
 * @param profile rows of x, back and front in units of closed length, A at 0, positive to the back
 */
public record Frame(
    String id,
    String name,
    List<String> alsoCalled,
    String recognise,
    double heightRatio,
    List<List<Double>> profile) {

  public Frame {
    alsoCalled = alsoCalled == null ? List.of() : List.copyOf(alsoCalled);
  }
}
