package snikra.server.schedules;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.delete;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.header;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.UUID;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDResources;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;
import snikra.formats.Json;
import snikra.server.TestApp;

/** Schedules for insurers and estates, kept as they were made. */
class ScheduleApiTest {
  @RegisterExtension static final TestApp APP = new TestApp();
  private final MockMvc web = APP.web();

  private String keep(String title, String more) throws Exception {
    String knife = "{\"title\":\"%s\",\"frame\":\"canoe\"%s}".formatted(title, more);
    String kept =
        web.perform(post("/api/knives").contentType(MediaType.APPLICATION_JSON).content(knife))
            .andExpect(status().isCreated())
            .andReturn()
            .getResponse()
            .getContentAsString();
    return Json.mapper().readTree(kept).path("id").asString("");
  }

  private void valued(String title, int price) throws Exception {
    keep(
        title,
        ",\"comparables\":[{\"described\":\"one\",\"price\":%d,\"currency\":\"GBP\",\"sold\":\"2025\"}]"
            .formatted(price));
  }

  private ResultActions made(String id, String basis, String q) throws Exception {
    return web.perform(
        post("/api/schedules")
            .param("id", id)
            .param("basis", basis)
            .param("title", " For Ada ")
            .param("q", q));
  }

  private static String id() {
    return UUID.randomUUID().toString();
  }

  private byte[] paper(String id, Locale locale) throws Exception {
    return web.perform(get("/api/schedules/" + id + "/schedule.pdf").locale(locale))
        .andExpect(status().isOk())
        .andExpect(content().contentType(MediaType.APPLICATION_PDF))
        .andReturn()
        .getResponse()
        .getContentAsByteArray();
  }

  private String text(String id, Locale locale) throws Exception {
    try (PDDocument read = Loader.loadPDF(paper(id, locale))) {
      return new PDFTextStripper().getText(read).replace('\u00a0', ' ');
    }
  }

  @Test
  void aScheduleIsMadeOfWhatIsFoundAndReadBackFromPaper() throws Exception {
    valued("Zinnober one", 100);
    valued("Zinnober two", 60);
    keep("Zinnober <three> & more", "");
    String id = id();
    made(id, "insurance", "zinnober")
        .andExpect(status().isCreated())
        .andExpect(jsonPath("$.knives").value(3))
        .andExpect(jsonPath("$.title").value("For Ada"))
        .andExpect(jsonPath("$.unvalued").value(1))
        .andExpect(jsonPath("$.totals.GBP").isNumber());

    String paper = text(id, Locale.UK);
    assertThat(paper)
        .contains("Schedule for insurance")
        .contains("For Ada")
        .contains("Zinnober one")
        .contains("Zinnober <three> & more")
        .contains("In all")
        .contains("One knife has no amount.")
        .contains("licensed appraiser")
        .contains("half of like sales from")
        .contains("three of four like sales bring less");
    assertThat(paper).containsPattern("\u00a3\\d");
    assertThat(text(id, Locale.GERMANY)).containsPattern("\\d \u00a3").contains("2026");

    web.perform(get("/api/schedules/" + id + "/schedule.csv"))
        .andExpect(status().isOk())
        .andExpect(
            header().string("Content-Disposition", org.hamcrest.Matchers.containsString(".csv")))
        .andExpect(content().string(org.hamcrest.Matchers.containsString("Zinnober two")));
  }

  @Test
  void anEstateIsPutDownLowerThanAnInsurance() throws Exception {
    valued("Quittenholz", 100);
    String insured = id();
    String left = id();
    made(insured, "insurance", "quittenholz");
    made(left, "estate", "quittenholz");
    assertThat(total(left)).isLessThan(total(insured));
  }

  private double total(String id) throws Exception {
    String all = web.perform(get("/api/schedules")).andReturn().getResponse().getContentAsString();
    for (var one : Json.mapper().readTree(all).path("kept")) {
      if (one.path("id").asString("").equals(id)) {
        return one.path("totals").path("GBP").asDouble();
      }
    }
    throw new AssertionError(all);
  }

  @Test
  void itStaysAsItWasMadeWhateverIsLearntLater() throws Exception {
    valued("Ebereschen", 100);
    String id = id();
    made(id, "estate", "ebereschen");
    String before = whole(id);
    valued("Ebereschen again", 5000);
    made(id, "insurance", "ebereschen").andExpect(jsonPath("$.basis").value("estate"));
    assertThat(whole(id)).isEqualTo(before);
  }

  private String whole(String id) throws Exception {
    return web.perform(get("/api/schedules/" + id))
        .andExpect(status().isOk())
        .andReturn()
        .getResponse()
        .getContentAsString(StandardCharsets.UTF_8);
  }

  @Test
  void aKnifeIsShownWithItsPhotograph() throws Exception {
    String knife = keep("Hagebutten", "");
    keep("Hagebutten without one", "");
    ByteArrayOutputStream png = new ByteArrayOutputStream();
    ImageIO.write(new BufferedImage(60, 40, BufferedImage.TYPE_INT_RGB), "png", png);
    web.perform(
            post("/api/knives/" + knife + "/photos?role=mark-side&name=a.png")
                .contentType(MediaType.IMAGE_PNG)
                .content(png.toByteArray()))
        .andExpect(status().isCreated());
    String id = id();
    made(id, "estate", "hagebutten").andExpect(jsonPath("$.knives").value(2));
    int pictures = 0;
    try (PDDocument read = Loader.loadPDF(paper(id, Locale.UK))) {
      PDResources on = read.getPage(0).getResources();
      for (COSName name : on.getXObjectNames()) {
        pictures += on.isImageXObject(name) ? 1 : 0;
      }
    }
    assertThat(pictures).isEqualTo(1);
  }

  @Test
  void itIsOnPaperStillWhenTheKnifeIsGone() throws Exception {
    String knife = keep("Holunder", "");
    String id = id();
    made(id, "estate", "holunder");
    web.perform(delete("/api/knives/" + knife)).andExpect(status().isNoContent());
    assertThat(text(id, Locale.UK)).contains("Holunder").contains("no sale of a like knife");
  }

  @Test
  void takenOutItIsGoneAndPutBackItIsThere() throws Exception {
    keep("Wacholder", "");
    String id = id();
    made(id, "estate", "wacholder");
    web.perform(delete("/api/schedules/" + id)).andExpect(status().isNoContent());
    web.perform(get("/api/schedules/" + id))
        .andExpect(status().isNotFound())
        .andExpect(jsonPath("$.detail").value("There is no schedule " + id + "."));
    web.perform(post("/api/schedules/" + id + "/restore")).andExpect(status().isNoContent());
    web.perform(get("/api/schedules/" + id)).andExpect(status().isOk());
  }

  @Test
  void whatCannotBeMadeIsRefusedWithTheFieldNamed() throws Exception {
    made(id(), "tax", "")
        .andExpect(status().isBadRequest())
        .andExpect(jsonPath("$.problems[0].field").value("basis"));
    made(id(), "estate", "nosuchknifeanywhere")
        .andExpect(status().isBadRequest())
        .andExpect(jsonPath("$.problems[0].given").value("0 knives"));
    web.perform(
            post("/api/schedules")
                .param("id", id())
                .param("basis", "estate")
                .param("title", "x".repeat(121)))
        .andExpect(status().isBadRequest())
        .andExpect(jsonPath("$.problems[0].field").value("title"));
    web.perform(get("/api/schedules/none/schedule.pdf")).andExpect(status().isNotFound());
  }
}
