package snikra.core.dating;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.stream.IntStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CalibrationTest {
  // Of a hundred that differ, sixty against forty is twice what chance would have, and no more.
  @ParameterizedTest
  @CsvSource({
    "60, 40, 0, false",
    "61, 39, 0, true",
    "39, 61, 0, true",
    "61, 39, 5000, true",
    "3, 0, 10, false",
    "5, 0, 10, true",
    "0, 0, 10, false"
  })
  void spansDifferWhereMoreAreLongerThanChanceWouldHave(
      int longer, int shorter, int same, boolean differ) {
    int[] some = new int[longer + shorter + same];
    int[] others = new int[some.length];
    IntStream.range(0, longer).forEach(i -> some[i] = 1);
    IntStream.range(longer, longer + shorter).forEach(i -> others[i] = 1);
    assertThat(Calibration.differ(some, others)).isEqualTo(differ);
  }
}
