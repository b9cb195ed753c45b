package snikra.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import snikra.core.care.Pocket;
import snikra.core.dating.DatingVerdict;
import snikra.core.examination.Examiner;
import snikra.core.examination.Station;
import snikra.core.examination.Verdict;
import snikra.core.examination.Verdict.Progress;
import snikra.core.reference.ReferenceShelf;
import snikra.core.specimen.Specimen;

class ExaminerTest {
  private final Examiner examiner = new Examiner(ShippedShelf.load(), 2026);

  @Test
  void everyStationTellsHowFarItIsLookedAt() {
    Verdict nothing = examine("{}");
    assertThat(nothing.progress()).extracting(Progress::station).isEqualTo(Station.ids());
    assertThat(nothing.progress())
        .allSatisfy(
            p -> {
              assertThat(p.looked()).isZero();
              assertThat(p.of() > 0).isEqualTo(!p.station().equals("care"));
              assertThat(p.summary()).isNull();
            });
  }

  @Test
  void lookedAtAndNotToBeToldIsLookedAt() {
    Progress shield =
        station(examine("{\"seen\":{\"shield_fixing\":{\"sureness\":\"cannot-tell\"}}}"), "shield");
    assertThat(shield.looked()).isEqualTo(1);
    assertThat(shield.summary()).isEqualTo("not to be told");
  }

  @Test
  void whatTheMarkSpellsAndIsAnsweredAgainByHandCountsOnce() {
    String mark =
        "\"marks\":[{\"blade\":1,\"face\":\"mark\",\"state\":\"read\","
            + "\"lines\":[\"TRONDHUSK\",\"GERMANY\"]}]";
    Verdict read = examine("{" + mark + "}");
    Verdict both = examine("{" + mark + ",\"seen\":{\"origin_wording\":\"germany\"}}");
    assertThat(read.dating().clues()).anyMatch(c -> c.value().equals("Germany, alone"));
    assertThat(both.dating().clues()).hasSameSizeAs(read.dating().clues());
    assertThat(both.dating().curve()).containsExactly(read.dating().curve(), within(1e-9));
  }

  @Test
  void aSecondBladeThatShowsTheSameCountsOnce() {
    String blade = "{\"seen\":{\"blade_etch\":\"acid\"}}";
    Verdict one = examine("{\"blades\":[" + blade + "]}");
    Verdict two = examine("{\"blades\":[" + blade + "," + blade + "]}");
    assertThat(two.dating().clues()).hasSameSizeAs(one.dating().clues());
    assertThat(two.dating().curve()).containsExactly(one.dating().curve(), within(1e-9));
  }

  @Test
  void lookedAtAndNotToBeToldIsNoEvidence() {
    double[] nothing = examine("{}").dating().curve();
    double[] cannot =
        examine("{\"seen\":{\"spacer\":{\"sureness\":\"cannot-tell\"}}}").dating().curve();
    assertThat(cannot).isEqualTo(nothing);
  }

  @Test
  void aCountryThatTheMarkSpellsCountsWithoutBeingChosen() {
    Verdict read =
        examine(
            "{\"marks\":[{\"blade\":1,\"face\":\"mark\",\"state\":\"read\",\"lines\":[\"GORVELD\","
                + "\"GERM_NY\"]}]}");
    assertThat(read.dating().clues())
        .anySatisfy(
            c -> {
              assertThat(c.feature()).isEqualTo("origin_wording");
              assertThat(c.value()).isEqualTo("Germany, alone");
            });
    assertThat(read.dating().makers().get(0).region()).isEqualTo("DE");
  }

  @Test
  void aCountryOnAListedMarkIsNotCountedTwice() {
    String mark =
        "{\"marks\":[{\"blade\":1,\"face\":\"mark\",\"state\":\"read\",\"technique\":\"struck\","
            + "\"lines\":[\"ORBQUENDEL\",\"& SOHN\",\"GERMANY\"]}]%s}";
    Verdict plain = examine(mark.formatted(""));
    Verdict chosen =
        examine(
            mark.formatted(
                ",\"seen\":{\"origin_wording\":{\"value\":\"germany\",\"sureness\":\"sure\"}}"));
    assertThat(chosen.dating().nineTenths()).isEqualTo(plain.dating().nineTenths());
    assertThat(plain.dating().makers().get(0).maker()).isEqualTo("orbquendel");
  }

  @Test
  void aHallmarkDatesTheSilverByItsLetterFormAndDuty() {
    String mark = "{\"hallmarks\":[{\"office\":\"nether-ambleby\",\"letter\":\"C\"%s}]}";
    Verdict any = examine(mark.formatted(""));
    assertThat(any.hallmarks().get(0).years()).containsExactly(1840, 1860, 1880);
    Verdict told = examine(mark.formatted(",\"duty\":true,\"form\":\"capital in a square\""));
    assertThat(told.hallmarks().get(0).years()).containsExactly(1880);
    assertThat(told.dating().half().from()).isEqualTo(1880);
    assertThat(told.dating().half().to()).isLessThanOrEqualTo(1881);
    assertThat(told.dating().clues()).anyMatch(c -> c.feature().equals("hallmark-1"));
    assertThat(station(told, "number").looked()).isPositive();
  }

  private static final String JACK =
      """
      {"frame":{"value":"teardrop","sureness":"sure"},
       "seen":{"handle_material":{"value":"bone-jigged","sureness":"sure"}%s},
       "blades":[{"end":"A"},{"end":"A"}],
       "marks":[{"blade":1,"face":"mark","state":"read","technique":"struck",
         "lines":["VELDRAKE","TARNMOOR FALLS","U.S.A."]}]%s}
      """;

  @Test
  void aNumberIsExpectedCompletedAndAContradictionExplained() {
    Verdict without = examine(JACK.formatted("", ""));
    assertThat(without.number().decoded()).isNull();
    assertThat(without.number().expected()).isEqualTo("61/41");

    Verdict worn = examine(JACK.formatted("", ",\"number\":\"6_/4[15]\""));
    assertThat(worn.number().completions()).hasSize(2);
    assertThat(worn.number().completions().get(0).number()).isEqualTo("61/41");
    assertThat(worn.number().reasons()).isEmpty();

    Verdict against = examine(JACK.formatted("", ",\"number\":\"61/43\""));
    assertThat(against.number().reasons().get(0).says()).isEqualTo("handle replaced");
    assertThat(against.findings()).anyMatch(f -> f.conflict() && f.text().contains("stag"));
  }

  @Test
  void aShieldOfAnotherEraMovesTheYearsOfItsMaker() {
    String knife =
        "{\"marks\":[{\"blade\":1,\"face\":\"mark\",\"state\":\"read\",\"technique\":\"struck\","
            + "\"lines\":[\"OKKERBY\",\"KNIFE CO\",\"LARKFEN FERRY\"]}],\"seen\":{%s}}";
    String shape = "\"shield_shape\":{\"value\":\"%s\",\"sureness\":\"sure\"}";
    Verdict bar = examine(knife.formatted(shape.formatted("bar")));
    Verdict crest = examine(knife.formatted(shape.formatted("crest")));
    assertThat(bar.dating().half().to()).isLessThanOrEqualTo(1908);
    assertThat(crest.dating().half().to()).isGreaterThan(1912);
  }

  @Test
  void aSecondAndItsMarkAreBothSaid() {
    Verdict verdict =
        examine(
            "{\"marks\":[{\"blade\":1,\"face\":\"mark\",\"state\":\"read\",\"struckOut\":true,"
                + "\"lines\":[\"VELDRAKE\",\"TARNMOOR FALLS\"]}]}");
    assertThat(verdict.findings()).anyMatch(f -> f.text().contains("as a second"));
    assertThat(verdict.mark().candidates().get(0).maker()).isEqualTo("veldrake");
  }

  @Test
  void aStoryThatTheKnifeCannotHaveIsAConflict() {
    Verdict verdict =
        examine(
            "{\"seen\":{\"handle_material\":{\"value\":\"acetal\",\"sureness\":\"sure\"}},"
                + "\"story\":[{\"kind\":\"held\",\"date\":\"1917\",\"source\":\"family\"}]}");
    assertThat(verdict.findings())
        .anySatisfy(f -> assertThat(f.text()).contains("Held 1917").contains("years apart"));
    assertThat(station(verdict, "story").conflict()).isTrue();
    assertThat(verdict.dating().mostProbable()).isGreaterThan(1950);
  }

  @Test
  void sourcesThatDateTheKnifeOtherwiseAllCountByTheirWord() {
    String dated = "{\"kind\":\"dated\",\"date\":\"%s\",\"source\":\"%s\"}";
    String book = dated.formatted("192X", "book");
    Verdict one = examine("{\"story\":[" + book + "]}");
    assertThat(one.dating().half().from()).isGreaterThanOrEqualTo(1920);
    assertThat(one.dating().half().to()).isLessThanOrEqualTo(1929);

    Verdict both = examine("{\"story\":[" + book + "," + dated.formatted("195X", "dealer") + "]}");
    double twenties = both.dating().between(1920, 1929);
    double fifties = both.dating().between(1950, 1959);
    assertThat(twenties).isGreaterThan(fifties);
    assertThat(fifties).isGreaterThan(one.dating().between(1950, 1959));
    assertThat(both.dating().clues()).hasSize(2);
    assertThat(both.dating().clues().get(0).label()).isEqualTo("Story");
  }

  @Test
  void whatCannotBeToldOfItsConditionIsLookedAtAndStillOpen() {
    Verdict open = examine("{\"condition\":{\"snap\":\"cannot-tell\"}}");
    assertThat(open.grade().best()).isNull();
    assertThat(open.grade().unseen()).hasSameSizeAs(examine("{}").grade().unseen());
    assertThat(station(open, "action").looked()).isEqualTo(1);
    assertThat(station(open, "action").summary()).isEqualTo("not to be told");
  }

  @Test
  void theSketchMarksWhatWasNotMeasured() {
    var sketch =
        examine(
                "{\"blades\":[{\"type\":\"clip\"},{\"length\":\"2 in\",\"seen\":"
                    + "{\"other_pull\":{\"value\":\"long\",\"sureness\":\"sure\"}}}]}")
            .sketch();
    assertThat(
            examine(
                    "{\"seen\":{\"handle_material\":{\"value\":\"horn-pressed\",\"sureness\":"
                        + "\"sure\"}}}")
                .sketch()
                .handle())
        .isEqualTo("layers");
    assertThat(sketch.blades().get(0).pull()).isNull();
    assertThat(sketch.blades().get(1).pull()).isEqualTo("long");
    assertThat(sketch.measured()).isFalse();
    assertThat(sketch.blades().get(0).measured()).isFalse();
    assertThat(sketch.blades().get(1).lengthMm()).isEqualTo(50.8);
    assertThat(sketch.blades().get(1).endSeen()).isFalse();
  }

  @Test
  void theSummaryOfAKnifeIsThatOfItsVerdict() {
    String json =
        "{\"frame\":{\"value\":\"canoe\",\"sureness\":\"sure\"},"
            + "\"seen\":{\"handle_material\":{\"value\":\"stag\",\"sureness\":\"likely\"}},"
            + "\"condition\":{\"snap\":\"weak\"}}";
    var knife = SpecimenFormat.read(json, examiner.shelf());
    Verdict verdict = examiner.examine(knife);
    Examiner.Summary summary = examiner.summarise(knife);
    assertThat(summary.title()).isEqualTo(verdict.pattern().title());
    assertThat(summary.span()).isEqualTo(verdict.dating().nineTenths());
    assertThat(summary.grade()).isEqualTo(verdict.grade());
    assertThat(summary.maker()).isNull();
  }

  /** Makers whose mark is surely not on it weigh nothing; without the mark each weighs again. */
  @ParameterizedTest
  @CsvSource({"ebony", "bone-jigged", "stag"})
  void withoutItsMarkAKnifeIsDatedAsIfNobodyHadReadIt(String handle) {
    String seen =
        "\"seen\":{\"handle_material\":\"%s\",\"shield_shape\":\"bar\"}".formatted(handle);
    String mark =
        ",\"marks\":[{\"blade\":1,\"face\":\"mark\",\"state\":\"read\","
            + "\"lines\":[\"VELDRAKE\",\"TARNMOOR FALLS\"]}]";
    DatingVerdict marked = examine("{" + seen + mark + "}").dating();
    DatingVerdict bare = examine("{" + seen + "}").dating();
    double bits = 0;
    for (int y = 0; y < marked.curve().length; y++) {
      double p = marked.curve()[y];
      bits += p > 0 ? p * Math.log(p / bare.curve()[y]) / Math.log(2) : 0;
    }
    assertThat(marked.mark().bits()).isCloseTo(bits, within(1e-6));
    assertThat(marked.mark().medianShift()).isEqualTo(marked.median() - bare.median());
  }

  @Test
  void aKnifeThatIsCarriedIsToldWithItsDaysItsWeightItsWearAndWhetherItIsFit() {
    String log =
        "\"care\":[{\"date\":\"2026-01-01\",\"work\":\"pocketed\"},"
            + "{\"date\":\"2026-02-01\",\"work\":\"put-away\"},"
            + "{\"date\":\"2026-03-01\",\"work\":\"pocketed\"}]";
    assertThat(carried("{\"care\":[{\"date\":\"2026-01-01\",\"work\":\"oiled\"}]}")).isNull();
    assertThat(carried("{" + log + "}"))
        .isEqualTo(
            new Examiner.Carried(
                new Pocket(LocalDate.of(2026, 3, 1), LocalDate.of(2026, 3, 1), 31),
                null,
                null,
                null));
    Examiner.Carried worn =
        carried(
            "{"
                + log
                + ",\"measured\":{\"weight\":[\"60 g\",\"62 g\"]},"
                + "\"condition\":{\"blade-wear\":\"sliver\",\"snap\":\"strong\"}}");
    assertThat(worn.grams()).isEqualTo(61);
    assertThat(worn.wear())
        .isEqualTo(
            examiner.shelf().condition().point("blade-wear").orElseThrow().findings().stream()
                .filter(f -> f.id().equals("sliver"))
                .findFirst()
                .orElseThrow()
                .label());
    assertThat(worn.fit()).isEqualTo("Not before it is repaired");
  }

  private Examiner.Carried carried(String knife) {
    Specimen read = SpecimenFormat.read(knife, examiner.shelf());
    Examiner.Carried brief = examiner.summarise(read).carried();
    assertThat(examiner.enter(1, read, examiner.examine(read)).summary().carried())
        .isEqualTo(brief);
    return brief;
  }

  @Test
  void aSizeNoPatternHasIsQuestionedAndNeverRefused() {
    assertThat(examine("{\"closedLength\":\"300 mm\"}").findings())
        .anySatisfy(f -> assertThat(f.text()).startsWith("300 mm closed").contains("unit right?"));
    assertThat(examine("{\"closedLength\":\"89 mm\"}").findings()).isEmpty();
  }

  @Test
  void aBladeLongerThanItsHandleAndOneMuchShorterAreBothRemarkedOn() {
    String knife = "{\"closedLength\":\"90 mm\",\"blades\":[{\"length\":\"%s\"}]}";
    assertThat(examine(knife.formatted("95 mm")).findings())
        .anySatisfy(f -> assertThat(f.text()).contains("longer than the handle"));
    assertThat(examine(knife.formatted("40 mm")).findings())
        .anySatisfy(f -> assertThat(f.text()).contains("short by design, or broken"));
    assertThat(examine(knife.formatted("66 mm")).findings()).isEmpty();
  }

  @Test
  void aPullOutsideWhatIsUsualIsQuestionedByTheMeanOfItsReadings() {
    assertThat(examine("{\"measured\":{\"pull\":[\"340 N\",\"350 N\"]}}").findings())
        .anySatisfy(f -> assertThat(f.station()).isEqualTo("action"));
    assertThat(examine("{\"measured\":{\"pull\":[\"34 N\"]}}").findings()).isEmpty();
    assertThat(examine("{\"measured\":{\"flush-open\":[\"-0.1 mm\"]}}").findings()).isEmpty();
    assertThat(examine("{\"measured\":{\"flush-open\":[\"-1.1 mm\"]}}").findings()).hasSize(1);
  }

  @Test
  void whatIsLeftOfABladeFollowsFromItsHeightsAndIsDrawn() {
    Verdict worn =
        examine(
            "{\"closedLength\":\"90 mm\",\"blades\":[{\"type\":\"spear\",\"length\":\"66 mm\","
                + "\"heights\":[{\"at\":\"3 mm\",\"height\":\"12 mm\"},"
                + "{\"at\":\"40 mm\",\"height\":\"6 mm\"}]}]}");
    var left = worn.sketch().blades().get(0).left();

    assertThat(left.share()).isBetween(0.5, 0.8);
    assertThat(left.along()).hasSize(2);
    assertThat(worn.findings())
        .anySatisfy(f -> assertThat(f.text()).contains("of blade 1 is left"));
  }

  @Test
  void theMainBladeDatesTheKnifeAndTheOthersDoNot() {
    String laser = "\"seen\":{\"blade_etch\":{\"value\":\"laser\",\"sureness\":\"sure\"}}";
    int plain = examine("{}").dating().median();
    int main = examine("{\"blades\":[{" + laser + "}]}").dating().median();
    int second = examine("{\"blades\":[{},{" + laser + "}]}").dating().median();

    assertThat(main).isGreaterThan(plain + 30);
    assertThat(second).isEqualTo(plain);
  }

  @Test
  void aTrickOpeningComesWithHowToOpenItSafely() {
    var release = examiner.shelf().clues().feature("release").orElseThrow();
    assertThat(release.clues())
        .filteredOn(c -> !c.id().equals("plain"))
        .hasSizeGreaterThanOrEqualTo(4)
        .allSatisfy(c -> assertThat(c.why()).as(c.id()).containsPattern("(?i)hold|turn|lay"));
    assertThat(examiner.shelf().clues().cautions())
        .anySatisfy(
            c -> {
              assertThat(c.feature()).isEqualTo("release");
              assertThat(c.values()).contains("button", "drop");
            });
  }

  @Test
  void everyHandleMaterialHasAHarmlessTest() {
    assertThat(examiner.shelf().clues().feature("handle_material").orElseThrow().clues())
        .allSatisfy(
            c ->
                assertThat(c.test())
                    .as(c.id())
                    .isNotBlank()
                    .doesNotContainIgnoringCase("acid")
                    .doesNotContainIgnoringCase("solvent"));
  }

  private Verdict examine(String json) {
    return examiner.examine(SpecimenFormat.read(json, examiner.shelf()));
  }

  private static Progress station(Verdict verdict, String name) {
    return verdict.progress().stream()
        .filter(p -> p.station().equals(name))
        .findFirst()
        .orElseThrow();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "'springs':1,'closedLength':'100 mm','blades':[{'length':'72 mm'},{'length':'70 mm'}] | long blades",
        "'springs':1,'blades':[{'end':'A'},{'end':'A'}] | side by side",
        "'springs':1,'blades':[{'end':'A'},{'end':'B'}] | works both ends",
        "'springs':2,'blades':[{'end':'A','presses':'both'},{'end':'B'},{'end':'B'}] | rests on both leaves",
        "'springs':2,'blades':[{'end':'A','presses':'one'},{'end':'B'},{'end':'B'}] | one small blade",
        "'springs':2,'blades':[{'end':'A'},{'end':'A'},{'end':'B'},{'end':'B'}] | one blade at each end",
        "'springs':0 | no snap"
      })
  void howAKnifeActsAsBuiltIsSaidFromItsLayout(String knife, String said) {
    assertThat(examine("{" + knife.replace('\'', '"') + "}").findings())
        .filteredOn(f -> f.code().equals("acts-as-built"))
        .singleElement()
        .satisfies(
            f -> {
              assertThat(f.station()).isEqualTo("action");
              assertThat(f.text()).containsPattern("(?i)" + said);
            });
  }

  @Test
  void ofALayoutNobodyCountedNothingIsSaid() {
    assertThat(examine("{\"springs\":1,\"blades\":[{},{}]}").findings())
        .noneMatch(f -> f.code().equals("acts-as-built"));
    assertThat(examine("{\"blades\":[{\"end\":\"A\"},{\"end\":\"B\"}]}").findings())
        .noneMatch(f -> f.code().equals("acts-as-built"));
  }

  @Test
  void anExaminerMadeFromAnotherJudgesLikeOneMadeAnew() {
    ReferenceShelf shelf = ShippedShelf.load();
    Examiner first = new Examiner(shelf, 2026);
    Specimen knife =
        SpecimenFormat.read(
            "{\"frame\":\"equal-end\",\"seen\":{\"spacer\":\"plastic\",\"bail\":\"wire\"},"
                + "\"blades\":[{\"type\":\"spear\",\"end\":\"A\"}]}",
            shelf);
    first.examine(knife);
    ReferenceShelf fewer = shelf.withMakers(shelf.makers().subList(0, 2));
    ReferenceShelf judged = shelf.judgedBy(shelf.judgement().with("bound.soft", 0.5));
    for (ReferenceShelf other : List.of(fewer, judged)) {
      assertThat(first.with(other).examine(knife).dating())
          .usingRecursiveComparison()
          .isEqualTo(new Examiner(other, 2026).examine(knife).dating());
    }
    assertThat(first.with(judged).examine(knife).dating().curve())
        .isNotEqualTo(first.examine(knife).dating().curve());
  }
}
