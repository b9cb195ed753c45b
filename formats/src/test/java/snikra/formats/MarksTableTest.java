package snikra.formats;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import snikra.core.examination.Problem;
import snikra.core.reference.MarkSlip;
import snikra.core.reference.ReferenceShelf;
import snikra.core.specimen.Layout;
import snikra.core.specimen.Technique;
import snikra.formats.MarksTable.Besides;
import snikra.formats.MarksTable.MarkRow;
import snikra.formats.MarksTable.MarksRead;

/** Tables of marks as books and lists have them. */
class MarksTableTest {
  private static final ReferenceShelf SHELF = ShippedShelf.load();
  private static final Besides BOOK = new Besides(null, "UK", "A list of 1974", "reference-book");

  private static MarksRead read(String table, Besides besides, String... as) {
    return new MarksTable(SHELF, besides, 2026)
        .read("m.csv", table.getBytes(StandardCharsets.UTF_8), List.of(as));
  }

  private static MarkSlip only(String table) {
    MarksRead read = read(table, BOOK);
    assertThat(read.rows()).hasSize(1);
    assertThat(read.rows().get(0).problems()).isEmpty();
    return read.rows().get(0).slip();
  }

  private static List<String> problems(String table) {
    return read(table, BOOK).rows().get(0).problems().stream().map(Problem::field).toList();
  }

  @Test
  void aRowBecomesASlip() {
    MarkSlip slip =
        only(
            """
            Maker;Tang stamp;Back;Dates;How marked;Shape;Country;Town;Notes
            Grimblove & Ott;GRIMBLOVE / HOLLOW MERE;PATENT;1895-1910;etch;curved;Germany;Oberholm;Rare""");
    assertThat(slip.maker()).isEqualTo("Grimblove & Ott");
    assertThat(slip.lines()).containsExactly("GRIMBLOVE", "HOLLOW MERE");
    assertThat(slip.pile()).containsExactly("PATENT");
    assertThat(slip.from()).isEqualTo(1895);
    assertThat(slip.to()).isEqualTo(1910);
    assertThat(slip.technique()).isEqualTo(Technique.ETCHED);
    assertThat(slip.layout()).isEqualTo(Layout.ARCHED);
    assertThat(slip.region()).isEqualTo("DE");
    assertThat(slip.place()).isEqualTo("Oberholm");
    assertThat(slip.note()).isEqualTo("Notes: Rare");
    assertThat(slip.source()).isEqualTo("A list of 1974");
    assertThat(slip.sourceKind()).isEqualTo("reference-book");
  }

  @ParameterizedTest
  @CsvSource({
    "1895-1910, 1895, 1910, 2",
    "c. 1895-1910, 1895, 1910, 5",
    "1895 to about 1910, 1895, 1910, 5",
    "c. 1895, 1895, 1895, 5",
    "1920s, 1920, 1929, 5",
    "WWII, 1939, 1945, 2",
    "1988-present, 1988, 2026, 2",
    "1907-12, 1907, 1912, 2",
    "c. 1930-35, 1930, 1935, 5",
    "about 1930-35, 1930, 1935, 5",
  })
  void yearsAreReadAsPeopleWriteThem(String written, int from, int to, int give) {
    MarkSlip slip = only("maker,mark,years\nThrale,THRALE," + written);
    assertThat(slip.from()).isEqualTo(from);
    assertThat(slip.to()).isEqualTo(to);
    assertThat(slip.give()).isEqualTo(give);
  }

  @Test
  void eachYearMayStandInAColumnOfItsOwnWithWhatItMayBeOut() {
    MarkSlip slip = only("maker,mark,from,to,give\nThrale,THRALE,ca 1890,1904,+/- 3");
    assertThat(slip.from()).isEqualTo(1890);
    assertThat(slip.to()).isEqualTo(1904);
    assertThat(slip.give()).isEqualTo(3);
  }

  @Test
  void whatCannotBePutOnFileIsToldByItsColumn() {
    assertThat(problems("maker,Stamp,Dates\nThrale,THRALE,to 1941")).containsExactly("Dates");
    assertThat(problems("maker,Stamp,Dates\nThrale,THRALE,long ago")).containsExactly("Dates");
    assertThat(problems("maker,Stamp,Dates\nThrale,THRALE,")).containsExactly("Dates");
    assertThat(problems("maker,Stamp,Dates\nThrale,,1900-1910")).containsExactly("Stamp");
    assertThat(problems("Firm,mark,years\n,THRALE,1900-1910")).containsExactly("Firm");
    assertThat(problems("maker,Stamp,years\nThrale,THR_LE,1900-1910")).containsExactly("Stamp");
    assertThat(problems("maker,mark,years,Give\nThrale,THRALE,1900-1910,some"))
        .containsExactly("Give");
    assertThat(problems("maker,mark,From,To\nThrale,THRALE,1910,1900")).containsExactly("To");
    assertThat(problems("maker,mark,From,To\nThrale,THRALE,1910,")).containsExactly("To");
    assertThat(problems("maker,mark,From,To\nThrale,THRALE,,1910")).containsExactly("From");
    assertThat(problems("maker,mark\nThrale,THRALE")).containsExactly("Years of use");
    assertThat(read("maker,Stamp,Dates\nThrale,THRALE,to 1941", BOOK).rows().get(0).problems())
        .extracting(Problem::given)
        .containsExactly("to 1941");
  }

  @Test
  void ofAMakerNotOnFileTheCountryMustBeSaid() {
    Besides nowhere = new Besides(null, null, "A list", "forum");
    assertThat(read("maker,mark,years\nThrale,THRALE,1900-1910", nowhere).rows().get(0).problems())
        .extracting(Problem::field)
        .containsExactly("Country");
    String known = SHELF.makers().get(0).name();
    assertThat(
            read("maker,mark,years\n\"" + known + "\",NEW MARK,1900-1910", nowhere)
                .rows()
                .get(0)
                .slip())
        .isNotNull();
  }

  @Test
  void aTableOfOneMakerNeedsNoColumnForIt() {
    MarksRead read =
        read(
            "stamp,dates\nTHRALE,1890-1900\nTHRALE / WINDOVER,1900-1914",
            new Besides("Thrale", "UK", "A list", "forum"));
    assertThat(read.rows()).extracting(r -> r.slip().maker()).containsOnly("Thrale");
  }

  @Test
  void whatIsOnFileAlreadyOrStandsTwiceIsKnown() {
    var maker = SHELF.makers().get(0);
    var mark = maker.marks().get(0);
    String row =
        "\"%s\",%s,%d-%d"
            .formatted(maker.name(), String.join(" / ", mark.lines()), mark.from(), mark.to());
    MarksRead read =
        read(
            "maker,mark,years\n" + row + "\nThrale,THRALE,1900-1910\nthrale,Thrale,1900-1910",
            BOOK);
    assertThat(read.rows()).extracting(MarkRow::known).containsExactly(true, false, true);
  }

  @Test
  void aColumnIsWhatOneSaysItIsAndWhatIsNotKnownStaysInTheNote() {
    MarksRead read =
        read(
            "Maker,Stamp,Dates,Colour\nThrale,THRALE,1900-1910,blue",
            BOOK,
            "maker",
            "lines",
            "years",
            "technique");
    assertThat(read.rows().get(0).leftover()).containsExactly("Colour: blue");
    assertThat(read.rows().get(0).slip().note()).contains("Colour: blue");
    assertThat(read.rows().get(0).slip().technique()).isEqualTo(Technique.STRUCK);
  }
}
