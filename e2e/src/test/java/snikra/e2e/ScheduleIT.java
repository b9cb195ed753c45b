package snikra.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** From what was found in the tray to a schedule on paper, by keys. */
class ScheduleIT {
  @TempDir Path data;

  @Test
  void whatWasFoundIsPutDownForAnEstateAndSaved() throws IOException {
    try (App app = App.start(data, "--demo");
        Chromium chromium = new Chromium()) {
      Page page = chromium.page(1280, 800);
      page.navigate(app.url("/tray?q=bone"));
      assertThat(page.locator("a[data-knife]").first()).isVisible();
      page.getByText("Save as").press("Enter");
      page.getByLabel("Places used on the first sheet").fill("3");
      Download labels =
          page.waitForDownload(() -> page.getByText("Labels with a code, to print").click());
      assertThat(new String(Files.readAllBytes(labels.path()), 0, 5, StandardCharsets.ISO_8859_1))
          .isEqualTo("%PDF-");
      page.getByText("A schedule for an insurer or an estate").press("Enter");
      assertThat(page.getByText("Of what was found: bone.")).isVisible();
      page.getByText("For an estate: half of like sales bring less").click();
      page.getByLabel("Of what, or for whom").fill("The bone ones");
      page.keyboard().press("Enter");
      assertThat(page.getByLabel("Kept")).containsText("The bone ones, for an estate");
      Download pdf = page.waitForDownload(() -> page.getByText("PDF to print").click());
      assertThat(pdf.suggestedFilename()).startsWith("schedule-estate-").endsWith(".pdf");
      assertThat(new String(Files.readAllBytes(pdf.path()), 0, 5, StandardCharsets.ISO_8859_1))
          .isEqualTo("%PDF-");
      Download table = page.waitForDownload(() -> page.getByText("Table").click());
      assertThat(Files.readString(table.path())).contains("Amount").contains("estate");
      assertThat(chromium.complaints).isEmpty();

      page.setViewportSize(390, 844);
      page.getByText("Take out").click();
      assertThat(page.getByText("None yet.")).isVisible();
      page.locator("li")
          .filter(new Locator.FilterOptions().setHasText("The schedule is taken out."))
          .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Undo"))
          .click();
      assertThat(page.getByLabel("Kept")).containsText("The bone ones");
      assertThat((Boolean) page.evaluate("document.body.scrollWidth <= innerWidth")).isTrue();
    }
  }
}
