package snikra.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** At a stall with a phone: what to do is said after each look, and what was bought goes on. */
class QuickIT {
  @TempDir Path data;

  @Test
  void aKnifeIsLookedOverWithOneThumbAndGoesToTheBench() {
    try (App app = App.start(data, "--demo");
        Chromium chromium = new Chromium()) {
      Page page = chromium.phone();
      page.navigate(app.url("/tray"));
      page.getByText("Quick look").tap();
      Locator told = page.getByLabel("What to do");
      assertThat(told).containsText("Nothing looked at yet.");
      for (String answer :
          List.of("Solid and fitted", "Full, as they were ground", "Snaps and stands firm")) {
        page.getByText(answer).tap();
      }
      assertThat(told).containsText("at most");
      assertThat(told).containsText("Full blades are what is paid for first.");
      assertThat(told).containsText("Next: who made it");
      page.getByText("No mark, or one few look for").tap();
      page.getByText("All of an age").tap();
      page.getByText("Nothing", new Page.GetByTextOptions().setExact(true)).tap();
      page.getByLabel("They ask").fill("5");
      page.getByLabel("They ask").press("Enter");
      assertThat(told).containsText("Buy, up to");
      page.getByLabel("They ask").fill("2000");
      page.getByLabel("They ask").press("Enter");
      assertThat(told).containsText("Put it down");
      assertThat(told).isInViewport();
      page.getByText("To the bench with it").last().tap();
      assertThat(page.getByLabel("Your name for it")).hasValue("From a stall");
      new BenchPage(page).go("Story");
      assertThat(page.getByLabel("Your note"))
          .hasValue(Pattern.compile("Blades: Full, as they were ground[.]"));
      assertThat(chromium.complaints).isEmpty();
    }
  }

  @Test
  void eachOfTheSixLooksIsOneTapAndTheNextComesIntoSightByItself() {
    try (App app = App.start(data.resolve("taps"), "--demo");
        Chromium chromium = new Chromium()) {
      Page page = chromium.phone();
      page.navigate(app.url("/quick"));
      Locator told = page.getByLabel("What to do");
      for (String answer :
          List.of(
              "A house of sound work",
              "Solid and fitted",
              "Honed, all there",
              "Snaps and stands firm",
              "All of an age",
              "Something that adds")) {
        Locator here = page.getByText(answer);
        assertThat(here).isInViewport();
        assertThat(told).isInViewport();
        here.tap();
      }
      assertThat(told).not().containsText("Next:");
      assertThat(chromium.complaints).isEmpty();
    }
  }

  @Test
  void byKeysAMakerOnFileIsNamedWithWhatIsWantedOfIt() {
    try (App app = App.start(data.resolve("other"), "--demo");
        Chromium chromium = new Chromium()) {
      Page page = chromium.page(1280, 800);
      page.navigate(app.url("/tray"));
      assertThat(page.locator("a[data-knife]").first()).isVisible();
      page.keyboard().press("q");
      page.getByLabel("Maker, where it can be read").selectOption("okkerby");
      Locator told = page.getByLabel("What to do");
      assertThat(told).containsText("33-3J Medium stockman in jigged bone, up to \u00a3220");
      Locator loose =
          page.getByRole(
              AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Loose, weak or cracked"));
      loose.press("Space");
      assertThat(loose).hasAttribute("aria-pressed", "true");
      assertThat(told).containsText("A broken or tired spring is seldom mended well.");
      assertThat(chromium.complaints).isEmpty();
    }
  }
}
