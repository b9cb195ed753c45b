package snikra.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import snikra.core.examination.Examiner;
import snikra.core.examination.StoryReading;
import snikra.core.examination.Verdict;
import snikra.core.judgement.Judgement;
import snikra.core.provenance.StoryEvent;
import snikra.core.reference.ReferenceShelf;
import snikra.core.search.Card;
import snikra.core.search.CardIndex;
import snikra.core.specimen.Specimen;

/** No number of judgement is read without effect: another number gives another verdict. */
@Execution(ExecutionMode.CONCURRENT)
class JudgementTest {
  private static final String PACK =
      """
      schema: 1
      id: rates
      title: A pack that says something of everything
      note: Invented.
      sources:
        - {id: book, label: A book, kind: reference-book, reliability: 0.7}
        - {id: stamps, label: A book of stamps, kind: reference-book, reliability: 0.7, describes: stamp}
      makers:
        - id: skelp
          name: Skelp
          region: US
          place: Nowhere Mills
          weight: 1
          changes: [1914]
          note: Invented.
          numbers:
            note: Invented.
            fields:
              - {id: handle, label: Handle, width: 1, meaning: handle_material, codes: {"1": {label: bone, values: [bone-jigged]}, "2": {label: stag, values: [stag]}}}
              - {id: serial, label: Serial, width: 1, codes: {"5": {label: five, values: []}}}
              - {id: suffix, label: Suffix, width: 1, optional: true, codes: {"X": {label: ex, values: [], from: 1915}}}
          codes:
            - {id: sk-bars, label: Bars, sign: bar, kind: count-down, from: 1920, to: 1928, start: 9, note: Invented., source: book}
            - {id: sk-letters, label: Letters, sign: letter, kind: cycle, from: 1900, to: 1919, letters: [B, D, F, H, K], form: plain, note: Invented., source: book}
          marks:
            - {id: sk-1, lines: [SKELPWORK, NOWHERE], pile: [MILLS], technique: struck, everyBlade: false, from: 1890, to: 1930, give: 1, note: "", source: book, letterform: {letter_serifs: serif}}
            - {id: sk-2, lines: [SKELPWORK, NOWHERE], pile: [], etch: [SKELP], layout: arched, technique: struck, everyBlade: true, from: 1905, to: 1940, give: 1, note: "", source: stamps}
          history:
            kind: maker
            contracts:
              - {by: Ormtoft, share: 0.5, from: 1890, to: 1940, note: "", source: book}
            shields:
              - {shape: bar, give: 1, from: 1890, to: 1910, note: "", source: book}
            fittings:
              - {feature: bail, value: wire, give: 1, from: 1895, to: 1910, note: "", source: book}
              - {feature: loose_part, value: bar, give: 1, from: 1900, to: 1910, note: "", source: book}
              - {feature: driver, value: flat, give: 1, from: 1930, to: 1935, note: "", source: book}
            models:
              - number: "77"
                label: Jack
                pattern: regular-jack
                from: 1900
                to: 1910
                marks: {sk-1: {from: 1900, to: 1908}}
                tells: [{trait: closed-length, mm: 90, spread: 1, source: book}]
                note: ""
                source: book
        - id: ormtoft
          name: Ormtoft
          region: DE
          place: Hollenbrook
          weight: 1
          changes: []
          note: Invented.
          marks:
            - {id: or-1, lines: [ORMTOFT], pile: [], technique: struck, everyBlade: true, from: 1900, to: 1925, give: 1, note: "", source: book}
          history:
            kind: maker
            tells:
              - {text: Brass liners., trait: liner_material, likely: {brass: 0.9}, source: book}
              - {text: Iron pins., trait: pin_metal, likely: {iron-or-steel: 0.9}, source: book}
            models:
              - number: "12"
                label: Jack
                pattern: regular-jack
                from: 1900
                to: 1930
                tells: [{trait: closed-length, mm: 90, spread: 1, source: book}]
                note: ""
                source: book
        - id: trevvick
          name: Trevvick
          region: UK
          place: Hollenbrook
          weight: 1
          changes: []
          note: Invented.
          marks:
            - {id: tr-1, lines: [TREVVICK], pile: [], technique: struck, everyBlade: true, from: 1900, to: 1925, give: 1, note: "", source: book}
        - id: early
          name: Early Bird
          region: US
          place: Nowhere Mills
          weight: 1
          changes: []
          note: Invented.
          marks:
            - {id: ea-1, lines: [EARLY BIRD], pile: [], technique: struck, everyBlade: true, from: 1790, to: 1825, give: 1, note: "", source: book}
      """;

  private static final String LOOKS =
      "\"seen\":{\"spacer\":\"plastic\",\"jigging\":\"worm-groove\",\"handle_material\":\"acetal\","
          + "\"bail\":\"wire\",\"shield_shape\":\"oval\",\"driver\":\"flat\",\"liner_material\":\"brass\"},"
          + "\"closedLength\":\"90 mm\"";

  private static final String SALES =
      "\"comparables\":["
          + sale(
              80,
              ",\"maker\":\"skelp\",\"pattern\":\"regular-jack\",\"sold\":\"2019\",\"made\":\"1900/1910\",\"length\":\"92 mm\",\"venue\":\"dealer\",\"text\":\"advertising\"")
          + ","
          + sale(
              95,
              ",\"maker\":\"ormtoft\",\"pattern\":\"teardrop-jack\",\"sold\":\"2025\",\"asked\":true,\"length\":\"70 mm\",\"venue\":\"private\"")
          + ","
          + sale(
              140,
              ",\"maker\":\"skelp\",\"pattern\":\"whittler-equal-end\",\"grade\":\"good\",\"made\":\"1950\",\"venue\":\"sale-room\"")
          + ","
          + sale(60, ",\"handle\":\"stag\",\"grade\":\"mint\",\"sold\":\"2001\",\"venue\":\"fair\"")
          + ","
          + sale(
              900,
              ",\"maker\":\"skelp\",\"grade\":\"fair\",\"handle\":\"acetal\",\"venue\":\"online\"")
          + "]";

  private static String sale(int price, String more) {
    return "{\"described\":\"one\",\"price\":%d,\"currency\":\"USD\"%s}".formatted(price, more);
  }

  private static final List<String> KNIVES =
      List.of(
          "{" + LOOKS + ",\"marks\":[" + face(1, "mark", "SKELPWORK", "NOWHERE") + "]}",
          "{\"seen\":{\"loose_part\":\"bar\"},\"marks\":["
              + face(1, "mark", "SKELPWORK", "NOWHERE")
              + "]}",
          "{"
              + LOOKS
              + ",\"number\":\"77\",\"marks\":["
              + face(1, "mark", "SKELPWORK")
              + ","
              + face(2, "mark", "ORMTOFT")
              + "]}",
          "{\"marks\":["
              + face(1, "mark", "NOWHERE", "SKELPWORK")
              + ","
              + face(1, "pile", "OTHER WORDS")
              + ",{\"blade\":1,\"face\":\"blade\",\"state\":\"bare\",\"lines\":[]}]}",
          "{\"marks\":[" + face(1, "mark", "GERMANY") + "," + face(2, "mark", "SKELPWORK") + "]}",
          "{\"marks\":[" + face(1, "mark", "SKELPWORK") + "," + face(2, "mark", "TREVVICK") + "]}",
          "{\"marks\":[{\"blade\":1,\"face\":\"mark\",\"state\":\"bare\",\"lines\":[]}]}",
          "{\"marks\":[{\"blade\":1,\"face\":\"mark\",\"state\":\"read\",\"technique\":\"etched\","
              + "\"layout\":\"straight\",\"lines\":[\"SKELPWORK\"]}]}",
          "{\"marks\":[{\"blade\":1,\"face\":\"mark\",\"state\":\"read\",\"technique\":\"struck\","
              + "\"layout\":\"arched\",\"lines\":[\"SKELPWORK\"]}]}",
          "{\"registered\":[{\"table\":\"us-patent\",\"number\":\"1,234,567\"}],"
              + "\"seen\":{\"punch\":\"wing\",\"nail_pull\":\"none\"}}",
          "{\"hallmarks\":[{\"office\":\"OFFICE\",\"letter\":\"c\"}]}",
          "{\"frame\":\"sowbelly\",\"seen\":{\"jigging\":\"deep-cross\"},\"blades\":["
              + "{\"type\":\"clip\",\"end\":\"A\"},{\"type\":\"sheepfoot\",\"end\":\"B\"},"
              + "{\"type\":\"spey\",\"end\":\"B\"}]}",
          "{\"frame\":\"teardrop\",\"bolsters\":\"both-ends\",\"blades\":["
              + "{\"type\":\"spear\",\"end\":\"A\"},{\"type\":\"pen\",\"end\":\"A\"}]}",
          "{\"seen\":{\"letter_serifs\":\"plain\"},\"marks\":["
              + face(1, "mark", "SKELPWORK", "NOWHERE")
              + "]}",
          "{\"closedLength\":\"90 mm\",\"blades\":[{\"length\":\"58 mm\"}]}",
          "{"
              + LOOKS
              + ",\"marks\":["
              + face(1, "mark", "SKELPWORK", "NOWHERE")
              + "],"
              + SALES
              + "}",
          "{\"frame\":\"teardrop\",\"bolsters\":\"front-only\",\"springs\":1,\"closedLength\":\"90 mm\","
              + "\"blades\":[{\"type\":\"clip\",\"end\":\"A\"}],\"condition\":{\"snap\":\"strong\"},"
              + "\"seen\":{\"handle_material\":\"acetal\"},\"marks\":["
              + face(1, "mark", "SKELPWORK", "NOWHERE")
              + "],"
              + SALES
              + "}",
          "{\"story\":[{\"kind\":\"dated\",\"date\":\"1890/1900\",\"source\":\"document\"}],"
              + "\"seen\":{\"handle_material\":\"acetal\"}}",
          "{\"story\":[{\"kind\":\"advertised\",\"date\":\"1912\",\"source\":\"advertisement\","
              + "\"shows\":{\"shield_shape\":\"bar\"}}],\"seen\":{\"shield_shape\":\"oval\"}}",
          named(
              "\"serpentine\"",
              120,
              1,
              "front-only",
              "{\"type\":\"clip\",\"end\":\"A\",\"presses\":\"both\",\"side\":\"pile\",\"spring\":2}",
              "{\"type\":\"spey\",\"end\":\"A\"}",
              "{\"type\":\"pen\",\"end\":\"B\"}"),
          named("\"equal-end\"", 92, 2, "tip", "{\"type\":\"spear\",\"end\":\"A\"}"),
          named(
              "{\"value\":\"equal-end\",\"sureness\":\"likely\"}",
              97,
              3,
              "both-ends",
              "{\"type\":{\"value\":\"spear\",\"sureness\":\"unsure\"},\"end\":\"A\"}",
              "{\"type\":\"pen\",\"end\":\"B\"}",
              "{\"type\":\"pen\",\"end\":\"B\"}",
              "{\"type\":\"file\",\"end\":\"B\"}",
              "{\"type\":\"saw\",\"end\":\"A\"}"),
          "{\"marks\":[" + face(1, "mark", "SKELPWORK").replace("}", ",\"struckOut\":true}") + "]}",
          coded("bar", "7", ""),
          coded("bar", "7+", ""),
          coded("letter", "F", ""),
          coded("letter", "F?", ""),
          coded("letter", "FB", ""),
          coded("letter", "F", "plain"),
          coded("letter", "F", "pointed"),
          numbered("15", "stag"),
          numbered("25", "stag"),
          numbered("15X", "stag"),
          numbered("9915", "stag"),
          marked("SKELPWRK"),
          marked("SKELPPWORK"),
          marked("SKELPWORK", "G______"),
          marked("S?K?E?L?PW____"),
          marked("SKELPWQRK"),
          "{\"closedLength\":\"100 mm\",\"blades\":[{\"type\":\"spear\",\"length\":\"75 mm\",\"heights\":["
              + "{\"at\":\"6 mm\",\"height\":\"11 mm\"},{\"at\":\"40 mm\",\"height\":\"9 mm\"}]}]}",
          "{\"closedLength\":\"100 mm\",\"blades\":[{\"type\":\"spear\",\"length\":\"75 mm\",\"heights\":["
              + "{\"at\":\"12 mm\",\"height\":\"11 mm\"},{\"at\":\"40 mm\",\"height\":\"9 mm\"}]}]}",
          numbered("15", "acetal"),
          "{\"seen\":{\"handle_material\":\"celluloid\"},\"story\":["
              + "{\"kind\":\"held\",\"date\":\"1860\",\"source\":\"family\"}]}",
          "{\"seen\":{\"handle_material\":\"acetal\"},\"story\":["
              + Stream.of(StoryEvent.Source.values())
                  .map(s -> "{\"kind\":\"held\",\"date\":\"1917\",\"source\":\"" + s + "\"}")
                  .collect(Collectors.joining(","))
              + "]}",
          "{\"story\":[{\"kind\":\"held\",\"date\":\"1880\",\"source\":\"dealer\"}]}",
          "{\"closedLength\":\"400 mm\"}",
          "{\"marks\":[" + face(1, "mark", "EARLY BIRD") + "]}",
          "{\"marks\":["
              + face(1, "mark", "SKELPWORK", "NOWHERE")
              + ","
              + face(2, "mark", "OR__O__")
              + "]}",
          "{\"closedLength\":\"100 mm\",\"springs\":1,\"blades\":["
              + "{\"type\":\"clip\",\"end\":\"A\",\"length\":\"70 mm\"},"
              + "{\"type\":\"spey\",\"end\":\"B\",\"length\":\"40 mm\"}]}",
          "{\"seen\":{\"pin_metal\":\"iron-or-steel\"},\"marks\":["
              + face(1, "mark", "SKELPWORK", "NOWHERE")
              + "]}",
          "{\"seen\":{\"spring_gap\":\"worn\"},\"condition\":{\"snap\":\"strong\"},\"marks\":["
              + face(1, "mark", "SKELPWORK").replace("}", ",\"struckOut\":true}")
              + "]}",
          "{\"story\":[{\"kind\":\"held\",\"date\":\"1917\",\"source\":\"family\"},"
              + "{\"kind\":\"bought\",\"date\":\"1940\",\"source\":\"document\"}]}");

  private static String named(
      String frame, int mm, int springs, String bolsters, String... blades) {
    return "{\"frame\":%s,\"closedLength\":\"%d mm\",\"springs\":%d,\"bolsters\":\"%s\",\"blades\":[%s],"
            .formatted(frame, mm, springs, bolsters, String.join(",", blades))
        + "\"seen\":{\"divider\":\"none\",\"nail_pull\":\"tang-lever\"}}";
  }

  private static String marked(String... lines) {
    return "{\"marks\":[" + face(1, "mark", lines) + "]}";
  }

  private static String coded(String sign, String written, String form) {
    return "{\"codes\":[{\"sign\":\"%s\",\"written\":\"%s\"%s}],\"marks\":[%s]}"
        .formatted(
            sign,
            written,
            form.isEmpty() ? "" : ",\"form\":\"" + form + "\"",
            face(1, "mark", "SKELPWORK", "NOWHERE"));
  }

  private static String numbered(String number, String handle) {
    return "{\"number\":\"%s\",\"seen\":{\"handle_material\":\"%s\"},\"marks\":[%s]}"
        .formatted(number, handle, face(1, "mark", "SKELPWORK", "NOWHERE"));
  }

  private static final ReferenceShelf SHELF = shelf();
  private static final Examiner PLAIN = new Examiner(SHELF, 2026);

  /** What is told of each knife by the numbers as they are: the same for every number. */
  private static final Map<String, String> PLAINLY = new ConcurrentHashMap<>();

  private static String face(int blade, String face, String... lines) {
    return "{\"blade\":%d,\"face\":\"%s\",\"state\":\"read\",\"technique\":\"struck\",\"lines\":[\"%s\"]}"
        .formatted(blade, face, String.join("\",\"", lines));
  }

  private static ReferenceShelf shelf() {
    ReferenceShelf shipped = ShippedShelf.load();
    return shipped.withMakers(PackFormat.makers(List.of(PackFormat.read("rates.yaml", PACK))));
  }

  static List<String> ids() {
    return SHELF.judgement().rates().stream()
        .map(Judgement.Rate::id)
        // Read where packs are bound or added to, where strikes are put together, where schedules
        // are made and where sets are held against the tray, not where knives are dated; and some
        // that have tests of their own.
        .filter(
            id ->
                !List.of(
                            "source.describes-stamp",
                            "told.length-ordinary",
                            "told.moved",
                            "told.pulling",
                            "told.contractor",
                            "mark.well-read")
                        .contains(id)
                    && !id.startsWith("filing.")
                    && !id.startsWith("consensus.")
                    && !id.startsWith("sets.")
                    && !id.startsWith("schedule."))
        .toList();
  }

  @ParameterizedTest
  @MethodSource("ids")
  void anotherNumberGivesAnotherVerdict(String id) {
    double value = SHELF.judgement().of(id);
    double other = value >= 1 ? 3 * value : value > 0.5 ? 0.4 * value : Math.min(0.9, 1.9 * value);
    ReferenceShelf judged = SHELF.judgedBy(SHELF.judgement().with(id, other));
    Examiner changed = new Examiner(judged, 2026);
    String office = SHELF.assayOffices().get(0).id();
    assertThat(KNIVES)
        .as("%s at %s in place of %s", id, other, value)
        .anyMatch(
            knife -> {
              String text = knife.replace("OFFICE", office);
              return !PLAINLY
                  .computeIfAbsent(text, t -> told(PLAIN, t))
                  .equals(told(changed, text));
            });
  }

  private static String told(Examiner examiner, String knife) {
    Specimen specimen = SpecimenFormat.read(knife, examiner.shelf());
    Verdict verdict = examiner.examine(specimen);
    StringBuilder out = new StringBuilder();
    for (double p : verdict.dating().curve()) {
      out.append(Math.round(p * 1e9)).append(' ');
    }
    CardIndex cards = new CardIndex();
    Card card = examiner.enter(1, specimen, verdict).card();
    cards.put(card);
    out.append(card);
    double mayBe = examiner.shelf().judgement().of("search.may-be");
    for (int year = 1800; year < 2020; year += 5) {
      out.append(cards.find("before " + year, Map.of(), mayBe).hits().size());
    }
    verdict.dating().makers().forEach(m -> out.append(m.label()).append(m.probability()));
    verdict.dating().states().forEach(s -> out.append(s.state().label()).append(s.probability()));
    verdict.originality().findings().forEach(f -> out.append(f.id()).append(f.probability()));
    verdict.originality().findings().forEach(f -> out.append(f.tells()));
    out.append(verdict.originality().grade()).append(verdict.findings());
    out.append(verdict.dating().conflicts()).append(verdict.dating().clueGroups());
    verdict.dating().clues().forEach(c -> out.append(c.country()));
    verdict.dating().explanations().forEach(e -> out.append(e.label()).append(e.decider()));
    out.append(verdict.dating().opinion());
    verdict.dating().makers().forEach(m -> out.append(m.contractors()));
    verdict.pattern().names().forEach(n -> out.append(n.settle()));
    out.append(verdict.pattern().title()).append(verdict.codes());
    verdict.value().sales().forEach(s -> out.append(s.weight()).append(s.trust()));
    verdict.value().costs().forEach(c -> out.append(c.share()));
    StoryReading story = examiner.story(specimen);
    story.links().forEach(l -> out.append(l.doubted()).append(l.text()).append(l.ways()));
    out.append(story.toldGaps());
    verdict.sketch().blades().forEach(b -> out.append(b.left()));
    verdict.dating().lookNext().forEach(l -> out.append(l.feature()).append(l.bits()));
    examiner
        .lookalikes(specimen, List.of())
        .forEach(t -> out.append(t.label()).append(t.decibans()).append(t.probability()));
    Specimen twin = SpecimenFormat.read("{" + LOOKS + "}", examiner.shelf());
    examiner
        .compare(specimen, List.of(examiner.onFile("twin", "Twin", twin)))
        .totals()
        .forEach(t -> out.append(t.decibans()));
    verdict
        .pattern()
        .names()
        .forEach(
            n ->
                out.append(n.pattern())
                    .append(Math.round(n.probability() * 1e9))
                    .append(' ')
                    .append(Math.round(n.tradeProbability() * 1e9)));
    return out.toString();
  }

  @Test
  void aPatternSeldomMetExcusesNoOddSize() {
    String coin = "{\"closedLength\":\"30 mm\"}";
    Judgement lax = SHELF.judgement().with("told.length-ordinary", 0.05);
    assertThat(told(PLAIN, coin)).contains("closed-length-unusual");
    assertThat(told(new Examiner(SHELF.judgedBy(lax), 2026), coin))
        .doesNotContain("closed-length-unusual");
  }

  @Test
  void whoMadeForAHouseIsNamedFromAShareOn() {
    String house = "{\"marks\":[" + face(1, "mark", "SKELPWORK", "NOWHERE") + "]}";
    assertThat(opinion("told.contractor", 0.02, house))
        .contains("its maker is")
        .contains("Ormtoft");
    assertThat(opinion("told.contractor", 0.6, house))
        .contains("its maker is")
        .doesNotContain("Ormtoft");
  }

  @Test
  void aMakerOnASmallBladeIsNamedFromALikelihoodOn() {
    String hand =
        "{\"marks\":["
            + face(1, "mark", "SKELPWORK", "NOWHERE")
            + ","
            + face(2, "mark", "ORMTOFT")
            + "]}";
    assertThat(opinion("mark.well-read", 0.0025, hand)).contains("the mark of Ormtoft on a second");
    assertThat(opinion("mark.well-read", 0.999999, hand)).doesNotContain("on a second");
  }

  private static String opinion(String id, double value, String knife) {
    ReferenceShelf judged = SHELF.judgedBy(SHELF.judgement().with(id, value));
    Specimen specimen = SpecimenFormat.read(knife, judged);
    return "" + new Examiner(judged, 2026).examine(specimen).dating().opinion();
  }

  @Test
  void aStampAloneIsBelievedLess() {
    assertThat(SHELF.maker("skelp").orElseThrow().marks().get(0).trust()).isEqualTo(0.7);
    assertThat(SHELF.maker("skelp").orElseThrow().marks().get(1).trust())
        .isCloseTo(
            0.7 * SHELF.judgement().of("source.describes-stamp"),
            org.assertj.core.api.Assertions.within(1e-12));
  }

  @Test
  void everyNumberIsShownInItsGroup() {
    Judgement judgement = SHELF.judgement();
    assertThat(judgement.groups())
        .allSatisfy(group -> assertThat(group.rates()).as(group.about()).isNotEmpty());
    assertThat(judgement.groups().stream().flatMap(group -> group.rates().stream()))
        .containsExactlyInAnyOrderElementsOf(judgement.rates());
    Judgement.Rate stray = new Judgement.Rate("stray.one", "Stray", 1, "In no group at all.");
    assertThatThrownBy(() -> new Judgement(Map.of("look", "Looks"), List.of(stray)))
        .hasMessageContaining("stray.one");
  }

  @Test
  void aNumberThatIsNotOnFileIsRefused() {
    assertThatThrownBy(() -> SHELF.judgement().of("no.such")).hasMessageContaining("no.such");
    assertThat(SHELF.judgement().rates())
        .allSatisfy(r -> assertThat(r.why()).hasSizeGreaterThan(20));
  }
}
