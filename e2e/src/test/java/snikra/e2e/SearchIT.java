package snikra.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Path;
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
      page.keyboard().type(" swelll");
      assertThat(understood).containsText("swelll read as swell");
      assertThat(count).hasText("1 of 8");
      page.keyboard().press("Escape");
      assertThat(count).hasText("8 knives");

      // The keys are back in the tray once the search is left.
      page.keyboard().press("Tab");
      page.keyboard().press("f");
      Locator jack = page.getByLabel("Jack 4 of 4", new Page.GetByLabelOptions().setExact(true));
      assertThat(jack).isFocused();
      page.keyboard().press("Space");
      assertThat(count).hasText("4 of 8");
      Locator germany = page.getByLabel("Germany 0 of 2");
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

  private static Locator.FilterOptions byText(String text) {
    return new Locator.FilterOptions().setHasText(text);
  }
}
