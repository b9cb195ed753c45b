package snikra.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.io.TempDir;

/** Seeing, naming and measuring at the bench. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class BenchIT {
  @TempDir static Path data;
  private App app;
  private Chromium chromium;

  @BeforeAll
  void start() {
    app = App.lasting(data, "--demo");
    chromium = new Chromium();
  }

  @AfterAll
  void stop() {
    chromium.close();
    app.close();
    assertThat(chromium.complaints).isEmpty();
  }

  private BenchPage laidOut(String knife) {
    return BenchPage.laidOut(app, chromium.page(1280, 800), knife);
  }

  private static BenchPage inMillimetres(BenchPage bench) {
    bench
        .page()
        .getByRole(AriaRole.BANNER)
        .getByText("mm", new Locator.GetByTextOptions().setExact(true))
        .click();
    return bench;
  }

  private BenchPage newKnife() {
    Page page = chromium.page(1280, 800);
    page.navigate(app.url("/tray"));
    page.getByRole(AriaRole.BANNER).getByText("New knife").click();
    assertThat(page.locator("#station-name")).isVisible();
    return new BenchPage(page);
  }

  @Test
  void aBladeIsFoundByAnyOfItsNamesAndAnotherWordFindsNothing() {
    BenchPage bench = newKnife().go("Blades").press("Add the main blade");
    bench.field("Main blade: kind").click();
    bench.page().keyboard().type("zzz");
    assertThat(bench.page().getByText("No such name in the book.")).isVisible();
    bench.page().keyboard().press("Escape");
    assertThat(bench.field("Main blade: kind")).isFocused();
    bench.page().keyboard().type("muskrat");
    bench.page().keyboard().press("Enter");
    assertThat(bench.field("Main blade: kind")).containsText("Long slender clip");
  }

  @Test
  void whatItIsMayBeClearBeforeItsSizeIsAndTheLookThatSettlesItIsNamed() {
    BenchPage bench = newKnife().choose("Any outline", "Serpentine");
    bench.go("Blades").press("Add the main blade").choose("Main blade: kind", "Clip blade");
    bench.press("Add a blade or tool").choose("Blade 2: kind", "Sheepfoot blade");
    bench.choose("Blade 2: end", "B, the other end").press("Add a blade or tool");
    bench.choose("Blade 3: kind", "Spey blade").choose("Blade 3: end", "B, the other end");
    assertThat(bench.title()).hasText("Stockman");
    bench.go("Pattern");
    assertThat(bench.page().getByTestId("names")).containsText("To settle it: Measure it closed");
    bench.saved();
  }

  @Test
  void bothSchoolsStandSideBySideAndTheSettingDecidesTheHeadline() {
    BenchPage bench = newKnife().choose("Any outline", "Swell-end");
    bench.choose("Bolsters", "Bolsters at both ends").write("Closed length", "114 mm");
    bench.choose("Springs, counted at the back", "2");
    bench.go("Blades").press("Add the main blade").choose("Main blade: kind", "Clip blade");
    bench.press("Add a blade or tool").choose("Blade 2: kind", "Pen blade");
    bench.choose("Blade 2: end", "A, with the main blade");
    assertThat(bench.title()).hasText("Swell-end, two blades");
    bench.go("Pattern");
    assertThat(bench.page().getByTestId("names")).containsText("Giant jack");
    bench.page().getByRole(AriaRole.BANNER).getByText("All keys").first().click();
    bench.page().getByText("as sellers say today").click();
    bench.page().keyboard().press("Escape");
    assertThat(bench.title()).hasText("Giant jack");
    bench.saved();
  }

  @Test
  void theDrawingTurnsOpensAndShutsAndIsSavedWithItsTitleAndScale() throws Exception {
    BenchPage bench = laidOut("Three blades");
    Page page = bench.page();
    assertThat(page.getByLabel(Pattern.compile("Serpentine whittler, mark side, blades open")))
        .isVisible();
    page.getByText("half open", new Page.GetByTextOptions().setExact(true)).click();
    page.getByText("see pile side").click();
    assertThat(page.getByLabel(Pattern.compile("pile side, blades half open"))).isVisible();

    Download svg = page.waitForDownload(() -> page.getByText("SVG").click());
    String drawing = Files.readString(svg.path());
    assertThat(drawing)
        .contains("<title>Serpentine whittler", "times life size")
        .doesNotContain("var(--", "<script");
    Download png = page.waitForDownload(() -> page.getByText("PNG").click());
    assertThat(Files.readAllBytes(png.path()))
        .startsWith(0x89, 'P', 'N', 'G')
        .hasSizeGreaterThan(9000);
  }

  @Test
  void bladesSwingToTheirNewPlaceUnlessLessMotionIsAskedFor() {
    Page page = laidOut("Three blades").page();
    assertThat(page.getByLabel(Pattern.compile("blades open"))).isVisible();
    assertThat(swinging(page, "closed")).isZero();
    page.emulateMedia(
        new Page.EmulateMediaOptions()
            .setReducedMotion(com.microsoft.playwright.options.ReducedMotion.NO_PREFERENCE));
    assertThat(swinging(page, "open")).isEqualTo(4);
    page.waitForTimeout(500);
    assertThat(page.locator("svg g[transform^=matrix]")).hasCount(0);
  }

  // How many parts of the drawing are on their way two frames after the pose was chosen.
  private static int swinging(Page page, String pose) {
    return (int)
        page.evaluate(
            """
            async pose => {
              [...document.querySelectorAll('button[aria-pressed]')]
                .find(b => b.textContent === pose).click();
              await new Promise(requestAnimationFrame);
              await new Promise(requestAnimationFrame);
              return document.querySelectorAll('svg g[transform^=matrix]').length;
            }
            """,
            pose);
  }

  @Test
  void theCaliperReadsIntoTheFieldAndThreeReadingsMakeAMean() {
    BenchPage bench = inMillimetres(laidOut("Three blades")).go("Pattern");
    var length = bench.field("Closed length");
    length.press("F2");
    assertThat(length).hasValue(Pattern.compile("90\\.\\d\\d mm"));
    length.press("F2");
    length.press("F2");
    assertThat(bench.page().locator("#station")).containsText("3 readings: mean 90.");
    bench.page().keyboard().press("Control+z");
    bench.saved();
  }

  @Test
  void aWedgeTypesDigitsUnitAndEnterOverWhatStandsThere() {
    BenchPage bench = inMillimetres(laidOut("Sharpened")).go("Blades");
    bench.field("Main blade: length").focus();
    typesLikeAWedge(bench, "51.92 mm");
    assertThat(bench.field("Main blade: length")).isFocused();
    typesLikeAWedge(bench, "51.94 mm");
    assertThat(bench.field("Main blade: length")).hasValue("51.94 mm");
    bench.saved();
  }

  // In one go within the page: the way through the driver is slower than a wedge, and than a hand.
  private static void typesLikeAWedge(BenchPage bench, String text) {
    bench.page().keyboard().insertText(text);
    bench
        .page()
        .evaluate(
            "() => { for (const key of ['m', 'Enter']) document.activeElement.dispatchEvent("
                + "new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true })) }");
  }

  @Test
  void enterGivesTheKeysBackAndTabGoesOn() {
    BenchPage bench = newKnife();
    bench.field("Closed length").fill("92 mm");
    bench.page().keyboard().press("Enter");
    bench.page().keyboard().press("Tab");
    assertThat(bench.field("Bolsters")).isFocused();
    bench.field("Closed length").fill("93 mm");
    bench.page().keyboard().press("Enter");
    bench.page().keyboard().press("2");
    assertThat(bench.page().locator("#station-name")).hasText("Blades");
    bench.page().keyboard().press("+");
    assertThat(bench.field("Main blade: kind")).isFocused();
    bench.page().keyboard().press("Escape");
    bench.page().keyboard().press("1");
    assertThat(bench.field("Closed length")).hasValue("3 11/16 in");
    bench.saved();
  }

  @Test
  void aBridgePostsALineToTheFieldInHandAndNonsenseIsTold() throws Exception {
    BenchPage bench = laidOut("Old look").go("Action");
    bench.page().waitForTimeout(500);
    bench.field("Pull at the nick").focus();
    String told = post("gauge 34.5 N\nE R R");
    assertThat(told).contains("\"taken\":1").contains("line 2");
    assertThat(bench.field("Pull at the nick")).hasValue("34.5 N");
    post("gauge 35.5 N");
    assertThat(bench.page().locator("#station")).containsText("2 readings: mean 35.0 N");
    bench.field("Spring at the back, open").fill("-0.1; 0.1");
    bench.page().keyboard().press("Enter");
    assertThat(bench.page().locator("#station")).containsText("2 readings: mean 0.0");
    bench.field("Widest gap").fill("-1 mm");
    bench.page().keyboard().press("Enter");
    assertThat(bench.page().locator("#station")).containsText("must be 0 or more");
    bench.page().keyboard().press("Control+z");
    bench.saved();
  }

  private String post(String lines) throws Exception {
    HttpRequest request =
        HttpRequest.newBuilder(URI.create(app.url("/api/devices/lines")))
            .header("Content-Type", "text/plain")
            .POST(HttpRequest.BodyPublishers.ofString(lines))
            .build();
    return HttpClient.newHttpClient().send(request, HttpResponse.BodyHandlers.ofString()).body();
  }

  @Test
  void whatIsLeftOfABladeIsWorkedOutFromItsHeights() {
    BenchPage bench = laidOut("Four letters").go("Blades");
    bench.page().locator("#station summary").first().click();
    bench.page().locator("#station summary").nth(1).click();
    bench.field("Pull").first().click();
    bench.page().keyboard().type("long");
    bench.page().keyboard().press("Enter");
    assertThat(bench.field("Pull").first()).containsText("Long pull");
    bench
        .page()
        .getByLabel("Heights along it")
        .first()
        .fill("4 mm : 12 mm; 35 mm : 9 mm; 60 mm : 6 mm");
    bench.page().getByLabel("Heights along it").first().press("Enter");
    assertThat(bench.page().locator("#station summary").first())
        .containsText(Pattern.compile("\\d\\d% left \\(\\d\\d to \\d\\d\\)"));
    bench.page().getByLabel("Heights along it").first().fill("4 mm");
    bench.page().getByLabel("Heights along it").first().press("Enter");
    assertThat(bench.page().locator("#station")).containsText("must be a length");
    bench.page().keyboard().press("Control+z");
    bench.saved();
  }

  @Test
  void aNormalTwoBladeKnifeIsEnteredAtEveryStation() {
    BenchPage bench = newKnife().choose("Any outline", "Equal-end");
    bench.choose("Bolsters", "Bolsters at both ends").write("Closed length", "3 3/8");
    bench.choose("Springs, counted at the back", "1");
    bench.go("Blades").press("Add the main blade").choose("Main blade: kind", "Spear blade");
    bench.press("Add a blade or tool").choose("Blade 2: kind", "Pen blade");
    bench.choose("Blade 2: end", "B, the other end").choose("Pull on the main blade", "Nail nick");
    assertThat(bench.title()).hasText("Equal-end pen");
    bench.go("Marks");
    bench.field("Line 1 of the mark").pressSequentially("ORBQUENDEL");
    bench.field("Line 2 of the mark").pressSequentially("& SOHN");
    bench.field("Line 3 of the mark").pressSequentially("GERMANY");
    bench.field("Line 3 of the mark").press("Enter");
    bench.go("Shield").choose("Shape of the shield", "Oval");
    bench.go("Handle").choose("Handle material", "Mother-of-pearl");
    assertThat(bench.page().locator("#station")).containsText("Without harm: Hold it to the cheek");
    bench
        .go("Frame")
        .choose("Liners", "Liners of brass")
        .choose("Liner between the springs", "None, springs touch");
    bench.go("Tools").choose("Punch", "No punch");
    bench.go("Action").choose("Walk and talk", "Strong both ways").choose("Gaps", "No light");
    bench.go("Box").choose("Box or wrapper", "None with it");
    bench.go("Condition").choose("Blade wear", "Full");
    bench.go("Story").press("Add an event");
    bench.write("When", "1936").write("Holder", "The lock-keeper");
    assertThat(bench.opinion()).containsText("Orbquendel & Sohn");
    assertThat(
            bench
                .page()
                .getByRole(
                    AriaRole.NAVIGATION,
                    new Page.GetByRoleOptions().setName("Examination, in working order"))
                .getByText("not yet looked"))
        .hasCount(2);
    bench.saved();
  }

  @Test
  void aStationReachedByItsKeyTakesTheFocusAndTheNextKeyStillWorks() {
    Page page = newKnife().page();
    for (String way : new String[] {"2 Blades", "3 Marks", "2 Blades"}) {
      page.keyboard().press(way.substring(0, 1));
      assertThat(page.locator("#station-name")).hasText(way.substring(2));
      assertThat(page.locator("#station")).isFocused();
    }
    page.keyboard().press("Tab");
    assertThat(page.locator("#station").getByText("Understood")).isFocused();
    page.keyboard().press("Tab");
    page.keyboard().press("Enter");
    assertThat(page.getByLabel("Main blade: kind")).isVisible();
  }

  @Test
  void whatIsTypedWhileAListClosesIsNoCommand() {
    BenchPage bench = newKnife().go("Tools");
    Page page = bench.page();
    page.getByRole(AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName("Punch").setExact(true))
        .focus();
    page.keyboard().type("wing");
    page.keyboard().press("Enter");
    page.keyboard().type("tj");
    assertThat(page.getByPlaceholder("type any name")).hasValue("tj");
    page.keyboard().press("Escape");
    assertThat(page.locator("#station")).containsText("Punch with wing");
  }

  @Test
  void aDateCodeAndAPatentNumberNarrowTheYears() {
    BenchPage bench = newKnife().go("Blades").press("Add the main blade").go("Marks");
    bench.field("Line 1 of the mark").pressSequentially("VELDRAKE");
    bench.field("Line 2 of the mark").pressSequentially("U.S.A.");
    bench.field("Line 2 of the mark").press("Enter");
    bench.choose("How it was marked", "etched");
    Locator next = bench.page().getByTestId("look-next");
    assertThat(next).containsText("A date code beside the mark");
    bench.go("Number");
    Locator none = bench.page().getByLabel("Looked for a date code, found none");
    none.focus();
    bench.page().keyboard().press("Space");
    assertThat(next).not().containsText("A date code beside the mark");
    assertThat(bench.page().locator("#station")).containsText("None to be found.");
    bench.page().keyboard().press("Control+z");
    assertThat(none).not().isChecked();
    assertThat(next).containsText("A date code beside the mark");
    bench.press("Add a date code");
    assertThat(none).isHidden();
    bench.choose("Sign", "Bar").write("How many", "7+");
    assertThat(bench.page().getByLabel("7 or more bars")).isVisible();
    assertThat(bench.page().getByText("bars over the number")).containsText("1948 (33%)");
    assertThat(bench.span()).hasText(Pattern.compile("194\\d.195\\d"));
    assertThat(bench.page().getByLabel(Pattern.compile("VELDRAKE . U.S.A., The mark"))).isVisible();

    bench.choose("Sign", "Letters and figures").write("As struck", "23N");
    assertThat(bench.page().getByText("two figures and a letter on the second tang"))
        .containsText("second quarter of 1923");
    bench.choose("Sign", "Placement").choose("Where it stands", "Above");
    assertThat(bench.page().getByText("where the point stands")).containsText("1951");
    bench.choose("Sign", "Letter").write("As struck", "D").choose("Form", "Between two points");
    assertThat(
            bench.page().getByText("Ardelune & Fils, letter between points under the mark: 1936"))
        .isVisible();
    bench.choose("Sign", "Bar").write("How many", "7+");

    bench.press("Add a patent or design").write("Number", "2,345,678");
    assertThat(bench.page().getByText("Not before 1944.")).isVisible();
    bench.write("Number", "pending");
    assertThat(bench.page().locator("#station")).containsText("must be figures");
    bench.write("Number", "2345678").saved();
    bench.page().reload();
    assertThat(bench.go("Number").field("How many")).hasValue("7+");
  }

  @Test
  void aWornMarkOnTwoBladesEndsAtItsMakerAndSaysWhatDecides() {
    BenchPage bench = newKnife().go("Blades").press("Add the main blade");
    bench.press("Add a blade or tool").go("Marks");
    Page page = bench.page();
    bench.field("Line 1 of the mark").pressSequentially("QU.LLF?ER");
    bench.field("Line 2 of the mark").pressSequentially("& DA.");
    assertThat(page.getByTestId("rival")).containsText("It would be told by");
    assertThat(page.getByTestId("rival")).containsText("The pile side of the main tang");
    page.getByLabel("Blade 2, mark side: not yet looked at").click();
    bench.field("Line 1 of the mark").pressSequentially("QUILL*");
    bench.field("Line 2 of the mark").pressSequentially("& DAX");
    assertThat(bench.opinion()).containsText("Quillfer & Dax");
    page.getByLabel("Blade 1, flat of the blade: not yet looked at").click();
    bench.choose("Blade 1, the flat", "Bare").saved();
    page.getByLabel(Pattern.compile("Blade 1, mark side: 2 lines")).click();
    bench.choose("Shape of the lettering", "straight");
    bench.field("Struck out or mashed by its maker: a second").check();
    assertThat(page.getByTestId("findings")).containsText("sold by its maker as a second");
    bench.saved();
  }

  @Test
  void aWornNumberIsCompletedAndAContradictionHasItsReasons() {
    BenchPage bench = newKnife();
    bench.choose("Any outline", "Teardrop").go("Handle").choose("Handle material", "Bone, jigged");
    bench.go("Number").write("Number as struck", "?1/[46]3");
    Page page = bench.page();
    assertThat(page.getByTestId("completions")).containsText("61/43");
    assertThat(page.getByTestId("completions")).containsText("61/63");
    assertThat(page.getByTestId("reasons")).containsText("handle replaced");
    assertThat(page.getByTestId("reasons")).containsText("As it stands it would have been 61/_1");
    bench.write("Number as struck", "99999999");
    assertThat(page.locator("#station")).containsText("No maker on the shelf");
    bench.saved();
  }

  @Test
  void aWholeKnifeOfTwoBladesIsEnteredInAtMostTwoHundredKeys() {
    Page page = chromium.page(1280, 800);
    page.navigate(app.url("/tray"));
    assertThat(page.locator("a[data-knife]").first()).isVisible();
    assertThat(TwoBlades.enter(page)).isLessThanOrEqualTo(200);
    new BenchPage(page).saved();
  }

  @Test
  void aSecondBladeTakesHalfTheKeysOfTheFirst() {
    BenchPage bench = newKnife().go("Blades");
    int[] keys = TwoBlades.enterBlades(bench.page());
    assertThat(2 * keys[1]).isLessThanOrEqualTo(keys[0]);
    bench.saved();
    List<Locator> looks =
        Stream.of("Half stop", "Etch on the blade", "Swedge on the back", "Edge")
            .map(look -> bench.page().getByLabel(look, new Page.GetByLabelOptions().setExact(true)))
            .toList();
    looks.forEach(look -> assertThat(look.nth(1).inputValue()).isEqualTo(look.nth(0).inputValue()));
  }

  @Test
  void anythingMayBeSeenMoreOrLessSurelyOrNotToBeTold() {
    BenchPage bench = newKnife().choose("Any outline", "Serpentine").go("Blades");
    bench.press("Add the main blade").choose("Main blade: kind", "Clip blade");
    bench.press("Main blade: kind: sure. Change how sure");
    bench.choose("Main blade: presses", "cannot tell").choose("Main blade: end", "cannot tell");
    bench.go("Condition").choose("Blade wear", "About a quarter gone");
    assertThat(bench.page().locator("#station")).not().containsText("are not there");
    bench.press("Blade wear: sure. Change how sure").saved();
    assertThat(bench.page().locator("#station"))
        .containsText("Mint if what is not seen surely is not so.");
    bench.page().reload();
    bench.go("Blades");
    assertThat(bench.field("Main blade: presses")).hasValue("cannot-tell");
    assertThat(bench.page().getByLabel("Main blade: kind: likely. Change how sure")).isVisible();
  }

  @Test
  void aSizeNoPatternHasIsQuestionedAndKept() {
    BenchPage bench = newKnife().write("Closed length", "300 mm").saved();
    assertThat(bench.page().getByTestId("findings")).containsText("Is the unit right?");
    assertThat(bench.field("Closed length")).hasValue("11 13/16 in");
    assertThat(inMillimetres(bench).field("Closed length")).hasValue("300 mm");
  }

  @Test
  void aCautionStandsAtItsStepUntilItIsWavedAwayAndStaysOnItsPage() {
    BenchPage bench = laidOut("Three blades").go("Action");
    assertThat(bench.page().getByRole(AriaRole.NOTE)).containsText("A stiff spring slips");
    bench.page().getByText("Understood").click();
    assertThat(bench.page().getByRole(AriaRole.NOTE)).hasCount(0);
    bench.page().keyboard().press("?");
    assertThat(bench.page().getByRole(AriaRole.DIALOG)).containsText("A stiff spring slips");
  }

  @Test
  void oneKeyTakesOverTheChoicesOfTheKnifeBefore() {
    BenchPage first = newKnife();
    first.choose("Any outline", "Gunstock").saved();
    Page page = first.page();
    page.evaluate("() => document.activeElement?.blur()");
    page.getByText("New knife").press("Enter");
    assertThat(first.field("Any outline")).containsText("not yet looked");
    page.evaluate("() => document.activeElement?.blur()");
    page.keyboard().press("r");
    assertThat(first.field("Any outline")).containsText("Gunstock");
    first.saved();
  }
}
