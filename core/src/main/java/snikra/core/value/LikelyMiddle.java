package snikra.core.value;

import java.util.Comparator;
import java.util.List;
import org.jspecify.annotations.Nullable;
import snikra.core.condition.ConditionBook;
import snikra.core.specimen.ComparableSale;

/**
 * How knives were valued here at first: the middle of a few sales, each weighed by how much it has
 * in common with the knife and brought to its grade, with no eye for the year of a sale. Kept to
 * see what the model that came after it is worth; nothing else asks it.
 */
final class LikelyMiddle {
  private static final double OTHER_MAKER = 0.4;
  private static final double OTHER_PATTERN = 0.25;
  private static final double OTHER_HANDLE = 0.7;
  private static final double UNTOLD = 0.7;
  private static final double GRADE_STEP = 0.8;

  private final ConditionBook condition;

  LikelyMiddle(ConditionBook condition) {
    this.condition = condition;
  }

  private record Weighed(double price, double weight) {}

  /** What it says a knife would bring, of which all is known as of a sale. */
  double of(ComparableSale knife, List<ComparableSale> sales) {
    List<Weighed> all =
        sales.stream()
            .map(s -> weighed(knife, s))
            .sorted(Comparator.comparingDouble(Weighed::price))
            .toList();
    double half = all.stream().mapToDouble(Weighed::weight).sum() / 2;
    double before = 0;
    for (Weighed w : all) {
      before += w.weight();
      if (before >= half) {
        return w.price();
      }
    }
    throw new IllegalArgumentException("sales must be at least one; found none");
  }

  private Weighed weighed(ComparableSale knife, ComparableSale sale) {
    double weight =
        like(knife.maker(), sale.maker(), OTHER_MAKER)
            * like(knife.pattern(), sale.pattern(), OTHER_PATTERN)
            * like(knife.handle(), sale.handle(), OTHER_HANDLE);
    double price = sale.price().doubleValue();
    if (knife.grade() == null || sale.grade() == null) {
      return new Weighed(price, weight * UNTOLD);
    }
    int apart = Math.abs(condition.rank(knife.grade()) - condition.rank(sale.grade()));
    return new Weighed(
        price * worth(knife.grade()) / worth(sale.grade()), weight * Math.pow(GRADE_STEP, apart));
  }

  private double worth(String grade) {
    return condition.grades().get(condition.rank(grade)).worth();
  }

  private static double like(@Nullable String a, @Nullable String b, double other) {
    return a == null || b == null ? UNTOLD : a.equals(b) ? 1 : other;
  }
}
