package snikra.core.induction;

import java.util.Map;

/**
 * A number on a knife that is known.
 *
 * @param number as struck
 * @param shows by trait or feature what the knife is
 */
public record NumberedKnife(String number, Map<String, String> shows) {
  public NumberedKnife {
    shows = Map.copyOf(shows);
  }
}
