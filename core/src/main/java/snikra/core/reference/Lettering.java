package snikra.core.reference;

import java.util.Map;

/**
 * Letters as they are met in marks and as worn ones are taken for others.
 *
 * @param confusions for each letter the letters a worn one is taken for
 * @param often how often each letter is met in marks, relative to the others; above 0
 */
public record Lettering(Map<Character, String> confusions, Map<Character, Double> often) {
  public Lettering {
    confusions = Map.copyOf(confusions);
    often = Map.copyOf(often);
    if (often.values().stream().noneMatch(amount -> amount > 0)) {
      throw new IllegalArgumentException("letters must be met; found " + often);
    }
  }

  /** The same where worn letters are taken for others. */
  Lettering confusing(Map<Character, String> others) {
    return new Lettering(others, often);
  }
}
