package snikra.formats;

import java.util.Map;
import org.jspecify.annotations.Nullable;
import snikra.core.specimen.Seen;
import snikra.core.specimen.Sureness;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.databind.BeanProperty;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.JavaType;
import tools.jackson.databind.ValueDeserializer;

/**
 * Reads something looked at: with how surely it was seen, or bare, as knives were kept before that
 * could be told of everything. A bare value was seen surely.
 */
final class SeenReader extends ValueDeserializer<Seen<?>> {
  private final @Nullable JavaType valueType;

  SeenReader(@Nullable JavaType valueType) {
    this.valueType = valueType;
  }

  @Override
  public ValueDeserializer<?> createContextual(DeserializationContext context, BeanProperty at) {
    return new SeenReader(context.getContextualType().containedType(0));
  }

  @Override
  public Seen<?> deserialize(JsonParser p, DeserializationContext context) {
    if (!p.isExpectedStartObjectToken()) {
      String cannot = Sureness.CANNOT_TELL.toString();
      return p.hasToken(JsonToken.VALUE_STRING) && p.getString().equals(cannot)
          ? new Seen<>(null, Sureness.CANNOT_TELL)
          : Seen.sure(value(p, context));
    }
    Object value = null;
    Sureness sureness = Sureness.SURE;
    Map<String, Double> or = null;
    while (p.nextToken() == JsonToken.PROPERTY_NAME) {
      String field = p.currentName();
      p.nextToken();
      if (field.equals("value")) {
        value = value(p, context);
      } else if (field.equals("or")) {
        or =
            context.readValue(
                p,
                context.getTypeFactory().constructMapType(Map.class, String.class, Double.class));
      } else {
        sureness = context.readValue(p, Sureness.class);
      }
    }
    return new Seen<>(value, sureness, or);
  }

  private Object value(JsonParser p, DeserializationContext context) {
    return context.readValue(p, valueType);
  }
}
