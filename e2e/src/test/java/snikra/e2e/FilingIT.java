package snikra.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A real tray begins without makers: the first goes on file from the first knife. */
class FilingIT {
  @TempDir Path data;

  @Test
  void anUnknownMarkGoesOnFileByKeysInFewActionsAndTheVerdictMoves() {
    try (App app = App.start(data);
        Chromium chromium = new Chromium()) {
      Page page = chromium.page(1280, 800);
      BenchPage bench = markedKnife(app, page);
      assertThat(bench.opinion()).containsText("A British maker not on file");

      int actions = 0;
      button(page, "Put this mark on file").press("Enter");
      actions++;
      Locator slip = page.getByRole(AriaRole.DIALOG);
      assertThat(slip.getByLabel("Line 2 of the mark side")).hasValue("SKEL\u00b7Y");
      slip.getByLabel("Maker").pressSequentially("Grimblove");
      actions++;
      slip.getByLabel("Line 2 of the mark side").fill("SKELBY");
      actions++;
      slip.getByLabel("How it was marked").selectOption("struck");
      actions++;
      slip.getByLabel("until").fill("1926");
      slip.getByLabel("until").press("Tab");
      actions++;
      assertThat(slip.getByTestId("what-it-does")).containsText("Grimblove made it");
      button(page, "Put it on file").press("Enter");
      actions++;
      assertThat(bench.opinion()).containsText("Grimblove");
      assertThat(page.getByTestId("readings")).containsText("GRIMBLOVE");
      assertThat(actions).isLessThan(12);

      page.locator("li")
          .filter(new Locator.FilterOptions().setHasText("The mark of Grimblove is on file."))
          .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Undo"))
          .press("Enter");
      assertThat(page.getByText("It is off the file again.").first()).isVisible();
      assertThat(bench.opinion()).containsText("A British maker not on file");
      assertThat(chromium.complaints).isEmpty();
    }
    // What is on file outlasts the application, and so does the way back and forth.
    try (App app = App.start(data);
        Chromium chromium = new Chromium()) {
      Page page = chromium.page(390, 844);
      page.navigate(app.url("/makers"));
      page.getByText("What I put on file").press("Enter");
      button(page, "Do again: GRIMBLOVE SKELBY ENGLAND").press("Enter");
      assertThat(page.getByText("My own references").first()).isVisible();
      assertThat(page.getByText("1 maker, 1 mark")).isVisible();
      page.navigate(app.url("/tray"));
      page.locator("a[data-knife]").first().click();
      assertThat(new BenchPage(page).opinion()).containsText("Grimblove");
      assertThat(chromium.complaints).isEmpty();
    }
  }

  @Test
  void onAPhoneWhatIsMissingIsSaidAndNothingIsKept() {
    try (App app = App.start(data);
        Chromium chromium = new Chromium()) {
      Page page = chromium.page(390, 844);
      markedKnife(app, page);
      button(page, "Put this mark on file").click();
      button(page, "Put it on file").click();
      Locator slip = page.getByRole(AriaRole.DIALOG);
      assertThat(slip.getByText("nothing: must be given.").first()).isVisible();
      assertThat(slip.getByText("must have all its letters")).isVisible();
      assertThat(slip.getByLabel("Maker")).isFocused();
      slip.getByLabel("Maker").fill("Grimblove");
      assertThat(slip.getByLabel("Maker")).not().hasAttribute("aria-invalid", "true");
      page.keyboard().press("Escape");
      assertThat(slip).isHidden();
      assertThat(button(page, "Put this mark on file")).isFocused();
      page.navigate(app.url("/makers"));
      assertThat(page.getByText("My own references")).hasCount(0);
    }
  }

  private static BenchPage markedKnife(App app, Page page) {
    page.navigate(app.url("/tray"));
    page.getByRole(AriaRole.MAIN)
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("New knife"))
        .press("Enter");
    BenchPage bench = new BenchPage(page).go("Marks");
    bench.field("Line 1 of the mark").pressSequentially("GRIMBLOVE");
    bench.field("Line 2 of the mark").pressSequentially("SKEL.Y");
    bench.field("Line 3 of the mark").pressSequentially("ENGLAND");
    bench.field("Line 3 of the mark").press("Enter");
    bench.go("Frame").choose("Liners", "Liners of brass").go("Marks").saved();
    return bench;
  }

  private static Locator button(Page page, String name) {
    return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name));
  }

  @Test
  void aTableWithMistakesIsMendedPutOnFileUndoneAndDoneAgainByKeys() {
    StringBuilder rows = new StringBuilder("Maker,Stamp,Dates\n");
    for (int i = 0; i < 37; i++) {
      rows.append("Grimblove,GRIMBLOVE ")
          .append(1880 + i)
          .append(',')
          .append(1880 + i)
          .append('\n');
    }
    String wrong =
        "Grimblove,GR_MBLOVE,1890-1900\nGrimblove,,1890-1900\nGrimblove,G & CO,long ago\n";
    String right =
        "Grimblove,GRIMBLOVE,1890-1900\nGrimblove,G. & CO,1890-1900\nGrimblove,G & CO,1920s\n";
    try (App app = App.start(data);
        Chromium chromium = new Chromium()) {
      Page page = chromium.page(1280, 800);
      page.navigate(app.url("/makers"));
      button(page, "Marks out of a table").press("Enter");
      Locator dialog = page.getByRole(AriaRole.DIALOG);
      dialog.getByLabel("Country of a new maker").selectOption("UK");
      dialog.getByLabel("Which, by name").fill("A list of small firms");
      Locator paste = dialog.getByLabel("or paste rows");
      paste.fill(rows + wrong);
      paste.press("Tab");
      assertThat(dialog.getByTestId("report")).containsText("37 can go on file; 3 cannot yet");
      assertThat(dialog.getByText("Stamp, GR_MBLOVE: must have all its letters")).isVisible();
      assertThat(dialog.getByText("Dates, long ago: must be")).isVisible();
      paste.fill(rows + right);
      paste.press("Tab");
      assertThat(dialog.getByTestId("report")).containsText("40 can go on file.");
      button(page, "Put 40 marks on file").press("Enter");
      assertThat(page.getByText("40 marks on file.").first()).isVisible();
      assertThat(page.getByText("1 maker, 40 marks")).isVisible();

      page.getByText("What I put on file").first().press("Enter");
      button(page, "Undo: GRIMBLOVE 1880").press("Enter");
      assertThat(page.getByText("1 maker, 40 marks")).isHidden();
      button(page, "Do again: GRIMBLOVE 1880").press("Enter");
      assertThat(page.getByText("1 maker, 40 marks")).isVisible();

      page.locator("a[data-maker]").filter(hasText("Grimblove")).press("Enter");
      button(page, "Change G & CO").press("Enter");
      dialog.getByLabel("In use from").fill("1919");
      dialog.getByLabel("In use from").press("Tab");
      button(page, "Keep it so").press("Enter");
      assertThat(page.getByText("1919\u20131929")).isVisible();
      button(page, "Take out G & CO").press("Enter");
      assertThat(page.getByText("1 maker, 39 marks")).isVisible();
      assertThat(chromium.complaints).isEmpty();
    }
  }

  private static Locator.FilterOptions hasText(String text) {
    return new Locator.FilterOptions().setHasText(text);
  }
}
