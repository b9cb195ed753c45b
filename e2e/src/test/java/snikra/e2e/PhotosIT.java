package snikra.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static java.nio.charset.StandardCharsets.UTF_8;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Base64;
import java.util.List;
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
  void aPaperIsKeptAsItCameAndNamedByAnEvent() throws Exception {
    byte[] bill = "%PDF-1.4\n1 0 obj<<>>endobj\ntrailer<<>>\n%%EOF\n".getBytes(UTF_8);
    try (App app = App.start(data);
        Chromium chromium = new Chromium()) {
      Page page = chromium.page(1280, 900);
      page.navigate(app.url("/tray"));
      page.getByRole(AriaRole.BANNER).getByText("New knife").click();
      Path paper = Files.write(files.resolve("Bill of 1936.pdf"), bill);
      page.locator("input[type=file]").setInputFiles(new Path[] {paper});
      Locator link = page.getByText("Save Bill of 1936.pdf").first();
      Download saved = page.waitForDownload(link::click);
      assertThat(saved.suggestedFilename()).isEqualTo("Bill of 1936.pdf");
      assertThat(Files.readAllBytes(saved.path())).isEqualTo(bill);

      BenchPage bench = new BenchPage(page).go("Story").press("Add an event");
      bench.field("The paper that says so").selectOption("Bill of 1936.pdf");
      bench.saved();
      page.reload();
      assertThat(page.locator("#station").getByText("Save Bill of 1936.pdf")).isVisible();
    }
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
      Locator sheet = scaled(page);
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
      page.getByText("Take away").click();
      assertThat(page.getByLabel("Measure on bar.png")).hasCount(0);
      page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Undo").setExact(true))
          .last()
          .click();
      assertThat(page.getByLabel("Measure on bar.png")).isVisible();
      assertThat(chromium.complaints).isEmpty();
    }
  }

  @Test
  void isDroppedOrPastedAndATracedOutlineSaysWhatIsLeftOfTheBlade() throws Exception {
    try (App app = App.start(data);
        Chromium chromium = new Chromium()) {
      Page page = chromium.page(1280, 900);
      page.navigate(app.url("/tray"));
      page.getByRole(AriaRole.BANNER).getByText("New knife").click();
      BenchPage bench = new BenchPage(page).go("Blades");
      bench.press("Add the main blade").choose("Main blade: kind", "Sheepfoot");
      String picture = Base64.getEncoder().encodeToString(Files.readAllBytes(picture()));
      hand(page, "dropped.png", picture, "drop");
      assertThat(page.getByLabel("Measure on dropped.png")).isVisible();
      hand(page, "pasted.png", picture, "paste");
      assertThat(page.getByLabel("Measure on pasted.png")).isVisible();

      page.getByLabel("Measure on dropped.png").click();
      Locator sheet = scaled(page);
      page.getByText("Outline", new Page.GetByTextOptions().setExact(true)).click();
      click(page, sheet, 150, 300);
      click(page, sheet, 990, 300);
      click(page, sheet, 990, 420);
      click(page, sheet, 150, 420);
      assertThat(page.getByText(Pattern.compile("^Outline 10\\d\\d"))).containsText("\u00b1");
      page.getByLabel("Put this outline into").selectOption("0");
      bench.saved();
      assertThat(bench.field("Main blade: length")).hasValue(Pattern.compile("3 5/16 in"));
      assertThat(page.getByText(Pattern.compile("wear, .*% left \\(\\d+ to \\d+\\)"))).isVisible();
      assertThat(chromium.complaints).isEmpty();
    }
  }

  // The sheet once the rule on it has set the scale.
  private static Locator scaled(Page page) {
    Locator sheet = page.getByRole(AriaRole.APPLICATION);
    Locator known = page.getByLabel("Known length", new Page.GetByLabelOptions().setExact(true));
    known.fill("100 mm");
    known.press("Enter");
    click(page, sheet, 100, 620);
    click(page, sheet, 1100, 620);
    return sheet;
  }

  // What a browser hands over when files are dropped on a page or pasted into it.
  private static void hand(Page page, String name, String base64, String how) {
    page.evaluate(
        """
        ([name, base64, how]) => {
          const bytes = Uint8Array.from(atob(base64), c => c.charCodeAt(0));
          const data = new DataTransfer();
          data.items.add(new File([bytes], name, { type: 'image/png' }));
          const photos = document.querySelector('[aria-labelledby=photos-name]');
          if (how === 'drop') {
            photos.dispatchEvent(new DragEvent('dragover', { dataTransfer: data, bubbles: true }));
            photos.dispatchEvent(new DragEvent('drop', { dataTransfer: data, bubbles: true }));
          } else {
            window.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data }));
          }
        }
        """,
        List.of(name, base64, how));
  }

  @Test
  void theKeyboardSetsPlacesToo() throws Exception {
    try (App app = App.start(data, "--demo");
        Chromium chromium = new Chromium()) {
      Page page = chromium.page(1280, 900);
      page.navigate(app.url("/tray"));
      manyFindTheirKnivesByName(page);
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
      assertThat(chromium.complaints).isEmpty();
    }
  }

  private void manyFindTheirKnivesByName(Page page) throws Exception {
    Path picture = picture();
    Path numbered = Files.copy(picture, files.resolve("8 back.png"));
    Path named = Files.copy(picture, files.resolve("Sharpened to a sliver 2.png"));
    Path odd = Files.copy(picture, files.resolve("IMG_77.png"));
    page.getByText("Photographs").press("Enter");
    page.getByLabel("Photographs to add").setInputFiles(new Path[] {numbered, named, odd});
    assertThat(page.getByLabel("Knife of 8 back.png")).hasValue("8");
    assertThat(page.getByLabel("What 8 back.png shows")).hasValue("back");
    assertThat(page.getByLabel("Knife of Sharpened to a sliver 2.png")).hasValue("7");
    page.getByLabel("Knife of IMG_77.png").fill("6");
    page.getByText("Add 3 photographs").press("Enter");
    assertThat(page.getByRole(AriaRole.DIALOG)).isHidden();
    assertThat(page.getByText("3 photographs added.").first()).isVisible();
  }

  private static void click(Page page, Locator sheet, double x, double y) {
    sheet.scrollIntoViewIfNeeded();
    BoundingBox box = sheet.boundingBox();
    page.mouse().click(box.x + x / WIDE * box.width, box.y + y / HIGH * box.height);
    page.waitForTimeout(150);
  }
}
