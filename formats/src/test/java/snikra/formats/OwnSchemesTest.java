package snikra.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import snikra.core.code.Sign;
import snikra.core.examination.Problem;
import snikra.core.induction.CodeFinder;
import snikra.core.induction.CodeGuess;
import snikra.core.induction.DatedCode;
import snikra.core.induction.ExampleBook;
import snikra.core.induction.NumberFinder;
import snikra.core.induction.NumberGuess;
import snikra.core.induction.NumberedKnife;
import snikra.core.number.GrammarRates;
import snikra.core.reference.Maker;
import snikra.core.reference.MarkSlip;
import snikra.core.reference.ReferenceShelf;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

class OwnSchemesTest {
  private static final ReferenceShelf SHELF = ShippedShelf.load();
  private static final OwnSchemes.Known KNOWN =
      new OwnSchemes.Known("Three dated knives", "own-knives", null);
  private static final String BARS =
      "{\"label\":\"Bars\",\"sign\":\"bar\",\"kind\":\"count-down\",\"from\":1949,\"to\":1954,"
          + "\"start\":8}";
  private static final String FIELDS =
      "[{\"id\":\"blades\",\"label\":\"Blades\",\"width\":1,\"meaning\":\"blades\","
          + "\"codes\":{\"2\":{\"label\":\"2 blades\",\"values\":[\"2\"]}}}]";

  private static JsonNode json(String text) {
    return Json.mapper().readTree(text);
  }

  private static OwnPack.Filed bars(String yaml) {
    return OwnSchemes.withCode(yaml, "vermouzan", (ObjectNode) json(BARS), KNOWN, SHELF);
  }

  private static Maker vermouzan(String yaml) {
    return PackFormat.makers(List.of(ShippedShelf.packs().get(0), PackFormat.read("own", yaml)))
        .stream()
        .filter(m -> m.id().equals("vermouzan"))
        .findFirst()
        .orElseThrow();
  }

  @Test
  void aCodeOfAMakerOfAnotherPackIsReadWithIt() {
    OwnPack.Filed filed = bars(null);
    assertThat(filed.mark()).isEqualTo("Bars");
    assertThat(vermouzan(filed.yaml()).codes())
        .filteredOn(c -> OwnSchemes.codes(filed.yaml()).contains(c.id()))
        .singleElement()
        .satisfies(c -> assertThat(c.codes(1951)).containsExactly("6"));
  }

  @Test
  void numbersTakeThePlaceOfThoseThereWereAndAreRead() {
    OwnPack.Filed filed =
        OwnSchemes.withNumbers(null, "vermouzan", (ArrayNode) json(FIELDS), KNOWN, SHELF);
    assertThat(
            vermouzan(filed.yaml())
                .numbers()
                .decode("2", Map.of(), GrammarRates.of(ShippedShelf.judgement())))
        .isPresent();
    assertThat(OwnSchemes.numbered(filed.yaml())).containsExactly("vermouzan");
    OwnPack.Filed again =
        OwnSchemes.withNumbers(filed.yaml(), "vermouzan", (ArrayNode) json(FIELDS), KNOWN, SHELF);
    assertThat(again.what()).isEqualTo(OwnPack.What.CHANGED);
    assertThat(OwnSchemes.withoutNumbers(again.yaml(), "vermouzan", SHELF).yaml())
        .doesNotContain("vermouzan");
  }

  @Test
  void whatIsTakenOutLeavesTheRestAsItWas() {
    MarkSlip slip =
        new MarkSlip(
            "Vermouzan",
            null,
            null,
            List.of("VERMOUZAN", "BREVETE"),
            null,
            null,
            null,
            snikra.core.specimen.Technique.STRUCK,
            false,
            1921,
            1930,
            2,
            "catalogue",
            "A list",
            null);
    String before = OwnPack.with(null, slip, SHELF).yaml();
    String with = bars(before).yaml();
    assertThat(OwnPack.own(with)).isEqualTo(OwnPack.own(before));
    String code = OwnSchemes.codes(with).iterator().next();
    String without = OwnSchemes.withoutCode(with, code, SHELF).yaml();
    assertThat(OwnSchemes.codes(without)).isEmpty();
    assertThat(OwnPack.own(without)).isEqualTo(OwnPack.own(before));
    String mark = OwnPack.own(with).iterator().next();
    assertThat(vermouzan(OwnPack.without(with, mark, SHELF).yaml()).codes())
        .as("a code stays when the last mark goes")
        .anyMatch(c -> c.id().equals(code));
  }

  @Test
  void whatAPackWouldRefuseIsToldByItsField() {
    ObjectNode bad = (ObjectNode) json(BARS);
    bad.put("from", 1960).remove("start");
    List<Problem> problems =
        catchThrowableOfType(
                InvalidInput.class, () -> OwnSchemes.withCode(null, "vermouzan", bad, KNOWN, SHELF))
            .problems();
    assertThat(problems).extracting(Problem::field).containsExactlyInAnyOrder("to", "start");
    assertThat(
            catchThrowableOfType(
                    InvalidInput.class,
                    () -> OwnSchemes.withCode(null, "nobody", bad, KNOWN, SHELF))
                .problems())
        .extracting(Problem::field)
        .containsExactly("maker");
    assertThat(
            catchThrowableOfType(
                    InvalidInput.class, () -> OwnSchemes.withoutCode(null, "bars", SHELF))
                .problems())
        .hasSize(1);
  }

  // Every number of the book, each a tenth more or less.
  static List<String> numbersOfTheBook() {
    List<String> at = new ArrayList<>();
    leaves("", Json.mapper().valueToTree(ShippedShelf.byExample()), at);
    return at;
  }

  private static void leaves(String at, JsonNode node, List<String> out) {
    if (node.isNumber()) {
      out.add(at);
    }
    node.properties().forEach(e -> leaves(at + "/" + e.getKey(), e.getValue(), out));
    for (int i = 0; node.isArray() && i < node.size(); i++) {
      leaves(at + "/" + i, node.path(i), out);
    }
  }

  @ParameterizedTest
  @MethodSource("numbersOfTheBook")
  void everyNumberOfTheBookChangesWhatIsFound(String at) {
    ObjectNode tree = Json.mapper().valueToTree(ShippedShelf.byExample());
    int slash = at.lastIndexOf('/');
    JsonNode holder = tree.at(at.substring(0, slash));
    double was = tree.at(at).asDouble();
    String field = at.substring(slash + 1);
    if (field.equals("width") || field.equals("widest")) {
      ((ObjectNode) holder).put(field, (int) was == 1 ? 2 : 1);
    } else {
      ((ObjectNode) holder).put(field, was == 0 ? 0.3 : was * 0.9);
    }
    ExampleBook other = Json.mapper().treeToValue(tree, ExampleBook.class);
    assertThat(found(other).equals(found(ShippedShelf.byExample()))).as(at).isFalse();
  }

  // What is found of some examples of every kind.
  private static List<Object> found(ExampleBook book) {
    CodeFinder codes = new CodeFinder(book);
    List<CodeGuess.Found> dated =
        List.of(
            codes.find(Sign.BAR, List.of(code("8", 1949), code("5", 1952))),
            codes.find(Sign.RING, List.of(code("1", 1957), code("3", 1959))),
            codes.find(Sign.FIGURE, List.of(code("3", 1953), code("4", 1954))),
            codes.find(Sign.LETTER, List.of(code("A", 1921), code("C", 1923))));
    NumberFinder numbers = new NumberFinder(book);
    List<NumberGuess.Found> built =
        List.of(
            numbers.find(
                List.of(
                    knife("Q1441", "2", "swell-end", "bone-jigged", "wire"),
                    knife("2241", "2", "equal-end", "bone-jigged", "none"),
                    knife("1463", "3", "swell-end", "stag", "none"))),
            numbers.find(
                List.of(
                    knife("21", "1", "teardrop", "ebony", "none"),
                    knife("34", "2", "teardrop", "pearl", "none"))));
    return List.of(dated, built);
  }

  private static DatedCode code(String written, int year) {
    return new DatedCode(written, year, year);
  }

  private static NumberedKnife knife(
      String number, String blades, String frame, String handle, String bail) {
    return new NumberedKnife(
        number, Map.of("blades", blades, "frame", frame, "handle_material", handle, "bail", bail));
  }
}
