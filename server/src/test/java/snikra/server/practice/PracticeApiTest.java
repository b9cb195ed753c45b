package snikra.server.practice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.everyItem;
import static org.hamcrest.Matchers.greaterThan;
import static org.hamcrest.Matchers.hasSize;
import static org.hamcrest.Matchers.is;
import static org.hamcrest.Matchers.not;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.delete;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.put;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import snikra.formats.Json;
import snikra.formats.ShippedShelf;
import snikra.server.Samples;
import snikra.server.TestApp;
import snikra.server.knives.KnifeService;
import snikra.server.reference.ReferenceDesk;
import tools.jackson.databind.JsonNode;

/** Rounds of practice are dealt, looked at, unveiled and kept by player. */
class PracticeApiTest {
  private static final String GUESS =
      """
      {"maker":"","makerSure":0.6,"from":1890,"to":1930,"how":"as-made","howSure":0.8}""";

  private static final String SURELY = "\"%s\":{\"value\":\"%s\",\"sureness\":\"sure\"}";

  private static final String LOOKED_AT =
      """
      "frame":{"value":"serpentine","sureness":"sure"},
      "blades":[{"type":{"value":"clip","sureness":"sure"}}],
      "seen":{%s,%s,%s,%s,%s}"""
          .formatted(
              SURELY.formatted("handle_material", "celluloid"),
              SURELY.formatted("handle_pins", "flush"),
              SURELY.formatted("bolster_form", "solid"),
              SURELY.formatted("cover_fit", "rounded"),
              SURELY.formatted("spring_polish", "polished"));

  @RegisterExtension static final TestApp APP = new TestApp();
  private final MockMvc web = APP.web();
  private final PracticeRepository kept = APP.bean(PracticeRepository.class);
  private final KnifeService knives = APP.bean(KnifeService.class);
  private final ReferenceDesk desk = APP.bean(ReferenceDesk.class);

  @AfterEach
  void nobodyPractisedYet() {
    kept.deleteAll();
    knives.all().forEach(k -> knives.delete(k.id()));
  }

  private ResultActions send(MockHttpServletRequestBuilder to, String body) throws Exception {
    return web.perform(to.contentType(MediaType.APPLICATION_JSON).content(body));
  }

  private ResultActions begin(UUID id, String player, String kind) throws Exception {
    return send(
        put("/api/practice/rounds/" + id),
        "{\"player\":\"%s\",\"kind\":\"%s\"}".formatted(player, kind));
  }

  private JsonNode dealt(String player, String kind) throws Exception {
    return read(begin(UUID.randomUUID(), player, kind).andExpect(status().isOk()));
  }

  private static JsonNode read(ResultActions told) throws Exception {
    return Json.mapper().readTree(told.andReturn().getResponse().getContentAsString());
  }

  private ResultActions look(JsonNode round, String look) throws Exception {
    return send(
        post("/api/practice/rounds/" + round.path("id").asString("") + "/looks"),
        "{\"look\":\"%s\"}".formatted(look));
  }

  private ResultActions guess(JsonNode round, String guess) throws Exception {
    return send(post("/api/practice/rounds/" + round.path("id").asString("") + "/guess"), guess);
  }

  private static String look(JsonNode round, int at) {
    return round.path("looks").path(at).path("id").asString("");
  }

  @Test
  void aKnifeIsDealtLookedAtAndUnveiled() throws Exception {
    JsonNode round = dealt("Ada", "more");
    assertThat(round.path("number").asInt(0)).isEqualTo(1);
    assertThat(round.path("left").asDouble(0)).isEqualTo(14);
    assertThat(round.path("knife").path("seen").size()).isZero();
    assertThat(round.has("unveiled")).isFalse();
    String first = look(round, 1);
    look(round, first)
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.looks[1].answer").isNotEmpty())
        .andExpect(jsonPath("$.looks[2].answer").doesNotExist());
    double left = read(look(round, first)).path("left").asDouble(0);
    assertThat(left).as("looked at once, paid for once").isBetween(10.0, 13.0);
    guess(round, GUESS)
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.unveiled.answers").value(hasSize(3)))
        .andExpect(jsonPath("$.unveiled.answers[*].own").value(everyItem(greaterThan(0.0))))
        .andExpect(jsonPath("$.looks[*].answer").value(hasSize(round.path("looks").size())))
        .andExpect(jsonPath("$.knife.frame").isNotEmpty());
    web.perform(get("/api/practice/eye?player=ada"))
        .andExpect(jsonPath("$.rounds").value(1))
        .andExpect(jsonPath("$.choices").value(hasSize(2)))
        .andExpect(jsonPath("$.spans.count").value(1));
  }

  @Test
  void whatIsNotShownYetIsNotSent() throws Exception {
    JsonNode round = dealt("Ada", "more");
    String sent =
        web.perform(get("/api/practice/rounds/" + round.path("id").asString("")))
            .andReturn()
            .getResponse()
            .getContentAsString();
    assertThat(sent).doesNotContain("truth").doesNotContain("\"answer\"").contains("\"left\":14");
  }

  @Test
  void aSecondGuessChangesNothingAndASecondLookAfterwardsIsRefused() throws Exception {
    JsonNode round = dealt("Ada", "more");
    String came = read(guess(round, GUESS)).path("unveiled").toString();
    String again =
        read(guess(round, "{\"from\":1700,\"to\":1701}").andExpect(status().isOk()))
            .path("unveiled")
            .toString();
    assertThat(again).isEqualTo(came);
    look(round, look(round, 1))
        .andExpect(status().isBadRequest())
        .andExpect(jsonPath("$.problems[0].accepted").value(containsString("unveiled already")));
    web.perform(get("/api/practice/eye?player=Ada")).andExpect(jsonPath("$.rounds").value(1));
  }

  @Test
  void theTenOfTodayAreTheSameForEveryoneAndMoreAreRefused() throws Exception {
    for (int n = 1; n <= 10; n++) {
      JsonNode ada = dealt("Ada", "today");
      JsonNode ben = dealt("Ben", "today");
      assertThat(ada.path("number").asInt(0)).isEqualTo(n);
      assertThat(ada.path("knife")).isEqualTo(ben.path("knife"));
      guess(ada, "{}").andExpect(status().isOk());
      guess(ben, "{}").andExpect(status().isOk());
    }
    begin(UUID.randomUUID(), "Ada", "today")
        .andExpect(status().isBadRequest())
        .andExpect(jsonPath("$.problems[0].accepted").value(containsString("tomorrow")));
    web.perform(get("/api/practice"))
        .andExpect(jsonPath("$.players[*].name").value(is(List.of("Ada", "Ben"))))
        .andExpect(jsonPath("$.players[0].today").value(10));
  }

  @Test
  void theOneStillOpenIsDealtAgainAndWhatIsSentTwiceDealsOnce() throws Exception {
    UUID id = UUID.randomUUID();
    begin(id, "Ada", "more").andExpect(status().isOk());
    begin(id, "Ada", "more").andExpect(jsonPath("$.id").value(id.toString()));
    begin(UUID.randomUUID(), " ADA ", "more").andExpect(jsonPath("$.id").value(id.toString()));
    assertThat(kept.count()).isEqualTo(1);
    assertThat(dealt("Ben", "more").path("id").asString("")).isNotEqualTo(id.toString());
  }

  @Test
  void nothingIsDrilledBeforeItIsKnownWhatOneGetsWrong() throws Exception {
    begin(UUID.randomUUID(), "Ada", "drill")
        .andExpect(status().isBadRequest())
        .andExpect(jsonPath("$.problems[0].accepted").value(containsString("guess at some first")));
    for (int n = 0; n < 8; n++) {
      guess(
              dealt("Ada", "more"),
              "{\"maker\":\"okkerby\",\"makerSure\":0.99,\"from\":1700,\"to\":1701}")
          .andExpect(status().isOk());
    }
    JsonNode eye = read(web.perform(get("/api/practice/eye?player=Ada")));
    assertThat(eye.path("weakMakers").size() + eye.path("weakDecades").size()).isPositive();
    assertThat(dealt("Ada", "drill").path("looks").size()).isPositive();
  }

  @Test
  void oneOfMineNeedsAKnifeThatWasLookedAt() throws Exception {
    begin(UUID.randomUUID(), "Ada", "mine")
        .andExpect(status().isBadRequest())
        .andExpect(jsonPath("$.problems[0].accepted").value(containsString("6 looks")));
    knives.add(Samples.okkerby(desk, LOOKED_AT));
    JsonNode mine = dealt("Ada", "mine");
    assertThat(mine.path("knife").has("title")).isFalse();
    guess(mine, GUESS).andExpect(jsonPath("$.unveiled.answers[0].right").isNumber());
  }

  @Test
  void badInputIsToldByField() throws Exception {
    begin(UUID.randomUUID(), "  ", "more")
        .andExpect(status().isBadRequest())
        .andExpect(jsonPath("$.problems[0].field").value("player"));
    begin(UUID.randomUUID(), "Ada", "cheating").andExpect(status().isBadRequest());
    JsonNode round = dealt("Ada", "more");
    look(round, "no-such-look")
        .andExpect(status().isBadRequest())
        .andExpect(jsonPath("$.problems[0].field").value("look"));
    guess(round, "{\"maker\":\"nobody\",\"makerSure\":2,\"from\":1900}")
        .andExpect(status().isBadRequest())
        .andExpect(jsonPath("$.problems[*].field").value(is(List.of("maker", "makerSure", "to"))));
    web.perform(get("/api/practice/rounds/" + UUID.randomUUID())).andExpect(status().isNotFound());
  }

  @Test
  void glancesRunOut() throws Exception {
    JsonNode round = dealt("Ada", "more");
    boolean isRefused = false;
    for (JsonNode glance : round.path("looks")) {
      int status =
          look(round, glance.path("id").asString("")).andReturn().getResponse().getStatus();
      isRefused |= status == 400;
    }
    assertThat(isRefused).isTrue();
    JsonNode now = read(web.perform(get("/api/practice/rounds/" + round.path("id").asString(""))));
    assertThat(now.path("left").asDouble(-1)).isBetween(0.0, 1.0);
    assertThat(ShippedShelf.practiceBook().glances().value()).isEqualTo(14);
  }

  @Test
  void looksTakenAtOnceInTwoTabsAreAllKept() throws Exception {
    JsonNode round = dealt("Ada", "more");
    ExecutorService tabs = Executors.newFixedThreadPool(4);
    List<Future<Integer>> taken = new ArrayList<>();
    for (int at = 1; at <= 6; at++) {
      String look = look(round, at);
      taken.add(tabs.submit(() -> look(round, look).andReturn().getResponse().getStatus()));
    }
    for (Future<Integer> status : taken) {
      assertThat(status.get()).isEqualTo(200);
    }
    tabs.shutdown();
    web.perform(get("/api/practice/rounds/" + round.path("id").asString("")))
        .andExpect(jsonPath("$.looks[*].answer").value(hasSize(6)));
  }

  @Test
  void aPlayerIsLetGoOfWithAllThatWasKept() throws Exception {
    dealt("Ada", "more");
    dealt("Ben", "more");
    web.perform(delete("/api/practice/players?player=ada")).andExpect(status().isNoContent());
    web.perform(get("/api/practice"))
        .andExpect(jsonPath("$.players[*].name").value(is(List.of("Ben"))));
  }

  @Test
  void aDescribedKnifeIsGradedOnceAndThoseNotGradedYetComeFirst() throws Exception {
    JsonNode first = read(web.perform(get("/api/practice/graded?player=Ada")));
    int number = first.path("number").asInt(0);
    UUID id = UUID.randomUUID();
    String given =
        """
        {"player":"Ada","number":%d,"school":"usual","level":"good","sure":0.6}"""
            .formatted(number);
    for (int again = 0; again < 2; again++) {
      send(put("/api/practice/graded/" + id), given)
          .andExpect(status().isOk())
          .andExpect(jsonPath("$.scored.question").value("grade"))
          .andExpect(jsonPath("$.agreed").value(hasSize(5)));
    }
    web.perform(get("/api/practice/eye?player=Ada"))
        .andExpect(jsonPath("$.rounds").value(1))
        .andExpect(jsonPath("$.choices[0].question").value("grade"));
    for (int n = 0; n < 30; n++) {
      web.perform(get("/api/practice/graded?player=Ada"))
          .andExpect(jsonPath("$.number").value(not(number)));
    }
    send(put("/api/practice/graded/" + UUID.randomUUID()), given.replace("usual", "nobody"))
        .andExpect(status().isBadRequest())
        .andExpect(jsonPath("$.problems[0].field").value("school"));
    begin(UUID.randomUUID(), "Ada", "grade").andExpect(status().isBadRequest());
  }
}
