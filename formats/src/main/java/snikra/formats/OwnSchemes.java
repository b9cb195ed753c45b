package snikra.formats;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import snikra.core.code.CodeScheme;
import snikra.core.examination.Problem;
import snikra.core.reference.Maker;
import snikra.core.reference.ReferenceShelf;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** How makers date and number their knives, as it stands in the collector's own pack. */
public final class OwnSchemes {
  private static final String CODES = "codes";
  private static final String NUMBERS = "numbers";

  private OwnSchemes() {}

  /**
   * How it is known.
   *
   * @param kind of source
   */
  public record Known(String source, String kind, @Nullable String note) {}

  /**
   * The pack with a way of dating put in.
   *
   * @param yaml the pack as it is; null where there is none yet
   * @param code as a pack has it, without id, note and source
   * @throws InvalidInput with every problem, each field as it stands in the code
   */
  public static OwnPack.Filed withCode(
      @Nullable String yaml, String maker, ObjectNode code, Known known, ReferenceShelf shelf) {
    ObjectNode pack = pack(yaml);
    Maker of = maker(maker, shelf);
    ObjectNode scheme = code.deepCopy();
    String label = OwnPack.text(scheme, "label").strip();
    scheme.put("id", OwnPack.free(of.id() + " " + label, ids(pack, shelf)));
    scheme
        .put("note", note(known))
        .put("source", OwnPack.source(pack, known.source(), known.kind(), shelf));
    holder(pack, of).withArray(CODES).add(scheme);
    return filed(pack, of, label, OwnPack.What.PUT_ON, CODES, 1);
  }

  /**
   * The pack with a way of numbering put in, in place of another of this maker.
   *
   * @param fields as a pack has them
   * @throws InvalidInput with every problem, each field as it stands among the fields
   */
  public static OwnPack.Filed withNumbers(
      @Nullable String yaml, String maker, ArrayNode fields, Known known, ReferenceShelf shelf) {
    ObjectNode pack = pack(yaml);
    Maker of = maker(maker, shelf);
    // A way of numbering has no source of its own in a pack: its note names it.
    OwnPack.source(pack, known.source(), known.kind(), shelf);
    ObjectNode numbers = Json.mapper().createObjectNode();
    numbers.put("note", note(known) + " Known from: " + known.source()).set("fields", fields);
    ObjectNode holder = holder(pack, of);
    OwnPack.What what = holder.has(NUMBERS) ? OwnPack.What.CHANGED : OwnPack.What.PUT_ON;
    holder.set(NUMBERS, numbers);
    return filed(pack, of, "pattern numbers", what, NUMBERS, 1);
  }

  /**
   * The pack without a way of dating.
   *
   * @throws InvalidInput where the pack has no such code
   */
  public static OwnPack.Filed withoutCode(
      @Nullable String yaml, String code, ReferenceShelf shelf) {
    ObjectNode pack = pack(yaml);
    for (JsonNode holder : OwnPack.holders(pack)) {
      if (holder.path(CODES) instanceof ArrayNode codes) {
        ObjectNode scheme = OwnPack.entry(codes, "id", code);
        if (scheme != null) {
          codes.removeIf(c -> OwnPack.text(c, "id").equals(code));
          if (codes.isEmpty()) {
            ((ObjectNode) holder).remove(CODES);
          }
          return without(pack, holder, OwnPack.text(scheme, "label"), shelf);
        }
      }
    }
    throw refused("code", code);
  }

  /**
   * The pack without the numbers of a maker.
   *
   * @throws InvalidInput where the pack has none
   */
  public static OwnPack.Filed withoutNumbers(
      @Nullable String yaml, String maker, ReferenceShelf shelf) {
    ObjectNode pack = pack(yaml);
    for (JsonNode holder : OwnPack.holders(pack)) {
      if (of(holder).equals(maker) && holder.has(NUMBERS)) {
        ((ObjectNode) holder).remove(NUMBERS);
        return without(pack, holder, "pattern numbers", shelf);
      }
    }
    throw refused("maker", maker);
  }

  /** Ids of the codes in the pack. */
  public static Set<String> codes(@Nullable String yaml) {
    Set<String> ids = new HashSet<>();
    OwnPack.holders(pack(yaml))
        .forEach(h -> h.path(CODES).forEach(c -> ids.add(OwnPack.text(c, "id"))));
    return ids;
  }

  /** Ids of the makers whose numbers are in the pack. */
  public static Set<String> numbered(@Nullable String yaml) {
    Set<String> ids = new HashSet<>();
    OwnPack.holders(pack(yaml)).stream().filter(h -> h.has(NUMBERS)).forEach(h -> ids.add(of(h)));
    return ids;
  }

  static ObjectNode pack(@Nullable String yaml) {
    return yaml == null ? OwnPack.begun() : OwnPack.read(yaml);
  }

  static String of(JsonNode holder) {
    return OwnPack.text(holder, holder.has("to") ? "to" : "id");
  }

  static Maker maker(String id, ReferenceShelf shelf) {
    return shelf
        .maker(id)
        .orElseThrow(
            () ->
                new InvalidInput(
                    List.of(new Problem("maker", id, "must be the id of a maker on file"))));
  }

  static ObjectNode holder(ObjectNode pack, Maker maker) {
    ObjectNode own = OwnPack.entry(pack.withArray("makers"), "id", maker.id());
    return own == null ? OwnPack.addition(pack, maker.id()) : own;
  }

  private static String note(Known known) {
    return known.note() == null || known.note().isBlank()
        ? "Found from examples."
        : known.note().strip();
  }

  private static Set<String> ids(ObjectNode pack, ReferenceShelf shelf) {
    Set<String> ids = new HashSet<>();
    for (Maker maker : shelf.makers()) {
      maker.codes().stream().map(CodeScheme::id).forEach(ids::add);
    }
    OwnPack.holders(pack).forEach(h -> h.path(CODES).forEach(c -> ids.add(OwnPack.text(c, "id"))));
    return ids;
  }

  // What a pack refuses is told by the field of what was put in.
  static OwnPack.Filed filed(
      ObjectNode pack, Maker maker, String label, OwnPack.What what, String list, int many) {
    String yaml = Json.yamlMapper().writeValueAsString(pack);
    try {
      PackFormat.read(Json.yamlMapper().readTree(yaml));
    } catch (InvalidInput e) {
      String before = ".*\\." + list + "(\\[\\d+\\])?\\.?";
      throw new InvalidInput(
          e.problems().stream()
              .map(p -> new Problem(p.field().replaceFirst(before, ""), p.given(), p.accepted()))
              .toList());
    }
    return new OwnPack.Filed(yaml, maker.name(), label, false, what, many);
  }

  static OwnPack.Filed without(
      ObjectNode pack, JsonNode holder, String label, ReferenceShelf shelf) {
    String maker = of(holder);
    if (holder.has("to") && holder.size() == 1 && pack.path("additions") instanceof ArrayNode all) {
      all.removeIf(h -> OwnPack.text(h, "to").equals(maker));
      if (all.isEmpty()) {
        pack.remove("additions");
      }
    }
    String name = shelf.maker(maker).map(Maker::name).orElse(maker);
    return new OwnPack.Filed(
        Json.yamlMapper().writeValueAsString(pack), name, label, false, OwnPack.What.TAKEN_OUT, 1);
  }

  static InvalidInput refused(String field, String given) {
    return new InvalidInput(
        List.of(new Problem(field, given, "must be one you put on file yourself")));
  }
}
