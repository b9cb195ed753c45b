package snikra.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A photograph from the file to a measure on the knife. */
class PhotosIT {
  private static final int WIDE = 1200;
  private static final int HIGH = 800;

  @TempDir Path data;
  @TempDir Path files;

  // A bar of 84 mm over a rule of 100 mm, ten pixels to the millimetre.
  private Path picture() throws Exception {
    BufferedImage image = new BufferedImage(WIDE, HIGH, BufferedImage.TYPE_INT_RGB);
    Graphics2D g = image.createGraphics();
    g.setColor(Color.GRAY);
    g.fillRect(0, 0, WIDE, HIGH);
    g.setColor(Color.ORANGE);
    g.fillRect(150, 300, 840, 120);
    g.setColor(Color.WHITE);
    g.fillRect(100, 600, 1000, 40);
    g.dispose();
    Path file = files.resolve("bar.png");
    ImageIO.write(image, "png", file.toFile());
    return file;
  }

  @Test
  void isAddedMeasuredOnAndTheLengthGoesToTheKnife() throws Exception {
    try (App app = App.start(data);
        Chromium chromium = new Chromium()) {
      Page page = chromium.page(1280, 900);
      page.navigate(app.url("/tray"));
      page.getByRole(AriaRole.BANNER).getByText("New knife").click();
      Locator files = page.locator("input[type=file]");
      Path text = Files.writeString(this.files.resolve("words.jpg"), "no picture");
      files.setInputFiles(new Path[] {text});
      assertThat(page.getByText("words.jpg was not kept.").first()).isVisible();
      assertThat(page.getByText("must be a whole JPEG or PNG").first()).isVisible();

      files.setInputFiles(new Path[] {picture()});
      page.getByLabel("Measure on bar.png").click();
      Locator sheet = page.getByRole(AriaRole.APPLICATION);
      Locator known = page.getByLabel("Known length", new Page.GetByLabelOptions().setExact(true));
      known.fill("100 mm");
      known.press("Enter");
      click(page, sheet, 100, 620);
      click(page, sheet, 1100, 620);
      assertThat(page.getByText("Scale set:")).isVisible();
      click(page, sheet, 150, 360);
      click(page, sheet, 990, 360);
      Locator told = page.getByText(Pattern.compile("^Length \\d"));
      assertThat(told).containsText("\u00b1");
      Matcher mm = Pattern.compile("(\\d+\\.\\d+) mm").matcher(told.textContent());
      assertThat(mm.find()).isTrue();
      assertThat(Double.parseDouble(mm.group(1))).isCloseTo(84, within(84 * 0.005));

      page.getByLabel("Put this length into").selectOption("closed");
      BenchPage bench = new BenchPage(page).saved();
      assertThat(bench.field("Closed length")).hasValue(Pattern.compile("3 5/16 in"));
      page.reload();
      assertThat(page.getByLabel("Measure on bar.png")).isVisible();
      assertThat(chromium.complaints).isEmpty();
    }
  }

  @Test
  void theKeyboardSetsPlacesToo() throws Exception {
    try (App app = App.start(data, "--demo");
        Chromium chromium = new Chromium()) {
      Page page = chromium.page(1280, 900);
      page.navigate(app.url("/tray"));
      page.locator("a[data-knife]")
          .filter(new Locator.FilterOptions().setHasText("The keeper's plain jack"))
          .click();
      new BenchPage(page).withPhotograph();
      page.getByLabel("Measure on knife-1.png").click();
      Locator sheet = page.getByRole(AriaRole.APPLICATION);
      sheet.focus();
      sheet.press("Enter");
      for (int i = 0; i < 7; i++) {
        sheet.press("Shift+ArrowRight");
      }
      sheet.press("Enter");
      assertThat(page.getByText("Scale set:")).containsText("14.00");
    }
  }

  private static void click(Page page, Locator sheet, double x, double y) {
    sheet.scrollIntoViewIfNeeded();
    BoundingBox box = sheet.boundingBox();
    page.mouse().click(box.x + x / WIDE * box.width, box.y + y / HIGH * box.height);
    page.waitForTimeout(150);
  }
}
