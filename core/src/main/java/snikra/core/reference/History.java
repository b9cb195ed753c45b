package snikra.core.reference;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
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
      String by,
      int from,
      int to,
      double share,
      List<String> marks,
      String note,
      String source,
      double trust) {
    public Contract {
      marks = marks == null ? List.of() : List.copyOf(marks);
      trust = Trust.orMost(trust);
    }

    /** A contract that is believed. */
    public Contract(
        String by, int from, int to, double share, List<String> marks, String note, String source) {
      this(by, from, to, share, marks, note, source, Trust.MOST);
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
      String source,
      double trust) {
    public ShieldEra {
      trust = Trust.orMost(trust);
    }

    private Fitting fitting() {
      return new Fitting(SHIELD, shape, from, to, give, note, source, trust);
    }
  }

  /**
   * An answer of the clue book that goes with years, closed.
   *
   * @param give years by which either end may be out
   */
  public record Fitting(
      String feature,
      String value,
      int from,
      int to,
      int give,
      String note,
      String source,
      double trust) {
    public Fitting {
      trust = Trust.orMost(trust);
    }

    /** How much at home it is in a year: 1 in its years, falling over those it may be out by. */
    public double in(int year, double outOfEra) {
      int outside = Math.max(from - year, year - to);
      return outside <= 0 ? 1 : outside > give ? outOfEra : 1 - outside / (give + 1.0);
    }
  }

  /**
   * Something by which its work is known, in words, and where it can be looked for as data: a trait
   * with how likely its answers are, or a length.
   *
   * @param trait a feature of the clue book or a trait of the first look, as of a model
   * @param likely probability by answer, in all at most 1
   * @param mm for a length, its middle
   * @param spread for a length, its standard deviation in millimetres
   */
  public record Tell(
      String text,
      @Nullable String trait,
      Map<String, Double> likely,
      @Nullable Double mm,
      @Nullable Double spread,
      String source,
      double trust) {
    public Tell {
      likely = likely == null ? Map.of() : Map.copyOf(likely);
      trust = Trust.orMost(trust);
    }

    /** A tell in words alone. */
    public Tell(String text, String source) {
      this(text, null, Map.of(), null, null, source, Trust.MOST);
    }

    /** The same as a tell of its knives, where it can be looked for. */
    public Optional<ModelTell> asData() {
      return trait == null
          ? Optional.empty()
          : Optional.of(new ModelTell(trait, likely, mm, spread, source, trust));
    }
  }

  /**
   * What a model could be had with: it is neither on every knife of it nor a change.
   *
   * @param feature of the clue book, with one of its answers
   * @param from the first year it was offered; null as long as the model was made
   * @param to the last such year
   */
  public record Option(
      String feature, String value, @Nullable Integer from, @Nullable Integer to, String note) {
    public Option {
      note = note == null ? "" : note;
    }

    /** Whether it was offered in a year in which the model was made. */
    public boolean in(int year) {
      return (from == null || year >= from) && (to == null || year <= to);
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
   * @param options what it could be had with besides
   */
  public record Model(
      String number,
      String label,
      String pattern,
      int from,
      int to,
      Map<String, Years> marks,
      List<ModelTell> tells,
      List<Option> options,
      String note,
      String source,
      double trust) {
    public Model {
      trust = Trust.orMost(trust);
      options = options == null ? List.of() : List.copyOf(options);
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

  /** This and more besides; of two models with one number the later stands. */
  History with(History more) {
    if (more.equals(NONE)) {
      return this;
    }
    Map<String, Model> byNumber = new LinkedHashMap<>();
    Stream.concat(models.stream(), more.models.stream())
        .forEach(m -> byNumber.put(plain(m.number()), m));
    return new History(
        kind,
        both(owners, more.owners),
        both(contracts, more.contracts),
        both(shields, more.shields),
        both(fittings, more.fittings),
        List.copyOf(byNumber.values()),
        both(tells, more.tells));
  }

  private static <T> List<T> both(List<T> one, List<T> other) {
    return Stream.concat(one.stream(), other.stream()).toList();
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
}
