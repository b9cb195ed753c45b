package snikra.formats;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import snikra.core.clue.Clue;
import snikra.core.clue.Feature;
import snikra.core.examination.Problem;
import snikra.core.reference.FactSlip;
import snikra.core.reference.History;
import snikra.core.reference.Maker;
import snikra.core.reference.ReferenceShelf;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** What makers fitted and listed, as it stands in the collector's own pack. */
public final class OwnFacts {
  private static final String SHIELD = "shield_shape";
  private static final String SHIELDS = "shields";
  private static final String FITTINGS = "fittings";
  private static final String MODELS = "models";
  private static final String HISTORY = "history";

  private OwnFacts() {}

  /**
   * A fact one put on file oneself.
   *
   * @param maker id of the maker
   * @param key by which it is found again among those of the maker
   * @param what it says, in words
   */
  public record OwnFact(String maker, String key, String what, int from, int to) {}

  /**
   * Reads a slip.
   *
   * @param path where it stands, for messages; empty for a slip alone
   * @throws InvalidInput with every problem
   */
  public static FactSlip slip(JsonNode tree, String path, ReferenceShelf shelf, int thisYear) {
    List<Problem> problems = new ArrayList<>(Schemas.check("fact-slip", tree));
    if (problems.isEmpty()) {
      FactSlip slip = Json.mapper().treeToValue(tree, FactSlip.class);
      onFile(slip, shelf, problems);
      int from = slip.from();
      if (slip.to() < from) {
        problems.add(new Problem("to", "" + slip.to(), "must not be before " + from));
      }
      if (slip.from() > thisYear) {
        problems.add(new Problem("from", "" + from, "must not be after " + thisYear));
      }
      if (problems.isEmpty()) {
        return slip;
      }
    }
    throw new InvalidInput(
        problems.stream()
            .map(p -> new Problem(path + p.field(), p.given(), p.accepted()))
            .toList());
  }

  private static void onFile(FactSlip slip, ReferenceShelf shelf, List<Problem> problems) {
    if (shelf.maker(slip.maker()).isEmpty()) {
      problems.add(new Problem("maker", slip.maker(), "must be the id of a maker on file"));
    }
    if (slip.kind() == FactSlip.Kind.MODEL) {
      if (shelf.patterns().patterns().stream().noneMatch(p -> p.id().equals(slip.pattern()))) {
        problems.add(
            new Problem("pattern", "" + slip.pattern(), "must be a pattern of the pattern book"));
      }
      return;
    }
    Feature feature = feature(slip.feature(), shelf);
    if (feature == null || feature.markBorne()) {
      problems.add(
          new Problem(
              "feature",
              "" + slip.feature(),
              "must be a feature of the clue book that is not struck with the mark"));
    } else if (clue(feature, slip.value()) == null) {
      String answers = String.join(", ", feature.clues().stream().map(Clue::id).toList());
      problems.add(new Problem("value", "" + slip.value(), "must be one of " + answers));
    }
  }

  private static @Nullable Feature feature(@Nullable String id, ReferenceShelf shelf) {
    return shelf.clues().features().stream()
        .filter(f -> f.id().equals(id))
        .findFirst()
        .orElse(null);
  }

  private static @Nullable Clue clue(Feature feature, @Nullable String id) {
    return feature.clues().stream().filter(c -> c.id().equals(id)).findFirst().orElse(null);
  }

  /**
   * The pack with facts put in, all of them or none; each in place of one that says the same of the
   * same years, and a model in place of the one with its number.
   *
   * @param yaml the pack as it is; null where there is none yet
   * @param slips at least one
   * @throws InvalidInput where the pack would not be one any more
   */
  public static OwnPack.Filed with(
      @Nullable String yaml, List<FactSlip> slips, ReferenceShelf shelf) {
    ObjectNode pack = OwnSchemes.pack(yaml);
    boolean isAnew = true;
    for (FactSlip slip : slips) {
      ObjectNode fact = fact(slip);
      fact.put("note", slip.note() == null ? "" : slip.note().strip());
      fact.put("source", OwnPack.source(pack, slip.source(), slip.sourceKind(), shelf));
      String list = list(slip);
      ArrayNode facts =
          OwnSchemes.holder(pack, maker(slip.maker(), shelf)).withObject(HISTORY).withArray(list);
      String key = key(list, fact);
      int before = facts.size();
      facts.removeIf(f -> key(list, f).equals(key));
      isAnew &= facts.size() == before;
      facts.add(fact);
    }
    FactSlip first = slips.get(0);
    return OwnSchemes.filed(
        pack,
        maker(first.maker(), shelf),
        what(list(first), fact(first), shelf),
        isAnew ? OwnPack.What.PUT_ON : OwnPack.What.CHANGED,
        HISTORY + "\\.\\w+",
        slips.size());
  }

  /**
   * The pack without a fact.
   *
   * @throws InvalidInput where the pack has no such fact
   */
  public static OwnPack.Filed without(
      @Nullable String yaml, String maker, String key, ReferenceShelf shelf) {
    ObjectNode pack = OwnSchemes.pack(yaml);
    for (JsonNode holder : OwnPack.holders(pack)) {
      for (String list : List.of(SHIELDS, FITTINGS, MODELS)) {
        if (OwnSchemes.of(holder).equals(maker)
            && holder.path(HISTORY).path(list) instanceof ArrayNode facts) {
          for (JsonNode fact : facts) {
            if (key(list, fact).equals(key)) {
              String what = what(list, fact, shelf);
              facts.removeIf(f -> key(list, f).equals(key));
              withoutEmpty((ObjectNode) holder, list);
              return OwnSchemes.without(pack, holder, what, shelf);
            }
          }
        }
      }
    }
    throw OwnSchemes.refused("key", key);
  }

  private static void withoutEmpty(ObjectNode holder, String list) {
    ObjectNode history = (ObjectNode) holder.path(HISTORY);
    if (history.path(list).isEmpty()) {
      history.remove(list);
    }
    if (history.isEmpty()) {
      holder.remove(HISTORY);
    }
  }

  /** All facts in the pack, by maker as they stand there. */
  public static List<OwnFact> facts(@Nullable String yaml, ReferenceShelf shelf) {
    List<OwnFact> all = new ArrayList<>();
    for (JsonNode holder : OwnPack.holders(OwnSchemes.pack(yaml))) {
      for (String list : List.of(SHIELDS, FITTINGS, MODELS)) {
        for (JsonNode fact : holder.path(HISTORY).path(list)) {
          all.add(
              new OwnFact(
                  OwnSchemes.of(holder),
                  key(list, fact),
                  what(list, fact, shelf),
                  fact.path("from").asInt(),
                  fact.path("to").asInt()));
        }
      }
    }
    return all;
  }

  /** What a slip says, in words. */
  static String what(FactSlip slip, ReferenceShelf shelf) {
    return what(list(slip), fact(slip), shelf);
  }

  /** What two slips have in common that say the same of the same maker. */
  static String same(FactSlip slip) {
    return slip.maker() + " " + key(list(slip), fact(slip));
  }

  /** Whether the maker has this on file already, of just these years. */
  static boolean isOnFile(FactSlip slip, ReferenceShelf shelf) {
    History history = maker(slip.maker(), shelf).history();
    return slip.kind() == FactSlip.Kind.MODEL
        ? history.model("" + slip.number()).stream()
            .anyMatch(m -> m.from() == slip.from() && m.to() == slip.to())
        : history.allFittings().stream()
            .anyMatch(
                f ->
                    f.feature().equals(slip.feature())
                        && f.value().equals(slip.value())
                        && f.from() == slip.from()
                        && f.to() == slip.to());
  }

  private static String list(FactSlip slip) {
    return slip.kind() == FactSlip.Kind.MODEL
        ? MODELS
        : SHIELD.equals(slip.feature()) ? SHIELDS : FITTINGS;
  }

  private static ObjectNode fact(FactSlip slip) {
    ObjectNode fact = Json.mapper().createObjectNode();
    switch (list(slip)) {
      case MODELS ->
          fact.put("number", slip.number())
              .put("label", slip.label())
              .put("pattern", slip.pattern());
      case SHIELDS -> fact.put("shape", slip.value()).put("give", slip.give());
      default ->
          fact.put("feature", slip.feature()).put("value", slip.value()).put("give", slip.give());
    }
    return fact.put("from", slip.from()).put("to", slip.to());
  }

  private static String key(String list, JsonNode fact) {
    String years = " " + fact.path("from").asInt() + "-" + fact.path("to").asInt();
    return switch (list) {
      case MODELS -> "model " + OwnPack.text(fact, "number").replace(" ", "");
      case SHIELDS -> SHIELD + " " + OwnPack.text(fact, "shape") + years;
      default -> OwnPack.text(fact, "feature") + " " + OwnPack.text(fact, "value") + years;
    };
  }

  private static String what(String list, JsonNode fact, ReferenceShelf shelf) {
    if (list.equals(MODELS)) {
      return "No. " + OwnPack.text(fact, "number") + ", " + OwnPack.text(fact, "label");
    }
    String of = list.equals(SHIELDS) ? SHIELD : OwnPack.text(fact, "feature");
    String value = OwnPack.text(fact, list.equals(SHIELDS) ? "shape" : "value");
    Feature feature = feature(of, shelf);
    Clue clue = feature == null ? null : clue(feature, value);
    return (feature == null ? of : feature.label()) + ": " + (clue == null ? value : clue.label());
  }

  private static Maker maker(String id, ReferenceShelf shelf) {
    return OwnSchemes.maker(id, shelf);
  }
}
