package snikra.formats;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import snikra.core.examination.Problem;
import snikra.core.provenance.EdtfDate;
import snikra.core.provenance.WrittenDate;
import snikra.core.reference.ReferenceShelf;
import snikra.core.specimen.ComparableSale;
import snikra.core.value.Amount;
import snikra.core.value.Sale;
import snikra.core.wording.NotAccepted;
import snikra.formats.ShippedShelf.Column;

/** Sales out of a table of any shape: what is not understood is told and kept in the note. */
public final class SalesTable {
  /** A column that is kept in the note as it is. */
  public static final String NOTE = "note";

  /** A column that is left out. */
  public static final String LEFT_OUT = "left-out";

  private static final int SAMPLES = 20;
  private static final double MOST_OF_THEM = 0.7;
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
   * A column and what it is taken for.
   *
   * @param title as it is headed, or its place
   * @param field what it is taken for
   * @param sample the first cell with something in it
   */
  public record ColumnRead(String title, String field, String sample) {}

  /**
   * A row.
   *
   * @param sale null where it cannot be one
   * @param problems why not, by column
   * @param leftover what was not understood, kept in the note
   */
  public record RowRead(
      int line, @Nullable Sale sale, List<Problem> problems, List<String> leftover) {}

  /** A field a column may be taken for. */
  public record SalesField(String id, String label) {}

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
  public static List<SalesField> fields() {
    List<SalesField> all = new ArrayList<>();
    COLUMNS.sales().forEach(c -> all.add(new SalesField(c.id(), c.label())));
    all.add(new SalesField(LEFT_OUT, "Left out"));
    return all;
  }

  /**
   * Reads a table.
   *
   * @param as by column what it is taken for, where someone said so; empty to find out
   * @throws InvalidInput when it is no table, or {@code as} does not fit it
   */
  public SalesRead read(String file, byte[] bytes, List<String> as) {
    Table table = Table.of(file, bytes);
    List<String> first = table.rows().get(0).cells();
    boolean headed = first.stream().filter(c -> byHeading(c).isPresent()).count() >= 2;
    List<Table.Row> rows = headed ? table.rows().subList(1, table.rows().size()) : table.rows();
    List<String> fields =
        as.isEmpty() ? found(headed ? first : List.of(), rows, table.width()) : said(as, table);
    List<ColumnRead> columns = new ArrayList<>();
    for (int c = 0; c < table.width(); c++) {
      String title = headed && !first.get(c).isEmpty() ? first.get(c) : "Column " + (c + 1);
      columns.add(new ColumnRead(title, fields.get(c), sample(rows, c)));
    }
    return new SalesRead(
        table.encoding(),
        SEPARATORS.getOrDefault(table.separator(), "" + table.separator()),
        headed,
        columns,
        rows.stream().map(r -> row(r, columns)).toList());
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
    told.put("asked", k.wasPaid() ? null : "asked");
    told.put("source", sale.source());
    told.put(NOTE, sale.note());
    return told;
  }

  private static final Map<Character, String> SEPARATORS =
      Map.of('\t', "tab", ';', "semicolon", ',', "comma", '|', "bar");

  private static List<String> said(List<String> as, Table table) {
    List<String> known = fields().stream().map(SalesField::id).toList();
    if (as.size() != table.width() || !known.containsAll(as)) {
      throw Table.refused(
          "columns",
          String.join(", ", as),
          "must name each of the "
              + table.width()
              + " columns as one of "
              + String.join(", ", known));
    }
    return as;
  }

  private static Optional<Column> byHeading(String heading) {
    String folded = " " + Names.folded(heading) + " ";
    Column best = null;
    int longest = 0;
    for (Column c : COLUMNS.sales()) {
      // A table we wrote ourselves is headed by our own words.
      if (folded.strip().equals(Names.folded(c.label()))) {
        return Optional.of(c);
      }
      for (String name : c.names()) {
        if (name.length() > longest && folded.contains(" " + name + " ")) {
          best = c;
          longest = name.length();
        }
      }
    }
    return Optional.ofNullable(best);
  }

  // By its heading, else by what stands in it; each field but the note once.
  private static List<String> found(List<String> headings, List<Table.Row> rows, int width) {
    Map<Integer, String> fields = new HashMap<>();
    for (int c = 0; c < headings.size(); c++) {
      int at = c;
      byHeading(headings.get(c))
          .map(Column::id)
          .filter(id -> id.equals(NOTE) || !fields.containsValue(id))
          .ifPresent(id -> fields.put(at, id));
    }
    for (Column column : COLUMNS.sales()) {
      for (int c = 0; c < width && column.as() != null; c++) {
        if (!fields.containsKey(c)
            && !fields.containsValue(column.id())
            && holds(rows, c, column)) {
          fields.put(c, column.id());
        }
      }
    }
    if (!fields.containsValue("described")) {
      longest(rows, width, fields).ifPresent(c -> fields.put(c, "described"));
    }
    List<String> all = new ArrayList<>();
    for (int c = 0; c < width; c++) {
      all.add(fields.getOrDefault(c, NOTE));
    }
    return all;
  }

  private static boolean holds(List<Table.Row> rows, int column, Column as) {
    List<String> cells =
        rows.stream()
            .map(r -> r.cells().get(column))
            .filter(c -> !c.isEmpty())
            .limit(SAMPLES)
            .toList();
    long read = cells.stream().filter(c -> reads(c, as.as())).count();
    return !cells.isEmpty() && read >= MOST_OF_THEM * cells.size();
  }

  // A bare number may be anything: without a heading only amounts with their currency are known.
  private static boolean reads(String cell, @Nullable String as) {
    try {
      return switch (as == null ? "" : as) {
        case "money" -> Amount.parse(cell).currency() != null;
        case "date" -> WrittenDate.read(cell) != null;
        default -> false;
      };
    } catch (NotAccepted e) {
      return false;
    }
  }

  private static Optional<Integer> longest(
      List<Table.Row> rows, int width, Map<Integer, String> taken) {
    int best = -1;
    double most = 0;
    for (int c = 0; c < width; c++) {
      int at = c;
      double length =
          rows.stream()
              .limit(SAMPLES)
              .mapToInt(r -> r.cells().get(at).length())
              .average()
              .orElse(0);
      if (!taken.containsKey(c) && length > most) {
        best = c;
        most = length;
      }
    }
    return best < 0 ? Optional.empty() : Optional.of(best);
  }

  private static String sample(List<Table.Row> rows, int column) {
    return rows.stream()
        .map(r -> r.cells().get(column))
        .filter(c -> !c.isEmpty())
        .findFirst()
        .orElse("");
  }

  private RowRead row(Table.Row row, List<ColumnRead> columns) {
    Cells cells = new Cells(row, columns);
    Amount price = cells.read("price", Amount::parse);
    String code = cells.read("currency", SalesTable::code);
    if (price == null && cells.problems.isEmpty()) {
      cells.problems.add(new Problem("price", "nothing", "must be " + Amount.ACCEPTED));
    }
    if (price != null && price.amount().signum() <= 0) {
      cells.problems.add(new Problem("price", price.amount().toPlainString(), "must be above 0"));
    }
    EdtfDate sold = cells.read("sold", WrittenDate::read);
    EdtfDate made = cells.read("made", WrittenDate::read);
    BigDecimal premium = cells.read("premium", SalesTable::percent);
    String maker = cells.name("maker", names::maker);
    String pattern = cells.name("pattern", names::pattern);
    String grade = cells.name("grade", names::grade);
    String handle = cells.name("handle", names::handle);
    String box = cells.name("box", names::box);
    Boolean asked = cells.name("asked", names::asked);
    String described = cells.text("described");
    String source = cells.text("source");
    String note = cells.note();
    if (!cells.problems.isEmpty()) {
      return new RowRead(row.line(), null, cells.problems, cells.leftover);
    }
    String in = price.currency() != null ? price.currency() : code != null ? code : currency;
    ComparableSale knife =
        new ComparableSale(
            shortened(described == null ? "A knife" : described, LONGEST),
            price.amount(),
            in,
            sold,
            maker,
            pattern,
            grade,
            handle,
            made,
            box,
            Boolean.TRUE.equals(asked) ? true : null);
    return new RowRead(
        row.line(),
        new Sale(knife, premium, source == null ? null : shortened(source, LONGEST), note),
        List.of(),
        cells.leftover);
  }

  private static String code(String written) {
    String currency = Amount.parse("1 " + written).currency();
    if (currency == null) {
      throw new NotAccepted("must be a currency", written);
    }
    return currency;
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

  private static String shortened(String text, int most) {
    return text.length() <= most ? text : text.substring(0, most - 1) + "\u2026";
  }

  /** The cells of a row by what they are taken for. */
  private static final class Cells {
    private final Table.Row row;
    private final List<ColumnRead> columns;
    private final List<Problem> problems = new ArrayList<>();
    private final List<String> leftover = new ArrayList<>();

    Cells(Table.Row row, List<ColumnRead> columns) {
      this.row = row;
      this.columns = columns;
    }

    @Nullable String text(String field) {
      for (int c = 0; c < columns.size(); c++) {
        if (columns.get(c).field().equals(field) && !row.cells().get(c).isEmpty()) {
          return row.cells().get(c);
        }
      }
      return null;
    }

    private String title(String field) {
      return columns.stream()
          .filter(c -> c.field().equals(field))
          .findFirst()
          .map(ColumnRead::title)
          .orElse(field);
    }

    /** What must be read, or the row is refused. */
    <T> @Nullable T read(String field, Function<String, T> reading) {
      String written = text(field);
      if (written == null) {
        return null;
      }
      try {
        return reading.apply(written);
      } catch (NotAccepted e) {
        problems.add(new Problem(title(field), written, e.accepted()));
        return null;
      }
    }

    /** What is kept in the note where it is not known. */
    <T> @Nullable T name(String field, Function<String, Optional<T>> names) {
      String written = text(field);
      Optional<T> found = written == null ? Optional.empty() : names.apply(written);
      if (written != null && found.isEmpty()) {
        leftover.add(title(field) + ": " + written);
      }
      return found.orElse(null);
    }

    /** Notes, what was not understood, and columns that are nothing else. */
    @Nullable String note() {
      List<String> all = new ArrayList<>(leftover);
      for (int c = 0; c < columns.size(); c++) {
        if (columns.get(c).field().equals(NOTE) && !row.cells().get(c).isEmpty()) {
          all.add(columns.get(c).title() + ": " + row.cells().get(c));
        }
      }
      return all.isEmpty() ? null : shortened(String.join("\n", all), LONGEST_NOTE);
    }
  }
}
