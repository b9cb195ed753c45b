package snikra.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** An empty tray as {@code ./snikra start} opens it: without a maker that never was. */
class FirstStartIT {
  @TempDir Path data;

  @Test
  void madeUpMakersAreOffUntilOneLooksAroundAndGoAgain() {
    try (App app = App.start(data);
        Chromium chromium = new Chromium()) {
      Page page = chromium.page(1280, 800);
      page.navigate(app.url("/makers"));
      assertThat(page.getByText("No maker is on file")).isVisible();
      assertThat(page.locator("a[data-maker]")).hasCount(0);

      page.keyboard().press("t");
      assertThat(heading(page, "The tray is empty.")).isVisible();
      Locator look = button(page, "Use the made-up makers");
      look.press("Enter");
      assertThat(button(page, "Put the made-up makers away")).isVisible();
      page.keyboard().press("m");
      assertThat(page.locator("a[data-maker]")).hasCount(13);
      page.keyboard().press("t");
      button(page, "Put the made-up makers away").press("Enter");
      assertThat(look).isVisible();

      page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Add references")).click();
      assertThat(heading(page, "Reference packs")).isVisible();
      page.keyboard().press("t");
      page.getByRole(AriaRole.MAIN)
          .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("New knife"))
          .press("Enter");
      BenchPage bench = new BenchPage(page);
      bench.go("Marks");
      bench.field("Line 1 of the mark").pressSequentially("VELDRAKE");
      bench.field("Line 2 of the mark").pressSequentially("TARNMOOR FALLS");
      bench.field("Line 2 of the mark").press("Enter");
      bench.go("Frame").choose("Spacer at the tail", "Plastic");
      bench.saved();
      assertThat(bench.opinion()).containsText("Maker not yet known");
      assertThat(bench.opinion()).not().containsText("Veldrake Knife Works");
      assertThat(chromium.complaints).isEmpty();
    }
  }

  @Test
  void theTourLeadsThroughAKnifeByKeysAndTakesItOutAgain() {
    try (App app = App.start(data);
        Chromium chromium = new Chromium()) {
      Page page = chromium.page(390, 844);
      page.navigate(app.url("/tray"));
      button(page, "Show me on one, in two minutes").press("Enter");
      Locator tour =
          page.getByRole(
              AriaRole.REGION, new Page.GetByRoleOptions().setName("Tour").setExact(true));
      assertThat(tour).containsText("1 of 7");
      BenchPage bench = new BenchPage(page);
      bench.press("Swell-end").choose("Bolsters", "Bolsters at both ends");
      assertThat(tour).containsText("2 of 7");
      page.keyboard().press("2");
      assertThat(page.locator("#station-name")).hasText("Blades");
      for (int step = 2; step < 7; step++) {
        assertThat(tour).containsText(step + " of 7");
        button(page, "Answer it for me").press("Enter");
      }
      assertThat(tour).containsText("That is the whole of it");
      bench.saved();
      assertThat(bench.opinion()).containsText("British");
      page.reload();
      assertThat(tour).containsText("7 of 7");
      button(page, "End it and take the knife out").press("Enter");
      assertThat(heading(page, "The tray is empty.")).isVisible();
      button(page, "Undo").click();
      page.locator("a[data-knife]").click();
      assertThat(bench.opinion()).containsText("British");
      assertThat(tour).hasCount(0);
      assertThat(chromium.complaints).isEmpty();
    }
  }

  private static Locator heading(Page page, String name) {
    return page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName(name));
  }

  private static Locator button(Page page, String name) {
    return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name));
  }
}
