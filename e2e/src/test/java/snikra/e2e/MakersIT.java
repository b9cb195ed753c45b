package snikra.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Reading among the makers, with the keyboard alone. */
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
      assertThat(makers).hasCount(5);

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
      assertThat(page).hasURL(java.util.regex.Pattern.compile("/makers/quillfer-dal$"));
      assertThat(page.getByLabel("Last two figures of the year")).containsText("1919");

      page.navigate(app.url("/makers/veldrake"));
      assertThat(page.getByText("Bars over the number")).isVisible();
      page.getByText("The number says stag").click();
      assertThat(new BenchPage(page).title()).isVisible();
      assertThat(chromium.complaints).isEmpty();
    }
  }
}
