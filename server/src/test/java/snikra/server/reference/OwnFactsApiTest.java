package snikra.server.reference;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.contains;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.hasItem;
import static org.hamcrest.Matchers.hasSize;
import static org.hamcrest.Matchers.not;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.delete;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.put;
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

/** Fittings and models put on file out of a knife, looked at first, and taken off again. */
class OwnFactsApiTest {
  private static final String KNIFE =
      """
      {"frame":"regular-jack","number":"Z9","seen":{"bail":"wire"},
       "marks":[{"blade":1,"face":"mark","state":"read","technique":"etched","lines":["VERMOUZAN","INOX"]}]}
      """;
  private static final String FACT =
      """
      {"kind":"fitting","maker":"vermouzan","feature":"bail","value":"wire","from":1951,"to":1953,"give":1,
       "sourceKind":"catalogue","source":"A catalogue of 1952"}
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

  private String told(ResultActions answer) throws Exception {
    return answer.andExpect(status().isOk()).andReturn().getResponse().getContentAsString();
  }

  @Test
  void aKnifeOffersSlipsThatCanBeFiledAsTheyAre() throws Exception {
    String slips = told(sent("/api/own/facts/slips", "{\"specimen\":" + KNIFE + "}"));
    assertThat(JsonPath.<List<String>>read(slips, "$[*].slip.kind")).contains("fitting", "model");
    assertThat(JsonPath.<List<String>>read(slips, "$[*].station")).contains("number");
    String all = JsonPath.parse(JsonPath.<Object>read(slips, "$[*].slip")).jsonString();
    sent("/api/own/facts", "{\"facts\":" + all + "}")
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.maker").value("Vermouzan"))
        .andExpect(jsonPath("$.many").value(2));
    sent("/api/own/facts/slips", "{\"specimen\":" + KNIFE + "}")
        .andExpect(jsonPath("$", hasSize(0)));
  }

  @Test
  void whatItWouldDoIsToldAndNothingIsKept() throws Exception {
    sent("/api/own/facts/look", "{\"specimen\":" + KNIFE + ",\"fact\":" + FACT + "}")
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.problems", hasSize(0)))
        .andExpect(jsonPath("$.before.headline").value(containsString("Vermouzan")))
        .andExpect(jsonPath("$.after.headline").value(containsString("Vermouzan")));
    sent("/api/own/facts/look", "{\"fact\":" + FACT.replace("1953", "1949") + "}")
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.problems[0].field").value("to"))
        .andExpect(jsonPath("$.after").doesNotExist());
    web.perform(get("/api/makers")).andExpect(jsonPath("$.ownFacts", hasSize(0)));
  }

  @Test
  void aFactOnFileDatesTheKnifeStandsAmongOnesOwnAndComesOffAgain() throws Exception {
    String asked = "{\"specimen\":" + KNIFE + "}";
    String before = told(sent("/api/examine", asked));
    sent("/api/own/facts", "{\"facts\":[" + FACT + "]}").andExpect(status().isOk());
    String after = told(sent("/api/examine", asked));
    assertThat(JsonPath.<Integer>read(after, "$.dating.median"))
        .isNotEqualTo(JsonPath.<Integer>read(before, "$.dating.median"));
    web.perform(get("/api/makers"))
        .andExpect(jsonPath("$.ownFacts[0].maker").value("vermouzan"))
        .andExpect(jsonPath("$.ownFacts[0].key").value("bail wire 1951-1953"))
        .andExpect(jsonPath("$.ownFacts[0].from").value(1951));
    web.perform(delete("/api/own/facts?maker=vermouzan&key=bail wire 1951-1953"))
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.what").value(containsString("ire")));
    web.perform(delete("/api/own/facts?maker=vermouzan&key=bail wire 1951-1953"))
        .andExpect(status().isBadRequest())
        .andExpect(jsonPath("$.problems[0].field").value("key"));
  }

  @Test
  void aFactIsWrittenAnewInItsPlaceAndComesBackWithOneStep() throws Exception {
    sent("/api/own/facts", "{\"facts\":[" + FACT + "]}").andExpect(status().isOk());
    String at = "/api/own/facts?maker=vermouzan&key=bail wire 1951-1953";
    String slip = told(web.perform(get(at)));
    assertThat(JsonPath.<String>read(slip, "$.source")).isEqualTo("A catalogue of 1952");
    web.perform(
            put(at).contentType(MediaType.APPLICATION_JSON).content(slip.replace("1953", "1955")))
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.many").value(1));
    web.perform(get("/api/makers"))
        .andExpect(jsonPath("$.ownFacts[*].key", contains("bail wire 1951-1955")));
    own.undo();
    web.perform(get("/api/makers"))
        .andExpect(jsonPath("$.ownFacts[*].key", contains("bail wire 1951-1953")));
    web.perform(get("/api/own/facts?maker=vermouzan&key=bail wire 1951-1955"))
        .andExpect(status().isBadRequest())
        .andExpect(jsonPath("$.problems[0].field").value("key"));
  }

  @Test
  void yearsMovedByHandAreLookedAtAndThenKept() throws Exception {
    sent("/api/own/facts", "{\"facts\":[" + FACT + "]}").andExpect(status().isOk());
    String moved =
        "{\"maker\":\"vermouzan\",\"fact\":\"bail wire 1951-1953\",\"from\":1949,\"to\":1960,\"give\":2}";
    moved(false, moved)
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.problems", hasSize(0)))
        .andExpect(jsonPath("$.unmarked[0].from").isNumber());
    moved(false, moved.replace("1960", "1940"))
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.problems[0].field").value("to"));
    assertThat(own.steps()).hasSize(1);
    moved(true, moved.replace("1960", "1940")).andExpect(status().isBadRequest());
    moved(true, moved).andExpect(status().isOk());
    web.perform(get("/api/makers"))
        .andExpect(jsonPath("$..bars[?(@.fact)].bar.from", contains(1949)))
        .andExpect(jsonPath("$..bars[?(@.fact)].bar.give", contains(2)));
    assertThat(own.steps()).hasSize(2);
  }

  private ResultActions moved(boolean keep, String body) throws Exception {
    return web.perform(
        put("/api/own/facts/years?keep=" + keep)
            .contentType(MediaType.APPLICATION_JSON)
            .content(body));
  }

  /** A mark of one's own can be moved so that years are left without one, and that is told. */
  @Test
  void aGapAmongTheMarksIsToldWhileItIsMade() throws Exception {
    String slip =
        """
        {"specimen":%s,"slip":{"maker":"Quoinby of Nowhere","region":"US","lines":["QUOINBY"],"technique":"struck",
         "everyBlade":true,"from":%d,"to":%d,"give":0,"sourceKind":"family","source":"Aunt"}}
        """;
    sent("/api/own/marks", slip.formatted(KNIFE, 1900, 1910)).andExpect(status().isOk());
    sent(
            "/api/own/marks",
            slip.formatted(KNIFE, 1911, 1920).replace("[\"QUOINBY\"]", "[\"Q\",\"B\"]"))
        .andExpect(status().isOk());
    String makers = told(web.perform(get("/api/makers")));
    List<String> marks = JsonPath.read(makers, "$..bars[?(@.bar.what == 'Q B')].mark");
    moved(
            false,
            "{\"maker\":\"quoinby-of-nowhere\",\"mark\":\"%s\",\"from\":1914,\"to\":1920,\"give\":0}"
                .formatted(marks.get(0)))
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.unmarked[0].from").value(1911))
        .andExpect(jsonPath("$.unmarked[0].to").value(1913))
        .andExpect(
            jsonPath("$.remarks[0].text").value(containsString("no mark from 1911 to 1913")));
  }

  @Test
  void whatItWouldMoveInTheTrayIsTriedBeforeItIsKept() throws Exception {
    sent("/api/trials/fact", FACT).andExpect(status().isOk()).andExpect(jsonPath("$.id").exists());
    sent("/api/trials/fact?instead=bail wire 1900-1901", FACT)
        .andExpect(status().isBadRequest())
        .andExpect(jsonPath("$.problems[0].field").value("key"));
    sent("/api/own/facts", "{\"facts\":[" + FACT + "]}").andExpect(status().isOk());
    sent("/api/trials/fact?instead=bail wire 1951-1953", FACT.replace("1953", "1960"))
        .andExpect(status().isOk());
    sent(
            "/api/trials/mark",
            "{\"maker\":\"Vermouzan\",\"lines\":[\"VZ\"],\"technique\":\"struck\",\"everyBlade\":false,"
                + "\"from\":1900,\"to\":1910,\"give\":0,\"sourceKind\":\"family\",\"source\":\"Aunt\"}")
        .andExpect(status().isOk());
    sent("/api/trials/mark", "{\"maker\":\"Vermouzan\"}").andExpect(status().isBadRequest());
    assertThat(own.steps()).hasSize(1);
  }

  @Test
  void oneThatIsAmissKeepsAllOffFileAndIsToldByItsPlace() throws Exception {
    String amiss = FACT.replace("\"wire\"", "\"rope\"");
    sent("/api/own/facts", "{\"facts\":[" + FACT + "," + amiss + "]}")
        .andExpect(status().isBadRequest())
        .andExpect(jsonPath("$.problems[*].field", hasItem("facts[1].value")));
    sent("/api/own/facts", "{\"facts\":[]}")
        .andExpect(status().isBadRequest())
        .andExpect(jsonPath("$.problems[0].field").value("facts"));
    sent("/api/own/facts", "{\"facts\":[" + FACT.replace("vermouzan", "nobody") + "]}")
        .andExpect(jsonPath("$.problems[0].field").value("maker"));
    web.perform(get("/api/makers"))
        .andExpect(jsonPath("$.ownFacts", hasSize(0)))
        .andExpect(jsonPath("$.own", not(hasItem("rope"))));
  }

  @Test
  void aTableIsLookedAtFirstAndGoesOnFileInOneStep() throws Exception {
    String table =
        """
        No,What,Pattern,Years
        12,Farmer's jack,Regular jack,1920s
        13,Boys' knife,No such pattern,1925
        14,Small jack,Regular jack,c. 1930-1935
        """;
    String path = "/api/own/facts/table?maker=Vermouzan&source=A list&sourceKind=catalogue";
    tabled(path, table)
        .andExpect(jsonPath("$.good").value(2))
        .andExpect(jsonPath("$.refused").value(1))
        .andExpect(jsonPath("$.kept").value(0))
        .andExpect(jsonPath("$.read.rows[0].problems[0].field").value("Pattern"));
    assertThat(own.steps()).isEmpty();
    tabled(path + "&keep=true", table).andExpect(jsonPath("$.kept").value(2));
    assertThat(own.steps()).singleElement().satisfies(s -> assertThat(s.many()).isEqualTo(2));
    tabled(path, table).andExpect(jsonPath("$.known").value(2));
    web.perform(get("/api/makers")).andExpect(jsonPath("$.ownFacts", hasSize(2)));
  }

  private ResultActions tabled(String path, String table) throws Exception {
    return web.perform(post(path).contentType(MediaType.APPLICATION_OCTET_STREAM).content(table))
        .andExpect(status().isOk());
  }
}
