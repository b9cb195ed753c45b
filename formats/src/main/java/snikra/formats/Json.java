package snikra.formats;

import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.core.JsonFactory;
import com.fasterxml.jackson.core.JsonGenerator;
import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.StreamReadConstraints;
import com.fasterxml.jackson.databind.DeserializationContext;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.JsonDeserializer;
import com.fasterxml.jackson.databind.JsonSerializer;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.SerializationFeature;
import com.fasterxml.jackson.databind.SerializerProvider;
import com.fasterxml.jackson.databind.cfg.MapperBuilder;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.module.SimpleModule;
import com.fasterxml.jackson.dataformat.yaml.YAMLFactory;
import com.fasterxml.jackson.dataformat.yaml.YAMLMapper;
import java.io.IOException;
import java.util.function.Function;
import org.yaml.snakeyaml.LoaderOptions;
import snikra.core.measure.Length;
import snikra.core.measure.Measurement;
import snikra.core.provenance.EdtfDate;
import snikra.core.specimen.Seen;

/** Mappers between the core's records and JSON or YAML: no record carries an annotation for it. */
public final class Json {
  private static final int MOST_TEXT = 3_000_000;
  private static final int MOST_DEPTH = 40;
  private static final int MOST_YAML = 20_000_000;

  private static final ObjectMapper JSON = configured(JsonMapper.builder(json())).build();
  private static final ObjectMapper YAML = configured(YAMLMapper.builder(yaml())).build();

  private Json() {}

  /** The mapper for JSON. Nulls are left out. */
  public static ObjectMapper mapper() {
    return JSON;
  }

  static ObjectMapper yamlMapper() {
    return YAML;
  }

  private static JsonFactory json() {
    return JsonFactory.builder().streamReadConstraints(limits()).build();
  }

  private static YAMLFactory yaml() {
    return YAMLFactory.builder()
        .streamReadConstraints(limits())
        .loaderOptions(yamlLimits())
        .build();
  }

  private static StreamReadConstraints limits() {
    return StreamReadConstraints.builder()
        .maxStringLength(MOST_TEXT)
        .maxNestingDepth(MOST_DEPTH)
        .build();
  }

  // No aliases: a pack has no use for them, and they are how a small file becomes a huge one.
  static LoaderOptions yamlLimits() {
    LoaderOptions limits = new LoaderOptions();
    limits.setMaxAliasesForCollections(0);
    limits.setNestingDepthLimit(MOST_DEPTH);
    limits.setCodePointLimit(MOST_YAML);
    limits.setAllowDuplicateKeys(false);
    return limits;
  }

  private static <M extends ObjectMapper, B extends MapperBuilder<M, B>>
      MapperBuilder<M, B> configured(B builder) {
    return builder
        .addModule(texts())
        .defaultPropertyInclusion(
            JsonInclude.Value.construct(JsonInclude.Include.NON_NULL, JsonInclude.Include.ALWAYS))
        .enable(SerializationFeature.WRITE_ENUMS_USING_TO_STRING)
        .enable(DeserializationFeature.READ_ENUMS_USING_TO_STRING)
        .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
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
        new JsonDeserializer<T>() {
          @Override
          public T deserialize(JsonParser p, DeserializationContext context) throws IOException {
            return read.apply(p.getValueAsString());
          }
        });
    module.addSerializer(
        type,
        new JsonSerializer<T>() {
          @Override
          public void serialize(T value, JsonGenerator out, SerializerProvider provider)
              throws IOException {
            out.writeString(write.apply(value));
          }
        });
  }
}
