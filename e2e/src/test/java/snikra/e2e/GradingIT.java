package snikra.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.io.TempDir;

/** A whole knife graded by every school, by keys and on a phone. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class GradingIT {
  private static final int MOST_KEYS = 60;

  @TempDir static Path data;
  private App app;
  private Chromium chromium;

  @BeforeAll
  void start() {
    app = App.start(data);
    chromium = new Chromium();
  }

  @AfterAll
  void stop() {
    chromium.close();
    app.close();
    assertThat(chromium.complaints).isEmpty();
  }

  private Page newKnife(int width, int height) {
    Page page = chromium.page(width, height);
    page.navigate(app.url("/tray"));
    page.getByRole(AriaRole.BANNER)
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("New knife"))
        .click();
    assertThat(page.locator("#station")).isVisible();
    return page;
  }

  private static int keys(Page page, String... keys) {
    for (String key : keys) {
      page.keyboard().press(key);
    }
    return keys.length;
  }

  // Answers the question in hand with its first answer until none of the station is open.
  private static int allSound(Page page) {
    int pressed = 0;
    Locator bar = page.locator("#station [data-answers]");
    int questions =
        Integer.parseInt(
            page.locator("#station")
                .getByText(java.util.regex.Pattern.compile("^\\d+ of \\d+, next$"))
                .textContent()
                .replaceAll("^\\d+ of (\\d+), next$", "$1"));
    for (int q = 0; q < questions; q++) {
      assertThat(bar.locator("button:focus")).hasCount(1);
      pressed += keys(page, "1");
    }
    return pressed;
  }

  @Test
  void aWholeGradingTakesLessThanSixtyKeysAndEverySchoolSaysItsGrade() {
    Page page = newKnife(1280, 800);
    int pressed = keys(page, "c");
    assertThat(page.locator("#station-name")).hasText("Condition");
    pressed += keys(page, "a") + allSound(page) + keys(page, "Escape", "9");
    assertThat(page.locator("#station-name")).hasText("Action");
    pressed += keys(page, "a") + allSound(page) + keys(page, "Escape", "c");
    assertThat(pressed).isLessThan(MOST_KEYS);
    assertThat(page.getByTestId("school-grade")).hasText("Mint");
    Locator others = page.getByLabel("By the other schools");
    assertThat(others).containsText("100 (Mint)");
    assertThat(others).containsText("Carry it");

    BenchPage bench = new BenchPage(page);
    bench.choose("Steel", "Pitted");
    assertThat(page.getByTestId("school-grade")).hasText("Fair");
    assertThat(page.getByLabel("Faults that count")).containsText("Fair at best, \u221213");
    page.getByLabel("School that heads the page").selectOption("points");
    assertThat(page.getByTestId("school-grade")).hasText("87 (Very good)");
    assertThat(page.getByTestId("grade")).containsText("87 (Very good)");
    bench.saved();

    page.getByText("Condition report to print").click();
    assertThat(page.getByLabel("What was found")).containsText("Steel: pitted");
    assertThat(page.getByLabel("What was found")).containsText("Without fault:");
    page.keyboard().press("Escape");
    assertThat(page.locator("#station-name")).hasText("Condition");
  }

  @Test
  void aSchoolOfOnesOwnIsTriedKeptAndHeadsEveryPageOfTheCollection() {
    Page page = newKnife(1280, 800);
    page.keyboard().press("c");
    BenchPage bench = new BenchPage(page);
    bench.choose("Steel", "Pitted");
    bench.saved();
    page.getByText("Schools, and one of your own").click();
    page.getByText("Make one of my own like this").first().click();
    Locator sheet = page.getByRole(AriaRole.DIALOG);
    sheet.getByLabel("Name").fill("At our club");
    sheet.getByText("Blades", new Locator.GetByTextOptions().setExact(true)).click();
    Locator deep = sheet.getByLabel("Steel: Deeply pitted lets pass at best");
    deep.selectOption("mint");
    sheet.getByText("Keep it").click();
    assertThat(sheet.getByRole(AriaRole.ALERT))
        .containsText("Steel, Deeply pitted, mint: must be fair");
    deep.selectOption("fair");
    sheet.getByLabel("Steel: Pitted lets pass at best").selectOption("good");
    sheet.getByText("What would it grade otherwise?").click();
    assertThat(page.getByTestId("regraded")).containsText("Fair");
    assertThat(page.getByTestId("regraded")).containsText("Good");
    sheet.getByText("Keep it").click();
    assertThat(sheet).isHidden();
    page.getByLabel("At our club").check();
    assertThat(page.getByText("At our club heads every page").first()).isVisible();
    page.goBack();
    assertThat(page.getByTestId("school-grade")).containsText("Good at best");
    page.reload();
    assertThat(page.getByTestId("school-grade")).containsText("Good at best");
    page.getByLabel("School that heads the page").selectOption("usual");
    assertThat(page.getByTestId("school-grade")).containsText("Fair at best");
  }

  @Test
  void onAPhoneTheQuestionStandsFirstAndThePointsOfEachBladeAreThere() {
    Page page = newKnife(390, 844);
    BenchPage bench = new BenchPage(page);
    bench.go("Blades").press("Add the main blade").press("Add a blade or tool");
    bench.go("Condition");
    Locator first = page.locator("#station [data-answers] button").first();
    first.click();
    assertThat(page.getByTestId("school-grade")).isVisible();
    page.getByText("The other blades, 0 of 3 looked at").click();
    bench.choose("Point of blade 2", "Broken");
    assertThat(page.getByLabel("Faults that count")).containsText("Point of blade 2, broken");
    bench.saved();
    page.reload();
    assertThat(page.getByText("The other blades, 1 of 3 looked at")).isVisible();
  }

  // Four blades, and at every point of each the worst there is.
  private static final String ALL_WRONG =
      """
      async () => {
        const book = await (await fetch("/api/book")).json();
        const worst = (of) => Object.fromEntries(
          book.condition.points.filter(of).map((p) => [p.id, p.findings.at(-1).id]));
        const other = { type: "pen", condition: worst((p) => p.eachBlade) };
        const knife = {
          title: "All that can be wrong",
          blades: [{ type: "spear" }, other, other, other],
          condition: worst((p) => ["condition", "action"].includes(p.station)),
        };
        const sent = await fetch("/api/knives", {
          method: "POST",
          headers: { "Content-Type": "application/json", "X-Snikra": "1" },
          body: JSON.stringify(knife),
        });
        return (await sent.json()).id;
      }
      """;

  @Test
  void aConditionReportPrintsOnOnePageHoweverMuchIsWrong() {
    Page page = chromium.page(1280, 800);
    page.navigate(app.url("/tray"));
    page.navigate(app.url("/bench/" + page.evaluate(ALL_WRONG) + "/condition"));
    Locator found = page.getByLabel("What was found");
    assertThat(found).containsText("Point of blade 4: broken");
    assertThat(found).not().containsText("Without fault:");
    page.waitForFunction("() => document.querySelectorAll('tbody tr').length > 35");
    String paper =
        new String(page.pdf(new Page.PdfOptions().setFormat("A4")), StandardCharsets.ISO_8859_1);
    assertThat(Pattern.compile("/Type /Page\\b").matcher(paper).results()).hasSize(1);
  }
}
