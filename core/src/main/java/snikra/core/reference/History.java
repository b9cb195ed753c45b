package snikra.core.reference;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * What is known of a maker, a brand or a retailer beside its marks.
 *
 * @param owners whose it was, one after the other or side by side
 * @param contracts who made its knives, where others did
 * @param shields which shields it set, and when
 * @param models its models by number
 */
public record History(
    Kind kind,
    List<Owner> owners,
    List<Contract> contracts,
    List<ShieldEra> shields,
    List<Model> models) {

  /** Of a maker of whom nothing more is known. */
  public static final History NONE =
      new History(Kind.MAKER, List.of(), List.of(), List.of(), List.of());

  /** How likely a shield is in years in which the maker is not known to have set it. */
  private static final double OUT_OF_ERA = 0.05;

  /** How likely a shield is that the maker is not known to have set at all. */
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
   */
  public record Contract(String by, int from, int to, double share, String note, String source) {}

  /**
   * A shield, in closed years.
   *
   * @param shape an answer of the clue book
   * @param give years by which either end may be out
   */
  public record ShieldEra(String shape, int from, int to, int give, String note, String source) {
    double in(int year) {
      int outside = Math.max(from - year, year - to);
      return outside <= 0 ? 1 : outside > give ? OUT_OF_ERA : 1 - outside / (give + 1.0);
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
   */
  public record Model(
      String number,
      String label,
      String pattern,
      int from,
      int to,
      Map<String, Years> marks,
      String note,
      String source) {
    public Model {
      marks = marks == null ? Map.of() : Map.copyOf(marks);
    }
  }

  public History {
    kind = kind == null ? Kind.MAKER : kind;
    owners = copy(owners);
    contracts = copy(contracts);
    shields = copy(shields);
    models = copy(models);
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

  /** P(shield of this shape | made in this year), against the makers at large. */
  public double given(String shape, int year) {
    double p = 0;
    for (ShieldEra era : shields) {
      if (era.shape().equals(shape)) {
        p = Math.max(p, era.in(year));
      }
    }
    boolean onFile = shields.stream().anyMatch(era -> era.shape().equals(shape));
    return onFile ? p : shields.isEmpty() ? 1 : NOT_ON_FILE;
  }
}
