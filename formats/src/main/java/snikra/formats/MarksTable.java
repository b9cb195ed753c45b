package snikra.formats;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import snikra.core.examination.Problem;
import snikra.core.reference.MarkSlip;
import snikra.core.reference.MarkVariant;
import snikra.core.reference.ReferenceShelf;
import snikra.core.specimen.Layout;
import snikra.core.specimen.Technique;

/** Marks out of a table of any shape, as books and lists have them. */
public final class MarksTable {
  private static final int LONGEST_NOTE = 1000;
  private static final int MOST_LINES = 8;
  private static final Pattern BETWEEN_LINES = Pattern.compile("\\s*[/|\\n]\\s*");

  private static final ShippedShelf.TableColumns COLUMNS = ShippedShelf.tableColumns();

  /**
   * What holds where a row does not say otherwise.
   *
   * @param maker by name
   * @param region country of makers not on file yet
   * @param source by name
   * @param sourceKind what kind of source it is known from
   */
  public record Besides(
      @Nullable String maker,
      @Nullable String region,
      @Nullable String source,
      @Nullable String sourceKind) {}

  /**
   * What became of a table.
   *
   * @param separator what parts its columns, in words
   * @param headed whether its first row says what the columns are
   */
  public record MarksRead(
      String encoding,
      String separator,
      boolean headed,
      List<ColumnRead> columns,
      List<MarkRow> rows) {}

  /**
   * A row.
   *
   * @param slip null where it cannot be one
   * @param problems why not, by column
   * @param leftover what was not understood, kept in the note
   * @param known whether the maker has this mark of these years on file already
   */
  public record MarkRow(
      int line,
      @Nullable MarkSlip slip,
      List<Problem> problems,
      List<String> leftover,
      boolean known) {}

  private final ReferenceShelf shelf;
  private final Names names;
  private final Besides besides;
  private final int thisYear;

  public MarksTable(ReferenceShelf shelf, Besides besides, int thisYear) {
    this.shelf = shelf;
    this.names = new Names(shelf, COLUMNS.shortForms());
    this.besides = besides;
    this.thisYear = thisYear;
  }

  /** All that a column may be taken for. */
  public static List<TableField> fields() {
    return Columns.fields(COLUMNS.marks());
  }

  /**
   * Reads a table.
   *
   * @param as by column what it is taken for, where someone said so; empty to find out
   * @throws InvalidInput when it is no table, or {@code as} does not fit it
   */
  public MarksRead read(String file, byte[] bytes, List<String> as) {
    Table table = Table.of(file, bytes);
    Columns columns = Columns.of(table, COLUMNS.marks(), "lines", new Columns.Reading(names), as);
    Map<String, Integer> met = new HashMap<>();
    List<MarkRow> rows = new ArrayList<>();
    for (Table.Row row : columns.rows()) {
      MarkRow read = row(row, columns.columns());
      // The same mark twice in one table is put on file once.
      boolean isAgain = read.slip() != null && met.put(same(read.slip()), row.line()) != null;
      rows.add(
          isAgain ? new MarkRow(read.line(), read.slip(), List.of(), read.leftover(), true) : read);
    }
    return new MarksRead(
        table.encoding(), table.separatorInWords(), columns.headed(), columns.columns(), rows);
  }

  private static String same(MarkSlip slip) {
    return String.join("\n", Names.folded(slip.maker()), "" + slip.from(), "" + slip.to())
        + slip.lines().stream().map(Names::folded).collect(Collectors.joining("/", "\n", ""));
  }

  private MarkRow row(Table.Row row, List<ColumnRead> columns) {
    Cells cells = new Cells(row, columns, COLUMNS.marks());
    String maker = or(cells.text("maker"), besides.maker());
    if (maker == null) {
      cells.refuse("maker", Accepted.GIVEN);
    }
    List<String> lines = lines(cells, "lines");
    if (lines.isEmpty()) {
      cells.refuse("lines", Accepted.GIVEN);
    }
    List<String> pile = lines(cells, "pile");
    List<String> etch = lines(cells, "etch");
    YearsOfUse use = YearsOfUse.of(cells, thisYear);
    int give = YearsOfUse.give(cells, use, shelf);
    Technique technique = cells.name("technique", names::technique);
    Layout layout = cells.name("layout", names::layout);
    String region = cells.name("country", names::country);
    String place = cells.text("place");
    String source = or(cells.text("source"), besides.source());
    if (source == null) {
      cells.refuse("source", "must be given, for one or for all");
    }
    String note = cells.note(LONGEST_NOTE);
    if (!cells.problems().isEmpty()) {
      return new MarkRow(row.line(), null, cells.problems(), cells.leftover(), false);
    }
    return checked(
        row.line(),
        cells,
        new MarkSlip(
            maker,
            or(region, besides.region()),
            place,
            lines,
            pile,
            etch,
            layout,
            technique == null ? Technique.STRUCK : technique,
            false,
            use.from(),
            use.to(),
            give,
            besides.sourceKind(),
            source,
            note));
  }

  // What a slip may not say is told by the schema of slips: no rule stands here twice.
  private MarkRow checked(int line, Cells cells, MarkSlip slip) {
    List<Problem> problems = new ArrayList<>();
    try {
      OwnPack.slip(Json.mapper().valueToTree(slip));
    } catch (InvalidInput e) {
      e.problems().forEach(p -> problems.add(named(p, cells)));
    }
    boolean isNew = shelf.makers().stream().noneMatch(m -> isOf(m.name(), slip));
    if (isNew && slip.region() == null) {
      problems.add(
          new Problem(
              cells.title("country"),
              "nothing",
              "must be given for a maker not on file: " + slip.maker()));
    }
    return problems.isEmpty()
        ? new MarkRow(line, slip, List.of(), cells.leftover(), isOnFile(slip))
        : new MarkRow(line, null, problems, cells.leftover(), false);
  }

  // A slip knows lines by their place; a table has them in one column, and both years in one.
  private static Problem named(Problem problem, Cells cells) {
    String field = problem.field().replaceAll("\\[.*", "");
    boolean isYear = (field.equals("from") || field.equals("to")) && !cells.has(field);
    return new Problem(cells.title(isYear ? "years" : field), problem.given(), problem.accepted());
  }

  private static boolean isOf(String maker, MarkSlip slip) {
    return maker.equalsIgnoreCase(slip.maker().strip());
  }

  private boolean isOnFile(MarkSlip slip) {
    return shelf.makers().stream()
        .filter(m -> isOf(m.name(), slip))
        .flatMap(m -> m.marks().stream())
        .anyMatch(mark -> isSame(mark, slip));
  }

  private static boolean isSame(MarkVariant mark, MarkSlip slip) {
    return mark.from() == slip.from()
        && mark.to() == slip.to()
        && mark.lines().stream()
            .map(Names::folded)
            .toList()
            .equals(slip.lines().stream().map(Names::folded).toList());
  }

  private static List<String> lines(Cells cells, String field) {
    String written = cells.text(field);
    if (written == null) {
      return List.of();
    }
    List<String> lines =
        BETWEEN_LINES.splitAsStream(written.strip()).filter(l -> !l.isBlank()).toList();
    if (lines.size() > MOST_LINES) {
      cells
          .problems()
          .add(
              new Problem(field, written, "must be at most " + MOST_LINES + " lines, parted by /"));
    }
    return lines;
  }

  private static @Nullable String or(@Nullable String said, @Nullable String usual) {
    return Optional.ofNullable(said).or(() -> Optional.ofNullable(usual)).orElse(null);
  }
}
