package snikra.core.code;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * How a maker struck the year of make, as data.
 *
 * @param from first year in force, closed
 * @param to last year in force, closed
 * @param start count in the first year, for counts
 * @param letters in the order used, one a year and begun again, for a cycle
 * @param figures how many of the last figures of the year, for year figures
 * @param table by code the years it stands for, for a table
 * @param form how its letters are drawn or what stands beside them, where that tells two apart
 * @param parts of the year, struck before or after what tells the year
 */
public record CodeScheme(
    String id,
    String label,
    Sign sign,
    Kind kind,
    int from,
    int to,
    @Nullable Integer start,
    List<String> letters,
    @Nullable Integer figures,
    Map<String, List<Integer>> table,
    @Nullable String form,
    @Nullable Parts parts,
    String note,
    String source,
    double trust) {

  /** How codes go with years. */
  public enum Kind {
    COUNT_DOWN,
    COUNT_UP,
    CYCLE,
    YEAR_FIGURES,
    TABLE;

    @Override
    public String toString() {
      return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
  }

  /**
   * Quarters or months.
   *
   * @param before whether they stand before what tells the year
   * @param codes in the order of the year
   */
  public record Parts(boolean before, List<Part> codes) {
    public Parts {
      codes = List.copyOf(codes);
    }

    private String with(String part, String year) {
      return before ? part + year : year + part;
    }
  }

  /** A part of the year and what is struck for it. */
  public record Part(String code, String label) {}

  /**
   * A year a code allows, with its share of all it allows.
   *
   * @param part of that year, where it is told
   */
  public record YearShare(int year, double share, @Nullable String part) {}

  private static final double PART_IS_TOLD = 0.5;

  /** Where nobody gave how far the scheme is to be believed. */
  private static final double BELIEVED = 0.99;

  /** A scheme of one form that tells no parts of the year. */
  public CodeScheme(
      String id,
      String label,
      Sign sign,
      Kind kind,
      int from,
      int to,
      @Nullable Integer start,
      List<String> letters,
      @Nullable Integer figures,
      Map<String, List<Integer>> table,
      String note,
      String source) {
    this(
        id, label, sign, kind, from, to, start, letters, figures, table, null, null, note, source,
        BELIEVED);
  }

  public CodeScheme {
    trust = trust > 0 ? trust : BELIEVED;
    letters = letters == null ? List.of() : List.copyOf(letters);
    table = table == null ? Map.of() : Map.copyOf(table);
    if (!(from <= to)) {
      throw new IllegalArgumentException(
          "years of code " + id + " must run forward; found " + from + " to " + to);
    }
    String lacks = lacking(kind, start, letters, figures, table);
    if (lacks != null) {
      throw new IllegalArgumentException("code " + id + " must have " + lacks + "; found none");
    }
  }

  private static @Nullable String lacking(
      Kind kind,
      @Nullable Integer start,
      List<String> letters,
      @Nullable Integer figures,
      Map<String, List<Integer>> table) {
    return switch (kind) {
      case COUNT_DOWN, COUNT_UP -> start == null ? "start" : null;
      case CYCLE -> letters.isEmpty() ? "letters" : null;
      case YEAR_FIGURES -> figures == null ? "figures" : null;
      case TABLE -> table.isEmpty() ? "table" : null;
    };
  }

  /** The codes struck in a year; none outside the years of the scheme. */
  public List<String> codes(int year) {
    List<String> bare = bare(year);
    return parts == null
        ? bare
        : parts.codes.stream()
            .flatMap(part -> bare.stream().map(code -> parts.with(part.code, code)))
            .toList();
  }

  // What tells the year alone.
  private List<String> bare(int year) {
    if (year < from || year > to) {
      return List.of();
    }
    return switch (kind) {
      case COUNT_DOWN -> counted(start - (year - from));
      case COUNT_UP -> counted(start + (year - from));
      case CYCLE -> List.of(letters.get((year - from) % letters.size()));
      case YEAR_FIGURES -> {
        String all = Integer.toString(year);
        yield List.of(all.substring(Math.max(0, all.length() - figures)));
      }
      case TABLE -> {
        List<String> codes = new ArrayList<>();
        table.forEach(
            (code, years) -> {
              if (years.contains(year)) {
                codes.add(code);
              }
            });
        yield codes.stream().sorted().toList();
      }
    };
  }

  private static List<String> counted(int count) {
    return count < 1 ? List.of() : List.of(Integer.toString(count));
  }

  /** Whether a code of this sign and form is one of its own. */
  public boolean reads(SeenCode seen) {
    return sign == seen.sign() && (form == null || seen.form() == null || form.equals(seen.form()));
  }

  /** P(seen | made in this year), 0 where the scheme strikes nothing in that year. */
  public double given(SeenCode seen, int year, CodeRates rates) {
    List<String> codes = seen.sign() == sign ? codes(year) : List.of();
    double sum = 0;
    for (String code : codes) {
      sum += seen.given(code, form, rates) / codes.size();
    }
    return sum;
  }

  private @Nullable String part(SeenCode seen, int year, CodeRates rates) {
    if (parts == null) {
      return null;
    }
    double whole = 0;
    double most = 0;
    String likeliest = null;
    for (Part part : parts.codes) {
      double p = 0;
      for (String code : bare(year)) {
        p += seen.given(parts.with(part.code, code), form, rates);
      }
      whole += p;
      if (p > most) {
        most = p;
        likeliest = part.label;
      }
    }
    return most > PART_IS_TOLD * whole ? likeliest : null;
  }

  /** The years a code allows, likeliest first; those that hardly count are left out. */
  public List<YearShare> years(SeenCode seen, CodeRates rates) {
    double total = 0;
    for (int y = from; y <= to; y++) {
      total += given(seen, y, rates);
    }
    List<YearShare> years = new ArrayList<>();
    for (int y = from; y <= to; y++) {
      double share = total > 0 ? given(seen, y, rates) / total : 0;
      if (share >= rates.shown()) {
        years.add(new YearShare(y, share, part(seen, y, rates)));
      }
    }
    years.sort(
        java.util.Comparator.comparingDouble((YearShare s) -> -s.share())
            .thenComparingInt(YearShare::year));
    return years;
  }
}
