package snikra.formats;

/**
 * A sheet of labels, in millimetres.
 *
 * @param page the size of the sheet, A4 or letter
 * @param left where the first label begins
 * @param top where the first label begins
 * @param across from where one begins to where the next one across does
 * @param down from where one begins to where the next one down does
 */
public record LabelPaper(
    String id,
    String label,
    String page,
    int columns,
    int rows,
    double width,
    double height,
    double left,
    double top,
    double across,
    double down) {
  /** How many a sheet holds. */
  public int perSheet() {
    return columns * rows;
  }
}
