package snikra.core.reference;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * What is known of a maker, a brand or a retailer beside its marks.
 *
 * @param owners whose it was, one after the other or side by side
 * @param contracts who made its knives, where others did
 * @param shields which shields it set, and when
 * @param fittings other answers of the clue book that go with years, such as handles and jigging
 * @param models its models by number
 * @param tells by what its work is known
 */
public record History(
    Kind kind,
    List<Owner> owners,
    List<Contract> contracts,
    List<ShieldEra> shields,
    List<Fitting> fittings,
    List<Model> models,
    List<Tell> tells) {

  /** Of a maker of whom nothing more is known. */
  public static final History NONE =
      new History(Kind.MAKER, List.of(), List.of(), List.of(), List.of(), List.of(), List.of());

  private static final String SHIELD = "shield_shape";

  /** How likely a fitting is in years in which the maker is not known to have used it. */
  private static final double OUT_OF_ERA = 0.05;

  /** How likely a fitting is that the maker is not known to have used at all. */
  private static final double NOT_ON_FILE = 0.2;

  /** What kind of name it is. */
  public enum Kind {
    MAKER,
    BRAND,
    RETAILER;

    @Override
    public String toString() {
      return name().toLowerCase(Locale.ROOT);
    }
  }

  /** An owner, in closed years. */
  public record Owner(String name, int from, int to, String note, String source) {}

  /**
   * Knives made by another.
   *
   * @param by who made them
   * @param share of what was sold in these years
   * @param marks they were struck with, where the contract was for some marks alone; empty for all
   *     that no other contract names
   */
  public record Contract(
      String by, int from, int to, double share, List<String> marks, String note, String source) {
    public Contract {
      marks = marks == null ? List.of() : List.copyOf(marks);
    }
  }

  /**
   * A shield, in closed years.
   *
   * @param shape an answer of the clue book
   * @param give years by which either end may be out
   * @param drawn its own outline, where it is known better than by its shape: points across and
   *     down from its middle, in halves of its width
   * @param picture of it, as a data address of an image
   */
  public record ShieldEra(
      String shape,
      int from,
      int to,
      int give,
      @Nullable List<List<Double>> drawn,
      @Nullable String picture,
      String note,
      String source) {
    private Fitting fitting() {
      return new Fitting(SHIELD, shape, from, to, give, note, source);
    }
  }

  /**
   * An answer of the clue book that goes with years, closed.
   *
   * @param give years by which either end may be out
   */
  public record Fitting(
      String feature, String value, int from, int to, int give, String note, String source) {
    private double in(int year) {
      int outside = Math.max(from - year, year - to);
      return outside <= 0 ? 1 : outside > give ? OUT_OF_ERA : 1 - outside / (give + 1.0);
    }
  }

  /** Something by which its work is known. */
  public record Tell(String text, String source) {}

  /**
   * What the fittings of one knife say of a year, through this maker.
   *
   * @param eras for each feature that speaks, the eras of what was seen
   * @param strange how many features show what the maker is not known to have used
   */
  public record Spoken(List<List<Fitting>> eras, int strange) {
    /** P(fittings | made in this year), against the makers at large. */
    public double in(int year) {
      double p = Math.pow(NOT_ON_FILE, strange);
      for (List<Fitting> era : eras) {
        double best = 0;
        for (Fitting f : era) {
          best = Math.max(best, f.in(year));
        }
        p *= best;
      }
      return p;
    }
  }

  /** Closed years. */
  public record Years(int from, int to) {}

  /**
   * A model.
   *
   * @param number as struck
   * @param pattern of the pattern book
   * @param marks years of marks on this model, in place of those of the maker at large, by mark
   * @param tells how knives of it look, where more is known than the pattern and the maker say
   */
  public record Model(
      String number,
      String label,
      String pattern,
      int from,
      int to,
      Map<String, Years> marks,
      List<ModelTell> tells,
      String note,
      String source) {
    public Model {
      tells = tells == null ? List.of() : List.copyOf(tells);
      marks = marks == null ? Map.of() : Map.copyOf(marks);
    }
  }

  public History {
    kind = kind == null ? Kind.MAKER : kind;
    owners = copy(owners);
    contracts = copy(contracts);
    shields = copy(shields);
    fittings = copy(fittings);
    models = copy(models);
    tells = copy(tells);
  }

  private static <T> List<T> copy(List<T> list) {
    return list == null ? List.of() : List.copyOf(list);
  }

  /** The model with this number, spaces apart. */
  public Optional<Model> model(String number) {
    String plain = plain(number);
    return models.stream().filter(m -> plain(m.number()).equals(plain)).findFirst();
  }

  private static String plain(String number) {
    return number.replace(" ", "").toUpperCase(Locale.ROOT);
  }

  /** Shields and other fittings together. */
  public List<Fitting> allFittings() {
    return Stream.concat(shields.stream().map(ShieldEra::fitting), fittings.stream()).toList();
  }

  /** What was found that speaks through this maker, by feature; empty when nothing does. */
  public Optional<Spoken> spoken(Map<String, String> found) {
    Map<String, List<Fitting>> byFeature =
        allFittings().stream()
            .filter(f -> found.containsKey(f.feature()))
            .collect(Collectors.groupingBy(Fitting::feature));
    if (byFeature.isEmpty()) {
      return Optional.empty();
    }
    List<List<Fitting>> eras = new ArrayList<>();
    byFeature.forEach(
        (feature, all) ->
            eras.add(all.stream().filter(f -> f.value().equals(found.get(feature))).toList()));
    int strange = (int) eras.stream().filter(List::isEmpty).count();
    return Optional.of(new Spoken(eras.stream().filter(e -> !e.isEmpty()).toList(), strange));
  }
}
