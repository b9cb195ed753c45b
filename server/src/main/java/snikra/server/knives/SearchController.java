package snikra.server.knives;

import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.enums.ParameterIn;
import io.swagger.v3.oas.annotations.media.ArraySchema;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.servlet.http.HttpServletRequest;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import snikra.core.examination.Problem;
import snikra.core.search.Condition;
import snikra.core.search.Facet;
import snikra.core.search.Found;
import snikra.core.search.Meaning;
import snikra.core.search.Phrase;
import snikra.formats.InvalidInput;

/** {@code GET /api/knives/search}: knives by plain words and by what they have in common. */
@RestController
class SearchController {
  static final int MOST_LETTERS = 200;
  static final int MOST_TICKED = 100;

  private final Catalogue catalogue;

  SearchController(Catalogue catalogue) {
    this.catalogue = catalogue;
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
   * @param request with {@code in}, values that are ticked as {@code facet:value}; of one facet any
   *     of them will do. Read from the request itself: a value may hold a comma, at which the
   *     framework would part it
   */
  @GetMapping("/api/knives/search")
  @Parameter(
      name = "in",
      in = ParameterIn.QUERY,
      description = "Values that are ticked, as facet:value; of one facet any of them will do.",
      array = @ArraySchema(schema = @Schema(type = "string")))
  SearchTold search(
      @RequestParam(defaultValue = "") String q,
      @Parameter(hidden = true) HttpServletRequest request) {
    String[] in = Objects.requireNonNullElse(request.getParameterValues("in"), new String[0]);
    if (q.length() > MOST_LETTERS) {
      throw refused("q", q.substring(0, MOST_LETTERS), "at most " + MOST_LETTERS + " letters");
    }
    Found found = catalogue.find(q, ticked(in));
    return new SearchTold(
        found.phrases().stream().map(Understood::of).toList(),
        found.hits(),
        found.facets().stream()
            .map(f -> new FacetTold(f.facet(), f.facet().label(), f.values()))
            .toList(),
        catalogue.left());
  }

  private static Map<Facet, Set<String>> ticked(String[] in) {
    if (in.length > MOST_TICKED) {
      throw refused("in", in.length + " values", "at most " + MOST_TICKED + " values");
    }
    Map<Facet, Set<String>> all = new EnumMap<>(Facet.class);
    for (String tick : in) {
      int colon = tick.indexOf(':');
      Facet facet =
          Arrays.stream(Facet.values())
              .filter(f -> colon > 0 && f.toString().equals(tick.substring(0, colon)))
              .findFirst()
              .orElseThrow(
                  () ->
                      refused(
                          "in",
                          tick,
                          "facet:value with one of " + Arrays.toString(Facet.values())));
      all.computeIfAbsent(facet, f -> new HashSet<>()).add(tick.substring(colon + 1));
    }
    return all;
  }

  private static InvalidInput refused(String field, String given, String accepted) {
    return new InvalidInput(List.of(new Problem(field, given, accepted)));
  }
}
