package snikra.core.pattern;

import java.util.List;
import java.util.Map;

/**
 * A word that goes in front of a name, such as barehead.
 *
 * @param families whose patterns it may stand before
 * @param bolsters layouts that call for it
 * @param seen answers, by feature, that call for it
 */
public record Modifier(
    String id,
    String label,
    String means,
    List<String> families,
    List<String> bolsters,
    Map<String, String> seen) {

  public Modifier {
    families = List.copyOf(families);
    bolsters = bolsters == null ? List.of() : List.copyOf(bolsters);
    seen = seen == null ? Map.of() : Map.copyOf(seen);
  }
}
