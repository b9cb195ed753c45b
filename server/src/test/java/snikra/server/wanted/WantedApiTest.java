package snikra.server.wanted;

import static org.hamcrest.Matchers.contains;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.hasSize;
import static org.hamcrest.Matchers.not;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.delete;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.put;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;
import snikra.server.Samples;
import snikra.server.TestApp;
import snikra.server.knives.KnifeService;
import snikra.server.reference.ReferenceDesk;

/** What one looks for is kept, told by what is on file, and answered by the tray. */
class WantedApiTest {
  private static final String STOCKMAN =
      """
      {"maker":"okkerby","model":"33-3C","mark":"ok-straight","atLeast":"good","most":80,"currency":"GBP"}""";

  @RegisterExtension static final TestApp APP = new TestApp();
  private final MockMvc web = APP.web();
  private final KnifeService knives = APP.bean(KnifeService.class);
  private final ReferenceDesk desk = APP.bean(ReferenceDesk.class);
  private final WantRepository kept = APP.bean(WantRepository.class);

  @AfterEach
  void nothingIsLookedForAgain() {
    kept.deleteAll();
    knives.all().forEach(k -> knives.delete(k.id()));
  }

  private ResultActions keep(UUID id, String want) throws Exception {
    return web.perform(
        put("/api/wanted/" + id).contentType(MediaType.APPLICATION_JSON).content(want));
  }

  private ResultActions all() throws Exception {
    return web.perform(get("/api/wanted")).andExpect(status().isOk());
  }

  @Test
  void itIsToldByWhatIsOnFileAndWhatIsMixedUpWithIt() throws Exception {
    keep(UUID.randomUUID(), STOCKMAN)
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.told.maker").value(containsString("Okkerby")))
        .andExpect(jsonPath("$.told.model").value("33-3C Medium stockman in celluloid"))
        .andExpect(jsonPath("$.told.from").value(1913))
        .andExpect(jsonPath("$.told.stand").value("missing"))
        .andExpect(jsonPath("$.told.neighbours[0].label").value(containsString("33-3J")))
        .andExpect(jsonPath("$.told.neighbours[0].tells").value(not(hasSize(0))))
        .andExpect(jsonPath("$.drawn.frame").isNotEmpty());
    all().andExpect(jsonPath("$.wants[0].want.most").value(80));
  }

  @Test
  void aPatternIsDrawnAsItsKnivesMostlyLook() throws Exception {
    keep(UUID.randomUUID(), "{\"pattern\":\"stockman-medium\"}")
        .andExpect(jsonPath("$.told.pattern").isNotEmpty())
        .andExpect(jsonPath("$.drawn.blades").value(hasSize(3)));
  }

  @Test
  void aKnifeInTheTrayAnswersUntilItIsTakenOut() throws Exception {
    keep(UUID.randomUUID(), STOCKMAN);
    var knife = knives.add(Samples.okkerby(desk, "\"number\":\"33-3C\""));
    all()
        .andExpect(jsonPath("$.wants[0].told.stand").value("owned"))
        .andExpect(jsonPath("$.wants[0].told.held[*].number").value(contains(knife.number())));
    knives.delete(knife.id());
    all().andExpect(jsonPath("$.wants[0].told.stand").value("missing"));
  }

  @Test
  void sentTwiceItIsThereOnceAndIsChangedByItsId() throws Exception {
    UUID id = UUID.randomUUID();
    keep(id, STOCKMAN);
    keep(id, STOCKMAN);
    keep(id, STOCKMAN.replace("80", "90"));
    all()
        .andExpect(jsonPath("$.wants").value(hasSize(1)))
        .andExpect(jsonPath("$.wants[0].want.most").value(90));
    web.perform(delete("/api/wanted/" + id)).andExpect(status().isNoContent());
    web.perform(delete("/api/wanted/" + id)).andExpect(status().isNoContent());
    all().andExpect(jsonPath("$.wants").value(hasSize(0)));
  }

  @Test
  void whatCannotBeIsRefusedByFieldAndNothingIsKept() throws Exception {
    keep(UUID.randomUUID(), STOCKMAN.replace("33-3C", "99"))
        .andExpect(status().isBadRequest())
        .andExpect(jsonPath("$.problems[0].field").value("model"))
        .andExpect(jsonPath("$.problems[0].given").value("99"));
    keep(UUID.randomUUID(), "{}").andExpect(status().isBadRequest());
    keep(UUID.randomUUID(), "{\"makr\":\"okkerby\"}").andExpect(status().isBadRequest());
    all().andExpect(jsonPath("$.wants").value(hasSize(0)));
  }

  @Test
  void whatHasLeftTheFileStaysWithWhatWasSaidOfIt() throws Exception {
    kept.save(
        new WantEntity(
            UUID.randomUUID().toString(),
            "{\"maker\":\"gone\",\"model\":\"1\",\"note\":\"green\"}",
            java.time.Instant.now()));
    all()
        .andExpect(jsonPath("$.wants[0].told.maker").doesNotExist())
        .andExpect(jsonPath("$.wants[0].want.note").value("green"));
  }
}
