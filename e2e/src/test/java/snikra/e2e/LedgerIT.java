package snikra.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Path;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.io.TempDir;

/** A lot entered by keys alone, one of it sold on a phone, corrected and struck out. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class LedgerIT {
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

  private static void typed(Page page, String text) {
    page.keyboard().type(text);
    page.keyboard().press("Tab");
  }

  @Test
  void aLotIsEnteredByKeysOneOfItSoldOnAPhoneCorrectedAndStruckOut() {
    Page page = chromium.page(1280, 800);
    page.navigate(app.url("/tray"));
    page.getByRole(AriaRole.BANNER).waitFor();
    page.keyboard().press("x");
    assertThat(page.getByText("Nothing yet.")).isVisible();
    page.keyboard().press("+");
    Locator sheet = page.getByRole(AriaRole.DIALOG);
    sheet.getByLabel("When").focus();
    page.keyboard().press("Control+A");
    typed(page, "2/3/2024");
    // Day and month that may be either are asked about.
    assertThat(sheet.getByText("2024-02-03 or 2024-03-02")).isVisible();
    sheet.getByLabel("When").focus();
    page.keyboard().press("Control+A");
    typed(page, "2 March 2024");
    typed(page, "box at a fair");
    typed(page, "30");
    assertThat(sheet.getByLabel("Price of all")).hasValue("30 GBP");
    typed(page, "4.50");
    sheet.getByLabel("Knife 1").focus();
    page.keyboard().type("the jack");
    page.keyboard().press("Enter");
    assertThat(sheet.getByLabel("Knife 2")).isFocused();
    page.keyboard().type("the pen");
    page.keyboard().press("Enter");
    page.keyboard().type("the barlow");
    assertThat(sheet.getByLabel("Knives that came")).containsText("\u00a311.50");
    sheet.getByText("Keep it").press("Enter");
    assertThat(sheet).isHidden();
    assertThat(page.getByText("3 knives, 3 here")).isVisible();
    page.close();

    page = chromium.page(390, 844);
    page.navigate(app.url("/ledger"));
    page.getByText("Add an entry").click();
    sheet = page.getByRole(AriaRole.DIALOG);
    sheet.getByLabel("What", new Locator.GetByLabelOptions().setExact(true)).selectOption("sold");
    sheet.getByLabel("Price of all").fill("40");
    sheet.getByLabel("Price of all").blur();
    sheet.getByLabel("the jack").check();
    assertThat(sheet.getByLabel("Knives that went")).containsText("\u00a340.00");
    sheet.getByText("Keep it").click();
    assertThat(page.getByText("the 2 here cost less than nothing")).isVisible();

    page.getByText("Correct", new Page.GetByTextOptions().setExact(true)).first().click();
    sheet.getByLabel("Price of all").fill("20");
    sheet.getByLabel("Price of all").blur();
    assertThat(sheet.getByLabel("Knives that went")).containsText("\u00a320.00");
    sheet.getByText("Keep it").click();
    assertThat(page.getByText("for the 2 here")).isVisible();
    page.getByText("Written 2 times: what it was").click();
    assertThat(page.getByText("the jack went; \u00a340.00")).isVisible();
    page.getByText("Strike out").first().click();
    assertThat(page.getByText("3 knives, 3 here")).isVisible();
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Undo")).click();
    assertThat(page.getByText("3 knives, 2 here")).isVisible();
    page.reload();
    assertThat(page.getByText("3 knives, 2 here")).isVisible();
    page.close();
  }
}
