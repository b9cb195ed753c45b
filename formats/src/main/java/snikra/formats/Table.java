package snikra.formats;

import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import snikra.core.examination.Problem;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.MappingIterator;
import tools.jackson.dataformat.csv.CsvMapper;
import tools.jackson.dataformat.csv.CsvReadFeature;
import tools.jackson.dataformat.csv.CsvSchema;

/**
 * A table as it came: its encoding and what parts its columns are found by themselves.
 *
 * @param encoding name of the encoding it was read by
 * @param separator what parts its columns
 * @param rows cells by row, all rows of one width; rows without anything are left out
 */
record Table(String encoding, char separator, List<Row> rows) {
  static final int MOST_ROWS = 20_000;
  static final int MOST_COLUMNS = 60;

  private static final char[] SEPARATORS = {'\t', ';', ',', '|'};
  private static final Map<Character, String> SEPARATORS_IN_WORDS =
      Map.of('\t', "tab", ';', "semicolon", ',', "comma", '|', "bar");
  private static final int LOOKED_AT = 30;
  private static final Charset OLD_WESTERN = Charset.forName("windows-1252");
  private static final CsvMapper CSV =
      CsvMapper.builder().enable(CsvReadFeature.WRAP_AS_ARRAY, CsvReadFeature.TRIM_SPACES).build();

  /** A row and the line it begins on, counted from 1. */
  record Row(int line, List<String> cells) {}

  /**
   * Reads a table.
   *
   * @param file its name, for messages
   * @throws InvalidInput when it is none, or too large
   */
  static Table of(String file, byte[] bytes) {
    Charset encoding = encoding(bytes);
    String text = new String(bytes, encoding);
    String plain = text.startsWith("\ufeff") ? text.substring(1) : text;
    char separator = separator(file, plain);
    List<Row> rows = rows(file, plain, separator);
    int width = rows.stream().mapToInt(r -> r.cells().size()).max().orElse(0);
    if (rows.isEmpty()) {
      throw refused(file, "nothing", "must be a table of one row or more");
    }
    if (width > MOST_COLUMNS || rows.size() > MOST_ROWS) {
      throw refused(
          file,
          rows.size() + " rows of " + width + " columns",
          "must be " + MOST_ROWS + " rows and " + MOST_COLUMNS + " columns or fewer");
    }
    return new Table(
        encoding.name(), separator, rows.stream().map(r -> widened(r, width)).toList());
  }

  /** What parts its columns. */
  String separatorInWords() {
    return SEPARATORS_IN_WORDS.getOrDefault(separator, "" + separator);
  }

  int width() {
    return rows.get(0).cells().size();
  }

  private static Row widened(Row row, int width) {
    List<String> cells = new ArrayList<>(row.cells());
    while (cells.size() < width) {
      cells.add("");
    }
    return new Row(row.line(), cells);
  }

  private static Charset encoding(byte[] b) {
    if (b.length > 1 && (b[0] & 0xff) == 0xff && (b[1] & 0xff) == 0xfe) {
      return StandardCharsets.UTF_16LE;
    }
    if (b.length > 1 && (b[0] & 0xff) == 0xfe && (b[1] & 0xff) == 0xff) {
      return StandardCharsets.UTF_16BE;
    }
    try {
      StandardCharsets.UTF_8.newDecoder().decode(ByteBuffer.wrap(b));
      return StandardCharsets.UTF_8;
    } catch (CharacterCodingException e) {
      return OLD_WESTERN;
    }
  }

  // What parts most lines into the same number of columns, and that into most.
  private static char separator(String file, String text) {
    char best = ',';
    double most = 0;
    for (char c : SEPARATORS) {
      int[] widths;
      try {
        widths = rows(file, text, c, LOOKED_AT).stream().mapToInt(r -> r.cells().size()).toArray();
      } catch (InvalidInput e) {
        continue;
      }
      int usual = usual(widths);
      long same = Arrays.stream(widths).filter(w -> w == usual).count();
      double speaks = usual < 2 ? 0 : same / (double) widths.length * Math.sqrt(usual);
      if (speaks > most) {
        most = speaks;
        best = c;
      }
    }
    return best;
  }

  private static int usual(int[] widths) {
    int[] counts = new int[MOST_COLUMNS * 2];
    for (int w : widths) {
      counts[Math.min(w, counts.length - 1)]++;
    }
    int usual = 0;
    for (int w = 0; w < counts.length; w++) {
      usual = counts[w] >= counts[usual] ? w : usual;
    }
    return usual;
  }

  private static List<Row> rows(String file, String text, char separator) {
    return rows(file, text, separator, MOST_ROWS + 1);
  }

  private static List<Row> rows(String file, String text, char separator, int most) {
    CsvSchema schema = CsvSchema.emptySchema().withColumnSeparator(separator);
    List<Row> rows = new ArrayList<>();
    try (MappingIterator<String[]> all =
        CSV.readerFor(String[].class).with(schema).readValues(text)) {
      int begins = 1;
      while (rows.size() < most && all.hasNextValue()) {
        List<String> cells = Arrays.stream(all.nextValue()).map(Table::read).toList();
        if (cells.stream().anyMatch(c -> !c.isEmpty())) {
          rows.add(new Row(begins, cells));
        }
        begins = all.currentLocation().getLineNr();
      }
      return rows;
    } catch (JacksonException e) {
      int line = e.getLocation() == null ? 1 : e.getLocation().getLineNr();
      throw refused(
          file + ": line " + line,
          "a row that cannot be read",
          "must be cells parted by one sign, those that hold it or quotes in quotes");
    }
  }

  /** Rows as a table. A cell that a spreadsheet would take for a formula gets a sign before it. */
  static String write(List<List<String>> rows) {
    StringBuilder out = new StringBuilder();
    for (List<String> row : rows) {
      out.append(row.stream().map(Table::written).collect(java.util.stream.Collectors.joining(",")))
          .append("\r\n");
    }
    return out.toString();
  }

  // What we put a sign before to make it harmless is read without it.
  private static String read(@Nullable String cell) {
    String plain = cell == null ? "" : cell.strip();
    return plain.startsWith("'") && FORMULA.matcher(plain.substring(1)).lookingAt()
        ? plain.substring(1)
        : plain;
  }

  private static String written(String cell) {
    String harmless = FORMULA.matcher(cell).lookingAt() ? "'" + cell : cell;
    return harmless.chars().anyMatch(c -> c == ',' || c == '"' || c == '\n' || c == '\r')
        ? '"' + harmless.replace("\"", "\"\"") + '"'
        : harmless;
  }

  private static final java.util.regex.Pattern FORMULA =
      java.util.regex.Pattern.compile("[=+@\\t\\r]|-[^\\d]");

  static InvalidInput refused(String field, String given, String accepted) {
    return new InvalidInput(List.of(new Problem(field, given, accepted)));
  }
}
