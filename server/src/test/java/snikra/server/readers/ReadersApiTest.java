package snikra.server.readers;

import static org.hamcrest.Matchers.contains;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.hasSize;
import static org.hamcrest.Matchers.is;
import static org.hamcrest.Matchers.not;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.header;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.test.web.servlet.MockMvc;
import snikra.server.Samples;
import snikra.server.TestApp;
import snikra.server.knives.KnifeService;
import snikra.server.knives.SavedKnife;
import snikra.server.photos.PhotoRole;
import snikra.server.photos.PhotoService;
import snikra.server.photos.TestPictures;
import snikra.server.reference.ReferenceDesk;

/** What is found, as leaves of a catalogue and as records for museums. */
class ReadersApiTest {
  @RegisterExtension static final TestApp APP = new TestApp();
  private final MockMvc web = APP.web();
  private final KnifeService knives = APP.bean(KnifeService.class);
  private final PhotoService photos = APP.bean(PhotoService.class);
  private final ReferenceDesk desk = APP.bean(ReferenceDesk.class);

  @AfterEach
  void theTrayIsEmptyAgain() {
    knives.all().forEach(k -> knives.delete(k.id()));
  }

  private SavedKnife stockman(String note) {
    return knives.add(
        Samples.okkerby(
            desk,
            """
            "number":"33-3C","note":"%s","blades":[{"type":"clip"},{"type":"pen"}],
            "seen":{"handle_material":{"value":"celluloid","sureness":"sure"}}"""
                .formatted(note)));
  }

  @Test
  void aLeafTellsWhatACatalogueTells() throws Exception {
    SavedKnife knife = stockman("Preiselbeer");
    web.perform(get("/api/knives/leaves"))
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.found").value(1))
        .andExpect(jsonPath("$.leaves[0].knife.number").value(knife.number()))
        .andExpect(jsonPath("$.leaves[0].mark").value("OKKERBY / KNIFE CO. / LARKFEN FERRY"))
        .andExpect(jsonPath("$.leaves[0].stamped").value("33-3C"))
        .andExpect(jsonPath("$.leaves[0].handle").value(containsString("elluloid")))
        .andExpect(jsonPath("$.leaves[0].blades").value(2))
        .andExpect(jsonPath("$.leaves[0].country").value("United States"))
        .andExpect(jsonPath("$.leaves[0].note").value("Preiselbeer"))
        .andExpect(jsonPath("$.leaves[0].photo").doesNotExist());
  }

  @Test
  void theSideWithTheMarkShowsAKnifeBest() throws Exception {
    SavedKnife knife = stockman("with pictures");
    photos.add(knife.id(), PhotoRole.OTHER, "a.png", TestPictures.png());
    String side = photos.add(knife.id(), PhotoRole.MARK_SIDE, "b.png", TestPictures.png()).id();
    photos.add(knife.id(), PhotoRole.MARK_SIDE, "c.png", TestPictures.png());
    stockman("without");
    web.perform(get("/api/knives/leaves"))
        .andExpect(jsonPath("$.leaves[*].photo").value(contains(side)));
  }

  @Test
  void aSearchNarrowsBoth() throws Exception {
    stockman("Preiselbeer");
    stockman("Hagebutte");
    web.perform(get("/api/knives/leaves?q=hagebutte"))
        .andExpect(jsonPath("$.leaves[*].note").value(contains("Hagebutte")));
    web.perform(get("/api/knives/leaves?q=zzzz")).andExpect(jsonPath("$.leaves").value(hasSize(0)));
    web.perform(get("/api/knives/found.xml?q=hagebutte"))
        .andExpect(status().isOk())
        .andExpect(header().string("Content-Disposition", containsString("knives.lido.xml")))
        .andExpect(content().string(containsString("Hagebutte")))
        .andExpect(content().string(not(containsString("Preiselbeer"))));
  }

  @Test
  void whatCannotBeAskedIsRefusedByItsName() throws Exception {
    web.perform(get("/api/knives/leaves?in=colour:red"))
        .andExpect(status().isBadRequest())
        .andExpect(jsonPath("$.problems[0].field", is("in")));
  }
}
