package snikra.server.quick;

import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.greaterThan;
import static org.hamcrest.Matchers.hasSize;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.put;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;
import snikra.server.TestApp;
import snikra.server.reference.ReferenceDesk;
import snikra.server.sales.DemoSales;
import snikra.server.sales.SalesBook;

/** A quick look over HTTP: by what was seen, what is asked, the sales book and the wanted list. */
class QuickApiTest {
  @RegisterExtension static final TestApp APP = new TestApp();
  private final MockMvc web = APP.web();
  private final SalesBook sales = APP.bean(SalesBook.class);
  private final ReferenceDesk desk = APP.bean(ReferenceDesk.class);

  @AfterEach
  void noSaleIsLeft() {
    List.copyOf(sales.all()).forEach(s -> sales.remove(s.id(), true));
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
}
