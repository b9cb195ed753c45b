package snikra.benchmarks;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import snikra.core.reference.MarkVariant;

/**
 * Readings of worn marks, made from marks on file: letters lost, some misread for one they are
 * confused with, some doubtful; now and then a line ground away, or a stretch of unknown length at
 * the end of one.
 */
final class WornReadings {
  private static final double MISREAD = 0.04;
  private static final double DOUBTFUL = 0.15;
  private static final double MISREAD_OF_DOUBTFUL = 0.25;
  private static final double LINE_GROUND_AWAY = 0.1;
  private static final double STRETCH = 0.15;

  private final Map<Character, String> confusions;
  private final Random random = new Random(1871);

  WornReadings(Map<Character, String> confusions) {
    this.confusions = confusions;
  }

  /** The lines of a mark as read when this share of its letters is lost. */
  List<String> of(MarkVariant mark, double lost) {
    List<String> lines = new ArrayList<>();
    for (String line : mark.lines()) {
      boolean away =
          random.nextDouble() < LINE_GROUND_AWAY && lines.size() + 1 < mark.lines().size();
      if (!away) {
        lines.add(worn(line, lost));
      }
    }
    return lines;
  }

  private String worn(String line, double lost) {
    StringBuilder read = new StringBuilder();
    for (char c : line.toCharArray()) {
      if (c == ' ') {
        read.append(c);
      } else if (random.nextDouble() < lost) {
        read.append('_');
      } else {
        boolean doubtful = random.nextDouble() < DOUBTFUL;
        boolean wrong = random.nextDouble() < (doubtful ? MISREAD_OF_DOUBTFUL : MISREAD);
        read.append(wrong ? misread(c) : c).append(doubtful ? "?" : "");
      }
    }
    String text = read.toString();
    boolean stretch = text.endsWith("_") && random.nextDouble() < STRETCH;
    return stretch ? text.replaceFirst("_+$", "*") : text;
  }

  private char misread(char c) {
    String taken = confusions.getOrDefault(c, "");
    boolean any = taken.isEmpty() || random.nextInt(10) == 0;
    return any ? (char) ('A' + random.nextInt(26)) : taken.charAt(random.nextInt(taken.length()));
  }
}
