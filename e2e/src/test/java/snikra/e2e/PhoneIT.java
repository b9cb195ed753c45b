package snikra.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.FileChooser;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.awt.image.BufferedImage;
import java.nio.file.Files;
import java.nio.file.Path;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A phone that is the camera of the bench: two browsers, the second with no other way in. */
class PhoneIT {
  @TempDir Path data;
  @TempDir Path files;

  private Path picture(String name) throws Exception {
    Path file = files.resolve(name);
    ImageIO.write(new BufferedImage(900, 600, BufferedImage.TYPE_INT_RGB), "jpg", file.toFile());
    return file;
  }

  private static Locator press(Page page, String name) {
    return page.getByRole(
        AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
  }

  private static Page benchWithHalfAMark(App app, Chromium chromium) {
    Page bench = chromium.page(1280, 800);
    bench.navigate(app.url("/tray"));
    press(bench, "New knife").click();
    assertThat(bench.locator("#station")).isVisible();
    bench.keyboard().press("3");
    Locator line = bench.getByLabel("Line 1 of the mark");
    line.fill("V.LDR");
    line.press("Enter");
    new BenchPage(bench).saved();
    return bench;
  }

  @Test
  void takesPhotographsForTheTangInHandAndIsShutAgain() throws Exception {
    try (App app = App.startSet(data, "-Dsnikra.phone-address=127.0.0.1");
        Chromium chromium = new Chromium()) {
      Page bench = benchWithHalfAMark(app, chromium);
      press(bench, "Photograph it with a phone").press("Enter");
      press(bench, "Let a phone in").press("Enter");
      assertThat(bench.getByText("Waiting for a phone.")).isVisible();
      assertThat(bench.getByRole(AriaRole.IMG, new Page.GetByRoleOptions().setName("Code to scan")))
          .isVisible();
      String address = bench.getByTestId("phone-address").textContent();

      Page phone = chromium.phone();
      phone.navigate(address);
      assertThat(phone.getByText("Tang 1, mark side")).isVisible();
      assertThat(phone.getByLabel("Letters to read")).containsText("V\u00b7LDR");
      assertThat(phone.url()).doesNotContain("#");
      Locator shutter = press(phone, "Take a photograph");
      BoundingBox under = shutter.boundingBox();
      assertThat(under.height).as("large enough for a thumb").isGreaterThan(56);
      assertThat(under.y + under.height).as("where the thumb is").isBetween(700.0, 844.0);
      FileChooser chooser = phone.waitForFileChooser(shutter::click);
      chooser.setFiles(picture("tang.jpg"));
      assertThat(phone.getByText("On file with the knife.")).isVisible();

      assertThat(bench.getByText("The phone is in.")).isVisible();
      assertThat(bench.getByTestId("phone-address")).hasCount(0);
      bench.keyboard().press("Escape");
      assertThat(bench.getByLabel("What phone-1 shows")).hasValue("tang");

      Path words = Files.writeString(files.resolve("words.jpg"), "no picture");
      press(phone, "the shield").click();
      phone.waitForFileChooser(shutter::click).setFiles(words);
      assertThat(phone.getByText("must be a whole JPEG or PNG photograph")).isVisible();
      assertThat(press(phone, "Send again")).isVisible();

      Page other = chromium.phone();
      other.navigate(address);
      assertThat(other.getByText("This code was used already")).isVisible();
      phone.reload();
      assertThat(phone.getByText("Tang 1, mark side")).isVisible();

      press(bench, "A phone is the camera").first().click();
      press(bench, "End it now").click();
      assertThat(press(bench, "Let a phone in")).isVisible();
      assertThat(phone.getByText("The bench does not answer.")).isVisible();
      assertThat(chromium.complaints).isEmpty();
    }
  }

  @Test
  void withoutANetworkThereIsASentenceAndNothingToPress() {
    try (App app = App.startSet(data, "-Dsnikra.phone-address=");
        Chromium chromium = new Chromium()) {
      Page bench = chromium.page(390, 844);
      bench.navigate(app.url("/tray"));
      press(bench, "New knife").click();
      press(bench, "Use a phone").click();
      assertThat(bench.getByText("This computer is in no network at home")).isVisible();
      assertThat(press(bench, "Let a phone in")).hasCount(0);
      assertThat(chromium.complaints).isEmpty();
    }
  }
}
