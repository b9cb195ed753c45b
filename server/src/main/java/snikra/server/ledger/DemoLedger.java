package snikra.server.ledger;

import java.io.IOException;
import org.springframework.core.io.ClassPathResource;
import snikra.formats.Json;
import snikra.formats.LedgerFormat;
import tools.jackson.databind.JsonNode;

/** A made-up ledger: ten knives for one price, nine of them sold. */
public final class DemoLedger {
  private static final String ENTRIES = "snikra/overwater-ledger.json";

  private DemoLedger() {}

  /** Enters the samples in an empty ledger; none where there are entries already. */
  public static void fill(Ledger ledger) throws IOException {
    if (!ledger.told().entries().isEmpty()) {
      return;
    }
    try (var in = new ClassPathResource(ENTRIES).getInputStream()) {
      for (JsonNode sample : Json.mapper().readTree(in)) {
        ledger.add(
            sample.path("id").asString(""),
            LedgerFormat.read(sample.path("entry"), ledger.today()));
      }
    }
  }
}
