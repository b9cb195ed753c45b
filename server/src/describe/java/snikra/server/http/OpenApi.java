package snikra.server.http;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.SerializationFeature;
import io.swagger.v3.core.jackson.ModelResolver;
import io.swagger.v3.core.jackson.TypeNameResolver;
import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.Operation;
import io.swagger.v3.oas.models.PathItem;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.info.License;
import io.swagger.v3.oas.models.media.ArraySchema;
import io.swagger.v3.oas.models.media.Content;
import io.swagger.v3.oas.models.media.IntegerSchema;
import io.swagger.v3.oas.models.media.ObjectSchema;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.media.StringSchema;
import io.swagger.v3.oas.models.parameters.Parameter;
import io.swagger.v3.oas.models.responses.ApiResponse;
import io.swagger.v3.oas.models.servers.Server;
import java.lang.reflect.RecordComponent;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springdoc.core.customizers.OperationCustomizer;
import org.springdoc.core.utils.SpringDocUtils;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.ClassPathScanningCandidateComponentProvider;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.type.filter.AssignableTypeFilter;
import snikra.core.measure.Length;
import snikra.core.measure.Measurement;
import snikra.core.provenance.EdtfDate;

/** The description of the interface: what is not marked as nullable is always there. */
@Configuration(proxyBeanMethods = false)
class OpenApi {
  private static final String KNIFE = "#/components/schemas/Specimen";

  static {
    // Written as people write them.
    SpringDocUtils.getConfig()
        .replaceWithSchema(Length.class, new StringSchema().example("3 7/8 in"))
        .replaceWithSchema(Measurement.class, new StringSchema().example("34.5 N"))
        .replaceWithSchema(EdtfDate.class, new StringSchema().example("193X"));
  }

  @Bean
  OpenApiCustomizer describe() {
    return api -> {
      api.setInfo(
          new Info()
              .title("Snikra")
              .version("1")
              .description(
                  "A bench for collectors of traditional pocket knives. Writes need the header X-Snikra: 1"
                      + " and an Origin of this machine.")
              .license(
                  new License()
                      .name("Apache 2.0")
                      .url("https://www.apache.org/licenses/LICENSE-2.0")));
      api.setOpenapi("3.1.0");
      api.setServers(
          List.of(new Server().url("http://localhost:8080").description("This machine alone.")));
      api.setSecurity(List.of());
      api.getComponents().addSchemas("Refusal", refusal());
      Map<String, Class<?>> records = records();
      api.getComponents()
          .getSchemas()
          .forEach(
              (name, schema) -> require(schema, records.getOrDefault(name, of(name, records))));
      api.getComponents().setSchemas(new TreeMap<>(api.getComponents().getSchemas()));
      givenInShort(api);
      Requests.all().forEach(request -> showIn(api, request));
    };
  }

  // A knife is told with all that may be said of it, and may be given with what was looked at
  // alone.
  private static void givenInShort(OpenAPI api) {
    api.getComponents()
        .getSchemas()
        .forEach(
            (name, schema) -> {
              if (name.endsWith("Request") && isKnife(property(schema))) {
                schema.addProperty("specimen", shortOrWhole());
              }
            });
    api.getPaths().values().stream()
        .flatMap(path -> path.readOperations().stream())
        .map(Operation::getRequestBody)
        .filter(Objects::nonNull)
        .flatMap(body -> body.getContent().values().stream())
        .filter(content -> isKnife(content.getSchema()))
        .forEach(content -> content.setSchema(shortOrWhole()));
  }

  private static @Nullable Schema<?> property(Schema<?> of) {
    return of.getProperties() == null ? null : of.getProperties().get("specimen");
  }

  private static boolean isKnife(@Nullable Schema<?> schema) {
    return schema != null && KNIFE.equals(schema.get$ref());
  }

  private static Schema<?> shortOrWhole() {
    Schema<?> inShort =
        new ObjectSchema()
            .additionalProperties(true)
            .description(
                "A knife as found, by specimen.schema.json: what was not looked at left out.");
    return new Schema<>().anyOf(List.of(new Schema<>().$ref(KNIFE), inShort));
  }

  // The first request of an operation is its example: RequestsTest sends it.
  private static void showIn(OpenAPI api, Requests.Request request) {
    PathItem.HttpMethod method = PathItem.HttpMethod.valueOf(request.method());
    List<String> paths =
        api.getPaths().entrySet().stream()
            .filter(e -> e.getValue().readOperationsMap().containsKey(method))
            .map(Map.Entry::getKey)
            .toList();
    request
        .operation(paths)
        .ifPresent(
            path -> {
              Operation of = api.getPaths().get(path).readOperationsMap().get(method);
              if (of.getParameters() != null) {
                of.getParameters().forEach(p -> show(p, request, path));
              }
              if (of.getRequestBody() != null) {
                of.getRequestBody().getContent().forEach((type, body) -> show(type, body, request));
              }
            });
  }

  private static void show(Parameter parameter, Requests.Request request, String path) {
    List<String> given = request.query().getOrDefault(parameter.getName(), List.of());
    boolean isMany = "array".equals(parameter.getSchema().getType());
    Object shown =
        "path".equals(parameter.getIn())
            ? request.inPath(path).get(parameter.getName())
            : given.isEmpty() ? null : isMany ? given : given.get(0);
    if (parameter.getExample() == null && shown != null && !shown.toString().contains("{")) {
      parameter.setExample(typed(shown, parameter.getSchema().getType()));
    }
  }

  private static Object typed(Object shown, @Nullable String type) {
    return switch ("" + type) {
      case "boolean" -> Boolean.valueOf("" + shown);
      case "integer" -> Integer.valueOf("" + shown);
      case "number" -> Double.valueOf("" + shown);
      default -> shown;
    };
  }

  private static void show(
      String type, io.swagger.v3.oas.models.media.MediaType body, Requests.Request request) {
    Object shown = type.equals("application/json") ? request.of("json") : request.of("text");
    if (body.getExample() == null && shown != null) {
      body.setExample(shown);
    }
  }

  /** What an operation does, and what its parameters are, as the controllers say it themselves. */
  @Bean
  OperationCustomizer say(ControllerDocs docs) {
    return (operation, handler) -> {
      ControllerDocs.Doc doc = docs.of(handler.getBeanType(), handler.getMethod().getName());
      operation.setSummary(doc.first());
      if (!doc.rest().isEmpty()) {
        operation.setDescription(doc.rest());
      }
      if (operation.getParameters() != null) {
        operation.getParameters().stream()
            .filter(p -> p.getDescription() == null)
            .forEach(p -> p.setDescription(doc.parameters().get(p.getName())));
      }
      operation
          .getResponses()
          .addApiResponse(
              "4XX",
              new ApiResponse()
                  .description("It cannot be done: what was given and what is accepted, by field.")
                  .content(
                      new Content()
                          .addMediaType(
                              "application/problem+json",
                              new io.swagger.v3.oas.models.media.MediaType()
                                  .schema(new Schema<>().$ref("#/components/schemas/Refusal")))));
      return operation;
    };
  }

  @Bean
  ControllerDocs controllerDocs() {
    return new ControllerDocs(Path.of("src/main/java"));
  }

  private static Schema<?> refusal() {
    Schema<?> problem =
        new ObjectSchema()
            .addProperty("field", new StringSchema().description("Path of the entry."))
            .addProperty("given", new StringSchema())
            .addProperty("accepted", new StringSchema());
    return new ObjectSchema()
        .addProperty("type", new StringSchema())
        .addProperty("title", new StringSchema())
        .addProperty("status", new IntegerSchema())
        .addProperty("detail", new StringSchema().description("In one sentence."))
        .addProperty("problems", new ArraySchema().items(problem));
  }

  // A record of a type, such as what was seen of an end, goes by both their names.
  private static @Nullable Class<?> of(String name, Map<String, Class<?>> records) {
    return records.values().stream()
        .filter(r -> r.getTypeParameters().length > 0 && name.startsWith(Names.of(r)))
        .findFirst()
        .orElse(null);
  }

  /** Names by class and the class around it: several concepts have a field, a name or a step. */
  static final class Names extends TypeNameResolver {
    static String of(Class<?> type) {
      Class<?> around = type.getEnclosingClass();
      boolean own = around != null && around.isRecord();
      return own ? of(around) + type.getSimpleName() : type.getSimpleName();
    }

    @Override
    protected String nameForClass(Class<?> type, Set<Options> options) {
      return of(type);
    }
  }

  // The library that writes the description looks at types through its own, older mapper.
  @Bean
  ModelResolver modelResolver() {
    ObjectMapper mapper =
        new ObjectMapper().enable(SerializationFeature.WRITE_ENUMS_USING_TO_STRING);
    return new ModelResolver(mapper, new Names());
  }

  private static void require(Schema<?> schema, @Nullable Class<?> type) {
    if (type == null) {
      return;
    }
    List<String> required = new ArrayList<>();
    for (RecordComponent component : type.getRecordComponents()) {
      if (!component.getAnnotatedType().isAnnotationPresent(Nullable.class)) {
        required.add(component.getName());
      }
    }
    schema.setRequired(required.isEmpty() ? null : required);
  }

  private static Map<String, Class<?>> records() {
    Map<String, Class<?>> byName = new TreeMap<>();
    var scanner =
        new ClassPathScanningCandidateComponentProvider(false) {
          @Override
          protected boolean isCandidateComponent(
              org.springframework.beans.factory.annotation.AnnotatedBeanDefinition definition) {
            return true;
          }
        };
    scanner.addIncludeFilter(new AssignableTypeFilter(Record.class));
    for (var found : scanner.findCandidateComponents("snikra")) {
      try {
        Class<?> type = Class.forName(found.getBeanClassName());
        byName.put(Names.of(type), type);
      } catch (ClassNotFoundException e) {
        throw new IllegalStateException(e);
      }
    }
    return byName;
  }
}
