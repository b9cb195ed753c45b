package snikra.server.quick;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.greaterThan;
import static org.hamcrest.Matchers.hasSize;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.delete;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.put;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.header;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.StreamSupport;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;
import snikra.core.reference.Maker;
import snikra.formats.Json;
import snikra.server.TestApp;
import snikra.server.reference.ReferenceDesk;
import snikra.server.sales.DemoSales;
import snikra.server.sales.SalesBook;
import snikra.server.wanted.WantedList;
import tools.jackson.databind.JsonNode;

/** A quick look over HTTP: by what was seen, what is asked, the sales book and the wanted list. */
class QuickApiTest {
  @RegisterExtension static final TestApp APP = new TestApp();
  private final MockMvc web = APP.web();
  private final SalesBook sales = APP.bean(SalesBook.class);
  private final ReferenceDesk desk = APP.bean(ReferenceDesk.class);

  @AfterEach
  void nothingIsLeft() throws Exception {
    List.copyOf(sales.all()).forEach(s -> sales.remove(s.id(), true));
    for (WantedList.KeptWant want : APP.bean(WantedList.class).everything()) {
      web.perform(delete("/api/wanted/" + want.id())).andExpect(status().isNoContent());
    }
  }

  private ResultActions look(String query) throws Exception {
    return web.perform(get("/api/quick/look" + query));
  }

  @Test
  void theChecksAreToldInTheOrderOfTheHand() throws Exception {
    web.perform(get("/api/quick"))
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.checks").value(hasSize(6)))
        .andExpect(jsonPath("$.checks[0].id").value("maker"))
        .andExpect(jsonPath("$.checks[0].answers").value(hasSize(3)))
        .andExpect(jsonPath("$.cautions").value(hasSize(greaterThan(0))));
  }

  @Test
  void withoutSalesNoPriceIsMadeUp() throws Exception {
    look("?a=blades:full&asked=5")
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.verdict.pay").doesNotExist())
        .andExpect(jsonPath("$.verdict.call").value("look-closer"))
        .andExpect(jsonPath("$.verdict.next").value("maker"));
    look("?a=maker:low&a=blades:gone&a=original:put-together")
        .andExpect(jsonPath("$.verdict.call").value("put-down"))
        .andExpect(jsonPath("$.verdict.reason").value(containsString("blade")));
  }

  @Test
  void theSalesBookSaysWhatToPayAndTheAskedPriceDecides() throws Exception {
    DemoSales.fill(sales, desk.examiner().shelf());
    String good = "?maker=veldrake&a=blades:full&a=build:solid&a=original:all";
    look(good)
        .andExpect(jsonPath("$.verdict.pay").value(greaterThan(0.0)))
        .andExpect(jsonPath("$.currency").value("GBP"));
    look(good + "&asked=1").andExpect(jsonPath("$.verdict.call").value("buy"));
    look(good + "&asked=1&money=GBP").andExpect(jsonPath("$.verdict.call").value("buy"));
    look(good + "&asked=1250&money=USD")
        .andExpect(status().isBadRequest())
        .andExpect(jsonPath("$.problems[0].field").value("asked"))
        .andExpect(jsonPath("$.problems[0].given").value("1250 USD"));
    look(good + "&asked=5000").andExpect(jsonPath("$.verdict.call").value("put-down"));
  }

  @Test
  void whatOneLooksForOfTheMakerIsNamed() throws Exception {
    web.perform(
            put("/api/wanted/" + UUID.randomUUID())
                .contentType(MediaType.APPLICATION_JSON)
                .content(
                    "{\"maker\":\"okkerby\",\"model\":\"33-3J\",\"most\":220,\"currency\":\"GBP\"}"))
        .andExpect(status().isOk());
    look("?maker=okkerby").andExpect(jsonPath("$.wanted[0].want.most").value(220));
    look("?maker=veldrake").andExpect(jsonPath("$.wanted").value(hasSize(0)));
    look("").andExpect(jsonPath("$.wanted").value(hasSize(0)));
  }

  @Test
  void whatIsNotAmongTheAnswersIsRefusedByName() throws Exception {
    look("?a=blades:blue")
        .andExpect(status().isBadRequest())
        .andExpect(jsonPath("$.problems[0].field").value("blades"));
    look("?a=smell").andExpect(status().isBadRequest());
    look("?maker=nobody").andExpect(status().isBadRequest());
    look("?asked=-1").andExpect(status().isBadRequest());
    look("?asked=much").andExpect(status().isBadRequest());
    look("?asked=NaN").andExpect(status().isBadRequest());
  }

  private String pocket() throws Exception {
    return web.perform(get("/api/quick/pocket.html"))
        .andExpect(status().isOk())
        .andExpect(header().string("Content-Disposition", containsString("snikra-pocket.html")))
        .andReturn()
        .getResponse()
        .getContentAsString(StandardCharsets.UTF_8);
  }

  private static JsonNode held(String page) {
    String begin = "<script type=\"application/json\" id=\"held\">";
    int from = page.indexOf(begin) + begin.length();
    return Json.mapper().readTree(page.substring(from, page.indexOf("</script>", from)));
  }

  @Test
  void thePocketFileHoldsPricesOfMakersOfWhomASaleIsKnown() throws Exception {
    assertThat(held(pocket()).has("ordinary")).isFalse();
    DemoSales.fill(sales, desk.examiner().shelf());
    JsonNode held = held(pocket());
    assertThat(held.path("ordinary").asDouble()).isPositive();
    Set<String> sold =
        sales.all().stream().map(s -> s.sale().knife().maker()).collect(Collectors.toSet());
    for (Maker maker : desk.examiner().shelf().makers()) {
      JsonNode told =
          StreamSupport.stream(held.path("makers").spliterator(), false)
              .filter(m -> m.path("name").asString("").equals(maker.name()))
              .findFirst()
              .orElseThrow();
      assertThat(told.has("ordinary")).as(maker.name()).isEqualTo(sold.contains(maker.id()));
      assertThat(told.path("marks").size()).isEqualTo(maker.marks().size());
    }
    look("?maker=veldrake&asked=1")
        .andExpect(
            jsonPath("$.ordinary")
                .value(
                    StreamSupport.stream(held.path("makers").spliterator(), false)
                        .filter(m -> m.path("name").asString("").equals("Veldrake Knife Works"))
                        .findFirst()
                        .orElseThrow()
                        .path("ordinary")
                        .asDouble()));
  }

  @Test
  void thePocketFileAsksNothingOfAnyoneAndNothingInItEndsItsScript() throws Exception {
    web.perform(
            put("/api/wanted/" + UUID.randomUUID())
                .contentType(MediaType.APPLICATION_JSON)
                .content("{\"note\":\"</script><b>green\",\"most\":45,\"currency\":\"GBP\"}"))
        .andExpect(status().isOk());
    String page = pocket();
    assertThat(page).contains("default-src 'none'").doesNotContain("http://", "https://");
    assertThat(page).doesNotContain("</script><b>");
    assertThat(held(page).path("wanted"))
        .anySatisfy(
            w -> {
              assertThat(w.path("what").asString("")).isEqualTo("</script><b>green");
              assertThat(w.path("most").asString("")).isEqualTo("45 GBP");
            });
    assertThat(page.getBytes(StandardCharsets.UTF_8).length).isLessThan(3_000_000);
  }

  private String card(String language) throws Exception {
    byte[] pdf =
        web.perform(get("/api/quick/card.pdf").header("Accept-Language", language))
            .andExpect(status().isOk())
            .andExpect(header().string("Content-Disposition", containsString("snikra-card.pdf")))
            .andReturn()
            .getResponse()
            .getContentAsByteArray();
    try (PDDocument read = Loader.loadPDF(pdf)) {
      assertThat(read.getNumberOfPages()).isEqualTo(2);
      PDRectangle size = read.getPage(0).getMediaBox();
      assertThat(size.getWidth() / 72 * 25.4).isCloseTo(105, within(0.5));
      assertThat(size.getHeight() / 72 * 25.4).isCloseTo(148, within(0.5));
      return new PDFTextStripper().getText(read).replace('\u00a0', ' ');
    }
  }

  @Test
  void aCardHasTheMarksOfAllOnFileUntilOneIsLookedFor() throws Exception {
    assertThat(card("en-GB"))
        .contains("Veldrake Knife Works", "Nothing is looked for")
        .doesNotContain("VELDRAKE");
    want("{\"maker\":\"quastenbeck-nachf\",\"most\":1250,\"currency\":\"GBP\"}");
    assertThat(card("en-GB"))
        .contains("Looked for", "at most \u00a31,250", "QUASTENBECK / ", "Veldrake Knife Works")
        .doesNotContain("VELDRAKE")
        .contains(desk.examiner().shelf().maker("quastenbeck-nachf").orElseThrow().name());
    assertThat(card("de-DE")).contains("1.250 \u00a3");
  }

  @Test
  void whatDoesNotFitOnACardIsCounted() throws Exception {
    for (int i = 0; i < 60; i++) {
      want("{\"note\":\"an odd one, <b>&amp;</b> \u65e5\"}");
    }
    assertThat(card("en-GB"))
        .contains("an odd one, <b>&amp;</b>", "more, for which there is no room");
  }

  private void want(String want) throws Exception {
    web.perform(
            put("/api/wanted/" + UUID.randomUUID())
                .contentType(MediaType.APPLICATION_JSON)
                .content(want))
        .andExpect(status().isOk());
  }
}
