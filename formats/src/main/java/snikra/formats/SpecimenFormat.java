package snikra.formats;

import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Predicate;
import java.util.stream.Stream;
import snikra.core.care.CareBook;
import snikra.core.clue.Clue;
import snikra.core.clue.Feature;
import snikra.core.code.AssayOffice;
import snikra.core.code.NumberTable;
import snikra.core.code.SeenCode;
import snikra.core.code.SeenHallmark;
import snikra.core.code.Sign;
import snikra.core.condition.Alteration;
import snikra.core.condition.BoxBook;
import snikra.core.condition.ConditionBook;
import snikra.core.examination.Problem;
import snikra.core.measure.Length;
import snikra.core.measure.MeasureBook;
import snikra.core.measure.MeasureBook.Quantity;
import snikra.core.pattern.BladeType;
import snikra.core.pattern.BolsterLayout;
import snikra.core.pattern.Frame;
import snikra.core.pattern.Pattern;
import snikra.core.provenance.EdtfDate;
import snikra.core.reference.ReferenceShelf;
import snikra.core.reference.Region;
import snikra.core.specimen.Specimen;
import snikra.core.specimen.Sureness;
import snikra.core.wording.NotAccepted;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Knives as JSON, by the schema {@code specimen.schema.json}. */
public final class SpecimenFormat {
  private static final int NAMES_SHOWN = 20;
  private static final Upgrades UPGRADES = ShippedShelf.upgrades();

  private SpecimenFormat() {}

  /**
   * Reads a knife and holds its names against the shelf.
   *
   * @throws InvalidInput with every problem found
   */
  public static Specimen read(String json, ReferenceShelf shelf) {
    return read(parse(json), shelf);
  }

  /**
   * As {@link #read(String, ReferenceShelf)}, from a tree.
   *
   * @throws InvalidInput with every problem found
   */
  public static Specimen read(JsonNode written, ReferenceShelf shelf) {
    JsonNode tree = UPGRADES.upgrade(written);
    List<Problem> problems = new ArrayList<>(Schemas.check("specimen", tree));
    if (problems.isEmpty()) {
      new Check(tree, shelf, problems).run();
    }
    if (!problems.isEmpty()) {
      throw new InvalidInput(problems);
    }
    try {
      return Json.mapper().treeToValue(tree, Specimen.class);
    } catch (JacksonException e) {
      throw new InvalidInput(List.of(problem("the whole", "", e.getOriginalMessage())));
    }
  }

  /**
   * Reads a knife as it is kept, in whichever format it was written. It was checked when it was
   * kept: names may since have left the shelf.
   *
   * @throws UnreadableKnife when it was written by a newer Snikra, or is damaged
   */
  public static Specimen readKept(String json) {
    try {
      JsonNode tree = UPGRADES.upgrade(parse(json));
      return Json.mapper().treeToValue(tree, Specimen.class);
    } catch (InvalidInput | JacksonException e) {
      throw UnreadableKnife.because(e);
    }
  }

  /** The version of the format that is written today. */
  public static int current() {
    return UPGRADES.current();
  }

  /** Writes a knife, in today's format. */
  public static String write(Specimen knife) {
    ObjectNode tree = Json.mapper().createObjectNode();
    tree.put(Upgrades.FORMAT, UPGRADES.current());
    Json.mapper()
        .<ObjectNode>valueToTree(knife)
        .properties()
        .forEach(e -> tree.set(e.getKey(), e.getValue()));
    return Json.mapper().writeValueAsString(tree);
  }

  /**
   * Parses JSON that must hold an object.
   *
   * @throws InvalidInput when it does not
   */
  public static JsonNode parse(String json) {
    try {
      JsonNode tree = Json.mapper().readTree(json);
      if (tree != null && tree.isObject()) {
        return tree;
      }
    } catch (JacksonException e) {
      String where = e.getLocation() == null ? "" : "line " + e.getLocation().getLineNr();
      throw new InvalidInput(List.of(problem(where, json, Accepted.JSON)));
    }
    throw new InvalidInput(List.of(problem("the whole", json, "must be a JSON object")));
  }

  private static Problem problem(String field, String given, String accepted) {
    return new Problem(field, given.isBlank() ? "nothing" : Accepted.shown(given), accepted);
  }

  /** What a schema cannot say: lengths and dates that can be read, names that are on the shelf. */
  private record Check(JsonNode tree, ReferenceShelf shelf, List<Problem> problems) {

    void run() {
      text("closedLength", tree.path("closedLength"), Length::parse);
      for (int i = 0; i < tree.path("blades").size(); i++) {
        blade("blades[" + i + "]", tree.path("blades").path(i), i);
      }
      each("codes", this::code);
      each("registered", this::registered);
      each("hallmarks", this::hallmark);
      each("story", this::event);
      each("comparables", this::comparable);
      each("care", this::care);
      look("frame", tree.path("frame"), shelf.patterns().frames().stream().map(Frame::id));
      Stream<String> layouts = shelf.patterns().bolsters().stream().map(BolsterLayout::id);
      look("bolsters", tree.path("bolsters"), layouts);
      sureness("springs", tree.path("springs"));
      tree.path("seen")
          .properties()
          .forEach(e -> seen("seen.", e, f -> f.asked() == Feature.Asked.ONCE));
      tree.path("measured").properties().forEach(this::measured);
      tree.path("condition").properties().forEach(e -> condition("condition.", e, p -> true));
    }

    private interface Element {
      void check(String at, JsonNode node);
    }

    private void each(String list, Element check) {
      Iterator<JsonNode> nodes = tree.path(list).iterator();
      for (int i = 0; nodes.hasNext(); i++) {
        check.check(list + "[" + i + "]", nodes.next());
      }
    }

    private void blade(String at, JsonNode blade, int place) {
      text(at + ".length", blade.path("length"), Length::parse);
      Stream<String> types = shelf.patterns().blades().stream().map(BladeType::id);
      look(at + ".type", blade.path("type"), types);
      for (String field : List.of("end", "presses", "side", "spring")) {
        sureness(at + "." + field, blade.path(field));
      }
      for (int i = 0; i < blade.path("heights").size(); i++) {
        JsonNode height = blade.path("heights").path(i);
        text(at + ".heights[" + i + "].at", height.path("at"), Length::parse);
        text(at + ".heights[" + i + "].height", height.path("height"), Length::parse);
      }
      blade
          .path("seen")
          .properties()
          .forEach(e -> seen(at + ".seen.", e, f -> f.asked().ofBlade(place)));
      var found = blade.path("condition").properties();
      if (place > 0) {
        found.forEach(e -> condition(at + ".condition.", e, ConditionBook.Point::isEachBlade));
      } else if (!found.isEmpty()) {
        String given = String.join(", ", found.stream().map(Map.Entry::getKey).toList());
        String accepted =
            "must stand under condition of the knife: there is that of its main blade";
        problems.add(problem(at + ".condition", given, accepted));
      }
    }

    // A maker may be of a pack that is switched off just now: the claim stays as it was written.
    private void event(String at, JsonNode e) {
      text(at + ".date", e.path("date"), EdtfDate::parse);
      name(at + ".region", e.path("region"), shelf.regions().stream().map(Region::id));
      e.path("shows").properties().forEach(s -> shown(at + ".shows.", s));
      if (e.has("shows") && !e.has("date")) {
        problems.add(problem(at + ".date", "", "must be given with what is shown"));
      }
    }

    private void shown(String where, Map.Entry<String, JsonNode> entry) {
      Optional<Feature> feature = shelf.clues().feature(entry.getKey());
      if (feature.isEmpty()) {
        Stream<Feature> asked = shelf.clues().features().stream();
        unknown(where + entry.getKey(), entry.getKey(), asked.map(Feature::id));
      } else {
        Stream<String> known = feature.get().clues().stream().map(Clue::id);
        name(where + entry.getKey(), entry.getValue(), known);
      }
    }

    private void code(String at, JsonNode code) {
      Sign sign = Json.mapper().convertValue(code.path("sign"), Sign.class);
      text(at + ".written", code.path("written"), written -> SeenCode.parse(sign, written));
    }

    private void registered(String at, JsonNode number) {
      Stream<String> tables = shelf.numberTables().stream().map(NumberTable::id);
      name(at + ".table", number.path("table"), tables);
      text(at + ".number", number.path("number"), NumberTable::parse);
    }

    private void hallmark(String at, JsonNode mark) {
      text(at + ".letter", mark.path("letter"), SeenHallmark::parseLetter);
      AssayOffice office = shelf.assayOffice(mark.path("office").asString("")).orElse(null);
      if (office != null) {
        name(at + ".form", mark.path("form"), office.forms().stream());
      }
    }

    private void comparable(String at, JsonNode sale) {
      text(at + ".sold", sale.path("sold"), EdtfDate::parse);
      text(at + ".made", sale.path("made"), EdtfDate::parse);
      BoxBook boxes = shelf.condition().box();
      Stream<String> boxed =
          boxes == null ? Stream.of() : boxes.grades().stream().map(BoxBook.Level::id);
      name(at + ".box", sale.path("box"), boxed);
      // A maker may be of a pack that is switched off just now: the sale stays as it was written.
      Stream<String> patterns = shelf.patterns().patterns().stream().map(Pattern::id);
      name(at + ".pattern", sale.path("pattern"), patterns);
      Stream<String> grades = shelf.condition().grades().stream().map(ConditionBook.Grade::id);
      name(at + ".grade", sale.path("grade"), grades);
      name(at + ".handle", sale.path("handle"), answers(Names.HANDLE));
      name(at + ".text", sale.path("text"), answers(Names.INSCRIPTION));
      text(at + ".length", sale.path("length"), Length::parse);
      for (int i = 0; i < sale.path("done").size(); i++) {
        Stream<String> known = shelf.condition().alterations().stream().map(Alteration::id);
        name(at + ".done[" + i + "]", sale.path("done").get(i), known);
      }
    }

    private Stream<String> answers(String feature) {
      return shelf.clues().feature(feature).stream().flatMap(f -> f.clues().stream()).map(Clue::id);
    }

    private void care(String at, JsonNode done) {
      text(at + ".date", done.path("date"), EdtfDate::parse);
      name(at + ".work", done.path("work"), shelf.care().works().stream().map(CareBook.Work::id));
      for (String grade : List.of("gradeBefore", "gradeAfter")) {
        Stream<String> grades = shelf.condition().grades().stream().map(ConditionBook.Grade::id);
        name(at + "." + grade, done.path(grade), grades);
      }
    }

    private void seen(String where, Map.Entry<String, JsonNode> entry, Predicate<Feature> isAsked) {
      String at = where + entry.getKey();
      Optional<Feature> feature = shelf.clues().feature(entry.getKey()).filter(isAsked);
      if (feature.isEmpty()) {
        Stream<Feature> asked = shelf.clues().features().stream().filter(isAsked);
        unknown(at, entry.getKey(), asked.map(Feature::id));
        return;
      }
      look(at, entry.getValue(), feature.get().clues().stream().map(Clue::id));
    }

    private void look(String at, JsonNode seen, Stream<String> answers) {
      List<String> known = answers.toList();
      seen(at, seen, known.stream());
      either(at, seen, known);
    }

    // Other answers it may be: each on file, none twice, and something left for the first.
    private void either(String at, JsonNode seen, List<String> known) {
      double shares = 0;
      for (Map.Entry<String, JsonNode> other : seen.path("or").properties()) {
        if (!known.contains(other.getKey())) {
          unknown(at + ".or", other.getKey(), known.stream());
        } else if (other.getKey().equals(seen.path("value").asString(""))) {
          problems.add(
              problem(at + ".or", other.getKey(), "must be another answer than the value"));
        }
        shares += other.getValue().asDouble(0);
      }
      if (shares >= 1) {
        problems.add(
            problem(
                at + ".or", "" + shares, "must leave a share for the value: less than 1 in all"));
      }
      if (seen.has("or") && !seen.has("value")) {
        problems.add(
            problem(at + ".or", seen.path("or").toString(), "must be left out with cannot-tell"));
      }
    }

    private void seen(String at, JsonNode seen, Stream<String> known) {
      if (seen.isObject()) {
        name(at + ".value", seen.path("value"), known);
        sureness(at, seen);
      } else {
        name(at, seen, Stream.concat(known, Stream.of(Sureness.CANNOT_TELL.toString())));
      }
    }

    private void measured(Map.Entry<String, JsonNode> entry) {
      String at = "measured." + entry.getKey();
      Optional<MeasureBook.Quantity> quantity = shelf.measures().quantity(entry.getKey());
      if (quantity.isEmpty()) {
        Stream<String> known = shelf.measures().quantities().stream().map(Quantity::id);
        unknown(at, entry.getKey(), known);
        return;
      }
      for (int i = 0; i < entry.getValue().size(); i++) {
        text(at + "[" + i + "]", entry.getValue().path(i), quantity.get()::read);
      }
    }

    private void condition(
        String where, Map.Entry<String, JsonNode> entry, Predicate<ConditionBook.Point> asked) {
      String at = where + entry.getKey();
      var point = shelf.condition().point(entry.getKey()).filter(asked);
      if (point.isEmpty()) {
        Stream<String> points =
            shelf.condition().points().stream().filter(asked).map(ConditionBook.Point::id);
        unknown(at, entry.getKey(), points);
        return;
      }
      Stream<String> found = point.get().findings().stream().map(ConditionBook.Finding::id);
      seen(at, entry.getValue(), found);
    }

    private void sureness(String at, JsonNode seen) {
      boolean told = seen.has("value");
      boolean cannot = Sureness.CANNOT_TELL.toString().equals(seen.path("sureness").asString(""));
      if (seen.isObject() && told == cannot) {
        problems.add(
            problem(
                at + ".value",
                seen.path("value").asString(""),
                told ? "must be left out with cannot-tell" : "must be given unless cannot-tell"));
      }
    }

    private void text(String at, JsonNode node, Consumer<String> read) {
      if (node.isString()) {
        try {
          read.accept(node.asString(""));
        } catch (NotAccepted e) {
          String accepted = e.accepted();
          problems.add(problem(at, node.asString(""), accepted));
        }
      }
    }

    private void name(String at, JsonNode node, Stream<String> known) {
      List<String> names = known.toList();
      if (node.isString() && !names.contains(node.asString(""))) {
        unknown(at, node.asString(""), names.stream());
      }
    }

    private void unknown(String at, String given, Stream<String> known) {
      List<String> names = known.limit(NAMES_SHOWN + 1L).toList();
      String more = names.size() > NAMES_SHOWN ? ", \u2026" : "";
      List<String> shown = names.subList(0, Math.min(NAMES_SHOWN, names.size()));
      problems.add(problem(at, given, "must be one of " + String.join(", ", shown) + more));
    }
  }
}
