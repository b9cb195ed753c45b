package snikra.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.io.TempDir;

/** Answers in the open: how many are in sight, and given by a figure. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class AnswersIT {
  private static final int ENOUGH = 12;

  @TempDir static Path data;
  private App app;
  private Chromium chromium;

  @BeforeAll
  void start() {
    app = App.start(data, "--demo");
    chromium = new Chromium();
  }

  @AfterAll
  void stop() {
    chromium.close();
    app.close();
    assertThat(chromium.complaints).isEmpty();
  }

  private BenchPage laidOut(String knife, int width, int height) {
    return BenchPage.laidOut(app, chromium.page(width, height), knife);
  }

  private static Locator drawing(Page page) {
    return page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Drawing"));
  }

  private static Locator answers(Page page) {
    return page.locator("#station [data-answers]");
  }

  @Test
  void everyStationShowsTwelveAnswersWithoutScrollingOrAllThereAre() {
    for (String knife : List.of("The keeper's plain jack", "Nothing to go on")) {
      BenchPage bench = laidOut(knife, 1280, 800);
      Map<String, Integer> inSight = new LinkedHashMap<>();
      for (String station : BenchPage.STATIONS) {
        bench.go(station);
        int seen = inSight(bench.page());
        if (seen < ENOUGH && seen < all(bench.page())) {
          inSight.put(station, seen);
        }
      }
      assertThat(inSight).as("stations of %s with fewer answers in sight", knife).isEmpty();
    }
  }

  private static final String CONTROLS =
      "[...document.querySelectorAll('#station button, #station input, #station select,"
          + " #station summary')].filter(e => e.checkVisibility())";

  private static int all(Page page) {
    return ((Number) page.evaluate("() => " + CONTROLS + ".length")).intValue();
  }

  private static int inSight(Page page) {
    return ((Number)
            page.evaluate(
                "() => "
                    + CONTROLS
                    + ".filter(e => { const r = e.getBoundingClientRect();"
                    + " return r.top >= 0 && r.bottom <= innerHeight && r.right <= innerWidth;"
                    + " }).length"))
        .intValue();
  }

  @Test
  void figuresAnswerOneQuestionAfterAnother() {
    BenchPage bench = laidOut("Nothing to go on", 1280, 800);
    Page page = bench.page();
    page.keyboard().press("5");
    assertThat(page.locator("#station-name")).hasText("Shield");
    Locator answer = answers(page).getByRole(AriaRole.BUTTON).nth(1);
    String given = answer.textContent().replaceFirst("^\\d", "");
    Locator field = bench.field(inHand(page));
    page.keyboard().press("a");
    page.keyboard().press("2");
    assertThat(field).containsText(given);
    assertThat(bench.field(inHand(page))).not().containsText(given);
    page.keyboard().press("0");
    bench.saved();
    // Out of the answers the figures are stations again, and what was given can be undone.
    page.keyboard().press("Escape");
    page.keyboard().press("7");
    assertThat(page.locator("#station-name")).hasText("Frame");
    page.keyboard().press("Control+z");
    page.keyboard().press("Control+z");
    page.keyboard().press("5");
    assertThat(field).not().containsText(given);
  }

  /** The question whose answers stand open. */
  private static String inHand(Page page) {
    return answers(page).getAttribute("aria-label").replace("Answers: ", "");
  }

  @Test
  void theDrawingMakesRoomAndComesBackByAKey() {
    BenchPage bench = laidOut("The keeper's plain jack", 1280, 800);
    Page page = bench.page();
    double large = height(page);
    bench.go("Shield");
    double small = height(page);
    assertThat(small).isLessThan(0.7 * large);
    page.keyboard().press("d");
    assertThat(height(page)).isEqualTo(large);
    bench.go("Handle");
    assertThat(height(page)).as("as it was chosen, at the next station too").isEqualTo(large);
    page.keyboard().press("d");
    assertThat(height(page)).isEqualTo(small);
    bench.go("Pattern");
    assertThat(height(page)).isEqualTo(large);
  }

  private static double height(Page page) {
    BoundingBox box = drawing(page).boundingBox();
    return Math.rint(box.height);
  }

  @Test
  void wordsOfAStationAreAKeyAwayAndAWordInALabelLeadsToIt() {
    BenchPage bench = laidOut("The keeper's plain jack", 1280, 800).go("Shield");
    Page page = bench.page();
    page.keyboard().press("w");
    assertThat(page.locator("main h1")).hasText("Words of the trade");
    assertThat(page.locator("#words-here")).hasText("Shield");
    assertThat(page.locator("main ul").first().locator("#word-shield")).isVisible();
    page.keyboard().press("Escape");
    assertThat(page.locator("#station-name")).hasText("Shield");
    assertThat(bench.opinion()).isVisible();
    page.locator("#station label a").first().click();
    assertThat(page.locator("#word-shield button")).hasAttribute("aria-pressed", "true");
    page.keyboard().press("Escape");
    assertThat(page.locator("#station-name")).hasText("Shield");
  }

  @Test
  void onAPhoneTheAnswersStandFirstAndATapGivesOne() {
    BenchPage bench = laidOut("Nothing to go on", 390, 844).go("Handle");
    Page page = bench.page();
    Locator field = bench.field(inHand(page));
    assertThat(answers(page).boundingBox().y).isLessThan(field.boundingBox().y);
    Locator answer = answers(page).getByRole(AriaRole.BUTTON).nth(1);
    String given = answer.textContent().replaceFirst("^\\d", "");
    answer.click();
    assertThat(answer).hasAttribute("aria-pressed", "true");
    assertThat(field).containsText(given);
    answer.click();
    assertThat(field).containsText("not yet looked");
    bench.saved();
    // Nothing moves away from under a finger: the list of the field that is pressed opens.
    bench.field("Handle material").click();
    assertThat(page.getByPlaceholder("type any name")).isVisible();
    assertThat(page.evaluate("document.documentElement.scrollWidth")).isEqualTo(390);
  }
}
