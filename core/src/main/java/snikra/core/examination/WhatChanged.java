package snikra.core.examination;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import snikra.core.clue.Clue;
import snikra.core.condition.ConditionBook;
import snikra.core.dating.DatingVerdict;
import snikra.core.dating.DatingVerdict.ClueInfluence;
import snikra.core.measure.Measurement;
import snikra.core.pattern.BladeType;
import snikra.core.pattern.BolsterLayout;
import snikra.core.pattern.Frame;
import snikra.core.reference.ReferenceShelf;
import snikra.core.specimen.Seen;
import snikra.core.specimen.SeenBlade;
import snikra.core.specimen.SeenFace;
import snikra.core.specimen.Sought;
import snikra.core.specimen.Specimen;
import snikra.core.specimen.Sureness;
import snikra.core.wording.Wording;

/** What is known of a knife that was not known before, in words, and what that did. */
public final class WhatChanged {
  private static final double TELLING_BITS = 0.05;
  private static final int MOST_REASONS = 4;
  private static final String MARKS = "marks";
  private static final Set<String> BY_STATION = Set.of(MARKS, "number", "story");

  private final ReferenceShelf shelf;
  private final Map<String, Line> lines = new LinkedHashMap<>();

  private WhatChanged(ReferenceShelf shelf) {
    this.shelf = shelf;
  }

  /**
   * One thing that is known otherwise than before.
   *
   * @param feature by which the clues that rest on it are known
   * @param before null where it was not looked at
   * @param after null where it is taken back
   */
  public record Learned(
      String feature, String label, @Nullable String before, @Nullable String after) {}

  private record Line(String feature, String label, String text) {}

  /** Everything that differs, in working order. */
  public static List<Learned> between(Specimen before, Specimen after, ReferenceShelf shelf) {
    Map<String, Line> then = new WhatChanged(shelf).read(before);
    Map<String, Line> now = new WhatChanged(shelf).read(after);
    List<Learned> out = new ArrayList<>();
    now.forEach(
        (key, line) -> {
          Line old = then.get(key);
          if (old == null || !old.text.equals(line.text)) {
            out.add(
                new Learned(line.feature, line.label, old == null ? null : old.text, line.text));
          }
        });
    then.forEach(
        (key, line) -> {
          if (!now.containsKey(key)) {
            out.add(new Learned(line.feature, line.label, line.text, null));
          }
        });
    return out;
  }

  /** What the changes did to the date, most first, in sentences. */
  public static List<String> because(List<Learned> changes, DatingVerdict after) {
    Set<String> changed = changes.stream().map(Learned::feature).collect(Collectors.toSet());
    Stream<String> mark =
        after.makers().stream()
            .limit(changed.contains(MARKS) ? 1 : 0)
            .filter(m -> m.maker() != null)
            .map(
                m ->
                    "The mark is that of "
                        + m.label()
                        + ", "
                        + Wording.percent(m.probability())
                        + ".");
    Stream<String> clues =
        after.clues().stream()
            .filter(c -> c.bits() >= TELLING_BITS && changed.contains(feature(c)))
            .map(WhatChanged::sentence);
    return Stream.concat(mark, clues).limit(MOST_REASONS).toList();
  }

  // Words on a tang, events and numbers speak as statements of their station.
  private static String feature(ClueInfluence c) {
    return BY_STATION.contains(c.station()) ? c.station() : c.feature();
  }

  private static String sentence(ClueInfluence c) {
    int years = Math.abs(c.medianShift());
    String moved =
        years == 0
            ? "the years are surer"
            : years
                + (years == 1 ? " year " : " years ")
                + (c.medianShift() > 0 ? "later" : "earlier");
    return (c.label() + ", " + Wording.lowerFirst(c.value()) + ": " + moved + ". " + c.why())
        .strip();
  }

  private Map<String, Line> read(Specimen knife) {
    var patterns = shelf.patterns();
    put("frame", "Outline", knife.frame(), id -> patterns.frame(id).map(Frame::name).orElse(id));
    put("bolsters", "Bolsters", knife.bolsters(), this::bolsters);
    put("springs", "Springs", knife.springs(), String::valueOf);
    if (knife.closedLength() != null) {
      put("length", "Closed length", knife.closedLength().written());
    }
    for (int b = 0; b < knife.blades().size(); b++) {
      blade(b, knife.blades().get(b));
    }
    knife.marks().forEach(this::face);
    numbers(knife);
    new TreeMap<>(knife.seen()).forEach((id, seen) -> put(id, label(id), seen, v -> answer(id, v)));
    new TreeMap<>(knife.condition()).forEach(this::condition);
    new TreeMap<>(knife.measured())
        .forEach((id, read) -> put(id, quantity(id), read, Measurement::written));
    put(
        "story",
        "Story",
        knife.story(),
        e -> e.kind() + (e.date() == null ? "" : " " + e.date().written()));
    put("comparables", "Sales of like knives", knife.comparables(), s -> s.described());
    return lines;
  }

  private void blade(int place, SeenBlade blade) {
    String at = "blades[" + place + "]";
    String name = place == 0 ? "Main blade" : "Blade " + (place + 1);
    if (blade.type() == null) {
      put(at, name, "there");
    }
    put(at, name, blade.type(), t -> shelf.patterns().blade(t).map(BladeType::name).orElse(t));
    put(at + ".end", name + ", end", blade.end(), String::valueOf);
    put(at + ".spring", name + ", which spring", blade.spring(), String::valueOf);
    put(at + ".presses", name + ", springs", blade.presses(), String::valueOf);
    put(at + ".side", name + ", lies", blade.side(), String::valueOf);
    if (blade.length() != null) {
      put(at + ".length", name + ", length", blade.length().written());
    }
    put(
        at + ".heights",
        name + ", heights",
        blade.heights(),
        h -> h.at().written() + ": " + h.height().written());
    new TreeMap<>(blade.seen())
        .forEach(
            (id, seen) ->
                lines.put(
                    at + "." + id,
                    new Line(
                        id,
                        name + ", " + Wording.lowerFirst(label(id)),
                        text(seen, v -> answer(id, v)))));
  }

  private void numbers(Specimen knife) {
    if (knife.number() != null) {
      struck("Number", List.of(knife.number()), n -> n);
    } else {
      soughtInVain("Number", Sought.NUMBER, knife);
    }
    if (knife.codes().isEmpty()) {
      soughtInVain("Date codes", Sought.CODE, knife);
    }
    struck("Date codes", knife.codes(), c -> c.sign() + " " + c.written());
    struck("Patents and designs", knife.registered(), n -> n.table() + " " + n.number());
    struck("Hallmarks", knife.hallmarks(), h -> h.office() + " " + h.letter());
  }

  private void soughtInVain(String label, Sought sought, Specimen knife) {
    if (knife.notFound().contains(sought)) {
      struck(label, List.of("none to be found"), n -> n);
    }
  }

  private <T> void struck(String label, List<T> all, Function<T, String> say) {
    if (!all.isEmpty()) {
      String text = all.stream().map(say).collect(Collectors.joining(", "));
      lines.put(label, new Line("number", label, text));
    }
  }

  private void face(SeenFace face) {
    String read = face.lines().isEmpty() ? "" : " " + String.join(" / ", face.lines());
    lines.put(
        "mark " + face.blade() + face.face(),
        new Line(MARKS, "Mark, blade " + face.blade() + ", " + face.face(), face.state() + read));
  }

  private void condition(String id, Seen<String> found) {
    put(
        id,
        shelf.condition().point(id).map(ConditionBook.Point::label).orElse(id),
        found,
        v ->
            shelf
                .condition()
                .point(id)
                .flatMap(p -> p.finding(v))
                .map(ConditionBook.Finding::label)
                .orElse(v));
  }

  private String label(String feature) {
    return shelf.clues().feature(feature).map(f -> f.label()).orElse(feature);
  }

  private String answer(String feature, String value) {
    return shelf
        .clues()
        .feature(feature)
        .flatMap(f -> f.clue(value))
        .map(Clue::label)
        .orElse(value);
  }

  private String bolsters(String id) {
    return shelf.patterns().bolsters().stream()
        .filter(b -> b.id().equals(id))
        .map(BolsterLayout::label)
        .findFirst()
        .orElse(id);
  }

  private String quantity(String id) {
    return shelf.measures().quantity(id).map(q -> q.label()).orElse(id);
  }

  private void put(String id, String label, String text) {
    lines.put(id, new Line(id, label, text));
  }

  private <T> void put(String id, String label, @Nullable Seen<T> seen, Function<T, String> say) {
    if (seen != null) {
      put(id, label, text(seen, say));
    }
  }

  private <T> void put(String id, String label, List<T> all, Function<T, String> say) {
    if (!all.isEmpty()) {
      put(id, label, all.stream().map(say).collect(Collectors.joining(", ")));
    }
  }

  private static <T> String text(Seen<T> seen, Function<T, String> say) {
    if (seen.value() == null) {
      return "cannot tell";
    }
    String said = say.apply(seen.value());
    return seen.sureness() == Sureness.SURE ? said : said + ", " + seen.sureness();
  }
}
