package snikra.core.reference;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

class TrustTest {
  private static final double STAMP = 0.8;

  private static Source source(String id, double reliability) {
    return new Source(id, id, "reference-book", reliability, null, null);
  }

  private static Source copy(String id, double reliability, String of) {
    return new Source(id, id, "reference-book", reliability, of, null);
  }

  private static double trust(Source... sources) {
    Map<String, Source> known =
        Arrays.stream(sources).collect(Collectors.toMap(Source::id, Function.identity()));
    return Trust.of(List.of(sources), known, STAMP);
  }

  @Test
  void oneSourceIsBelievedAsFarAsItIsRight() {
    assertThat(trust(source("a", 0.3))).isCloseTo(0.3, within(1e-12));
  }

  @Test
  void sourcesThatDoNotCopyBearOneAnotherOut() {
    assertThat(trust(source("a", 0.7), source("b", 0.6))).isCloseTo(0.88, within(1e-12));
  }

  @Test
  void copiesCountOnceWithTheBetterWord() {
    assertThat(trust(source("a", 0.7), copy("b", 0.9, "a"))).isCloseTo(0.9, within(1e-12));
    assertThat(trust(source("a", 0.7), copy("b", 0.6, "a"), copy("c", 0.6, "b")))
        .isCloseTo(0.7, within(1e-12));
  }

  @Test
  void sourcesThatCopyOneAnotherInARingAreOne() {
    assertThat(trust(copy("a", 0.5, "b"), copy("b", 0.5, "a"))).isCloseTo(0.5, within(1e-12));
  }

  @Test
  void copiesOfWhatIsNotThereStandAlone() {
    assertThat(trust(copy("a", 0.5, "lost"), copy("b", 0.5, "lost")))
        .isCloseTo(0.75, within(1e-12));
  }

  @Test
  void aStampAloneSaysLess() {
    Source stamp = new Source("s", "s", "reference-book", 0.5, null, "stamp");
    assertThat(trust(stamp)).isCloseTo(0.4, within(1e-12));
  }

  @Test
  void nothingIsSurerThanTheMost() {
    assertThat(trust(source("a", 0.99), source("b", 0.99))).isEqualTo(Trust.MOST);
  }
}
