package snikra.core.value;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.hipparchus.distribution.continuous.GammaDistribution;
import org.jspecify.annotations.Nullable;
import snikra.core.condition.ConditionBook;
import snikra.core.judgement.Judgement;
import snikra.core.measure.PriceIndex;
import snikra.core.pattern.PatternBook;
import snikra.core.reference.Maker;
import snikra.core.reference.ReferenceShelf;
import snikra.core.specimen.ComparableSale;
import snikra.core.value.Market.Said;
import snikra.core.value.Market.Sold;
import snikra.core.value.MarketLikeness.Parts;
import snikra.core.value.MarketLikeness.Traits;
import snikra.core.value.ValueVerdict.Cost;
import snikra.core.value.ValueVerdict.Doubt;
import snikra.core.value.ValueVerdict.Step;
import snikra.core.value.ValueVerdict.Weighed;

/**
 * Values a knife from sales of others: every sale by its likeness, brought to this knife step by
 * step, and all that is not known of the knife with its probability. Immutable.
 */
public final class Appraiser {
  /** With fewer sales than this the trade of a knife is hardly known. */
  public static final int ENOUGH = 3;

  /** Of more sales than this the most alike are taken. */
  private static final int MOST = 60;

  private static final int MARKETS = 8;

  /** Parts of a price with long tails; with more of them no range is another in two figures. */
  private static final int WIDTHS = 4;

  private static final double COSTS_FROM = 0.02;

  private static final MathContext SHOWN = new MathContext(2, RoundingMode.HALF_UP);
  private static final MathContext SHOWN_LARGE = new MathContext(3, RoundingMode.HALF_UP);
  private static final BigDecimal LARGE = BigDecimal.valueOf(1000);

  private final ConditionBook condition;
  private final MarketRates rates;
  private final Worths worths;
  private final Rarity rarity;
  private final double[] widths;
  private final int thisYear;

  /** Those last asked for, by their sales; they follow from these alone. */
  private final Map<List<Sold>, Market> markets =
      new LinkedHashMap<>(MARKETS, 0.75f, true) {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<List<Sold>, Market> eldest) {
          return size() > MARKETS;
        }
      };

  /** An appraiser that knows what is on the shelf. */
  public Appraiser(ReferenceShelf shelf, int thisYear) {
    this(
        shelf.makers(),
        shelf.patterns(),
        shelf.condition(),
        shelf.judgement(),
        shelf.prices(),
        thisYear);
  }

  /** An appraiser that knows these makers, patterns and grades, and what money was worth. */
  public Appraiser(
      List<Maker> makers,
      PatternBook patterns,
      ConditionBook condition,
      Judgement judgement,
      List<PriceIndex> indices,
      int thisYear) {
    this.condition = condition;
    this.rates = MarketRates.of(judgement);
    this.worths = new Worths(patterns, condition, rates, indices, thisYear);
    this.rarity = new Rarity(makers, patterns, judgement);
    this.widths = widths(rates.tails());
    this.thisYear = thisYear;
  }

  /** What a sale would be in the money of today, by all that is known of it but the knife. */
  double today(ComparableSale sale) {
    return worths.today(sale);
  }

  /** By which grades are held against one another. */
  ConditionBook condition() {
    return condition;
  }

  /**
   * What the knife is, as far as its value goes, each with its probability; what is left of 1 is
   * something else. Empty is not known.
   *
   * @param made the middle of its years; null where nothing tells them
   * @param madeSpread standard deviation of them
   * @param size how long it is closed, as a logarithm of millimetres; null where not measured
   * @param box grade of what came with it; null where nobody looked
   * @param build grade of the work; null where too little was looked at
   * @param text on it that is no mark; null where there is none or nobody looked
   * @param number struck on it; null where none was read
   */
  public record Subject(
      Map<String, Double> makers,
      Map<String, Double> patterns,
      Map<String, Double> grades,
      Map<String, Double> handles,
      @Nullable Double made,
      double madeSpread,
      @Nullable Double size,
      @Nullable String box,
      @Nullable String build,
      @Nullable String text,
      @Nullable String number,
      List<Altered> altered) {
    /** The same knife, had nothing been done to it. */
    Subject untouched() {
      return new Subject(
          makers,
          patterns,
          grades,
          handles,
          made,
          madeSpread,
          size,
          box,
          build,
          text,
          number,
          List.of());
    }

    public Subject {
      makers = Map.copyOf(makers);
      patterns = Map.copyOf(patterns);
      grades = Map.copyOf(grades);
      handles = Map.copyOf(handles);
      altered = List.copyOf(altered);
    }
  }

  /** Something that may have been done to it, and what it leaves of the value. */
  public record Altered(double probability, double worth) {}

  /** Weighs the sales. Sales in another currency than most are shown and not counted. */
  public ValueVerdict appraise(Subject knife, List<ComparableSale> sales) {
    return appraise(knife, sales, List.of());
  }

  /**
   * Weighs sales that stand with the knife and those of the sales book together.
   *
   * @param own sales that stand with the knife: all are told
   * @param book sales of the collection: those that count are told
   */
  public ValueVerdict appraise(Subject knife, List<ComparableSale> own, List<KeptSale> book) {
    List<ComparableSale> sales = new ArrayList<>(own);
    book.forEach(kept -> sales.add(kept.sale().all()));
    // What stands with the knife says in which money it is told.
    String currency = commonest(own).or(() -> commonest(sales)).orElse(null);
    Rarity.Counted met = rarity.in(sales);
    Held held = new Held(knife, rarity, met);
    if (currency == null) {
      return nothing(held.told());
    }
    MarketLikeness likeness = new MarketLikeness(rates);
    Traits likeliest = likeliest(held);
    List<Integer> counted = nearest(sales, currency, likeness, likeliest, met);
    List<Sold> sold = counted.stream().map(i -> worths.sold(sales.get(i), met)).toList();
    Market market = market(sold);
    List<Case> cases = cases(held, likeliest, market);
    Mixture price = mixture(cases);
    ValueVerdict.Range asItIs = range(price);
    ValueVerdict.Range untouched =
        knife.altered().isEmpty()
            ? asItIs
            : range(mixture(cases(new Held(knife.untouched(), rarity, met), likeliest, market)));
    return new ValueVerdict(
        currency,
        untouched.middle(),
        untouched.low(),
        untouched.high(),
        untouched.lowest(),
        untouched.highest(),
        asItIs,
        counted.size(),
        counted.size() >= ENOUGH,
        told(counted.size(), sales.size()),
        told(weighed(sales, counted, sold, market, likeness, likeliest, held), own.size(), book),
        costs(cases, price),
        held.told());
  }

  // Most knives are held against the very same sales.
  private Market market(List<Sold> sold) {
    Market known;
    synchronized (markets) {
      known = markets.get(sold);
    }
    if (known != null) {
      return known;
    }
    Market fitted = new Market(sold, rates).fitted();
    synchronized (markets) {
      markets.put(sold, fitted);
    }
    return fitted;
  }

  private static Mixture mixture(List<Case> cases) {
    return new Mixture(cases.stream().map(Case::part).toList());
  }

  private static ValueVerdict.Range range(Mixture price) {
    return new ValueVerdict.Range(
        shown(price.quantile(0.5)),
        shown(price.quantile(0.25)),
        shown(price.quantile(0.75)),
        shown(price.quantile(0.05)),
        shown(price.quantile(0.95)));
  }

  /** The most to pay and what to ask, for a knife of this value. */
  public @Nullable TopPrice topPrice(ValueVerdict value, TopPrice.Plan plan) {
    return TopPrice.of(value, plan, rates.asked());
  }

  /** By what a sale that stands with the knife itself is told, by its place from 0. */
  public static String ownSale(int place) {
    return "sale-" + (place + 1);
  }

  static ValueVerdict nothing(Rarity.@Nullable Met met) {
    return new ValueVerdict(
        null, null, null, null, null, null, null, 0, false, told(0, 0), List.of(), List.of(), met);
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

  private List<Integer> nearest(
      List<ComparableSale> sales,
      String currency,
      MarketLikeness likeness,
      Traits knife,
      Rarity.Counted met) {
    List<Integer> all =
        IntStream.range(0, sales.size())
            .filter(i -> sales.get(i).currency().equals(currency))
            .boxed()
            .toList();
    if (all.size() <= MOST) {
      return all;
    }
    Map<Integer, Double> alike = new HashMap<>();
    all.forEach(i -> alike.put(i, likeness.covariance(knife, worths.traits(sales.get(i), met))));
    return all.stream()
        .sorted(Comparator.comparingDouble((Integer i) -> -alike.get(i)))
        .limit(MOST)
        .sorted()
        .toList();
  }

  // The same knife, were it of another maker and pattern; empty is none that is known.
  private Traits as(Traits t, String maker, String pattern) {
    return new Traits(
        maker.isEmpty() ? null : maker,
        pattern.isEmpty() ? null : pattern,
        worths.family(pattern),
        t.handle(),
        t.made(),
        t.madeSpread(),
        t.size(),
        t.text(),
        t.worth(),
        t.sold());
  }

  // Whatever its grade and whoever made it.
  private double base(Subject knife) {
    return Math.log(worths.boxed(knife.box()))
        + Math.log(worths.built(knife.build()))
        + Math.log(worths.written(knife.text()));
  }

  /** A knife, with how often its kind is in the sales at hand. */
  private record Held(Subject knife, Rarity rarity, Rarity.Counted met) {
    /** What it brings for being met so seldom, were it of this maker and pattern. */
    double seldom(@Nullable String maker, @Nullable String pattern) {
      return met.worth(maker, pattern) + rarity.worth(maker, pattern, knife.number());
    }

    Rarity.@Nullable Met told() {
      return met.met(most(knife.makers()), most(knife.patterns()), knife.number());
    }
  }

  // What it is most likely, for showing likeness.
  private Traits likeliest(Held held) {
    Subject knife = held.knife();
    return new Traits(
        most(knife.makers()),
        most(knife.patterns()),
        worths.family(most(knife.patterns())),
        most(knife.handles()),
        knife.made(),
        knife.madeSpread(),
        knife.size(),
        worths.paidFor(knife.text()),
        base(knife) + meanGrade(knife) + held.seldom(most(knife.makers()), most(knife.patterns())),
        (double) thisYear);
  }

  private double meanGrade(Subject knife) {
    return knife.grades().isEmpty()
        ? Math.log(rates.ungraded())
        : knife.grades().entrySet().stream()
            .mapToDouble(e -> e.getValue() * Math.log(worths.worth(e.getKey())))
            .sum();
  }

  private static @Nullable String most(Map<String, Double> chances) {
    return chances.entrySet().stream()
        .max(Map.Entry.<String, Double>comparingByValue().thenComparing(Map.Entry::getKey))
        .filter(e -> e.getValue() >= 0.5)
        .map(Map.Entry::getKey)
        .orElse(null);
  }

  /** One thing the knife may be, all told. */
  private record Case(
      String maker, String pattern, String grade, int altered, double said, Mixture.Part part) {}

  private List<Case> cases(Held held, Traits likeliest, Market market) {
    Subject knife = held.knife();
    double noise = market.rates().noise() * market.rates().noise();
    List<Mixture.Part> altered = altered(knife.altered());
    List<Case> cases = new ArrayList<>();
    for (Map.Entry<String, Double> maker : withRest(knife.makers())) {
      for (Map.Entry<String, Double> pattern : withRest(knife.patterns())) {
        Market.Asked asked = market.asked(as(likeliest, maker.getKey(), pattern.getKey()));
        double base = base(knife) + held.seldom(maker.getKey(), pattern.getKey());
        for (Map.Entry<String, Double> grade : grades(knife)) {
          double worth =
              base
                  + Math.log(
                      grade.getKey().isEmpty() ? rates.ungraded() : worths.worth(grade.getKey()));
          Said said = asked.at(worth);
          double ungraded =
              grade.getKey().isEmpty() ? rates.ungradedNoise() * rates.ungradedNoise() : 0;
          for (int a = 0; a < altered.size(); a++) {
            Mixture.Part done = altered.get(a);
            double p =
                maker.getValue() * pattern.getValue() * grade.getValue() * done.probability();
            double mean = said.mean() + worth + done.mean();
            double known = said.variance() + ungraded;
            for (double width : widths) {
              Mixture.Part part = new Mixture.Part(p / WIDTHS, mean, known + width * noise);
              cases.add(new Case(maker.getKey(), pattern.getKey(), grade.getKey(), a, known, part));
            }
          }
        }
      }
    }
    return cases;
  }

  // A price with long tails is a bell of which it is not known how wide it is (Student's t as a
  // mean
  // of bells): this wide in each of so many equally likely parts, against the usual.
  private static double[] widths(double tails) {
    GammaDistribution narrow = new GammaDistribution(tails / 2, 2 / tails);
    return IntStream.range(0, WIDTHS)
        .mapToDouble(i -> 1 / narrow.inverseCumulativeProbability((i + 0.5) / WIDTHS))
        .toArray();
  }

  private static List<Map.Entry<String, Double>> withRest(Map<String, Double> chances) {
    List<Map.Entry<String, Double>> likely =
        chances.entrySet().stream()
            .sorted(
                Map.Entry.<String, Double>comparingByValue()
                    .reversed()
                    .thenComparing(Map.Entry::getKey))
            .limit(3)
            .toList();
    double rest = 1 - likely.stream().mapToDouble(Map.Entry::getValue).sum();
    List<Map.Entry<String, Double>> all = new ArrayList<>(likely);
    if (rest > 1e-9) {
      all.add(Map.entry("", rest));
    }
    return all;
  }

  private static List<Map.Entry<String, Double>> grades(Subject knife) {
    return knife.grades().isEmpty()
        ? List.of(Map.entry("", 1.0))
        : List.copyOf(knife.grades().entrySet());
  }

  // What was done, each apart from the others: the three that cost most, and the rest at its mean.
  private static List<Mixture.Part> altered(List<Altered> all) {
    List<Altered> byCost =
        all.stream()
            .sorted(
                Comparator.comparingDouble((Altered a) -> a.probability() * Math.log(a.worth())))
            .toList();
    List<Mixture.Part> out = List.of(new Mixture.Part(1, 0, 0));
    for (int i = 0; i < byCost.size(); i++) {
      Altered a = byCost.get(i);
      List<Mixture.Part> next = new ArrayList<>();
      for (Mixture.Part p : out) {
        if (i < 3) {
          next.add(
              new Mixture.Part(
                  p.probability() * a.probability(), p.mean() + Math.log(a.worth()), 0));
          next.add(new Mixture.Part(p.probability() * (1 - a.probability()), p.mean(), 0));
        } else {
          double mean = a.probability() * Math.log(a.worth());
          next.add(new Mixture.Part(p.probability(), p.mean() + mean, 0));
        }
      }
      out = next;
    }
    return out;
  }

  private static List<Cost> costs(List<Case> cases, Mixture price) {
    double all = price.variance();
    Map<Doubt, Double> of = new EnumMap<>(Doubt.class);
    of.put(Doubt.MAKER, between(cases, price, Case::maker));
    of.put(Doubt.PATTERN, between(cases, price, Case::pattern));
    of.put(Doubt.GRADE, between(cases, price, Case::grade));
    of.put(Doubt.ALTERED, between(cases, price, c -> "" + c.altered()));
    double said = cases.stream().mapToDouble(c -> c.part().probability() * c.said()).sum();
    double within =
        cases.stream().mapToDouble(c -> c.part().probability() * c.part().variance()).sum();
    of.put(Doubt.SALES, said);
    of.put(Doubt.CHANCE, within - said);
    return of.entrySet().stream()
        .map(e -> new Cost(e.getKey(), e.getValue() / all))
        .filter(c -> c.share() >= COSTS_FROM)
        .sorted(Comparator.comparingDouble((Cost c) -> -c.share()))
        .toList();
  }

  // How far the middle moves with what it is in one respect.
  private static double between(List<Case> cases, Mixture price, Function<Case, String> respect) {
    Map<String, double[]> by = new HashMap<>();
    for (Case c : cases) {
      double[] sums = by.computeIfAbsent(respect.apply(c), k -> new double[2]);
      sums[0] += c.part().probability();
      sums[1] += c.part().probability() * c.part().mean();
    }
    double mean = price.mean();
    return by.values().stream()
        .filter(s -> s[0] > 0)
        .mapToDouble(s -> s[0] * (s[1] / s[0] - mean) * (s[1] / s[0] - mean))
        .sum();
  }

  private List<Weighed> weighed(
      List<ComparableSale> sales,
      List<Integer> counted,
      List<Sold> sold,
      Market market,
      MarketLikeness likeness,
      Traits knife,
      Held held) {
    double[] weights = market.of(knife).weights();
    double sum = 0;
    for (double w : weights) {
      sum += Math.abs(w);
    }
    double[] trust = market.trust();
    List<Weighed> out = new ArrayList<>();
    for (int i = 0; i < sales.size(); i++) {
      ComparableSale sale = sales.get(i);
      int at = counted.indexOf(i);
      double weight = at < 0 || sum == 0 ? 0 : Math.abs(weights[at]) / sum;
      List<Step> steps = at < 0 ? List.of() : steps(sale, sold.get(at), likeness, knife, held);
      double adjusted = Math.log(sale.price().doubleValue());
      for (Step s : steps) {
        adjusted += Math.log(s.times());
      }
      out.add(
          new Weighed(
              ownSale(i),
              sale.described(),
              sale.price(),
              shown(adjusted),
              weight,
              at < 0 ? 0 : Math.min(1, trust[at]),
              steps,
              at >= 0));
    }
    return out;
  }

  private static List<Weighed> told(List<Weighed> all, int own, List<KeptSale> book) {
    List<Weighed> told = new ArrayList<>(all.subList(0, own));
    IntStream.range(own, all.size())
        .filter(i -> all.get(i).counted())
        .mapToObj(i -> all.get(i).as(book.get(i - own).id()))
        .sorted(Comparator.comparingDouble(w -> -w.weight()))
        .forEach(told::add);
    return told;
  }

  private List<Step> steps(
      ComparableSale sale, Sold sold, MarketLikeness likeness, Traits knife, Held held) {
    Parts alike = likeness.parts(knife, sold.traits());
    double written = worths.written(held.knife().text()) / worths.written(sale.text());
    double seldom =
        held.seldom(knife.maker(), knife.pattern())
            - held.met().worth(sale.maker(), sale.pattern());
    double rest = knife.worth() - sold.traits().worth() - Math.log(written) - seldom;
    return Stream.of(
            new Step("prices since", worths.inflation(sale), 1),
            new Step("asked, not paid", worths.paid(sale), 1),
            new Step("where it was sold", worths.room(sale), 1),
            new Step("what was done to it", 1 / worths.left(sale), 1),
            new Step("grade and box", times(rest), 1),
            new Step("what is written on it", written, alike.text()),
            new Step("how seldom it is met", times(seldom), 1),
            new Step("maker", 1, alike.maker()),
            new Step("pattern", 1, alike.pattern()),
            new Step("handle", 1, alike.handle()),
            new Step("years", 1, alike.years()),
            // What is told of neither parts them no more than any others.
            new Step("size", 1, isMeasured(knife, sold) ? alike.size() : 1))
        .filter(Step::saysAnything)
        .toList();
  }

  // What is left of a sum of logarithms that comes to nothing is no step.
  private static double times(double log) {
    return Math.abs(log) < 1e-9 ? 1 : Math.exp(log);
  }

  private static boolean isMeasured(Traits knife, Sold sold) {
    return knife.size() != null && sold.traits().size() != null;
  }

  // Two figures say all that is known of it; three from a thousand on, where they are read as such.
  private static BigDecimal shown(double log) {
    BigDecimal amount = BigDecimal.valueOf(Math.exp(log));
    BigDecimal round = amount.round(amount.compareTo(LARGE) < 0 ? SHOWN : SHOWN_LARGE);
    return round.setScale(Math.max(0, Math.min(2, round.scale())), RoundingMode.HALF_UP);
  }

  private static String told(int counted, int given) {
    if (given == 0) {
      return "No sales of like knives yet.";
    }
    String sales = counted + (counted == 1 ? " sale counts" : " sales count");
    return counted < ENOUGH
        ? "Thin: " + sales + ", so the range is mostly what is not known of this trade."
        : "From " + counted + " sales, each by its likeness.";
  }
}
