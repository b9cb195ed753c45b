package snikra.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import snikra.core.examination.Examiner;
import snikra.core.provenance.StoryEvent;
import snikra.core.reference.ReferenceShelf;
import snikra.core.specimen.Specimen;
import snikra.core.specimen.Sureness;
import snikra.formats.KnivesList.Listed;
import snikra.formats.KnivesTable.KnifeRow;
import snikra.formats.KnivesTable.KnivesRead;

/** Lists of knives as collectors keep them. */
class KnivesTableTest {
  private static final ReferenceShelf SHELF = ShippedShelf.load();

  private static KnivesRead read(String list, String... as) {
    return new KnivesTable(SHELF, "GBP")
        .read("l.csv", list.getBytes(StandardCharsets.UTF_8), List.of(as), 0, 500);
  }

  private static KnifeRow only(String list, String... as) {
    KnivesRead read = read(list, as);
    assertThat(read.rows()).hasSize(1);
    return read.rows().get(0);
  }

  private static List<String> fields(KnivesRead read) {
    return read.columns().stream().map(ColumnRead::field).toList();
  }

  @Test
  void aListThatWasWrittenIsReadBackAsWhatItSays() {
    Examiner examiner = new Examiner(SHELF, 2026);
    Specimen knife =
        SpecimenFormat.read(
            """
            {"title":"=HYPERLINK(1)","note":"a, \\"b\\"","number":"2235","closedLength":"3 3/8 in",
             "frame":"swell-end","blades":[{"type":"spear"},{"type":"pen"}],
             "seen":{"handle_material":"bone-jigged"},"condition":{"blade-wear":"tenth"},
             "marks":[{"blade":1,"face":"mark","state":"read","lines":["VELDRAKE","TARNMOOR FALLS"]}]}
            """,
            SHELF);
    String list =
        KnivesList.write(
            SHELF,
            List.of(
                new Listed(14, knife, examiner.summarise(knife), "United States"),
                new Listed(15, Specimen.unseen(), examiner.summarise(Specimen.unseen()), null)));
    assertThat(list).contains("'=HYPERLINK(1)").contains("Very good");
    KnivesRead read = read(list);
    assertThat(read.all()).isEqualTo(2);
    Specimen back = read.rows().get(0).knife();
    assertThat(back.title()).isEqualTo("=HYPERLINK(1)");
    assertThat(back.closedLength().mm()).isCloseTo(85.725, within(1e-9));
    assertThat(back.number()).isEqualTo("2235");
    assertThat(back.blades()).hasSize(2);
    assertThat(back.marks().get(0).lines()).containsExactly("VELDRAKE", "TARNMOOR FALLS");
    assertThat(back.seen().get("handle_material").value()).isEqualTo("bone-jigged");
    assertThat(back.note()).contains("a, \"b\"").contains("Very good");
  }

  @Test
  void allThatAListSaysIsTakenForWhatItIs() {
    KnifeRow row =
        only(
            """
            No.,Knife,Maker,Country,Type,Pattern no.,Closed,Handle,Blades,Tang stamp,Circa,Bought,Paid,Seller,Condition,Remarks
            14,Grandfather's jack,Veldrake Knife Works,USA,Barlow,2235,3 3/8,jigged bone,2,VELDRAKE / KNIFE WORKS,c. 1905,May 2019,$45,autumn fair,VG,a chip
            """);
    Specimen knife = row.knife();
    assertThat(knife.title()).isEqualTo("Grandfather's jack");
    assertThat(knife.closedLength().mm()).isCloseTo(85.725, within(1e-9));
    assertThat(knife.number()).isEqualTo("2235");
    assertThat(knife.seen().get("handle_material").value()).isEqualTo("bone-jigged");
    assertThat(knife.seen().get("handle_material").sureness()).isEqualTo(Sureness.LIKELY);
    assertThat(knife.blades()).hasSize(2);
    assertThat(knife.marks().get(0).lines()).containsExactly("VELDRAKE", "KNIFE WORKS");
    StoryEvent said = knife.story().get(0);
    assertThat(said.kind()).isEqualTo(StoryEvent.Kind.DATED);
    assertThat(said.source()).isEqualTo(StoryEvent.Source.LIST);
    assertThat(said.date().written()).isEqualTo("1905~");
    assertThat(said.maker()).isEqualTo("veldrake");
    assertThat(said.region()).isEqualTo("US");
    StoryEvent bought = knife.story().get(1);
    assertThat(bought.kind()).isEqualTo(StoryEvent.Kind.BOUGHT);
    assertThat(bought.source()).isEqualTo(StoryEvent.Source.OWN_RECORD);
    assertThat(bought.date().written()).isEqualTo("2019-05");
    assertThat(bought.price()).isEqualByComparingTo("45");
    assertThat(bought.currency()).isEqualTo("USD");
    assertThat(bought.place()).isEqualTo("autumn fair");
    assertThat(knife.note())
        .contains("No.: 14")
        .contains("Type: Barlow")
        .contains("Condition: VG")
        .contains("Remarks: a chip");
    assertThat(row.taken())
        .extracting(t -> t.field() + ": " + t.says())
        .contains("Closed length: 3 3/8", "Maker: Veldrake Knife Works", "What was paid: 45 USD");
  }

  @Test
  void whatIsNotUnderstoodIsToldAndKeptAndNoRowIsRefused() {
    KnivesRead read =
        read(
            """
            Name,Maker,Closed,Blades,Made,Paid,Handle
            One,Nobody & Sons,long,many,once,cheap,dodo bone
            Two,,3 1/2,2,1920s,,
            """);
    KnifeRow odd = read.rows().get(0);
    assertThat(odd.leftover())
        .containsExactlyInAnyOrder(
            "Maker: Nobody & Sons",
            "Closed: long",
            "Blades: many",
            "Made: once",
            "Paid: cheap",
            "Handle: dodo bone");
    odd.leftover().forEach(left -> assertThat(odd.knife().note()).contains(left));
    assertThat(odd.knife().story()).isEmpty();
    assertThat(odd.knife().seen()).isEmpty();
    assertThat(read.rows().get(1).leftover()).isEmpty();
    assertThat(read.rows().get(1).knife().note()).isNull();
  }

  @Test
  void aKnifeWithoutANameOfItsOwnIsCalledWhatTheListSays() {
    assertThat(only("Maker,Pattern,Closed\nOdd & Sons,barlow,3 1/2\n").knife().title())
        .isEqualTo("Odd & Sons barlow");
    assertThat(only("Closed,Handle\n3 1/2,stag\n").knife().title()).isNull();
  }

  @ParameterizedTest
  @CsvSource({
    "Closed,3.5;3.875;4.25,88.9",
    "Closed,8.9;9.5;10.5,89",
    "Closed,89;95;105,89",
    "Closed (mm),3.5;3.8;4.2,3.5",
    "Length in cm,8.9;9.5;10.5,89",
    "Size in inches,8.9;9.5;10.5,226.06"
  })
  void lengthsWithoutAUnitAreReadByTheHeadingOrByHowLargeTheyAre(
      String heading, String lengths, double mm) {
    KnivesRead read = read("Name;" + heading + "\nA;" + lengths.replace(";", "\nB;") + "\n");
    assertThat(read.rows().get(0).knife().closedLength().mm()).isCloseTo(mm, within(1e-9));
  }

  @Test
  void withoutHeadingsColumnsAreKnownByWhatStandsInThem() {
    KnivesRead read =
        read(
            """
            Uncle's knife with the cracked cover|Veldrake Knife Works|3 3/8|stag|\u00a345|May 2019|7
            The little one from the fair|Veldrake Knife Works|2 7/8|pearl|\u00a360|2020|9
            """);
    assertThat(read.headed()).isFalse();
    assertThat(fields(read))
        .containsExactly("title", "maker", "length", "handle", "price", "bought", "note");
    assertThat(read.rows().get(1).knife().note()).isEqualTo("Column 7: 9");
  }

  @Test
  void aColumnIsTakenForWhatOneSays() {
    KnifeRow row = only("Knife,Paid\nred box,1905\n", "left-out", "made");
    assertThat(row.knife().note()).isNull();
    assertThat(row.knife().story().get(0).date().written()).isEqualTo("1905");
    assertThatThrownBy(() -> read("A,B\nx,y\n", "made"))
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining("must name each of the 2 columns");
  }

  @Test
  void marksWithDoubtfulLettersAndThoseNoKnifeCanHoldAreToldApart() {
    KnifeRow row = only("Name,Tang stamp,Pattern no.\nA,VELD_AKE | K?NIFE*,no 6?\n");
    assertThat(row.knife().marks().get(0).lines()).containsExactly("VELD_AKE", "K?NIFE*");
    KnifeRow long40 = only("Name,Tang stamp\nA," + "X".repeat(41) + "\n");
    assertThat(long40.knife().marks()).isEmpty();
    assertThat(long40.leftover()).containsExactly("Tang stamp: " + "X".repeat(41));
  }

  @Test
  void longTextsAreShortenedWhereTheyMustAndKeptInTheNote() {
    String title = "a jack ".repeat(30).strip();
    Specimen knife = only("Name,Closed\n" + title + ",3 1/2\n").knife();
    assertThat(knife.title()).hasSize(120).endsWith("\u2026");
    assertThat(knife.note()).isEqualTo("Name: " + title);
  }

  @Test
  void rowsThatAreAlikeAreCountedAndReadInParts() {
    String list = "Name,Closed\nA,3 in\nB,4 in\nA,3 in\nA,3 in\n";
    assertThat(read(list).rows()).extracting(KnifeRow::again).containsExactly(0, 0, 1, 2);
    KnivesRead part =
        new KnivesTable(SHELF, "GBP")
            .read("l.csv", list.getBytes(StandardCharsets.UTF_8), List.of(), 2, 1);
    assertThat(part.all()).isEqualTo(4);
    assertThat(part.rows()).extracting(KnifeRow::line).containsExactly(4);
    assertThat(part.rows()).extracting(KnifeRow::again).containsExactly(1);
  }

  @Test
  void aListOfGermanHeadingsAndDecimalCommas() {
    KnifeRow row =
        only("Bezeichnung;L\u00e4nge;Griff;Preis;Gekauft\nMesser;9,5 cm;stag;45,50;14.5.2019\n");
    assertThat(row.knife().closedLength().mm()).isCloseTo(95, within(1e-9));
    assertThat(row.knife().story().get(0).price()).isEqualByComparingTo("45.50");
    assertThat(row.knife().story().get(0).currency()).isEqualTo("GBP");
    assertThat(row.knife().story().get(0).date().written()).isEqualTo("2019-05-14");
  }
}
