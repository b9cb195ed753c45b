package snikra.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import snikra.core.examination.Examiner;
import snikra.core.resemblance.Comparison;
import snikra.core.resemblance.Comparison.Cell;
import snikra.core.resemblance.Comparison.Standing;
import snikra.core.resemblance.Lookalike;
import snikra.core.specimen.Specimen;

class ResemblanceTest {
  private static final Examiner EXAMINER = new Examiner(ShippedShelf.load(), 2026);
  private static final String CAMP =
      """
      {"frame": "camp-frame", "closedLength": "92 mm", "bolsters": "both-ends", "springs": 2,
       "blades": [{"type": "spear", "end": "A"}, {"type": "can-opener-two-part", "end": "B"},
         {"type": "cap-lifter-short", "end": "A"}, {"type": "punch-wing", "end": "B"}],
       "seen": {"punch": "wing", "can_opener": "two-part", "cap_lifter": "crown-cap",
         "handle_material": "bone-jigged", "jigging": "worm-groove", "bail": "wire"%s}}
      """;

  private static Specimen knife(String json) {
    return SpecimenFormat.read(json, EXAMINER.shelf());
  }

  private static Comparison compare(String json, String... ids) {
    List<Lookalike> all =
        List.of(ids).stream().map(id -> EXAMINER.model(id).orElseThrow()).toList();
    return EXAMINER.compare(knife(json), all);
  }

  private static Cell cell(Comparison c, String trait, int place) {
    return c.rows().stream()
        .filter(r -> r.trait().equals(trait))
        .findFirst()
        .orElseThrow()
        .cells()
        .get(place);
  }

  @Test
  void theModelWhoseTellsItShowsComesFirstOfAllOnFile() {
    List<Comparison.Total> ranked = EXAMINER.lookalikes(knife(CAMP.formatted("")), List.of());
    assertThat(ranked.get(0).id()).isEqualTo("harrowmint-lisk/HL81");
    assertThat(ranked).hasSizeGreaterThan(60);
  }

  @Test
  void eachIsRankedByWhatHoldingItAloneAgainstTheKnifeGives() {
    for (Comparison.Total total : EXAMINER.lookalikes(knife(CAMP.formatted("")), List.of())) {
      Comparison.Total alone = compare(CAMP.formatted(""), total.id()).totals().get(0);
      assertThat(total.decibans()).as(total.id()).isCloseTo(alone.decibans(), within(1e-9));
      assertThat(total.probability()).isCloseTo(alone.probability(), within(1e-12));
    }
  }

  @Test
  void tellsSpeakForTheOneAndAgainstTheOther() {
    Comparison c = compare(CAMP.formatted(""), "harrowmint-lisk/HL80", "harrowmint-lisk/HL81");

    assertThat(cell(c, "punch", 0).standing()).isEqualTo(Standing.AGAINST);
    assertThat(cell(c, "punch", 1).standing()).isEqualTo(Standing.FOR);
    assertThat(cell(c, "spacer", 1).standing()).isEqualTo(Standing.NOT_SEEN);
    assertThat(cell(c, "spacer", 1).decibans()).isZero();
    assertThat(c.totals().get(1).decibans() - c.totals().get(0).decibans()).isGreaterThan(30);
    assertThat(c.rows().get(0).cells().get(0).decibans())
        .isNotEqualTo(c.rows().get(0).cells().get(1).decibans());
  }

  @Test
  void totalsAreTheSumsOfTheirTellsAndProbabilitiesAreOneInAll() {
    Comparison c =
        compare(
            CAMP.formatted(""), "harrowmint-lisk/HL80", "harrowmint-lisk/HL81", "okkerby/41-2J");
    for (int i = 0; i < 3; i++) {
      int place = i;
      double sum = c.rows().stream().mapToDouble(r -> r.cells().get(place).decibans()).sum();
      assertThat(c.totals().get(i).decibans()).isCloseTo(sum, within(1e-9));
      double apart = (sum - c.totals().get(0).decibans()) / 10;
      assertThat(c.totals().get(i).probability())
          .isCloseTo(c.totals().get(0).probability() * Math.pow(10, apart), within(1e-9));
    }
    double all = c.totals().stream().mapToDouble(Comparison.Total::probability).sum();
    assertThat(all + c.other()).isCloseTo(1, within(1e-9));
  }

  @Test
  void anotherMakersNameLeavesItOpenToBeAnotherKnifeOfThePattern() {
    String named =
        CAMP.formatted("")
            .replaceFirst(
                "\\{",
                "{\"marks\": [{\"blade\": 1, \"face\": \"mark\", \"state\": \"read\","
                    + " \"lines\": [\"TREVONK\", \"HARDING\"]}],");
    assertThat(compare(CAMP.formatted(""), "harrowmint-lisk/HL81").other()).isLessThan(0.2);
    assertThat(compare(named, "harrowmint-lisk/HL81").other()).isGreaterThan(0.2);
  }

  @Test
  void aTellLessSurelySeenSpeaksLess() {
    String unsure = CAMP.replace("\"wing\"", "{\"value\": \"wing\", \"sureness\": \"unsure\"}");
    double sure = cell(compare(CAMP.formatted(""), "harrowmint-lisk/HL81"), "punch", 0).decibans();
    double less =
        cell(compare(unsure.formatted(""), "harrowmint-lisk/HL81"), "punch", 0).decibans();
    assertThat(less).isPositive().isLessThan(sure);
  }

  @Test
  void aTwinOnFileIsFoundByWhatItShows() {
    Specimen twin = knife(CAMP.formatted(", \"spacer\": \"plastic\""));
    Comparison c =
        EXAMINER.compare(
            knife(CAMP.formatted("")),
            List.of(EXAMINER.onFile("k", "Twin", twin), EXAMINER.model("okkerby/41-2J").get()));
    assertThat(c.totals().get(0).probability()).isGreaterThan(0.9);
    assertThat(cell(c, "spacer", 0).standing()).isEqualTo(Standing.NOT_SEEN);
    assertThat(cell(c, "closed-length", 0).standing()).isEqualTo(Standing.FOR);
  }

  @Test
  void aMarkSpeaksForModelsOfItsMaker() {
    String marked =
        "{\"marks\": [{\"blade\": 1, \"face\": \"mark\", \"state\": \"read\","
            + " \"lines\": [\"LISK BROTHERS\", \"CAMP\"]}]}";
    Comparison c = compare(marked, "harrowmint-lisk/HL81", "okkerby/41-2J");
    assertThat(cell(c, "mark", 0).standing()).isEqualTo(Standing.FOR);
    assertThat(cell(c, "mark", 1).standing()).isEqualTo(Standing.AGAINST);
  }

  @Test
  void aKnifeNobodyLookedAtIsNoneOfThemYet() {
    Comparison c = compare("{}", "harrowmint-lisk/HL80", "harrowmint-lisk/HL81");
    assertThat(c.totals()).allSatisfy(t -> assertThat(t.decibans()).isZero());
    assertThat(c.other()).isCloseTo(100 / 102.0, within(1e-9));
  }
}
