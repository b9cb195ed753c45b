package snikra.server.http;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.SerializationFeature;
import io.swagger.v3.core.jackson.ModelResolver;
import io.swagger.v3.core.jackson.TypeNameResolver;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.media.StringSchema;
import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.springdoc.core.customizers.OpenApiCustomizer;
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
      api.setInfo(new Info().title("Snikra").version("1"));
      api.setServers(null);
      Map<String, Class<?>> records = records();
      api.getComponents()
          .getSchemas()
          .forEach(
              (name, schema) -> require(schema, records.getOrDefault(name, of(name, records))));
      api.getComponents().setSchemas(new TreeMap<>(api.getComponents().getSchemas()));
    };
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
