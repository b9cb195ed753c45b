package snikra.e2e;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.ConsoleMessage;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.ReducedMotion;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * Debian's Chromium, driven by Playwright; everything a page complains of is kept. The process is
 * started once for all tests and ends with them; what a test opens in it ends with the test.
 */
final class Chromium implements AutoCloseable {
  private static final Browser BROWSER =
      Playwright.create(
              new Playwright.CreateOptions()
                  .setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")))
          .chromium()
          .launch(
              new BrowserType.LaunchOptions()
                  .setExecutablePath(Path.of("/usr/bin/chromium"))
                  .setArgs(
                      List.of(
                          "--no-sandbox",
                          "--disable-gpu",
                          "--disable-quic",
                          "--disable-background-networking",
                          "--disable-component-update",
                          "--disable-sync")));

  final List<String> complaints = new ArrayList<>();
  private final List<BrowserContext> opened = new ArrayList<>();

  static {
    // A loaded machine may take longer than the usual five seconds; a right screen ends the wait.
    PlaywrightAssertions.setDefaultAssertionTimeout(15_000);
  }

  /** A page in a browser of its own, with nothing remembered. */
  Page page(int width, int height) {
    return page(context(width, height));
  }

  BrowserContext context(int width, int height) {
    return open(options(width, height));
  }

  private BrowserContext open(Browser.NewContextOptions options) {
    BrowserContext context = BROWSER.newContext(options);
    opened.add(context);
    return context;
  }

  /** The browser of a phone whose owner went on past the warning about the certificate. */
  Page phone() {
    return page(
        open(options(390, 844).setIgnoreHTTPSErrors(true).setHasTouch(true).setIsMobile(true)));
  }

  private static Browser.NewContextOptions options(int width, int height) {
    return new Browser.NewContextOptions()
        .setViewportSize(width, height)
        .setLocale("en-GB")
        .setReducedMotion(ReducedMotion.REDUCE);
  }

  Page page(BrowserContext context) {
    Page page = context.newPage();
    page.onConsoleMessage(this::heard);
    page.onPageError(complaints::add);
    page.onDialog(
        dialog -> {
          complaints.add("a script opened a dialog: " + dialog.message());
          dialog.dismiss();
        });
    return page;
  }

  private void heard(ConsoleMessage message) {
    // Refused entries and a server that was stopped are what some tests are about.
    boolean isAnswer = message.text().matches(".*(net::ERR_|status of 4(00|03|09|10)).*");
    if (message.type().equals("error") && !isAnswer) {
      complaints.add(message.text());
    }
  }

  @Override
  public void close() {
    opened.forEach(BrowserContext::close);
  }
}
