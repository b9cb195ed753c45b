package snikra.server.knives;

import static org.hamcrest.Matchers.contains;
import static org.hamcrest.Matchers.empty;
import static org.hamcrest.Matchers.everyItem;
import static org.hamcrest.Matchers.hasItems;
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

/** What there may be of a maker, held against the tray. */
class SetsApiTest {
  private static final String STOCKMAN = "$.board.rows[?(@.model=='33-3C')]";
  private static final String STRAIGHT = STOCKMAN + ".cells[?(@.mark=='ok-straight')]";
  @RegisterExtension static final TestApp APP = new TestApp();
  private final MockMvc web = APP.web();
  private final KnifeService knives = APP.bean(KnifeService.class);
  private final ReferenceDesk desk = APP.bean(ReferenceDesk.class);

  @AfterEach
  void theTrayIsEmptyAgain() {
    knives.all().forEach(k -> knives.delete(k.id()));
  }

  private SavedKnife stockman(String number) {
    String fields = "\"number\":\"%s\",\"condition\":{\"blade-wear\":\"half\"}".formatted(number);
    return knives.add(Samples.okkerby(desk, fields));
  }

  private ResultActions set(String query) throws Exception {
    return web.perform(get("/api/sets/okkerby" + query)).andExpect(status().isOk());
  }

  @Test
  void withoutAKnifeEveryPlaceIsMissingOrNeverWas() throws Exception {
    set("")
        .andExpect(jsonPath("$.board.owned").value(0))
        .andExpect(jsonPath(STRAIGHT + ".stand").value(contains("missing")))
        .andExpect(
            jsonPath(STOCKMAN + ".cells[?(@.mark=='ok-founder')].stand").value(contains("never")))
        .andExpect(jsonPath("$.drawn['33-3C'].frame").isNotEmpty());
    web.perform(get("/api/sets")).andExpect(jsonPath("$[*].owned").value(everyItem(is(0))));
  }

  @Test
  void aKnifeFillsItsPlaceUntilItIsTakenOut() throws Exception {
    SavedKnife knife = stockman("33-3C");
    set("")
        .andExpect(jsonPath(STRAIGHT + ".stand").value(contains("owned")))
        .andExpect(jsonPath(STRAIGHT + ".held[0].number").value(contains(knife.number())))
        .andExpect(jsonPath("$.board.owned").value(1));
    web.perform(get("/api/sets"))
        .andExpect(jsonPath("$[?(@.maker=='okkerby')].owned").value(contains(1)));
    knives.delete(knife.id());
    set("").andExpect(jsonPath(STRAIGHT + ".held[*]").value(empty()));
  }

  @Test
  void aNumberThatIsNotOnFileFillsNoModel() throws Exception {
    SavedKnife knife = stockman("99-9X");
    set("")
        .andExpect(jsonPath("$.board.owned").value(0))
        .andExpect(
            jsonPath("$.board.rows[0].cells[?(@.mark=='ok-straight')].held[0].number")
                .value(contains(knife.number())))
        .andExpect(jsonPath(STRAIGHT + ".held[*]").value(empty()));
  }

  @Test
  void aBetterOneIsWantedFromAGradeThatIsAskedFor() throws Exception {
    stockman("33-3C");
    set("?atLeast=mint").andExpect(jsonPath(STRAIGHT + ".stand").value(contains("better-wanted")));
    set("?atLeast=poor").andExpect(jsonPath(STRAIGHT + ".stand").value(contains("owned")));
    web.perform(get("/api/sets/okkerby?atLeast=shiny"))
        .andExpect(status().isBadRequest())
        .andExpect(jsonPath("$.problems[0].given").value("shiny"));
    web.perform(get("/api/sets/nobody"))
        .andExpect(status().isBadRequest())
        .andExpect(jsonPath("$.problems[0].given").value("nobody"));
  }

  @Test
  void aYearTellsItsMarksAndCodesAndRefusesOnesYet() throws Exception {
    web.perform(get("/api/sets/of-year/1935"))
        .andExpect(status().isOk())
        .andExpect(
            jsonPath("$.makers[?(@.maker=='okkerby')].marks[*].mark")
                .value(hasItems("ok-lf", "ok-lf-usa")))
        .andExpect(jsonPath("$.makers[?(@.maker=='okkerby')].codes[0].codes[0]").isNotEmpty());
    for (String year : new String[] {"1699", "2999", "soon"}) {
      web.perform(get("/api/sets/of-year/" + year)).andExpect(status().isBadRequest());
    }
  }
}
