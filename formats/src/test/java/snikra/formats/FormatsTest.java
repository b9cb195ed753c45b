package snikra.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import snikra.core.examination.Examiner;
import snikra.core.examination.Problem;
import snikra.core.reference.ReferenceShelf;
import snikra.core.specimen.Specimen;
import tools.jackson.databind.JsonNode;

class FormatsTest {
  private static final Path DOCS = Path.of("..", "docs", "formats");
  private static final ReferenceShelf SHELF = ShippedShelf.load();

  @Test
  void theExampleKnifeIsReadAndWrittenBackTheSame() throws Exception {
    String example = Files.readString(DOCS.resolve("specimen.example.json"));
    Specimen knife = SpecimenFormat.read(example, SHELF);

    JsonNode written = Json.mapper().readTree(SpecimenFormat.write(knife));
    Json.mapper()
        .readTree(example)
        .properties()
        .forEach(e -> assertThat(written.get(e.getKey())).as(e.getKey()).isEqualTo(e.getValue()));
    assertThat(SpecimenFormat.read(written, SHELF)).isEqualTo(knife);
  }

  @Test
  void aBareAnswerWasSeenSurely() {
    String bare =
        """
        {"frame": "canoe", "springs": 2, "blades": [{"type": "pen", "end": "A", "side": "cannot-tell"}],
         "seen": {"spacer": "none"}, "condition": {"snap": "weak", "tip": "cannot-tell"}}
        """;
    String inFull =
        """
        {"frame": {"value": "canoe", "sureness": "sure"},
         "springs": {"value": 2, "sureness": "sure"},
         "blades": [{"type": {"value": "pen", "sureness": "sure"},
           "end": {"value": "A", "sureness": "sure"}, "side": {"sureness": "cannot-tell"}}],
         "seen": {"spacer": {"value": "none", "sureness": "sure"}},
         "condition": {"snap": {"value": "weak", "sureness": "sure"},
           "tip": {"sureness": "cannot-tell"}}}
        """;
    assertThat(SpecimenFormat.read(bare, SHELF)).isEqualTo(SpecimenFormat.read(inFull, SHELF));
  }

  @Test
  void theExampleVerdictIsWhatTheExampleKnifeGives() throws Exception {
    Specimen knife =
        SpecimenFormat.read(Files.readString(DOCS.resolve("specimen.example.json")), SHELF);
    JsonNode verdict = Json.mapper().valueToTree(new Examiner(SHELF, 2026).examine(knife));
    if (Boolean.getBoolean("snikra.publish")) {
      String text = Json.mapper().writerWithDefaultPrettyPrinter().writeValueAsString(verdict);
      Files.writeString(DOCS.resolve("verdict.example.json"), text + "\n");
    }
    JsonNode example =
        Json.mapper().readTree(Files.readString(DOCS.resolve("verdict.example.json")));

    assertThat(Schemas.check("verdict", verdict)).isEmpty();
    assertThat(Schemas.check("verdict", example)).isEmpty();
    for (String part : List.of("pattern", "mark", "dating", "grade", "findings", "progress")) {
      assertThat(example.get(part).equals(FormatsTest::nearly, verdict.get(part)))
          .as("the %s of docs/formats/verdict.example.json", part)
          .isTrue();
    }
  }

  @Test
  void theVerdictOnAKnifeNobodyLookedAtFitsItsSchemaToo() {
    JsonNode verdict =
        Json.mapper().valueToTree(new Examiner(SHELF, 2026).examine(Specimen.unseen()));
    assertThat(Schemas.check("verdict", verdict)).isEmpty();
  }

  @Test
  void theExamplePackIsReadAndNamesItsMark() throws Exception {
    PackFormat.Pack pack =
        PackFormat.read("pack.example.yaml", Files.readString(DOCS.resolve("pack.example.yaml")));
    Specimen knife =
        SpecimenFormat.read(
            """
            {"marks": [{"blade": 1, "face": "mark", "state": "read", "technique": "struck",
              "lines": ["SKEL_IBOR", "WATH*"]}], "number": "04_"}
            """,
            SHELF);
    var verdict = new Examiner(SHELF.withMakers(pack.makers()), 2026).examine(knife);

    assertThat(verdict.dating().makers().get(0).maker()).isEqualTo("skellibor");
    assertThat(verdict.number().decoded().fields().get(1).values()).containsExactly("stag", "horn");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "{\"frame\": {\"value\": \"oval\", \"sureness\": \"sure\"}} | frame.value | oval",
        "{\"frame\": {\"value\": \"canoe\", \"sureness\": \"maybe\"}} | frame.sureness | \"maybe\"",
        "{\"frame\": {\"value\": \"canoe\", \"sureness\": \"cannot-tell\"}} | frame.value | canoe",
        "{\"frame\": {\"sureness\": \"sure\"}} | frame.value | nothing",
        "{\"closedLength\": \"-3 in\"} | closedLength | -3 in",
        "{\"closedLength\": \"9000 mm\"} | closedLength | 9000 mm",
        "{\"closedLength\": 89} | closedLength | 89",
        "{\"blades\": [{}, {\"type\": \"sabre\"}]} | blades[1].type | sabre",
        "{\"blades\": [{\"length\": \"long\"}]} | blades[0].length | long",
        "{\"blades\": [{\"end\": \"C\"}]} | blades[0].end | \"C\"",
        "{\"blades\": [{\"end\": {\"value\": \"C\", \"sureness\": \"sure\"}}]} |"
            + " blades[0].end.value | \"C\"",
        "{\"blades\": [{\"side\": {\"sureness\": \"likely\"}}]} | blades[0].side.value | nothing",
        "{\"springs\": 7} | springs | 7",
        "{\"springs\": \"two\"} | springs | \"two\"",
        "{\"condition\": {\"snap\": {\"value\": \"loud\", \"sureness\": \"sure\"}}} |"
            + " condition.snap.value | loud",
        "{\"seen\": {\"colour\": {\"value\": \"red\", \"sureness\": \"sure\"}}} | seen.colour | colour",
        "{\"seen\": {\"spacer\": {\"value\": \"red\", \"sureness\": \"sure\"}}} | seen.spacer.value | red",
        "{\"condition\": {\"snap\": \"loud\"}} | condition.snap | loud",
        "{\"condition\": {\"smell\": \"bad\"}} | condition.smell | smell",
        "{\"story\": [{\"kind\": \"held\", \"source\": \"family\", \"date\": \"soon\"}]} | story[0].date | soon",
        "{\"codes\": [{\"sign\": \"dot\", \"written\": \"K\"}]} | codes[0].written | K",
        "{\"codes\": [{\"sign\": \"figure\", \"written\": \"19X4\"}]} | codes[0].written | 19X4",
        "{\"codes\": [{\"sign\": \"moon\", \"written\": \"3\"}]} | codes[0].sign | \"moon\"",
        "{\"registered\": [{\"table\": \"no-such\"}]} | registered[0].table | no-such",
        "{\"notFound\": [\"number\", \"gold\"]} | notFound[1] | \"gold\"",
        "{\"registered\": [{\"table\": \"us-patent\", \"number\": \"pending\"}]} |"
            + " registered[0].number | pending",
        "{\"hallmarks\": [{\"office\": \"o\", \"letter\": \"7\"}]} | hallmarks[0].letter | 7",
        "{\"hallmarks\": [{\"office\": \"nether-ambleby\", \"letter\": \"C\", \"form\": \"x\"}]} |"
            + " hallmarks[0].form | x",
        "{\"marks\": [{\"blade\": 1, \"face\": \"side\", \"state\": \"bare\", \"lines\": []}]} |"
            + " marks[0].face | \"side\"",
        "{\"codes\": [{\"sign\": \"letters-and-figures\", \"written\": \"2-3\"}]} |"
            + " codes[0].written | 2-3",
        "{\"codes\": [{\"sign\": \"placement\", \"written\": \"behind\"}]} |"
            + " codes[0].written | behind",
        "{\"measured\": {\"gap\": [\"-1 mm\"]}} | measured.gap[0] | -1 mm",
        "{\"blades\": [{\"seen\": {\"other_pull\": {\"value\": \"long\", \"sureness\": \"sure\"}}}]} |"
            + " blades[0].seen.other_pull | other_pull",
        "{\"blades\": [{\"condition\": {\"tip\": \"broken\"}}]} | blades[0].condition | tip",
        "{\"blades\": [{}, {\"condition\": {\"steel\": \"pits\"}}]} |"
            + " blades[1].condition.steel | steel",
        "{\"colour\": \"red\"} | colour | colour"
      })
  void whatCannotBeUsedIsNamedWithWhatWasGiven(String json, String field, String given) {
    List<Problem> problems = problems(() -> SpecimenFormat.read(json, SHELF));

    assertThat(problems).hasSize(1);
    assertThat(problems.get(0).field()).isEqualTo(field);
    assertThat(problems.get(0).given()).isEqualTo(given);
    assertThat(problems.get(0).accepted()).isNotBlank().doesNotEndWith("one of ");
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "   ", "[]", "null", "42", "{", "{\"a\":1} {\"b\":2}"})
  void whatIsNoObjectIsSaidToBeNone(String body) {
    assertThat(problems(() -> SpecimenFormat.read(body, SHELF)).get(0).accepted()).contains("JSON");
  }

  @Test
  void aMegabyteOfTextInAMarkIsRefusedWithoutBeingQuotedInFull() {
    String line = "X".repeat(1_000_000);
    List<Problem> problems =
        problems(
            () ->
                SpecimenFormat.read(
                    "{\"marks\":[{\"blade\":1,\"face\":\"mark\",\"state\":\"read\",\"lines\":[\""
                        + line
                        + "\"]}]}",
                    SHELF));

    assertThat(problems.get(0).field()).isEqualTo("marks[0].lines[0]");
    assertThat(problems.get(0).given()).hasSizeLessThan(120);
  }

  @Test
  void allProblemsAreToldAtOnce() {
    assertThat(
            problems(
                () ->
                    SpecimenFormat.read(
                        "{\"closedLength\":\"x\",\"frame\":{\"value\":\"y\",\"sureness\":\"sure\"},"
                            + "\"condition\":{\"snap\":\"z\"}}",
                        SHELF)))
        .extracting(Problem::field)
        .containsExactly("closedLength", "frame.value", "condition.snap");
  }

  @Test
  void aBrokenPackIsToldByFileLineAndField() throws Exception {
    String pack =
        Files.readString(DOCS.resolve("pack.example.yaml"))
            .replaceFirst("to: 1911", "to: 1811")
            .replaceFirst("source: price-list-1904", "source: nowhere")
            .replace("\"2\": {", "\"22\": {");
    List<Problem> problems = problems(() -> PackFormat.read("mine.yaml", pack));

    assertThat(problems).hasSize(3);
    assertThat(problems.get(0).field()).matches("mine.yaml:\\d+: makers\\[0].marks\\[0].source");
    int line = Integer.parseInt(problems.get(0).field().split(":", -1)[1]);
    assertThat(pack.lines().toList().get(line - 1)).contains("nowhere");
    assertThat(problems.get(1).given()).isEqualTo("1811");
    assertThat(problems.get(2).given()).isEqualTo("22");
  }

  @ParameterizedTest
  @CsvSource({
    "'start: 1, ', '', makers[0].codes[0].start",
    "'to: 1910, start', 'to: 1901, start', makers[0].codes[0].to",
    "'sign: star', 'sign: moon', makers[0].codes[0].sign",
    "'each year., source: my-notes', 'each year., source: hearsay', makers[0].codes[0].source",
    "'id: skellibor-stars', 'id: skellibor-two-lines', makers[0].codes[0].id",
    "'{skellibor-two-lines: {', '{unheard-of: {', makers[0].history.models[0].marks",
    "'[skellibor-two-lines], note', '[unheard-of], note', makers[0].history.contracts[0].marks",
    "'1911, note: Its better', '1811, note: Its better', makers[0].history.fittings[0].to",
    "'thicknesses., source: my', 'thicknesses., source: no', makers[0].history.tells[0].source",
    "'0.9}, source: my', '0.9}, source: no', makers[0].history.models[0].tells[0].source",
    "'{none: 0.9}', '{none: 0.9, seed: 0.2}', makers[0].history.models[0].tells[0].likely",
    "'data:image/png', 'data:text/html', makers[0].history.shields[0].picture",
    "'data:image/png;base64,', 'https://example.org/', makers[0].history.shields[0].picture",
    "'mm: 88.5, spread: 1', 'mm: 88.5', makers[0].history.models[0].tells[1].mm",
    "'in May.\n    source: my', 'in May.\n    source: no', assayOffices[0].source",
    "'layout: arched', 'layout: bent', makers[0].marks[1].layout"
  })
  void everyMistakeOfAPackIsToldByFileLineAndField(String good, String bad, String field)
      throws Exception {
    String pack = Files.readString(DOCS.resolve("pack.example.yaml")).replace(good, bad);

    assertThat(problems(() -> PackFormat.read("mine.yaml", pack)))
        .anySatisfy(p -> assertThat(p.field()).matches("mine.yaml:\\d+: \\Q" + field + "\\E"));
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "schema: 1\nid: [unclosed",
        "a: &a [x, x]\nb: &b [*a, *a]\nc: &c [*b, *b]\nd: [*c, *c]",
        "{{{{{{{{{{{{{{{{{{{{{{{{{{{{{{{{{{{{{{{{{{{{{{{{",
        "schema: 1\nschema: 2"
      })
  void whatIsNoSoundYamlIsRefused(String yaml) {
    assertThat(problems(() -> PackFormat.read("bad.yaml", yaml)).get(0).field())
        .startsWith("bad.yaml:");
  }

  @Test
  void aPackWithAFieldMissingSaysWhich() {
    List<Problem> problems =
        problems(() -> PackFormat.read("bare.yaml", "schema: 1\nid: bare\ntitle: Bare\n"));
    assertThat(problems).extracting(Problem::given).containsOnly("nothing");
    assertThat(problems).anySatisfy(p -> assertThat(p.field()).endsWith("makers"));
  }

  private static int nearly(JsonNode a, JsonNode b) {
    boolean numbers = a.isNumber() && b.isNumber();
    boolean same = numbers ? Math.abs(a.asDouble(0) - b.asDouble(0)) < 1e-6 : a.equals(b);
    return same ? 0 : 1;
  }

  private static List<Problem> problems(
      org.assertj.core.api.ThrowableAssert.ThrowingCallable read) {
    return catchThrowableOfType(InvalidInput.class, read).problems();
  }
}
