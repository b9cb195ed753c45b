package snikra.server.knives;

import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.media.ArraySchema;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import snikra.core.examination.Problem;
import snikra.core.specimen.Specimen;
import snikra.formats.InvalidInput;
import snikra.formats.SpecimenFormat;
import snikra.server.reference.ReferenceDesk;
import tools.jackson.databind.JsonNode;

/** {@code /api/knives}: the tray. */
@RestController
@RequestMapping("/api/knives")
class KnifeController {
  private final KnifeService knives;
  private final Catalogue catalogue;
  private final ReferenceDesk desk;

  KnifeController(KnifeService knives, Catalogue catalogue, ReferenceDesk desk) {
    this.catalogue = catalogue;
    this.knives = knives;
    this.desk = desk;
  }

  /** A change, with the version it was made to. */
  record ChangeRequest(long version, Specimen specimen) {}

  /** All knives in the tray, each in a few words; row by row, so that many need no more room. */
  @GetMapping(produces = MediaType.APPLICATION_JSON_VALUE)
  @ApiResponse(
      responseCode = "200",
      content = @Content(array = @ArraySchema(schema = @Schema(implementation = TrayEntry.class))))
  void tray(@Parameter(hidden = true) HttpServletResponse response) throws IOException {
    response.setContentType(MediaType.APPLICATION_JSON_VALUE);
    catalogue.write(response.getOutputStream());
  }

  /** The knives that rest on the marks of a maker, by mark. */
  @GetMapping("/bearing")
  Map<String, List<KnifeService.Resting>> bearing(@RequestParam String maker) {
    return knives.bearing(maker);
  }

  /** The knives that show an answer of the clue book. */
  @GetMapping("/showing")
  List<KnifeService.Resting> showing(@RequestParam String feature, @RequestParam String answer) {
    return knives.showing(feature, answer);
  }

  /** A knife as it is kept. */
  @GetMapping("/{id}")
  SavedKnife get(@PathVariable String id) {
    return knives.get(id);
  }

  /** The knives that were taken out and can still be put back. */
  @GetMapping("/taken-out")
  List<KnifeService.TakenOut> takenOut() {
    return knives.takenOut();
  }

  /** The text of a knife as it is kept, to save one that cannot be read. */
  @GetMapping(path = "/{id}/text", produces = MediaType.APPLICATION_JSON_VALUE)
  ResponseEntity<String> text(@PathVariable String id) {
    String file =
        ContentDisposition.attachment().filename("knife-" + id + ".json").build().toString();
    return ResponseEntity.ok().header(HttpHeaders.CONTENT_DISPOSITION, file).body(knives.text(id));
  }

  /**
   * Keeps a new knife.
   *
   * @param id an id of the sender's own, so that what is sent twice is kept once
   */
  @PostMapping(consumes = MediaType.APPLICATION_JSON_VALUE)
  @ResponseStatus(HttpStatus.CREATED)
  @io.swagger.v3.oas.annotations.parameters.RequestBody(
      required = true,
      content = @Content(schema = @Schema(implementation = Specimen.class)))
  SavedKnife add(@RequestParam(required = false) @Nullable UUID id, @RequestBody String body) {
    Specimen knife = SpecimenFormat.read(body, desk.examiner().shelf());
    return id == null ? knives.add(knife) : knives.add(id.toString(), knife);
  }

  /** Changes a knife, made to the version that is kept. */
  @PutMapping(path = "/{id}", consumes = MediaType.APPLICATION_JSON_VALUE)
  @io.swagger.v3.oas.annotations.parameters.RequestBody(
      required = true,
      content = @Content(schema = @Schema(implementation = ChangeRequest.class)))
  SavedKnife change(@PathVariable String id, @RequestBody String body) {
    JsonNode tree = SpecimenFormat.parse(body);
    if (!tree.path("version").isIntegralNumber() || !tree.path("version").canConvertToLong()) {
      throw new InvalidInput(
          List.of(
              new Problem(
                  "version",
                  tree.path("version").toString(),
                  "must be the version the knife was read at")));
    }
    Specimen specimen = SpecimenFormat.read(tree.path("specimen"), desk.examiner().shelf());
    return knives.change(id, tree.path("version").asLong(0), specimen);
  }

  /** Takes a knife out of the tray; it can be put back for thirty days. */
  @DeleteMapping("/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void delete(@PathVariable String id) {
    knives.delete(id);
  }

  /** Puts a knife back that was taken out. */
  @PostMapping("/{id}/restore")
  SavedKnife restore(@PathVariable String id) {
    return knives.restore(id);
  }
}
