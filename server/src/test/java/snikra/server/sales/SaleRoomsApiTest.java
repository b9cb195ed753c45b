package snikra.server.sales;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.delete;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.function.Function;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;
import snikra.core.reference.ReferenceShelf;
import snikra.core.value.KeptSale;
import snikra.formats.SalesTable;
import snikra.formats.SalesTable.RowRead;
import snikra.formats.ShippedShelf;
import snikra.server.TestApp;

class SaleRoomsApiTest {
  private static final String REPORT =
      """
      Description\tSold for\tDate\tSource
      A jack, bone\tGBP 45\t2026-11-19\tQuist rooms, lot 4
      A whittler\tpassed\t2026-11-19\tQuist rooms, lot 5
      A canoe\tGBP 80\t2026-11-19\tQuist rooms, lot 6
      """;

  @RegisterExtension static final TestApp APP = new TestApp();
  private final MockMvc web = APP.web();
  private final SalesBook book = APP.bean(SalesBook.class);
  private final Path folder = APP.bean(Path.class).resolve("sale-rooms");

  @AfterEach
  void allIsAsItWas() throws IOException {
    book.all().stream().map(KeptSale::id).toList().forEach(id -> book.remove(id, true));
    if (Files.isDirectory(folder)) {
      try (Stream<Path> files = Files.list(folder)) {
        for (Path file : files.toList()) {
          Files.delete(file);
        }
      }
    }
  }

  private void lies(String file, String report) throws IOException {
    Files.createDirectories(folder);
    Files.writeString(folder.resolve(file), report);
  }

  private ResultActions ask(String room, boolean keep) throws Exception {
    return web.perform(post("/api/sales/rooms/{room}?currency=GBP&keep={keep}", room, keep));
  }

  @Test
  void inARealTrayNothingMadeUpIsOffered() throws Exception {
    web.perform(get("/api/sales/rooms")).andExpect(jsonPath("$").isEmpty());
  }

  @Test
  void aReportThatLiesInTheFolderIsARoom() throws Exception {
    lies("Quist rooms.tsv", REPORT);
    lies("notes.txt", "not a report");
    web.perform(get("/api/sales/rooms"))
        .andExpect(jsonPath("$.length()").value(1))
        .andExpect(jsonPath("$[0].id").value("Quist rooms"))
        .andExpect(jsonPath("$[0].label").value("Quist rooms"))
        .andExpect(jsonPath("$[0].standIn").value(false));
    ask("Quist rooms", false)
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.good").value(2))
        .andExpect(jsonPath("$.refused").value(0))
        .andExpect(jsonPath("$.unsold").value(1))
        .andExpect(jsonPath("$.read.rows[1].unsold").value(true))
        .andExpect(jsonPath("$.batch").doesNotExist());
    assertThat(book.all()).isEmpty();
  }

  @Test
  void askedAgainItTellsOnlyWhatIsNew() throws Exception {
    lies("quist.tsv", REPORT);
    ask("quist", true).andExpect(jsonPath("$.known").value(0));
    assertThat(book.all()).hasSize(2);
    ask("quist", true)
        .andExpect(jsonPath("$.known").value(2))
        .andExpect(jsonPath("$.batch").doesNotExist());
    lies("quist.tsv", REPORT + "A lobster\tGBP 30\t2026-11-26\tQuist rooms, lot 1\n");
    ask("quist", true).andExpect(jsonPath("$.known").value(2));
    assertThat(book.all()).hasSize(3);
  }

  @Test
  void whatWasTakenOutByItselfStaysOutAndAWholeReportMayComeAgain() throws Exception {
    lies("quist.tsv", REPORT);
    ask("quist", true);
    web.perform(delete("/api/sales/" + book.all().get(0).id()));
    ask("quist", false).andExpect(jsonPath("$.known").value(2));

    String batch =
        book.addAll(
            new SalesTable(shelf(), "GBP")
                    .read(
                        "x",
                        "Description\tSold for\nA pen\tGBP 9\nA pruner\tGBP 8\n"
                            .getBytes(StandardCharsets.UTF_8),
                        List.of())
                    .rows()
                    .stream()
                    .map(RowRead::sale)
                    .toList());
    lies("whole.tsv", "Description\tSold for\nA pen\tGBP 9\nA pruner\tGBP 8\n");
    ask("whole", false).andExpect(jsonPath("$.known").value(2));
    web.perform(delete("/api/sales/table/" + batch));
    ask("whole", false).andExpect(jsonPath("$.known").value(0));
  }

  @Test
  void aRoomThatIsNotThereIsNamedWithThoseThatAre() throws Exception {
    lies("quist.tsv", REPORT);
    ask("other", false)
        .andExpect(status().isBadRequest())
        .andExpect(jsonPath("$.problems[0].field").value("room"))
        .andExpect(jsonPath("$.problems[0].accepted", containsString("quist")));
  }

  @Test
  void tooLongAReportIsNotReadAndSaid() throws Exception {
    lies("long.tsv", "x".repeat(2_000_001));
    ask("long", false)
        .andExpect(status().isServiceUnavailable())
        .andExpect(jsonPath("$.detail", containsString("more than 2 MB")));
  }

  @Test
  void theStandInSellsEveryThursdayAndTellsADayTheSameEachTime() {
    SimulatedRoom room = new SimulatedRoom(SaleRoomsApiTest::shelf);
    LocalDate thursday = LocalDate.of(2026, 11, 26);
    String day = room.report(thursday, thursday);
    assertThat(day.lines()).hasSize(7);
    assertThat(room.report(thursday.plusDays(1), thursday.plusDays(6)).lines()).hasSize(1);
    String month = room.report(thursday.minusDays(30), thursday);
    assertThat(month.lines()).hasSize(31);
    assertThat(month).endsWith(day.substring(day.indexOf('\n') + 1));
  }

  /** Every word it uses is understood; what is no sale was passed. */
  @Test
  void whatTheStandInTellsIsReadAsAnyTable() {
    String told =
        new SimulatedRoom(SaleRoomsApiTest::shelf)
            .report(LocalDate.of(2026, 1, 1), LocalDate.of(2026, 6, 30));
    var rows =
        new SalesTable(shelf(), "GBP")
            .read("room", told.getBytes(StandardCharsets.UTF_8), List.of())
            .rows();
    assertThat(rows).hasSizeGreaterThan(100).allMatch(r -> r.leftover().isEmpty());
    assertThat(rows).allMatch(r -> r.unsold() == (r.sale() == null)).anyMatch(RowRead::unsold);
    Function<RowRead, Object> maker = r -> r.sale().knife().maker();
    assertThat(rows.stream().filter(r -> r.sale() != null).map(maker)).doesNotContainNull();
  }

  private static ReferenceShelf shelf() {
    return ShippedShelf.load();
  }
}
