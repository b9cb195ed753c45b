package snikra.server.knives;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import snikra.core.specimen.Specimen;
import snikra.formats.ColumnRead;
import snikra.formats.KnivesTable;
import snikra.formats.KnivesTable.KnifeRow;
import snikra.formats.KnivesTable.KnivesRead;
import snikra.formats.KnivesTable.TakenFor;
import snikra.formats.SpecimenFormat;
import snikra.formats.TableField;
import snikra.server.reference.ReferenceDesk;

/** {@code /api/knives/table}: knives out of a list of any shape. */
@RestController
@RequestMapping("/api/knives/table")
class KnifeListController {
  /** So many rows go in one request, so that each takes a moment and a long list can be stopped. */
  static final int AT_ONCE = 500;

  private final KnifeService knives;
  private final ReferenceDesk desk;

  KnifeListController(KnifeService knives, ReferenceDesk desk) {
    this.knives = knives;
    this.desk = desk;
  }

  /**
   * What became of some rows of a list.
   *
   * @param rows how many there are in the whole list
   * @param told those that were looked at
   * @param kept how many of them are in the tray now that were not before
   * @param next the row to go on with; null when this was the last
   */
  record ListTold(
      String encoding,
      String separator,
      boolean headed,
      List<ColumnRead> columns,
      List<TableField> fields,
      int rows,
      List<RowTold> told,
      int kept,
      @Nullable Integer next) {}

  /**
   * A row.
   *
   * @param taken what the knife begins with
   * @param leftover what was not understood and stays in its note
   * @param known whether it is in the tray already, and is not taken in again
   */
  record RowTold(
      int line,
      @Nullable String title,
      List<TakenFor> taken,
      List<String> leftover,
      boolean known) {}

  /**
   * Looks at up to 500 rows of a list, and takes them in where {@code batch} is given.
   *
   * @param currency of amounts that do not say
   * @param columns what each column is, where the collector said so
   * @param from the first row, without the headings, counted from 0
   * @param batch an id of the sender's own, the same for all parts of one list: by it the whole can
   *     be taken out again. Left out where it is only looked at
   */
  @PostMapping(consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
  ListTold list(
      @RequestParam(defaultValue = "the list") String name,
      @RequestParam String currency,
      @RequestParam(required = false) @Nullable List<String> columns,
      @RequestParam(defaultValue = "0") int from,
      @RequestParam(required = false) @Nullable UUID batch,
      @RequestBody(required = false) byte @Nullable [] body) {
    KnivesRead read =
        new KnivesTable(desk.examiner().shelf(), currency)
            .read(
                name,
                body == null ? new byte[0] : body,
                columns == null ? List.of() : columns,
                Math.max(0, from),
                AT_ONCE);
    Map<String, Specimen> byId = new LinkedHashMap<>();
    List<String> ids = new ArrayList<>();
    for (KnifeRow row : read.rows()) {
      String id = idOf(row);
      ids.add(id);
      byId.put(id, row.knife());
    }
    Set<String> known = knives.inTrayAmong(byId.keySet());
    int kept = batch == null ? 0 : knives.addAll(batch.toString(), byId);
    List<RowTold> told = new ArrayList<>();
    for (int r = 0; r < ids.size(); r++) {
      KnifeRow row = read.rows().get(r);
      told.add(
          new RowTold(
              row.line(),
              row.knife().title(),
              row.taken(),
              row.leftover(),
              known.contains(ids.get(r))));
    }
    int next = Math.max(0, from) + read.rows().size();
    return new ListTold(
        read.encoding(),
        read.separator(),
        read.headed(),
        read.columns(),
        KnivesTable.fields(),
        read.all(),
        told,
        kept,
        next < read.all() ? next : null);
  }

  // The same row is the same knife whenever it comes, and the second of two like rows is another.
  private static String idOf(KnifeRow row) {
    String text = row.again() + "\n" + SpecimenFormat.write(row.knife());
    return UUID.nameUUIDFromBytes(text.getBytes(StandardCharsets.UTF_8)).toString();
  }

  /** Takes out all that one list brought. */
  @DeleteMapping("/{batch}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void remove(@PathVariable UUID batch) {
    knives.removeBatch(batch.toString(), true);
  }

  /** Puts back all that one list brought. */
  @PostMapping("/{batch}/restore")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void restore(@PathVariable UUID batch) {
    knives.removeBatch(batch.toString(), false);
  }
}
