package snikra.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import snikra.core.measure.Length;
import snikra.core.pattern.Pattern;
import snikra.core.pattern.PatternNamer;
import snikra.core.pattern.PatternVerdict;
import snikra.core.pattern.PatternVerdict.Standing;
import snikra.core.specimen.End;
import snikra.core.specimen.Presses;
import snikra.core.specimen.Seen;
import snikra.core.specimen.SeenBlade;
import snikra.core.specimen.Side;
import snikra.core.specimen.Specimen;
import snikra.core.specimen.Sureness;

class PatternNamingTest {
  private final PatternNamer namer =
      new PatternNamer(ShippedShelf.load().patterns(), ShippedShelf.judgement());

  /** Named in the table, by the school it is named for. */
  private record Case(
      String kind,
      String expected,
      String school,
      String frame,
      String bolsters,
      String length,
      String springs,
      String blades) {

    boolean isPartial() {
      return kind.equals("partial");
    }
  }

  @Test
  void atLeastNineteenInTwentyWholeKnivesGetTheNameAnExperiencedEyeGivesThem() throws IOException {
    List<Case> cases = cases().filter(c -> !c.isPartial()).toList();
    List<String> misses =
        cases.stream().filter(c -> !ranked(c).get(0).equals(c.expected)).map(this::told).toList();

    assertThat(cases).hasSizeGreaterThan(140);
    assertThat(misses).as("of " + cases.size()).hasSizeLessThanOrEqualTo(cases.size() / 20);
  }

  @Test
  void atLeastNineteenInTwentyKnivesHalfSeenHaveTheirNameAmongTheFirstThree() throws IOException {
    List<Case> cases = cases().filter(Case::isPartial).toList();
    List<String> misses =
        cases.stream()
            .filter(c -> !ranked(c).stream().limit(3).toList().contains(c.expected))
            .map(this::told)
            .toList();

    assertThat(cases).hasSizeGreaterThanOrEqualTo(40);
    assertThat(misses).as("of " + cases.size()).hasSizeLessThanOrEqualTo(cases.size() / 20);
  }

  private static Stream<Case> cases() throws IOException {
    try (var in = PatternNamingTest.class.getResourceAsStream("named-knives.csv")) {
      return new String(in.readAllBytes(), StandardCharsets.UTF_8)
              .lines()
              .filter(l -> !l.startsWith("#") && !l.startsWith("kind,"))
              .map(l -> l.split(",", -1))
              .map(f -> new Case(f[0], f[1], f[2], f[3], f[4], f[5], f[6], f[7]))
              .toList()
              .stream();
    }
  }

  private List<String> ranked(Case c) {
    boolean trade = c.school.equals("trade");
    return verdict(c).names().stream()
        .sorted(
            Comparator.comparingDouble(
                (PatternVerdict.Name n) -> -(trade ? n.tradeProbability() : n.probability())))
        .map(PatternVerdict.Name::pattern)
        .toList();
  }

  private PatternVerdict verdict(Case c) {
    return namer.name(knife(c.frame, c.bolsters, c.length, c.springs, c.blades));
  }

  private String told(Case c) {
    return c + " was named " + ranked(c).stream().limit(4).toList();
  }

  @Test
  void blindToTheSpringsAThreeBladeKnifeMayBeEither() {
    PatternVerdict verdict =
        namer.name(knife("serpentine", "both-ends", "89 mm", "clip@A sheepfoot@B pen@B"));

    assertThat(verdict.names().get(0).requirements())
        .anySatisfy(
            r -> {
              assertThat(r.asks()).contains("spring");
              assertThat(r.standing()).isEqualTo(Standing.UNKNOWN);
            });
  }

  @Test
  void smallBladesThatStraddleAMainOnBothSpringsMakeAWhittlerAndTheAnswerSaysWhyNotAStockman() {
    PatternVerdict verdict =
        namer.name(knife("serpentine", "both-ends", "89 mm", "clip@A/both pen@B pen@B"));

    assertThat(verdict.title()).isEqualTo("Serpentine whittler");
    PatternVerdict.Name stockman =
        verdict.names().stream()
            .filter(n -> n.pattern().equals("stockman-medium"))
            .findFirst()
            .orElseThrow();
    assertThat(stockman.because())
        .startsWith("Not a medium stockman")
        .contains("main bears on one spring only (found: main bears on both springs)");
  }

  @Test
  void theSameKnifeWithItsMainOnOneSpringIsAStockman() {
    PatternVerdict verdict =
        namer.name(knife("serpentine", "both-ends", "89 mm", "clip@A/one sheepfoot@B spey@B"));
    assertThat(verdict.title()).isEqualTo("Medium stockman");
  }

  @Test
  void theLessSurelyItsSpringsAreSeenTheLessTheyDecide() {
    List<Double> whittler =
        Stream.of(
                Seen.sure(Presses.BOTH),
                new Seen<>(Presses.BOTH, Sureness.LIKELY),
                new Seen<>(Presses.BOTH, Sureness.UNSURE))
            .map(main -> probability("whittler-serpentine", main))
            .toList();
    assertThat(whittler).isSortedAccordingTo(Comparator.reverseOrder()).doesNotHaveDuplicates();
    assertThat(probability("whittler-serpentine", new Seen<>(null, Sureness.CANNOT_TELL)))
        .isEqualTo(probability("whittler-serpentine", null));
  }

  private double probability(String pattern, Seen<Presses> main) {
    Specimen knife = knife("serpentine", "both-ends", "89 mm", "clip@A pen@B pen@B");
    List<SeenBlade> blades = new ArrayList<>(knife.blades());
    SeenBlade clip = blades.get(0);
    blades.set(
        0,
        new SeenBlade(clip.type(), clip.end(), main, null, null, null, List.of(), null, Map.of()));
    return namer
        .name(knife(knife.frame(), knife.bolsters(), knife.closedLength(), null, blades))
        .names()
        .stream()
        .filter(n -> n.pattern().equals(pattern))
        .mapToDouble(PatternVerdict.Name::probability)
        .findFirst()
        .orElse(0);
  }

  @Test
  void whatIsNotLookedAtIsNeverCountedAsMissed() {
    PatternVerdict verdict = namer.name(knife("canoe", null, null, ""));

    assertThat(verdict.names().get(0).pattern()).isEqualTo("canoe");
    assertThat(verdict.names().get(0).requirements())
        .extracting(PatternVerdict.Requirement::standing)
        .doesNotContain(Standing.MISSED);
  }

  @Test
  void bladesAreSetIntoTheirSlotsWhateverTheOrder() {
    PatternVerdict verdict =
        namer.name(knife("serpentine", "both-ends", "89 mm", "clip@A/one spey@B sheepfoot@B"));
    assertThat(verdict.title()).isEqualTo("Medium stockman");
  }

  @Test
  void aKnifeLikeNothingInTheBookIsNotForcedIntoAName() {
    PatternVerdict verdict =
        namer.name(knife("canoe", null, "130 mm", "razor@A razor@A razor@B razor@B file@A"));
    assertThat(verdict.unnamed()).isGreaterThan(0.5);
    assertThat(verdict.title()).isEqualTo("Canoe, five blades");
  }

  @Test
  void smallBladesThatLieTheOtherWayRoundAreNamedAsExchanged() {
    PatternVerdict verdict =
        namer.name(
            knife(
                "serpentine",
                "both-ends",
                "89 mm",
                "2",
                "clip@A/one spey@B/mark sheepfoot@B/pile"));
    assertThat(verdict.title()).isEqualTo("Medium stockman");
    assertThat(verdict.names().get(0).departures()).containsExactly("spey and sheepfoot exchanged");
  }

  @Test
  void aBladeInPlaceOfAnotherIsNamedAsSuchAndTheNameKept() {
    PatternVerdict verdict =
        namer.name(knife("serpentine", "both-ends", "102 mm", "2", "clip@A/one sheepfoot@B awl@B"));
    assertThat(verdict.title()).isEqualTo("Large stockman");
    assertThat(verdict.names().get(0).departures())
        .containsExactly("a plain awl in place of the spey");
  }

  @Test
  void oneSpringWhereTwoBelongIsADeparture() {
    PatternVerdict verdict =
        namer.name(knife("serpentine", "both-ends", "89 mm", "1", "clip@A/one sheepfoot@B spey@B"));
    assertThat(verdict.names().get(0).departures()).containsExactly("on one spring");
  }

  @Test
  void aBolsterAtThePivotOnlyPutsBareheadBeforeTheName() {
    assertThat(namer.name(knife("swell-end", "front-only", "89 mm", "1", "spear@A")).title())
        .isEqualTo("Barehead swell-end jack");
  }

  @Test
  void aNameThatOnlySellersUseIsNotInTheRunningOfTheStrictSchool() {
    PatternVerdict verdict =
        namer.name(knife("swell-end", "both-ends", "114 mm", "2", "clip@A pen@A"));
    PatternVerdict.Name giant = find(verdict, "giant-jack");

    assertThat(verdict.tradeTitle()).isEqualTo("Giant jack");
    assertThat(verdict.title()).isNotEqualTo("Giant jack");
    assertThat(giant.probability()).isZero();
    assertThat(giant.tradeProbability()).isGreaterThan(0.5);
  }

  @Test
  void whileOnlyItsSizeIsOpenTheNameAllSizesShareHeadsThePage() {
    PatternVerdict verdict =
        namer.name(knife("serpentine", "both-ends", "", "", "clip@A/one sheepfoot@B spey@B"));
    assertThat(verdict.title()).isEqualTo("Stockman");
    assertThat(verdict.names().get(1).settle().look()).startsWith("Measure it closed");
  }

  @Test
  void theLookThatWouldSettleStockmanOrWhittlerIsAtTheBack() {
    PatternVerdict verdict =
        namer.name(knife("serpentine", "both-ends", "89 mm", "", "clip@A sheepfoot@B ?@B"));
    assertThat(find(verdict, "whittler-serpentine").settle())
        .isEqualTo(
            new PatternVerdict.Settle(
                "blades", "See from the back whether the main bears on one spring or both."));
  }

  @Test
  void aKnifeOfTwelveToolsIsNamedWithoutDelay() {
    String blades =
        "spear@A/one pen@B hoof-pick@A corkscrew@B saw@A file@B awl@B scissors@A gimlet@B fleam@A"
            + " screwdriver@B button-hook@A";
    PatternVerdict verdict = namer.name(knife("horseman-wide", "both-ends", "102 mm", "2", blades));
    assertThat(verdict.names().get(0).pattern()).isIn("horsemans-knife", "sportsmans-knife");
  }

  @Test
  void probabilitiesOfEverySchoolStayWithinOne() throws IOException {
    cases()
        .forEach(
            c -> {
              List<PatternVerdict.Name> names = verdict(c).names();
              double strict = names.stream().mapToDouble(PatternVerdict.Name::probability).sum();
              double trade =
                  names.stream().mapToDouble(PatternVerdict.Name::tradeProbability).sum();
              assertThat(strict + verdict(c).unnamed()).isLessThanOrEqualTo(1 + 1e-9);
              assertThat(trade).isLessThanOrEqualTo(1 + 1e-9);
            });
  }

  private static PatternVerdict.Name find(PatternVerdict verdict, String pattern) {
    return verdict.names().stream()
        .filter(n -> n.pattern().equals(pattern))
        .findFirst()
        .orElseThrow();
  }

  @Test
  void nothingSeenHasNoName() {
    assertThat(namer.name(Specimen.unseen()).names()).isEmpty();
  }

  private static Specimen knife(String frame, String bolsters, String length, String blades) {
    return knife(frame, bolsters, length, "", blades);
  }

  private static Specimen knife(
      String frame, String bolsters, String length, String springs, String blades) {
    return knife(
        seen(frame),
        seen(bolsters),
        isBlank(length) ? null : Length.parse(length),
        isBlank(springs) ? null : Seen.sure(Integer.valueOf(springs)),
        blades(blades));
  }

  private static Specimen knife(
      Seen<String> frame,
      Seen<String> bolsters,
      Length length,
      Seen<Integer> springs,
      List<SeenBlade> blades) {
    return new Specimen(
        null, null, frame, bolsters, length, springs, blades, List.of(), null, Map.of(), Map.of(),
        List.of(), List.of());
  }

  private static Seen<String> seen(String value) {
    return isBlank(value) ? null : Seen.sure(value);
  }

  private static boolean isBlank(String text) {
    return text == null || text.isBlank();
  }

  // "clip@A/both": kind, end and, after a stroke, the springs it bears on or the side it lies on.
  private static List<SeenBlade> blades(String text) {
    List<SeenBlade> blades = new ArrayList<>();
    for (String one : Arrays.stream(text.split(" ", -1)).filter(t -> !t.isEmpty()).toList()) {
      String[] parts = one.split("[@/]", -1);
      String last = parts.length < 3 ? "" : parts[2].toUpperCase(Locale.ROOT);
      boolean presses = last.equals("ONE") || last.equals("BOTH");
      blades.add(
          SeenBlade.sure(
              parts[0].equals("?") ? null : parts[0],
              End.valueOf(parts[1]),
              presses ? Presses.valueOf(last) : null,
              presses || last.isEmpty() ? null : Side.valueOf(last)));
    }
    return blades;
  }

  @ParameterizedTest
  @CsvSource({
    "pictures, key, novelty-key",
    "pictures, coin, novelty-coin",
    "pictures, pistol, novelty-pistol",
    "pictures, figure, novelty-figure",
    "pictures, leg, novelty-leg",
    "pictures, ruler, novelty-ruler",
    "pictures, scissors, novelty-scissors",
    "handle_picture, under-clear, picture-handle",
    "bail, chain, boys-knife-chain",
    "release, button, trick-knife",
    "loose_part, bar, trick-knife"
  })
  void whatGivesAKnifeItsNameIsHeard(String feature, String answer, String pattern) {
    Specimen knife =
        SpecimenFormat.read(
            "{\"seen\":{\"%s\":\"%s\"},\"blades\":[{\"type\":\"spear\",\"end\":\"A\"}]}"
                .formatted(feature, answer),
            ShippedShelf.load());
    assertThat(namer.name(knife).names().get(0).pattern()).isEqualTo(pattern);
    Specimen without =
        SpecimenFormat.read(
            "{\"blades\":[{\"type\":\"spear\",\"end\":\"A\"}]}", ShippedShelf.load());
    assertThat(namer.name(without).names())
        .extracting(PatternVerdict.Name::pattern)
        .doesNotContain(pattern);
  }

  @ParameterizedTest
  @CsvSource({"slides-out, quill-slide, novelty-slide", "slides-out, novelty-slide, quill-slide"})
  void aBladeThatSlidesOutIsOfAQuillOrOfANovelty(String answer, String one, String other) {
    Specimen knife =
        SpecimenFormat.read(
            "{\"seen\":{\"release\":\"%s\"}}".formatted(answer), ShippedShelf.load());
    assertThat(namer.name(knife).names())
        .extracting(PatternVerdict.Name::pattern)
        .contains(one, other);
  }

  @Test
  void aPullThePatternIsNotKnownWithSpeaksAgainstIt() {
    String knife =
        "{\"frame\":\"equal-end\",\"seen\":{\"nail_pull\":\"%s\"},\"blades\":[{\"type\":\"spear\",\"end\":\"A\"}]}";
    double usual = share("equal-end-jack", knife.formatted("crescent"));
    double odd = share("equal-end-jack", knife.formatted("tang-lever"));
    assertThat(odd).isLessThan(usual);
  }

  private double share(String pattern, String knife) {
    return namer.name(SpecimenFormat.read(knife, ShippedShelf.load())).names().stream()
        .filter(n -> n.pattern().equals(pattern))
        .mapToDouble(PatternVerdict.Name::probability)
        .findFirst()
        .orElse(0);
  }

  @Test
  void coversOfMetalMakeNoUtilityKnifeOfAPatternThatHasThemItself() {
    PatternVerdict verdict = namer.name(knife("rope-square", "all-metal", "86 mm", "1", "fleam@A"));
    assertThat(verdict.names().get(0).pattern()).isEqualTo("fleam");
  }

  @Test
  void aWedgeThatRunsOutIsTheMarkOfAWhittlerAndNoneSpeaksAgainstOne() {
    String knife =
        "{\"frame\":\"equal-end\",\"springs\":2,\"closedLength\":\"90 mm\",\"seen\":{%s},\"blades\":"
            + "[{\"type\":\"spear\",\"end\":\"A\"},{\"type\":\"pen\",\"end\":\"B\"},{\"type\":\"pen\",\"end\":\"B\"}]}";
    String whittler = "whittler-equal-end";
    double notLooked = share(whittler, knife.formatted(""));
    double wedge = share(whittler, knife.formatted("\"divider\":\"wedge\""));
    double full = share(whittler, knife.formatted("\"divider\":\"full\""));
    double none = share(whittler, knife.formatted("\"divider\":\"none\""));
    assertThat(wedge).isGreaterThan(notLooked).isGreaterThan(full);
    assertThat(none).isLessThan(full).isLessThan(notLooked);
    String cattle = knife.replaceFirst("pen", "spey");
    assertThat(share("cattle-knife", cattle.formatted("\"divider\":\"wedge\"")))
        .isLessThan(share("cattle-knife", cattle.formatted("")));
  }

  @ParameterizedTest
  @CsvSource({
    "canoe, '\"frame\":%s,\"bolsters\":\"both-ends\",\"blades\":[{\"type\":\"spear\",\"end\":\"A\"},{\"type\":\"pen\",\"end\":\"B\"}]', canoe, equal-end",
    "muskrat, '\"frame\":\"serpentine-slim\",\"blades\":[{\"type\":\"long-clip\",\"end\":\"A\"},{\"type\":%s,\"end\":\"B\"}]', long-clip, pen"
  })
  void anOutlineOrABladeThatMayBeAnotherCountsByItsShare(
      String pattern, String knife, String one, String other) {
    String form = "{" + knife + "}";
    double surely = share(pattern, form.formatted('"' + one + '"'));
    double surelyOther = share(pattern, form.formatted('"' + other + '"'));
    double before = surely;
    for (String much : List.of("0.2", "0.5", "0.8")) {
      String either =
          "{\"value\":\"%s\",\"sureness\":\"sure\",\"or\":{\"%s\":%s}}".formatted(one, other, much);
      double now = share(pattern, form.formatted(either));
      assertThat(now).as(either).isLessThan(before).isGreaterThan(surelyOther);
      before = now;
    }
    String nonsense =
        "{\"value\":\"%s\",\"sureness\":\"sure\",\"or\":{\"butter\":0.2}}".formatted(one);
    assertThatThrownBy(() -> read(form.formatted(nonsense)))
        .hasMessageContaining(".or")
        .hasMessageContaining("butter");
  }

  @Test
  void noDividerIsNamedThatIsNotThere() {
    String knife =
        "{\"frame\":\"serpentine-slim\",\"springs\":2,\"closedLength\":\"98 mm\",\"seen\":{%s},\"blades\":"
            + "[{\"type\":\"long-clip\",\"end\":\"A\"},{\"type\":\"long-clip\",\"end\":\"B\"}]}";
    PatternVerdict without = read(knife.formatted("\"divider\":\"none\""));
    assertThat(without.title() + without.names().get(0).because())
        .doesNotContainIgnoringCase("divider")
        .doesNotContainIgnoringCase("liner");
    PatternVerdict with = read(knife.formatted("\"divider\":\"full\""));
    assertThat(with.names().get(0).pattern()).isEqualTo("muskrat-two-spring");
    assertThat(with.names().get(0).requirements())
        .anySatisfy(
            r -> {
              assertThat(r.asks()).isEqualTo("a liner between the springs");
              assertThat(r.standing()).isEqualTo(Standing.MET);
            });
  }

  @ParameterizedTest
  @CsvSource({
    "office-knife, handle_material, ivory, bone-jigged",
    "fruit-knife, blade_steel, silver, carbon",
    "french-peasant, handle_material, wood, stag",
    "sardinian-shepherd, handle_material, horn, wood"
  })
  void coversAndSteelCountWhereTheyDefineAName(
      String pattern, String feature, String asked, String other) {
    Pattern of = ShippedShelf.load().patterns().pattern(pattern).orElseThrow();
    String blades =
        of.slots().stream()
            .filter(s -> !s.optional())
            .map(s -> "{\"type\":\"%s\",\"end\":\"%s\"}".formatted(s.usualType(), s.end()))
            .collect(Collectors.joining(","));
    String knife =
        "{\"frame\":\""
            + Collections.max(of.frames().entrySet(), Map.Entry.comparingByValue()).getKey()
            + "\",\"bolsters\":\""
            + of.bolsters().get(0)
            + "\",\"closedLength\":\""
            + of.closedLengthMm().typical()
            + " mm\",\"seen\":{%s},\"blades\":["
            + blades
            + "]}";
    String seen = "\"" + feature + "\":\"%s\"";
    double met = share(pattern, knife.formatted(seen.formatted(asked)));
    double missed = share(pattern, knife.formatted(seen.formatted(other)));
    double notLooked = share(pattern, knife.formatted(""));
    assertThat(met).isGreaterThanOrEqualTo(notLooked - 1e-9);
    assertThat(missed).isLessThan(notLooked);
  }

  private PatternVerdict read(String knife) {
    return namer.name(SpecimenFormat.read(knife, ShippedShelf.load()));
  }
}
