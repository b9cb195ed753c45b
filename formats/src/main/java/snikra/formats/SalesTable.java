package snikra.formats;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import snikra.core.examination.Problem;
import snikra.core.measure.Length;
import snikra.core.provenance.EdtfDate;
import snikra.core.provenance.WrittenDate;
import snikra.core.reference.ReferenceShelf;
import snikra.core.specimen.ComparableSale;
import snikra.core.specimen.Venue;
import snikra.core.value.Amount;
import snikra.core.value.Sale;
import snikra.core.wording.NotAccepted;
import snikra.formats.ShippedShelf.Column;

/** Sales out of a table of any shape: what is not understood is told and kept in the note. */
public final class SalesTable {
  private static final int LONGEST = 200;
  private static final int LONGEST_NOTE = 2000;
  private static final BigDecimal MOST_PREMIUM = BigDecimal.valueOf(100);

  private static final ShippedShelf.TableColumns COLUMNS = ShippedShelf.tableColumns();

  /**
   * What became of a table.
   *
   * @param separator what parts its columns, in words
   * @param headed whether its first row says what the columns are
   */
  public record SalesRead(
      String encoding,
      String separator,
      boolean headed,
      List<ColumnRead> columns,
      List<RowRead> rows) {}

  /**
   * A row.
   *
   * @param sale null where it cannot be one
   * @param problems why not, by column
   * @param leftover what was not understood, kept in the note
   * @param unsold whether it was offered and nobody bought it, which is no fault of the row
   */
  public record RowRead(
      int line,
      @Nullable Sale sale,
      List<Problem> problems,
      List<String> leftover,
      boolean unsold) {}

  private final Names names;
  private final String currency;

  /**
   * A reader of tables.
   *
   * @param currency of amounts that do not say
   */
  public SalesTable(ReferenceShelf shelf, String currency) {
    this.names = new Names(shelf, COLUMNS.shortForms());
    this.currency = currency;
  }

  /** All that a column may be taken for. */
  public static List<TableField> fields() {
    return Columns.fields(COLUMNS.sales());
  }

  /**
   * Reads a table.
   *
   * @param as by column what it is taken for, where someone said so; empty to find out
   * @throws InvalidInput when it is no table, or {@code as} does not fit it
   */
  public SalesRead read(String file, byte[] bytes, List<String> as) {
    Table table = Table.of(file, bytes);
    Columns columns =
        Columns.of(table, COLUMNS.sales(), "described", new Columns.Reading(names), as);
    TableLengths lengths = TableLengths.of(columns, COLUMNS.bareLengths());
    return new SalesRead(
        table.encoding(),
        table.separatorInWords(),
        columns.headed(),
        columns.columns(),
        columns.rows().stream().map(r -> row(r, columns.columns(), lengths)).toList());
  }

  /**
   * The sales as a table that can be read back. Text that looks like a formula is made harmless.
   */
  public static String write(List<Sale> sales) {
    List<List<String>> rows = new ArrayList<>();
    List<Column> columns = COLUMNS.sales();
    rows.add(columns.stream().map(Column::label).toList());
    for (Sale sale : sales) {
      Map<String, Object> told = told(sale);
      rows.add(
          columns.stream().map(c -> told.get(c.id())).map(v -> v == null ? "" : "" + v).toList());
    }
    return Table.write(rows);
  }

  private static Map<String, Object> told(Sale sale) {
    ComparableSale k = sale.knife();
    Map<String, Object> told = new HashMap<>();
    told.put("described", k.described());
    told.put("price", k.price().toPlainString());
    told.put("currency", k.currency());
    told.put("premium", sale.premium() == null ? null : sale.premium().toPlainString());
    told.put("sold", k.sold() == null ? null : k.sold().written());
    told.put("maker", k.maker());
    told.put("pattern", k.pattern());
    told.put("made", k.made() == null ? null : k.made().written());
    told.put("grade", k.grade());
    told.put("handle", k.handle());
    told.put("box", k.box());
    told.put("length", k.length() == null ? null : k.length().written());
    told.put("done", k.done() == null ? null : doneIn(k.done()));
    told.put("venue", k.venue());
    told.put("text", k.text());
    told.put("asked", k.wasPaid() ? null : "asked");
    told.put("source", sale.source());
    told.put(Columns.NOTE, sale.note());
    return told;
  }

  private static String doneIn(List<String> done) {
    return done.isEmpty() ? Names.NOTHING : String.join("; ", done);
  }

  private RowRead row(Table.Row row, List<ColumnRead> columns, TableLengths lengths) {
    Cells cells = new Cells(row, columns, COLUMNS.sales());
    String written = cells.text("price");
    if (written != null && names.isUnsold(written)) {
      return new RowRead(row.line(), null, List.of(), List.of(), true);
    }
    Amount price = cells.read("price", Amount::parse);
    String code = cells.read("currency", Cells::code);
    if (price == null && cells.problems().isEmpty()) {
      cells.problems().add(new Problem("price", "nothing", "must be " + Amount.ACCEPTED));
    }
    if (price != null && price.amount().signum() <= 0) {
      cells.problems().add(new Problem("price", price.amount().toPlainString(), "must be above 0"));
    }
    EdtfDate sold = cells.read("sold", WrittenDate::read);
    EdtfDate made = cells.read("made", WrittenDate::read);
    BigDecimal premium = cells.read("premium", SalesTable::percent);
    String maker = cells.name("maker", names::maker);
    String pattern = cells.name("pattern", names::pattern);
    String grade = cells.name("grade", names::grade);
    String handle = cells.name("handle", names::handle);
    String box = cells.name("box", names::box);
    Length length = cells.readOrKeep("length", lengths::read);
    List<String> done = cells.name("done", names::done);
    Venue venue = cells.name("venue", names::venue);
    String text = cells.name("text", names::text);
    Boolean asked = cells.name("asked", names::asked);
    String described = cells.text("described");
    String source = cells.text("source");
    String note = cells.note(LONGEST_NOTE);
    if (!cells.problems().isEmpty()) {
      return new RowRead(row.line(), null, cells.problems(), cells.leftover(), false);
    }
    String in = price.currency() != null ? price.currency() : code != null ? code : currency;
    ComparableSale knife =
        new ComparableSale(
            Cells.shortened(described == null ? "A knife" : described, LONGEST),
            price.amount(),
            in,
            sold,
            maker,
            pattern,
            grade,
            handle,
            made,
            box,
            Boolean.TRUE.equals(asked) ? true : null,
            length,
            done,
            venue,
            text);
    return new RowRead(
        row.line(),
        new Sale(knife, premium, source == null ? null : Cells.shortened(source, LONGEST), note),
        List.of(),
        cells.leftover(),
        false);
  }

  private static BigDecimal percent(String written) {
    try {
      BigDecimal percent = new BigDecimal(written.replace("%", "").replace(',', '.').strip());
      if (percent.signum() >= 0 && percent.compareTo(MOST_PREMIUM) <= 0) {
        return percent;
      }
    } catch (NumberFormatException e) {
      // Told below, as what is out of range is.
    }
    throw new NotAccepted("must be per cent from 0 to 100", written);
  }
}
