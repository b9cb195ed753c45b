package snikra.benchmarks;

import java.io.IOException;
import java.io.InputStream;
import java.net.URI;
import java.net.URISyntaxException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.snakeyaml.engine.v2.api.Load;
import org.snakeyaml.engine.v2.api.LoadSettings;
import snikra.formats.Json;

/**
 * Every request of {@code docs/formats/requests.yaml}, sent once to a Snikra that runs and kept as
 * it was sent, to be sent again with changes.
 */
final class EveryRequest {
  private static final Path DOCS = Path.of("docs", "formats");
  private static final Pattern KEPT = Pattern.compile("\\{(\\w+)}");

  /**
   * They write where they are told to, exchange all that is kept, open a line to a phone, or begin
   * work of minutes beside which nothing else can be timed.
   */
  private static final List<String> NOT_CHANGED =
      List.of("/api/backups", "/api/parcel", "/api/phone", "/api/keeping", "/api/calibration");

  private final RunningApp running;
  private final byte[] picture;
  private final Map<String, String> kept = new HashMap<>();

  /** A request as it was sent; the body is empty where there was none. */
  record Sent(String method, String path, String type, byte[] body) {}

  EveryRequest(RunningApp running, byte[] picture) {
    this.running = running;
    this.picture = picture;
  }

  /** Sends each, but those that let knives go for good; what may be changed at random is told. */
  List<Sent> send() throws IOException {
    List<Sent> all = new ArrayList<>();
    try (InputStream in = Files.newInputStream(DOCS.resolve("requests.yaml"))) {
      Object file = new Load(LoadSettings.builder().build()).loadFromInputStream(in);
      for (Object one : (List<?>) file) {
        Map<?, ?> step = (Map<?, ?>) one;
        String[] does = filled("" + step.get("do")).split(" ", 2);
        boolean isChanged = NOT_CHANGED.stream().noneMatch(does[1]::startsWith);
        if (isChanged && !("" + step.get("do")).contains("DELETE /api/knives/")) {
          all.add(send(does[0], encoded(does[1]), step));
        }
      }
    }
    return all;
  }

  private Sent send(String method, String path, Map<?, ?> step) throws IOException {
    String type = path.startsWith("/api/devices/lines") ? "text/plain" : "application/octet-stream";
    Sent sent =
        new Sent(method, path, step.get("json") == null ? type : "application/json", body(step));
    RunningApp.Answer answer =
        running.send(method, path, sent.body.length == 0 ? null : sent.body, sent.type);
    if (answer.isOk() && step.get("keep") instanceof Map<?, ?> keep) {
      keep.forEach(
          (name, at) ->
              kept.put("" + name, Json.mapper().readTree(answer.body()).at("" + at).asString("")));
    }
    return sent;
  }

  private byte[] body(Map<?, ?> step) throws IOException {
    if (step.get("json") != null) {
      return Json.mapper().writeValueAsBytes(filled(step.get("json")));
    }
    if (step.get("picture") != null) {
      return picture;
    }
    return step.get("file") != null
        ? Files.readAllBytes(DOCS.resolve("" + step.get("file")))
        : step.get("text") == null
            ? new byte[0]
            : ("" + step.get("text")).getBytes(StandardCharsets.UTF_8);
  }

  private Object filled(Object written) {
    if (written instanceof Map<?, ?> map) {
      Map<String, Object> out = new LinkedHashMap<>();
      map.forEach((k, v) -> out.put("" + k, filled(v)));
      return out;
    }
    if (written instanceof List<?> list) {
      return list.stream().map(this::filled).toList();
    }
    return written instanceof String text ? filled(text) : written;
  }

  private String filled(String text) {
    return KEPT.matcher(text)
        .replaceAll(m -> Matcher.quoteReplacement(kept.getOrDefault(m.group(1), m.group())));
  }

  private static String encoded(String target) throws IOException {
    String[] parts = target.split("\\?", 2);
    try {
      return new URI(null, null, parts[0], parts.length == 1 ? null : parts[1], null)
          .toASCIIString();
    } catch (URISyntaxException e) {
      throw new IOException(e);
    }
  }
}
