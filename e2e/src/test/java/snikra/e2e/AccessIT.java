package snikra.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.deque.html.axecore.results.Rule;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Every view by the rules of the accessibility checker, at both sizes, in light and in dark. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class AccessIT {
  private static final List<String> SERIOUS = List.of("serious", "critical");
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
  }

  @ParameterizedTest
  @CsvSource({
    "1280, 800, LIGHT",
    "390, 844, LIGHT",
    "1280, 800, DARK",
  })
  void nothingSerious(int width, int height, ColorScheme scheme) {
    Page page = chromium.page(width, height);
    page.emulateMedia(new Page.EmulateMediaOptions().setColorScheme(scheme));
    page.navigate(app.url("/tray"));
    assertThat(page.locator("a[data-knife]")).hasCount(8);
    check(page, "tray");
    page.navigate(app.url("/makers"));
    assertThat(page.locator("#maker-name")).isVisible();
    check(page, "makers");
    page.navigate(app.url("/keeping"));
    assertThat(page.getByText("Copies", new Page.GetByTextOptions().setExact(true))).isVisible();
    check(page, "safe keeping");
    page.navigate(app.url("/tray"));
    page.locator("a[data-knife]").filter(byText("Old look")).click();
    BenchPage bench = new BenchPage(page);
    assertThat(page.getByTestId("opinion")).isVisible();
    page.getByText("Verdict sheet").click();
    assertThat(page.getByTestId("headline")).isVisible();
    check(page, "verdict sheet");
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
    for (String station :
        List.of(
            "Pattern",
            "Blades",
            "Marks",
            "Number",
            "Shield",
            "Handle",
            "Frame",
            "Tools",
            "Action",
            "Box",
            "Condition",
            "Story",
            "Value")) {
      bench.go(station);
      check(page, station);
    }
    page.keyboard().press("Escape");
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("All keys")).click();
    check(page, "help");
  }

  private static com.microsoft.playwright.Locator.FilterOptions byText(String text) {
    return new com.microsoft.playwright.Locator.FilterOptions().setHasText(text);
  }

  private static void check(Page page, String view) {
    List<Rule> violations =
        new AxeBuilder(page)
            .analyze().getViolations().stream()
                .filter(v -> SERIOUS.contains(v.getImpact()))
                .toList();
    assertThat(violations)
        .as(view + ": " + violations.stream().map(v -> v.getId() + " " + v.getNodes()).toList())
        .isEmpty();
    Object wider =
        page.evaluate("() => document.documentElement.scrollWidth > window.innerWidth + 1");
    assertThat(wider).as(view + " scrolls sideways").isEqualTo(false);
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
