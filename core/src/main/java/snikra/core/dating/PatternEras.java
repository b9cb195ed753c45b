package snikra.core.dating;

import snikra.core.judgement.Judgement;
import snikra.core.pattern.Pattern;
import snikra.core.pattern.Pattern.Era;

/** How much at home patterns are in years and countries: softly, for patterns are revived. */
final class PatternEras {
  private final double before;
  private final double revived;
  private final double fading;
  private final double elsewhere;

  PatternEras(Judgement judgement) {
    before = judgement.of("pattern.before-its-time");
    revived = judgement.of("pattern.after-its-day");
    fading = judgement.of("pattern.years-of-fading");
    elsewhere = judgement.of("pattern.other-country");
  }

  /**
   * How much at home a pattern is.
   *
   * @param laterCopy whether the knife copies an older style, which lifts the end of its day
   */
  double at(Pattern pattern, String region, int year, boolean laterCopy) {
    return pattern.atHome(region, elsewhere)
        * (pattern.era() == null ? 1 : in(pattern.era(), year, laterCopy));
  }

  private double in(Era era, int year, boolean laterCopy) {
    if (year < era.from()) {
      return before;
    }
    if (year < era.common()) {
      double t = (double) (year - era.from()) / (era.common() - era.from());
      return before + (1 - before) * t;
    }
    if (era.to() == null || year <= era.to() || laterCopy) {
      return 1;
    }
    return 1 - (1 - revived) * Math.min(1, (year - era.to()) / fading);
  }
}
