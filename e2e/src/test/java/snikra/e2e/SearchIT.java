package snikra.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class SearchIT {
  @TempDir Path data;

  @Test
  void theTrayIsSearchedAndNarrowedByKeysAndFoundAgainOnTheWayBack() {
    try (App app = App.start(data, "--demo");
        Chromium chromium = new Chromium()) {
      Page page = chromium.page(1280, 800);
      page.navigate(app.url("/tray"));
      assertThat(page.locator("a[data-knife]")).hasCount(8);
      page.keyboard().press("/");
      page.keyboard().type("veldrake before 1930 handle bone");
      Locator count = page.getByRole(AriaRole.STATUS).first();
      assertThat(count).hasText("2 of 8");
      Locator understood = page.getByLabel("As it was understood");
      assertThat(understood).containsText("before 1930 may be of those years");
      page.keyboard().type(" slivr");
      assertThat(understood).containsText("slivr read as sliver");
      assertThat(count).hasText("1 of 8");
      page.keyboard().press("Escape");
      assertThat(count).hasText("8 knives");

      // The keys are back in the tray once the search and the order beside it are left.
      page.keyboard().press("Tab");
      page.keyboard().press("Tab");
      page.keyboard().press("f");
      Locator jack = checkbox(page, "^Jack ");
      assertThat(jack).isFocused();
      page.keyboard().press("Space");
      assertThat(count).hasText("4 of 8");
      Locator germany = checkbox(page, "^Germany 0 of 2");
      assertThat(germany).isVisible();
      assertThat(page.url()).contains("in=family");
      page.locator("a[data-knife]").filter(byText("keeper")).press("Enter");
      assertThat(page.getByTestId("opinion")).isVisible();
      page.goBack();
      assertThat(jack).isChecked();
      assertThat(count).hasText("4 of 8");
      page.getByText("Show all").press("Enter");
      assertThat(count).hasText("8 knives");
      assertThat(chromium.complaints).isEmpty();
    }
  }

  @Test
  void asATableItIsSortedSavedAndSeveralAreTakenOutAndPutBack() throws Exception {
    try (App app = App.start(data, "--demo");
        Chromium chromium = new Chromium()) {
      Page page = chromium.page(390, 844);
      page.navigate(app.url("/tray?in=family%3AJack"));
      Locator count = page.getByRole(AriaRole.STATUS).first();
      assertThat(count).hasText("4 of 8");
      button(page, "table").click();
      button(page, "Worth").press("Enter");
      button(page, "Worth").press("Enter");
      Locator first = page.locator("tbody tr").first();
      assertThat(first).containsText("keeper");
      button(page, "Save as").press("Enter");
      Download table = page.waitForDownload(() -> page.getByText("A table, for").press("Enter"));
      assertThat(Files.readAllLines(table.path())).hasSize(5);
      page.keyboard().press("Escape");
      page.getByLabel("Choose all").press("Space");
      button(page, "Place and tags").press("Enter");
      page.getByLabel("Where they lie").fill("Case 9");
      page.keyboard().press("Enter");
      page.getByLabel("Tag them").fill("lent");
      page.keyboard().press("Enter");
      page.keyboard().press("Escape");
      page.getByLabel("Search the tray").fill("lies case 9 tag lent");
      assertThat(count).hasText("4 of 8");
      button(page, "Narrow down (1)").press("Enter");
      button(page, "Keep this search").press("Enter");
      page.keyboard().type("Lent out");
      page.keyboard().press("Enter");
      page.getByLabel("Search the tray").fill("");
      button(page, "Lent out 4").press("Enter");
      assertThat(count).hasText("4 of 8");
      assertThat(page.getByLabel("Search the tray")).hasValue("lies case 9 tag lent");
      page.locator("li").filter(byText("4 knives tagged lent.")).getByText("Undo").click();
      assertThat(count).hasText("0 of 8");
      button(page, "Remove Lent out").press("Enter");
      page.getByLabel("Search the tray").fill("");
      assertThat(count).hasText("4 of 8");
      // The knives are laid out anew, and with them what is done to those chosen.
      assertThat(first).containsText("keeper");
      button(page, "Take out").press("Enter");
      assertThat(count).hasText("0 of 4");
      page.locator("li").filter(byText("taken out of the tray.")).getByText("Undo").click();
      assertThat(count).hasText("4 of 8");
      assertThat(chromium.complaints).isEmpty();
    }
  }

  private static Locator checkbox(Page page, String name) {
    return page.getByRole(
        AriaRole.CHECKBOX, new Page.GetByRoleOptions().setName(Pattern.compile(name)));
  }

  private static Locator button(Page page, String name) {
    return page.getByRole(
        AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
  }

  private static Locator.FilterOptions byText(String text) {
    return new Locator.FilterOptions().setHasText(text);
  }
}
