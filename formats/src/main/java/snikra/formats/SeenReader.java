package snikra.formats;

import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.JsonToken;
import com.fasterxml.jackson.databind.BeanProperty;
import com.fasterxml.jackson.databind.DeserializationContext;
import com.fasterxml.jackson.databind.JavaType;
import com.fasterxml.jackson.databind.JsonDeserializer;
import com.fasterxml.jackson.databind.deser.ContextualDeserializer;
import java.io.IOException;
import org.jspecify.annotations.Nullable;
import snikra.core.specimen.Seen;
import snikra.core.specimen.Sureness;

/**
 * Reads something looked at: with how surely it was seen, or bare, as knives were kept before that
 * could be told of everything. A bare value was seen surely.
 */
final class SeenReader extends JsonDeserializer<Seen<?>> implements ContextualDeserializer {
  private final @Nullable JavaType valueType;

  SeenReader(@Nullable JavaType valueType) {
    this.valueType = valueType;
  }

  @Override
  public JsonDeserializer<?> createContextual(DeserializationContext context, BeanProperty at) {
    return new SeenReader(context.getContextualType().containedType(0));
  }

  @Override
  public Seen<?> deserialize(JsonParser p, DeserializationContext context) throws IOException {
    if (!p.isExpectedStartObjectToken()) {
      String cannot = Sureness.CANNOT_TELL.toString();
      return p.hasToken(JsonToken.VALUE_STRING) && p.getText().equals(cannot)
          ? new Seen<>(null, Sureness.CANNOT_TELL)
          : Seen.sure(value(p, context));
    }
    Object value = null;
    Sureness sureness = Sureness.SURE;
    while (p.nextToken() == JsonToken.FIELD_NAME) {
      boolean isValue = p.currentName().equals("value");
      p.nextToken();
      if (isValue) {
        value = value(p, context);
      } else {
        sureness = context.readValue(p, Sureness.class);
      }
    }
    return new Seen<>(value, sureness);
  }

  private Object value(JsonParser p, DeserializationContext context) throws IOException {
    return context.readValue(p, valueType);
  }
}
