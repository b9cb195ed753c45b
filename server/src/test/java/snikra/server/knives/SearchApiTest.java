package snikra.server.knives;

import static org.hamcrest.Matchers.contains;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.hasSize;
import static org.hamcrest.Matchers.not;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.header;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;
import snikra.formats.SpecimenFormat;
import snikra.server.TestApp;

class SearchApiTest {
  @RegisterExtension static final TestApp APP = new TestApp();
  private final MockMvc web = APP.web();
  private final KnifeService knives = APP.bean(KnifeService.class);
  private int celluloid;
  private String jack = "";

  @BeforeEach
  void twoKnives() {
    celluloid =
        knives
            .add(
                UUID.randomUUID().toString(),
                SpecimenFormat.readKept(
                    """
                    {"title":"Aunt's knife","frame":"swell-end","closedLength":"3 1/2 in",
                     "seen":{"handle_material":"celluloid","origin_wording":"germany"},
                     "condition":{"blade-wear":"tenth"},
                     "story":[{"kind":"held","holder":"Aunt Odile","place":"Overwater, mill","source":"own-record"},
                              {"kind":"found","place":"Mill field, Overwater","source":"family"}]}
                    """))
            .number();
    jack =
        knives
            .add(UUID.randomUUID().toString(), SpecimenFormat.readKept("{\"title\":\"Odd jack\"}"))
            .id();
  }

  @AfterEach
  void theTrayIsEmptyAgain() {
    knives.all().forEach(k -> knives.delete(k.id()));
  }

  private ResultActions search(String q, String... in) throws Exception {
    return web.perform(get("/api/knives/search").param("q", q).param("in", in));
  }

  private ResultActions search(String q) throws Exception {
    return web.perform(get("/api/knives/search").param("q", q));
  }

  @Test
  void wordsYearsAndFacetsAreFoundAndSaid() throws Exception {
    search("odile handle celluloid before 1960")
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.hits", hasSize(1)))
        .andExpect(jsonPath("$.hits[0].number").value(celluloid))
        .andExpect(jsonPath("$.hits[0].chance").isNumber())
        .andExpect(jsonPath("$.phrases[1].says").value("Handle"))
        .andExpect(jsonPath("$.phrases[2].says").value("may be of those years"));
    search("zzzzz").andExpect(jsonPath("$.phrases[0].found").value(false));
    search("").andExpect(jsonPath("$.hits", hasSize(2)));
  }

  @Test
  void aTickedValueMayHoldAComma() throws Exception {
    search("", "place:Overwater, mill")
        .andExpect(jsonPath("$.hits[*].number", contains(celluloid)))
        .andExpect(jsonPath("$.facets[?(@.id == 'country')].values[0].value").value("Germany"));
    search("", "place:Overwater").andExpect(jsonPath("$.hits", hasSize(0)));
  }

  @Test
  void whatWasFoundIsSavedAsATableAndAsItIsKept() throws Exception {
    web.perform(get("/api/knives/found.csv").param("q", "odile"))
        .andExpect(status().isOk())
        .andExpect(header().string("Content-Disposition", containsString("knives.csv")))
        .andExpect(content().string(containsString("Aunt's knife,,Germany,")))
        .andExpect(content().string(not(containsString("Odd jack"))));
    web.perform(get("/api/knives/found.csv"))
        .andExpect(content().string(containsString("Odd jack,,,")));
    web.perform(get("/api/knives/found.json").param("in", "place:Overwater, mill"))
        .andExpect(status().isOk())
        .andExpect(jsonPath("$", hasSize(1)))
        .andExpect(jsonPath("$[0].number").value(celluloid))
        .andExpect(jsonPath("$[0].specimen.format").isNumber())
        .andExpect(jsonPath("$[0].specimen.story[0].holder").value("Aunt Odile"));
    web.perform(get("/api/knives/found.json").param("in", "nothing"))
        .andExpect(status().isBadRequest());
  }

  @Test
  void whereAKnifeWasFoundIsKeptVagueWhereThatIsAsked() throws Exception {
    web.perform(get("/api/knives/found.json?vague=true").param("q", "odile"))
        .andExpect(jsonPath("$[0].specimen.story[?(@.kind == 'found')].place").value("Overwater"))
        .andExpect(content().string(not(containsString("Mill field"))));
    web.perform(get("/api/knives/found.json").param("q", "odile"))
        .andExpect(content().string(containsString("Mill field, Overwater")));
  }

  @Test
  void whatWasTakenOutIsNotFoundUntilItIsBack() throws Exception {
    search("odd").andExpect(jsonPath("$.hits", hasSize(1)));
    knives.delete(jack);
    search("odd").andExpect(jsonPath("$.hits", hasSize(0)));
    knives.restore(jack);
    search("odd").andExpect(jsonPath("$.hits", hasSize(1)));
  }

  @Test
  void whatCannotBeAskedIsToldByField() throws Exception {
    search("a".repeat(201))
        .andExpect(status().isBadRequest())
        .andExpect(jsonPath("$.problems[0].field").value("q"));
    search("", "colour:red")
        .andExpect(status().isBadRequest())
        .andExpect(jsonPath("$.problems[0].field").value("in"))
        .andExpect(jsonPath("$.problems[0].accepted", containsString("facet:value")));
  }
}
