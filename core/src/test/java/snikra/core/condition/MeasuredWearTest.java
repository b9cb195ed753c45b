package snikra.core.condition;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import snikra.core.condition.ConditionBook.Finding;
import snikra.core.condition.ConditionBook.Grade;
import snikra.core.condition.ConditionBook.Point;
import snikra.core.condition.MeasuredWear.Filled;
import snikra.core.profile.BladeWear.Left;
import snikra.core.specimen.LookReliability;
import snikra.core.specimen.Seen;
import snikra.core.specimen.Sureness;

class MeasuredWearTest {
  private static final ConditionBook BOOK =
      new ConditionBook(
          List.of(new Grade("mint", "Mint", 2), new Grade("good", "Good", 1)),
          List.of(
              point("wear", finding("full", 0.95), finding("tenth", 0.8), finding("gone", 0.0)),
              point("tip", finding("sound", null))));

  private static Point point(String id, Finding... findings) {
    return new Point(
        id, "condition", "blades", true, null, id, id, findings[0].id(), List.of(findings));
  }

  private static Finding finding(String id, @Nullable Double least) {
    return new Finding(id, id, "good", 0, 10, "", null, least);
  }

  private static Looked looked(Map<String, Seen<String>> main, int others) {
    return new Looked(
        main,
        java.util.Collections.nCopies(others, Map.of()),
        Map.of(),
        List.of(),
        new LookReliability(1, 0.7, 0.5));
  }

  private static Left left(double share, double low, double high) {
    return new Left(share, low, high, List.of());
  }

  private static List<Filled> filled(Looked looked, @Nullable Left... left) {
    return MeasuredWear.of(BOOK, looked, Arrays.asList(left));
  }

  @Test
  void whatIsMeasuredExactlyIsTheFindingItFallsInto() {
    assertThat(only(0.97).finding().id()).isEqualTo("full");
    assertThat(only(0.95).finding().id()).isIn("full", "tenth");
    assertThat(only(0.9).finding().id()).isEqualTo("tenth");
    assertThat(only(0.3).finding().id()).isEqualTo("gone");
    assertThat(only(0.9).probability()).isCloseTo(1, within(1e-9));
    assertThat(only(0.9).seen().sureness()).isEqualTo(Sureness.SURE);
  }

  private static Filled only(double share) {
    return filled(looked(Map.of(), 0), left(share, share - 0.002, share + 0.002)).get(0);
  }

  @Test
  void whatIsMeasuredRoughlyIsAsUnsureAsItsMeasuring() {
    Filled rough = filled(looked(Map.of(), 0), left(0.94, 0.85, 1.03)).get(0);
    assertThat(rough.finding().id()).isEqualTo("tenth");
    assertThat(rough.probability()).isBetween(0.5, 0.6);
    assertThat(rough.seen().sureness()).isEqualTo(Sureness.UNSURE);
    Filled better = filled(looked(Map.of(), 0), left(0.9, 0.83, 0.97)).get(0);
    assertThat(better.probability()).isBetween(0.8, 0.9);
    assertThat(better.seen().sureness()).isEqualTo(Sureness.LIKELY);
  }

  @Test
  void whatTheCollectorSaysGoesBeforeWhatWasMeasured() {
    Looked said = looked(Map.of("wear", Seen.sure("full")), 0);
    assertThat(filled(said, left(0.5, 0.49, 0.51))).isEmpty();
    Looked cannotTell =
        looked(Map.of("wear", new Seen<String>(null, Sureness.CANNOT_TELL, null)), 0);
    assertThat(filled(cannotTell, left(0.5, 0.49, 0.51))).isEmpty();
  }

  @Test
  void eachBladeIsFilledByItsOwnMeasuring() {
    Looked two = looked(Map.of(), 1);
    List<Filled> filled = filled(two, left(0.9, 0.89, 0.91), left(0.5, 0.49, 0.51));
    assertThat(filled).extracting(Filled::blade).containsExactly(1, 2);
    Looked with = MeasuredWear.with(two, filled);
    assertThat(with.of("wear", 1)).isEqualTo(Seen.sure("tenth"));
    assertThat(with.of("wear", 2)).isEqualTo(Seen.sure("gone"));
    assertThat(with.of("tip", 1)).isNull();
  }

  @Test
  void whatWasNotMeasuredStaysOpen() {
    assertThat(filled(looked(Map.of(), 1), null, left(0.5, 0.49, 0.51)))
        .extracting(Filled::blade)
        .containsExactly(2);
    assertThat(filled(looked(Map.of(), 0))).isEmpty();
  }
}
