package snikra.server.ledger;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.delete;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.put;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;
import snikra.core.ledger.KeptEntry;
import snikra.formats.Json;
import snikra.formats.SpecimenFormat;
import snikra.server.TestApp;
import snikra.server.knives.KnifeService;

class LedgerApiTest {
  private static final String LOT =
      """
      {"kind": "bought", "date": "2024-03-02", "who": "a widow", "price": 30, "postage": 4.50,
       "currency": "GBP", "in": [{"id": "a", "name": "=the jack"}, {"id": "b"}, {"id": "c"}]}
      """;
  private static final String SOLD =
      """
      {"kind": "sold", "date": "%s", "price": %s, "fees": 2, "currency": "GBP",
       "out": [{"piece": "a"}]}
      """;

  @RegisterExtension static final TestApp APP = new TestApp();
  private final MockMvc web = APP.web();
  private final LedgerRepository revisions = APP.bean(LedgerRepository.class);

  private final List<String> lying = new ArrayList<>();

  @AfterEach
  void theLedgerAndTheTrayAreEmptyAgain() throws Exception {
    revisions.deleteAll();
    for (String id : lying) {
      web.perform(delete("/api/knives/" + id)).andExpect(status().isNoContent());
    }
  }

  private ResultActions add(UUID id, String entry) throws Exception {
    return web.perform(
        post("/api/ledger?id=" + id).contentType(MediaType.APPLICATION_JSON).content(entry));
  }

  private ResultActions correct(UUID id, int revision, String entry) throws Exception {
    return web.perform(
        put("/api/ledger/" + id + "?revision=" + revision)
            .contentType(MediaType.APPLICATION_JSON)
            .content(entry));
  }

  private ResultActions told() throws Exception {
    return web.perform(get("/api/ledger"));
  }

  @Test
  void aLotIsBoughtSharedAndPartlySold() throws Exception {
    add(UUID.randomUUID(), LOT)
        .andExpect(status().isCreated())
        .andExpect(jsonPath("$.currency").value("GBP"))
        .andExpect(jsonPath("$.lots[0].cost").value(34.50))
        .andExpect(jsonPath("$.lots[0].knives[0].cost").value(11.50));
    add(UUID.randomUUID(), SOLD.formatted("2024-05-01", "40"))
        .andExpect(jsonPath("$.lots[0].back").value(38.00))
        .andExpect(jsonPath("$.lots[0].net").value(-3.50))
        .andExpect(jsonPath("$.lots[0].kept").value(2))
        .andExpect(jsonPath("$.lots[0].knives[0].gain").value(26.50))
        .andExpect(jsonPath("$.years[0].gain").value(26.50));
  }

  @Test
  void whatIsSentTwiceIsKeptOnce() throws Exception {
    UUID id = UUID.randomUUID();
    add(id, LOT);
    add(id, LOT).andExpect(status().isCreated()).andExpect(jsonPath("$.entries.length()").value(1));
  }

  @Test
  void aCorrectionShowsWhatItWasAndIsMadeToWhatOneSaw() throws Exception {
    UUID id = UUID.randomUUID();
    add(id, LOT);
    correct(id, 1, LOT.replace("30", "33"))
        .andExpect(jsonPath("$.entries[0].revision").value(2))
        .andExpect(jsonPath("$.lots[0].cost").value(37.50));
    correct(id, 1, LOT)
        .andExpect(status().isBadRequest())
        .andExpect(jsonPath("$.problems[0].field").value("revision"));
    web.perform(get("/api/ledger/" + id + "/history"))
        .andExpect(jsonPath("$.length()").value(2))
        .andExpect(jsonPath("$[0].entry.price").value(30))
        .andExpect(jsonPath("$[1].entry.price").value(33));
  }

  @Test
  void anEntryIsStruckOutAndStandsAgainAndNoneThatOthersStandOn() throws Exception {
    UUID lot = UUID.randomUUID();
    UUID sold = UUID.randomUUID();
    add(lot, LOT);
    add(sold, SOLD.formatted("2025", "40"));
    web.perform(delete("/api/ledger/" + lot))
        .andExpect(status().isBadRequest())
        .andExpect(jsonPath("$.problems[0].accepted").value("must be a knife of the ledger"));
    web.perform(delete("/api/ledger/" + sold))
        .andExpect(jsonPath("$.entries[1].struck").value(true))
        .andExpect(jsonPath("$.lots[0].kept").value(3));
    web.perform(post("/api/ledger/" + sold + "/restore"))
        .andExpect(jsonPath("$.lots[0].kept").value(2));
    assertThat(revisions.findByEntryOrderByRevision(sold.toString())).hasSize(3);
    web.perform(delete("/api/ledger/" + UUID.randomUUID())).andExpect(status().isBadRequest());
  }

  @Test
  void whatDoesNotHoldTogetherIsRefusedWithItsFieldAndNothingIsKept() throws Exception {
    add(UUID.randomUUID(), LOT);
    add(UUID.randomUUID(), SOLD.formatted("2024-01-01", "40"))
        .andExpect(status().isBadRequest())
        .andExpect(jsonPath("$.problems[0].field").value("date"));
    add(UUID.randomUUID(), SOLD.formatted("2999", "40"))
        .andExpect(jsonPath("$.problems[0].field").value("date"));
    add(UUID.randomUUID(), SOLD.formatted("2025", "-40"))
        .andExpect(jsonPath("$.problems[0].field").value("price"));
    add(UUID.randomUUID(), SOLD.formatted("2025", "40").replace("GBP", "USD"))
        .andExpect(jsonPath("$.problems[0].field").value("rate"));
    add(UUID.randomUUID(), SOLD.formatted("2025", "40").replace("GBP", "QQQ"))
        .andExpect(jsonPath("$.problems[0].field").value("currency"));
    add(UUID.randomUUID(), LOT.replace("\"in\"", "\"sharing\": \"by-hand\", \"in\""))
        .andExpect(jsonPath("$.problems[0].field").value("sharing"));
    told().andExpect(jsonPath("$.entries.length()").value(1));
  }

  @Test
  void anEntryIsLookedAtWhileItIsWritten() throws Exception {
    String lot = LOT.replace("\"currency\"", "\"sharing\": \"by-value\", \"currency\"");
    web.perform(
            post("/api/ledger/look?id=" + UUID.randomUUID())
                .contentType(MediaType.APPLICATION_JSON)
                .content(lot.replace("{\"id\": \"b\"}", "{\"id\": \"b\", \"share\": 7}")))
        .andExpect(jsonPath("$.shares.b").value(34.50))
        .andExpect(jsonPath("$.shares.a").value(0.00));
    told().andExpect(jsonPath("$.entries").isEmpty());
  }

  @Test
  void ofTheSampleLotOfTenNineAreSoldAndTheTenthCostLessThanNothing() throws Exception {
    Ledger ledger = APP.bean(Ledger.class);
    DemoLedger.fill(ledger);
    Ledger.LedgerTold told = ledger.told();
    assertThat(told.lots().get(0).knives()).hasSize(10);
    assertThat(told.lots().get(0).kept()).isEqualTo(1);
    assertThat(told.lots().get(0).net()).isNegative();
    DemoLedger.fill(ledger);
    assertThat(ledger.told()).isEqualTo(told);
  }

  @Test
  void aYearIsATableToSave() throws Exception {
    add(UUID.randomUUID(), LOT);
    add(UUID.randomUUID(), SOLD.formatted("2025-02-03", "40"));
    String csv =
        web.perform(get("/api/ledger/years/2025"))
            .andExpect(status().isOk())
            .andReturn()
            .getResponse()
            .getContentAsString();
    assertThat(csv.lines())
        .containsExactly(
            "Went,How,To,Knife,Came,Cost (GBP),Back (GBP),Gain (GBP)",
            "2025-02-03,sold,,'=the jack,2024-03-02,11.50,38.00,26.50");
  }

  private static final String BOUGHT =
      """
      {"title": "%s", "story": [{"kind": "bought", "date": "%s", "place": "a fair",
        "source": "own-record", "price": 45, "currency": "%s"}]}
      """;

  private void lies(String id, String when, String currency) {
    lying.add(id);
    APP.bean(KnifeService.class)
        .add(id, SpecimenFormat.readKept(BOUGHT.formatted(id, when, currency)));
  }

  @Test
  void whatStandsInStoriesIsTakenOverOnceAndStruckOutAgain() throws Exception {
    String paid = UUID.randomUUID().toString();
    lies(paid, "2001-05", "GBP");
    lies(UUID.randomUUID().toString(), "2001/2003", "GBP");
    web.perform(get("/api/ledger/stories"))
        .andExpect(jsonPath("$.length()").value(2))
        .andExpect(jsonPath("$[?(@.problem)].problem.field").value("date"))
        .andExpect(jsonPath("$[?(@.knife == '" + paid + "')].entry.who").value("a fair"));
    told().andExpect(jsonPath("$.entries").isEmpty());

    String taken =
        web.perform(post("/api/ledger/stories"))
            .andExpect(jsonPath("$.ids.length()").value(1))
            .andExpect(jsonPath("$.ledger.lots[0].knives[0].knife").value(paid))
            .andExpect(jsonPath("$.ledger.lots[0].cost").value(45.00))
            .andReturn()
            .getResponse()
            .getContentAsString();
    web.perform(post("/api/ledger/stories")).andExpect(jsonPath("$.ids").isEmpty());

    String ids = Json.mapper().readTree(taken).path("ids").toString();
    web.perform(post("/api/ledger/strike").contentType(MediaType.APPLICATION_JSON).content(ids))
        .andExpect(jsonPath("$.lots").isEmpty())
        .andExpect(jsonPath("$.entries[0].struck").value(true));
    // Whoever struck it out does not want it.
    web.perform(post("/api/ledger/stories")).andExpect(jsonPath("$.ids").isEmpty());
  }

  @Test
  void aKnifeThatCameByTheLedgerIsNotBoughtAgainByItsStory() throws Exception {
    String id = UUID.randomUUID().toString();
    lies(id, "2001-05", "GBP");
    add(
        UUID.randomUUID(),
        LOT.replace("{\"id\": \"b\"}", "{\"id\": \"b\", \"knife\": \"" + id + "\"}"));
    web.perform(get("/api/ledger/stories"))
        .andExpect(jsonPath("$[?(@.knife == '" + id + "')]").isEmpty());
  }

  @Test
  void entriesThatOthersRestOnAreNotStruckOutTogether() throws Exception {
    UUID lot = UUID.randomUUID();
    add(lot, LOT);
    add(UUID.randomUUID(), SOLD.formatted("2024-05-01", "40"));
    web.perform(
            post("/api/ledger/strike")
                .contentType(MediaType.APPLICATION_JSON)
                .content("[\"" + lot + "\"]"))
        .andExpect(status().isBadRequest());
    told().andExpect(jsonPath("$.lots[0].knives.length()").value(3));
  }

  @Test
  void whatIsKnownAlreadyIsLeftAsItIs() throws Exception {
    Ledger ledger = APP.bean(Ledger.class);
    UUID id = UUID.randomUUID();
    add(id, LOT);
    KeptEntry kept = new KeptEntry("" + id, ledger.told().entries().get(0).entry());
    assertThat(ledger.addAll(List.of(kept))).isEmpty();
    ledger.strikeAll(List.of("" + id, "" + id));
    assertThat(ledger.addAll(List.of(kept))).isEmpty();
    assertThat(ledger.history("" + id)).hasSize(2);
  }
}
