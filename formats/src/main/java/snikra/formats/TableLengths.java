package snikra.formats;

import java.util.List;
import java.util.stream.IntStream;
import snikra.core.measure.Length;
import snikra.core.wording.NotAccepted;

/** Lengths of a table's column, with and without a unit. */
final class TableLengths {
  private static final String FIELD = "length";
  private static final int SAMPLES = 200;

  private final String unit;

  private TableLengths(String unit) {
    this.unit = unit;
  }

  /** In which unit those without one are: as the heading says, else by how large they are. */
  static TableLengths of(Columns columns, ShippedShelf.BareLengths bounds) {
    return new TableLengths(
        IntStream.range(0, columns.columns().size())
            .filter(c -> columns.columns().get(c).field().equals(FIELD))
            .mapToObj(c -> unit(columns, c, bounds))
            .findFirst()
            .orElse(""));
  }

  private static String unit(Columns columns, int at, ShippedShelf.BareLengths bounds) {
    String heading = " " + Names.folded(columns.columns().get(at).title()) + " ";
    for (String unit : List.of("mm", "cm", "in", "inch", "inches")) {
      if (heading.contains(" " + unit + " ")) {
        return " " + unit;
      }
    }
    double[] bare =
        Columns.filled(columns.rows(), at, SAMPLES)
            .map(c -> c.replace(',', '.'))
            .filter(c -> c.matches("\\d{1,3}(\\.\\d{1,3})?"))
            .mapToDouble(Double::parseDouble)
            .sorted()
            .toArray();
    if (bare.length == 0) {
      return "";
    }
    double middle = bare[bare.length / 2];
    return middle <= bounds.inches().to()
        ? " in"
        : middle <= bounds.centimetres().to() ? " cm" : " mm";
  }

  Length read(String written) {
    try {
      return Length.parse(written);
    } catch (NotAccepted e) {
      return Length.parse(written + unit);
    }
  }
}
