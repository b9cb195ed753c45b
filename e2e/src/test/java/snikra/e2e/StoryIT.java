package snikra.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A story that contradicts its knife is told so, with what would reconcile the two. */
class StoryIT {
  @TempDir Path data;

  @Test
  void theStoryIsHeldAgainstTheKnife() {
    try (App app = App.start(data)) {
      carriedBeforeItsSpacerCouldBe(app);
      onAPhoneAGapAndTwoHoldersAreNamed(app);
    }
  }

  private static void carriedBeforeItsSpacerCouldBe(App app) {
    try (Chromium chromium = new Chromium()) {
      Page page = chromium.page(1280, 800);
      page.navigate(app.url("/tray"));
      page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("New knife"))
          .first()
          .press("Enter");
      BenchPage bench = new BenchPage(page);
      bench.go("Frame").choose("Spacer at the tail", "Plastic");
      bench.go("Story").press("Add an event");
      exactly(page, "What").selectOption("held");
      bench.write("When", "1917").write("Holder", "The grandfather");
      page.getByLabel("Who says so").selectOption("family");

      Locator station = page.locator("#station");
      assertThat(station).containsText("The knife speaks against it");
      assertThat(page.getByLabel("How both can be")).containsText("It tells of another knife");
      assertThat(page.getByLabel("How both can be")).containsText("spacer");
      assertThat(page.getByLabel("Who had it")).containsText("The grandfather");

      // A year the knife goes with is not doubted.
      bench.write("When", "1990");
      assertThat(page.getByLabel("How both can be")).hasCount(0);
      bench.write("When", "1917");
      assertThat(page.getByLabel("How both can be")).isVisible();
      bench.saved();

      page.getByText("Provenance sheet to print").press("Enter");
      assertThat(page.getByLabel("Links")).containsText("Held, 1917, The grandfather.");
      assertThat(page.getByLabel("Links")).containsText("The knife speaks against it");
      page.keyboard().press("Escape");
      assertThat(page.locator("#station-name")).hasText("Story");
      assertThat(chromium.complaints).isEmpty();
    }
  }

  private static void onAPhoneAGapAndTwoHoldersAreNamed(App app) {
    try (Chromium chromium = new Chromium()) {
      Page page = chromium.page(390, 844);
      page.navigate(app.url("/tray"));
      page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("New knife"))
          .first()
          .press("Enter");
      BenchPage bench = new BenchPage(page);
      bench.go("Story");
      event(page, 0, "1910-1925", "Ada");
      event(page, 1, "1920-1930", "Bo");
      event(page, 2, "1990", "Cy");
      assertThat(page.getByLabel("Who had it")).containsText("1930 to 1990: nothing is known");
      bench.saved();
      page.getByText("Provenance sheet to print").click();
      assertThat(page.getByLabel("To ask again"))
          .containsText("Ada and Bo both had it from 1920 to 1925");
      assertThat((Boolean) page.evaluate("document.body.scrollWidth <= innerWidth")).isTrue();
      assertThat(chromium.complaints).isEmpty();
    }
  }

  private static Locator exactly(Page page, String label) {
    return page.getByLabel(label, new Page.GetByLabelOptions().setExact(true));
  }

  private static void event(Page page, int place, String when, String holder) {
    page.getByText("Add an event").click();
    exactly(page, "What").nth(place).selectOption("held");
    page.getByLabel("When").nth(place).fill(when);
    page.getByLabel("When").nth(place).press("Tab");
    page.getByLabel("Holder").nth(place).fill(holder);
    page.getByLabel("Holder").nth(place).press("Tab");
  }
}
