package snikra.server.knives;

import static org.hamcrest.Matchers.contains;
import static org.hamcrest.Matchers.everyItem;
import static org.hamcrest.Matchers.greaterThan;
import static org.hamcrest.Matchers.hasItems;
import static org.hamcrest.Matchers.hasSize;
import static org.hamcrest.Matchers.is;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;
import snikra.server.Samples;
import snikra.server.TestApp;
import snikra.server.reference.ReferenceDesk;

/** The knives taken together, all or those that answer to a search. */
class CollectionApiTest {
  @RegisterExtension static final TestApp APP = new TestApp();
  private final MockMvc web = APP.web();
  private final KnifeService knives = APP.bean(KnifeService.class);
  private final ReferenceDesk desk = APP.bean(ReferenceDesk.class);

  @AfterEach
  void theTrayIsEmptyAgain() {
    knives.all().forEach(k -> knives.delete(k.id()));
  }

  private SavedKnife stockman(String handle) {
    String seen =
        "\"number\":\"33-3C\",\"seen\":{\"handle_material\":{\"value\":\"%s\",\"sureness\":\"sure\"}}";
    return knives.add(Samples.okkerby(desk, seen.formatted(handle)));
  }

  private ResultActions collection(String query) throws Exception {
    return web.perform(get("/api/collection" + query)).andExpect(status().isOk());
  }

  @Test
  void theKnivesAreCountedAndWhatIsThereTwiceIsNamed() throws Exception {
    SavedKnife one = stockman("celluloid");
    SavedKnife other = stockman("celluloid");
    collection("")
        .andExpect(jsonPath("$.portrait.knives").value(2))
        .andExpect(jsonPath("$.portrait.dated").value(2))
        .andExpect(
            jsonPath("$.portrait.kinds[?(@.facet=='maker')].counts[0].knives").value(contains(2)))
        .andExpect(jsonPath("$.alike[0].what.model").value("33-3C"))
        .andExpect(jsonPath("$.alike[0].numbers").value(contains(one.number(), other.number())))
        .andExpect(jsonPath("$.groups").value(1));
  }

  @Test
  void whatWouldTellMostOfAllKnivesIsToldWithTheKnifeItIsOf() throws Exception {
    SavedKnife knife = stockman("celluloid");
    SavedKnife other = stockman("horn");
    collection("")
        .andExpect(jsonPath("$.looks").value(hasSize(6)))
        .andExpect(jsonPath("$.looks[*].number").value(hasItems(knife.number(), other.number())))
        .andExpect(jsonPath("$.looks[0].look.bits").value(greaterThan(0.02)))
        .andExpect(jsonPath("$.looks[?(@.look.feature=='handle_material')]").value(hasSize(0)));
    collection("?q=" + other.number())
        .andExpect(jsonPath("$.looks[*].number").value(everyItem(is(other.number()))));
  }

  @Test
  void aSearchNarrowsIt() throws Exception {
    stockman("celluloid");
    SavedKnife horn = stockman("horn");
    collection("?q=" + horn.number()).andExpect(jsonPath("$.portrait.knives").value(1));
    collection("?q=zzzz").andExpect(jsonPath("$.portrait.decades").value(hasSize(0)));
  }

  @Test
  void ofAnEmptyTrayThereIsNothing() throws Exception {
    collection("")
        .andExpect(jsonPath("$.portrait.knives").value(0))
        .andExpect(jsonPath("$.alike").value(hasSize(0)));
  }
}
