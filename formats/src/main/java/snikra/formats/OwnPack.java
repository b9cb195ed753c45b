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
  private static final int LONGEST_ID = 48;

  private OwnPack() {}

  /**
   * What became of a slip.
   *
   * @param yaml the pack with it
   * @param maker name of the maker
   * @param isNew whether the maker is on file only now
   */
  public record Filed(String yaml, String maker, String mark, boolean isNew) {}

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
    ObjectNode pack = yaml == null ? begun() : (ObjectNode) Json.yamlMapper().readTree(yaml);
    String name = slip.maker().strip();
    Maker known =
        shelf.makers().stream()
            .filter(m -> m.name().equalsIgnoreCase(name))
            .findFirst()
            .orElse(null);
    String maker =
        known == null ? free(name, shelf.makers().stream().map(Maker::id).toList()) : known.id();
    ObjectNode mark = mark(slip, free(maker + " " + slip.lines().get(0), marks(pack, shelf)));
    mark.put("source", source(pack, slip, shelf));
    ObjectNode own = entry(pack.withArray("makers"), "id", maker);
    if (own != null) {
      own.withArray(MARKS).add(mark);
    } else if (known == null) {
      pack.withArray("makers").add(maker(slip, maker, mark, shelf));
    } else {
      added(pack, maker).add(mark);
    }
    return new Filed(
        Json.yamlMapper().writeValueAsString(pack),
        known == null ? name : known.name(),
        String.join(" ", slip.lines()),
        known == null);
  }

  private static ObjectNode begun() {
    ObjectNode pack = Json.mapper().createObjectNode();
    pack.put("schema", 1).put("id", ID).put("title", "My own references");
    pack.put("note", "What I put on file myself.");
    pack.putArray("sources");
    pack.putArray("makers");
    return pack;
  }

  private static ArrayNode added(ObjectNode pack, String maker) {
    ArrayNode additions = pack.withArray("additions");
    ObjectNode to = entry(additions, "to", maker);
    if (to == null) {
      to = additions.addObject().put("to", maker);
    }
    return to.withArray(MARKS);
  }

  private static @Nullable ObjectNode entry(ArrayNode all, String field, String value) {
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
  private static String source(ObjectNode pack, MarkSlip slip, ReferenceShelf shelf) {
    String label = slip.source().strip();
    List<String> taken = new ArrayList<>();
    for (JsonNode source : pack.path("sources")) {
      if (source.path("label").asString("").equalsIgnoreCase(label)
          && source.path("kind").asString("").equals(slip.sourceKind())) {
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
        .put("kind", slip.sourceKind())
        .put("reliability", shelf.judgement().of("filing." + slip.sourceKind()));
    return id;
  }

  private static Set<String> marks(ObjectNode pack, ReferenceShelf shelf) {
    Set<String> ids = new HashSet<>();
    shelf.makers().forEach(m -> m.marks().forEach(k -> ids.add(k.id())));
    for (String list : List.of("makers", "additions")) {
      for (JsonNode holder : pack.path(list)) {
        ids.add(holder.path("id").asString(""));
        holder.path(MARKS).forEach(k -> ids.add(k.path("id").asString("")));
      }
    }
    return ids;
  }

  // An id out of words that nothing else has.
  private static String free(String words, Collection<String> taken) {
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
