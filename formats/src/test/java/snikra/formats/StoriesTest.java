package snikra.formats;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import snikra.core.dating.DatingVerdict;
import snikra.core.dating.DatingVerdict.StateProbability;
import snikra.core.examination.Examiner;
import tools.jackson.databind.JsonNode;

/** Small stories on the shelf as shipped, each with what a good collector would expect. */
class StoriesTest {
  private static final Examiner EXAMINER = new Examiner(ShippedShelf.load(), 2026);

  static List<Arguments> stories() throws IOException {
    try (InputStream in = StoriesTest.class.getResourceAsStream("/snikra/stories.yaml")) {
      List<Arguments> stories = new ArrayList<>();
      Json.yamlMapper()
          .readTree(in)
          .forEach(s -> stories.add(Arguments.of(s.path("story").asString(""), s)));
      return stories;
    }
  }

  @ParameterizedTest(name = "{0}")
  @MethodSource("stories")
  void isSeenAsAGoodCollectorWouldSeeIt(String story, JsonNode expected) {
    String knife = expected.path("knife").toString();
    DatingVerdict verdict = EXAMINER.examine(SpecimenFormat.read(knife, EXAMINER.shelf())).dating();
    if (expected.has("maker")) {
      assertThat(verdict.makers().get(0).maker()).isEqualTo(expected.path("maker").asString(""));
      assertThat(verdict.makers().get(0).probability()).isGreaterThan(0.5);
    }
    if (expected.has("madeBy")) {
      assertThat(verdict.makers().get(0).contractors().get(0).maker())
          .isEqualTo(expected.path("madeBy").asString(""));
    }
    if (expected.has("region")) {
      assertThat(verdict.makers().get(0).region()).isEqualTo(expected.path("region").asString(""));
    }
    if (expected.has("notRegion")) {
      assertThat(verdict.makers().get(0).region())
          .isNotEqualTo(expected.path("notRegion").asString(""));
    }
    if (expected.has("noConflict")) {
      assertThat(verdict.conflicts()).isEmpty();
    }
    if (expected.has("within")) {
      JsonNode within = expected.path("within");
      assertThat(verdict.between(within.path(0).asInt(0), within.path(1).asInt(0)))
          .isGreaterThanOrEqualTo(within.path(2).asDouble(0));
    }
    if (expected.has("noMakerOver")) {
      assertThat(verdict.makers().stream().filter(m -> m.maker() != null))
          .allMatch(m -> m.probability() <= expected.path("noMakerOver").asDouble(0));
    }
    StateProbability state = verdict.states().get(0);
    if (expected.has("state")) {
      assertThat(state.state().kind().toString()).isEqualTo(expected.path("state").asString(""));
    }
    if (expected.has("part")) {
      assertThat(state.state().part()).isEqualTo(expected.path("part").asString(""));
      assertThat(state.partSpan().from())
          .isGreaterThanOrEqualTo(expected.path("partFrom").asInt(0));
    }
    if (expected.has("span")) {
      assertThat(verdict.nineTenths().from())
          .isGreaterThanOrEqualTo(expected.path("span").path(0).asInt(0));
      assertThat(verdict.nineTenths().to())
          .isLessThanOrEqualTo(expected.path("span").path(1).asInt(0));
    }
  }
}
