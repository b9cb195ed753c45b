package snikra.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Path;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** One unknown knife, from the bench to the tray and back after a restart. */
class FirstPathIT {
  @TempDir Path data;
  private final Chromium chromium = new Chromium();

  @AfterEach
  void noComplaints() {
    chromium.close();
    assertThat(chromium.complaints).isEmpty();
  }

  @Test
  void withTheMouse() {
    String address;
    try (App app = App.startWithExamples(data)) {
      Page page = chromium.page(1280, 800);
      page.navigate(app.url("/"));
      assertThat(page.getByText("The tray is empty.")).isVisible();
      page.getByRole(AriaRole.MAIN).getByRole(AriaRole.BUTTON).first().click();
      BenchPage bench = new BenchPage(page);

      bench
          .press("Serpentine")
          .write("Closed length", "3 7/8")
          .choose("Bolsters", "Bolsters at both ends");
      bench.go("Blades").press("Add the main blade");
      bench.choose("Main blade: kind", "Clip blade").choose("Main blade: presses", "one spring");
      bench.press("Add a blade or tool");
      bench.choose("Blade 2: kind", "Sheepfoot blade").choose("Blade 2: end", "B, the other end");
      bench.press("Add a blade or tool");
      bench.choose("Blade 3: kind", "Spey blade").choose("Blade 3: end", "B, the other end");
      assertThat(bench.title()).hasText("Large stockman");

      bench.go("Marks");
      bench.field("Line 1 of the mark").pressSequentially("QUILL.ER");
      bench.field("Line 2 of the mark").pressSequentially("& DA.");
      bench.field("Line 3 of the mark").pressSequentially("sc.ho?lt");
      for (int i = 0; i < 4; i++) {
        bench.field("Line 3 of the mark").press("ArrowLeft");
      }
      bench.field("Line 3 of the mark").pressSequentially("r");
      assertThat(bench.field("Line 3 of the mark")).hasValue("SC\u00b7RHOLT");
      assertThat(page.getByTestId("readings")).containsText("Quillfer & Dax");
      assertThat(page.getByTestId("readings")).containsText("Quillfer & Dal");
      assertThat(bench.span()).containsText(Pattern.compile("18(88|89|9\\d)"));
      bench.field("Line 2 of the mark").press("End");
      bench.field("Line 2 of the mark").press("Backspace");
      bench.field("Line 2 of the mark").pressSequentially("L");
      assertThat(bench.opinion()).containsText("Quillfer & Dal");

      bench
          .go("Handle")
          .choose("Handle material", "Acetal, moulded as jigged bone, stag or saw-cut");
      assertThat(bench.opinion()).containsText("handle replaced");
      assertThat(page.getByTestId("findings")).containsText("years apart");

      bench.go("Condition").choose("Blade wear", "About a tenth gone");
      // A tenth gone is Very good at best, another's handle Good.
      assertThat(page.getByTestId("grade")).containsText("Good at best");
      assertThat(page.getByTestId("grade")).containsText("handle replaced");

      bench.go("Story").press("Add an event");
      bench.write("When", "193X").write("From where", "A market").write("Price paid", "£45");

      bench.go("Value");
      for (int i = 1; i <= 3; i++) {
        bench.press("Add a sale");
        Locator sale =
            page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Sale " + i));
        sale.getByLabel("Price").fill("" + (40 + 10 * i));
        sale.getByLabel("Price").press("Enter");
        assertThat(page.getByTestId("value-summary"))
            .containsText(i < 3 ? "Thin: " + i : "3 sales");
      }
      assertThat(page.getByTestId("value")).containsText("£");
      page.getByLabel("Your name for it").fill("From the market");
      page.getByLabel("Your name for it").press("Enter");
      bench.saved();
      address = page.url().replaceFirst("^http://[^/]+", "");
    }
    afterARestart(address);
  }

  private void afterARestart(String address) {
    try (App app = App.startWithExamples(data)) {
      Page page = chromium.page(1280, 800);
      page.navigate(app.url("/tray"));
      page.getByLabel("Search the tray").fill("stockman market before 1935");
      assertThat(page.getByRole(AriaRole.STATUS).first()).containsText("1 of 1");
      page.locator("a[data-knife]").click();
      BenchPage bench = new BenchPage(page);
      assertThat(bench.title()).hasText("Large stockman");
      assertThat(page.getByLabel("Your name for it")).hasValue("From the market");
      bench.go("Marks");
      assertThat(bench.field("Line 1 of the mark")).hasValue("QUILL\u00b7ER");
      bench.go("Story");
      assertThat(bench.field("When")).hasValue("193X");
      assertThat(bench.field("Price paid")).hasValue("45 GBP");
      assertThat(page.url()).contains(address.replaceFirst("[?].*$", ""));
    }
  }

  @Test
  void withTheKeyboardAlone() {
    try (App app = App.startWithExamples(data)) {
      Page page = chromium.page(1280, 800);
      Keyboard hands = new Keyboard(page);
      page.navigate(app.url("/tray"));
      assertThat(page.getByText("The tray is empty.")).isVisible();
      hands.press("n");
      BenchPage bench = new BenchPage(page);
      assertThat(page.locator("#station-name")).hasText("Pattern");

      hands.press("1");
      hands.press("Tab").arrowTo("Teardrop");
      hands.press("Space");
      hands.tabTo("Closed length");
      hands.type("92 mm");
      hands.tabTo("Bolsters");
      hands.type("bolsters at both");
      hands.press("Enter");
      hands.leave();

      hands.press("2");
      hands.tabTo("Add the main blade");
      hands.press("Enter");
      hands.tabTo("Main blade: kind");
      hands.type("master spear");
      hands.press("Enter");
      hands.tabTo("Add a blade or tool");
      hands.press("Enter");
      hands.tabTo("Blade 2: kind");
      hands.type("Pen blade");
      hands.press("Enter");
      hands.tabTo("Blade 2: end");
      hands.type("A");
      hands.leave();
      assertThat(bench.title()).hasText("Teardrop jack");

      hands.press("3");
      hands.tabTo("Line 1 of the mark");
      hands.type("VELDR.KE");
      hands.press("Enter");
      hands.type("TARNMO?OR FA*");
      assertThat(bench.opinion()).containsText("Veldrake Knife Works");
      hands.leave();

      hands.press("4");
      hands.tabTo("Number as struck");
      hands.type("61/43");
      hands.press("Enter");
      assertThat(page.getByTestId("number")).containsText("stag");
      hands.leave();
      hands.press("c");
      hands.tabTo("Blade wear");
      hands.type("worn");
      hands.press("Enter");
      hands.leave();
      assertThat(page.getByTestId("grade")).containsText("Poor");

      hands.press("Control+z");
      assertThat(page.getByTestId("grade")).containsText("Not yet");
      hands.press("Control+Shift+Z");
      assertThat(page.getByTestId("grade")).containsText("Poor");
      // The large drawing has the length on it.
      hands.press("u").press("d");
      assertThat(page.locator("main")).containsText("92.0");
      bench.saved();

      hands.press("?");
      assertThat(page.getByRole(AriaRole.DIALOG)).containsText("a stretch of unknown length");
      hands.press("Escape");
      hands.press("t");
      assertThat(page.locator("a[data-knife]")).hasCount(1);
      hands.press("/");
      hands.type("teardrop");
      hands.press("Enter");
      assertThat(bench.title()).hasText("Teardrop jack");
      deletedAndPutBack(page);
    }
  }

  private static void deletedAndPutBack(Page page) {
    page.keyboard().press("t");
    Locator knife = page.locator("a[data-knife]");
    assertThat(knife).hasCount(1);
    knife.focus();
    page.keyboard().press("Delete");
    assertThat(page.getByText("The tray is empty.")).isVisible();
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Undo")).press("Enter");
    assertThat(knife).hasCount(1);
  }
}
