package snikra.core.practice;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import snikra.core.examination.Problem;

/**
 * What one makes of a knife. What is left out is not counted.
 *
 * @param maker who made it, by id on file; empty for one who is not
 * @param makerSure how sure one is, as a chance
 * @param from first of the years that hold it, nine chances in ten
 * @param to last of them
 * @param how what was done to it, by kind
 * @param name its pattern, by id
 */
public record Guess(
    @Nullable String maker,
    @Nullable Double makerSure,
    @Nullable Integer from,
    @Nullable Integer to,
    @Nullable String how,
    @Nullable Double howSure,
    @Nullable String name,
    @Nullable Double nameSure) {

  private static final int FIRST = 1600;
  private static final int LAST = 2200;

  /** A guess at nothing. */
  public static Guess nothing() {
    return new Guess(null, null, null, null, null, null, null, null);
  }

  /** What is wrong with it. */
  public List<Problem> problems(Choices among) {
    List<Problem> found = new ArrayList<>();
    choice(found, "maker", maker, makerSure, among.makers());
    choice(found, "how", how, howSure, among.how());
    choice(found, "name", name, nameSure, among.names());
    year(found, "from", from, to);
    year(found, "to", to, from);
    if (from != null && to != null && from > to) {
      found.add(
          new Problem(
              "to", "" + to, "must be " + from + " or later: the first year stands before it"));
    }
    return found;
  }

  /**
   * What there is to choose from, by id.
   *
   * @param makers all that are on file, and {@link Truth#UNLISTED}
   */
  public record Choices(List<String> makers, List<String> names, List<String> how) {}

  private static void choice(
      List<Problem> found,
      String field,
      @Nullable String given,
      @Nullable Double sure,
      List<String> among) {
    if (given == null) {
      return;
    }
    if (!among.contains(given)) {
      found.add(new Problem(field, given, "must be one of those there are to choose from"));
    }
    if (sure == null || !(sure > 0 && sure < 1)) {
      found.add(
          new Problem(
              field + "Sure", "" + sure, "must be a chance above 0 and below 1, such as 0.8"));
    }
  }

  private static void year(
      List<Problem> found, String field, @Nullable Integer given, @Nullable Integer other) {
    if (given == null && other != null) {
      found.add(new Problem(field, "", "must be a year: one end alone holds nothing"));
    } else if (given != null && (given < FIRST || given > LAST)) {
      found.add(new Problem(field, "" + given, "must be a year from " + FIRST + " to " + LAST));
    }
  }
}
