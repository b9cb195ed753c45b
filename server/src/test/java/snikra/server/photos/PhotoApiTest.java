package snikra.server.photos;

import static java.nio.charset.StandardCharsets.UTF_8;
import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.delete;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.put;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.header;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.io.ByteArrayInputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import org.hamcrest.Matchers;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.transaction.PlatformTransactionManager;
import snikra.server.TestApp;
import snikra.server.keeping.Disk;
import snikra.server.knives.KnifeService;
import snikra.server.knives.SavedKnife;
import snikra.server.reference.ReferenceDesk;
import tools.jackson.databind.ObjectMapper;

class PhotoApiTest {
  @RegisterExtension static final TestApp APP = new TestApp();
  private final MockMvc web = APP.web();
  private final PhotoService service = APP.bean(PhotoService.class);
  private final PhotoRepository repository = APP.bean(PhotoRepository.class);
  private final KnifeService knives = APP.bean(KnifeService.class);
  private final ObjectMapper json = new ObjectMapper();

  private String knife() throws Exception {
    return id(
        web.perform(post("/api/knives").contentType(MediaType.APPLICATION_JSON).content("{}"))
            .andReturn()
            .getResponse()
            .getContentAsString());
  }

  private String id(String body) throws Exception {
    return json.readTree(body).get("id").asString("");
  }

  private String kept(String knife) throws Exception {
    return id(
        web.perform(
                post("/api/knives/" + knife + "/photos?name=kept.png")
                    .contentType(MediaType.IMAGE_PNG)
                    .content(PictureTest.picture("png", 60, 60)))
            .andReturn()
            .getResponse()
            .getContentAsString());
  }

  @Test
  void aPhotographIsKeptShownGivenARoleAndTakenAway() throws Exception {
    String photos = "/api/knives/" + knife() + "/photos";
    byte[] original = PictureTest.picture("jpg", 600, 300);
    String photo =
        id(
            web.perform(
                    post(photos + "?role=mark-side&name=a.jpg")
                        .contentType(MediaType.IMAGE_JPEG)
                        .content(original))
                .andExpect(status().isCreated())
                .andExpect(jsonPath("$.width").value(600))
                .andReturn()
                .getResponse()
                .getContentAsString());

    web.perform(get("/api/photos/" + photo + "/original")).andExpect(content().bytes(original));
    web.perform(get("/api/photos/" + photo + "/thumbnail"))
        .andExpect(content().contentType(MediaType.IMAGE_JPEG));
    web.perform(get("/api/photos/" + photo + "/negative")).andExpect(status().isNotFound());
    web.perform(put("/api/photos/" + photo + "?role=tang"))
        .andExpect(jsonPath("$.role").value("tang"));
    web.perform(get(photos)).andExpect(jsonPath("$.length()").value(1));
    web.perform(delete("/api/photos/" + photo)).andExpect(status().isNoContent());
    web.perform(get(photos)).andExpect(jsonPath("$.length()").value(0));
    web.perform(get("/api/photos/" + photo + "/view")).andExpect(status().isNotFound());
  }

  @Test
  void aPaperIsKeptByteForByteAndShownAsASheetAndIsNoLikenessOfTheKnife() throws Exception {
    String knife = knife();
    byte[] bill = "%PDF-1.7\n1 0 obj<<>>endobj\ntrailer<<>>\n%%EOF\n".getBytes(UTF_8);
    String paper =
        id(
            web.perform(
                    post("/api/knives/" + knife + "/photos?name=Bill \u00e0 1936.pdf")
                        .contentType(MediaType.APPLICATION_PDF)
                        .content(bill))
                .andExpect(status().isCreated())
                .andExpect(jsonPath("$.type").value("pdf"))
                .andExpect(jsonPath("$.role").value("paper"))
                .andReturn()
                .getResponse()
                .getContentAsString(UTF_8));

    web.perform(get("/api/photos/" + paper + "/original"))
        .andExpect(content().bytes(bill))
        .andExpect(content().contentType(MediaType.APPLICATION_PDF))
        .andExpect(
            header().string("Content-Disposition", Matchers.startsWith("attachment; filename=")));
    byte[] view =
        web.perform(get("/api/photos/" + paper + "/view"))
            .andExpect(content().contentType(MediaType.IMAGE_JPEG))
            .andReturn()
            .getResponse()
            .getContentAsByteArray();
    assertThat(ImageIO.read(new ByteArrayInputStream(view)).getHeight())
        .isEqualTo(PaperSheet.HEIGHT);
    assertThat(service.likenesses(List.of(knife))).isEmpty();
    assertThat(service.check().changed()).isEmpty();
    String photo = kept(knife);
    assertThat(service.likenesses(List.of(knife)).get(knife).id()).isEqualTo(photo);
    Files.delete(APP.data().resolve("photos").resolve(paper + ".view.jpg"));
    web.perform(get("/api/photos/" + paper + "/view")).andExpect(content().bytes(view));
    web.perform(get("/api/photos/" + photo + "/original"))
        .andExpect(header().doesNotExist("Content-Disposition"));
  }

  @ParameterizedTest
  @ValueSource(strings = {"%PDF-1.7 cut off", "%PDF-", " %PDF-1.7 %%EOF", "not a paper %%EOF"})
  void whatIsNoWholePaperIsRefused(String bytes) throws Exception {
    web.perform(
            post("/api/knives/" + knife() + "/photos?name=bill.pdf")
                .contentType(MediaType.APPLICATION_PDF)
                .content(bytes.getBytes(UTF_8)))
        .andExpect(status().isBadRequest())
        .andExpect(jsonPath("$.problems[0].accepted").value(Matchers.containsString("whole PDF")));
  }

  @Test
  void theEndOfAPaperIsLookedForNearItsEnd() {
    String begin = "%PDF-1.4 %%EOF";
    assertThat(PaperSheet.isWhole((begin + " ".repeat(1000)).getBytes(UTF_8))).isTrue();
    assertThat(PaperSheet.isWhole((begin + " ".repeat(1100)).getBytes(UTF_8))).isFalse();
    assertThat(PaperSheet.isWhole("%%E".getBytes(UTF_8))).isFalse();
    assertThat(PaperSheet.is("%PDF".getBytes(UTF_8))).isFalse();
  }

  @Test
  void whatWasTakenAwayCanBePutBackForThirtyDays() throws Exception {
    String knife = knife();
    String photo = kept(knife);
    web.perform(delete("/api/photos/" + photo)).andExpect(status().isNoContent());
    web.perform(delete("/api/photos/" + photo)).andExpect(status().isNotFound());
    service.throwAway();
    web.perform(post("/api/photos/" + photo + "/restore"))
        .andExpect(jsonPath("$.fileName").value("kept.png"));
    web.perform(get("/api/photos/" + photo + "/view")).andExpect(status().isOk());
    web.perform(delete("/api/photos/" + photo)).andExpect(status().isNoContent());
    after(Duration.ofDays(29).plusHours(23)).throwAway();
    web.perform(post("/api/photos/" + photo + "/restore")).andExpect(status().isOk());
    web.perform(delete("/api/photos/" + photo)).andExpect(status().isNoContent());
    after(Duration.ofDays(30).plusHours(1)).throwAway();
    web.perform(post("/api/photos/" + photo + "/restore")).andExpect(status().isNotFound());
    try (Stream<Path> files = Files.list(APP.data().resolve("photos"))) {
      assertThat(files.map(f -> f.getFileName().toString()))
          .noneMatch(name -> name.startsWith(photo));
    }
  }

  private PhotoService after(Duration time) {
    return new PhotoService(
        repository,
        knives,
        APP.bean(Disk.class),
        APP.data().resolve("photos"),
        APP.bean(PlatformTransactionManager.class),
        Clock.offset(Clock.systemUTC(), time));
  }

  @Test
  void whatIsNoPhotographLeavesNothingBehind() throws Exception {
    String photos = "/api/knives/" + knife() + "/photos";
    web.perform(post(photos).contentType(MediaType.APPLICATION_OCTET_STREAM).content("no picture"))
        .andExpect(status().isBadRequest())
        .andExpect(jsonPath("$.problems[0].field").value("photograph"));
    web.perform(
            post(photos + "?role=upside-down")
                .contentType(MediaType.IMAGE_PNG)
                .content(PictureTest.picture("png", 60, 60)))
        .andExpect(status().isBadRequest())
        .andExpect(
            jsonPath("$.problems[0].accepted")
                .value(org.hamcrest.Matchers.containsString("mark-side")));
    web.perform(get(photos)).andExpect(jsonPath("$.length()").value(0));
  }

  @Test
  void whatIsClickedIsMeasuredWithItsUncertainty() throws Exception {
    String clicks =
        """
        {"known": [{"from": {"x": 0, "y": 0}, "to": {"x": 508, "y": 0}, "length": "1 in"}],
         "distances": [{"from": {"x": 0, "y": 10}, "to": {"x": 1000, "y": 10}}],
         "outline": [{"x": 0, "y": 0}, {"x": 1000, "y": 0}, {"x": 1000, "y": 200}, {"x": 0, "y": 200}],
         "tang": {"x": 0, "y": 100}, "tip": {"x": 1000, "y": 100}}
        """;
    web.perform(post("/api/photos/measure").contentType(MediaType.APPLICATION_JSON).content(clicks))
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.distances[0].mm").value(org.hamcrest.Matchers.closeTo(50, 1e-9)))
        .andExpect(jsonPath("$.area.mm").value(org.hamcrest.Matchers.closeTo(500, 1e-6)))
        .andExpect(
            jsonPath("$.heights[2].height.mm").value(org.hamcrest.Matchers.closeTo(10, 1e-6)))
        .andExpect(jsonPath("$.aslant").value(false));
    web.perform(
            post("/api/photos/measure")
                .contentType(MediaType.APPLICATION_JSON)
                .content(clicks.replace("1 in", "long")))
        .andExpect(status().isBadRequest())
        .andExpect(jsonPath("$.problems[0].field").value("known[0].length"));
  }

  @Test
  void filesOfAPhotographThatWasNeverAcknowledgedAreSweptAndNoOthers() throws Exception {
    String photo = kept(knife());
    Path folder = APP.data().resolve("photos");
    Files.writeString(folder.resolve("11111111-aaaa.original"), "half");
    Files.writeString(folder.resolve(photo + ".view.jpg.part"), "half");
    Files.writeString(folder.resolve("stray"), "without an ending");
    assertThat(service.sweep()).isEqualTo(3);
    web.perform(get("/api/photos/" + photo + "/original")).andExpect(status().isOk());
  }

  @Test
  void aKnifeOfTheDemoThatIsTakenOutMeanwhileKeepsTheNextFromNothing() throws Exception {
    SavedKnife gone = knives.get(knife());
    SavedKnife next = knives.get(knife());
    KnifeService asItWas = mock(KnifeService.class);
    when(asItWas.all()).thenReturn(List.of(gone, next));
    web.perform(delete("/api/knives/" + gone.id())).andExpect(status().isNoContent());

    DemoPhotographs.fill(service, asItWas, APP.bean(ReferenceDesk.class).examiner());

    assertThat(service.of(next.id())).hasSize(1);
  }

  @Test
  void anOriginalThatIsGoneOrIsNotWhatItWasIsTold() throws Exception {
    String knife = knife();
    String gone = kept(knife);
    String other = kept(knife);
    Path folder = APP.data().resolve("photos");
    Files.delete(folder.resolve(gone + ".original"));
    Files.writeString(folder.resolve(other + ".original"), "something else");

    PhotoService.OriginalsChecked checked = service.check();
    assertThat(checked.lost()).singleElement().asString().contains("kept.png").contains(knife);
    assertThat(checked.changed()).singleElement().asString().contains(knife);
    web.perform(get("/api/photos/" + gone + "/original"))
        .andExpect(status().isGone())
        .andExpect(jsonPath("$.detail").value(org.hamcrest.Matchers.containsString("kept.png")));
    service.forgetOf(knife);
    assertThat(service.check().lost()).isEmpty();
  }

  @Test
  void aCopyThatWasLostIsMadeAnewFromTheOriginal() throws Exception {
    String photo = kept(knife());
    Files.delete(APP.data().resolve("photos").resolve(photo + ".thumbnail.jpg"));
    web.perform(get("/api/photos/" + photo + "/thumbnail")).andExpect(status().isOk());
    assertThat(APP.data().resolve("photos").resolve(photo + ".thumbnail.jpg")).exists();
  }

  @Test
  void aPhotographIsAskedForAnewAndAnsweredInAWordWhereTheBrowserHasIt() throws Exception {
    String photo = kept(knife());
    String tag =
        web.perform(get("/api/photos/" + photo + "/view"))
            .andExpect(
                header().string("Cache-Control", org.hamcrest.Matchers.containsString("no-cache")))
            .andReturn()
            .getResponse()
            .getHeader("ETag");
    web.perform(get("/api/photos/" + photo + "/view").header("If-None-Match", "" + tag))
        .andExpect(status().isNotModified());
  }

  @Test
  void theSixtyFirstIsRefusedHoweverManyComeAtOnce() throws Exception {
    String knife = knife();
    byte[] picture = PictureTest.picture("png", 20, 20);
    java.util.concurrent.atomic.AtomicInteger taken =
        new java.util.concurrent.atomic.AtomicInteger();
    List<Thread> senders = new ArrayList<>();
    for (int t = 0; t < 4; t++) {
      Thread sender =
          new Thread(
              () -> {
                for (int i = 0; i < 18; i++) {
                  try {
                    service.add(knife, PhotoRole.OTHER, "one", picture);
                    taken.incrementAndGet();
                  } catch (snikra.formats.InvalidInput full) {
                    assertThat(full.getMessage()).contains("at most 60");
                  }
                }
              });
      senders.add(sender);
      sender.start();
    }
    for (Thread sender : senders) {
      sender.join();
    }
    assertThat(taken).hasValue(60);
    assertThat(service.of(knife)).hasSize(60);
  }
}
