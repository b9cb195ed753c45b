package snikra.formats;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import snikra.core.clue.Clue;
import snikra.core.dating.Span;
import snikra.core.examination.Examiner;
import snikra.core.reference.ReferenceShelf;
import snikra.core.specimen.Seen;
import snikra.core.specimen.Specimen;
import snikra.formats.ShippedShelf.Column;

/**
 * Writes knives as a list that {@link KnivesTable} reads: what was seen, and what was concluded.
 */
public final class KnivesList {
  private KnivesList() {}

  /**
   * A knife as it is told in a list.
   *
   * @param number in the tray
   * @param country null where it is not known
   */
  public record Listed(
      int number, Specimen knife, Examiner.Summary summary, @Nullable String country) {}

  private static final List<String> TOLD =
      List.of(
          "title",
          "maker",
          "country",
          "pattern",
          "number",
          "length",
          "handle",
          "blades",
          "mark",
          "made",
          "place",
          "tags",
          Columns.NOTE);

  private static final List<String> FOUND =
      List.of(
          "In the tray",
          "Name in the trade",
          "Grade",
          "Worth from",
          "Worth to",
          "In",
          "Box and papers");

  /**
   * Knives as a list that can be read back. Text that looks like a formula is made harmless.
   *
   * @param knives in the order in which they are listed
   */
  public static String write(ReferenceShelf shelf, List<Listed> knives) {
    List<List<String>> rows = new ArrayList<>();
    Map<String, String> labels =
        ShippedShelf.tableColumns().knives().stream()
            .collect(Collectors.toMap(Column::id, Column::label));
    rows.add(Stream.concat(TOLD.stream().map(labels::get), FOUND.stream()).toList());
    for (Listed listed : knives) {
      Map<String, Object> told = told(listed, shelf);
      List<String> row = new ArrayList<>();
      Stream.concat(TOLD.stream(), FOUND.stream())
          .map(told::get)
          .forEach(v -> row.add(v == null ? "" : "" + v));
      rows.add(row);
    }
    return Table.write(rows);
  }

  private static Map<String, Object> told(Listed listed, ReferenceShelf shelf) {
    Specimen knife = listed.knife();
    Examiner.Summary summary = listed.summary();
    Span span = summary.span();
    Map<String, Object> told = new HashMap<>();
    told.put("title", knife.title());
    told.put("maker", summary.maker());
    told.put("country", listed.country());
    told.put("pattern", summary.title());
    told.put("number", knife.number());
    told.put("length", knife.closedLength() == null ? null : knife.closedLength().written());
    told.put("handle", handle(knife, shelf));
    told.put("blades", knife.blades().isEmpty() ? null : knife.blades().size());
    told.put("mark", mark(knife));
    told.put("made", span == null ? null : span.from() + "-" + span.to());
    told.put("place", knife.place());
    told.put("tags", String.join("; ", knife.tags()));
    told.put(Columns.NOTE, knife.note());
    told.put("In the tray", listed.number());
    told.put("Name in the trade", summary.tradeTitle());
    told.put("Grade", summary.grade().best() == null ? null : summary.grade().best().label());
    told.put("Worth from", summary.low() == null ? null : summary.low().toPlainString());
    told.put("Worth to", summary.high() == null ? null : summary.high().toPlainString());
    told.put("In", summary.currency());
    told.put("Box and papers", summary.box());
    return told;
  }

  /** The handle in words; null where it was not looked at. */
  public static @Nullable String handle(Specimen knife, ReferenceShelf shelf) {
    String value = Seen.valueOf(knife.seen().get(Names.HANDLE));
    return shelf
        .clues()
        .feature(Names.HANDLE)
        .flatMap(f -> f.clue(Objects.requireNonNullElse(value, "")))
        .map(Clue::label)
        .orElse(null);
  }

  /** The first mark that was read, its lines one after the other; null where none was. */
  public static @Nullable String mark(Specimen knife) {
    return knife.marks().stream()
        .filter(face -> !face.lines().isEmpty())
        .findFirst()
        .map(face -> String.join(" / ", face.lines()))
        .orElse(null);
  }
}
