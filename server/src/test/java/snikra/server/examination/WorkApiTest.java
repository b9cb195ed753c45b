package snikra.server.examination;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.delete;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.put;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import snikra.formats.Json;
import snikra.server.TestApp;
import tools.jackson.databind.JsonNode;

/** The interface to journals, lookalikes and the calibration. */
class WorkApiTest {
  private static final String CAMP =
      """
      {"title": "Camp", "frame": "camp-frame", "closedLength": "92 mm",
       "seen": {"punch": "wing", "can_opener": "two-part", "jigging": "worm-groove"}}
      """;

  @RegisterExtension static final TestApp APP = new TestApp();
  private final MockMvc web = APP.web();

  private JsonNode body(ResultActions done) throws Exception {
    String text = done.andReturn().getResponse().getContentAsString();
    return Json.mapper().readTree(text);
  }

  private ResultActions send(MockHttpServletRequestBuilder request, String json) throws Exception {
    return web.perform(request.contentType(MediaType.APPLICATION_JSON).content(json));
  }

  private String keep(String knife) throws Exception {
    return body(send(post("/api/knives"), knife).andExpect(status().isCreated()))
        .path("id")
        .asString("");
  }

  @Test
  void aKnifeIsHeldAgainstModelsAndAgainstOtherKnives() throws Exception {
    String one = keep(CAMP);
    String twin = keep(CAMP.replace("Camp", "Twin"));

    JsonNode all = body(web.perform(get("/api/knives/" + one + "/lookalikes")));
    // Knives of the other tests are twins as well.
    assertThat(all.findValuesAsString("id").subList(0, 6)).contains(twin);
    assertThat(all.findValuesAsString("id")).contains("harrowmint-lisk/HL81").doesNotContain(one);

    String beside = "/api/knives/" + one + "/resemblance?with=harrowmint-lisk/HL81&with=" + twin;
    web.perform(get(beside))
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.comparison.totals.length()").value(2))
        .andExpect(jsonPath("$.sketches.length()").value(2))
        .andExpect(jsonPath("$.sketches[0].frame").value("camp-frame"))
        .andExpect(jsonPath("$.sketches[0].blades.length()").value(4));
  }

  @Test
  void aStoryIsHeldAgainstItsKnife() throws Exception {
    String carried =
        "{\"specimen\":{\"seen\":{\"handle_material\":\"acetal\"},\"story\":[{\"kind\":\"held\","
            + "\"date\":\"DATE\",\"holder\":\"Ada\",\"source\":\"family\"}]}}";
    send(post("/api/story"), carried.replace("DATE", "1917"))
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.links[0].doubted").value(true))
        .andExpect(jsonPath("$.links[0].ways[0].kind").value("untrue"))
        .andExpect(jsonPath("$.chain.tenures[0].holder").value("Ada"))
        .andExpect(jsonPath("$.chain.tenures[0].surely.from").value(1917));
    send(post("/api/story"), "{\"specimen\":{}}")
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.links.length()").value(0))
        .andExpect(jsonPath("$.made").doesNotExist());
    send(post("/api/story"), carried.replace("DATE", "whenever"))
        .andExpect(status().isBadRequest())
        .andExpect(jsonPath("$.problems[0].field").value("story[0].date"))
        .andExpect(jsonPath("$.problems[0].given").value("whenever"));
  }

  @Test
  void aRateOfADayIsToldOrWhyNot() throws Exception {
    web.perform(get("/api/rate?from=GBP&to=USD&date=1960-03-01"))
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.rate").value(2.8))
        .andExpect(jsonPath("$.says").value("GBP at the parity of the day"));
    web.perform(get("/api/rate?from=EUR&to=USD&date=1960"))
        .andExpect(status().isBadRequest())
        .andExpect(jsonPath("$.problems[0].field").value("rate"))
        .andExpect(jsonPath("$.problems[0].given").value("EUR in USD, 1960"));
    web.perform(get("/api/rate?from=EUR&to=USD&date=whenever"))
        .andExpect(status().isBadRequest())
        .andExpect(jsonPath("$.problems[0].field").value("date"));
  }

  @Test
  void whatCannotBeLaidBesideAKnifeIsSaidSo() throws Exception {
    String one = keep(CAMP);
    String at = "/api/knives/" + one + "/resemblance?with=";
    web.perform(get(at + "nobody/7"))
        .andExpect(status().isNotFound())
        .andExpect(content().string(containsString("nobody/7")));
    web.perform(get(at + "a,b,c,d,e"))
        .andExpect(status().isBadRequest())
        .andExpect(jsonPath("$.problems[0].field").value("with"))
        .andExpect(jsonPath("$.problems[0].given").value("5 candidates"));
    web.perform(get("/api/knives/none/lookalikes")).andExpect(status().isNotFound());
  }

  @Test
  void aJournalIsWrittenAnsweredTakenOutAndPutBack() throws Exception {
    String one = keep(CAMP);
    String at = "/api/knives/" + one + "/journal";
    web.perform(get(at)).andExpect(jsonPath("$.length()").value(1));

    String entry =
        body(send(post(at), "{\"note\":\"Why?\",\"question\":true,\"held\":\"1930/1939\"}")
                .andExpect(status().isCreated())
                .andExpect(jsonPath("$.own.from").value(1930))
                .andExpect(jsonPath("$.changes.length()").value(0)))
            .path("id")
            .asString("");
    web.perform(put("/api/journal/" + entry + "?open=false"))
        .andExpect(jsonPath("$.own.question").value(false));
    web.perform(delete("/api/journal/" + entry)).andExpect(status().isNoContent());
    web.perform(get(at)).andExpect(jsonPath("$.length()").value(1));
    web.perform(post("/api/journal/" + entry + "/restore")).andExpect(status().isNoContent());
    web.perform(get(at)).andExpect(jsonPath("$[0].own.note").value("Why?"));

    send(post(at), "{\"held\":\"the thirties\"}")
        .andExpect(status().isBadRequest())
        .andExpect(jsonPath("$.problems[0].field").value("held"))
        .andExpect(jsonPath("$.problems[0].given").value("the thirties"));
    web.perform(delete("/api/journal/none")).andExpect(status().isBadRequest());
    web.perform(get("/api/knives/none/journal")).andExpect(status().isNotFound());
  }

  @Test
  void aCalibrationTellsHowFarItIsBeforeItHasAReport() throws Exception {
    JsonNode told = body(web.perform(get("/api/calibration")));
    assertThat(told.path("done").asInt(-1)).as("looking begins nothing").isZero();
    told = body(web.perform(post("/api/calibration")));
    assertThat(told.has("report")).isFalse();
    assertThat(told.path("of").asInt(0)).isPositive();
    int before = -1;
    for (int i = 0; i < 300 && !told.has("report"); i++) {
      assertThat(told.path("done").asInt(0)).isGreaterThanOrEqualTo(before);
      before = told.path("done").asInt(0);
      Thread.sleep(200);
      told = body(web.perform(get("/api/calibration")));
    }
    assertThat(told.path("report").path("knives").asInt(0)).isEqualTo(1000);
    assertThat(told.path("done").asInt(0)).isEqualTo(told.path("of").asInt(0));
    assertThat(told.path("sharpness").size()).isGreaterThan(3);
  }
}
