package snikra.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The verdict sheet: what each clue does, and on paper. */
class SheetIT {
  private static final Pattern LATE = Pattern.compile(".*(195|196)\\d\\D(20|19)\\d\\d$");
  private static final Pattern EARLY = Pattern.compile("18\\d\\d\\D19[0-6]\\d");
  @TempDir Path data;

  @Test
  void aLatePartMovesTheSpanAndLeftOutItMovesBack() {
    try (App app = App.startWithExamples(data);
        Chromium chromium = new Chromium()) {
      Page page = chromium.page(1280, 800);
      page.navigate(app.url("/tray"));
      page.getByText("New knife").press("Enter");
      BenchPage bench = new BenchPage(page);
      assertThat(page.getByTestId("look-next")).containsText("The mark side of the main tang");
      bench
          .go("Tools")
          .choose("Punch", "Punch with wing")
          .choose("Can opener", "Can opener, two-part");
      bench.choose("Cap lifter", "Crown-cap lifter").go("Handle");
      bench.choose("Handle material", "Bone, jigged");
      bench.choose("Jigging of the bone", "Fine worm-like grooves");
      assertThat(bench.span()).hasText(EARLY);
      bench.go("Frame").choose("Spacer at the tail", "Plastic");
      assertThat(bench.span()).hasText(LATE);
      bench.saved();

      page.locator("#station").press("p");
      Locator originality = page.getByTestId("originality");
      assertThat(originality).containsText("Later issue in the old style");
      originality.getByText("Why do you think so: Later issue in the old style").click();
      assertThat(originality).containsText("does not go with");
      Locator spacer = check(page, "Spacer at the tail: Plastic");
      assertThat(page.getByTestId("headline")).containsText("made later in the old style");
      assertThat(page.locator("main")).containsText("against");
      spacer.focus();
      page.keyboard().press("Space");
      assertThat(page.getByRole(AriaRole.STATUS).first())
          .containsText("Without spacer at the tail (plastic)");
      assertThat(bench.span()).hasText(EARLY);
      check(page, "Punch: Punch with wing").uncheck();
      assertThat(page.locator("main")).containsText("punch (punch with wing)");
      page.getByText("All clues on").click();
      assertThat(bench.span()).hasText(LATE);

      Locator agreeing =
          page.getByRole(
              AriaRole.CHECKBOX,
              new Page.GetByRoleOptions()
                  .setName(Pattern.compile("All that agree: .*Punch|All that agree: Punch")));
      Locator together = page.locator("tr", new Page.LocatorOptions().setHas(agreeing));
      assertThat(together).containsText(Pattern.compile("clues that agree, together.* by \\d+ y"));
      agreeing.focus();
      page.keyboard().press("Space");
      assertThat(page.getByRole(AriaRole.STATUS).first()).containsText("punch (punch with wing)");
      assertThat(check(page, "Punch: Punch with wing")).not().isChecked();
      assertThat(check(page, "Can opener: Can opener, two-part")).not().isChecked();
      assertThat(together).containsText("left out");
      check(page, "Punch: Punch with wing").check();
      assertThat(together).containsText("some left out");
      agreeing.click();
      assertThat(check(page, "Can opener: Can opener, two-part")).isChecked();
      assertThat(bench.span()).hasText(LATE);

      for (String paper : new String[] {"A4", "Letter"}) {
        byte[] pdf = page.pdf(new Page.PdfOptions().setFormat(paper).setPreferCSSPageSize(false));
        assertThat(pages(pdf)).as(paper).isEqualTo(1);
      }
      page.reload();
      assertThat(page.getByTestId("headline")).containsText("made later in the old style");
      page.getByText("Would be told by").first().press("Enter");
      assertThat(page).hasURL(Pattern.compile("[?]at="));
      assertThat(bench.span()).hasText(LATE);
      bench.page().getByTestId("look-next").getByRole(AriaRole.BUTTON).first().click();
      assertThat(page).hasURL(Pattern.compile("[?]at="));
      assertThat(chromium.complaints).isEmpty();
    }
  }

  private static Locator check(Page page, String clue) {
    return page.getByRole(
        AriaRole.CHECKBOX, new Page.GetByRoleOptions().setName(clue).setExact(true));
  }

  private static int pages(byte[] pdf) {
    Matcher page =
        Pattern.compile("/Type\\s*/Page[^s]").matcher(new String(pdf, StandardCharsets.ISO_8859_1));
    return (int) page.results().count();
  }

  @Test
  void howFarToTrustTheVerdictsIsShown() {
    try (App app = App.lasting(data, "--demo");
        Chromium chromium = new Chromium()) {
      Page page = chromium.page(1280, 800);
      page.navigate(app.url("/makers"));
      page.getByText("How far to trust the verdicts").click();
      assertThat(page.getByText("Making up knives and dating them")).isVisible();
      assertThat(page.getByText("What each station is worth"))
          .isVisible(new LocatorAssertions.IsVisibleOptions().setTimeout(90_000));
      assertThat(page.getByLabel(Pattern.compile("said \\d+%, was \\d+%")).first()).isVisible();
      page.reload();
      assertThat(page.getByText("without handle")).isVisible();
      assertThat(chromium.complaints).isEmpty();
    }
  }
}
