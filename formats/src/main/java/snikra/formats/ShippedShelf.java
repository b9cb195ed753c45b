package snikra.formats;

import com.fasterxml.jackson.annotation.JsonProperty;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import snikra.core.care.CareBook;
import snikra.core.clue.Caution;
import snikra.core.clue.ClueBook;
import snikra.core.clue.Feature;
import snikra.core.clue.Part;
import snikra.core.code.NumberTable;
import snikra.core.condition.ConditionBook;
import snikra.core.examination.Problem;
import snikra.core.glossary.Glossary;
import snikra.core.induction.ExampleBook;
import snikra.core.judgement.Judgement;
import snikra.core.ledger.ExchangeRates;
import snikra.core.measure.MeasureBook;
import snikra.core.measure.PriceIndex;
import snikra.core.pattern.BladeType;
import snikra.core.pattern.BolsterLayout;
import snikra.core.pattern.Frame;
import snikra.core.pattern.Modifier;
import snikra.core.pattern.Pattern;
import snikra.core.pattern.PatternBook;
import snikra.core.pattern.Pull;
import snikra.core.pattern.ShieldForm;
import snikra.core.pattern.SpringLayout;
import snikra.core.practice.Described;
import snikra.core.practice.PracticeBook;
import snikra.core.profile.BladeRoom;
import snikra.core.quick.QuickBook;
import snikra.core.reference.Lettering;
import snikra.core.reference.ReferenceShelf;
import snikra.core.reference.Region;
import snikra.core.specimen.Specimen;
import snikra.core.tour.Tour;
import snikra.core.value.PriceThen;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** The shelf that comes with the application: general clues, patterns and sample makers. */
public final class ShippedShelf {
  private static final List<String> PACKS =
      List.of("packs/overwater-makers", "packs/overwater-trade");

  private static final List<String> BOOKS =
      List.of(
          "clue-book",
          "patterns",
          "shapes",
          "condition",
          "care",
          "price-indices",
          "exchange-rates",
          "label-papers",
          "by-example",
          "price-then",
          "quick-look",
          "practice",
          "graded",
          "table-columns",
          "measures",
          "number-tables",
          "judgement");

  private ShippedShelf() {}

  private record Shapes(
      List<Frame> frames, List<BladeType> blades, BladeRoom room, List<ShieldForm> shields) {}

  private record Patterns(
      List<BolsterLayout> bolsters,
      List<Pull> pulls,
      Map<String, Pattern.Asked> dividers,
      List<SpringLayout> springLayouts,
      List<Modifier> modifiers,
      List<Pattern> patterns) {}

  private record Rates(Map<String, String> groups, List<Judgement.Rate> rates) {}

  private record KeptWords(JsonNode knife, List<Glossary.Term> terms) {}

  private record KeptTour(JsonNode begins, List<KeptStep> steps) {}

  private record KeptStep(
      String id, String station, String asks, @Nullable String told, @Nullable JsonNode gives) {}

  private record Steps(List<Upgrades.Step> steps) {}

  /**
   * How people head the columns of tables.
   *
   * @param shortForms by column and by what is meant: short forms
   */
  record TableColumns(
      List<Column> sales,
      List<Column> knives,
      List<Column> marks,
      List<Column> facts,
      @JsonProperty("bare-lengths") BareLengths bareLengths,
      @JsonProperty("short") Map<String, Map<String, List<String>>> shortForms) {}

  /** Up to how much a length without a unit is read in one. */
  record BareLengths(UpTo inches, UpTo centimetres) {}

  /**
   * A limit.
   *
   * @param why it stands there
   */
  record UpTo(double to, String why) {}

  /**
   * A column.
   *
   * @param as what stands in it; null for text
   */
  record Column(String id, String label, List<String> names, @Nullable String as) {}

  /** The columns of tables. */
  static TableColumns tableColumns() {
    return read("table-columns", TableColumns.class);
  }

  /** What is looked at on a stall. */
  public static QuickBook quickBook() {
    return read("quick-look", QuickBook.class);
  }

  /** How one practises. */
  public static PracticeBook practiceBook() {
    return read("practice", PracticeBook.class);
  }

  /** Described knives with the grades collectors of each habit give them. */
  public static List<Described> graded() {
    return read("graded", GradedKnives.class).knives();
  }

  /** What prices of other years are today. */
  public static PriceThen priceThen() {
    return read("price-then", PriceThen.class);
  }

  private record GradedKnives(List<Described> knives) {}

  private record PriceIndices(List<PriceIndex> indices) {}

  private record Papers(List<LabelPaper> papers) {}

  private record Rated(List<ExchangeRates.RatedCurrency> currencies) {}

  private record NumberTables(List<NumberTable> tables) {}

  private record Clues(
      double unlistedWeight,
      List<Region> regions,
      Map<String, String> confusions,
      Map<String, Double> letters,
      List<List<String>> spellings,
      List<Part> parts,
      List<Feature> features,
      List<Caution> cautions) {}

  /**
   * Loads it, checking every file against its schema.
   *
   * @throws InvalidInput when a shipped file is broken
   */
  public static ReferenceShelf load() {
    List<PackFormat.Pack> packs = packs();
    Shapes shapes = read("shapes", Shapes.class);
    Patterns patterns = read("patterns", Patterns.class);
    Clues clues = read("clue-book", Clues.class);
    Map<Character, String> confusions = new HashMap<>();
    clues.confusions.forEach((letter, taken) -> confusions.put(letter.charAt(0), taken));
    Map<Character, Double> often = new HashMap<>();
    clues.letters.forEach((letter, met) -> often.put(letter.charAt(0), met));
    return new ReferenceShelf(
        new ClueBook(clues.parts, clues.features, clues.cautions),
        new PatternBook(
            shapes.frames,
            shapes.blades,
            shapes.room,
            shapes.shields,
            patterns.bolsters,
            patterns.pulls,
            patterns.dividers,
            patterns.springLayouts,
            patterns.modifiers,
            patterns.patterns),
        read("condition", ConditionBook.class),
        read("care", CareBook.class),
        read("price-indices", PriceIndices.class).indices,
        read("measures", MeasureBook.class),
        read("number-tables", NumberTables.class).tables,
        clues.regions,
        clues.unlistedWeight,
        new Lettering(confusions, often),
        clues.spellings,
        PackFormat.assayOffices(packs),
        PackFormat.makers(packs),
        judgement());
  }

  /** How makers build codes and numbers, before any example of one of them is seen. */
  public static ExampleBook byExample() {
    return read("by-example", ExampleBook.class);
  }

  /** Sheets labels are printed on, the usual one first. */
  public static List<LabelPaper> labelPapers() {
    return read("label-papers", Papers.class).papers;
  }

  /** What currencies were worth in one another. */
  public static ExchangeRates exchangeRates() {
    return new ExchangeRates(read("exchange-rates", Rated.class).currencies);
  }

  /**
   * The words of the trade.
   *
   * @param shelf to hold the drawn knife against
   */
  public static Glossary glossary(ReferenceShelf shelf) {
    KeptWords kept = read("glossary", KeptWords.class);
    return new Glossary(SpecimenFormat.read(kept.knife, shelf), kept.terms);
  }

  /**
   * A first knife.
   *
   * @param shelf to hold its answers against
   */
  public static Tour tour(ReferenceShelf shelf) {
    KeptTour kept = read("tour", KeptTour.class);
    ObjectNode known = Json.mapper().createObjectNode();
    List<Tour.Step> steps = new ArrayList<>();
    for (KeptStep step : kept.steps) {
      if (step.gives != null) {
        Json.mapper().updateValue(known, step.gives);
      }
      Specimen now = SpecimenFormat.read(known.deepCopy(), shelf);
      steps.add(new Tour.Step(step.id, step.station, step.asks, step.told, now));
    }
    ObjectNode whole = (ObjectNode) kept.begins.deepCopy();
    Json.mapper().updateValue(whole, known);
    return new Tour(
        SpecimenFormat.read(kept.begins, shelf), steps, SpecimenFormat.read(whole, shelf));
  }

  /** The priors and rates of judgement. */
  public static Judgement judgement() {
    Rates kept = read("judgement", Rates.class);
    return new Judgement(kept.groups, kept.rates);
  }

  /** The packs that ship with it, with the sources of their facts. */
  public static List<PackFormat.Pack> packs() {
    return PACKS.stream().map(name -> PackFormat.read(name + ".yaml", text(name))).toList();
  }

  /** All that ships beside the packs, as it is written. */
  public static String bookText() {
    return BOOKS.stream().map(ShippedShelf::text).collect(Collectors.joining());
  }

  /** From every older format of a knife to today's. */
  static Upgrades upgrades() {
    return new Upgrades(read("upgrades", Steps.class).steps);
  }

  /** The same as they are written. */
  public static List<String> packTexts() {
    return PACKS.stream().map(ShippedShelf::text).toList();
  }

  private static <T> T read(String name, Class<T> type) {
    JsonNode tree = Json.yamlMapper().readTree(text(name));
    List<Problem> problems = Schemas.check(name, tree);
    if (!problems.isEmpty()) {
      throw new InvalidInput(problems);
    }
    ((ObjectNode) tree).remove("schema");
    return Json.mapper().treeToValue(tree, type);
  }

  private static String text(String name) {
    String path = "/snikra/" + name + ".yaml";
    try (InputStream in =
        Objects.requireNonNull(ShippedShelf.class.getResourceAsStream(path), path)) {
      return new String(in.readAllBytes(), StandardCharsets.UTF_8);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
