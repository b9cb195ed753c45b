package snikra.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import snikra.core.dating.DatingVerdict;
import snikra.core.examination.Choices;
import snikra.core.examination.Examiner;
import snikra.core.reference.MarkSlip;
import snikra.core.reference.MarkVariant;
import snikra.core.reference.ReferenceShelf;
import snikra.core.specimen.Layout;
import snikra.core.specimen.Specimen;
import snikra.core.specimen.Technique;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** A mark goes on file from the knife it stands on. */
class OwnPackTest {
  private static final ReferenceShelf SHELF = ShippedShelf.load();
  private static final Examiner EXAMINER = new Examiner(SHELF, 2026);

  static List<String> kinds() {
    return Choices.all().sourceKind().stream().map(Choices.Choice::id).toList();
  }

  private static final String UNKNOWN =
      """
      {"marks": [
         {"blade": 1, "face": "mark", "state": "read", "technique": "struck", "layout": "arched",
          "lines": ["WIM?BLECROSS", "CUT_ERY"]},
         {"blade": 1, "face": "pile", "state": "read", "technique": "struck", "lines": ["GERMANY"]},
         {"blade": 2, "face": "mark", "state": "read", "technique": "struck", "lines": ["W_C"]}],
       "seen": {"handle_material": {"value": "celluloid", "sureness": "sure"},
                "liner_material": {"value": "brass", "sureness": "sure"}}}
      """;

  private static Specimen knife() {
    return SpecimenFormat.read(UNKNOWN, SHELF);
  }

  private static ObjectNode slip() {
    return (ObjectNode)
        Json.mapper()
            .readTree(
                """
                {"maker": "Wimblecross", "region": "DE", "place": "Ozzfeld",
                 "lines": ["WIMBLECROSS", "CUTLERY"], "pile": ["GERMANY"], "technique": "struck",
                 "layout": "arched", "everyBlade": false, "from": 1921, "to": 1938, "give": 4,
                 "sourceKind": "own-knives", "source": "My own knives"}
                """);
  }

  private static OwnPack.Filed filed(String yaml, ObjectNode slip, Examiner with) {
    return OwnPack.with(yaml, OwnPack.slip(slip), with.shelf());
  }

  private static Examiner with(String yaml) {
    List<PackFormat.Pack> packs = new ArrayList<>();
    ShippedShelf.packTexts().forEach(text -> packs.add(PackFormat.read("shipped", text)));
    packs.add(PackFormat.read("own", yaml));
    return EXAMINER.with(PackFormat.inPlace(packs, SHELF));
  }

  @Test
  void aSlipIsFilledInFromAllTheKnifeTells() {
    MarkSlip slip = EXAMINER.slip(knife()).orElseThrow();

    assertThat(slip.maker()).isNull();
    assertThat(slip.region()).isEqualTo("DE");
    assertThat(slip.lines()).containsExactly("WIMBLECROSS", "CUT_ERY");
    assertThat(slip.pile()).containsExactly("GERMANY");
    assertThat(slip.layout()).isEqualTo(Layout.ARCHED);
    assertThat(slip.technique()).isEqualTo(Technique.STRUCK);
    assertThat(slip.everyBlade()).isTrue();
    assertThat(slip.give()).isEqualTo((int) SHELF.judgement().of("filing.give"));
    // GERMANY stands beside the mark whosever it is: not before about 1891.
    assertThat(slip.from()).isBetween(1889, 1900);
    DatingVerdict dated = EXAMINER.date(knife());
    assertThat(slip.to()).isCloseTo(dated.opinion().years().to(), within(10));
  }

  @Test
  void aMarkThatFitsOneOnFileIsItsMakers() {
    Specimen known =
        SpecimenFormat.read(
            """
            {"marks": [{"blade": 1, "face": "mark", "state": "read", "technique": "struck",
              "lines": ["QUILLFER", "& DAX", "SCARHOLT"]}]}
            """,
            SHELF);

    MarkSlip slip = EXAMINER.slip(known).orElseThrow();

    assertThat(slip.maker()).isEqualTo("Quillfer & Dax");
    assertThat(slip.region()).isNull();
    assertThat(slip.from()).as("nothing but the mark was looked at").isNull();
  }

  @Test
  void aMarkIsNoWitnessOfItsOwnYears() {
    String yaml = filed(null, slip(), EXAMINER).yaml();
    Examiner with = with(yaml);

    assertThat(with.slip(knife()).orElseThrow().maker()).isEqualTo("Wimblecross");
    assertThat(with.slip(knife()).orElseThrow().from())
        .isEqualTo(EXAMINER.slip(knife()).orElseThrow().from());
    assertThat(with.date(knife()).nineTenths().from()).isGreaterThan(1910);
  }

  @Test
  void theYearsGiveAsMuchAsTheirRateSays() {
    ReferenceShelf judged = SHELF.judgedBy(SHELF.judgement().with("filing.give", 9));

    assertThat(EXAMINER.with(judged).slip(knife()).orElseThrow().give()).isEqualTo(9);
  }

  @Test
  void noLettersNoSlip() {
    Specimen bare = SpecimenFormat.read("{}", SHELF);

    assertThat(EXAMINER.slip(bare)).isEmpty();
  }

  @Test
  void aNewMakerGoesOnFileAndTheVerdictMoves() {
    OwnPack.Filed filed = filed(null, slip(), EXAMINER);

    assertThat(filed.isNew()).isTrue();
    DatingVerdict before = EXAMINER.date(knife());
    DatingVerdict after = with(filed.yaml()).date(knife());
    assertThat(before.makers().get(0).maker()).isNull();
    assertThat(after.makers().get(0).maker()).isEqualTo("wimblecross");
    assertThat(after.makers().get(0).probability()).isGreaterThan(0.9);
    assertThat(after.nineTenths().from()).isBetween(1916, 1925);
    assertThat(after.nineTenths().to()).isBetween(1934, 1943);
  }

  @Test
  void allThatIsWrittenOnASlipIsKept() {
    ObjectNode slip = slip().put("note", "On a barlow.").put("everyBlade", true);
    slip.putArray("etch").add("OUR BEST");

    PackFormat.Pack pack = PackFormat.read("own", filed(null, slip, EXAMINER).yaml());

    assertThat(pack.id()).isEqualTo(OwnPack.ID);
    assertThat(pack.makers().get(0).name()).isEqualTo("Wimblecross");
    assertThat(pack.makers().get(0).region()).isEqualTo("DE");
    assertThat(pack.makers().get(0).place()).isEqualTo("Ozzfeld");
    assertThat(pack.makers().get(0).marks())
        .containsExactly(
            new MarkVariant(
                "wimblecross-wimblecross",
                List.of("WIMBLECROSS", "CUTLERY"),
                List.of("GERMANY"),
                List.of("OUR BEST"),
                Layout.ARCHED,
                Technique.STRUCK,
                true,
                1921,
                1938,
                4,
                "On a barlow.",
                "own-my-own-knives",
                SHELF.judgement().of("filing.own-knives"),
                Map.of()));
  }

  @Test
  void aMakerOfAnotherPackIsOnlyAddedTo() {
    ObjectNode slip = slip().put("maker", "quillfer & dax");

    OwnPack.Filed filed = filed(null, slip, EXAMINER);
    PackFormat.Pack pack = PackFormat.read("own", filed.yaml());

    assertThat(filed.isNew()).isFalse();
    assertThat(filed.maker()).isEqualTo("Quillfer & Dax");
    assertThat(pack.makers()).isEmpty();
    assertThat(pack.additions().get(0).to()).isEqualTo("quillfer-dax");
    var maker = with(filed.yaml()).shelf().maker("quillfer-dax").orElseThrow();
    var shipped = SHELF.maker("quillfer-dax").orElseThrow();
    assertThat(maker.marks()).containsAll(shipped.marks()).hasSize(shipped.marks().size() + 1);
    assertThat(maker.history()).isEqualTo(shipped.history());
    assertThat(with(filed.yaml()).date(knife()).makers().get(0).maker()).isEqualTo("quillfer-dax");
    ReferenceShelf without =
        PackFormat.inPlace(List.of(pack), SHELF); // the other pack is not in use
    assertThat(without.makers()).isEmpty();
  }

  @Test
  void whatWasOnFileStaysAsItWas() {
    String first = filed(null, slip(), EXAMINER).yaml();
    ObjectNode second = slip().put("from", 1939).put("to", 1950);
    second.putArray("lines").add("WIMBLECROSS").add("INOX");
    ObjectNode third = slip().put("maker", "Veldrake Knife Works").put("sourceKind", "forum");

    String twice = filed(first, second, with(first)).yaml();
    String thrice = filed(twice, third, with(twice)).yaml();

    PackFormat.Pack pack = PackFormat.read("own", thrice);
    assertThat(pack.makers()).hasSize(1);
    assertThat(pack.makers().get(0).marks())
        .extracting(MarkVariant::id)
        .containsExactly("wimblecross-wimblecross", "wimblecross-wimblecross-2");
    assertThat(pack.sources()).hasSize(2);
    assertThat(pack.additions()).hasSize(1);
    assertThat(PackFormat.changes(twice, thrice))
        .extracting(PackFormat.Change::path)
        .allMatch(path -> path.startsWith("additions") || path.startsWith("sources.own-my-own"));
  }

  @ParameterizedTest
  @CsvSource({
    "lines, 'WIM_LE', 'lines[0]'",
    "lines, 'WIM*', 'lines[0]'",
    "lines, 'WIM?', 'lines[0]'",
    "lines, ' ', 'lines[0]'",
    "maker, ' ', maker",
    "source, '', source",
    "technique, cast, technique",
    "sourceKind, gossip, sourceKind",
    "to, 1920, to",
    "from, 12, from",
    "give, -1, give"
  })
  void whatCannotBeIsRefusedByItsField(String field, String given, String named) {
    ObjectNode slip = slip();
    if (field.equals("lines")) {
      slip.putArray(field).add(given);
    } else if (given.matches("-?\\d+")) {
      slip.put(field, Integer.parseInt(given));
    } else {
      slip.put(field, given);
    }

    assertThatThrownBy(() -> OwnPack.slip(slip))
        .isInstanceOfSatisfying(
            InvalidInput.class,
            e -> assertThat(e.problems()).extracting(p -> p.field()).contains(named));
  }

  @Test
  void allThatIsMissingIsToldAtOnce() {
    ObjectNode slip = slip().without("maker");
    slip.putArray("lines").add("WIM_LE");

    assertThatThrownBy(() -> OwnPack.slip(slip))
        .isInstanceOfSatisfying(
            InvalidInput.class,
            e ->
                assertThat(e.problems())
                    .extracting(p -> p.field())
                    .containsExactlyInAnyOrder("maker", "lines[0]"));
  }

  @Test
  void aNewMakerNeedsACountry() {
    for (JsonNode slip : List.of(slip().without("region"), slip().put("region", "XX"))) {
      assertThatThrownBy(() -> filed(null, (ObjectNode) slip, EXAMINER))
          .isInstanceOfSatisfying(
              InvalidInput.class, e -> assertThat(e.problems().get(0).field()).isEqualTo("region"));
    }
  }

  @ParameterizedTest
  @MethodSource("kinds")
  void eachKindOfSourceIsBelievedAsItsRateSays(String kind) {
    ObjectNode slip = slip().put("sourceKind", kind).put("source", "Where it is from");
    String rate = "filing." + kind;
    double other = SHELF.judgement().of(rate) / 2;
    Examiner doubting = EXAMINER.with(SHELF.judgedBy(SHELF.judgement().with(rate, other)));

    assertThat(trust(filed(null, slip, EXAMINER)))
        .isCloseTo(SHELF.judgement().of(rate), within(1e-12));
    assertThat(trust(filed(null, slip, doubting))).isCloseTo(other, within(1e-12));
  }

  private static double trust(OwnPack.Filed filed) {
    return PackFormat.read("own", filed.yaml()).makers().get(0).marks().get(0).trust();
  }

  private static ObjectNode slip(String maker, String line) {
    ObjectNode slip = slip().put("maker", maker);
    slip.putArray("lines").add(line);
    return slip;
  }

  private static List<String> marks(String yaml, String maker) {
    return with(yaml).shelf().makers().stream()
        .filter(m -> m.name().equals(maker))
        .flatMap(m -> m.marks().stream())
        .map(m -> String.join(" ", m.lines()) + " " + m.from())
        .toList();
  }

  private static String own(String yaml) {
    return OwnPack.own(yaml).stream().sorted().findFirst().orElseThrow();
  }

  @Test
  void severalGoOnFileTogetherAndMakersOfLikeNamesStayApart() {
    List<MarkSlip> slips =
        List.of(
            OwnPack.slip(slip("Wimble & Cross", "WIMBLE & CROSS")),
            OwnPack.slip(slip("Wimble Cross", "WIMBLE CROSS")),
            OwnPack.slip(slip("Wimble & Cross", "W & C")));
    OwnPack.Filed filed = OwnPack.with(null, slips, SHELF);

    assertThat(filed.many()).isEqualTo(3);
    assertThat(filed.what()).isEqualTo(OwnPack.What.PUT_ON);
    assertThat(marks(filed.yaml(), "Wimble & Cross"))
        .containsExactly("WIMBLE & CROSS 1921", "W & C 1921");
    assertThat(marks(filed.yaml(), "Wimble Cross")).containsExactly("WIMBLE CROSS 1921");
    assertThat(OwnPack.own(filed.yaml())).hasSize(3);
  }

  @Test
  void aMarkOfOnesOwnComesBackAsTheSlipItWas() {
    String yaml = filed(null, slip(), EXAMINER).yaml();
    MarkSlip back = OwnPack.slip(yaml, own(yaml), with(yaml).shelf());
    MarkSlip was = OwnPack.slip(slip());

    assertThat(back.maker()).isEqualTo(was.maker());
    assertThat(back.lines()).isEqualTo(was.lines());
    assertThat(back.pile()).isEqualTo(was.pile());
    assertThat(back.layout()).isEqualTo(was.layout());
    assertThat(List.of(back.from(), back.to(), back.give())).containsExactly(1921, 1938, 4);
    assertThat(back.source()).isEqualTo(was.source());
    assertThat(back.sourceKind()).isEqualTo(was.sourceKind());
  }

  @Test
  void aMarkIsChangedInItsPlaceUnderItsId() {
    String yaml = filed(null, slip(), EXAMINER).yaml();
    String two = filed(yaml, slip("Wimblecross", "W & C"), with(yaml)).yaml();
    ObjectNode other = slip().put("from", 1925);
    other.putArray("pile");
    other.remove("layout");
    String id = OwnPack.own(yaml).iterator().next();
    OwnPack.Filed changed = OwnPack.changed(two, id, OwnPack.slip(other), with(two).shelf());

    assertThat(changed.what()).isEqualTo(OwnPack.What.CHANGED);
    assertThat(marks(changed.yaml(), "Wimblecross"))
        .containsExactly("WIMBLECROSS CUTLERY 1925", "W & C 1921");
    MarkSlip back = OwnPack.slip(changed.yaml(), id, with(changed.yaml()).shelf());
    assertThat(back.pile()).isEmpty();
    assertThat(back.layout()).isNull();
  }

  @Test
  void aMarkThatIsAnothersMovesToThem() {
    String yaml = filed(null, slip(), EXAMINER).yaml();
    String id = own(yaml);
    ObjectNode others = slip("Quillfer & Dax", "QUILLFER'S BEST");
    String moved = OwnPack.changed(yaml, id, OwnPack.slip(others), with(yaml).shelf()).yaml();

    assertThat(marks(moved, "Wimblecross")).isEmpty();
    assertThat(marks(moved, "Quillfer & Dax")).contains("QUILLFER'S BEST 1921");
    assertThat(OwnPack.own(moved)).containsExactly(id);
  }

  @Test
  void withItsLastMarkAMakerGoesOfWhomNothingElseWasPutOnFile() {
    String yaml = filed(null, slip(), EXAMINER).yaml();
    String two = filed(yaml, slip("Quillfer & Dax", "QUILLFER'S BEST"), with(yaml)).yaml();
    String none = two;
    for (String id : OwnPack.own(two)) {
      none = OwnPack.without(none, id, with(none).shelf()).yaml();
    }

    assertThat(OwnPack.own(none)).isEmpty();
    assertThat(none).doesNotContain("Wimblecross").doesNotContain("additions");
    assertThat(marks(none, "Quillfer & Dax")).doesNotContain("QUILLFER'S BEST 1921").isNotEmpty();
  }

  @Test
  void whatIsNotOnesOwnCannotBeChangedOrTakenOut() {
    assertThatThrownBy(() -> OwnPack.without(null, "quillfer-dax-1", SHELF))
        .isInstanceOf(InvalidInput.class);
    assertThatThrownBy(() -> OwnPack.changed(null, "no-such", OwnPack.slip(slip()), SHELF))
        .isInstanceOf(InvalidInput.class);
  }
}
