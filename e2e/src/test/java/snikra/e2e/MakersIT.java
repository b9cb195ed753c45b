package snikra.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Mouse;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.FilePayload;
import com.microsoft.playwright.options.RequestOptions;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Reading among the makers, and packs of them in and out. */
class MakersIT {
  @TempDir Path data;

  @Test
  void aPartOfAMarkLeadsToItsMakerAndFromThereToTheKnife() {
    try (App app = App.start(data, "--demo");
        Chromium chromium = new Chromium()) {
      Page page = chromium.page(1280, 800);
      page.navigate(app.url("/tray"));
      assertThat(page.locator("a[data-knife]")).hasCount(8);
      page.keyboard().press("m");
      Locator makers = page.locator("a[data-maker]");
      assertThat(makers).hasCount(13);

      page.keyboard().press("/");
      page.keyboard().type("no such mark");
      assertThat(page.getByText("No mark, name or town holds")).isVisible();
      page.keyboard().press("Escape");
      page.keyboard().type("scarh");
      assertThat(makers).hasCount(2);
      page.keyboard().press("Tab");
      page.keyboard().press("ArrowDown");
      assertThat(makers.nth(1)).isFocused();
      page.keyboard().press("Enter");
      assertThat(page.locator("#maker-name")).hasText("Quillfer & Dal");
      assertThat(page).hasURL(Pattern.compile("/makers/quillfer-dal[?]pack=overwater-makers$"));
      assertThat(page.getByLabel("Last two figures of the year")).containsText("1919");

      page.navigate(app.url("/makers/quastenbeck-gebr"));
      Locator shield = page.getByAltText("The shield of 1927\u20131961");
      assertThat(shield).isVisible();
      assertThat((int) shield.evaluate("i => i.naturalWidth")).isPositive();
      page.navigate(app.url("/makers/veldrake"));
      assertThat(page.getByText("Bars over the number")).isVisible();
      theSetOfAMakerShowsItsGaps(page);
      page.getByText("The number says stag").last().click();
      assertThat(new BenchPage(page).title()).isVisible();
      assertThat(chromium.complaints).isEmpty();
    }
  }

  private static void theSetOfAMakerShowsItsGaps(Page page) {
    Locator set = page.getByText("The set: 3 of 4 places filled");
    assertThat(set).isVisible();
    set.press("Enter");
    assertThat(page.getByText("3 of 4 places filled.")).isVisible();
    Locator any = region(page, "Any knife of theirs, by its mark");
    Locator places = any.getByRole(AriaRole.LISTITEM);
    assertThat(places).hasCount(4);
    assertThat(region(page, "Rings over the number").getByRole(AriaRole.LISTITEM)).hasCount(7);
    page.keyboard().press("g");
    assertThat(places).hasCount(1);
    assertThat(places).containsText("missing");
    page.keyboard().press("g");
    page.getByLabel("Good enough from").selectOption("mint");
    assertThat(page.getByText("a better one is wanted").first()).isVisible();
    page.setViewportSize(390, 844);
    assertThat(places).hasCount(4);
    boolean fits = (boolean) page.evaluate("document.documentElement.scrollWidth <= 390");
    assertThat(fits).isTrue();
    page.setViewportSize(1280, 800);
    page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1)).click();
    page.keyboard().press("Escape");
    assertThat(page.locator("#maker-name")).hasText("Veldrake Knife Works");
  }

  private static Locator region(Page page, String name) {
    return page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName(name));
  }

  @Test
  void aPackIsBroughtLookedAtTakenInSwitchedOffAndLetGo() throws Exception {
    try (App app = App.startWithExamples(data);
        Chromium chromium = new Chromium()) {
      Page page = chromium.page(1280, 900);
      page.navigate(app.url("/makers/okkerby"));
      assertThat(page.locator("#maker-name")).hasText("Okkerby Knife Co.");
      assertThat(page.getByLabel("Okkerby Knife Co.: OKKERBY, KNIFE CO").first()).isVisible();
      assertThat(page.getByText("Foremen of the works.")).isVisible();
      String shipped = page.request().get(app.url("/api/packs/overwater-trade")).text();
      String own =
          shipped
              .replace("id: overwater-trade", "id: own-trade")
              .replace("title: Sample trade", "title: Own trade");

      bring(page, own.replace("technique: struck", "technique: scratched"));
      Locator sheet = page.getByRole(AriaRole.DIALOG);
      assertThat(sheet).containsText("This pack cannot be used");
      assertThat(sheet).containsText("must be one of struck, etched, printed, engraved");
      page.keyboard().press("Escape");
      assertThat(page.getByText("Add a pack")).isFocused();
      assertThat(page.locator("a[data-maker]")).hasCount(13);

      bring(page, own);
      assertThat(sheet).containsText("A new pack");
      assertThat(sheet).containsText("The tray is empty.");
      sheet.getByText("Add it").press("Enter");
      assertThat(page.locator("a[data-maker]")).hasCount(21);
      bring(page, own.replace("Foremen of the works", "Foremen"));
      assertThat(sheet).containsText("with 2 changes");
      page.keyboard().press("Escape");

      keepKnife(page, app);
      Locator makers =
          page.getByRole(
              AriaRole.BUTTON,
              new Page.GetByRoleOptions()
                  .setName("What would move without it: Sample makers for the Overwater tin"));
      makers.press("Enter");
      assertThat(sheet).containsText("1 of 1");
      assertThat(sheet.getByTestId("moved")).containsText("Veldrake Knife Works");
      page.keyboard().press("Escape");
      assertThat(makers).isFocused();

      Locator use =
          page.getByRole(
              AriaRole.CHECKBOX, new Page.GetByRoleOptions().setName(Pattern.compile("Own trade")));
      use.press("Space");
      assertThat(page.locator("a[data-maker]")).hasCount(13);
      use.press("Space");
      assertThat(page.locator("a[data-maker]")).hasCount(21);
      page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Remove").setExact(true))
          .click();
      assertThat(page.locator("a[data-maker]")).hasCount(13);
      page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Undo").setExact(true))
          .click();
      assertThat(page.locator("a[data-maker]")).hasCount(21);
      assertThat(chromium.complaints).isEmpty();
    }
  }

  private static void example(
      Locator sheet, int row, String number, String blades, String outline, String handle) {
    sheet.getByLabel("Number, row " + row).fill(number);
    sheet.getByLabel("Blades, row " + row).selectOption(blades);
    sheet.getByLabel("Outline, row " + row).selectOption(outline);
    sheet.getByLabel("Handle, row " + row).selectOption(handle);
  }

  @Test
  void aMakersNumbersAreFoundFromFiveKnivesAndItsCodeFromFourByKeys() {
    try (App app = App.start(data, "--demo");
        Chromium chromium = new Chromium()) {
      Page page = chromium.page(1280, 800);
      page.navigate(app.url("/makers/vermouzan"));
      page.getByText("Numbers by example").press("Enter");
      Locator sheet = page.getByRole(AriaRole.DIALOG);
      example(sheet, 1, "41/2", "2", "swell-end", "bone-jigged");
      example(sheet, 2, "33/3", "2", "serpentine", "stag");
      example(sheet, 3, "41/3", "1", "swell-end", "stag");
      example(sheet, 4, "56/2", "3", "teardrop", "bone-jigged");
      example(sheet, 5, "56/8", "1", "teardrop", "ebony");
      assertThat(sheet.getByLabel("Ways found").locator("li").first())
          .containsText("Frame in 2 places, then handle material in one place");
      sheet.getByText("Put it on file").press("Enter");
      assertThat(sheet).isHidden();
      Locator maker =
          page.getByRole(
              AriaRole.REGION, new Page.GetByRoleOptions().setName("Maker").setExact(true));
      assertThat(maker).containsText("Stag");

      page.setViewportSize(390, 844);
      page.getByText("A code by example").press("Enter");
      sheet.getByLabel("What is struck").selectOption("bar");
      for (String[] row :
          new String[][] {{"8", "1949"}, {"5", "1951-53"}, {"3", "c. 1954"}, {"6", "1951"}}) {
        page.keyboard().press("Tab");
        page.keyboard().type(row[0]);
        page.keyboard().press("Tab");
        page.keyboard().type(row[1]);
        page.keyboard().press("Tab");
      }
      assertThat(sheet.getByLabel("Ways found").locator("li").first())
          .containsText("One fewer each year, 8 in 1949");
      sheet.getByText("Put it on file").press("Enter");
      assertThat(sheet).isHidden();
      Locator bars = maker.getByLabel("Bars", new Locator.GetByLabelOptions().setExact(true));
      assertThat(bars).containsText("1954");
      page.getByLabel("Take out Bars").press("Enter");
      assertThat(bars).hasCount(0);
      page.getByText("What I put on file", new Page.GetByTextOptions().setExact(true))
          .press("Enter");
      assertThat(page.getByText("pattern numbers, of Vermouzan")).isVisible();
      assertThat(chromium.complaints).isEmpty();
    }
  }

  @Test
  void whatAKnifeShowsIsPutOnFileAtTheBenchAndAModelAtItsMakerByKeys() {
    try (App app = App.start(data, "--demo");
        Chromium chromium = new Chromium()) {
      Page page = chromium.page(1280, 800);
      page.navigate(app.url("/"));
      page.getByText("The keeper's plain jack").first().click();
      BenchPage bench = new BenchPage(page);
      assertThat(bench.title()).isVisible();
      page.keyboard().press("6");
      page.getByText("Put on file for Veldrake Knife Works").press("Enter");
      Locator sheet = page.getByRole(AriaRole.DIALOG);
      assertThat(sheet.getByLabel("Which", new Locator.GetByLabelOptions().setExact(true)))
          .hasValue("bone-jigged");
      assertThat(sheet.getByTestId("what-it-does")).containsText("Veldrake Knife Works made it");
      sheet.getByLabel("Known from").selectOption("catalogue");
      sheet.getByLabel("Which, by name").fill("A price list of the works");
      sheet
          .getByText("Put it on file", new Locator.GetByTextOptions().setExact(true))
          .press("Enter");
      assertThat(sheet).isHidden();
      assertThat(page.getByText("That is on file now.").first()).isVisible();
      assertThat(page.getByText("Put on file for Veldrake Knife Works")).isFocused();

      page.setViewportSize(390, 844);
      page.navigate(app.url("/makers/veldrake"));
      Locator mine = region(page, "Fittings and models of mine");
      assertThat(mine).containsText("bone, jigged");
      mine.getByText("Put a model on file").press("Enter");
      page.keyboard().type("x91");
      page.keyboard().press("Tab");
      page.keyboard().type("Boys' knife");
      page.keyboard().press("Tab");
      page.keyboard().press("Tab");
      page.keyboard().type("soon");
      page.keyboard().press("Tab");
      page.keyboard().type("1912");
      sheet
          .getByText("Put it on file", new Locator.GetByTextOptions().setExact(true))
          .press("Enter");
      assertThat(sheet.getByLabel("Pattern")).isFocused();
      assertThat(sheet).containsText("soon");
      sheet.getByLabel("Pattern").selectOption("regular-jack");
      sheet.getByLabel("Made from").fill("1905");
      sheet
          .getByText("Put it on file", new Locator.GetByTextOptions().setExact(true))
          .press("Enter");
      assertThat(sheet).isHidden();
      assertThat(mine).containsText("No. X91, Boys' knife");
      boolean fits = (boolean) page.evaluate("document.documentElement.scrollWidth <= 390");
      assertThat(fits).isTrue();
      Locator shown = region(page, "Shown by my knives");
      shown.getByText("What my knives show besides").press("Enter");
      assertThat(shown).containsText("on your 3 knives of theirs");
      assertThat(shown).containsText("Liners: liners of brass on no. 1, 4");
      shown.getByLabel("Put on file: Liners: liners of brass").press("Enter");
      assertThat(sheet.getByLabel("Which, by name")).hasValue("My own knives");
      page.keyboard().press("Escape");
      assertThat(shown.getByLabel("Put on file: Liners: liners of brass")).isFocused();
      page.getByLabel("Take out No. X91, Boys' knife").press("Enter");
      assertThat(page.getByLabel("Take out No. X91, Boys' knife")).hasCount(0);
      page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Undo").setExact(true))
          .last()
          .press("Enter");
      assertThat(page.getByLabel("Take out No. X91, Boys' knife")).hasCount(1);
      assertThat(chromium.complaints).isEmpty();
    }
  }

  @Test
  void yearsAreMovedByHandByMouseAndByKeysAndNothingIsKeptBefore() {
    try (App app = App.start(data, "--demo");
        Chromium chromium = new Chromium()) {
      Page page = chromium.page(1280, 800);
      file(
          page,
          app,
          "/api/own/facts",
          """
          {"facts":[{"kind":"fitting","maker":"orbquendel","feature":"bail","value":"wire","from":1921,"to":1931,"give":2,
           "sourceKind":"catalogue","source":"A catalogue of 1925"}]}
          """);
      page.navigate(app.url("/makers/orbquendel"));
      page.getByText("Its years, to be moved by hand").click();
      Locator first = slider(page, "first");
      assertThat(page.getByTestId("unmarked")).containsText("1916\u20131919, 1941\u20131949");
      BoundingBox at = first.boundingBox();
      page.mouse().move(at.x + 1, at.y + 8);
      page.mouse().down();
      page.mouse().move(at.x - 50, at.y + 12, new Mouse.MoveOptions().setSteps(6));
      // What is told of it lies below: the bar stays under the hand.
      assertThat(first.boundingBox().y).isEqualTo(at.y);
      page.mouse().up();
      int moved = Integer.parseInt(first.getAttribute("aria-valuenow"));
      assertThat(moved).isBetween(1908, 1918);
      page.getByText("What would it move in the tray?").click();
      assertThat(page.getByText("8 of 8")).isVisible();
      button(page, "Put back").click();
      assertThat(first).hasAttribute("aria-valuenow", "1921");

      page.setViewportSize(390, 844);
      slider(page, "last").focus();
      page.keyboard().press("ArrowRight");
      page.keyboard().press("ArrowRight");
      page.keyboard().press("Enter");
      assertThat(page.getByText("stands at its new years.").first()).isVisible();
      assertThat(slider(page, "last")).isFocused();
      assertThat(region(page, "Fittings and models of mine")).containsText("1921\u20131933");
      boolean fits = (boolean) page.evaluate("document.documentElement.scrollWidth <= 390");
      assertThat(fits).isTrue();
      button(page, "Undo").last().press("Enter");
      assertThat(slider(page, "last")).hasAttribute("aria-valuenow", "1931");

      page.getByLabel("Change Bail or shackle: wire bail through the bolster")
          .last()
          .press("Enter");
      Locator sheet = page.getByRole(AriaRole.DIALOG);
      assertThat(sheet.getByLabel("Which, by name")).hasValue("A catalogue of 1925");
      sheet.getByLabel("until").fill("1901");
      sheet.getByText("Keep it so").press("Enter");
      assertThat(sheet.getByLabel("until")).isFocused();
      assertThat(sheet).containsText("must not be before 1921");
      sheet.getByLabel("until").fill("1929");
      sheet.getByText("Keep it so").press("Enter");
      assertThat(region(page, "Fittings and models of mine")).containsText("1921\u20131929");
      assertThat(chromium.complaints).isEmpty();
    }
  }

  private static Locator slider(Page page, String end) {
    return page.getByLabel("Bail or shackle: wire bail through the bolster, " + end + " year");
  }

  private static Locator button(Page page, String name) {
    return page.getByRole(
        AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
  }

  private static void file(Page page, App app, String path, String body) {
    page.request()
        .post(
            app.url(path),
            RequestOptions.create()
                .setHeader("Content-Type", "application/json")
                .setHeader("X-Snikra", "1")
                .setHeader("Origin", app.url(""))
                .setData(body));
  }

  private static void keepKnife(Page page, App app) {
    String knife =
        "{\"marks\":[{\"blade\":1,\"face\":\"mark\",\"state\":\"read\",\"lines\":[\"VELDRAKE\",\"TARNMOOR FALLS\"]}]}";
    file(page, app, "/api/knives", knife);
  }

  private static void bring(Page page, String yaml) {
    page.getByLabel("Pack to add")
        .setInputFiles(
            new FilePayload("own.yaml", "text/yaml", yaml.getBytes(StandardCharsets.UTF_8)));
  }
}
