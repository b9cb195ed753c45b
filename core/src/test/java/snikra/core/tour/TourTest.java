package snikra.core.tour;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import snikra.core.specimen.Specimen;
import snikra.core.tour.Tour.Step;

class TourTest {
  private static final Specimen BARE = Specimen.unseen();

  private static Step step(String id, String station, @Nullable String told) {
    return new Step(id, station, "Look at it and say what you see.", told, BARE);
  }

  private static Tour tour(Step... steps) {
    return new Tour(BARE, List.of(steps), BARE);
  }

  @Test
  void theLastStepAloneMaySayNothing() {
    assertThat(tour(step("a", "pattern", "It moved."), step("b", "value", null)).steps())
        .hasSize(2);
    assertThatThrownBy(() -> tour(step("a", "pattern", null), step("b", "value", null)))
        .hasMessage("only the last step may say nothing of what it did; found a");
  }

  @Test
  void everyStepIsAtAStationOfTheBench() {
    assertThatThrownBy(() -> tour(step("a", "attic", null)))
        .hasMessage("station of a must be one of the bench; found attic");
  }

  @Test
  void stepsHaveNamesOfTheirOwn() {
    assertThatThrownBy(() -> tour(step("a", "pattern", "It moved."), step("a", "value", null)))
        .hasMessage("steps must have names of their own; found a twice");
    assertThatThrownBy(() -> tour()).hasMessage("a tour must have a step; found none");
  }
}
