package snikra.server.keeping;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.put;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicBoolean;
import javax.sql.DataSource;
import org.hamcrest.Matchers;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.http.MediaType;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.mock.web.MockHttpServletResponse;
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

  // It is a second until writing is tried again.
  @AfterEach
  void thereIsRoomAndSavingGoesOn() throws Exception {
    ForgetfulFiles.setFull(false);
    int answered = 0;
    for (int tried = 0; tried < 20 && answered != 201; tried++) {
      Thread.sleep(500);
      answered = send(post("/api/knives"), "{}").andReturn().getResponse().getStatus();
    }
    assertThat(answered).isEqualTo(201);
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
      assertThat(read(knife)).isEqualTo("kept");
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
    assertThat(read(knife)).isEqualTo("after");
  }

  // As the browser reads: what was broken off because the database was opened anew is asked again.
  private String read(String knife) throws Exception {
    MockHttpServletResponse answer = web.perform(get(knife)).andReturn().getResponse();
    if (answer.getStatus() == 503) {
      Thread.sleep(1000);
      answer = web.perform(get(knife)).andReturn().getResponse();
    }
    assertThat(answer.getStatus()).isEqualTo(200);
    return Json.mapper().readTree(answer.getContentAsString()).at("/specimen/title").asString();
  }

  @Test
  void whatSeveralWritersWereAnsweredWhileTheDiskRanFullAndHadRoomAgainIsKept() throws Exception {
    Map<String, String> acknowledged = new ConcurrentHashMap<>();
    AtomicBoolean goesOn = new AtomicBoolean(true);
    List<Thread> writers = new ArrayList<>();
    for (int w = 0; w < 3; w++) {
      Thread writer = new Thread(() -> write(acknowledged, goesOn));
      writers.add(writer);
      writer.start();
    }
    for (int round = 0; round < 6; round++) {
      int before = acknowledged.size();
      ForgetfulFiles.setFull(false);
      for (int waited = 0; waited < 100 && acknowledged.size() < before + 5; waited++) {
        Thread.sleep(100);
      }
      assertThat(acknowledged.size()).as("saves again, round " + round).isGreaterThan(before);
      ForgetfulFiles.setFull(true);
      Thread.sleep(300);
    }
    goesOn.set(false);
    for (Thread writer : writers) {
      writer.join();
    }
    Path file = APP.data().resolve("snikra.mv.db");
    ForgetfulFiles.cutPower(
        List.of(file, file.resolveSibling("snikra.mv.db.batch")), left, new Random(7));
    assertThat(PowerCutTest.titles(left.resolve("snikra.mv.db")))
        .containsAll(acknowledged.values());
  }

  private void write(Map<String, String> acknowledged, AtomicBoolean goesOn) {
    while (goesOn.get()) {
      try {
        String title = UUID.randomUUID().toString();
        MockHttpServletResponse answer =
            send(post("/api/knives"), "{\"title\":\"" + title + "\"}").andReturn().getResponse();
        if (answer.getStatus() == 201) {
          acknowledged.put(answer.getContentAsString(), title);
        }
      } catch (Exception e) {
        throw new IllegalStateException(e);
      }
    }
  }

  // It closes when a write of its own fails; whoever asks for it next opens it as it was forced
  // last.
  @Test
  void whatWasCommittedInADatabaseThatClosedByItselfIsNotSaidToBeKept() throws Exception {
    Disk disk = APP.bean(Disk.class);
    send(post("/api/knives"), "{}");
    JdbcTemplate database = new JdbcTemplate(APP.bean(DataSource.class));
    long begun = disk.timesOpened();
    database.execute("create table unforced (id int)");
    database.execute("SHUTDOWN IMMEDIATELY");
    assertThat(org.assertj.core.api.Assertions.catchThrowable(() -> disk.force(begun)))
        .isInstanceOf(IllegalStateException.class)
        .hasMessageContaining("could not be forced");
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
