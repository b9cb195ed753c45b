package snikra.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.io.TempDir;

/**
 * A list one has already becomes knives in the tray, with its mistakes shown, and goes out again.
 */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class ListIT {
  private static final String LIST =
      """
      Name;Closed;Griff;Circa;Paid
      Uncle's jack;3 3/8;stag;c. 1905;45 GBP
      The odd one;long;dodo bone;once;dear
      The small one;2 7/8;pearl;1920s;
      """;

  @TempDir static Path data;
  private App app;
  private Chromium chromium;

  @BeforeAll
  void start() {
    app = App.start(data);
    chromium = new Chromium();
  }

  @AfterAll
  void stop() {
    chromium.close();
    app.close();
    assertThat(chromium.complaints).isEmpty();
  }

  private static Locator undo(Page page) {
    return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Undo"));
  }

  private static Locator rows(Locator sheet) {
    return sheet.getByLabel("Rows", new Locator.GetByLabelOptions().setExact(true));
  }

  private static Locator inTray(Page page, String title) {
    return page.locator("a[data-knife]").filter(new Locator.FilterOptions().setHasText(title));
  }

  @Test
  void aPastedListWithMistakesIsTakenInByKeysAndOutAgain() {
    Page page = chromium.page(1280, 800);
    page.navigate(app.url("/tray"));
    page.getByText("Add a list").press("Enter");
    Locator sheet = page.getByRole(AriaRole.DIALOG);
    sheet.getByLabel("or paste rows").focus();
    page.keyboard().insertText(LIST);
    page.keyboard().press("Tab");
    assertThat(sheet.getByTestId("report")).containsText("3 rows, parted by semicolon");
    assertThat(rows(sheet)).containsText("In the note: Closed: long");
    assertThat(rows(sheet)).containsText("closed length 3 3/8");
    sheet.getByText("Add 3 knives").press("Enter");
    assertThat(sheet).isHidden();
    assertThat(page.getByText("3 knives added to the tray.").first()).isVisible();
    assertThat(inTray(page, "Uncle's jack")).isVisible();
    undo(page).press("Enter");
    assertThat(inTray(page, "Uncle's jack")).hasCount(0);
    page.close();
  }

  @Test
  void onAPhoneAFileIsTakenInAndItsKnifeSaysWhatTheListSaid() throws IOException {
    Path file = data.resolve("list.csv");
    // Rows of their own: those of the other test are in the tray or not.
    Files.writeString(file, LIST.replace("Uncle", "Aunt").replace("The", "A"));
    Page page = chromium.page(390, 844);
    page.navigate(app.url("/tray"));
    page.getByText("Add a list").click();
    Locator sheet = page.getByRole(AriaRole.DIALOG);
    sheet.locator("input[type=file]").setInputFiles(file);
    sheet.getByText("Add 3 knives").click();
    assertThat(sheet).isHidden();
    inTray(page, "A odd one").click();
    assertThat(page.locator("#station")).isVisible();
    page.keyboard().press("s");
    assertThat(page.getByLabel("Your note"))
        .hasValue(Pattern.compile("Closed: long.*Paid: dear", Pattern.DOTALL));
    page.navigate(app.url("/tray"));
    inTray(page, "Aunt's jack").click();
    assertThat(page.locator("#station")).isVisible();
    page.close();
  }
}
