package snikra.core.examination;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import snikra.core.condition.ConditionBook;
import snikra.core.dating.DatingVerdict;
import snikra.core.dating.DatingVerdict.ClueInfluence;
import snikra.core.measure.Measurement;
import snikra.core.reference.ReferenceShelf;
import snikra.core.specimen.Seen;
import snikra.core.specimen.SeenBlade;
import snikra.core.specimen.SeenFace;
import snikra.core.specimen.Sought;
import snikra.core.specimen.Specimen;
import snikra.core.specimen.Specimen.Answered;
import snikra.core.specimen.Sureness;
import snikra.core.trait.Traits;
import snikra.core.wording.Wording;

/** What is known of a knife that was not known before, in words, and what that did. */
public final class WhatChanged {
  private static final double TELLING_BITS = 0.05;
  private static final int MOST_REASONS = 4;
  private static final String MARKS = "marks";
  private static final Set<String> BY_STATION = Set.of(MARKS, "number", "story");

  /** What is asked of a blade beside its form, in words. */
  private static final Map<String, String> OF_BLADE =
      Map.of("end", "end", "spring", "which spring", "presses", "springs", "side", "lies");

  private final ReferenceShelf shelf;
  private final Traits traits;
  private final Map<String, Line> lines = new LinkedHashMap<>();

  private WhatChanged(ReferenceShelf shelf) {
    this.shelf = shelf;
    this.traits = new Traits(shelf);
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
    Map<Integer, List<Answered>> answers =
        knife.answers().stream().collect(Collectors.groupingBy(Answered::blade));
    List<Answered> ofKnife = answers.getOrDefault(0, List.of());
    ofKnife.stream().filter(a -> !a.isLook()).forEach(a -> answered(a.of(), "", a));
    if (knife.closedLength() != null) {
      put("length", traits.label(Traits.LENGTH), knife.closedLength().written());
    }
    for (int b = 0; b < knife.blades().size(); b++) {
      blade(b + 1, knife.blades().get(b), answers.getOrDefault(b + 1, List.of()));
    }
    knife.marks().forEach(this::face);
    numbers(knife);
    ofKnife.stream().filter(Answered::isLook).forEach(a -> answered(a.of(), "", a));
    new TreeMap<>(knife.condition()).forEach((id, found) -> condition(id, id, "", found));
    new TreeMap<>(knife.measured())
        .forEach((id, read) -> put(id, quantity(id), read, Measurement::written));
    put(
        "story",
        "Story",
        knife.story(),
        e -> e.kind() + (e.date() == null ? "" : " " + e.date().written()));
    put("care", "Care", knife.care(), c -> c.work() + " " + c.date().written());
    put("comparables", "Sales of like knives", knife.comparables(), s -> s.described());
    put("place", "Where it lies", Stream.ofNullable(knife.place()).toList(), p -> p);
    put("tags", "Tags", knife.tags(), t -> t);
    return lines;
  }

  private void answered(String key, String of, Answered answer) {
    String label = traits.label(answer.of());
    lines.put(
        key,
        new Line(
            answer.of(),
            of.isEmpty() ? label : of + Wording.lowerFirst(label),
            text(answer.written(), v -> traits.name(answer.of(), v))));
  }

  private void blade(int place, SeenBlade blade, List<Answered> answers) {
    String at = "blades[" + (place - 1) + "]";
    String name = traits.label(Traits.BLADE + place);
    if (blade.type() == null) {
      put(at, name, "there");
    }
    for (Answered answer : answers) {
      String key = at + "." + answer.of();
      if (Traits.isType(answer)) {
        put(at, name, answer.written(), t -> traits.name(Traits.BLADE + place, t));
      } else if (answer.isLook()) {
        answered(key, name + ", ", answer);
      } else {
        put(key, name + ", " + OF_BLADE.get(answer.of()), answer.written(), v -> v);
      }
    }
    new TreeMap<>(blade.condition())
        .forEach((id, found) -> condition(at + ".condition." + id, id, name + ", ", found));
    if (blade.length() != null) {
      put(at + ".length", name + ", length", blade.length().written());
    }
    put(
        at + ".heights",
        name + ", heights",
        blade.heights(),
        h -> h.at().written() + ": " + h.height().written());
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

  private void condition(String key, String id, String of, Seen<String> found) {
    String label = shelf.condition().point(id).map(ConditionBook.Point::label).orElse(id);
    put(
        key,
        of.isEmpty() ? label : of + Wording.lowerFirst(label),
        found,
        v ->
            shelf
                .condition()
                .point(id)
                .flatMap(p -> p.finding(v))
                .map(ConditionBook.Finding::label)
                .orElse(v));
  }

  private String quantity(String id) {
    return shelf.measures().quantity(id).map(q -> q.label()).orElse(id);
  }

  private void put(String id, String label, String text) {
    lines.put(id, new Line(id, label, text));
  }

  private void put(String id, String label, Seen<String> seen, UnaryOperator<String> say) {
    put(id, label, text(seen, say));
  }

  private <T> void put(String id, String label, List<T> all, Function<T, String> say) {
    if (!all.isEmpty()) {
      put(id, label, all.stream().map(say).collect(Collectors.joining(", ")));
    }
  }

  private static String text(Seen<String> seen, UnaryOperator<String> say) {
    if (seen.value() == null) {
      return "cannot tell";
    }
    Stream<String> others = seen.or() == null ? Stream.of() : seen.or().keySet().stream().sorted();
    String said =
        Stream.concat(Stream.of(seen.value()), others).map(say).collect(Collectors.joining(" or "));
    return seen.sureness() == Sureness.SURE ? said : said + ", " + seen.sureness();
  }
}
