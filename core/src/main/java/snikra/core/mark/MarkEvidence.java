package snikra.core.mark;

import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * What the marks say, as likelihoods.
 *
 * @param anySeen whether any face was looked at and not worn away
 * @param anyRead whether any letter was read
 * @param logLikelihood one for each mark variant, in the order of the shelf
 * @param logUnlisted likelihood under an unlisted maker
 * @param logCopied the same summed over all marks by the weight of their makers: what stands to be
 *     struck by another hand
 * @param candidates the leading marks on file, likeliest first
 * @param rival what sets the first of them apart from the second
 * @param unlisted probability of an unlisted mark
 * @param words answers of mark-borne features that the lines spell out
 * @param seconds what was read on small blades, apart from the rest; null where nothing was
 */
public record MarkEvidence(
    boolean anySeen,
    boolean anyRead,
    double[] logLikelihood,
    double logUnlisted,
    double logCopied,
    List<MarkCandidate> candidates,
    @Nullable MarkRival rival,
    double unlisted,
    List<WordFound> words,
    @Nullable Seconds seconds) {

  /** The same of a knife at whose marks nobody looked. */
  public MarkEvidence unseen() {
    return new MarkEvidence(
        false, false, new double[logLikelihood.length], 0, 0, List.of(), null, 1, List.of(), null);
  }

  /** Makers whose own marks may well be what was read on small blades, by id. */
  public Set<String> onSmallBlades() {
    return seconds == null ? Set.of() : seconds.makers();
  }

  /**
   * What was read on small blades: by the maker of the main blade's mark, or by who made the knife
   * for it.
   *
   * @param rest likelihood of all other faces by mark, as a logarithm
   * @param own likelihood of the small blades under the same mark, as a logarithm
   * @param other the same where this mark, as it stands on its main tangs, is on them alone
   * @param makers whose marks they may well be
   * @param unlistedRest as {@code rest}, under a mark that is not on file
   * @param unlistedOwn as {@code own}, under a mark that is not on file
   */
  public record Seconds(
      double[] rest,
      double[] own,
      double[] other,
      Set<String> makers,
      double unlistedRest,
      double unlistedOwn) {}

  /** A line that spells an answer of the clue book, such as a country. */
  public record WordFound(String feature, String clue, String word, double probability) {}
}
