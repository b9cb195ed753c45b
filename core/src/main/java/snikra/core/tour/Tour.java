package snikra.core.tour;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import snikra.core.examination.Station;
import snikra.core.specimen.Specimen;

/**
 * One knife answered look by look, so that a newcomer learns the bench on it.
 *
 * @param begins what is known of it before the first look
 * @param steps in working order; the last asks nothing and leaves the collector with the verdict
 * @param knife the whole of it, as it is drawn
 */
public record Tour(Specimen begins, List<Step> steps, Specimen knife) {

  /**
   * One look.
   *
   * @param station where it is made
   * @param asks what to look at, and which keys enter it
   * @param told what the verdict made of it, said once it is answered; null for the last step
   * @param known all that the steps up to this one have answered
   */
  public record Step(
      String id, String station, String asks, @Nullable String told, Specimen known) {}

  /**
   * A tour.
   *
   * @throws IllegalArgumentException when a step is at no station, is named twice, or says nothing
   *     of what it did
   */
  public Tour {
    steps = List.copyOf(steps);
    if (steps.isEmpty()) {
      throw new IllegalArgumentException("a tour must have a step; found none");
    }
    Set<String> ids = new HashSet<>();
    for (Step step : steps) {
      if (!ids.add(step.id())) {
        throw new IllegalArgumentException(
            "steps must have names of their own; found " + step.id() + " twice");
      }
      if (!Station.ids().contains(step.station())) {
        throw new IllegalArgumentException(
            "station of " + step.id() + " must be one of the bench; found " + step.station());
      }
      if (step.told() == null && !step.equals(steps.get(steps.size() - 1))) {
        throw new IllegalArgumentException(
            "only the last step may say nothing of what it did; found " + step.id());
      }
    }
  }
}
