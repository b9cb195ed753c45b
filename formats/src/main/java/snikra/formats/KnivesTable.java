package snikra.formats;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import snikra.core.measure.Length;
import snikra.core.provenance.EdtfDate;
import snikra.core.provenance.WrittenDate;
import snikra.core.reference.Maker;
import snikra.core.reference.ReferenceShelf;
import snikra.core.reference.Region;
import snikra.core.specimen.Face;
import snikra.core.specimen.FaceState;
import snikra.core.specimen.Specimen;
import snikra.core.value.Amount;
import snikra.core.wording.NotAccepted;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Knives out of a list of any shape. What the list says of maker and years is told as what a list
 * says, not as what was seen; what is not understood is kept in the note, and no row is refused.
 */
public final class KnivesTable {
  private static final String LIST = "list";
  private static final String MADE = "made";
  private static final String HANDLE = "handle";
  private static final int LONGEST_TITLE = 120;
  private static final int LONGEST_NOTE = 4000;
  private static final int LONGEST_PLACE = 120;
  private static final int MOST_BLADES = 12;
  private static final Pattern NEXT_LINE = Pattern.compile("\\s*[/|\\n]\\s*");

  private static final Pattern BETWEEN_TAGS = Pattern.compile("[,;|\\n]");

  private static final ShippedShelf.TableColumns COLUMNS = ShippedShelf.tableColumns();

  /**
   * What became of a list.
   *
   * @param separator what parts its columns, in words
   * @param headed whether its first row says what the columns are
   * @param all how many rows there are
   * @param rows those that were asked for
   */
  public record KnivesRead(
      String encoding,
      String separator,
      boolean headed,
      List<ColumnRead> columns,
      int all,
      List<KnifeRow> rows) {}

  /**
   * A row.
   *
   * @param again how many rows before it are the same
   * @param taken what the knife begins with, in words
   * @param leftover what was not understood, kept in the note
   */
  public record KnifeRow(
      int line, int again, Specimen knife, List<TakenFor> taken, List<String> leftover) {}

  /** Something a row told, and what it was taken for. */
  public record TakenFor(String field, String says) {}

  private final ReferenceShelf shelf;
  private final Names names;
  private final Map<String, String> makers;
  private final Map<String, String> regions;
  private final Map<String, String> handles;
  private final String currency;

  /**
   * A reader of lists.
   *
   * @param currency of amounts that do not say
   */
  public KnivesTable(ReferenceShelf shelf, String currency) {
    this.shelf = shelf;
    this.names = new Names(shelf, COLUMNS.shortForms());
    this.makers = shelf.makers().stream().collect(Collectors.toMap(Maker::id, Maker::name));
    this.regions = shelf.regions().stream().collect(Collectors.toMap(Region::id, Region::label));
    this.handles =
        shelf.clues().feature(Names.HANDLE).stream()
            .flatMap(f -> f.clues().stream())
            .collect(Collectors.toMap(c -> c.id(), c -> c.label()));
    this.currency = currency;
  }

  /** All that a column may be taken for. */
  public static List<TableField> fields() {
    return Columns.fields(COLUMNS.knives());
  }

  /**
   * Reads some rows of a list.
   *
   * @param as by column what it is taken for, where someone said so; empty to find out
   * @param from the first row, counted from 0 and without the headings
   * @param most how many
   * @throws InvalidInput when it is no table, or {@code as} does not fit it
   */
  public KnivesRead read(String file, byte[] bytes, List<String> as, int from, int most) {
    Table table = Table.of(file, bytes);
    Columns columns = Columns.of(table, COLUMNS.knives(), "title", new Columns.Reading(names), as);
    TableLengths lengths = TableLengths.of(columns, COLUMNS.bareLengths());
    return new KnivesRead(
        table.encoding(),
        table.separatorInWords(),
        columns.headed(),
        columns.columns(),
        columns.rows().size(),
        some(columns, from, most, lengths));
  }

  private List<KnifeRow> some(Columns columns, int from, int most, TableLengths lengths) {
    Map<List<String>, Integer> met = new HashMap<>();
    List<KnifeRow> some = new ArrayList<>();
    for (int r = 0; r < Math.min(columns.rows().size(), from + most); r++) {
      Table.Row row = columns.rows().get(r);
      int again = met.merge(row.cells(), 1, Integer::sum) - 1;
      if (r >= from) {
        some.add(row(row, again, columns.columns(), lengths));
      }
    }
    return some;
  }

  private KnifeRow row(Table.Row row, int again, List<ColumnRead> columns, TableLengths lengths) {
    Cells cells = new Cells(row, columns, COLUMNS.knives());
    List<TakenFor> taken = new ArrayList<>();
    ObjectNode knife = Json.mapper().createObjectNode();
    title(knife, cells);
    Length length = cells.readOrKeep("length", lengths::read);
    if (length != null) {
      knife.put("closedLength", length.written());
      took(taken, "length", length.written());
    }
    String handle = cells.name(HANDLE, names::handle);
    if (handle != null) {
      // Whoever wrote the list looked, but one does not know how well.
      knife
          .putObject("seen")
          .putObject(Names.HANDLE)
          .put("value", handle)
          .put("sureness", "likely");
      took(taken, HANDLE, handles.get(handle));
    }
    Integer blades = cells.readOrKeep("blades", KnivesTable::blades);
    if (blades != null) {
      ArrayNode all = knife.putArray("blades");
      IntStream.range(0, blades).forEach(i -> all.addObject());
      took(taken, "blades", "" + blades);
    }
    fitting(knife, "number", cells, taken, KnivesTable::number);
    fitting(knife, "mark", cells, taken, KnivesTable::mark);
    fitting(knife, "place", cells, taken, KnivesTable::place);
    fitting(knife, "tags", cells, taken, KnivesTable::tags);
    claims(knife, cells, taken);
    bought(knife, cells, taken);
    String note = cells.note(LONGEST_NOTE);
    if (note != null) {
      knife.put("note", note);
    }
    return new KnifeRow(
        row.line(), again, SpecimenFormat.read(knife, shelf), taken, cells.leftover());
  }

  private static void took(List<TakenFor> taken, String field, String says) {
    String label =
        COLUMNS.knives().stream()
            .filter(c -> c.id().equals(field))
            .map(ShippedShelf.Column::label)
            .findFirst()
            .orElse(field);
    taken.add(new TakenFor(label, says));
  }

  // As it is called; else what the list says it is. A pattern is what someone called it.
  private static void title(ObjectNode knife, Cells cells) {
    String own = cells.text("title");
    String pattern = cells.text("pattern");
    String title =
        own != null
            ? own
            : Stream.of(cells.text("maker"), pattern)
                .filter(Objects::nonNull)
                .collect(Collectors.joining(" "));
    if (!title.isEmpty()) {
      knife.put("title", Cells.shortened(title, LONGEST_TITLE));
    }
    if (title.length() > LONGEST_TITLE) {
      cells.keep("title", title);
    }
    if (pattern != null && own != null) {
      cells.keep("pattern", pattern);
    }
  }

  private static int blades(String written) {
    if (!written.matches("\\d{1,2}")) {
      throw new NotAccepted("must be a number of blades", written);
    }
    int blades = Integer.parseInt(written);
    if (blades < 1 || blades > MOST_BLADES) {
      throw new NotAccepted("must be from 1 to " + MOST_BLADES, written);
    }
    return blades;
  }

  private static ObjectNode number(String written) {
    return Json.mapper().createObjectNode().put("number", written.toUpperCase(Locale.ROOT));
  }

  private static ObjectNode place(String written) {
    return Json.mapper().createObjectNode().put("place", written);
  }

  private static ObjectNode tags(String written) {
    ObjectNode knife = Json.mapper().createObjectNode();
    ArrayNode tags = knife.putArray("tags");
    BETWEEN_TAGS
        .splitAsStream(written)
        .filter(t -> !t.isBlank())
        .map(String::strip)
        .forEach(tags::add);
    return knife;
  }

  // Lines are parted by a stroke or stand below one another. On which face it is, no list says:
  // most are on the mark side of the main blade.
  private static ObjectNode mark(String written) {
    ObjectNode knife = Json.mapper().createObjectNode();
    ObjectNode face = knife.putArray("marks").addObject();
    face.put("blade", 1);
    face.put("face", Face.MARK.toString());
    face.put("state", FaceState.READ.toString());
    ArrayNode lines = face.putArray("lines");
    NEXT_LINE
        .splitAsStream(written)
        .forEach(line -> lines.add(line.strip().toUpperCase(Locale.ROOT)));
    return knife;
  }

  // What a knife can hold is the format's to say.
  private void fitting(
      ObjectNode knife,
      String field,
      Cells cells,
      List<TakenFor> taken,
      java.util.function.Function<String, ObjectNode> part) {
    String written = cells.text(field);
    if (written == null) {
      return;
    }
    ObjectNode with = part.apply(written);
    try {
      SpecimenFormat.read(with, shelf);
      knife.setAll(with);
      took(taken, field, written);
    } catch (InvalidInput e) {
      cells.keep(field, written);
    }
  }

  private void claims(ObjectNode knife, Cells cells, List<TakenFor> taken) {
    EdtfDate made = cells.readOrKeep(MADE, WrittenDate::read);
    String maker = cells.name("maker", names::maker);
    String region = cells.name("country", names::country);
    if (made == null && maker == null && region == null) {
      return;
    }
    ObjectNode said = knife.withArray("story").addObject();
    said.put("kind", "dated").put("source", LIST);
    if (made != null) {
      said.put("date", made.written());
      took(taken, MADE, "" + cells.text(MADE));
    }
    if (maker != null) {
      said.put("maker", maker);
      took(taken, "maker", makers.get(maker));
    }
    if (region != null) {
      said.put("region", region);
      took(taken, "country", regions.get(region));
    }
  }

  private void bought(ObjectNode knife, Cells cells, List<TakenFor> taken) {
    EdtfDate when = cells.readOrKeep("bought", WrittenDate::read);
    Amount price = cells.readOrKeep("price", Amount::parse);
    String code = cells.readOrKeep("currency", Cells::code);
    String from = cells.text("from");
    if (when == null && price == null && from == null) {
      return;
    }
    ObjectNode event = knife.withArray("story").addObject();
    event.put("kind", "bought").put("source", "own-record");
    if (when != null) {
      event.put("date", when.written());
      took(taken, "bought", "" + cells.text("bought"));
    }
    if (price != null) {
      String in = price.currency() != null ? price.currency() : code != null ? code : currency;
      event.put("price", price.amount()).put("currency", in);
      took(taken, "price", price.amount().toPlainString() + " " + in);
    }
    if (from != null) {
      event.put("place", Cells.shortened(from, LONGEST_PLACE));
      took(taken, "from", from);
    }
  }
}
