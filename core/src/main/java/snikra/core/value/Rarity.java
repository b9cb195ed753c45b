package snikra.core.value;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import snikra.core.judgement.Judgement;
import snikra.core.pattern.Pattern;
import snikra.core.pattern.PatternBook;
import snikra.core.reference.History.Model;
import snikra.core.reference.Maker;
import snikra.core.specimen.ComparableSale;

/**
 * How often knives of a maker and a pattern are met among those of all makers on file: by how much
 * of the maker is met, how usual the pattern is and for how many years the maker made it; then
 * moved by how often such a knife is in the sales at hand. Immutable.
 */
public final class Rarity {
  private final Map<String, Map<String, Double>> shares = new HashMap<>();
  private final Map<String, Maker> makers = new HashMap<>();
  private final double ordinary;
  private final double brings;
  private final double trust;
  private final double perSale;

  /** Of these makers and patterns. */
  public Rarity(List<Maker> makers, PatternBook patterns, Judgement judgement) {
    this.brings = judgement.of("value.rarity");
    this.trust = judgement.of("value.met-trust");
    this.perSale = judgement.of("value.met-sale");
    double all = makers.stream().mapToDouble(Maker::weight).sum();
    for (Maker maker : makers) {
      this.makers.put(maker.id(), maker);
      shares.put(maker.id(), shares(maker, maker.weight() / all, patterns, judgement));
    }
    // Of a knife met by chance, in the mean of logarithms.
    this.ordinary =
        shares.values().stream()
            .flatMap(of -> of.values().stream())
            .mapToDouble(share -> share * Math.log(share))
            .sum();
  }

  private static Map<String, Double> shares(
      Maker maker, double weight, PatternBook patterns, Judgement judgement) {
    Map<String, Double> amounts = new HashMap<>();
    double sum = 0;
    for (Pattern pattern : patterns.patterns()) {
      double amount = isAKind(pattern) ? amount(maker, pattern, judgement) : 0;
      if (amount > 0) {
        amounts.put(pattern.id(), amount);
        sum += amount;
      }
    }
    double in = sum;
    amounts.replaceAll((pattern, amount) -> weight * amount / in);
    return amounts;
  }

  // Names of sellers are for knives that have a name already.
  private static boolean isAKind(Pattern pattern) {
    return pattern.role() != Pattern.Role.TRADE_LABEL;
  }

  private static double amount(Maker maker, Pattern pattern, Judgement judgement) {
    double usual = pattern.often() == null ? 1 : pattern.often();
    double there = pattern.atHome(maker.region(), judgement.of("pattern.other-country"));
    return usual * there * run(maker, pattern.id(), judgement);
  }

  private static double run(Maker maker, String pattern, Judgement judgement) {
    if (maker.history().models().isEmpty()) {
      return 1;
    }
    double years = years(models(maker, pattern));
    return years == 0 ? judgement.of("value.unlisted-run") : years / judgement.of("value.run");
  }

  private static List<Model> models(Maker maker, String pattern) {
    return maker.history().models().stream().filter(m -> m.pattern().equals(pattern)).toList();
  }

  // Two models of one pattern sold beside one another are met as often as both.
  private static double years(List<Model> models) {
    return models.stream().mapToDouble(m -> m.to() - m.from() + 1).sum();
  }

  /**
   * How often a knife is met.
   *
   * @param share of knives of makers on file
   * @param number of its model; null where that is not known, and it is any of this pattern
   * @param from first year of the run; null where no model of it is on file
   * @param sales at hand that were of such a knife
   * @param of so many that tell maker and pattern
   */
  public record Met(
      String maker,
      String pattern,
      @Nullable String number,
      double share,
      @Nullable Integer from,
      @Nullable Integer to,
      int sales,
      int of) {
    /** One in so many, in two figures. */
    public long oneIn() {
      double many = 1 / share;
      double unit = Math.pow(10, Math.max(0, Math.floor(Math.log10(many)) - 1));
      return Math.round(many / unit) * Math.round(unit);
    }
  }

  /** As these sales bear it out. */
  public Counted in(List<ComparableSale> sales) {
    return new Counted(sales);
  }

  /** With how often each kind is in some sales. */
  public final class Counted {
    private final Map<String, Map<String, Integer>> counts = new HashMap<>();
    private int all;

    private Counted(List<ComparableSale> sales) {
      for (ComparableSale sale : sales) {
        String maker = sale.maker();
        String pattern = sale.pattern();
        if (maker != null && pattern != null && onFile(maker, pattern) > 0) {
          counts.computeIfAbsent(maker, m -> new HashMap<>()).merge(pattern, 1, Integer::sum);
          all++;
        }
      }
    }

    /** What it adds to the price, as a logarithm; 0 where maker or pattern are not on file. */
    double worth(@Nullable String maker, @Nullable String pattern) {
      double share = share(maker, pattern);
      return share == 0 ? 0 : brings * (ordinary - Math.log(share));
    }

    // The mean of a gamma over how many times as often as on file they are met.
    private double share(@Nullable String maker, @Nullable String pattern) {
      double onFile = onFile(maker, pattern);
      return onFile * (trust + perSale * count(maker, pattern)) / (trust + perSale * all * onFile);
    }

    private int count(@Nullable String maker, @Nullable String pattern) {
      return counts.getOrDefault("" + maker, Map.of()).getOrDefault("" + pattern, 0);
    }

    /** How often it is met; null where maker or pattern are not on file. */
    @Nullable Met met(@Nullable String maker, @Nullable String pattern, @Nullable String number) {
      double share = share(maker, pattern);
      if (maker == null || pattern == null || share == 0) {
        return null;
      }
      List<Model> told = told(maker, pattern, number);
      return new Met(
          maker,
          pattern,
          isOneOf(maker, pattern, number) ? number : null,
          share * part(maker, pattern, number),
          told.isEmpty() ? null : told.stream().mapToInt(Model::from).min().getAsInt(),
          told.isEmpty() ? null : told.stream().mapToInt(Model::to).max().getAsInt(),
          count(maker, pattern),
          all);
    }
  }

  private double onFile(@Nullable String maker, @Nullable String pattern) {
    return shares.getOrDefault("" + maker, Map.of()).getOrDefault("" + pattern, 0.0);
  }

  /** What its number adds to the price of a knife of its kind, as a logarithm. */
  double worth(@Nullable String maker, @Nullable String pattern, @Nullable String number) {
    return isOneOf(maker, pattern, number) ? -brings * Math.log(part(maker, pattern, number)) : 0;
  }

  private boolean isOneOf(
      @Nullable String maker, @Nullable String pattern, @Nullable String number) {
    Maker by = makers.get("" + maker);
    return by != null
        && number != null
        && by.history().model(number).filter(m -> m.pattern().equals(pattern)).isPresent();
  }

  // The models of its kind; where its number tells which, that one alone.
  private List<Model> told(String maker, String pattern, @Nullable String number) {
    Maker by = makers.get(maker);
    return isOneOf(maker, pattern, number)
        ? by.history().model("" + number).stream().toList()
        : models(by, pattern);
  }

  // Of the knives of its kind, those of its model.
  private double part(String maker, String pattern, @Nullable String number) {
    return isOneOf(maker, pattern, number)
        ? years(told(maker, pattern, number)) / years(models(makers.get(maker), pattern))
        : 1;
  }
}
