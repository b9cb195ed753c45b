package snikra.server.journal;

import java.io.IOException;
import java.util.List;
import org.springframework.core.io.ClassPathResource;
import snikra.formats.Json;
import snikra.server.knives.SavedKnife;
import tools.jackson.databind.JsonNode;

/** What the keeper of the sample tin wrote of its knives. All of it is invented. */
public final class DemoJournal {
  private DemoJournal() {}

  /** Writes into the journals of the sample knives. */
  public static void fill(Journal journal, List<SavedKnife> tin) throws IOException {
    try (var in = new ClassPathResource("snikra/overwater-journal.json").getInputStream()) {
      for (JsonNode entry : Json.mapper().readTree(in)) {
        int number = entry.path("knife").asInt(0);
        for (SavedKnife knife : tin) {
          if (knife.number() == number) {
            journal.write(
                knife.id(),
                new Journal.Written(
                    entry.path("note").asString(""),
                    entry.path("question").asBoolean(false),
                    entry.path("held").asString("")));
          }
        }
      }
    }
  }
}
