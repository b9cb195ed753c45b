package snikra.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import org.junit.jupiter.api.io.TempDir;

/** Takes the pictures of docs/screenshots anew, from the sample tin. */
@EnabledIfSystemProperty(named = "snikra.screenshots", matches = ".+")
class ScreenshotsIT {
  private static final Path FOLDER = Path.of(System.getProperty("snikra.screenshots", "target"));
  @TempDir Path data;

  @Test
  void everyMainView() {
    try (App app = App.lasting(data, "--demo");
        Chromium chromium = new Chromium()) {
      Page page = chromium.page(1280, 800);
      tray(app, page);
      shoot(page, "tray");
      page.navigate(app.url("/makers/orbquendel"));
      assertThat(page.locator("#maker-name")).isVisible();
      shoot(page, "makers");
      bench(app, page, "Four letters short", "Marks");
      shoot(page, "bench-marks");
      bench(app, page, "Three blades, not a stockman", "Pattern");
      shoot(page, "bench-pattern");
      bench(app, page, "Old look, late part", "Frame");
      bench(app, page, "Old look, late part", "Frame");
      page.setViewportSize(1280, 1000);
      page.locator("#station").press("p");
      assertThat(page.getByTestId("headline")).isVisible();
      shoot(page, "verdict-sheet");
      page.keyboard().press("Escape");
      page.locator("#station").press("l");
      assertThat(page.getByTestId("tells")).isVisible();
      shoot(page, "lookalikes");
      page.navigate(page.url().replaceAll("/resembles.*", "/story"));
      assertThat(page.getByLabel("Links")).isVisible();
      page.setViewportSize(1280, 800);
      shoot(page, "provenance");
      page.setViewportSize(1280, 1000);
      page.navigate(app.url("/calibration"));
      assertThat(page.getByText("What each station is worth"))
          .isVisible(new LocatorAssertions.IsVisibleOptions().setTimeout(90_000));
      shoot(page, "calibration");
      page.setViewportSize(1280, 800);
      page.navigate(app.url("/collection"));
      assertThat(page.getByText("Spent and got back")).isVisible();
      shoot(page, "collection");
      page.navigate(app.url("/catalogue"));
      assertThat(page.locator("article img")).hasCount(4);
      page.evaluate(
          "() => Promise.all([...document.images].map(i => i.complete || new Promise(r => i.onload = r)))");
      shoot(page, "catalogue");
      page.navigate(app.url("/quick"));
      page.getByLabel("Maker, where it can be read").selectOption("okkerby");
      page.getByText("Full, as they were ground").click();
      page.getByText("Solid and fitted").click();
      assertThat(page.getByLabel("What to do")).containsText("at most");
      page.evaluate("() => window.scrollTo(0, 0)");
      shoot(page, "quick-look");
      practice(page, app);
      page.navigate(app.url("/sales"));
      assertThat(page.getByText("Save as a table")).isVisible();
      shoot(page, "sales");
      page.navigate(app.url("/ledger"));
      assertThat(page.getByText("What came, and what is left of it")).isVisible();
      page.getByText("10 knives, 1 here").click();
      shoot(page, "ledger");
      bench(app, page, "Sharpened to a sliver", "Condition");
      shoot(page, "bench-condition");
      bench(app, page, "The keeper's plain jack", "Value");
      shoot(page, "bench-value");
      bench(app, page, "The keeper's plain jack", "Pattern");
      new BenchPage(page).withPhotograph();
      page.getByLabel("Measure on knife-1.png").click();
      assertThat(page.getByRole(AriaRole.APPLICATION)).isVisible();
      Locator known = page.getByLabel("Known length", new Page.GetByLabelOptions().setExact(true));
      known.fill("100 mm");
      known.press("Enter");
      onThePhotograph(page, 100, 880);
      onThePhotograph(page, 800, 880);
      onThePhotograph(page, 489, 560);
      onThePhotograph(page, 1111, 560);
      shoot(page, "bench-photograph");
      Page phone = chromium.page(390, 844);
      bench(app, phone, "Four letters short", "Marks");
      shoot(phone, "bench-phone");
    }
  }

  private static void practice(Page page, App app) {
    page.navigate(app.url("/practice"));
    page.getByLabel("Who practises").fill("Ada");
    page.getByText("Ten of today").click();
    assertThat(page.getByText("14 glances left")).isVisible();
    for (int knife = 1; knife <= 6; knife++) {
      // The mark first, then here and there.
      for (int look = 0; look < 5; look++) {
        Locator looks =
            page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("The knife"))
                .getByRole(AriaRole.BUTTON);
        int before = looks.count();
        looks.nth(look == 0 ? 0 : 5 * look + knife).click();
        assertThat(looks).hasCount(before - 1);
      }
      page.getByLabel("Who made it").selectOption(knife % 2 == 0 ? "okkerby" : "-");
      page.getByLabel("From").fill("1900");
      page.getByLabel("To", new Page.GetByLabelOptions().setExact(true)).fill("1939");
      page.getByLabel("What was done to it").selectOption("As it was made");
      page.getByText("Unveil").click();
      assertThat(page.getByText("The next knife")).isVisible();
      if (knife < 6) {
        page.getByText("The next knife").click();
        assertThat(page.getByText("14 glances left")).isVisible();
      }
    }
    page.evaluate("() => window.scrollTo(0, 0)");
    shoot(page, "practice");
  }

  private static void onThePhotograph(Page page, double x, double y) {
    var box = page.getByRole(AriaRole.APPLICATION).boundingBox();
    page.mouse().click(box.x + x / 1600 * box.width, box.y + y / 1000 * box.height);
    page.waitForTimeout(200);
  }

  private static void tray(App app, Page page) {
    page.navigate(app.url("/tray"));
    assertThat(page.locator("a[data-knife]")).hasCount(8);
  }

  private static void bench(App app, Page page, String knife, String station) {
    tray(app, page);
    page.locator("a[data-knife]").filter(new Locator.FilterOptions().setHasText(knife)).click();
    new BenchPage(page).go(station);
    assertThat(page.getByTestId("opinion")).isVisible();
  }

  private static void shoot(Page page, String name) {
    page.evaluate("() => document.fonts.ready");
    page.mouse().move(0, 0);
    page.waitForTimeout(300);
    page.screenshot(new Page.ScreenshotOptions().setPath(FOLDER.resolve(name + ".png")));
  }
}
