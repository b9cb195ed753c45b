package snikra.core.induction;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;
import snikra.core.induction.NumberGuess.GuessedCode;
import snikra.core.induction.NumberGuess.GuessedField;

/**
 * How a maker's pattern numbers are built, from a few on knives that are known. All ways to share
 * out the places among fields are weighed, each field by how its codes go with what the knives are:
 * as a code for each thing, any code as likely as the next, or, where it tells nothing one could
 * see, by the process of a table that fills (each new code by chance, each old one as often as it
 * was met). The sum over all ways is exact, since a way is a product over its fields.
 */
public final class NumberFinder {
  private static final int TOLD = 4;
  private static final double WORTH_TELLING = 0.005;

  /** So many ways are kept on the way to the likeliest. */
  private static final int KEPT = 8;

  /** So many looks are weighed: those most of the knives show. */
  private static final int LOOKS = 9;

  private static final int COUNTED_TO = 6;
  private static final int COMBINED = 4000;

  private final ExampleBook book;

  public NumberFinder(ExampleBook book) {
    this.book = book;
  }

  /** Places a field may have, with what stands there. */
  private record Slot(int from, int to, List<String> codes, double room, boolean optional) {
    private int width() {
      return codes.stream().mapToInt(String::length).max().orElse(0);
    }
  }

  /** A field as one way has it; {@code look} is -1 where it tells nothing. */
  private record Chosen(Slot slot, int look, boolean mark) {}

  private record Way(List<Chosen> fields, double log) {
    private Way and(Chosen field, double more) {
      List<Chosen> all = new ArrayList<>(fields);
      all.add(field);
      return new Way(all, log + more);
    }
  }

  /** Ways to one place with one set of looks spent: the best of them, and the sum over all. */
  private static final class Ways {
    private final List<Way> best = new ArrayList<>();
    private double logSum = Double.NEGATIVE_INFINITY;

    private void add(List<Way> ways, double sum) {
      best.addAll(ways);
      best.sort(Comparator.comparingDouble(w -> -w.log));
      while (best.size() > KEPT) {
        best.remove(best.size() - 1);
      }
      logSum = plus(logSum, sum);
    }

    private static double plus(double a, double b) {
      double most = Math.max(a, b);
      return most == Double.NEGATIVE_INFINITY
          ? most
          : most + Math.log(Math.exp(a - most) + Math.exp(b - most));
    }
  }

  /** The likeliest ways these numbers are built. */
  public NumberGuess.Found find(List<NumberedKnife> examples) {
    NumberShape shape = new NumberShape(examples.stream().map(NumberedKnife::number).toList());
    if (shape.of.isEmpty()) {
      return new NumberGuess.Found(List.of(), shape.unlike, null);
    }
    List<NumberedKnife> alike = shape.of.stream().map(examples::get).toList();
    List<String> looks = looks(alike);
    Ways all = ways(shape, alike, looks);
    List<NumberGuess> guesses =
        all.best.stream()
            .filter(w -> Math.exp(w.log - all.logSum) >= WORTH_TELLING)
            .limit(TOLD)
            .map(w -> guess(w, Math.exp(w.log - all.logSum), shape, alike, looks))
            .toList();
    return new NumberGuess.Found(guesses, shape.unlike, settling(guesses, alike));
  }

  // What most knives show comes first; what numbers usually tell goes before what they seldom do.
  private List<String> looks(List<NumberedKnife> examples) {
    Map<String, Integer> shown = new TreeMap<>();
    examples.forEach(e -> e.shows().keySet().forEach(look -> shown.merge(look, 1, Integer::sum)));
    return shown.keySet().stream()
        .sorted(
            Comparator.comparing((String look) -> book.habit(look).isEmpty())
                .thenComparing(look -> -shown.get(look)))
        .limit(LOOKS)
        .toList();
  }

  private Ways ways(NumberShape shape, List<NumberedKnife> examples, List<String> looks) {
    int places = shape.places();
    List<Map<Integer, Ways>> at = new ArrayList<>();
    for (int i = 0; i <= places; i++) {
      at.add(new TreeMap<>());
    }
    Ways begun = new Ways();
    begun.add(List.of(new Way(List.of(), 0)), 0);
    Map<Integer, Ways> first = new TreeMap<>(Map.of(0, begun));
    at.set(0, end(shape.front(), first, examples, looks));
    for (int place = 0; place < places; place++) {
      if (shape.parts(place)) {
        Slot slot = new Slot(place, place + 1, shape.between(place, place + 1), 1, false);
        extend(at.get(place), at.get(place + 1), new Chosen(slot, -1, true), 0);
        continue;
      }
      for (int to = place + 1; to <= Math.min(places, place + book.widest()); to++) {
        if (shape.parts(to - 1)) {
          break;
        }
        Slot slot = new Slot(place, to, shape.between(place, to), shape.room(place, to), false);
        each(slot, at.get(place), at.get(to), examples, looks);
      }
    }
    Ways all = new Ways();
    end(shape.back(), at.get(places), examples, looks)
        .values()
        .forEach(w -> all.add(w.best, w.logSum));
    return all;
  }

  // Letters in front or behind are one field, where there are any.
  private Map<Integer, Ways> end(
      List<String> letters,
      Map<Integer, Ways> so,
      List<NumberedKnife> examples,
      List<String> looks) {
    int width = letters.stream().mapToInt(String::length).max().orElse(0);
    if (width == 0) {
      return so;
    }
    boolean optional = letters.stream().anyMatch(String::isEmpty);
    Slot slot = new Slot(-1, -1, letters, Math.pow(26, width), optional);
    Map<Integer, Ways> then = new TreeMap<>();
    each(slot, so, then, examples, looks);
    return then;
  }

  private void each(
      Slot slot,
      Map<Integer, Ways> so,
      Map<Integer, Ways> then,
      List<NumberedKnife> examples,
      List<String> looks) {
    double free = Math.log(book.saysNothing()) + width(slot, 1) + Math.log(free(slot));
    extend(so, then, new Chosen(slot, -1, false), free);
    for (int look = 0; look < looks.size(); look++) {
      String name = looks.get(look);
      var habit = book.habit(name);
      double prior =
          habit
              .map(h -> Math.log(h.share()) + width(slot, h.width()))
              .orElseGet(() -> Math.log(book.otherLook()) + width(slot, 1));
      double itself = habit.map(ExampleBook.FieldHabit::isItself).orElse(0.0);
      double log = prior + Math.log(tells(slot, name, itself, examples));
      extend(so, then, new Chosen(slot, look, false), log);
    }
  }

  // Letters in front and behind have the width they have.
  private double width(Slot slot, int usual) {
    return slot.from < 0
        ? 0
        : Math.abs(slot.to - slot.from - usual) * Math.log(book.otherWidth())
            + Math.log(1 - book.otherWidth());
  }

  private static void extend(
      Map<Integer, Ways> so, Map<Integer, Ways> then, Chosen field, double log) {
    so.forEach(
        (spent, ways) -> {
          int bit = field.look < 0 ? 0 : 1 << field.look;
          if ((spent & bit) == 0) {
            then.computeIfAbsent(spent | bit, s -> new Ways())
                .add(ways.best.stream().map(w -> w.and(field, log)).toList(), ways.logSum + log);
          }
        });
  }

  private double chance(Slot slot, String code) {
    double any = 1 / slot.room;
    return !slot.optional ? any : code.isEmpty() ? book.leftOut() : (1 - book.leftOut()) * any;
  }

  private double free(Slot slot) {
    return free(slot, slot.codes);
  }

  private double free(Slot slot, List<String> codes) {
    Map<String, Integer> met = new HashMap<>();
    double p = 1;
    int before = 0;
    for (String code : codes) {
      int same = met.merge(code, 1, Integer::sum) - 1;
      p *= (same + (same == 0 ? chance(slot, code) : 0)) / (before + 1.0);
      before++;
    }
    return p;
  }

  // P(codes | each thing has a code); where nobody looked a code says nothing.
  private double tells(Slot slot, String look, double itself, List<NumberedKnife> examples) {
    Map<String, List<String>> byValue = new LinkedHashMap<>();
    List<String> unknown = new ArrayList<>();
    for (int i = 0; i < examples.size(); i++) {
      String value = examples.get(i).shows().get(look);
      String code = slot.codes.get(i);
      if (value == null) {
        unknown.add(code);
      } else {
        byValue.computeIfAbsent(value, v -> new ArrayList<>()).add(code);
      }
    }
    double p = free(slot, unknown);
    TreeSet<String> spent = new TreeSet<>();
    for (Map.Entry<String, List<String>> of : byValue.entrySet()) {
      String usual = usual(of.getValue());
      double same = of.getKey().length() == slot.width() ? itself : 0;
      p *= ofOne(slot, of.getKey(), of.getValue(), same);
      p *= spent.add(usual) ? 1 - book.sharedCode() : book.sharedCode();
    }
    return p;
  }

  // The sum over which code this one thing has; one no knife bears explains each of them as a slip.
  private double ofOne(Slot slot, String value, List<String> codes, double itself) {
    double sum = 0;
    double rest = 1;
    for (String code : new TreeSet<>(codes)) {
      double prior = (1 - itself) * chance(slot, code) + (code.equals(value) ? itself : 0);
      double all = prior;
      for (String met : codes) {
        all *= (met.equals(code) ? 1 - book.slip() : 0) + book.slip() * chance(slot, met);
      }
      sum += all;
      rest -= prior;
    }
    for (String met : codes) {
      rest *= book.slip() * chance(slot, met);
    }
    return sum + Math.max(0, rest);
  }

  private static String usual(List<String> codes) {
    return new TreeSet<>(codes)
        .stream().max(Comparator.comparingInt(c -> Collections.frequency(codes, c))).orElse("");
  }

  private NumberGuess guess(
      Way way, double share, NumberShape shape, List<NumberedKnife> examples, List<String> looks) {
    return new NumberGuess(
        way.fields.stream()
            .map(f -> field(f, f.look < 0 ? null : looks.get(f.look), shape, examples))
            .toList(),
        share);
  }

  private GuessedField field(
      Chosen chosen, @Nullable String look, NumberShape shape, List<NumberedKnife> examples) {
    Slot slot = chosen.slot;
    Map<String, List<String>> byValue = new TreeMap<>();
    for (int i = 0; i < examples.size(); i++) {
      String value = look == null ? null : examples.get(i).shows().get(look);
      if (value != null) {
        byValue.computeIfAbsent(value, v -> new ArrayList<>()).add(slot.codes.get(i));
      }
    }
    Map<String, Set<String>> values = new TreeMap<>();
    slot.codes.stream().filter(c -> !c.isEmpty()).forEach(c -> values.put(c, new TreeSet<>()));
    List<Integer> odd = new ArrayList<>();
    byValue.forEach(
        (value, codes) -> {
          String usual = usual(codes);
          if (!usual.isEmpty()) {
            values.get(usual).add(value);
          }
        });
    for (int i = 0; i < examples.size(); i++) {
      String value = look == null ? null : examples.get(i).shows().get(look);
      if (value != null
          && !usual(byValue.getOrDefault(value, List.of())).equals(slot.codes.get(i))) {
        odd.add(shape.of.get(i));
      }
    }
    List<GuessedCode> codes = new ArrayList<>();
    values.forEach((code, of) -> codes.add(new GuessedCode(code, List.copyOf(of), false)));
    if (look != null) {
      codes.addAll(supposed(look, slot, values));
    }
    return new GuessedField(slot.width(), look, chosen.mark, slot.optional, codes, odd);
  }

  // Where codes are what they stand for, the others are so too.
  private List<GuessedCode> supposed(String look, Slot slot, Map<String, Set<String>> values) {
    double itself = book.habit(look).map(ExampleBook.FieldHabit::isItself).orElse(0.0);
    boolean are =
        itself > 0
            && slot.width() == 1
            && values.size() > 1
            && values.entrySet().stream().allMatch(e -> e.getValue().equals(Set.of(e.getKey())));
    List<GuessedCode> more = new ArrayList<>();
    for (int n = 1; are && n <= COUNTED_TO; n++) {
      String code = Integer.toString(n);
      if (!values.containsKey(code)) {
        more.add(new GuessedCode(code, List.of(code), true));
      }
    }
    return more;
  }

  /** Of all knives of known parts the one whose numbers differ in most places. */
  private static NumberGuess.@Nullable Settling settling(
      List<NumberGuess> guesses, List<NumberedKnife> examples) {
    if (guesses.size() < 2) {
      return null;
    }
    Map<String, Set<String>> known = new TreeMap<>();
    for (NumberGuess guess : guesses.subList(0, 2)) {
      for (GuessedField field : guess.fields()) {
        if (field.meaning() != null) {
          Set<String> of = known.computeIfAbsent(field.meaning(), m -> new TreeSet<>());
          examples.stream()
              .map(e -> e.shows().get(field.meaning()))
              .filter(Objects::nonNull)
              .forEach(of::add);
        }
      }
    }
    NumberGuess.Settling best = null;
    int most = 0;
    for (Map<String, String> knife : combined(known)) {
      String one = number(guesses.get(0), knife);
      String two = number(guesses.get(1), knife);
      int differ = differ(one, two);
      if (differ > most) {
        most = differ;
        best = new NumberGuess.Settling(knife, one, two);
      }
    }
    return best;
  }

  private static List<Map<String, String>> combined(Map<String, Set<String>> known) {
    List<Map<String, String>> all = List.of(Map.of());
    for (Map.Entry<String, Set<String>> look : known.entrySet()) {
      List<Map<String, String>> more = new ArrayList<>();
      for (Map<String, String> so : all) {
        for (String value : look.getValue()) {
          Map<String, String> then = new TreeMap<>(so);
          then.put(look.getKey(), value);
          if (more.size() < COMBINED) {
            more.add(then);
          }
        }
      }
      all = more;
    }
    return all;
  }

  private static String number(NumberGuess guess, Map<String, String> knife) {
    StringBuilder number = new StringBuilder();
    for (GuessedField field : guess.fields()) {
      String value = field.meaning() == null ? null : knife.get(field.meaning());
      String code =
          field.mark()
              ? field.codes().get(0).code()
              : field.codes().stream()
                  .filter(c -> value != null && c.values().contains(value))
                  .map(GuessedCode::code)
                  .findFirst()
                  .orElse(field.optional() ? "" : "?".repeat(field.width()));
      number.append(code);
    }
    return number.toString();
  }

  private static int differ(String one, String two) {
    if (one.length() != two.length()) {
      return 1;
    }
    int differ = 0;
    for (int i = 0; i < one.length(); i++) {
      char a = one.charAt(i);
      char b = two.charAt(i);
      differ += a != b && a != '?' && b != '?' ? 1 : 0;
    }
    return differ;
  }
}
