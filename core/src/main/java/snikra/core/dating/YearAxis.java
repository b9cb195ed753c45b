package snikra.core.dating;

import java.util.function.IntToDoubleFunction;

/** The years under consideration, both ends closed. */
record YearAxis(int first, int last) {
  /** No slip-joint of the trade's patterns is looked for before this. */
  static final int FIRST = 1700;

  YearAxis {
    if (last <= first) {
      throw new IllegalArgumentException("years must run forward; found " + first + " to " + last);
    }
  }

  int size() {
    return last - first + 1;
  }

  int year(int index) {
    return first + index;
  }

  double[] map(IntToDoubleFunction f) {
    double[] out = new double[size()];
    for (int y = 0; y < out.length; y++) {
      out[y] = f.applyAsDouble(year(y));
    }
    return out;
  }
}
