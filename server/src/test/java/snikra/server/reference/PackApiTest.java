package snikra.server.reference;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.delete;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.put;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.header;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.time.Instant;
import org.hamcrest.Matchers;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;
import snikra.server.TestApp;

class PackApiTest {
  private static final String PACK =
      """
      schema: 1
      id: bench-notes
      title: Notes from the bench
      note: Invented.
      sources:
        - {id: own, label: Own notes, kind: reference-book, reliability: 0.6}
      makers:
        - id: zorbelund
          name: Zorbelund Works
          region: US
          place: Quagmere
          weight: 1
          changes: []
          note: ""
          marks:
            - {id: zb-a, lines: [ZORBELUND], pile: [], technique: struck, everyBlade: false, from: 1901, to: 1910, give: 0, note: "", source: own}
            - {id: zb-b, lines: [ZORBELUND], pile: [], technique: struck, everyBlade: false, from: 1905, to: 1912, give: 0, note: "", source: own}
            - {id: zb-c, lines: [ZORBELUND, QUAGMERE], pile: [], technique: struck, everyBlade: false, from: 1930, to: 1940, give: 0, note: "", source: own}
      """;
  private static final String READ =
      """
      {"specimen":{"marks":[{"blade":1,"face":"mark","state":"read","lines":["ZORBELUND","QUAGMERE"]}]}}
      """;

  @RegisterExtension static final TestApp APP = new TestApp();
  private final MockMvc web = APP.web();
  private final ReferenceDesk desk = APP.bean(ReferenceDesk.class);

  private ResultActions bring(String yaml, boolean keep) throws Exception {
    return web.perform(
        post("/api/packs?name=notes.yaml&keep=" + keep)
            .contentType(MediaType.APPLICATION_OCTET_STREAM)
            .content(yaml));
  }

  private ResultActions examined() throws Exception {
    return web.perform(post("/api/examine").contentType(MediaType.APPLICATION_JSON).content(READ));
  }

  @Test
  void aPackSaysWhatWornLettersAndWordsAreTakenFor() throws Exception {
    bring(
            PACK.replace("bench-notes", "letters")
                .replace(
                    "makers:", "confusions: {E: WM}\nspellings: [[GES, GESELLSCHAFT]]\nmakers:"),
            true)
        .andExpect(status().isOk());
    web.perform(get("/api/makers"))
        .andExpect(jsonPath("$.confusions.E").value("WM"))
        .andExpect(jsonPath("$.confusions.C").value("GO"))
        .andExpect(jsonPath("$.spellings[-1][1]").value("GESELLSCHAFT"));
    web.perform(delete("/api/packs/letters")).andExpect(status().isNoContent());
    web.perform(get("/api/makers")).andExpect(jsonPath("$.confusions.E").value("F"));
    bring(PACK.replace("makers:", "confusions: {e: W}\nmakers:"), true)
        .andExpect(status().isBadRequest())
        .andExpect(jsonPath("$.problems[0].field").value(Matchers.containsString("confusions")));
  }

  @Test
  void aPackIsLookedAtTakenInSwitchedOffChangedAndLetGo() throws Exception {
    bring(PACK, false)
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.isNew").value(true))
        .andExpect(jsonPath("$.remarks[0].text").value("no mark from 1913 to 1929"))
        .andExpect(jsonPath("$.remarks[1].text", Matchers.startsWith("nothing tells mark zb-b")));
    examined().andExpect(jsonPath("$.mark.candidates[0].maker", Matchers.not("zorbelund")));
    bring(PACK, true).andExpect(status().isOk());
    examined().andExpect(jsonPath("$.mark.candidates[0].mark").value("zb-c"));
    web.perform(get("/api/packs/bench-notes"))
        .andExpect(content().string(PACK))
        .andExpect(
            header().string("Content-Disposition", Matchers.containsString("bench-notes.yaml")));

    bring(PACK.replace("to: 1912", "to: 1914").replace("Own notes", "My notes"), true)
        .andExpect(jsonPath("$.changes.length()").value(2))
        .andExpect(jsonPath("$.changes[1].path").value("makers.zorbelund.marks.zb-b.to"))
        .andExpect(jsonPath("$.changes[1].before").value("1912"));
    web.perform(put("/api/packs/bench-notes?on=false")).andExpect(status().isNoContent());
    examined().andExpect(jsonPath("$.mark.candidates[0].maker", Matchers.not("zorbelund")));
    web.perform(put("/api/packs/bench-notes?on=true")).andExpect(status().isNoContent());
    examined().andExpect(jsonPath("$.mark.candidates[0].maker").value("zorbelund"));
    web.perform(delete("/api/packs/bench-notes")).andExpect(status().isNoContent());
    web.perform(get("/api/packs/bench-notes")).andExpect(status().isBadRequest());
  }

  @Test
  void theSampleMakersCanBeSwitchedOffAndNotLetGo() throws Exception {
    String shipped = "/api/packs/overwater-makers";
    web.perform(delete(shipped)).andExpect(status().isBadRequest());
    web.perform(put(shipped + "?on=false")).andExpect(status().isNoContent());
    web.perform(get("/api/book"))
        .andExpect(jsonPath("$.makers[?(@.id=='veldrake')]", Matchers.empty()));
    web.perform(get("/api/makers")).andExpect(jsonPath("$.packs[0].on").value(false));
    web.perform(put(shipped + "?on=true")).andExpect(status().isNoContent());
    web.perform(get("/api/book"))
        .andExpect(jsonPath("$.makers[?(@.id=='veldrake')]", Matchers.hasSize(1)));
    String own = desk.pack("overwater-makers").yaml();
    bring(own, true).andExpect(status().isBadRequest());
  }

  @Test
  void everyMistakeIsNamedWithFileLineAndWhatIsAccepted() throws Exception {
    String wrong =
        PACK.replace("from: 1930", "from: nineteen")
            .replace(
                "technique: struck, everyBlade: false, from: 1905", "everyBlade: 7, from: 1905");
    bring(wrong, true)
        .andExpect(status().isBadRequest())
        .andExpect(jsonPath("$.problems.length()", Matchers.greaterThanOrEqualTo(3)))
        .andExpect(jsonPath("$.problems[0].field", Matchers.matchesRegex("notes.yaml:\\d+: .*")));
    bring(PACK.replace("region: US", "region: XX"), true)
        .andExpect(jsonPath("$.problems[0].given").value("XX"));
    bring(PACK.replace("source: own}", "source: hearsay}"), true)
        .andExpect(jsonPath("$.problems.length()").value(3));
    bring("", true).andExpect(jsonPath("$.problems[0].accepted").value("must be a reference pack"));
    bring("- 1", true).andExpect(jsonPath("$.problems[0].given").value("[1]"));
    bring("makers: [", true).andExpect(jsonPath("$.problems[0].accepted").value("must be YAML"));
    assertThat(desk.packs()).allMatch(ReferenceDesk.Held::shipped);
  }

  @Test
  void theTwentyFirstPackIsRefusedAndTheTwentiethIsNot() throws Exception {
    int here = desk.packs().size();
    for (int i = here; i < ReferenceDesk.MOST_PACKS; i++) {
      bring(PACK.replace("bench-notes", "notes-" + i), true).andExpect(status().isOk());
    }
    bring(PACK.replace("bench-notes", "one-more"), true)
        .andExpect(status().isBadRequest())
        .andExpect(jsonPath("$.problems[0].accepted").value(Matchers.containsString("20")));
    bring(PACK.replace("bench-notes", "notes-" + here), true).andExpect(status().isOk());
    for (int i = here; i < ReferenceDesk.MOST_PACKS; i++) {
      web.perform(delete("/api/packs/notes-" + i)).andExpect(status().isNoContent());
    }
  }

  @Test
  void aPackThatCannotBeReadAnyMoreIsToldAndTheOthersAreInUse() throws Exception {
    PackRepository rows = APP.bean(PackRepository.class);
    rows.save(new PackEntity("older", "schema: 0\nid: older\n", Instant.EPOCH));
    desk.reopen();
    assertThat(desk.pack("older").pack()).isNull();
    assertThat(desk.pack("older").on()).isFalse();
    assertThat(desk.pack("older").yaml()).contains("schema: 0");
    assertThat(desk.examiner().shelf().makers()).isNotEmpty();
    desk.remove("older");
  }

  @Test
  void whatIsMadeToHurtIsRefused() throws Exception {
    StringBuilder bomb = new StringBuilder("a: &a [x,x,x,x,x,x,x,x,x]\n");
    for (char c = 'b'; c < 'k'; c++) {
      char p = (char) (c - 1);
      bomb.append(c + ": &" + c + " [" + ("*" + p + ",").repeat(8) + "*" + p + "]\n");
    }
    bring(bomb.toString(), true).andExpect(status().isBadRequest());
    bring("[".repeat(100_000), true).andExpect(status().isBadRequest());
    bring("- *x\n".repeat(1_000_000), true).andExpect(status().isBadRequest());
    bring("# \n".repeat(3_000_000), true).andExpect(status().is(413));
    assertThat(desk.packs()).allMatch(ReferenceDesk.Held::shipped);
  }

  @Test
  void whatRestsOnAPackIsToldAndJudgedAnewWithoutIt() throws Exception {
    bring(PACK, true);
    String knife =
        READ.replace("{\"specimen\":", "")
            .strip()
            .replaceFirst("}$", "")
            .replaceFirst(
                "^\\{", "{\"seen\":{\"bail\":{\"value\":\"wire\",\"sureness\":\"sure\"}},");
    web.perform(post("/api/knives").contentType(MediaType.APPLICATION_JSON).content(knife))
        .andExpect(status().isCreated());
    web.perform(get("/api/knives"))
        .andExpect(jsonPath("$[0].summary.maker").value("Zorbelund Works"));
    web.perform(get("/api/knives/bearing?maker=zorbelund"))
        .andExpect(jsonPath("$['zb-c'].length()").value(1))
        .andExpect(jsonPath("$['zb-c'][0].number").isNumber());
    web.perform(get("/api/knives/bearing?maker=veldrake"))
        .andExpect(jsonPath("$.length()").value(0));
    web.perform(get("/api/knives/showing?feature=bail&answer=wire"))
        .andExpect(jsonPath("$.length()").value(1));
    web.perform(get("/api/knives/showing?feature=bail&answer=none"))
        .andExpect(jsonPath("$.length()").value(0));

    web.perform(delete("/api/packs/bench-notes")).andExpect(status().isNoContent());
    web.perform(get("/api/knives")).andExpect(jsonPath("$[0].summary.maker").doesNotExist());
    web.perform(get("/api/knives/bearing?maker=zorbelund"))
        .andExpect(jsonPath("$.length()").value(0));
  }

  @Test
  void aPackLaidOverAnotherCorrectsAMarkAndLeavesTheRest() throws Exception {
    bring(PACK, true);
    String over =
        PACK.replace("id: bench-notes", "id: corrections")
            .replaceFirst("(?s)            - \\{id: zb-a.*?\n", "")
            .replaceFirst("(?s)            - \\{id: zb-b.*?\n", "")
            .replace("from: 1930, to: 1940", "from: 1933, to: 1936");
    bring(over, true).andExpect(status().isOk());
    examined()
        .andExpect(jsonPath("$.mark.candidates[0].mark").value("zb-c"))
        .andExpect(jsonPath("$.mark.candidates[0].from").value(1933))
        .andExpect(jsonPath("$.mark.candidates[?(@.mark=='zb-a')]", Matchers.hasSize(1)));
    web.perform(delete("/api/packs/corrections")).andExpect(status().isNoContent());
    examined().andExpect(jsonPath("$.mark.candidates[0].from").value(1930));
    web.perform(delete("/api/packs/bench-notes")).andExpect(status().isNoContent());
  }

  @Test
  void whatAPackWouldMoveIsToldBeforeItIsTakenIn() throws Exception {
    String knife =
        web.perform(
                post("/api/knives")
                    .contentType(MediaType.APPLICATION_JSON)
                    .content(READ.replaceFirst("\\{\"specimen\":(.*)\\}\\s*$", "$1")))
            .andExpect(status().isCreated())
            .andReturn()
            .getResponse()
            .getContentAsString();
    String begun =
        web.perform(
                post("/api/trials/pack?name=notes.yaml")
                    .contentType(MediaType.APPLICATION_OCTET_STREAM)
                    .content(PACK))
            .andExpect(status().isOk())
            .andReturn()
            .getResponse()
            .getContentAsString();
    String trial = begun.replaceFirst(".*?\"id\":\"([^\"]+)\".*", "$1");
    String told = begun;
    for (int i = 0; i < 200 && !told.contains("\"state\":\"done\""); i++) {
      Thread.sleep(50);
      told =
          web.perform(get("/api/trials/" + trial)).andReturn().getResponse().getContentAsString();
    }
    assertThat(told).contains("\"moving\":1").contains("Zorbelund Works");
    assertThat(desk.packs()).noneMatch(p -> p.id().equals("bench-notes"));
    web.perform(put("/api/trials/none?running=false")).andExpect(status().isBadRequest());
    web.perform(post("/api/trials/switch?pack=nothing&on=true")).andExpect(status().isBadRequest());
    String id = knife.replaceFirst(".*?\"id\":\"([^\"]+)\".*", "$1");
    web.perform(delete("/api/knives/" + id)).andExpect(status().isNoContent());
  }
}
