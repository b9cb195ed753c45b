package snikra.benchmarks;

import java.util.List;
import java.util.Locale;
import snikra.benchmarks.ScalingReport.Point;
import snikra.benchmarks.ScalingReport.Series;

/** Draws a scaling report: one panel for each series, both axes logarithmic. */
final class ScalingPlot {
  private static final int WIDE = 260;
  private static final int HIGH = 200;
  private static final int LEFT = 46;
  private static final int TOP = 30;
  private static final int FOOT = 40;
  private static final double LEAST = 0.5;
  private static final double MOST = 100;
  private static final double[] TICKS = {0.5, 1, 2, 5, 10, 20, 50, 100};

  private ScalingPlot() {}

  static String of(List<Series> all) {
    StringBuilder svg = new StringBuilder();
    int wide = all.size() * WIDE + LEFT;
    line(
        svg,
        "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 %d %d\" font-family=\"serif\""
            + " font-size=\"11\">",
        wide,
        HIGH + TOP + FOOT);
    line(svg, "<rect width=\"100%%\" height=\"100%%\" fill=\"#f1f0e8\"/>");
    for (int i = 0; i < all.size(); i++) {
      panel(svg, all.get(i), LEFT + i * WIDE);
    }
    line(svg, "</svg>");
    return svg.toString();
  }

  private static void panel(StringBuilder svg, Series series, int left) {
    int wide = WIDE - LEFT;
    for (double ms : TICKS) {
      double y = y(ms);
      line(
          svg,
          "<path d=\"M%d %.1fh%d\" stroke=\"#c9c8bc\"/><text x=\"%d\" y=\"%.1f\""
              + " text-anchor=\"end\">%s</text>",
          left,
          y,
          wide,
          left - 4,
          y + 4,
          ms < 1 ? ms : Integer.toString((int) ms));
    }
    for (Point p : series.points()) {
      line(
          svg,
          "<text x=\"%.1f\" y=\"%d\" text-anchor=\"middle\">%d</text>",
          x(series, p.of(), left, wide),
          TOP + HIGH + 14,
          p.of());
    }
    line(
        svg,
        "<text x=\"%d\" y=\"%d\">%s (ms, against their number)</text>",
        left,
        TOP - 10,
        series.label());
    curve(svg, series, left, wide, true);
    curve(svg, series, left, wide, false);
  }

  private static void curve(StringBuilder svg, Series series, int left, int wide, boolean whole) {
    StringBuilder path = new StringBuilder();
    for (Point p : series.points()) {
      path.append(path.length() == 0 ? "M" : "L")
          .append(
              String.format(
                  Locale.ROOT,
                  "%.1f %.1f",
                  x(series, p.of(), left, wide),
                  y(whole ? p.whole() : p.brief())));
    }
    line(
        svg,
        "<path d=\"%s\" fill=\"none\" stroke=\"%s\" stroke-width=\"2\"/>",
        path,
        whole ? "#1f4e70" : "#777a70");
  }

  private static double x(Series series, int of, int left, int wide) {
    double from = Math.log(series.points().get(0).of());
    double to = Math.log(series.points().get(series.points().size() - 1).of());
    return left + 8 + (wide - 20) * (Math.log(of) - from) / (to - from);
  }

  private static double y(double ms) {
    double share =
        (Math.log(Math.max(LEAST, ms)) - Math.log(LEAST)) / (Math.log(MOST) - Math.log(LEAST));
    return TOP + HIGH * (1 - Math.min(1, share));
  }

  private static void line(StringBuilder svg, String format, Object... values) {
    svg.append(String.format(Locale.ROOT, format, values)).append('\n');
  }
}
