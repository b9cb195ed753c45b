package snikra.core.value;

import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import snikra.core.condition.BoxBook;
import snikra.core.condition.ConditionBook;
import snikra.core.condition.TextBook;
import snikra.core.measure.PriceIndex;
import snikra.core.pattern.Pattern;
import snikra.core.pattern.PatternBook;
import snikra.core.provenance.EdtfDate;
import snikra.core.specimen.ComparableSale;
import snikra.core.value.Market.Sold;
import snikra.core.value.MarketLikeness.Traits;

/** What a grade, a box, a text, a year and a place do to the price of a knife. Immutable. */
final class Worths {
  /** Sold and made since then, where nothing says when it began. */
  private static final int OLDEST = 1850;

  private final Map<String, String> families;
  private final ConditionBook condition;
  private final MarketRates rates;
  private final List<PriceIndex> indices;
  private final int thisYear;

  Worths(
      PatternBook patterns,
      ConditionBook condition,
      MarketRates rates,
      List<PriceIndex> indices,
      int thisYear) {
    this.families =
        patterns.patterns().stream().collect(Collectors.toMap(Pattern::id, Pattern::family));
    this.condition = condition;
    this.rates = rates;
    this.indices = List.copyOf(indices);
    this.thisYear = thisYear;
  }

  /** A sale as the market takes it. */
  Sold sold(ComparableSale sale, Rarity.Counted met) {
    double noise = rates.noise() * rates.noise();
    if (!sale.wasPaid()) {
      noise += rates.askedNoise() * rates.askedNoise();
    }
    if (sale.grade() == null) {
      noise += rates.ungradedNoise() * rates.ungradedNoise();
    }
    Traits traits = traits(sale, met);
    double price = Math.log(today(sale));
    return new Sold(traits, price - traits.worth(), noise);
  }

  /** What is told of a knife that was sold. */
  Traits traits(ComparableSale sale, Rarity.Counted met) {
    double worth =
        Math.log(sale.grade() == null ? rates.ungraded() : worth(sale.grade()))
            + Math.log(boxed(sale.box()))
            + Math.log(written(sale.text()))
            + met.worth(sale.maker(), sale.pattern());
    EdtfDate made = sale.made();
    return new Traits(
        sale.maker(),
        sale.pattern(),
        family(sale.pattern()),
        sale.handle(),
        made == null ? null : (first(made) + made.latestBy(thisYear)) / 2.0,
        made == null ? 0 : (made.latestBy(thisYear) - first(made)) / Math.sqrt(12),
        sale.length() == null ? null : Math.log(sale.length().mm()),
        paidFor(sale.text()),
        worth,
        sale.sold() == null ? null : (double) year(sale.sold()));
  }

  /**
   * What a sale would be in the money of today, had it been paid in a sale room for a knife to
   * which nothing was done.
   */
  double today(ComparableSale sale) {
    return sale.price().doubleValue() * inflation(sale) * paid(sale) * room(sale) / left(sale);
  }

  /** What its price is multiplied with for the place it was sold at. */
  double room(ComparableSale sale) {
    return sale.venue() == null ? 1 : 1 / rates.venues().get(sale.venue());
  }

  /** What is left of the worth of a knife to which this was done. */
  double left(ComparableSale sale) {
    return sale.done() == null
        ? 1
        : sale.done().stream().mapToDouble(condition::leftAfter).reduce(1, (a, b) -> a * b);
  }

  /** What a price that was only asked is multiplied with. */
  double paid(ComparableSale sale) {
    return sale.wasPaid() ? 1 : 1 / rates.asked();
  }

  /** What money has lost since. */
  double inflation(ComparableSale sale) {
    EdtfDate sold = sale.sold();
    return sold == null
        ? 1
        : indices.stream()
            .filter(i -> i.currency().equals(sale.currency()))
            .findFirst()
            .map(i -> i.between(year(sold), thisYear))
            .orElse(1.0);
  }

  private int year(EdtfDate date) {
    return (first(date) + date.latestBy(thisYear)) / 2;
  }

  // An open beginning is not taken for the middle ages.
  private static int first(EdtfDate date) {
    return Math.min(date.latestYear(), Math.max(date.earliestYear(), OLDEST));
  }

  /** Of a pattern. */
  @Nullable String family(@Nullable String pattern) {
    return pattern == null ? null : families.get(pattern);
  }

  /** Of a grade. */
  double worth(String grade) {
    return condition.grades().get(condition.rank(grade)).worth();
  }

  /** Of what came with it. */
  double boxed(@Nullable String box) {
    return box == null || condition.box() == null
        ? 1
        : condition.box().level(box).map(BoxBook.Level::worth).orElse(1.0);
  }

  /** Of how well it was made. */
  double built(@Nullable String build) {
    return build == null || condition.build() == null ? 1 : condition.build().worth(build);
  }

  /** Of what is written on it. */
  double written(@Nullable String text) {
    return text == null || condition.texts() == null
        ? 1
        : condition.texts().text(text).map(TextBook.Text::worth).orElse(1.0);
  }

  /** Any other text is as good as none. */
  @Nullable String paidFor(@Nullable String text) {
    return text != null && condition.texts() != null && condition.texts().text(text).isPresent()
        ? text
        : null;
  }
}
