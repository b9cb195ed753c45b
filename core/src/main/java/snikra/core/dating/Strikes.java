package snikra.core.dating;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import snikra.core.number.NumberGrammar;
import snikra.core.reference.Maker;
import snikra.core.reference.ReferenceShelf;

/**
 * What a number or a date code nobody has looked for yet is expected to tell: who would have struck
 * what, and when. Makers of whom neither is on file tell nothing by striking none.
 */
final class Strikes {
  private static final int DECADE = 10;
  private static final double LOG_2 = Math.log(2);

  /** How often a number or a code that was struck can still be read. */
  private final double shows;

  private final Map<String, Maker> makers;
  private final YearAxis axis;

  /** By maker what it would have struck for each year, null where nothing. */
  private final Map<String, @Nullable String[]> codes = new HashMap<>();

  Strikes(ReferenceShelf shelf, YearAxis axis) {
    this.axis = axis;
    this.shows = shelf.judgement().of("look.still-shows");
    this.makers = shelf.makers().stream().collect(Collectors.toMap(Maker::id, Function.identity()));
    for (Maker maker : shelf.makers()) {
      if (!maker.codes().isEmpty()) {
        codes.put(maker.id(), codes(maker));
      }
    }
  }

  private @Nullable String[] codes(Maker maker) {
    @Nullable String[] struck = new String[axis.size()];
    for (int y = 0; y < struck.length; y++) {
      int year = axis.year(y);
      List<String> all =
          maker.codes().stream()
              .filter(scheme -> !scheme.codes(year).isEmpty())
              .map(scheme -> scheme.sign() + " " + scheme.codes(year))
              .toList();
      struck[y] = all.isEmpty() ? null : all.toString();
    }
    return struck;
  }

  /** Expected bits of a date code, by the years of each maker. */
  double codeBits(Map<String, double[]> years) {
    List<Cell> cells = new ArrayList<>();
    years.forEach(
        (maker, row) -> {
          @Nullable String[] struck = codes.get(maker);
          cells.addAll(cells(row, y -> struck == null ? null : struck[y]));
        });
    return bits(cells, shows);
  }

  /**
   * Expected bits of a pattern number, by the years of each maker.
   *
   * @param found answers by feature or trait, which the number would name
   */
  double numberBits(Map<String, double[]> years, Map<String, String> found) {
    List<Cell> cells = new ArrayList<>();
    years.forEach(
        (maker, row) -> {
          NumberGrammar grammar = makers.get(maker).numbers();
          String struck = grammar == null ? null : grammar.encode(found).orElse(maker);
          cells.addAll(cells(row, y -> struck));
        });
    return bits(cells, shows);
  }

  /**
   * One maker in one decade.
   *
   * @param weight its probability
   * @param struck of that, by what would have been struck
   */
  record Cell(double weight, Map<String, Double> struck) {}

  private static List<Cell> cells(double[] years, Function<Integer, @Nullable String> struck) {
    List<Cell> cells = new ArrayList<>();
    for (int from = 0; from < years.length; from += DECADE) {
      double weight = 0;
      Map<String, Double> all = new TreeMap<>();
      for (int y = from; y < Math.min(years.length, from + DECADE); y++) {
        String code = struck.apply(y);
        weight += years[y];
        if (code != null && years[y] > 0) {
          all.merge(code, years[y], Double::sum);
        }
      }
      if (!all.isEmpty()) {
        cells.add(new Cell(weight, all));
      }
    }
    return cells;
  }

  /**
   * Bits that what is struck is expected to tell of the cell, where all else strikes nothing.
   *
   * @param shows how often it can be read where it was struck
   */
  static double bits(List<Cell> cells, double shows) {
    Map<String, Double> all = new TreeMap<>();
    double within = 0;
    for (Cell cell : cells) {
      within += cell.weight * surprises(cell.struck, shows / cell.weight);
      cell.struck.forEach((code, p) -> all.merge(code, p, Double::sum));
    }
    return Math.max(0, surprises(all, shows) - within) / LOG_2;
  }

  // Of each code by its share, and of none.
  private static double surprises(Map<String, Double> struck, double share) {
    double sum = 0;
    double none = 1;
    for (double p : struck.values()) {
      sum += Outlook.surprise(share * p);
      none -= share * p;
    }
    return sum + Outlook.surprise(Math.max(0, none));
  }
}
