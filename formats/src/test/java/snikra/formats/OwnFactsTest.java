package snikra.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.tuple;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import snikra.core.examination.Examiner;
import snikra.core.examination.FactSlips.FactOffered;
import snikra.core.reference.FactSlip;
import snikra.core.reference.History;
import snikra.core.reference.Maker;
import snikra.core.reference.ReferenceShelf;
import snikra.core.specimen.Specimen;

/** What makers fitted and listed, put on file by the collector beside what packs tell of them. */
class OwnFactsTest {
  private static final String PACK =
      """
      schema: 1
      id: quoin
      title: One maker
      note: Invented.
      sources: [{id: book, label: A book, kind: reference-book, reliability: 0.7}]
      makers:
        - id: quoinby
          name: Quoinby
          region: US
          place: Nowhere Mills
          weight: 1
          changes: []
          note: Invented.
          marks:
            - {id: qu-1, lines: [QUOINBY, WORKS], pile: [], technique: struck, everyBlade: true, from: 1890, to: 1960, give: 1, note: "", source: book}
          history:
            kind: brand
            shields:
              - {shape: bar, give: 1, from: 1890, to: 1910, note: "", source: book}
            models:
              - {number: "77", label: Jack, pattern: regular-jack, from: 1900, to: 1910, note: "", source: book}
      """;
  private static final ReferenceShelf SHELF = shelf(null);

  private static ReferenceShelf shelf(String own) {
    PackFormat.Pack theirs = PackFormat.read("quoin.yaml", PACK);
    List<PackFormat.Pack> packs =
        own == null ? List.of(theirs) : List.of(theirs, PackFormat.read("own.yaml", own));
    return ShippedShelf.load().withMakers(PackFormat.makers(packs));
  }

  private static FactSlip fitting(String feature, String value, int from, int to) {
    return new FactSlip(
        FactSlip.Kind.FITTING,
        "quoinby",
        feature,
        value,
        null,
        null,
        null,
        from,
        to,
        2,
        "catalogue",
        "A catalogue of 1932",
        null);
  }

  private static FactSlip model(String number, String label, int from, int to) {
    return new FactSlip(
        FactSlip.Kind.MODEL,
        "quoinby",
        null,
        null,
        number,
        label,
        "regular-jack",
        from,
        to,
        0,
        "catalogue",
        "A catalogue of 1932",
        "Page 12.");
  }

  private static Maker maker(String own) {
    return shelf(own).maker("quoinby").orElseThrow();
  }

  private static Specimen knife(String more) {
    String text =
        "{\"frame\":\"regular-jack\",\"marks\":[{\"blade\":1,\"face\":\"mark\",\"state\":\"read\","
            + "\"technique\":\"struck\",\"lines\":[\"QUOINBY\",\"WORKS\"]}]"
            + more
            + "}";
    return SpecimenFormat.read(text, SHELF);
  }

  @Test
  void whatIsPutOnFileStandsBesideWhatThePackSays() {
    OwnPack.Filed filed =
        OwnFacts.with(
            null,
            List.of(
                fitting("shield_shape", "oval", 1925, 1935),
                fitting("handle_material", "celluloid", 1920, 1940),
                model("12", "Small jack", 1925, 1935)),
            SHELF);
    assertThat(filed.many()).isEqualTo(3);
    assertThat(filed.what()).isEqualTo(OwnPack.What.PUT_ON);
    assertThat(filed.mark()).isEqualTo("Shape of the shield: Oval");
    History history = maker(filed.yaml()).history();
    assertThat(history.kind()).isEqualTo(History.Kind.BRAND);
    assertThat(history.shields())
        .extracting(History.ShieldEra::shape)
        .containsExactly("bar", "oval");
    assertThat(history.shields().get(1).give()).isEqualTo(2);
    assertThat(history.fittings())
        .extracting(History.Fitting::value, History.Fitting::from, History.Fitting::to)
        .containsExactly(tuple("celluloid", 1920, 1940));
    assertThat(history.models())
        .extracting(History.Model::number, History.Model::note)
        .containsExactly(tuple("77", ""), tuple("12", "Page 12."));
    double catalogue = SHELF.judgement().of("filing.catalogue");
    assertThat(history.fittings().get(0).trust()).isEqualTo(catalogue);
    assertThat(OwnFacts.facts(filed.yaml(), SHELF))
        .extracting(OwnFacts.OwnFact::what)
        .containsExactly(
            "Shape of the shield: Oval",
            "Handle material: Celluloid (cellulose nitrate)",
            "No. 12, Small jack");
  }

  @Test
  void aModelWithTheNumberOfAnotherStandsInItsPlace() {
    String own = OwnFacts.with(null, List.of(model("77", "Jack", 1898, 1915)), SHELF).yaml();
    assertThat(maker(own).history().models())
        .extracting(History.Model::number, History.Model::from)
        .containsExactly(tuple("77", 1898));
    OwnPack.Filed again = OwnFacts.with(own, List.of(model("7 7", "Jack", 1896, 1915)), shelf(own));
    assertThat(again.what()).isEqualTo(OwnPack.What.CHANGED);
    assertThat(OwnFacts.facts(again.yaml(), SHELF)).hasSize(1);
  }

  @Test
  void theSameOfTheSameYearsIsChangedAndOfOthersStandsBeside() {
    String own = OwnFacts.with(null, List.of(fitting("bail", "wire", 1900, 1910)), SHELF).yaml();
    OwnPack.Filed same = OwnFacts.with(own, List.of(fitting("bail", "wire", 1900, 1910)), SHELF);
    assertThat(same.what()).isEqualTo(OwnPack.What.CHANGED);
    OwnPack.Filed more = OwnFacts.with(own, List.of(fitting("bail", "wire", 1930, 1940)), SHELF);
    assertThat(more.what()).isEqualTo(OwnPack.What.PUT_ON);
    assertThat(OwnFacts.facts(more.yaml(), SHELF)).hasSize(2);
  }

  @Test
  void eachIsTakenOutByItsKeyAndNothingIsLeftBehind() {
    String own =
        OwnFacts.with(
                null,
                List.of(
                    fitting("shield_shape", "oval", 1925, 1935), model("12", "Jack", 1925, 1935)),
                SHELF)
            .yaml();
    String less = own;
    for (OwnFacts.OwnFact fact : OwnFacts.facts(own, SHELF)) {
      less = OwnFacts.without(less, "quoinby", fact.key(), SHELF).yaml();
    }
    assertThat(OwnFacts.facts(less, SHELF)).isEmpty();
    assertThat(less).doesNotContain("additions").doesNotContain("history");
    String gone = less;
    assertThatThrownBy(() -> OwnFacts.without(gone, "quoinby", "model 12", SHELF))
        .hasMessageContaining("key");
    assertThatThrownBy(() -> OwnFacts.without(own, "another", "model 12", SHELF))
        .hasMessageContaining("must be one you put on file yourself");
  }

  /** A fitting of known years moves a knife that shows it into those years. */
  @Test
  void whatIsPutOnFileIsHeardAtOnce() {
    Specimen knife = knife(",\"seen\":{\"shield_shape\":\"oval\"}");
    Examiner before = new Examiner(SHELF, 2026);
    String own =
        OwnFacts.with(null, List.of(fitting("shield_shape", "oval", 1925, 1935)), SHELF).yaml();
    Examiner after = new Examiner(shelf(own), 2026);
    double then = before.examine(knife).dating().between(1923, 1937);
    double now = after.examine(knife).dating().between(1923, 1937);
    assertThat(now).isGreaterThan(then + 0.2);
  }

  @Test
  void aModelGivesAKnifeOfItsNumberItsYears() {
    Specimen knife = knife(",\"number\":\"12\"");
    String own = OwnFacts.with(null, List.of(model("12", "Jack", 1925, 1935)), SHELF).yaml();
    double then = new Examiner(SHELF, 2026).examine(knife).dating().between(1925, 1935);
    double now = new Examiner(shelf(own), 2026).examine(knife).dating().between(1925, 1935);
    assertThat(now).isGreaterThan(then + 0.2);
  }

  @Test
  void aKnifeOffersWhatItsMakerIsNotKnownFor() {
    Specimen knife =
        knife(
            ",\"number\":\"12\",\"seen\":{\"shield_shape\":\"bar\",\"bail\":\"wire\",\"punch\":\"none\","
                + "\"handle_material\":{\"value\":\"stag\",\"sureness\":\"likely\"}}");
    List<FactOffered> offered = new Examiner(SHELF, 2026).facts(knife);
    assertThat(offered)
        .extracting(o -> o.slip().kind() + " " + o.slip().value() + " " + o.slip().number())
        .containsExactly("fitting wire null", "model null 12");
    FactSlip first = offered.get(0).slip();
    assertThat(first.maker()).isEqualTo("quoinby");
    assertThat(first.from()).isBetween(1889, 1930);
    assertThat(first.to()).isBetween(first.from(), 1961);
    assertThat(offered.get(1).slip().pattern()).isNotEmpty();
    String own =
        OwnFacts.with(null, offered.stream().map(FactOffered::slip).toList(), SHELF).yaml();
    assertThat(new Examiner(shelf(own), 2026).facts(knife)).isEmpty();
  }

  @Test
  void aKnifeOfNoOneMakerOrWithAWornNumberOffersNothing() {
    Examiner examiner = new Examiner(SHELF, 2026);
    Specimen nobodys = SpecimenFormat.read("{\"seen\":{\"bail\":\"wire\"}}", SHELF);
    assertThat(examiner.facts(nobodys)).isEmpty();
    assertThat(examiner.facts(knife(",\"number\":\"1_\""))).isEmpty();
    assertThat(examiner.facts(knife(",\"number\":\"77\""))).isEmpty();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      value = {
        "'kind':'fitting','maker':'nobody','feature':'bail','value':'wire','from':1900,'to':1910;maker;on file",
        "'kind':'fitting','maker':'quoinby','feature':'tail','value':'wire','from':1900,'to':1910;feature;clue book",
        "'kind':'fitting','maker':'quoinby','feature':'bail','value':'rope','from':1900,'to':1910;value;wire",
        "'kind':'fitting','maker':'quoinby','feature':'origin_wording','value':'none','from':1900,'to':1910;feature;struck",
        "'kind':'fitting','maker':'quoinby','feature':'bail','value':'wire','from':1900,'to':1890;to;before 1900",
        "'kind':'fitting','maker':'quoinby','feature':'bail','value':'wire','from':2090,'to':2095;from;after 2026",
        "'kind':'fitting','maker':'quoinby','feature':'bail','from':1900,'to':1910;value;must",
        "'kind':'model','maker':'quoinby','number':'12','label':'Jack','pattern':'no-such','from':1900,'to':1910;pattern;pattern book",
        "'kind':'model','maker':'quoinby','number':' ','label':'Jack','pattern':'regular-jack','from':1900,'to':1910;number;must",
        "'kind':'song','maker':'quoinby','from':1900,'to':1910;kind;fitting"
      })
  void whatIsAmissIsToldAtItsField(String body, String field, String accepted) {
    String text = "{" + body.replace('\'', '"') + ",\"sourceKind\":\"dealer\",\"source\":\"One\"}";
    assertThatThrownBy(() -> OwnFacts.slip(SpecimenFormat.parse(text), "facts[3].", SHELF, 2026))
        .isInstanceOfSatisfying(
            InvalidInput.class,
            e ->
                assertThat(e.problems())
                    .anySatisfy(
                        p -> {
                          assertThat(p.field()).isEqualTo("facts[3]." + field);
                          assertThat(p.accepted()).contains(accepted);
                        }));
  }
}
