package snikra.formats;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import snikra.core.clue.Clue;
import snikra.core.clue.Feature;
import snikra.core.examination.Problem;
import snikra.core.reference.FactSlip;
import snikra.core.reference.History;
import snikra.core.reference.Maker;
import snikra.core.reference.MarkSlip;
import snikra.core.reference.ReferenceShelf;
import snikra.core.reference.YearBar;
import snikra.core.reference.YearsMoved;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * What makers fitted and listed, whose they were and who made for them, in the collector's own
 * pack.
 */
public final class OwnFacts {
  private static final String SHIELD = "shield_shape";
  private static final String SHIELDS = "shields";
  private static final String FITTINGS = "fittings";
  private static final String MODELS = "models";
  private static final String OWNERS = "owners";
  private static final String CONTRACTS = "contracts";
  private static final List<String> LISTS = List.of(SHIELDS, FITTINGS, MODELS, OWNERS, CONTRACTS);

  /** Where the name stands of what has one. */
  private static final Map<String, String> NAMED = Map.of(OWNERS, "name", CONTRACTS, "by");

  private static final int HUNDRED = 100;
  private static final String HISTORY = "history";

  private OwnFacts() {}

  /**
   * A fact one put on file oneself.
   *
   * @param maker id of the maker
   * @param key by which it is found again among those of the maker
   * @param what it says, in words
   * @param give years by which either end may be out; none but of a fitting
   */
  public record OwnFact(
      FactSlip.Kind kind, String maker, String key, String what, int from, int to, int give) {
    /** It as it stands on the time line of its maker. */
    public YearBar bar() {
      YearBar.Kind as =
          switch (kind) {
            case FITTING -> YearBar.Kind.FITTING;
            case MODEL -> YearBar.Kind.MODEL;
            case OWNER -> YearBar.Kind.OWNER;
            case CONTRACT -> YearBar.Kind.CONTRACT;
          };
      return new YearBar(as, what, from, to, give);
    }
  }

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
      years(slip.from(), slip.to(), thisYear, problems);
      if (problems.isEmpty()) {
        return slip;
      }
    }
    throw new InvalidInput(
        problems.stream()
            .map(p -> new Problem(path + p.field(), p.given(), p.accepted()))
            .toList());
  }

  private static void years(int from, int to, int thisYear, List<Problem> problems) {
    if (to < from) {
      problems.add(new Problem("to", "" + to, "must not be before " + from));
    }
    if (from > thisYear) {
      problems.add(new Problem("from", "" + from, "must not be after " + thisYear));
    }
  }

  private static void onFile(FactSlip slip, ReferenceShelf shelf, List<Problem> problems) {
    if (shelf.maker(slip.maker()).isEmpty()) {
      problems.add(new Problem("maker", slip.maker(), "must be the id of a maker on file"));
    }
    if (slip.kind() == FactSlip.Kind.OWNER || slip.kind() == FactSlip.Kind.CONTRACT) {
      return;
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
      ArrayNode facts = facts(pack, slip, shelf);
      ObjectNode fact = known(pack, slip, shelf);
      String list = list(slip);
      String key = key(list, fact);
      int before = facts.size();
      facts.removeIf(f -> key(list, f).equals(key));
      isAnew &= facts.size() == before;
      facts.add(fact);
    }
    return filed(pack, slips, isAnew ? OwnPack.What.PUT_ON : OwnPack.What.CHANGED, shelf);
  }

  private static OwnPack.Filed filed(
      ObjectNode pack, List<FactSlip> slips, OwnPack.What what, ReferenceShelf shelf) {
    FactSlip first = slips.get(0);
    return OwnSchemes.filed(
        pack,
        maker(first.maker(), shelf),
        what(list(first), fact(first, shelf), shelf),
        what,
        HISTORY + "\\.\\w+",
        slips.size());
  }

  private static ArrayNode facts(ObjectNode pack, FactSlip slip, ReferenceShelf shelf) {
    return OwnSchemes.holder(pack, maker(slip.maker(), shelf))
        .withObject(HISTORY)
        .withArray(list(slip));
  }

  // A fact with its note and its source.
  private static ObjectNode known(ObjectNode pack, FactSlip slip, ReferenceShelf shelf) {
    return fact(slip, shelf)
        .put("note", slip.note() == null ? "" : slip.note().strip())
        .put("source", OwnPack.source(pack, slip.source(), slip.sourceKind(), shelf));
  }

  /**
   * A fact of one's own as a slip, as it would be written today.
   *
   * @throws InvalidInput where the pack has no such fact
   */
  public static FactSlip slip(@Nullable String yaml, String maker, String key) {
    ObjectNode pack = OwnSchemes.pack(yaml);
    Held held = held(pack, maker, key);
    ObjectNode of = held.fact();
    JsonNode source = OwnPack.entry(pack.withArray("sources"), "id", OwnPack.text(of, "source"));
    boolean isShield = held.list().equals(SHIELDS);
    return new FactSlip(
        kind(held.list()),
        maker,
        isShield ? SHIELD : given(of, "feature"),
        isShield ? given(of, "shape") : given(of, "value"),
        given(of, "number"),
        given(of, NAMED.getOrDefault(held.list(), "label")),
        given(of, "pattern"),
        of.has("share") ? (int) Math.round(of.path("share").asDouble() * HUNDRED) : null,
        of.path("from").asInt(),
        of.path("to").asInt(),
        of.path("give").asInt(0),
        source == null ? "" : OwnPack.text(source, "kind"),
        source == null ? "" : OwnPack.text(source, "label"),
        given(of, "note"));
  }

  private static @Nullable String given(ObjectNode of, String field) {
    String text = OwnPack.text(of, field);
    return text.isEmpty() ? null : text;
  }

  /**
   * The pack with a fact of one's own as this slip says, in its place; what a slip does not hold,
   * such as what a model could be had with, stays.
   *
   * @throws InvalidInput where the pack has no such fact, where the slip is of another maker or
   *     kind, and where it would say what another already says
   */
  public static OwnPack.Filed changed(
      @Nullable String yaml, String maker, String key, FactSlip slip, ReferenceShelf shelf) {
    ObjectNode pack = OwnSchemes.pack(yaml);
    Held held = held(pack, maker, key);
    if (!slip.maker().equals(maker)) {
      throw refused("maker", slip.maker(), "must be " + maker + ", whose fact this is");
    }
    if (slip.kind() != kind(held.list())) {
      throw refused("kind", "" + slip.kind(), "must be " + kind(held.list()) + ", as it was");
    }
    ObjectNode changed = known(pack, slip, shelf);
    String list = list(slip);
    String now = key(list, changed);
    if (!now.equals(key) && isIn(held.history().path(list), list, now)) {
      throw refused("from", "" + slip.from(), "must not say what another of yours says already");
    }
    if (list.equals(held.list())) {
      held.fact().setAll(changed);
    } else {
      held.history().withArray(list).add(changed);
      held.remove();
    }
    return filed(pack, List.of(slip), OwnPack.What.CHANGED, shelf);
  }

  /**
   * Reads other years.
   *
   * @throws InvalidInput with every problem
   */
  public static YearsMoved moved(JsonNode tree, int thisYear) {
    List<Problem> problems = new ArrayList<>(Schemas.check("years-moved", tree));
    if (problems.isEmpty()) {
      YearsMoved moved = Json.mapper().treeToValue(tree, YearsMoved.class);
      years(moved.from(), moved.to(), thisYear, problems);
      if (problems.isEmpty()) {
        return moved;
      }
    }
    throw new InvalidInput(problems);
  }

  /**
   * The pack with a mark or another fact of one's own in other years.
   *
   * @throws InvalidInput where the pack has no such fact
   */
  public static OwnPack.Filed moved(@Nullable String yaml, YearsMoved to, ReferenceShelf shelf) {
    if (to.mark() != null) {
      MarkSlip slip = OwnPack.slip(yaml, to.mark(), shelf).in(to.from(), to.to(), to.give());
      return OwnPack.changed(yaml, to.mark(), slip, shelf);
    }
    String key = "" + to.fact();
    FactSlip slip = slip(yaml, to.maker(), key).in(to.from(), to.to(), to.give());
    return changed(yaml, to.maker(), key, slip, shelf);
  }

  private static InvalidInput refused(String field, String given, String accepted) {
    return new InvalidInput(List.of(new Problem(field, given, accepted)));
  }

  private static boolean isIn(JsonNode facts, String list, String key) {
    for (JsonNode fact : facts) {
      if (key(list, fact).equals(key)) {
        return true;
      }
    }
    return false;
  }

  /** A fact in the pack: its place in the list it stands in. */
  private record Held(ObjectNode holder, String list, int at) {
    private ObjectNode history() {
      return (ObjectNode) holder.path(HISTORY);
    }

    private ObjectNode fact() {
      return (ObjectNode) history().path(list).path(at);
    }

    private void remove() {
      ((ArrayNode) history().path(list)).remove(at);
      withoutEmpty(holder, list);
    }
  }

  private static Held held(ObjectNode pack, String maker, String key) {
    for (JsonNode holder : OwnPack.holders(pack)) {
      for (String list : LISTS) {
        JsonNode facts = holder.path(HISTORY).path(list);
        for (int i = 0; i < facts.size(); i++) {
          if (OwnSchemes.of(holder).equals(maker) && key(list, facts.path(i)).equals(key)) {
            return new Held((ObjectNode) holder, list, i);
          }
        }
      }
    }
    throw OwnSchemes.refused("key", key);
  }

  /**
   * The pack without a fact.
   *
   * @throws InvalidInput where the pack has no such fact
   */
  public static OwnPack.Filed without(
      @Nullable String yaml, String maker, String key, ReferenceShelf shelf) {
    ObjectNode pack = OwnSchemes.pack(yaml);
    Held held = held(pack, maker, key);
    String what = what(held.list(), held.fact(), shelf);
    held.remove();
    return OwnSchemes.without(pack, held.holder(), what, shelf);
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
      for (String list : LISTS) {
        for (JsonNode fact : holder.path(HISTORY).path(list)) {
          all.add(
              new OwnFact(
                  kind(list),
                  OwnSchemes.of(holder),
                  key(list, fact),
                  what(list, fact, shelf),
                  fact.path("from").asInt(),
                  fact.path("to").asInt(),
                  fact.path("give").asInt(0)));
        }
      }
    }
    return all;
  }

  /** What a slip says, in words. */
  static String what(FactSlip slip, ReferenceShelf shelf) {
    return what(list(slip), fact(slip, shelf), shelf);
  }

  /** What two slips have in common that say the same of the same maker. */
  static String same(FactSlip slip, ReferenceShelf shelf) {
    return slip.maker() + " " + key(list(slip), fact(slip, shelf));
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
    return switch (slip.kind()) {
      case MODEL -> MODELS;
      case OWNER -> OWNERS;
      case CONTRACT -> CONTRACTS;
      case FITTING -> SHIELD.equals(slip.feature()) ? SHIELDS : FITTINGS;
    };
  }

  private static FactSlip.Kind kind(String list) {
    return switch (list) {
      case MODELS -> FactSlip.Kind.MODEL;
      case OWNERS -> FactSlip.Kind.OWNER;
      case CONTRACTS -> FactSlip.Kind.CONTRACT;
      default -> FactSlip.Kind.FITTING;
    };
  }

  private static ObjectNode fact(FactSlip slip, ReferenceShelf shelf) {
    ObjectNode fact = Json.mapper().createObjectNode();
    switch (list(slip)) {
      case MODELS ->
          fact.put("number", slip.number())
              .put("label", slip.label())
              .put("pattern", slip.pattern());
      case OWNERS -> fact.put("name", "" + slip.label());
      case CONTRACTS ->
          fact.put("by", asOnFile("" + slip.label(), shelf))
              .put("share", Objects.requireNonNullElse(slip.percent(), HUNDRED) / (double) HUNDRED);
      case SHIELDS -> fact.put("shape", slip.value()).put("give", slip.give());
      default ->
          fact.put("feature", slip.feature()).put("value", slip.value()).put("give", slip.give());
    }
    return fact.put("from", slip.from()).put("to", slip.to());
  }

  // Who made for another is known by name: a maker on file is heard only as it is called there.
  private static String asOnFile(String name, ReferenceShelf shelf) {
    return shelf.makers().stream()
        .map(Maker::name)
        .filter(n -> n.equalsIgnoreCase(name.strip()))
        .findFirst()
        .orElse(name.strip());
  }

  private static String key(String list, JsonNode fact) {
    String years = " " + fact.path("from").asInt() + "-" + fact.path("to").asInt();
    return switch (list) {
      case MODELS -> "model " + OwnPack.text(fact, "number").replace(" ", "");
      case SHIELDS -> SHIELD + " " + OwnPack.text(fact, "shape") + years;
      case OWNERS -> "owner " + OwnPack.text(fact, "name") + years;
      case CONTRACTS -> "contract " + OwnPack.text(fact, "by") + years;
      default -> OwnPack.text(fact, "feature") + " " + OwnPack.text(fact, "value") + years;
    };
  }

  private static String what(String list, JsonNode fact, ReferenceShelf shelf) {
    return switch (list) {
      case MODELS -> YearBar.model(OwnPack.text(fact, "number"), OwnPack.text(fact, "label"));
      case OWNERS -> YearBar.owner(OwnPack.text(fact, "name"));
      case CONTRACTS -> YearBar.contract(OwnPack.text(fact, "by"));
      case SHIELDS -> YearBar.fitting(SHIELD, OwnPack.text(fact, "shape"), shelf.clues());
      default ->
          YearBar.fitting(
              OwnPack.text(fact, "feature"), OwnPack.text(fact, "value"), shelf.clues());
    };
  }

  private static Maker maker(String id, ReferenceShelf shelf) {
    return OwnSchemes.maker(id, shelf);
  }
}
