package snikra.server.knives;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.greaterThan;
import static org.hamcrest.Matchers.hasItem;
import static org.hamcrest.Matchers.hasSize;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.delete;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import com.jayway.jsonpath.JsonPath;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;
import snikra.server.TestApp;
import snikra.server.reference.OwnReferences;

/** Codes and numbers found from examples, put on file and taken off again. */
class ByExampleApiTest {
  private static final String KNIFE =
      """
      {"marks":[{"blade":1,"face":"mark","state":"read","technique":"etched","lines":["VERMOUZAN","INOX"]}],
       "codes":[{"sign":"dot","written":"6"}],"number":"41/2"}
      """;
  private static final String CODE =
      """
      {"maker":"vermouzan","source":"Three dated knives","sourceKind":"own-knives","note":"",
       "code":{"label":"Dots under the name","sign":"dot","kind":"count-down","from":1949,"to":1954,"start":8}}
      """;

  @RegisterExtension static final TestApp APP = new TestApp();
  private final MockMvc web = APP.web();
  private final OwnReferences own = APP.bean(OwnReferences.class);

  @AfterEach
  void takeBack() {
    while (own.steps().stream().anyMatch(s -> !s.undone())) {
      own.undo();
    }
  }

  private ResultActions sent(String path, String body) throws Exception {
    return web.perform(post(path).contentType(MediaType.APPLICATION_JSON).content(body));
  }

  @Test
  void codesOfKnownYearsTellTheirWayAndWhatWouldSettleIt() throws Exception {
    sent(
            "/api/own/codes/look",
            """
            {"sign":"bar","examples":[{"written":"8","years":"1949"},{"written":"5","years":"1951-53"},
             {"written":"3","years":"c. 1954"}]}
            """)
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.guesses[0].kind").value("count-down"))
        .andExpect(jsonPath("$.guesses[0].start").value(8))
        .andExpect(jsonPath("$.guesses[0].share").value(greaterThan(0.8)))
        .andExpect(jsonPath("$.guesses[0].why").value(containsString("die")))
        .andExpect(jsonPath("$.settling.written").isString());
  }

  @Test
  void whatTeachesNothingIsRefusedByItsRow() throws Exception {
    sent(
            "/api/own/codes/look",
            """
            {"sign":"letter","examples":[{"written":"A","years":"1921"},{"written":"B?","years":"soon"}]}
            """)
        .andExpect(status().isBadRequest())
        .andExpect(jsonPath("$.problems[*].field", hasItem("examples[1].written")))
        .andExpect(jsonPath("$.problems[*].field", hasItem("examples[1].years")));
    sent("/api/own/codes/look", "{\"sign\":\"bar\",\"examples\":[]}")
        .andExpect(jsonPath("$.problems[0].field").value("examples"));
    sent(
            "/api/own/codes/look",
            """
            {"sign":"bar","from":1950,"to":1940,"examples":[{"written":"3","years":"1945"}]}
            """)
        .andExpect(jsonPath("$.problems[0].field").value("to"));
    sent("/api/own/codes/look", "{\"sign\":\"wave\"}")
        .andExpect(jsonPath("$.problems[0].field").value("sign"));
    sent(
            "/api/own/numbers/look",
            "{\"examples\":[{\"number\":\"?\",\"shows\":{\"frame\":\"round\",\"blades\":\"2\"}}]}")
        .andExpect(status().isBadRequest())
        .andExpect(jsonPath("$.problems", hasSize(2)))
        .andExpect(jsonPath("$.problems[*].field", hasItem("examples[0].shows.frame")));
  }

  @Test
  void aCodePutOnFileDatesTheKnifeThatBearsItAndComesOffAgain() throws Exception {
    String asked = "{\"specimen\":" + KNIFE + "}";
    sent("/api/own/codes", CODE)
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.maker").value("Vermouzan"));
    String dated = sent("/api/examine", asked).andReturn().getResponse().getContentAsString();
    assertThat(JsonPath.<Integer>read(dated, "$.dating.opinion.years.pieces[0].from"))
        .isBetween(1950, 1951);
    String told = web.perform(get("/api/makers")).andReturn().getResponse().getContentAsString();
    String id =
        JsonPath.<List<String>>read(told, "$.own[*]").stream()
            .filter(o -> o.contains("dots"))
            .findFirst()
            .orElseThrow();
    web.perform(delete("/api/own/codes/" + id)).andExpect(status().isOk());
    web.perform(delete("/api/own/codes/" + id)).andExpect(status().isBadRequest());
    sent("/api/own/codes", CODE.replace("own-knives", "rumour"))
        .andExpect(jsonPath("$.problems[0].field").value("sourceKind"));
    sent("/api/own/codes", CODE.replace("\"start\":8", "\"start\":800"))
        .andExpect(jsonPath("$.problems[0].field").value("start"));
  }

  @Test
  void numbersTellTheirFieldsAndPutOnFileAreRead() throws Exception {
    sent(
            "/api/own/numbers/look",
            """
            {"examples":[
             {"number":"41/2","shows":{"blades":"2","handle_material":"bone-jigged","frame":"swell-end"}},
             {"number":"41/5","shows":{"blades":"2","handle_material":"stag","frame":"swell-end"}},
             {"number":"33/2","shows":{"blades":"3","handle_material":"bone-jigged","frame":"serpentine"}},
             {"number":"A-7","shows":{}}]}
            """)
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.unlike[0]").value(3))
        .andExpect(jsonPath("$.ways[0].fields[*].codes[*].label", hasItem("Bone, jigged")));
    sent(
            "/api/own/numbers",
            """
            {"maker":"vermouzan","source":"Four knives","sourceKind":"own-knives","fields":[
             {"id":"frame","label":"Frame","width":2,"meaning":"frame",
              "codes":{"41":{"label":"Swell-end","values":["swell-end"]}}},
             {"id":"mark-2","label":"","width":1,"codes":{"/":{"label":"","values":[]}}},
             {"id":"blades","label":"Blades","width":1,"meaning":"blades",
              "codes":{"2":{"label":"2 blades","values":["2"]}}}]}
            """)
        .andExpect(status().isOk());
    sent("/api/examine", "{\"specimen\":" + KNIFE + "}")
        .andExpect(jsonPath("$.number.decoded.fields[*].says", hasItem("Swell-end")));
    web.perform(get("/api/makers")).andExpect(jsonPath("$.ownNumbers[0]").value("vermouzan"));
    web.perform(delete("/api/own/numbers/vermouzan")).andExpect(status().isOk());
    sent("/api/own/numbers", "{\"maker\":\"vermouzan\",\"fields\":[]}")
        .andExpect(jsonPath("$.problems[*].field", hasItem("source")));
  }

  @Test
  void aCodeOfManyThingsStillHasALabelAPackHasRoomFor() throws Exception {
    StringBuilder rows = new StringBuilder();
    for (String handle : List.of("acetal 7", "wood 7", "horn 7", "stag 1", "pearl 2", "ebony 3")) {
      String code = handle.substring(handle.length() - 1);
      for (int blades = 1; blades <= 3; blades++) {
        rows.append(rows.isEmpty() ? "" : ",")
            .append(
                "{\"number\":\"%d%s\",\"shows\":{\"blades\":\"%d\",\"handle_material\":\"%s\"}}"
                    .formatted(blades, code, blades, handle.substring(0, handle.length() - 2)));
      }
    }
    String told =
        sent("/api/own/numbers/look", "{\"examples\":[" + rows + "]}")
            .andExpect(status().isOk())
            .andReturn()
            .getResponse()
            .getContentAsString();
    assertThat(JsonPath.<List<String>>read(told, "$..label"))
        .anyMatch(l -> l.endsWith(" and 2 more"))
        .allMatch(l -> l.length() <= 80);
  }

  private String examples() throws Exception {
    return web.perform(get("/api/own/examples/vermouzan"))
        .andReturn()
        .getResponse()
        .getContentAsString();
  }

  @Test
  void theKnivesOfTheTrayTeach() throws Exception {
    String id =
        JsonPath.read(
            sent(
                    "/api/knives",
                    KNIFE.replace("\"dot\",\"written\":\"6\"", "\"dot\",\"written\":\"7\""))
                .andReturn()
                .getResponse()
                .getContentAsString(),
            "$.id");
    web.perform(get("/api/own/examples/vermouzan"))
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.codes[0].written").value("7"))
        .andExpect(jsonPath("$.numbers[0].number").value("41/2"))
        .andExpect(jsonPath("$.numbered").value(false));
    web.perform(get("/api/own/examples/veldrake")).andExpect(jsonPath("$.numbered").value(true));
    String before = examples();
    sent("/api/own/codes", CODE).andExpect(status().isOk());
    assertThat(examples()).as("a code on file does not teach itself").isEqualTo(before);
    web.perform(delete("/api/knives/" + id));
    web.perform(get("/api/own/examples/nobody")).andExpect(status().isBadRequest());
  }
}
