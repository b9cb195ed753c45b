package snikra.server.labels;

import io.swagger.v3.oas.annotations.Parameter;
import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import java.util.stream.Collectors;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;
import snikra.core.examination.Problem;
import snikra.formats.InvalidInput;
import snikra.formats.LabelPaper;
import snikra.formats.ShippedShelf;
import snikra.server.knives.Catalogue;
import snikra.server.knives.FoundBy;
import snikra.server.knives.Ticked;
import snikra.server.knives.TrayEntry;

/** {@code /api/labels}: labels for what is found in the tray. */
@RestController
@RequestMapping("/api/labels")
class LabelsController {
  /** More are printed in parts. */
  private static final int MOST = 500;

  private static final List<LabelPaper> PAPERS = ShippedShelf.labelPapers();

  private final Catalogue catalogue;

  LabelsController(Catalogue catalogue) {
    this.catalogue = catalogue;
  }

  /** Sheets to print on, the usual one first. */
  @GetMapping("/papers")
  List<LabelPaper> papers() {
    return PAPERS;
  }

  /**
   * Labels for what is found, each with a code that opens its knife on this machine.
   *
   * @param paper the sheet they are printed on
   * @param skip places on the first sheet that are used already
   * @param q plain words, as in a search; all knives where there are none
   * @param request with {@code in}, what is ticked
   */
  @GetMapping(path = "/labels.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
  @Ticked
  ResponseEntity<byte[]> labels(
      @RequestParam String paper,
      @RequestParam(defaultValue = "0") int skip,
      @RequestParam(defaultValue = "") String q,
      @Parameter(hidden = true) HttpServletRequest request) {
    LabelPaper on = paper(paper);
    if (skip < 0 || skip >= on.perSheet()) {
      throw refused("skip", "" + skip, "must be from 0 to " + (on.perSheet() - 1));
    }
    List<TrayEntry> found =
        catalogue.entries(FoundBy.asked(q, request)).stream()
            .filter(e -> e.summary() != null)
            .toList();
    if (found.isEmpty() || found.size() > MOST) {
      throw refused(
          "q",
          found.size() + " knives",
          "must find from 1 to " + MOST + " knives; print more in parts");
    }
    String bench =
        ServletUriComponentsBuilder.fromContextPath(request).path("/bench/").toUriString();
    return ResponseEntity.ok()
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment().filename("labels.pdf").build().toString())
        .contentType(MediaType.APPLICATION_PDF)
        .body(LabelSheets.of(on, skip, found, id -> bench + id));
  }

  private static LabelPaper paper(String id) {
    return PAPERS.stream()
        .filter(p -> p.id().equals(id))
        .findFirst()
        .orElseThrow(
            () ->
                refused(
                    "paper",
                    id,
                    "must be one of "
                        + PAPERS.stream().map(LabelPaper::id).collect(Collectors.joining(", "))));
  }

  private static InvalidInput refused(String field, String given, String accepted) {
    return new InvalidInput(List.of(new Problem(field, given, accepted)));
  }
}
