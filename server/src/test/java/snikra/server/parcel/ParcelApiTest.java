package snikra.server.parcel;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.BiConsumer;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.http.MediaType;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;
import snikra.core.specimen.Specimen;
import snikra.formats.Json;
import snikra.server.TestApp;
import snikra.server.knives.KnifeService;
import snikra.server.photos.DemoPhotographs;
import snikra.server.photos.PhotoService;
import snikra.server.photos.TestPictures;
import snikra.server.reference.ReferenceDesk;
import tools.jackson.databind.JsonNode;

/** A collection goes out as one file and comes back into another, or into its own, without loss. */
class ParcelApiTest {
  private static final int MADE_UP = 2000;
  private final TestApp one = new TestApp("--snikra.demo=true");
  private final TestApp other = new TestApp();

  @BeforeEach
  void twoPlaces() throws IOException {
    one.start(Files.createTempDirectory("snikra-one"));
    other.start(Files.createTempDirectory("snikra-other"));
    DemoPhotographs.fill(
        one.bean(PhotoService.class), knives(one), one.bean(ReferenceDesk.class).examiner());
  }

  @AfterEach
  void andGone() throws IOException {
    one.afterAll(null);
    other.afterAll(null);
  }

  private static byte[] parcel(TestApp from) throws Exception {
    return from.web()
        .perform(get("/api/parcel"))
        .andExpect(status().isOk())
        .andReturn()
        .getResponse()
        .getContentAsByteArray();
  }

  private static ResultActions send(TestApp to, UUID key, byte[] parcel) throws Exception {
    int half = parcel.length / 2;
    MockMvc web = to.web();
    web.perform(piece(key, 0, Arrays.copyOf(parcel, half))).andExpect(status().isOk());
    web.perform(piece(key, half, Arrays.copyOfRange(parcel, half, parcel.length)))
        .andExpect(jsonPath("$.bytes").value(parcel.length));
    return web.perform(get("/api/parcel/" + key));
  }

  private static org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder piece(
      UUID key, long at, byte[] bytes) {
    return post("/api/parcel/piece?key=" + key + "&at=" + at)
        .contentType(MediaType.APPLICATION_OCTET_STREAM)
        .content(bytes);
  }

  private static JsonNode look(TestApp to, UUID key, byte[] parcel) throws Exception {
    return Json.mapper()
        .readTree(
            send(to, key, parcel)
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString());
  }

  private static JsonNode bring(TestApp to, byte[] parcel, String... theirs) throws Exception {
    UUID key = UUID.randomUUID();
    JsonNode told = look(to, key, parcel);
    to.web()
        .perform(
            post("/api/parcel/" + key + "/take")
                .contentType(MediaType.APPLICATION_JSON)
                .content(Json.mapper().writeValueAsString(Map.of("theirs", List.of(theirs)))))
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.reason").value("before-parcel"));
    return told;
  }

  private static Map<String, byte[]> files(byte[] parcel) throws IOException {
    Map<String, byte[]> all = new LinkedHashMap<>();
    try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(parcel))) {
      for (ZipEntry e = zip.getNextEntry(); e != null; e = zip.getNextEntry()) {
        all.put(e.getName(), zip.readAllBytes());
      }
    }
    return all;
  }

  private static byte[] with(byte[] parcel, BiConsumer<String, Map<String, byte[]>> change)
      throws IOException {
    Map<String, byte[]> all = files(parcel);
    String first =
        all.keySet().stream().filter(n -> n.matches("knives/[^.]+.json")).findFirst().get();
    change.accept(first, all);
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try (ZipOutputStream zip = new ZipOutputStream(out)) {
      for (Map.Entry<String, byte[]> e : all.entrySet()) {
        zip.putNextEntry(new ZipEntry(e.getKey()));
        zip.write(e.getValue());
      }
    }
    return out.toByteArray();
  }

  private static KnifeService knives(TestApp app) {
    return app.bean(KnifeService.class);
  }

  private static void edit(TestApp app, String id, String place) {
    knives(app).changeAll(List.of(id), (k, knife) -> knife.lying(place, knife.tags()));
  }

  @Test
  void allOfItComesBackBitForBit() throws Exception {
    Map<String, Specimen> many = new LinkedHashMap<>();
    for (int i = 0; i < MADE_UP; i++) {
      many.put(
          UUID.randomUUID().toString(),
          Specimen.unseen().lying("Drawer " + i, List.of("made up", "n" + i % 7)));
    }
    knives(one).addAll("made-up", many);
    UUID sale = UUID.randomUUID();
    one.web()
        .perform(
            post("/api/sales?id=" + sale)
                .contentType(MediaType.APPLICATION_JSON)
                .content(
                    "{\"knife\":{\"described\":\"A jack\",\"price\":30,\"currency\":\"GBP\"}}"));
    one.bean(PhotoService.class).addToSale(sale.toString(), "lot.png", TestPictures.png());
    byte[] sent = parcel(one);
    whatIsNotWholeIsRefused(sent);
    JsonNode told = bring(other, sent);
    assertThat(told.path("knives").path("new").asInt(0)).isEqualTo(MADE_UP + 8);
    assertThat(told.path("photographs").asInt(0)).isPositive();

    Map<String, byte[]> out = files(sent);
    Map<String, byte[]> back = files(parcel(other));
    assertThat(back.keySet()).isEqualTo(out.keySet());
    assertThat(out.keySet()).anyMatch(name -> name.matches("photographs/.*\\.png"));
    out.forEach(
        (name, bytes) -> {
          // What is known of a knife now also tells that it came; the grading is one's own.
          if (!name.endsWith(".about.json") && !name.equals("manifest.json")) {
            assertThat(back.get(name)).as(name).isEqualTo(bytes);
          }
        });
    other
        .web()
        .perform(get("/api/sales/pictures"))
        .andExpect(jsonPath("$[0].sale").value(sale.toString()));
    List<Integer> numbers = knives(one).all().stream().map(k -> k.number()).toList();
    assertThat(knives(other).all()).extracting(k -> k.number()).isEqualTo(numbers);
    int next = knives(other).add(Specimen.unseen()).number();
    assertThat(numbers).doesNotContain(next);

    JsonNode again = look(other, UUID.randomUUID(), sent);
    assertThat(again.path("knives").path("same").asInt(0)).isEqualTo(MADE_UP + 8);
    assertThat(again.path("knives").size()).isEqualTo(1);
    assertThat(again.path("books").size()).isZero();
    assertThat(again.path("photographs").asInt(-1)).isZero();
  }

  @Test
  void whatWasChangedInOnePlaceIsTakenAndInBothIsAsked() throws Exception {
    bring(other, parcel(one));
    List<String> ids = knives(other).all().stream().map(k -> k.id()).toList();
    edit(other, ids.get(0), "changed there");
    edit(one, ids.get(1), "changed here");
    edit(one, ids.get(2), "mine");
    edit(other, ids.get(2), "theirs");
    edit(one, ids.get(3), "mine");
    edit(other, ids.get(3), "theirs");
    knives(one).delete(ids.get(4));

    JsonNode told = bring(one, parcel(other), ids.get(3));

    assertThat(told.path("knives").properties())
        .extracting(Map.Entry::getKey, e -> e.getValue().asInt(0))
        .containsExactlyInAnyOrder(
            tuple("same", 3),
            tuple("theirs-newer", 1),
            tuple("ours-newer", 1),
            tuple("both-changed", 2),
            tuple("taken-out", 1));
    assertThat(told.path("asked").path(0).path("id").asString("")).isEqualTo(ids.get(2));
    assertThat(place(ids.get(0))).isEqualTo("changed there");
    assertThat(place(ids.get(1))).isEqualTo("changed here");
    assertThat(place(ids.get(2))).isEqualTo("mine");
    assertThat(place(ids.get(3))).isEqualTo("theirs");
    assertThat(knives(one).all()).hasSize(7);
    anIdThatIsAPathIsRefusedAndAllStaysAsItWas();
  }

  private String place(String id) {
    return knives(one).get(id).specimen().place();
  }

  private void whatIsNotWholeIsRefused(byte[] good) throws Exception {
    byte[] changed =
        with(good, (knife, all) -> all.put(knife, "{}".getBytes(StandardCharsets.UTF_8)));
    byte[] missing = with(good, (knife, all) -> all.remove(knife));
    byte[] newer =
        with(
            good,
            (knife, all) ->
                all.compute(
                    "manifest.json",
                    (n, m) ->
                        new String(m, StandardCharsets.UTF_8)
                            .replaceFirst("\"knifeFormat\" : \\d+", "\"knifeFormat\" : 99")
                            .getBytes(StandardCharsets.UTF_8)));
    for (byte[] bad :
        List.of(
            changed,
            missing,
            newer,
            Arrays.copyOf(good, good.length / 3),
            "no parcel at all, but some words".getBytes(StandardCharsets.UTF_8))) {
      send(other, UUID.randomUUID(), bad)
          .andExpect(status().isBadRequest())
          .andExpect(jsonPath("$.problems[0].field").value("parcel"));
    }
    assertThat(knives(other).all()).isEmpty();
    other
        .web()
        .perform(piece(UUID.randomUUID(), 5, new byte[] {1}))
        .andExpect(status().isBadRequest());
  }

  private void anIdThatIsAPathIsRefusedAndAllStaysAsItWas() throws Exception {
    List<String> before = knives(other).all().stream().map(k -> "" + k).toList();
    String odd = "../../elsewhere";
    JdbcTemplate rows = new JdbcTemplate(one.bean(javax.sql.DataSource.class));
    rows.update("update photo set id = ? where id = (select min(id) from photo)", odd);
    UUID key = UUID.randomUUID();
    look(other, key, parcel(one));
    other
        .web()
        .perform(
            post("/api/parcel/" + key + "/take")
                .contentType(MediaType.APPLICATION_JSON)
                .content("{}"))
        .andExpect(status().isBadRequest());
    assertThat(knives(other).all()).extracting(k -> "" + k).isEqualTo(before);
  }
}
