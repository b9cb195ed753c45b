package snikra.server.knives;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import com.jayway.jsonpath.JsonPath;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.MockMvc;
import snikra.server.TestApp;

/** Several knives of one maker are the witness of what it fitted. */
class WitnessApiTest {
  private static final String KNIFE =
      """
      {"frame":"regular-jack","seen":{"bail":"wire"%s},
       "marks":[{"blade":1,"face":"mark","state":"read","technique":"etched","lines":["VERMOUZAN","INOX"]}]}
      """;

  @RegisterExtension static final TestApp APP = new TestApp();
  private final MockMvc web = APP.web();

  private int kept(String more) throws Exception {
    String saved =
        web.perform(
                post("/api/knives")
                    .contentType(MediaType.APPLICATION_JSON)
                    .content(KNIFE.formatted(more)))
            .andExpect(status().isCreated())
            .andReturn()
            .getResponse()
            .getContentAsString();
    return JsonPath.read(saved, "$.number");
  }

  @Test
  void whatMostOfThemShowComesFirstWithTheKnivesThatShowIt() throws Exception {
    int one = kept("");
    int two = kept(",\"handle_material\":\"celluloid\"");
    String told =
        web.perform(get("/api/own/witness/vermouzan"))
            .andExpect(status().isOk())
            .andReturn()
            .getResponse()
            .getContentAsString();
    assertThat(JsonPath.<Integer>read(told, "$.gone")).isEqualTo(JsonPath.read(told, "$.of"));
    assertThat(JsonPath.<List<Integer>>read(told, "$.found[0].knives[*].number"))
        .contains(one, two);
    assertThat(JsonPath.<String>read(told, "$.found[0].offered.slip.value")).isEqualTo("wire");
    assertThat(JsonPath.<List<String>>read(told, "$.found[*].offered.slip.value"))
        .contains("celluloid");
    web.perform(get("/api/own/witness/nobody"))
        .andExpect(status().isBadRequest())
        .andExpect(jsonPath("$.problems[0].field").value("maker"));
  }
}
