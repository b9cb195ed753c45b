package snikra.formats;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import snikra.core.examination.Problem;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;
import tools.jackson.databind.node.StringNode;

/**
 * Brings a knife that was written in an older format to today's, one version at a time. What was
 * renamed between two versions is data ({@code upgrades.yaml}): a knife goes through every step
 * from its own version on, so that a step never needs to know those after it.
 */
final class Upgrades {
  /** Name of the field that says in which format a knife is written; left out in the first. */
  static final String FORMAT = "format";

  private static final int FIRST = 1;
  private static final List<String> BY_BLADE = List.of("type");

  private final List<Step> steps;

  /** From the version before {@code to} on to it. */
  record Step(int to, String why, List<Renamed> renamed) {
    Step {
      renamed = List.copyOf(renamed);
    }
  }

  /**
   * A name that changed.
   *
   * @param of the feature, or the point of condition, whose answer it is
   * @param toOf the feature that asks for it since; null where that is the same
   */
  record Renamed(What what, @Nullable String of, String from, String to, @Nullable String toOf) {
    Renamed(What what, @Nullable String of, String from, String to) {
      this(what, of, from, to, null);
    }
  }

  /** What has names. */
  enum What {
    FRAME,
    BOLSTERS,
    BLADE,
    FEATURE,
    ANSWER,
    POINT,
    FINDING,
    QUANTITY,
    PATTERN,
    TABLE,
    OFFICE;

    @Override
    public String toString() {
      return name().toLowerCase(java.util.Locale.ROOT);
    }
  }

  Upgrades(List<Step> steps) {
    this.steps = List.copyOf(steps);
    for (int i = 0; i < steps.size(); i++) {
      if (steps.get(i).to() != FIRST + 1 + i) {
        throw new IllegalArgumentException(
            "steps must follow one another; found " + steps.get(i).to() + " at place " + (i + 1));
      }
    }
  }

  /** The version that is written today. */
  int current() {
    return FIRST + steps.size();
  }

  /**
   * The knife in today's format, without the field that says in which it is.
   *
   * @throws InvalidInput when it is of a newer format, or says none that can be
   */
  JsonNode upgrade(JsonNode knife) {
    if (!knife.isObject()) {
      return knife;
    }
    JsonNode said = knife.path(FORMAT);
    int format = said.isMissingNode() ? FIRST : said.isIntegralNumber() ? said.asInt(0) : 0;
    if (format < FIRST || format > current()) {
      throw new InvalidInput(
          List.of(
              new Problem(
                  FORMAT,
                  Accepted.shown(said.toString()),
                  "must be a whole number from 1 to "
                      + current()
                      + (format > current() ? ": a newer Snikra wrote this knife" : ""))));
    }
    if (format == current() && said.isMissingNode()) {
      return knife;
    }
    ObjectNode tree = (ObjectNode) knife.deepCopy();
    tree.remove(FORMAT);
    for (Step step : steps.subList(format - FIRST, steps.size())) {
      step.renamed().forEach(renamed -> rename(tree, renamed));
    }
    return tree;
  }

  private static void rename(ObjectNode knife, Renamed r) {
    switch (r.what()) {
      case FRAME -> answer(knife, "frame", r);
      case BOLSTERS -> answer(knife, "bolsters", r);
      case BLADE -> blades(knife).forEach(b -> BY_BLADE.forEach(field -> answer(b, field, r)));
      case FEATURE -> seenIn(knife).forEach(seen -> key(seen, r));
      case ANSWER ->
          seenIn(knife)
              .forEach(
                  seen -> {
                    if (answer(seen, r.of(), r) && r.toOf() != null) {
                      move(seen, r.of(), r.toOf());
                    }
                  });
      case POINT -> conditionsIn(knife).forEach(seen -> key(seen, r));
      case FINDING -> conditionsIn(knife).forEach(seen -> answer(seen, r.of(), r));
      case QUANTITY -> object(knife.path("measured")).forEach(seen -> key(seen, r));
      case PATTERN ->
          objects(knife.path("comparables")).forEach(sale -> answer(sale, "pattern", r));
      case TABLE -> objects(knife.path("registered")).forEach(no -> answer(no, "table", r));
      case OFFICE -> objects(knife.path("hallmarks")).forEach(mark -> answer(mark, "office", r));
    }
  }

  // What was seen of the knife and of each blade, and what its kind is shown with.
  private static List<ObjectNode> seenIn(ObjectNode knife) {
    List<ObjectNode> all = new ArrayList<>(object(knife.path("seen")));
    blades(knife).forEach(blade -> all.addAll(object(blade.path("seen"))));
    objects(knife.path("story")).forEach(event -> all.addAll(object(event.path("shows"))));
    return all;
  }

  // What was found of the knife, and of each blade after the main one.
  private static List<ObjectNode> conditionsIn(ObjectNode knife) {
    List<ObjectNode> all = new ArrayList<>(object(knife.path("condition")));
    blades(knife).forEach(blade -> all.addAll(object(blade.path("condition"))));
    return all;
  }

  private static List<ObjectNode> blades(ObjectNode knife) {
    return objects(knife.path("blades"));
  }

  private static List<ObjectNode> objects(JsonNode list) {
    List<ObjectNode> all = new ArrayList<>();
    if (list instanceof ArrayNode array) {
      array.forEach(one -> all.addAll(object(one)));
    }
    return all;
  }

  private static List<ObjectNode> object(JsonNode node) {
    return node instanceof ObjectNode object ? List.of(object) : List.of();
  }

  private static void key(ObjectNode group, Renamed r) {
    if (group.has(r.from()) && !group.has(r.to())) {
      Map<String, JsonNode> before = new java.util.LinkedHashMap<>();
      group.properties().forEach(e -> before.put(e.getKey(), e.getValue()));
      group.removeAll();
      before.forEach((name, value) -> group.set(name.equals(r.from()) ? r.to() : name, value));
    }
  }

  // What another feature asks for since; where that was answered too, its own answer stays.
  private static void move(ObjectNode seen, @Nullable String from, String to) {
    JsonNode answer = seen.remove(from);
    if (!seen.has(to)) {
      seen.set(to, answer);
    }
  }

  // Bare, with how surely it was seen, or one of several; true where it was this one.
  private static boolean answer(ObjectNode group, @Nullable String field, Renamed r) {
    JsonNode seen = group.path(Objects.requireNonNullElse(field, ""));
    if (seen.isString() && seen.asString("").equals(r.from())) {
      group.set(field, StringNode.valueOf(r.to()));
      return true;
    }
    if (seen instanceof ObjectNode inFull && inFull.path("value").asString("").equals(r.from())) {
      inFull.set("value", StringNode.valueOf(r.to()));
      return true;
    }
    return false;
  }
}
