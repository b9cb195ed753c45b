package snikra.core.resemblance;

import static java.util.Comparator.comparingDouble;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.hipparchus.special.Erf;
import snikra.core.reference.ModelTell;
import snikra.core.trait.Traits;

/** Models a model may be taken for, and the looks by which they are told apart. */
public final class Neighbours {
  /** Fewer looks in common do not say that two models are alike. */
  private static final int LEAST_SHARED = 3;

  private Neighbours() {}

  /**
   * A model one may take for another.
   *
   * @param difference of their looks in the mean, from 0 where nothing parts them to 1
   * @param tells what parts them best first; empty where nothing on file does
   */
  public record Neighbour(Lookalike model, double difference, List<Apart> tells) {}

  /**
   * A look by which two models are told apart.
   *
   * @param difference how often it parts a knife of the one from a knife of the other: the total
   *     variation distance of its answers on both, from 0 to 1
   */
  public record Apart(String trait, double difference) {}

  /** The most alike of them first. */
  public static List<Neighbour> of(Lookalike model, List<Lookalike> all, int most) {
    List<Neighbour> found = new ArrayList<>();
    for (Lookalike other : all) {
      if (!other.id().equals(model.id())) {
        List<Apart> shared = shared(model, other);
        if (shared.size() >= LEAST_SHARED) {
          found.add(neighbour(other, shared));
        }
      }
    }
    found.sort(
        comparingDouble(Neighbour::difference).thenComparing((Neighbour n) -> n.model().id()));
    return List.copyOf(found.subList(0, Math.min(most, found.size())));
  }

  // Numbers part every two models: they do not say how alike these look, but they do tell them
  // apart where they are read.
  private static Neighbour neighbour(Lookalike other, List<Apart> shared) {
    double looks =
        shared.stream()
            .filter(a -> !a.trait().equals(Traits.NUMBER))
            .mapToDouble(Apart::difference)
            .average()
            .orElse(1);
    List<Apart> tells =
        shared.stream()
            .filter(a -> a.difference() > 0)
            .sorted(comparingDouble((Apart a) -> -a.difference()).thenComparing(Apart::trait))
            .toList();
    return new Neighbour(other, looks, tells);
  }

  private static List<Apart> shared(Lookalike one, Lookalike other) {
    List<Apart> all = new ArrayList<>();
    for (ModelTell tell : one.tells()) {
      other
          .tell(tell.trait())
          .filter(t -> (t.mm() == null) == (tell.mm() == null))
          .ifPresent(t -> all.add(new Apart(tell.trait(), difference(tell, t))));
    }
    return all;
  }

  /** The total variation distance of what two models show in one respect. */
  static double difference(ModelTell one, ModelTell other) {
    if (one.mm() != null && other.mm() != null) {
      // Exact where both spread alike; their mean stands for both where they do not.
      double spread = (one.spread() + other.spread()) / 2;
      return Erf.erf(Math.abs(one.mm() - other.mm()) / (2 * Math.sqrt(2) * spread));
    }
    Set<String> answers = new HashSet<>(one.likely().keySet());
    answers.addAll(other.likely().keySet());
    double sum = Math.abs(left(one.likely()) - left(other.likely()));
    for (String answer : answers) {
      sum +=
          Math.abs(
              one.likely().getOrDefault(answer, 0.0) - other.likely().getOrDefault(answer, 0.0));
    }
    return sum / 2;
  }

  // All other answers, as they are met at large: the same for both.
  private static double left(Map<String, Double> likely) {
    return 1 - likely.values().stream().mapToDouble(p -> p).sum();
  }
}
