package snikra.server.http;

import java.math.BigDecimal;
import java.util.Arrays;
import java.util.Collection;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import snikra.core.examination.Problem;
import snikra.formats.Accepted;
import snikra.formats.Json;
import tools.jackson.core.JacksonException;
import tools.jackson.core.exc.StreamReadException;
import tools.jackson.databind.exc.InvalidFormatException;
import tools.jackson.databind.exc.InvalidNullException;
import tools.jackson.databind.exc.MismatchedInputException;
import tools.jackson.databind.exc.UnrecognizedPropertyException;

/** Why a body could not be read: the field, what was given and what is accepted. */
final class Unread {
  private Unread() {}

  static Problem because(@Nullable Throwable cause) {
    if (cause instanceof UnrecognizedPropertyException e) {
      return new Problem(path(e), e.getPropertyName(), Accepted.LEFT_OUT);
    }
    if (cause instanceof InvalidNullException e) {
      return new Problem(path(e), "nothing", Accepted.GIVEN);
    }
    if (cause instanceof InvalidFormatException e) {
      boolean isText = e.getTargetType() == String.class;
      String given = isText ? Json.mapper().writeValueAsString(e.getValue()) : "" + e.getValue();
      return new Problem(
          path(e),
          Accepted.shown(given),
          isText ? Accepted.SEEN_TEXT : accepted(e.getTargetType()));
    }
    if (cause instanceof MismatchedInputException e) {
      return new Problem(path(e), "something else", accepted(e.getTargetType()));
    }
    if (cause instanceof StreamReadException e && e.getPath().isEmpty()) {
      return new Problem("line " + e.getLocation().getLineNr(), "something else", Accepted.JSON);
    }
    return cause instanceof JacksonException e
        ? new Problem(path(e), "something else", "must be a value that fits the field")
        : new Problem("the whole", "nothing", "must be a JSON object");
  }

  private static String path(JacksonException e) {
    StringBuilder path = new StringBuilder();
    for (JacksonException.Reference step : e.getPath()) {
      if (step.getPropertyName() == null) {
        path.append('[').append(step.getIndex()).append(']');
      } else {
        path.append(path.isEmpty() ? "" : ".").append(step.getPropertyName());
      }
    }
    return path.isEmpty() ? "the whole" : path.toString();
  }

  private static String accepted(@Nullable Class<?> type) {
    if (type == null) {
      return "must be a value that fits the field";
    }
    if (type.isEnum()) {
      return Arrays.stream(type.getEnumConstants())
          .map(Object::toString)
          .collect(Collectors.joining(", ", "must be one of ", ""));
    }
    if (type == boolean.class || type == Boolean.class) {
      return Accepted.type("boolean");
    }
    if (type == double.class || type == Double.class || type == BigDecimal.class) {
      return Accepted.type("number");
    }
    if (type.isPrimitive() || Number.class.isAssignableFrom(type)) {
      return Accepted.type("integer");
    }
    if (type == String.class) {
      return Accepted.type("string");
    }
    return Accepted.type(Collection.class.isAssignableFrom(type) ? "array" : "object");
  }
}
