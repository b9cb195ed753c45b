package snikra.server.http;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.snakeyaml.engine.v2.api.Load;
import org.snakeyaml.engine.v2.api.LoadSettings;

/** The requests of {@code docs/formats/requests.yaml}: one for each operation, and more. */
final class Requests {
  static final Path DOCS = Path.of("..", "docs", "formats");

  private Requests() {}

  /**
   * One of them.
   *
   * @param target path and query, with what is kept from earlier answers as {name}
   * @param step what else the file says of it
   */
  record Request(String method, String target, Map<?, ?> step) {
    int status() {
      return step.get("is") instanceof Integer is ? is : 200;
    }

    @Nullable Object of(String field) {
      return step.get(field);
    }

    String path() {
      return target.split("\\?", 2)[0];
    }

    /** What its query says, by name. */
    Map<String, List<String>> query() {
      String[] parts = target.split("\\?", 2);
      return parts.length == 1
          ? Map.of()
          : Arrays.stream(parts[1].split("&", -1))
              .map(p -> p.split("=", 2))
              .collect(
                  Collectors.groupingBy(
                      p -> p[0],
                      LinkedHashMap::new,
                      Collectors.mapping(p -> p[1], Collectors.toList())));
    }

    /** What stands in its path where the path of an operation has a name. */
    Map<String, String> inPath(String operation) {
      String[] names = operation.split("/", -1);
      String[] given = path().split("/", -1);
      return IntStream.range(0, names.length)
          .filter(i -> names[i].startsWith("{"))
          .boxed()
          .collect(
              Collectors.toMap(i -> names[i].substring(1, names[i].length() - 1), i -> given[i]));
    }

    private boolean fits(String operation) {
      String[] names = operation.split("/", -1);
      String[] given = path().split("/", -1);
      return names.length == given.length
          && IntStream.range(0, names.length)
              .allMatch(i -> names[i].startsWith("{") || names[i].equals(given[i]));
    }

    /** Which of these operations it asks for: the one that says most of its path. */
    Optional<String> operation(List<String> paths) {
      return paths.stream()
          .filter(this::fits)
          .min(Comparator.comparingLong(p -> p.chars().filter(c -> c == '{').count()));
    }
  }

  /** All of them, in their order. */
  static List<Request> all() {
    List<Request> all = new ArrayList<>();
    try (InputStream in = Files.newInputStream(DOCS.resolve("requests.yaml"))) {
      Object file = new Load(LoadSettings.builder().build()).loadFromInputStream(in);
      for (Object one : (List<?>) file) {
        Map<?, ?> step = (Map<?, ?>) one;
        String[] sent = ("" + step.get("do")).split(" ", 2);
        all.add(new Request(sent[0].toUpperCase(Locale.ROOT), sent[1], step));
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return all;
  }
}
