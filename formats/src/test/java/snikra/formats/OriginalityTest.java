package snikra.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import snikra.core.examination.Examiner;
import snikra.core.examination.Originality;
import snikra.core.examination.Originality.Finding;
import snikra.core.examination.Verdict;
import snikra.core.value.ValueVerdict.Doubt;

class OriginalityTest {
  private static final Examiner EXAMINER = new Examiner(ShippedShelf.load(), 2026);
  private static final String OLD_MARK =
      "\"marks\":[{\"blade\":1,\"face\":\"mark\",\"state\":\"read\",\"lines\":[\"VELDRAKE\",\"TARNMOOR FALLS\"]}]";
  private static final String ACETAL = "\"seen\":{\"handle_material\":\"acetal\"}";

  private static Verdict examine(String json) {
    return EXAMINER.examine(SpecimenFormat.read(json, EXAMINER.shelf()));
  }

  private static Finding finding(Originality o, String id) {
    return o.findings().stream().filter(f -> f.id().equals(id)).findFirst().orElseThrow();
  }

  @Test
  void everyWayOfTheTradeIsInTheBookWithWhatToLookFor() {
    assertThat(EXAMINER.shelf().condition().alterations())
        .extracting(a -> a.id())
        .contains(
            "rehandled",
            "reshielded",
            "rebladed",
            "shortened",
            "retipped",
            "polished",
            "restamped",
            "married",
            "second",
            "old-stock",
            "later-issue",
            "contract");
    assertThat(EXAMINER.shelf().condition().alterations())
        .allSatisfy(a -> assertThat(a.look()).isNotBlank());
  }

  @Test
  void aLateHandleUnderAnOldMarkIsAHandlePutOnLaterAndItsTellsSayWhy() {
    Verdict v = examine("{" + OLD_MARK + "," + ACETAL + ",\"condition\":{\"snap\":\"strong\"}}");
    Finding rehandled = finding(v.originality(), "rehandled");

    assertThat(rehandled.probability()).isGreaterThan(0.5);
    assertThat(rehandled.tells())
        .anySatisfy(
            t -> {
              assertThat(t.text()).contains("Handle material: acetal").contains("not before");
              assertThat(t.station()).isEqualTo("handle");
              assertThat(t.source()).isNotBlank();
            });
    assertThat(v.grade().best().label()).isEqualTo("Mint");
    assertThat(v.originality().grade().label()).isEqualTo("Good");
  }

  @Test
  void whatIsLeftOfTheValueIsEachFindingByItsProbability() {
    Originality o = examine("{" + OLD_MARK + "," + ACETAL + "}").originality();
    double worth = 1;
    for (Finding f : o.findings()) {
      worth *= 1 - f.probability() * (1 - f.worth());
    }
    assertThat(o.worth()).isCloseTo(worth, within(1e-12)).isLessThan(0.8);
    assertThat(o.grade()).isNull();
  }

  @Test
  void whatMayHaveBeenDoneToItIsInItsValueAndCostsWidth() {
    String sale =
        "{\"described\":\"one\",\"price\":%d,\"currency\":\"USD\",\"grade\":\"very-good\"}";
    String sales =
        "\"comparables\":["
            + sale.formatted(80)
            + ","
            + sale.formatted(100)
            + ","
            + sale.formatted(120)
            + "]";
    Verdict v = examine("{" + OLD_MARK + "," + ACETAL + "," + sales + "}");
    Verdict sound = examine("{" + OLD_MARK + "," + sales + "}");
    assertThat(v.value().asItIs().high()).isLessThan(sound.value().asItIs().high());
    assertThat(v.originality().high()).isEqualTo(v.value().asItIs().high());
    assertThat(v.originality().high()).isLessThan(v.value().high());
    assertThat(v.value().costs()).anyMatch(c -> c.of() == Doubt.ALTERED && c.share() > 0.02);
  }

  @Test
  void aStruckOutMarkIsASecondAndLosesValueButLittleGrade() {
    String struck = OLD_MARK.replace("\"state\"", "\"struckOut\":true,\"state\"");
    Finding second = finding(examine("{" + struck + "}").originality(), "second");
    assertThat(second.probability()).isEqualTo(0.9);
    assertThat(second.tells().get(0).text()).contains("struck out");
  }

  @Test
  void aShortBladeIsShortenedWithTheMeasureThatSaysSo() {
    String shortBlade =
        "{\"closedLength\":\"92 mm\",\"blades\":[{\"type\":\"clip\",\"end\":\"A\",\"length\":\"40 mm\"}]}";
    Finding shortened = finding(examine(shortBlade).originality(), "shortened");
    assertThat(shortened.cap().label()).isEqualTo("Fair");
    assertThat(shortened.tells().get(0).text()).contains("of its length is missing");
  }

  @Test
  void aHouseThatMadeNothingWasServedByOthersAndItsLedgersSayByWhom() {
    String lisk =
        "{\"marks\":[{\"blade\":1,\"face\":\"mark\",\"state\":\"read\",\"lines\":[\"HARROWMINT & LISK\",\"SAINT ORRIN\"]}]}";
    Finding contract = finding(examine(lisk).originality(), "contract");
    assertThat(contract.worth()).isEqualTo(1);
    assertThat(contract.tells())
        .anySatisfy(t -> assertThat(t.text()).contains("Veldrake Knife Works made 70%"));
    String overSea = lisk.replace("SAINT ORRIN", "GERMANY");
    assertThat(examine(overSea).dating().opinion().headline())
        .isEqualTo("Orbquendel & Sohn made it for Harrowmint & Lisk");
  }

  @Test
  void aNumberThatSaysAnotherHandleIsATellOfIt() {
    String stag =
        "{" + OLD_MARK + ",\"number\":\"37/43\",\"seen\":{\"handle_material\":\"celluloid\"}}";
    assertThat(finding(examine(stag).originality(), "rehandled").tells().get(0).text())
        .isEqualTo("The number's handle 3 says stag; that is not what is there.");
  }

  @Test
  void aBuffedKnifeIsToldOnceAndPaysOnceInItsGrade() {
    Originality o = examine("{\"condition\":{\"cleaning\":\"buffed\"}}").originality();
    assertThat(finding(o, "polished").worth()).isEqualTo(1);
    assertThat(finding(o, "polished").tells().get(0).text()).isEqualTo("Cleaning: Buffed.");
  }

  @Test
  void ofAKnifeNobodyLookedAtOnlyThePriorIsTold() {
    List<Finding> findings = examine("{}").originality().findings();
    assertThat(findings).allSatisfy(f -> assertThat(f.probability()).isLessThan(0.2));
  }

  private double shortened(String more) {
    String knife =
        "{\"closedLength\":\"92 mm\",\"blades\":[{\"type\":\"clip\",\"end\":\"A\",\"length\":\"52 mm\"}]%s}";
    return probability(knife.formatted(more), "shortened");
  }

  private double probability(String knife, String finding) {
    return examine(knife).originality().findings().stream()
        .filter(f -> f.id().equals(finding))
        .mapToDouble(Finding::probability)
        .findFirst()
        .orElse(0);
  }

  @Test
  void emptyRoomAPullTooFarOutAndABluntPointSpeakForAShortenedBlade() {
    double alone = shortened("");
    assertThat(shortened(",\"seen\":{\"well_room\":\"empty\"}")).isGreaterThan(alone + 0.1);
    assertThat(shortened(",\"seen\":{\"well_room\":\"filled\"}")).isLessThan(alone - 0.1);
    assertThat(shortened(",\"seen\":{\"nick_place\":\"near-point\"}")).isGreaterThan(alone + 0.1);
    assertThat(shortened(",\"condition\":{\"tip\":\"broken\"}")).isGreaterThan(alone + 0.1);
    assertThat(shortened(",\"condition\":{\"tip\":\"sound\"}")).isLessThan(alone);
  }

  @Test
  void whatSpeaksForItIsTold() {
    String knife =
        "{\"closedLength\":\"92 mm\",\"blades\":[{\"length\":\"52 mm\"}],\"seen\":{\"well_room\":\"empty\"}}";
    assertThat(finding(examine(knife).originality(), "shortened").tells())
        .anySatisfy(t -> assertThat(t.text()).contains("shadow of a longer blade"));
  }

  @Test
  void aPatternMadeWithAShortMainIsNotCalledShort() {
    String blades =
        "\"blades\":[{\"type\":\"foil-cutter\",\"end\":\"A\",\"length\":\"52 mm\"},{\"type\":\"corkscrew\",\"end\":\"B\"},{\"type\":\"lever-arm\",\"end\":\"B\"}]";
    String waiter = "{\"frame\":\"waiter-flat\",\"closedLength\":\"110 mm\"," + blades + "}";
    String other = waiter.replace("\"frame\":\"waiter-flat\",", "").replace("lever-arm", "pen");
    assertThat(examine(waiter).findings()).noneMatch(f -> f.code().equals("main-blade-short"));
    assertThat(examine(other).findings()).anyMatch(f -> f.code().equals("main-blade-short"));
  }

  @Test
  void aThinSpringWithoutPlayIsASignOfASecondAndAMashedStrikeMoreSo() {
    double thin = probability("{\"seen\":{\"spring_gap\":\"thin-spring\"}}", "second");
    double both =
        probability(
            "{\"seen\":{\"spring_gap\":\"thin-spring\",\"mark_strike\":\"mashed\"}}", "second");
    assertThat(thin).isBetween(0.05, 0.3);
    assertThat(both).isGreaterThan(0.4);
    assertThat(probability("{\"seen\":{\"spring_gap\":\"worn\"}}", "second")).isZero();
  }
}
