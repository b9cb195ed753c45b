package snikra.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.delete;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.put;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.header;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.ObjectMapper;

class KnifeApiTest {
  private static final Path DOCS = Path.of("..", "docs", "formats");
  private static final String JACK = "{\"frame\":{\"value\":\"teardrop\",\"sureness\":\"sure\"}}";

  @RegisterExtension static final TestApp APP = new TestApp();
  private final MockMvc web = APP.web();
  private final ObjectMapper json = new ObjectMapper();

  @Test
  void aKnifeIsKeptChangedTakenOutAndPutBack() throws Exception {
    JsonNode made = body(send(post("/api/knives"), JACK).andExpect(status().isCreated()));
    String knife = "/api/knives/" + made.get("id").asString("");

    send(put(knife), "{\"version\":0,\"specimen\":{\"title\":\"Mine\"}}")
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.version").value(1));
    web.perform(get(knife)).andExpect(jsonPath("$.specimen.title").value("Mine"));
    web.perform(delete(knife)).andExpect(status().isNoContent());
    web.perform(get(knife)).andExpect(status().isNotFound());
    web.perform(post(knife + "/restore")).andExpect(status().isOk());
    web.perform(get(knife)).andExpect(jsonPath("$.specimen.title").value("Mine"));
  }

  @Test
  void anOlderCopyDoesNotOverwriteANewerOne() throws Exception {
    JsonNode made = body(send(post("/api/knives"), JACK));
    String knife = "/api/knives/" + made.get("id").asString("");
    send(put(knife), "{\"version\":0,\"specimen\":{\"title\":\"First\"}}");

    send(put(knife), "{\"version\":0,\"specimen\":{\"title\":\"Second\"}}")
        .andExpect(status().isConflict())
        .andExpect(jsonPath("$.current.version").value(1))
        .andExpect(jsonPath("$.current.specimen.title").value("First"));
    web.perform(get(knife)).andExpect(jsonPath("$.specimen.title").value("First"));
  }

  @Test
  void whatCannotBeUsedIsRefusedByFieldAndNothingIsStored() throws Exception {
    JsonNode made = body(send(post("/api/knives"), JACK));
    String knife = "/api/knives/" + made.get("id").asString("");

    send(put(knife), "{\"version\":0,\"specimen\":{\"closedLength\":\"-3 in\"}}")
        .andExpect(status().isBadRequest())
        .andExpect(jsonPath("$.problems[0].field").value("closedLength"))
        .andExpect(jsonPath("$.problems[0].given").value("-3 in"))
        .andExpect(jsonPath("$.problems[0].accepted").isNotEmpty());
    send(put(knife), "{\"specimen\":{}}")
        .andExpect(jsonPath("$.problems[0].field").value("version"));
    web.perform(get(knife)).andExpect(jsonPath("$.version").value(0));
  }

  @Test
  void aBrokenBodyIsABadRequest() throws Exception {
    for (String broken : new String[] {"", "{", "[]", "null", "{\"specimen\":7}"}) {
      send(post("/api/examine"), broken).andExpect(status().isBadRequest());
    }
    web.perform(post("/api/examine").contentType(MediaType.TEXT_PLAIN).content("{}"))
        .andExpect(status().isUnsupportedMediaType());
  }

  @Test
  void examiningKeepsNothingAndAgreesWithTheKeptKnife() throws Exception {
    String specimen = Files.readString(DOCS.resolve("specimen.example.json"));
    int before = body(web.perform(get("/api/knives"))).size();

    JsonNode verdict = body(send(post("/api/examine"), "{\"specimen\":" + specimen + "}"));
    assertThat(body(web.perform(get("/api/knives")))).hasSize(before);

    JsonNode made = body(send(post("/api/knives"), specimen));
    JsonNode entry = null;
    for (JsonNode e : body(web.perform(get("/api/knives")))) {
      entry = e.get("id").equals(made.get("id")) ? e : entry;
    }
    assertThat(entry.at("/summary/span")).isEqualTo(verdict.at("/dating/nineTenths"));
    assertThat(entry.at("/summary/title")).isEqualTo(verdict.at("/pattern/title"));
  }

  @Test
  void packsSentAlongTakeThePlaceOfTheShippedOnes() throws Exception {
    String reading =
        "{\"marks\":[{\"blade\":1,\"face\":\"mark\",\"state\":\"read\",\"lines\":[\"VELDRAKE\"]}]}";
    send(post("/api/examine"), "{\"specimen\":" + reading + "}")
        .andExpect(jsonPath("$.mark.candidates[0].maker").value("veldrake"));
    send(post("/api/examine"), "{\"packs\":[],\"specimen\":" + reading + "}")
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.mark.candidates").isEmpty());
    send(post("/api/examine"), "{\"packs\":[{\"schema\":1}],\"specimen\":" + reading + "}")
        .andExpect(status().isBadRequest());
  }

  @Test
  void theMakersAreToldWithTheirMarksCodesAndSources() throws Exception {
    web.perform(get("/api/makers"))
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.packs[0].sources[0].reliability").isNumber())
        .andExpect(jsonPath("$.packs[0].makers[?(@.id=='orbquendel')].from").value(1868))
        .andExpect(jsonPath("$.packs[0].makers[?(@.id=='orbquendel')].region").value("Germany"))
        .andExpect(
            jsonPath("$.packs[0].makers[?(@.id=='orbquendel')].codes[0].years[0].codes[0]")
                .value("B"));
  }

  @Test
  void aDateCodeAndAPatentNumberAreReadByTheShelf() throws Exception {
    String knife =
        "{\"codes\":[{\"sign\":\"bar\",\"written\":\"9\"}],"
            + "\"registered\":[{\"table\":\"us-patent\",\"number\":\"1,521,590\"}]}";
    send(post("/api/examine"), "{\"specimen\":" + knife + "}")
        .andExpect(jsonPath("$.codes[0].readings[0].maker").value("veldrake"))
        .andExpect(jsonPath("$.codes[0].readings[0].years[0].year").value(1948))
        .andExpect(jsonPath("$.registered[0].notBefore").value(1925))
        .andExpect(jsonPath("$.progress[3].summary").value("bar 9, 1 patent or design"));
  }

  @Test
  void onlyThisMachinesOwnPagesAreAnswered() throws Exception {
    web.perform(get("/api/knives").with(r -> named(r, "elsewhere.example")))
        .andExpect(status().is(421));
    send(post("/api/knives").header("Origin", "http://elsewhere.example"), JACK)
        .andExpect(status().isForbidden());
    send(post("/api/knives").header("Sec-Fetch-Site", "cross-site"), JACK)
        .andExpect(status().isForbidden());
    send(post("/api/examine"), "x".repeat(3_000_000)).andExpect(status().is(413));
  }

  @Test
  void pagesMayLoadNothingFromElsewhere() throws Exception {
    String policy =
        web.perform(get("/tray"))
            .andExpect(status().isOk())
            .andExpect(header().string("X-Content-Type-Options", "nosniff"))
            .andReturn()
            .getResponse()
            .getHeader("Content-Security-Policy");
    assertThat(policy)
        .startsWith("default-src 'none'")
        .doesNotContain("unsafe")
        .doesNotContain("http");
  }

  // After a change of the interface: -Dsnikra.publish=true writes it anew.
  @Test
  void theInterfaceIsDescribedAsItIsPublished() throws Exception {
    JsonNode described = body(web.perform(get("/described.json")));
    Path file = DOCS.resolve("openapi.json");
    if (Boolean.getBoolean("snikra.publish")) {
      Files.writeString(
          file, json.writerWithDefaultPrettyPrinter().writeValueAsString(described) + "\n");
    }
    assertThat(described).isEqualTo(json.readTree(Files.readString(file)));
    assertThat(body(web.perform(get("/api/openapi.json"))).path("openapi"))
        .isEqualTo(described.path("openapi"));
  }

  private static org.springframework.mock.web.MockHttpServletRequest named(
      org.springframework.mock.web.MockHttpServletRequest request, String host) {
    request.setServerName(host);
    return request;
  }

  private ResultActions send(MockHttpServletRequestBuilder request, String body) throws Exception {
    return web.perform(request.contentType(MediaType.APPLICATION_JSON).content(body));
  }

  private JsonNode body(ResultActions answer) throws Exception {
    return json.readTree(answer.andReturn().getResponse().getContentAsByteArray());
  }

  // The first sixteen stand in the open at the bench.
  @Test
  void outlinesOfEverydayPatternsComeBeforeThoseOfRareOnes() throws Exception {
    JsonNode frames = body(web.perform(get("/api/book"))).path("frames");
    List<String> open = frames.findValuesAsString("id").subList(0, 16);
    assertThat(open).contains("serpentine", "teardrop", "congress").doesNotContain("figural");
  }

  @Test
  void theYearsOfAKnifeGoOutToATenMillionth() throws Exception {
    JsonNode curve =
        body(send(post("/api/examine"), "{\"specimen\":{}}")).path("dating").path("curve");
    double sum = 0;
    for (JsonNode p : curve) {
      sum += p.doubleValue();
      assertThat(p.toString().length()).isLessThanOrEqualTo("0.0001234".length());
    }
    assertThat(sum).isCloseTo(1, within(1e-4));
    assertThat(curve.size()).isGreaterThan(300);
  }
}
