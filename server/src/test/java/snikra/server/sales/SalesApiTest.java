package snikra.server.sales;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.delete;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.put;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;
import org.springframework.transaction.PlatformTransactionManager;
import snikra.core.value.KeptSale;
import snikra.server.TestApp;
import snikra.server.photos.PhotoService;
import snikra.server.photos.TestPictures;
import snikra.server.reference.ReferenceDesk;
import tools.jackson.databind.JsonNode;

class SalesApiTest {
  private static final String SOLD =
      """
      {"knife": {"described": "A like jack", "price": 100, "currency": "GBP", "sold": "2025"}%s}
      """;
  private static final String TABLE =
      """
      Item;Sold for;Date;Condition
      Jack, two blades;\u00a3 45;May 2024;VG
      Jack, bone;sixty;2023;Good
      Pen knife;1.200,50 EUR;14.5.2023;as new
      """;

  @RegisterExtension static final TestApp APP = new TestApp();
  private final MockMvc web = APP.web();
  private final SalesBook book = APP.bean(SalesBook.class);
  private final ReferenceDesk desk = APP.bean(ReferenceDesk.class);

  @AfterEach
  void theBookIsEmptyAgain() {
    book.all().stream().map(KeptSale::id).toList().forEach(id -> book.remove(id, true));
  }

  private String add(String body) throws Exception {
    UUID id = UUID.randomUUID();
    web.perform(post("/api/sales?id=" + id).contentType(MediaType.APPLICATION_JSON).content(body))
        .andExpect(status().isCreated())
        .andExpect(jsonPath("$.id").value(id.toString()));
    return id.toString();
  }

  private ResultActions table(String more) throws Exception {
    return web.perform(
        post("/api/sales/table?currency=GBP" + more)
            .contentType(MediaType.APPLICATION_OCTET_STREAM)
            .content(TABLE.getBytes(StandardCharsets.UTF_8)));
  }

  private ResultActions valued() throws Exception {
    return web.perform(
        post("/api/examine")
            .contentType(MediaType.APPLICATION_JSON)
            .content("{\"specimen\":{\"frame\":\"canoe\"}}"));
  }

  @Test
  void aSaleIsEnteredOnceAndValuesEveryKnife() throws Exception {
    valued().andExpect(jsonPath("$.value.counted").value(0));
    String fingerprint = desk.fingerprint();
    String id = add(SOLD.formatted(", \"premium\": 20"));
    assertThat(desk.fingerprint()).isNotEqualTo(fingerprint);
    valued()
        .andExpect(jsonPath("$.value.counted").value(1))
        .andExpect(jsonPath("$.value.sales[0].id").value(id))
        .andExpect(jsonPath("$.value.sales[0].price").value(120));
    book.reopen();
    desk.reopen();
    valued().andExpect(jsonPath("$.value.counted").value(1));
  }

  @Test
  void sentTwiceItIsKeptOnce() throws Exception {
    String id = add(SOLD.formatted(""));
    web.perform(
            post("/api/sales?id=" + id)
                .contentType(MediaType.APPLICATION_JSON)
                .content(SOLD.formatted("")))
        .andExpect(status().isCreated());
    assertThat(book.all()).hasSize(1);
  }

  @Test
  void aSaleIsChangedTakenOutAndPutBack() throws Exception {
    String id = add(SOLD.formatted(""));
    web.perform(
            put("/api/sales/" + id)
                .contentType(MediaType.APPLICATION_JSON)
                .content(SOLD.formatted("").replace("100", "80")))
        .andExpect(jsonPath("$.sale.knife.price").value(80));
    web.perform(delete("/api/sales/" + id)).andExpect(status().isNoContent());
    valued().andExpect(jsonPath("$.value.counted").value(0));
    web.perform(post("/api/sales/" + id + "/restore")).andExpect(status().isNoContent());
    web.perform(get("/api/sales")).andExpect(jsonPath("$[0].id").value(id));
    web.perform(delete("/api/sales/nobody"))
        .andExpect(status().isBadRequest())
        .andExpect(jsonPath("$.problems[0].field").value("sale"));
  }

  @Test
  void whatIsNoSaleIsRefusedByItsField() throws Exception {
    web.perform(
            post("/api/sales?id=" + UUID.randomUUID())
                .contentType(MediaType.APPLICATION_JSON)
                .content(SOLD.formatted("").replace("\"2025\"", "\"soon\"")))
        .andExpect(status().isBadRequest())
        .andExpect(jsonPath("$.problems[0].field").value("knife.sold"));
    web.perform(
            post("/api/sales?id=" + UUID.randomUUID())
                .contentType(MediaType.APPLICATION_JSON)
                .content(SOLD.formatted(", \"premium\": 900")))
        .andExpect(jsonPath("$.problems[0].field").value("premium"));
    assertThat(book.all()).isEmpty();
  }

  @Test
  void aTableIsLookedAtTakenInOnceAndOutInOneStep() throws Exception {
    table("")
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.read.separator").value("semicolon"))
        .andExpect(jsonPath("$.read.columns[1].field").value("price"))
        .andExpect(jsonPath("$.rows").value(3))
        .andExpect(jsonPath("$.good").value(2))
        .andExpect(jsonPath("$.refused").value(1))
        .andExpect(jsonPath("$.leftover").value(1))
        .andExpect(jsonPath("$.read.rows[0].problems[0].given").value("sixty"))
        .andExpect(jsonPath("$.read.rows[0].line").value(3))
        .andExpect(jsonPath("$.batch").doesNotExist());
    assertThat(book.all()).isEmpty();
    String answer =
        table("&keep=true").andReturn().getResponse().getContentAsString(StandardCharsets.UTF_8);
    JsonNode told = snikra.formats.Json.mapper().readTree(answer);
    assertThat(book.all()).hasSize(2);
    table("&keep=true")
        .andExpect(jsonPath("$.known").value(2))
        .andExpect(jsonPath("$.batch").doesNotExist());
    String batch = told.path("batch").asString("");
    web.perform(delete("/api/sales/table/" + batch)).andExpect(status().isNoContent());
    assertThat(book.all()).isEmpty();
    web.perform(post("/api/sales/table/" + batch + "/restore")).andExpect(status().isNoContent());
    assertThat(book.all()).hasSize(2);
    web.perform(delete("/api/sales/table/none"))
        .andExpect(jsonPath("$.problems[0].field").value("batch"));
  }

  @Test
  void columnsCanBeTakenForSomethingElse() throws Exception {
    table("&columns=described,left-out,sold,note").andExpect(jsonPath("$.good").value(0));
    table("&columns=described,price")
        .andExpect(status().isBadRequest())
        .andExpect(jsonPath("$.problems[0].field").value("columns"));
  }

  @Test
  void theBookGoesOutAsATableThatComesBack() throws Exception {
    add(
        SOLD.formatted(", \"premium\": 20, \"source\": \"=a list\"")
            .replace("A like jack", "A \\\"like\\\" jack, bone"));
    String csv =
        web.perform(get("/api/sales/table"))
            .andExpect(status().isOk())
            .andReturn()
            .getResponse()
            .getContentAsString(StandardCharsets.UTF_8);
    assertThat(csv).contains("\"A \"\"like\"\" jack, bone\"").contains(",'=a list");
    web.perform(
            post("/api/sales/table?currency=EUR")
                .contentType(MediaType.APPLICATION_OCTET_STREAM)
                .content(csv.getBytes(StandardCharsets.UTF_8)))
        .andExpect(jsonPath("$.good").value(1))
        .andExpect(jsonPath("$.known").value(1));
  }

  @Test
  void aSaleLeftOutIsNotWeighedWhetherInTheBookOrWithTheKnife() throws Exception {
    String id = add(SOLD.formatted(""));
    String own =
        "{\"specimen\":{\"frame\":\"canoe\",\"comparables\":[{\"described\":\"own\",\"price\":50,\"currency\":\"GBP\"}]},\"without\":[%s]}";
    examined(own.formatted("")).andExpect(jsonPath("$.value.counted").value(2));
    examined(own.formatted("\"" + id + "\""))
        .andExpect(jsonPath("$.value.sales[0].id").value("sale-1"))
        .andExpect(jsonPath("$.value.counted").value(1));
    examined(own.formatted("\"sale-1\""))
        .andExpect(jsonPath("$.value.sales[0].id").value(id))
        .andExpect(jsonPath("$.value.counted").value(1));
  }

  private ResultActions examined(String body) throws Exception {
    return web.perform(post("/api/examine").contentType(MediaType.APPLICATION_JSON).content(body));
  }

  private ResultActions top(String plan) throws Exception {
    return web.perform(
        post("/api/top-price")
            .contentType(MediaType.APPLICATION_JSON)
            .content("{\"specimen\":{\"frame\":\"canoe\"},\"plan\":" + plan + "}"));
  }

  @Test
  void theMostToPayIsToldWhereThereIsAValue() throws Exception {
    String plan =
        "{\"margin\":25,\"fees\":10,\"postage\":5,\"restoration\":0,\"restored\":0,\"goesWell\":0}";
    top(plan)
        .andExpect(status().isBadRequest())
        .andExpect(jsonPath("$.problems[0].field").value("specimen"));
    add(SOLD.formatted(""));
    top(plan).andExpect(status().isOk()).andExpect(jsonPath("$.even").isNumber());
    top(plan.replace("25", "-3"))
        .andExpect(status().isBadRequest())
        .andExpect(jsonPath("$.problems[0].field").value("plan.margin"))
        .andExpect(jsonPath("$.problems[0].given").value("-3.0"));
    top("{}").andExpect(jsonPath("$.problems[0].field").value("plan"));
  }

  @Test
  void aPriceOfAnotherYearIsToldInMoneyOfTodayOrWhyNot() throws Exception {
    web.perform(get("/api/price-then?country=us&amount=1.50&year=1913&worth=48"))
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.today.amount").value(48.8))
        .andExpect(jsonPath("$.today.unit").value("dollars"))
        .andExpect(jsonPath("$.growth").isNumber());
    web.perform(get("/api/price-then?country=us&amount=1.50&year=1913"))
        .andExpect(jsonPath("$.growth").doesNotExist());
    web.perform(get("/api/price-then?country=de&amount=3&year=1905"))
        .andExpect(status().isBadRequest())
        .andExpect(jsonPath("$.problems[0].field").value("year"));
    web.perform(get("/api/price-then?country=us&amount=dear&year=1905"))
        .andExpect(jsonPath("$.problems[0].field").value("amount"));
    web.perform(get("/api/price-then/countries"))
        .andExpect(jsonPath("$[0].from").value(1860))
        .andExpect(jsonPath("$[2].units[1].per").doesNotExist());
  }

  @Test
  void theSampleSalesAreAllOfKnownMakersAndPatternsAndComeOnce() throws Exception {
    DemoSales.fill(book, desk.examiner().shelf());
    assertThat(book.all())
        .hasSizeGreaterThanOrEqualTo(40)
        .allMatch(s -> s.sale().knife().maker() != null && s.sale().knife().pattern() != null)
        .allMatch(s -> s.sale().note() == null);
    int many = book.all().size();
    DemoSales.fill(book, desk.examiner().shelf());
    assertThat(book.all()).hasSize(many);
  }

  private ResultActions picture(String sale, byte[] file) throws Exception {
    return web.perform(
        post("/api/sales/" + sale + "/pictures?name=lot.png")
            .contentType(MediaType.APPLICATION_OCTET_STREAM)
            .content(file));
  }

  private long months(int many) {
    Clock then = Clock.offset(Clock.systemUTC(), Duration.ofDays(30L * many + 1));
    PhotoService photos = APP.bean(PhotoService.class);
    SaleRepository kept = APP.bean(SaleRepository.class);
    new SalesBook(kept, APP.bean(PlatformTransactionManager.class), all -> {}, then)
        .throwAway(photos::forgetOfSale);
    return photos.check().originals();
  }

  @Test
  void aSaleHasPicturesThatGoWhereItGoes() throws Exception {
    String id = add(SOLD.formatted(""));
    String other = add(SOLD.formatted(""));
    picture(UUID.randomUUID().toString(), TestPictures.png()).andExpect(status().isBadRequest());
    picture(id, new byte[] {1, 2}).andExpect(status().isBadRequest());
    picture(id, TestPictures.png())
        .andExpect(status().isCreated())
        .andExpect(jsonPath("$.fileName").value("lot.png"));
    web.perform(get("/api/sales/pictures")).andExpect(jsonPath("$[0].sale").value(id));
    String photo = APP.bean(PhotoService.class).ofSales().get(0).photo().id();
    web.perform(get("/api/photos/" + photo + "/original"))
        .andExpect(content().bytes(TestPictures.png()));
    web.perform(delete("/api/photos/" + photo)).andExpect(status().isNoContent());
    web.perform(get("/api/sales/pictures")).andExpect(jsonPath("$").isEmpty());
    web.perform(post("/api/photos/" + photo + "/restore"));
    web.perform(get("/api/sales/pictures")).andExpect(jsonPath("$[0].photo.id").value(photo));
    // Out of the book its picture is not told of, and goes with it for good after thirty days.
    book.remove(id, true);
    web.perform(get("/api/sales/pictures")).andExpect(jsonPath("$").isEmpty());
    assertThat(months(0)).isEqualTo(1);
    book.remove(id, false);
    assertThat(months(1)).isEqualTo(1);
    web.perform(get("/api/sales/pictures")).andExpect(jsonPath("$.length()").value(1));
    book.remove(id, true);
    assertThat(months(1)).isZero();
    assertThat(book.all()).extracting(KeptSale::id).containsExactly(other);
  }

  @Test
  void theSalesAreTriedOnOneAnother() throws Exception {
    for (int i = 0; i < 4; i++) {
      add(SOLD.formatted("").replace("100", "" + (90 + 10 * i)));
    }
    web.perform(post("/api/sales/check"))
        .andExpect(jsonPath("$.knives").value(4))
        .andExpect(jsonPath("$.error").isNumber());
  }
}
