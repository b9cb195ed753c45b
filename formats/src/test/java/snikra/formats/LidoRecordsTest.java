package snikra.formats;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.StringReader;
import java.util.List;
import javax.xml.parsers.DocumentBuilderFactory;
import javax.xml.xpath.XPathFactory;
import org.junit.jupiter.api.Test;
import org.w3c.dom.Document;
import org.w3c.dom.Element;
import org.w3c.dom.Node;
import org.xml.sax.InputSource;
import snikra.core.examination.Examiner;
import snikra.core.reference.ReferenceShelf;
import snikra.core.specimen.Specimen;

/** Records for museums, read back by a reader of XML that knows nothing of knives. */
class LidoRecordsTest {
  private static final ReferenceShelf SHELF = ShippedShelf.load();
  private static final Examiner EXAMINER = new Examiner(SHELF, 2026);

  private static LidoRecords.Kept kept(String id, int number, String json) {
    Specimen knife = SpecimenFormat.readKept(json);
    return new LidoRecords.Kept(
        id, new KnivesList.Listed(number, knife, EXAMINER.summarise(knife), "United States"));
  }

  private static Document read(LidoRecords.Kept... knives) throws Exception {
    DocumentBuilderFactory factory = DocumentBuilderFactory.newInstance();
    factory.setNamespaceAware(true);
    return factory
        .newDocumentBuilder()
        .parse(new InputSource(new StringReader(LidoRecords.write(SHELF, List.of(knives), true))));
  }

  private static String at(Document all, String path) throws Exception {
    String by = path.replaceAll("/([A-Za-z]+)", "/*[local-name()='$1']");
    return XPathFactory.newInstance().newXPath().evaluate(by, all);
  }

  @Test
  void aRecordTellsWhatWasSeenAndWhatIsHeld() throws Exception {
    Document all =
        read(
            kept(
                "k-14",
                14,
                """
                {"title":"Grandfather's","note":"a < b & c","closedLength":"3 3/8 in",
                 "frame":"swell-end","blades":[{"type":"spear"},{"type":"pen"}],
                 "seen":{"handle_material":"bone-jigged"},
                 "marks":[{"blade":1,"face":"mark","state":"read","lines":["VELDRAKE","TARNMOOR FALLS"]}]}
                """));
    assertThat(all.getDocumentElement().getNamespaceURI()).isEqualTo("http://www.lido-schema.org");
    assertThat(at(all, "//lidoRecID")).isEqualTo("k-14");
    assertThat(at(all, "//titleSet/appellationValue")).isEqualTo("Grandfather's");
    assertThat(at(all, "//workID")).isEqualTo("14");
    assertThat(at(all, "//descriptiveNoteValue")).isEqualTo("a < b & c");
    assertThat(at(all, "//inscriptionTranscription")).isEqualTo("VELDRAKE / TARNMOOR FALLS");
    assertThat(at(all, "//measurementSet/measurementValue")).isEqualTo("85.73");
    assertThat(at(all, "//measurementSet/measurementUnit")).isEqualTo("mm");
    assertThat(at(all, "//eventActor//nameActorSet/appellationValue")).contains("Veldrake");
    assertThat(at(all, "//displayPlace")).isEqualTo("United States");
    assertThat(at(all, "//displayMaterialsTech")).contains("handle: ").contains("one");
    int first = Integer.parseInt(at(all, "//date/earliestDate"));
    assertThat(Integer.parseInt(at(all, "//date/latestDate"))).isGreaterThan(first);
    assertThat(at(all, "//displayDate")).contains("" + first).contains("90 chances in 100");
  }

  @Test
  void whatStandsInARecordStandsInTheOrderTheSchemaAsksFor() throws Exception {
    Document all =
        read(kept("k", 1, "{\"frame\":\"canoe\",\"closedLength\":\"90 mm\",\"note\":\"n\"}"));
    assertThat(inside(all, "lido"))
        .containsExactly("lidoRecID", "descriptiveMetadata", "administrativeMetadata");
    assertThat(inside(all, "descriptiveMetadata"))
        .containsExactly("objectClassificationWrap", "objectIdentificationWrap", "eventWrap");
    assertThat(inside(all, "objectIdentificationWrap"))
        .containsExactly(
            "titleWrap", "repositoryWrap", "objectDescriptionWrap", "objectMeasurementsWrap");
    assertThat(inside(all, "recordWrap")).containsExactly("recordID", "recordType", "recordSource");
  }

  private static List<String> inside(Document all, String name) {
    Element found = (Element) all.getElementsByTagNameNS("*", name).item(0);
    return java.util.stream.IntStream.range(0, found.getChildNodes().getLength())
        .mapToObj(found.getChildNodes()::item)
        .map(Node::getLocalName)
        .toList();
  }

  @Test
  void aKnifeNobodyLookedAtHasARecordToo() throws Exception {
    Document all = read(kept("a", 1, "{}"), kept("b", 2, "{}"));
    assertThat(all.getElementsByTagNameNS("*", "lido").getLength()).isEqualTo(2);
    assertThat(all.getElementsByTagNameNS("*", "eventDate").getLength()).isZero();
    assertThat(all.getElementsByTagNameNS("*", "inscriptionsWrap").getLength()).isZero();
  }

  @Test
  void whatHasNoPlaceInXmlIsLeftOut() throws Exception {
    Document all = read(kept("k", 1, "{\"note\":\"bell \\u0007 rings\"}"));
    assertThat(at(all, "//descriptiveNoteValue")).isEqualTo("bell  rings");
  }

  @Test
  void whatWasPaidAndWhoHadItIsNotWritten() throws Exception {
    String text =
        LidoRecords.write(
            SHELF,
            List.of(
                kept(
                    "k",
                    1,
                    """
                    {"frame":"canoe","story":[{"kind":"bought","date":"1994","holder":"Orla Venn","source":"dealer",
                      "price":4517,"currency":"GBP"}]}""")),
            true);
    assertThat(text).contains("Production").doesNotContain("Venn").doesNotContain("4517");
  }

  private static final String STORY =
      """
      {"frame":"canoe","story":[
        {"kind":"found","date":"1936/","place":"Mill field, Overwater","source":"family","note":"third oak"},
        {"kind":"bought","date":"1994-05","place":"Lower Quay","source":"dealer"},
        {"kind":"engraved","date":"1940~","source":"family"},
        {"kind":"advertised","date":"1930","source":"catalogue"},
        {"kind":"held","holder":"Orla Venn","source":"family"}]}""";

  @Test
  void whatBefellAKnifeIsOneEventEach() throws Exception {
    Document all = read(kept("k", 1, STORY));
    assertThat(all.getElementsByTagNameNS("*", "event").getLength()).isEqualTo(4);
    assertThat(at(all, "//eventSet[2]/event/eventType/term")).isEqualTo("Finding");
    assertThat(at(all, "//eventSet[2]//earliestDate")).isEqualTo("1936");
    assertThat(at(all, "//eventSet[2]//latestDate")).isEmpty();
    assertThat(at(all, "//eventSet[2]//displayPlace")).isEqualTo("Overwater");
    assertThat(at(all, "//eventSet[3]/event/eventType/term")).isEqualTo("Acquisition");
    assertThat(at(all, "//eventSet[3]//displayDate")).isEqualTo("May 1994");
    assertThat(at(all, "//eventSet[3]//displayPlace")).isEmpty();
    assertThat(at(all, "//eventSet[4]/event/eventType/term")).isEqualTo("Modification");
  }

  @Test
  void whereItWasFoundIsWrittenWholeOnlyWhereThatIsAsked() {
    List<LidoRecords.Kept> one = List.of(kept("k", 1, STORY));
    assertThat(LidoRecords.write(SHELF, one, true)).doesNotContain("Mill field");
    assertThat(LidoRecords.write(SHELF, one, false)).contains("Mill field, Overwater");
  }
}
