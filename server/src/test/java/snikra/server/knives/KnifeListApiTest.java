package snikra.server.knives;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.delete;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.nio.charset.StandardCharsets;
import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;
import snikra.server.TestApp;

class KnifeListApiTest {
  private static final String LIST =
      """
      Name,Closed,Maker,Paid
      A jack,3 3/8,Veldrake Knife Works,$45
      A pen knife,2 7/8,Nobody & Sons,
      A jack,3 3/8,Veldrake Knife Works,$45
      """;

  @RegisterExtension static final TestApp APP = new TestApp();
  private final MockMvc web = APP.web();
  private final KnifeService knives = APP.bean(KnifeService.class);

  @AfterEach
  void theTrayIsEmptyAgain() {
    knives.all().forEach(k -> knives.delete(k.id()));
    knives.takenOut().forEach(k -> knives.forget(k.id()));
  }

  private ResultActions send(String list, String more) throws Exception {
    return web.perform(
        post("/api/knives/table?currency=GBP" + more)
            .contentType(MediaType.APPLICATION_OCTET_STREAM)
            .content(list.getBytes(StandardCharsets.UTF_8)));
  }

  private static String many(int rows) {
    StringBuilder list = new StringBuilder("Name,Closed\n");
    for (int i = 0; i < rows; i++) {
      list.append("Knife ").append(i).append(",3 3/8\n");
    }
    return list.toString();
  }

  @Test
  void aListIsLookedAtBeforeAnythingIsKept() throws Exception {
    send(LIST, "")
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.rows").value(3))
        .andExpect(jsonPath("$.headed").value(true))
        .andExpect(jsonPath("$.columns[1].field").value("length"))
        .andExpect(jsonPath("$.told[0].title").value("A jack"))
        .andExpect(jsonPath("$.told[1].leftover[0]").value("Maker: Nobody & Sons"))
        .andExpect(jsonPath("$.kept").value(0))
        .andExpect(jsonPath("$.next").doesNotExist());
    assertThat(knives.count()).isZero();
  }

  @Test
  void aListIsTakenInOnceAndUndoneAndTakenInAgain() throws Exception {
    UUID batch = UUID.randomUUID();
    send(LIST, "&batch=" + batch).andExpect(jsonPath("$.kept").value(3));
    send(LIST, "&batch=" + batch)
        .andExpect(jsonPath("$.kept").value(0))
        .andExpect(jsonPath("$.told[2].known").value(true));
    assertThat(knives.all()).extracting(k -> k.specimen().title()).hasSize(3).contains("A jack");
    web.perform(delete("/api/knives/table/" + batch)).andExpect(status().isNoContent());
    assertThat(knives.count()).isZero();
    web.perform(post("/api/knives/table/" + batch + "/restore")).andExpect(status().isNoContent());
    assertThat(knives.count()).isEqualTo(3);
    web.perform(delete("/api/knives/table/" + batch)).andExpect(status().isNoContent());
    UUID anew = UUID.randomUUID();
    send(LIST, "&batch=" + anew).andExpect(jsonPath("$.kept").value(3));
    web.perform(delete("/api/knives/table/" + anew)).andExpect(status().isNoContent());
    assertThat(knives.count()).isZero();
  }

  @Test
  void aKnifeThatWasChangedSinceIsNotWrittenOverByItsRow() throws Exception {
    UUID batch = UUID.randomUUID();
    send("Name,Closed\nMine,3 in\n", "&batch=" + batch);
    SavedKnife mine = knives.all().get(0);
    knives.change(
        mine.id(), mine.version(), snikra.formats.SpecimenFormat.readKept("{\"title\":\"Ours\"}"));
    send("Name,Closed\nMine,3 in\n", "&batch=" + UUID.randomUUID())
        .andExpect(jsonPath("$.kept").value(0));
    assertThat(knives.all()).extracting(k -> k.specimen().title()).containsExactly("Ours");
  }

  @Test
  void aLongListGoesInParts() throws Exception {
    UUID batch = UUID.randomUUID();
    String list = many(1100);
    send(list, "&batch=" + batch)
        .andExpect(jsonPath("$.kept").value(500))
        .andExpect(jsonPath("$.next").value(500));
    send(list, "&batch=" + batch + "&from=500").andExpect(jsonPath("$.next").value(1000));
    send(list, "&batch=" + batch + "&from=1000")
        .andExpect(jsonPath("$.kept").value(100))
        .andExpect(jsonPath("$.next").doesNotExist());
    assertThat(knives.count()).isEqualTo(1100);
    // A part whose answer was lost is sent again.
    send(list, "&batch=" + batch + "&from=500").andExpect(jsonPath("$.kept").value(0));
    web.perform(delete("/api/knives/table/" + batch)).andExpect(status().isNoContent());
    assertThat(knives.count()).isZero();
  }

  @Test
  void whatIsNoListIsRefusedWithWhatIsAccepted() throws Exception {
    send("", "")
        .andExpect(status().isBadRequest())
        .andExpect(jsonPath("$.problems[0].accepted").value("must be a table of one row or more"));
    send(LIST, "&columns=title,odd,maker,price").andExpect(status().isBadRequest());
    web.perform(delete("/api/knives/table/" + UUID.randomUUID()))
        .andExpect(status().isBadRequest())
        .andExpect(jsonPath("$.problems[0].field").value("batch"));
  }
}
