package snikra.formats;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import snikra.core.reference.FactSlip;
import snikra.core.reference.ReferenceShelf;
import snikra.formats.FactsTable.FactRow;
import snikra.formats.FactsTable.FactsBesides;
import snikra.formats.FactsTable.FactsRead;

/** Tables of models and fittings as catalogues and lists have them. */
class FactsTableTest {
  private static final ReferenceShelf SHELF = ShippedShelf.load();
  private static final FactsBesides LIST =
      new FactsBesides("Vermouzan", "A list of 1974", "reference-book");

  private static FactsRead read(String table, FactsBesides besides, String... as) {
    return new FactsTable(SHELF, besides, 2026)
        .read("f.csv", table.getBytes(StandardCharsets.UTF_8), List.of(as));
  }

  private static FactSlip only(String table) {
    FactRow row = read(table, LIST).rows().get(0);
    assertThat(row.problems()).isEmpty();
    return row.slip();
  }

  private static String amiss(String table) {
    FactRow row = read(table, LIST).rows().get(0);
    assertThat(row.slip()).isNull();
    assertThat(row.problems()).hasSize(1);
    return row.problems().get(0).field() + ": " + row.problems().get(0).accepted();
  }

  @Test
  void aRowWithANumberIsAModel() {
    FactSlip slip =
        only(
            "No;What;Pattern;Made;Remarks;Price\n12;Farmer's jack;Regular jack;c. 1895-1910;Rare;4 s");
    assertThat(slip.kind()).isEqualTo(FactSlip.Kind.MODEL);
    assertThat(slip.maker()).isEqualTo("vermouzan");
    assertThat(slip.number()).isEqualTo("12");
    assertThat(slip.label()).isEqualTo("Farmer's jack");
    assertThat(slip.pattern()).isEqualTo("regular-jack");
    assertThat(slip.from()).isEqualTo(1895);
    assertThat(slip.to()).isEqualTo(1910);
    assertThat(slip.give()).isZero();
    assertThat(slip.note()).isEqualTo("Made: c. 1895-1910\nRemarks: Rare\nPrice: 4 s");
    assertThat(slip.source()).isEqualTo("A list of 1974");
    assertThat(slip.sourceKind()).isEqualTo("reference-book");
  }

  @Test
  void aModelIsCalledByItsPatternWhereNothingElseIsSaidAndFoundByWhatItIsCalled() {
    assertThat(only("number,pattern,years\n12,Regular jack,1900-10").label())
        .isEqualTo("Regular jack");
    assertThat(only("number,name,years\n12,Regular jack,1900-10").pattern())
        .isEqualTo("regular-jack");
  }

  @Test
  void aRowWithoutOneIsAFitting() {
    FactSlip shield = only("Shield,From,To,Source\nOval,1925,1935,A price list");
    assertThat(shield.kind()).isEqualTo(FactSlip.Kind.FITTING);
    assertThat(shield.feature()).isEqualTo("shield_shape");
    assertThat(shield.value()).isEqualTo("oval");
    assertThat(shield.give()).isEqualTo((int) SHELF.judgement().of("filing.give-exact"));
    assertThat(shield.source()).isEqualTo("A price list");
    FactSlip bail = only("Fitted,Which,Years,Plus or minus\nBail,wire,c. 1900-1910,3");
    assertThat(bail.feature()).isEqualTo("bail");
    assertThat(bail.give()).isEqualTo(3);
    assertThat(only("Fitted,Which,Years\nBail,wire,c. 1900-1910").give())
        .isEqualTo((int) SHELF.judgement().of("filing.give"));
  }

  @Test
  void whatTheOtherKindAsksIsKeptInTheNote() {
    FactsRead read =
        read(
            "No,What,Pattern,Shield,Years\n12,Jack,Regular jack,Oval,1900-1910\n,Fine ones,,Oval,1912",
            LIST);
    assertThat(read.rows())
        .extracting(FactRow::leftover)
        .containsExactly(List.of("Shield: Oval"), List.of("What: Fine ones"));
    assertThat(read.rows().get(1).slip().note()).isEqualTo("What: Fine ones");
  }

  @Test
  void theSameTwiceOrOnFileAlreadyIsKnown() {
    String row = "12,Jack,Regular jack,1900-1910\n";
    FactsRead read = read("No,What,Pattern,Years\n" + row + row, LIST);
    assertThat(read.rows()).extracting(FactRow::known).containsExactly(false, true);
    String own = OwnFacts.with(null, List.of(read.rows().get(0).slip()), SHELF).yaml();
    ReferenceShelf shelf =
        SHELF.withMakers(
            snikra.core.reference.Makers.with(
                SHELF.makers(), PackFormat.read("own.yaml", own).additions()));
    FactsRead again =
        new FactsTable(shelf, LIST, 2026)
            .read(
                "f.csv",
                ("No,What,Pattern,Years\n" + row).getBytes(StandardCharsets.UTF_8),
                List.of());
    assertThat(again.rows().get(0).known()).isTrue();
    assertThat(again.rows().get(0).what()).isEqualTo("No. 12, Jack");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "No,Pattern,Years~12,Flying saucer,1900|Pattern: must be a pattern of the book",
        "No,Pattern,Years~12,Regular jack,never|Years: must be a date",
        "No,Pattern,From,To~12,Regular jack,1910,1900|To: must not be before 1910",
        "Shield,Years~Dragon,1900|Shield: must be an answer of the clue book",
        "Fitted,Which,Years~Bail,oval,1900|Which: must be an answer of the clue book",
        "Fitted,Which,Years~Bail,,1900|Which: must be given where there is no number",
        "Maker,Shield,Years~Nobody & Co,Oval,1900|Maker: must be a maker on file",
        "Shield,Years~Oval,until 1930|Years: must say from when",
        "Shield,Years,Plus or minus~Oval,1900,many|Plus or minus: must be years from 0 to 100"
      })
  void whatCannotBeReadIsToldByItsColumn(String table, String told) {
    assertThat(amiss(table.replace('~', '\n'))).startsWith(told);
  }

  @Test
  void whereNobodySaysWhoseOrHowKnownItIsAsked() {
    FactRow row =
        read("Shield,Years\nOval,1900", new FactsBesides(null, null, "catalogue")).rows().get(0);
    assertThat(row.problems()).extracting(p -> p.field()).containsExactly("Maker", "Source");
  }

  @Test
  void anAnswerOfTwoThingsMustSayOfWhich() {
    String told = amiss("Which,Years\nnone,1900");
    assertThat(told).contains("must say of what, in a column of its own").contains("Bail");
  }
}
