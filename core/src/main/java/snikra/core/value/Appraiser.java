package snikra.core.value;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import snikra.core.condition.ConditionBook;
import snikra.core.condition.ConditionBook.Grade;
import snikra.core.pattern.PatternBook;
import snikra.core.specimen.ComparableSale;
import snikra.core.value.ValueVerdict.Step;
import snikra.core.value.ValueVerdict.Weighed;

/** Values a knife from comparable sales. Immutable. */
public final class Appraiser {
  /** Fewer sales than this carry no range. */
  public static final int ENOUGH = 3;

  private static final double OTHER_MAKER = 0.4;
  private static final double SAME_FAMILY = 0.6;
  private static final double OTHER_PATTERN = 0.25;
  private static final double OTHER_HANDLE = 0.7;
  private static final double UNKNOWN = 0.7;
  private static final double GRADE_STEP = 0.8;
  private static final double LOW = 0.2;
  private static final double HIGH = 0.8;

  private final PatternBook patterns;
  private final ConditionBook condition;

  /** An appraiser that knows these patterns and grades. */
  public Appraiser(PatternBook patterns, ConditionBook condition) {
    this.patterns = patterns;
    this.condition = condition;
  }

  /** What the knife is, as far as its value goes; null is not known. */
  public record Subject(
      @Nullable String maker,
      @Nullable String pattern,
      @Nullable Grade grade,
      Set<String> handles) {}

  /** Weighs the sales. Sales in another currency than most are shown and not counted. */
  public ValueVerdict appraise(Subject knife, List<ComparableSale> sales) {
    Optional<String> currency = commonest(sales);
    List<Weighed> weighed = new ArrayList<>();
    for (ComparableSale sale : sales) {
      weighed.add(weigh(knife, sale, sale.currency().equals(currency.orElse(""))));
    }
    List<Weighed> counted =
        weighed.stream()
            .filter(Weighed::counted)
            .sorted(Comparator.comparing(Weighed::adjusted))
            .toList();
    boolean tooThin = counted.size() < ENOUGH;
    return new ValueVerdict(
        currency.orElse(null),
        tooThin ? null : quantile(counted, LOW),
        tooThin ? null : quantile(counted, 0.5),
        tooThin ? null : quantile(counted, HIGH),
        tooThin,
        summary(counted, sales.size()),
        weighed);
  }

  private static Optional<String> commonest(List<ComparableSale> sales) {
    Map<String, Integer> counts = new HashMap<>();
    sales.forEach(s -> counts.merge(s.currency(), 1, Integer::sum));
    return counts.entrySet().stream()
        .max(
            Map.Entry.<String, Integer>comparingByValue()
                .thenComparing(Map.Entry.<String, Integer>comparingByKey().reversed()))
        .map(Map.Entry::getKey);
  }

  private Weighed weigh(Subject knife, ComparableSale sale, boolean counted) {
    List<Step> steps = new ArrayList<>();
    double weight = 1;
    weight *= step(steps, "maker", like(knife.maker(), sale.maker(), OTHER_MAKER));
    weight *= step(steps, "pattern", patternLikeness(knife.pattern(), sale.pattern()));
    weight *= step(steps, "handle", handleLikeness(knife.handles(), sale.handle()));
    double factor = 1;
    if (knife.grade() != null && sale.grade() != null) {
      Grade sold = condition.grades().get(condition.rank(sale.grade()));
      int apart = Math.abs(condition.rank(knife.grade().id()) - condition.rank(sold.id()));
      weight *= step(steps, "grade", Math.pow(GRADE_STEP, apart));
      factor = knife.grade().worth() / sold.worth();
    } else {
      weight *= step(steps, "grade", UNKNOWN);
    }
    BigDecimal adjusted =
        sale.price().multiply(BigDecimal.valueOf(factor)).setScale(2, RoundingMode.HALF_EVEN);
    return new Weighed(sale.described(), sale.price(), factor, adjusted, weight, steps, counted);
  }

  private static double step(List<Step> steps, String what, double likeness) {
    steps.add(new Step(what, likeness));
    return likeness;
  }

  private static double like(@Nullable String a, @Nullable String b, double different) {
    if (a == null || b == null) {
      return UNKNOWN;
    }
    return a.equals(b) ? 1 : different;
  }

  private static double handleLikeness(Set<String> handles, @Nullable String sold) {
    return handles.isEmpty() || sold == null ? UNKNOWN : handles.contains(sold) ? 1 : OTHER_HANDLE;
  }

  private double patternLikeness(@Nullable String a, @Nullable String b) {
    boolean family =
        a != null
            && b != null
            && patterns
                .pattern(a)
                .flatMap(p -> patterns.pattern(b).map(o -> o.family().equals(p.family())))
                .orElse(false);
    return like(a, b, family ? SAME_FAMILY : OTHER_PATTERN);
  }

  // Weighted quantile, straight between the middles of the weights.
  private static BigDecimal quantile(List<Weighed> byPrice, double q) {
    double total = byPrice.stream().mapToDouble(Weighed::weight).sum();
    double target = q * total;
    double before = 0;
    double lastMiddle = 0;
    double lastPrice = byPrice.get(0).adjusted().doubleValue();
    for (Weighed w : byPrice) {
      double middle = before + w.weight() / 2;
      double price = w.adjusted().doubleValue();
      if (target <= middle) {
        double t = middle == lastMiddle ? 1 : (target - lastMiddle) / (middle - lastMiddle);
        return money(lastPrice + Math.max(0, t) * (price - lastPrice));
      }
      before += w.weight();
      lastMiddle = middle;
      lastPrice = price;
    }
    return money(lastPrice);
  }

  private static BigDecimal money(double amount) {
    return BigDecimal.valueOf(amount).setScale(0, RoundingMode.HALF_EVEN);
  }

  private static String summary(List<Weighed> counted, int given) {
    if (given == 0) {
      return "No comparable sales yet.";
    }
    if (counted.size() < ENOUGH) {
      return "Too thin: "
          + counted.size()
          + (counted.size() == 1 ? " sale counts" : " sales count")
          + ", a range needs at least "
          + ENOUGH
          + ".";
    }
    double sum = counted.stream().mapToDouble(Weighed::weight).sum();
    double squares = counted.stream().mapToDouble(w -> w.weight() * w.weight()).sum();
    long worth = Math.round(sum * sum / squares);
    return counted.size() + " sales, with the weight of " + worth + " equally alike.";
  }
}
