package snikra.core.examination;

import java.util.List;
import org.jspecify.annotations.Nullable;
import snikra.core.code.CodeScheme;
import snikra.core.code.SeenCode;
import snikra.core.code.SeenNumber;
import snikra.core.condition.GradeVerdict;
import snikra.core.dating.DatingVerdict;
import snikra.core.number.DecodedNumber;
import snikra.core.pattern.PatternVerdict;
import snikra.core.value.ValueVerdict;

/**
 * All that is concluded about one knife.
 *
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
    DatingVerdict dating,
    GradeVerdict grade,
    ValueVerdict value,
    List<Finding> findings,
    Sketch sketch,
    List<Progress> progress) {

  /** What the mark may be. */
  public record MarkVerdict(boolean read, List<Candidate> candidates, double unlisted) {}

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
      List<List<snikra.core.mark.MarkLetter>> lines) {}

  /** The number by the grammar of the maker it fits best. */
  public record NumberVerdict(String maker, String makerName, DecodedNumber decoded) {}

  /** What a date code says by the schemes it fits, of the likeliest maker first. */
  public record CodeVerdict(SeenCode seen, List<CodeReading> readings) {}

  /** A code by one scheme of one maker. */
  public record CodeReading(
      String maker,
      String makerName,
      String scheme,
      String note,
      List<CodeScheme.YearShare> years) {}

  /** What a patent, design or model number says. */
  public record RegisteredVerdict(
      SeenNumber seen, String label, int notBefore, String why, String note) {}

  /** Something worth saying, and the station it belongs to. */
  public record Finding(String station, String text, boolean conflict) {}

  /**
   * How far a station is looked at.
   *
   * @param summary in a few words, null when nothing was looked at
   */
  public record Progress(
      String station, int looked, int of, @Nullable String summary, boolean conflict) {}
}
