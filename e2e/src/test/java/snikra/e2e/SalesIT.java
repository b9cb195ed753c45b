package snikra.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.io.TempDir;

/** The sales book: one sale by keys, a table with mistakes, and what they say of a knife. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class SalesIT {
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

  @Test
  void aSaleIsEnteredByKeysAndValuesTheKnifeOnTheBench() {
    Page page = chromium.page(1280, 800);
    page.navigate(app.url("/tray"));
    page.getByRole(AriaRole.BANNER).waitFor();
    page.keyboard().press("y");
    assertThat(page.getByText("Nothing yet.")).isVisible();
    page.keyboard().press("+");
    Locator sheet = page.getByRole(AriaRole.DIALOG);
    sheet.getByLabel("What was sold").focus();
    page.keyboard().type("A jack of two blades");
    page.keyboard().press("Tab");
    page.keyboard().type("45 gbp");
    page.keyboard().press("Tab");
    page.keyboard().press("Tab");
    page.keyboard().type("May 2024");
    page.keyboard().press("Tab");
    assertThat(sheet.getByLabel("When")).hasValue("2024-05");
    assertThat(sheet.getByLabel("Price")).hasValue("45 GBP");
    sheet.getByText("Keep it").press("Enter");
    assertThat(page.getByText("1 sale that value")).isVisible();

    page.keyboard().press("n");
    assertThat(page.locator("#station")).isVisible();
    page.keyboard().press("v");
    assertThat(page.getByTestId("value-summary")).containsText("1 sale counts");
    assertThat(page.getByLabel("From the sales book")).containsText("A jack of two blades");
    page.close();
  }

  private static Locator rows(Locator sheet) {
    return sheet.getByLabel("Rows", new Locator.GetByLabelOptions().setExact(true));
  }

  @Test
  void aTableWithMistakesIsLookedAtTakenInAndOutAgain() throws IOException {
    Path table = data.resolve("list.csv");
    Files.writeString(
        table, "Item;Preis;When\nTrapper;60;2023\nCanoe;dear;2023\nBarlow;45;4/5/2024\n");
    Page page = chromium.page(390, 844);
    page.navigate(app.url("/sales"));
    page.getByText("Add a list of sales").click();
    Locator sheet = page.getByRole(AriaRole.DIALOG);
    sheet.locator("input[type=file]").setInputFiles(table);
    assertThat(sheet.getByTestId("report")).containsText("1 can be added; 2 cannot");
    assertThat(rows(sheet)).containsText("2024-04-05 or 2024-05-04");
    sheet.getByLabel("What When is").selectOption("note");
    assertThat(sheet.getByTestId("report")).containsText("2 can be added; 1 cannot");
    sheet.getByText("Add 2 sales").click();
    assertThat(sheet).isHidden();
    assertThat(page.getByLabel("Sales, the latest first")).containsText("Trapper");
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Undo")).click();
    assertThat(page.getByText("Trapper")).isHidden();
    page.close();
  }
}
