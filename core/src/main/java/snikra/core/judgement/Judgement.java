package snikra.core.judgement;

import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** All numbers of judgement by their ids. Immutable. */
public final class Judgement {
  private final Map<String, Rate> rates = new LinkedHashMap<>();

  /**
   * One number.
   *
   * @param label what it is, in words
   * @param why why it is not more and not less
   */
  public record Rate(String id, String label, double value, String why) {}

  /** These numbers; of two with one id the later holds. */
  public Judgement(Collection<Rate> rates) {
    rates.forEach(rate -> this.rates.put(rate.id(), rate));
  }

  /** The number with this id. */
  public double of(String id) {
    Rate rate = rates.get(id);
    if (rate == null) {
      throw new IllegalArgumentException("a number of judgement must be on file; found " + id);
    }
    return rate.value();
  }

  /** All of them, as they stand in the file. */
  public List<Rate> rates() {
    return List.copyOf(rates.values());
  }

  /** The same with one number otherwise. */
  public Judgement with(String id, double value) {
    Rate rate = new Rate(id, rates.get(id).label(), value, rates.get(id).why());
    Map<String, Rate> changed = new LinkedHashMap<>(rates);
    changed.put(id, rate);
    return new Judgement(changed.values());
  }
}
