package snikra.core.pattern;

import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;

/** By which answers of the clue book the pulls of the book, and of each pattern, are seen. */
final class Pulls {
  private final Map<String, Set<String>> any = new HashMap<>();
  private final Map<String, Map<String, Set<String>>> byPattern = new HashMap<>();

  Pulls(PatternBook book) {
    book.pulls().forEach(pull -> add(pull, any));
    for (Pattern pattern : book.patterns()) {
      Map<String, Set<String>> own = new HashMap<>();
      book.pulls().stream()
          .filter(pull -> pattern.pulls().contains(pull.id()))
          .forEach(pull -> add(pull, own));
      byPattern.put(pattern.id(), own);
    }
  }

  private static void add(Pull pull, Map<String, Set<String>> to) {
    pull.shownBy()
        .forEach(
            (feature, answers) ->
                to.computeIfAbsent(feature, f -> new HashSet<>()).addAll(answers));
  }

  /** By feature the answers that mean any pull. */
  Map<String, Set<String>> any() {
    return any;
  }

  /** Answers to a feature that mean a pull of this pattern. */
  Set<String> of(Pattern pattern, String feature) {
    return byPattern.getOrDefault(pattern.id(), Map.of()).getOrDefault(feature, Set.of());
  }
}
