package snikra.server.reference;

import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import snikra.core.dating.DatingVerdict.Opinion;
import snikra.core.examination.Examiner;
import snikra.core.examination.Problem;
import snikra.core.mark.PackReview;
import snikra.core.mark.PackReview.Remark;
import snikra.core.reference.MarkSlip;
import snikra.core.specimen.Specimen;
import snikra.formats.InvalidInput;
import snikra.formats.MarksTable;
import snikra.formats.MarksTable.MarkRow;
import snikra.formats.MarksTable.MarksRead;
import snikra.formats.OwnPack;
import snikra.formats.SpecimenFormat;
import snikra.formats.TableField;
import snikra.server.reference.OwnReferences.FiledStep;
import tools.jackson.databind.JsonNode;

/** {@code /api/own}: what the collector puts on file, out of the knife in hand. */
@RestController
@RequestMapping("/api/own")
class OwnReferencesController {
  private final OwnReferences own;
  private final ReferenceDesk desk;
  private final Verdicts verdicts;

  OwnReferencesController(OwnReferences own, ReferenceDesk desk, Verdicts verdicts) {
    this.own = own;
    this.desk = desk;
    this.verdicts = verdicts;
  }

  /** A knife whose mark is to be put on file. */
  record SlipRequest(Specimen specimen) {}

  /** The slip as it was filled in, and the knife it came from. */
  record FileRequest(Specimen specimen, MarkSlip slip) {}

  /**
   * What a slip does.
   *
   * @param isNew whether the maker is on file only with it
   * @param before what is said of the knife without it
   * @param after what is said of the knife with it
   * @param remarks what is odd about the maker's marks then
   */
  record MarkFiled(
      String maker,
      String mark,
      boolean isNew,
      Opinion before,
      Opinion after,
      List<Remark> remarks) {}

  /**
   * A slip that is still being written.
   *
   * @param problems why it cannot be filed yet
   * @param filed what filing it would do; null while it cannot be
   */
  record SlipLooked(List<Problem> problems, @Nullable MarkFiled filed) {}

  /** Steps that can be undone and done again, the first first. */
  @GetMapping("/steps")
  List<FiledStep> steps() {
    return own.steps();
  }

  /** A slip filled in as far as the knife tells it. */
  @PostMapping(path = "/slip", consumes = MediaType.APPLICATION_JSON_VALUE)
  @io.swagger.v3.oas.annotations.parameters.RequestBody(
      required = true,
      content = @Content(schema = @Schema(implementation = SlipRequest.class)))
  MarkSlip slip(@RequestBody String body) {
    Examiner examiner = desk.examiner();
    return examiner
        .slip(knife(SpecimenFormat.parse(body), examiner))
        .orElseThrow(
            () ->
                new InvalidInput(
                    List.of(new Problem("marks", "no letters", "must have a face that was read"))));
  }

  /** What filing the slip would do, or what is still missing; nothing is kept. */
  @PostMapping(path = "/marks/look", consumes = MediaType.APPLICATION_JSON_VALUE)
  @io.swagger.v3.oas.annotations.parameters.RequestBody(
      required = true,
      content = @Content(schema = @Schema(implementation = FileRequest.class)))
  SlipLooked look(@RequestBody String body) {
    JsonNode tree = SpecimenFormat.parse(body);
    Specimen knife = knife(tree, desk.examiner());
    try {
      OwnPack.Filed filed = own.look(OwnPack.slip(tree.path("slip")));
      return new SlipLooked(List.of(), told(knife, opinion(knife), filed, own.with(filed)));
    } catch (InvalidInput e) {
      return new SlipLooked(e.problems(), null);
    }
  }

  /** Puts the mark on file. */
  @PostMapping(path = "/marks", consumes = MediaType.APPLICATION_JSON_VALUE)
  @io.swagger.v3.oas.annotations.parameters.RequestBody(
      required = true,
      content = @Content(schema = @Schema(implementation = FileRequest.class)))
  MarkFiled file(@RequestBody String body) {
    JsonNode tree = SpecimenFormat.parse(body);
    Specimen knife = knife(tree, desk.examiner());
    Opinion before = opinion(knife);
    OwnPack.Filed filed = own.file(OwnPack.slip(tree.path("slip")));
    return told(knife, before, filed, desk.examiner());
  }

  /** A mark one put on file, as a slip to be written anew. */
  @GetMapping("/marks/{mark}")
  MarkSlip mark(@PathVariable String mark) {
    return own.slip(mark);
  }

  /**
   * What was done to a mark of one's own.
   *
   * @param remarks what is odd about the maker's marks then
   */
  record MarkChanged(String maker, String mark, List<Remark> remarks) {}

  /** Changes a mark one put on file. */
  @PutMapping(path = "/marks/{mark}", consumes = MediaType.APPLICATION_JSON_VALUE)
  @io.swagger.v3.oas.annotations.parameters.RequestBody(
      required = true,
      content = @Content(schema = @Schema(implementation = MarkSlip.class)))
  MarkChanged change(@PathVariable String mark, @RequestBody String body) {
    return changed(own.change(mark, OwnPack.slip(SpecimenFormat.parse(body))));
  }

  /** Takes a mark one put on file out; the step can be undone. */
  @DeleteMapping("/marks/{mark}")
  MarkChanged takeOut(@PathVariable String mark) {
    return changed(own.takeOut(mark));
  }

  private MarkChanged changed(OwnPack.Filed filed) {
    return new MarkChanged(filed.maker(), filed.mark(), remarks(desk.examiner(), filed));
  }

  /**
   * What became of a table of marks.
   *
   * @param read the rows that cannot be taken in first; at most {@value BroughtRows#MOST_TOLD}
   * @param good how many can be
   * @param known how many of those are on file already, and are not put there again
   * @param refused how many cannot
   * @param kept how many were put on file
   */
  record MarksTold(
      MarksRead read,
      List<TableField> fields,
      int rows,
      int good,
      int known,
      int refused,
      int kept) {}

  /**
   * Puts the marks of a table on file in one step, or only looks at it.
   *
   * @param maker whose marks they are, where no column says so
   * @param region country of makers not on file, where no column says so
   * @param source where they are known from, where no column says so
   * @param sourceKind what kind of source that is
   * @param columns what each column is, where the collector said so
   * @param keep whether they are put on file
   */
  @PostMapping(path = "/marks/table", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
  MarksTold table(
      @RequestParam(defaultValue = "the table") String name,
      @RequestParam(required = false) @Nullable String maker,
      @RequestParam(required = false) @Nullable String region,
      @RequestParam(required = false) @Nullable String source,
      @RequestParam String sourceKind,
      @RequestParam(required = false) @Nullable List<String> columns,
      @RequestParam(defaultValue = "false") boolean keep,
      @RequestBody(required = false) byte @Nullable [] body) {
    Examiner examiner = desk.examiner();
    MarksRead read =
        new MarksTable(
                examiner.shelf(),
                new MarksTable.Besides(
                    BroughtRows.given(maker),
                    BroughtRows.given(region),
                    BroughtRows.given(source),
                    sourceKind),
                examiner.thisYear())
            .read(name, body == null ? new byte[0] : body, columns == null ? List.of() : columns);
    BroughtRows<MarkRow> rows = BroughtRows.of(read.rows(), r -> r.slip() != null, MarkRow::known);
    if (keep && !rows.anew().isEmpty()) {
      own.fileAll(rows.anew().stream().map(MarkRow::slip).toList());
    }
    return new MarksTold(
        new MarksRead(
            read.encoding(), read.separator(), read.headed(), read.columns(), rows.told()),
        MarksTable.fields(),
        rows.rows(),
        rows.good(),
        rows.known(),
        rows.refused(),
        keep ? rows.anew().size() : 0);
  }

  private Opinion opinion(Specimen knife) {
    return verdicts.of(knife).dating().opinion();
  }

  private static MarkFiled told(
      Specimen knife, Opinion before, OwnPack.Filed filed, Examiner with) {
    return new MarkFiled(
        filed.maker(),
        filed.mark(),
        filed.isNew(),
        before,
        with.dateWithReasons(knife).opinion(),
        remarks(with, filed));
  }

  private static List<Remark> remarks(Examiner with, OwnPack.Filed filed) {
    return PackReview.remarks(
        with.shelf().makers().stream().filter(m -> m.name().equals(filed.maker())).toList());
  }

  /** Takes the last step back. */
  @PostMapping("/undo")
  List<FiledStep> undo() {
    own.undo();
    return own.steps();
  }

  /** Does the step again that was taken back last. */
  @PostMapping("/redo")
  List<FiledStep> redo() {
    own.redo();
    return own.steps();
  }

  private static Specimen knife(JsonNode tree, Examiner examiner) {
    return SpecimenFormat.read(tree.path("specimen"), examiner.shelf());
  }
}
