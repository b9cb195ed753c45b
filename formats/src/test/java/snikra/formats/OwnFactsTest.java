package snikra.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.tuple;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import snikra.core.clue.Feature;
import snikra.core.examination.Examiner;
import snikra.core.examination.FactSlips.FactOffered;
import snikra.core.examination.Witnessed;
import snikra.core.reference.FactSlip;
import snikra.core.reference.History;
import snikra.core.reference.Maker;
import snikra.core.reference.MarkSlip;
import snikra.core.reference.ReferenceShelf;
import snikra.core.reference.YearsMoved;
import snikra.core.specimen.Specimen;
import snikra.core.specimen.Technique;

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
        null,
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
    assertThat(filed.mark()).isEqualTo("Shape of the shield: oval");
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
            "Shape of the shield: oval",
            "Handle material: celluloid (cellulose nitrate)",
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

  /**
   * Two of one span and a third of another: the years reach over both, and no knife counts itself.
   */
  @Test
  void severalKnivesAreTheWitnessOfWhatIsNotOnFile() {
    Examiner examiner = new Examiner(SHELF, 2026);
    Specimen early =
        knife(",\"number\":\"77\",\"seen\":{\"bail\":\"wire\",\"shield_shape\":\"bar\"}");
    Specimen late =
        knife(
            ",\"seen\":{\"bail\":\"wire\",\"handle_material\":\"celluloid\",\"blade_steel\":\"stainless\"}");
    List<Witnessed> found = examiner.notOnFile(maker(null), List.of(early, late, knife("")));
    assertThat(found.get(0).offered().slip().value()).isEqualTo("wire");
    assertThat(found.get(0).knives()).containsExactly(0, 1);
    assertThat(found).noneMatch(w -> "bar".equals(w.offered().slip().value()));
    Witnessed alone = examiner.notOnFile(maker(null), List.of(early)).get(0);
    assertThat(alone.knives()).containsExactly(0);
    assertThat(found.get(0).era().last().middle()).isGreaterThan(alone.era().last().middle());
    assertThat(found)
        .as("while there was such a maker")
        .allSatisfy(w -> assertThat(w.era().within().from()).isGreaterThanOrEqualTo(1889))
        .allSatisfy(w -> assertThat(w.era().within().to()).isLessThanOrEqualTo(1961));
    FactSlip slip = found.get(0).offered().slip();
    assertThat(slip.from()).isEqualTo(found.get(0).era().first().middle());
    assertThat(slip.to()).isEqualTo(found.get(0).era().last().middle());
    String own = OwnFacts.with(null, List.of(slip), SHELF).yaml();
    assertThat(new Examiner(shelf(own), 2026).notOnFile(maker(own), List.of(early, late)))
        .noneMatch(w -> "wire".equals(w.offered().slip().value()));
  }

  @Test
  void whatAKnifeShowsIsNoWitnessOfItsOwnYears() {
    Examiner examiner = new Examiner(SHELF, 2026);
    Specimen plain = knife(",\"seen\":{\"origin_wording\":\"none\"}");
    Specimen moulded =
        knife(",\"seen\":{\"origin_wording\":\"none\",\"handle_material\":\"celluloid\"}");
    Specimen other =
        knife(",\"seen\":{\"origin_wording\":\"none\",\"handle_material\":\"bone-smooth\"}");
    assertThat(examiner.notOnFile(maker(null), List.of(plain))).isEmpty();
    assertThat(examiner.notOnFile(maker(null), List.of(moulded)).get(0).era())
        .isEqualTo(examiner.notOnFile(maker(null), List.of(other)).get(0).era());
  }

  /** Every answer of the clue book that can be seen is one that can be witnessed. */
  @Test
  void whateverIsSeenHasItsYears() {
    Map<String, String> seen = new LinkedHashMap<>();
    SHELF.clues().features().stream()
        .filter(f -> !f.markBorne() && f.asked() == Feature.Asked.ONCE)
        .forEach(f -> seen.put(f.id(), f.clues().get(f.clues().size() - 1).id()));
    String all =
        seen.entrySet().stream()
            .map(e -> "\"" + e.getKey() + "\":\"" + e.getValue() + "\"")
            .collect(Collectors.joining(","));
    List<Witnessed> found =
        new Examiner(SHELF, 2026).notOnFile(maker(null), List.of(knife(",\"seen\":{" + all + "}")));
    assertThat(found).hasSizeGreaterThan(seen.size() / 2);
    assertThat(found).allSatisfy(w -> assertThat(w.era().within().from()).isBetween(1889, 1961));
  }

  @Test
  void howLongAFittingIsInUseIsHeard() {
    Specimen early = knife(",\"number\":\"77\",\"seen\":{\"bail\":\"wire\"}");
    int asItIs = reach(new Examiner(SHELF, 2026), early);
    ReferenceShelf brief = SHELF.judgedBy(SHELF.judgement().with("filing.fitting-years", 3));
    assertThat(reach(new Examiner(brief, 2026), early)).isLessThan(asItIs);
  }

  private static int reach(Examiner examiner, Specimen knife) {
    Witnessed found = examiner.notOnFile(maker(null), List.of(knife)).get(0);
    return found.era().within().to() - found.era().within().from();
  }

  @Test
  void aKnifeOfNoOneMakerOrWithAWornNumberOffersNothing() {
    Examiner examiner = new Examiner(SHELF, 2026);
    Specimen nobodys = SpecimenFormat.read("{\"seen\":{\"bail\":\"wire\"}}", SHELF);
    assertThat(examiner.facts(nobodys)).isEmpty();
    assertThat(examiner.facts(knife(",\"number\":\"1_\""))).isEmpty();
    assertThat(examiner.facts(knife(",\"number\":\"77\""))).isEmpty();
  }

  private static FactSlip owner(String name, int from, int to) {
    return of(FactSlip.Kind.OWNER, name, null, from, to);
  }

  private static FactSlip contract(String by, int percent, int from, int to) {
    return of(FactSlip.Kind.CONTRACT, by, percent, from, to);
  }

  private static FactSlip of(FactSlip.Kind kind, String label, Integer percent, int from, int to) {
    return new FactSlip(
        kind, "quoinby", null, null, null, label, null, percent, from, to, 0, "family", "Aunt", "");
  }

  @Test
  void whoseItWasAndWhoMadeForItStandAmongItsHistory() {
    String own =
        OwnFacts.with(
                null,
                List.of(owner("E. Quoin", 1890, 1911), contract("tunnaway", 60, 1900, 1905)),
                SHELF)
            .yaml();
    History history = maker(own).history();
    assertThat(history.owners())
        .extracting(History.Owner::name, History.Owner::from, History.Owner::to)
        .containsExactly(tuple("E. Quoin", 1890, 1911));
    assertThat(history.contracts())
        .extracting(History.Contract::by, History.Contract::share)
        .containsExactly(tuple("tunnaway", 0.6));
    assertThat(OwnFacts.facts(own, SHELF))
        .extracting(OwnFacts.OwnFact::kind, OwnFacts.OwnFact::what)
        .containsExactly(
            tuple(FactSlip.Kind.OWNER, "Owner: E. Quoin"),
            tuple(FactSlip.Kind.CONTRACT, "Made by tunnaway"));
  }

  /** A maker on file is heard as the hand however its name was typed. */
  @Test
  void aContractWithAMakerOnFileIsHeard() {
    String own = OwnFacts.with(null, List.of(contract(" QUOINBY", 100, 1900, 1910)), SHELF).yaml();
    assertThat(maker(own).history().contracts().get(0).by()).isEqualTo("Quoinby");
    Specimen knife = knife("");
    String others =
        OwnFacts.with(null, List.of(contract("Tunnaway", 100, 1890, 1961)), SHELF).yaml();
    assertThat(
            new Examiner(shelf(others), 2026).examine(knife).dating().makers().get(0).contractors())
        .extracting(h -> h.label())
        .contains("Tunnaway");
  }

  @Test
  void eachCanBeWrittenAnewAndKeepsItsPlaceAndWhatASlipDoesNotHold() {
    List<FactSlip> all =
        List.of(
            fitting("shield_shape", "oval", 1925, 1935),
            fitting("bail", "wire", 1900, 1910),
            model("12", "Jack", 1925, 1935),
            owner("E. Quoin", 1890, 1911),
            contract("Tunnaway", 60, 1900, 1905));
    String own = OwnFacts.with(null, all, SHELF).yaml();
    own =
        own.replaceFirst(
            "( +)label: (\"?Jack\"?)\n",
            "$1label: $2\n$1options: [{feature: bail, value: wire, note: \"\"}]\n");
    for (OwnFacts.OwnFact fact : OwnFacts.facts(own, SHELF)) {
      FactSlip slip = OwnFacts.slip(own, "quoinby", fact.key());
      assertThat(all)
          .filteredOn(s -> s.kind() == slip.kind())
          .extracting(FactSlip::label)
          .contains(slip.label());
      OwnPack.Filed changed =
          OwnFacts.changed(own, "quoinby", fact.key(), slip.in(1901, 1904, 3), SHELF);
      assertThat(changed.what()).isEqualTo(OwnPack.What.CHANGED);
      own = changed.yaml();
    }
    assertThat(OwnFacts.facts(own, SHELF))
        .hasSize(5)
        .allSatisfy(f -> assertThat(List.of(f.from(), f.to())).containsExactly(1901, 1904))
        .extracting(OwnFacts.OwnFact::give)
        .containsExactly(3, 3, 0, 0, 0);
    assertThat(maker(own).history().model("12").orElseThrow().options()).hasSize(1);
  }

  @Test
  void aShieldThatBecomesAnotherFittingGoesOver() {
    String own =
        OwnFacts.with(null, List.of(fitting("shield_shape", "oval", 1925, 1935)), SHELF).yaml();
    String key = OwnFacts.facts(own, SHELF).get(0).key();
    String now =
        OwnFacts.changed(own, "quoinby", key, fitting("bail", "wire", 1925, 1935), SHELF).yaml();
    assertThat(OwnFacts.facts(now, SHELF))
        .extracting(OwnFacts.OwnFact::what)
        .containsExactly("Bail or shackle: wire bail through the bolster");
    assertThat(now).doesNotContain("shields");
  }

  @Test
  void whatIsNoChangeOfItIsRefused() {
    String own =
        OwnFacts.with(
                null,
                List.of(fitting("bail", "wire", 1900, 1910), fitting("bail", "wire", 1920, 1930)),
                SHELF)
            .yaml();
    String key = OwnFacts.facts(own, SHELF).get(0).key();
    assertThatThrownBy(
            () -> OwnFacts.changed(own, "quoinby", key, fitting("bail", "wire", 1920, 1930), SHELF))
        .hasMessageContaining("what another of yours says already");
    assertThatThrownBy(
            () -> OwnFacts.changed(own, "quoinby", key, model("12", "Jack", 1900, 1910), SHELF))
        .hasMessageContaining("must be fitting");
    assertThatThrownBy(() -> OwnFacts.slip(own, "quoinby", "bail wire 1800-1810"))
        .hasMessageContaining("must be one you put on file yourself");
  }

  @Test
  void yearsAreMovedOfMarksAndOfAllElse() {
    String own = OwnFacts.with(null, List.of(fitting("bail", "wire", 1900, 1910)), SHELF).yaml();
    String key = OwnFacts.facts(own, SHELF).get(0).key();
    YearsMoved moved = new YearsMoved("quoinby", null, key, 1903, 1912, 1);
    assertThat(OwnFacts.facts(OwnFacts.moved(own, moved, SHELF).yaml(), SHELF))
        .extracting(OwnFacts.OwnFact::from, OwnFacts.OwnFact::to, OwnFacts.OwnFact::give)
        .containsExactly(tuple(1903, 1912, 1));
    MarkSlip slip =
        new MarkSlip(
            "Quoinby",
            null,
            null,
            List.of("Q", "B"),
            List.of(),
            List.of(),
            null,
            Technique.STRUCK,
            false,
            1900,
            1910,
            2,
            "dealer",
            "One",
            "As struck.");
    String marked = OwnPack.with(own, slip, SHELF).yaml();
    String mark = OwnPack.own(marked).iterator().next();
    String again =
        OwnFacts.moved(marked, new YearsMoved("quoinby", mark, null, 1895, 1911, 4), shelf(marked))
            .yaml();
    assertThat(OwnPack.slip(again, mark, shelf(again)))
        .isEqualTo(OwnPack.slip(marked, mark, shelf(marked)).in(1895, 1911, 4));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      value = {
        "'fact':'bail wire 1900-1910','from':1910,'to':1900,'give':0;to;before 1910",
        "'fact':'bail wire 1900-1910','from':2090,'to':2091,'give':0;from;after 2026",
        "'fact':'bail wire 1900-1910','from':1200,'to':1900,'give':0;from;1500",
        "'fact':'bail wire 1900-1910','from':1900,'to':1910,'give':101;give;100",
        "'fact':'bail wire 1900-1910','from':1900,'to':1910;give;must",
        "'from':1900,'to':1910,'give':0;fact;must be given"
      })
  void yearsThatAreNoneAreToldAtTheirField(String body, String field, String accepted) {
    String text = "{'maker':'quoinby'," + body + "}";
    assertThatThrownBy(() -> OwnFacts.moved(SpecimenFormat.parse(text.replace('\'', '"')), 2026))
        .isInstanceOfSatisfying(
            InvalidInput.class,
            e ->
                assertThat(e.problems())
                    .anySatisfy(
                        p -> {
                          assertThat(p.field()).isEqualTo(field);
                          assertThat(p.accepted()).contains(accepted);
                        }));
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
        "'kind':'owner','maker':'quoinby','from':1900,'to':1910;label;must",
        "'kind':'contract','maker':'quoinby','label':'X','from':1900,'to':1910;percent;must",
        "'kind':'contract','maker':'quoinby','label':'X','percent':101,'from':1900,'to':1910;percent;100",
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
