package snikra.formats;

import java.util.Map;

/** What is accepted, as it is told wherever a field is refused. */
public final class Accepted {
  /** Of a field that is missing. */
  public static final String GIVEN = "must be given";

  /** Of a field no format has there. */
  public static final String LEFT_OUT = "must be left out: the format has no such field here";

  /** Of what cannot be read at all. */
  public static final String JSON = "must be JSON";

  /** Of a text with characters nobody can see. */
  public static final String SEEN_TEXT = "must be text without control characters";

  private static final int SHOWN = 60;
  private static final Map<String, String> TYPES =
      Map.of(
          "integer", "a whole number",
          "number", "a number",
          "string", "text",
          "boolean", "true or false",
          "array", "a list",
          "object", "a group of fields");

  private Accepted() {}

  /** Of a field of another type than this one, which is named as a schema names it. */
  public static String type(String name) {
    return "must be " + TYPES.getOrDefault(name, name);
  }

  /** What was given, of which the beginning is enough. */
  public static String shown(String given) {
    return given.length() <= SHOWN
        ? given
        : given.substring(0, SHOWN) + "\u2026 (" + given.length() + " characters)";
  }
}
