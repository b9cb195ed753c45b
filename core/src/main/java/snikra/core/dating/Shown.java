package snikra.core.dating;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import snikra.core.specimen.Seen;

/** All that was found, by trait, for holding against what is on file of hands and models. */
public final class Shown {
  /** Of a knife nobody has looked at. */
  public static final Shown NOTHING = new Shown(Map.of(), null);

  private final Map<String, List<Seen<String>>> answers;
  private final Map<String, Seen<String>> first;
  private final @Nullable Double closedMm;

  /**
   * All that was found.
   *
   * @param answers by feature of the clue book or trait of the first look; of several blades that
   *     of each, the main one first
   * @param closedMm closed length in millimetres, null where it was not measured
   */
  public Shown(Map<String, List<Seen<String>>> answers, @Nullable Double closedMm) {
    this.answers = Map.copyOf(answers);
    this.closedMm = closedMm;
    Map<String, Seen<String>> all = new HashMap<>();
    answers.forEach((trait, given) -> all.put(trait, given.get(0)));
    this.first = Map.copyOf(all);
  }

  @Nullable Double closedMm() {
    return closedMm;
  }

  /** Each of these, seen surely. */
  public static Shown surely(Map<String, String> found) {
    Map<String, List<Seen<String>>> answers = new HashMap<>();
    found.forEach((trait, value) -> answers.put(trait, List.of(Seen.sure(value))));
    return new Shown(answers, null);
  }

  List<Seen<String>> of(String trait) {
    return answers.getOrDefault(trait, List.of());
  }

  /** The answers of the main blade and of the knife. */
  Map<String, Seen<String>> first() {
    return first;
  }

  /** The same without these traits. */
  Shown without(java.util.Set<String> traits) {
    Map<String, List<Seen<String>>> rest = new HashMap<>(answers);
    rest.keySet().removeAll(traits);
    return new Shown(rest, closedMm);
  }
}
