package snikra.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Path;
import java.util.Base64;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
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
      byte[] lookalikes = page.screenshot();
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
      byte[] sales = calm(page);
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
      byte[] photograph = page.screenshot();
      Page phone = chromium.page(390, 844);
      bench(app, phone, "Four letters short", "Marks");
      shoot(phone, "bench-phone");
      page.setViewportSize(1280, 800);
      together(
          chromium,
          "condition-report",
          report(app, page),
          of(app, page, "/care", "To look at again"),
          of(app, page, "/grading", "Schools of grading"),
          photograph);
      together(chromium, "sets-and-lists", set(app, page), list(app, page), lookalikes, sales);
      together(
          chromium,
          "references",
          numbers(app, page),
          marks(page),
          slip(app, page),
          oneMark(app, page),
          timeLine(app, page),
          codes(page));
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

  private static byte[] report(App app, Page page) {
    bench(app, page, "Sharpened to a sliver", "Condition");
    page.getByText("Condition report to print").click();
    assertThat(page.getByLabel("What was found")).isVisible();
    return calm(page);
  }

  private static byte[] of(App app, Page page, String path, String told) {
    page.navigate(app.url(path));
    assertThat(page.getByText(told).first()).isVisible();
    return calm(page);
  }

  private static byte[] set(App app, Page page) {
    page.navigate(app.url("/makers/quastenbeck-nachf/set"));
    assertThat(page.getByText("places filled.")).isVisible();
    return calm(page);
  }

  private static byte[] list(App app, Page page) {
    tray(app, page);
    page.getByText("Add a list").click();
    page.getByLabel("or paste rows").fill(LIST);
    page.keyboard().press("Tab");
    assertThat(page.getByTestId("report")).isVisible();
    return calm(page);
  }

  private static final String LIST =
      """
      Name;Maker;Pattern;Closed;Made;Paid
      Uncle's jack;Okkerby;two-blade jack;3 3/8;1910-1920;12.50
      The odd one;nobody;whittler;long;c. 1900;dear
      Market find;Veldrake;pen knife;2 7/8;1930s;8
      """;

  private static byte[] numbers(App app, Page page) {
    page.navigate(app.url("/makers/vermouzan"));
    page.getByText("Numbers by example").click();
    Locator sheet = page.getByRole(AriaRole.DIALOG);
    String[][] knives = {
      {"41/2", "2", "swell-end", "bone-jigged"},
      {"33/3", "2", "serpentine", "stag"},
      {"41/3", "1", "swell-end", "stag"},
      {"56/2", "3", "teardrop", "bone-jigged"},
      {"33/8", "1", "serpentine", "ebony"}
    };
    for (int row = 1; row <= knives.length; row++) {
      String[] knife = knives[row - 1];
      sheet.getByLabel("Number, row " + row).fill(knife[0]);
      sheet.getByLabel("Blades, row " + row).selectOption(knife[1]);
      sheet.getByLabel("Outline, row " + row).selectOption(knife[2]);
      sheet.getByLabel("Handle, row " + row).selectOption(knife[3]);
    }
    page.keyboard().press("Tab");
    assertThat(sheet.getByLabel("Ways found").locator("li").first()).containsText("99%");
    return calm(page);
  }

  private static byte[] marks(Page page) {
    page.keyboard().press("Escape");
    page.getByText("Marks out of a table").click();
    page.getByLabel("or paste rows")
        .fill(
            """
            Maker,Stamp,Dates,Remark
            Grimblove,GRIMBLOVE / TARNSEY,c. 1895,first die
            Grimblove,GRIMBLOVE / TARNSEY / ENGLAND,1903-1921,
            Grimblove,GR_MBLOVE,WWII,worn in the book
            Grimblove,GRIMBLOVE & CO,1920s,
            """);
    page.keyboard().press("Tab");
    page.getByLabel("Country of a new maker").selectOption("UK");
    page.getByLabel("Which, by name").fill("A list of small firms");
    page.getByLabel("Which, by name").press("Tab");
    assertThat(page.getByText("Put 3 marks on file")).isVisible();
    assertThat(page.getByTestId("report")).isVisible();
    return calm(page);
  }

  private static byte[] slip(App app, Page page) {
    marked(app, page, "GRIMBLOVE", "SKEL.Y", "ENGLAND");
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Put this mark on file"))
        .click();
    Locator slip = page.getByRole(AriaRole.DIALOG);
    slip.getByLabel("Maker").fill("Grimblove");
    slip.getByLabel("Line 2 of the mark side").fill("SKELBY");
    slip.getByLabel("How it was marked").selectOption("struck");
    slip.getByLabel("until").fill("1926");
    slip.getByLabel("until").press("Tab");
    assertThat(slip.getByTestId("what-it-does")).containsText("Grimblove made it");
    byte[] shot = calm(page);
    page.keyboard().press("Escape");
    return shot;
  }

  private static byte[] oneMark(App app, Page page) {
    marked(app, page, "GRIM..OVE", "SKELBY", "ENGLAND");
    marked(app, page, "G.IMBLO.E", "SK..BY", "ENG.AND");
    Object of =
        page.evaluate(
            "async () => (await (await fetch('/api/knives')).json()).slice(-3).map(k => 'of=' + k.id).join('&')");
    page.navigate(app.url("/one-mark?" + of));
    assertThat(page.getByLabel("Its letters")).isVisible();
    return calm(page);
  }

  private static void marked(App app, Page page, String... lines) {
    page.navigate(app.url("/tray"));
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("New knife"))
        .first()
        .click();
    BenchPage bench = new BenchPage(page).go("Marks");
    for (int i = 0; i < lines.length; i++) {
      bench.field("Line " + (i + 1) + " of the mark").pressSequentially(lines[i]);
    }
    bench.field("Line 3 of the mark").press("Enter");
    bench.go("Frame").choose("Liners", "Liners of brass").go("Marks").saved();
  }

  private static byte[] timeLine(App app, Page page) {
    page.evaluate(
        """
        facts => fetch('/api/own/facts', {method: 'POST', body: JSON.stringify({facts}),
          headers: {'Content-Type': 'application/json', 'X-Snikra': '1'}})
        """,
        List.of(
            fact("fitting", 1921, 1931, Map.of("feature", "bail", "value", "wire", "give", 2)),
            fact("owner", 1868, 1889, Map.of("label", "Widow Orbquendel")),
            fact("contract", 1926, 1930, Map.of("label", "Veldrake Knife Works", "percent", 40)),
            fact(
                "model",
                1922,
                1934,
                Map.of("number", "4417", "label", "Cattle knife", "pattern", "cattle-knife"))));
    page.navigate(app.url("/makers/orbquendel/time-line"));
    page.getByLabel("Bail or shackle: wire bail through the bolster, first year")
        .press("ArrowLeft");
    page.keyboard().press("ArrowLeft");
    assertThat(page.getByText("Keep 1919\u20131931")).isVisible();
    return calm(page);
  }

  private static Map<String, Object> fact(String kind, int from, int to, Map<String, Object> more) {
    Map<String, Object> fact = new HashMap<>(more);
    fact.putAll(
        Map.of(
            "kind",
            kind,
            "maker",
            "orbquendel",
            "from",
            from,
            "to",
            to,
            "sourceKind",
            "catalogue"));
    fact.putIfAbsent("give", 0);
    fact.put("source", "A catalogue of 1935");
    return fact;
  }

  private static byte[] codes(Page page) {
    page.getByText("To the maker").click();
    page.getByText("A code by example").click();
    Locator sheet = page.getByRole(AriaRole.DIALOG);
    String[][] known = {{"A", "1924"}, {"C", "1926"}, {"F", "1929"}, {"K", "c. 1934"}};
    for (int row = 1; row <= known.length; row++) {
      sheet.getByLabel("As struck, row " + row).fill(known[row - 1][0]);
      sheet.getByLabel("Made, row " + row).fill(known[row - 1][1]);
    }
    page.keyboard().press("Tab");
    assertThat(sheet.getByLabel("Ways found").locator("li").first()).isVisible();
    return calm(page);
  }

  private static byte[] calm(Page page) {
    page.evaluate("() => document.fonts.ready");
    page.evaluate("() => window.scrollTo(0, 0)");
    page.mouse().move(0, 0);
    page.waitForTimeout(400);
    return page.screenshot();
  }

  // Four views on one sheet, two by two.
  private static void together(Chromium chromium, String name, byte[]... views) {
    StringBuilder sheet =
        new StringBuilder(
            "<body style='margin:0;background:#8a8d84;display:grid;grid-template-columns:1280px 1280px;gap:16px'>");
    for (byte[] view : views) {
      sheet.append("<img style='width:1280px;display:block' src='data:image/png;base64,");
      sheet.append(Base64.getEncoder().encodeToString(view)).append("'>");
    }
    Page page = chromium.page(2576, 1616);
    page.setContent(sheet.toString());
    page.waitForTimeout(300);
    page.screenshot(
        new Page.ScreenshotOptions().setFullPage(true).setPath(FOLDER.resolve(name + ".png")));
    page.close();
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
