package snikra.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.Image;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * A sheet of drawn knives to look over as a collector: every frame, every blade and tool, bolsters,
 * covers and shields, as the verdict sheet draws them.
 */
@EnabledIfSystemProperty(named = "snikra.screenshots", matches = ".+")
class DrawnKnivesIT {
  private static final int COLUMNS = 6;
  private static final int WIDE = 300;
  private static final int HIGH = 110;
  private static final int GAP = 8;

  @TempDir Path data;
  private final HttpClient http = HttpClient.newHttpClient();
  private final JsonMapper json = JsonMapper.builder().build();

  @Test
  void everyFrameAndEveryTool() throws IOException, InterruptedException {
    try (App app = App.start(data);
        Chromium chromium = new Chromium()) {
      JsonNode book = json.readTree(ask(app, "GET", "/api/book", ""));
      Page page = chromium.page(1280, 800);
      List<BufferedImage> drawn = new ArrayList<>();
      int knives = Math.max(book.get("frames").size(), (book.get("blades").size() + 1) / 2);
      for (int i = 0; i < knives; i++) {
        String made = ask(app, "POST", "/api/knives", knife(book, i));
        page.navigate(app.url("/bench/" + json.readTree(made).get("id").asString() + "/verdict"));
        Locator drawing = page.locator("figure svg[role=img]").first();
        drawing.waitFor();
        drawn.add(ImageIO.read(new ByteArrayInputStream(drawing.screenshot())));
      }
      assertThat(chromium.complaints).isEmpty();
      ImageIO.write(
          sheet(drawn),
          "png",
          Path.of(System.getProperty("snikra.screenshots")).resolve("drawn-knives.png").toFile());
    }
  }

  // Blades follow one another in the order of the book, two on each knife, one at either end.
  private static String knife(JsonNode book, int i) {
    JsonNode blades = book.get("blades");
    return String.format(
        Locale.ROOT,
        "{\"frame\":%s,\"bolsters\":%s,\"closedLength\":\"90 mm\",\"blades\":[%s,%s],"
            + "\"seen\":{\"handle_material\":%s,\"jigging\":%s,\"shield_fixing\":%s,"
            + "\"shield_shape\":%s,\"bail\":%s}}",
        seen(book.get("frames"), i),
        seen(book.get("bolsters"), i),
        blade(blades, 2 * i, "A"),
        blade(blades, 2 * i + 1, i % 2 == 0 ? "A" : "B"),
        seen(answers(book, "handle_material"), i),
        seen(answers(book, "jigging"), i),
        seen(answers(book, "shield_fixing"), 1 + i % 2),
        seen(answers(book, "shield_shape"), i),
        seen(answers(book, "bail"), i % 5 == 0 ? 1 + i / 5 % 3 : 0));
  }

  private static String blade(JsonNode blades, int i, String end) {
    return "{\"type\":%s,\"end\":{\"value\":\"%s\",\"sureness\":\"sure\"}}"
        .formatted(seen(blades, i), end);
  }

  private static String seen(JsonNode choices, int i) {
    return "{\"value\":\"%s\",\"sureness\":\"sure\"}"
        .formatted(choices.get(i % choices.size()).get("id").asString());
  }

  private static JsonNode answers(JsonNode book, String question) {
    for (JsonNode q : book.get("questions")) {
      if (q.get("id").asString().equals(question)) {
        return q.get("answers");
      }
    }
    throw new AssertionError("no question " + question);
  }

  private String ask(App app, String method, String path, String body)
      throws IOException, InterruptedException {
    HttpResponse<String> answer =
        http.send(
            HttpRequest.newBuilder(URI.create(app.url(path)))
                .header("Content-Type", "application/json")
                .method(method, HttpRequest.BodyPublishers.ofString(body))
                .build(),
            HttpResponse.BodyHandlers.ofString());
    assertThat(answer.statusCode()).as(answer.body()).isBetween(200, 299);
    return answer.body();
  }

  private static BufferedImage sheet(List<BufferedImage> drawn) {
    int rows = (drawn.size() + COLUMNS - 1) / COLUMNS;
    BufferedImage sheet =
        new BufferedImage(
            COLUMNS * (WIDE + GAP) + GAP, rows * (HIGH + GAP) + GAP, BufferedImage.TYPE_INT_RGB);
    Graphics2D pen = sheet.createGraphics();
    pen.setColor(new Color(0xF1F0E8));
    pen.fillRect(0, 0, sheet.getWidth(), sheet.getHeight());
    for (int i = 0; i < drawn.size(); i++) {
      int x = GAP + i % COLUMNS * (WIDE + GAP);
      int y = GAP + i / COLUMNS * (HIGH + GAP);
      Image small = drawn.get(i).getScaledInstance(WIDE, HIGH, Image.SCALE_AREA_AVERAGING);
      pen.drawImage(small, x, y, null);
    }
    pen.dispose();
    return sheet;
  }
}
