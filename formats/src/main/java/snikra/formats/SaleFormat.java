package snikra.formats;

import java.util.ArrayList;
import java.util.List;
import snikra.core.examination.Problem;
import snikra.core.reference.ReferenceShelf;
import snikra.core.value.Sale;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Sales of the sales book as JSON, by the schema {@code sale.schema.json}. */
public final class SaleFormat {
  private static final String IN_A_KNIFE = "comparables[0]";

  private SaleFormat() {}

  /**
   * Reads a sale and holds its names against the shelf.
   *
   * @throws InvalidInput with every problem found
   */
  public static Sale read(String json, ReferenceShelf shelf) {
    JsonNode tree = SpecimenFormat.parse(json);
    List<Problem> problems = new ArrayList<>(Schemas.check("sale", tree));
    if (problems.isEmpty()) {
      problems.addAll(ofTheKnife(tree.path("knife"), shelf));
    }
    if (!problems.isEmpty()) {
      throw new InvalidInput(problems);
    }
    return Json.mapper().treeToValue(tree, Sale.class);
  }

  // What was sold is written as in a knife's own list of sales, and held against the same.
  private static List<Problem> ofTheKnife(JsonNode sold, ReferenceShelf shelf) {
    ObjectNode knife = Json.mapper().createObjectNode();
    knife.putArray("comparables").add(sold);
    try {
      SpecimenFormat.read(knife, shelf);
      return List.of();
    } catch (InvalidInput e) {
      return e.problems().stream()
          .map(p -> new Problem(p.field().replace(IN_A_KNIFE, "knife"), p.given(), p.accepted()))
          .toList();
    }
  }

  /**
   * Reads a sale as it is kept: names may since have left the shelf.
   *
   * @throws UnreadableKnife when it is damaged
   */
  public static Sale readKept(String json) {
    try {
      return Json.mapper().readValue(json, Sale.class);
    } catch (JacksonException e) {
      throw UnreadableKnife.because(e);
    }
  }

  /** Writes a sale. */
  public static String write(Sale sale) {
    return Json.mapper().writeValueAsString(sale);
  }
}
