package snikra.formats;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import snikra.core.clue.Clue;
import snikra.core.clue.Feature;
import snikra.core.examination.Problem;
import snikra.core.pattern.Pattern;
import snikra.core.reference.FactSlip;
import snikra.core.reference.Maker;
import snikra.core.reference.ReferenceShelf;

/** Models and fittings out of a table of any shape: a row with a number is a model. */
public final class FactsTable {
  private static final int LONGEST_NOTE = 700;
  private static final ShippedShelf.TableColumns COLUMNS = ShippedShelf.tableColumns();

  /** What a row of the other kind does not ask is kept in its note. */
  private static final List<String> OF_FITTINGS = List.of("feature", "value", "give");

  private static final List<String> YEARS = List.of("years", "from", "to");

  private static final List<String> OF_MODELS = List.of("label", "pattern");

  /**
   * What holds where a row does not say otherwise.
   *
   * @param maker by name
   * @param source by name
   * @param sourceKind what kind of source it is known from
   */
  public record FactsBesides(
      @Nullable String maker, @Nullable String source, @Nullable String sourceKind) {}

  /**
   * What became of a table.
   *
   * @param separator what parts its columns, in words
   * @param headed whether its first row says what the columns are
   */
  public record FactsRead(
      String encoding,
      String separator,
      boolean headed,
      List<ColumnRead> columns,
      List<FactRow> rows) {}

  /**
   * A row.
   *
   * @param what it says, in words; empty where it cannot be read
   * @param slip null where it cannot be one
   * @param problems why not, by column
   * @param leftover what was not understood, kept in the note
   * @param known whether just this is on file already, or stands in the table before
   */
  public record FactRow(
      int line,
      String what,
      @Nullable FactSlip slip,
      List<Problem> problems,
      List<String> leftover,
      boolean known) {}

  /** An answer of the clue book, and what it answers. */
  private record OfClue(Feature feature, Clue clue) {}

  private final ReferenceShelf shelf;
  private final Names names;
  private final FactsBesides besides;
  private final int thisYear;

  public FactsTable(ReferenceShelf shelf, FactsBesides besides, int thisYear) {
    this.shelf = shelf;
    this.names = new Names(shelf, COLUMNS.shortForms());
    this.besides = besides;
    this.thisYear = thisYear;
  }

  /** All that a column may be taken for. */
  public static List<TableField> fields() {
    return Columns.fields(COLUMNS.facts());
  }

  /**
   * Reads a table.
   *
   * @param as by column what it is taken for, where someone said so; empty to find out
   * @throws InvalidInput when it is no table, or {@code as} does not fit it
   */
  public FactsRead read(String file, byte[] bytes, List<String> as) {
    Table table = Table.of(file, bytes);
    Columns columns = Columns.of(table, COLUMNS.facts(), "label", new Columns.Reading(names), as);
    Set<String> met = new HashSet<>();
    List<FactRow> rows = new ArrayList<>();
    for (Table.Row row : columns.rows()) {
      FactRow read = row(row, columns.columns());
      boolean isAgain = read.slip() != null && !met.add(OwnFacts.same(read.slip(), shelf));
      rows.add(isAgain ? known(read) : read);
    }
    return new FactsRead(
        table.encoding(), table.separatorInWords(), columns.headed(), columns.columns(), rows);
  }

  private static FactRow known(FactRow row) {
    return new FactRow(row.line(), row.what(), row.slip(), List.of(), row.leftover(), true);
  }

  private FactRow row(Table.Row row, List<ColumnRead> columns) {
    Cells cells = new Cells(row, columns, COLUMNS.facts());
    Maker maker = maker(cells);
    boolean isModel = cells.text("number") != null;
    Pattern pattern = isModel ? pattern(cells) : null;
    OfClue answer = isModel ? null : answer(cells);
    YearsOfUse use = YearsOfUse.of(cells, thisYear);
    int give = YearsOfUse.give(cells, use, shelf);
    String source = cells.text("source") == null ? besides.source() : cells.text("source");
    if (source == null) {
      cells.refuse("source", "must be given, for one or for all");
    }
    for (String other : isModel ? OF_FITTINGS : OF_MODELS) {
      String written = cells.text(other);
      if (written != null) {
        cells.keep(other, written);
      }
    }
    // A model's years have no give of their own: that they are doubtful stays in its note.
    if (isModel && use != null && use.isDoubtful()) {
      YEARS.stream().filter(c -> cells.text(c) != null).forEach(c -> cells.keep(c, cells.text(c)));
    }
    String note = cells.note(LONGEST_NOTE);
    if (maker == null || use == null || !cells.problems().isEmpty()) {
      return refused(row, cells, cells.problems());
    }
    String called = cells.text("label");
    return checked(
        row,
        cells,
        new FactSlip(
            isModel ? FactSlip.Kind.MODEL : FactSlip.Kind.FITTING,
            maker.id(),
            answer == null ? null : answer.feature().id(),
            answer == null ? null : answer.clue().id(),
            cells.text("number"),
            pattern == null || called != null ? called : pattern.name(),
            pattern == null ? null : pattern.id(),
            null,
            use.from(),
            use.to(),
            isModel ? 0 : give,
            besides.sourceKind() == null ? "" : besides.sourceKind(),
            source,
            note));
  }

  private @Nullable Maker maker(Cells cells) {
    String written = cells.text("maker") == null ? besides.maker() : cells.text("maker");
    Maker found = written == null ? null : names.maker(written).flatMap(shelf::maker).orElse(null);
    if (found == null) {
      cells.refuse("maker", written == null ? Accepted.GIVEN : "must be a maker on file");
    }
    return found;
  }

  // By its own column, else by what it was called.
  private @Nullable Pattern pattern(Cells cells) {
    String column = cells.text("pattern") == null ? "label" : "pattern";
    String written = cells.text(column);
    Optional<String> id = written == null ? Optional.empty() : names.pattern(written);
    if (id.isEmpty()) {
      cells.refuse(cells.has("pattern") ? "pattern" : column, "must be a pattern of the book");
    }
    return id.flatMap(
            found ->
                shelf.patterns().patterns().stream().filter(p -> p.id().equals(found)).findFirst())
        .orElse(null);
  }

  // What it was may be said in a column of its own; else the answer must be one thing alone.
  private @Nullable OfClue answer(Cells cells) {
    String feature = cells.text("feature");
    String value = cells.text("value");
    if (value == null) {
      cells.refuse("value", "must be given where there is no number");
      return null;
    }
    List<OfClue> may =
        shelf.clues().features().stream()
            .filter(
                f -> !f.markBorne() && (feature == null || isCalled(feature, f.label(), f.id())))
            .flatMap(
                f ->
                    f.clues().stream()
                        .filter(c -> isCalled(value, c.label(), c.id()))
                        .map(c -> new OfClue(f, c)))
            .toList();
    if (may.size() != 1) {
      cells.refuse(
          "value",
          may.isEmpty()
              ? "must be an answer of the clue book"
              : "must say of what, in a column of its own: "
                  + String.join(", ", may.stream().map(a -> a.feature().label()).toList()));
    }
    return may.size() == 1 ? may.get(0) : null;
  }

  private static boolean isCalled(String written, String label, String id) {
    String folded = Names.folded(written);
    return folded.equals(Names.folded(label)) || folded.equals(Names.folded(id));
  }

  // What a slip may not say is told where slips are read: no rule stands here twice.
  private FactRow checked(Table.Row row, Cells cells, FactSlip slip) {
    try {
      OwnFacts.slip(Json.mapper().valueToTree(slip), "", shelf, thisYear);
    } catch (InvalidInput e) {
      return refused(row, cells, e.problems().stream().map(p -> named(p, cells)).toList());
    }
    return new FactRow(
        row.line(),
        OwnFacts.what(slip, shelf),
        slip,
        List.of(),
        cells.leftover(),
        OwnFacts.isOnFile(slip, shelf));
  }

  // A table may have both years in one column.
  private static Problem named(Problem problem, Cells cells) {
    String field = problem.field();
    boolean isYear = (field.equals("from") || field.equals("to")) && !cells.has(field);
    return new Problem(cells.title(isYear ? "years" : field), problem.given(), problem.accepted());
  }

  private static FactRow refused(Table.Row row, Cells cells, List<Problem> problems) {
    return new FactRow(row.line(), "", null, List.copyOf(problems), cells.leftover(), false);
  }
}
