package snikra.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.args.AxeRuleOptions;
import com.deque.html.axecore.args.AxeRunOnlyOptions;
import com.deque.html.axecore.args.AxeRunOptions;
import com.deque.html.axecore.playwright.AxeBuilder;
import com.deque.html.axecore.results.Rule;
import com.microsoft.playwright.Download;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import com.microsoft.playwright.options.FilePayload;
import com.microsoft.playwright.options.SelectOption;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * Every view by the rules of the accessibility checker, at both sizes, in light and in dark;
 * colours at the wide one.
 */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class AccessIT {
  private static final String CONTRAST = "color-contrast";
  private static final AxeRunOptions ALL_RULES = rules(true);

  /** Colours are those of the wide page, and by far the slowest to look at. */
  private static final AxeRunOptions NARROW_RULES = rules(false);

  private static final int NARROW = 600;

  @TempDir static Path data;
  private App app;
  private Chromium chromium;

  // WCAG 2.2 to AA with best practice, and two rules the checker leaves off by itself.
  private static AxeRunOptions rules(boolean withContrast) {
    AxeRunOnlyOptions tags = new AxeRunOnlyOptions();
    tags.setType("tag");
    tags.setValues(
        List.of("wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa", "best-practice"));
    AxeRuleOptions on = new AxeRuleOptions();
    on.setEnabled(true);
    AxeRuleOptions contrast = new AxeRuleOptions();
    contrast.setEnabled(withContrast);
    AxeRunOptions options = new AxeRunOptions();
    options.setRunOnly(tags);
    options.setRules(
        Map.of("target-size", on, "label-content-name-mismatch", on, CONTRAST, contrast));
    // What keeps a rule is not told: on a station of 300 answers it is most of what is sent.
    options.setResultTypes(List.of("violations"));
    return options;
  }

  @BeforeAll
  void start() {
    app = App.lasting(data, "--demo");
    chromium = new Chromium();
  }

  @AfterAll
  void stop() {
    chromium.close();
    app.close();
  }

  /** Stations with drawings, letters, marks of faults and dots of their own colours. */
  private static final List<String> COLOURED = List.of("Pattern", "Marks", "Condition", "Value");

  @ParameterizedTest
  @CsvSource({"1280, 800", "390, 844"})
  void everyViewKeepsAllRules(int width, int height) {
    Page page = chromium.page(width, height);
    page.navigate(app.url("/tray"));
    assertThat(page.locator("a[data-knife]")).hasCount(8);
    check(page, "tray");
    button(page, "table").click();
    page.getByLabel("Choose all").check();
    check(page, "tray as a table");
    button(page, "Place and tags").click();
    check(page, "place and tags of several");
    page.keyboard().press("Escape");
    button(page, "Columns").click();
    check(page, "columns to choose");
    page.keyboard().press("Escape");
    button(page, "time line").click();
    check(page, "tray on the time line");
    button(page, "table").click();
    page.getByLabel("Choose all").check();
    page.getByText("Side by side").click();
    assertThat(page.getByText("\u00d7 life")).isVisible();
    check(page, "side by side");
    page.navigate(app.url("/tray"));
    page.getByLabel("Choose all").uncheck();
    page.getByLabel("Choose 1, ").check();
    page.getByLabel("Choose 3, ").check();
    page.getByText("One mark of these").click();
    assertThat(page.getByLabel("Its letters")).isVisible();
    check(page, "one mark of several knives");
    page.navigate(app.url("/catalogue"));
    assertThat(page.getByText("Maker not known").first()).isVisible();
    check(page, "a printed catalogue");
    page.navigate(app.url("/collection"));
    assertThat(page.getByText("When they were made")).isVisible();
    check(page, "the collection in pictures");
    page.navigate(app.url("/quick"));
    page.getByText("Solid and fitted").click();
    assertThat(page.getByLabel("What to do")).containsText("at most");
    check(page, "a quick look");
    page.getByText("Add what I noted").click();
    check(page, "what was noted at the market");
    page.keyboard().press("Escape");
    page.navigate(app.url("/practice"));
    page.getByLabel("Who practises").fill("Ada");
    page.getByText("Any knife").click();
    page.getByLabel("What was done to it").selectOption("As it was made");
    check(page, "a knife to guess at");
    page.getByText("Unveil").click();
    assertThat(page.getByText("Ada, after")).isVisible();
    check(page, "what came of a guess");
    page.getByText("One to grade").click();
    page.getByLabel("Its grade").selectOption(new SelectOption().setIndex(1));
    check(page, "a knife to grade");
    page.navigate(app.url("/wanted"));
    assertThat(page.getByText("Not to be taken for").first()).isVisible();
    check(page, "wanted");
    page.getByText("Add one").click();
    check(page, "one to look for");
    page.keyboard().press("Escape");
    page.navigate(app.url("/tray"));
    button(page, "drawings").click();
    page.navigate(app.url("/makers"));
    assertThat(page.locator("#maker-name")).isVisible();
    check(page, "makers");
    page.getByText("Marks out of a table").click();
    page.getByLabel("or paste rows").fill("Stamp,Dates\nTHR_LE,1890-1900\nTHRALE,to 1941\n");
    page.keyboard().press("Tab");
    assertThat(page.getByTestId("report")).isVisible();
    check(page, "marks out of a table");
    page.keyboard().press("Escape");
    page.getByText("A code by example").click();
    page.getByLabel("As struck, row 1").fill("A");
    page.getByLabel("Made, row 1").fill("1921");
    page.getByLabel("As struck, row 2").fill("C");
    page.getByLabel("Made, row 2").fill("1923");
    page.keyboard().press("Tab");
    assertThat(page.getByLabel("Ways found")).isVisible();
    check(page, "a code by example");
    page.keyboard().press("Escape");
    page.getByText("Numbers by example").click();
    assertThat(page.getByLabel("Number, row 1")).isVisible();
    check(page, "numbers by example");
    page.keyboard().press("Escape");
    page.navigate(app.url("/makers/quastenbeck-nachf/time-line"));
    assertThat(page.getByText("Nothing is kept before you say so.")).isVisible();
    check(page, "the years of a maker");
    page.navigate(app.url("/makers/quastenbeck-nachf/set"));
    assertThat(page.getByText("places filled.")).isVisible();
    check(page, "the set of a maker");
    page.navigate(app.url("/years/1955"));
    assertThat(page.getByText("Made then:").first()).isVisible();
    check(page, "what a year bears");
    page.navigate(app.url("/keeping"));
    assertThat(page.getByText("Copies", new Page.GetByTextOptions().setExact(true))).isVisible();
    check(page, "safe keeping");
    Download whole = page.waitForDownload(() -> page.getByText("Save it").click());
    page.getByLabel("A collection to add").setInputFiles(whole.path());
    assertThat(page.getByLabel("What it would bring")).isVisible();
    check(page, "a collection to bring");
    page.navigate(app.url("/words?at=blades&word=kick"));
    assertThat(page.locator("#word-kick")).isVisible();
    check(page, "words");
    page.navigate(app.url("/care"));
    assertThat(page.getByLabel("Reminders")).isVisible();
    check(page, "to look at again");
    page.navigate(app.url("/carried"));
    assertThat(page.getByLabel("Next in turn")).isVisible();
    check(page, "in the pocket");
    page.navigate(app.url("/grading"));
    assertThat(page.getByLabel("Schools", new Page.GetByLabelOptions().setExact(true))).isVisible();
    check(page, "schools");
    page.getByText("Make one of my own like this").first().click();
    page.getByText("What was done to it").click();
    check(page, "a school of one's own");
    page.keyboard().press("Escape");
    page.navigate(app.url("/sales"));
    assertThat(page.getByText("Save as a table")).isVisible();
    check(page, "sales book");
    page.getByText("Add a sale").click();
    check(page, "a sale");
    page.keyboard().press("Escape");
    page.getByText("Add a list of sales").click();
    check(page, "a list of sales");
    page.keyboard().press("Escape");
    page.navigate(app.url("/ledger"));
    assertThat(page.getByText("What came, and what is left of it")).isVisible();
    page.getByText("10 knives, 1 here").click();
    check(page, "ledger");
    page.getByText("From stories").click();
    assertThat(page.getByText("stands in the ledger already")).isVisible();
    check(page, "purchases told in stories");
    page.keyboard().press("Escape");
    page.getByText("Add an entry").click();
    page.getByLabel("Shared").selectOption("by-value");
    check(page, "an entry of the ledger");
    page.getByLabel("What", new Page.GetByLabelOptions().setExact(true)).selectOption("sold");
    check(page, "an entry of what went");
    page.keyboard().press("Escape");
    page.navigate(app.url("/tray"));
    page.getByText("Add a list").click();
    page.getByLabel("or paste rows").fill("Name;Size\nA jack;3 in\nA pen;odd");
    page.keyboard().press("Tab");
    assertThat(page.getByTestId("report")).isVisible();
    check(page, "a list to bring");
    page.keyboard().press("Escape");
    page.getByText("Photographs").click();
    page.getByLabel("Photographs to add")
        .setInputFiles(new FilePayload("odd.png", "image/png", new byte[] {1}));
    assertThat(page.getByText("1 without a knife")).isVisible();
    check(page, "photographs to bring");
    page.keyboard().press("Escape");
    page.navigate(app.url("/schedules"));
    assertThat(page.getByText("Make it")).isVisible();
    check(page, "schedules");
    page.navigate(app.url("/judgement"));
    assertThat(page.getByText("Nobody can look these up")).isVisible();
    check(page, "judgement");
    page.navigate(app.url("/tray"));
    page.locator("a[data-knife]").filter(byText("Old look")).click();
    BenchPage bench = new BenchPage(page);
    assertThat(page.getByTestId("opinion")).isVisible();
    page.getByText("Verdict sheet").click();
    assertThat(page.getByTestId("headline")).isVisible();
    check(page, "verdict sheet");
    page.navigate(page.url().replace("/verdict", "/condition"));
    assertThat(page.getByText("Condition report")).isVisible();
    check(page, "condition report");
    page.navigate(page.url().replace("/condition", "/story"));
    assertThat(page.getByLabel("Who had it")).isVisible();
    check(page, "provenance sheet");
    page.getByText("To the bench").click();
    assertThat(page.getByTestId("opinion")).isVisible();
    page.getByText("Journal").click();
    assertThat(page.getByText("Open question", new Page.GetByTextOptions().setExact(true)))
        .isVisible();
    check(page, "journal");
    page.getByText("To the bench").click();
    assertThat(page.getByTestId("opinion")).isVisible();
    page.getByText("Lookalikes").click();
    assertThat(page.getByTestId("tells")).isVisible();
    check(page, "lookalikes");
    page.getByText("To the bench").click();
    assertThat(page.getByTestId("opinion")).isVisible();
    for (String station : BenchPage.STATIONS) {
      bench.go(station);
      check(page, station);
    }
    bench.go("Marks").press("Put this mark on file");
    assertThat(button(page, "Put it on file")).isVisible();
    check(page, "a mark to put on file");
    page.keyboard().press("Escape");
    bench.go("Handle").field("Handle material").click();
    assertThat(page.getByPlaceholder("type any name")).isVisible();
    check(page, "pictures to choose from");
    page.keyboard().press("Escape");
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("All keys")).click();
    check(page, "help");
    page.close();
  }

  private static com.microsoft.playwright.Locator button(Page page, String name) {
    return page.getByRole(
        AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
  }

  private static com.microsoft.playwright.Locator.FilterOptions byText(String text) {
    return new com.microsoft.playwright.Locator.FilterOptions().setHasText(text);
  }

  private static void check(Page page, String view) {
    boolean isNarrow = page.viewportSize().width < NARROW;
    check(view, checker(page).options(isNarrow ? NARROW_RULES : ALL_RULES));
    // On a dark ground only the colours are others; of stations, those of a few.
    if (!isNarrow && (COLOURED.contains(view) || !BenchPage.STATIONS.contains(view))) {
      ground(page, ColorScheme.DARK);
      check(view + " in the dark", checker(page).withRules(List.of(CONTRAST)));
      ground(page, ColorScheme.LIGHT);
    }
    Object wider =
        page.evaluate("() => document.documentElement.scrollWidth > window.innerWidth + 1");
    assertThat(wider).as(view + " scrolls sideways").isEqualTo(false);
  }

  // The other mode opens a page for each check to join frames together; no view has frames.
  private static AxeBuilder checker(Page page) {
    return new AxeBuilder(page).setLegacyMode(true);
  }

  private static void ground(Page page, ColorScheme scheme) {
    page.emulateMedia(new Page.EmulateMediaOptions().setColorScheme(scheme));
  }

  private static void check(String view, AxeBuilder checker) {
    List<Rule> violations = checker.analyze().getViolations();
    assertThat(violations)
        .as(view + ": " + violations.stream().map(v -> v.getId() + " " + v.getNodes()).toList())
        .isEmpty();
  }

  @Test
  void theVerdictFollowsAChangeWithoutThePageJumping() {
    Page page = chromium.page(1280, 800);
    page.navigate(app.url("/tray"));
    page.locator("a[data-knife]").filter(byText("Old look")).click();
    BenchPage bench = new BenchPage(page).go("Frame");
    assertThat(bench.opinion()).containsText("old style");
    page.evaluate(
        "() => { window.moved = 0; new PerformanceObserver(l => l.getEntries().forEach(e =>"
            + " { window.moved += e.value; })).observe({ type: 'layout-shift' }); }");
    bench.choose("Spacer at the tail", "None");
    assertThat(bench.opinion()).not().containsText("old style");
    assertThat(((Number) page.evaluate("() => window.scrollY")).intValue()).isZero();
    assertThat(((Number) page.evaluate("() => window.moved")).doubleValue()).isLessThan(0.1);
  }
}
