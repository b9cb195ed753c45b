package snikra.formats;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.util.function.Function;
import org.snakeyaml.engine.v2.api.LoadSettings;
import snikra.core.measure.Length;
import snikra.core.measure.Measurement;
import snikra.core.provenance.EdtfDate;
import snikra.core.specimen.Seen;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.JsonParser;
import tools.jackson.core.StreamReadConstraints;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.core.StreamWriteFeature;
import tools.jackson.core.json.JsonFactory;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.MapperFeature;
import tools.jackson.databind.ObjectMapper;
import tools.jackson.databind.SerializationContext;
import tools.jackson.databind.ValueDeserializer;
import tools.jackson.databind.ValueSerializer;
import tools.jackson.databind.cfg.EnumFeature;
import tools.jackson.databind.cfg.MapperBuilder;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.module.SimpleModule;
import tools.jackson.dataformat.yaml.YAMLFactory;
import tools.jackson.dataformat.yaml.YAMLMapper;

/** Mappers between the core's records and JSON or YAML: no record carries an annotation for it. */
public final class Json {
  private static final int MOST_TEXT = 3_000_000;
  private static final int MOST_DEPTH = 40;
  private static final int MOST_YAML = 20_000_000;

  /** The largest pack that was made has a quarter of it. */
  private static final int MOST_TOKENS = 400_000;

  private static final JsonMapper JSON = configured(JsonMapper.builder(json())).build();
  private static final ObjectMapper YAML = configured(YAMLMapper.builder(yaml())).build();

  private Json() {}

  /** The mapper for JSON. Nulls are left out. */
  public static JsonMapper mapper() {
    return JSON;
  }

  static ObjectMapper yamlMapper() {
    return YAML;
  }

  private static JsonFactory json() {
    return JsonFactory.builder()
        .streamReadConstraints(limits())
        .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
        .enable(StreamWriteFeature.USE_FAST_DOUBLE_WRITER)
        .build();
  }

  private static YAMLFactory yaml() {
    return YAMLFactory.builder().streamReadConstraints(limits()).loadSettings(yamlLimits()).build();
  }

  private static StreamReadConstraints limits() {
    return StreamReadConstraints.builder()
        .maxStringLength(MOST_TEXT)
        .maxNestingDepth(MOST_DEPTH)
        .maxTokenCount(MOST_TOKENS)
        .build();
  }

  // No aliases: a pack has no use for them, and they are how a small file becomes a huge one.
  static LoadSettings yamlLimits() {
    return LoadSettings.builder()
        .setMaxAliasesForCollections(0)
        .setCodePointLimit(MOST_YAML)
        .setAllowDuplicateKeys(false)
        .build();
  }

  private static <M extends ObjectMapper, B extends MapperBuilder<M, B>> B configured(B builder) {
    return builder
        .addModule(texts())
        .changeDefaultPropertyInclusion(
            inclusion -> inclusion.withValueInclusion(JsonInclude.Include.NON_NULL))
        .disable(MapperFeature.SORT_PROPERTIES_ALPHABETICALLY)
        .enable(EnumFeature.WRITE_ENUMS_USING_TO_STRING)
        .enable(EnumFeature.READ_ENUMS_USING_TO_STRING)
        .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
        .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
        .disable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
        .enable(DeserializationFeature.USE_BIG_DECIMAL_FOR_FLOATS);
  }

  private static SimpleModule texts() {
    SimpleModule module = new SimpleModule();
    asText(module, Length.class, Length::parse, Length::written);
    asText(module, Measurement.class, Measurement::parse, Measurement::written);
    asText(module, EdtfDate.class, EdtfDate::parse, EdtfDate::written);
    module.addDeserializer(Seen.class, new SeenReader(null));
    return module;
  }

  private static <T> void asText(
      SimpleModule module, Class<T> type, Function<String, T> read, Function<T, String> write) {
    module.addDeserializer(
        type,
        new ValueDeserializer<T>() {
          @Override
          public T deserialize(JsonParser p, DeserializationContext context) {
            return read.apply(p.getValueAsString());
          }
        });
    module.addSerializer(
        type,
        new ValueSerializer<T>() {
          @Override
          public void serialize(T value, JsonGenerator out, SerializationContext context) {
            out.writeString(write.apply(value));
          }
        });
  }
}
