package snikra.server.reference;

import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import snikra.core.dating.DatingVerdict.Opinion;
import snikra.core.examination.Examiner;
import snikra.core.examination.FactSlips.FactOffered;
import snikra.core.examination.Problem;
import snikra.core.mark.PackReview;
import snikra.core.mark.PackReview.Remark;
import snikra.core.reference.FactSlip;
import snikra.core.reference.History;
import snikra.core.reference.Maker;
import snikra.core.reference.YearsMoved;
import snikra.core.specimen.Specimen;
import snikra.formats.FactsTable;
import snikra.formats.FactsTable.FactRow;
import snikra.formats.FactsTable.FactsRead;
import snikra.formats.InvalidInput;
import snikra.formats.OwnFacts;
import snikra.formats.OwnPack;
import snikra.formats.SpecimenFormat;
import snikra.formats.TableField;
import tools.jackson.databind.JsonNode;

/**
 * {@code /api/own/facts}: what makers fitted and listed, whose they were and who made for them, put
 * on file by the collector.
 */
@RestController
@RequestMapping("/api/own/facts")
class OwnFactsController {
  private static final int MOST_AT_ONCE = 500;

  private final OwnReferences own;
  private final ReferenceDesk desk;
  private final Verdicts verdicts;

  OwnFactsController(OwnReferences own, ReferenceDesk desk, Verdicts verdicts) {
    this.own = own;
    this.desk = desk;
    this.verdicts = verdicts;
  }

  /** A knife that shows what its maker is not known for. */
  record FactsRequest(Specimen specimen) {}

  /**
   * A slip, and the knife it came from.
   *
   * @param specimen left out where it came from none
   */
  record FactRequest(@Nullable Specimen specimen, FactSlip fact) {}

  /** Slips of one maker or several, put on file in one step. */
  record FactsToFile(List<FactSlip> facts) {}

  /**
   * What other years for one of its facts make of a maker's time line.
   *
   * @param problems why they cannot be kept
   * @param unmarked years between its first mark and its last of which none is on file
   * @param remarks what is odd about its marks and codes then, and was not before
   */
  record YearsLooked(List<Problem> problems, List<History.Years> unmarked, List<Remark> remarks) {}

  /**
   * What became of facts.
   *
   * @param what the first says, in words
   * @param many how many there were
   */
  record FactsFiled(String maker, String what, int many) {}

  /**
   * A slip that is still being written.
   *
   * @param problems why it cannot be filed yet
   * @param before what is said of the knife without it; null where no knife was given
   * @param after what is said of the knife with it; null while it cannot be filed
   */
  record FactLooked(List<Problem> problems, @Nullable Opinion before, @Nullable Opinion after) {}

  /** Slips filled in from what a knife shows and its likeliest maker is not known for. */
  @PostMapping(path = "/slips", consumes = MediaType.APPLICATION_JSON_VALUE)
  @io.swagger.v3.oas.annotations.parameters.RequestBody(
      required = true,
      content = @Content(schema = @Schema(implementation = FactsRequest.class)))
  List<FactOffered> slips(@RequestBody String body) {
    Examiner examiner = desk.examiner();
    return examiner.facts(
        SpecimenFormat.read(SpecimenFormat.parse(body).path("specimen"), examiner.shelf()));
  }

  /** What filing the slip would do, or what is still missing; nothing is kept. */
  @PostMapping(path = "/look", consumes = MediaType.APPLICATION_JSON_VALUE)
  @io.swagger.v3.oas.annotations.parameters.RequestBody(
      required = true,
      content = @Content(schema = @Schema(implementation = FactRequest.class)))
  FactLooked look(@RequestBody String body) {
    JsonNode tree = SpecimenFormat.parse(body);
    Specimen knife =
        tree.has("specimen")
            ? SpecimenFormat.read(tree.path("specimen"), desk.examiner().shelf())
            : null;
    Opinion before = knife == null ? null : verdicts.of(knife).dating().opinion();
    try {
      OwnPack.Filed filed = own.lookFacts(List.of(slip(tree.path("fact"), "")));
      Opinion after = knife == null ? null : own.with(filed).dateWithReasons(knife).opinion();
      return new FactLooked(List.of(), before, after);
    } catch (InvalidInput e) {
      return new FactLooked(e.problems(), before, null);
    }
  }

  /** Puts facts on file, all of them or none; the step can be undone. */
  @PostMapping(consumes = MediaType.APPLICATION_JSON_VALUE)
  @io.swagger.v3.oas.annotations.parameters.RequestBody(
      required = true,
      content = @Content(schema = @Schema(implementation = FactsToFile.class)))
  FactsFiled file(@RequestBody String body) {
    JsonNode facts = SpecimenFormat.parse(body).path("facts");
    if (!facts.isArray() || facts.isEmpty() || facts.size() > MOST_AT_ONCE) {
      String given = facts.isArray() ? facts.size() + " facts" : "nothing";
      throw new InvalidInput(
          List.of(new Problem("facts", given, "must be 1 to " + MOST_AT_ONCE + " slips")));
    }
    List<FactSlip> slips = new ArrayList<>();
    for (int i = 0; i < facts.size(); i++) {
      slips.add(slip(facts.path(i), facts.size() == 1 ? "" : "facts[" + i + "]."));
    }
    return told(own.fileFacts(slips));
  }

  /**
   * What became of a table of models and fittings.
   *
   * @param read the rows that cannot be taken in first; at most {@value BroughtRows#MOST_TOLD}
   * @param good how many can be
   * @param known how many of those are on file already, and are not put there again
   * @param refused how many cannot
   * @param kept how many were put on file
   */
  record FactsTold(
      FactsRead read,
      List<TableField> fields,
      int rows,
      int good,
      int known,
      int refused,
      int kept) {}

  /**
   * Puts the models and fittings of a table on file in one step, or only looks at it.
   *
   * @param maker whose they are, where no column says so
   * @param source where they are known from, where no column says so
   * @param sourceKind what kind of source that is
   * @param columns what each column is, where the collector said so
   * @param keep whether they are put on file
   */
  @PostMapping(path = "/table", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
  FactsTold table(
      @RequestParam(defaultValue = "the table") String name,
      @RequestParam(required = false) @Nullable String maker,
      @RequestParam(required = false) @Nullable String source,
      @RequestParam String sourceKind,
      @RequestParam(required = false) @Nullable List<String> columns,
      @RequestParam(defaultValue = "false") boolean keep,
      @RequestBody(required = false) byte @Nullable [] body) {
    Examiner examiner = desk.examiner();
    FactsRead read =
        new FactsTable(
                examiner.shelf(),
                new FactsTable.FactsBesides(
                    BroughtRows.given(maker), BroughtRows.given(source), sourceKind),
                examiner.thisYear())
            .read(name, body == null ? new byte[0] : body, columns == null ? List.of() : columns);
    BroughtRows<FactRow> rows = BroughtRows.of(read.rows(), r -> r.slip() != null, FactRow::known);
    if (keep && !rows.anew().isEmpty()) {
      own.fileFacts(rows.anew().stream().map(FactRow::slip).toList());
    }
    return new FactsTold(
        new FactsRead(
            read.encoding(), read.separator(), read.headed(), read.columns(), rows.told()),
        FactsTable.fields(),
        rows.rows(),
        rows.good(),
        rows.known(),
        rows.refused(),
        keep ? rows.anew().size() : 0);
  }

  /** A fact one put on file, as a slip to be written anew. */
  @GetMapping
  FactSlip fact(@RequestParam String maker, @RequestParam String key) {
    return own.factSlip(maker, key);
  }

  /** Changes a fact one put on file; the step can be undone. */
  @PutMapping(consumes = MediaType.APPLICATION_JSON_VALUE)
  @io.swagger.v3.oas.annotations.parameters.RequestBody(
      required = true,
      content = @Content(schema = @Schema(implementation = FactSlip.class)))
  FactsFiled change(
      @RequestParam String maker, @RequestParam String key, @RequestBody String body) {
    return told(own.changeFact(maker, key, slip(SpecimenFormat.parse(body), "")));
  }

  /**
   * Gives a mark or another fact one put on file other years, in one step that can be undone, or
   * only looks at what that would make of the maker's time line.
   *
   * @param keep whether they are put on file
   */
  @PutMapping(path = "/years", consumes = MediaType.APPLICATION_JSON_VALUE)
  @io.swagger.v3.oas.annotations.parameters.RequestBody(
      required = true,
      content = @Content(schema = @Schema(implementation = YearsMoved.class)))
  YearsLooked move(@RequestParam(defaultValue = "false") boolean keep, @RequestBody String body) {
    JsonNode tree = SpecimenFormat.parse(body);
    Examiner before = desk.examiner();
    if (keep) {
      YearsMoved to = OwnFacts.moved(tree, before.thisYear());
      own.move(to);
      return looked(before, desk.examiner(), to.maker());
    }
    try {
      YearsMoved to = OwnFacts.moved(tree, before.thisYear());
      return looked(before, own.with(own.lookMoved(to)), to.maker());
    } catch (InvalidInput e) {
      return new YearsLooked(e.problems(), List.of(), List.of());
    }
  }

  private static YearsLooked looked(Examiner before, Examiner after, String maker) {
    List<Maker> of = after.shelf().maker(maker).stream().toList();
    List<Remark> known = PackReview.remarks(before.shelf().maker(maker).stream().toList());
    return new YearsLooked(
        List.of(),
        of.stream().flatMap(m -> PackReview.unmarked(m).stream()).toList(),
        PackReview.remarks(of).stream().filter(r -> !known.contains(r)).toList());
  }

  /** Takes a fact one put on file out; the step can be undone. */
  @DeleteMapping
  FactsFiled takeOut(@RequestParam String maker, @RequestParam String key) {
    return told(own.takeOutFact(maker, key));
  }

  private FactSlip slip(JsonNode tree, String path) {
    Examiner examiner = desk.examiner();
    return OwnFacts.slip(tree, path, examiner.shelf(), examiner.thisYear());
  }

  private static FactsFiled told(OwnPack.Filed filed) {
    return new FactsFiled(filed.maker(), filed.mark(), filed.many());
  }
}
