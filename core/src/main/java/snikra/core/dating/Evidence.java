package snikra.core.dating;

import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import snikra.core.clue.Clue;
import snikra.core.clue.Feature;
import snikra.core.code.SeenCode;
import snikra.core.mark.MarkEvidence;
import snikra.core.specimen.Sureness;

/**
 * All that speaks of one knife's origin.
 *
 * @param number the pattern number as struck
 * @param codes date codes as seen
 * @param found answers by feature or trait, for holding the number against
 * @param lookedInVain features that were looked at and could not be told, and {@link
 *     snikra.core.specimen.Sought} that was not found
 * @param facesLeft where a mark may stand and nobody has looked yet, in the order of looking
 */
public record Evidence(
    MarkEvidence marks,
    List<Observed> observed,
    List<Statement> statements,
    @Nullable String number,
    List<SeenCode> codes,
    Map<String, String> found,
    List<FaceLeft> facesLeft,
    Set<String> lookedInVain) {

  public Evidence {
    observed = List.copyOf(observed);
    statements = List.copyOf(statements);
    codes = List.copyOf(codes);
    found = Map.copyOf(found);
    facesLeft = List.copyOf(facesLeft);
    lookedInVain = Set.copyOf(lookedInVain);
  }

  /** The same but for these features and statements. */
  public Evidence without(Set<String> ids) {
    return new Evidence(
        marks,
        observed.stream().filter(o -> !ids.contains(o.feature().id())).toList(),
        statements.stream().filter(s -> !ids.contains(s.id())).toList(),
        number,
        codes,
        found,
        facesLeft,
        lookedInVain);
  }

  /** The same but for the marks. */
  Evidence unmarked() {
    return new Evidence(
        marks.unseen(), observed, statements, number, codes, found, facesLeft, lookedInVain);
  }

  /**
   * A face nobody has looked at yet.
   *
   * @param legible how often something can be read there
   */
  public record FaceLeft(String label, double legible) {}

  /** A feature looked at. */
  public record Observed(Feature feature, Clue clue, Sureness sureness) {}

  /**
   * Something that says the knife existed by a year, or did not before one; one of the two years is
   * given.
   *
   * @param id stable within the knife
   * @param station where it was told
   * @param heading what it is called among the clues
   * @param notBefore first year it can be of
   * @param byYear last year it can have been made in
   * @param years the only years it can be of, where it tells them one by one
   * @param reliability probability that it is true of this knife
   * @param why the reason for the year
   */
  public record Statement(
      String id,
      String station,
      String heading,
      String label,
      @Nullable Integer notBefore,
      @Nullable Integer byYear,
      @Nullable Set<Integer> years,
      double reliability,
      String why) {

    /** A statement of a first or a last year. */
    public Statement(
        String id,
        String station,
        String heading,
        String label,
        @Nullable Integer notBefore,
        @Nullable Integer byYear,
        double reliability,
        String why) {
      this(id, station, heading, label, notBefore, byYear, null, reliability, why);
    }

    /** Whether the knife can be of this year. */
    public boolean allows(int year) {
      return (notBefore == null || year >= notBefore)
          && (byYear == null || year <= byYear)
          && (years == null || years.contains(year));
    }
  }
}
