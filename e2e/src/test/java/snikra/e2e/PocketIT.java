package snikra.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Download;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import snikra.core.quick.QuickBook;
import snikra.core.quick.QuickBook.Check;
import snikra.core.quick.QuickLook;
import snikra.core.quick.QuickVerdict;
import snikra.formats.ShippedShelf;

/** The pocket file on a phone, out of reach of any network. */
class PocketIT {
  private static final int WALKS = 10_000;

  /** Walks of the page: of each the maker's place, what is asked, and the answers by check. */
  private static final String WALKED =
      """
      walks => walks.map(w => {
        const t = told(w.maker, w.asked === null ? undefined : w.asked, w.answers);
        return [t.call, t.pay ?? null, t.reason ?? null, t.next ?? null];
      })""";

  @TempDir Path data;
  @TempDir Path phone;

  @Test
  void itComesToWhatSnikraComesToAndWhatIsKeptComesBackToTheBench() {
    Path file = phone.resolve("snikra-pocket.html");
    try (App app = App.start(data, "--demo");
        Chromium chromium = new Chromium()) {
      Page page = chromium.page(1280, 800);
      page.navigate(app.url("/tray"));
      assertThat(page.locator("a[data-knife]")).hasCount(8);
      page.navigate(app.url("/quick"));
      Download saved = page.waitForDownload(() -> page.getByText("Save the pocket file").click());
      saved.saveAs(file);
      String kept = onThePhone(chromium, file);

      button(page, "Add what I noted").press("Enter");
      page.getByLabel("Paste the text from the phone here").fill(kept);
      button(page, "Lay 1 knife in the tray").press("Enter");
      assertThat(page.getByText("1 knife laid in the tray.").first()).isVisible();
      page.navigate(app.url("/tray"));
      assertThat(page.getByText("From a stall").first()).isVisible();
      assertThat(chromium.complaints).isEmpty();
    }
  }

  private static String onThePhone(Chromium chromium, Path file) {
    Page page = chromium.phone();
    BrowserContext context = page.context();
    context.setOffline(true);
    page.navigate(file.toUri().toString());
    assertThat(page.locator("#call")).containsText("Look closer; at most");
    walk(page);
    page.getByText("Full, as they were ground").tap();
    page.getByText("Solid and fitted").tap();
    page.getByLabel("They ask").fill("1");
    assertThat(page.locator("#call")).containsText("Buy, up to");
    page.getByLabel("Letters that can be read").fill("veldr");
    assertThat(page.locator("#marks li").first()).containsText("Veldrake Knife Works");
    page.getByLabel("Note").fill("Third table on the left.");
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Keep it")).tap();
    // It is there still when the page is opened again.
    page.reload();
    assertThat(page.locator("#kept li")).hasCount(1);
    assertThat(page.locator("#kept li")).containsText("Third table on the left.");
    boolean fits = (boolean) page.evaluate("document.documentElement.scrollWidth <= 390");
    assertThat(fits).isTrue();
    String kept = page.getByLabel("To paste at the bench").inputValue();
    page.close();
    return kept;
  }

  // Every answer, amount and maker at random: the page against core.
  private static void walk(Page page) {
    QuickBook book = ShippedShelf.quickBook();
    QuickLook look = new QuickLook(book);
    List<?> prices = (List<?>) page.evaluate("held.makers.map(m => m.ordinary ?? null)");
    Double ordinary = number(page.evaluate("held.ordinary ?? null"));
    assertThat(prices).anyMatch(Objects::nonNull);
    Random random = new Random(1888);
    List<Map<String, Object>> walks = new ArrayList<>();
    List<List<Object>> expected = new ArrayList<>();
    for (int i = 0; i < WALKS; i++) {
      int maker = random.nextInt(prices.size() + 1) - 1;
      Double own = maker < 0 ? null : number(prices.get(maker));
      boolean isNamed = own != null;
      Integer asked = random.nextInt(4) == 0 ? null : random.nextInt(400);
      Map<String, String> answers = new HashMap<>();
      for (Check check : book.checks()) {
        int answer = random.nextInt(check.answers().size() + 1);
        if (answer > 0 && !(isNamed && check.byMaker())) {
          answers.put(check.id(), check.answers().get(answer - 1).id());
        }
      }
      Map<String, Object> walk = new HashMap<>();
      walk.put("maker", maker);
      walk.put("asked", asked);
      walk.put("answers", answers);
      walks.add(walk);
      QuickVerdict told =
          look.look(
              answers, isNamed ? own : ordinary, isNamed, asked == null ? null : (double) asked);
      List<Object> row = new ArrayList<>();
      row.add(told.call().toString());
      row.add(told.pay());
      row.add(told.reason());
      row.add(told.next());
      expected.add(row);
    }
    List<?> walked = (List<?>) page.evaluate(WALKED, walks);
    for (int i = 0; i < WALKS; i++) {
      List<Object> row = new ArrayList<>((List<?>) walked.get(i));
      row.set(1, number(row.get(1)));
      assertThat(row).as("%s", walks.get(i)).isEqualTo(expected.get(i));
    }
  }

  private static Double number(Object value) {
    return value == null ? null : ((Number) value).doubleValue();
  }

  private static com.microsoft.playwright.Locator button(Page page, String name) {
    return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name));
  }
}
