package snikra.formats;

import java.text.Normalizer;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.StreamSupport;
import org.jspecify.annotations.Nullable;
import snikra.core.examination.Problem;
import snikra.core.reference.Maker;
import snikra.core.reference.MarkSlip;
import snikra.core.reference.ReferenceShelf;
import snikra.core.reference.Region;
import snikra.core.specimen.Layout;
import snikra.core.specimen.Technique;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * The collector's own reference pack: each fact put on file makes a new text of it, in which all
 * that was there stays as and where it was.
 */
public final class OwnPack {
  /** Its id; no other pack may have it. */
  public static final String ID = "own-references";

  private static final String MARKS = "marks";
  private static final String MAKERS = "makers";
  private static final String ADDITIONS = "additions";

  /** What a maker has that was put on file by its marks alone. */
  private static final Set<String> BARE =
      Set.of("id", "name", "region", "place", "weight", "changes", "note", MARKS, "to");

  private static final int LONGEST_ID = 48;

  private OwnPack() {}

  /** What was done to the pack. */
  public enum What {
    PUT_ON,
    CHANGED,
    TAKEN_OUT;

    @Override
    public String toString() {
      return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
  }

  /**
   * What became of a slip.
   *
   * @param yaml the pack as it is then
   * @param maker name of the maker; of several marks that of the first
   * @param mark its lines; of several the first
   * @param isNew whether the maker is on file only now
   * @param many how many marks it was done to
   */
  public record Filed(String yaml, String maker, String mark, boolean isNew, What what, int many) {}

  /**
   * Reads a slip.
   *
   * @throws InvalidInput with every problem
   */
  public static MarkSlip slip(JsonNode tree) {
    List<Problem> problems = new ArrayList<>(Schemas.check("mark-slip", tree));
    for (String face : List.of("lines", "pile", "etch")) {
      letters(face, tree.path(face), problems);
    }
    int from = tree.path("from").asInt(0);
    if (tree.has("to") && tree.path("to").asInt(0) < from) {
      problems.add(new Problem("to", tree.path("to").asString(""), "must not be before " + from));
    }
    if (!problems.isEmpty()) {
      throw new InvalidInput(problems);
    }
    return Json.mapper().treeToValue(tree, MarkSlip.class);
  }

  private static void letters(String face, JsonNode lines, List<Problem> problems) {
    for (int i = 0; i < lines.size(); i++) {
      String line = lines.path(i).asString("");
      if (line.matches(".*[_*?].*")) {
        problems.add(
            new Problem(
                face + "[" + i + "]",
                line,
                "must have all its letters: fill in the lost ones, or leave the line out"));
      }
    }
  }

  /**
   * The pack with a mark put in.
   *
   * @param yaml the pack as it is; null where there is none yet
   * @param shelf all that is on file, this pack too
   * @throws InvalidInput where the maker is new and nothing says where it was
   */
  public static Filed with(@Nullable String yaml, MarkSlip slip, ReferenceShelf shelf) {
    return with(yaml, List.of(slip), shelf);
  }

  /**
   * The pack with several marks put in, all of them or none.
   *
   * @param slips at least one
   * @throws InvalidInput where a maker is new and nothing says where it was
   */
  public static Filed with(@Nullable String yaml, List<MarkSlip> slips, ReferenceShelf shelf) {
    ObjectNode pack = yaml == null ? begun() : read(yaml);
    Set<String> marks = marks(pack, shelf);
    Put first = null;
    for (MarkSlip slip : slips) {
      Put put = put(pack, slip, null, marks, shelf);
      first = first == null ? put : first;
    }
    return filed(pack, first, What.PUT_ON, slips.size());
  }

  /** Where a mark was put. */
  private record Put(String maker, String mark, boolean isNew) {}

  private static Filed filed(ObjectNode pack, Put put, What what, int many) {
    String yaml = Json.yamlMapper().writeValueAsString(pack);
    return new Filed(yaml, put.maker(), put.mark(), put.isNew(), what, many);
  }

  static ObjectNode read(String yaml) {
    return (ObjectNode) Json.yamlMapper().readTree(yaml);
  }

  // Under an id of its own, or the one it has.
  private static Put put(
      ObjectNode pack,
      MarkSlip slip,
      @Nullable String id,
      Set<String> marks,
      ReferenceShelf shelf) {
    String name = slip.maker().strip();
    Maker known =
        shelf.makers().stream()
            .filter(m -> m.name().equalsIgnoreCase(name))
            .findFirst()
            .orElse(null);
    ObjectNode own = own(pack, name, known);
    String maker = own != null ? text(own, "id") : known != null ? known.id() : null;
    if (maker == null) {
      Set<String> makers = new HashSet<>();
      shelf.makers().forEach(m -> makers.add(m.id()));
      pack.path(MAKERS).forEach(m -> makers.add(text(m, "id")));
      maker = free(name, makers);
    }
    String as = id == null ? free(maker + " " + slip.lines().get(0), marks) : id;
    marks.add(as);
    ObjectNode mark = mark(slip, as);
    mark.put("source", source(pack, slip.source(), slip.sourceKind(), shelf));
    if (own != null) {
      own.withArray(MARKS).add(mark);
    } else if (known == null) {
      pack.withArray(MAKERS).add(maker(slip, maker, mark, shelf));
    } else {
      addition(pack, maker).withArray(MARKS).add(mark);
    }
    return new Put(
        known == null ? name : known.name(),
        String.join(" ", slip.lines()),
        own == null && known == null);
  }

  private static @Nullable ObjectNode own(ObjectNode pack, String name, @Nullable Maker known) {
    if (known != null) {
      return entry(pack.withArray(MAKERS), "id", known.id());
    }
    return (ObjectNode)
        StreamSupport.stream(pack.withArray(MAKERS).spliterator(), false)
            .filter(m -> text(m, "name").equalsIgnoreCase(name))
            .findFirst()
            .orElse(null);
  }

  /** Ids of the marks one put on file oneself. */
  public static Set<String> own(@Nullable String yaml) {
    Set<String> ids = new HashSet<>();
    if (yaml != null) {
      holders(read(yaml)).forEach(h -> h.path(MARKS).forEach(m -> ids.add(text(m, "id"))));
    }
    return ids;
  }

  /**
   * The slip of a mark of one's own, as it would be written today.
   *
   * @throws InvalidInput where the pack has no such mark
   */
  public static MarkSlip slip(@Nullable String yaml, String mark, ReferenceShelf shelf) {
    ObjectNode pack = yaml == null ? begun() : read(yaml);
    Held held = held(pack, mark);
    JsonNode of = held.mark();
    JsonNode source = entry(pack.withArray("sources"), "id", text(of, "source"));
    String kind = source == null ? "" : text(source, "kind");
    return new MarkSlip(
        held.name(shelf),
        null,
        null,
        texts(of.path("lines")),
        texts(of.path("pile")),
        texts(of.path("etch")),
        of.has("layout") ? Json.mapper().treeToValue(of.path("layout"), Layout.class) : null,
        of.has("technique")
            ? Json.mapper().treeToValue(of.path("technique"), Technique.class)
            : Technique.STRUCK,
        of.path("everyBlade").asBoolean(false),
        of.path("from").asInt(),
        of.path("to").asInt(),
        of.path("give").asInt(0),
        kind.isEmpty() ? null : kind,
        source == null ? null : text(source, "label"),
        text(of, "note").isEmpty() ? null : text(of, "note"));
  }

  /**
   * The pack with a mark as this slip says, under the id it has; where it is of the same maker, in
   * its place.
   *
   * @throws InvalidInput where the pack has no such mark
   */
  public static Filed changed(
      @Nullable String yaml, String mark, MarkSlip slip, ReferenceShelf shelf) {
    ObjectNode pack = yaml == null ? begun() : read(yaml);
    Held held = held(pack, mark);
    Put put;
    if (held.name(shelf).equalsIgnoreCase(slip.maker().strip())) {
      ObjectNode changed = mark(slip, mark);
      changed.put("source", source(pack, slip.source(), slip.sourceKind(), shelf));
      ObjectNode there = held.mark();
      List.of("lines", "pile", "etch", "layout").forEach(there::remove);
      // What a slip does not hold, such as how the letters are cut, stays.
      there.setAll(changed);
      put = new Put(held.name(shelf), String.join(" ", slip.lines()), false);
    } else {
      held.remove();
      put = put(pack, slip, mark, new HashSet<>(), shelf);
    }
    return filed(pack, put, What.CHANGED, 1);
  }

  /**
   * The pack without a mark; a maker of whom nothing else was put on file goes with its last.
   *
   * @throws InvalidInput where the pack has no such mark
   */
  public static Filed without(@Nullable String yaml, String mark, ReferenceShelf shelf) {
    ObjectNode pack = yaml == null ? begun() : read(yaml);
    Held held = held(pack, mark);
    Put gone = new Put(held.name(shelf), String.join(" ", texts(held.mark().path("lines"))), false);
    held.remove();
    return filed(pack, gone, What.TAKEN_OUT, 1);
  }

  /** A mark in the pack, with what holds it. */
  private record Held(ObjectNode pack, ObjectNode holder, ObjectNode mark) {
    private String name(ReferenceShelf shelf) {
      return holder.has("name")
          ? text(holder, "name")
          : shelf.maker(text(holder, "to")).map(Maker::name).orElseGet(() -> text(holder, "to"));
    }

    private void remove() {
      ArrayNode marks = (ArrayNode) holder.path(MARKS);
      marks.removeIf(m -> isSame(m, mark));
      if (marks.isEmpty() && holder.has("to")) {
        holder.remove(MARKS);
      }
      if (marks.isEmpty() && isNothingElse()) {
        for (String list : List.of(MAKERS, ADDITIONS)) {
          if (pack.path(list) instanceof ArrayNode all) {
            all.removeIf(h -> isSame(h, holder));
          }
        }
        if (pack.path(ADDITIONS).isEmpty()) {
          pack.remove(ADDITIONS);
        }
      }
    }

    private static boolean isSame(JsonNode one, JsonNode other) {
      return text(one, "id").equals(text(other, "id")) && text(one, "to").equals(text(other, "to"));
    }

    private boolean isNothingElse() {
      return holder.propertyStream().allMatch(e -> BARE.contains(e.getKey()));
    }
  }

  private static Held held(ObjectNode pack, String mark) {
    for (JsonNode holder : holders(pack)) {
      for (JsonNode m : holder.path(MARKS)) {
        if (text(m, "id").equals(mark)) {
          return new Held(pack, (ObjectNode) holder, (ObjectNode) m);
        }
      }
    }
    throw new InvalidInput(
        List.of(new Problem("mark", mark, "must be one you put on file yourself")));
  }

  static List<JsonNode> holders(ObjectNode pack) {
    List<JsonNode> all = new ArrayList<>();
    pack.path(MAKERS).forEach(all::add);
    pack.path(ADDITIONS).forEach(all::add);
    return all;
  }

  static String text(JsonNode of, String field) {
    return of.path(field).asString("");
  }

  private static List<String> texts(JsonNode all) {
    List<String> out = new ArrayList<>();
    all.forEach(t -> out.add(t.asString("")));
    return out;
  }

  static ObjectNode begun() {
    ObjectNode pack = Json.mapper().createObjectNode();
    pack.put("schema", 1).put("id", ID).put("title", "My own references");
    pack.put("note", "What I put on file myself.");
    pack.putArray("sources");
    pack.putArray(MAKERS);
    return pack;
  }

  /** What the pack adds to a maker of another. */
  static ObjectNode addition(ObjectNode pack, String maker) {
    ArrayNode additions = pack.withArray(ADDITIONS);
    ObjectNode to = entry(additions, "to", maker);
    return to == null ? additions.addObject().put("to", maker) : to;
  }

  static @Nullable ObjectNode entry(ArrayNode all, String field, String value) {
    return (ObjectNode)
        StreamSupport.stream(all.spliterator(), false)
            .filter(e -> e.path(field).asString("").equals(value))
            .findFirst()
            .orElse(null);
  }

  private static ObjectNode maker(MarkSlip slip, String id, ObjectNode mark, ReferenceShelf shelf) {
    List<String> regions = shelf.regions().stream().map(Region::id).sorted().toList();
    if (slip.region() == null || !regions.contains(slip.region())) {
      throw new InvalidInput(
          List.of(
              new Problem(
                  "region",
                  slip.region() == null ? "nothing" : slip.region(),
                  "must be given for a maker not on file yet: one of "
                      + String.join(", ", regions))));
    }
    ObjectNode maker = Json.mapper().createObjectNode();
    maker.put("id", id).put("name", slip.maker().strip()).put("region", slip.region());
    maker.put("place", slip.place() == null ? "" : slip.place()).put("weight", 1);
    maker.putArray("changes");
    maker.put("note", "");
    maker.putArray(MARKS).add(mark);
    return maker;
  }

  private static ObjectNode mark(MarkSlip slip, String id) {
    ObjectNode mark = Json.mapper().createObjectNode();
    mark.put("id", id);
    lines(mark, "lines", slip.lines());
    lines(mark, "pile", slip.pile());
    if (!slip.etch().isEmpty()) {
      lines(mark, "etch", slip.etch());
    }
    if (slip.layout() != null) {
      mark.put("layout", slip.layout().toString());
    }
    mark.put("technique", slip.technique().toString()).put("everyBlade", slip.everyBlade());
    mark.put("from", slip.from()).put("to", slip.to()).put("give", slip.give());
    return mark.put("note", slip.note() == null ? "" : slip.note());
  }

  private static void lines(ObjectNode mark, String face, List<String> lines) {
    ArrayNode out = mark.putArray(face);
    lines.forEach(l -> out.add(l.strip()));
  }

  // One source is named once; how far its kind is to be believed stands among the rates.
  static String source(ObjectNode pack, String name, String kind, ReferenceShelf shelf) {
    String label = name.strip();
    List<String> taken = new ArrayList<>();
    for (JsonNode source : pack.path("sources")) {
      if (source.path("label").asString("").equalsIgnoreCase(label)
          && source.path("kind").asString("").equals(kind)) {
        return source.path("id").asString("");
      }
      taken.add(source.path("id").asString(""));
    }
    // Not to be taken for one of another pack where a maker's facts come from several.
    String id = free("own " + label, taken);
    pack.withArray("sources")
        .addObject()
        .put("id", id)
        .put("label", label)
        .put("kind", kind)
        .put("reliability", shelf.judgement().of("filing." + kind));
    return id;
  }

  private static Set<String> marks(ObjectNode pack, ReferenceShelf shelf) {
    Set<String> ids = new HashSet<>();
    shelf.makers().forEach(m -> m.marks().forEach(k -> ids.add(k.id())));
    for (JsonNode holder : holders(pack)) {
      ids.add(text(holder, "id"));
      holder.path(MARKS).forEach(k -> ids.add(text(k, "id")));
    }
    return ids;
  }

  // An id out of words that nothing else has.
  static String free(String words, Collection<String> taken) {
    String plain = Normalizer.normalize(words, Normalizer.Form.NFD).toLowerCase(Locale.ROOT);
    String id = plain.replaceAll("\\p{M}", "").replaceAll("[^a-z0-9]+", "-");
    id = id.replaceAll("^-+|-+$", "");
    id = id.isEmpty() ? "own" : id.substring(0, Math.min(LONGEST_ID, id.length()));
    String found = id;
    for (int n = 2; taken.contains(found); n++) {
      found = id + "-" + n;
    }
    return found;
  }
}
