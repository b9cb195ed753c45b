package snikra.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import snikra.core.dating.DatingVerdict;
import snikra.core.dating.DatingVerdict.Attribution;
import snikra.core.dating.DatingVerdict.StateProbability;
import snikra.core.dating.State;
import snikra.core.examination.Examiner;
import snikra.core.examination.Problem;
import snikra.core.examination.Verdict;
import snikra.core.pattern.PatternVerdict.Name;

/** What a knife is told to be by what is said, struck in odd places, and moved by hand. */
class HeardTest {
  private static final Examiner EXAMINER = new Examiner(ShippedShelf.load(), 2026);

  private static Verdict examine(String knife) {
    return EXAMINER.examine(SpecimenFormat.read(knife, EXAMINER.shelf()));
  }

  private static String told(String events) {
    return "{\"seen\":{\"handle_material\":\"acetal\"},\"story\":[" + events + "]}";
  }

  private static String held(String source, String teller) {
    String by = teller == null ? "" : ",\"teller\":\"" + teller + "\"";
    return "{\"kind\":\"held\",\"date\":\"1917\",\"source\":\"" + source + "\"" + by + "}";
  }

  private static double before(String knife) {
    return examine(knife).dating().between(1700, 1917);
  }

  @Test
  void aRumourToldTwiceIsOneRumourAndTwoPapersAreTwo() {
    assertThat(before(told(held("hearsay", null) + "," + held("hearsay", null))))
        .isEqualTo(before(told(held("hearsay", null))));
    assertThat(before(told(held("document", "the shop") + "," + held("document", "the club"))))
        .isGreaterThan(before(told(held("document", "the shop"))) + 0.05);
    assertThat(before(told(held("document", "the shop") + "," + held("document", "The shop "))))
        .isEqualTo(before(told(held("document", "the shop"))));
  }

  private static String advertised(String shows, String seen) {
    return """
        {"marks":[{"blade":1,"face":"mark","state":"read","lines":["VELDRAKE","U.S.A."]}],
         "seen":{%s},
         "story":[%s]}
        """
        .formatted(
            seen,
            shows == null
                ? ""
                : "{\"kind\":\"advertised\",\"date\":\"1912\",\"source\":\"advertisement\",\"shows\":{"
                    + shows
                    + "}}");
  }

  private static double about1912(String shows, String seen) {
    return examine(advertised(shows, seen)).dating().between(1906, 1918);
  }

  @Test
  void aPictureOfAYearSpeaksForKnivesThatShowTheSameAndAgainstOthers() {
    double nothing = about1912(null, "\"shield_shape\":\"bar\"");
    double same = about1912("\"shield_shape\":\"bar\"", "\"shield_shape\":\"bar\"");
    double other = about1912("\"shield_shape\":\"oval\"", "\"shield_shape\":\"bar\"");
    assertThat(same).isGreaterThan(1.5 * nothing);
    assertThat(other).isLessThan(0.7 * nothing);
    Verdict verdict = examine(advertised("\"shield_shape\":\"oval\"", "\"shield_shape\":\"bar\""));
    assertThat(verdict.dating().clues())
        .extracting(DatingVerdict.ClueInfluence::value)
        .contains("Advertised 1912, shown with shape of the shield: oval");
  }

  @Test
  void aPictureOfWhatWasNotLookedAtSaysNothingAndIsNoLastYear() {
    assertThat(about1912("\"shield_shape\":\"bar\"", ""))
        .isCloseTo(about1912("\"shield_shape\":\"oval\"", ""), within(1e-12));
    double later = examine(advertised("\"shield_shape\":\"bar\"", "")).dating().between(1920, 2026);
    assertThat(later).isGreaterThan(0.1);
  }

  private static DatingVerdict.ForCountry countryOf(String feature, String knife) {
    return examine(knife).dating().clues().stream()
        .filter(c -> c.feature().equals(feature))
        .findFirst()
        .orElseThrow()
        .country();
  }

  private static double odds(String knife, String region) {
    double p =
        examine(knife).dating().makers().stream()
            .filter(m -> m.region().equals(region))
            .mapToDouble(Attribution::probability)
            .sum();
    return p / (1 - p);
  }

  @Test
  void eachClueSaysWhichCountryItSpeaksForOrAgainst() {
    String asCut = "{\"seen\":{\"kick_corners\":\"as-cut\"}}";
    String both = "{\"seen\":{\"kick_corners\":\"as-cut\",\"bolster_metal\":\"brass\"}}";
    String brass = "{\"seen\":{\"bolster_metal\":\"brass\"}}";
    DatingVerdict.ForCountry corners = countryOf("kick_corners", both);
    double moved = 10 * Math.log10(odds(both, corners.region()) / odds(brass, corners.region()));
    assertThat((double) corners.decibans()).isCloseTo(moved, within(0.51));
    assertThat(countryOf("kick_corners", asCut).decibans()).isNotZero();
    assertThat(countryOf("blade_steel", "{\"seen\":{\"blade_steel\":\"carbon\"}}")).isNull();
  }

  @Test
  void whatIsShownIsOnFileAndHasADate() {
    assertThatThrownBy(() -> examine(advertised("\"shield_shape\":\"banana\"", "")))
        .isInstanceOfSatisfying(
            InvalidInput.class,
            e ->
                assertThat(e.problems())
                    .extracting(Problem::field)
                    .containsExactly("story[0].shows.shield_shape"));
    String undated = advertised("\"shield_shape\":\"bar\"", "").replace("\"date\":\"1912\",", "");
    assertThatThrownBy(() -> examine(undated))
        .isInstanceOfSatisfying(
            InvalidInput.class,
            e -> assertThat(e.problems()).extracting(Problem::field).contains("story[0].date"));
  }

  @Test
  void whoIsSaidToHaveMadeItIsHeardAsFarAsTheSourceIsRight() {
    String nothing = "{\"seen\":{\"blade_steel\":\"carbon\"}}";
    String said =
        "{\"seen\":{\"blade_steel\":\"carbon\"},\"story\":[{\"kind\":\"dated\",\"source\":\"%s\",\"maker\":\"veldrake\"}]}";
    double without = probability(examine(nothing), "veldrake");
    double forum = probability(examine(said.formatted("forum")), "veldrake");
    double paper = probability(examine(said.formatted("document")), "veldrake");
    assertThat(forum).isGreaterThan(2 * without);
    assertThat(paper).isGreaterThan(3 * forum);
  }

  private static double probability(Verdict verdict, String maker) {
    return verdict.dating().makers().stream()
        .filter(m -> maker.equals(m.maker()))
        .mapToDouble(Attribution::probability)
        .sum();
  }

  @Test
  void aDateYetToComeAndAnOrderThatCannotBeAreAskedAbout() {
    assertThat(texts("{\"story\":[{\"kind\":\"held\",\"date\":\"2150\",\"source\":\"family\"}]}"))
        .contains("2150 lies after 2026: is the year right?");
    assertThat(texts("{\"story\":[{\"kind\":\"held\",\"date\":\"1950\",\"source\":\"family\"}]}"))
        .isEmpty();
    String order =
        "{\"story\":[{\"kind\":\"held\",\"date\":\"1950\",\"source\":\"family\"},"
            + "{\"kind\":\"inherited\",\"date\":\"%s\",\"source\":\"family\"}]}";
    assertThat(texts(order.formatted("1930")))
        .anyMatch(t -> t.startsWith("Inherited 1930, before"));
    assertThat(texts(order.formatted("1960"))).isEmpty();
  }

  private static List<String> texts(String knife) {
    return examine(knife).findings().stream().map(Verdict.Finding::text).toList();
  }

  @Test
  void whatIsMadeOutOfAMistakeIsToldAsAWayOfItsOwn() {
    DatingVerdict verdict =
        examine(
                "{\"seen\":{\"spacer\":\"plastic\"},\"marks\":[{\"blade\":1,\"face\":\"mark\","
                    + "\"state\":\"read\",\"technique\":\"struck\",\"lines\":[\"QUILLFER\",\"& DAX\",\"SCARHOLT\"]}]}")
            .dating();
    StateProbability wrong =
        verdict.states().stream()
            .filter(s -> s.state().kind() == State.Kind.MISJUDGED)
            .findFirst()
            .orElseThrow();
    assertThat(wrong.state().part()).isEqualTo("spacer");
    assertThat(wrong.state().label()).isEqualTo("spacer at the tail: not plastic");
    assertThat(wrong.probability()).isGreaterThan(0.3);
    assertThat(verdict.conflicts())
        .anySatisfy(
            c -> {
              assertThat(c.resolvedBy()).isEqualTo("spacer at the tail: not plastic");
              assertThat(c.resolvedProbability()).isEqualTo(wrong.probability());
            });
  }

  @Test
  void listsComeToTheWhole() {
    for (String knife : List.of("{}", told(held("family", null)), "{\"frame\":\"canoe\"}")) {
      DatingVerdict verdict = examine(knife).dating();
      assertThat(verdict.makers().stream().mapToDouble(Attribution::probability).sum())
          .isBetween(0.998, 1.000001);
      assertThat(verdict.states().stream().mapToDouble(StateProbability::probability).sum())
          .isBetween(0.998, 1.000001);
    }
  }

  @Test
  void aHiddenOpeningNamesATrickKnifeAndSaysHowToOpenIt() {
    Verdict deep =
        examine("{\"blades\":[{}],\"seen\":{\"nail_pull\":\"none\",\"blade_lies\":\"deep\"}}");
    assertThat(deep.pattern().names().get(0).pattern()).isEqualTo("trick-knife");
    assertThat(deep.findings()).anyMatch(f -> f.text().contains("away from hand and face"));
    Verdict open = examine("{\"blades\":[{}],\"seen\":{\"nail_pull\":\"none\"}}");
    assertThat(open.dating().lookNext()).anyMatch(l -> l.feature().equals("release"));
    Verdict usual = examine("{\"blades\":[{}],\"seen\":{\"nail_pull\":\"crescent\"}}");
    assertThat(usual.dating().lookNext()).noneMatch(l -> l.feature().equals("release"));
  }

  @Test
  void anAllMetalNameWaitsUntilSomebodyLooksAtTheCovers() {
    String tools =
        "{\"blades\":[{\"type\":\"spear\",\"end\":\"A\"},{\"type\":\"can-opener-blade\",\"end\":\"B\"},"
            + "{\"type\":\"screwdriver-cap-lifter\",\"end\":\"A\"}]%s}";
    assertThat(share(tools.formatted(""), "military-utility")).isLessThan(0.6);
    assertThat(share(tools.formatted(",\"bolsters\":\"all-metal\""), "military-utility"))
        .isGreaterThan(0.9);
  }

  @Test
  void formsOfOneNameAreSummedUp() {
    String whittler =
        "{\"springs\":2,\"blades\":[{\"end\":\"A\",\"presses\":\"both\"},{\"end\":\"B\"},{\"end\":\"B\"}]}";
    assertThat(examine(whittler).pattern().title()).isEqualTo("Whittler");
  }

  @Test
  void whichSpringABladeWorksAgainstPartsStockKnives() {
    String blades =
        "{\"springs\":2,\"blades\":[{\"type\":\"clip\",\"end\":\"A\",\"spring\":%d},"
            + "{\"type\":\"sheepfoot\",\"end\":\"B\",\"spring\":%d},{\"type\":\"spey\",\"end\":\"B\",\"spring\":%d}]}";
    String shared = blades.formatted(1, 1, 2);
    String against = blades.formatted(1, 2, 2);
    assertThat(share(shared, "stockman-medium")).isNotEqualTo(share(against, "stockman-medium"));
  }

  private static double share(String knife, String pattern) {
    return examine(knife).pattern().names().stream()
        .filter(n -> n.pattern().equals(pattern))
        .mapToDouble(Name::probability)
        .sum();
  }

  @Test
  void noneOfASignWhereTheMakerAlwaysStruckItIsBeforeOrAfterThat() {
    String okkerby =
        "{\"marks\":[{\"blade\":1,\"face\":\"mark\",\"state\":\"read\",\"technique\":\"struck\","
            + "\"lines\":[\"OKKERBY\",\"L.F.\"]}],\"codes\":[%s]}";
    DatingVerdict stars =
        examine(okkerby.formatted("{\"sign\":\"star\",\"written\":\"5\"}")).dating();
    DatingVerdict none =
        examine(okkerby.formatted("{\"sign\":\"star\",\"written\":\"0\"}")).dating();
    assertThat(stars.between(1932, 1936)).isGreaterThan(0.8);
    assertThat(none.between(1932, 1936)).isLessThan(0.3 * stars.between(1932, 1936));
  }

  @Test
  void whatWasSaidAndStruckIsWrittenAsItIsRead() {
    String knife =
        "{\"codes\":[{\"sign\":\"star\",\"written\":\"0\"},{\"sign\":\"bar\",\"written\":\"7+\"}],"
            + "\"blades\":[{\"spring\":2}],\"story\":[{\"kind\":\"dated\",\"source\":\"forum\","
            + "\"region\":\"FR\",\"maker\":\"veldrake\",\"teller\":\"the shop\"}]}";
    var read = SpecimenFormat.read(knife, EXAMINER.shelf());
    assertThat(SpecimenFormat.read(SpecimenFormat.write(read), EXAMINER.shelf())).isEqualTo(read);
  }

  private static final String PACK =
      """
      schema: 1
      id: own
      title: One's own
      note: Invented.
      sources:
        - {id: book, label: A book, kind: reference-book, reliability: 0.9}
      %s
      assayOffices:
        - id: upper-quorl
          label: Assay office of Upper Quorl
          townMark: a newt
          standards: [a walking beast]
          note: Invented.
          source: book
          cycles:
            - {from: 1900, form: capital in a shield, letters: [A, B, C, D, E]}
      makers:
        - id: trevvick
          name: Trevvick
          region: UK
          place: Hollenbrook
          weight: 1
          changes: []
          note: Invented.
          marks:
      %s
      """;

  private static final String ONE_MARK =
      """
            - {id: tr-1, lines: [TREVVICK MAKERS], pile: [], technique: struck, everyBlade: true, from: 1900, to: 1925, give: 1, note: "", source: book}
      """;

  private static Verdict withPack(String more, String knife) {
    return withPack(more, ONE_MARK, knife);
  }

  private static Verdict withPack(String more, String marks, String knife) {
    String pack = PACK.formatted(more, marks);
    Examiner own =
        EXAMINER.with(
            PackFormat.inPlace(List.of(PackFormat.read("own.yaml", pack)), EXAMINER.shelf()));
    return own.examine(SpecimenFormat.read(knife, own.shelf()));
  }

  private static String reading(String line) {
    return "{\"marks\":[{\"blade\":1,\"face\":\"mark\",\"state\":\"read\",\"lines\":[\"%s\"]}]}"
        .formatted(line);
  }

  @Test
  void everythingInAPackThatComesWithAKnifeCounts() {
    String letters = "{\"hallmarks\":[{\"office\":\"upper-quorl\",\"letter\":\"C\"}]}";
    assertThat(withPack("", letters).dating().between(1901, 1904)).isGreaterThan(0.4);

    String spelled = reading("TREVVICK MAKARS");
    assertThat(probability(withPack("spellings: [[MAKERS, MAKARS]]", spelled), "trevvick"))
        .isGreaterThan(probability(withPack("", spelled), "trevvick"));

    String worn = reading("TREVVICX MAKERS");
    assertThat(probability(withPack("confusions: {K: X}", worn), "trevvick"))
        .isGreaterThan(probability(withPack("", worn), "trevvick"));
    assertThat(withPack("", reading("VELDRAKE")).mark().candidates())
        .noneMatch(c -> c.maker().equals("veldrake"));
  }

  private static String handle(String seen) {
    return "{\"seen\":{\"handle_material\":" + seen + "}}";
  }

  @Test
  void anAnswerThatMayBeOneOfTwoIsHeardByTheShareOfEach() {
    String one = handle("{\"value\":\"celluloid\",\"sureness\":\"sure\"}");
    String other = handle("{\"value\":\"acetal\",\"sureness\":\"sure\"}");
    String either =
        handle("{\"value\":\"celluloid\",\"sureness\":\"sure\",\"or\":{\"acetal\":%s}}");
    double celluloid = examine(one).dating().between(1960, 2026);
    double acetal = examine(other).dating().between(1960, 2026);
    double half = examine(either.formatted(0.5)).dating().between(1960, 2026);
    double little = examine(either.formatted(0.1)).dating().between(1960, 2026);
    assertThat(half).isBetween(celluloid + 0.05, acetal - 0.05);
    assertThat(little).isBetween(celluloid, half - 0.02);
    assertThat(examine(either.formatted(1e-9)).dating().between(1960, 2026))
        .isCloseTo(celluloid, within(1e-6));
    assertThat(examine(either.formatted(0.5)).dating().clues().get(0).value())
        .containsIgnoringCase("celluloid")
        .contains(" or ")
        .containsIgnoringCase("acetal");
  }

  @Test
  void whatMayBeOneOfTwoIsKeptAndBadSharesAreToldByField() {
    String either =
        handle("{\"value\":\"celluloid\",\"sureness\":\"likely\",\"or\":{\"phenolic\":0.4}}");
    var knife = SpecimenFormat.read(either, EXAMINER.shelf());
    assertThat(knife.seen().get("handle_material").shares())
        .containsEntry("phenolic", 0.4)
        .containsEntry("celluloid", 0.6);
    assertThat(SpecimenFormat.readKept(SpecimenFormat.write(knife))).isEqualTo(knife);
    for (String bad :
        List.of(
            "{\"value\":\"celluloid\",\"sureness\":\"sure\",\"or\":{\"butter\":0.4}}",
            "{\"value\":\"celluloid\",\"sureness\":\"sure\",\"or\":{\"celluloid\":0.4}}",
            "{\"value\":\"celluloid\",\"sureness\":\"sure\",\"or\":{\"acetal\":0.6,\"horn\":0.4}}",
            "{\"sureness\":\"cannot-tell\",\"or\":{\"horn\":0.4}}")) {
      assertThatThrownBy(() -> SpecimenFormat.read(handle(bad), EXAMINER.shelf()))
          .as(bad)
          .isInstanceOf(InvalidInput.class)
          .hasMessageContaining("seen.handle_material.or");
    }
  }

  @Test
  void aHeadlineThatSaysItWasMadeLaterGoesWithTheLaterYears() {
    String camp =
        "{\"seen\":{\"punch\":\"wing\",\"can_opener\":\"two-part\",\"jigging\":\"worm-groove\",\"spacer\":\"plastic\"}}";
    DatingVerdict late = examine(camp).dating();
    assertThat(late.opinion().headline()).contains("later in the old style");
    assertThat(late.opinion().years().from()).isGreaterThanOrEqualTo(1945);
    DatingVerdict early = examine(camp.replace(",\"spacer\":\"plastic\"", "")).dating();
    assertThat(early.opinion().years()).isEqualTo(early.explanations().get(0).nineTenths());
  }

  private static final String OFFERS =
      ONE_MARK
          + """
              history:
                kind: maker
                shields:
                  - {shape: bar, give: 1, from: 1900, to: 1925, note: "", source: book}
                models:
                  - {number: "77", label: Jack, pattern: regular-jack, from: 1900, to: 1925, note: "", source: book%s}
          """;

  private static Verdict offered(String options) {
    return withPack(
        "",
        OFFERS.formatted(options),
        "{\"number\":\"77\",\"seen\":{\"shield_shape\":\"oval\"},\"marks\":["
            + "{\"blade\":1,\"face\":\"mark\",\"state\":\"read\",\"lines\":[\"TREVVICK MAKERS\"]}]}");
  }

  private static double shieldChanged(Verdict verdict) {
    return verdict.dating().states().stream()
        .filter(s -> "shield".equals(s.state().part()))
        .mapToDouble(StateProbability::probability)
        .sum();
  }

  @Test
  void whatAModelCouldBeHadWithIsNoChange() {
    Verdict plain = offered("");
    Verdict option =
        offered(", options: [{feature: shield_shape, value: oval, note: for export.}]");
    Verdict later = offered(", options: [{feature: shield_shape, value: oval, from: 1924}]");
    Verdict other = offered(", options: [{feature: shield_shape, value: crest}]");
    assertThat(shieldChanged(option)).isLessThan(0.7 * shieldChanged(plain));
    assertThat(shieldChanged(other)).isCloseTo(shieldChanged(plain), within(1e-12));
    assertThat(later.dating().between(1924, 1925))
        .isGreaterThan(2 * option.dating().between(1924, 1925));
    assertThat(option.dating().clues())
        .filteredOn(c -> c.feature().equals("shield_shape"))
        .singleElement()
        .satisfies(
            c ->
                assertThat(c.why())
                    .endsWith("An option of No. 77 of Trevvick, 1900 to 1925: for export."));
  }

  private static final String DIES =
      """
            - {id: tr-old, lines: [TREVVICK, NO 14], pile: [], technique: struck, everyBlade: true, from: 1880, to: 1899, give: 1, note: "", source: book, letterform: {letter_serifs: serif, letter_four: closed}}
            - {id: tr-new, lines: [TREVVICK, NO 14], pile: [], technique: struck, everyBlade: true, from: 1900, to: 1919, give: 1, note: "", source: book, letterform: {letter_serifs: plain, letter_four: open}}
      """;

  private static Verdict ofDies(String seen) {
    String knife =
        "{\"marks\":[{\"blade\":1,\"face\":\"mark\",\"state\":\"read\",\"lines\":[\"TREVVICK\",\"NO 14\"]}],\"seen\":{%s}}";
    return withPack("", DIES, knife.formatted(seen));
  }

  @Test
  void diesOfTheSameWordsAreToldApartByHowTheirLettersAreCut() {
    double none = ofDies("").dating().between(1880, 1899);
    double serif = ofDies("\"letter_serifs\":\"serif\"").dating().between(1880, 1899);
    double plain = ofDies("\"letter_serifs\":\"plain\"").dating().between(1880, 1899);
    double both =
        ofDies("\"letter_serifs\":\"serif\",\"letter_four\":\"closed\"")
            .dating()
            .between(1880, 1899);
    assertThat(plain).isLessThan(none - 0.2);
    assertThat(serif).isGreaterThan(none + 0.2);
    assertThat(both).isGreaterThan(serif + 0.02);
    assertThat(ofDies("\"letter_three\":\"flat\"").dating().between(1880, 1899))
        .isCloseTo(none, within(0.02));
  }

  @Test
  void howLettersAreCutIsWhatWouldTellThem() {
    assertThat(ofDies("").mark().rival().wouldTell())
        .anySatisfy(t -> assertThat(t).startsWith("The figure 4: "));
    assertThat(ofDies("\"letter_four\":\"open\"").mark().rival().decides())
        .contains("The figure 4: open, not closed.");
  }
}
