package snikra.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import snikra.core.reference.ReferenceShelf;
import snikra.core.specimen.Specimen;
import snikra.formats.Upgrades.Renamed;
import snikra.formats.Upgrades.Step;
import snikra.formats.Upgrades.What;
import tools.jackson.databind.JsonNode;

class UpgradesTest {
  private static final Path KEPT = Path.of("src", "test", "resources", "snikra", "formats", "kept");
  private static final ReferenceShelf SHELF = ShippedShelf.load();

  static Stream<Integer> everyFormatThereWas() {
    return IntStream.rangeClosed(1, ShippedShelf.upgrades().current()).boxed();
  }

  @ParameterizedTest
  @MethodSource("everyFormatThereWas")
  void aKnifeOfEveryFormatThereWasIsStillRead(int format) throws Exception {
    String kept = Files.readString(KEPT.resolve("format-" + format + ".json"));

    Specimen knife = SpecimenFormat.readKept(kept);

    assertThat(knife.blades()).isNotEmpty();
    assertThat(SpecimenFormat.read(kept, SHELF)).isEqualTo(knife);
    assertThat(SpecimenFormat.readKept(SpecimenFormat.write(knife))).isEqualTo(knife);
  }

  @Test
  void whatIsWrittenSaysItsFormat() {
    JsonNode written = Json.mapper().readTree(SpecimenFormat.write(Specimen.unseen()));
    assertThat(written.path("format").asInt(0)).isEqualTo(ShippedShelf.upgrades().current());
  }

  @Test
  void aKnifeGoesThroughEveryStepFromItsOwnOn() {
    Upgrades upgrades =
        new Upgrades(
            List.of(
                new Step(2, "", List.of(new Renamed(What.FRAME, null, "old", "middle"))),
                new Step(3, "", List.of(new Renamed(What.FRAME, null, "middle", "new")))));

    assertThat(upgrades.upgrade(tree("{'frame':'old'}"))).isEqualTo(tree("{'frame':'new'}"));
    assertThat(upgrades.upgrade(tree("{'format':2,'frame':'middle'}")))
        .isEqualTo(tree("{'frame':'new'}"));
    assertThat(upgrades.upgrade(tree("{'format':3,'frame':'middle'}")))
        .isEqualTo(tree("{'frame':'middle'}"));
  }

  @Test
  void whatWasRenamedIsFoundWhereverItStands() {
    renamed(What.FRAME, null, "{'frame':{'value':'a','sureness':'likely'}}");
    renamed(What.BOLSTERS, null, "{'bolsters':'a'}");
    renamed(What.BLADE, null, "{'blades':[{'type':'x'},{'type':{'value':'a','sureness':'sure'}}]}");
    renamed(
        What.FEATURE, null, "{'seen':{'b0':'x','a':'y','z':'x'},'blades':[{'seen':{'a':'y'}}]}");
    renamed(What.ANSWER, "f", "{'seen':{'f':'a','g':'x'},'blades':[{'seen':{'f':'a'}}]}");
    renamed(What.POINT, null, "{'condition':{'a':'none'},'blades':[{'condition':{'a':'none'}}]}");
    renamed(
        What.FINDING,
        "p",
        "{'condition':{'p':{'value':'a','sureness':'sure'}},'blades':[{'condition':{'p':'a'}}]}");
    renamed(What.QUANTITY, null, "{'measured':{'a':['5 N']}}");
    renamed(What.PATTERN, null, "{'comparables':[{'pattern':'a'}]}");
    renamed(What.TABLE, null, "{'registered':[{'table':'a'}]}");
    renamed(What.OFFICE, null, "{'hallmarks':[{'office':'a'}]}");
  }

  @Test
  void anAnswerOfAnotherFeatureKeepsItsName() {
    Upgrades upgrades =
        new Upgrades(List.of(new Step(2, "", List.of(new Renamed(What.ANSWER, "f", "a", "b")))));
    JsonNode knife = tree("{'seen':{'g':'a'},'frame':'a','title':'a'}");
    assertThat(upgrades.upgrade(knife)).isEqualTo(knife);
  }

  @Test
  void anAnswerMovesToTheFeatureThatAsksForItSince() {
    Upgrades upgrades =
        new Upgrades(
            List.of(new Step(2, "", List.of(new Renamed(What.ANSWER, "f", "a", "b", "g")))));
    assertThat(upgrades.upgrade(tree("{'seen':{'f':{'value':'a','sureness':'likely'}}}")))
        .isEqualTo(tree("{'seen':{'g':{'value':'b','sureness':'likely'}}}"));
    assertThat(upgrades.upgrade(tree("{'seen':{'f':'a','g':'c'}}")))
        .isEqualTo(tree("{'seen':{'g':'c'}}"));
    assertThat(upgrades.upgrade(tree("{'seen':{'f':'c'}}"))).isEqualTo(tree("{'seen':{'f':'c'}}"));
  }

  @Test
  void starScrewsAndWebAddressesOfTheSecondFormatAreStillThere() {
    Specimen knife =
        SpecimenFormat.readKept(
            "{\"format\":2,\"seen\":{\"handle_pins\":\"star-screw\",\"address_style\":\"web\"}}");
    assertThat(knife.seen().get("fastener").value()).isEqualTo("screw-six-lobe");
    assertThat(knife.seen().get("packaging_contact").value()).isEqualTo("web-address");
  }

  @ParameterizedTest
  @ValueSource(strings = {"99", "0", "-1", "1.5", "'1'", "null", "[]"})
  void aFormatThatCannotBeIsTold(String format) {
    String kept = "{'format':" + format + ",'title':'mine'}";
    assertThatThrownBy(() -> SpecimenFormat.read(tree(kept), SHELF))
        .isInstanceOfSatisfying(
            InvalidInput.class,
            e -> {
              assertThat(e.problems()).singleElement().extracting("field").isEqualTo("format");
              assertThat(e.getMessage()).contains("from 1 to " + ShippedShelf.upgrades().current());
            });
  }

  @Test
  void aKnifeOfANewerFormatAndADamagedOneAreToldApart() {
    assertThatThrownBy(() -> SpecimenFormat.readKept("{\"format\":99,\"hologram\":1}"))
        .isInstanceOf(UnreadableKnife.class)
        .hasMessageContaining("newer Snikra");
    assertThatThrownBy(() -> SpecimenFormat.readKept("{\"format\":2,\"tit"))
        .isInstanceOf(UnreadableKnife.class)
        .hasMessageContaining("cannot be read");
    assertThatThrownBy(() -> SpecimenFormat.readKept("{\"format\":2,\"hologram\":1}"))
        .isInstanceOf(UnreadableKnife.class);
  }

  @Test
  void stepsThatSkipAVersionAreRefused() {
    assertThatThrownBy(() -> new Upgrades(List.of(new Step(3, "", List.of()))))
        .hasMessageContaining("must follow one another");
  }

  private static void renamed(What what, String of, String before) {
    Upgrades upgrades =
        new Upgrades(List.of(new Step(2, "", List.of(new Renamed(what, of, "a", "b")))));
    JsonNode after = upgrades.upgrade(tree(before));
    String wanted = before.replace("'a'", "'b'");
    assertThat(after).isEqualTo(tree(wanted)).hasToString(tree(wanted).toString());
  }

  private static JsonNode tree(String json) {
    return Json.mapper().readTree(json.replace('\'', '"'));
  }
}
