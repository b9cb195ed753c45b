package snikra.formats;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import snikra.core.measure.Length;
import snikra.core.provenance.WrittenDate;
import snikra.core.value.Amount;
import snikra.core.wording.NotAccepted;
import snikra.formats.ShippedShelf.Column;

/**
 * The columns of a table, each with what it is taken for: by its heading, by what stands in it, or
 * as someone said.
 *
 * @param headed whether the first row says what the columns are
 * @param rows without the headings
 */
record Columns(boolean headed, List<ColumnRead> columns, List<Table.Row> rows) {
  /** A column that is kept in the note as it is. */
  static final String NOTE = "note";

  /** A column that is left out. */
  static final String LEFT_OUT = "left-out";

  private static final int SAMPLES = 20;
  private static final int LEAST_HEADINGS = 2;
  private static final double MOST_OF_THEM = 0.7;

  /** All that a column may be taken for. */
  static List<TableField> fields(List<Column> known) {
    List<TableField> all = new ArrayList<>();
    known.forEach(c -> all.add(new TableField(c.id(), c.label())));
    all.add(new TableField(LEFT_OUT, "Left out"));
    return all;
  }

  /**
   * Finds out what the columns are.
   *
   * @param known fields a column may be taken for
   * @param text the field the longest text is taken for where no heading says so
   * @param as by column what it is taken for, where someone said so; empty to find out
   * @throws InvalidInput when {@code as} does not fit the table
   */
  static Columns of(
      Table table, List<Column> known, String text, Reading reading, List<String> as) {
    List<String> first = table.rows().get(0).cells();
    boolean headed = headings(table, known) >= LEAST_HEADINGS;
    List<Table.Row> rows = headed ? table.rows().subList(1, table.rows().size()) : table.rows();
    List<String> fields =
        as.isEmpty()
            ? found(headed ? first : List.of(), rows, known, text, reading)
            : said(as, table, known);
    List<ColumnRead> columns = new ArrayList<>();
    for (int c = 0; c < table.width(); c++) {
      String title = headed && !first.get(c).isEmpty() ? first.get(c) : "Column " + (c + 1);
      columns.add(new ColumnRead(title, fields.get(c), filled(rows, c, 1).findFirst().orElse("")));
    }
    return new Columns(headed, columns, rows);
  }

  // A cell that only holds a word of a heading is one where the cells below it are not like that:
  // "The knife from the fair" stands among its like.
  private static int headings(Table table, List<Column> known) {
    List<Table.Row> below = table.rows().subList(1, table.rows().size());
    int headings = 0;
    for (int c = 0; c < table.width(); c++) {
      String cell = table.rows().get(0).cells().get(c);
      if (byHeading(cell, known).isPresent()) {
        List<String> others = filled(below, c, SAMPLES).toList();
        long alike = others.stream().filter(o -> byHeading(o, known).isPresent()).count();
        headings += isWhole(cell, known) || alike * 2 <= others.size() ? 1 : 0;
      }
    }
    return headings;
  }

  private static boolean isWhole(String cell, List<Column> known) {
    String folded = Names.folded(cell);
    return known.stream()
        .anyMatch(c -> c.names().contains(folded) || Names.folded(c.label()).equals(folded));
  }

  /** Cells of a column with something in them, the first so many. */
  static java.util.stream.Stream<String> filled(List<Table.Row> rows, int column, int most) {
    return rows.stream().map(r -> r.cells().get(column)).filter(c -> !c.isEmpty()).limit(most);
  }

  private static List<String> said(List<String> as, Table table, List<Column> columns) {
    List<String> known = fields(columns).stream().map(TableField::id).toList();
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

  private static Optional<Column> byHeading(String heading, List<Column> known) {
    String folded = " " + Names.folded(heading) + " ";
    Column best = null;
    int longest = 0;
    for (Column c : known) {
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
  private static List<String> found(
      List<String> headings,
      List<Table.Row> rows,
      List<Column> known,
      String text,
      Reading reading) {
    int width = rows.isEmpty() ? headings.size() : rows.get(0).cells().size();
    Map<Integer, String> fields = new HashMap<>();
    for (int c = 0; c < headings.size(); c++) {
      int at = c;
      byHeading(headings.get(c), known)
          .map(Column::id)
          .filter(id -> id.equals(NOTE) || !fields.containsValue(id))
          .ifPresent(id -> fields.put(at, id));
    }
    for (Column column : known) {
      for (int c = 0; c < width && column.as() != null; c++) {
        if (!fields.containsKey(c)
            && !fields.containsValue(column.id())
            && holds(rows, c, column.as(), reading)) {
          fields.put(c, column.id());
        }
      }
    }
    if (!fields.containsValue(text)) {
      longest(rows, width, fields).ifPresent(c -> fields.put(c, text));
    }
    List<String> all = new ArrayList<>();
    for (int c = 0; c < width; c++) {
      all.add(fields.getOrDefault(c, NOTE));
    }
    return all;
  }

  private static boolean holds(List<Table.Row> rows, int column, String as, Reading reading) {
    List<String> cells = filled(rows, column, SAMPLES).toList();
    long read = cells.stream().filter(c -> reading.reads(c, as)).count();
    return !cells.isEmpty() && read >= MOST_OF_THEM * cells.size();
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

  /** Whether a cell is of a kind. */
  record Reading(Names names) {
    // A bare number may be anything: without a heading only what names its unit is known.
    boolean reads(String cell, @Nullable String as) {
      try {
        return switch (as == null ? "" : as) {
          case "money" -> Amount.parse(cell).currency() != null;
          case "date" -> WrittenDate.read(cell) != null;
          case "length" -> Length.parse(cell).mm() > 0;
          case "maker" -> names.maker(cell).isPresent();
          case "pattern" -> names.pattern(cell).isPresent();
          case "handle" -> names.handle(cell).isPresent();
          default -> false;
        };
      } catch (NotAccepted e) {
        return false;
      }
    }
  }
}
