package snikra.core.dating;

import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import snikra.core.clue.Clue;
import snikra.core.clue.Feature;
import snikra.core.mark.MarkEvidence;
import snikra.core.specimen.Sureness;

/**
 * All that speaks of one knife's origin.
 *
 * @param number the pattern number as struck
 * @param found answers by feature or trait, for holding the number against
 */
public record Evidence(
    MarkEvidence marks,
    List<Observed> observed,
    List<Statement> statements,
    @Nullable String number,
    Map<String, String> found) {

  public Evidence {
    observed = List.copyOf(observed);
    statements = List.copyOf(statements);
    found = Map.copyOf(found);
  }

  /** A feature looked at. */
  public record Observed(Feature feature, Clue clue, Sureness sureness) {}

  /**
   * Somebody's word that the knife existed by a year.
   *
   * @param id stable within the knife
   * @param byYear last year it can have been made if the word is true
   * @param reliability probability that it is true of this knife
   */
  public record Statement(String id, String label, int byYear, double reliability) {}
}
