package snikra.core.examination;

import java.util.List;
import org.jspecify.annotations.Nullable;
import snikra.core.care.CareBook;
import snikra.core.code.CodeScheme;
import snikra.core.code.SeenCode;
import snikra.core.code.SeenHallmark;
import snikra.core.code.SeenNumber;
import snikra.core.condition.BoxBook;
import snikra.core.condition.BuildBook;
import snikra.core.condition.GradeVerdict;
import snikra.core.condition.SchoolVerdict;
import snikra.core.dating.DatingVerdict;
import snikra.core.mark.MarkRival;
import snikra.core.number.Contradictions;
import snikra.core.number.DecodedNumber;
import snikra.core.number.NumberGrammar;
import snikra.core.pattern.PatternVerdict;
import snikra.core.specimen.Layout;
import snikra.core.value.ValueVerdict;

/**
 * All that is concluded about one knife.
 *
 * @param originality what may have been done to it, and what that takes from grade and value
 * @param schools what each school of grading makes of it, with what may have been done to it
 * @param built how well it was made, whatever became of it
 * @param box what came with it; null where nobody looked
 * @param care what keeps it, the most pressing first
 * @param findings in words, the weightiest first
 * @param sketch what a drawing to scale needs
 * @param progress by station
 */
public record Verdict(
    PatternVerdict pattern,
    MarkVerdict mark,
    @Nullable NumberVerdict number,
    List<CodeVerdict> codes,
    List<RegisteredVerdict> registered,
    List<HallmarkVerdict> hallmarks,
    DatingVerdict dating,
    GradeVerdict grade,
    ValueVerdict value,
    Originality originality,
    List<SchoolVerdict> schools,
    BuildBook.@Nullable Built built,
    BoxBook.@Nullable Boxed box,
    List<CareBook.Told> care,
    List<Finding> findings,
    Sketch sketch,
    List<Progress> progress) {

  /**
   * What the mark may be.
   *
   * @param rival what sets the first candidate apart from the second
   */
  public record MarkVerdict(
      boolean read, List<Candidate> candidates, @Nullable MarkRival rival, double unlisted) {}

  /** A mark on file. */
  public record Candidate(
      String maker,
      String makerName,
      String mark,
      double probability,
      int from,
      int to,
      int letters,
      int agreeing,
      Layout layout,
      List<List<snikra.core.mark.MarkLetter>> lines) {}

  /**
   * The number by the grammar of the maker it fits best.
   *
   * @param decoded null where no number is entered, or none of this maker's
   * @param completions what a worn number may have been
   * @param expected what the knife would have had as it stands
   * @param reasons why it says something else than what is there
   */
  public record NumberVerdict(
      String maker,
      String makerName,
      @Nullable DecodedNumber decoded,
      List<NumberGrammar.Completion> completions,
      @Nullable String expected,
      List<Contradictions.Reason> reasons) {}

  /** What a date code says by the schemes it fits, of the likeliest maker first. */
  public record CodeVerdict(SeenCode seen, List<CodeReading> readings) {}

  /** A code by one scheme of one maker. */
  public record CodeReading(
      String maker,
      String makerName,
      String id,
      String scheme,
      String note,
      List<CodeScheme.YearShare> years) {}

  /** What a patent, design or model number says. */
  public record RegisteredVerdict(
      SeenNumber seen, String label, int notBefore, String why, String note) {}

  /** What a silver hallmark says: the years of assay it allows. */
  public record HallmarkVerdict(
      SeenHallmark seen, String label, List<Integer> years, String note) {}

  /**
   * Something worth saying, and the station it belongs to.
   *
   * @param code what it is
   * @param about what it is of, in the order of the sentence
   * @param text the sentence
   */
  public record Finding(
      String station, String code, List<String> about, String text, boolean conflict) {}

  /**
   * How far a station is looked at.
   *
   * @param summary in a few words, null when nothing was looked at
   */
  public record Progress(
      String station, int looked, int of, @Nullable String summary, boolean conflict) {}
}
