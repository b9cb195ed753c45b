package snikra.server.knives;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.delete;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.put;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentSkipListSet;
import javax.sql.DataSource;
import org.hamcrest.Matchers;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import snikra.formats.Json;
import snikra.server.TestApp;
import tools.jackson.databind.JsonNode;

/**
 * What becomes of a knife that is sent twice, changed at once, taken out meanwhile or unreadable.
 */
class KnivesKeptTest {
  @RegisterExtension static final TestApp APP = new TestApp();
  private final MockMvc web = APP.web();

  private ResultActions send(MockHttpServletRequestBuilder request, String json) throws Exception {
    return web.perform(request.contentType(MediaType.APPLICATION_JSON).content(json));
  }

  private static JsonNode body(ResultActions done) throws Exception {
    return Json.mapper().readTree(done.andReturn().getResponse().getContentAsString());
  }

  private String kept(String title) throws Exception {
    return body(send(post("/api/knives"), "{\"title\":\"" + title + "\"}")).path("id").asString("");
  }

  private static String change(int version, String title) {
    return "{\"version\":" + version + ",\"specimen\":{\"title\":\"" + title + "\"}}";
  }

  @Test
  void aNewKnifeThatIsSentTwiceIsKeptOnce() throws Exception {
    String id = UUID.randomUUID().toString();
    JsonNode first = body(send(post("/api/knives?id=" + id), "{\"title\":\"once\"}"));
    JsonNode again =
        body(
            send(post("/api/knives?id=" + id), "{\"title\":\"once\"}")
                .andExpect(status().isCreated()));
    assertThat(again).isEqualTo(first);
    send(put("/api/knives/" + id), change(0, "later"));
    send(post("/api/knives?id=" + id), "{\"title\":\"once\"}")
        .andExpect(jsonPath("$.specimen.title").value("later"));
    send(post("/api/knives?id=7"), "{}")
        .andExpect(status().isBadRequest())
        .andExpect(jsonPath("$.problems[0].field").value("id"))
        .andExpect(jsonPath("$.problems[0].given").value("7"));
  }

  @Test
  void aChangeThatIsSentTwiceIsMadeOnceAndAnsweredTwice() throws Exception {
    String knife = "/api/knives/" + kept("a");
    send(put(knife), change(0, "b")).andExpect(jsonPath("$.version").value(1));
    send(put(knife), change(0, "b"))
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.version").value(1));
    send(put(knife), change(0, "c")).andExpect(status().isConflict());
  }

  @Test
  void aChangeToAKnifeThatWasTakenOutIsNotKept() throws Exception {
    String knife = "/api/knives/" + kept("before");
    web.perform(delete(knife)).andExpect(status().isNoContent());
    send(put(knife), change(1, "after")).andExpect(status().isNotFound());
    web.perform(post(knife + "/restore")).andExpect(jsonPath("$.specimen.title").value("before"));
  }

  @Test
  void takingOutPuttingBackAndChangingAtOnceNeverFailsUnforeseen() throws Exception {
    String id = kept("0");
    Set<Integer> answers = new ConcurrentSkipListSet<>();
    List<Thread> hands = new ArrayList<>();
    for (int h = 0; h < 4; h++) {
      Random chance = new Random(h);
      Thread hand = new Thread(() -> meddle(id, chance, answers));
      hands.add(hand);
      hand.start();
    }
    for (Thread hand : hands) {
      hand.join();
    }
    assertThat(answers).isSubsetOf(200, 204, 404, 409).contains(200);
    web.perform(post("/api/knives/" + id + "/restore")).andExpect(status().isOk());
  }

  private void meddle(String id, Random chance, Set<Integer> answers) {
    String knife = "/api/knives/" + id;
    for (int i = 0; i < 60; i++) {
      try {
        ResultActions done =
            switch (chance.nextInt(4)) {
              case 0 -> web.perform(delete(knife));
              case 1, 2 -> web.perform(post(knife + "/restore"));
              default -> {
                JsonNode now = body(web.perform(get(knife)));
                yield send(put(knife), change(now.path("version").asInt(0), "" + chance.nextInt()));
              }
            };
        answers.add(done.andReturn().getResponse().getStatus());
      } catch (Exception e) {
        answers.add(-1);
      }
    }
  }

  @Test
  void oneUnreadableKnifeIsToldAsSuchAndTheRestGoesOn() throws Exception {
    String good = kept("can be read");
    String newer = kept("x");
    String broken = kept("y");
    write(newer, "{\"format\":99,\"title\":\"from the future\"}");
    write(broken, "{\"format\":2,\"tit");

    web.perform(get("/api/knives"))
        .andExpect(status().isOk())
        .andExpect(jsonPath("$[?(@.id=='" + good + "')].title").value("can be read"))
        .andExpect(
            jsonPath("$[?(@.id=='" + newer + "')].unreadable")
                .value(Matchers.contains(Matchers.containsString("newer Snikra"))))
        .andExpect(jsonPath("$[?(@.id=='" + broken + "')].unreadable").isNotEmpty());
    web.perform(get("/api/knives/" + newer))
        .andExpect(status().is(422))
        .andExpect(jsonPath("$.detail").value(Matchers.containsString("newer Snikra")));
    web.perform(get("/api/knives/" + newer + "/text"))
        .andExpect(content().string("{\"format\":99,\"title\":\"from the future\"}"));
    for (String room : List.of("bearing?maker=veldrake", "showing?feature=spacer&answer=none")) {
      web.perform(get("/api/knives/" + room)).andExpect(status().isOk());
    }
    web.perform(post("/api/keeping/check")).andExpect(jsonPath("$.unreadable.length()").value(2));
    web.perform(delete("/api/knives/" + newer)).andExpect(status().isNoContent());
    web.perform(delete("/api/knives/" + broken)).andExpect(status().isNoContent());
    web.perform(get("/api/knives/taken-out")).andExpect(status().isOk());
  }

  private static void write(String id, String text) throws Exception {
    try (Connection c = APP.bean(DataSource.class).getConnection();
        PreparedStatement s =
            c.prepareStatement(
                "update knife set specimen = ?, version = version + 1 where id = ?")) {
      s.setString(1, text);
      s.setString(2, id);
      s.executeUpdate();
    }
  }

  @Test
  void aKnifeGoesForGoodOnlyOnceItWasTakenOutAndThenWithAllThatHangsOnIt() throws Exception {
    String id = kept("gone");
    web.perform(delete("/api/knives/taken-out/" + id)).andExpect(status().isNotFound());
    web.perform(get("/api/knives/" + id)).andExpect(status().isOk());
    web.perform(delete("/api/knives/" + id));
    web.perform(get("/api/knives/taken-out"))
        .andExpect(jsonPath("$[?(@.id=='" + id + "')].title").value("gone"));
    web.perform(delete("/api/knives/taken-out/" + id)).andExpect(status().isNoContent());
    web.perform(post("/api/knives/" + id + "/restore")).andExpect(status().isNotFound());
  }

  @Test
  void aThreadThatIsInterruptedAmidASaveClosesTheFileForNoOne() throws Exception {
    KnifeService knives = APP.bean(KnifeService.class);
    String id = kept("before");
    for (int i = 0; i < 5; i++) {
      Thread hand =
          new Thread(
              () -> {
                Thread.currentThread().interrupt();
                try {
                  knives.add(snikra.core.specimen.Specimen.unseen());
                } catch (RuntimeException e) {
                  assertThat(e).isNotNull();
                }
              });
      hand.start();
      hand.join();
      send(put("/api/knives/" + id), change(i, "after " + i)).andExpect(status().isOk());
    }
    web.perform(get("/api/knives/" + id)).andExpect(jsonPath("$.specimen.title").value("after 4"));
  }

  @Test
  void duplicateFieldsAndVersionsThatAreNoneAreRefused() throws Exception {
    String knife = "/api/knives/" + kept("a");
    send(post("/api/knives"), "{\"title\":\"a\",\"title\":\"b\"}")
        .andExpect(status().isBadRequest());
    for (String version : List.of("0.9", "\"0\"", "null", "1e400", "true")) {
      send(put(knife), "{\"version\":" + version + ",\"specimen\":{}}")
          .andExpect(status().isBadRequest());
    }
    web.perform(get(knife)).andExpect(jsonPath("$.version").value(0));
  }

  @Test
  void theTrayFollowsAChange() throws Exception {
    String id = kept("first");
    web.perform(get("/api/knives"))
        .andExpect(jsonPath("$[?(@.id=='" + id + "')].title").value("first"));
    send(put("/api/knives/" + id), change(0, "second"));
    web.perform(get("/api/knives"))
        .andExpect(jsonPath("$[?(@.id=='" + id + "')].title").value("second"));
  }

  @Test
  void whatIsTypedIsReadAndRefusedByField() throws Exception {
    web.perform(get("/api/read/money?written=1.200,50 EUR"))
        .andExpect(jsonPath("$.amount").value(1200.5))
        .andExpect(jsonPath("$.currency").value("EUR"));
    web.perform(get("/api/read/money?written=-45"))
        .andExpect(status().isBadRequest())
        .andExpect(jsonPath("$.problems[0].given").value("-45"));
    web.perform(get("/api/read/mean?reading=34 N&reading=36 N"))
        .andExpect(jsonPath("$.mean.mean").value(35.0))
        .andExpect(jsonPath("$.unit").value("N"));
    web.perform(get("/api/read/mean?reading=34 N&reading=banana"))
        .andExpect(jsonPath("$.problems[0].field").value("reading[1]"));
  }
}
