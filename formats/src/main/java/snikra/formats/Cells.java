package snikra.formats;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import snikra.core.examination.Problem;
import snikra.core.value.Amount;
import snikra.core.wording.NotAccepted;

/** The cells of a row by what they are taken for. */
final class Cells {
  private final Table.Row row;
  private final List<ColumnRead> columns;
  private final List<ShippedShelf.Column> known;
  private final List<Problem> problems = new ArrayList<>();
  private final List<String> leftover = new ArrayList<>();

  Cells(Table.Row row, List<ColumnRead> columns, List<ShippedShelf.Column> known) {
    this.row = row;
    this.columns = columns;
    this.known = known;
  }

  /** What must be mended before the row can be taken in. */
  List<Problem> problems() {
    return problems;
  }

  /** What was not understood. */
  List<String> leftover() {
    return leftover;
  }

  @Nullable String text(String field) {
    for (int c = 0; c < columns.size(); c++) {
      if (columns.get(c).field().equals(field) && !row.cells().get(c).isEmpty()) {
        return row.cells().get(c);
      }
    }
    return null;
  }

  /** Whether any column is taken for this. */
  boolean has(String field) {
    return columns.stream().anyMatch(c -> c.field().equals(field));
  }

  /** What must be mended, under the name of its column, with what stands in it. */
  void refuse(String field, String accepted) {
    String written = text(field);
    problems.add(new Problem(title(field), written == null ? "nothing" : written, accepted));
  }

  /** As its column is headed; as such columns are called where there is none. */
  String title(String field) {
    return Stream.concat(
            columns.stream().filter(c -> c.field().equals(field)).map(ColumnRead::title),
            known.stream().filter(c -> c.id().equals(field)).map(ShippedShelf.Column::label))
        .findFirst()
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

  /** What is kept in the note where it cannot be read. */
  <T> @Nullable T readOrKeep(String field, Function<String, T> reading) {
    return name(
        field,
        written -> {
          try {
            return Optional.ofNullable(reading.apply(written));
          } catch (NotAccepted e) {
            return Optional.empty();
          }
        });
  }

  /** What is kept in the note where it is not known. */
  <T> @Nullable T name(String field, Function<String, Optional<T>> names) {
    String written = text(field);
    Optional<T> found = written == null ? Optional.empty() : names.apply(written);
    if (written != null && found.isEmpty()) {
      keep(field, written);
    }
    return found.orElse(null);
  }

  /** Keeps a cell in the note. */
  void keep(String field, String written) {
    leftover.add(title(field) + ": " + written);
  }

  /** Notes, what was not understood, and columns that are nothing else. */
  @Nullable String note(int most) {
    List<String> all = new ArrayList<>(leftover);
    for (int c = 0; c < columns.size(); c++) {
      if (columns.get(c).field().equals(Columns.NOTE) && !row.cells().get(c).isEmpty()) {
        all.add(columns.get(c).title() + ": " + row.cells().get(c));
      }
    }
    return all.isEmpty() ? null : shortened(String.join("\n", all), most);
  }

  /** A currency as three letters. */
  static String code(String written) {
    String currency = Amount.parse("1 " + written).currency();
    if (currency == null) {
      throw new NotAccepted("must be a currency", written);
    }
    return currency;
  }

  static String shortened(String text, int most) {
    return text.length() <= most ? text : text.substring(0, most - 1) + "\u2026";
  }
}
