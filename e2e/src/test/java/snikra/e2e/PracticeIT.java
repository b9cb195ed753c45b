package snikra.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.SelectOption;
import java.nio.file.Path;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Knives one guesses at: the same ten of a day for everyone, by keys and with one thumb. */
class PracticeIT {
  @TempDir Path data;

  private static Locator button(Page page, String name) {
    return page.getByRole(
        AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
  }

  private static Locator part(Page page, String name) {
    return page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName(name));
  }

  @Test
  void byKeysAKnifeOfTodayIsLookedAtGuessedAtAndUnveiled() {
    try (App app = App.start(data, "--demo");
        Chromium chromium = new Chromium()) {
      Page page = chromium.page(1280, 800);
      page.navigate(app.url("/tray"));
      assertThat(page.locator("a[data-knife]").first()).isVisible();
      page.keyboard().press("i");
      assertThat(page.getByText("14 glances for it")).isVisible();
      Keyboard keys = new Keyboard(page);
      keys.tabTo("Who practises").type("Ada").tabTo("Ten of today").press("Enter");
      Locator knife = part(page, "The knife");
      assertThat(knife.getByRole(AriaRole.STATUS)).hasText("14 glances left");
      Locator looks = knife.getByRole(AriaRole.BUTTON);
      String first = looks.first().innerText().lines().findFirst().orElseThrow();
      looks.first().press("Enter");
      assertThat(knife.getByRole(AriaRole.STATUS)).not().hasText("14 glances left");
      assertThat(looks.getByText(first, new Locator.GetByTextOptions().setExact(true))).hasCount(0);
      page.getByLabel("Who made it").selectOption("one who is not on file");
      page.getByLabel("How sure of who made it").press("End");
      assertThat(page.getByText("99 in 100")).isVisible();
      page.getByLabel("From").fill("1900");
      page.getByLabel("To", new Page.GetByLabelOptions().setExact(true)).fill("1890");
      page.getByLabel("To", new Page.GetByLabelOptions().setExact(true)).press("Enter");
      assertThat(page.getByText("1890: must be 1900 or later")).isVisible();
      page.getByLabel("To", new Page.GetByLabelOptions().setExact(true)).fill("1940");
      page.getByLabel("To", new Page.GetByLabelOptions().setExact(true)).press("Enter");
      Locator told = part(page, "What it was");
      assertThat(told).containsText("On the same looks the model says");
      assertThat(told.getByRole(AriaRole.ROW)).hasCount(3);
      String was = told.getByRole(AriaRole.HEADING).first().innerText();
      assertThat(part(page, "Your eye")).containsText("Ada, after 1 knife");
      assertThat(button(page, "The next knife")).isFocused();
      page.keyboard().press("Enter");
      assertThat(knife.getByRole(AriaRole.STATUS)).hasText("14 glances left");

      page.reload();
      assertThat(page.getByLabel("Who practises")).hasValue("Ada");
      page.getByLabel("Who practises").fill("Ben");
      button(page, "Ten of today").press("Enter");
      page.getByLabel("From").fill("1900");
      page.getByLabel("To", new Page.GetByLabelOptions().setExact(true)).fill("1940");
      button(page, "Unveil").press("Enter");
      assertThat(told.getByRole(AriaRole.HEADING).first()).hasText(was);
      button(page, "What I get wrong").press("Enter");
      assertThat(page.getByRole(AriaRole.ALERT)).containsText("guess at some first");
      assertThat(chromium.complaints).isEmpty();
    }
  }

  @Test
  void withOneThumbOneOfOnesOwnIsGuessedAtAndAPlayerLetGo() {
    try (App app = App.start(data.resolve("other"), "--demo");
        Chromium chromium = new Chromium()) {
      Page page = chromium.phone();
      page.navigate(app.url("/practice"));
      page.getByLabel("Who practises").fill("Ada");
      button(page, "One of mine").tap();
      page.getByLabel("From").fill("1880");
      page.getByLabel("To", new Page.GetByLabelOptions().setExact(true)).fill("1950");
      button(page, "Unveil").tap();
      Locator told = part(page, "What it was");
      assertThat(told).containsText(Pattern.compile("By all you know of it: .+, about \\d{4}"));
      assertThat(told).containsText("in 100");
      button(page, "One to grade").tap();
      page.getByLabel("Its grade").selectOption(new SelectOption().setIndex(2));
      button(page, "Unveil").tap();
      Locator toGrade = part(page, "A knife to grade");
      assertThat(toGrade).containsText("agreed");
      assertThat(toGrade).containsText("of a grade, Snikra");
      button(page, "Remove Ada").tap();
      button(page, "Let it go").tap();
      assertThat(part(page, "Your eye")).hasCount(0);
      assertThat(page.locator("body")).not().containsText("Ada, after");
      assertThat((Integer) page.evaluate("document.documentElement.scrollWidth")).isLessThan(391);
      assertThat(chromium.complaints).isEmpty();
    }
  }
}
