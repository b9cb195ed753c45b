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

/**
 * Safe keeping by keyboard: a copy, what it would bring back, bringing it back; taken out and let
 * go.
 */
class KeepingIT {
  @TempDir Path data;

  @Test
  void aCopyIsMadeLookedAtAndBroughtBack() {
    try (App app = App.start(data, "--demo");
        Chromium chromium = new Chromium()) {
      Page page = chromium.page(1280, 800);
      page.navigate(app.url("/tray"));
      Locator knives = page.locator("a[data-knife]");
      assertThat(knives).hasCount(8);
      page.keyboard().press("k");
      assertThat(page.getByRole(AriaRole.HEADING, named("Safe keeping"))).isVisible();
      assertThat(page.getByText("No copy yet.")).isVisible();
      button(page, "Make a copy now").press("Enter");
      assertThat(page.getByRole(AriaRole.ROW)).hasCount(2);

      page.keyboard().press("t");
      knives.first().press("Delete");
      assertThat(knives).hasCount(7);
      page.keyboard().press("k");
      button(page, "Look at the copy of").press("Enter");
      Locator sheet = page.getByRole(AriaRole.DIALOG);
      assertThat(sheet).containsText("7 knives are the same");
      assertThat(sheet).containsText("Would come back");
      sheet.getByText("Put this copy back").press("Enter");
      assertThat(page.getByRole(AriaRole.ROW)).hasCount(3);
      assertThat(page.getByText("before a copy was brought back")).isVisible();
      theWholeGoesOutAndComesBack(page);
      page.keyboard().press("t");
      assertThat(knives).hasCount(8);
      assertThat(chromium.complaints).isEmpty();
    }
  }

  private static void theWholeGoesOutAndComesBack(Page page) {
    Download file = page.waitForDownload(() -> page.getByText("Save it").press("Enter"));
    page.getByLabel("A collection to add").setInputFiles(file.path());
    Locator told = page.getByLabel("What it would bring");
    assertThat(told).containsText("8the same in both");
    told.getByText("Add it").press("Enter");
    assertThat(page.getByText("before a collection was brought")).isVisible();
    assertThat(page.getByText(Pattern.compile("^It is added"))).isVisible();
  }

  @Test
  void whatWasTakenOutIsPutBackOrLetGoAndAllIsCheckedOnAPhone() {
    try (App app = App.start(data, "--demo");
        Chromium chromium = new Chromium()) {
      Page page = chromium.page(390, 844);
      page.navigate(app.url("/tray"));
      Locator knives = page.locator("a[data-knife]");
      assertThat(knives).hasCount(8);
      knives.first().press("Delete");
      assertThat(knives).hasCount(7);
      knives.first().press("Delete");
      assertThat(knives).hasCount(6);
      page.navigate(app.url("/keeping"));
      Locator taken = page.getByLabel("Taken out").getByRole(AriaRole.LISTITEM);
      assertThat(taken).hasCount(2);
      taken.first().getByText("Put back").click();
      assertThat(taken).hasCount(1);
      taken.first().getByText("Remove for good").click();
      page.getByRole(AriaRole.DIALOG).getByText("Remove it").click();
      assertThat(page.getByText("No knife was taken out")).isVisible();
      button(page, "Check").click();
      assertThat(page.getByText("All is sound: 7 knives read")).isVisible();
      assertThat((int) page.evaluate("document.documentElement.scrollWidth")).isEqualTo(390);
      assertThat(chromium.complaints).isEmpty();
    }
  }

  @Test
  void aFolderForCopiesThatCannotBeIsToldBesideIt() {
    try (App app = App.start(data);
        Chromium chromium = new Chromium()) {
      Page page = chromium.page(1280, 800);
      page.navigate(app.url("/keeping"));
      page.getByLabel("Kept in").fill("not a whole path");
      page.getByLabel("Kept in").press("Enter");
      assertThat(page.getByText("must be the whole path of a folder")).isVisible();
      page.getByLabel("Kept in").fill(data.resolve("copies").toString());
      page.getByLabel("Kept in").press("Enter");
      assertThat(page.getByText("Copies are kept there from now on.").first()).isVisible();
      assertThat(Files.isDirectory(data.resolve("copies"))).isTrue();
    }
  }

  @Test
  void whileItRunsACopyIsAskedForFromTheCommandLineAndWithoutItOneIsPutBack() throws Exception {
    try (App app = App.start(data, "--demo");
        Chromium chromium = new Chromium()) {
      Page page = chromium.page(1280, 800);
      page.navigate(app.url("/tray"));
      assertThat(page.locator("a[data-knife]")).hasCount(8);
      App backup = App.launch(data, "--backup");
      assertThat(backup.exit()).isZero();
      assertThat(backup.said()).contains("Copied 8 knives");
      App check = App.launch(data, "--check");
      assertThat(check.exit()).isZero();
      assertThat(check.said()).contains("All is sound.");
      App refused = App.launch(data, "--restore", "newest");
      assertThat(refused.exit()).isEqualTo(1);
      assertThat(refused.said()).contains("Stop it first");
    }
    Path file = data.resolve("snikra.mv.db");
    Files.write(file, new byte[0]);
    App empty = App.launch(data);
    assertThat(empty.exit()).isEqualTo(1);
    assertThat(empty.said()).contains("is empty; nothing was touched").contains("8 knives");
    App restored = App.launch(data, "--restore", "newest");
    assertThat(restored.exit()).isZero();
    assertThat(restored.said()).contains("Put back the copy");
    App check = App.launch(data, "--check");
    assertThat(check.exit()).isZero();
    assertThat(check.said()).contains("8 knives can be read");
  }

  private static Locator button(Page page, String name) {
    return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name)).first();
  }

  private static Page.GetByRoleOptions named(String name) {
    return new Page.GetByRoleOptions().setName(name);
  }
}
