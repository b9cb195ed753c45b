package snikra.server.knives;

import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import snikra.core.code.SeenCode;
import snikra.core.code.Sign;
import snikra.core.dating.Gathering;
import snikra.core.dating.Span;
import snikra.core.examination.Examiner;
import snikra.core.examination.Problem;
import snikra.core.induction.CodeFinder;
import snikra.core.induction.CodeGuess;
import snikra.core.induction.NumberFinder;
import snikra.core.induction.NumberGuess;
import snikra.core.reference.Maker;
import snikra.core.reference.ReferenceShelf;
import snikra.core.specimen.Specimen;
import snikra.formats.Accepted;
import snikra.formats.ExamplesFormat;
import snikra.formats.InvalidInput;
import snikra.formats.OwnPack;
import snikra.formats.ShippedShelf;
import snikra.formats.SpecimenFormat;
import snikra.server.reference.OwnReferences;
import snikra.server.reference.ReferenceDesk;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** {@code /api/own}: a maker's codes and numbers, found from a few on knives that are known. */
@RestController
@RequestMapping("/api/own")
class ByExampleController {
  /** As a pack has it. */
  private static final int LONGEST_LABEL = 80;

  private final OwnReferences own;
  private final ReferenceDesk desk;
  private final KnivesOf knives;

  ByExampleController(
      OwnReferences own, ReferenceDesk desk, Catalogue catalogue, KnifeService knives) {
    this.own = own;
    this.desk = desk;
    this.knives = new KnivesOf(catalogue, knives);
  }

  /** A code on a knife, and its years as people write them. */
  record CodeExample(String written, String years) {}

  /**
   * Codes of one sign on knives that are known.
   *
   * @param from first year they were in use, where that is known besides
   * @param to last year
   */
  record CodeExamples(
      Sign sign, List<CodeExample> examples, @Nullable Integer from, @Nullable Integer to) {}

  /** A number on a knife, and by trait or feature what the knife is. */
  record NumberExample(String number, Map<String, String> shows) {}

  /** Numbers on knives that are known. */
  record NumberExamples(List<NumberExample> examples) {}

  /** A code on a knife of one's own. */
  record OwnCode(int knife, Sign sign, String written, String years) {}

  /** A number on a knife of one's own. */
  record OwnNumber(int knife, String number, Map<String, String> shows) {}

  /**
   * What the knives of one's own that are held to be of a maker teach.
   *
   * @param numbered whether a way of numbering of this maker is on file
   */
  record OwnExamples(List<OwnCode> codes, List<OwnNumber> numbers, boolean numbered) {}

  /**
   * A field of a number.
   *
   * @param label what it tells in words; empty where that is nothing one could see
   * @param mark whether it only parts two fields
   * @param odd places of the examples whose code is another than the knife asks for
   */
  record NumberField(
      int width,
      @Nullable String meaning,
      String label,
      boolean mark,
      boolean optional,
      List<FieldCode> codes,
      List<Integer> odd) {}

  /**
   * A code of a field.
   *
   * @param label what it stands for in words
   * @param supposed whether no example has it
   */
  record FieldCode(String code, String label, List<String> values, boolean supposed) {}

  /** A way numbers may be built, and how likely it is. */
  record NumberWay(double share, List<NumberField> fields) {}

  /**
   * A knife whose number would settle between the two likeliest ways.
   *
   * @param knife in words
   */
  record NumberSettling(String knife, String first, String second) {}

  /**
   * What was found.
   *
   * @param unlike places of the examples that are built like none of the others
   */
  record NumbersFound(
      List<NumberWay> ways, List<Integer> unlike, @Nullable NumberSettling settling) {}

  /**
   * A way of dating to be put on file.
   *
   * @param code as a pack has it, without id, note and source
   */
  record CodeSlip(String maker, Object code, String source, String sourceKind, String note) {}

  /**
   * A way of numbering to be put on file.
   *
   * @param fields as a pack has them
   */
  record NumbersSlip(
      String maker, List<Object> fields, String source, String sourceKind, String note) {}

  /** What was put on file or taken out, and of whom. */
  record SchemeFiled(String maker, String what) {}

  /** Codes and numbers on the knives of one's own that are held to be of this maker. */
  @GetMapping("/examples/{maker}")
  OwnExamples examples(@PathVariable String maker) {
    Examiner examiner = desk.examiner();
    Maker of = KnivesOf.onFile(maker, examiner.shelf());
    List<OwnCode> codes = new ArrayList<>();
    List<OwnNumber> numbers = new ArrayList<>();
    knives
        .maker(of)
        .forEach(
            knife -> {
              Specimen specimen = knife.specimen();
              String number = specimen.number();
              if (number != null && !number.matches(".*[_?*].*")) {
                numbers.add(new OwnNumber(knife.number(), number, Gathering.found(specimen)));
              }
              codes.addAll(codes(knife.number(), specimen, examiner));
            });
    return new OwnExamples(codes, numbers, of.numbers() != null);
  }

  // Its years by all else it shows: a code that is on file must not teach itself.
  private static List<OwnCode> codes(int number, Specimen knife, Examiner examiner) {
    List<SeenCode> whole =
        knife.codes().stream().filter(c -> !c.written().matches(".*[_?+].*|0")).toList();
    if (whole.isEmpty()) {
      return List.of();
    }
    Span span = examiner.date(knife.withoutCodes()).nineTenths();
    int from = span.pieces().get(0).from();
    int to = span.pieces().get(span.pieces().size() - 1).to();
    String years = from == to ? "" + from : from + "/" + to;
    return whole.stream().map(c -> new OwnCode(number, c.sign(), c.written(), years)).toList();
  }

  /** How codes of these years may go with years, the likeliest way first; nothing is kept. */
  @PostMapping(path = "/codes/look", consumes = MediaType.APPLICATION_JSON_VALUE)
  @io.swagger.v3.oas.annotations.parameters.RequestBody(
      required = true,
      content = @Content(schema = @Schema(implementation = CodeExamples.class)))
  CodeGuess.Found codes(@RequestBody String body) {
    JsonNode tree = SpecimenFormat.parse(body);
    Sign sign = ExamplesFormat.sign(tree);
    return new CodeFinder(ShippedShelf.byExample())
        .find(
            sign,
            ExamplesFormat.codes(tree.path("examples"), sign, desk.examiner().thisYear()),
            ExamplesFormat.use(tree));
  }

  /** How these numbers may be built, the likeliest way first; nothing is kept. */
  @PostMapping(path = "/numbers/look", consumes = MediaType.APPLICATION_JSON_VALUE)
  @io.swagger.v3.oas.annotations.parameters.RequestBody(
      required = true,
      content = @Content(schema = @Schema(implementation = NumberExamples.class)))
  NumbersFound numbers(@RequestBody String body) {
    ReferenceShelf shelf = desk.examiner().shelf();
    NumberGuess.Found found =
        new NumberFinder(ShippedShelf.byExample())
            .find(ExamplesFormat.numbers(SpecimenFormat.parse(body).path("examples"), shelf));
    NumberGuess.Settling settling = found.settling();
    return new NumbersFound(
        found.guesses().stream()
            .map(
                g ->
                    new NumberWay(
                        g.share(), g.fields().stream().map(f -> field(f, shelf)).toList()))
            .toList(),
        found.unlike(),
        settling == null
            ? null
            : new NumberSettling(
                words(settling.shows(), shelf), settling.first(), settling.second()));
  }

  private static NumberField field(NumberGuess.GuessedField field, ReferenceShelf shelf) {
    String meaning = field.meaning();
    return new NumberField(
        field.width(),
        meaning,
        meaning == null ? "" : ExamplesFormat.label(meaning, shelf),
        field.mark(),
        field.optional(),
        field.codes().stream()
            .map(c -> new FieldCode(c.code(), label(meaning, c, shelf), c.values(), c.supposed()))
            .toList(),
        field.odd());
  }

  private static String label(
      @Nullable String meaning, NumberGuess.GuessedCode code, ReferenceShelf shelf) {
    if (meaning == null) {
      return "";
    }
    List<String> all =
        code.values().stream()
            .map(v -> Objects.requireNonNullElse(ExamplesFormat.label(meaning, v, shelf), v))
            .toList();
    String joined = String.join(" or ", all);
    // A pack has room for so much; the values stand beside it in full.
    return joined.length() <= LONGEST_LABEL
        ? joined
        : all.get(0) + " and " + (all.size() - 1) + " more";
  }

  private static String words(Map<String, String> shows, ReferenceShelf shelf) {
    return String.join(
        ", ",
        new TreeMap<>(shows)
            .entrySet().stream()
                .map(e -> ExamplesFormat.label(e.getKey(), e.getValue(), shelf))
                .toList());
  }

  /** Puts a way of dating on file; the step can be undone. */
  @PostMapping(path = "/codes", consumes = MediaType.APPLICATION_JSON_VALUE)
  @io.swagger.v3.oas.annotations.parameters.RequestBody(
      required = true,
      content = @Content(schema = @Schema(implementation = CodeSlip.class)))
  SchemeFiled fileCode(@RequestBody String body) {
    JsonNode tree = SpecimenFormat.parse(body);
    if (!(tree.path("code") instanceof ObjectNode code)) {
      throw refused("code", "nothing", Accepted.GIVEN);
    }
    return told(own.fileCode(tree.path("maker").asString(""), code, ExamplesFormat.known(tree)));
  }

  /** Puts a way of numbering on file, in place of another of one's own; it can be undone. */
  @PostMapping(path = "/numbers", consumes = MediaType.APPLICATION_JSON_VALUE)
  @io.swagger.v3.oas.annotations.parameters.RequestBody(
      required = true,
      content = @Content(schema = @Schema(implementation = NumbersSlip.class)))
  SchemeFiled fileNumbers(@RequestBody String body) {
    JsonNode tree = SpecimenFormat.parse(body);
    if (!(tree.path("fields") instanceof ArrayNode fields)) {
      throw refused("fields", "nothing", Accepted.GIVEN);
    }
    return told(
        own.fileNumbers(tree.path("maker").asString(""), fields, ExamplesFormat.known(tree)));
  }

  /** Takes a way of dating one put on file out; the step can be undone. */
  @DeleteMapping("/codes/{code}")
  SchemeFiled takeOutCode(@PathVariable String code) {
    return told(own.takeOutCode(code));
  }

  /** Takes the numbers one put on file for a maker out; the step can be undone. */
  @DeleteMapping("/numbers/{maker}")
  SchemeFiled takeOutNumbers(@PathVariable String maker) {
    return told(own.takeOutNumbers(maker));
  }

  private static SchemeFiled told(OwnPack.Filed filed) {
    return new SchemeFiled(filed.maker(), filed.mark());
  }

  private static InvalidInput refused(String field, String given, String accepted) {
    return new InvalidInput(List.of(new Problem(field, given, accepted)));
  }
}
