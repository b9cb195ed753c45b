package snikra.core.examination;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;

/** Where a collector looks, in the order of the work. */
public enum Station {
  PATTERN("Pattern", "1", true),
  BLADES("Blades", "2", true),
  MARKS("Marks", "3", false),
  NUMBER("Number", "4", false),
  SHIELD("Shield", "5", false),
  HANDLE("Handle", "6", false),
  FRAME("Frame", "7", false),
  TOOLS("Tools", "8", false),
  ACTION("Action", "9", false),
  BOX("Box", "0", false),
  CONDITION("Condition", "C", false),
  CARE("Care", "E", false),
  STORY("Story", "S", false),
  VALUE("Value", "V", false);

  private final String label;
  private final String key;
  private final boolean drawnLarge;

  Station(String label, String key, boolean drawnLarge) {
    this.label = label;
    this.key = key;
    this.drawnLarge = drawnLarge;
  }

  /** As it is written on the rule. */
  public String label() {
    return label;
  }

  /** The key that leads there. */
  public String key() {
    return key;
  }

  /** Whether one works with the drawing: elsewhere it makes room for the answers. */
  public boolean isDrawnLarge() {
    return drawnLarge;
  }

  @Override
  public String toString() {
    return name().toLowerCase(Locale.ROOT);
  }

  /** By what they are called in books and formats, in working order. */
  public static List<String> ids() {
    return Arrays.stream(values()).map(Station::toString).toList();
  }
}
