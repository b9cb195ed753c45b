package snikra.server.http;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.http.HttpMethod;
import org.springframework.http.MediaType;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;
import org.springframework.web.util.UriComponentsBuilder;
import snikra.formats.Json;
import snikra.server.TestApp;
import snikra.server.http.Requests.Request;
import snikra.server.photos.TestPictures;
import tools.jackson.databind.JsonNode;

/** The examples of the description are sent as they stand, and none is missing. */
class RequestsTest {
  @RegisterExtension
  static final TestApp APP = new TestApp("--snikra.demo=true", "--snikra.phone-address=127.0.0.1");

  private final MockMvc web = APP.web();
  private final Map<String, Object> kept = new HashMap<>();
  private final Map<String, byte[]> saved = new HashMap<>();

  @Test
  void everyOperationHasARequestAndEveryRequestAnOperation() throws Exception {
    JsonNode paths =
        Json.mapper()
            .readTree(Files.readString(Requests.DOCS.resolve("openapi.json")))
            .path("paths");
    Map<String, List<String>> byMethod = new TreeMap<>();
    paths
        .properties()
        .forEach(
            p ->
                p.getValue()
                    .propertyNames()
                    .forEach(
                        m ->
                            byMethod
                                .computeIfAbsent(
                                    m.toUpperCase(java.util.Locale.ROOT), k -> new ArrayList<>())
                                .add(p.getKey())));
    TreeSet<String> missing = new TreeSet<>();
    byMethod.forEach((method, all) -> all.forEach(p -> missing.add(method + " " + p)));
    for (Request request : Requests.all()) {
      String asked =
          request.operation(byMethod.getOrDefault(request.method(), List.of())).orElse(null);
      assertThat(asked).as(request.target()).isNotNull();
      missing.remove(request.method() + " " + asked);
    }
    assertThat(missing).isEmpty();
  }

  @Test
  void eachIsAnsweredAsTheFileSays(@TempDir Path folder) throws Exception {
    kept.put("folder", folder.toString());
    List<String> amiss = new ArrayList<>();
    for (Request request : Requests.all()) {
      MockHttpServletResponse answer = web.perform(sent(request)).andReturn().getResponse();
      if (answer.getStatus() != request.status()) {
        amiss.add(request + ": " + answer.getStatus() + " " + answer.getContentAsString());
      }
      keep(request, answer);
    }
    assertThat(amiss).isEmpty();
  }

  private MockHttpServletRequestBuilder sent(Request request) throws Exception {
    String target = "" + filled(request.target());
    MockHttpServletRequestBuilder sent =
        MockMvcRequestBuilders.request(
            HttpMethod.valueOf(request.method()),
            UriComponentsBuilder.fromUriString(target).build().encode().toUri());
    if (request.of("json") != null) {
      return sent.contentType(MediaType.APPLICATION_JSON)
          .content(Json.mapper().writeValueAsString(filled(request.of("json"))));
    }
    byte[] body = body(request);
    boolean isLines = request.path().endsWith("/lines");
    return body == null
        ? sent
        : sent.contentType(isLines ? MediaType.TEXT_PLAIN : MediaType.APPLICATION_OCTET_STREAM)
            .content(body);
  }

  private byte @Nullable [] body(Request request) throws Exception {
    if (request.of("text") != null) {
      return ("" + request.of("text")).getBytes(StandardCharsets.UTF_8);
    }
    if (request.of("file") != null) {
      return Files.readAllBytes(Requests.DOCS.resolve("" + request.of("file")));
    }
    if (request.of("saved") != null) {
      return saved.get("" + request.of("saved"));
    }
    return request.of("picture") == null ? null : TestPictures.png();
  }

  private void keep(Request request, MockHttpServletResponse answer) throws Exception {
    if (request.of("save") != null) {
      saved.put("" + request.of("save"), answer.getContentAsByteArray());
    }
    if (request.of("keep") instanceof Map<?, ?> names) {
      JsonNode told = Json.mapper().readTree(answer.getContentAsString());
      names.forEach(
          (name, pointer) -> {
            JsonNode value = told.at("" + pointer);
            assertThat(value.isMissingNode()).as(request.target() + " " + pointer).isFalse();
            kept.put("" + name, value.isNumber() ? value.intValue() : value.asString());
          });
    }
  }

  // What stands for something kept is of its kind: a number stays one.
  private Object filled(Object value) {
    if (value instanceof Map<?, ?> map) {
      return map.entrySet().stream()
          .collect(Collectors.toMap(e -> "" + e.getKey(), e -> filled(e.getValue())));
    }
    if (value instanceof List<?> list) {
      return list.stream().map(this::filled).toList();
    }
    if (value instanceof String text) {
      for (Map.Entry<String, Object> one : kept.entrySet()) {
        String name = "{" + one.getKey() + "}";
        if (text.equals(name)) {
          return one.getValue();
        }
        text = text.replace(name, "" + one.getValue());
      }
      return text;
    }
    return value;
  }
}
