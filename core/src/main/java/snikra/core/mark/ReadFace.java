package snikra.core.mark;

import java.util.List;
import snikra.core.specimen.Face;
import snikra.core.specimen.FaceState;
import snikra.core.specimen.SeenFace;

/**
 * A face as read.
 *
 * @param inOrder the lines as they were read
 * @param swapped the same with a line and the next exchanged, by line
 * @param apart by number of lines struck, the probability when none of them is one of those read
 */
record ReadFace(SeenFace face, List<Line> lines, Order inOrder, Order[] swapped, double[] apart) {

  boolean isRead() {
    return face.state() == FaceState.READ;
  }

  Face where() {
    return face.face();
  }

  /**
   * A line as read.
   *
   * @param given its probability by line struck
   * @param byChance its probability when no mark on file accounts for it
   */
  record Line(Channel.Read read, double[] given, double byChance) {
    double given(int struck) {
      return given[struck];
    }
  }

  /** P(these lines | no mark on file accounts for them). */
  static double byChance(List<Line> lines) {
    double p = 1;
    for (Line line : lines) {
      p *= line.byChance;
    }
    return p;
  }

  /**
   * Lines in one order.
   *
   * @param given probability by line read and line struck
   * @param extra probability of a line read that is not on file
   */
  record Order(List<Line> lines, double[][] given, double[] extra) {
    static Order of(List<Line> lines, double notOnFile) {
      return new Order(
          lines,
          lines.stream().map(Line::given).toArray(double[][]::new),
          lines.stream().mapToDouble(line -> notOnFile * line.byChance()).toArray());
    }
  }
}
