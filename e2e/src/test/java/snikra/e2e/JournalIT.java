package snikra.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The journal of a knife. */
class JournalIT {
  @TempDir Path data;

  @Test
  void aSittingIsEnteredByItselfAndWhatOneHoldsStandsBesideIt() {
    try (App app = App.startWithExamples(data);
        Chromium chromium = new Chromium()) {
      Page page = chromium.page(1280, 800);
      page.navigate(app.url("/tray"));
      page.getByText("New knife").press("Enter");
      BenchPage bench = new BenchPage(page);
      bench.go("Frame").choose("Spacer at the tail", "Plastic").saved();
      page.locator("#station").press("j");

      Locator entries = page.getByLabel("Entries", new Page.GetByLabelOptions().setExact(true));
      assertThat(entries.locator("li > div").first()).containsText("Spacer at the tail: Plastic");
      assertThat(entries).containsText("years later. Moulded thermoplastics");

      page.getByLabel("Years you hold").fill("the thirties");
      page.getByLabel("Years you hold").press("Enter");
      assertThat(page.locator("main")).containsText("the thirties: must be a date such as");
      page.getByLabel("Note").fill("It <b>looks</b> older.");
      page.getByLabel("Years you hold").fill("193X");
      page.getByLabel("It is an open question").check();
      page.getByText("Enter it").press("Enter");
      assertThat(entries).containsText("You hold 193X. Snikra gave those years");
      assertThat(entries).containsText("It <b>looks</b> older.");
      assertThat(page.getByLabel("Note")).hasValue("");

      page.keyboard().press("Escape");
      assertThat(page.getByLabel("Verdict").first())
          .containsText("You hold 193X. One open question.");
      page.getByText("Journal").click();
      page.getByText("It is answered").click();
      assertThat(entries).not().containsText("Open question");
      page.getByText("Take out").click();
      assertThat(entries).not().containsText("193X");
      page.getByText("Undo").last().click();
      assertThat(entries).containsText("193X");

      page.reload();
      assertThat(entries).containsText("You hold 193X");
      page.navigate(app.url("/bench/none/journal"));
      assertThat(page.getByText("no knife none")).isVisible();
      assertThat(chromium.complaints.stream().filter(c -> !c.contains("40")).toList()).isEmpty();
    }
  }
}
