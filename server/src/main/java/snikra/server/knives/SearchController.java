package snikra.server.knives;

import io.swagger.v3.oas.annotations.Parameter;
import jakarta.servlet.http.HttpServletRequest;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import snikra.core.search.Condition;
import snikra.core.search.Facet;
import snikra.core.search.Found;
import snikra.core.search.Meaning;
import snikra.core.search.Phrase;
import snikra.formats.KnivesList;
import snikra.formats.SpecimenFormat;
import snikra.server.knives.Catalogue.Shown;
import snikra.server.reference.ReferenceDesk;

/** {@code GET /api/knives/search}: knives by plain words and by what they have in common. */
@RestController
class SearchController {
  private final Catalogue catalogue;
  private final ReferenceDesk desk;

  SearchController(Catalogue catalogue, ReferenceDesk desk) {
    this.catalogue = catalogue;
    this.desk = desk;
  }

  /**
   * What was found.
   *
   * @param hits by number
   * @param left how many knives are still to be worked out, and may answer too
   */
  record SearchTold(
      List<Understood> phrases, List<Found.Hit> hits, List<FacetTold> facets, int left) {}

  /**
   * A phrase as it was understood.
   *
   * @param from first letter of it in the search
   * @param to letter after the last
   * @param says how it was understood; empty for a word that is there as it is
   */
  record Understood(int from, int to, String says, boolean found) {
    static Understood of(Phrase phrase) {
      boolean found = !(phrase.condition() instanceof Condition.Said said) || said.isFound();
      return new Understood(phrase.from(), phrase.to(), Meaning.of(phrase.condition()), found);
    }
  }

  /** A facet with its name. */
  record FacetTold(Facet id, String label, List<Found.Value> values) {}

  /**
   * Knives that answer.
   *
   * @param q plain words: years, lengths, prices and named facets are understood
   * @param request with {@code in}, what is ticked
   */
  @GetMapping("/api/knives/search")
  @Ticked
  SearchTold search(
      @RequestParam(defaultValue = "") String q,
      @Parameter(hidden = true) HttpServletRequest request) {
    Found found = catalogue.find(FoundBy.asked(q, request));
    return new SearchTold(
        found.phrases().stream().map(Understood::of).toList(),
        found.hits(),
        found.facets().stream()
            .map(f -> new FacetTold(f.facet(), f.facet().label(), f.values()))
            .toList(),
        catalogue.left());
  }

  /** What was found as a table, to save; those that cannot be read are left out. */
  @GetMapping(path = "/api/knives/found.csv", produces = "text/csv")
  @Ticked
  ResponseEntity<String> table(
      @RequestParam(defaultValue = "") String q,
      @Parameter(hidden = true) HttpServletRequest request) {
    List<KnivesList.Listed> all = new ArrayList<>();
    catalogue.eachFound(FoundBy.asked(q, request), knife -> knife.listed().ifPresent(all::add));
    return saved("knives.csv", "text/csv;charset=UTF-8")
        .body(KnivesList.write(desk.examiner().shelf(), all));
  }

  /**
   * What was found as it is kept, to save: all that was seen of each, by the schema of a knife.
   *
   * @param vague whether of finds only the county or country is told, and not what is noted of
   *     them; a knife that cannot be read is then left out
   */
  @GetMapping(path = "/api/knives/found.json", produces = MediaType.APPLICATION_JSON_VALUE)
  @Ticked
  ResponseEntity<String> kept(
      @RequestParam(defaultValue = "") String q,
      @RequestParam(defaultValue = "false") boolean vague,
      @Parameter(hidden = true) HttpServletRequest request) {
    List<String> all = new ArrayList<>();
    catalogue.eachFound(
        FoundBy.asked(q, request),
        knife ->
            (vague ? vaguely(knife) : Optional.of(knife.text()))
                .ifPresent(
                    text ->
                        all.add(
                            "{\"id\":\"%s\",\"number\":%d,\"specimen\":%s}"
                                .formatted(knife.id(), knife.number(), text))));
    return saved("knives.json", MediaType.APPLICATION_JSON_VALUE)
        .body("[" + String.join(",\n", all) + "]");
  }

  private static Optional<String> vaguely(Shown knife) {
    return knife.listed().map(l -> SpecimenFormat.write(l.knife().withFindsKeptVague()));
  }

  private static ResponseEntity.BodyBuilder saved(String file, String type) {
    return ResponseEntity.ok()
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment().filename(file).build().toString())
        .contentType(MediaType.parseMediaType(type));
  }
}
