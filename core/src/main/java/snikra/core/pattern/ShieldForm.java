package snikra.core.pattern;

import java.util.List;

/**
 * The outline of a shield, by its id among the answers for it.
 *
 * @param outline corners as along and across from its middle, in units of half its length and half
 *     its height as shields usually are; none for one that is round
 * @param ellipse half length and half height of one that is round, in the same units
 */
public record ShieldForm(String id, List<List<Double>> outline, List<Double> ellipse) {
  public ShieldForm {
    outline = outline == null ? List.of() : outline.stream().map(List::copyOf).toList();
    ellipse = ellipse == null ? List.of() : List.copyOf(ellipse);
  }
}
