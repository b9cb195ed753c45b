package snikra.core.judgement;

import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** All numbers of judgement by their ids. Immutable. */
public final class Judgement {
  private final Map<String, String> about;
  private final Map<String, Rate> rates = new LinkedHashMap<>();

  /**
   * One number.
   *
   * @param label what it is, in words
   * @param why why it is not more and not less
   */
  public record Rate(String id, String label, double value, String why) {}

  /**
   * Numbers that belong together.
   *
   * @param about what they are about
   */
  public record RateGroup(String about, List<Rate> rates) {}

  /**
   * These numbers; of two with one id the later holds.
   *
   * @param about what each group is about, by how its ids begin
   */
  public Judgement(Map<String, String> about, Collection<Rate> rates) {
    this.about = about;
    for (Rate rate : rates) {
      if (!about.containsKey(groupOf(rate))) {
        throw new IllegalArgumentException(
            "a number of judgement must belong to a group; found " + rate.id());
      }
      this.rates.put(rate.id(), rate);
    }
  }

  private static String groupOf(Rate rate) {
    return rate.id().substring(0, rate.id().indexOf('.'));
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

  /** The same by group, in the order in which groups are told. */
  public List<RateGroup> groups() {
    return about.entrySet().stream()
        .map(
            group ->
                new RateGroup(
                    group.getValue(),
                    rates.values().stream()
                        .filter(rate -> groupOf(rate).equals(group.getKey()))
                        .toList()))
        .toList();
  }

  /** The same with one number otherwise. */
  public Judgement with(String id, double value) {
    Rate rate = new Rate(id, rates.get(id).label(), value, rates.get(id).why());
    Map<String, Rate> changed = new LinkedHashMap<>(rates);
    changed.put(id, rate);
    return new Judgement(about, changed.values());
  }
}
