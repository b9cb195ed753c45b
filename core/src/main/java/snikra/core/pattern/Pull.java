package snikra.core.pattern;

import java.util.List;
import java.util.Map;

/**
 * How a blade is got hold of.
 *
 * @param shownBy answers by feature of the clue book that mean it
 */
public record Pull(String id, String name, String recognise, Map<String, List<String>> shownBy) {
  public Pull {
    shownBy = Map.copyOf(shownBy);
  }
}
