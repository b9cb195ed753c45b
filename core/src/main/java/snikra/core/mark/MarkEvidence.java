package snikra.core.mark;

import java.util.List;
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
    List<WordFound> words) {

  /** The same of a knife at whose marks nobody looked. */
  public MarkEvidence unseen() {
    return new MarkEvidence(
        false, false, new double[logLikelihood.length], 0, 0, List.of(), null, 1, List.of());
  }

  /** A line that spells an answer of the clue book, such as a country. */
  public record WordFound(String feature, String clue, String word, double probability) {}
}
