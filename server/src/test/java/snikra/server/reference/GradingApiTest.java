package snikra.server.reference;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.put;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;
import snikra.server.TestApp;

class GradingApiTest {
  private static final String SHIPPED = "{\"heads\": \"usual\", \"own\": []}";
  private static final String MINE =
      """
      {"heads": "mine", "own": [{"id": "mine", "kind": "worst-fault", "label": "Mine", "about": "x",
        "together": 0, "otherBlades": 1, "caps": {"blade-wear": {"honed": "mint"}}}]}
      """;
  private static final String HONED =
      "{\"condition\":{\"blade-wear\":{\"value\":\"honed\",\"sureness\":\"sure\"}}}";

  @RegisterExtension static final TestApp APP = new TestApp();
  private final MockMvc web = APP.web();
  private final ReferenceDesk desk = APP.bean(ReferenceDesk.class);

  private ResultActions judge(String choice) throws Exception {
    return web.perform(put("/api/grading").contentType(MediaType.APPLICATION_JSON).content(choice));
  }

  @AfterEach
  void asShipped() throws Exception {
    judge(SHIPPED).andExpect(status().isOk());
  }

  @Test
  void theSchoolThatHeadsIsKeptWithTheCollectionAndGradesAnew() throws Exception {
    String before = desk.fingerprint();
    judge(MINE).andExpect(status().isOk()).andExpect(jsonPath("$.heads").value("mine"));
    assertThat(desk.fingerprint()).isNotEqualTo(before);
    desk.reopen();
    web.perform(get("/api/grading"))
        .andExpect(jsonPath("$.heads").value("mine"))
        .andExpect(jsonPath("$.schools[0].shipped").value(true))
        .andExpect(jsonPath("$.schools[5].shipped").value(false))
        .andExpect(jsonPath("$.schools[5].caps['blade-wear'].tenth").value("very-good"));
    web.perform(
            post("/api/examine")
                .contentType(MediaType.APPLICATION_JSON)
                .content("{\"specimen\":" + HONED + "}"))
        .andExpect(jsonPath("$.grade.best.label").value("Mint"))
        .andExpect(jsonPath("$.schools[0].id").value("mine"));
  }

  @Test
  void whatCannotBeIsRefusedAndWhatWasKeptStays() throws Exception {
    judge(MINE);
    judge(MINE.replace("honed", "polished"))
        .andExpect(status().isBadRequest())
        .andExpect(jsonPath("$.problems[0].field").value("own[0].caps.blade-wear"));
    web.perform(get("/api/grading")).andExpect(jsonPath("$.heads").value("mine"));
  }

  @Test
  void aSchoolIsTriedOnTheTrayBeforeItIsKept() throws Exception {
    web.perform(post("/api/knives").contentType(MediaType.APPLICATION_JSON).content(HONED))
        .andExpect(status().isCreated());
    web.perform(
            post("/api/trials/grading?against=usual")
                .contentType(MediaType.APPLICATION_JSON)
                .content(MINE))
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.of").value(1));
    web.perform(
            post("/api/trials/grading?against=nobody")
                .contentType(MediaType.APPLICATION_JSON)
                .content(MINE))
        .andExpect(status().isBadRequest())
        .andExpect(jsonPath("$.problems[0].field").value("against"));
    assertThat(desk.grading().heads()).isEqualTo("usual");
  }
}
