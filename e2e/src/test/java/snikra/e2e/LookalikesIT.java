package snikra.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A knife beside its lookalikes. */
class LookalikesIT {
  @TempDir Path data;

  @Test
  void theKnifeIsHeldTellByTellAgainstModelsAndKnivesOneChooses() {
    try (App app = App.start(data, "--demo");
        Chromium chromium = new Chromium()) {
      Page page = chromium.page(1280, 800);
      page.navigate(app.url("/tray"));
      page.locator("a[data-knife]")
          .filter(new Locator.FilterOptions().setHasText("Old look"))
          .click();
      assertThat(page.getByTestId("opinion")).isVisible();
      page.locator("#station").press("l");

      Locator tells = page.getByTestId("tells");
      assertThat(tells).containsText("Punch");
      assertThat(tells.getByText("against, ").first()).isAttached();
      assertThat(page.getByLabel("Candidate 1")).hasValue("harrowmint-lisk/HL81");
      assertThat(page.getByLabel("Candidate 3")).isVisible();
      page.getByText("Lay another beside it").press("Enter");
      assertThat(page.getByLabel("Candidate 4")).isVisible();
      page.getByLabel("Candidate 4").selectOption("okkerby/41-2E");
      assertThat(tells).containsText("ebony");
      page.getByLabel("Candidate 4").selectOption("");
      assertThat(page.getByLabel("Candidate 4")).hasCount(0);

      page.reload();
      assertThat(page.getByLabel("Candidate 3")).isVisible();
      page.setViewportSize(390, 844);
      assertThat((int) page.evaluate("document.documentElement.scrollWidth")).isEqualTo(390);
      page.navigate(page.url().replaceAll("with=.*", "with=nobody/1"));
      assertThat(page.getByRole(AriaRole.ALERT)).containsText("no knife nobody/1");
      page.getByText("Try again").click();
      assertThat(tells).isVisible();
      page.keyboard().press("Escape");
      assertThat(page.getByTestId("opinion")).isVisible();
    }
  }
}
