package snikra.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The collection taken together, and what is missing in it. */
class WantedIT {
  @TempDir Path data;

  @Test
  void theCollectionIsLookedOverAndWhatIsMissingIsPutOnTheListByKeys() throws Exception {
    try (App app = App.start(data, "--demo");
        Chromium chromium = new Chromium()) {
      Page page = chromium.page(1280, 800);
      sideBySide(page, app);
      inPictures(page);
      aGapIsWanted(page, app);
      anyOtherIsWanted(page);
      assertThat(chromium.complaints).isEmpty();
    }
  }

  private static void sideBySide(Page page, App app) throws Exception {
    page.navigate(app.url("/tray"));
    button(page, "table").press("Enter");
    Locator chosen = page.getByLabel("Choose 1, ").or(page.getByLabel("Choose 4, "));
    assertThat(chosen).hasCount(2);
    chosen.first().press("Space");
    chosen.last().press("Space");
    page.getByText("Side by side").press("Enter");
    assertThat(page.locator("h1")).hasText("Side by side");
    Locator drawing =
        page.getByRole(
            AriaRole.IMG, new Page.GetByRoleOptions().setName("number 1, number 4, closed"));
    assertThat(drawing).hasCount(1);
    page.keyboard().press("o");
    page.keyboard().press("d");
    assertThat(
            page.getByRole(
                AriaRole.IMG,
                new Page.GetByRoleOptions()
                    .setName("number 1, number 4, half open, at one scale, one over the other")))
        .hasCount(1);
    Download saved = page.waitForDownload(() -> button(page, "SVG").press("Enter"));
    assertThat(Files.readString(saved.path()))
        .contains("<title>Side by side")
        .doesNotContain("var(--");
    page.keyboard().press("Escape");
    assertThat(page.locator("tbody tr")).hasCount(8);
  }

  private static void inPictures(Page page) {
    page.getByText("In pictures").press("Enter");
    assertThat(page.locator("h1")).hasText("The collection");
    page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Germany")).press("Enter");
    assertThat(page.getByRole(AriaRole.STATUS).first()).hasText("2 of 8");
    page.getByText("In pictures").press("Enter");
    assertThat(page.getByText("2 knives found in the tray")).isVisible();
  }

  private static void aGapIsWanted(Page page, App app) {
    page.navigate(app.url("/makers/okkerby/set"));
    Locator gap =
        page.getByRole(
            AriaRole.BUTTON,
            new Page.GetByRoleOptions().setName("Want it: 48-2S J. OKKERBY LARKFEN FERRY"));
    gap.press("Enter");
    assertThat(page.getByText("It is on the wanted list.").first()).isVisible();
    assertThat(gap).hasCount(0);
    page.navigate(app.url("/wanted"));
    Locator want = page.getByRole(AriaRole.LISTITEM).filter(byText("48-2S"));
    assertThat(want).containsText("Not in the tray.");
    want.getByText("Change").press("Enter");
    Locator form = page.getByRole(AriaRole.DIALOG);
    assertThat(form.getByLabel("Model")).hasValue("48-2S");
    form.getByLabel("At most").fill("95");
    form.getByLabel("At most").press("Enter");
    form.getByText("Put it on the list").press("Enter");
    assertThat(want).containsText("up to \u00a395");
  }

  private static void anyOtherIsWanted(Page page) {
    page.keyboard().press("+");
    Locator form = page.getByRole(AriaRole.DIALOG);
    form.getByText("Put it on the list").press("Enter");
    assertThat(form.getByText("a maker, a pattern or a note must say what is wanted")).isVisible();
    form.getByLabel("Note").fill("Anything with a fleam");
    form.getByLabel("Note").press("Enter");
    form.getByText("Put it on the list").press("Enter");
    Locator want = page.getByRole(AriaRole.LISTITEM).filter(byText("Anything with a fleam"));
    assertThat(want).isVisible();
    page.reload();
    want.getByText("No longer").press("Enter");
    assertThat(want).hasCount(0);
    page.locator("li")
        .filter(byText("It is off the wanted list."))
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Undo"))
        .press("Enter");
    assertThat(want).isVisible();
  }

  private static Locator button(Page page, String name) {
    return page.getByRole(
        AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
  }

  private static Locator.FilterOptions byText(String text) {
    return new Locator.FilterOptions().setHasText(text);
  }
}
