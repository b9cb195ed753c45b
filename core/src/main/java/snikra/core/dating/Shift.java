package snikra.core.dating;

import java.util.HashMap;
import java.util.Map;
import snikra.core.dating.DatingVerdict.Attribution;
import snikra.core.judgement.Judgement;

/**
 * How far one opinion of a knife lies from another.
 *
 * @param years by which the middle moved; above 0, later
 * @param share of the probability that lies elsewhere: the total variation distance of the years or
 *     of the makers, whichever is more
 */
public record Shift(Held before, Held after, int years, double share) {
  /** What was held of a knife. */
  public record Held(String maker, double probability, Span nineTenths, int median) {
    static Held of(DatingVerdict verdict) {
      Attribution lead = verdict.makers().get(0);
      return new Held(lead.label(), lead.probability(), verdict.nineTenths(), verdict.median());
    }
  }

  /** From one verdict to another on the same knife. */
  public static Shift between(DatingVerdict before, DatingVerdict after) {
    return new Shift(
        Held.of(before),
        Held.of(after),
        after.median() - before.median(),
        Math.max(ofYears(before, after), ofMakers(before, after)));
  }

  /** Whether it is worth telling, by what is judged so. */
  public boolean tells(Judgement judgement) {
    return share >= judgement.of("told.moved");
  }

  private static double ofYears(DatingVerdict a, DatingVerdict b) {
    double apart = 0;
    for (int i = 0; i < a.curve().length; i++) {
      apart += Math.abs(a.curve()[i] - b.curve()[i]);
    }
    return apart / 2;
  }

  private static double ofMakers(DatingVerdict a, DatingVerdict b) {
    Map<String, Double> apart = new HashMap<>();
    a.makers()
        .forEach(m -> apart.merge(m.region() + " " + m.label(), m.probability(), Double::sum));
    b.makers()
        .forEach(m -> apart.merge(m.region() + " " + m.label(), -m.probability(), Double::sum));
    return apart.values().stream().mapToDouble(Math::abs).sum() / 2;
  }
}
