package snikra.formats;

import com.networknt.schema.Error;
import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SchemaRegistryConfig;
import com.networknt.schema.SpecificationVersion;
import com.networknt.schema.path.PathType;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.concurrent.ConcurrentHashMap;
import snikra.core.examination.Problem;
import tools.jackson.databind.JsonNode;

/** The published schemas, and what a document makes of them. */
final class Schemas {
  private static final int MOST_PROBLEMS = 100;
  private static final SchemaRegistry REGISTRY =
      SchemaRegistry.withDefaultDialect(
          SpecificationVersion.DRAFT_2020_12,
          builder ->
              builder.schemaRegistryConfig(
                  SchemaRegistryConfig.builder().pathType(PathType.LEGACY).build()));
  private static final Map<String, Schema> LOADED = new ConcurrentHashMap<>();

  private Schemas() {}

  /** Every way in which the document misses the schema of this name. */
  static List<Problem> check(String name, JsonNode document) {
    List<Problem> problems = new ArrayList<>();
    NoField.check(document, "", problems);
    if (!problems.isEmpty()) {
      return problems;
    }
    for (Error m : LOADED.computeIfAbsent(name, Schemas::load).validate(document)) {
      problems.add(problem(m, document));
    }
    return problems.size() > MOST_PROBLEMS ? problems.subList(0, MOST_PROBLEMS) : problems;
  }

  private static Schema load(String name) {
    String path = "/snikra/schema/" + name + ".schema.json";
    try (InputStream in = Objects.requireNonNull(Schemas.class.getResourceAsStream(path), path)) {
      return REGISTRY.getSchema(in, InputFormat.JSON);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static Problem problem(Error m, JsonNode document) {
    String pointer = m.getInstanceLocation().toString();
    String property = m.getProperty();
    String field = path(pointer, property);
    JsonNode at = node(document, m);
    String given =
        property == null
            ? Accepted.shown(at.toString())
            : "required".equals(m.getKeyword()) ? "nothing" : property;
    return new Problem(field, given, accepted(m, pointer));
  }

  private static String accepted(Error m, String pointer) {
    JsonNode asked = m.getSchemaNode();
    String value = asked == null ? "" : asked.asString("");
    return switch (m.getKeyword()) {
      case "enum" -> "must be one of " + list(asked);
      case "const" -> "must be " + value;
      case "type" -> Accepted.type(value);
      case "required" -> Accepted.GIVEN;
      case "additionalProperties" -> Accepted.LEFT_OUT;
      case "minimum" -> "must be " + value + " or more";
      case "maximum" -> "must be " + value + " or less";
      case "exclusiveMinimum" -> "must be more than " + value;
      case "minLength" -> "must be text of " + value + " characters or more";
      case "maxLength" -> "must be text of " + value + " characters or fewer";
      case "pattern" -> "must be written like " + value;
      case "minItems" -> "must be a list of " + value + " or more";
      case "maxItems" -> "must be a list of " + value + " or fewer";
      default -> {
        String text = m.getMessage();
        yield text.startsWith(pointer + ": ") ? text.substring(pointer.length() + 2) : text;
      }
    };
  }

  private static String list(JsonNode values) {
    List<String> all = new ArrayList<>();
    values.forEach(v -> all.add(v.asString("")));
    return String.join(", ", all);
  }

  private static JsonNode node(JsonNode document, Error m) {
    JsonNode at = document;
    for (int i = 0; i < m.getInstanceLocation().getNameCount(); i++) {
      Object step = m.getInstanceLocation().getElement(i);
      at = step instanceof Integer index ? at.path(index) : at.path(step.toString());
    }
    return at;
  }

  // "$.blades[0].type" is shown as people write it: blades[0].type.
  private static String path(String pointer, String property) {
    String path = pointer.replaceFirst("^\\$\\.?", "");
    if (property == null) {
      return path.isEmpty() ? "the whole" : path;
    }
    return path.isEmpty() ? property : path + "." + property;
  }
}
