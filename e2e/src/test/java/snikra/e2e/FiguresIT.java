package snikra.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import org.junit.jupiter.api.io.TempDir;

/**
 * Prints the figures that only a browser can give; part of {@code ./snikra bench}, never a test.
 */
@EnabledIfSystemProperty(named = "snikra.figures", matches = ".+")
class FiguresIT {
  private static final int KNIVES = 200;
  private static final int CHANGES = 20;
  private static final List<String> FRAMES =
      List.of("serpentine", "swell-end", "equal-end", "congress", "teardrop", "canoe");
  private static final List<String> HANDLES = List.of("bone-jigged", "stag", "celluloid", "ebony");

  @TempDir Path data;

  @Test
  void trayOfTwoHundredKnivesAndTimeToAVerdict() throws Exception {
    try (App app = App.lasting(data, "--demo");
        Chromium chromium = new Chromium()) {
      verdict(app, chromium.page(1280, 800));
      entry(app, chromium.page(1280, 800));
      fill(app);
      tray(app, chromium.page(1280, 800));
    }
  }

  private static void verdict(App app, Page page) {
    page.navigate(app.url("/tray"));
    page.locator("a[data-knife]")
        .filter(new Locator.FilterOptions().setHasText("Old look, late part"))
        .click();
    BenchPage bench = new BenchPage(page).go("Frame");
    assertThat(bench.opinion()).containsText("old style");
    page.evaluate("() => performance.clearResourceTimings()");
    for (int i = 0; i < CHANGES; i++) {
      bench.choose("Spacer at the tail", i % 2 == 0 ? "None" : "Plastic");
      page.waitForTimeout(500);
    }
    Object times =
        page.evaluate(
            "() => performance.getEntriesByType('resource')"
                + ".filter(e => e.name.endsWith('/api/examine')).map(e => e.duration)"
                + ".sort((a, b) => a - b)");
    List<?> sorted = (List<?>) times;
    System.out.printf(
        Locale.ROOT,
        "%nFrom a change to its verdict in the browser: median %.0f ms, slowest %.0f ms of %d%n",
        ((Number) sorted.get(sorted.size() / 2)).doubleValue(),
        ((Number) sorted.get(sorted.size() - 1)).doubleValue(),
        sorted.size());
  }

  // The keystroke-level model of Card, Moran and Newell: a key of an average typist, and making up
  // one's mind for each answer.
  private static final double SECONDS_A_KEY = 0.28;
  private static final double SECONDS_A_DECISION = 1.35;

  private static void entry(App app, Page page) {
    page.navigate(app.url("/tray"));
    assertThat(page.locator("a[data-knife]")).hasCount(8);
    int keys = TwoBlades.enter(page);
    System.out.printf(
        Locale.ROOT,
        "A knife of two blades by the keyboard: %d keys for %d answers, about %.0f s by the"
            + " keystroke-level model%n",
        keys,
        TwoBlades.ANSWERS,
        keys * SECONDS_A_KEY + TwoBlades.ANSWERS * SECONDS_A_DECISION);
  }

  private static void fill(App app) throws Exception {
    HttpClient http = HttpClient.newHttpClient();
    for (int i = 9; i < KNIVES; i++) {
      String knife =
          """
          {"frame": {"value": "%s", "sureness": "sure"}, "closedLength": "%d mm",
           "bolsters": {"value": "both-ends", "sureness": "sure"},
           "seen": {"handle_material": {"value": "%s", "sureness": "sure"}},
           "blades": [{"type": "clip", "end": "A"}, {"type": "pen", "end": "B"}]}
          """
              .formatted(FRAMES.get(i % 6), 70 + i % 40, HANDLES.get(i % 4));
      http.send(
          HttpRequest.newBuilder(URI.create(app.url("/api/knives")))
              .header("Content-Type", "application/json")
              .POST(HttpRequest.BodyPublishers.ofString(knife))
              .build(),
          HttpResponse.BodyHandlers.discarding());
    }
  }

  private static void tray(App app, Page page) {
    page.navigate(app.url("/tray"));
    assertThat(page.locator("a[data-knife]")).hasCount(KNIVES);
    Object frames =
        page.evaluate(
            """
            () => new Promise(done => {
              const gaps = []; let last = performance.now();
              const step = now => {
                gaps.push(now - last); last = now; window.scrollBy(0, 30);
                if (gaps.length < 180) requestAnimationFrame(step);
                else done(gaps.slice(5).sort((a, b) => a - b));
              };
              requestAnimationFrame(step);
            })
            """);
    List<?> gaps = (List<?>) frames;
    System.out.printf(
        Locale.ROOT,
        "A tray of %d drawings, scrolled: %.1f ms a frame in the middle, %.1f ms at the 95th in a"
            + " hundred%n",
        KNIVES,
        ((Number) gaps.get(gaps.size() / 2)).doubleValue(),
        ((Number) gaps.get(gaps.size() * 95 / 100)).doubleValue());
  }
}
