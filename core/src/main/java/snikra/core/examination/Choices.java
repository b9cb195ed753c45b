package snikra.core.examination;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;

/**
 * What can be chosen where the answers are fixed by the format, in the words of a collector and in
 * the order in which it is offered. They stand in one file, {@code choices.properties}.
 *
 * @param end of the handle at which a blade turns
 * @param presses how many springs a blade bears on
 * @param side where a blade lies among its neighbours
 * @param spring which a blade works against
 * @param share how likely a second answer is beside the first
 * @param technique how a mark was put on
 * @param layout how its first line runs
 * @param face of a blade that can be marked
 * @param faceState what a face showed
 * @param sought what was looked for and not found
 * @param duty whether a hallmark has the head of the duty
 * @param story what happened to a knife
 * @param source who says so
 * @param sourceKind what a fact on file is known from
 * @param venue where a knife is sold
 */
public record Choices(
    List<Choice> end,
    List<Choice> presses,
    List<Choice> side,
    List<Choice> spring,
    List<Choice> share,
    List<Choice> technique,
    List<Choice> layout,
    List<Choice> face,
    List<Choice> faceState,
    List<Choice> sought,
    List<Choice> duty,
    List<Choice> story,
    List<Choice> source,
    List<Choice> sourceKind,
    List<Choice> venue) {

  /** One answer and what it is called. */
  public record Choice(String id, String label) {}

  /** All there are. */
  public static Choices all() {
    Map<String, List<Choice>> lists = load();
    return new Choices(
        of(lists, "end"),
        of(lists, "presses"),
        of(lists, "side"),
        of(lists, "spring"),
        of(lists, "share"),
        of(lists, "technique"),
        of(lists, "layout"),
        of(lists, "face"),
        of(lists, "face-state"),
        of(lists, "sought"),
        of(lists, "duty"),
        of(lists, "story"),
        of(lists, "source"),
        of(lists, "source-kind"),
        of(lists, "venue"));
  }

  private static List<Choice> of(Map<String, List<Choice>> lists, String name) {
    return List.copyOf(lists.getOrDefault(name, List.of()));
  }

  // Read by lines: the order in which they stand is the order in which they are offered.
  private static Map<String, List<Choice>> load() {
    Map<String, List<Choice>> lists = new LinkedHashMap<>();
    try (InputStream in =
            Objects.requireNonNull(Choices.class.getResourceAsStream("choices.properties"));
        BufferedReader lines =
            new BufferedReader(new InputStreamReader(in, StandardCharsets.UTF_8))) {
      lines
          .lines()
          .filter(line -> !line.startsWith("#"))
          .forEach(
              line -> {
                int named = line.indexOf('.');
                int told = line.indexOf('=');
                lists
                    .computeIfAbsent(line.substring(0, named), name -> new ArrayList<>())
                    .add(new Choice(line.substring(named + 1, told), line.substring(told + 1)));
              });
      return lists;
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
