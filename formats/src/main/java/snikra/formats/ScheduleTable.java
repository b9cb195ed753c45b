package snikra.formats;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import snikra.core.value.Schedule;

/** Writes a schedule as a table, in UTF-8 with commas, amounts with a point. */
public final class ScheduleTable {
  private static final List<String> COLUMNS =
      List.of(
          "Number",
          "Title",
          "Name",
          "Maker",
          "Made",
          "Grade",
          "Box and papers",
          "Amount",
          "In",
          "Half of like sales from",
          "to",
          "Sales counted",
          "For",
          "As of");

  private ScheduleTable() {}

  /** One row for each knife. */
  public static String write(Schedule schedule) {
    List<List<String>> rows = new ArrayList<>();
    rows.add(COLUMNS);
    for (Schedule.Line l : schedule.lines()) {
      rows.add(
          Stream.of(
                  l.number(),
                  l.title(),
                  l.name(),
                  l.maker(),
                  l.made(),
                  l.grade(),
                  l.box(),
                  l.amount(),
                  l.currency(),
                  l.low(),
                  l.high(),
                  l.counted(),
                  schedule.basis(),
                  schedule.asOf())
              .map(ScheduleTable::cell)
              .toList());
    }
    return Table.write(rows);
  }

  private static String cell(@Nullable Object value) {
    return value == null
        ? ""
        : value instanceof java.math.BigDecimal amount ? amount.toPlainString() : "" + value;
  }
}
