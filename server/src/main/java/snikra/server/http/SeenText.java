package snikra.server.http;

import snikra.formats.Accepted;
import snikra.formats.NoField;
import tools.jackson.core.JsonParser;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.deser.jdk.StringDeserializer;
import tools.jackson.databind.exc.InvalidFormatException;

/** Reads texts that are sent; one with characters nobody can see is refused. */
public final class SeenText extends StringDeserializer {
  @Override
  public String deserialize(JsonParser from, DeserializationContext context) {
    String text = super.deserialize(from, context);
    if (text != null && NoField.isUnseen(text)) {
      throw InvalidFormatException.from(from, Accepted.SEEN_TEXT, text, String.class);
    }
    return text;
  }
}
