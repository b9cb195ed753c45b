package snikra.server.knives;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.contains;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.hasSize;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.delete;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.put;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import snikra.core.specimen.Specimen;
import snikra.server.TestApp;

/** Where knives lie, how they are sorted, and searches one comes back to. */
class FilingApiTest {
  private static final String FILING = "/api/knives/filing";
  @RegisterExtension static final TestApp APP = new TestApp();
  private final MockMvc web = APP.web();
  private final KnifeService knives = APP.bean(KnifeService.class);
  private List<String> ids;

  @BeforeEach
  void threeKnives() {
    ids =
        IntStream.range(0, 3)
            .mapToObj(i -> Specimen.unseen().lying(i == 0 ? "Drawer 1" : null, List.of("old")))
            .map(knife -> knives.add(knife).id())
            .toList();
  }

  @AfterEach
  void theTrayIsEmptyAgain() {
    knives.all().forEach(k -> knives.delete(k.id()));
  }

  private ResultActions send(MockHttpServletRequestBuilder how, String body) throws Exception {
    return web.perform(how.contentType(MediaType.APPLICATION_JSON).content(body));
  }

  private static String list(List<String> texts) {
    return "[\"" + String.join("\",\"", texts) + "\"]";
  }

  private Specimen at(int place) {
    return knives.get(ids.get(place)).specimen();
  }

  @Test
  void severalAreMovedAndSortedAtOnceAndPutBackAsTheyWere() throws Exception {
    String before =
        send(
                post(FILING),
                "{\"ids\":"
                    + list(ids)
                    + ",\"place\":\"Cabinet 2\",\"tagged\":[\"To sell\"],\"untagged\":[\"OLD\"]}")
            .andExpect(status().isOk())
            .andExpect(jsonPath("$", hasSize(3)))
            .andExpect(jsonPath("$[0].place").value("Drawer 1"))
            .andReturn()
            .getResponse()
            .getContentAsString();
    assertThat(at(0).place()).isEqualTo("Cabinet 2");
    assertThat(at(2).tags()).containsExactly("To sell");
    web.perform(get("/api/knives/search?q=tag to sell lies cabinet"))
        .andExpect(jsonPath("$.hits", hasSize(3)));
    web.perform(get("/api/knives"))
        .andExpect(jsonPath("$[0].place").value("Cabinet 2"))
        .andExpect(jsonPath("$[0].tags", contains("To sell")));
    web.perform(get("/api/knives/found.csv"))
        .andExpect(
            result ->
                assertThat(result.getResponse().getContentAsString())
                    .contains("Where it lies,Tags")
                    .contains("Cabinet 2,To sell"));

    send(put(FILING), before).andExpect(status().isOk());
    assertThat(at(0)).isEqualTo(Specimen.unseen().lying("Drawer 1", List.of("old")));
    assertThat(at(1)).isEqualTo(Specimen.unseen().lying(null, List.of("old")));
  }

  @Test
  void whatIsLeftOutStaysAndAnEmptyPlaceIsNone() throws Exception {
    send(post(FILING), "{\"ids\":" + list(ids) + ",\"tagged\":[\"Old\"]}")
        .andExpect(status().isOk());
    assertThat(at(0)).isEqualTo(Specimen.unseen().lying("Drawer 1", List.of("old")));
    assertThat(knives.get(ids.get(0)).version()).isZero();
    send(post(FILING), "{\"ids\":" + list(ids) + ",\"place\":\" \"}").andExpect(status().isOk());
    assertThat(at(0).place()).isNull();
  }

  @Test
  void severalChangesAtTheSameMomentAreAllMade() {
    List<String> tags = IntStream.range(0, 3).mapToObj(i -> "t" + i).toList();
    tags.parallelStream()
        .forEach(
            tag ->
                knives.changeAll(
                    ids,
                    (id, knife) -> {
                      List<String> more = new ArrayList<>(knife.tags());
                      more.add(tag);
                      return knife.lying(knife.place(), more);
                    }));
    for (int i = 0; i < ids.size(); i++) {
      assertThat(at(i).tags()).containsAll(tags).hasSize(4);
    }
  }

  @Test
  void allOrNone() throws Exception {
    List<String> withAStranger = List.of(ids.get(0), UUID.randomUUID().toString());
    send(post(FILING), "{\"ids\":" + list(withAStranger) + ",\"place\":\"Elsewhere\"}")
        .andExpect(status().isNotFound());
    assertThat(at(0).place()).isEqualTo("Drawer 1");
    send(post(FILING), "{\"ids\":[],\"place\":\"Elsewhere\"}")
        .andExpect(status().isBadRequest())
        .andExpect(jsonPath("$.problems[0].field").value("ids"));
    send(post(FILING), "{\"ids\":" + list(ids) + ",\"tagged\":[\"a,b\"]}")
        .andExpect(status().isBadRequest())
        .andExpect(jsonPath("$.problems[0].field").value(containsString("tags")));
    String many = list(IntStream.range(0, 30).mapToObj(i -> "t" + i).toList());
    send(post(FILING), "{\"ids\":" + list(ids) + ",\"tagged\":" + many + "}")
        .andExpect(status().isBadRequest());
    assertThat(at(0).tags()).containsExactly("old");
  }

  @Test
  void aSearchIsKeptWithHowManyAnswerAndLetGo() throws Exception {
    String search = "/api/searches/" + UUID.randomUUID();
    String kept = "{\"name\":\" First drawer \",\"q\":\"lies drawer\",\"in\":[\"tag:old\"]}";
    send(put(search), kept)
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.name").value("First drawer"))
        .andExpect(jsonPath("$.found").value(1));
    send(put(search), kept.replace("First", "Top")).andExpect(status().isOk());
    web.perform(get("/api/searches"))
        .andExpect(jsonPath("$", hasSize(1)))
        .andExpect(jsonPath("$[0].name").value("Top drawer"))
        .andExpect(jsonPath("$[0].in", contains("tag:old")));
    web.perform(delete(search)).andExpect(status().isNoContent());
    web.perform(get("/api/searches")).andExpect(jsonPath("$", hasSize(0)));
  }

  @Test
  void aSearchForNothingOrOfAnUnknownKindIsRefused() throws Exception {
    String search = "/api/searches/" + UUID.randomUUID();
    for (String bad :
        List.of(
            "{\"name\":\"All\"}",
            "{\"name\":\" \",\"q\":\"pen\"}",
            "{\"name\":\"Odd\",\"in\":[\"colour:red\"]}")) {
      send(put(search), bad).andExpect(status().isBadRequest());
    }
    web.perform(get("/api/searches")).andExpect(jsonPath("$", hasSize(0)));
  }
}
