package snikra.core.resemblance;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import snikra.core.reference.ModelTell;
import snikra.core.trait.Traits;

/**
 * What a knife may be one of.
 *
 * @param id of a model, {@code maker/number}, or of a knife on file
 * @param maker whose marks it bears, where it is a model
 * @param pattern of a model
 * @param from first year of a model's run
 * @param to its last year
 * @param tells how it looks
 */
public record Lookalike(
    String id,
    String label,
    @Nullable String maker,
    @Nullable String pattern,
    @Nullable Integer from,
    @Nullable Integer to,
    List<ModelTell> tells) {

  public Lookalike {
    tells = List.copyOf(tells);
  }

  /** The likeliest answer in one respect. */
  public Optional<String> usual(String trait) {
    return tell(trait).stream()
        .flatMap(t -> t.likely().entrySet().stream())
        .max(
            Map.Entry.<String, Double>comparingByValue()
                .thenComparing(Map.Entry.<String, Double>comparingByKey().reversed()))
        .map(Map.Entry::getKey);
  }

  /** Its usual closed length in millimetres. */
  public Optional<Double> usualLength() {
    return tell(Traits.LENGTH).map(ModelTell::mm);
  }

  Optional<ModelTell> tell(String trait) {
    return tells.stream().filter(t -> t.trait().equals(trait)).findFirst();
  }
}
