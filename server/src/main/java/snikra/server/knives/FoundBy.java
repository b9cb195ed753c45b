package snikra.server.knives;

import jakarta.servlet.http.HttpServletRequest;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import snikra.core.examination.Problem;
import snikra.core.search.Facet;
import snikra.formats.InvalidInput;

/**
 * What knives are looked for by.
 *
 * @param words plain words; years, lengths, prices and named facets are understood
 * @param ticked values by facet: of each any one will do
 */
public record FoundBy(String words, Map<Facet, Set<String>> ticked) {
  static final int MOST_LETTERS = 200;
  static final int MOST_TICKED = 100;

  /**
   * As a request asks for it, by what it ticks as {@code in}.
   *
   * @throws InvalidInput when it is too much, or a facet is not known
   */
  public static FoundBy asked(String words, HttpServletRequest request) {
    return of(words, Objects.requireNonNullElse(request.getParameterValues("in"), new String[0]));
  }

  /**
   * As it was asked for.
   *
   * @param in what is ticked, as facet:value
   * @throws InvalidInput when it is too much, or a facet is not known
   */
  public static FoundBy of(String words, String[] in) {
    if (words.length() > MOST_LETTERS) {
      throw refused("q", words.substring(0, MOST_LETTERS), "at most " + MOST_LETTERS + " letters");
    }
    if (in.length > MOST_TICKED) {
      throw refused("in", in.length + " values", "at most " + MOST_TICKED + " values");
    }
    Map<Facet, Set<String>> ticked = new EnumMap<>(Facet.class);
    for (String tick : in) {
      int colon = tick.indexOf(':');
      Facet facet =
          Arrays.stream(Facet.values())
              .filter(f -> colon > 0 && f.toString().equals(tick.substring(0, colon)))
              .findFirst()
              .orElseThrow(
                  () ->
                      refused(
                          "in",
                          tick,
                          "facet:value with one of " + Arrays.toString(Facet.values())));
      ticked.computeIfAbsent(facet, f -> new HashSet<>()).add(tick.substring(colon + 1));
    }
    return new FoundBy(words, ticked);
  }

  private static InvalidInput refused(String field, String given, String accepted) {
    return new InvalidInput(List.of(new Problem(field, given, accepted)));
  }
}
