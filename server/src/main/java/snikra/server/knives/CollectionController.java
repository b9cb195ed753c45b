package snikra.server.knives;

import io.swagger.v3.oas.annotations.Parameter;
import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import snikra.core.collection.Alike;
import snikra.core.collection.Lookout;
import snikra.core.collection.Portrait;
import snikra.core.search.Card;
import snikra.server.reference.ReferenceDesk;

/** {@code GET /api/collection}: the knives taken together. */
@RestController
class CollectionController {
  private static final int MOST_ALIKE = 100;
  private static final int MOST_LOOKS = 12;

  private final Catalogue catalogue;
  private final ReferenceDesk desk;

  CollectionController(Catalogue catalogue, ReferenceDesk desk) {
    this.catalogue = catalogue;
    this.desk = desk;
  }

  /**
   * Knives taken together.
   *
   * @param alike of which there is more than one; at most {@value #MOST_ALIKE}
   * @param groups how many such there are
   * @param looks not taken yet, those that would tell most first; at most {@value #MOST_LOOKS}
   * @param left how many knives are still to be worked out, and are not in it
   */
  record CollectionTold(
      Portrait portrait, List<Alike> alike, int groups, List<Lookout> looks, int left) {}

  /**
   * What the knives that answer are, taken together.
   *
   * @param q plain words, as in a search of the tray; all knives where nothing is asked
   * @param request with {@code in}, what is ticked
   */
  @GetMapping("/api/collection")
  @Ticked
  CollectionTold collection(
      @RequestParam(defaultValue = "") String q,
      @Parameter(hidden = true) HttpServletRequest request) {
    List<Card> cards = catalogue.cards(FoundBy.asked(q, request));
    List<Alike> alike = Alike.among(cards, Alike.From.of(desk.examiner().shelf().judgement()));
    return new CollectionTold(
        Portrait.of(cards),
        alike.subList(0, Math.min(MOST_ALIKE, alike.size())),
        alike.size(),
        Lookout.over(cards, MOST_LOOKS),
        catalogue.left());
  }
}
