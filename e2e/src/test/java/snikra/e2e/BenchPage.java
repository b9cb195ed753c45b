package snikra.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;

/** The bench as a person uses it: by what stands on the screen. */
record BenchPage(Page page) {
  /** In working order. */
  static final List<String> STATIONS =
      List.of(
          "Pattern",
          "Blades",
          "Marks",
          "Number",
          "Shield",
          "Handle",
          "Frame",
          "Tools",
          "Action",
          "Box",
          "Condition",
          "Story",
          "Value");

  /** Takes a knife out of the tray, and waits for its verdict. */
  static BenchPage laidOut(App app, Page page, String knife) {
    page.navigate(app.url("/tray"));
    page.locator("a[data-knife]").filter(new Locator.FilterOptions().setHasText(knife)).click();
    BenchPage bench = new BenchPage(page);
    assertThat(bench.opinion()).isVisible();
    return bench;
  }

  BenchPage go(String station) {
    page.getByRole(AriaRole.NAVIGATION, named("Examination, in working order"))
        .getByRole(AriaRole.BUTTON)
        .filter(new Locator.FilterOptions().setHasText(station))
        .click();
    assertThat(page.locator("#station-name")).hasText(station);
    return this;
  }

  private static Page.GetByRoleOptions named(String name) {
    return new Page.GetByRoleOptions().setName(name);
  }

  /** Waits for the photographs of the sample tin, which are made once the page is served. */
  BenchPage withPhotograph() {
    for (int i = 0; i < 40 && page.getByLabel("Measure on knife").count() == 0; i++) {
      page.waitForTimeout(700);
      page.reload();
      assertThat(opinion()).isVisible();
      page.waitForTimeout(300);
    }
    return this;
  }

  /** Chooses from a list, or among pictures by typing the name. */
  BenchPage choose(String label, String answer) {
    if ("SELECT".equals(field(label).evaluate("e => e.tagName"))) {
      field(label)
          .selectOption(new com.microsoft.playwright.options.SelectOption().setLabel(answer));
    } else {
      field(label).click();
      page.keyboard().type(answer);
      page.keyboard().press("Enter");
      assertThat(field(label)).containsText(answer);
    }
    return this;
  }

  Locator field(String label) {
    return page.locator("#station")
        .getByLabel(label, new Locator.GetByLabelOptions().setExact(true));
  }

  BenchPage write(String label, String text) {
    field(label).fill(text);
    field(label).press("Enter");
    return this;
  }

  BenchPage press(String button) {
    page.locator("#station")
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(button).setExact(true))
        .click();
    return this;
  }

  /** Waits until the server has everything. */
  BenchPage saved() {
    page.waitForTimeout(400);
    assertThat(page.getByTestId("save-state")).hasText("Saved");
    return this;
  }

  Locator opinion() {
    return page.getByTestId("opinion");
  }

  Locator span() {
    return page.getByTestId("span");
  }

  Locator title() {
    return page.getByTestId("pattern-title");
  }
}
