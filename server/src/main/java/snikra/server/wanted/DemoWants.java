package snikra.server.wanted;

import java.io.IOException;
import java.util.UUID;
import org.springframework.core.io.ClassPathResource;
import snikra.core.wanted.Want;
import snikra.formats.Json;
import tools.jackson.databind.JsonNode;

/** Made-up knives one looks for. */
public final class DemoWants {
  private static final String WANTS = "snikra/overwater-wanted.json";

  private DemoWants() {}

  /** Enters the samples where nothing is looked for yet. */
  public static void fill(WantedList wanted) throws IOException {
    if (!wanted.isEmpty()) {
      return;
    }
    try (var in = new ClassPathResource(WANTS).getInputStream()) {
      for (JsonNode sample : Json.mapper().readTree(in)) {
        wanted.keep(
            UUID.fromString(sample.path("id").asString("")),
            Json.mapper().treeToValue(sample.path("want"), Want.class));
      }
    }
  }
}
