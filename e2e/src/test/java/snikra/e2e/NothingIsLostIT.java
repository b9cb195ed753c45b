package snikra.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.AriaRole;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class NothingIsLostIT {
  private static final int KILLS = 3;
  private static final HttpClient HTTP = HttpClient.newHttpClient();

  @TempDir static Path data;
  private static App app;
  private static Chromium chromium;

  @BeforeAll
  static void start() {
    app = App.start(data);
    chromium = new Chromium();
  }

  @AfterAll
  static void stop() {
    chromium.close();
    app.close();
  }

  @Test
  void whatWasAcknowledgedSurvivesBeingKilledAgainAndAgain(@TempDir Path folder) throws Exception {
    String id = null;
    for (int i = 0; i < KILLS; i++) {
      App killed = App.start(folder);
      if (id == null) {
        id = idOf(send(killed, "POST", "/api/knives", "{\"title\":\"kept 0\"}"));
      } else {
        String kept = send(killed, "GET", "/api/knives/" + id, null);
        assertThat(kept).contains("\"title\":\"kept " + i + "\"").contains("\"version\":" + i);
      }
      String changed = "{\"version\":" + i + ",\"specimen\":{\"title\":\"kept " + (i + 1) + "\"}}";
      assertThat(send(killed, "PUT", "/api/knives/" + id, changed)).contains("kept " + (i + 1));
      killed.kill();
    }
    try (App last = App.start(folder)) {
      assertThat(send(last, "GET", "/api/knives/" + id, null)).contains("kept " + KILLS);
    }
  }

  @Test
  void closingTheTabRightAfterTypingLosesNothing() {
    BrowserContext browser = chromium.context(1280, 800);
    Page page = chromium.page(browser);
    String address = laidOut(page);
    page.getByLabel("Your name for it").fill("Typed and gone");
    page.getByLabel("Your name for it").press("Enter");
    page.close();

    Page again = chromium.page(browser);
    again.navigate(address);
    assertThat(again.getByLabel("Your name for it")).hasValue("Typed and gone");
    new BenchPage(again).saved();
  }

  @Test
  void aFailedSaveIsShownKeptAndTriedAgain() {
    Page page = chromium.page(1280, 800);
    laidOut(page);
    page.route("**/api/knives/*", Route::abort);
    new BenchPage(page).press("Congress");
    assertThat(page.getByTestId("save-state")).containsText("Not saved");
    // It is tried again by itself too, so the button may come and go; while saving fails it
    // stays.
    page.getByText("Try again").click();
    assertThat(page.getByTestId("save-state")).containsText("Not saved");
    page.unroute("**/api/knives/*");
    new BenchPage(page).saved();
    page.reload();
    assertThat(
            page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Congress").setExact(true)))
        .hasAttribute("aria-pressed", "true");
  }

  @Test
  void anEntryThatCannotBeUsedIsToldBesideItAndTheLastStateStaysSaved() throws Exception {
    Page page = chromium.page(1280, 800);
    String address = laidOut(page);
    BenchPage bench = new BenchPage(page).write("Closed length", "3 1/2").saved();
    bench.write("Closed length", "-3 in");
    assertThat(page.locator("#station")).containsText("-3 in: must be a length");
    assertThat(page.getByTestId("save-state")).containsText("Not saved");
    assertThat(bench.field("Closed length")).hasAttribute("aria-invalid", "true");
    assertThat(send(app, "GET", knife(address), null)).contains("3 1/2 in");
    bench.write("Closed length", "3 5/8").saved();
  }

  @Test
  void twoTabsDoNotOverwriteEachOtherSilently() {
    Page one = chromium.page(1280, 800);
    String address = laidOut(one);
    Page two = chromium.page(1280, 800);
    two.navigate(address);
    assertThat(two.locator("#station-name")).isVisible();
    new BenchPage(one).press("Congress");
    new BenchPage(one).saved();

    new BenchPage(two).press("Teardrop");
    assertThat(two.getByRole(AriaRole.DIALOG)).containsText("changed in another tab");
    two.getByText("Take the other").click();
    assertThat(
            two.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Congress").setExact(true)))
        .hasAttribute("aria-pressed", "true");
  }

  @Test
  void aQuestionThatIsClosedDecidesNothingAndIsAskedAgainAfterAReload() throws Exception {
    BrowserContext browser = chromium.context(1280, 800);
    Page one = chromium.page(browser);
    String address = laidOut(one);
    Page two = chromium.page(browser);
    two.navigate(address);
    assertThat(two.locator("#station-name")).isVisible();
    new BenchPage(one).press("Congress");
    new BenchPage(one).saved();

    new BenchPage(two).press("Teardrop");
    assertThat(two.getByRole(AriaRole.DIALOG)).containsText("changed in another tab");
    two.keyboard().press("Escape");
    assertThat(two.getByTestId("save-state")).containsText("Not saved: changed elsewhere");
    two.reload();
    assertThat(two.getByRole(AriaRole.DIALOG)).containsText("changed in another tab");
    assertThat(send(app, "GET", knife(address), null))
        .contains("congress")
        .doesNotContain("teardrop");
    two.keyboard().press("Escape");
    two.getByText("Choose which to keep").click();
    two.getByText("Keep what is here").click();
    new BenchPage(two).saved();
    assertThat(send(app, "GET", knife(address), null))
        .contains("teardrop")
        .doesNotContain("congress");
  }

  @Test
  void whatATabThatCrashedLeftBehindIsTakenUpByTheNextOne() {
    BrowserContext browser = chromium.context(1280, 800);
    Page one = chromium.page(browser);
    String address = laidOut(one);
    one.route("**/api/knives/*", Route::abort);
    new BenchPage(one).press("Congress");
    assertThat(one.getByTestId("save-state")).containsText("Not saved");
    one.close();

    Page two = chromium.page(browser);
    two.navigate(address);
    new BenchPage(two).saved();
    assertThat(
            two.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Congress").setExact(true)))
        .hasAttribute("aria-pressed", "true");
  }

  @Test
  void aFullDiskIsToldAndSavingGoesOnByItself() {
    Page page = chromium.page(1280, 800);
    laidOut(page);
    String full = "Nothing can be saved: the disk has only 3 MB left.";
    page.route(
        "**/api/knives/*",
        route ->
            route.fulfill(
                new Route.FulfillOptions()
                    .setStatus(507)
                    .setContentType("application/problem+json")
                    .setBody("{\"status\":507,\"detail\":\"" + full + "\"}")));
    new BenchPage(page).press("Congress");
    assertThat(page.getByTestId("save-state"))
        .containsText("Not saved. What you entered is kept here.");
    assertThat(page.getByTestId("save-state")).containsText(full);
    page.unroute("**/api/knives/*");
    new BenchPage(page).saved();
  }

  @Test
  void scriptsInTextsAreTextsAndNothingElse() throws Exception {
    try (Chromium own = new Chromium()) {
      String bad = "<img src=x onerror=alert(1)><script>alert(2)</script>";
      String text = "\"" + bad + "\"";
      String knife =
          "{\"title\":"
              + text
              + ",\"note\":"
              + text
              + ",\"number\":\"<b>\",\"marks\":[{\"blade\":1,"
              + "\"face\":\"mark\",\"state\":\"read\",\"lines\":[\"<script>alert(3)</script>\"]}],"
              + "\"story\":[{\"kind\":\"held\",\"source\":\"family\",\"holder\":"
              + text
              + ",\"place\":"
              + text
              + ",\"note\":"
              + text
              + "}],"
              + "\"comparables\":[{\"described\":"
              + text
              + ",\"price\":5,\"currency\":\"GBP\"}]}";
      String id = idOf(send(app, "POST", "/api/knives", knife));
      Page page = own.page(1280, 800);
      page.navigate(app.url("/tray"));
      assertThat(page.getByText(bad)).isVisible();
      page.navigate(app.url("/bench/" + id));
      for (String station : new String[] {"Marks", "Number", "Story", "Value"}) {
        new BenchPage(page).go(station);
      }
      assertThat(page.getByLabel("Your name for it")).hasValue(bad);
      assertThat(own.complaints).isEmpty();
    }
  }

  private static String laidOut(Page page) {
    page.navigate(app.url("/tray"));
    page.getByRole(AriaRole.BANNER).getByText("New knife").click();
    assertThat(page.locator("#station-name")).isVisible();
    return page.url();
  }

  private static String knife(String address) {
    return "/api/knives/" + address.replaceAll(".*/bench/([^/?]+).*", "$1");
  }

  private static String send(App app, String method, String path, String body) throws Exception {
    HttpRequest.BodyPublisher publisher =
        body == null
            ? HttpRequest.BodyPublishers.noBody()
            : HttpRequest.BodyPublishers.ofString(body);
    HttpRequest request =
        HttpRequest.newBuilder(URI.create(app.url(path)))
            .header("Content-Type", "application/json")
            .method(method, publisher)
            .build();
    HttpResponse<String> answer = HTTP.send(request, HttpResponse.BodyHandlers.ofString());
    assertThat(answer.statusCode()).as(answer.body()).isLessThan(300);
    return answer.body();
  }

  private static String idOf(String knife) {
    Matcher id = Pattern.compile("\"id\":\"([^\"]+)\"").matcher(knife);
    assertThat(id.find()).isTrue();
    return id.group(1);
  }
}
