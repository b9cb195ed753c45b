package snikra.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import snikra.core.reference.ReferenceShelf;
import snikra.core.specimen.ComparableSale;
import snikra.core.specimen.Venue;
import snikra.core.value.Sale;
import snikra.formats.SalesTable.RowRead;
import snikra.formats.SalesTable.SalesRead;

/** Tables of odd shapes. */
class SalesTableTest {
  private static final ReferenceShelf SHELF = ShippedShelf.load();
  private static final SalesTable POUNDS = new SalesTable(SHELF, "GBP");

  private static SalesRead read(String table) {
    return POUNDS.read("t.csv", table.getBytes(StandardCharsets.UTF_8), List.of());
  }

  private static List<String> fields(SalesRead read) {
    return read.columns().stream().map(ColumnRead::field).toList();
  }

  private static Sale only(SalesRead read) {
    assertThat(read.rows()).hasSize(1);
    assertThat(read.rows().get(0).problems()).isEmpty();
    return read.rows().get(0).sale();
  }

  @Test
  void aLotThatWasPassedIsNoSaleAndNoMistake() {
    SalesRead read = read("Item;Sold for\nJack;Passed\nPen;bought in\nCanoe;dear\nBarlow;45\n");
    assertThat(read.rows()).extracting(RowRead::unsold).containsExactly(true, true, false, false);
    assertThat(read.rows().get(0).sale()).isNull();
    assertThat(read.rows().get(0).problems()).isEmpty();
    assertThat(read.rows().get(2).problems()).hasSize(1);
  }

  @Test
  void commasQuotesAndEverythingKnown() {
    Sale sale =
        only(
            read(
                """
                Description,Sold for,Buyer's premium,Sale date,Make,Type,Years made,Condition,Handle,Box,Where,Remarks
                "Jack, ""two"" blades","$1,200.50",25%,14 May 2024,Veldrake Knife Works,Barlow,c. 1905,VG,"bone, jigged",no box,Autumn sale,nice
                """));
    assertThat(sale.knife().described()).isEqualTo("Jack, \"two\" blades");
    assertThat(sale.knife().price()).isEqualByComparingTo("1200.50");
    assertThat(sale.knife().currency()).isEqualTo("USD");
    assertThat(sale.all().price()).isEqualByComparingTo("1500.625");
    assertThat(sale.knife().sold().written()).isEqualTo("2024-05-14");
    assertThat(sale.knife().maker()).isEqualTo("veldrake");
    assertThat(sale.knife().pattern()).isEqualTo("barlow");
    assertThat(sale.knife().made().written()).isEqualTo("1905~");
    assertThat(sale.knife().grade()).isEqualTo("very-good");
    assertThat(sale.knife().handle()).isEqualTo("bone-jigged");
    assertThat(sale.knife().box()).isEqualTo("none");
    assertThat(sale.source()).isEqualTo("Autumn sale");
    assertThat(sale.note()).contains("Remarks: nice");
  }

  @Test
  void howLongItWasWhatWasDoneToItAndWhereItWasSold() {
    SalesRead read =
        read(
            """
            Item,Price,Size,Originality,Kind of sale
            A jack,45,3.5,rehandled; blade shortened,Auction
            A pen,30,3 1/4,all original,flea market
            A stockman,80,88 mm,Handle replaced + put together from two,knife show
            A barlow,20,long,repaired by me,from my uncle
            A canoe,25,,,
            """);
    // Under "repaired" it says the opposite of what it says under "original".
    assertThat(only(read("Item,Price,Repaired\nA jack,45,yes\n")).knife().done()).isNull();
    assertThat(only(read("Item,Price,Repairs\nA jack,45,none\n")).knife().done()).isEmpty();
    List<ComparableSale> sold = read.rows().stream().map(r -> r.sale().knife()).toList();
    assertThat(sold.get(0).length().mm()).isEqualTo(88.9);
    assertThat(sold.get(0).done()).containsExactly("rehandled", "shortened");
    assertThat(sold.get(0).venue()).isEqualTo(Venue.SALE_ROOM);
    assertThat(sold.get(1).length().written()).isEqualTo("3 1/4");
    assertThat(sold.get(1).done()).isEmpty();
    assertThat(sold.get(1).venue()).isEqualTo(Venue.FAIR);
    assertThat(sold.get(2).length().mm()).isEqualTo(88);
    assertThat(sold.get(2).done()).containsExactly("rehandled", "married");
    assertThat(sold.get(3)).extracting("length", "done", "venue").containsOnlyNulls();
    assertThat(read.rows().get(3).sale().note())
        .contains("Size: long", "Originality: repaired by me", "Kind of sale: from my uncle");
    assertThat(sold.get(4)).extracting("length", "done", "venue").containsOnlyNulls();
    List<Sale> all = read.rows().stream().map(RowRead::sale).toList();
    assertThat(read(SalesTable.write(all)).rows())
        .extracting(r -> r.sale().knife())
        .containsExactlyElementsOf(sold);
  }

  @Test
  void aTextOnTheKnifeIsReadAsPeopleCallIt() {
    SalesRead read =
        read(
            "Item,Price,Inscription\nA jack,45,Advertising knife\nA pen,30,Jubilee\nA pick,5,TO A. B.\n");
    assertThat(read.rows())
        .extracting(r -> r.sale().knife().text())
        .containsExactly("advertising", "commemorative", null);
    assertThat(read.rows().get(2).sale().note()).contains("Inscription: TO A. B.");
    List<Sale> all = read.rows().stream().map(RowRead::sale).toList();
    assertThat(read(SalesTable.write(all)).rows())
        .extracting(r -> r.sale().knife().text())
        .containsExactly("advertising", "commemorative", null);
  }

  @Test
  void semicolonsDecimalCommasAndGermanHeadings() {
    SalesRead read =
        read("Bezeichnung;Preis;Datum;Zustand\nTaschenmesser;1.200,50 EUR;14.5.2023;Mint\n");
    assertThat(read.separator()).isEqualTo("semicolon");
    assertThat(only(read).knife().price()).isEqualByComparingTo("1200.50");
    assertThat(only(read).knife().grade()).isEqualTo("mint");
  }

  @Test
  void tabsFromASpreadsheetAndACurrencyColumn() {
    SalesRead read = read("What\tAmount\tCurrency\tAsking\nA jack\t45\teur\tyes\n");
    assertThat(read.separator()).isEqualTo("tab");
    assertThat(only(read).knife().currency()).isEqualTo("EUR");
    assertThat(only(read).knife().wasPaid()).isFalse();
  }

  @Test
  void withoutHeadingsColumnsAreKnownByWhatStandsInThem() {
    SalesRead read =
        read("A jack of two blades|\u00a345|May 2024|42\nA pen knife with pearl|\u00a360|2023|7\n");
    assertThat(read.headed()).isFalse();
    assertThat(fields(read)).containsExactly("described", "price", "sold", "note");
    assertThat(read.rows()).hasSize(2);
    assertThat(read.rows().get(0).sale().note()).isEqualTo("Column 4: 42");
  }

  @ParameterizedTest
  @CsvSource({"UTF-16LE,\ufeff", "UTF-16BE,\ufeff", "UTF-8,\ufeff", "windows-1252,''"})
  void whateverItIsWrittenIn(String encoding, String mark) {
    String table = mark + "Item,Price\nCouteau d\u00e9pliant,45 \u20ac\n";
    SalesRead read = POUNDS.read("t.csv", table.getBytes(Charset.forName(encoding)), List.of());
    assertThat(read.encoding()).isEqualTo(encoding);
    assertThat(only(read).knife().described()).isEqualTo("Couteau d\u00e9pliant");
    assertThat(only(read).knife().currency()).isEqualTo("EUR");
  }

  @Test
  void emptyRowsRaggedRowsAndLinesWithinACell() {
    SalesRead read = read("Item,Price,Notes\n\n\"A jack,\nwith a note\",45,x\n,,\nA pen,12\n");
    assertThat(read.rows())
        .extracting(r -> r.sale().knife().price().intValue())
        .containsExactly(45, 12);
    assertThat(read.rows().get(0).sale().knife().described()).isEqualTo("A jack,\nwith a note");
  }

  @Test
  void whatIsWrongIsToldWithItsLineAndWhatIsNotKnownIsKept() {
    SalesRead read =
        read(
            """
            Item,Price,Date,Maker,Premium
            One,free,2024,Veldrake Knife Works,
            Two,45,4/5/2024,,
            Three,45,2024,Nobody & Sons,
            Four,,2024,,
            Five,0,2024,,
            Six,45,2024,,400
            """);
    assertThat(read.rows()).extracting(RowRead::line).containsExactly(2, 3, 4, 5, 6, 7);
    assertThat(read.rows().get(0).problems().get(0).field()).isEqualTo("Price");
    assertThat(read.rows().get(1).problems().get(0).accepted())
        .contains("2024-04-05 or 2024-05-04");
    assertThat(read.rows().get(2).sale().note()).isEqualTo("Maker: Nobody & Sons");
    assertThat(read.rows().get(2).leftover()).containsExactly("Maker: Nobody & Sons");
    assertThat(read.rows().get(3).problems().get(0).given()).isEqualTo("nothing");
    assertThat(read.rows().get(4).problems().get(0).accepted()).isEqualTo("must be above 0");
    assertThat(read.rows().get(5).problems().get(0).field()).isEqualTo("Premium");
  }

  @Test
  void whatIsNoTableIsRefused() {
    assertThat(refused("").accepted()).contains("one row or more");
    assertThat(refused("x\n".repeat(Table.MOST_ROWS + 1)).given()).contains("rows");
    assertThat(refused("a,\"b\nc").field()).startsWith("t.csv");
  }

  private static snikra.core.examination.Problem refused(String table) {
    InvalidInput e = catchThrowableOfType(InvalidInput.class, () -> read(table));
    assertThat(e).isNotNull();
    return e.problems().get(0);
  }

  @Test
  void aBookWrittenOutIsReadBackTheSame() {
    List<Sale> sales =
        read(
                """
        Item,Price,Date,Maker,Type,Years,Grade,Handle,Box,Premium,Kind of price,Source,Note
        =SUM(1),45 GBP,2024-05,Veldrake Knife Works,Barlow,1900/1910,Good,Stag,yes,20,asked,list,n
        """)
            .rows()
            .stream()
            .map(RowRead::sale)
            .toList();
    String written = SalesTable.write(sales);
    assertThat(written).contains("'=SUM(1)");
    Sale back = only(read(written));
    assertThat(back.told()).isEqualTo(sales.get(0).told());
    assertThat(back.knife().grade()).isEqualTo("good");
    assertThat(back.knife().pattern()).isEqualTo("barlow");
    assertThat(back.knife().box()).isEqualTo("worn");
    assertThat(back.knife().wasPaid()).isFalse();
    assertThat(back.premium()).isEqualByComparingTo("20");
    assertThat(back.knife().made().written()).isEqualTo("1900/1910");
  }

  @Test
  void fiveThousandRowsAreReadOneByOne() {
    StringBuilder table = new StringBuilder("Item,Price,Date,Grade\n");
    for (int i = 1; i <= 5000; i++) {
      table.append("Knife ").append(i).append(',').append(i).append(",2024,VG\n");
    }
    assertThat(read(table.toString()).rows()).allMatch(r -> r.sale() != null).hasSize(5000);
  }
}
