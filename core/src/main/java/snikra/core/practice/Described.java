package snikra.core.practice;

import java.util.Map;

/**
 * A knife as a collector would describe it.
 *
 * @param found what is not sound, by point of the condition book; of the second blade with {@code
 *     2.} before it
 * @param grades what someone of each habit gives it, by school
 */
public record Described(String what, Map<String, String> found, Map<String, String> grades) {
  public Described {
    found = Map.copyOf(found);
    grades = Map.copyOf(grades);
  }
}
