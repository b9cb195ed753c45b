package snikra.core.trait;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import snikra.core.clue.Feature;
import snikra.core.judgement.Judgement;
import snikra.core.pattern.Pattern;
import snikra.core.pattern.PatternBook;
import snikra.core.reference.ModelTell;
import snikra.core.reference.ReferenceShelf;

/** How a knife looks of which nothing more is known than its pattern. */
public final class PatternTells {
  private static final String TOOLS = "tools";
  private static final String SOURCE = "pattern-book";

  private PatternTells() {}

  /** What its shape alone tells. */
  public static List<ModelTell> of(Pattern p, PatternBook book, Judgement judgement) {
    double share = judgement.of("alike.as-its-pattern");
    List<ModelTell> out = new ArrayList<>();
    out.add(ModelTell.of(Traits.FRAME, shared(p.frames(), share), SOURCE));
    Pattern.Range size = p.closedLengthMm();
    double spread =
        Math.max(
            judgement.of("alike.least-spread-mm"),
            (size.max() - size.min()) / judgement.of("alike.range-in-deviations"));
    out.add(new ModelTell(Traits.LENGTH, Map.of(), size.typical(), spread, SOURCE));
    out.add(ModelTell.of(Traits.BOLSTERS, firstOf(p.bolsters(), share), SOURCE));
    List<String> springs = p.springs().stream().map(String::valueOf).toList();
    out.add(ModelTell.of(Traits.SPRINGS, firstOf(springs, share), SOURCE));
    int most = p.slots().size();
    int fewest = (int) p.slots().stream().filter(s -> !s.optional()).count();
    Map<String, Double> counts = new HashMap<>();
    for (int n = Math.max(1, fewest); n <= Math.max(1, most); n++) {
      counts.put(Integer.toString(n), 1.0);
    }
    out.add(ModelTell.of(Traits.BLADES, shared(counts, share), SOURCE));
    for (int i = 0; i < Math.min(Traits.BLADES_TOLD, most); i++) {
      Map<String, Double> types = p.slots().get(i).types();
      if (types.keySet().stream().allMatch(type -> Traits.isBlade(type, book))) {
        out.add(ModelTell.of(Traits.BLADE + (i + 1), shared(types, share), SOURCE));
      }
    }
    return out;
  }

  /** The same, with the tools its slots ask for, whatever their form. */
  public static List<ModelTell> withTools(Pattern p, ReferenceShelf shelf) {
    double share = shelf.judgement().of("alike.as-its-pattern");
    List<ModelTell> out = new ArrayList<>(of(p, shelf.patterns(), shelf.judgement()));
    Set<String> types =
        p.slots().stream().flatMap(s -> s.types().keySet().stream()).collect(Collectors.toSet());
    for (Feature f : shelf.clues().features()) {
      Map<String, Double> forms = new HashMap<>();
      f.clues().stream()
          .filter(c -> c.drawnAs() != null && types.contains(c.drawnAs()))
          .forEach(c -> forms.put(c.id(), c.base()));
      boolean isTool = f.station().equals(TOOLS) && !forms.isEmpty();
      if (isTool) {
        f.clues().stream()
            .filter(c -> c.drawnAs() != null)
            .forEach(c -> forms.put(c.id(), c.base()));
        out.add(ModelTell.of(f.id(), shared(forms, share), SOURCE));
      }
    }
    return out;
  }

  private static Map<String, Double> shared(Map<String, Double> weights, double share) {
    double sum = weights.values().stream().mapToDouble(Double::doubleValue).sum();
    Map<String, Double> out = new HashMap<>();
    weights.forEach((value, weight) -> out.put(value, share * weight / sum));
    return out;
  }

  // The usual one first, each following half as often.
  private static Map<String, Double> firstOf(List<String> values, double share) {
    Map<String, Double> weights = new HashMap<>();
    for (int i = 0; i < values.size(); i++) {
      weights.put(values.get(i), Math.pow(0.5, i));
    }
    return shared(weights, share);
  }
}
