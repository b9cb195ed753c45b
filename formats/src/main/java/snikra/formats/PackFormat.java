package snikra.formats;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.snakeyaml.engine.v2.api.lowlevel.Compose;
import org.snakeyaml.engine.v2.exceptions.MarkedYamlEngineException;
import org.snakeyaml.engine.v2.exceptions.YamlEngineException;
import org.snakeyaml.engine.v2.nodes.MappingNode;
import org.snakeyaml.engine.v2.nodes.Node;
import org.snakeyaml.engine.v2.nodes.NodeTuple;
import org.snakeyaml.engine.v2.nodes.ScalarNode;
import org.snakeyaml.engine.v2.nodes.SequenceNode;
import snikra.core.code.AssayOffice;
import snikra.core.examination.Problem;
import snikra.core.reference.Addition;
import snikra.core.reference.Maker;
import snikra.core.reference.Makers;
import snikra.core.reference.ReferenceShelf;
import snikra.core.reference.Source;
import snikra.core.reference.Trust;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.MissingNode;
import tools.jackson.databind.node.ObjectNode;

/** Reference packs as YAML or JSON, by the schema {@code pack.schema.json}. */
public final class PackFormat {
  /** What each kind of date code is worked out from. */
  private static final Map<String, String> NEEDS =
      Map.of(
          "count-down", "start",
          "count-up", "start",
          "cycle", "letters",
          "year-figures", "figures",
          "table", "table");

  private static final double STAMP_ALONE = ShippedShelf.judgement().of("source.describes-stamp");

  static final int LONGEST_LINE = 100_000;
  private static final int MOST_LINES = 200_000;

  private PackFormat() {}

  /**
   * A pack as read.
   *
   * @param confusions by letter what a worn one is taken for
   * @param spellings sets of words taken for one another
   * @param additions what is told of makers of other packs
   */
  public record Pack(
      int schema,
      String id,
      String title,
      String note,
      List<Source> sources,
      Map<String, String> confusions,
      List<List<String>> spellings,
      List<AssayOffice> assayOffices,
      List<Maker> makers,
      List<Addition> additions) {
    public Pack {
      sources = List.copyOf(sources);
      confusions = confusions == null ? Map.of() : Map.copyOf(confusions);
      spellings = spellings == null ? List.of() : List.copyOf(spellings);
      assayOffices = assayOffices == null ? List.of() : List.copyOf(assayOffices);
      makers = List.copyOf(makers);
      additions = additions == null ? List.of() : List.copyOf(additions);
    }
  }

  /**
   * Reads a pack from YAML text.
   *
   * @param file its name, for messages
   * @throws InvalidInput with every problem, each with file, line and field
   */
  public static Pack read(String file, String yaml) {
    requireLines(file, yaml);
    try {
      JsonNode tree = Json.yamlMapper().readTree(yaml);
      if (tree == null || !tree.isObject()) {
        String given = tree == null || tree.isMissingNode() ? "nothing" : tree.toString();
        throw new InvalidInput(
            List.of(new Problem(file, Accepted.shown(given), "must be a reference pack")));
      }
      List<Problem> problems = check(tree);
      if (!problems.isEmpty()) {
        Node lines = new Compose(Json.yamlLimits()).composeString(yaml).orElseThrow();
        throw new InvalidInput(problems.stream().map(p -> placed(file, lines, p)).toList());
      }
      return bind(tree);
    } catch (JacksonException e) {
      long line = e.getLocation() == null ? 1 : e.getLocation().getLineNr();
      throw notYaml(file, line, e.getOriginalMessage());
    } catch (MarkedYamlEngineException e) {
      throw notYaml(
          file, e.getProblemMark().map(mark -> mark.getLine() + 1L).orElse(1L), e.getProblem());
    } catch (YamlEngineException e) {
      throw notYaml(file, 1, e.getMessage());
    }
  }

  // A parser of YAML looks ahead to the end of a line: one of megabytes takes minutes.
  private static void requireLines(String file, String yaml) {
    int line = 1;
    int begun = 0;
    for (int at = 0; at <= yaml.length(); at++) {
      if (at == yaml.length() || yaml.charAt(at) == '\n' || yaml.charAt(at) == '\r') {
        if (at - begun > LONGEST_LINE) {
          throw new InvalidInput(
              List.of(
                  new Problem(
                      file + ":" + line,
                      "a line of " + (at - begun) + " characters",
                      "must be lines of at most " + LONGEST_LINE + " characters")));
        }
        line++;
        begun = at + 1;
      }
    }
    if (line > MOST_LINES) {
      throw new InvalidInput(
          List.of(new Problem(file, line + " lines", "must be at most " + MOST_LINES + " lines")));
    }
  }

  /**
   * Reads a pack from a tree.
   *
   * @throws InvalidInput with every problem
   */
  public static Pack read(JsonNode tree) {
    List<Problem> problems = check(tree);
    if (!problems.isEmpty()) {
      throw new InvalidInput(problems);
    }
    try {
      return bind(tree);
    } catch (JacksonException e) {
      throw new InvalidInput(
          List.of(new Problem("the whole", "this pack", e.getOriginalMessage())));
    }
  }

  private static InvalidInput notYaml(String file, long line, String why) {
    String first = why.lines().findFirst().orElse("");
    return new InvalidInput(
        List.of(new Problem(file + ":" + line, Accepted.shown(first), "must be YAML")));
  }

  private static Pack bind(JsonNode tree) {
    JsonNode weighed = tree.deepCopy();
    Map<String, Source> sources = new HashMap<>();
    for (JsonNode source : weighed.path("sources")) {
      sources.put(source.path("id").asString(""), Json.mapper().treeToValue(source, Source.class));
    }
    weigh(weighed.path("makers"), sources);
    weigh(weighed.path("additions"), sources);
    return Json.mapper().treeToValue(weighed, Pack.class);
  }

  // Each fact is believed as far as its sources together are.
  private static void weigh(JsonNode node, Map<String, Source> sources) {
    for (Map.Entry<String, JsonNode> child : node.properties()) {
      // Who owned a firm dates no knife.
      if (!child.getKey().equals("owners")) {
        weigh(child.getValue(), sources);
      }
    }
    if (node.isArray()) {
      node.forEach(child -> weigh(child, sources));
    }
    if (node instanceof ObjectNode fact && fact.path("source").isString()) {
      List<Source> told = new ArrayList<>();
      told.add(sources.get(fact.path("source").asString("")));
      fact.path("also").forEach(id -> told.add(sources.get(id.asString(""))));
      fact.remove("also");
      fact.put("trust", Trust.of(told, sources, STAMP_ALONE));
    }
  }

  private static List<Problem> check(JsonNode tree) {
    List<Problem> problems = new ArrayList<>(Schemas.check("pack", tree));
    if (problems.isEmpty()) {
      references(tree, problems);
    }
    return problems;
  }

  // Every fact names a source of the pack, years run forward and ids are given once.
  private static void references(JsonNode tree, List<Problem> problems) {
    Set<String> sources = new HashSet<>();
    tree.path("sources").forEach(s -> sources.add(s.path("id").asString("")));
    for (int i = 0; i < tree.path("sources").size(); i++) {
      JsonNode copied = tree.path("sources").path(i).path("copies");
      if (!copied.isMissingNode()) {
        source("sources[" + i + "].copies", copied, sources, problems);
      }
    }
    Set<String> ids = new HashSet<>();
    for (int o = 0; o < tree.path("assayOffices").size(); o++) {
      JsonNode office = tree.path("assayOffices").path(o);
      String at = "assayOffices[" + o + "]";
      unique(at + ".id", office.path("id").asString(""), ids, problems);
      known(at, office, sources, problems);
    }
    for (int m = 0; m < tree.path("makers").size(); m++) {
      JsonNode maker = tree.path("makers").path(m);
      String at = "makers[" + m + "]";
      unique(at + ".id", maker.path("id").asString(""), ids, problems);
      told(at, maker, sources, ids, problems);
      history(at + ".history", maker, sources, problems);
    }
    for (int a = 0; a < tree.path("additions").size(); a++) {
      JsonNode added = tree.path("additions").path(a);
      told("additions[" + a + "]", added, sources, ids, problems);
      history("additions[" + a + "].history", added, sources, problems);
    }
  }

  // What is told of a maker, in its own pack or added to it in another.
  private static void told(
      String at, JsonNode of, Set<String> sources, Set<String> ids, List<Problem> problems) {
    for (int k = 0; k < of.path("marks").size(); k++) {
      mark(at + ".marks[" + k + "]", of.path("marks").path(k), sources, ids, problems);
    }
    codes(at, of.path("numbers").path("fields"), problems);
    for (int c = 0; c < of.path("codes").size(); c++) {
      scheme(at + ".codes[" + c + "]", of.path("codes").path(c), sources, ids, problems);
    }
  }

  private static void mark(
      String at, JsonNode mark, Set<String> sources, Set<String> ids, List<Problem> problems) {
    unique(at + ".id", mark.path("id").asString(""), ids, problems);
    sourced(at, mark, sources, problems);
  }

  private static void history(
      String at, JsonNode maker, Set<String> sources, List<Problem> problems) {
    Set<String> marks = new HashSet<>();
    maker.path("marks").forEach(mark -> marks.add(mark.path("id").asString("")));
    JsonNode tells = maker.path("history").path("tells");
    for (int i = 0; i < tells.size(); i++) {
      known(at + ".tells[" + i + "]", tells.path(i), sources, problems);
      if (tells.path(i).has("trait")) {
        likely(at + ".tells[" + i + "]", tells.path(i), problems);
      }
    }
    for (String list : List.of("owners", "contracts", "shields", "fittings", "models")) {
      JsonNode facts = maker.path("history").path(list);
      for (int i = 0; i < facts.size(); i++) {
        String fact = at + "." + list + "[" + i + "]";
        sourced(fact, facts.path(i), sources, problems);
        modelTells(fact, facts.path(i).path("tells"), sources, problems);
        named(facts.path(i).path("marks"))
            .filter(mark -> !marks.contains(mark))
            .forEach(
                mark ->
                    problems.add(
                        new Problem(fact + ".marks", mark, "must be a mark of this maker")));
      }
    }
  }

  // A model keeps its marks with their years, a contract names its marks.
  private static Stream<String> named(JsonNode marks) {
    List<String> ids = new ArrayList<>();
    if (marks.isArray()) {
      marks.forEach(mark -> ids.add(mark.asString("")));
    } else {
      marks.propertyNames().forEach(ids::add);
    }
    return ids.stream();
  }

  private static void modelTells(
      String at, JsonNode tells, Set<String> sources, List<Problem> problems) {
    for (int i = 0; i < tells.size(); i++) {
      String tell = at + ".tells[" + i + "]";
      known(tell, tells.path(i), sources, problems);
      likely(tell, tells.path(i), problems);
    }
  }

  private static void likely(String at, JsonNode tell, List<Problem> problems) {
    double sum = 0;
    for (JsonNode p : tell.path("likely")) {
      sum += p.asDouble(0);
    }
    if (sum > 1 + 1e-9) {
      problems.add(new Problem(at + ".likely", "" + sum, "must be 1 or less in all"));
    }
    if (tell.has("mm") != tell.has("spread")) {
      problems.add(new Problem(at + ".mm", "one alone", "must be given with its spread"));
    }
  }

  private static void scheme(
      String at, JsonNode scheme, Set<String> sources, Set<String> ids, List<Problem> problems) {
    unique(at + ".id", scheme.path("id").asString(""), ids, problems);
    sourced(at, scheme, sources, problems);
    String kind = scheme.path("kind").asString("");
    String needed = NEEDS.get(kind);
    if (needed != null && !scheme.has(needed)) {
      problems.add(new Problem(at + "." + needed, "nothing", "must be given for a " + kind));
    }
  }

  private static void sourced(
      String at, JsonNode fact, Set<String> sources, List<Problem> problems) {
    known(at, fact, sources, problems);
    int from = fact.path("from").asInt(0);
    if (fact.path("to").asInt(0) < from) {
      problems.add(
          new Problem(
              at + ".to", fact.path("to").asString(""), "must not be before from, " + from));
    }
  }

  private static void known(String at, JsonNode fact, Set<String> sources, List<Problem> problems) {
    source(at + ".source", fact.path("source"), sources, problems);
    for (int i = 0; i < fact.path("also").size(); i++) {
      source(at + ".also[" + i + "]", fact.path("also").path(i), sources, problems);
    }
  }

  private static void source(
      String at, JsonNode source, Set<String> sources, List<Problem> problems) {
    String id = source.asString("");
    if (!sources.contains(id)) {
      String known = sources.stream().sorted().collect(Collectors.joining(", "));
      problems.add(new Problem(at, id, "must be a source of the pack: " + known));
    }
  }

  private static void unique(String at, String id, Set<String> ids, List<Problem> problems) {
    if (!ids.add(id)) {
      problems.add(new Problem(at, id, "must be given once in the pack"));
    }
  }

  private static void codes(String at, JsonNode fields, List<Problem> problems) {
    for (int f = 0; f < fields.size(); f++) {
      int width = fields.path(f).path("width").asInt(0);
      String field = at + ".numbers.fields[" + f + "].codes";
      fields
          .path(f)
          .path("codes")
          .propertyNames()
          .forEach(
              code -> {
                if (code.length() != width) {
                  problems.add(
                      new Problem(
                          field, code, "must be as long as the width of the field, " + width));
                }
              });
    }
  }

  private static Problem placed(String file, Node root, Problem p) {
    String place = file + ":" + line(root, p.field()) + ": " + p.field();
    return new Problem(place, p.given(), p.accepted());
  }

  private static int line(Node root, String path) {
    Node at = root;
    for (String step : path.split("[.\\[\\]]+", -1)) {
      Node next = child(at, step);
      at = next == null ? at : next;
    }
    return at.getStartMark().map(mark -> mark.getLine() + 1).orElse(1);
  }

  private static Node child(Node at, String step) {
    if (at instanceof SequenceNode list && step.matches("\\d{1,6}")) {
      int index = Integer.parseInt(step);
      return index < list.getValue().size() ? list.getValue().get(index) : null;
    }
    if (at instanceof MappingNode map) {
      for (NodeTuple entry : map.getValue()) {
        if (entry.getKeyNode() instanceof ScalarNode key && key.getValue().equals(step)) {
          return entry.getValueNode();
        }
      }
    }
    return null;
  }

  /** All makers of several packs, later ones laid over earlier ones, with what is added to them. */
  public static List<Maker> makers(List<Pack> packs) {
    List<Maker> makers = packs.stream().map(Pack::makers).reduce(List.of(), Makers::over);
    return Makers.with(makers, packs.stream().flatMap(p -> p.additions().stream()).toList());
  }

  /**
   * A shelf with the makers of these packs in place of its own, with their assay offices beside its
   * own, and read as they say.
   */
  public static ReferenceShelf inPlace(List<Pack> packs, ReferenceShelf shelf) {
    Map<String, AssayOffice> offices = new LinkedHashMap<>();
    shelf.assayOffices().forEach(o -> offices.put(o.id(), o));
    assayOffices(packs).forEach(o -> offices.put(o.id(), o));
    return reading(packs, shelf.with(List.copyOf(offices.values()), makers(packs)));
  }

  /** A shelf that reads worn letters and words as these packs say; of two the later. */
  public static ReferenceShelf reading(List<Pack> packs, ReferenceShelf shelf) {
    Map<Character, String> letters = new HashMap<>();
    List<List<String>> words = new ArrayList<>();
    for (Pack pack : packs) {
      pack.confusions.forEach((letter, taken) -> letters.put(letter.charAt(0), taken));
      words.addAll(pack.spellings);
    }
    return shelf.reading(letters, words);
  }

  /** All assay offices of several packs; of two with one id the later. */
  public static List<AssayOffice> assayOffices(List<Pack> packs) {
    Map<String, AssayOffice> byId = new LinkedHashMap<>();
    packs.forEach(p -> p.assayOffices().forEach(o -> byId.put(o.id(), o)));
    return List.copyOf(byId.values());
  }

  /** A change from one version of a pack to the next. */
  public record Change(String path, @Nullable String before, @Nullable String after) {}

  /** What two versions of a pack, both read before, differ in; things are known by their ids. */
  public static List<Change> changes(String before, String after) {
    try {
      List<Change> out = new ArrayList<>();
      changes("", Json.yamlMapper().readTree(before), Json.yamlMapper().readTree(after), out);
      return out;
    } catch (JacksonException e) {
      throw new IllegalArgumentException("both versions must be YAML; found " + e.getMessage(), e);
    }
  }

  private static void changes(String path, JsonNode before, JsonNode after, List<Change> out) {
    if (before.equals(after)) {
      return;
    }
    Map<String, JsonNode> a = children(before);
    Map<String, JsonNode> b = children(after);
    if (a.isEmpty() || b.isEmpty()) {
      out.add(new Change(path, told(before), told(after)));
      return;
    }
    Set<String> names = new LinkedHashSet<>(a.keySet());
    names.addAll(b.keySet());
    for (String name : names) {
      JsonNode none = MissingNode.getInstance();
      String at = path.isEmpty() ? name : path + "." + name;
      changes(at, a.getOrDefault(name, none), b.getOrDefault(name, none), out);
    }
  }

  // Members by name, and what is in a list of things by their ids.
  private static Map<String, JsonNode> children(JsonNode node) {
    Map<String, JsonNode> children = new LinkedHashMap<>();
    if (node.isObject()) {
      node.properties().forEach(e -> children.put(e.getKey(), e.getValue()));
    } else if (node.isArray() && node.path(0).isObject()) {
      node.forEach(item -> children.put(name(item), item));
    }
    return children;
  }

  // By its id, or by what else it is known by and the year it begins.
  private static String name(JsonNode item) {
    if (item.has("id")) {
      return item.path("id").asString("");
    }
    return Stream.of("number", "name", "by", "shape", "to")
            .map(field -> item.path(field).asString(""))
            .filter(text -> !text.isEmpty())
            .findFirst()
            .orElse("")
        + " "
        + item.path("from").asString("");
  }

  private static @Nullable String told(JsonNode node) {
    return node.isMissingNode()
        ? null
        : Accepted.shown(node.isValueNode() ? node.asString("") : node.toString());
  }
}
