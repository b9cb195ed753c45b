package snikra.server.keeping;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.put;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.nio.file.Path;
import java.util.List;
import java.util.Random;
import org.hamcrest.Matchers;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import snikra.formats.Json;
import snikra.server.TestApp;

class DiskFullTest {
  @RegisterExtension
  static final TestApp APP = new TestApp(ForgetfulFiles::install, "--snikra.files=forgetful:");

  @TempDir Path left;
  private final MockMvc web = APP.web();

  @AfterEach
  void thereIsRoomAgain() {
    ForgetfulFiles.setFull(false);
  }

  private ResultActions send(MockHttpServletRequestBuilder request, String json) throws Exception {
    return web.perform(request.contentType(MediaType.APPLICATION_JSON).content(json));
  }

  @Test
  void aSaveOnAFullDiskIsRefusedReadingGoesOnAndSavingComesBackByItself() throws Exception {
    String made =
        send(post("/api/knives"), "{\"title\":\"kept\"}")
            .andReturn()
            .getResponse()
            .getContentAsString();
    String knife = "/api/knives/" + Json.mapper().readTree(made).path("id").asString("");
    ForgetfulFiles.setFull(true);

    for (int i = 0; i < 3; i++) {
      send(put(knife), "{\"version\":0,\"specimen\":{\"title\":\"lost\"}}")
          .andExpect(status().isInsufficientStorage())
          .andExpect(jsonPath("$.detail").value(Matchers.containsString("Nothing can be saved")));
      web.perform(get(knife))
          .andExpect(status().isOk())
          .andExpect(jsonPath("$.specimen.title").value("kept"));
    }
    ForgetfulFiles.setFull(false);
    String after = "{\"version\":0,\"specimen\":{\"title\":\"after\"}}";
    int answered = 0;
    for (int tried = 0; tried < 10 && answered != 200; tried++) {
      Thread.sleep(500);
      answered = send(put(knife), after).andReturn().getResponse().getStatus();
    }
    assertThat(answered).isEqualTo(200);
    Path file = APP.data().resolve("snikra.mv.db");
    ForgetfulFiles.cutPower(
        List.of(file, file.resolveSibling("snikra.mv.db.batch")), left, new Random(7));
    assertThat(PowerCutTest.titles(left.resolve("snikra.mv.db"))).contains("after");
    web.perform(get(knife)).andExpect(jsonPath("$.specimen.title").value("after"));
  }

  @Test
  void whereTooLittleRoomIsLeftItIsToldBeforeAnythingBreaks() {
    Disk narrow = new Disk(null, "", () -> Disk.ROOM - 1);
    assertThat(org.assertj.core.api.Assertions.catchThrowable(narrow::requireRoom))
        .isInstanceOf(DiskFull.class)
        .hasMessageContaining("only 23 MB left");
    Disk enough = new Disk(null, "", () -> Disk.ROOM_FOR_PHOTOGRAPHS - 1);
    enough.requireRoom();
    assertThat(org.assertj.core.api.Assertions.catchThrowable(enough::requireRoomForPhotograph))
        .isInstanceOf(DiskFull.class)
        .hasMessageContaining("No photograph");
    new Disk(null, "", () -> Disk.ROOM_FOR_PHOTOGRAPHS).requireRoomForPhotograph();
  }
}
