package snikra.formats;

import java.text.Normalizer;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;
import snikra.core.condition.BoxBook;
import snikra.core.condition.ConditionBook;
import snikra.core.examination.Choices;
import snikra.core.reference.ReferenceShelf;
import snikra.core.specimen.Layout;
import snikra.core.specimen.Technique;
import snikra.core.specimen.Venue;

/** Names of the trade as people write them, and what they stand for on the shelf. */
final class Names {
  /** The feature that tells what a handle is of. */
  static final String HANDLE = "handle_material";

  /** The feature that tells what is written on a knife beside its marks. */
  static final String INSCRIPTION = "inscription";

  /** In a table, that nothing was done to a knife. */
  static final String NOTHING = "nothing";

  private static final Pattern BETWEEN = Pattern.compile("[;,+/]");

  private final Map<String, String> makers = new HashMap<>();
  private final Map<String, String> patterns = new HashMap<>();
  private final Map<String, String> grades = new HashMap<>();
  private final Map<String, String> handles = new HashMap<>();
  private final Map<String, String> boxes = new HashMap<>();
  private final Map<String, String> done = new HashMap<>();
  private final Map<String, String> venues = new HashMap<>();
  private final Map<String, String> texts = new HashMap<>();
  private final Map<String, String> asked = new HashMap<>();
  private final Map<String, String> prices = new HashMap<>();
  private final Map<String, String> countries = new HashMap<>();
  private final Map<String, String> techniques = new HashMap<>();
  private final Map<String, String> layouts = new HashMap<>();

  Names(ReferenceShelf shelf, Map<String, Map<String, List<String>>> shortForms) {
    shelf
        .makers()
        .forEach(
            m -> {
              both(makers, m.name(), m.id());
            });
    shelf
        .patterns()
        .patterns()
        .forEach(
            p -> {
              both(patterns, p.name(), p.id());
              p.alsoCalled().forEach(a -> put(patterns, a.name(), p.id()));
            });
    for (ConditionBook.Grade g : shelf.condition().grades()) {
      both(grades, g.label(), g.id());
    }
    both(handles, shelf, HANDLE);
    both(texts, shelf, INSCRIPTION);
    if (shelf.condition().box() != null) {
      for (BoxBook.Level l : shelf.condition().box().grades()) {
        both(boxes, l.label(), l.id());
      }
    }
    shelf.condition().alterations().forEach(a -> both(done, a.label(), a.id()));
    for (Choices.Choice v : Choices.all().venue()) {
      both(venues, v.label(), v.id());
    }
    shelf.regions().forEach(r -> both(countries, r.label(), r.id()));
    for (Technique t : Technique.values()) {
      put(techniques, "" + t, "" + t);
    }
    for (Layout l : Layout.values()) {
      put(layouts, "" + l, "" + l);
    }
    Map<String, Map<String, String>> by =
        Map.ofEntries(
            Map.entry("grade", grades),
            Map.entry("handle", handles),
            Map.entry("box", boxes),
            Map.entry("done", done),
            Map.entry("venue", venues),
            Map.entry("text", texts),
            Map.entry("asked", asked),
            Map.entry("price", prices),
            Map.entry("country", countries),
            Map.entry("technique", techniques),
            Map.entry("layout", layouts));
    shortForms.forEach(
        (field, all) ->
            all.forEach((id, words) -> words.forEach(w -> by.get(field).put(key(w), id))));
  }

  // A name that stands for two stands for neither: the first is kept.
  private static void put(Map<String, String> names, String name, String id) {
    names.putIfAbsent(key(name), id);
  }

  private static void both(Map<String, String> names, ReferenceShelf shelf, String feature) {
    shelf
        .clues()
        .feature(feature)
        .ifPresent(f -> f.clues().forEach(c -> both(names, c.label(), c.id())));
  }

  // A table we wrote ourselves has ids where another has names.
  private static void both(Map<String, String> names, String name, String id) {
    put(names, name, id);
    put(names, id, id);
  }

  Optional<String> maker(String written) {
    return find(makers, written);
  }

  Optional<String> pattern(String written) {
    return find(patterns, written);
  }

  Optional<String> grade(String written) {
    return find(grades, written);
  }

  Optional<String> handle(String written) {
    return find(handles, written);
  }

  Optional<String> country(String written) {
    return find(countries, written);
  }

  Optional<Technique> technique(String written) {
    return find(techniques, Technique.values(), written);
  }

  Optional<Layout> layout(String written) {
    return find(layouts, Layout.values(), written);
  }

  Optional<String> box(String written) {
    return find(boxes, written);
  }

  /** What was done to a knife; empty where that is told to be nothing. */
  Optional<List<String>> done(String written) {
    List<String> all = new ArrayList<>();
    for (String one : BETWEEN.split(written, -1)) {
      Optional<String> found = find(done, one);
      if (found.isEmpty()) {
        return Optional.empty();
      }
      found.filter(id -> !id.equals(NOTHING)).ifPresent(all::add);
    }
    return Optional.of(all);
  }

  Optional<Venue> venue(String written) {
    return find(venues, Venue.values(), written);
  }

  Optional<String> text(String written) {
    return find(texts, written);
  }

  Optional<Boolean> asked(String written) {
    return find(asked, written).map("asked"::equals);
  }

  /** Whether this in the place of a price says that there is none. */
  boolean isUnsold(String written) {
    return find(prices, written).isPresent();
  }

  private static <T> Optional<T> find(Map<String, String> names, T[] among, String written) {
    return find(names, written)
        .flatMap(id -> Arrays.stream(among).filter(one -> id.equals("" + one)).findFirst());
  }

  private static Optional<String> find(Map<String, String> names, String written) {
    return Optional.ofNullable(names.get(key(written)));
  }

  // The same words in any order are the same name: "bone, jigged" and "jigged bone".
  private static String key(String name) {
    Set<String> words = new TreeSet<>(Arrays.asList(folded(name).split(" ")));
    return String.join(" ", words);
  }

  /** Without case, accents and signs. */
  static String folded(String text) {
    return Normalizer.normalize(text.toLowerCase(Locale.ROOT), Normalizer.Form.NFD)
        .replaceAll("\\p{M}|['\u2019]", "")
        .replaceAll("[^\\p{L}\\p{N}]+", " ")
        .strip();
  }
}
