package snikra.core.induction;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Numbers of one shape: letters in front and behind that some may lack, and between them places
 * that all have, some of them only parting the others.
 */
final class NumberShape {
  private static final Pattern BUILT =
      Pattern.compile("(\\p{L}{0,2})([0-9](?:.*[0-9])?)(\\p{L}{0,2})");
  private static final int LONGEST = 12;

  /** Places of the examples that have this shape. */
  final List<Integer> of = new ArrayList<>();

  /** Places of the others. */
  final List<Integer> unlike = new ArrayList<>();

  private final List<String> fronts = new ArrayList<>();
  private final List<String> cores = new ArrayList<>();
  private final List<String> backs = new ArrayList<>();

  /** The shape most of them have. */
  NumberShape(List<String> numbers) {
    Map<String, Integer> shapes = new TreeMap<>();
    List<Matcher> built = new ArrayList<>();
    for (String number : numbers) {
      Matcher m = BUILT.matcher(number.toUpperCase(Locale.ROOT).replaceAll("\\s+", ""));
      boolean fits = m.matches() && m.group(2).length() <= LONGEST;
      built.add(m);
      shapes.merge(fits ? shape(m.group(2)) : "", 1, Integer::sum);
    }
    shapes.remove("");
    String usual =
        shapes.entrySet().stream()
            .max(Map.Entry.comparingByValue())
            .map(Map.Entry::getKey)
            .orElse("");
    int front = usualLength(built, usual, 1);
    int back = usualLength(built, usual, 3);
    for (int i = 0; i < built.size(); i++) {
      Matcher m = built.get(i);
      if (m.matches()
          && shape(m.group(2)).equals(usual)
          && (m.group(1).isEmpty() || m.group(1).length() == front)
          && (m.group(3).isEmpty() || m.group(3).length() == back)) {
        of.add(i);
        fronts.add(m.group(1));
        cores.add(m.group(2));
        backs.add(m.group(3));
      } else {
        unlike.add(i);
      }
    }
  }

  private static int usualLength(List<Matcher> built, String usual, int group) {
    Map<Integer, Integer> lengths = new HashMap<>();
    for (Matcher m : built) {
      if (m.matches() && shape(m.group(2)).equals(usual) && !m.group(group).isEmpty()) {
        lengths.merge(m.group(group).length(), 1, Integer::sum);
      }
    }
    return lengths.entrySet().stream()
        .max(Map.Entry.comparingByValue())
        .map(Map.Entry::getKey)
        .orElse(0);
  }

  // Figures are figures, letters letters, and what is neither is itself.
  private static String shape(String core) {
    return core.replaceAll("[0-9]", "9").replaceAll("\\p{L}", "A");
  }

  /** How many places are between front and back. */
  int places() {
    return cores.isEmpty() ? 0 : cores.get(0).length();
  }

  /** Whether a place only parts its neighbours. */
  boolean parts(int place) {
    return !Character.isLetterOrDigit(cores.get(0).charAt(place));
  }

  /** What stands in these places, number by number. */
  List<String> between(int from, int to) {
    return cores.stream().map(c -> c.substring(from, to)).toList();
  }

  /** How many different codes these places have room for. */
  double room(int from, int to) {
    double room = 1;
    for (int i = from; i < to; i++) {
      room *= Character.isDigit(cores.get(0).charAt(i)) ? 10 : 26;
    }
    return room;
  }

  /** What stands in front, number by number. */
  List<String> front() {
    return fronts;
  }

  /** What stands behind. */
  List<String> back() {
    return backs;
  }
}
